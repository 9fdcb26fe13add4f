package gridfit_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/gridfit"
	"umschlag/core/length"
	_ "umschlag/seeded"
)

const in = length.Inch

func order(w, h length.Length) gridfit.Order {
	return gridfit.Order{Width: w, Height: h, Seam: in / 4, Step: in / 8, Least: 2 * in, Most: 6 * in,
		Border: gridfit.AnyBorder, Style: length.Style{Unit: length.Inches}}
}

// Whatever is asked for: what is offered fills the size, keeps the limits, and the best
// stands first.
func TestWhatIsOfferedFills(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		o := order((in / 4).Times(rapid.IntRange(16, 120).Draw(t, "w")), (in / 4).
			Times(rapid.IntRange(16, 120).Draw(t, "h")))
		o.Border = rapid.SampledFrom([]gridfit.Borders{gridfit.AnyBorder, gridfit.NoBorder, gridfit.Bordered}).
			Draw(t, "border")
		if rapid.Bool().Draw(t, "sash") {
			o.Sashes = []length.Length{in / 2, in}
		}
		if rapid.Bool().Draw(t, "ready") {
			o.Ready = 5 * in
		}
		list := gridfit.Best(o)
		require.LessOrEqual(t, len(list), gridfit.Most)
		for _, l := range list {
			assert.Equal(t, o.Width, l.PatchWidth.Times(l.Columns)+l.Sash.Times(l.Columns-1)+2*l.Border)
			assert.Equal(t, o.Height, l.PatchHeight.Times(l.Rows)+l.Sash.Times(l.Rows-1)+2*l.BorderDown)
			assert.True(t, (l.PatchWidth + 2*o.Seam).OnStep(o.Step))
			if o.Ready > 0 {
				assert.Equal(t, 9*in/2, l.PatchWidth, "5 in squares finish 4½")
			} else {
				assert.True(t,
					l.PatchWidth >= o.Least && l.PatchHeight >= o.Least && l.PatchWidth <= o.Most &&
						l.PatchHeight <= o.Most)
			}
			switch o.Border {
			case gridfit.NoBorder:
				assert.Zero(t, l.Border+l.BorderDown)
			case gridfit.Bordered:
				assert.GreaterOrEqual(t, min(l.Border, l.BorderDown), in/2)
			}
			assert.Greater(t, l.Cloth, 1.0)
			assert.NotEmpty(t, l.Reasons)
		}
	})
}

// Ready-cut squares of 5 in finish 4½, strips of 2½ in finish 2 (docs/arithmetic.md §6.8):
// 18 × 18 takes 4 × 4 of the one and 9 × 9 of the other with nothing left over.
func TestReadyCut(t *testing.T) {
	o := order(18*in, 18*in)
	o.Ready = 5 * in
	best := gridfit.Best(o)
	require.NotEmpty(t, best)
	assert.Equal(t, []any{4, 4, length.Length(0)}, []any{best[0].Columns, best[0].Rows, best[0].Border})
	o.Ready = 5 * in / 2
	best = gridfit.Best(o)
	assert.True(t, slices.ContainsFunc(best, func(l gridfit.Layout) bool {
		return l.Columns == 9 && l.Rows == 9 && l.PatchWidth == 2*in && l.Border == 0
	}))
}

func TestSquaresComeFirst(t *testing.T) {
	best := gridfit.Best(order(19*in, 15*in))
	require.NotEmpty(t, best)
	assert.Equal(t, best[0].PatchWidth, best[0].PatchHeight)
	assert.Equal(t, best[0].Border, best[0].BorderDown)
	assert.Empty(t, gridfit.Best(order(in, in)), "too small for two patches of 2 in")
}

// The widest search there is: limits a maker can set, with every sash.
func BenchmarkBest(b *testing.B) {
	o := order(60*in, 48*in)
	o.Least, o.Most, o.Sashes = in, 12*in, []length.Length{in / 2, 3 * in / 4, in, 3 * in / 2}
	for b.Loop() {
		gridfit.Best(o)
	}
}

// Against a search that tries everything without thought: whatever square layout exists
// within the limits, one with its patch is offered where a dozen do not crowd it out, and
// none that is not there.
func TestNothingIsOverlooked(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		o := order(in.Times(rapid.IntRange(6, 20).Draw(t, "w")), in.Times(rapid.IntRange(6, 20).Draw(t, "h")))
		o.Step, o.Least, o.Most, o.Border = in/2, 2*in, 5*in, gridfit.NoBorder
		there := map[[3]length.Length]bool{}
		for p := o.Least; p <= o.Most; p += in / 2 {
			for c := 1; c <= 60; c++ {
				for r := 1; r <= 60; r++ {
					if c*r > 1 && p.Times(c) == o.Width && p.Times(r) == o.Height {
						there[[3]length.Length{p, length.Length(c), length.Length(r)}] = true
					}
				}
			}
		}
		squares := 0
		for _, l := range gridfit.Best(o) {
			if l.PatchWidth == l.PatchHeight {
				squares++
				assert.True(t, there[[3]length.Length{l.PatchWidth, length.Length(l.Columns), length.Length(l.Rows)}])
			}
		}
		assert.Equal(t, min(len(there), gridfit.Most), squares)
	})
}

// The order in which layouts stand: squares before oblongs, borders alike before others.
func TestTheBestStandFirst(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		list := gridfit.Best(order((in / 2).Times(rapid.IntRange(12, 80).Draw(t, "w")), (in / 2).
			Times(rapid.IntRange(12, 80).Draw(t, "h"))))
		for i := 1; i < len(list); i++ {
			a, b := list[i-1], list[i]
			square := func(l gridfit.Layout) bool { return l.PatchWidth == l.PatchHeight }
			assert.False(t, !square(a) && square(b), "squares first")
			if square(a) == square(b) {
				assert.LessOrEqual(t, (a.Border - a.BorderDown).Abs(), (b.Border - b.BorderDown).Abs(),
					"borders alike first")
			}
		}
	})
}

// Sizes that come from curves are no whole number of ruler steps, nor even of nanometres:
// they have their grids too, the border taking what is left.
func TestOddSizesHaveTheirGrids(t *testing.T) {
	o := order(26*in+13_333_333, 18*in+7_777_777)
	list := gridfit.Best(o)
	require.NotEmpty(t, list)
	for _, l := range list {
		assert.True(t, l.Rest)
		assert.InDelta(t, float64(o.Width), float64(l.PatchWidth.Times(l.Columns)+2*l.Border), 1)
		assert.InDelta(t, float64(o.Height), float64(l.PatchHeight.Times(l.Rows)+2*l.BorderDown), 1)
	}
}
