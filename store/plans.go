package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"strings"
	"unicode"
)

// Plan is a stored plan at one revision. Doc is the plan file as it was saved.
type Plan struct {
	ID       string
	Title    string
	Kind     string
	Revision int
	Doc      string
	Made     string
	Changed  string
	CanUndo  bool
	CanRedo  bool
}

// Entry is one line of a plan's history.
type Entry struct {
	Revision int
	Label    string
	Made     string
}

// ConflictError is returned when a change was based on an older revision.
type ConflictError struct{ Current Plan }

func (e *ConflictError) Error() string {
	return fmt.Sprintf("the plan has moved on to revision %d", e.Current.Revision)
}

const planColumns = `SELECT p.id, p.title, p.kind, p.head, r.doc, p.made, p.changed, r.undo_to IS NOT NULL, r.redo_to IS NOT NULL
	FROM plans p JOIN revisions r ON r.plan = p.id AND r.number = p.head`

type scanner interface{ Scan(...any) error }

func scanPlan(row scanner) (Plan, error) {
	var p Plan
	err := row.Scan(&p.ID, &p.Title, &p.Kind, &p.Revision, &p.Doc, &p.Made, &p.Changed, &p.CanUndo, &p.CanRedo)
	return p, found(err)
}

// Plans lists the plans on the shelf, the last changed first.
func (s *Store) Plans(ctx context.Context) ([]Plan, error) {
	return collect(ctx, s.read, func(r *sql.Rows) (Plan, error) { return scanPlan(r) },
		planColumns+` WHERE p.away = 0 ORDER BY p.changed DESC, p.id`)
}

// Plan returns the plan at its newest revision.
func (s *Store) Plan(ctx context.Context, id string) (Plan, error) {
	return scanPlan(s.read.QueryRowContext(ctx, planColumns+` WHERE p.id = ?`, id))
}

// Create stores a new plan and gives it an id made from its title.
func (s *Store) Create(ctx context.Context, title, kind, doc string) (Plan, error) {
	var made Plan
	err := s.change(ctx, "create plan", func(tx *sql.Tx) error {
		id, err := once(ctx, tx, "plans", func() (string, error) { return s.begin(ctx, tx, title, kind, doc) })
		if err != nil {
			return err
		}
		made, err = current(ctx, tx, id)
		return err
	})
	return made, err
}

func (s *Store) begin(ctx context.Context, tx *sql.Tx, title, kind, doc string) (id string, err error) {
	if id, err = freeID(ctx, tx, "plans", slug(title)); err != nil {
		return id, err
	}
	now := s.stamp()
	if _, err := tx.ExecContext(ctx,
		`INSERT INTO plans (id, title, kind, head, made, changed) VALUES (?, ?, ?, 1, ?, ?)`, id, title, kind, now,
		now); err != nil {
		return id, err
	}
	_, err = tx.ExecContext(ctx,
		`INSERT INTO revisions (plan, number, doc, label, made) VALUES (?, 1, ?, 'begun', ?)`, id, doc, now)
	return id, err
}

// slug makes a readable id: small letters, digits and dashes.
func slug(title string) string {
	var b strings.Builder
	for _, c := range strings.ToLower(title) {
		switch {
		case c < unicode.MaxASCII && (unicode.IsLetter(c) || unicode.IsDigit(c)):
			b.WriteRune(c)
		case b.Len() > 0 && !strings.HasSuffix(b.String(), "-"):
			b.WriteByte('-')
		}
		if b.Len() >= 40 {
			break
		}
	}
	if id := strings.Trim(b.String(), "-"); id != "" {
		return id
	}
	return "plan"
}

// freeID is an id made from a base that no row of a table has; the table is one of this
// package's own names.
func freeID(ctx context.Context, tx *sql.Tx, table, base string) (string, error) {
	for n := 1; ; n++ {
		id := base
		if n > 1 {
			id = fmt.Sprintf("%s-%d", base, n)
		}
		var taken bool
		if err := tx.QueryRowContext(ctx, fmt.Sprintf(`SELECT EXISTS (SELECT 1 FROM %s WHERE id = ?)`, table), id).
			Scan(&taken); err != nil {
			return "", err
		}
		if !taken {
			return id, nil
		}
	}
}

func current(ctx context.Context, tx *sql.Tx, id string) (Plan, error) {
	return scanPlan(tx.QueryRowContext(ctx, planColumns+` WHERE p.id = ?`, id))
}

// next is a revision about to be written.
type next struct {
	title, kind, doc, label string
	undo, redo              sql.Null[int]
}

// Change is one that a window makes of a plan.
type Change struct {
	// Base is the revision it is made on.
	Base int
	// ID that the window gave to it; empty where it gave none.
	ID string
}

func (c Change) save() sql.Null[string] { return sql.Null[string]{V: c.ID, Valid: c.ID != ""} }

