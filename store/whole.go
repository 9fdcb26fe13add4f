package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"

	"umschlag/format/workshopfile"
)

// ErrNotEmpty is returned when a workshop is brought into one that has something in it.
var ErrNotEmpty = errors.New("there is something in this workshop already")

// Whole is everything that is kept, at one moment.
func (s *Store) Whole(ctx context.Context) (workshopfile.Workshop, error) {
	var w workshopfile.Workshop
	tx, err := s.read.BeginTx(ctx, &sql.TxOptions{ReadOnly: true})
	if err != nil {
		return w, fmt.Errorf("read the workshop: %w", err)
	}
	defer func() { _ = tx.Rollback() }() // nothing was written
	var habits string
	switch err := tx.QueryRowContext(ctx, `SELECT doc FROM habits WHERE id = 1`).Scan(&habits); {
	case errors.Is(err, sql.ErrNoRows):
		habits = "{}"
	case err != nil:
		return w, fmt.Errorf("read the workshop: %w", err)
	}
	w.Habits = json.RawMessage(habits)
	w.Photos = map[int]workshopfile.Photo{}
	for _, part := range []func(context.Context, *sql.Tx, *workshopfile.Workshop) error{readPlans, readCupboard,
		readSamples, readLog, readRest} {
		if err := part(ctx, tx, &w); err != nil {
			return w, fmt.Errorf("read the workshop: %w", err)
		}
	}
	return w, nil
}

// each calls with every row of a query.
func each(ctx context.Context, tx *sql.Tx, query string, row func(*sql.Rows) error) error {
	rows, err := tx.QueryContext(ctx, query)
	if err != nil {
		return err
	}
	defer func() { _ = rows.Close() }()
	for rows.Next() {
		if err := row(rows); err != nil {
			return err
		}
	}
	return rows.Err()
}

func readPlans(ctx context.Context, tx *sql.Tx, w *workshopfile.Workshop) error {
	return each(ctx, tx, `SELECT p.id, p.made, p.changed, p.away, r.doc FROM plans p JOIN revisions r ON r.plan = p.id AND r.number = p.head ORDER BY p.changed, p.id`, func(r *sql.Rows) error {
		var p workshopfile.Plan
		var doc string
		err := r.Scan(&p.ID, &p.Made, &p.Changed, &p.Away, &doc)
		p.Doc = json.RawMessage(doc)
		w.Plans = append(w.Plans, p)
		return err
	})
}

func readCupboard(ctx context.Context, tx *sql.Tx, w *workshopfile.Workshop) error {
	for _, table := range []struct {
		name string
		to   *[]workshopfile.Named
	}{{"cloths", &w.Cloths}, {"notions", &w.Notions}, {"units", &w.Units}} {
		err := each(ctx, tx, `SELECT id, name, doc FROM `+table.name+` ORDER BY id`, func(r *sql.Rows) error {
			var n workshopfile.Named
			var doc string
			err := r.Scan(&n.ID, &n.Name, &doc)
			n.Doc = json.RawMessage(doc)
			*table.to = append(*table.to, n)
			return err
		})
		if err != nil {
			return err
		}
	}
	return nil
}

func readSamples(ctx context.Context, tx *sql.Tx, w *workshopfile.Workshop) error {
	return each(ctx, tx, `SELECT id, away, doc FROM samples ORDER BY rowid`, func(r *sql.Rows) error {
		var one workshopfile.Sample
		var doc string
		err := r.Scan(&one.ID, &one.Away, &doc)
		one.Doc = json.RawMessage(doc)
		w.Samples = append(w.Samples, one)
		return err
	})
}

func readLog(ctx context.Context, tx *sql.Tx, w *workshopfile.Workshop) error {
	return each(ctx, tx, `SELECT plan, title, doc, finished, minutes, notes, next, photos FROM log ORDER BY id`,
		func(r *sql.Rows) error {
			var e workshopfile.Entry
			var doc, photos string
			if err := r.Scan(&e.Plan, &e.Title, &doc, &e.Finished, &e.Minutes, &e.Notes, &e.Next, &photos); err != nil {
				return err
			}
			e.Doc = json.RawMessage(doc)
			w.Log = append(w.Log, e)
			return json.Unmarshal([]byte(photos), &w.Log[len(w.Log)-1].Photos)
		})
}

