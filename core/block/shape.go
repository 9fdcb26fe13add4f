package block

import (
	"fmt"
	"math"

	"umschlag/core/length"
	"umschlag/core/outline"
)

// point is in nanometres from the block's top left corner, right and down.
type point struct{ x, y float64 }

func (p point) middle(q point) point { return point{(p.x + q.x) / 2, (p.y + q.y) / 2} }

// Patch is one patch of a block as it finishes.
type Patch struct {
	Letter string
	Line   outline.Outline
	// Set is the division it lies in where that is nothing but letters side by side or
	// above each other: it can be cut across a strip set.
	Set *StripSet
	// Mate is the letter of the other triangle of a square: both can be sewn before they
	// are cut apart. Empty for all others.
	Mate string
}

// StripSet is a division that can be cut across strips sewn together.
type StripSet struct {
	Letters []string
	// Widths of its strips, and the Segment that is cut across them, as they finish.
	Widths  []length.Length
	Segment length.Length
}

// Strips is how many of the set's strips are of a letter and a width.
func (s StripSet) Strips(letter string, width length.Length) int {
	n := 0
	for i, l := range s.Letters {
		if l == letter && (s.Widths[i]-width).Abs() < length.Length(near) {
			n++
		}
	}
	return n
}

// setOf is the strip set a division is cut from, where it is one.
func (n Node) setOf(shape []point) *StripSet {
	if (n.Sign != Columns && n.Sign != Rows) || !n.Leaves() || len(n.Letters()) < 2 {
		return nil
	}
	w, h := over(shape)
	out := &StripSet{Segment: h}
	along := w
	if n.Sign == Rows {
		out.Segment, along = w, h
	}
	total := 0
	for _, weight := range n.Weights {
		total += weight
	}
	for i, part := range n.Parts {
		out.Letters = append(out.Letters, part.Letter)
		out.Widths = append(out.Widths, length.FromFloat(along.Float()*float64(n.Weights[i])/float64(total)))
	}
	return out
}

// DivisionError says why a block cannot be divided as it is written.
type DivisionError struct{ Text string }

func (e *DivisionError) Error() string { return e.Text }

// Divide is a block of a finished size in its patches.
func (n Node) Divide(width, height length.Length) ([]Patch, error) {
	w, h := width.Float(), height.Float()
	var out []Patch
	err := n.divide([]point{{0, 0}, {w, 0}, {w, h}, {0, h}}, &out)
	return out, err
}

// divide cuts a shape, clockwise: a rectangle from its top left, or a triangle.
func (n Node) divide(shape []point, out *[]Patch) error {
	if n.Sign == Leaf {
		line := make(outline.Outline, len(shape))
		for i, p := range shape {
			line[i] = outline.Vertex{X: p.x, Y: p.y}
		}
		*out = append(*out, Patch{Letter: n.Letter, Line: line})
		return nil
	}
	shapes, err := n.shapes(shape)
	if err != nil {
		return err
	}
	from := len(*out)
	for i, s := range shapes {
		if err := n.Parts[min(i, len(n.Parts)-1)].divide(s, out); err != nil {
			return err
		}
	}
	if set := n.setOf(shape); set != nil {
		for i := from; i < len(*out); i++ {
			(*out)[i].Set = set
		}
	}
	if (n.Sign == Rising || n.Sign == Falling) && len(*out)-from == 2 {
		if a, b := &(*out)[from], &(*out)[from+1]; math.Abs(side(shape, 0)-side(shape, 1)) < near {
			a.Mate, b.Mate = b.Letter, a.Letter
		}
	}
	return nil
}

