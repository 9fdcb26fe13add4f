-- +goose Up
-- Fronts were sewn with the seam of their cover. What is planned already stays as it is: the key that says so now is
-- written where there was a seam to say. A document that cannot be read is left as it is.
UPDATE revisions SET doc = json_set(doc, '$.cover.piecing_seam',
    coalesce(json_extract(doc, '$.cover.seam'), json_extract(doc, '$.habits.seam')))
  WHERE CASE WHEN json_valid(doc) THEN json_extract(doc, '$.format') = 'umschlag/plan/2'
    AND coalesce(json_extract(doc, '$.cover.seam'), json_extract(doc, '$.habits.seam')) IS NOT NULL
    AND json_extract(doc, '$.cover.piecing_seam') IS NULL ELSE 0 END;
UPDATE log SET doc = json_set(doc, '$.cover.piecing_seam',
    coalesce(json_extract(doc, '$.cover.seam'), json_extract(doc, '$.habits.seam')))
  WHERE CASE WHEN json_valid(doc) THEN json_extract(doc, '$.format') = 'umschlag/plan/2'
    AND coalesce(json_extract(doc, '$.cover.seam'), json_extract(doc, '$.habits.seam')) IS NOT NULL
    AND json_extract(doc, '$.cover.piecing_seam') IS NULL ELSE 0 END;

-- +goose Down
SELECT 1;
