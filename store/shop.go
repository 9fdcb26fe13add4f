package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"strings"
)

// Cloth is a cloth in the cupboard. Doc is its description as saved.
type Cloth = Held

// Held is a thing in the cupboard, a cloth or a notion. Doc is its description as saved.
type Held struct {
	ID       int
	Name     string
	Doc      string
	Revision int
}

// shelf is a table of things that are held.
type shelf struct {
	*Store
	// table is one of this package's own names.
	table, one string
}

func (s *Store) clothShelf() shelf { return shelf{s, "cloths", "cloth"} }

func (s *Store) notionShelf() shelf { return shelf{s, "notions", "notion"} }

func (s shelf) list(ctx context.Context) ([]Held, error) {
	return collect(ctx, s.read, func(r *sql.Rows) (Held, error) {
		var h Held
		return h, r.Scan(&h.ID, &h.Name, &h.Doc, &h.Revision)
	}, `SELECT id, name, doc, revision FROM `+s.table+` ORDER BY name COLLATE NOCASE`)
}

func (s shelf) add(ctx context.Context, name, doc string) (Held, error) {
	var h Held
	err := s.change(ctx, "add "+s.one, func(tx *sql.Tx) error {
		id, err := once(ctx, tx, s.table, func() (id int, err error) {
			row := tx.QueryRowContext(ctx, `INSERT INTO `+s.table+` (name, doc) VALUES (?, ?) RETURNING id`, name, doc)
			err = row.Scan(&id)
			return id, taken(err)
		})
		if err != nil {
			return err
		}
		return found(tx.QueryRowContext(ctx, `SELECT id, name, doc, revision FROM `+s.table+` WHERE id = ?`, id).
			Scan(&h.ID, &h.Name, &h.Doc, &h.Revision))
	})
	return h, err
}

// save keeps a thing as it is changed. Sent again, because the answer was lost, the same is the same save; so it is
// with samples, habits and the log.
func (s shelf) save(ctx context.Context, id, base int, name, doc string) (Held, error) {
	h := Held{ID: id, Name: name, Doc: doc}
	err := s.change(ctx, "save "+s.one, func(tx *sql.Tx) error {
		err := tx.QueryRowContext(ctx,
			`UPDATE `+s.table+` SET name = ?1, doc = ?2, revision = ?4 + 1 WHERE id = ?3
			AND (revision = ?4 OR revision = ?4 + 1 AND name = ?1 AND doc = ?2) RETURNING revision`, name, doc, id,
			base).Scan(&h.Revision)
		return taken(stale(ctx, tx, s.table, id, err))
	})
	return h, err
}

func (s shelf) remove(ctx context.Context, id int) (Held, error) {
	h := Held{ID: id}
	err := s.change(ctx, "remove "+s.one, func(tx *sql.Tx) error {
		return found(tx.QueryRowContext(ctx, `DELETE FROM `+s.table+` WHERE id = ? RETURNING name, doc, revision`, id).
			Scan(&h.Name, &h.Doc, &h.Revision))
	})
	return h, err
}

// Cloths lists the cloths of the cupboard by name.
func (s *Store) Cloths(ctx context.Context) ([]Cloth, error) { return s.clothShelf().list(ctx) }

// AddCloth puts a cloth into the cupboard; its name must be new.
func (s *Store) AddCloth(ctx context.Context, name, doc string) (Cloth, error) {
	return s.clothShelf().add(ctx, name, doc)
}

// SaveCloth changes a cloth that was read at revision base.
func (s *Store) SaveCloth(ctx context.Context, id, base int, name, doc string) (Cloth, error) {
	return s.clothShelf().save(ctx, id, base, name, doc)
}

// RemoveCloth takes a cloth out of the cupboard and returns what it was.
func (s *Store) RemoveCloth(ctx context.Context, id int) (Cloth, error) {
	return s.clothShelf().remove(ctx, id)
}

// Notions lists the things of the cupboard that are no cloth, by name.
func (s *Store) Notions(ctx context.Context) ([]Held, error) { return s.notionShelf().list(ctx) }

// AddNotion puts a notion into the cupboard; its name must be new.
func (s *Store) AddNotion(ctx context.Context, name, doc string) (Held, error) {
	return s.notionShelf().add(ctx, name, doc)
}

