package lay

import (
	"cmp"
	"math/bits"
	"slices"

	"umschlag/core/length"
)

// mostExact is the most pieces of which the shortest lay in strips is certain: every
// way of sharing them out is looked at, 3ⁿ of them.
const mostExact = 10

// exact is the shortest lay in strips, of those one with the fewest strips. Sets of
// pieces are bit masks: a strip is as high as it must be for its set, and the
// shortest lay of a set is the strip of its first piece and whoever shares it, with
// the shortest lay of the others.
func exact(items []Item, pieces []piece, usable length.Length) Lay {
	all := 1 << len(pieces)
	type lain struct {
		height length.Length
		strips int
		first  int
	}
	high := make([]length.Length, all)
	shortest := make([]lain, all)
	for set := 1; set < all; set++ {
		high[set] = height(items, pieces, set, usable)
		first := set & -set
		rest := set ^ first
		best := lain{height: -1}
		for with := rest; ; with = (with - 1) & rest {
			strip := with | first
			if h, others := high[strip], shortest[set^strip]; h > 0 {
				l := lain{height: h + others.height, strips: others.strips + 1, first: strip}
				if best.height < 0 || cmp.Or(cmp.Compare(l.height, best.height), cmp.Compare(l.strips, best.strips)) < 0 {
					best = l
				}
			}
			if with == 0 {
				break
			}
		}
		shortest[set] = best
	}
	var sets []int
	for set := all - 1; set > 0; set ^= shortest[set].first {
		sets = append(sets, shortest[set].first)
	}
	slices.SortStableFunc(sets, func(a, b int) int { return cmp.Compare(high[b], high[a]) })
	l := Lay{Width: usable}
	for _, set := range sets {
		l.stripOf(items, pieces, set, high[set])
	}
	return l
}

// height is the lowest strip that takes a set of pieces, or 0 where none does.
func height(items []Item, pieces []piece, set int, usable length.Length) length.Length {
	var best length.Length
	for left := set; left != 0; left &= left - 1 {
		p := pieces[bits.TrailingZeros(uint(left))]
		for _, h := range []length.Length{p.h, p.w} {
			if (best == 0 || h < best) && fits(items, pieces, set, h, usable) {
				best = h
			}
		}
	}
	return best
}

func fits(items []Item, pieces []piece, set int, high, usable length.Length) bool {
	var across length.Length
	for ; set != 0; set &= set - 1 {
		p, ok := within(items, pieces[bits.TrailingZeros(uint(set))], high)
		if across += p.w; !ok || across > usable {
			return false
		}
	}
	return true
}

// within is a piece as it lies narrowest in a strip so high.
func within(items []Item, p piece, high length.Length) (piece, bool) {
	about := piece{item: p.item, w: p.h, h: p.w, turned: !p.turned}
	if items[p.item].MayTurn && about.h <= high && (p.h > high || about.w < p.w) {
		return about, true
	}
	return p, p.h <= high
}

// stripOf adds a strip with a set of pieces, the tallest first.
func (l *Lay) stripOf(items []Item, pieces []piece, set int, high length.Length) {
	var in []piece
	for ; set != 0; set &= set - 1 {
		p, _ := within(items, pieces[bits.TrailingZeros(uint(set))], high)
		in = append(in, p)
	}
	kinds := kindsOf(in)
	chosen := make([]int, len(kinds))
	for i, k := range kinds {
		chosen[i] = k.left
	}
	l.strip(items, kinds, chosen)
}
