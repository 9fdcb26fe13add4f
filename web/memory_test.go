package web_test

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/labstack/echo/v5"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/finding"
	"umschlag/core/reckon"
	"umschlag/demo"
	"umschlag/store"
	"umschlag/web"
)

// twice is an app, and how to begin another one on the same store, which remembers nothing.
func twice(t testing.TB) (h http.Handler, fresh func() http.Handler) {
	t.Helper()
	s := workshop(t)
	begin := func() http.Handler {
		return web.New(web.Config{Store: s, Log: slog.New(slog.NewTextHandler(io.Discard, nil)), Patience: time.Hour,
			Quiet: time.Hour})
	}
	return begin(), begin
}

func got(h http.Handler, path string) string {
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost"+path, nil))
	return w.Body.String()
}

// Whatever is changed, what is remembered says what is worked out anew: plans saved, undone and restored, fabric of the
// cupboard, habits, samples, a plan put away.
func TestWhatIsRememberedIsAsWorkedOutAnew(t *testing.T) {
	h, fresh := twice(t)
	var shelf []web.ShelfItem
	call(t, h, "GET", "/api/v1/plans", nil, &shelf)
	for _, item := range shelf[4:] { // of four plans there is enough to forget
		require.Equal(t, 204, call(t, h, "DELETE", "/api/v1/plans/"+item.ID, nil, nil).Code)
	}
	shelf = shelf[:4]
	same := func(after string) {
		t.Helper()
		anew := fresh()
		paths := []string{"/api/v1/plans", "/api/v1/cloths", "/api/v1/shopping"}
		for _, item := range shelf[:3] {
			paths = append(paths, "/api/v1/plans/"+item.ID)
		}
		for range 2 { // the second time it is remembered
			for _, path := range paths {
				now := got(h, path)
				require.Equal(t, got(anew, path), now, "%s after %s", path, after)
				require.NotContains(t, now, `"findings":null`, "%s after %s", path, after)
			}
		}
	}
	same("nothing")
	var view web.PlanView
	change := func(id, method, path string, body func() any) {
		t.Helper()
		call(t, h, "GET", "/api/v1/plans/"+id, nil, &view)
		w := call(t, h, method, "/api/v1/plans/"+id+path, body(), nil)
		require.Less(t, w.Code, 300, w.Body.String())
		same(method + " " + path)
	}
	id := shelf[0].ID
	change(id, "PUT", "", func() any {
		plan := strings.Replace(string(view.Plan), `"title": "`, `"title": "The other `, 1)
		return web.SavePlan{Standing: web.Standing{Base: view.Revision}, Plan: json.RawMessage(plan), Label: "title"}
	})
	change(id, "POST", "/undo", func() any { return web.Back{Standing: web.Standing{Base: view.Revision}} })
	change(id, "POST", "/redo", func() any { return web.Back{Standing: web.Standing{Base: view.Revision}} })
	for _, letter := range []string{"A"} {
		w := call(t, h, "POST", "/api/v1/plans/"+shelf[2].ID+"/cloths/"+letter+"/keep", map[string]any{}, nil)
		same(fmt.Sprint("keep, ", w.Code))
	}
	dot := map[string]any{"cloth": map[string]any{"name": "sea dot", "width": "44"}}
	w := call(t, h, "POST", "/api/v1/cloths", dot, nil)
	require.Less(t, w.Code, 300, w.Body.String())
	same("a fabric more")
	w = call(t, h, "DELETE", "/api/v1/plans/"+shelf[1].ID, nil, nil)
	require.Less(t, w.Code, 300, w.Body.String())
	shelf = append(shelf[:1], shelf[2:]...)
	same("putting one away")
	var bare web.PlanView
	plain := map[string]any{"plan": json.RawMessage(`{"format": "umschlag/plan/2", "title": "plain", "units": "in",
		"object": {"kind": "form", "width": "16", "height": "16"}, "cover": {"kind": "cushion"},
		"cloths": {"A": {"name": "linen"}}, "back": {"kind": "sewn"}}`)}
	w = call(t, h, "POST", "/api/v1/plans", plain, &bare)
	require.Less(t, w.Code, 300, w.Body.String())
	shelf[0].ID = bare.ID
	assert.Empty(t, bare.Reckoning.Findings, "one of which nothing is said")
	same("one that nothing is said of")
}

