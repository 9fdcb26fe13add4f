-- +goose Up
CREATE TABLE units (
  id       INTEGER PRIMARY KEY,
  name     TEXT NOT NULL UNIQUE,
  doc      TEXT NOT NULL,
  revision INTEGER NOT NULL DEFAULT 1
) STRICT;

-- +goose Down
DROP TABLE units;
