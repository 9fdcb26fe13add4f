package web

import (
	"bytes"
	"compress/gzip"
	"crypto/sha256"
	"encoding/hex"
	"io/fs"
	"mime"
	"net/http"
	"path"
	"slices"
	"strconv"
	"strings"
	"sync"

	"github.com/labstack/echo/v5"
)

// smallest is the size in bytes below which packing saves no packet of a network.
const smallest = 1400

// packedAlready are answers that packing makes no smaller: photos, pages and archives; and what is told line by line.
func packedAlready(c *echo.Context) bool {
	at := c.Request().URL.Path
	return strings.HasPrefix(at, "/api/v1/photos") || at == "/api/v1/becomings" ||
		slices.Contains([]string{".pdf", ".zip", ".jpg", ".png"}, path.Ext(at))
}

// asset is a file of the user interface as it is sent: as it is, or packed one way or the other.
type asset struct {
	plain, gzip, brotli []byte
	kind, tag           string
}

// assets are the files of the user interface, each packed once, when it is first asked for.
type assets struct {
	files fs.FS
	known sync.Map // by name, a func() asset
}

// of is a file; ok is false where there is none.
func (a *assets) of(name string) (asset, bool) {
	if info, err := fs.Stat(a.files, name); err != nil || info.IsDir() {
		return asset{}, false
	}
	once, _ := a.known.LoadOrStore(name, sync.OnceValue(func() asset { return a.read(name) }))
	made, ok := once.(func() asset)
	if !ok {
		return asset{}, false
	}
	return made(), true
}

func (a *assets) read(name string) asset {
	data, _ := fs.ReadFile(a.files, name) // embedded, and found a moment ago
	sum := sha256.Sum256(data)
	out := asset{plain: data, kind: mime.TypeByExtension(path.Ext(name)), tag: `"` + hex.EncodeToString(sum[:8]) + `"`}
	if len(data) < smallest {
		return out
	}
	out.brotli, _ = fs.ReadFile(a.files, name+".br") // packed when the page was built; not all files are
	var b bytes.Buffer
	w, _ := gzip.NewWriterLevel(&b, gzip.BestCompression) // the level is one there is
	_, err := w.Write(data)
	if err == nil && w.Close() == nil && b.Len() < len(data)*9/10 {
		out.gzip = b.Bytes()
	}
	return out
}

// send answers with the file, packed where that is understood.
func (f asset) send(w http.ResponseWriter, r *http.Request) {
	h := w.Header()
	if f.kind != "" {
		h.Set("Content-Type", f.kind)
	}
	h.Set("ETag", f.tag)
	h.Set("Vary", "Accept-Encoding")
	if r.Header.Get("If-None-Match") == f.tag {
		w.WriteHeader(http.StatusNotModified)
		return
	}
	body, accepted := f.plain, r.Header.Get("Accept-Encoding")
	switch {
	case f.brotli != nil && accepts(accepted, "br"):
		h.Set("Content-Encoding", "br")
		body = f.brotli
	case f.gzip != nil && accepts(accepted, "gzip"):
		h.Set("Content-Encoding", "gzip")
		body = f.gzip
	}
	_, _ = w.Write(body) // who went away needs no answer
}

// accepts tells whether a way of packing is among those that are understood, and not weighed by nothing.
func accepts(accepted, way string) bool {
	return slices.ContainsFunc(strings.Split(accepted, ","), func(one string) bool {
		name, weight, _ := strings.Cut(one, ";")
		q, weighed := strings.CutPrefix(strings.TrimSpace(weight), "q=")
		if v, err := strconv.ParseFloat(q, 64); weighed && (err != nil || v == 0) {
			return false
		}
		return strings.TrimSpace(name) == way
	})
}
