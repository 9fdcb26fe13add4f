package lay

import (
	"cmp"
	"slices"

	"umschlag/core/length"
)

// kind is every piece of an item, standing one way.
type kind struct {
	piece
	left int
}

// mostPlaces is the finest a strip is divided into when it is filled. Widths that
// share a ruler's step divide it without rest; others are rounded up to a place.
const mostPlaces = 4096

// filled makes strips one after another: as high as the tallest piece left, that
// piece in it, and beside it whatever covers most of the strip.
func filled(items []Item, pieces []piece, usable length.Length) Lay {
	kinds := kindsOf(pieces)
	step := stepOf(kinds, usable)
	l := Lay{Width: usable}
	for len(kinds) > 0 {
		kinds[0].left--
		chosen := fullest(kinds, usable-kinds[0].w, step)
		kinds[0].left++
		chosen[0]++
		// A strip that is the best stays the best while there are pieces for it.
		times := repeats(kinds, chosen)
		for range times {
			l.strip(items, kinds, chosen)
		}
		for i, n := range chosen {
			kinds[i].left -= n * times
		}
		kinds = slices.DeleteFunc(kinds, func(k kind) bool { return k.left == 0 })
	}
	return l
}

// repeats is how many strips alike there are pieces for.
func repeats(kinds []kind, chosen []int) int {
	times := kinds[0].left
	for i, n := range chosen {
		if n > 0 {
			times = min(times, kinds[i].left/n)
		}
	}
	return times
}

// kindsOf gathers alike pieces, the tallest first.
func kindsOf(pieces []piece) []kind {
	var kinds []kind
	for _, p := range pieces {
		if last := len(kinds) - 1; last >= 0 && kinds[last].piece == p {
			kinds[last].left++
			continue
		}
		kinds = append(kinds, kind{piece: p, left: 1})
	}
	slices.SortStableFunc(kinds, func(a, b kind) int {
		return cmp.Or(cmp.Compare(b.h, a.h), cmp.Compare(b.w, a.w), cmp.Compare(a.item, b.item))
	})
	return kinds
}

// strip adds a strip with so many pieces of each kind.
func (l *Lay) strip(items []Item, kinds []kind, chosen []int) {
	s := Strip{Y: l.Length, Height: kinds[0].h}
	for i, n := range chosen {
		for range n {
			k := kinds[i]
			l.Placed = append(l.Placed, Placed{Cut: items[k.item].Cut, X: s.Used, Y: s.Y, Width: k.w, Height: k.h, Turned: k.turned, Strip: len(l.Strips) + 1})
			s.Used += k.w
		}
	}
	l.Strips = append(l.Strips, s)
	l.Length += s.Height
}

// stepOf is the largest length that divides the usable width and every piece's, or
// what mostPlaces allows where that would be finer.
func stepOf(kinds []kind, usable length.Length) length.Length {
	step := usable
	for _, k := range kinds {
		for a := k.w; a != 0; {
			step, a = a, step%a
		}
	}
	return max(step, (usable+mostPlaces-1)/mostPlaces)
}

// fullest chooses how many of each kind cover most of a strip with room left: the
// bounded knapsack, by dynamic programming over places of a step.
func fullest(kinds []kind, room, step length.Length) []int {
	places := int(room / step)
	chosen := make([]int, len(kinds))
	best := make([]float64, places+1)
	taken := make([][]int32, len(kinds))
	for i, k := range kinds {
		w := int((k.w + step - 1) / step)
		if k.left == 0 || w > places {
			continue
		}
		taken[i] = make([]int32, places+1)
		area := k.w.Float() * k.h.Float()
		for at := places; at >= w; at-- {
			for n := 1; n <= k.left && n*w <= at; n++ {
				if with := best[at-n*w] + float64(n)*area; with > best[at] {
					best[at], taken[i][at] = with, int32(n)
				}
			}
		}
	}
	for i, at := len(kinds)-1, places; i >= 0; i-- {
		if taken[i] == nil {
			continue
		}
		n := int(taken[i][at])
		chosen[i] = n
		at -= n * int((kinds[i].w+step-1)/step)
	}
	return chosen
}
