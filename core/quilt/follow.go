package quilt

import (
	"cmp"
	"math"
	"slices"

	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/shape"
)

// diagonals go from corner to corner of every patch or block: those in one line are sewn in one, on to the edge of
// what is quilted where the patches end.
func (o Order) diagonals() []Line {
	var out []Line
	for _, c := range o.Face.Corners {
		for i := range 2 {
			out = chained(out, Line{Kind: Diagonal, Family: -1,
				Points: []shape.Point{{X: c[i].X, Y: c[i].Y}, {X: c[i+2].X, Y: c[i+2].Y}}})
		}
	}
	inside, mid := o.inside(), o.middle()
	slices.SortStableFunc(out, func(k, l Line) int { // one way after the other, from the middle outwards
		falling := func(l Line) int {
			return cmp.Compare(0, (l.Points[1].X-l.Points[0].X)*(l.Points[1].Y-l.Points[0].Y))
		}
		return cmp.Or(cmp.Compare(falling(k), falling(l)), cmp.Compare(offside(k, mid), offside(l, mid)))
	})
	for i := range out {
		p := out[i].Points
		a, b := p[0], p[1]
		long := math.Hypot(b.X-a.X, b.Y-a.Y)
		from, to, ok := clip(o.top(), a, shape.Point{X: (b.X - a.X) / long, Y: (b.Y - a.Y) / long})
		if ok && onEdge(inside, a) {
			p[0] = from
		}
		if ok && onEdge(inside, b) {
			p[1] = to
		}
		if i%2 == 1 {
			slices.Reverse(p)
		}
	}
	return out
}

// offside is how far a point lies beside a line, in whole micrometres: lines that lie alike are alike.
func offside(l Line, p shape.Point) float64 {
	a, b := l.Points[0], l.Points[1]
	cross := (b.X-a.X)*(p.Y-a.Y) - (b.Y-a.Y)*(p.X-a.X)
	return math.Round(math.Abs(cross) / math.Hypot(b.X-a.X, b.Y-a.Y) / 1000)
}

// onEdge reports a point on the edge of a box.
func onEdge(b shape.Box, p shape.Point) bool {
	return math.Min(math.Min(math.Abs(p.X-b.X1), math.Abs(p.X-b.X2)),
		math.Min(math.Abs(p.Y-b.Y1), math.Abs(p.Y-b.Y2))) < together
}

// beside are rounds inside every patch, a distance from its seams; one that is too small for it has none.
func (o Order) beside(d length.Length) []Line {
	var out []Line
	box := o.finished()
	for _, c := range o.Face.Cells {
		if o.Apart && o.Face.Parts[c.Part].Ring > 0 {
			continue
		}
		l := Line{Kind: Beside, Family: -1, Closed: true, Points: inset(within(box, polygon(c)), d.Float())}
		if math.Abs(shape.Line{Points: l.Points, Closed: true}.Area()) > square {
			out = append(out, l)
		}
	}
	return out
}

// square is the least a round encloses, in square nanometres: a square millimetre.
const square = 1e12

// polygon is a cell as it lies.
func polygon(c front.Cell) []shape.Point {
	line := c.Line
	if line == nil {
		x1, y1, x2, y2 := c.X.Float(), c.Y.Float(), (c.X + c.Width).Float(), (c.Y + c.Height).Float()
		line = outline.Outline{{X: x1, Y: y1}, {X: x2, Y: y1}, {X: x2, Y: y2}, {X: x1, Y: y2}}
	}
	out := make([]shape.Point, len(line))
	for i, v := range line {
		out[i] = shape.Point{X: v.X, Y: v.Y}
	}
	return out
}

// within is the part of a polygon that lies in a box.
func within(b shape.Box, p []shape.Point) []shape.Point {
	for _, edge := range [][2]shape.Point{{{X: b.X1, Y: b.Y1}, {X: b.X2, Y: b.Y1}}, {{X: b.X2, Y: b.Y1}, {X: b.X2,
		Y: b.Y2}}, {{X: b.X2, Y: b.Y2}, {X: b.X1, Y: b.Y2}}, {{X: b.X1, Y: b.Y2}, {X: b.X1, Y: b.Y1}}} {
		p = beyond(p, edge[0], edge[1], 0)
	}
	return p
}

// inset is a convex polygon with its sides moved inwards: what lies at least so far from each of them; nothing where
// nothing does. Every patch of a face is convex.
func inset(p []shape.Point, d float64) []shape.Point {
	if (shape.Line{Points: p, Closed: true}).Area() < 0 {
		turned := make([]shape.Point, len(p))
		for i := range p {
			turned[len(p)-1-i] = p[i]
		}
		p = turned
	}
	out := p
	for i, from := range p {
		if to := p[(i+1)%len(p)]; math.Hypot(to.X-from.X, to.Y-from.Y) > together {
			out = beyond(out, from, to, d)
		}
	}
	return out
}

