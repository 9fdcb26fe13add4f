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

// unit is so many of the units as a plan tells them that came out of the cupboard.
func unit(u answer.Units, count, cupboard int) map[string]any {
	return map[string]any{"cells": u.Cells, "cloths": u.Cloths, "width": u.Width.Exact, "height": u.Height.Exact,
		"count": count, "cupboard": cupboard}
}

// remade saves the pinwheel plan with other units left from other covers, and over.
func remade(t *testing.T, h http.Handler, made, over []map[string]any) web.PlanView {
	t.Helper()
	var view web.PlanView
	call(t, h, "GET", pinwheel, nil, &view)
	var doc map[string]any
	require.NoError(t, json.Unmarshal(view.Plan, &doc))
	delete(doc, "made")
	if len(made) > 0 {
		doc["made"] = made
	}
	progress, _ := doc["progress"].(map[string]any)
	if progress == nil {
		progress = map[string]any{}
	}
	delete(progress, "over")
	if len(over) > 0 {
		progress["over"] = over
	}
	doc["progress"] = progress
	var after web.PlanView
	w := call(t, h, "PUT", pinwheel, map[string]any{"base": view.Revision, "plan": doc, "label": "units"}, &after)
	require.Equal(t, http.StatusOK, w.Code, w.Body.String())
	return after
}

// What a plan takes out of the cupboard, and puts there, the cupboard has no more, or has: by every change of the plan,
// undone, redone and restored among them.
func TestTheCupboardFollowsThePlan(t *testing.T) {
	h := app(t)
	list := cupboardUnits(t, h)
	require.Len(t, list, 1)
	assert.Equal(t, "half-square triangles", list[0].Name)
	assert.Equal(t, "2½″ × 2½″ as sewn, of chalk dot and ink leaf", list[0].Says)
	assert.Len(t, list[0].Swatches, 2)
	u := pinwheels(t, h)
	assert.Equal(t, 6, u.Held)

	view := remade(t, h, []map[string]any{unit(u, 4, 4)}, nil)
	assert.Equal(t, []int{4, 2}, []int{view.Reckoning.Units[0].Have, view.Reckoning.Units[0].Held})
	view = remade(t, h, []map[string]any{unit(u, 9, 6)}, nil)
	assert.Equal(t, []int{9, 0}, []int{view.Reckoning.Units[0].Have, view.Reckoning.Units[0].Held})
	assert.Empty(t, cupboardUnits(t, h))
	step := func(how string) {
		var after web.PlanView
		require.Equal(t, http.StatusOK,
			call(t, h, "POST", pinwheel+"/"+how, map[string]any{"base": view.Revision}, &after).Code)
		view = after
	}
	for _, s := range []struct {
		how  string
		held int
	}{{"undo", 2}, {"undo", 6}, {"redo", 2}, {"redo", 0}} {
		step(s.how)
		assert.Equal(t, s.held, view.Reckoning.Units[0].Held, s.how)
	}
	require.Equal(t, http.StatusOK, call(t, h, "POST", pinwheel+"/restore",
		map[string]any{"base": view.Revision, "revision": 1}, &view).Code)
	assert.Equal(t, 6, view.Reckoning.Units[0].Held, "restored as it was begun")

	view = remade(t, h, []map[string]any{unit(u, 63, 0)}, []map[string]any{unit(u, 1, 0)})
	assert.Equal(t, []int{1, 7}, []int{view.Reckoning.Units[0].Kept, view.Reckoning.Units[0].Held})
	view = remade(t, h, nil, nil)
	assert.Equal(t, 6, view.Reckoning.Units[0].Held)
	// More than is there: the plan is saved all the same, and nothing is less than none.
	view = remade(t, h, []map[string]any{unit(u, 20, 20)}, nil)
	assert.Zero(t, view.Reckoning.Units[0].Held)
	view = remade(t, h, nil, []map[string]any{unit(u, 1500, 0), unit(u, 1500, 0)})
	assert.Equal(t, 2000, view.Reckoning.Units[0].Held, "and no more than are kept of one kind")
	// What cannot be units is saved as it was typed, and moves nothing.
	flat := unit(u, 2, 2)
	flat["width"] = "0"
	view = remade(t, h, []map[string]any{flat}, nil)
	assert.NotEmpty(t, view.Reckoning.Findings)
}

// A plan begun from another one has nothing of what that took out of the cupboard.
func TestAPlanBegunFromAnotherHasNoneOfItsUnits(t *testing.T) {
	h := app(t)
	view := remade(t, h, []map[string]any{unit(pinwheels(t, h), 9, 4)}, []map[string]any{unit(pinwheels(t, h), 1, 0)})
	assert.Equal(t, 3, view.Reckoning.Units[0].Held)
	var copied web.PlanView
	require.Equal(t, http.StatusCreated, call(t, h, "POST", "/api/v1/plans", map[string]any{"plan": view.Plan},
		&copied).Code)
	u := copied.Reckoning.Units[0]
	assert.Equal(t, []int{5, 0, 3}, []int{u.Have, u.Kept, u.Held}, "those somebody typed it has")
	again := remade(t, h, []map[string]any{unit(u, 4, 4)}, nil)
	assert.Equal(t, 2, again.Reckoning.Units[0].Held, "what was over came out again")
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
	var doc map[string]any
	require.NoError(t, json.Unmarshal(one.Plan, &doc))
	doc["progress"] = map[string]any{"over": []any{unit(one.Reckoning.Units[0], 1, 0)}}
	require.Equal(t, http.StatusOK, call(t, h, "PUT", first, map[string]any{"base": one.Revision, "plan": doc,
		"label": "over"}, &one).Code)
	call(t, h, "GET", second, nil, &one)
	assert.Equal(t, 1, one.Reckoning.Units[0].Held)
	assert.Equal(t, []int{9, 1}, []int{one.Reckoning.Units[0].Need, one.Reckoning.Units[0].Over})
}
