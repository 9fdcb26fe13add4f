package cover

import (
	"math"
	"slices"

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
	i := slices.IndexFunc(line, func(v outline.Vertex) bool { return v.Bulge == 0 && edgeOf(line, v) == Bottom })
	if i < 0 {
		return line.Stretch(0, len(line))
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
	for i, v := range line {
		in[i] = slices.Contains(r, edgeOf(line, v))
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

// edgeOf is the edge that the side leaving a vertex lies along. A rounded corner
// goes with the level edge it belongs to.
func edgeOf(line outline.Outline, v outline.Vertex) Edge {
	i := slices.Index(line, v)
	to := line[(i+1)%len(line)]
	if v.Bulge != 0 {
		_, y1, _, y2 := line.Bounds()
		if math.Min(v.Y, to.Y)-y1 < 1 {
			return Top
		}
		if y2-math.Max(v.Y, to.Y) < 1 {
			return Bottom
		}
	}
	switch {
	case to.Y < v.Y && to.X == v.X:
		return Left
	case to.Y > v.Y && to.X == v.X:
		return Right
	case to.X > v.X:
		return Top
	default:
		return Bottom
	}
}

// Clips are the stretches of a straight seam that go round a corner of the other
// side and are clipped for it, as distances from the seam's beginning. A seam
// that is only the lower part of the other, as on a split panel, ends at the top.
func Clips(own, other outline.Path) [][2]float64 {
	if len(own.Arcs()) > 0 {
		return nil
	}
	whole := own.Length()
	part := other.Length()-whole > partly
	down := own[len(own)-1].Y > own[0].Y
	var out [][2]float64
	for _, arc := range other.Arcs() {
		switch {
		case !part:
			out = append(out, arc)
		case arc[1] > whole+partly: // goes round the other half
		case down:
			out = append(out, [2]float64{whole - arc[1], whole - arc[0]})
		default:
			out = append(out, arc)
		}
	}
	return out
}

// partly is the difference, in nanometres, from which one seam is only a part of
// the other: far more than rounding, far less than a half.
const partly = 1e6