// beyond is the part of a polygon that lies at least so far to the right of a line, as it is seen with y going down
// (Sutherland and Hodgman 1974, from memory).
func beyond(p []shape.Point, from, to shape.Point, d float64) []shape.Point {
	long := math.Hypot(to.X-from.X, to.Y-from.Y)
	side := func(q shape.Point) float64 {
		return ((to.X-from.X)*(q.Y-from.Y)-(to.Y-from.Y)*(q.X-from.X))/long - d
	}
	var out []shape.Point
	for i, a := range p {
		b := p[(i+1)%len(p)]
		s, t := side(a), side(b)
		if s >= 0 {
			out = append(out, a)
		}
		if (s > 0 && t < 0) || (s < 0 && t > 0) {
			at := s / (s - t)
			out = append(out, shape.Point{X: a.X + (b.X-a.X)*at, Y: a.Y + (b.Y-a.Y)*at})
		}
	}
	return out
}

const (
	// flat is how far the edge of a shape may be off its curve, and stride how far apart points are tried along a round
	// outside it; both as fine as a stitch is long.
	flat   = 200_000
	stride = 1_500_000
	// bend is how far a round turns from point to point at a corner.
	bend = math.Pi / 18
)

// around are rounds outside the shapes, a distance from each: where shapes lie closer to each other they run round
// both.
func (o Order) around(d length.Length) []Line {
	var edges []shape.Line
	var regions []*shape.Region
	for _, p := range o.Face.Applied {
		if !p.Line() {
			lines := p.Path.Flat(flat)
			edges, regions = append(edges, lines...), append(regions, shape.NewRegion(lines))
		}
	}
	top := o.top()
	free := func(p shape.Point) bool {
		if p.X < top.X1 || p.X > top.X2 || p.Y < top.Y1 || p.Y > top.Y2 {
			return false
		}
		for _, r := range regions {
			if r.Holds(p) || r.Gap(p) < d.Float()-2*flat {
				return false
			}
		}
		return true
	}
	var out []Line
	for _, e := range edges {
		for _, side := range []float64{1, -1} {
			out = append(out, kept(rounded(e, side*d.Float()), free)...)
		}
	}
	return out
}

// rounded are points along a line beside the edge of a shape, turning round its corners.
func rounded(e shape.Line, d float64) []shape.Point {
	var out []shape.Point
	n := e.Sides()
	for i := range n {
		a, b := e.Side(i)
		long := math.Hypot(b.X-a.X, b.Y-a.Y)
		if long == 0 {
			continue
		}
		nx, ny := (b.Y-a.Y)/long*d, -(b.X-a.X)/long*d
		for k, steps := 0, int(math.Ceil(long/stride)); k <= steps; k++ {
			t := float64(k) / float64(steps)
			out = append(out, shape.Point{X: a.X + (b.X-a.X)*t + nx, Y: a.Y + (b.Y-a.Y)*t + ny})
		}
		_, c := e.Side((i + 1) % n)
		turn := math.Remainder(math.Atan2(c.Y-b.Y, c.X-b.X)-math.Atan2(b.Y-a.Y, b.X-a.X), 2*math.Pi)
		for k, steps := 1, int(math.Abs(turn)/bend); k < steps; k++ {
			sin, cos := math.Sincos(turn * float64(k) / float64(steps))
			out = append(out, shape.Point{X: b.X + nx*cos - ny*sin, Y: b.Y + nx*sin + ny*cos})
		}
	}
	return out
}

// kept are the stretches of a closed round that are free; all of it is one closed line.
func kept(points []shape.Point, free func(shape.Point) bool) []Line {
	start := -1
	is := make([]bool, len(points))
	for i, p := range points {
		if is[i] = free(p); !is[i] && start < 0 {
			start = i
		}
	}
	line := func(p []shape.Point, closed bool) Line {
		return Line{Kind: Around, Family: -1, Points: shape.Thinned(p, flat), Closed: closed}
	}
	if start < 0 && len(points) > 2 {
		return []Line{line(points, true)}
	}
	var out []Line
	var now []shape.Point
	for k := range len(points) + 1 { // once round from a point that is not free
		i := (start + k) % max(1, len(points))
		if k < len(points) && is[i] {
			now = append(now, points[i])
			continue
		}
		if len(now) > 2 {
			out = append(out, line(now, false))
		}
		now = nil
	}
	return out
}
