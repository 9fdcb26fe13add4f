package lay

import (
	"cmp"
	"math/rand/v2"
	"slices"

	"umschlag/core/length"
)

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

// again is the look at what some strips held that are taken back.
var again = look{4, 24}

// round is a look at the whole, and how often some strips of what it found are taken back and laid anew.
type round struct {
	look
	again int
}

// rounds are those of a search.
var rounds = []round{{look{2, 8}, 20}, {look{4, 8}, 40}, {look{8, 16}, 80}, {look{16, 16}, 160}, {look{32, 16}, 320},
	{look{32, 32}, 640}, {look{64, 32}, 1280}, {look{128, 32}, 2560}}

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
	s := newSearcher(others, on.Usable, func() bool {
		found.Tried++
		return found.Tried%256 != 0 || tell(found)
	})
	for i, round := range rounds {
		if found.Lay.Certain || len(others) == 0 {
			break
		}
		found.Round = i + 1
		l := s.mended(s.whole(round.look, best), round.again, uint64(i))
		if l.Better(best) {
			best, found.Lay, found.Way = l, whole(l), wayOf(others, l)
		}
		if s.stopped || !tell(found) {
			break
		}
	}
	return found
}

// beginning is the first strips of a lay.
type beginning struct {
	left   []int
	length length.Length
	// covered is what lies there, by its weight.
	covered float64
	way     []int
}

// largeWeighs is how much more a piece as long as the cloth is wide weighs than its area: beginnings that are rid of
// what is hard to lay come first. Found by trying.
const largeWeighs = 0.3

// weight is what having laid one of an item counts.
func (it Item) weight(usable length.Length) float64 {
	large := max(it.Width, it.Height).Float() / usable.Float()
	return it.Width.Float() * it.Height.Float() * (1 + largeWeighs*large)
}

// waste is how much more of the cloth is taken than by what lies there, as a share of it.
func (b beginning) waste(usable length.Length) float64 {
	return b.length.Float()*usable.Float()/b.covered - 1
}

// searcher looks for lays of what is needed.
type searcher struct {
	needs
	usable length.Length
	grid   grid
	ends   endings
	// on is asked after every strip whether to go on; stopped tells that it was told not to.
	on      func() bool
	stopped bool
}

func newSearcher(n needs, usable length.Length, on func() bool) *searcher {
	return &searcher{needs: n, usable: usable, grid: n.grid(usable), ends: endings{items: n, usable: usable}, on: on}
}

// whole looks at everything anew, for what is shorter than best.
func (s *searcher) whole(k look, best Lay) Lay {
	if way, ok := s.way(k, 0, s.counts(), best.Length); ok {
		return s.along(s.usable, way)
	}
	return best
}

// way follows the beginnings that waste least, strip by strip, and returns the choices of the
// shortest lay of what is left that it comes to, where one is shorter than told. The choices of
// a strip that are tried begin with from.
func (s *searcher) way(k look, from int, left []int, shortest length.Length) (way []int, ok bool) {
	now := []beginning{{left: left}}
	for len(now) > 0 {
		var next []beginning
		for _, b := range now {
			for choice := from; choice < from+k.choices; choice++ {
				if s.stopped = s.stopped || s.on != nil && !s.on(); s.stopped {
					return way, ok
				}
				n, done := s.ends.after(b, choice, s.grid)
				switch {
				case n.length >= shortest:
				case done:
					shortest, way, ok = n.length, n.way, true
				case n.length+s.least(n.left) < shortest:
					next = append(next, n)
				}
			}
		}
		now = k.fewest(next, s.usable)
	}
	return way, ok
}

// least is a length in which no more than what is left lies: its area over the width.
func (s *searcher) least(left []int) length.Length {
	area := 0.0
	for i, n := range left {
		area += float64(n) * s.needs[i].Width.Float() * s.needs[i].Height.Float()
	}
	return length.Length(area / s.usable.Float())
}

// fewestBack and mostBack are how many strips are taken back at once.
const fewestBack, mostBack = 2, 5

// mended takes some strips of a lay back, again and again, and lays anew what they held; what comes out no longer than
// before stays. The more of a strip is lost, the likelier it is among them.
func (s *searcher) mended(l Lay, tries int, seed uint64) Lay {
	random := rand.New(rand.NewPCG(seed, 9))
	for range tries {
		n := fewestBack + random.IntN(mostBack-fewestBack+1)
		if len(l.Strips) <= n || s.stopped {
			break
		}
		rest := laying{searcher: s, Lay: l, left: make([]int, len(s.needs))}
		rest.takeBack(s.wasteful(l, random))
		for range n - 1 {
			rest.takeBack(random.IntN(len(rest.Strips)))
		}
		if anew, ok := s.way(again, 2*random.IntN(1<<20), slices.Clone(rest.left), l.Length-rest.Length+1); ok {
			for _, choice := range anew {
				rest.lay(choice)
			}
			l = rest.Lay
		}
	}
	return l
}

// wasteful is a strip by chance, the more likely the more of it is lost.
func (s *searcher) wasteful(l Lay, random *rand.Rand) int {
	lost := make([]float64, len(l.Strips))
	all := 0.0
	for i, st := range l.Strips {
		lost[i] = st.Height.Float() * s.usable.Float()
	}
	for _, p := range l.Placed {
		lost[p.Strip-1] -= p.Width.Float() * p.Height.Float()
	}
	for _, w := range lost {
		all += w
	}
	at := random.Float64() * all
	for i, w := range lost {
		if at -= w; at < 0 {
			return i
		}
	}
	return 0
}

// mostEnd is the most pieces that are left when the end of a lay is looked at in all ways.
const mostEnd = 7

// mostKnown is how many of these are kept in mind.
const mostKnown = 20_000

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
		if e.known == nil || len(e.known) > mostKnown {
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
		out.covered += float64(takes*s.times) * e.items[i].weight(e.usable)
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
