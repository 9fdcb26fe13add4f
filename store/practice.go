package store

import (
	"context"
	"database/sql"
)

// Practised is how far the maker is with a kind of exercise.
type Practised struct {
	Kind            string
	Tried, Hit, Run int
}

// Practice lists how far the maker is, by kind.
func (s *Store) Practice(ctx context.Context) ([]Practised, error) {
	return collect(ctx, s.read, func(r *sql.Rows) (Practised, error) {
		var p Practised
		return p, r.Scan(&p.Kind, &p.Tried, &p.Hit, &p.Run)
	}, `SELECT kind, tried, hit, run FROM practice ORDER BY kind`)
}

// Practise records an answer.
func (s *Store) Practise(ctx context.Context, kind string, right bool) error {
	hit := 0
	if right {
		hit = 1
	}
	return s.change(ctx, "practise", func(tx *sql.Tx) error {
		_, err := tx.ExecContext(ctx, `INSERT INTO practice (kind, tried, hit, run) VALUES (?1, 1, ?2, ?2)
			ON CONFLICT (kind) DO UPDATE SET tried = tried + 1, hit = hit + ?2, run = CASE WHEN ?2 = 1 THEN run + 1 ELSE 0 END`, kind, hit)
		return err
	})
}
