package block

import (
	"fmt"

	"umschlag/core/length"
)

// Method is one way of making a number of units alike.
type Method struct {
	// School of triangles that cuts so; empty where it is a matter of its own.
	School string
	Name   string
	// Cuts in words, and how many pieces they are.
	Cuts   string
	Pieces int
	// Spare units come out beyond the need.
	Spare int
	// Area of cloth that is cut, in square inches, and Seams that are sewn.
	Area  float64
	Seams int
	// Trim marks units that are trimmed after sewing.
	Trim bool
}

// Compared are the methods for units of one kind.
type Compared struct {
	Name    string
	Need    int
	Methods []Method
	// Least cloth and fewest seams, as indices.
	Least, Quickest int
}

// Compare sets the methods for what a block needs side by side: half-square triangles and
// flying geese. A finished size is the width of a unit; step is what cuts go up to.
//
// Source of the two-, four- and eight-at-a-time methods: common practice, their sizes by
// geometry (docs/arithmetic.md §8).
func Compare(n Node, width, height length.Length, blocks int, seam, step, usable length.Length,
	style length.Style) []Compared {
	units, err := n.Units(width, height)
	if err != nil {
		return nil
	}
	var halves, geese []Unit
	m := measure{seam: seam, step: step, usable: usable, style: style}
	var out []Compared
	for _, u := range units {
		switch {
		case u.Node.Leaves() && (u.Node.Sign == Columns || u.Node.Sign == Rows) && len(u.Node.Letters()) > 1:
			out = append(out, m.rows(u, blocks))
		case !u.Node.Leaves():
		case (u.Node.Sign == Rising || u.Node.Sign == Falling) && u.Width == u.Height:
			halves = gather(halves, u)
		case (u.Node.Sign == Up || u.Node.Sign == Down) && u.Width == 2*u.Height:
			geese = gather(geese, u)
		case (u.Node.Sign == Left || u.Node.Sign == Right) && u.Height == 2*u.Width:
			u.Width, u.Height = u.Height, u.Width
			geese = gather(geese, u)
		}
	}
	for _, u := range halves {
		out = append(out, judged(Compared{Name: "half-square triangles of " + style.Text(u.Width),
			Need: u.Count * blocks, Methods: m.halves(u.Width, u.Count*blocks)}))
	}
	for _, u := range geese {
		out = append(out, judged(Compared{Name: "flying geese of " + style.Text(u.Width) + " × " + style.Text(u.Height),
			Need: u.Count * blocks, Methods: m.geese(u.Width, u.Count*blocks)}))
	}
	return out
}

// Leaves reports whether all parts are letters.
func (n Node) Leaves() bool {
	for _, p := range n.Parts {
		if p.Sign != Leaf {
			return false
		}
	}
	return n.Sign != Leaf
}

// gather adds a unit to those of its size.
func gather(list []Unit, u Unit) []Unit {
	for i := range list {
		if (list[i].Width - u.Width).Abs() < length.Length(near) {
			list[i].Count += u.Count
			return list
		}
	}
	return append(list, u)
}

type measure struct {
	seam, step length.Length
	// usable width of the narrowest cloth.
	usable length.Length
	style  length.Style
}

// piece is some squares of one size.
type piece struct {
	count int
	side  length.Length
}

// exact and large are the squares for two triangles, and for four, with what they
// finish.
func (m measure) exact(finished length.Length, kind Kind) length.Length {
	factor := map[Kind]float64{Half: 2 + root2, Quarter: 2 + 2*root2}[kind]
	return length.FromFloat(finished.Float() + factor*m.seam.Float()).Ceil(m.step)
}

func (m measure) large(finished length.Length, kind Kind) length.Length {
	return (finished + m.seam.Times(map[Kind]int{Half: trimHalf, Quarter: trimQuarter}[kind])).Ceil(m.step)
}

const root2 = 1.4142135623730951

func (m measure) method(school, name string, spare, seams int, trim bool, pieces ...piece) Method {
	out := Method{School: school, Name: name, Spare: spare, Seams: seams, Trim: trim}
	for i, p := range pieces {
		if p.count == 0 {
			continue
		}
		if i > 0 && out.Cuts != "" {
			out.Cuts += ", "
		}
		out.Cuts += fmt.Sprintf("%d squares of %s", p.count, m.style.Text(p.side))
		out.Pieces += p.count
		side := p.side.Float() / length.Inch.Float()
		out.Area += float64(p.count) * side * side
	}
	return out
}

