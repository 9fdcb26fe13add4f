package store

import (
	"context"
	"database/sql"
	"fmt"
)

// Summary is what the shelf shows of a plan, as it was worked out.
type Summary struct {
	Plan     string
	Revision int
	// In tells the workshop and the program it was worked out in from others.
	In  string
	Doc string
}

// Summaries are those kept last of each plan, by the plan.
func (s *Store) Summaries(ctx context.Context) (map[string]Summary, error) {
	list, err := collect(ctx, s.read, func(rows *sql.Rows) (one Summary, err error) {
		err = rows.Scan(&one.Plan, &one.Revision, &one.In, &one.Doc)
		return one, err
	}, `SELECT plan, revision, made_in, doc FROM summaries`)
	out := make(map[string]Summary, len(list))
	for _, one := range list {
		out[one.Plan] = one
	}
	return out, err
}

// KeepSummaries keeps summaries in place of those before. What is stored besides does not change with them: Changes
// does not count them. One of a plan that is gone is let go.
func (s *Store) KeepSummaries(ctx context.Context, all []Summary) error {
	if err := s.Alive(); err != nil {
		return fmt.Errorf("keep summaries: %w", err)
	}
	err := s.within(ctx, func(tx *sql.Tx) error {
		for _, one := range all {
			_, err := tx.ExecContext(ctx, `INSERT INTO summaries (plan, revision, made_in, doc)
				SELECT id, ?2, ?3, ?4 FROM plans WHERE id = ?1
				ON CONFLICT (plan) DO UPDATE SET revision = ?2, made_in = ?3, doc = ?4`,
				one.Plan, one.Revision, one.In, one.Doc)
			if err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return fmt.Errorf("keep summaries: %w", plain(err))
	}
	return nil
}
