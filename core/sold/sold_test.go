package sold_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sold"
)

const (
	in = length.Inch
	cm = length.Centimetre
)

var inches, metric = plan.Plan{Units: length.Inches}.Style(), plan.Plan{Units: length.Centimetres}.Style()

// What is asked for over the counter, for a need: worked out by hand.
func TestWhatIsAskedFor(t *testing.T) {
	for name, c := range map[string]struct {
		as   *plan.Sold
		need length.Length
		unit length.Unit
		says string
		paid length.Length
	}{
		"eighths":       {nil, 39 * in / 2, length.Inches, "⅝ yd", 45 * in / 2},
		"tenths":        {nil, 411 * length.Millimetre, length.Centimetres, "0.50 m", 50 * cm},
		"half yards":    {&plan.Sold{By: plan.ByLength, Length: 18 * in}, 39 * in / 2, length.Inches, "1 yd", 36 * in},
		"just enough":   {&plan.Sold{By: plan.ByLength, Length: 18 * in}, 18 * in, length.Inches, "½ yd", 18 * in},
		"a bolt":        {&plan.Sold{By: plan.ByBolt, Length: 360 * in}, 39 * in / 2, length.Inches, "1 bolt of 10 yd", 360 * in},
		"two bolts":     {&plan.Sold{By: plan.ByBolt, Length: 5 * length.Metre}, 501 * cm, length.Centimetres, "2 bolts of 5.00 m", 1000 * cm},
		"nothing":       {nil, 0, length.Inches, "", 0},
		"without a one": {&plan.Sold{By: plan.ByLength}, in, length.Inches, "⅛ yd", 9 * in / 2},
	} {
		as, style := sold.How(c.as, c.unit), inches
		if c.unit == length.Centimetres {
			style = metric
		}
		n := as.Count(c.need)
		assert.Equal(t, c.says, as.Says(n, style), name)
		assert.Equal(t, c.paid, as.Billed(n), name)
		assert.False(t, as.Apart(), name)
	}
}

// Six squares of 9½ in: four come out of a quarter of 18 × 22 in, two by two; of a panel of 10 in, four across 42.
func TestWhatComesInPieces(t *testing.T) {
	six := []lay.Item{{Width: 19 * in / 2, Height: 17 * in / 2, Count: 6}}
	quarter := sold.How(&plan.Sold{By: plan.ByQuarter}, length.Inches)
	n, ok := quarter.Pieces(six, lay.Cloth{Usable: 40 * in})
	assert.True(t, ok)
	assert.Equal(t, "2 quarters of 22″ × 18″", quarter.Says(n, inches))
	assert.Equal(t, 18*in, quarter.Billed(n), "two quarters of a yard")
	panel := sold.How(&plan.Sold{By: plan.ByPanel, Length: 10 * in}, length.Inches)
	n, ok = panel.Pieces(six, lay.Cloth{Usable: 40 * in})
	assert.True(t, ok)
	assert.Equal(t, "2 panels of 10″", panel.Says(n, inches))
	assert.Equal(t, "panels of 10″", panel.In(inches))
	_, ok = panel.Pieces([]lay.Item{{Width: 9 * in, Height: 11 * in, Count: 1}}, lay.Cloth{Usable: 40 * in})
	assert.False(t, ok, "too long for any of them")
	assert.True(t, panel.Apart())
	metric := sold.How(&plan.Sold{By: plan.ByQuarter}, length.Centimetres)
	assert.Equal(t, []length.Length{50 * cm, 55 * cm, 25 * cm},
		[]length.Length{metric.Each, metric.Wide, metric.Billed(1)})
}

// Bolts of 10 yd: each length comes off one of them, the longest first, and what is longer than a bolt has its own.
func TestWholeBolts(t *testing.T) {
	bolt := sold.As{By: plan.ByBolt, Each: 10 * length.Yard}
	yards := func(lengths ...int) []length.Length {
		var out []length.Length
		for _, l := range lengths {
			out = append(out, length.Length(l)*length.Yard)
		}
		return out
	}
	for _, c := range []struct {
		lengths []length.Length
		bolts   int
	}{
		{nil, 0}, {yards(10), 1}, {yards(4, 4, 6, 6), 2}, {yards(3, 3, 3), 1}, {yards(6, 6, 6), 3},
		{yards(25), 3}, {yards(2, 11, 9), 4}, {yards(5, 5, 10), 2},
	} {
		given := slices.Clone(c.lengths)
		assert.Equal(t, c.bolts, bolt.Bolts(c.lengths), "%v", given)
		assert.Equal(t, given, c.lengths, "in their order as before")
	}
}

// Whatever it is sold by: no less than is needed, and less than one more.
func TestNoMoreIsBoughtThanNeeded(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		each := length.Length(rapid.Int64Range(int64(in), int64(400*in)).Draw(t, "each"))
		need := length.Length(rapid.Int64Range(0, int64(4000*in)).Draw(t, "need"))
		as := sold.How(&plan.Sold{By: plan.ByBolt, Length: each}, length.Inches)
		paid := as.Billed(as.Count(need))
		assert.GreaterOrEqual(t, paid, need)
		assert.Less(t, paid-need, each)
	})
}
