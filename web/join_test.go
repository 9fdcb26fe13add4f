package web_test

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/web"
)

// Two windows change different things from the same revision: both are kept, in one revision more, which can be undone.
func TestChangesOfTwoWindowsAreJoined(t *testing.T) {
	h := app(t)
	view, doc := open(t, h)
	save := func(change func(map[string]any)) *web.PlanView {
		var mine map[string]any
		data, err := json.Marshal(doc)
		require.NoError(t, err)
		require.NoError(t, json.Unmarshal(data, &mine))
		change(mine)
		var out web.PlanView
		w := call(t, h, "PUT", reading, map[string]any{"base": view.Revision, "plan": mine, "label": ""}, &out)
		require.Equal(t, 200, w.Code, w.Body.String())
		return &out
	}
	save(func(p map[string]any) { p["title"] = "Another title" })
	joined := save(func(p map[string]any) { p["copies"] = 4 })
	assert.Equal(t, view.Revision+2, joined.Revision)
	assert.Contains(t, string(joined.Plan), "Another title")
	assert.Contains(t, string(joined.Plan), `"copies":4`)
	var undone web.PlanView
	call(t, h, "POST", reading+"/undo", web.Back{Standing: web.Standing{Base: joined.Revision}}, &undone)
	assert.Contains(t, string(undone.Plan), "Another title", "only what this window changed is taken back")
	assert.NotContains(t, string(undone.Plan), `"copies":4`)
}

// Where both changed the same, the side that was chosen is followed, and the rest of both is kept.
func TestOneSideIsPreferredWhereBothChangedTheSame(t *testing.T) {
	for side, title := range map[string]string{"mine": "Mine", "theirs": "Theirs"} {
		h := app(t)
		view, doc := open(t, h)
		save := func(title string, key string, prefer string) (int, web.PlanView) {
			mine := map[string]any{}
			for k, v := range doc {
				mine[k] = v
			}
			mine["title"], mine[key] = title, map[string]any{"copies": 4, "costs": map[string]any{"minutes": 12}}[key]
			var out web.PlanView
			w := call(t, h, "PUT", reading, map[string]any{"base": view.Revision, "plan": mine, "label": "",
				"prefer": prefer}, &out)
			return w.Code, out
		}
		code, _ := save("Theirs", "copies", "")
		require.Equal(t, 200, code)
		code, _ = save("Mine", "costs", "")
		require.Equal(t, 409, code)
		code, _ = save("Mine", "costs", "whose")
		require.Equal(t, 400, code)
		code, both := save("Mine", "costs", side)
		require.Equal(t, 200, code)
		for _, says := range []string{`"title":"` + title + `"`, `"copies":4`, `"minutes":12`} {
			assert.Contains(t, string(both.Plan), says, side)
		}
	}
}

func TestJoiningIsAnswered(t *testing.T) {
	h := app(t)
	_, doc := open(t, h)
	with := func(key string, v any) map[string]any {
		out := map[string]any{}
		for k, was := range doc {
			out[k] = was
		}
		out[key] = v
		return out
	}
	var out web.JoinedPlans
	ask := func(mine, theirs any) {
		out = web.JoinedPlans{}
		w := call(t, h, "POST", "/api/v1/join", map[string]any{"base": doc, "mine": mine, "theirs": theirs}, &out)
		require.Equal(t, 200, w.Code, w.Body.String())
	}
	ask(with("title", "Mine"), with("copies", 3))
	assert.Empty(t, out.Apart)
	assert.Contains(t, string(out.Plan), "Mine")
	ask(with("title", "Mine"), with("title", "Theirs"))
	assert.Equal(t, []string{"/title"}, out.Apart)
	assert.Empty(t, out.Plan)
	w := call(t, h, "POST", "/api/v1/join", map[string]any{"base": doc, "mine": with("title", "Mine"),
		"theirs": with("title", "Theirs"), "prefer": "mine"}, &out)
	assert.Equal(t, []any{200, []string{"/title"}}, []any{w.Code, out.Apart})
	assert.Contains(t, string(out.Plan), "Mine")
	wrong := map[string]any{"base": doc, "mine": 3, "theirs": doc}
	assert.Equal(t, 400, call(t, h, "POST", "/api/v1/join", wrong, nil).Code)
}
