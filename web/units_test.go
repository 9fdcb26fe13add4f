package web_test

import (
	"encoding/json"
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/answer"
	"umschlag/format/workshopfile"
	"umschlag/web"
)

const pinwheel = "/api/v1/plans/pinwheel-cushion-for-the-reading-corner"

// pinwheels are the half-square triangles of the demo plan that is sewn from them.
func pinwheels(t *testing.T, h http.Handler) answer.Units {
	t.Helper()
	var view web.PlanView
	call(t, h, "GET", pinwheel, nil, &view)
	require.Len(t, view.Reckoning.Units, 1)
	return view.Reckoning.Units[0]
}

func cupboardUnits(t *testing.T, h http.Handler) []web.UnitsView {
	t.Helper()
	var list []web.UnitsView
	call(t, h, "GET", "/api/v1/units", nil, &list)
	return list
}

// unit is one of the units as a plan tells it.
func unit(u answer.Units) map[string]any {
	return map[string]any{"cells": u.Cells, "cloths": u.Cloths, "width": u.Width.Exact, "height": u.Height.Exact,
		"count": 1}
}

func TestUnitsGoIntoTheCupboardAndOut(t *testing.T) {
	h := app(t)
	list := cupboardUnits(t, h)
	require.Len(t, list, 1)
	assert.Equal(t, "half-square triangles", list[0].Name)
	assert.Equal(t, "2½″ × 2½″ as sewn, of chalk dot and ink leaf", list[0].Says)
	assert.Len(t, list[0].Swatches, 2)
	u := pinwheels(t, h)
	assert.Equal(t, 6, u.Held)

	var moved web.MovedUnits
	call(t, h, "POST", pinwheel+"/units", map[string]any{"made": unit(u), "held": 6, "put": -4}, &moved)
	assert.Equal(t, "4 half-square triangles moved out of the cupboard.", moved.Text)
	assert.Equal(t, 2, pinwheels(t, h).Held)
	again := refused(t, h, "POST", pinwheel+"/units", map[string]any{"made": unit(u), "held": 6, "put": -4},
		http.StatusConflict)
	assert.Contains(t, again.Detail, "There are 2 such units in the cupboard now")
	assert.Equal(t, 2, pinwheels(t, h).Held, "asked twice it is done once")
	more := refused(t, h, "POST", pinwheel+"/units", map[string]any{"made": unit(u), "held": 2, "put": -3},
		http.StatusConflict)
	assert.Contains(t, more.Detail, "There are 2")
	call(t, h, "POST", pinwheel+"/units", map[string]any{"made": unit(u), "held": 2, "put": -2}, &moved)
	assert.Empty(t, cupboardUnits(t, h))
	call(t, h, "POST", pinwheel+"/units", map[string]any{"made": unit(u), "held": 0, "put": 1}, &moved)
	assert.Equal(t, "1 half-square triangle moved into the cupboard.", moved.Text)
	assert.Equal(t, 1, pinwheels(t, h).Held)
}

func TestUnitsOfTheCupboardAreCountedAnew(t *testing.T) {
	h := app(t)
	u := cupboardUnits(t, h)[0]
	require.Equal(t, 1, u.ID)
	const at = "/api/v1/units/1"
	count := func(at string, base, n int) int {
		return call(t, h, "PUT", at, map[string]any{"base": base, "count": n}, nil).Code
	}
	require.Equal(t, http.StatusNoContent, count(at, u.Revision, 9))
	assert.Equal(t, 9, cupboardUnits(t, h)[0].Count)
	assert.Equal(t, http.StatusConflict, count(at, u.Revision, 3), "it was read before")
	assert.Equal(t, http.StatusBadRequest, count(at, u.Revision+1, 0))
	assert.Equal(t, http.StatusNotFound, count(at+"7", 1, 3))
	u = cupboardUnits(t, h)[0]
	require.Equal(t, http.StatusNoContent, call(t, h, "DELETE", at, nil, nil).Code)
	assert.Equal(t, http.StatusNotFound, call(t, h, "DELETE", at, nil, nil).Code)
	assert.Empty(t, cupboardUnits(t, h))
	for range 2 { // put back, and as many again
		added := call(t, h, "POST", "/api/v1/units", map[string]any{"units": u.Units}, nil)
		require.Equal(t, http.StatusNoContent, added.Code)
	}
	back := cupboardUnits(t, h)
	require.Len(t, back, 1)
	assert.Equal(t, 18, back[0].Count)
}

