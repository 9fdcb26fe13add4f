package store_test

import (
	"database/sql"
	"errors"
	"os"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/store"
)

func file(dir string) string { return filepath.Join(dir, store.FileName) }

// closed is a directory with a database of one plan, which no server has open.
func closed(t *testing.T) (dir, plan string) {
	dir = t.TempDir()
	s, err := store.Open(t.Context(), dir, ticking())
	require.NoError(t, err)
	p := create(t, s)
	require.NoError(t, s.Close())
	return dir, p.ID
}

func sqlOn(t *testing.T, path string, queries ...string) {
	db, err := sql.Open("sqlite", path)
	require.NoError(t, err)
	for _, q := range queries {
		_, err := db.ExecContext(t.Context(), q)
		require.NoError(t, err, q)
	}
	require.NoError(t, db.Close())
}

func TestWhatIsNotOursIsNotOpened(t *testing.T) {
	newer, _ := closed(t)
	sqlOn(t, file(newer), `INSERT INTO goose_db_version (version_id, is_applied) VALUES (999, 1)`)
	other, text := t.TempDir(), t.TempDir()
	sqlOn(t, file(other), `CREATE TABLE birds (name TEXT)`)
	require.NoError(t, os.WriteFile(file(text), []byte("a letter to a friend, longer than a header"), 0o600))
	for dir, want := range map[string]error{newer: store.ErrNewer, other: store.ErrForeign, text: store.ErrForeign} {
		before, err := os.ReadFile(file(dir))
		require.NoError(t, err)
		_, err = store.Open(t.Context(), dir, ticking())
		require.ErrorIs(t, err, want)
		after, err := os.ReadFile(file(dir))
		require.NoError(t, err)
		assert.Equal(t, before, after, "nothing of it is touched")
	}
	_, err := store.Open(t.Context(), filepath.Join(t.TempDir(), "nowhere"), ticking())
	require.ErrorIs(t, err, os.ErrNotExist)
	empty := t.TempDir()
	require.NoError(t, os.WriteFile(file(empty), nil, 0o600))
	s, err := store.Open(t.Context(), empty, ticking())
	require.NoError(t, err, "a file that is empty is one to be made")
	require.NoError(t, s.Close())
}

func TestOneServerADirectory(t *testing.T) {
	dir, _ := closed(t)
	first, err := store.Open(t.Context(), dir, ticking())
	require.NoError(t, err)
	_, err = store.Open(t.Context(), dir, ticking())
	require.ErrorIs(t, err, store.ErrInUse)
	require.NoError(t, first.Close())
	second, err := store.Open(t.Context(), dir, ticking())
	require.NoError(t, err, "and one after the other")
	require.NoError(t, second.Close())
}

func TestADirectoryThatIsMovedOrDeletedTakesNothing(t *testing.T) {
	for name, away := range map[string]func(dir string) error{
		"moved":    func(dir string) error { return os.Rename(dir, dir+"-elsewhere") },
		"deleted":  os.RemoveAll,
		"replaced": func(dir string) error { return os.Rename(file(dir), file(dir)+".old") },
	} {
		dir := filepath.Join(t.TempDir(), "data")
		require.NoError(t, os.Mkdir(dir, 0o700))
		s, err := store.Open(t.Context(), dir, ticking())
		require.NoError(t, err)
		p := create(t, s)
		require.NoError(t, s.Alive())
		require.NoError(t, away(dir))
		require.ErrorIs(t, s.Alive(), store.ErrGone, name)
		_, err = s.AddCloth(t.Context(), "moss", "{}")
		require.ErrorIs(t, err, store.ErrGone, name)
		if name == "moved" {
			require.NoError(t, os.Rename(dir+"-elsewhere", dir))
			save(t, s, p, "Back where it was")
		}
		_ = s.Close() // the file of some is gone
	}
}

func TestAFullDiskIsSaidAsThat(t *testing.T) {
	s := open(t, t.TempDir())
	p := create(t, s)
	require.NoError(t, s.AtMost(t.Context(), 8))
	long := make([]byte, 1<<20)
	_, err := s.AddPhoto(t.Context(), long, 1, 1)
	require.ErrorIs(t, err, store.ErrFull)
	require.NoError(t, s.AtMost(t.Context(), 1<<20))
	save(t, s, p, "There is room again")
}

func TestACopyIsOnlyRead(t *testing.T) {
	dir, plan := closed(t)
	sqlOn(t, file(dir), `PRAGMA journal_mode=DELETE`, `DELETE FROM goose_db_version WHERE version_id > 6`)
	before, err := os.ReadFile(file(dir))
	require.NoError(t, err)
	copied := filepath.Join(t.TempDir(), "copy.db")
	require.NoError(t, store.Copy(t.Context(), dir, copied))
	after, err := os.ReadFile(file(dir))
	require.NoError(t, err)
	assert.Equal(t, before, after, "an older one is not migrated")
	require.Error(t, store.Copy(t.Context(), dir, copied), "never over a file that is there")
	require.Error(t, store.Copy(t.Context(), t.TempDir(), copied+"2"))

	inUse := t.TempDir()
	s := open(t, inUse)
	p := create(t, s)
	require.NoError(t, store.Copy(t.Context(), inUse, copied+"3"))
	kept, err := store.Restore(t.Context(), copied+"3", dir, "now")
	require.NoError(t, err)
	assert.FileExists(t, kept)
	back, err := store.Open(t.Context(), dir, ticking())
	require.NoError(t, err)
	_, err = back.Plan(t.Context(), p.ID)
	require.NoError(t, err)
	require.NoError(t, back.Close())
	_ = plan
}

func TestARestoreTriesTheCopyFirst(t *testing.T) {
	dir, plan := closed(t)
	text := filepath.Join(t.TempDir(), "letter")
	require.NoError(t, os.WriteFile(text, []byte("a letter to a friend, longer than a header"), 0o600))
	newer, _ := closed(t)
	sqlOn(t, file(newer), `INSERT INTO goose_db_version (version_id, is_applied) VALUES (999, 1)`)
	torn := filepath.Join(t.TempDir(), "torn.db")
	whole, err := os.ReadFile(file(dir))
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(torn, whole[:len(whole)/2], 0o600))
	for path, want := range map[string]error{text: store.ErrForeign, file(newer): store.ErrNewer, torn: nil,
		filepath.Join(dir, "nothing.db"): os.ErrNotExist} {
		_, err := store.Restore(t.Context(), path, dir, "now")
		require.Error(t, err, path)
		if want != nil {
			require.ErrorIs(t, err, want)
		}
	}
	s := open(t, dir)
	_, err = s.Plan(t.Context(), plan)
	require.NoError(t, err, "what is there stays")
	good := filepath.Join(t.TempDir(), "good.db")
	require.NoError(t, s.Backup(t.Context(), good))
	_, err = store.Restore(t.Context(), good, dir, "now")
	require.ErrorIs(t, err, store.ErrInUse)
	assert.False(t, errors.Is(err, os.ErrNotExist))
}