// A plan that cannot be read stands on the shelf as that, its file can be saved, and the others are as they were.
func TestAPlanThatCannotBeReadKeepsNobodyFromTheShelf(t *testing.T) {
	s, err := store.Open(t.Context(), t.TempDir(), time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	h := web.New(web.Config{Store: s, Log: slog.New(slog.NewTextHandler(io.Discard, nil))})
	plans, err := demo.Plans()
	require.NoError(t, err)
	for name, doc := range plans {
		_, err := s.Create(t.Context(), name, "cushion", string(doc))
		require.NoError(t, err)
		break
	}
	broken, err := s.Create(t.Context(), "Broken", "cushion", `{"format": "umschlag/plan/9"}`)
	require.NoError(t, err)
	var shelf []web.ShelfItem
	require.Equal(t, 200, call(t, h, "GET", "/api/v1/plans", nil, &shelf).Code)
	require.Len(t, shelf, 2)
	for _, item := range shelf {
		if item.ID == broken.ID {
			assert.Equal(t, "unreadable", item.Findings[0].Code)
			assert.Empty(t, item.Pieces)
		} else {
			assert.NotContains(t, fmt.Sprint(item.Findings), "unreadable")
			assert.NotEmpty(t, item.Swatches)
		}
	}
	told := refused(t, h, "GET", "/api/v1/plans/"+broken.ID, nil, 422)
	assert.Equal(t, "unreadable", told.Type)
	assert.NotContains(t, told.Detail, "stored plan")
	assert.Contains(t, told.Detail, "umschlag/plan/2", "what it should be")
	for _, path := range []string{"/shopping", "/cloths", "/samples/uses", "/together", "/log/figures"} {
		w := call(t, h, "GET", "/api/v1"+path, nil, nil)
		assert.Less(t, w.Code, 500, "%s: %s", path, w.Body.String())
	}
	assert.JSONEq(t, `{"format": "umschlag/plan/9"}`, got(h, "/api/v1/plans/"+broken.ID+"/plan.json"))
}

// No more is worked out at once than there are places; who waits too long is told so, and who leaves waits no longer.
func TestHeavyWorkWaitsForItsTurn(t *testing.T) {
	e := echo.New()
	begun, on := make(chan bool), make(chan bool)
	g := e.Group("/api/v1", web.ByTurns(make(chan struct{}, 1), 0))
	g.GET("/plans", func(c *echo.Context) error {
		begun <- true
		<-on
		return c.NoContent(http.StatusNoContent)
	})
	ask := func(ctx context.Context, path string) *httptest.ResponseRecorder {
		w := httptest.NewRecorder()
		e.ServeHTTP(w, httptest.NewRequestWithContext(ctx, "GET", "http://localhost/api/v1"+path, nil))
		return w
	}
	first := make(chan int)
	go func() { first <- ask(t.Context(), "/plans").Code }()
	<-begun
	busy := ask(t.Context(), "/plans")
	assert.Equal(t, http.StatusServiceUnavailable, busy.Code)
	assert.Equal(t, "5", busy.Header().Get("Retry-After"))
	on <- true
	assert.Equal(t, http.StatusNoContent, <-first)
	go func() { first <- ask(t.Context(), "/plans").Code }()
	<-begun
	on <- true
	assert.Equal(t, http.StatusNoContent, <-first, "the place is free again")
}

// A shelf that is asked for shows at once what was worked out before the app was started again; what hangs on a
// workshop that changed since comes behind it, and is shown as it was until then.
func TestTheShelfWaitsForNothing(t *testing.T) {
	s := workshop(t)
	begin := func(patience time.Duration) http.Handler {
		return web.New(web.Config{Store: s, Log: slog.New(slog.DiscardHandler), Patience: patience,
			Quiet: time.Hour})
	}
	shelf := func(h http.Handler) (items []web.ShelfItem, coming int) {
		w := call(t, h, "GET", "/api/v1/plans", nil, &items)
		for _, item := range items {
			if item.Coming {
				coming++
			}
		}
		assert.Equal(t, coming > 0, w.Header().Get("Retry-After") != "")
		return items, coming
	}
	const none = time.Nanosecond
	first, coming := shelf(begin(none))
	assert.Equal(t, len(first), coming, "nobody ever looked")
	assert.Empty(t, first[0].Pieces)
	want, coming := shelf(begin(time.Hour))
	require.Zero(t, coming)
	again, coming := shelf(begin(none))
	assert.Zero(t, coming, "it was kept")
	assert.Equal(t, want, again)

	h := begin(none)
	habits := map[string]any{}
	var seen web.HabitsView
	require.Equal(t, 200, call(t, h, "GET", "/api/v1/habits", nil, &seen).Code)
	require.NoError(t, json.Unmarshal(seen.Habits, &habits))
	habits["press"] = "open"
	changed := map[string]any{"base": seen.Revision, "units": "cm", "habits": habits}
	kept := call(t, h, "PUT", "/api/v1/habits", changed, nil)
	require.Equal(t, 200, kept.Code, kept.Body.String())
	was, coming := shelf(h)
	assert.Equal(t, len(want), coming)
	assert.Equal(t, want[0].Pieces, was[0].Pieces, "as it was until then")
	for coming > 0 { // it is worked out behind it
		was, coming = shelf(h)
	}
	now, _ := shelf(begin(time.Hour))
	assert.Equal(t, now, was)
}

// What a change made stale is there before somebody looks, also after a restart; and what to buy passes over what is
// cut by what is kept of it.
func TestWhatAChangeMadeStaleIsWorkedOutBehindIt(t *testing.T) {
	s, ctx := workshop(t), context.Background()
	plans, err := s.Plans(ctx)
	require.NoError(t, err)
	h := web.New(web.Config{Store: s, Log: slog.New(slog.DiscardHandler), Quiet: time.Millisecond})
	known := func() bool {
		kept, err := s.Summaries(ctx)
		require.NoError(t, err)
		for _, p := range plans {
			if kept[p.ID].Revision != p.Revision {
				return false
			}
		}
		return true
	}
	require.Eventually(t, known, time.Minute, 10*time.Millisecond, "nobody looked")
	var view web.PlanView
	path := "/api/v1/plans/" + plans[0].ID
	require.Equal(t, 200, call(t, h, "GET", path, nil, &view).Code)
	told := map[string]any{}
	require.NoError(t, json.Unmarshal(view.Plan, &told))
	told["title"] = "Another one"
	body := map[string]any{"base": view.Revision, "plan": told, "label": "renamed"}
	require.Equal(t, 200, call(t, h, "PUT", path, body, nil).Code)
	plans, err = s.Plans(ctx)
	require.NoError(t, err)
	require.Eventually(t, known, time.Minute, 10*time.Millisecond, "and nobody looks now")

	var then, now web.ShoppingView
	require.Equal(t, 200, call(t, h, "GET", "/api/v1/shopping", nil, &then).Code)
	again := web.New(web.Config{Store: s, Log: slog.New(slog.DiscardHandler), Quiet: time.Hour})
	require.Equal(t, 200, call(t, again, "GET", "/api/v1/shopping", nil, &now).Code)
	assert.Equal(t, then, now)
	assert.Less(t, len(now.Plans), len(plans), "some are cut")
}

// A plan that takes longer than anybody waits can be opened, and says so; it is worked out again the next time, and
// nothing of it is kept, in mind or on the shelf.
func TestWhatIsCutShortIsWorkedOutAgain(t *testing.T) {
	s := workshop(t)
	begin := func(longest, patience time.Duration) http.Handler {
		return web.New(web.Config{Store: s, Log: slog.New(slog.DiscardHandler), Longest: longest, Patience: patience,
			Quiet: time.Hour})
	}
	var shelf []web.ShelfItem
	busy := begin(time.Nanosecond, time.Nanosecond)
	require.Equal(t, 200, call(t, busy, "GET", "/api/v1/plans", nil, &shelf).Code)
	short := func(v web.PlanView) bool {
		return slices.ContainsFunc(v.Reckoning.Findings,
			func(f finding.Finding) bool { return f.Code == reckon.TooMuch })
	}
	path := "/api/v1/plans/" + shelf[0].ID
	var seen, then web.PlanView
	require.Equal(t, 200, call(t, busy, "GET", path, nil, &seen).Code)
	require.True(t, short(seen), "%v", seen.Reckoning.Findings)
	assert.NotEmpty(t, seen.Plan)
	assert.Empty(t, seen.Reckoning.Cuts)

	var items []web.ShelfItem
	require.Equal(t, 200, call(t, begin(time.Nanosecond, time.Hour), "GET", "/api/v1/plans", nil, &items).Code)
	calm := begin(time.Minute, time.Nanosecond)
	call(t, calm, "GET", "/api/v1/plans", nil, &items)
	assert.True(t, items[0].Coming, "nothing is on the shelf of what was not worked out")

	then = web.PlanView{}
	require.Equal(t, 200, call(t, calm, "GET", path, nil, &then).Code)
	assert.False(t, short(then))
	assert.NotEmpty(t, then.Reckoning.Cuts)
}

// BenchmarkLooking tells what looking at a plan and at the shelf costs, beside a file of the same size that is only
// sent.
func BenchmarkLooking(b *testing.B) {
	h, _ := twice(b)
	for name, path := range map[string]string{"shelf": "/api/v1/plans", "plan": "/api/v1/plans/1"} {
		b.Run(name, func(b *testing.B) {
			if name == "plan" {
				var shelf []web.ShelfItem
				require.NoError(b, json.Unmarshal([]byte(got(h, "/api/v1/plans")), &shelf))
				path = "/api/v1/plans/" + shelf[0].ID
			}
			size := len(got(h, path))
			for b.Loop() {
				got(h, path)
			}
			b.ReportMetric(float64(size)/1000, "kB")
		})
	}
	b.Run("file", func(b *testing.B) {
		data := []byte(got(h, "/api/v1/plans"))
		e := http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) { _, _ = w.Write(data) })
		for b.Loop() {
			got(e, "/")
		}
	})
}
