package store_test

import (
	"context"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/store"
)

// ticking is a clock that moves a second a look.
func ticking() func() time.Time {
	var mu sync.Mutex
	now := time.Date(2026, 3, 1, 12, 0, 0, 0, time.UTC)
	return func() time.Time {
		mu.Lock()
		defer mu.Unlock()
		now = now.Add(time.Second)
		return now
	}
}

func open(t *testing.T, dir string) *store.Store {
	t.Helper()
	s, err := store.Open(t.Context(), dir, ticking())
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	return s
}

func doc(title string) string {
	return fmt.Sprintf(`{"title": %q, "cover": {"kind": "cushion"}}`, title)
}

func create(t *testing.T, s *store.Store) store.Plan {
	t.Helper()
	p, err := s.Create(t.Context(), "One", "cushion", doc("One"))
	require.NoError(t, err)
	return p
}

func on(p store.Plan) store.Change { return store.Change{Base: p.Revision} }

func save(t *testing.T, s *store.Store, p store.Plan, title string) store.Plan {
	t.Helper()
	p, err := s.Save(t.Context(), p.ID, store.Version{Change: on(p), Title: title, Kind: "cushion", Doc: doc(title),
		Label: "to " + title})
	require.NoError(t, err)
	return p
}

func step(t *testing.T, s *store.Store, p store.Plan, d store.Direction) store.Plan {
	t.Helper()
	p, err := s.Step(t.Context(), p.ID, on(p), d)
	require.NoError(t, err)
	return p
}

func TestIDsAreReadableAndUnique(t *testing.T) {
	s := open(t, t.TempDir())
	for _, want := range []string{"story-mat-2", "story-mat-2-2", "plan"} {
		title := "Story mat №2!"
		if want == "plan" {
			title = "…"
		}
		p, err := s.Create(t.Context(), title, "pad", doc(title))
		require.NoError(t, err)
		assert.Equal(t, want, p.ID)
		assert.Equal(t, 1, p.Revision)
	}
}

func TestUndoAndRedoReachBackOverARestart(t *testing.T) {
	dir := t.TempDir()
	s := open(t, dir)
	p := create(t, s)
	assert.False(t, p.CanUndo)
	p = save(t, s, save(t, s, p, "Two"), "Three")
	require.NoError(t, s.Close())

	s = open(t, dir)
	p, err := s.Plan(t.Context(), p.ID)
	require.NoError(t, err)
	assert.Equal(t, "Three", p.Title)
	p = step(t, s, p, store.Undo)
	assert.Equal(t, doc("Two"), p.Doc)
	assert.Equal(t, "Two", p.Title, "the list follows")
	assert.True(t, p.CanRedo)
	p = step(t, s, p, store.Undo)
	assert.Equal(t, doc("One"), p.Doc)
	assert.False(t, p.CanUndo)
	p = step(t, s, step(t, s, p, store.Redo), store.Redo)
	assert.Equal(t, doc("Three"), p.Doc)
	assert.False(t, p.CanRedo)
	p = step(t, s, p, store.Undo)
	assert.Equal(t, doc("Two"), p.Doc)
	p = save(t, s, p, "Four")
	assert.False(t, p.CanRedo, "a new change ends what could be redone")
	assert.Equal(t, doc("Two"), step(t, s, p, store.Undo).Doc)
}

func TestThereIsAnEndToUndo(t *testing.T) {
	s := open(t, t.TempDir())
	p := create(t, s)
	_, err := s.Step(t.Context(), p.ID, on(p), store.Undo)
	assert.ErrorIs(t, err, store.ErrNothing)
	_, err = s.Step(t.Context(), p.ID, on(p), store.Redo)
	assert.ErrorIs(t, err, store.ErrNothing)
}

func TestAStaleSaveIsRefusedWithTheNewestVersion(t *testing.T) {
	s := open(t, t.TempDir())
	p := create(t, s)
	save(t, s, p, "Two")
	_, err := s.Save(t.Context(), p.ID, store.Version{Change: on(p), Title: "Mine", Kind: "cushion",
		Doc: doc("Mine")})
	var conflict *store.ConflictError
	require.ErrorAs(t, err, &conflict)
	assert.Equal(t, doc("Two"), conflict.Current.Doc)
	assert.Equal(t, 2, conflict.Current.Revision)
	now, err := s.Plan(t.Context(), p.ID)
	require.NoError(t, err)
	assert.Equal(t, doc("Two"), now.Doc, "nothing was overwritten")
}