func (m measure) halves(f length.Length, need int) []Method {
	pairs := (need + 1) / 2
	eights, rest := need/Eight, need%Eight
	restPairs := (rest + 1) / 2
	eight := (2 * (f + m.seam.Times(trimHalf))).Ceil(m.step)
	out := []Method{
		m.method("exact", "cut to size, one by one", 2*pairs-need, need, false, piece{2 * pairs, m.exact(f, Half)}),
		m.method("trim", "two at a time, trimmed", 2*pairs-need, 2*pairs, true, piece{2 * pairs, m.large(f, Half)}),
	}
	if eights > 0 {
		out = append(out, m.method("many", "eight at a time, trimmed", 2*restPairs-rest, 4*eights+2*restPairs, true,
			piece{2 * eights, eight}, piece{2 * restPairs, m.large(f, Half)}))
	}
	return out
}

// geese of a width, half as high.
func (m measure) geese(w length.Length, need int) []Method {
	fours := (need + 3) / 4
	whole, rest := need/4, need%4 // what is left over is sewn one by one from the same squares
	out := []Method{
		m.method("exact", "cut to size, one by one", 0, 2*need, false, piece{fours, m.exact(w, Quarter)},
			piece{need, m.exact(w/2, Half)}),
		m.method("trim", "cut large, one by one, trimmed", 0, 2*need, true, piece{fours, m.large(w, Quarter)},
			piece{need, m.large(w/2, Half)}),
	}
	if whole > 0 {
		out = append(out, m.method("many", "four at a time, trimmed", 0, 6*whole+2*rest, true,
			piece{fours, m.large(w, Quarter)}, piece{need, m.large(w/2, Half)}))
	}
	return out
}

// SquareEnd is what squaring the end of a strip set takes. Common practice.
const SquareEnd = length.Inch / 2

// rows compares patches side by side cut one by one with strips cut across.
func (m measure) rows(u Unit, blocks int) Compared {
	need := u.Count * blocks
	set := u.Node.setOf([]point{{0, 0}, {u.Width.Float(), 0}, {u.Width.Float(), u.Height.Float()},
		{0, u.Height.Float()}})
	name := fmt.Sprintf("rows of %d, %s × %s", len(set.Letters), m.style.Text(u.Width), m.style.Text(u.Height))
	inch := length.Inch.Float()
	cut := set.Segment + 2*m.seam
	each := 0.0
	for _, w := range set.Widths {
		each += (w + 2*m.seam).Float() / inch
	}
	parts := len(set.Letters)
	out := Compared{Name: name, Need: need,
		Methods: []Method{{School: "single", Name: "patches cut one by one",
			Cuts: fmt.Sprintf("%d patches", need*parts), Pieces: need * parts,
			Area: float64(need) * each * cut.Float() / inch, Seams: need * (parts - 1)}}}
	if most := int((m.usable - SquareEnd) / cut); most > 0 {
		sets := (need + most - 1) / most
		long := cut.Times((need+sets-1)/sets) + SquareEnd
		out.Methods = append(out.Methods,
			Method{School: "sets", Name: "strips sewn together, cut across",
				Cuts: fmt.Sprintf("%d strips of %s", sets*parts, m.style.Text(long)), Pieces: sets * parts,
				Area: float64(sets) * each * long.Float() / inch, Seams: sets * (parts - 1),
				Spare: sets*((need+sets-1)/sets) - need})
	}
	return judged(out)
}

// judged marks what takes least cloth and what is sewn quickest.
func judged(c Compared) Compared {
	for i, m := range c.Methods {
		if m.Area < c.Methods[c.Least].Area {
			c.Least = i
		}
		if m.Seams < c.Methods[c.Quickest].Seams ||
			(m.Seams == c.Methods[c.Quickest].Seams && m.Pieces < c.Methods[c.Quickest].Pieces) {
			c.Quickest = i
		}
	}
	return c
}
