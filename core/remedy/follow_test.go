package remedy_test

import (
	"math"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/remedy"
	_ "umschlag/seeded"
)

const in = length.Inch

// hood is one of a size without ease, its main panel a grid of patches.
func hood(t require.TestingT, long, deep, high length.Length, face plan.Face) plan.Plan {
	p, ok := plan.Begin("appliance", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "linen"})
	require.True(t, ok)
	p.Title, p.Object.Length, p.Object.Depth, p.Object.Height, p.Cover.Ease = "t", long, deep, high, plan.Axes{}
	p.Pieces = map[string]plan.Piece{"*": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"}}, "main": {Face: &face}}
	return p
}

// offered are the plans that are offered for the first stop, by what is said of them.
func offered(t require.TestingT, p plan.Plan) map[string]plan.Plan {
	r := reckon.Reckon(p, nil)
	i := slices.IndexFunc(r.Findings, func(f finding.Finding) bool { return f.Level == finding.Stop })
	require.GreaterOrEqual(t, i, 0, "nothing stops it")
	out := map[string]plan.Plan{}
	for _, o := range remedy.For(p, r.Findings, reckon.NewPurse(nil), nil)[i] {
		out[o.Text] = o.Plan
	}
	return out
}

// The panel is given: 5 × 9 patches of 2 in with sashing of ⅜ between and round them make 12¼ × 21¾. A hood 12¼ × 7 × 8
// goes 23 over; what takes up 1¼ is chosen.
func TestAPanelIsGivenAndTheHoodFollows(t *testing.T) {
	p := hood(t, 49*in/4, 7*in, 8*in, plan.Face{Kind: plan.GridFace, Columns: 5, Rows: 9, Cloths: []string{"A"},
		Patch: plan.Patch{Width: 2 * in}, Sash: &plan.Sash{Width: 3 * in / 8, Outside: true, Cloth: "A"}})
	offers := offered(t, p)
	said := func(begins string) plan.Plan {
		for text, q := range offers {
			if strings.HasPrefix(text, begins) {
				assert.Contains(t, text, "it finishes 12¼″ × 21¾″")
				return q
			}
		}
		require.Fail(t, begins, "%v", offers)
		return plan.Plan{}
	}
	assert.Equal(t, -5*in/8, said("An ease of −⅝″ in height").Cover.Ease.Height)
	assert.Equal(t, -5*in/4, said("An ease of −1¼″ in depth").Cover.Ease.Depth)
	// Twice (2 − π/2)·r is what two round corners save.
	radius := said("Corners cut to a radius of").Cover.Corners.Radius - p.Cover.Seam
	assert.InDelta(t, 1.25/(4-math.Pi), radius.Float()/in.Float(), 1e-6)
	assert.InDelta(t, 1.456, radius.Float()/in.Float(), 5e-4)
	bordered := offers["The sashing round the patches takes the rest, as a border of their fabric"]
	require.NotNil(t, bordered.Pieces["main"].Face)
	assert.Len(t, bordered.Pieces["main"].Face.Borders, 1)
}

// Whatever a panel makes, the cover that follows it closes: it finishes as large as its patches.
func TestACoverThatFollowsCloses(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		eighths := func(name string, least, most int) length.Length {
			return length.Length(rapid.IntRange(8*least, 8*most).Draw(t, name)) * in / 8
		}
		patch := eighths("patch", 1, 3)
		columns, rows := rapid.IntRange(3, 8).Draw(t, "columns"), rapid.IntRange(3, 8).Draw(t, "rows")
		p := hood(t, patch.Times(columns)+eighths("longer", -1, 1), eighths("deep", 4, 9), eighths("high", 4, 9),
			plan.Face{Kind: plan.GridFace, Columns: columns, Rows: rows, Cloths: []string{"A"},
				Patch: plan.Patch{Width: patch}})
		if !finding.List(reckon.Reckon(p, nil).Findings).Stopped() {
			return
		}
		for text, q := range offered(t, p) {
			r := reckon.Reckon(q, nil)
			require.False(t, finding.List(r.Findings).Stopped(), "%s: %v", text, r.Findings)
			if strings.Contains(text, "it finishes") {
				main := r.Pieces[0].Finished
				assert.InDelta(t, patch.Times(columns).Float(), main.Width.NM, 1000, text)
				assert.InDelta(t, patch.Times(rows).Float(), main.Height.NM, 1000, text)
			}
		}
	})
}
