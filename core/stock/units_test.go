package stock_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/stock"
)

// halves are half-square triangles of two fabrics, sewn with a quarter inch.
func halves(n int, fabrics ...string) plan.MadeUnits {
	return plan.MadeUnits{Cells: "A / B", Fabrics: fabrics, Width: 9 * in / 2, Height: 9 * in / 2, Seam: in / 4,
		Count: n}
}

func TestUnitsInTheCupboardAreCountedByWhatTheyAre(t *testing.T) {
	of, err := stock.ReadUnits(halves(1, "linen", "dot"))
	require.NoError(t, err)
	wider := halves(4, "dot", "linen")
	wider.Seam = 3 * in / 8
	larger := halves(5, "dot", "linen")
	larger.Width += in / 16
	unreadable := halves(6, "dot", "linen")
	unreadable.Cells = "A /"
	assert.Equal(t, 5, of.Held([]plan.MadeUnits{halves(2, "linen", "dot"), halves(3, "dot", "linen"), wider, larger,
		unreadable, halves(7, "dot", "leaf")}))
}

func TestUnitsHaveOneKeyHoweverTheyAreWritten(t *testing.T) {
	key := func(u plan.MadeUnits) string {
		of, err := stock.ReadUnits(u)
		require.NoError(t, err)
		return of.Key()
	}
	falling := halves(1, "linen", "dot")
	falling.Cells = "A \\ B"
	assert.Equal(t, key(halves(9, "dot", "linen")), key(falling))
	rounded := halves(1, "dot", "linen")
	rounded.Width, rounded.Height = rounded.Width-3, rounded.Height+3
	assert.Equal(t, key(halves(1, "dot", "linen")), key(rounded), "4½ in is a whole tenth of a millimetre")
	other := halves(1, "dot", "linen")
	other.Seam = 3 * in / 8
	assert.NotEqual(t, key(halves(1, "dot", "linen")), key(other))
	assert.NotEqual(t, key(halves(1, "dot", "linen")), key(halves(1, "dot", "leaf")))
}

func TestUnitsSayWhatTheyAre(t *testing.T) {
	of, err := stock.ReadUnits(halves(1, "linen", "dot"))
	require.NoError(t, err)
	assert.Equal(t, "4½″ × 4½″ as sewn, of dot and linen", of.Says(length.Style{Unit: length.Inches, Denominator: 8}))
	assert.Equal(t, halves(3, "dot", "linen"), of.Doc(3))
	goose, err := stock.ReadUnits(plan.MadeUnits{Cells: "A x B x C x C", Fabrics: []string{"a", "b", "c"}, Width: in,
		Height: in, Seam: in / 4, Count: 1})
	require.NoError(t, err)
	assert.Contains(t, goose.Says(length.Style{Unit: length.Inches, Denominator: 8}), "of a, b and c")
}

// cut is a plan in two fabrics that took some units out of the cupboard, and put some there.
func cut(taken, over int) plan.Plan {
	one := plan.Made{Cells: "A / B", Cloths: []string{"A", "B"}, Width: 9 * in / 2, Height: 9 * in / 2}
	p := plan.Plan{Cloths: map[string]plan.Cloth{"A": {Name: "linen"}, "B": {Name: "dot"}}}
	p.Cover.PiecingSeam = in / 4
	if taken > 0 {
		one.Count, one.Cupboard = taken+2, taken
		p.Made = []plan.Made{one}
	}
	if one.Count, one.Cupboard = over, 0; over > 0 {
		p.Progress.Over = []plan.Made{one}
	}
	return p
}

func TestTheCupboardGetsWhatAPlanHasNoMore(t *testing.T) {
	by := func(before, after plan.Plan) int {
		moves := stock.Moves(before, after)
		if len(moves) == 0 {
			return 0
		}
		require.Len(t, moves, 1)
		assert.Equal(t, []string{"dot", "linen"}, moves[0].Cloths)
		assert.Equal(t, in/4, moves[0].Seam)
		return moves[0].By
	}
	assert.Equal(t, -4, by(cut(0, 0), cut(4, 0)), "taken")
	assert.Equal(t, 4, by(cut(4, 0), cut(0, 0)), "given back; those that were typed are nobody’s")
	assert.Equal(t, -2, by(cut(4, 0), cut(6, 0)))
	assert.Equal(t, 3, by(cut(0, 0), cut(0, 3)), "over")
	assert.Equal(t, -3, by(cut(0, 3), cut(0, 0)))
	assert.Equal(t, 0, by(cut(4, 0), cut(4, 0)))
	assert.Equal(t, 0, by(cut(0, 0), cut(3, 3)), "taken and put back")
	renamed := cut(4, 0)
	renamed.Cloths = map[string]plan.Cloth{"A": {Name: "ink"}, "B": {Name: "dot"}}
	assert.Equal(t, 0, by(cut(4, 0), renamed), "under another name they are the same units")
	wider := cut(4, 0)
	wider.Cover.PiecingSeam = 3 * in / 8
	assert.Equal(t, 0, by(cut(4, 0), wider), "as they are sewn they stay")
	fresh := cut(4, 0)
	fresh.Cloths["C"], fresh.Made[0].Cloths = plan.Cloth{Name: "dot"}, []string{"A", "C"}
	before := cut(0, 0)
	delete(before.Cloths, "C")
	assert.Equal(t, -4, by(before, fresh), "of a fabric the plan did not have before")
}

func TestAPlanThatIsBegunHasWhatWasTyped(t *testing.T) {
	p := plan.Begun(cut(4, 3))
	require.Len(t, p.Made, 1)
	assert.Equal(t, []int{2, 0}, []int{p.Made[0].Count, p.Made[0].Cupboard})
	assert.Empty(t, p.Progress.Over)
	p = cut(4, 0)
	p.Made[0].Count = 4
	assert.Empty(t, plan.Begun(p).Made)
}
