package web_test

import (
	"archive/zip"
	"bytes"
	"encoding/json"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/format/workshopfile"
	"umschlag/store"
	"umschlag/web"
)

// emptyApp is an app in which nothing is yet.
func emptyApp(t *testing.T) http.Handler {
	t.Helper()
	s, err := store.Open(t.Context(), t.TempDir(), time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	return web.New(web.Config{Store: s, Log: slog.New(slog.NewTextHandler(io.Discard, nil)),
		Patience: time.Hour, Quiet: time.Hour}) // however busy the machine is
}

func saved(t *testing.T, h http.Handler) []byte {
	t.Helper()
	w := call(t, h, "GET", "/api/v1/workshop.zip", nil, nil)
	require.Equal(t, http.StatusOK, w.Code)
	return w.Body.Bytes()
}

func bring(t *testing.T, h http.Handler, data []byte) (int, web.Refusal) {
	t.Helper()
	r := httptest.NewRequest(http.MethodPost, "/api/v1/workshop", bytes.NewReader(data))
	r.Host = "localhost"
	r.Header.Set("Content-Type", "application/octet-stream")
	w := httptest.NewRecorder()
	h.ServeHTTP(w, r)
	var refusal web.Refusal
	_ = json.Unmarshal(w.Body.Bytes(), &refusal) // not every answer is one
	return w.Code, refusal
}

// A whole workshop goes out and into an empty one, and out of that again as the same.
func TestAWholeWorkshopGoesOutAndIn(t *testing.T) {
	full, empty := app(t), emptyApp(t)
	data := saved(t, full)
	assert.Equal(t, data, saved(t, full), "the same workshop, the same file")
	code, refusal := bring(t, empty, data)
	require.Equal(t, http.StatusCreated, code, refusal.Detail)
	assert.Equal(t, data, saved(t, empty))
	for _, path := range []string{"/api/v1/plans", "/api/v1/log", "/api/v1/samples", "/api/v1/cloths",
		"/api/v1/notions"} {
		assert.JSONEq(t, call(t, full, "GET", path, nil, nil).Body.String(),
			call(t, empty, "GET", path, nil, nil).Body.String(), path)
	}
	code, refusal = bring(t, empty, data)
	assert.Equal(t, http.StatusConflict, code)
	assert.Equal(t, "not-empty", refusal.Type)
}

// changed is a workshop with something changed in it.
func changed(t *testing.T, data []byte, change func(*workshopfile.Workshop)) []byte {
	t.Helper()
	w, err := workshopfile.Read(data)
	require.NoError(t, err)
	change(&w)
	out, err := workshopfile.Write(w)
	require.NoError(t, err)
	return out
}

func TestAWorkshopThatIsWrongBringsNothingIn(t *testing.T) {
	data := saved(t, app(t))
	var other bytes.Buffer
	z := zip.NewWriter(&other)
	f, err := z.Create("../../etc/passwd")
	require.NoError(t, err)
	_, err = f.Write([]byte("x"))
	require.NoError(t, err)
	require.NoError(t, z.Close())
	for name, c := range map[string]struct {
		data []byte
		says string
	}{
		"nothing":     {nil, "not a zip"},
		"cut off":     {data[:len(data)/2], "its end is missing"},
		"another zip": {other.Bytes(), "does not belong to a workshop"},
		"a plan is wrong": {changed(t, data,
			func(w *workshopfile.Workshop) { w.Plans[3].Doc = json.RawMessage(`{"format":"x"}`) }), "plans/3"},
		"a fabric is wrong": {changed(t, data,
			func(w *workshopfile.Workshop) { w.Cloths[1].Doc = json.RawMessage(`{"name":"x","width":"0"}`) }),
			"cloths/1"},
		"a plan is missing": {changed(t, data, func(w *workshopfile.Workshop) { w.Log[0].Plan = "gone" }),
			`"gone" is not in the file`},
		"a photo is missing": {changed(t, data, func(w *workshopfile.Workshop) { w.Log[0].Photos = []int{9} }),
			"photo 9 is not in the file"},
		"an id that leads elsewhere": {changed(t, data,
			func(w *workshopfile.Workshop) { w.Plans[0].ID = "../../x" }), "plans/0"},
		"a photo is none": {changed(t, data, func(w *workshopfile.Workshop) {
			w.Photos = map[int]workshopfile.Photo{4: {JPEG: []byte("no picture")}}
		}), "photos/4.jpg"},
		"two of one name": {changed(t, data, func(w *workshopfile.Workshop) { w.Cloths[1].Name = w.Cloths[0].Name }),
			"another name"},
	} {
		h := emptyApp(t)
		code, refusal := bring(t, h, c.data)
		assert.GreaterOrEqual(t, code, 400, name)
		assert.Less(t, code, 500, name)
		said, err := json.Marshal(refusal)
		require.NoError(t, err)
		assert.Contains(t, refusal.Detail+string(said), c.says, name)
		var shelf []web.ShelfItem
		call(t, h, "GET", "/api/v1/plans", nil, &shelf)
		assert.Empty(t, shelf, name)
		var cloths []web.ClothView
		call(t, h, "GET", "/api/v1/cloths", nil, &cloths)
		assert.Empty(t, cloths, name)
	}
}
