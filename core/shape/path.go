// Package shape knows drawn outlines: what the path data of SVG says, how it is moved,
// scaled, turned and mirrored, how long it is and what it encloses, and the forms that
// ship with the app. x goes right and y goes down. Coordinates are plain numbers; whoever
// places an outline says what they measure.
//
// Source of the notation: W3C, Scalable Vector Graphics 2, chapter 9 (Paths).
package shape

import (
	"math"
	"strconv"
	"strings"
)

// Point is a place.
type Point struct{ X, Y float64 }

func (p Point) plus(q Point) Point            { return Point{p.X + q.X, p.Y + q.Y} }
func (p Point) minus(q Point) Point           { return Point{p.X - q.X, p.Y - q.Y} }
func (p Point) times(f float64) Point         { return Point{p.X * f, p.Y * f} }
func (p Point) to(q Point, t float64) Point   { return p.plus(q.minus(p).times(t)) }
func (p Point) cross(q Point) float64         { return p.X*q.Y - p.Y*q.X }
func (p Point) dot(q Point) float64           { return p.X*q.X + p.Y*q.Y }
func (p Point) size() float64                 { return math.Sqrt(p.X*p.X + p.Y*p.Y) }
func (p Point) mirroredAt(centre Point) Point { return centre.times(2).minus(p) }

// Segment leads on from the point before it: straight to To, or as a cubic curve with
// two control points.
type Segment struct {
	Curve      bool
	C1, C2, To Point
}

// Run is one subpath.
type Run struct {
	Start    Point
	Segments []Segment
	// Closed runs lead back to their start.
	Closed bool
}

// Path is a drawn outline. Several runs enclose what winds round a point (the non-zero
// rule): an inner run that goes the other way round is a hole.
type Path []Run

// Matrix is an affine map: x' = A·x + C·y + E, y' = B·x + D·y + F, as in SVG.
type Matrix struct{ A, B, C, D, E, F float64 }

// Same maps everything to itself.
var Same = Matrix{A: 1, D: 1}

// Move is the map that moves everything to the right and down, in the unit of the path.
func Move(x, y float64) Matrix { return Matrix{A: 1, D: 1, E: x, F: y} }

// Scale is the map that makes everything so many times as wide and as high; less than 0 mirrors.
func Scale(x, y float64) Matrix { return Matrix{A: x, D: y} }

// Turn is the map that turns by an angle in degrees, clockwise as drawn, y down.
func Turn(degrees float64) Matrix {
	s, c := math.Sincos(degrees * math.Pi / 180)
	return Matrix{A: c, B: s, C: -s, D: c}
}

// Then is first m, then n.
func (m Matrix) Then(n Matrix) Matrix {
	return Matrix{
		A: n.A*m.A + n.C*m.B, B: n.B*m.A + n.D*m.B,
		C: n.A*m.C + n.C*m.D, D: n.B*m.C + n.D*m.D,
		E: n.A*m.E + n.C*m.F + n.E, F: n.B*m.E + n.D*m.F + n.F,
	}
}

// Of is where a point comes to lie.
func (m Matrix) Of(p Point) Point {
	return Point{m.A*p.X + m.C*p.Y + m.E, m.B*p.X + m.D*p.Y + m.F}
}

// InMillimetres is a path in nanometres, in millimetres.
func (p Path) InMillimetres() Path { return p.Mapped(Scale(1e-6, 1e-6)) }

// Mapped is the path under a map. One that mirrors keeps which side is inside.
func (p Path) Mapped(m Matrix) Path {
	out := make(Path, len(p))
	for i, r := range p {
		out[i] = Run{Start: m.Of(r.Start), Closed: r.Closed, Segments: make([]Segment, len(r.Segments))}
		for k, s := range r.Segments {
			out[i].Segments[k] = Segment{Curve: s.Curve, C1: m.Of(s.C1), C2: m.Of(s.C2), To: m.Of(s.To)}
		}
	}
	return out
}