func TestOfManySavesOnOneBaseOneIsTaken(t *testing.T) {
	s := open(t, t.TempDir())
	p := create(t, s)
	var wg sync.WaitGroup
	results := make(chan error, 8)
	for i := range 8 {
		wg.Go(func() {
			_, err := s.Save(context.Background(), p.ID, store.Version{Change: on(p), Title: "x", Kind: "cushion",
				Doc: doc(fmt.Sprint(i))})
			results <- err
		})
	}
	wg.Wait()
	close(results)
	taken := 0
	for err := range results {
		var conflict *store.ConflictError
		if err == nil {
			taken++
		} else {
			assert.ErrorAs(t, err, &conflict)
		}
	}
	assert.Equal(t, 1, taken)
}

func TestHistoryAndRestore(t *testing.T) {
	s := open(t, t.TempDir())
	p := save(t, s, save(t, s, create(t, s), "Two"), "Three")
	p, err := s.Restore(t.Context(), p.ID, on(p), 1, doc("One"))
	require.NoError(t, err)
	assert.Equal(t, doc("One"), p.Doc)
	assert.Equal(t, doc("Three"), step(t, s, p, store.Undo).Doc, "a restore can be undone")
	entries, err := s.History(t.Context(), p.ID)
	require.NoError(t, err)
	require.Len(t, entries, 5)
	assert.Equal(t, store.Entry{Revision: 1, Label: "begun", Made: entries[4].Made}, entries[4])
	assert.Equal(t, "to Three", entries[2].Label)
	kept, err := s.Revision(t.Context(), p.ID, 2)
	require.NoError(t, err)
	assert.Equal(t, doc("Two"), kept)
	_, err = s.Revision(t.Context(), p.ID, 99)
	assert.ErrorIs(t, err, store.ErrNotFound)
}

func TestTheShelfIsInOrderOfChange(t *testing.T) {
	s := open(t, t.TempDir())
	first := create(t, s)
	second, err := s.Create(t.Context(), "Second", "cushion", doc("Second"))
	require.NoError(t, err)
	save(t, s, first, "First again")
	plans, err := s.Plans(t.Context())
	require.NoError(t, err)
	require.Len(t, plans, 2)
	assert.Equal(t, []string{first.ID, second.ID}, []string{plans[0].ID, plans[1].ID})

	require.NoError(t, s.PutAway(t.Context(), first.ID, true))
	plans, err = s.Plans(t.Context())
	require.NoError(t, err)
	assert.Len(t, plans, 1)
	require.NoError(t, s.PutAway(t.Context(), first.ID, false))
	assert.ErrorIs(t, s.PutAway(t.Context(), "nothing", true), store.ErrNotFound)
	_, err = s.Plan(t.Context(), "nothing")
	assert.ErrorIs(t, err, store.ErrNotFound)
}

func TestCupboard(t *testing.T) {
	s := open(t, t.TempDir())
	c, err := s.AddCloth(t.Context(), "ink leaf", `{"a":1}`)
	require.NoError(t, err)
	_, err = s.AddCloth(t.Context(), "Ink Leaf", `{}`)
	assert.ErrorIs(t, err, store.ErrTaken)
	c2, err := s.SaveCloth(t.Context(), c.ID, c.Revision, "ink leaf", `{"a":2}`)
	require.NoError(t, err)
	assert.Equal(t, 2, c2.Revision)
	_, err = s.SaveCloth(t.Context(), c.ID, c.Revision, "ink leaf", `{"a":3}`)
	assert.ErrorIs(t, err, store.ErrStale)
	_, err = s.SaveCloth(t.Context(), 99, 1, "x", `{}`)
	assert.ErrorIs(t, err, store.ErrNotFound)
	gone, err := s.RemoveCloth(t.Context(), c.ID)
	require.NoError(t, err)
	assert.Equal(t, `{"a":2}`, gone.Doc, "what was removed can be put back")
	_, err = s.RemoveCloth(t.Context(), c.ID)
	assert.ErrorIs(t, err, store.ErrNotFound)
}

func TestHabits(t *testing.T) {
	s := open(t, t.TempDir())
	text, revision, err := s.Habits(t.Context())
	require.NoError(t, err)
	assert.Equal(t, "{}", text)
	assert.Zero(t, revision)
	revision, err = s.SaveHabits(t.Context(), 0, `{"n":1}`)
	require.NoError(t, err)
	_, err = s.SaveHabits(t.Context(), 0, `{"n":2}`)
	assert.ErrorIs(t, err, store.ErrStale)
	revision, err = s.SaveHabits(t.Context(), revision, `{"n":3}`)
	require.NoError(t, err)
	assert.Equal(t, 2, revision)
	_, err = s.SaveHabits(t.Context(), 1, `{"n":4}`)
	assert.ErrorIs(t, err, store.ErrStale)
	text, _, err = s.Habits(t.Context())
	require.NoError(t, err)
	assert.Equal(t, `{"n":3}`, text)
}

