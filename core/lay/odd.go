package lay

import (
	"cmp"
	"math"
	"slices"

	"umschlag/core/length"
)

// Odd is pieces of a cloth that lie beside its length in the cupboard: what was left of
// something, or squares and strips that are bought cut. Width is across the cloth.
type Odd struct {
	Width, Length length.Length
	Count         int
}

// OnOdd is what is cut from one odd piece.
type OnOdd struct {
	// Odd is the index of the piece.
	Odd int
	Lay Lay
}

// FromOdd cuts from odd pieces what it can, the smallest pieces first, and returns what
// is left to be cut from the length. A piece of just the size that is wanted is always
// taken; another one only where that makes the rest shorter, and it stays whole
// otherwise. What needs a selvedge or the middle of a motif is left for the length. What
// waits shares odd pieces as it shares strips, as large as what is kept for it; what has
// outgrown that is cut from what is left.
func FromOdd(items []Item, on Cloth, odd []Odd) (laid []OnOdd, rest []Item) {
	all := make(stages, len(items))
	for i, it := range items {
		all[i] = it.within(on.Usable)
	}
	odd = slices.Clone(odd)
	again := all.none()
	planned, left := all.kept(0).fromOdd(on, odd)
	for _, one := range planned {
		l, gone := all.outgrown(all.staged(one.Lay))
		l.closeUp()
		for _, it := range gone {
			again[all.place(it.Cut)].Count += it.Count
		}
		if len(l.Placed) > 0 {
			odd[one.Odd].Count--
			laid = append(laid, OnOdd{Odd: one.Odd, Lay: all.sized(l)})
		}
	}
	outgrown, more := again.kept(math.MaxInt).fromOdd(on, odd)
	for _, one := range outgrown {
		laid = append(laid, OnOdd{Odd: one.Odd, Lay: all.sized(one.Lay)})
	}
	for i := range all {
		all[i].Count = left[i].Count + more[i].Count
	}
	return laid, all
}

// none are the items, and none of each.
func (n stages) none() stages {
	out := slices.Clone(n)
	for i := range out {
		out[i].Count = 0
	}
	return out
}

func (n needs) fromOdd(on Cloth, odd []Odd) (laid []OnOdd, rest needs) {
	rest = slices.Clone(n)
	order := make([]int, len(odd))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(a, b int) int {
		return cmp.Compare(odd[a].Width.Float()*odd[a].Length.Float(), odd[b].Width.Float()*odd[b].Length.Float())
	})
	long, out := roughly(rest, on)
	for _, i := range order {
		lays, after, just := fromOne(rest, odd[i])
		if len(lays) == 0 {
			continue
		}
		longAfter, outAfter := roughly(after, on)
		if !just && outAfter >= out && longAfter >= long {
			continue
		}
		rest, long, out = after, longAfter, outAfter
		for _, l := range lays {
			laid = append(laid, OnOdd{Odd: i, Lay: l})
		}
	}
	return laid, rest
}

// roughly is how long items are on the length when nothing is sought, and how many of
// them do not fit on it: enough to tell whether an odd piece helps, for a cupboard of many.
func roughly(items []Item, on Cloth) (long length.Length, out int) {
	in, over := fitting(items, on)
	centred, others := in.centred()
	l := others.along(on.Usable, nil)
	if first := firstFit(others, on.Usable); first.Better(l) {
		l = first
	}
	motifs, _ := onMotifs(centred, on)
	return motifs.before(l).Length, len(over)
}

// fromOne cuts from alike odd pieces; just tells that every one is used up by a single
// piece without rest.
func fromOne(items []Item, odd Odd) (lays []Lay, rest []Item, just bool) {
	rest, just = slices.Clone(items), true
	for range odd.Count {
		l, takes := covering(rest, odd)
		if len(l.Placed) == 0 {
			break
		}
		lays = append(lays, l)
		just = just && len(l.Placed) == 1 && l.Placed[0].Width == odd.Width && l.Placed[0].Height == odd.Length
		for i, n := range takes {
			rest[i].Count -= n
		}
	}
	return lays, rest, just
}

// covering covers as much of an odd piece as it can.
func covering(items needs, odd Odd) (best Lay, takes []int) {
	var most float64
	for choice := range plainWays {
		l, taken, worth := items.cover(odd, choice)
		if worth > most {
			best, takes, most = l, taken, worth
		}
	}
	return best, takes
}

// cover makes strips across an odd piece, always the one that covers most of itself.
func (n needs) cover(odd Odd, choice int) (Lay, []int, float64) {
	l := Lay{Width: odd.Width}
	takes, worth := make([]int, len(n)), 0.0
	left := n.counts()
	for i, it := range n {
		if it.Selvedge || it.Centred {
			left[i] = 0
		}
	}
	grid := n.grid(odd.Width)
	for {
		s, covers := n.bestStrip(left, odd.Width, odd.Length-l.Length, choice, grid)
		if covers == 0 {
			return l, takes, worth
		}
		l.put(n, s)
		for _, c := range s.columns {
			worth += c.worth * float64(c.n)
			for i, held := range c.holds {
				left[s.kinds[i].item] -= held * c.n
				takes[s.kinds[i].item] += held * c.n
			}
		}
	}
}

// bestStrip is the strip that covers most of itself, no higher than room.
func (n needs) bestStrip(left []int, width, room length.Length, choice int, grid grid) (best strip, covers float64) {
	kinds := slices.DeleteFunc(n.kinds(left, width, choice), func(k kind) bool { return k.w > width || k.h > room })
	for i, k := range kinds {
		if i > 0 && kinds[i-1].h == k.h {
			continue
		}
		s := strip{kinds: kinds[i:], high: k.h}
		s.fill(width, grid)
		worth := 0.0
		for _, c := range s.columns {
			worth += c.worth * float64(c.n)
		}
		if by := worth / k.h.Float(); by > covers {
			best, covers = s, by
		}
	}
	return best, covers
}
