package reckon_test

import (
	"slices"
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// What a cut is about names it: no two cuts of a plan are about the same, whatever its cloths and
// pieces are called.
func TestNoTwoCutsAreAboutTheSame(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		ids := map[ref.Ref]string{}
		for _, c := range reckon.Reckon(anyplan.Plans().Draw(t, "plan"), nil).Cuts {
			is := c.About.Ref(ref.Cut)
			assert.NotEmpty(t, is.Role, c.ID)
			assert.Empty(t, ids[is], "%s and %s are both %s", ids[is], c.ID, is)
			ids[is] = c.ID
		}
	})
}

// Every step says what is done, and to what.
func TestStepsSayWhatIsDone(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		r := reckon.Reckon(anyplan.Plans().Draw(t, "plan"), nil)
		for _, s := range r.Steps {
			assert.NotEmpty(t, s.About.Role, s.ID)
			assert.Equal(t, s.Gate != "", s.Reads != "", s.ID)
			if s.Join > 0 {
				assert.LessOrEqual(t, s.Join, len(r.Joins))
			}
			if s.About.Role.Bordering() {
				assert.NotEmpty(t, s.About.Of, s.ID)
				assert.NotEmpty(t, s.Cells, s.ID)
			}
		}
	})
}

// A border of patches is sewn on in one step, which is about all of it.
func TestABorderOfPatchesIsSewnOnWhole(t *testing.T) {
	p := bordered()
	p.Pieces["front"].Face.Borders[0].Pieced = &plan.PiecedBorder{Cloths: []string{"A", "B"}}
	r := reckon.Reckon(p, nil)
	require.NotEmpty(t, r.Steps, "%v", r.Findings)
	ringed := 0
	for _, cell := range piece(t, r, "front").Cells {
		for _, c := range r.Cuts {
			if c.ID == cell.Cut && c.About.Ring > 0 {
				ringed++
			}
		}
	}
	i := slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.About.Role == ref.DoBorder })
	require.GreaterOrEqual(t, i, 0)
	assert.Positive(t, ringed)
	assert.Len(t, r.Steps[i].Cells, ringed)
}

// What is counted of a part of a stack is counted as what it is.
func TestTrianglesOfAStackAreCountedByWhatTheyAre(t *testing.T) {
	p := bordered()
	point := plan.Face{Kind: plan.GridFace, Set: plan.OnPoint, Columns: 3, Rows: 2, Patch: plan.Patch{Fit: true},
		Cloths: []string{"A", "B"}}
	p.Pieces["front"] = plan.Piece{Face: &plan.Face{Kind: plan.StackFace,
		Parts: []plan.Part{{Height: plan.Extent{Width: 8 * in}, Face: plan.Face{Kind: plan.PlainFace, Cloth: "A"}},
			{Height: plan.Extent{Width: 8 * in}, Face: point}}}}
	r := reckon.Reckon(p, nil)
	require.NotEmpty(t, r.Steps, "%v", r.Findings)
	assert.Equal(t, 4, r.Counts["corner triangles"])
	assert.Equal(t, 6, r.Counts["side triangles"], "twice the columns and the rows, each less one")
}
