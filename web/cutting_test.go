package web_test

import (
	"encoding/json"
	"fmt"
	"net/http"
	"slices"
	"strconv"
	"testing"
	"time"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/web"
)

func needOf(t *testing.T, r answer.Reckoning, name string) answer.ClothNeed {
	t.Helper()
	i := slices.IndexFunc(r.Cloths, func(n answer.ClothNeed) bool { return n.Name == name })
	require.GreaterOrEqual(t, i, 0, name)
	return r.Cloths[i]
}

func clothNamed(t *testing.T, h http.Handler, name string) web.ClothView {
	t.Helper()
	var cloths []web.ClothView
	call(t, h, "GET", "/api/v1/cloths", nil, &cloths)
	i := slices.IndexFunc(cloths, func(c web.ClothView) bool { return c.Name == name })
	require.GreaterOrEqual(t, i, 0, name)
	return cloths[i]
}

// Two plans that want the same pieces: what is kept for one, the other does not get, and
// hears so.
func TestWhatIsKeptForOnePlanTheOtherDoesNotGet(t *testing.T) {
	h := app(t)
	var view web.PlanView
	call(t, h, "GET", "/api/v1/plans/reading-corner-cushion", nil, &view)
	calico := needOf(t, view.Reckoning, "calico")
	require.Len(t, calico.Odd, 1, "the offcut does for the lining")
	assert.Zero(t, calico.Need.NM)
	var moved web.MovedCloth
	call(t, h, "POST", "/api/v1/plans/reading-corner-cushion/cloths/"+calico.Cloth+"/keep", nil, &moved)
	assert.Equal(t, "Of calico are kept for this plan: 1 offcut.", moved.Text)
	assert.Equal(t, "Reading-corner cushion", clothNamed(t, h, "calico").Odd[0].For)

	call(t, h, "GET", "/api/v1/plans/pinwheel-cushion-for-the-reading-corner", nil, &view)
	assert.Empty(t, needOf(t, view.Reckoning, "calico").Odd)
	call(t, h, "GET", "/api/v1/plans/reading-corner-cushion", nil, &view)
	assert.Equal(t, 1, needOf(t, view.Reckoning, "calico").Kept.Odd)

	call(t, h, "POST", "/api/v1/plans/reading-corner-cushion/cloths/"+calico.Cloth+"/let-go", nil, &moved)
	assert.Empty(t, clothNamed(t, h, "calico").Odd[0].For)
	stripe := needOf(t, view.Reckoning, "madder stripe")
	refused := call(t, h, "POST", "/api/v1/plans/reading-corner-cushion/cloths/"+stripe.Cloth+"/keep", nil, nil)
	assert.Equal(t, http.StatusConflict, refused.Code)
	assert.Contains(t, refused.Body.String(), "There is nothing of this fabric to keep for it")
	assert.Equal(t, http.StatusNotFound,
		call(t, h, "POST", "/api/v1/plans/reading-corner-cushion/cloths/Q/keep", nil, nil).Code)
}

func TestWhatIsLeftGoesBackOnce(t *testing.T) {
	h := app(t)
	var view web.PlanView
	const at = "/api/v1/plans/reading-corner-cushion"
	call(t, h, "GET", at, nil, &view)
	leaf := needOf(t, view.Reckoning, "ink leaf")
	early := call(t, h, "POST", at+"/cloths/"+leaf.Cloth+"/return", nil, nil)
	assert.Equal(t, http.StatusConflict, early.Code)
	assert.Contains(t, early.Body.String(), "Not all is cut of ink leaf yet")

	var doc map[string]any
	require.NoError(t, json.Unmarshal(view.Plan, &doc))
	cut := map[string]any{}
	for _, c := range view.Reckoning.Cuts {
		if c.Cloth == leaf.Cloth {
			cut[c.ID] = map[string]any{}
		}
	}
	doc["progress"] = map[string]any{"cut": cut}
	call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": doc, "label": "cut"}, &view)
	assert.True(t, needOf(t, view.Reckoning, "ink leaf").Done)
	before := clothNamed(t, h, "ink leaf")
	var moved web.MovedCloth
	call(t, h, "POST", at+"/cloths/"+leaf.Cloth+"/return", nil, &moved)
	after := clothNamed(t, h, "ink leaf")
	assert.Equal(t, before.Have.NM-leaf.Need.NM, after.Have.NM)
	require.NotEmpty(t, after.Odd)
	assert.Equal(t, leaf.Lay.Strips[0].Height.NM, after.Odd[0].Length.NM, "the end of its strip")
	assert.JSONEq(t, string(before.Cloth), string(moved.Before))

	// Whether the plan says so too, or says it no more after an undo, or never got to: the cupboard knows.
	for _, says := range [][]string{nil, {leaf.Cloth}, {}} {
		doc["progress"] = map[string]any{"cut": cut, "returned": says}
		var now web.PlanView
		call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": doc, "label": "back"}, &now)
		assert.True(t, needOf(t, now.Reckoning, "ink leaf").Returned)
		view.Revision = now.Revision
		again := call(t, h, "POST", at+"/cloths/"+leaf.Cloth+"/return", nil, nil)
		assert.Equal(t, http.StatusConflict, again.Code)
		assert.Contains(t, again.Body.String(), "is back in the cupboard already")
		assert.Equal(t, after, clothNamed(t, h, "ink leaf"), "it goes back once")
	}
	undo := map[string]any{"base": moved.Revision, "cloth": moved.Before}
	w := call(t, h, "PUT", fmt.Sprintf("/api/v1/cloths/%d", moved.ID), undo, nil)
	require.Equal(t, http.StatusOK, w.Code, w.Body.String())
	var undone web.PlanView
	call(t, h, "GET", at, nil, &undone)
	assert.False(t, needOf(t, undone.Reckoning, "ink leaf").Returned, "taken back, it can go there again")
}

