package web_test

import (
	"encoding/json"
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/reckon"
	"umschlag/web"
)

// A change that spoils what is cut is listed and not saved; said to be known, it is.
func TestWhatAChangeSpoilsIsListedBeforeItIsSaved(t *testing.T) {
	h := app(t)
	const at = "/api/v1/plans/reading-corner-cushion"
	var view web.PlanView
	call(t, h, "GET", at, nil, &view)
	var doc map[string]any
	require.NoError(t, json.Unmarshal(view.Plan, &doc))
	doc["progress"] = map[string]any{"cut": []string{"front.patch.A"}}
	require.Equal(t, http.StatusOK, call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": doc, "label": "cut"}, &view).Code, "a tick spoils nothing")

	doc["cover"].(map[string]any)["seam"] = "3/8 in"
	var refusal web.Refusal
	require.Equal(t, http.StatusConflict, call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": doc, "label": "seam"}, &refusal).Code)
	assert.Equal(t, "spoils", refusal.Type)
	require.Len(t, refusal.Spoils, 1, "only what is cut")
	assert.Equal(t, reckon.TooSmall, refusal.Spoils[0].Misfit)
	assert.Contains(t, refusal.Spoils[0].Text, "too small")
	assert.Nil(t, refusal.Current, "it is no conflict")
	var now web.PlanView
	call(t, h, "GET", at, nil, &now)
	assert.Equal(t, view.Revision, now.Revision, "nothing was saved")

	stale := map[string]any{"base": view.Revision - 1, "plan": doc, "label": "seam"}
	require.Equal(t, http.StatusConflict, call(t, h, "PUT", at, stale, &refusal).Code)
	assert.Equal(t, "stale", refusal.Type, "what is stale is that first")

	kept := call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": doc, "label": "seam", "known": true}, &now)
	require.Equal(t, http.StatusOK, kept.Code)
	assert.Equal(t, view.Revision+1, now.Revision)
	assert.Equal(t, http.StatusNotFound, call(t, h, "PUT", "/api/v1/plans/nothing", map[string]any{"base": 1, "plan": doc, "label": ""}, nil).Code)
}