// SaveNotion changes a notion that was read at revision base.
func (s *Store) SaveNotion(ctx context.Context, id, base int, name, doc string) (Held, error) {
	return s.notionShelf().save(ctx, id, base, name, doc)
}

func (s *Store) unitShelf() shelf { return shelf{s, "units", "units"} }

// Units lists the units that are sewn already; the name of each tells it from all others.
func (s *Store) Units(ctx context.Context) ([]Held, error) { return s.unitShelf().list(ctx) }

// SaveUnits changes units that were read at revision base.
func (s *Store) SaveUnits(ctx context.Context, id, base int, name, doc string) (Held, error) {
	return s.unitShelf().save(ctx, id, base, name, doc)
}

// RemoveUnits takes units out of the cupboard and returns what they were.
func (s *Store) RemoveUnits(ctx context.Context, id int) (Held, error) {
	return s.unitShelf().remove(ctx, id)
}

// UnitMove is a change of units of one name: Change gets what is there, empty where nothing is, and returns what is to
// be there, empty for nothing. Its error leaves all as it was.
type UnitMove struct {
	Name   string
	Change func(doc string) (string, error)
}

// Follow says what the cupboard has to do where the document of a plan becomes another one.
type Follow func(before, after string) []UnitMove

// Following moves units with every change of a plan, in one with it: saved, undone, redone or restored.
func (s *Store) Following(f Follow) { s.follow = f }

// MoveUnits makes one change of units by itself.
func (s *Store) MoveUnits(ctx context.Context, name string, change func(doc string) (string, error)) error {
	return s.change(ctx, "move units", func(tx *sql.Tx) error {
		_, err := once(ctx, tx, "units", func() (string, error) {
			return name, moveUnits(ctx, tx, UnitMove{name, change})
		})
		return err
	})
}

func moveUnits(ctx context.Context, tx *sql.Tx, m UnitMove) error {
	var doc string
	err := tx.QueryRowContext(ctx, `SELECT doc FROM units WHERE name = ?`, m.Name).Scan(&doc)
	if err != nil && !errors.Is(err, sql.ErrNoRows) {
		return err
	}
	after, err := m.Change(doc)
	switch {
	case err != nil:
		return err
	case after == "":
		_, err = tx.ExecContext(ctx, `DELETE FROM units WHERE name = ?`, m.Name)
	case after != doc:
		_, err = tx.ExecContext(ctx, `INSERT INTO units (name, doc) VALUES (?, ?) ON CONFLICT (name) DO UPDATE SET doc = excluded.doc, revision = revision + 1`, m.Name, after)
	}
	return err
}

// RemoveNotion takes a notion out of the cupboard and returns what it was.
func (s *Store) RemoveNotion(ctx context.Context, id int) (Held, error) {
	return s.notionShelf().remove(ctx, id)
}

// TakeCloths adds the cloths without an id and changes the others, all or none. A cloth
// that was changed since it was read keeps all of them out.
func (s *Store) TakeCloths(ctx context.Context, list []Held) error {
	return s.clothShelf().take(ctx, list)
}

// TakeNotions does the same with notions.
func (s *Store) TakeNotions(ctx context.Context, list []Held) error {
	return s.notionShelf().take(ctx, list)
}

func (s shelf) take(ctx context.Context, list []Held) error {
	return s.change(ctx, "take "+s.table, func(tx *sql.Tx) error {
		for _, c := range list {
			if c.ID == 0 {
				if _, err := tx.ExecContext(ctx, `INSERT INTO `+s.table+` (name, doc) VALUES (?, ?)`, c.Name,
					c.Doc); err != nil {
					return taken(err)
				}
				continue
			}
			var revision int
			err := tx.QueryRowContext(ctx,
				`UPDATE `+s.table+` SET doc = ?, revision = revision + 1 WHERE id = ? AND revision = ? RETURNING revision`, c.Doc, c.ID, c.Revision).Scan(&revision)
			if err := stale(ctx, tx, s.table, c.ID, err); err != nil {
				return err
			}
		}
		return nil
	})
}

// ErrStale is returned when a cloth, a log entry or the habits were changed
// elsewhere since they were read.
var ErrStale = errors.New("it was changed elsewhere since you opened it")