// advance writes the revision after the one that a change is made on, which must be the newest.
func (s *Store) advance(ctx context.Context, what, id string, by Change, make func(*sql.Tx, Plan) (next, error)) (Plan,
	error) {
	base := by.Base
	var after Plan
	err := s.change(ctx, what, func(tx *sql.Tx) error {
		head, err := current(ctx, tx, id)
		if err != nil {
			return err
		}
		if head.Revision != base {
			return &ConflictError{Current: head}
		}
		n, err := make(tx, head)
		if err != nil {
			return err
		}
		if s.follow != nil {
			for _, m := range s.follow(head.Doc, n.doc) {
				if err := moveUnits(ctx, tx, m); err != nil {
					return err
				}
			}
		}
		now := s.stamp()
		if _, err := tx.ExecContext(ctx,
			`INSERT INTO revisions (plan, number, doc, label, save, made, undo_to, redo_to) VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
			id, base+1, n.doc, n.label, by.save(), now, n.undo, n.redo); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `UPDATE plans SET head = ?, title = ?, kind = ?, changed = ? WHERE id = ?`,
			base+1, n.title, n.kind, now, id); err != nil {
			return err
		}
		after, err = current(ctx, tx, id)
		return err
	})
	return after, err
}

// Version is one of a plan to be kept.
type Version struct {
	Change
	Title, Kind, Doc, Label string
}

// Save stores a new version of a plan. A stale base is a *ConflictError.
func (s *Store) Save(ctx context.Context, id string, v Version) (Plan, error) {
	return s.advance(ctx, "save plan", id, v.Change, func(_ *sql.Tx, head Plan) (next, error) {
		return next{title: v.Title, kind: v.Kind, doc: v.Doc, label: v.Label,
			undo: sql.Null[int]{V: head.Revision, Valid: true}}, nil
	})
}

// Reached is the revision that a window is at which made changes on base whose answers it may not have got: the newest
// one where all that came after base were among sent, else base. last is the id of the change that made it.
func (s *Store) Reached(ctx context.Context, id string, base int, sent []string) (reached int, last string, err error) {
	list, err := json.Marshal(append([]string{}, sent...))
	if err != nil {
		return base, "", err
	}
	var head, others int
	var made sql.Null[string]
	err = s.read.QueryRowContext(ctx, `SELECT p.head, r.save, (SELECT count(*) FROM revisions o WHERE o.plan = p.id
		AND o.number > ? AND (o.save IS NULL OR o.save NOT IN (SELECT value FROM json_each(?))))
		FROM plans p JOIN revisions r ON r.plan = p.id AND r.number = p.head WHERE p.id = ?`, base, string(list), id).
		Scan(&head, &made, &others)
	if err != nil || head <= base || others > 0 {
		return base, "", found(err)
	}
	return head, made.V, nil
}

// Direction of a step through the history.
type Direction string

// The two directions.
const (
	Undo Direction = "undo"
	Redo Direction = "redo"
)

// ErrNothing is returned when there is nothing to undo or redo.
var ErrNothing = errors.New("there is nothing to go back to")

// Step undoes the last change, or redoes the one undone. The history only
// grows: the step is a revision of its own that brings an older document back.
func (s *Store) Step(ctx context.Context, id string, by Change, d Direction) (Plan, error) {
	return s.advance(ctx, string(d), id, by, func(tx *sql.Tx, head Plan) (next, error) {
		var undo, redo sql.Null[int]
		if err := tx.QueryRowContext(ctx, `SELECT undo_to, redo_to FROM revisions WHERE plan = ? AND number = ?`, id,
			head.Revision).Scan(&undo, &redo); err != nil {
			return next{}, err
		}
		here := sql.Null[int]{V: head.Revision, Valid: true}
		target, n := undo, next{redo: here}
		if d == Redo {
			target, n = redo, next{undo: here}
		}
		if !target.Valid {
			return next{}, ErrNothing
		}
		var before, after sql.Null[int]
		if err := tx.QueryRowContext(ctx,
			`SELECT doc, label, undo_to, redo_to FROM revisions WHERE plan = ? AND number = ?`, id, target.V).
			Scan(&n.doc, &n.label, &before, &after); err != nil {
			return next{}, err
		}
		if d == Undo {
			n.undo = before
		} else {
			n.redo = after
		}
		return n, named(&n)
	})
}

// Revision is the document of a revision of a plan.
func (s *Store) Revision(ctx context.Context, id string, number int) (doc string, err error) {
	err = found(s.read.QueryRowContext(ctx, `SELECT doc FROM revisions WHERE plan = ? AND number = ?`, id, number).
		Scan(&doc))
	return doc, err
}

// Restore brings an older revision back as a change that can be undone, with its document as it
// is to be stored.
func (s *Store) Restore(ctx context.Context, id string, by Change, revision int, doc string) (Plan, error) {
	return s.advance(ctx, "restore plan", id, by, func(_ *sql.Tx, head Plan) (next, error) {
		n := next{doc: doc, label: fmt.Sprintf("revision %d restored", revision),
			undo: sql.Null[int]{V: head.Revision, Valid: true}}
		return n, named(&n)
	})
}

// History lists the revisions of a plan, the newest first.
func (s *Store) History(ctx context.Context, id string) ([]Entry, error) {
	return collect(ctx, s.read, func(r *sql.Rows) (Entry, error) {
		var e Entry
		return e, r.Scan(&e.Revision, &e.Label, &e.Made)
	}, `SELECT number, label, made FROM revisions WHERE plan = ? ORDER BY number DESC`, id)
}

// PutAway takes a plan off the shelf, or brings it back.
func (s *Store) PutAway(ctx context.Context, id string, away bool) error {
	return s.change(ctx, "put plan away", func(tx *sql.Tx) error {
		done, err := tx.ExecContext(ctx, `UPDATE plans SET away = ? WHERE id = ?`, away, id)
		return touched(done, err)
	})
}

// touched turns a change of nothing into ErrNotFound.
func touched(done sql.Result, err error) error {
	if err != nil {
		return err
	}
	if n, err := done.RowsAffected(); err != nil || n > 0 {
		return err
	}
	return ErrNotFound
}

// named takes title and kind for the list from a document about to be stored.
func named(n *next) error {
	var head struct {
		Title string `json:"title"`
		Cover struct {
			Kind string `json:"kind"`
		} `json:"cover"`
	}
	if err := json.Unmarshal([]byte(n.doc), &head); err != nil {
		return fmt.Errorf("read stored plan: %w", err)
	}
	n.title, n.kind = head.Title, head.Cover.Kind
	return nil
}
