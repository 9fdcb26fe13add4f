-- +goose Up
-- The id that the window gave to what is written into the log: said again, because the answer was lost, it is known.
ALTER TABLE log ADD COLUMN save TEXT;

-- +goose Down
SELECT 1;