func TestPlansOnOneLay(t *testing.T) {
	h := app(t)
	var view web.TogetherView
	call(t, h, "GET", "/api/v1/together?cloth=moss+leaf", nil, &view)
	require.Greater(t, len(view.Plans), 2)
	count := 0
	for _, p := range view.Pieces {
		count += p.Count
	}
	assert.Len(t, view.Lay.Placed, count)
	assert.LessOrEqual(t, view.Need.NM, view.Apart.NM)
	assert.Equal(t, view.Apart.NM-view.Need.NM, view.Saves.NM)
	var one web.TogetherView
	call(t, h, "GET", "/api/v1/together?cloth=moss+leaf&plan="+view.Plans[0].ID, nil, &one)
	assert.Zero(t, one.Saves.NM, "one by itself saves nothing")
	assert.Len(t, one.Plans, len(view.Plans), "the others stay to be chosen")
	assert.Equal(t, http.StatusNotFound, call(t, h, "GET", "/api/v1/together?cloth=velvet", nil, nil).Code)
}

// ended asks until a search is done.
func ended(t *testing.T, h http.Handler, id string) web.SearchView {
	t.Helper()
	var v web.SearchView
	require.Eventually(t, func() bool {
		v = web.SearchView{}
		call(t, h, "GET", "/api/v1/searches/"+id, nil, &v)
		return v.Done
	}, 5*time.Minute, 5*time.Millisecond) // it ends by itself after half a minute
	return v
}

func TestAShorterLayIsLookedForMeanwhile(t *testing.T) {
	h := app(t)
	var view web.PlanView
	const at = "/api/v1/plans/returns-desk-cushion-on-point"
	call(t, h, "GET", at, nil, &view)
	dot := needOf(t, view.Reckoning, "straw dot")
	var began web.SearchView
	call(t, h, "POST", "/api/v1/searches", web.AskSearch{Plan: "returns-desk-cushion-on-point", Letter: dot.Cloth},
		&began)
	assert.Equal(t, dot.Lay.Length.NM, began.Before.NM)
	found := ended(t, h, began.ID)
	assert.False(t, found.Stopped)
	assert.LessOrEqual(t, found.Lay.Length.NM, began.Before.NM)
	assert.Len(t, found.Lay.Placed, len(dot.Lay.Placed))
	if len(found.Way) > 0 {
		var doc map[string]any
		require.NoError(t, json.Unmarshal(view.Plan, &doc))
		doc["lays"] = map[string]any{dot.Cloth: map[string]any{"way": found.Way}}
		call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": doc, "label": "shorter lay"}, &view)
		assert.Equal(t, found.Lay.Length.NM, needOf(t, view.Reckoning, "straw dot").Lay.Length.NM,
			"the plan keeps the way to it")
	}
	assert.Equal(t, http.StatusNotFound, call(t, h, "GET", "/api/v1/searches/none", nil, nil).Code)
	assert.Equal(t, http.StatusNotFound,
		call(t, h, "POST", "/api/v1/searches", web.AskSearch{Plan: "returns-desk-cushion-on-point", Letter: "Q"},
			nil).Code)
}

func TestASearchIsStopped(t *testing.T) {
	h := app(t)
	var began web.SearchView
	call(t, h, "POST", "/api/v1/searches", web.AskSearch{Cloth: "moss leaf"}, &began)
	call(t, h, "DELETE", "/api/v1/searches/"+began.ID, nil, nil)
	assert.True(t, ended(t, h, began.ID).Done)
}

