package lay

import (
	"cmp"
	"math"
	"slices"

	"umschlag/core/length"
)

// within is an item for which no more is kept than the cloth is wide, where it fits at all.
func (it Item) within(usable length.Length) Item {
	if it.Keep == (Size{}) {
		return it
	}
	it.Keep = Size{max(it.Keep.Width, 0), max(it.Keep.Height, 0)}
	if it.Width <= usable {
		it.Keep.Width = min(it.Keep.Width, usable)
	}
	if it.MayTurn && it.Height <= usable && it.Width > usable {
		it.Keep.Height = min(it.Keep.Height, usable)
	}
	return it
}

// outgrown tells that what was kept for an item is too small for it.
func (it Item) outgrown() bool {
	return it.Keep != (Size{}) && (it.Width > it.Keep.Width || it.Height > it.Keep.Height)
}

// stages are items by the time at which they are cut.
type stages []Item

// kept are the items as large as what is set aside for them; those that are cut at a
// measurement up to the one told as large as they are.
func (n stages) kept(upTo int) needs {
	out := needs(slices.Clone(n))
	for i, it := range out {
		if it.Late > upTo && it.Keep != (Size{}) {
			out[i].Width, out[i].Height = it.Keep.Width, it.Keep.Height
		}
		out[i].Keep = Size{}
	}
	return out
}

// measured are the times at which items were cut late and are known by now, in their order.
func (n stages) measured() []int {
	var known, waits []int
	for _, it := range n {
		switch {
		case it.Late == 0 || it.Centred:
		case it.Known:
			known = append(known, it.Late)
		default:
			waits = append(waits, it.Late)
		}
	}
	slices.Sort(known)
	return slices.DeleteFunc(slices.Compact(known), func(late int) bool { return slices.Contains(waits, late) })
}

// known is the last time at which items were measured; 0 where none was.
func (n stages) known() int { return slices.Max(append(n.measured(), 0)) }

// place finds an item by its cut, and byCut what it is.
func (n stages) place(cut int) int {
	return slices.IndexFunc(n, func(it Item) bool { return it.Cut == cut })
}
func (n stages) byCut(cut int) Item { return n[n.place(cut)] }

// begun is a lay up to the strips that are cut at a measurement or later, without what has
// outgrown its cloth by then; again is what has to be laid anew.
func (n stages) begun(l Lay, late int) (begun Lay, again stages) {
	begun = Lay{Width: l.Width}
	for i, s := range l.Strips {
		if !slices.ContainsFunc(l.Placed, func(p Placed) bool { return p.Strip == i+1 && n.byCut(p.Cut).Late < late }) {
			break // and those behind it: strips that are begun first lie first
		}
		begun.Strips = append(begun.Strips, s)
		begun.Length += s.Height
	}
	begun.Placed, again = n.without(l.Placed, func(p Placed, it Item) bool {
		return p.Strip > len(begun.Strips) || it.Late == late && it.outgrown()
	})
	begun.closeUp()
	return begun, again
}

// closeUp lays the pieces of a column on each other where one between them is gone.
func (l *Lay) closeUp() {
	ends := map[[2]int]length.Length{}
	for i, p := range l.Placed {
		column := [2]int{p.Strip, p.Column}
		if _, begun := ends[column]; !begun {
			ends[column] = l.Strips[p.Strip-1].Y
		}
		l.Placed[i].Y = ends[column]
		ends[column] += p.Height
	}
}

// outgrown is a lay without what has outgrown its cloth, which has to be laid anew.
func (n stages) outgrown(l Lay) (Lay, stages) {
	var again stages
	l.Placed, again = n.without(l.Placed, func(_ Placed, it Item) bool { return it.outgrown() })
	return l, again
}

// without is what was placed without some of it, and how many of each item those are.
func (n stages) without(placed []Placed, is func(Placed, Item) bool) (left []Placed, gone stages) {
	counts := map[int]int{}
	for _, p := range placed {
		if is(p, n.byCut(p.Cut)) {
			counts[p.Cut]++
		} else {
			left = append(left, p)
		}
	}
	for _, it := range n {
		if it.Count = counts[it.Cut]; it.Count > 0 {
			gone = append(gone, it)
		}
	}
	return left, gone
}

// pile is a column of a lay.
type pile struct {
	pieces         []Placed
	width          length.Length
	late           int
	left, selvedge bool
}

// staged is a lay in the order it is cut: strips that are begun first lie first, and in a
// strip lies first what is cut first, but for what has to lie at a selvedge.
func (n stages) staged(l Lay) Lay {
	if !slices.ContainsFunc(n, func(it Item) bool { return it.Late > 0 }) {
		return l
	}
	piles, begins := make([][]pile, len(l.Strips)), make([]int, len(l.Strips))
	order := make([]int, len(l.Strips))
	for i := range l.Strips {
		piles[i], order[i] = n.piles(l, i+1), i
		begins[i] = slices.MinFunc(piles[i], func(a, b pile) int { return cmp.Compare(a.late, b.late) }).late
	}
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(begins[a], begins[b]) })
	out := Lay{Width: l.Width}
	for _, i := range order {
		s := l.Strips[i]
		out.pile(piles[i], s.Y)
		s.Y = out.Length
		out.Strips = append(out.Strips, s)
		out.Length += s.Height
	}
	return out
}

// piles are the columns of a strip, in the order they are cut.
func (n stages) piles(l Lay, strip int) []pile {
	var out []pile
	at := map[int]int{}
	for _, p := range l.Placed {
		if p.Strip != strip {
			continue
		}
		i, known := at[p.Column]
		if !known {
			it := n.byCut(p.Cut)
			i = len(out)
			at[p.Column] = i
			out = append(out, pile{width: p.Width, late: it.Late, selvedge: it.Selvedge, left: p.X == 0})
		}
		out[i].pieces = append(out[i].pieces, p)
	}
	rank := func(c pile) int {
		switch {
		case c.selvedge && c.left:
			return -1
		case c.selvedge:
			return math.MaxInt
		}
		return c.late
	}
	slices.SortStableFunc(out, func(a, b pile) int { return cmp.Compare(rank(a), rank(b)) })
	return out
}

// pile puts the columns of a strip beside one another, as its next; y is where it lay before.
func (l *Lay) pile(columns []pile, y length.Length) {
	x := length.Length(0)
	for i, c := range columns {
		if c.selvedge && !c.left {
			x = l.Width - c.width
		}
		for _, p := range c.pieces {
			p.X, p.Y, p.Strip, p.Column = x, l.Length+p.Y-y, len(l.Strips)+1, i+1
			l.Placed = append(l.Placed, p)
		}
		x += c.width
	}
}

// sized is a lay with every piece as large as it is, where its cloth is kept for it.
func (n stages) sized(l Lay) Lay {
	l.Placed = slices.Clone(l.Placed)
	for i := range l.Placed {
		p := &l.Placed[i]
		it := n.byCut(p.Cut)
		p.Room = Rect{p.X, p.Y, p.Width, p.Height}
		p.Width, p.Height = it.Width, it.Height
		if p.Turned {
			p.Width, p.Height = it.Height, it.Width
		}
		switch {
		case it.Centred:
			p.X += (p.Room.Width - p.Width) / 2
			p.Y += (p.Room.Height - p.Height) / 2
		case it.Selvedge && p.X > 0:
			p.X += p.Room.Width - p.Width
		}
	}
	return l
}
