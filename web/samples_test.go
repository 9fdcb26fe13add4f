package web_test

import (
	"encoding/json"
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/web"
)

func named(t *testing.T, list []web.SampleView, id string) web.SampleView {
	t.Helper()
	for _, one := range list {
		if one.ID == id {
			return one
		}
	}
	require.Fail(t, "no sample", id)
	return web.SampleView{}
}

// uses are the plans a sample is used in or could be.
func uses(t *testing.T, h http.Handler, id string) []web.SampleUse {
	t.Helper()
	var all web.SampleUses
	call(t, h, "GET", "/api/v1/samples/uses", nil, &all)
	require.Contains(t, all, id)
	return all[id]
}

func TestSamplesTellAndSayWhatTheyWouldChange(t *testing.T) {
	h := app(t)
	var list []web.SampleView
	call(t, h, "GET", "/api/v1/samples", nil, &list)
	require.Len(t, list, 4)
	square := named(t, list, "cotton-batting-cross-hatched")
	require.Len(t, square.Tells, 3)
	assert.Equal(t, "1.41%", square.Tells[0].Text)
	assert.NotEmpty(t, square.Tells[0].Spread, "it was sewn twice")
	assert.NotEmpty(t, square.Instructions)
	var first web.SampleUse
	for _, use := range uses(t, h, square.ID) {
		if use.Plan == "reading-corner-cushion" {
			first = use
		}
	}
	assert.Equal(t, []any{"/pieces/front/take_up", false, ""}, []any{first.Path, first.Used, first.Other})
	assert.Contains(t, first.Changes, web.CutChange{Title: "Border, sides", From: "2⅝″ × 16½″", To: "2¾″ × 16½″"})
}

func TestAPlanGoesByASample(t *testing.T) {
	h := app(t)
	var view web.PlanView
	call(t, h, "GET", reading, nil, &view)
	var doc map[string]any
	require.NoError(t, json.Unmarshal(view.Plan, &doc))
	doc["pieces"].(map[string]any)["front"].(map[string]any)["take_up"] = map[string]any{"from": "sample",
		"id": "cotton-batting-cross-hatched"}
	var after web.PlanView
	require.Equal(t, 200, call(t, h, "PUT", reading,
		map[string]any{"base": view.Revision, "plan": doc, "label": "by the sample"}, &after).Code)
	assert.Equal(t, "sample", after.Reckoning.Pieces[0].TakeUpFrom)
	used := false
	for _, use := range uses(t, h, "cotton-batting-cross-hatched") {
		used = used || (use.Plan == "reading-corner-cushion" && use.Used)
	}
	assert.True(t, used)
	// The cupboard still knows what that plan wants.
	var cloths []web.ClothView
	call(t, h, "GET", "/api/v1/cloths", nil, &cloths)
	for _, c := range cloths {
		if c.Name == "madder stripe" {
			assert.Contains(t, c.Plans, "Reading-corner cushion")
		}
	}
	require.Equal(t, 204, call(t, h, "DELETE", "/api/v1/samples/cotton-batting-cross-hatched", nil, nil).Code)
	call(t, h, "GET", reading, nil, &after)
	assert.Equal(t, "sample-unknown", after.Reckoning.Findings[0].Code, "put away, it is at hand no more")
	require.Equal(t, 204, call(t, h, "POST", "/api/v1/samples/cotton-batting-cross-hatched/bring-back", "{}", nil).Code)
}

func TestSamplesAreJudged(t *testing.T) {
	h := app(t)
	square := func(change map[string]any) map[string]any {
		one := map[string]any{"title": "Square", "kind": "wash",
			"before": map[string]any{"width": "10", "height": "10"}}
		for k, v := range change {
			one[k] = v
		}
		return map[string]any{"sample": one}
	}
	for path, change := range map[string]map[string]any{
		"/title":         {"title": " "},
		"/before/width":  {"before": map[string]any{"width": "0", "height": "10"}},
		"/after/0/width": {"after": []any{map[string]any{"width": "12", "height": "10"}}},
		"/quilting":      {"kind": "quilting"},
		"/cut":           {"kind": "strips", "cut": "0", "seam": "1/4"},
		"/colour":        {"colour": "red"},
	} {
		p := refused(t, h, "POST", "/api/v1/samples/tell", square(change), 400)
		require.NotEmpty(t, p.Errors, path)
		assert.Equal(t, path, p.Errors[0].Path)
	}
	var made web.SampleView
	require.Equal(t, 201, call(t, h, "POST", "/api/v1/samples", square(nil), &made).Code)
	assert.Empty(t, made.Tells, "not measured yet")
	refused(t, h, "PUT", "/api/v1/samples/"+made.ID, map[string]any{"base": 7, "sample": square(nil)["sample"]}, 409)
	refused(t, h, "PUT", "/api/v1/samples/nothing", map[string]any{"base": 1, "sample": square(nil)["sample"]}, 404)
	refused(t, h, "DELETE", "/api/v1/samples/nothing", nil, 404)
}

func TestWhatGatesOfOtherPlansShowIsReckonedWith(t *testing.T) {
	h := app(t)
	var view web.PlanView
	call(t, h, "GET", reading, nil, &view)
	require.NotEmpty(t, view.Reckoning.Pieces[0].Outlook)
	assert.Contains(t, view.Reckoning.Pieces[0].Outlook[0].From,
		"by 3 strips of yours and 11 measurements at your measuring steps",
		"two fronts were measured, both ways each, and seven rows")
}

// What finished covers tell is offered once, and kept only when it is asked for.
func TestFinishedCoversOfferASample(t *testing.T) {
	h := app(t)
	var offers []web.OfferView
	call(t, h, "GET", "/api/v1/samples/offers", nil, &offers)
	require.Len(t, offers, 1)
	assert.Len(t, offers[0].Covers, 2)
	require.NotEmpty(t, offers[0].Tells)
	var made web.SampleView
	require.Equal(t, 201, call(t, h, "POST", "/api/v1/samples", map[string]any{"sample": offers[0].Sample}, &made).Code)
	assert.Equal(t, offers[0].Tells, made.Tells)
	assert.NotEmpty(t, uses(t, h, made.ID), "plans of the same stack can go by it")
	call(t, h, "GET", "/api/v1/samples/offers", nil, &offers)
	assert.Empty(t, offers, "what is kept is not offered again")
}
