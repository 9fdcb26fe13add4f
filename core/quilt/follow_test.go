package quilt_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/applique"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/quilt"
	"umschlag/core/shape"
	"umschlag/core/sum"
)

func sized(w, h length.Length) sum.Size {
	return sum.Size{Width: sum.Of(sum.Part, "w", w), Height: sum.Of(sum.Part, "h", h)}
}

// patched is a quilted grid with borders of some width, 0 for none, and its top an inch larger all round.
func patched(t require.TestingT, f plan.Face, w, h, border length.Length) quilt.Order {
	if border > 0 {
		f.Borders = []plan.Border{{Key: "b", Width: plan.Extent{Width: border}, Cloth: "C"}}
		w, h = w+2*border, h+2*border
	}
	trimmed := sized(w+in/2, h+in/2)
	made, found := front.Build(front.Order{Face: f, Path: "/pieces/front/face", Finished: sized(w, h), Trimmed: trimmed,
		Top: trimmed, Seam: in / 4, Left: in / 4, Above: in / 4, Step: in / 8})
	require.False(t, found.Stopped(), "%v", found)
	return quilt.Order{Width: w, Height: h, Left: in, Above: in, Wide: w + 2*in, High: h + 2*in, Face: made}
}

func grid(columns, rows int, w, h length.Length) plan.Face {
	return plan.Face{Kind: plan.GridFace, Columns: columns, Rows: rows, Patch: plan.Patch{Width: w, Height: h},
		Cloths: []string{"A", "B"}, Order: plan.Order{Kind: plan.Alternate}}
}

// on reports whether a point lies on a line, or its ends do on each other.
func on(l quilt.Line, x, y float64) bool {
	p := l.Points
	for i := range len(p) - 1 {
		a, b := p[i], p[i+1]
		long := math.Hypot(b.X-a.X, b.Y-a.Y)
		if math.Hypot(x-a.X, y-a.Y)+math.Hypot(x-b.X, y-b.Y) < long+1000 {
			return true
		}
	}
	return false
}

// Through the middle of every patch run two lines, and they are as many as the lattice has: columns + rows − 1 each
// way. Outside the patches they go on to the edge of the top.
func TestCornerToCornerThroughEveryPatch(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		c, r := rapid.IntRange(1, 6).Draw(t, "columns"), rapid.IntRange(1, 6).Draw(t, "rows")
		w, h := (in / 4).Times(rapid.IntRange(4, 16).Draw(t, "w")), (in / 4).Times(rapid.IntRange(4, 16).Draw(t, "h"))
		border := in.Times(rapid.IntRange(0, 2).Draw(t, "border"))
		o := patched(t, grid(c, r, w, h), w.Times(c), h.Times(r), border)
		o.Quilting = &plan.Quilting{Corners: true}
		o.Apart = border > 0 && rapid.Bool().Draw(t, "apart")
		p := quilt.Of(o)
		assert.Len(t, p.Lines, 2*(c+r-1))
		for i := range c {
			for j := range r {
				x := border.Float() + (float64(i)+0.5)*w.Float()
				y := border.Float() + (float64(j)+0.5)*h.Float()
				n := 0
				for _, l := range p.Lines {
					if on(l, x, y) {
						n++
					}
				}
				assert.Equal(t, 2, n, "patch %d, %d", i, j)
			}
		}
		left, top := math.Inf(1), math.Inf(1)
		for _, l := range p.Lines {
			for _, at := range l.Points {
				left, top = min(left, at.X), min(top, at.Y)
			}
		}
		if o.Apart {
			assert.InDelta(t, border.Float(), left, 1000, "no further than the seam of the border")
		} else {
			assert.InDelta(t, -in.Float(), min(left, top), 1000, "on to the edge of the top")
		}
	})
}

// On point the diagonals stand upright and lie level: c blocks across have c lines up and c − 1 between them.
func TestCornerToCornerOnPoint(t *testing.T) {
	f := grid(3, 2, 2*in, 2*in)
	f.Set = plan.OnPoint
	side := length.FromFloat(2 * in.Float() * math.Sqrt2)
	o := patched(t, f, side.Times(3), side.Times(2), 0)
	o.Quilting = &plan.Quilting{Corners: true}
	p := quilt.Of(o)
	up := 0
	for _, l := range p.Lines {
		if math.Abs(l.Points[0].X-l.Points[1].X) < 1000 {
			up++
		}
	}
	assert.Equal(t, []int{5, 3}, []int{up, len(p.Lines) - up})
}

// A patch of w × h has a round of 2(w + h) − 8d at a distance d inside it; a half-square triangle loses d times the
// sum of its half angles' cotangents twice; one that is too small has none.
func TestBesideTheSeamsOfEveryPatch(t *testing.T) {
	o := patched(t, grid(3, 2, 3*in, 2*in), 9*in, 4*in, in)
	o.Quilting = &plan.Quilting{Beside: in / 4}
	p := quilt.Of(o)
	require.Len(t, p.Lines, 6+4)
	for _, l := range p.Lines[:6] {
		assert.InDelta(t, (2*(3+2)*in - 2*in).Float(), l.Length.Float(), 10)
	}
	o.Apart = true
	assert.Len(t, quilt.Of(o).Lines, 6, "those of the border are their own")
	o.Quilting.Beside = in
	assert.Empty(t, quilt.Of(o).Lines, "two inches are no more than both sides of an inch")

	blocks := grid(1, 1, 4*in, 4*in)
	blocks.Block = plan.Block{Cells: `A / B`}
	o = patched(t, blocks, 4*in, 4*in, 0)
	o.Quilting = &plan.Quilting{Beside: in / 4}
	p = quilt.Of(o)
	require.Len(t, p.Lines, 2)
	round := 2*4*in.Float() + 4*math.Sqrt2*in.Float()
	cot := 1 + 2/math.Tan(math.Pi/8) // of 45°, and twice of 22½°
	for _, l := range p.Lines {
		assert.InDelta(t, round-2*cot*(in/4).Float(), l.Length.Float(), 10)
	}
}