// stale tells an unknown row from one that has moved on.
func stale(ctx context.Context, tx *sql.Tx, table string, id int, err error) error {
	if !errors.Is(err, sql.ErrNoRows) {
		return err
	}
	var there bool
	// The table is one of this package's own names.
	if err := tx.QueryRowContext(ctx, fmt.Sprintf(`SELECT EXISTS (SELECT 1 FROM %s WHERE id = ?)`, table), id).
		Scan(&there); err != nil {
		return err
	}
	if there {
		return ErrStale
	}
	return ErrNotFound
}

func taken(err error) error {
	if err != nil && strings.Contains(err.Error(), "UNIQUE constraint") {
		return ErrTaken
	}
	return err
}

// Habits returns the habits as saved and their revision; an empty document
// before they are first saved.
func (s *Store) Habits(ctx context.Context) (doc string, revision int, err error) {
	err = s.read.QueryRowContext(ctx, `SELECT doc, revision FROM habits WHERE id = 1`).Scan(&doc, &revision)
	if errors.Is(err, sql.ErrNoRows) {
		return "{}", 0, nil
	}
	return doc, revision, err
}

// Reword rewrites a document of the shop: of a cloth, a notion, units or a sample, by the table it stands in.
type Reword func(table, doc string) (string, error)

// SwitchUnits keeps habits in another unit, and rewrites all that the shop holds, put away or not, so that it stays
// what it is: all of it or nothing. Whoever has one of them open saves over another revision.
func (s *Store) SwitchUnits(ctx context.Context, base int, doc string, reword Reword) (revision int, err error) {
	err = s.change(ctx, "switch units", func(tx *sql.Tx) error {
		if revision, err = saveHabits(ctx, tx, base, doc); err != nil {
			return err
		}
		for _, table := range []string{"cloths", "notions", "units", "samples"} {
			if err := rewordAll(ctx, tx, table, reword); err != nil {
				return err
			}
		}
		return nil
	})
	return revision, err
}

// rewordAll rewrites the documents of a table, which is one of this package's own names.
func rewordAll(ctx context.Context, tx *sql.Tx, table string, reword Reword) error {
	type row struct {
		id  any
		doc string
	}
	rows, err := tx.QueryContext(ctx, `SELECT id, doc FROM `+table)
	if err != nil {
		return err
	}
	var list []row
	for rows.Next() {
		var one row
		if err := rows.Scan(&one.id, &one.doc); err != nil {
			return errors.Join(err, rows.Close())
		}
		list = append(list, one)
	}
	if err := rows.Err(); err != nil {
		return err
	}
	for _, one := range list {
		next, err := reword(table, one.doc)
		if err != nil {
			return err
		}
		if next == one.doc {
			continue
		}
		if _, err := tx.ExecContext(ctx, `UPDATE `+table+` SET doc = ?, revision = revision + 1 WHERE id = ?`, next,
			one.id); err != nil {
			return err
		}
	}
	return nil
}

// SaveHabits stores habits that were read at revision base.
func (s *Store) SaveHabits(ctx context.Context, base int, doc string) (revision int, err error) {
	err = s.change(ctx, "save habits", func(tx *sql.Tx) error {
		revision, err = saveHabits(ctx, tx, base, doc)
		return err
	})
	return revision, err
}

func saveHabits(ctx context.Context, tx *sql.Tx, base int, doc string) (revision int, err error) {
	if base == 0 {
		done, err := tx.ExecContext(ctx,
			`INSERT INTO habits (id, doc, revision) VALUES (1, ?, 1) ON CONFLICT (id) DO UPDATE SET doc = excluded.doc
			WHERE revision = 1 AND doc = excluded.doc`, doc)
		if errors.Is(touched(done, err), ErrNotFound) {
			return 0, ErrStale
		}
		return 1, err
	}
	err = tx.QueryRowContext(ctx,
		`UPDATE habits SET doc = ?1, revision = ?2 + 1 WHERE id = 1
		AND (revision = ?2 OR revision = ?2 + 1 AND doc = ?1) RETURNING revision`, doc, base).Scan(&revision)
	return revision, stale(ctx, tx, "habits", 1, err)
}

