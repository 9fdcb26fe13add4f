package web_test

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/demo"
	"umschlag/store"
	"umschlag/web"
)

// app is a server with the demo data.
func app(t *testing.T, change ...func(*web.Config)) http.Handler {
	t.Helper()
	s := workshop(t)
	cfg := web.Config{Store: s, Log: slog.New(slog.NewTextHandler(io.Discard, nil)), Patience: time.Hour,
		Quiet: time.Hour}
	for _, c := range change {
		c(&cfg)
	}
	return web.New(cfg)
}

// call asks the app and reads the JSON answer into out.
func call(t *testing.T, h http.Handler, method, path string, body, out any) *httptest.ResponseRecorder {
	t.Helper()
	var in io.Reader
	switch b := body.(type) {
	case nil:
	case string:
		in = strings.NewReader(b)
	default:
		data, err := json.Marshal(b)
		require.NoError(t, err)
		in = strings.NewReader(string(data))
	}
	r := httptest.NewRequestWithContext(t.Context(), method, "http://localhost"+path, in)
	r.Header.Set("Content-Type", "application/json")
	w := httptest.NewRecorder()
	h.ServeHTTP(w, r)
	if out != nil {
		require.NoError(t, json.Unmarshal(w.Body.Bytes(), out), w.Body.String())
	}
	return w
}

func refused(t *testing.T, h http.Handler, method, path string, body any, status int) web.Refusal {
	t.Helper()
	var p web.Refusal
	w := call(t, h, method, path, body, &p)
	assert.Equal(t, status, w.Code, w.Body.String())
	assert.Equal(t, "application/problem+json", w.Header().Get("Content-Type"))
	assert.Equal(t, status, p.Status)
	assert.NotEmpty(t, p.Detail, "says what to do instead")
	return p
}

const reading = "/api/v1/plans/reading-corner-cushion"

func TestReckonAnswersThePlanFile(t *testing.T) {
	h := app(t)
	plans, err := demo.Plans()
	require.NoError(t, err)
	var r, beside answer.Reckoning
	w := call(t, h, "POST", "/api/v1/reckon", string(plans["reading-corner-cushion"]), &r)
	assert.Equal(t, http.StatusOK, w.Code)
	assert.Equal(t, answer.Format, r.Format)
	assert.NotNil(t, r.Settled)
	assert.Equal(t, "cloth-short", r.Findings[0].Code, "the cupboard counts")

	require.NotEmpty(t, r.Steps)
	call(t, h, "POST", "/api/v1/reckon?sheet=1&sum=front.width&sum=back.width&sum=none",
		string(plans["reading-corner-cushion"]), &beside)
	assert.Empty(t, beside.Steps, "beside the sheet no steps are shown")
	assert.Equal(t, r.Pieces[0].Cells, beside.Pieces[0].Cells)
	assert.Equal(t, map[string][]answer.Term{"front.width": r.Sums["front.width"], "back.width": r.Sums["back.width"]},
		beside.Sums, "the sums that are asked for")

	bad := strings.Replace(string(plans["reading-corner-cushion"]), `"overlap": "5"`, `"overlap": "25"`, 1)
	w = call(t, h, "POST", "/api/v1/reckon", bad, &r)
	assert.Equal(t, http.StatusOK, w.Code, "a stop is an answer")
	assert.Equal(t, "overlap-too-large", r.Findings[0].Code)
}

