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