func TestNotions(t *testing.T) {
	h := app(t)
	var list []web.NotionView
	call(t, h, "GET", "/api/v1/notions", nil, &list)
	require.Len(t, list, 5)
	thread := list[slices.IndexFunc(list, func(n web.NotionView) bool { return n.Name == "grey thread" })]
	assert.Equal(t, "as thread, 66 yd, €3.20 for 219 yd", thread.Text)
	bad := call(t, h, "POST", "/api/v1/notions",
		map[string]any{"notion": map[string]any{"name": "ribbon", "for": "tape", "count": -2}}, nil)
	assert.Equal(t, http.StatusBadRequest, bad.Code)
	assert.Contains(t, bad.Body.String(), "/count")
	var made web.NotionView
	call(t, h, "POST", "/api/v1/notions",
		map[string]any{"notion": map[string]any{"name": "ribbon", "for": "tape", "have": "2 yd"}}, &made)
	call(t, h, "PUT", "/api/v1/notions/"+strconv.Itoa(made.ID),
		map[string]any{"base": made.Revision,
			"notion": map[string]any{"name": "ribbon", "for": "tape", "have": "1 yd"}}, &made)
	assert.Equal(t, "as tape, 36″", made.Text)
	stale := call(t, h, "PUT", "/api/v1/notions/"+strconv.Itoa(made.ID),
		map[string]any{"base": 1, "notion": map[string]any{"name": "ribbon", "for": "tape"}}, nil)
	assert.Equal(t, http.StatusConflict, stale.Code)
	assert.Equal(t, http.StatusNoContent, call(t, h, "DELETE", "/api/v1/notions/"+strconv.Itoa(made.ID), nil, nil).Code)
}

func TestWhatABatchCosts(t *testing.T) {
	h := app(t)
	var view web.PlanView
	call(t, h, "GET", "/api/v1/plans/lavender-mini-first-of-a-dozen", nil, &view)
	cost := view.Reckoning.Cost
	require.NotNil(t, cost)
	assert.Equal(t, 12, cost.Covers)
	assert.NotEmpty(t, cost.LeftOut)
	i := slices.IndexFunc(cost.Lines, func(l answer.CostLine) bool { return l.Name == "moss leaf" })
	require.GreaterOrEqual(t, i, 0)
	assert.Contains(t, cost.Lines[i].How, "at €11.50")
	assert.NotEmpty(t, cost.Lines[i].Cost)
}

func TestPractice(t *testing.T) {
	h := app(t)
	var v web.PracticeView
	call(t, h, "GET", "/api/v1/practice?kind=cut&number=4", nil, &v)
	require.Len(t, v.Kinds, 5)
	var r web.PracticeResult
	require.Equal(t, http.StatusOK,
		call(t, h, "POST", "/api/v1/practice", web.AnswerPractice{Kind: "cut", Number: 4, Answer: "1 in"}, &r).Code)
	require.False(t, r.Right)
	right := r.Answer.Exact
	call(t, h, "POST", "/api/v1/practice", web.AnswerPractice{Kind: "cut", Number: 4, Answer: right}, &r)
	assert.True(t, r.Right)
	assert.Len(t, r.Sum, 3)
	call(t, h, "GET", "/api/v1/practice?kind=tape&number=2", nil, &v)
	assert.Positive(t, v.Mark)
	assert.Equal(t, web.PracticeKind{Kind: "cut", Title: "Cut from finished", Tried: 2, Right: 1, Run: 1}, v.Kinds[0])
	call(t, h, "GET", "/api/v1/practice?number=3&plan=reading-corner-cushion", nil, &v)
	assert.Contains(t, v.Question, "of Reading-corner cushion:")
	bad := call(t, h, "POST", "/api/v1/practice", web.AnswerPractice{Kind: "cut", Number: 4, Answer: "much"}, nil)
	assert.Equal(t, http.StatusBadRequest, bad.Code)
	assert.Equal(t, http.StatusNotFound, call(t, h, "GET", "/api/v1/practice?kind=knots", nil, nil).Code)
	assert.Equal(t, http.StatusNotFound, call(t, h, "GET", "/api/v1/practice?kind=cut&number=x", nil, nil).Code)
}

func TestPhotosAndFiguresOfTheLog(t *testing.T) {
	h := app(t)
	var log []web.LogView
	call(t, h, "GET", "/api/v1/log", nil, &log)
	require.NotEmpty(t, log)
	e := log[0]
	var saved web.LogView
	call(t, h, "PUT", "/api/v1/log/"+strconv.Itoa(e.ID),
		map[string]any{"base": e.Revision, "minutes": e.Minutes, "notes": e.Notes, "next": e.Next,
			"photos": []int{3, 1}}, &saved)
	assert.Equal(t, []int{3, 1}, saved.Photos)
	var f web.FiguresView
	call(t, h, "GET", "/api/v1/log/figures", nil, &f)
	assert.Equal(t, len(log), f.Figures.Covers)
}

func TestWhatAPlanTakesInOtherWidths(t *testing.T) {
	h := app(t)
	var sold []web.SoldView
	require.Equal(t, http.StatusOK, call(t, h, "GET", "/api/v1/plans/reading-corner-cushion/cloths/D/sold", nil, &sold).Code)
	said := map[string]string{}
	for _, s := range sold {
		said[s.Says] = s.Takes
	}
	assert.Contains(t, said["60″ wide"], "yd")
	assert.Contains(t, said, "in quarters of 22″ × 18″")
	none := call(t, h, "GET", "/api/v1/plans/reading-corner-cushion/cloths/Q/sold", nil, nil)
	assert.Equal(t, http.StatusNotFound, none.Code)
}
