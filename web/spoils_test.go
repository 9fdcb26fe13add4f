package web_test

import (
	"encoding/json"
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/spoil"
	"umschlag/web"
)

const patches = "cut.piece:front.role:patch.cloth:A"

// edited is the newest revision of a demo plan, and its document to be changed.
func edited(t *testing.T, h http.Handler, at string) (web.PlanView, map[string]any) {
	t.Helper()
	var view web.PlanView
	call(t, h, "GET", at, nil, &view)
	return view, document(t, view)
}

func document(t *testing.T, view web.PlanView) map[string]any {
	t.Helper()
	var doc map[string]any
	require.NoError(t, json.Unmarshal(view.Plan, &doc))
	return doc
}

// A change that spoils what is done is listed and not saved; when it is said what becomes of it,
// it is.
func TestWhatAChangeSpoilsIsListedBeforeItIsSaved(t *testing.T) {
	h := app(t)
	const at = "/api/v1/plans/reading-corner-cushion"
	view, doc := edited(t, h, at)
	doc["progress"] = map[string]any{"cut": map[string]any{patches: map[string]any{}}}
	save := func(how string, into any) int {
		return call(t, h, "PUT", at,
			map[string]any{"base": view.Revision, "plan": doc, "label": "change", "spoils": how}, into).Code
	}
	require.Equal(t, http.StatusOK, save("", &view), "a tick spoils nothing")

	doc["cover"].(map[string]any)["piecing_seam"] = "3/8 in"
	var refusal web.Refusal
	require.Equal(t, http.StatusConflict, save("", &refusal))
	assert.Equal(t, "spoils", refusal.Type)
	require.Len(t, refusal.Spoils, 1, "only what is cut")
	assert.Equal(t, spoil.TooSmall, refusal.Spoils[0].Why)
	assert.Contains(t, refusal.Spoils[0].Text, "too small")
	assert.Nil(t, refusal.Current, "it is no conflict")
	now, _ := edited(t, h, at)
	assert.Equal(t, view.Revision, now.Revision, "nothing was saved")

	stale := map[string]any{"base": view.Revision - 1, "plan": doc, "label": "seam"}
	require.Equal(t, http.StatusConflict, call(t, h, "PUT", at, stale, &refusal).Code)
	assert.Equal(t, "spoils", refusal.Type, "what is older is joined with what is newer first")

	require.Equal(t, http.StatusOK, save("stays", &now))
	assert.Equal(t, view.Revision+1, now.Revision)
	assert.Contains(t, string(now.Plan), patches, "it stays cut")
	view = now
	doc["cover"].(map[string]any)["piecing_seam"] = "1/2 in"
	require.Equal(t, http.StatusOK, save("again", &now))
	assert.NotContains(t, string(now.Plan), patches, "it is cut again")
	assert.Equal(t, http.StatusNotFound,
		call(t, h, "PUT", "/api/v1/plans/nothing", map[string]any{"base": 1, "plan": doc, "label": ""}, nil).Code)
}

