package quilt_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/quilt"
	_ "umschlag/seeded"
)

const in = length.Inch

// order is a panel of 12 × 10 whose top stands out by 1 on every side.
func order(q *plan.Quilting, seams ...front.Seam) quilt.Order {
	return quilt.Order{Quilting: q, Width: 12 * in, Height: 10 * in, Left: in, Above: in, Wide: 14 * in, High: 12 * in,
		Face: front.Face{Seams: seams}}
}

func lines(pitch length.Length, angles ...float64) *plan.Quilting {
	q := &plan.Quilting{}
	for _, a := range angles {
		q.Lines = append(q.Lines, plan.LineFamily{Pitch: pitch, Angle: a})
	}
	return q
}

func TestUprightLinesFromTheMiddleOutwards(t *testing.T) {
	p := quilt.Of(order(lines(2*in, 90)))
	require.Len(t, p.Lines, 7, "at −6, −4 … 6 from the middle of a top of 14")
	assert.Equal(t, (7 * 12 * in), p.Seam)
	assert.InDelta(t, (6 * in).Float(), p.Lines[0].Points[0].X, 1)
	for i, l := range p.Lines {
		assert.Equal(t, 12*in, l.Length)
		up := l.Points[0].Y > l.Points[1].Y
		assert.Equal(t, i%2 == 0, up, "every other one from the other end")
	}
	assert.Equal(t, 7*12*in+7*14*in, quilt.Of(order(lines(2*in, 90, 0))).Seam, "and level ones: seven of 14")
}

func TestPairsAreCentredOnTheirLine(t *testing.T) {
	q := lines(4*in, 90)
	q.Pair = in / 4
	p := quilt.Of(order(q))
	assert.InDelta(t, (6*in - in/8).Float(), p.Lines[0].Points[0].X, 1)
	assert.InDelta(t, (6*in + in/8).Float(), p.Lines[1].Points[0].X, 1)
}

func TestEchoesFollowTheEdgeInwards(t *testing.T) {
	p := quilt.Of(order(&plan.Quilting{Echo: 2 * in}))
	require.Len(t, p.Lines, 2)
	assert.Equal(t, []length.Length{28 * in, 12 * in}, []length.Length{p.Lines[0].Length, p.Lines[1].Length},
		"8 × 6, and 4 × 2")
}

func TestFreeMotionIsAreaOverDistance(t *testing.T) {
	p := quilt.Of(order(&plan.Quilting{Free: in / 2}))
	assert.Equal(t, 14*12*2*in, p.Seam)
	assert.Equal(t, p.Seam.Times(5)/2, p.Thread)
}

func TestSeamsInOneLineAreStitchedInOne(t *testing.T) {
	across := func(y, x1, x2 length.Length) front.Seam {
		return front.Seam{Kind: front.InBand, X1: x1.Float(), X2: x2.Float(), Y1: y.Float(), Y2: y.Float()}
	}
	p := quilt.Of(order(&plan.Quilting{Ditch: true}, across(4*in, 0, 3*in), across(4*in, 3*in, 7*in),
		across(4*in, 7*in, 12*in), across(8*in, 0, 12*in),
		front.Seam{Kind: front.InBlock, X1: 0, Y1: 0, X2: in.Float(), Y2: in.Float()}))
	require.Len(t, p.Lines, 2)
	assert.Equal(t, 24*in, p.Seam)
}

func TestLinesBesideASeamAreFound(t *testing.T) {
	upright := func(x length.Length) front.Seam {
		return front.Seam{Kind: front.Between, X1: x.Float(), X2: x.Float(), Y2: (10 * in).Float()}
	}
	beside := quilt.Of(order(lines(2*in, 90), upright(8*in+in/16))).Near
	require.Len(t, beside, 1)
	assert.Equal(t, in/16, beside[0].Off)
	q := lines(2*in, 90)
	q.Lines[0].Shift = beside[0].Shift
	assert.Empty(t, quilt.Of(order(q, upright(8*in+in/16))).Near, "shifted into the seam")
	assert.Empty(t, quilt.Of(order(lines(2*in, 90), upright(9*in))).Near, "between two lines")
	assert.Empty(t, quilt.Of(order(lines(2*in, 45), upright(8*in+in/16))).Near, "crossing is no matter")
}

// Lines of any pattern lie within the top, and those of a family are their distance apart:
// together they are nearly as long as the area over the distance.
func TestFamiliesFillTheTop(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		pitch := length.Length(rapid.Int64Range(int64(in/4), int64(3*in)).Draw(t, "pitch"))
		q := lines(pitch, rapid.Float64Range(-180, 180).Draw(t, "angle"))
		q.Lines[0].Shift = length.Length(rapid.Int64Range(int64(-in), int64(in)).Draw(t, "shift"))
		p := quilt.Of(order(q))
		for _, l := range p.Lines {
			for _, at := range l.Points {
				assert.True(t, at.X >= -in.Float()-1 && at.X <= (13*in).Float()+1 && at.Y >= -in.Float()-1 &&
					at.Y <= (11*in).Float()+1)
			}
		}
		area := (14 * in).Float() * (12 * in).Float() / pitch.Float()
		assert.InDelta(t, area, p.Seam.Float(), 2*math.Hypot((14*in).Float(), (12*in).Float()))
	})
}

func TestNothingIsQuiltedWithoutAPattern(t *testing.T) {
	assert.Empty(t, quilt.Of(order(nil)).Lines)
	assert.Zero(t, quilt.Of(order(&plan.Quilting{})).Seam)
}
