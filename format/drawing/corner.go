package drawing

import (
	"fmt"
	"math"
	"strings"

	"umschlag/core/answer"

	"umschlag/core/shape"
)

// lead is how far a corner's template goes on along the straight edges beside it, in
// millimetres.
const lead = 20.0

// close is how near, in millimetres, a point is taken to lie on an edge.
const close = 1e-5

// Corner is the template of one corner of a piece, as it is cut and with its sewn line: all
// that a ruler does not do of a large piece. ok is false where its shaped corners are not
// alike, or there are none. A round piece gives a quarter of it.
func Corner(p answer.Piece) (d Drawing, ok bool) {
	points := flat(PathOf(p.TrimmedOutline))
	box := around(points)
	across, down, corners, ok := reach(points, box)
	if !ok {
		return d, false
	}
	across, down = math.Min(across+lead, box.Width()/2), math.Min(down+lead, box.Height()/2)
	part := shape.Box{X1: box.X1, Y1: box.Y1, X2: box.X1 + across, Y2: box.Y1 + down}
	d.Title = fmt.Sprintf("%s, corner", p.Title)
	edge := within(points, part)
	d.add(Cut, open(edge[1:]))
	d.add(Trim, open([]shape.Point{edge[len(edge)-1], edge[0], edge[1]}))
	if sewn := within(flat(PathOf(p.Outline)), part); len(sewn) > 2 {
		d.add(Sew, open(sewn[1:]))
	}
	d.Words = append(d.Words, Word{X: part.X1 + across*0.55, Y: part.Y1 + down*0.6, Height: 4.5, Middle: true,
		Text: fmt.Sprintf("%d corners of %d × %s", corners, p.Count, strings.ToLower(p.Title))},
		Word{X: part.X1 + across*0.55, Y: part.Y1 + down*0.6 + 6, Height: 3.5, Middle: true,
			Text: "edges on the edges of the piece"})
	return d.placed(part), true
}

// flat are the corners of a path of one closed run, its curves in short straight pieces.
func flat(p shape.Path) []shape.Point {
	lines := p.Flat(Fine)
	if len(lines) == 0 {
		return nil
	}
	return lines[0].Points
}

// around is the box round some points.
func around(points []shape.Point) shape.Box {
	b := shape.Box{X1: math.Inf(1), Y1: math.Inf(1), X2: math.Inf(-1), Y2: math.Inf(-1)}
	for _, p := range points {
		b = shape.Box{X1: math.Min(b.X1, p.X), Y1: math.Min(b.Y1, p.Y), X2: math.Max(b.X2, p.X),
			Y2: math.Max(b.Y2, p.Y)}
	}
	return b
}

// reach is how far the upper left corner takes from the edges beside it, and how many corners
// are like it. The others are like it or square.
func reach(points []shape.Point, box shape.Box) (across, down float64, corners int, ok bool) {
	for _, flip := range [][2]bool{{false, false}, {true, false}, {true, true}, {false, true}} {
		x, y := math.Inf(1), math.Inf(1)
		for _, p := range points {
			dx, dy := p.X-box.X1, p.Y-box.Y1
			if flip[0] {
				dx = box.X2 - p.X
			}
			if flip[1] {
				dy = box.Y2 - p.Y
			}
			if dy < close {
				x = math.Min(x, dx)
			}
			if dx < close {
				y = math.Min(y, dy)
			}
		}
		switch {
		case x < close && y < close: // square
		case corners == 0 && !flip[0] && !flip[1]:
			across, down, corners = x, y, 1
		case corners > 0 && math.Abs(x-across) < close && math.Abs(y-down) < close:
			corners++
		default:
			return 0, 0, 0, false
		}
	}
	return across, down, corners, corners > 0
}

// within is the part of a polygon without notches in a box, from the lower right corner of
// the box on, clockwise.
func within(points []shape.Point, box shape.Box) []shape.Point {
	side := func(in []shape.Point, of func(shape.Point) float64) []shape.Point {
		var out []shape.Point
		for i, p := range in {
			q := in[(i+1)%len(in)]
			a, b := of(p), of(q)
			if a >= 0 {
				out = append(out, p)
			}
			if (a > 0) != (b > 0) && a != b && a*b < 0 {
				t := a / (a - b)
				out = append(out, shape.Point{X: p.X + t*(q.X-p.X), Y: p.Y + t*(q.Y-p.Y)})
			}
		}
		return out
	}
	out := side(side(points, func(p shape.Point) float64 { return box.X2 - p.X }),
		func(p shape.Point) float64 { return box.Y2 - p.Y })
	first := 0
	for i, p := range out {
		if p.X+p.Y > out[first].X+out[first].Y {
			first = i
		}
	}
	return append(append([]shape.Point{}, out[first:]...), out[:first]...)
}

// open is a path through points.
func open(points []shape.Point) shape.Path {
	r := shape.Run{Start: points[0]}
	for _, p := range points[1:] {
		r.Segments = append(r.Segments, shape.Segment{To: p})
	}
	return shape.Path{r}
}
