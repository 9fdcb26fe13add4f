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

// What goes by the seams of patches takes what lines as far apart do: those in the ditch one way and the other; two
// beside each; and for corners the lattice of the diagonals, of which as much lies in a patch as it has of them.
func TestWhatFollowsPatchesTakesWhatItsLinesTake(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		side := func(name string) length.Length { return (length.Inch / 8).Times(rapid.IntRange(8, 60).Draw(t, name)) }
		p := takeup.Pattern{Quilting: &plan.Quilting{}, PatchWidth: side("w"), PatchHeight: side("h")}
		draw := func(name string) bool { return rapid.Bool().Draw(t, name) }
		p.Ditch, p.Corners = draw("ditch"), draw("corners")
		lines, ok := p.AsLines()
		assert.Equal(t, p.Ditch || p.Corners, ok)
		assert.False(t, lines.Ditch || lines.Corners, "a test square has no patches")
		a, b := takeup.Estimate(bulge, p), takeup.Estimate(bulge, takeup.Pattern{Quilting: &lines})
		assert.InDelta(t, a.Across, b.Across, 1e-12)
		assert.InDelta(t, a.Along, b.Along, 1e-12)
		if p.Corners && !p.Ditch {
			w, h := p.PatchWidth.Float(), p.PatchHeight.Float()
			for _, f := range lines.Lines { // a family covers an area with a line of area over distance
				assert.InDelta(t, math.Hypot(w, h), w*h/f.Pitch.Float(), 10, "one diagonal of every patch")
				assert.InDelta(t, h/w, math.Abs(math.Tan(f.Angle*math.Pi/180)), 1e-9)
			}
		}
	})
}

// A line on both sides of every seam is a pair of lines a patch apart; in itself a square of them is the same turned.
func TestBesideTheSeamsIsAPair(t *testing.T) {
	p := takeup.Pattern{Quilting: &plan.Quilting{Beside: length.Inch / 4}, PatchWidth: 3 * length.Inch,
		PatchHeight: 2 * length.Inch}
	pairs := lines(3*length.Inch, 90)
	pairs.Pair = length.Inch / 2
	got := takeup.Estimate(bulge, p)
	assert.InDelta(t, takeup.Estimate(bulge, of(pairs)).Across, got.Across, 1e-12)
	assert.Greater(t, got.Along, got.Across, "patches are lower than wide")
	as, ok := p.AsLines()
	assert.True(t, ok)
	assert.Equal(t, length.Inch/2, as.Pair)
}

// A round outside a shape is two gaps between two lines for as much of a piece as the shape is high: what they take, on
// that share of it. Without a size a shape is a quarter of the width.
func TestARoundOutsideAShape(t *testing.T) {
	in := length.Inch
	size := sum.Size{Width: sum.Of(sum.Part, "w", 16*in), Height: sum.Of(sum.Part, "h", 12*in)}
	face := plan.Face{Applique: []plan.Shape{{Width: 6 * in, Height: 3 * in}, {Twin: "mirror"}}}
	q := plan.Piece{Face: &face, Quilting: &plan.Quilting{Around: in / 4}}
	got := takeup.Estimate(bulge, takeup.PatternOf(q, size))
	gap := takeup.Estimate(bulge, of(lines(in/4, 90))).Across / 64 // of a gap of ¼ in 16
	assert.InDelta(t, 2*gap*(3+4+4)/12, got.Across, 1e-12)
	gap = gap * 16 / 12
	assert.InDelta(t, 2*gap*(6+4+4)/16, got.Along, 1e-12)
	_, ok := takeup.PatternOf(q, size).AsLines()
	assert.False(t, ok, "nothing of it can be sewn on a test square")
}

// Lines along a border take of its width, lines across it of its length, free motion half of each.
func TestWhatTheQuiltingOfBordersTakes(t *testing.T) {
	one := takeup.Estimate(bulge, of(lines(length.Inch, 90))).Across
	for _, c := range []struct {
		b          *plan.BorderQuilting
		wide, long float64
	}{{nil, 0, 0}, {&plan.BorderQuilting{Ditch: true, After: true}, 0, 0},
		{&plan.BorderQuilting{Along: length.Inch}, one, 0}, {&plan.BorderQuilting{Across: length.Inch}, 0, one},
		{&plan.BorderQuilting{Free: length.Inch}, one / 2, one / 2}} {
		wide, long := takeup.Borders(bulge, c.b)
		assert.InDelta(t, c.wide, wide, 1e-12)
		assert.InDelta(t, c.long, long, 1e-12)
	}
}
