package store_test

import (
	"database/sql"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Plans that were kept before fronts had a seam of their own say which one they are sewn with; later ones that say
// nothing are left alone.
func TestPlansFromBeforeThePiecingSeamKeepTheirs(t *testing.T) {
	dir := t.TempDir()
	s := open(t, dir)
	docs := map[string]string{
		"decided":   `{"format":"umschlag/plan/2","cover":{"kind":"cushion","seam":"1/2"}}`,
		"by habit":  `{"format":"umschlag/plan/2","cover":{"kind":"cushion"},"habits":{"seam":0.375}}`,
		"usual":     `{"format":"umschlag/plan/2","cover":{"kind":"cushion"}}`,
		"both":      `{"format":"umschlag/plan/2","cover":{"kind":"cushion","seam":"1/2","piecing_seam":"1/4"}}`,
		"formatone": `{"format":"umschlag/plan/1","cover":{"kind":"cushion","seam":"1/2"}}`,
	}
	broken, err := s.Create(t.Context(), "broken", "cushion", "{no plan")
	require.NoError(t, err)
	ids := map[string]string{}
	for name, doc := range docs {
		p, err := s.Create(t.Context(), name, "cushion", doc)
		require.NoError(t, err)
		ids[name] = p.ID
	}
	require.NoError(t, s.Close())
	files, err := os.ReadDir(dir)
	require.NoError(t, err)
	var path string
	for _, f := range files {
		if strings.HasSuffix(f.Name(), ".db") {
			path = filepath.Join(dir, f.Name())
		}
	}
	db, err := sql.Open("sqlite", path)
	require.NoError(t, err)
	for _, undone := range []string{`DELETE FROM goose_db_version WHERE version_id >= 7`,
		`ALTER TABLE revisions DROP COLUMN save`, `DROP TABLE summaries`, `DROP TABLE units`,
		`ALTER TABLE log DROP COLUMN save`, `DROP TABLE makings`} {
		_, err = db.ExecContext(t.Context(), undone)
		require.NoError(t, err)
	}
	require.NoError(t, db.Close())

	s = open(t, dir)
	p, err := s.Plan(t.Context(), broken.ID)
	require.NoError(t, err)
	assert.Equal(t, "{no plan", p.Doc, "left as it is")
	for name, want := range map[string]string{
		"decided":   `{"format":"umschlag/plan/2","cover":{"kind":"cushion","seam":"1/2","piecing_seam":"1/2"}}`,
		"by habit":  `{"format":"umschlag/plan/2","cover":{"kind":"cushion","piecing_seam":0.375},"habits":{"seam":0.375}}`,
		"usual":     docs["usual"],
		"both":      docs["both"],
		"formatone": docs["formatone"], // its reader says it
	} {
		p, err := s.Plan(t.Context(), ids[name])
		require.NoError(t, err)
		assert.JSONEq(t, want, p.Doc, name)
	}
}