// Reversed is the run the other way round.
func (r Run) Reversed() Run {
	out := Run{Closed: r.Closed, Start: r.Start}
	if n := len(r.Segments); n > 0 {
		out.Start = r.Segments[n-1].To
	}
	for i := len(r.Segments) - 1; i >= 0; i-- {
		s := r.Segments[i]
		to := r.Start
		if i > 0 {
			to = r.Segments[i-1].To
		}
		out.Segments = append(out.Segments, Segment{Curve: s.Curve, C1: s.C2, C2: s.C1, To: to})
	}
	return out
}

// Text is the path in SVG path data, to three decimals.
func (p Path) Text() string {
	var b strings.Builder
	number := func(f float64) { b.WriteString(strconv.FormatFloat(math.Round(f*1000)/1000+0, 'f', -1, 64)) }
	point := func(q Point) { number(q.X); b.WriteByte(' '); number(q.Y) }
	for i, r := range p {
		if i > 0 {
			b.WriteByte(' ')
		}
		b.WriteByte('M')
		point(r.Start)
		for _, s := range r.Segments {
			if s.Curve {
				b.WriteByte('C')
				point(s.C1)
				b.WriteByte(' ')
				point(s.C2)
				b.WriteByte(' ')
			} else {
				b.WriteByte('L')
			}
			point(s.To)
		}
		if r.Closed {
			b.WriteByte('Z')
		}
	}
	return b.String()
}

// Box is the smallest upright rectangle round something.
type Box struct{ X1, Y1, X2, Y2 float64 }

// Width of the box, in the unit of its path.
func (b Box) Width() float64 { return b.X2 - b.X1 }

// Height of the box, in the unit of its path.
func (b Box) Height() float64 { return b.Y2 - b.Y1 }

// Meets reports whether two boxes touch or overlap.
func (b Box) Meets(c Box) bool { return b.X1 <= c.X2 && c.X1 <= b.X2 && b.Y1 <= c.Y2 && c.Y1 <= b.Y2 }

func (b Box) holds(p Point) bool { return b.X1 <= p.X && p.X <= b.X2 && b.Y1 <= p.Y && p.Y <= b.Y2 }

// with is the box widened to hold a point.
func (b Box) with(p Point) Box {
	return Box{min(b.X1, p.X), min(b.Y1, p.Y), max(b.X2, p.X), max(b.Y2, p.Y)}
}

// nothing is a box that any point widens.
var nothing = Box{math.Inf(1), math.Inf(1), math.Inf(-1), math.Inf(-1)}

// Box of a path, exact to the extremes of its curves.
func (p Path) Box() Box {
	b := nothing
	for _, r := range p {
		at := r.Start
		b = b.with(at)
		for _, s := range r.Segments {
			b = b.with(s.To)
			if s.Curve {
				for _, t := range append(turns(at.X, s.C1.X, s.C2.X, s.To.X), turns(at.Y, s.C1.Y, s.C2.Y, s.To.Y)...) {
					b = b.with(s.at(at, t))
				}
			}
			at = s.To
		}
	}
	return b
}

// turns are the places within a cubic where one coordinate stops growing or shrinking.
func turns(p0, p1, p2, p3 float64) []float64 {
	a, b, c := p3-3*p2+3*p1-p0, 2*(p2-2*p1+p0), p1-p0
	var roots []float64
	if math.Abs(a) < 1e-12*(math.Abs(b)+math.Abs(c)) {
		if b != 0 {
			roots = []float64{-c / b}
		}
	} else if d := b*b - 4*a*c; d >= 0 {
		// The form that does not cancel.
		q := -(b + math.Copysign(math.Sqrt(d), b)) / 2
		roots = []float64{q / a}
		if q != 0 {
			roots = append(roots, c/q)
		}
	}
	var out []float64
	for _, t := range roots {
		if t > 0 && t < 1 {
			out = append(out, t)
		}
	}
	return out
}

