package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"net/url"
	"os"
	"path/filepath"
	"syscall"

	"github.com/gofrs/flock"
	"github.com/pressly/goose/v3"
	"modernc.org/sqlite"
	sqlite3 "modernc.org/sqlite/lib"
)

// Why a database is not opened, or a change not kept. Each says in plain words what happened and what to do.
var (
	// ErrNewer is of a database that a newer version has written: nothing of it is touched.
	ErrNewer = errors.New("the data are of a newer version of this app: start that version, or name another directory")
	// ErrForeign is of a file that is no database of this app.
	ErrForeign = errors.New("that is not a database of this app: name another directory, or restore a backup")
	// ErrInUse is of a directory that another server has open.
	ErrInUse = errors.New("another server has this directory open: use that one, or stop it first")
	// ErrGone is of a directory that was moved or deleted under the server: what is saved would be lost.
	ErrGone = errors.New("the data directory is not where it was: put it back, or start the app again with its new place")
	// ErrFull is of a disk without room, ErrReadOnly of a directory that may not be written to.
	ErrFull     = errors.New("the disk is full: make room, then save again")
	ErrReadOnly = errors.New("the data directory may not be written to: allow it, then save again")
)

// lockName of the file that one server holds while it has the directory open.
const lockName = "umschlag.lock"

// header is how a database file begins. https://www.sqlite.org/fileformat.html#the_database_header
const header = "SQLite format 3\x00"

// lock holds a directory for one server.
func lock(dir string) (*flock.Flock, error) {
	if info, err := os.Stat(dir); err != nil {
		return nil, fmt.Errorf("the directory of the data: %w", err)
	} else if !info.IsDir() {
		return nil, fmt.Errorf("%s: it is not a directory", dir)
	}
	held := flock.New(filepath.Join(dir, lockName))
	ok, err := held.TryLock()
	switch {
	case errors.Is(err, fs.ErrPermission), errors.Is(err, syscall.EROFS):
		return nil, ErrReadOnly
	case err != nil:
		return nil, err
	case !ok:
		return nil, ErrInUse
	}
	return held, nil
}

// judge tells whether a file is a database that this version may open; a file that is not there is one to be made.
func judge(ctx context.Context, path string) error {
	f, err := os.Open(filepath.Clean(path))
	if errors.Is(err, fs.ErrNotExist) {
		return nil
	}
	if err != nil {
		return err
	}
	begin := make([]byte, len(header))
	n, err := io.ReadFull(f, begin)
	if err = errors.Join(f.Close(), unless(err, io.EOF, io.ErrUnexpectedEOF)); err != nil || n == 0 {
		return err
	}
	if string(begin[:n]) != header {
		return ErrForeign
	}
	db, err := sql.Open("sqlite", reading(path))
	if err != nil {
		return err
	}
	return errors.Join(judgeVersion(ctx, db), db.Close())
}

// reading opens a database without changing anything of it.
func reading(path string) string {
	u := url.URL{Scheme: "file", Opaque: url.PathEscape(path)}
	return u.String() + "?mode=ro&_pragma=busy_timeout(5000)"
}

func unless(err error, none ...error) error {
	for _, n := range none {
		if errors.Is(err, n) {
			return nil
		}
	}
	return err
}

func judgeVersion(ctx context.Context, db *sql.DB) error {
	var tables int
	var ours bool
	if err := db.QueryRowContext(ctx, `SELECT count(*), ifnull(max(name = ?), 0) FROM sqlite_master WHERE type = 'table'`,
		goose.DefaultTablename).Scan(&tables, &ours); err != nil {
		return errors.Join(ErrForeign, err)
	}
	if tables == 0 {
		return nil
	}
	if !ours {
		return ErrForeign
	}
	var version int64
	if err := db.QueryRowContext(ctx, `SELECT ifnull(max(version_id), 0) FROM `+goose.DefaultTablename).
		Scan(&version); err != nil {
		return errors.Join(ErrForeign, err)
	}
	if newest, err := newest(); err != nil || version > newest {
		return errors.Join(ErrNewer, err)
	}
	return nil
}

