package web_test

import (
	"compress/gzip"
	"encoding/json"
	"io"
	"net/http"
	"net/http/httptest"
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// fetched is an answer as a browser that unpacks gets it.
func fetched(t *testing.T, h http.Handler, path string, headers ...string) (*httptest.ResponseRecorder, []byte) {
	r := httptest.NewRequestWithContext(t.Context(), "GET", "http://localhost"+path, nil)
	for i := 0; i < len(headers); i += 2 {
		r.Header.Set(headers[i], headers[i+1])
	}
	w := httptest.NewRecorder()
	h.ServeHTTP(w, r)
	body := io.Reader(w.Body)
	if w.Header().Get("Content-Encoding") == "gzip" {
		var err error
		body, err = gzip.NewReader(w.Body)
		require.NoError(t, err)
	}
	data, err := io.ReadAll(body)
	require.NoError(t, err)
	return w, data
}

// sent is how many bytes an answer takes on its way.
func sent(t *testing.T, h http.Handler, path string) int {
	r := httptest.NewRequestWithContext(t.Context(), "GET", "http://localhost"+path, nil)
	r.Header.Set("Accept-Encoding", "gzip, deflate, br, zstd")
	w := httptest.NewRecorder()
	h.ServeHTTP(w, r)
	return w.Body.Len()
}

func TestAnswersArePackedAndKeptNowhere(t *testing.T) {
	h := app(t)
	plain, want := fetched(t, h, reading)
	assert.Equal(t, "no-store", plain.Header().Get("Cache-Control"))
	packed, got := fetched(t, h, reading, "Accept-Encoding", "gzip")
	assert.Equal(t, "gzip", packed.Header().Get("Content-Encoding"))
	assert.JSONEq(t, string(want), string(got))
	assert.True(t, json.Valid(got))
	short, _ := fetched(t, h, "/api/v1/practice", "Accept-Encoding", "gzip")
	assert.Equal(t, "no-store", short.Header().Get("Cache-Control"))
	pdf, _ := fetched(t, h, reading+"/pack.pdf", "Accept-Encoding", "gzip")
	assert.Empty(t, pdf.Header().Get("Content-Encoding"))
}

func TestFilesOfThePageArePackedOnceAndNotSentTwice(t *testing.T) {
	h := app(t)
	_, page := fetched(t, h, "/")
	_, after, found := strings.Cut(string(page), "src=\"/assets/")
	if !found {
		t.Skip("the user interface is not built")
	}
	script, _, _ := strings.Cut(after, "\"")
	plain, want := fetched(t, h, "/assets/"+script)
	packed, got := fetched(t, h, "/assets/"+script, "Accept-Encoding", "gzip, deflate")
	assert.Equal(t, want, got)
	assert.Equal(t, "gzip", packed.Header().Get("Content-Encoding"))
	// What is packed best is made with the page, and unpacked by every browser test.
	best, small := fetched(t, h, "/assets/"+script, "Accept-Encoding", "gzip, deflate, br;q=1.0, zstd")
	assert.Equal(t, "br", best.Header().Get("Content-Encoding"))
	assert.Equal(t, packed.Header().Get("Content-Type"), best.Header().Get("Content-Type"))
	assert.Less(t, len(small), len(want)/3)
	assert.Len(t, small, sent(t, h, "/assets/"+script))
	refused, _ := fetched(t, h, "/assets/"+script, "Accept-Encoding", "br;q=0, gzip; q=0.0")
	assert.Empty(t, refused.Header().Get("Content-Encoding"), "weighed by nothing is refused")
	assert.Contains(t, packed.Header().Get("Cache-Control"), "immutable")
	assert.Contains(t, plain.Header().Get("Content-Type"), "javascript")
	tag := packed.Header().Get("ETag")
	again, body := fetched(t, h, "/assets/"+script, "If-None-Match", tag)
	assert.Equal(t, http.StatusNotModified, again.Code)
	assert.Empty(t, body)
	missing, _ := fetched(t, h, "/assets/../../etc/passwd")
	assert.NotContains(t, missing.Body.String(), "root:")
}

// What the page begins with is one script, its style and its fonts, and less than 300 kB on their way.
func TestThePageBeginsWithLittle(t *testing.T) {
	h := app(t)
	_, page := fetched(t, h, "/")
	named := regexp.MustCompile(`(?:src|href)="(/assets/[^"]+)"`).FindAllStringSubmatch(string(page), -1)
	if len(named) == 0 {
		t.Skip("the user interface is not built")
	}
	scripts, bytes := 0, sent(t, h, "/")
	for _, asset := range named {
		bytes += sent(t, h, asset[1])
		if strings.HasSuffix(asset[1], ".js") {
			scripts++
		}
	}
	assert.Equal(t, 1, scripts)
	assert.Less(t, bytes, 300_000)
}