func readRest(ctx context.Context, tx *sql.Tx, w *workshopfile.Workshop) error {
	err := each(ctx, tx, `SELECT kind, tried, hit, run FROM practice ORDER BY kind`, func(r *sql.Rows) error {
		var p workshopfile.Practice
		err := r.Scan(&p.Kind, &p.Tried, &p.Hit, &p.Run)
		w.Practice = append(w.Practice, p)
		return err
	})
	if err != nil {
		return err
	}
	return each(ctx, tx, `SELECT id, jpeg, width, height FROM photos ORDER BY id`, func(r *sql.Rows) error {
		var n int
		var p workshopfile.Photo
		err := r.Scan(&n, &p.JPEG, &p.Width, &p.Height)
		w.Photos[n] = p
		return err
	})
}

// Title of a plan is what its document says; Kind the kind of its cover.
type Title struct{ Title, Kind string }

// Fill brings a whole workshop into an empty one, all of it or nothing; titles are those of
// its plans, in their order. It fails with ErrNotEmpty where there is something already, and
// with ErrTaken where two things have one name.
func (s *Store) Fill(ctx context.Context, w workshopfile.Workshop, titles []Title) error {
	return s.change(ctx, "bring the workshop in", func(tx *sql.Tx) error {
		var held bool
		if err := tx.QueryRowContext(ctx,
			`SELECT EXISTS (SELECT 1 FROM plans) OR EXISTS (SELECT 1 FROM cloths) OR EXISTS (SELECT 1 FROM notions) OR EXISTS (SELECT 1 FROM units) OR EXISTS (SELECT 1 FROM samples) OR EXISTS (SELECT 1 FROM photos)`).Scan(&held); err != nil {
			return err
		}
		if held {
			return ErrNotEmpty
		}
		do := func(query string, args ...any) error {
			_, err := tx.ExecContext(ctx, query, args...)
			return taken(err)
		}
		return errors.Join(fill(w, titles, do)...)
	})
}

// fill writes all rows; what goes wrong with the first of them is enough.
func fill(w workshopfile.Workshop, titles []Title, do func(string, ...any) error) []error {
	var failed []error
	step := func(query string, args ...any) {
		if len(failed) == 0 {
			if err := do(query, args...); err != nil {
				failed = append(failed, err)
			}
		}
	}
	step(`INSERT INTO habits (id, doc, revision) VALUES (1, ?, 1) ON CONFLICT (id) DO UPDATE SET doc = excluded.doc, revision = revision + 1`, string(w.Habits))
	for _, n := range w.Pictures() {
		p := w.Photos[n]
		step(`INSERT INTO photos (id, jpeg, width, height) VALUES (?, ?, ?, ?)`, n, p.JPEG, p.Width, p.Height)
	}
	for i, p := range w.Plans {
		step(`INSERT INTO plans (id, title, kind, head, made, changed, away) VALUES (?, ?, ?, 1, ?, ?, ?)`, p.ID,
			titles[i].Title, titles[i].Kind, p.Made, p.Changed, p.Away)
		step(`INSERT INTO revisions (plan, number, doc, label, made) VALUES (?, 1, ?, 'brought in', ?)`, p.ID,
			string(p.Doc), p.Changed)
	}
	for _, c := range w.Cloths {
		step(`INSERT INTO cloths (id, name, doc) VALUES (?, ?, ?)`, c.ID, c.Name, string(c.Doc))
	}
	for _, n := range w.Notions {
		step(`INSERT INTO notions (id, name, doc) VALUES (?, ?, ?)`, n.ID, n.Name, string(n.Doc))
	}
	for _, u := range w.Units {
		step(`INSERT INTO units (id, name, doc) VALUES (?, ?, ?)`, u.ID, u.Name, string(u.Doc))
	}
	for _, one := range w.Samples {
		step(`INSERT INTO samples (id, doc, away) VALUES (?, ?, ?)`, one.ID, string(one.Doc), one.Away)
	}
	for _, e := range w.Log {
		photos, err := json.Marshal(append([]int{}, e.Photos...))
		if err != nil {
			failed = append(failed, err)
		}
		step(`INSERT INTO log (plan, title, doc, finished, minutes, notes, next, photos) VALUES (?, ?, ?, ?, ?, ?, ?, ?)`, e.Plan, e.Title, string(e.Doc), e.Finished, e.Minutes, e.Notes, e.Next, string(photos))
	}
	for _, p := range w.Practice {
		step(`INSERT INTO practice (kind, tried, hit, run) VALUES (?, ?, ?, ?)`, p.Kind, p.Tried, p.Hit, p.Run)
	}
	return failed
}
