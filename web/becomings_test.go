package web_test

import (
	"bufio"
	"encoding/json"
	"fmt"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/plan"
	"umschlag/format/planfile"
	"umschlag/web"
)

// becomes asks what cloth can become, and reads all that is told of it.
func becomes(t *testing.T, h http.Handler, ask string) []web.BecomeView {
	t.Helper()
	w := httptest.NewRecorder()
	r := httptest.NewRequest("POST", "http://localhost/api/v1/becomings", strings.NewReader(ask))
	r.Header.Set("Content-Type", "application/json")
	h.ServeHTTP(w, r)
	require.Equal(t, http.StatusOK, w.Code, w.Body)
	var out []web.BecomeView
	lines := bufio.NewScanner(w.Body)
	lines.Buffer(nil, 1<<24)
	for lines.Scan() {
		var v web.BecomeView
		require.NoError(t, json.Unmarshal(lines.Bytes(), &v))
		out = append(out, v)
	}
	return out
}

const bundle = `"cloths": [], "pieces": [{"fabrics": 8, "count": 1, "width": "22", "length": "18"}]`

func TestWhatABundleCanBecome(t *testing.T) {
	h := app(t)
	told := becomes(t, h, `{"width": "16", "height": "16", `+bundle+`}`)
	require.Greater(t, len(told), 2, "how far it is, and what came of it")
	last := told[len(told)-1]
	assert.True(t, last.Done)
	assert.Equal(t, last.Of, last.Tried)
	require.NotEmpty(t, last.Fronts)
	for _, f := range last.Fronts {
		p, err := planfile.Read(f.Plan)
		require.NoError(t, err, f.Title)
		assert.Equal(t, "16″", f.Width.Text)
		var into, in, lost int
		_, err = fmt.Sscanf(f.Lost, "Cut into, less what is left of it: %d in². In pieces: %d in². Lost in scraps: %d in².",
			&into, &in, &lost)
		require.NoError(t, err, f.Lost)
		assert.Equal(t, into-in, lost)
		assert.InDelta(t, f.Waste, 100*float64(lost)/float64(into), 0.7, "in percent")
		assert.NotEmpty(t, f.Piece.Cells, f.Title)
		r, err := planfile.Reckon(f.Plan, nil)
		require.NoError(t, err)
		for _, n := range r.Cloths {
			if p.Cloths[n.Cloth].Odd != nil {
				assert.Zero(t, n.Need.NM, "%s: %s comes from its pieces", f.Title, n.Name)
			}
		}
	}
	var made struct{ ID string }
	taken, err := json.Marshal(map[string]any{"plan": last.Fronts[0].Plan})
	require.NoError(t, err)
	require.Equal(t, http.StatusCreated, call(t, h, "POST", "/api/v1/plans", string(taken), &made).Code)

	of := becomes(t, h, `{"plan": "`+made.ID+`", `+bundle+`}`)
	assert.NotEmpty(t, of[len(of)-1].Fronts, "for a plan there is")
}

func TestOfWhatIsAskedNothingIsGuessed(t *testing.T) {
	h := app(t)
	for ask, path := range map[string]string{
		`{"width": "16", "height": "16", "cloths": [], "pieces": []}`:                                           "/cloths",
		`{"width": "wide", "height": "16", ` + bundle + `}`:                                                     "/width",
		`{"width": "16", "height": "0", ` + bundle + `}`:                                                        "/height",
		`{"width": "16", "height": "16", "cloths": ["velvet of gold"], "pieces": []}`:                           "/cloths",
		`{"largest": true, "cloths": [], "pieces": [{"fabrics": 40, "count": 1, "width": "5", "length": "5"}]}`: "/pieces/0/fabrics",
		`{"largest": true, "cloths": [], "pieces": [{"fabrics": 4, "count": 0, "width": "5", "length": "5"}]}`:  "/pieces/0/count",
		`{"largest": true, "cloths": [], "pieces": [{"fabrics": 4, "count": 2, "width": "5", "length": ""}]}`:   "/pieces/0/length",
		`{"plan": "turntable-hood-listening-corner", ` + bundle + `}`:                                           "/plan",
	} {
		var refused web.Refusal
		assert.Equal(t, http.StatusBadRequest, call(t, h, "POST", "/api/v1/becomings", ask, &refused).Code, ask)
		require.NotEmpty(t, refused.Errors, ask)
		assert.Equal(t, path, refused.Errors[0].Path, ask)
		assert.NotEmpty(t, refused.Errors[0].Text)
	}
	none := call(t, h, "POST", "/api/v1/becomings", `{"plan": "none", `+bundle+`}`, nil)
	assert.Equal(t, http.StatusNotFound, none.Code)
}

// What the cupboard has is taken from there, and what is kept for others is not.
func TestOnlyWhatIsFreeBecomesSomething(t *testing.T) {
	h := app(t)
	cloth := func(doc string) {
		require.Less(t, call(t, h, "POST", "/api/v1/cloths", `{"cloth": `+doc+`}`, nil).Code, 300)
	}
	cloth(`{"name": "test linen", "have": "1 yd"}`)
	told := becomes(t, h, `{"width": "16", "height": "16", "cloths": ["test linen"], "pieces": []}`)
	last := told[len(told)-1]
	require.NotEmpty(t, last.Fronts)
	p, err := planfile.Read(last.Fronts[0].Plan)
	require.NoError(t, err)
	names := map[string]plan.Cloth{}
	for _, c := range p.Cloths {
		names[c.Name] = c
	}
	require.Contains(t, names, "test linen")
	assert.Nil(t, names["test linen"].Have, "how much there is of it only the cupboard knows")
	assert.Contains(t, strings.Join(last.Fronts[0].Left, " "), "test linen: ")
}