func TestLogKeepsThePlanAsItWasFinished(t *testing.T) {
	s := open(t, t.TempDir())
	p := create(t, s)
	_, err := s.Finish(t.Context(), p.ID, store.Change{Base: 9}, store.LogEntry{})
	var conflict *store.ConflictError
	require.ErrorAs(t, err, &conflict)
	e, err := s.Finish(t.Context(), p.ID, on(p), store.LogEntry{Minutes: 90, Notes: "n", Next: "x"})
	require.NoError(t, err)
	save(t, s, p, "Changed since")
	got, err := s.LogEntry(t.Context(), e.ID)
	require.NoError(t, err)
	assert.Equal(t, doc("One"), got.Doc)
	got, err = s.SaveLogEntry(t.Context(),
		store.LogEntry{ID: e.ID, Minutes: 95, Notes: "m", Next: "y", Photos: []int{7}}, got.Revision)
	require.NoError(t, err)
	assert.Equal(t, 95, got.Minutes)
	_, err = s.SaveLogEntry(t.Context(), store.LogEntry{ID: e.ID, Minutes: 1, Notes: "", Next: "", Photos: []int{7}}, 1)
	assert.ErrorIs(t, err, store.ErrStale)
	require.NoError(t, s.RemoveLogEntry(t.Context(), e.ID))
	assert.ErrorIs(t, s.RemoveLogEntry(t.Context(), e.ID), store.ErrNotFound)
	list, err := s.Log(t.Context())
	require.NoError(t, err)
	assert.Empty(t, list)
}

// An answer may be lost, and what was pressed is pressed again.
func TestWhatIsSavedAgainIsTheSameSave(t *testing.T) {
	s, ctx := open(t, t.TempDir()), t.Context()
	p := create(t, s)
	cloth, err := s.AddCloth(ctx, "ink leaf", `{}`)
	require.NoError(t, err)
	sample, err := s.AddSample(ctx, "Square", `{}`)
	require.NoError(t, err)
	entry := store.LogEntry{Minutes: 90, Notes: "n", Next: "x", Photos: []int{7}}
	finished, err := s.Finish(ctx, p.ID, on(p), entry)
	require.NoError(t, err)
	written := store.LogEntry{ID: finished.ID, Minutes: 91}
	saves := map[string]func() (any, error){
		"a fabric":     func() (any, error) { return s.SaveCloth(ctx, cloth.ID, cloth.Revision, "ink dot", `{"a":1}`) },
		"a sample":     func() (any, error) { return s.SaveSample(ctx, sample.ID, sample.Revision, `{"a":1}`) },
		"first habits": func() (any, error) { return s.SaveHabits(ctx, 0, `{"a":1}`) },
		"an entry":     func() (any, error) { return s.SaveLogEntry(ctx, written, finished.Revision) },
		"a cover finished": func() (any, error) {
			return s.Finish(ctx, p.ID, store.Change{Base: p.Revision, ID: "a"}, store.LogEntry{Minutes: 90})
		},
	}
	for name, save := range saves {
		first, err := save()
		require.NoError(t, err, name)
		again, err := save()
		require.NoError(t, err, name)
		assert.Equal(t, first, again, name)
	}
	list, err := s.Log(ctx)
	require.NoError(t, err)
	assert.Len(t, list, 2)
	_, err = s.Finish(ctx, p.ID, store.Change{Base: p.Revision, ID: "b"}, store.LogEntry{Minutes: 90})
	require.NoError(t, err)
	list, err = s.Log(ctx)
	require.NoError(t, err)
	assert.Len(t, list, 3, "asked for by itself it is another cover, if in the same words")

	habits := func() (int, error) { return s.SaveHabits(ctx, 1, `{"a":2}`) }
	first, err := habits()
	require.NoError(t, err)
	again, err := habits()
	require.NoError(t, err)
	assert.Equal(t, first, again)
	_, err = s.SaveCloth(ctx, cloth.ID, 2, "ink dot", `{"a":3}`)
	require.NoError(t, err)
	_, err = saves["a fabric"]()
	assert.ErrorIs(t, err, store.ErrStale, "changed since by another window")
}

