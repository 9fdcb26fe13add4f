-- +goose Up
CREATE TABLE practice (
  kind  TEXT PRIMARY KEY,
  tried INTEGER NOT NULL,
  hit   INTEGER NOT NULL, -- at the first try
  run   INTEGER NOT NULL  -- right ones in a row, up to now
) STRICT;

-- +goose Down
DROP TABLE practice;