// at is the point of a curve that begins at from, t from 0 to 1.
func (s Segment) at(from Point, t float64) Point {
	ab, bc, cd := from.to(s.C1, t), s.C1.to(s.C2, t), s.C2.to(s.To, t)
	return ab.to(bc, t).to(bc.to(cd, t), t)
}

// Line is a run made of straight pieces; a closed one does not repeat its first point.
type Line struct {
	Points []Point
	Closed bool
}

// Flat is the path in straight pieces that lie within tolerance of its curves.
func (p Path) Flat(tolerance float64) []Line {
	out := make([]Line, 0, len(p))
	for _, r := range p {
		line := Line{Points: []Point{r.Start}, Closed: r.Closed}
		add := func(q Point) {
			if q != line.Points[len(line.Points)-1] {
				line.Points = append(line.Points, q)
			}
		}
		at := r.Start
		for _, s := range r.Segments {
			n := s.pieces(at, tolerance)
			for i := 1; i < n; i++ {
				add(s.at(at, float64(i)/float64(n)))
			}
			add(s.To)
			at = s.To
		}
		if n := len(line.Points); r.Closed && n > 1 && line.Points[n-1] == line.Points[0] {
			line.Points = line.Points[:n-1]
		}
		out = append(out, line)
	}
	return out
}

// pieces is how many chords keep within tolerance of a curve: the bound on its second
// differences (Wang's formula, from memory).
func (s Segment) pieces(from Point, tolerance float64) int {
	if !s.Curve {
		return 1
	}
	bend := math.Max(from.plus(s.C2).minus(s.C1.times(2)).size(), s.C1.plus(s.To).minus(s.C2.times(2)).size())
	n := math.Ceil(math.Sqrt(0.75 * bend / tolerance))
	return int(math.Min(math.Max(n, 1), mostPieces))
}

// mostPieces keeps a senseless curve from filling memory.
const mostPieces = 4096

// Length of a line, the way back of a closed one included.
func (l Line) Length() float64 {
	total := 0.0
	for i := range l.Sides() {
		a, b := l.Side(i)
		total += b.minus(a).size()
	}
	return total
}

// Sides is how many straight pieces a line has, Side the i-th of them.
func (l Line) Sides() int {
	if l.Closed {
		return len(l.Points)
	}
	return max(len(l.Points)-1, 0)
}

// Side is one straight piece.
func (l Line) Side(i int) (from, to Point) { return l.Points[i], l.Points[(i+1)%len(l.Points)] }

// Area a closed line encloses, positive where it runs clockwise as drawn.
func (l Line) Area() float64 {
	if !l.Closed || len(l.Points) < 3 {
		return 0
	}
	total, o := 0.0, l.Points[0]
	for i := range l.Points {
		a, b := l.Side(i)
		total += a.minus(o).cross(b.minus(o)) / 2
	}
	return total
}

// Thinned is points along a line with those left out that lie within a tolerance of the
// straight way between the ones that stay (Douglas and Peucker 1973, from memory).
func Thinned(points []Point, tolerance float64) []Point {
	if len(points) < 3 {
		return points
	}
	keep := make([]bool, len(points))
	last := len(points) - 1
	keep[0], keep[last] = true, true
	ranges := [][2]int{{0, last}}
	for len(ranges) > 0 {
		from, to := ranges[len(ranges)-1][0], ranges[len(ranges)-1][1]
		ranges = ranges[:len(ranges)-1]
		worst, at := tolerance, -1
		for i := from + 1; i < to; i++ {
			if d := (side{points[from], points[to]}).gap(points[i]); d > worst {
				worst, at = d, i
			}
		}
		if at > 0 {
			keep[at] = true
			ranges = append(ranges, [2]int{from, at}, [2]int{at, to})
		}
	}
	var out []Point
	for i, k := range keep {
		if k {
			out = append(out, points[i])
		}
	}
	return out
}
