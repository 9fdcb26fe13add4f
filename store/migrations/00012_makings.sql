-- +goose Up
-- What was made under an id of the asker's own: asked for again, because the answer was lost, it is the same.
CREATE TABLE makings (
  save TEXT NOT NULL,
  place TEXT NOT NULL,
  made ANY NOT NULL,
  PRIMARY KEY (save, place)
) STRICT, WITHOUT ROWID;

-- +goose Down
SELECT 1;
