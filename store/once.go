package store

import (
	"context"
	"database/sql"
	"errors"
)

type onceID struct{}

// Once is a context in which a thing is made once: where the answer was lost and it is asked for again under the same
// id, which is the asker's own, what was made is answered. It holds for plans, samples, what is in the cupboard, and
// units that are put there.
func Once(ctx context.Context, id string) context.Context {
	return context.WithValue(ctx, onceID{}, id)
}

// once makes a thing in a table, or tells which one was made under the id of the context.
func once[Made any](ctx context.Context, tx *sql.Tx, table string, anew func() (Made, error)) (Made, error) {
	id, _ := ctx.Value(onceID{}).(string)
	if id == "" {
		return anew()
	}
	var made Made
	err := tx.QueryRowContext(ctx, `SELECT made FROM makings WHERE save = ? AND place = ?`, id, table).Scan(&made)
	if !errors.Is(err, sql.ErrNoRows) {
		return made, err
	}
	if made, err = anew(); err != nil {
		return made, err
	}
	_, err = tx.ExecContext(ctx, `INSERT INTO makings (save, place, made) VALUES (?, ?, ?)`, id, table, made)
	return made, err
}
