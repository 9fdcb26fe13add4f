package edge_test

import (
	"math"
	"testing"

	"github.com/paulmach/orb"
	"github.com/paulmach/orb/planar"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/edge"
	"umschlag/core/length"
	"umschlag/core/sum"
	_ "umschlag/seeded"
)

const in = length.Inch

// Worked figures of docs/arithmetic.md §11: geometry, and common practice for the folds.
func TestWidthsOfStrips(t *testing.T) {
	piping := edge.PipingWidth(3*in/8, 3*in/8, in/8)
	assert.Equal(t, 2*in, piping.Total(), "1.93 up to the ruler step")
	assert.InDelta(t, 1.178+0.75, (piping.Total()-piping[len(piping)-1].Amount).Float()/in.Float(), 0.001)
	assert.Equal(t, 5*in/2, edge.BindingWidth(3*in/8, in/16, in/8).Total(), "6 × ⅜ + 2 × ¹⁄₁₆ + ⅛")
	assert.Equal(t, 2*in, edge.TapeWidth(in/2, in/8).Total())
}

func TestLengths(t *testing.T) {
	assert.Equal(t, 80*in, edge.PipingLength(76*in, true).Total(), "2 to overlap and a tail of 2")
	assert.Equal(t, 28*in, edge.PipingLength(26*in, false).Total())
	assert.Equal(t, 66*in, edge.BindingLength(sum.Of(sum.Part, "open edge", 65*in)).Total())
}

// About 198 in before joins by the area, and less after: both are given.
func TestTheWorkedBias(t *testing.T) {
	y := edge.Bias(22*in, 18*in, 2*in)
	assert.Equal(t, 198*in, y.Area)
	assert.Less(t, y.Joined, y.Area)
	assert.Greater(t, y.Joined, 120*in)
	assert.InDelta(t, edge.Bias(18*in, 22*in, 2*in).Joined.Float(), y.Joined.Float(), (8 * in).Float(),
		"about the same whichever way it lies")
}

func ring(corners []edge.Point) orb.Ring {
	var out orb.Ring
	for _, p := range corners {
		out = append(out, orb.Point{p.X / 1e6, p.Y / 1e6})
	}
	return append(out, out[0])
}

// Counted with orb, a general-purpose geometry library: strips lie on the cloth, side
// by side, as wide as they are to be, and no longer than what their shape holds.
func TestStripsCountedGeometrically(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		any := func(name string, lo, hi length.Length) length.Length {
			return length.Length(rapid.Int64Range(int64(lo), int64(hi)).Draw(t, name))
		}
		a, b, w := any("width", 6*in, 60*in), any("height", 6*in, 60*in), any("strip", in, 3*in)
		y := edge.Bias(a, b, w)
		covered, longest := 0.0, 0.0
		for i, s := range y.Strips {
			shape := ring(s.Corners)
			area := planar.Area(shape)
			covered += area
			assert.GreaterOrEqual(t, area, s.Length.Float()/1e6*w.Float()/1e6*(1-1e-6),
				"a parallelogram of that length lies in strip %d", i)
			for _, p := range shape {
				assert.True(t,
					p[0] >= -1e-6 && p[1] >= -1e-6 && p[0] <= a.Float()/1e6+1e-6 && p[1] <= b.Float()/1e6+1e-6)
			}
			for j := range i {
				c, _ := planar.CentroidArea(shape)
				assert.False(t, planar.RingContains(ring(y.Strips[j].Corners), c), "strips %d and %d lie on each other",
					i, j)
			}
			longest = math.Max(longest, s.Length.Float())
		}
		assert.LessOrEqual(t, covered, a.Float()*b.Float()/1e12*(1+1e-9))
		assert.LessOrEqual(t, longest, math.Sqrt2*math.Min(a.Float(), b.Float())+1)
		assert.LessOrEqual(t, y.Joined, y.Area+1)
	})
}

func TestStraightStripsAreAsFewAsTheClothAllows(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		usable := length.Length(rapid.Int64Range(int64(20*in), int64(60*in)).Draw(t, "usable"))
		need := length.Length(rapid.Int64Range(int64(in), int64(400*in)).Draw(t, "need"))
		y := edge.Straight(usable, 2*in, need)
		require.NotEmpty(t, y.Strips)
		assert.GreaterOrEqual(t, y.Joined+length.Length(len(y.Strips)), need)
		for _, s := range y.Strips {
			assert.LessOrEqual(t, s.Length, usable)
		}
		fewer := usable.Times(len(y.Strips)-1) - (2 * in).Times(max(0, len(y.Strips)-2))
		assert.Less(t, fewer, need, "one less would not do")
	})
}

func TestABiasPieceIsAsSmallAsItCanBe(t *testing.T) {
	little, ok := edge.BiasFor(40*in, 2*in, 40*in, in/8, 100*in)
	require.True(t, ok)
	assert.Equal(t, little.Width, little.Height, "a square")
	assert.Less(t, edge.Bias(little.Width-in/8, little.Width-in/8, 2*in).Joined, 40*in)
	more, ok := edge.BiasFor(220*in, 2*in, 40*in, in/8, 100*in)
	require.True(t, ok)
	assert.Equal(t, 18*in, more.Height)
	assert.GreaterOrEqual(t, more.Joined, 220*in)
	assert.Less(t, edge.Bias(more.Width-in/8, 18*in, 2*in).Joined, 220*in)
	much, ok := edge.BiasFor(500*in, 2*in, 40*in, in/8, 100*in)
	require.True(t, ok)
	assert.Greater(t, much.Height, 18*in)
	_, ok = edge.BiasFor(1000*in, 2*in, 10*in, in/8, 20*in)
	assert.False(t, ok)
	assert.Empty(t, edge.Bias(0, in, in).Strips)
	assert.Empty(t, edge.Straight(in, 2*in, in).Strips)
}