// LogEntry is a finished cover with the plan as it was finished.
type LogEntry struct {
	ID       int
	Plan     string
	Title    string
	Doc      string
	Finished string
	Minutes  int
	Notes    string
	Next     string
	// Photos are the numbers of its pictures.
	Photos   []int
	Revision int
}

const logColumns = `SELECT id, plan, title, doc, finished, minutes, notes, next, photos, revision FROM log`

func scanEntry(row scanner) (LogEntry, error) {
	var e LogEntry
	var photos string
	if err := row.Scan(&e.ID, &e.Plan, &e.Title, &e.Doc, &e.Finished, &e.Minutes, &e.Notes, &e.Next, &photos,
		&e.Revision); err != nil {
		return e, found(err)
	}
	return e, json.Unmarshal([]byte(photos), &e.Photos)
}

// Log lists the finished covers, the last first.
func (s *Store) Log(ctx context.Context) ([]LogEntry, error) {
	return collect(ctx, s.read, func(r *sql.Rows) (LogEntry, error) { return scanEntry(r) },
		logColumns+` ORDER BY finished DESC, id DESC`)
}

// LogEntry returns one finished cover.
func (s *Store) LogEntry(ctx context.Context, id int) (LogEntry, error) {
	return scanEntry(s.read.QueryRowContext(ctx, logColumns+` WHERE id = ?`, id))
}

// Finish writes a plan into the log as it stands at the revision that a window read. Said once more with the same id,
// because the answer was lost, it is the same entry.
func (s *Store) Finish(ctx context.Context, id string, by Change, e LogEntry) (LogEntry, error) {
	err := s.change(ctx, "finish plan", func(tx *sql.Tx) error {
		if by.ID != "" {
			said, err := scanEntry(tx.QueryRowContext(ctx, logColumns+` WHERE plan = ? AND save = ?`, id, by.ID))
			if !errors.Is(err, ErrNotFound) {
				e = said
				return err
			}
		}
		head, err := current(ctx, tx, id)
		if err != nil {
			return err
		}
		if head.Revision != by.Base {
			return &ConflictError{Current: head}
		}
		e.Plan, e.Title, e.Doc, e.Finished, e.Revision = id, head.Title, head.Doc, s.stamp(), 1
		e.Photos = orNone(e.Photos)
		photos, err := json.Marshal(e.Photos)
		if err != nil {
			return err
		}
		return tx.QueryRowContext(ctx, `INSERT INTO log (plan, title, doc, finished, minutes, notes, next, photos, save)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?) RETURNING id`, e.Plan, e.Title, e.Doc, e.Finished, e.Minutes, e.Notes,
			e.Next, string(photos), by.save()).Scan(&e.ID)
	})
	return e, err
}

// orNone is a list that is written as one when it is empty.
func orNone(list []int) []int {
	if list == nil {
		return []int{}
	}
	return list
}

// SaveLogEntry changes what the maker wrote about a finished cover, and its pictures, as it
// was read at revision base.
func (s *Store) SaveLogEntry(ctx context.Context, e LogEntry, base int) (LogEntry, error) {
	photos, err := json.Marshal(orNone(e.Photos))
	if err != nil {
		return LogEntry{}, err
	}
	err = s.change(ctx, "save log entry", func(tx *sql.Tx) error {
		var revision int
		err := tx.QueryRowContext(ctx,
			`UPDATE log SET minutes = ?1, notes = ?2, next = ?3, photos = ?4, revision = ?6 + 1 WHERE id = ?5
			AND (revision = ?6 OR revision = ?6 + 1 AND minutes = ?1 AND notes = ?2 AND next = ?3 AND photos = ?4)
			RETURNING revision`, e.Minutes, e.Notes, e.Next, string(photos), e.ID, base).Scan(&revision)
		return stale(ctx, tx, "log", e.ID, err)
	})
	if err != nil {
		return LogEntry{}, err
	}
	return s.LogEntry(ctx, e.ID)
}

// RemoveLogEntry takes a cover out of the log.
func (s *Store) RemoveLogEntry(ctx context.Context, id int) error {
	return s.change(ctx, "remove log entry", func(tx *sql.Tx) error {
		done, err := tx.ExecContext(ctx, `DELETE FROM log WHERE id = ?`, id)
		return touched(done, err)
	})
}