// shapes are the parts of a shape; the last part of a sign is taken for all corners
// that remain.
func (n Node) shapes(s []point) ([][]point, error) {
	if n.Sign == Halved {
		if len(s) != 3 {
			return nil, &DivisionError{"only a triangle is halved with \":\"; use | or - for a rectangle"}
		}
		return halves(s), nil
	}
	if len(s) != 4 {
		return nil, &DivisionError{fmt.Sprintf("%q divides a rectangle, and this part is a triangle; use \":\"",
			string(rune(n.Sign)))}
	}
	tl, tr, br, bl := s[0], s[1], s[2], s[3]
	c := tl.middle(br)
	top, right, bottom, left := tl.middle(tr), tr.middle(br), br.middle(bl), bl.middle(tl)
	switch n.Sign {
	case Rising:
		return [][]point{{tl, tr, bl}, {tr, br, bl}}, nil
	case Falling:
		return [][]point{{tl, tr, br}, {tl, br, bl}}, nil
	case Cross:
		return [][]point{{tl, tr, c}, {tr, br, c}, {br, bl, c}, {bl, tl, c}}, nil
	case Up:
		return [][]point{{top, br, bl}, {tl, top, bl}, {top, tr, br}}, nil
	case Down:
		return [][]point{{tl, tr, bottom}, {tl, bottom, bl}, {tr, br, bottom}}, nil
	case Left:
		return [][]point{{tr, br, left}, {tl, tr, left}, {left, br, bl}}, nil
	case Right:
		return [][]point{{tl, right, bl}, {tl, tr, right}, {right, br, bl}}, nil
	case Diamond:
		return [][]point{{top, right, bottom, left}, {tl, top, left}, {top, tr, right}, {right, br, bottom},
			{left, bottom, bl}}, nil
	}
	return n.shares(s), nil
}

// shares are columns or rows of a rectangle by their weights.
func (n Node) shares(s []point) [][]point {
	total, at := 0, 0
	for _, w := range n.Weights {
		total += w
	}
	along := func(a, b point, share float64) point { return point{a.x + (b.x-a.x)*share, a.y + (b.y-a.y)*share} }
	out := make([][]point, len(n.Parts))
	for i, w := range n.Weights {
		from, to := float64(at)/float64(total), float64(at+w)/float64(total)
		if n.Sign == Columns {
			out[i] = []point{along(s[0], s[1], from), along(s[0], s[1], to), along(s[3], s[2], to),
				along(s[3], s[2], from)}
		} else {
			out[i] = []point{along(s[0], s[3], from), along(s[1], s[2], from), along(s[1], s[2], to),
				along(s[0], s[3], to)}
		}
		at += w
	}
	return out
}

// halves cut a triangle from its longest side to the corner across.
func halves(s []point) [][]point {
	long := 0
	for i := range 3 {
		if side(s, i) > side(s, long)+1 {
			long = i
		}
	}
	a, b, apex := s[long], s[(long+1)%3], s[(long+2)%3]
	m := a.middle(b)
	first, second := []point{a, m, apex}, []point{m, b, apex}
	if x, y := a.x-b.x, a.y-b.y; x > 1 || (math.Abs(x) <= 1 && y > 0) {
		return [][]point{second, first}
	}
	return [][]point{first, second}
}

func side(s []point, i int) float64 {
	a, b := s[i], s[(i+1)%len(s)]
	return math.Hypot(b.x-a.x, b.y-a.y)
}

// Unit is a division that is sewn before the block: how often it stands in it, and how
// large it finishes over all.
type Unit struct {
	Node          Node
	Count         int
	Width, Height length.Length
}

// Units are the divisions of a block in the order they are sewn, alike ones together,
// the block itself last. A letter alone has none.
func (n Node) Units(width, height length.Length) ([]Unit, error) {
	w, h := width.Float(), height.Float()
	u := &units{at: map[string]int{}}
	err := u.visit(n, []point{{0, 0}, {w, 0}, {w, h}, {0, h}})
	return u.list, err
}

type units struct {
	list []Unit
	at   map[string]int
}

func (u *units) visit(n Node, shape []point) error {
	if n.Sign == Leaf {
		return nil
	}
	shapes, err := n.shapes(shape)
	if err != nil {
		return err
	}
	for i, s := range shapes {
		if err := u.visit(n.Parts[min(i, len(n.Parts)-1)], s); err != nil {
			return err
		}
	}
	w, h := over(shape)
	key := fmt.Sprintf("%s %d %d", n, w/1000, h/1000)
	if i, seen := u.at[key]; seen {
		u.list[i].Count++
		return nil
	}
	u.at[key] = len(u.list)
	u.list = append(u.list, Unit{Node: n, Count: 1, Width: w, Height: h})
	return nil
}

// over is how wide and high a shape is.
func over(shape []point) (w, h length.Length) {
	x1, y1, x2, y2 := shape[0].x, shape[0].y, shape[0].x, shape[0].y
	for _, p := range shape {
		x1, y1, x2, y2 = math.Min(x1, p.x), math.Min(y1, p.y), math.Max(x2, p.x), math.Max(y2, p.y)
	}
	return length.FromFloat(x2 - x1), length.FromFloat(y2 - y1)
}
