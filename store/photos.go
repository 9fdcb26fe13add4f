package store

import (
	"context"
	"database/sql"
)

// AddPhoto keeps a picture and returns its number.
func (s *Store) AddPhoto(ctx context.Context, jpeg []byte, width, height int) (id int, err error) {
	err = s.change(ctx, "add photo", func(tx *sql.Tx) error {
		return tx.QueryRowContext(ctx, `INSERT INTO photos (jpeg, width, height) VALUES (?, ?, ?) RETURNING id`, jpeg,
			width, height).Scan(&id)
	})
	return id, err
}

// Photo returns a picture.
func (s *Store) Photo(ctx context.Context, id int) (jpeg []byte, err error) {
	err = found(s.read.QueryRowContext(ctx, `SELECT jpeg FROM photos WHERE id = ?`, id).Scan(&jpeg))
	return jpeg, err
}
