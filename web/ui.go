package web

import (
	"bytes"
	"context"
	"embed"
	"io/fs"
	"net/http"
	"path"
	"strings"

	"github.com/labstack/echo/v5"
)

// dist is the built user interface; in a clone where it was not built it holds
// nothing but a marker.
//
//go:embed all:dist
var dist embed.FS

// nonceMark stands in index.html where the page's nonce belongs.
const nonceMark = "__NONCE__"

// ui serves the user interface: its files, and index.html for every place, with what a place asks for first.
func ui(first func(ctx context.Context, id string) []string) echo.HandlerFunc {
	files, err := fs.Sub(dist, "dist")
	if err != nil {
		panic(err) // the folder is embedded under this name
	}
	index, missing := fs.ReadFile(files, "index.html")
	held, scripts := &assets{files: files}, readFirst(files)
	return func(c *echo.Context) error {
		if missing != nil {
			return c.String(http.StatusServiceUnavailable, "The user interface is not built. Run: make build\n")
		}
		name := strings.TrimPrefix(path.Clean(c.Request().URL.Path), "/")
		if name != "" && name != "index.html" {
			if file, there := held.of(name); there {
				if strings.HasPrefix(name, "assets/") { // their names carry a hash
					c.Response().Header().Set("Cache-Control", "public, max-age=31536000, immutable")
				} else {
					c.Response().Header().Set("Cache-Control", "no-cache")
				}
				file.send(c.Response(), c.Request())
				return nil
			}
			if strings.HasPrefix(name, "assets/") {
				return echo.ErrNotFound
			}
		}
		nonce, _ := c.Get(nonceKey).(string)
		var asks []string
		if id := c.Param("id"); id != "" || name == "" {
			asks = first(c.Request().Context(), id)
		}
		askedFirst(c.Response().Header(), scripts.at(name), asks)
		c.Response().Header().Set("Cache-Control", "no-store")
		return c.HTMLBlob(http.StatusOK, bytes.ReplaceAll(index, []byte(nonceMark), []byte(nonce)))
	}
}