func TestBackupWhileInUse(t *testing.T) {
	s := open(t, t.TempDir())
	p := create(t, s)
	dir := t.TempDir()
	require.NoError(t, s.Backup(t.Context(), filepath.Join(dir, store.FileName)))
	save(t, s, p, "After")
	copied, err := open(t, dir).Plan(t.Context(), p.ID)
	require.NoError(t, err)
	assert.Equal(t, "One", copied.Title)
	assert.Error(t, s.Backup(t.Context(), filepath.Join(dir, store.FileName)), "never over a file that is there")
}

func TestADirectoryThatCannotBeUsedIsNamed(t *testing.T) {
	file := filepath.Join(t.TempDir(), "file")
	require.NoError(t, os.WriteFile(file, nil, 0o600))
	_, err := store.Open(t.Context(), file, ticking())
	assert.ErrorContains(t, err, "open")
}

func TestNotionsAreKeptByTheirNames(t *testing.T) {
	s, ctx := open(t, t.TempDir()), t.Context()
	thread, err := s.AddNotion(ctx, "thread", "{}")
	require.NoError(t, err)
	_, err = s.AddNotion(ctx, "Thread", "{}")
	require.ErrorIs(t, err, store.ErrTaken)
	_, err = s.AddCloth(ctx, "thread", "{}")
	require.NoError(t, err, "a fabric may be called the same")
	changed, err := s.SaveNotion(ctx, thread.ID, thread.Revision, "grey thread", `{"for": "thread"}`)
	require.NoError(t, err)
	_, err = s.SaveNotion(ctx, thread.ID, thread.Revision, "other", "{}")
	require.ErrorIs(t, err, store.ErrStale)
	list, err := s.Notions(ctx)
	require.NoError(t, err)
	assert.Equal(t, []store.Held{changed}, list)
	gone, err := s.RemoveNotion(ctx, thread.ID)
	require.NoError(t, err)
	assert.Equal(t, changed, gone)
	_, err = s.RemoveNotion(ctx, thread.ID)
	require.ErrorIs(t, err, store.ErrNotFound)
}

func TestPhotosComeBackAsTheyWere(t *testing.T) {
	s := open(t, t.TempDir())
	id, err := s.AddPhoto(t.Context(), []byte{1, 2, 3}, 4, 5)
	require.NoError(t, err)
	data, err := s.Photo(t.Context(), id)
	require.NoError(t, err)
	assert.Equal(t, []byte{1, 2, 3}, data)
	_, err = s.Photo(t.Context(), id+1)
	require.ErrorIs(t, err, store.ErrNotFound)
}

// A clock that is set back, by hours or by years, changes the order of nothing: what was saved last is what there is,
// and undo goes back by how it came about.
func TestAClockThatIsSetBackChangesNoOrder(t *testing.T) {
	now := time.Date(2026, 3, 9, 12, 0, 0, 0, time.UTC)
	s, err := store.Open(t.Context(), t.TempDir(), func() time.Time {
		now = now.AddDate(-1, 0, 0).Add(-time.Hour)
		return now
	})
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	p := create(t, s)
	for n := range 5 {
		p = save(t, s, p, fmt.Sprintf("Title %d", n))
	}
	newest, err := s.Plan(t.Context(), p.ID)
	require.NoError(t, err)
	assert.Equal(t, "Title 4", newest.Title)
	history, err := s.History(t.Context(), p.ID)
	require.NoError(t, err)
	require.Len(t, history, 6)
	assert.Equal(t, []string{"to Title 4", "to Title 3"}, []string{history[0].Label, history[1].Label})
	for n := 3; n >= 0; n-- {
		p = step(t, s, p, store.Undo)
		assert.Equal(t, fmt.Sprintf("Title %d", n), p.Title)
	}
}

func TestUnitsAreMovedAsOne(t *testing.T) {
	s := open(t, t.TempDir())
	ctx := t.Context()
	put := func(doc string) func(string) (string, error) { return func(string) (string, error) { return doc, nil } }
	require.NoError(t, s.MoveUnits(ctx, "halves", put("two")))
	failed := errors.New("not now")
	require.ErrorIs(t, s.MoveUnits(ctx, "halves", func(doc string) (string, error) {
		assert.Equal(t, "two", doc)
		return "five", failed
	}), failed)
	list, err := s.Units(ctx)
	require.NoError(t, err)
	require.Len(t, list, 1)
	assert.Equal(t, "two", list[0].Doc, "as it was")
	require.NoError(t, s.MoveUnits(ctx, "halves", put("three")))
	list, err = s.Units(ctx)
	require.NoError(t, err)
	assert.Equal(t, 2, list[0].Revision, "whoever read it before saves over another revision")
	require.NoError(t, s.MoveUnits(ctx, "halves", put("")))
	list, err = s.Units(ctx)
	require.NoError(t, err)
	assert.Empty(t, list)
}
