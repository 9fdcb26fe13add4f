package store

import (
	"context"
	"database/sql"
	"errors"
)

// Sample is a sewn sample. Doc is what was written of it.
type Sample struct {
	ID       string
	Doc      string
	Revision int
}

// Samples lists the samples that are not put away, the newest first.
func (s *Store) Samples(ctx context.Context) ([]Sample, error) {
	return collect(ctx, s.read, func(r *sql.Rows) (Sample, error) {
		var one Sample
		return one, r.Scan(&one.ID, &one.Doc, &one.Revision)
	}, `SELECT id, doc, revision FROM samples WHERE away = 0 ORDER BY rowid DESC`)
}

// AddSample keeps a new sample under an id made from its title.
func (s *Store) AddSample(ctx context.Context, title, doc string) (Sample, error) {
	var made Sample
	err := s.change(ctx, "add sample", func(tx *sql.Tx) error {
		id, err := once(ctx, tx, "samples", func() (string, error) {
			id, err := freeID(ctx, tx, "samples", slug(title))
			if err != nil {
				return id, err
			}
			_, err = tx.ExecContext(ctx, `INSERT INTO samples (id, doc) VALUES (?, ?)`, id, doc)
			return id, err
		})
		if err != nil {
			return err
		}
		return tx.QueryRowContext(ctx, `SELECT id, doc, revision FROM samples WHERE id = ?`, id).
			Scan(&made.ID, &made.Doc, &made.Revision)
	})
	return made, err
}

// SaveSample changes a sample that was read at revision base.
func (s *Store) SaveSample(ctx context.Context, id string, base int, doc string) (Sample, error) {
	one := Sample{ID: id, Doc: doc}
	err := s.change(ctx, "save sample", func(tx *sql.Tx) error {
		err := tx.QueryRowContext(ctx,
			`UPDATE samples SET doc = ?1, revision = ?3 + 1 WHERE id = ?2
			AND (revision = ?3 OR revision = ?3 + 1 AND doc = ?1) RETURNING revision`, doc, id, base).Scan(&one.Revision)
		if !errors.Is(err, sql.ErrNoRows) {
			return err
		}
		var there bool
		if err := tx.QueryRowContext(ctx, `SELECT EXISTS (SELECT 1 FROM samples WHERE id = ?)`, id).
			Scan(&there); err != nil {
			return err
		}
		if there {
			return ErrStale
		}
		return ErrNotFound
	})
	return one, err
}

// PutSampleAway takes a sample off the list, or brings it back.
func (s *Store) PutSampleAway(ctx context.Context, id string, away bool) error {
	return s.change(ctx, "put sample away", func(tx *sql.Tx) error {
		return touched(tx.ExecContext(ctx, `UPDATE samples SET away = ? WHERE id = ?`, away, id))
	})
}
