package web_test

import (
	"encoding/json"
	"net/http"
	"net/http/httptest"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/format/svgfile"
	"umschlag/web"
)

const van = "/api/v1/plans/van-cushion-in-four-layers"

func TestShapesAreReadFromAFile(t *testing.T) {
	h := app(t)
	data, err := os.ReadFile("../format/svgfile/testdata/sound/groups.svg")
	require.NoError(t, err)
	var view web.ShapesView
	require.Equal(t, 200, call(t, h, "POST", "/api/v1/shapes/read?units=mm", string(data), &view).Code)
	require.Len(t, view.Shapes, 3)
	assert.Equal(t, []string{"#a6331f", "#4d6b3c", "#000080"}, view.Fills)
	assert.Contains(t, string(view.Shapes[0]), `"at":{"middle":true},"key":"k`, "the largest stands in the middle")
	assert.Contains(t, string(view.Shapes[0]), `"name":"roof"`)
	var roof, leaf struct{ Key, From string }
	require.NoError(t, json.Unmarshal(view.Shapes[0], &roof))
	require.NoError(t, json.Unmarshal(view.Shapes[1], &leaf))
	assert.Equal(t, roof.Key, leaf.From, "the others are placed from it")
	assert.Contains(t, string(view.Shapes[2]), `"edge":"line"`)
	refused(t, h, "POST", "/api/v1/shapes/read?units=ells", string(data), 400)
	p := refused(t, h, "POST", "/api/v1/shapes/read?units=mm",
		`<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>`, 400)
	assert.Contains(t, p.Detail, "<script>")
	refused(t, h, "POST", "/api/v1/shapes/read?units=mm", strings.Repeat(" ", 5<<20), 413)
}

func TestAShapeIsMovedOnTheRulerStep(t *testing.T) {
	h := app(t)
	var view web.PlanView
	call(t, h, "GET", van, nil, &view)
	about := "/pieces/front/face/applique/0"
	var moved web.MovedFitting
	body := map[string]any{"plan": view.Plan, "about": about, "x": 25_000_000, "y": 50_000_000, "across": 1, "down": 0}
	require.Equal(t, 200, call(t, h, "POST", "/api/v1/shapes/move", body, &moved).Code)
	assert.JSONEq(t, `{"right": "13 3/8", "top": "2"}`, string(moved.At), "from the right, as before: 18 − 3½ − 1⅛")
	body["about"] = "/pieces/front/face/applique/99"
	p := refused(t, h, "POST", "/api/v1/shapes/move", body, 400)
	assert.Contains(t, p.Detail, "cannot be moved")
}

func TestTemplatesAreWrittenAtTrueSize(t *testing.T) {
	h := app(t)
	file := func(path string) *httptest.ResponseRecorder {
		w := httptest.NewRecorder()
		h.ServeHTTP(w, httptest.NewRequest(http.MethodGet, "http://127.0.0.1"+path, nil))
		return w
	}
	w := file(van + "/shapes/front?as=templates")
	require.Equal(t, 200, w.Code)
	assert.Equal(t, "image/svg+xml", w.Header().Get("Content-Type"))
	d, err := svgfile.Read(w.Body.Bytes())
	require.NoError(t, err)
	assert.Empty(t, d.Omitted)
	require.Len(t, d.Outlines, 10, "each template once, and none for a drawn line")
	assert.Equal(t, "wheel, 2 ×", strings.ToLower(d.Outlines[7].Name))
	assert.InDelta(t, 2.5*25.4, d.Outlines[7].Path.Box().Width(), 0.01)
	lying, err := svgfile.Read(file(van + "/shapes/front").Body.Bytes())
	require.NoError(t, err)
	assert.Len(t, lying.Outlines, 14)
	assert.Equal(t, 404, file(van+"/shapes/back").Code)
	assert.Equal(t, 404, file("/api/v1/plans/nothing/shapes/front").Code)
}

func TestSeveralDrawingsAreNotHalved(t *testing.T) {
	h := app(t)
	for _, as := range []string{"svg", "plt"} {
		p := refused(t, h, "GET", van+"/drawings/pieces?as="+as, "", 400)
		assert.Contains(t, p.Detail, "as=dxf", "what to ask instead")
	}
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest(http.MethodGet, "http://127.0.0.1"+van+"/drawings/pieces?as=dxf", nil))
	assert.Equal(t, 200, w.Code)
}