func TestBadInputIsNamed(t *testing.T) {
	h := app(t)
	p := refused(t, h, "POST", "/api/v1/reckon", `{"format": "umschlag/plan/1", "titel": 1}`, 400)
	assert.Equal(t, "/titel", p.Errors[0].Path)
	refused(t, h, "POST", "/api/v1/reckon", "{", 400)
	refused(t, h, "POST", "/api/v1/reckon", strings.Repeat(" ", 50<<20), 413)
	refused(t, h, "POST", "/api/v1/plans", strings.Repeat(" ", 50<<20), 413)
	refused(t, h, "POST", "/api/v1/plans", "", 400)
	refused(t, h, "POST", "/api/v1/plans", `{"plan": {}, "x": 1}`, 400)
	refused(t, h, "POST", "/api/v1/plans", `{"plan": {}}`, 400)
	refused(t, h, "GET", "/api/v1/plans/nothing", nil, 404)
	refused(t, h, "GET", "/api/v1/nothing", nil, 404)
	refused(t, h, "DELETE", "/api/v1/plans/nothing", nil, 404)
	refused(t, h, "PUT", "/api/v1/cloths/x", `{}`, 404)
	refused(t, h, "POST", "/api/v1/convert", `{"plan": {"format": "umschlag/plan/1"}, "units": "in"}`, 400)
	refused(t, h, "POST", reading+"/undo", `{"base": 1}`, 409)
}

func open(t *testing.T, h http.Handler) (view web.PlanView, doc map[string]any) {
	t.Helper()
	call(t, h, "GET", reading, nil, &view)
	require.NoError(t, json.Unmarshal(view.Plan, &doc))
	return view, doc
}

func TestSavingUndoingAndRestoring(t *testing.T) {
	h := app(t)
	view, doc := open(t, h)
	doc["back"] = map[string]any{"kind": "envelope", "overlap": "6"}
	var after web.PlanView
	w := call(t, h, "PUT", reading, map[string]any{"base": view.Revision, "plan": doc, "label": "overlap: 6"}, &after)
	require.Equal(t, http.StatusOK, w.Code, w.Body.String())
	assert.Equal(t, 2, after.Revision)
	assert.Equal(t, "6″", after.Reckoning.Back.Overlap.Text)
	call(t, h, "POST", reading+"/undo", map[string]any{"base": 2}, &after)
	assert.Equal(t, "5″", after.Reckoning.Back.Overlap.Text)
	call(t, h, "POST", reading+"/redo", map[string]any{"base": 3}, &after)
	assert.Equal(t, "6″", after.Reckoning.Back.Overlap.Text)
	call(t, h, "POST", reading+"/restore", map[string]any{"base": 4, "revision": 1}, &after)
	assert.Equal(t, "5″", after.Reckoning.Back.Overlap.Text)
	var history []web.HistoryEntry
	call(t, h, "GET", reading+"/history", nil, &history)
	require.Len(t, history, 5)
	assert.Equal(t, "overlap: 6", history[3].Label)
}

// The answer of a save may be lost: it is sent again, or with the next one, and is no change of another window.
func TestTheSameSaveIsTheSameAnswer(t *testing.T) {
	h := app(t)
	view, doc := open(t, h)
	save := func(base int, title, id string, sent ...string) (*httptest.ResponseRecorder, web.PlanView) {
		doc["title"] = title
		var after web.PlanView
		w := call(t, h, "PUT", reading, map[string]any{"base": base, "plan": doc, "label": "", "save": id,
			"sent": sent}, &after)
		return w, after
	}
	_, first := save(view.Revision, "One", "a")
	require.Equal(t, view.Revision+1, first.Revision)
	w, again := save(view.Revision, "One", "a")
	require.Equal(t, http.StatusOK, w.Code, w.Body.String())
	assert.Equal(t, first, again)
	_, next := save(view.Revision, "Two", "b", "a")
	assert.Equal(t, first.Revision+1, next.Revision, "on top of what was kept")
	_, next = save(view.Revision, "Two", "b", "a")
	assert.Equal(t, first.Revision+1, next.Revision)

	w, _ = save(view.Revision, "Three", "c")
	assert.Equal(t, http.StatusConflict, w.Code, "of saves it does not know it cannot know more")
	doc["title"] = "Theirs"
	call(t, h, "PUT", reading, map[string]any{"base": next.Revision, "plan": doc, "label": ""}, nil)
	w, _ = save(view.Revision, "Three", "c", "a", "b")
	assert.Equal(t, http.StatusConflict, w.Code, "another window's change lies between")
	w, _ = save(view.Revision, "Three", strings.Repeat("x", 65))
	assert.Equal(t, http.StatusBadRequest, w.Code)
}

