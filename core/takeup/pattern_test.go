package takeup_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
	"umschlag/core/takeup"
)

// Each face puffs by half of all the batting there is.
func TestAStackPuffsByHalfItsLoft(t *testing.T) {
	assert.Zero(t, takeup.Bulge(nil))
	assert.Zero(t, takeup.Bulge(&plan.Layers{Lining: "L"}))
	for count := range 4 {
		l := &plan.Layers{Batting: &plan.Batting{Count: count, Loft: 3 * length.Millimetre}}
		assert.Equal(t, (3*length.Millimetre).Times(count)/2, takeup.Bulge(l))
	}
}

// The seams that are stitched in the ditch are those of the patches of a grid or a checkerboard, of the size they are
// given or as many as there are.
func TestDitchesAreThoseOfPatches(t *testing.T) {
	size := sum.Size{Width: sum.Of(sum.Part, "w", 12*length.Inch), Height: sum.Of(sum.Part, "h", 10*length.Inch)}
	of := func(f *plan.Face) [4]length.Length {
		q := &plan.Quilting{Ditch: true}
		p := takeup.PatternOf(plan.Piece{Face: f, Quilting: q}, size)
		assert.Same(t, q, p.Quilting)
		return [4]length.Length{p.Width, p.Height, p.PatchWidth, p.PatchHeight}
	}
	in := length.Inch
	whole := [4]length.Length{12 * in, 10 * in, 0, 0}
	assert.Equal(t, whole, of(nil))
	assert.Equal(t, whole, of(&plan.Face{Kind: plan.PlainFace, Columns: 4, Rows: 4}))
	assert.Equal(t, whole, of(&plan.Face{Kind: plan.GridFace}))
	assert.Equal(t, whole, of(&plan.Face{Kind: plan.GridFace, Columns: 4}))
	assert.Equal(t, whole, of(&plan.Face{Kind: plan.GridFace, Rows: 4}))
	for _, kind := range []plan.FaceKind{plan.GridFace, plan.CheckerFace} {
		fitted := &plan.Face{Kind: kind, Columns: 4, Rows: 5}
		assert.Equal(t, [4]length.Length{12 * in, 10 * in, 3 * in, 2 * in}, of(fitted))
		fitted.Patch = plan.Patch{Width: in, Height: 3 * in / 2}
		assert.Equal(t, [4]length.Length{12 * in, 10 * in, in, 3 * in / 2}, of(fitted))
	}
}

// Echoes take the same whichever way a piece lies, and nothing without a piece to go round.
func TestEchoesOfAPieceThatIsTurned(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		side := func(name string) length.Length { return (length.Inch / 4).Times(rapid.IntRange(8, 200).Draw(t, name)) }
		p := takeup.Pattern{Quilting: &plan.Quilting{Echo: length.Inch}, Width: side("w"), Height: side("h")}
		q := p
		q.Width, q.Height = p.Height, p.Width
		a, b := takeup.Estimate(bulge, p), takeup.Estimate(bulge, q)
		assert.InDelta(t, a.Across, b.Along, 1e-12)
		assert.InDelta(t, a.Along, b.Across, 1e-12)
		// The area nearest to the upright edges: two triangles over the height, cut off at half the shorter side.
		w, h := p.Width.Float(), p.Height.Float()
		upright := h / (2 * w)
		if h >= w {
			upright = (w*w/2 + w*(h-w)) / (w * h)
		}
		each := takeup.Estimate(bulge, of(lines(length.Inch, 90))).Across
		assert.InDelta(t, each*upright, a.Across, 1e-12)
	})
	for _, p := range []takeup.Pattern{{Width: length.Inch}, {Height: length.Inch}, {}} {
		p.Quilting = &plan.Quilting{Echo: length.Inch}
		assert.Equal(t, takeup.TakeUp{}, takeup.Estimate(bulge, p))
	}
	assert.Equal(t, takeup.TakeUp{}, takeup.Estimate(bulge, takeup.Pattern{}))
}

// A serpentine at any angle takes as much in all as straight lines, shared out by its slope and its angle.
func TestSerpentinesAtAnyAngle(t *testing.T) {
	along := 1 / math.Sqrt(1+math.Pi*math.Pi/4)
	rapid.Check(t, func(t *rapid.T) {
		angle := rapid.Float64Range(-90, 90).Draw(t, "angle")
		q := lines(2*length.Inch, angle)
		straight := takeup.Estimate(bulge, of(q))
		q.Lines[0].Wave = length.Inch
		waved := takeup.Estimate(bulge, of(q))
		whole := straight.Across + straight.Along
		assert.InDelta(t, whole, waved.Across+waved.Along, 1e-12)
		assert.InDelta(t, along*straight.Across+(1-along)*straight.Along, waved.Across, 1e-12)
	})
}

// A pair no closer than its pitch is no pair; at half the pitch it is lines twice as close.
func TestPairsAtTheirLimits(t *testing.T) {
	q := lines(2*length.Inch, 90)
	single := takeup.Estimate(bulge, of(q))
	for _, pair := range []length.Length{0, -length.Inch, 2 * length.Inch, 3 * length.Inch} {
		q.Pair = pair
		assert.Equal(t, single, takeup.Estimate(bulge, of(q)), pair)
	}
	q.Pair = length.Inch
	assert.InDelta(t, takeup.Estimate(bulge, of(lines(length.Inch, 90))).Across, takeup.Estimate(bulge, of(q)).Across,
		1e-12)
}
