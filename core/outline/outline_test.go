package outline_test

import (
	"math"
	"testing"

	"github.com/paulmach/orb"
	"github.com/paulmach/orb/planar"
	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/outline"
	_ "umschlag/seeded"
)

const in = length.Inch

func all(r length.Length) outline.Radii {
	return outline.Radii{TopLeft: r, TopRight: r, BottomRight: r, BottomLeft: r}
}

func TestKnownShapes(t *testing.T) {
	unit := in.Float()
	square := outline.Rounded(2*in, 3*in, outline.Radii{})
	assert.InDelta(t, 10*unit, square.Length(), 1)
	assert.InDelta(t, 6*unit*unit, square.Area(), unit)
	circle := outline.Circle(2 * in)
	assert.InDelta(t, 2*math.Pi*unit, circle.Length(), 1)
	assert.InDelta(t, math.Pi*unit*unit, circle.Area(), unit)
	assert.InEpsilon(t, circle.Area(), outline.Rounded(2*in, 2*in, all(in)).Area(), 1e-12,
		"rounded all through it is a circle")
	arch := outline.Rounded(4*in, 3*in, outline.Radii{TopLeft: in, TopRight: in})
	assert.InDelta(t, (14-(4-math.Pi))*unit, arch.Length(), 1)
	assert.InDelta(t, (12-(2-math.Pi/2))*unit*unit, arch.Area(), unit)
}

// anyOutline draws rectangles with corners rounded as far as they allow.
func anyOutline(t *rapid.T) (o outline.Outline, w, h length.Length, r outline.Radii) {
	w = length.Length(rapid.Int64Range(int64(in), int64(40*in)).Draw(t, "w"))
	h = length.Length(rapid.Int64Range(int64(in), int64(40*in)).Draw(t, "h"))
	radius := func(name string) length.Length {
		return length.Length(rapid.Int64Range(0, int64(min(w, h)/2)).Draw(t, name))
	}
	r = outline.Radii{TopLeft: radius("tl"), TopRight: radius("tr"), BottomRight: radius("br"),
		BottomLeft: radius("bl")}
	return outline.Rounded(w, h, r), w, h, r
}

func ring(o outline.Outline) orb.Ring {
	var out orb.Ring
	for _, p := range o.Points(400) {
		out = append(out, orb.Point{p[0] / 1e6, p[1] / 1e6})
	}
	return append(out, out[0])
}

// Beside orb, a general-purpose geometry library: what lies within a convex outline.
func TestWhatLiesWithin(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		o, w, h, _ := anyOutline(t)
		if rapid.Bool().Draw(t, "tapered") {
			o = outline.Tapered(w, h, length.Length(rapid.Int64Range(0, int64(min(w, h)/8)).Draw(t, "taper")))
		}
		x := rapid.Float64Range(-0.1, 1.1).Draw(t, "x") * w.Float()
		y := rapid.Float64Range(-0.1, 1.1).Draw(t, "y") * h.Float()
		point := orb.Point{x / 1e6, y / 1e6}
		if math.Abs(planar.DistanceFrom(orb.LineString(ring(o)), point)) < 0.01 {
			return // nearer to the line than 400 chords to an arc can tell
		}
		assert.Equal(t, planar.RingContains(ring(o), point), o.Contains(x, y))
	})
}

// Beside orb, a general-purpose geometry library: area and way round of the
// outline, and of what it becomes with an allowance.
func TestAgainstAGeometryLibrary(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		o, _, _, _ := anyOutline(t)
		d := rapid.Float64Range(0, 2*in.Float()).Draw(t, "allowance")
		for _, each := range []outline.Outline{o, o.Offset(d)} {
			polygon := ring(each)
			assert.InEpsilon(t, planar.Area(polygon), each.Area()/1e12, 1e-4)
			assert.InEpsilon(t, planar.Length(orb.LineString(polygon)), each.Length()/1e6, 1e-4)
		}
		// Every point of the offset is as far from the outline as the allowance.
		moved := ring(o.Offset(d))
		for i := 0; i < len(moved); i += 37 {
			away := planar.DistanceFrom(ring(o), moved[i])
			assert.GreaterOrEqual(t, away, d/1e6*(1-1e-4)-1e-3)
			assert.LessOrEqual(t, away, d/1e6*math.Sqrt2*(1+1e-4)+1e-3, "no farther than a sharp corner")
		}
	})
}

// Geometry: what is rounded everywhere follows Steiner's formula for parallel
// curves, A + P·d + π·d² (J. Steiner, 1840).
func TestAnAllowanceFollowsSteiner(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		w := length.Length(rapid.Int64Range(int64(4*in), int64(40*in)).Draw(t, "w"))
		r := length.Length(rapid.Int64Range(int64(in/4), int64(w/2)).Draw(t, "r"))
		d := rapid.Float64Range(0, in.Float()).Draw(t, "d")
		o := outline.Rounded(w, w, all(r))
		assert.InEpsilon(t, o.Area()+o.Length()*d+math.Pi*d*d, o.Offset(d).Area(), 1e-9)
		assert.InEpsilon(t, o.Length()+2*math.Pi*d, o.Offset(d).Length(), 1e-9)
		assert.InEpsilon(t, o.Area(), o.Offset(d).Offset(-d).Area(), 1e-6, "and comes back")
	})
}

