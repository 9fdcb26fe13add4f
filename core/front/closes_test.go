package front_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// fitted is a grid whose patch the app finds.
func fitted(columns, rows int, borders ...plan.Border) plan.Face {
	f := grid(columns, 0, borders...)
	f.Rows, f.Patch = rows, plan.Patch{Fit: true}
	return f
}

// edges reports where the cells of a face without borders begin and end across.
func edges(f front.Face) (from, to length.Length) {
	from, to = f.Cells[0].X, f.Cells[0].X+f.Cells[0].Width
	for _, c := range f.Cells {
		from, to = min(from, c.X), max(to, c.X+c.Width)
	}
	return from, to
}

func TestAPatchTheAppFindsAlwaysCloses(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		step := rapid.SampledFrom([]length.Length{eighth, in / 16, length.Millimetre, 5 * length.Millimetre}).
			Draw(t, "sizes by")
		w := step * length.Length(rapid.IntRange(40, 600).Draw(t, "width"))
		h := step * length.Length(rapid.IntRange(40, 600).Draw(t, "height"))
		f := fitted(rapid.IntRange(1, 12).Draw(t, "columns"), rapid.IntRange(1, 12).Draw(t, "rows"))
		if rapid.Bool().Draw(t, "sashed") {
			f.Sash = &plan.Sash{Width: step, Outside: rapid.Bool().Draw(t, "outside"), Cloth: "A"}
		}
		got, found := front.Build(order(f, w, h))
		if found.Stopped() {
			require.Equal(t, "seam-too-wide", found[0].Code, "the only thing in the way")
			return
		}
		assert.Equal(t, w, got.Finished.Width.Total())
		assert.Equal(t, h, got.Finished.Height.Total())
		from, to := edges(got)
		assert.Equal(t, w+2*seam, to-from, "drawn out to the cut edge")
		for _, term := range got.Finished.Width {
			assert.NotEqual(t, sum.Rounding, term.Kind, "what dividing leaves over is not spoken of")
		}
	})
}

func TestWhatMissesByLessThanCanBeCutCloses(t *testing.T) {
	for _, off := range []length.Length{-length.Close, -in / 100, 1, in / 100, length.Close} {
		got := build(t, order(grid(4, 4*in), 16*in+off, 16*in))
		assert.Equal(t, 16*in+off, got.Finished.Width.Total())
		assert.Equal(t, 16*in, got.Finished.Height.Total())
		if off.Abs() > 1 {
			assert.Contains(t, got.Finished.Width, sum.Term{Name: "rounding", Amount: off, Kind: sum.Rounding})
		}
		assert.Equal(t, 4*in+2*seam, got.Parts[0].Size.Width.Total(), "a size that is given is cut as it is given")

		strips := plan.Face{Kind: plan.StripsFace,
			Strips: []plan.Strip{{Width: plan.Extent{Width: 9 * in}, Cloth: "A"},
				{Width: plan.Extent{Width: 7 * in}, Cloth: "B"}}}
		got = build(t, order(strips, 16*in, 16*in+off))
		assert.Equal(t, 16*in+off, got.Finished.Height.Total())
		assert.Equal(t, 16*in+off+2*seam, got.Cells[1].Y+got.Cells[1].Height-got.Cells[0].Y)

		plain := plan.Face{Kind: plan.PlainFace, Cloth: "A"}
		stack := plan.Face{Kind: plan.StackFace,
			Parts: []plan.Part{{Height: plan.Extent{Width: 9 * in}, Face: plain},
				{Height: plan.Extent{Width: 7 * in}, Face: grid(4, 4*in)}}}
		stack.Parts[1].Face.Rows, stack.Parts[1].Face.Patch.Height = 2, 7*in/2
		got = build(t, order(stack, 16*in, 16*in+off))
		assert.Equal(t, 16*in+off, got.Finished.Height.Total())
	}
}

func TestWhatMissesByMoreDoesNotClose(t *testing.T) {
	for _, off := range []length.Length{-length.Close - 1, length.Close + 1} {
		_, found := front.Build(order(grid(4, 4*in), 16*in+off, 16*in))
		require.True(t, found.Stopped())
		assert.NotContains(t, found[0].Text, "≈0″")
	}
}
