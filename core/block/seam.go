package block

import (
	"fmt"
	"math"

	"umschlag/core/length"
)

// Seam is one seam within a block, in nanometres from its top left corner.
type Seam struct {
	X1, Y1, X2, Y2 float64
	// Of names the division it belongs to, and its turn within it: seams of one name
	// are sewn and pressed together.
	Of string
}

// Length of the seam.
func (s Seam) Length() float64 { return math.Hypot(s.X2-s.X1, s.Y2-s.Y1) }

// Seams are the seams within a block of a finished size, in the order they are sewn.
func (n Node) Seams(width, height length.Length) []Seam {
	w, h := width.Float(), height.Float()
	return n.seams([]point{{0, 0}, {w, 0}, {w, h}, {0, h}}, "0")
}

func (n Node) seams(shape []point, name string) []Seam {
	if n.Sign == Leaf {
		return nil
	}
	shapes, err := n.shapes(shape)
	if err != nil {
		return nil
	}
	var out []Seam
	for i, s := range shapes {
		out = append(out, n.Parts[min(i, len(n.Parts)-1)].seams(s, fmt.Sprintf("%s.%d", name, i))...)
	}
	join := func(a, b point, turn string) {
		out = append(out, Seam{X1: a.x, Y1: a.y, X2: b.x, Y2: b.y, Of: name + turn})
	}
	switch n.Sign {
	case Columns:
		for _, s := range shapes[1:] {
			join(s[3], s[0], "")
		}
	case Rows:
		for _, s := range shapes[1:] {
			join(s[0], s[1], "")
		}
	case Cross:
		c := shapes[0][2]
		// Two and two, then both pairs along the other diagonal. Drawn from the middle, the
		// two first seams lie to opposite sides where they meet.
		join(c, shape[1], "a")
		join(c, shape[3], "a")
		join(shape[0], shape[2], "b")
	case Diamond:
		middle := shapes[0]
		for i, turn := range []string{"a", "b", "a", "b"} { // opposite corners first
			join(middle[i], middle[(i+1)%4], turn)
		}
	case Up, Down, Left, Right:
		for i := 1; i < 3; i++ {
			a, b := common(shapes[0], shapes[i])
			join(a, b, string(rune('a'+i-1)))
		}
	default: // one seam between two triangles
		a, b := common(shapes[0], shapes[1])
		join(a, b, "")
	}
	return out
}

// common are the two corners that two shapes share.
func common(a, b []point) (p, q point) {
	var both []point
	for _, v := range a {
		for _, w := range b {
			if math.Hypot(v.x-w.x, v.y-w.y) < near {
				both = append(both, v)
			}
		}
	}
	if len(both) < 2 {
		return a[0], a[0]
	}
	return both[0], both[1]
}