// A stop in between hides no loss: what is done is held against the last plan that could be cut.
func TestAStopInBetweenHidesNoLoss(t *testing.T) {
	h := app(t)
	const at = "/api/v1/plans/reading-corner-cushion"
	view, doc := edited(t, h, at)
	doc["progress"] = map[string]any{"cut": map[string]any{patches: map[string]any{}}}
	for _, seam := range []string{"1/4 in", "9 in"} {
		doc["cover"].(map[string]any)["piecing_seam"] = seam
		require.Equal(t, http.StatusOK,
			call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": doc, "label": "seam"}, &view).Code,
			seam)
	}
	assert.Empty(t, view.Reckoning.Cuts, "it cannot be cut")
	assert.Contains(t, string(view.Plan), patches, "nothing is forgotten meanwhile")
	doc["cover"].(map[string]any)["piecing_seam"] = "3/8 in"
	var refusal web.Refusal
	require.Equal(t, http.StatusConflict,
		call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": doc, "label": "seam"}, &refusal).Code)
	require.Len(t, refusal.Spoils, 1)
	doc["cover"].(map[string]any)["piecing_seam"] = "1/4 in"
	require.Equal(t, http.StatusOK,
		call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": doc, "label": "seam"}, &view).Code,
		"as it was, it fits")
}

// Restored are the decisions; what is done since stays done where it fits them.
func TestARestoredRevisionKeepsWhatIsDone(t *testing.T) {
	h := app(t)
	const at = "/api/v1/plans/reading-corner-cushion"
	view, doc := edited(t, h, at)
	first := view.Revision
	doc["title"] = "Another title"
	doc["progress"] = map[string]any{"cut": map[string]any{patches: map[string]any{}},
		"done": []string{"step.role:measure"}}
	require.Equal(t, http.StatusOK,
		call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": doc, "label": "cut"}, &view).Code)
	require.Equal(t, http.StatusOK,
		call(t, h, "POST", at+"/restore", map[string]any{"base": view.Revision, "revision": first}, &view).Code)
	back := document(t, view)
	assert.Equal(t, "Reading-corner cushion", back["title"])
	assert.Contains(t, string(view.Plan), patches)
	assert.Contains(t, string(view.Plan), "step.role:measure")

	doc = back
	doc["cover"].(map[string]any)["piecing_seam"] = "3/8 in"
	require.Equal(t, http.StatusOK,
		call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": doc, "label": "seam", "spoils": "again"},
			&view).Code)
	doc = document(t, view)
	doc["progress"] = map[string]any{"cut": map[string]any{patches: map[string]any{"width": "4 3/4", "height": "4 3/4",
		"count": 8}}}
	require.Equal(t, http.StatusOK,
		call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": doc, "label": "cut"}, &view).Code)
	var refusal web.Refusal
	require.Equal(t, http.StatusConflict,
		call(t, h, "POST", at+"/restore", map[string]any{"base": view.Revision, "revision": first}, &refusal).Code)
	assert.Equal(t, spoil.Trimmed, refusal.Spoils[0].Why)
	require.Equal(t, http.StatusOK,
		call(t, h, "POST", at+"/restore", map[string]any{"base": view.Revision, "revision": first, "spoils": "again"},
			&view).Code)
	assert.Contains(t, string(view.Plan), `"width":"4 1/2"`, "trimmed")
	assert.Equal(t, http.StatusNotFound,
		call(t, h, "POST", at+"/restore", map[string]any{"base": view.Revision, "revision": 999}, nil).Code)
}

// A plan of the format before is shown in this one; its own record comes back with it.
func TestAPlanOfTheFormatBefore(t *testing.T) {
	h := app(t)
	old := map[string]any{"format": "umschlag/plan/1", "title": "Old cushion",
		"object":   map[string]any{"kind": "form", "width": "18", "height": "18"},
		"cover":    map[string]any{"kind": "cushion"},
		"pieces":   map[string]any{"*": map[string]any{"face": map[string]any{"kind": "plain", "cloth": "A"}}},
		"cloths":   map[string]any{"A": map[string]any{}},
		"fittings": []any{map[string]any{"kind": "pocket", "on": "front", "width": "4", "height": "4"}},
		"progress": map[string]any{"cut": []string{"front.panel", "fitting.1.1"}, "done": []string{"measure"}}}
	var view web.PlanView
	require.Equal(t, http.StatusCreated, call(t, h, "POST", "/api/v1/plans", map[string]any{"plan": old}, &view).Code)
	doc := document(t, view)
	assert.Equal(t, "umschlag/plan/2", doc["format"])
	key := doc["fittings"].([]any)[0].(map[string]any)["key"].(string)
	assert.Contains(t, string(view.Plan), "cut.of:"+key+".role:fitting-part.no:1", "its record goes by its key")
	done := 0
	for _, c := range view.Reckoning.Cuts {
		if c.Done {
			done++
		}
	}
	assert.Equal(t, 2, done)
	at := "/api/v1/plans/" + view.ID
	require.Equal(t, http.StatusOK,
		call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": old, "label": "from an older window"},
			&view).Code)
	require.Equal(t, http.StatusOK, call(t, h, "POST", at+"/undo", map[string]any{"base": view.Revision}, &view).Code)
	assert.Equal(t, "umschlag/plan/2", document(t, view)["format"])
}

// A part without a key gets one that none has had.
func TestPartsGetKeysWhenTheyAreKept(t *testing.T) {
	h := app(t)
	view, doc := edited(t, h, "/api/v1/plans/story-mat-seat-pad")
	list := doc["fittings"].([]any)
	doc["fittings"] = append(list,
		map[string]any{"kind": "slit", "on": "top", "length": "2", "at": map[string]any{"middle": true}})
	require.Equal(t, http.StatusOK,
		call(t, h, "PUT", "/api/v1/plans/story-mat-seat-pad",
			map[string]any{"base": view.Revision, "plan": doc, "label": "a slit"}, &view).Code)
	kept := document(t, view)["fittings"].([]any)
	seen := map[any]bool{}
	for _, f := range kept {
		key := f.(map[string]any)["key"]
		assert.NotEmpty(t, key)
		assert.False(t, seen[key])
		seen[key] = true
	}
	assert.Regexp(t, "^k[a-z2-7]{5}$", kept[len(kept)-1].(map[string]any)["key"])
}
