-- +goose Up
CREATE TABLE notions (
  id       INTEGER PRIMARY KEY,
  name     TEXT NOT NULL UNIQUE COLLATE NOCASE,
  doc      TEXT NOT NULL,
  revision INTEGER NOT NULL DEFAULT 1
) STRICT;

-- +goose Down
DROP TABLE notions;
