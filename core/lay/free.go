package lay

import (
	"cmp"
	"math"
	"slices"

	"umschlag/core/length"
)

// Freely lays items for the template school: every piece where it takes least, with no
// regard to straight cuts, what waits as large as what is kept for it. Pieces go in one
// after another, each as near to the squared end as it fits, of those places the one
// furthest left; the largest first, in each of several orders of which the shortest lay
// stays. What has to be centred on a motif still is. Items wider than the cloth are left out and named by their cuts.
func Freely(items []Item, on Cloth) (Lay, []int) {
	in, over := fitting(items, on)
	all := stages(in)
	l, again := all.outgrown(all.kept(0).freely(on))
	l = all.sized(l.beforeFree(needs(again).freely(on)))
	l.Bound, l.Limit = bound(all.kept(all.known()), on)
	l.Certain = l.Length == l.Bound
	return l, over
}

// FreeLength is how long items are when they are placed freely, as Freely places them.
func FreeLength(items []Item, on Cloth) length.Length {
	in, _ := fitting(items, on)
	motifs, others := needs(stages(in).kept(0)).motifsFirst(on)
	return motifs.beforeFree(others.loose(on.Usable)).Length
}

// freely is the shortest of several free lays, and of what can be cut along a ruler.
func (n needs) freely(on Cloth) Lay {
	motifs, others := n.motifsFirst(on)
	best := others.loose(on.Usable)
	if l := rotary(others, on.Usable); l.Length < best.Length {
		best = l
	}
	return motifs.unbound().beforeFree(best.unbound())
}

// loose is the shortest of several free lays.
func (n needs) loose(usable length.Length) Lay {
	best := Lay{Width: usable, Length: math.MaxInt64}
	for _, largest := range orders {
		for _, turn := range []bool{false, true} {
			if l, shorter := n.placed(usable, largest, turn, best.Length); shorter {
				best = l
			}
		}
	}
	return best
}

// orders are what makes a piece the first to be placed.
var orders = []func(p piece) length.Length{
	func(p piece) length.Length { return p.h },
	func(p piece) length.Length { return p.w },
	func(p piece) length.Length { return p.w + p.h },
	func(p piece) length.Length { return (p.w / (length.Inch / 64)) * (p.h / (length.Inch / 64)) },
}

// unbound is a lay without its strips.
func (l Lay) unbound() Lay {
	l.Strips = nil
	for i := range l.Placed {
		l.Placed[i].Strip, l.Placed[i].Column = 0, 0
	}
	return l
}

// beforeFree is a lay in strips with one behind it that has none.
func (l Lay) beforeFree(then Lay) Lay {
	for _, p := range then.Placed {
		p.Y += l.Length
		l.Placed = append(l.Placed, p)
	}
	l.Length += then.Length
	return l
}

// level is a stretch of the front of what lies there: from x on, so far along the cloth.
type level struct{ x, width, y length.Length }

// placed lays pieces freely in an order. Those that may turn lie across or along,
// whichever ends nearer to the squared end, or only as wide as they can where turn says
// so. It is given up as soon as it is as long as one that is known.
func (n needs) placed(usable length.Length, largest func(piece) length.Length, turn bool,
	known length.Length) (l Lay, shorter bool) {
	pieces := make([]piece, 0, n.pieces())
	for i, it := range n {
		p := standing(it, i, it.MayTurn && (it.Width > usable || turn && it.Height > it.Width && it.Height <= usable))
		for range it.Count {
			pieces = append(pieces, p)
		}
	}
	slices.SortStableFunc(pieces, func(a, b piece) int {
		return cmp.Or(cmp.Compare(largest(b), largest(a)), cmp.Compare(b.h, a.h), cmp.Compare(b.w, a.w))
	})
	l = Lay{Width: usable, Placed: make([]Placed, 0, len(pieces))}
	front, next := []level{{width: usable}}, []level(nil)
	for _, p := range pieces {
		it := n[p.item]
		at, ok := nearest(front, p, it.Selvedge, usable)
		if about := standing(it, p.item, !p.turned); it.MayTurn && !turn && about.w <= usable {
			if other, fits := nearest(front, about, it.Selvedge, usable); fits && (!ok || other.y+about.h < at.y+p.h) {
				p, at, ok = about, other, fits
			}
		}
		if !ok {
			continue
		}
		l.Placed = append(l.Placed, Placed{Cut: it.Cut, X: at.x, Y: at.y, Width: p.w, Height: p.h, Turned: p.turned})
		if l.Length = max(l.Length, at.y+p.h); l.Length >= known {
			return l, false
		}
		front, next = raised(next[:0], front, level{x: at.x, width: p.w, y: at.y + p.h}), front
	}
	return l, l.Length < known
}

// nearest is the place nearest to the squared end, and leftmost, where a piece fits.
func nearest(front []level, p piece, selvedge bool, usable length.Length) (level, bool) {
	best, known := level{}, false
	try := func(x length.Length) {
		if x < 0 || x+p.w > usable || selvedge && x != 0 && x+p.w != usable {
			return
		}
		y := length.Length(0)
		for _, l := range front {
			if l.x < x+p.w && x < l.x+l.width {
				y = max(y, l.y)
			}
		}
		if at := (level{x: x, width: p.w, y: y}); !known || cmp.Or(cmp.Compare(y, best.y), cmp.Compare(x, best.x)) < 0 {
			best, known = at, true
		}
	}
	for _, l := range front {
		try(l.x)
		try(l.x + l.width - p.w)
	}
	return best, known
}

// raised is the front with something laid on it, appended to out.
func raised(out, front []level, by level) []level {
	for _, l := range front {
		end := l.x + l.width
		if l.x < by.x {
			out = append(out, level{l.x, min(end, by.x) - l.x, l.y})
		}
		if l.x <= by.x && by.x < end {
			out = append(out, by)
		}
		if end > by.x+by.width {
			x := max(l.x, by.x+by.width)
			out = append(out, level{x, end - x, l.y})
		}
	}
	return out
}
