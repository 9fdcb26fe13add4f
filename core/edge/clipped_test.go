package edge_test

import (
	"math"
	"testing"

	"github.com/paulmach/orb"
	"github.com/paulmach/orb/clip"
	"github.com/paulmach/orb/planar"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/edge"
	"umschlag/core/length"
	"umschlag/core/sum"
)

// turned turns points by 45°, so that what is cut on the bias lies straight.
func turned(points ...orb.Point) (out []orb.Point) {
	for _, p := range points {
		out = append(out, orb.Point{(p[0] - p[1]) / math.Sqrt2, (p[0] + p[1]) / math.Sqrt2})
	}
	return out
}

// Against a general-purpose geometry library (orb): the cloth turned by 45° and clipped to bands as wide as a strip,
// from its corner on. Each strip is such a band, its length that of the shorter of its cuts; bands shorter than four
// widths are left out, and each join takes a width.
func TestBiasStripsAreTheClothClipped(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		size := func(name string, lo, hi int) length.Length {
			return (in / 8).Times(rapid.IntRange(8*lo, 8*hi).Draw(t, name))
		}
		width, height, strip := size("width", 4, 40), size("height", 4, 40), size("strip", 1, 3)
		y := edge.Bias(width, height, strip)
		assert.Equal(t, [2]length.Length{width, height}, [2]length.Length{y.Width, y.Height})
		assert.InDelta(t, width.Float()*height.Float()/strip.Float(), y.Area.Float(), 1)

		a, b, w := width.Float(), height.Float(), strip.Float()
		cloth := orb.Ring(turned(orb.Point{0, 0}, orb.Point{a, 0}, orb.Point{a, b}, orb.Point{0, b}, orb.Point{0, 0}))
		joined, n := 0.0, 0
		for from := -b / math.Sqrt2; from+w <= a/math.Sqrt2+1; from += w {
			band := clip.Ring(orb.Bound{Min: orb.Point{from, -a - b}, Max: orb.Point{from + w, a + b}}, cloth.Clone())
			cut := func(at float64) float64 { // how long the cloth is along a cut
				top, bottom := math.Max(-at, at), math.Min(math.Sqrt2*a-at, math.Sqrt2*b+at)
				return math.Max(0, bottom-top)
			}
			long := math.Min(cut(from), cut(from+w))
			if long < 4*w-1 {
				continue
			}
			require.Less(t, n, len(y.Strips))
			s := y.Strips[n]
			assert.InDelta(t, long, s.Length.Float(), 2)
			var corners []orb.Point
			for _, c := range s.Corners {
				corners = append(corners, turned(orb.Point{c.X, c.Y})...)
			}
			shape := append(orb.Ring(corners), corners[0])
			assert.InEpsilon(t, planar.Area(band), planar.Area(shape), 1e-6)
			assert.InEpsilon(t, planar.Length(orb.LineString(band)), planar.Length(orb.LineString(shape)), 1e-6)
			joined += long - w
			n++
		}
		assert.Len(t, y.Strips, n)
		if n > 0 {
			assert.InDelta(t, joined+w, y.Joined.Float(), float64(2*n))
		}
	})
}

// Straight strips lie under each other over the whole piece they are cut from, and give what is needed to the nanometre
// that dividing leaves.
func TestStraightStripsAreTheirPiece(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		usable := length.Length(rapid.Int64Range(int64(20*in), int64(60*in)).Draw(t, "usable"))
		need := length.Length(rapid.Int64Range(int64(in), int64(400*in)).Draw(t, "need"))
		strip := (in / 8).Times(rapid.IntRange(4, 24).Draw(t, "strip"))
		y := edge.Straight(usable, strip, need)
		n := length.Length(len(y.Strips))
		assert.Equal(t, strip*n, y.Height)
		assert.InDelta(t, need.Float(), y.Joined.Float(), float64(n))
		assert.Equal(t, y.Width*n, y.Area)
		for i, s := range y.Strips {
			top, bottom := float64(i)*strip.Float(), float64(i+1)*strip.Float()
			right := y.Width.Float()
			assert.Equal(t, []edge.Point{{X: 0, Y: top}, {X: right, Y: top}, {X: right, Y: bottom}, {X: 0, Y: bottom}},
				s.Corners)
			assert.Equal(t, y.Width, s.Length)
		}
	})
	assert.Empty(t, edge.Straight(40*in, 0, in).Strips)
	assert.Empty(t, edge.Straight(2*in, 2*in, in).Strips)
	assert.Empty(t, edge.Bias(in, 0, in).Strips)
	assert.Empty(t, edge.Bias(in, in, 0).Strips)
}

// Widths term by term, as cloth is folded round a cord or an edge (docs/arithmetic.md §11).
func TestStripsAreWhatIsFolded(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		size := func(name string) length.Length { return (in / 16).Times(rapid.IntRange(1, 16).Draw(t, name)) }
		cord, seam, step := size("cord"), size("seam"), in/8
		round := math.Ceil((math.Pi*cord.Float() + 2*seam.Float()) / step.Float())
		assert.Equal(t, length.FromFloat(round*step.Float()), edge.PipingWidth(cord, seam, step).Total())
		assert.Equal(t, (6*cord + 2*seam + in/8).Ceil(step), edge.BindingWidth(cord, seam, step).Total())
		assert.Equal(t, (4 * cord).Ceil(step), edge.TapeWidth(cord, step).Total())
	})
	open := edge.PipingLength(20*in, false)
	assert.Len(t, open, 3)
	assert.Equal(t, open[1], open[2], "an inch at each end")
	closed := edge.PipingLength(20*in, true)
	assert.Equal(t, [2]length.Length{2 * in, 2 * in}, [2]length.Length{closed[1].Amount, closed[2].Amount})
	assert.Equal(t, sum.Overlap, edge.BindingLength(sum.Of(sum.Part, "edge", in))[1].Kind)
}

// The piece for bias strips: no smaller square does, no narrower half yard, and no lower piece; of all of them the
// first that gives enough.
func TestNoSmallerBiasPieceGivesEnough(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		need := in.Times(rapid.IntRange(10, 600).Draw(t, "need"))
		strip, usable, step, most := in.Times(rapid.IntRange(1, 3).Draw(t, "strip")), 40*in, in/2, 60*in
		y, ok := edge.BiasFor(need, strip, usable, step, most)
		gives := func(w, h length.Length) bool { return edge.Bias(w, h, strip).Joined >= need }
		if !ok {
			for h := 18 * in; h <= most; h += step {
				assert.False(t, gives(usable, h))
			}
			return
		}
		assert.GreaterOrEqual(t, y.Joined, need)
		assert.Equal(t, edge.Bias(y.Width, y.Height, strip), y)
		square := y.Width == y.Height && y.Width <= 18*in
		for side := 2 * strip; side <= 18*in; side += step {
			if square && side >= y.Width {
				break
			}
			assert.False(t, gives(side, side), "a square of %v would do", side)
		}
		if square {
			return
		}
		assert.GreaterOrEqual(t, y.Height, 18*in)
		if y.Height > 18*in {
			assert.False(t, gives(usable, y.Height-step), "a lower piece would do")
		}
		if y.Width > y.Height && y.Width < usable {
			assert.False(t, gives(y.Width-step, y.Height), "a narrower piece would do")
		}
		assert.LessOrEqual(t, y.Width, usable)
	})
}