// So it is with a step through the history: pressed once more after its answer was lost, it is the same step.
func TestTheSameStepIsTheSameAnswer(t *testing.T) {
	h := app(t)
	view, doc := open(t, h)
	for _, title := range []string{"One", "Two"} {
		doc["title"] = title
		call(t, h, "PUT", reading, map[string]any{"base": view.Revision, "plan": doc, "label": title}, &view)
	}
	step := func(how string, in web.Back) (after web.PlanView) {
		w := call(t, h, "POST", reading+"/"+how, in, &after)
		require.Equal(t, http.StatusOK, w.Code, w.Body.String())
		return after
	}
	on := func(id string, sent ...string) web.Standing {
		return web.Standing{Base: view.Revision, Save: id, Sent: sent}
	}
	undone := step("undo", web.Back{Standing: on("a")})
	assert.Equal(t, view.Revision+1, undone.Revision)
	assert.Equal(t, undone, step("undo", web.Back{Standing: on("a")}), "One, and not what was before it")
	redone := step("redo", web.Back{Standing: on("b", "a")})
	assert.Equal(t, undone.Revision+1, redone.Revision, "on top of the undo that was not answered")
	restored := step("restore", web.Back{Standing: on("c", "a", "b"), Revision: 1})
	assert.Equal(t, redone.Revision+1, restored.Revision)
	assert.Equal(t, restored, step("restore", web.Back{Standing: on("c", "a", "b"), Revision: 1}))

	doc["title"] = "Typed"
	var saved web.PlanView
	w := call(t, h, "PUT", reading, map[string]any{"base": view.Revision, "plan": doc, "label": "", "save": "d",
		"sent": []string{"a", "b", "c"}}, &saved)
	require.Equal(t, http.StatusOK, w.Code, "and no change of another window to what is saved next")
	assert.Equal(t, restored.Revision+1, saved.Revision)
	refused(t, h, "POST", reading+"/undo", web.Back{Standing: on("e")}, http.StatusConflict)
	refused(t, h, "POST", reading+"/undo", web.Back{Standing: on(strings.Repeat("x", 65))}, http.StatusBadRequest)
}

