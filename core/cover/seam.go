package cover

import (
	"math"
	"slices"

	"umschlag/core/length"
	"umschlag/core/outline"
)

// Edge names an edge of a piece as it stands.
type Edge string

// The four edges, clockwise.
const (
	Left   Edge = "left"
	Top    Edge = "top"
	Right  Edge = "right"
	Bottom Edge = "bottom"
)

// Run is one seam along a piece: edges one after the other.
type Run []Edge

// all is a seam all round.
var all = Run{Left, Top, Right, Bottom}

// quarters of a seam are marked, so that its sides meet where they belong.
const quarters = 4

// Mark is a point on a seam line, with the direction of the seam there in
// radians.
type Mark struct{ X, Y, Direction float64 }

// Seam is a run as it is drawn on its piece.
type Seam struct {
	Path outline.Path
	// Marks are the middle and the quarters.
	Marks []Mark
}

// Seam draws a run on the piece's seam line. All round, it begins in the middle
// of the bottom edge.
func (p Piece) Seam(r Run) Seam {
	line := p.Line()
	s := Seam{}
	if len(r) == len(all) {
		s.Path = fromTheMiddle(line)
	} else {
		first, n := p.sides(line, r)
		s.Path = line.Stretch(first, n)
	}
	whole := s.Path.Length()
	for k := 1; k < quarters; k++ {
		x, y, direction := s.Path.At(whole * float64(k) / quarters)
		s.Marks = append(s.Marks, Mark{X: x, Y: y, Direction: direction})
	}
	return s
}

// fromTheMiddle is the whole way round, begun in the middle of the lowest level
// side.
func fromTheMiddle(line outline.Outline) outline.Path {
	i := slices.IndexFunc(line, func(v outline.Vertex) bool { return v.Bulge == 0 && v.Y == high(line) })
	if i < 0 { // round all the way: from its lowest point
		return line.Stretch(max(0, slices.IndexFunc(line, func(v outline.Vertex) bool { return v.Y == high(line) })),
			len(line))
	}
	round := line.Stretch(i, len(line))
	from, to := line[i], line[(i+1)%len(line)]
	middle := outline.Vertex{X: (from.X + to.X) / 2, Y: (from.Y + to.Y) / 2}
	path := append(outline.Path{middle}, round[1:]...)
	return append(path, middle)
}

// sides is where a run begins on the outline and over how many sides it goes.
func (p Piece) sides(line outline.Outline, r Run) (first, n int) {
	in := make([]bool, len(line))
	for i := range line {
		in[i] = slices.Contains(r, edgeOf(line, i))
	}
	for i := range line {
		if in[i] && !in[(i+len(line)-1)%len(line)] {
			first = i
		}
	}
	for n < len(line) && in[(first+n)%len(line)] {
		n++
	}
	return first, n
}

// high is how far down an outline reaches.
func high(line outline.Outline) float64 {
	_, _, _, y := line.Bounds()
	return y
}

// edgeOf is the edge that side i of an outline lies along: by the way it mostly
// goes, clockwise. A rounded corner goes with the level edge it belongs to.
func edgeOf(line outline.Outline, i int) Edge {
	from, to := line[i], line[(i+1)%len(line)]
	if from.Bulge != 0 {
		_, y1, _, y2 := line.Bounds()
		if math.Min(from.Y, to.Y)-y1 < 1 {
			return Top
		}
		if y2-math.Max(from.Y, to.Y) < 1 {
			return Bottom
		}
	}
	across, down := to.X-from.X, to.Y-from.Y
	switch {
	case math.Abs(down) > math.Abs(across) && down < 0:
		return Left
	case math.Abs(down) > math.Abs(across):
		return Right
	case across > 0:
		return Top
	default:
		return Bottom
	}
}

// Clips are the stretches of a straight seam that go round a corner of the other
// side and are clipped for it, as distances from the seam's beginning. start is
// where on the other side the seam begins; a side that is closed goes on from its
// end.
func Clips(own, other outline.Path, start length.Length) [][2]float64 {
	if len(own.Arcs()) > 0 {
		return nil
	}
	whole, round := own.Length(), other.Length()
	closed := math.Hypot(other[0].X-other[len(other)-1].X, other[0].Y-other[len(other)-1].Y) < 1
	var out [][2]float64
	for _, arc := range other.Arcs() {
		from, to := arc[0]-start.Float(), arc[1]-start.Float()
		if closed && from < -rounding {
			from, to = from+round, to+round
		}
		if from >= -rounding && to <= whole+rounding {
			out = append(out, [2]float64{math.Max(from, 0), math.Min(to, whole)})
		}
	}
	return out
}

// PipingClips are the stretches over which the seam of a piping is clipped: a seam
// allowance to both sides of a corner, and all along a curve.
func PipingClips(path outline.Path, seam length.Length) [][2]float64 {
	out := path.Arcs()
	for _, at := range path.Corners() {
		out = append(out, [2]float64{math.Max(0, at-seam.Float()), math.Min(at+seam.Float(), path.Length())})
	}
	return out
}

// rounding is more, in nanometres, than two ways of working out one seam differ by.
const rounding = 100
