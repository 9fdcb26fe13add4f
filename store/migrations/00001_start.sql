-- +goose Up
CREATE TABLE plans (
  id      TEXT PRIMARY KEY,
  title   TEXT NOT NULL,
  kind    TEXT NOT NULL,
  head    INTEGER NOT NULL,
  made    TEXT NOT NULL,
  changed TEXT NOT NULL,
  away    INTEGER NOT NULL DEFAULT 0 -- 1 when put away from the shelf
) STRICT;

-- Every save is a row that is never changed. Undo and redo add rows too:
-- undo_to and redo_to say which revision each would bring back from here.
CREATE TABLE revisions (
  plan    TEXT NOT NULL REFERENCES plans (id) ON DELETE CASCADE,
  number  INTEGER NOT NULL,
  doc     TEXT NOT NULL,
  label   TEXT NOT NULL,
  made    TEXT NOT NULL,
  undo_to INTEGER,
  redo_to INTEGER,
  PRIMARY KEY (plan, number)
) STRICT, WITHOUT ROWID;

CREATE TABLE cloths (
  id       INTEGER PRIMARY KEY,
  name     TEXT NOT NULL UNIQUE COLLATE NOCASE,
  doc      TEXT NOT NULL,
  revision INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE habits (
  id       INTEGER PRIMARY KEY CHECK (id = 1),
  doc      TEXT NOT NULL,
  revision INTEGER NOT NULL
) STRICT;

CREATE TABLE log (
  id       INTEGER PRIMARY KEY,
  plan     TEXT NOT NULL REFERENCES plans (id) ON DELETE CASCADE,
  title    TEXT NOT NULL,
  doc      TEXT NOT NULL,
  finished TEXT NOT NULL,
  minutes  INTEGER NOT NULL DEFAULT 0,
  notes    TEXT NOT NULL DEFAULT '',
  next     TEXT NOT NULL DEFAULT '',
  revision INTEGER NOT NULL DEFAULT 1
) STRICT;

-- +goose Down
DROP TABLE log;
DROP TABLE habits;
DROP TABLE cloths;
DROP TABLE revisions;
DROP TABLE plans;
