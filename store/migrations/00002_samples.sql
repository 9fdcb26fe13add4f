-- +goose Up
CREATE TABLE samples (
  id       TEXT PRIMARY KEY,
  doc      TEXT NOT NULL,
  revision INTEGER NOT NULL DEFAULT 1,
  away     INTEGER NOT NULL DEFAULT 0 -- 1 when put away
) STRICT;

-- +goose Down
DROP TABLE samples;
