-- +goose Up
CREATE TABLE photos (
  id     INTEGER PRIMARY KEY,
  jpeg   BLOB NOT NULL,
  width  INTEGER NOT NULL,
  height INTEGER NOT NULL
) STRICT;

-- +goose Down
DROP TABLE photos;