func TestSidesMoveByThemselves(t *testing.T) {
	o := outline.Rounded(10*in, 8*in, outline.Radii{TopLeft: in, TopRight: in})
	// Sides: corner, top, corner, right, bottom, left; nothing is added at the bottom.
	s := (in / 2).Float()
	moved := o.OffsetEach([]float64{s, s, s, s, 0, s})
	x1, y1, x2, y2 := moved.Bounds()
	assert.InDelta(t, -s, x1, 1)
	assert.InDelta(t, -s, y1, 1)
	assert.InDelta(t, (10*in).Float()+s, x2, 1)
	assert.InDelta(t, (8 * in).Float(), y2, 1)
}

func TestARoundedCornerIsNeverTheLongerWay(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		o, w, h, r := anyOutline(t)
		square := 2 * (w + h).Float()
		assert.LessOrEqual(t, o.Length(), square+1)
		short := outline.CornerShort(r.TopLeft) + outline.CornerShort(r.TopRight) + outline.CornerShort(r.BottomRight) +
			outline.CornerShort(r.BottomLeft)
		assert.InDelta(t, square-short.Float(), o.Length(), 8, "to the nanometre, corner by corner")
	})
	assert.Zero(t, outline.CornerShort(0))
}

func TestAlongAPath(t *testing.T) {
	unit := in.Float()
	// Up the left side, over two corners of radius 1, down the right: sides 5, 0 … 3.
	arch := outline.Rounded(4*in, 3*in, outline.Radii{TopLeft: in, TopRight: in}).Stretch(5, 5)
	assert.InDelta(t, (2+2+2+math.Pi)*unit, arch.Length(), 1)
	x, y, direction := arch.At(arch.Length() / 2)
	assert.InDelta(t, 2*unit, x, 1)
	assert.InDelta(t, 0, y, 1)
	assert.InDelta(t, 0, direction, 1e-9, "over the middle it goes to the right")
	x, y, direction = arch.At((2 + math.Pi/4) * unit)
	assert.InDelta(t, (1-math.Sqrt2/2)*unit, x, 1)
	assert.InDelta(t, (1-math.Sqrt2/2)*unit, y, 1)
	assert.InDelta(t, -math.Pi/4, direction, 1e-9)
	x, y, _ = arch.At(1e12)
	assert.InDelta(t, 4*unit, x, 1)
	assert.InDelta(t, 3*unit, y, 1)
	arcs := arch.Arcs()
	assert.Len(t, arcs, 2)
	assert.InDelta(t, 2*unit, arcs[0][0], 1)
	assert.InDelta(t, (2+math.Pi/2)*unit, arcs[0][1], 1)
}

// Whatever the outline, walking its sides one after the other is its way round,
// and equal steps along it are never longer than the way between them.
func TestWalkingAnyOutline(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		o, _, _, _ := anyOutline(t)
		round := o.Stretch(0, len(o))
		assert.InEpsilon(t, o.Length(), round.Length(), 1e-12)
		step := round.Length() / 50
		px, py, _ := round.At(0)
		for k := 1; k <= 50; k++ {
			x, y, _ := round.At(step * float64(k))
			assert.LessOrEqual(t, math.Hypot(x-px, y-py), step*(1+1e-9)+1)
			px, py = x, y
		}
	})
}

func TestCornersOfAPath(t *testing.T) {
	o := outline.Rounded(4*in, 3*in, outline.Radii{TopLeft: in})
	path := o.Stretch(0, len(o)) // round corner, top, right, bottom, left
	corners := path.Corners()
	if assert.Len(t, corners, 3, "the rounded one goes over smoothly") {
		assert.InDelta(t, math.Pi/2+3, corners[0]/in.Float(), 1e-9, "at the end of the top")
		assert.InDelta(t, math.Pi/2+6, corners[1]/in.Float(), 1e-9)
	}
	assert.Empty(t, outline.Circle(2*in).Stretch(0, 2).Corners())
}

// The middle of a triangle is that of its corners, that of a half disc lies 4r/3π above its diameter. Source: geometry.
func TestTheMiddleIsTheCentreOfGravity(t *testing.T) {
	rapid.Check(t, func(rt *rapid.T) {
		at := func(name string) float64 { return float64(rapid.IntRange(-1000, 1000).Draw(rt, name)) }
		o := outline.Outline{{X: at("x1"), Y: at("y1")}, {X: at("x2"), Y: at("y2")}, {X: at("x3"), Y: at("y3")}}
		if math.Abs(o.Area()) < 1 {
			return
		}
		x, y := o.Middle()
		assert.InDelta(rt, (o[0].X+o[1].X+o[2].X)/3, x, 1e-6)
		assert.InDelta(rt, (o[0].Y+o[1].Y+o[2].Y)/3, y, 1e-6)
	})
	x, y := outline.Outline{{X: 10}, {X: -10, Bulge: 0}}.Middle()
	assert.True(t, math.IsNaN(x) && math.IsNaN(y), "nothing is enclosed")
	x, y = outline.Outline{{X: 10, Bulge: 1}, {X: -10}}.Middle()
	assert.InDelta(t, 0, x, 1e-9)
	assert.InDelta(t, 4*10/(3*math.Pi), math.Abs(y), 0.01)
}
