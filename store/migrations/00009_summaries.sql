-- +goose Up
-- What the shelf shows of a plan, as it was worked out last: by the revision of the plan, the workshop it was worked
-- out in, and the program that did. It says nothing new, and may be thrown away.
CREATE TABLE summaries (
  plan     TEXT PRIMARY KEY REFERENCES plans (id) ON DELETE CASCADE,
  revision INTEGER NOT NULL,
  made_in  TEXT NOT NULL,
  doc      TEXT NOT NULL
) STRICT;

-- +goose Down
DROP TABLE summaries;
