-- +goose Up
-- Fronts were sewn with the seam of their cover. What is planned already stays as it is: the key that says so now is
-- written where there was a seam to say.
UPDATE revisions SET doc = json_set(doc, '$.cover.piecing_seam',
    coalesce(json_extract(doc, '$.cover.seam'), json_extract(doc, '$.habits.seam')))
  WHERE json_extract(doc, '$.format') = 'umschlag/plan/2'
    AND coalesce(json_extract(doc, '$.cover.seam'), json_extract(doc, '$.habits.seam')) IS NOT NULL
    AND json_extract(doc, '$.cover.piecing_seam') IS NULL;
UPDATE log SET doc = json_set(doc, '$.cover.piecing_seam',
    coalesce(json_extract(doc, '$.cover.seam'), json_extract(doc, '$.habits.seam')))
  WHERE json_extract(doc, '$.format') = 'umschlag/plan/2'
    AND coalesce(json_extract(doc, '$.cover.seam'), json_extract(doc, '$.habits.seam')) IS NOT NULL
    AND json_extract(doc, '$.cover.piecing_seam') IS NULL;

-- +goose Down
SELECT 1;