// around lays rounds outside discs on a plain face of 20.
func around(t *testing.T, d length.Length, discs ...[3]length.Length) quilt.Pattern {
	t.Helper()
	o := quilt.Order{Quilting: &plan.Quilting{Around: d}, Width: 20 * in, Height: 20 * in, Wide: 20 * in, High: 20 * in}
	for _, c := range discs {
		path, err := shape.Parse("M -1 0 A 1 1 0 1 1 1 0 A 1 1 0 1 1 -1 0 Z")
		require.NoError(t, err)
		o.Face.Applied = append(o.Face.Applied, applique.Placed{
			Path: path.Mapped(shape.Scale(c[2].Float(), c[2].Float())).Mapped(shape.Move(c[0].Float(), c[1].Float()))})
	}
	return quilt.Of(o)
}

// Outside a disc of radius r runs a circle of r + d; outside two that overlap what of both lies outside the other; and
// where a shape lies at the edge the round ends there.
func TestRoundsOutsideShapes(t *testing.T) {
	p := around(t, in/2, [3]length.Length{10 * in, 10 * in, 3 * in})
	require.Len(t, p.Lines, 1)
	assert.True(t, p.Lines[0].Closed)
	assert.InEpsilon(t, 2*math.Pi*3.5*in.Float(), p.Seam.Float(), 0.002)

	two := around(t, in/2, [3]length.Length{8 * in, 10 * in, 3 * in}, [3]length.Length{12 * in, 10 * in, 3 * in})
	outside := 2*math.Pi - 2*math.Acos(2/3.5) // of each circle, the half distance of their middles being 2
	assert.InEpsilon(t, 2*3.5*outside*in.Float(), two.Seam.Float(), 0.01)
	for _, l := range two.Lines {
		for _, at := range l.Points {
			near := min(math.Hypot(at.X-8*in.Float(), at.Y-10*in.Float()), math.Hypot(at.X-12*in.Float(),
				at.Y-10*in.Float()))
			assert.InDelta(t, 3.5*in.Float(), near, 500_000, "as far from the nearer one")
		}
	}

	edge := around(t, in/2, [3]length.Length{0, 10 * in, 3 * in})
	assert.InEpsilon(t, math.Pi*3.5*in.Float(), edge.Seam.Float(), 0.01, "half of it lies on the face")
	assert.Empty(t, around(t, in/2).Lines)
}

// Borders of 2 in round 8 × 6, their top reaching an inch beyond: two rounds at ¾, one line each 3 in from the middle
// of each side, and free motion over their area.
func TestBordersQuiltedByThemselves(t *testing.T) {
	o := patched(t, grid(4, 3, 2*in, 2*in), 8*in, 6*in, 2*in)
	o.Apart = true
	with := func(b plan.BorderQuilting) quilt.Pattern {
		o.Quilting = &plan.Quilting{Borders: &b}
		assert.Empty(t, quilt.Of(o).Lines, "nothing inside them")
		p := quilt.Borders(o)
		for _, l := range p.Lines {
			assert.True(t, l.Border)
		}
		return p
	}
	assert.Empty(t, with(plan.BorderQuilting{After: true}).Lines)
	along := with(plan.BorderQuilting{Along: 3 * in / 4})
	assert.Equal(t, 2*(8+6)*in+8*(3*in/4)+2*(8+6)*in+8*(3*in/2), along.Seam)
	across := with(plan.BorderQuilting{Across: 3 * in})
	assert.Len(t, across.Lines, 2*5+2*3, "of 14 above and below, 6 at the sides")
	assert.Equal(t, (3 * in).Times(16), across.Seam, "border and what stands out")
	free := with(plan.BorderQuilting{Free: in / 2})
	assert.Equal(t, 2*(14*12-8*6)*in, free.Seam)
	ditch := with(plan.BorderQuilting{Ditch: true})
	assert.Len(t, ditch.Lines, 4)
	o.Quilting = &plan.Quilting{Ditch: true, Borders: &plan.BorderQuilting{}}
	for _, l := range quilt.Of(o).Lines {
		assert.LessOrEqual(t, l.Length, 8*in, "in the ditch inside, and not round it")
	}
	assert.Len(t, quilt.Of(o).Lines, 3+2)
	o.Apart = false
	assert.Empty(t, quilt.Borders(o).Lines)
}

// Where borders are sewn on after, lines run to the raw edge of what lies inside them.
func TestWhatIsQuiltedBeforeItsBordersIsQuiltedToItsEdge(t *testing.T) {
	o := patched(t, grid(4, 3, 2*in, 2*in), 8*in, 6*in, 2*in)
	o.Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: 2 * in, Angle: 90}}, Borders: &plan.BorderQuilting{}}
	o.Apart, o.Seam = true, in/4
	p := quilt.Of(o)
	require.Len(t, p.Lines, 5)
	for _, l := range p.Lines {
		assert.Equal(t, 6*in+in/2, l.Length)
	}
	o.Quilting.Lines, o.Quilting.Echo = nil, in
	assert.Equal(t, 2*(8+6)*in-8*in, quilt.Of(o).Lines[0].Length, "rounds inside the seam")
}
