-- +goose Up
ALTER TABLE log ADD COLUMN photos TEXT NOT NULL DEFAULT '[]';

-- +goose Down
ALTER TABLE log DROP COLUMN photos;
