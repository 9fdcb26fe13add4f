// Package store keeps plans, the cupboard, habits and the log in one SQLite
// file. Every save of a plan is a revision, so that undo reaches back over a
// restart; a save that was based on an older revision is refused with both
// versions. What was acknowledged is on the disk.
package store

import (
	"context"
	"database/sql"
	"embed"
	"errors"
	"fmt"
	"io/fs"
	"net/url"
	"os"
	"path/filepath"
	"sync/atomic"
	"time"

	"github.com/gofrs/flock"
	"github.com/pressly/goose/v3"
	_ "modernc.org/sqlite" // the driver
)

//go:embed migrations/*.sql
var migrations embed.FS

// FileName of the database within its directory.
const FileName = "umschlag.db"

// ErrNotFound is returned for anything asked for by an unknown id.
var ErrNotFound = errors.New("not found")

// ErrTaken is returned when a name has to be unique and is not.
var ErrTaken = errors.New("the name is taken")

// Store is an open database: one writer, any number of readers.
type Store struct {
	write, read *sql.DB
	now         func() time.Time
	// held keeps other servers out; file is the one that was opened at path.
	held *flock.Flock
	path string
	file os.FileInfo
	// follow is what a change of a plan moves in the cupboard; nil for nothing.
	follow Follow
	// changes is how often it was written to.
	changes atomic.Int64
}

// Open opens the database in dir, creating or migrating it as needed. It fails with ErrInUse, ErrForeign, ErrNewer or
// ErrReadOnly, and touches nothing then.
func Open(ctx context.Context, dir string, now func() time.Time) (*Store, error) {
	held, err := lock(dir)
	if err != nil {
		return nil, fmt.Errorf("open %s: %w", dir, err)
	}
	s, err := open(ctx, filepath.Join(dir, FileName))
	if err != nil {
		return nil, errors.Join(err, held.Unlock())
	}
	s.held, s.now = held, now
	return s, nil
}

func open(ctx context.Context, path string) (*Store, error) {
	if err := judge(ctx, path); err != nil {
		return nil, fmt.Errorf("open %s: %w", path, err)
	}
	write, err := sql.Open("sqlite", dsn(path, "_txlock=immediate"))
	if err != nil {
		return nil, fmt.Errorf("open %s: %w", path, err)
	}
	write.SetMaxOpenConns(1)
	if err := migrate(ctx, write); err != nil {
		return nil, errors.Join(fmt.Errorf("open %s: %w", path, plain(err)), write.Close())
	}
	read, err := sql.Open("sqlite", dsn(path, "_pragma=query_only(1)"))
	if err != nil {
		return nil, errors.Join(fmt.Errorf("open %s: %w", path, err), write.Close())
	}
	file, err := os.Stat(path)
	if err != nil {
		return nil, errors.Join(fmt.Errorf("open %s: %w", path, err), write.Close(), read.Close())
	}
	return &Store{write: write, read: read, path: path, file: file}, nil
}

func dsn(path, more string) string {
	u := url.URL{Scheme: "file", Opaque: url.PathEscape(path)}
	return u.String() + "?_pragma=journal_mode(WAL)&_pragma=synchronous(FULL)&_pragma=foreign_keys(1)&_pragma=busy_timeout(5000)&" + more
}

func migrate(ctx context.Context, db *sql.DB) error {
	dir, err := fs.Sub(migrations, "migrations")
	if err != nil {
		return err
	}
	provider, err := goose.NewProvider(goose.DialectSQLite3, db, dir)
	if err != nil {
		return err
	}
	_, err = provider.Up(ctx)
	return err
}

// Close closes the database.
func (s *Store) Close() error { return errors.Join(s.read.Close(), s.write.Close(), s.held.Unlock()) }

// Backup writes a consistent copy to a new file while the store is in use.
func (s *Store) Backup(ctx context.Context, path string) error {
	return copyTo(ctx, s.write, path)
}

// change runs f in a write transaction. It fails with ErrGone, ErrFull or ErrReadOnly where nothing can be kept.
func (s *Store) change(ctx context.Context, what string, f func(*sql.Tx) error) error {
	if err := s.Alive(); err != nil {
		return fmt.Errorf("%s: %w", what, err)
	}
	if err := s.transact(ctx, f); err != nil {
		return fmt.Errorf("%s: %w", what, plain(err))
	}
	if err := s.Alive(); err != nil { // moved meanwhile: it may be in a file that nobody opens again
		return fmt.Errorf("%s: %w", what, err)
	}
	return nil
}

func (s *Store) transact(ctx context.Context, f func(*sql.Tx) error) error {
	if err := s.within(ctx, f); err != nil {
		return err
	}
	s.changes.Add(1)
	return nil
}

// within runs f in a write transaction.
func (s *Store) within(ctx context.Context, f func(*sql.Tx) error) error {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return err
	}
	defer func() { _ = tx.Rollback() }() // nothing to undo after a commit
	if err := f(tx); err != nil {
		return err
	}
	return tx.Commit()
}

// Changes is how often anything was written since the store was opened: what was read after one count is as it is until
// there is another.
func (s *Store) Changes() int64 { return s.changes.Load() }

// stamp is the time as it is stored: of one width, so that texts sort by time.
func (s *Store) stamp() string { return s.now().UTC().Format("2006-01-02T15:04:05.000000Z") }

// found turns an empty result into ErrNotFound.
func found(err error) error {
	if errors.Is(err, sql.ErrNoRows) {
		return ErrNotFound
	}
	return err
}

// collect reads all rows of a query.
func collect[T any](ctx context.Context, db *sql.DB, scan func(*sql.Rows) (T, error), query string, args ...any) ([]T,
	error) {
	rows, err := db.QueryContext(ctx, query, args...)
	if err != nil {
		return nil, err
	}
	defer func() { _ = rows.Close() }() // rows.Err tells what went wrong
	list := []T{}
	for rows.Next() {
		item, err := scan(rows)
		if err != nil {
			return nil, err
		}
		list = append(list, item)
	}
	return list, rows.Err()
}