// newest is the version of the database that this app writes.
func newest() (int64, error) {
	files, err := fs.Glob(migrations, "migrations/*.sql")
	if err != nil {
		return 0, err
	}
	var most int64
	for _, f := range files {
		n, err := goose.NumericComponent(f)
		if err != nil {
			return 0, err
		}
		most = max(most, n)
	}
	return most, nil
}

// Alive reports whether the database is still the file that was opened; ErrGone where it is not.
func (s *Store) Alive() error {
	if is, err := os.Stat(s.path); err != nil || !os.SameFile(is, s.file) {
		return ErrGone
	}
	return nil
}

// plain adds to an error of the database what it means to a person.
func plain(err error) error {
	var e *sqlite.Error
	if !errors.As(err, &e) {
		return err
	}
	switch e.Code() & 0xff {
	case sqlite3.SQLITE_FULL:
		return errors.Join(ErrFull, err)
	case sqlite3.SQLITE_READONLY:
		return errors.Join(ErrReadOnly, err)
	}
	return err
}

// Copy writes a consistent copy of the database in dir to a new file, also while a server has it open; it is read
// only and not migrated.
func Copy(ctx context.Context, dir, to string) (err error) {
	path := filepath.Join(dir, FileName)
	if _, err := os.Stat(path); err != nil {
		return fmt.Errorf("there is no database to copy: %w", err)
	}
	if err := judge(ctx, path); err != nil && !errors.Is(err, ErrNewer) { // a newer one is copied as it is
		return fmt.Errorf("%s: %w", path, err)
	}
	db, err := sql.Open("sqlite", reading(path))
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	return copyTo(ctx, db, to)
}

func copyTo(ctx context.Context, db *sql.DB, to string) error {
	if _, err := db.ExecContext(ctx, `VACUUM INTO ?`, to); err != nil {
		return fmt.Errorf("back up to %s: %w", to, plain(err))
	}
	return nil
}

// Restore puts a copy in the place of the database in dir, which no server may have open. The copy is tried first:
// it has to be whole and of a version this app reads. What was there is kept beside it, under the name returned.
func Restore(ctx context.Context, copied, dir, stamp string) (kept string, err error) {
	if _, err := os.Stat(copied); err != nil {
		return "", fmt.Errorf("there is no copy to restore: %w", err)
	}
	if err := whole(ctx, copied); err != nil {
		return "", fmt.Errorf("%s: %w", copied, err)
	}
	held, err := lock(dir)
	if err != nil {
		return "", fmt.Errorf("%s: %w", dir, err)
	}
	defer func() { err = errors.Join(err, held.Unlock()) }()
	path := filepath.Join(dir, FileName)
	fresh := path + ".restoring"
	if err := os.Remove(fresh); err != nil && !errors.Is(err, fs.ErrNotExist) {
		return "", err
	}
	db, err := sql.Open("sqlite", reading(copied))
	if err != nil {
		return "", err
	}
	if err := errors.Join(copyTo(ctx, db, fresh), db.Close()); err != nil {
		return "", err
	}
	return replace(path, fresh, path+".before-"+stamp)
}

// replace puts fresh in the place of a database, whose files it moves aside first.
func replace(path, fresh, aside string) (string, error) {
	kept := ""
	for _, part := range []string{"-wal", "-shm", ""} {
		err := os.Rename(path+part, aside+part)
		switch {
		case err == nil:
			kept = aside
		case !errors.Is(err, fs.ErrNotExist):
			return "", err
		}
	}
	return kept, os.Rename(fresh, path)
}

// whole tells whether a file is a database of this app that can be read from end to end.
func whole(ctx context.Context, path string) (err error) {
	if err := judge(ctx, path); err != nil {
		return err
	}
	db, err := sql.Open("sqlite", reading(path))
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	var tables int
	if err := db.QueryRowContext(ctx, `SELECT count(*) FROM sqlite_master WHERE name = 'plans'`).Scan(&tables); err != nil {
		return err
	}
	if tables == 0 {
		return ErrForeign
	}
	var said string
	if err := db.QueryRowContext(ctx, `PRAGMA quick_check(1)`).Scan(&said); err != nil || said != "ok" {
		return errors.Join(fmt.Errorf("it is damaged: %s", said), err)
	}
	return nil
}
