package lay

import (
	"cmp"
	"slices"

	"umschlag/core/length"
)

// Way is how a lay was found: one choice for each strip, from the squared end on. A
// shorter way goes on in the plain way, a strip of which there are several alike takes
// one choice for all of them.
type Way []int

// Found is how far a search is.
type Found struct {
	// Round from 1 of Rounds, each with a wider look than the one before it.
	Round, Rounds int
	// Tried is how many strips were tried so far.
	Tried int
	Lay   Lay
	Way   Way
}

// look is how widely a round looks: how many beginnings are followed at once, and how
// many choices of the next strip are tried for each.
type look struct{ beginnings, choices int }

// quick is the look that is taken at once whenever something is laid.
var quick = look{1, 6}

// rounds are those of a search.
var rounds = []look{{2, 8}, {4, 8}, {8, 16}, {16, 16}, {32, 16}, {32, 32}, {64, 32}, {128, 32}, {64, 128}, {128, 128}}

// most is how wide a number in a way may be.
const most = 128

// Valid tells whether a way could come from a search.
func (w Way) Valid() bool {
	return !slices.ContainsFunc(w, func(choice int) bool { return choice < 0 || choice >= most })
}

// Search looks for a shorter lay than Of finds, in rounds that look ever more widely. It
// tells how far it is after every round and in between; it ends when the teller says
// false, when no lay can be shorter, or after the last round. The same items found in
// the same round are the same lay.
func Search(items []Item, on Cloth, tell func(Found) bool) Found {
	in, _ := fitting(items, on)
	_, others := stages(in).kept(0).motifsFirst(on)
	whole := func(l Lay) Lay { return in.laid(on, func(needs) Lay { return l }) }
	best := rotary(others, on.Usable)
	found := Found{Rounds: len(rounds), Lay: whole(best)}
	for i, look := range rounds {
		if found.Lay.Certain || len(others) == 0 {
			break
		}
		found.Round = i + 1
		l, way, tried := look.search(others, on.Usable, best, func(strips int) bool {
			found.Tried++
			return strips%256 != 0 || tell(found)
		})
		if l.Better(best) {
			best, found.Lay, found.Way = l, whole(l), way
		}
		if tried < 0 || !tell(found) {
			break
		}
	}
	return found
}

// beginning is the first strips of a lay.
type beginning struct {
	left   []int
	length length.Length
	// covered is the area of what lies there.
	covered float64
	way     Way
}

// waste is the share of what lies there that is lost beside it.
func (b beginning) waste(usable length.Length) float64 {
	return b.length.Float()*usable.Float()/b.covered - 1
}

// search follows the beginnings that waste least, strip by strip, and returns the
// shortest lay it comes to that is shorter than best, with its way. It asks after every
// strip whether to go on; tried is below 0 where it was told not to.
func (k look) search(items needs, usable length.Length, best Lay, on func(tried int) bool) (Lay, Way, int) {
	shortest := best.Length
	var way Way
	tried, grid, ends := 0, items.grid(usable), endings{items: items, usable: usable}
	now := []beginning{{left: items.counts()}}
	for len(now) > 0 {
		var next []beginning
		for _, b := range now {
			for choice := range k.choices {
				if tried++; on != nil && !on(tried) {
					return items.along(usable, way), way, -1
				}
				n, done := ends.after(b, choice, grid)
				switch {
				case n.length >= shortest:
				case done:
					shortest, way = n.length, n.way
				default:
					next = append(next, n)
				}
			}
		}
		now = k.fewest(next, usable)
	}
	if way == nil {
		return best, nil, tried
	}
	return items.along(usable, way), way, tried
}

// mostEnd is the most pieces that are left when the end of a lay is looked at in all ways.
const mostEnd = 7

// endings are the shortest lays of the last few pieces, found once.
type endings struct {
	items  needs
	usable length.Length
	known  map[string]Lay
}

// of is the shortest lay of what is left; ok is false where that is too much, or nothing.
func (e *endings) of(left []int) (l Lay, ok bool) {
	pieces, key := 0, make([]byte, 0, len(left))
	for i, n := range left {
		if pieces += n; pieces > mostEnd || n > 0 && e.items[i].Selvedge {
			return l, false
		}
		key = append(key, byte(n))
	}
	if pieces == 0 {
		return l, false
	}
	l, known := e.known[string(key)]
	if !known {
		if e.known == nil {
			e.known = map[string]Lay{}
		}
		l = exact(e.items.counted(left), e.usable)
		e.known[string(key)] = l
	}
	return l, true
}

// after is a beginning with the next strip behind it, or with all that is left where that is little, and whether
// that is all.
func (e *endings) after(b beginning, choice int, grid grid) (beginning, bool) {
	s := e.items.strip(b.left, e.usable, choice, grid)
	out := beginning{left: slices.Clone(b.left), length: b.length + s.high.Times(s.times), covered: b.covered,
		way: append(slices.Clip(b.way), choice)}
	rest := 0
	for i, takes := range s.takes {
		out.left[i] -= takes * s.times
		out.covered += float64(takes*s.times) * e.items[i].Width.Float() * e.items[i].Height.Float()
		rest += out.left[i]
	}
	if end, ok := e.of(out.left); ok {
		out.length += end.Length
		return out, true
	}
	return out, rest == 0
}

// fewest are the beginnings to follow: those that waste least, of those with the same
// pieces left the shortest.
func (k look) fewest(next []beginning, usable length.Length) []beginning {
	slices.SortStableFunc(next, func(a, b beginning) int {
		return cmp.Or(cmp.Compare(a.waste(usable), b.waste(usable)), slices.Compare(a.left, b.left))
	})
	next = slices.CompactFunc(next,
		func(a, b beginning) bool { return a.length == b.length && slices.Equal(a.left, b.left) })
	return next[:min(len(next), k.beginnings)]
}

// along lays items by a way, and what is left then in the plain way.
func (n needs) along(usable length.Length, way Way) Lay {
	l := Lay{Width: usable}
	grid, ends := n.grid(usable), endings{items: n, usable: usable}
	left := n.counts()
	for i := 0; slices.Max(append(left, 0)) > 0; i++ {
		if end, ok := ends.of(left); ok && i > 0 {
			return l.before(end)
		}
		choice := 0
		if i < len(way) {
			choice = way[i]
		}
		s := n.strip(left, usable, choice, grid)
		for range s.times {
			l.put(n, s)
		}
		for j, takes := range s.takes {
			left[j] -= takes * s.times
		}
	}
	return l
}