func TestUnitsThatCannotBeKeptAreNamed(t *testing.T) {
	h := app(t)
	good := func() map[string]any {
		return map[string]any{"cells": "A / B", "fabrics": []string{"linen", "dot"}, "width": "4.5", "height": "4.5",
			"seam": "0.25", "count": 2}
	}
	for says, change := range map[string]func(map[string]any){
		"such as A / B":         func(u map[string]any) { u["cells"] = "A" },
		"has no name":           func(u map[string]any) { u["fabrics"] = []string{"linen", " "} },
		"The width of a unit":   func(u map[string]any) { u["width"] = "0" },
		"The height of a unit":  func(u map[string]any) { u["height"] = "9000" },
		"The seam of a unit":    func(u map[string]any) { u["seam"] = "0" },
		"How many units there":  func(u map[string]any) { u["count"] = 0 },
		"2 letters and names 1": func(u map[string]any) { u["fabrics"] = []string{"linen"} },
		"A part is missing":     func(u map[string]any) { u["cells"] = "A /" },
	} {
		u := good()
		change(u)
		r := refused(t, h, "POST", "/api/v1/units", map[string]any{"units": u}, http.StatusBadRequest)
		text, err := json.Marshal(r)
		require.NoError(t, err)
		assert.Contains(t, string(text), says)
	}
	added := call(t, h, "POST", "/api/v1/units", map[string]any{"units": good()}, nil)
	assert.Equal(t, http.StatusNoContent, added.Code)
	assert.Equal(t, http.StatusNotFound, call(t, h, "POST", "/api/v1/plans/none/units",
		map[string]any{"made": map[string]any{}, "held": 0, "put": 1}, nil).Code)
	unread := map[string]any{"cells": "A /", "cloths": []string{"A"}, "width": "4", "height": "4", "count": 1}
	refused(t, h, "POST", pinwheel+"/units", map[string]any{"made": unread, "held": 0, "put": 1}, http.StatusBadRequest)
}

// In another unit the same units stay as large as they are, and are the plan's as before; so they do in a workshop
// they are brought into.
func TestUnitsStayWhatTheyAre(t *testing.T) {
	h := app(t)
	var habits web.HabitsView
	call(t, h, "GET", "/api/v1/habits", nil, &habits)
	require.Equal(t, http.StatusOK, call(t, h, "PUT", "/api/v1/habits",
		map[string]any{"base": habits.Revision, "units": "cm", "habits": habits.Habits}, nil).Code)
	assert.Equal(t, "≈6.4 cm × ≈6.4 cm as sewn, of chalk dot and ink leaf", cupboardUnits(t, h)[0].Says)
	assert.Equal(t, 6, pinwheels(t, h).Held)
	data := saved(t, h)
	other := emptyApp(t)
	code, why := bring(t, other, data)
	require.Less(t, code, 300, "%v", why)
	assert.Equal(t, 6, pinwheels(t, other).Held)
	code, refusal := bring(t, emptyApp(t), changed(t, data, func(w *workshopfile.Workshop) {
		w.Units[0].Doc = json.RawMessage(`{"cells":"A","fabrics":["x"],"width":"4","height":"4","seam":"1","count":1}`)
	}))
	assert.Equal(t, http.StatusBadRequest, code)
	said, err := json.Marshal(refusal)
	require.NoError(t, err)
	assert.Contains(t, string(said), "units/0")
}

// Two cushions of nine half-squares each, two at a time: what is over of one is told to be taken for the other, and
// then four squares of each do for it.
func TestUnitsOneCoverLeavesAnother(t *testing.T) {
	h := emptyApp(t)
	made := func(title string) string {
		var view web.PlanView
		call(t, h, "POST", "/api/v1/plans", map[string]any{"plan": map[string]any{"format": "umschlag/plan/2",
			"title": title, "units": "in", "object": map[string]any{"kind": "form", "width": 12, "height": 12},
			"cover": map[string]any{"kind": "cushion"}, "habits": map[string]any{"triangles": "trim"},
			"cloths": map[string]any{"A": map[string]any{"name": "leaf"}, "B": map[string]any{"name": "dot"}},
			"pieces": map[string]any{"front": map[string]any{"face": map[string]any{"kind": "grid", "columns": 3,
				"rows": 3, "patch": map[string]any{"width": 4}, "cloths": []string{"A", "B"},
				"block": "half-square"}}}}}, &view)
		require.Len(t, view.Reckoning.Units, 1, "%v", view.Reckoning.Findings)
		return "/api/v1/plans/" + view.ID
	}
	first, second := made("Stool"), made("Bench")
	var list web.ShoppingView
	call(t, h, "GET", "/api/v1/shopping", nil, &list)
	require.Len(t, list.Passed, 1)
	assert.Contains(t, list.Passed[0], "1 half-square triangle, 4½″ × 4½″ as sewn, of dot and leaf, is over in")
	assert.Contains(t, list.Passed[0], "Stool")
	assert.Contains(t, list.Passed[0], "Bench")
	var one web.PlanView
	call(t, h, "GET", first, nil, &one)
	call(t, h, "POST", first+"/units", map[string]any{"made": unit(one.Reckoning.Units[0]), "held": 0, "put": 1}, nil)
	call(t, h, "GET", second, nil, &one)
	assert.Equal(t, 1, one.Reckoning.Units[0].Held)
	assert.Equal(t, []int{9, 1}, []int{one.Reckoning.Units[0].Need, one.Reckoning.Units[0].Over})
}
