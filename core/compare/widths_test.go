package compare_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/compare"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// A plain cushion of 16 in: front 16½ and backs of 11¼, 39 in side by side: one strip of 44 in and more.
func TestWhatAnotherWidthWouldTake(t *testing.T) {
	p, ok := plan.Begin("cushion", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "moss"})
	require.True(t, ok)
	p.Title, p.Object.Width, p.Object.Height = "t", 16*length.Inch, 16*length.Inch
	sold, ok := compare.SoldAs(p, nil, "A")
	require.True(t, ok)
	byWidth := map[length.Length]compare.Sold{}
	for _, s := range sold {
		byWidth[s.Width] = s
	}
	assert.Equal(t, 17*length.Inch, byWidth[54*length.Inch].Need)
	assert.Equal(t, 18*length.Inch, byWidth[54*length.Inch].Buy, "½ yd")
	assert.Equal(t, 23*length.Inch, byWidth[36*length.Inch].Need, "both backs lie turned beside the front, 2 × 11¼")
	assert.Equal(t, 3, byWidth[0].Quarters, "front, and one for each back: two backs of 11¼ lie in no 22 × 18")
	_, ok = compare.SoldAs(p, nil, "Q")
	assert.False(t, ok)
	p.Object.Width = 0
	_, ok = compare.SoldAs(p, nil, "A")
	assert.False(t, ok)
}

// What is wider than a width cannot be cut from it, and comes from no quarter.
func TestAWidthItDoesNotFitIsLeftOut(t *testing.T) {
	p, ok := plan.Begin("cushion", length.Centimetres, plan.DefaultHabits(length.Centimetres), plan.Cloth{Name: "moss"})
	require.True(t, ok)
	p.Title, p.Object.Width, p.Object.Height = "t", 100*length.Centimetre, 100*length.Centimetre
	sold, ok := compare.SoldAs(p, nil, "A")
	require.True(t, ok)
	for _, s := range sold {
		assert.Zero(t, s.Quarters)
		assert.GreaterOrEqual(t, s.Width, 110*length.Centimetre)
	}
	assert.NotEmpty(t, sold)
}
