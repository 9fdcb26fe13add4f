package lay

import (
	"cmp"
	"slices"

	"umschlag/core/length"
)

// exact is the shortest lay in strips, columns and pieces, of those one with the fewest
// strips. Every way of sharing the pieces out is looked at: a set of pieces is so many
// of every item, and the shortest lay of a set is the strip of its first piece and
// whoever shares it, with the shortest lay of the others.
func exact(items needs, usable length.Length) Lay {
	e := sets{items: items, usable: usable}
	e.number()
	e.columnsOf()
	e.lowest()
	type lain struct {
		height length.Length
		strips int
		first  int
	}
	shortest := make([]lain, e.all+1)
	for set := 1; set <= e.all; set++ {
		best := lain{height: -1}
		e.parts(set, func(part int) {
			high, others := e.high[part], shortest[set-part]
			if high == 0 {
				return
			}
			l := lain{height: high + others.height, strips: others.strips + 1, first: part}
			if best.height < 0 || cmp.Or(cmp.Compare(l.height, best.height), cmp.Compare(l.strips, best.strips)) < 0 {
				best = l
			}
		})
		shortest[set] = best
	}
	var strips []int
	for set := e.all; set > 0; set -= shortest[set].first {
		strips = append(strips, shortest[set].first)
	}
	slices.SortStableFunc(strips, func(a, b int) int { return cmp.Compare(e.high[b], e.high[a]) })
	l := Lay{Width: usable}
	for _, set := range strips {
		l.put(items, e.strip(set))
	}
	return l
}

// sets numbers all sets of pieces: a set is the sum over the items of how many it has of
// each times that item's place.
type sets struct {
	items  needs
	usable length.Length
	// place of every item, all the set of all pieces, counts of every set.
	place  []int
	all    int
	counts [][]int
	// columns by their first item.
	columns [][]stacked
	// high is the lowest strip that takes a set; 0 where none does.
	high []length.Length
}

// stacked is a column as a set of pieces, each standing one way.
type stacked struct {
	set           int
	width, height length.Length
	// pieces are how many of each item stand and lie in it.
	upright, turned []int
}

func (e *sets) number() {
	size := 1
	for _, it := range e.items {
		e.place = append(e.place, size)
		size *= it.Count + 1
	}
	e.all = size - 1
	e.counts = make([][]int, size)
	for set := range e.counts {
		e.counts[set] = make([]int, len(e.items))
		for i, it := range e.items {
			e.counts[set][i] = set / e.place[i] % (it.Count + 1)
		}
	}
}

// first is the first item a set has some of.
func (e *sets) first(set int) int {
	return slices.IndexFunc(e.counts[set], func(n int) bool { return n > 0 })
}

// within tells whether a set has all that a part has.
func (e *sets) within(part, set int) bool {
	for i, n := range e.counts[part] {
		if n > e.counts[set][i] {
			return false
		}
	}
	return true
}

// parts calls with every part of a set that has one of its first item.
func (e *sets) parts(set int, with func(part int)) {
	first := e.first(set)
	for part := e.place[first]; part <= set; part++ {
		if e.counts[part][first] > 0 && e.within(part, set) {
			with(part)
		}
	}
}

// columnsOf lists all columns: of every width a piece can have, every set of pieces that
// can have it.
func (e *sets) columnsOf() {
	e.columns = make([][]stacked, len(e.items))
	var widths []length.Length
	for _, it := range e.items {
		widths = append(widths, it.Width)
		if it.MayTurn {
			widths = append(widths, it.Height)
		}
	}
	slices.Sort(widths)
	for _, w := range slices.Compact(widths) {
		if w > e.usable {
			continue
		}
		for set := 1; set <= e.all; set++ {
			if c, ok := e.stack(set, w); ok {
				first := e.first(set)
				e.columns[first] = append(e.columns[first], c)
			}
		}
	}
}

// stack is a set as a column of a width.
func (e *sets) stack(set int, width length.Length) (stacked, bool) {
	c := stacked{set: set, width: width, upright: make([]int, len(e.items)), turned: make([]int, len(e.items))}
	first := e.items[e.first(set)]
	for i, n := range e.counts[set] {
		it := e.items[i]
		switch {
		case n == 0:
		case it.Late != first.Late: // cut at another time
			return c, false
		case it.Width == width:
			c.upright[i] = n
			c.height += it.Height.Times(n)
		case it.MayTurn && it.Height == width:
			c.turned[i] = n
			c.height += it.Width.Times(n)
		default:
			return c, false
		}
	}
	return c, true
}

// lowest finds the lowest strip of every set, trying the heights of columns from below.
func (e *sets) lowest() {
	var heights []length.Length
	for _, columns := range e.columns {
		for _, c := range columns {
			heights = append(heights, c.height)
		}
	}
	slices.Sort(heights)
	e.high = make([]length.Length, e.all+1)
	for _, high := range slices.Compact(heights) {
		widths, _ := e.narrowest(e.all, high)
		for set := 1; set <= e.all; set++ {
			if e.high[set] == 0 && widths[set] <= e.usable {
				e.high[set] = high
			}
		}
	}
}

// narrowest is how little of the width each set takes in a strip so high, and which
// column each begins with; more than the cloth has where it does not fit.
func (e *sets) narrowest(up int, high length.Length) ([]length.Length, []*stacked) {
	widths, begins := make([]length.Length, up+1), make([]*stacked, up+1)
	for set := 1; set <= up; set++ {
		widths[set] = e.usable + 1
		columns := e.columns[e.first(set)]
		for i, c := range columns {
			if c.height > high || !e.within(c.set, set) {
				continue
			}
			if w := c.width + widths[set-c.set]; w < widths[set] {
				widths[set], begins[set] = w, &columns[i]
			}
		}
	}
	return widths, begins
}

// strip is a set as a strip.
func (e *sets) strip(set int) strip {
	s := strip{high: e.high[set]}
	for i, it := range e.items {
		s.kinds = append(s.kinds, kind{piece: standing(it, i, false)}, kind{piece: standing(it, i, true)})
	}
	_, begins := e.narrowest(set, s.high)
	for set > 0 {
		c := begins[set]
		set -= c.set
		col := column{width: c.width, n: 1}
		for i := range e.items {
			col.holds = append(col.holds, c.upright[i], c.turned[i])
		}
		s.columns = append(s.columns, col)
	}
	slices.SortStableFunc(s.columns, func(a, b column) int { return cmp.Compare(b.width, a.width) })
	return s
}
