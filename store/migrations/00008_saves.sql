-- +goose Up
-- The id that the window gave to a save: one whose answer was lost is known when it is sent again.
ALTER TABLE revisions ADD COLUMN save TEXT;

-- +goose Down
SELECT 1;