func TestWhatCannotBeKeptIsSaid(t *testing.T) {
	dir := filepath.Join(t.TempDir(), "data")
	require.NoError(t, os.Mkdir(dir, 0o700))
	s, err := store.Open(t.Context(), dir, time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	require.NoError(t, demo.Fill(t.Context(), s))
	h := web.New(web.Config{Store: s, Log: slog.New(slog.NewTextHandler(io.Discard, nil))})
	view, doc := open(t, h)
	require.Equal(t, http.StatusOK, call(t, h, "GET", "/healthz", nil, nil).Code)
	require.NoError(t, os.Rename(dir, dir+"-elsewhere"))
	p := refused(t, h, "PUT", reading, map[string]any{"base": view.Revision, "plan": doc, "label": ""}, 503)
	assert.Equal(t, "The data directory is not where it was", p.Title)
	refused(t, h, "GET", "/healthz", nil, 503)
	require.NoError(t, os.Rename(dir+"-elsewhere", dir))
	w := call(t, h, "PUT", reading, map[string]any{"base": view.Revision, "plan": doc, "label": ""}, nil)
	assert.Equal(t, http.StatusOK, w.Code, "as it says")
}

func TestAStaleSaveGetsBothVersions(t *testing.T) {
	h := app(t)
	view, doc := open(t, h)
	doc["title"], doc["copies"] = "Theirs", 3
	call(t, h, "PUT", reading, map[string]any{"base": view.Revision, "plan": doc, "label": ""}, nil)
	delete(doc, "copies")
	doc["title"] = "Mine"
	p := refused(t, h, "PUT", reading, map[string]any{"base": view.Revision, "plan": doc, "label": ""}, 409)
	require.NotNil(t, p.Current)
	assert.Contains(t, string(p.Current.Plan), "Theirs")
	require.NotNil(t, p.Apart)
	differ := strings.Replace(string(p.Apart.Mine), `"Mine"`, `"Theirs"`, 1)
	assert.Equal(t, string(p.Apart.Theirs), differ, "in nothing but what both changed")
	assert.Contains(t, differ, `"copies":3`)
	p = refused(t, h, "POST", reading+"/finish",
		map[string]any{"base": view.Revision, "minutes": 1, "notes": "", "next": ""}, 409)
	assert.NotNil(t, p.Current)
}

func TestAnUnreadablePlanIsNotSaved(t *testing.T) {
	h := app(t)
	view, doc := open(t, h)
	doc["copies"] = "twelve"
	p := refused(t, h, "PUT", reading, map[string]any{"base": view.Revision, "plan": doc, "label": ""}, 400)
	assert.Equal(t, "/copies", p.Errors[0].Path)
	again, _ := open(t, h)
	assert.Equal(t, view.Revision, again.Revision)
}

func TestTheShelfSaysWhereEachPlanStands(t *testing.T) {
	h := app(t)
	var shelf []web.ShelfItem
	call(t, h, "GET", "/api/v1/plans", nil, &shelf)
	require.Len(t, shelf, 23)
	assert.Equal(t, "Reading-corner cushion", shelf[0].Title)
	assert.Equal(t, "Measure the insert", shelf[0].Next)
	assert.Equal(t, "Cut the back", shelf[1].Next)
	assert.Equal(t, "back", shelf[1].Stage)
	assert.True(t, shelf[len(shelf)-1].Finished)
	assert.Empty(t, shelf[len(shelf)-1].Next)
	assert.NotEmpty(t, shelf[0].Swatches["A"].Motif)

	assert.Equal(t, 204, call(t, h, "DELETE", reading, nil, nil).Code)
	call(t, h, "GET", "/api/v1/plans", nil, &shelf)
	assert.Len(t, shelf, 22)
	assert.Equal(t, 204, call(t, h, "POST", reading+"/bring-back", "{}", nil).Code)
	call(t, h, "GET", "/api/v1/plans", nil, &shelf)
	assert.Len(t, shelf, 23)
}

func TestAnotherUnitChangesNoLength(t *testing.T) {
	h := app(t)
	view, doc := open(t, h)
	var metric map[string]any
	call(t, h, "POST", "/api/v1/convert", map[string]any{"plan": doc, "units": "cm"}, &metric)
	assert.Equal(t, "20 in", metric["object"].(map[string]any)["width"], "as it was typed")
	assert.Equal(t, "cm", metric["units"])
	var r answer.Reckoning
	call(t, h, "POST", "/api/v1/reckon", metric, &r)
	assert.Equal(t, view.Reckoning.Pieces[0].Finished.Width.NM, r.Pieces[0].Finished.Width.NM)
	refused(t, h, "POST", "/api/v1/convert", map[string]any{"plan": doc, "units": "ells"}, 400)
}

func TestTheCupboard(t *testing.T) {
	h := app(t)
	var cloths []web.ClothView
	call(t, h, "GET", "/api/v1/cloths", nil, &cloths)
	byName := map[string]web.ClothView{}
	for _, c := range cloths {
		byName[c.Name] = c
	}
	stripe := byName["madder stripe"]
	assert.Equal(t, "⅜ yd", stripe.HaveText)
	assert.Equal(t, "34″", stripe.Short.Text, "twice 17″, since 13½″ do for neither")
	assert.Equal(t, []string{"Reading-corner cushion", "Pinwheel cushion for the reading corner"}, stripe.Plans)
	assert.Empty(t, byName["slate"].Plans, "what is cut already is wanted no more")

	path := fmt.Sprintf("/api/v1/cloths/%d", stripe.ID)
	more := map[string]any{"base": stripe.Revision,
		"cloth": map[string]any{"name": "madder stripe", "width": "44", "have": "1 yd"}}
	require.Equal(t, 200, call(t, h, "PUT", path, more, nil).Code)
	require.Equal(t, 200, call(t, h, "PUT", path, more, nil).Code, "the same again, since its answer was lost")
	refused(t, h, "PUT", path, map[string]any{"base": stripe.Revision,
		"cloth": map[string]any{"name": "madder stripe", "width": "44", "have": "2 yd"}}, 409)
	view, _ := open(t, h)
	assert.Empty(t, view.Reckoning.Findings, "and now there is enough")
	p := refused(t, h, "POST", "/api/v1/cloths", `{"cloth": {"name": "x", "have": "-1"}}`, 400)
	assert.Equal(t, "/have", p.Errors[0].Path)
	p = refused(t, h, "POST", "/api/v1/cloths", `{"cloth": {"name": " "}}`, 400)
	assert.Equal(t, "/name", p.Errors[0].Path)
	refused(t, h, "POST", "/api/v1/cloths", `{"cloth": {"name": "calico"}}`, 409)
	assert.Equal(t, 201, call(t, h, "POST", "/api/v1/cloths", `{"cloth": {"name": "new"}}`, nil).Code)
	assert.Equal(t, 204, call(t, h, "DELETE", path, nil, nil).Code)
	refused(t, h, "DELETE", path, nil, 404)
}

func TestHabits(t *testing.T) {
	h := app(t)
	var v web.HabitsView
	call(t, h, "GET", "/api/v1/habits", nil, &v)
	assert.Equal(t, "-1 in", v.Chosen["ease"])
	w := call(t, h, "PUT", "/api/v1/habits",
		map[string]any{"base": v.Revision, "units": "cm", "habits": map[string]any{"seam": "1/2 in"}}, &v)
	require.Equal(t, 200, w.Code, w.Body.String())
	assert.Equal(t, "1/2 in", v.Chosen["seam"])
	assert.JSONEq(t, `"1.27"`, string(habit(t, v, "seam")))
	refused(t, h, "PUT", "/api/v1/habits", map[string]any{"base": 1, "units": "in", "habits": map[string]any{}}, 409)
	p := refused(t, h, "PUT", "/api/v1/habits",
		map[string]any{"base": v.Revision, "units": "in", "habits": map[string]any{"seam": "9"}}, 400)
	assert.Equal(t, "/habits/seam", p.Errors[0].Path)
}

func habit(t *testing.T, v web.HabitsView, key string) json.RawMessage {
	t.Helper()
	var all map[string]json.RawMessage
	require.NoError(t, json.Unmarshal(v.Habits, &all))
	return all[key]
}

func TestTheLogSetsMeasuredBesidePlanned(t *testing.T) {
	h := app(t)
	var log []web.LogView
	call(t, h, "GET", "/api/v1/log", nil, &log)
	require.Len(t, log, 3)
	require.Len(t, log[0].Gates, 2)
	assert.Equal(t, "Waiting-bench cushion", log[1].Title)
	assert.Greater(t, log[1].Minutes, log[1].Usual, "it took longer than reckoned")
	assert.NotEmpty(t, log[1].PlannedCost)
	assert.NotEqual(t, log[1].PlannedCost, log[1].Cost)
	assert.Equal(t, "0″", log[0].Gates[0].Off.Width.Text)
	assert.Equal(t, "−¹⁄₁₆″", log[0].Gates[1].Off.Height.Text)

	var entry web.LogView
	finish := map[string]any{"base": 1, "minutes": 240, "notes": "n", "next": "x", "save": "once"}
	w := call(t, h, "POST", reading+"/finish", finish, &entry)
	require.Equal(t, 201, w.Code, w.Body.String())
	assert.Nil(t, entry.Gates[0].Measured)
	var again web.LogView
	call(t, h, "POST", reading+"/finish", finish, &again)
	assert.Equal(t, entry, again, "its answer was lost")
	finish["save"] = strings.Repeat("x", 65)
	refused(t, h, "POST", reading+"/finish", finish, 400)
	path := fmt.Sprintf("/api/v1/log/%d", entry.ID)
	call(t, h, "PUT", path, map[string]any{"base": 1, "minutes": 250, "notes": "m", "next": ""}, &entry)
	assert.Equal(t, 250, entry.Minutes)
	refused(t, h, "PUT", path, map[string]any{"base": 1, "minutes": 1, "notes": "", "next": ""}, 409)
	assert.Equal(t, 204, call(t, h, "DELETE", path, nil, nil).Code)
}

func TestSafeByDefault(t *testing.T) {
	h := app(t)
	send := func(method, host string, header map[string]string) *httptest.ResponseRecorder {
		r := httptest.NewRequestWithContext(t.Context(), method, "http://"+host+"/api/v1/plans",
			strings.NewReader("{}"))
		for k, v := range header {
			r.Header.Set(k, v)
		}
		w := httptest.NewRecorder()
		h.ServeHTTP(w, r)
		return w
	}
	assert.Equal(t, 200, send("GET", "127.0.0.1:8437", nil).Code)
	assert.Equal(t, 200, send("GET", "[::1]:8437", nil).Code)
	assert.Equal(t, 421, send("GET", "evil.example", nil).Code, "another name for this machine")
	assert.Equal(t, 403, send("POST", "localhost", map[string]string{"Origin": "http://evil.example"}).Code)
	assert.Equal(t, 403, send("POST", "localhost", map[string]string{"Sec-Fetch-Site": "cross-site"}).Code)
	assert.Equal(t, 400, send("POST", "localhost", map[string]string{"Sec-Fetch-Site": "same-origin"}).Code)
	csp := send("GET", "localhost", nil).Header().Get("Content-Security-Policy")
	assert.Contains(t, csp, "default-src 'none'")
	assert.NotContains(t, csp, "unsafe")
	assert.NotContains(t, csp, "http:")
}

func TestRefusalsCarryTheSafetyHeadersToo(t *testing.T) {
	h := app(t)
	for code, ask := range map[int]func(r *http.Request){
		http.StatusMisdirectedRequest: func(r *http.Request) { r.Host = "evil.example" },
		http.StatusForbidden: func(r *http.Request) {
			r.Method = "POST"
			r.Header.Set("Origin", "http://evil.example")
			r.Header.Set("Sec-Fetch-Site", "cross-site")
		},
	} {
		r := httptest.NewRequestWithContext(t.Context(), "GET", "http://localhost/api/v1/plans", nil)
		ask(r)
		w := httptest.NewRecorder()
		h.ServeHTTP(w, r)
		assert.Equal(t, code, w.Code)
		assert.Equal(t, "nosniff", w.Header().Get("X-Content-Type-Options"))
		assert.Contains(t, w.Header().Get("Content-Security-Policy"), "default-src 'none'")
	}
}

func TestServingStopsWhenTold(t *testing.T) {
	l, err := web.Listen(t.Context(), "127.0.0.1:0", "", nil, false)
	require.NoError(t, err)
	ctx, stop := context.WithCancel(t.Context())
	done := make(chan error, 1)
	go func() { done <- web.Serve(ctx, l, app(t)) }()
	req, err := http.NewRequestWithContext(t.Context(), "GET", "http://"+l.Addr().String()+"/healthz", nil)
	require.NoError(t, err)
	res, err := http.DefaultClient.Do(req)
	require.NoError(t, err)
	require.NoError(t, res.Body.Close())
	assert.Equal(t, 200, res.StatusCode)
	stop()
	assert.NoError(t, <-done)
}

func TestPlacesWithoutTheBuiltInterfaceSayHowToBuildIt(t *testing.T) {
	w := call(t, app(t), "GET", "/plans/x", nil, nil)
	if w.Code == http.StatusServiceUnavailable {
		assert.Contains(t, w.Body.String(), "make build")
		return
	}
	assert.Equal(t, 200, w.Code)
	assert.NotContains(t, w.Body.String(), "__NONCE__")
	assert.Equal(t, 404, call(t, app(t), "GET", "/assets/nothing.js", nil, nil).Code)
}

func TestAPlanBeginsByTheHabitsWithTheSizesAsTyped(t *testing.T) {
	h := app(t)
	var starts web.StartsView
	assert.Equal(t, http.StatusOK, call(t, h, "GET", "/api/v1/starts?units=cm", nil, &starts).Code)
	assert.Equal(t, "cushion", starts.Things[0].Key)
	assert.Equal(t, "50", starts.Things[0].Usual["width"])
	assert.Equal(t, http.StatusBadRequest, call(t, h, "GET", "/api/v1/starts?units=ell", nil, nil).Code)

	var doc map[string]any
	begun := call(t, h, "POST", "/api/v1/begin",
		web.BeginPlan{Thing: "book", Sizes: map[string]string{"wrap": "13 1/2", "height": "8x"}, Title: " Log "}, &doc)
	require.Equal(t, http.StatusOK, begun.Code)
	assert.Equal(t, "Log", doc["title"])
	assert.Equal(t, map[string]any{"kind": "book", "wrap": "13 1/2", "height": "8x"}, doc["object"],
		"typed sizes are not touched")
	assert.Equal(t, http.StatusBadRequest, call(t, h, "POST", "/api/v1/reckon", doc, nil).Code,
		"reading the plan judges them")
	doc["object"].(map[string]any)["height"] = "8"
	var r answer.Reckoning
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/reckon", doc, &r).Code)
	assert.Equal(t, "14¾″", r.Pieces[0].Trimmed.Width.Text, "13½, ¾ of ease and two seams of ¼")
	for wrap, flap := range map[string]string{"13 1/2": "3", "4": "1"} {
		var small map[string]any
		require.Equal(t, http.StatusOK,
			call(t, h, "POST", "/api/v1/begin",
				web.BeginPlan{Thing: "book", Sizes: map[string]string{"wrap": wrap, "height": "3"}}, &small).Code)
		assert.Equal(t, flap, small["cover"].(map[string]any)["flaps"].(map[string]any)["depth"], "round %s", wrap)
		assert.Equal(t, wrap, small["object"].(map[string]any)["wrap"], "as it was typed")
	}
	assert.Equal(t, http.StatusBadRequest, call(t, h, "POST", "/api/v1/begin", web.BeginPlan{Thing: "tent"}, nil).Code)
}

func TestAFittingIsMovedOnTheRulerStep(t *testing.T) {
	h := app(t)
	plans, err := demo.Plans()
	require.NoError(t, err)
	var moved struct {
		At map[string]any `json:"at"`
	}
	in := web.MoveFitting{Moving: web.Moving{Plan: plans["story-mat-pad"], X: 50_800_000, Y: 76_200_000, Across: 1,
		Down: -2}}
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/move", in, &moved).Code)
	assert.Equal(t, map[string]any{"left": "2 1/8", "top": "2 3/4"}, moved.At)
	in.Fitting = 40
	assert.Equal(t, http.StatusBadRequest, call(t, h, "POST", "/api/v1/move", in, nil).Code)
	in.Plan = []byte(`{"format": "umschlag/plan/1"}`)
	assert.Equal(t, http.StatusBadRequest, call(t, h, "POST", "/api/v1/move", in, nil).Code)
}

func TestBlocksAreDrawnAndChanged(t *testing.T) {
	h := app(t)
	var starts web.StartsView
	require.Equal(t, http.StatusOK, call(t, h, "GET", "/api/v1/starts?units=in", nil, &starts).Code)
	assert.GreaterOrEqual(t, len(starts.Blocks), 24)
	for _, b := range starts.Blocks {
		assert.NotEmpty(t, b.Patches, b.Name)
		assert.NotEmpty(t, b.Title)
	}
	var view web.BlockView
	for _, c := range []struct {
		in   web.EditBlock
		want string
	}{
		{web.EditBlock{Text: "A"}, "A"},
		{web.EditBlock{Text: "A", Change: "divide", Sign: "/", Letter: "B"}, "A / B"},
		{web.EditBlock{Text: "A | B", Change: "letter", Path: "1", Letter: "C"}, "A | C"},
		{web.EditBlock{Text: "A | B", Change: "share", Path: "1", Count: 3}, "A | 3 B"},
		{web.EditBlock{Text: "A | (B - C)", Change: "join", Path: "1.0"}, "A | B"},
	} {
		require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/block", c.in, &view).Code, c.want)
		assert.Equal(t, c.want, view.Text)
	}
	for _, in := range []web.EditBlock{{Text: "A |"}, {Text: "A", Change: "paint"},
		{Text: "A", Change: "divide", Path: "3", Sign: "/"}, {Text: "(A | B) / C"}} {
		var refused web.Refusal
		require.Equal(t, http.StatusBadRequest, call(t, h, "POST", "/api/v1/block", in, &refused).Code, in.Text)
		assert.NotEmpty(t, refused.Errors[0].Text)
	}
}

func TestLayoutsAndFacesComeInTheNotationOfThePlan(t *testing.T) {
	h := app(t)
	plans, err := demo.Plans()
	require.NoError(t, err)
	doc := plans["reading-corner-cushion"]
	var list []web.LayoutView
	require.Equal(t, http.StatusOK,
		call(t, h, "POST", "/api/v1/layouts", web.FindLayouts{Plan: doc, Piece: "front", Ready: "5 in"}, &list).Code)
	require.NotEmpty(t, list)
	for _, l := range list {
		var whole map[string]any
		require.NoError(t, json.Unmarshal(doc, &whole))
		var face map[string]any
		require.NoError(t, json.Unmarshal(l.Face, &face))
		whole["pieces"].(map[string]any)["front"].(map[string]any)["face"] = face
		var r answer.Reckoning
		require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/reckon", whole, &r).Code)
		assert.NotEmpty(t, r.Cuts, "what is offered can be cut")
	}
	for path, in := range map[string]any{
		"/least": web.FindLayouts{Plan: doc, Piece: "front", Least: "wide"},
		"/most":  web.FindLayouts{Plan: doc, Piece: "front", Most: "-3"},
		"/piece": web.FindLayouts{Plan: doc, Piece: "roof"},
	} {
		var refused web.Refusal
		require.Equal(t, http.StatusBadRequest, call(t, h, "POST", "/api/v1/layouts", in, &refused).Code)
		assert.Equal(t, path, refused.Errors[0].Path)
	}
	assert.Contains(t, chosen(t, h, string(doc), "/pieces/front/face/kind", "strips"), `"strips"`)
	// Folded windows that fill no size of the kind are refused, with the sizes; a piece that no
	// plan has decided about as well.
	oblong := []byte(`{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "width": "17", "height": "11 3/8"}, "cover": {"kind": "cushion"}, "cloths": {"A": {}}}`)
	var refused web.Refusal
	require.Equal(t, http.StatusBadRequest,
		call(t, h, "POST", "/api/v1/choose", web.ChooseIn{Plan: oblong, ID: "/pieces/front/face/kind", Key: "windows"},
			&refused).Code)
	assert.Equal(t, "/pieces/front/face/kind", refused.Errors[0].Path)
	assert.Contains(t, refused.Errors[0].Text, "make a panel of")
	for _, in := range []web.ChooseIn{{Plan: doc, ID: "/pieces/roof/face/kind", Key: "grid"},
		{Plan: doc, ID: "/pieces/front/face#split"}, {Plan: []byte(`{}`), ID: "/pieces/front/face/kind"}} {
		assert.Equal(t, http.StatusBadRequest, call(t, h, "POST", "/api/v1/choose", in, nil).Code)
	}
}
