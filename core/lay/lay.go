// Package lay knows how pieces lie on a cloth and how much of it that takes.
//
// The lay is of the rotary school: strips are cut all the way across the cloth
// and pieces are cut out of the strips. Grain is kept: a panel stands as it will
// stand on the cover; only patches and borders on a print without direction are
// turned, so that they come from narrow strips.
package lay

import (
	"cmp"
	"fmt"
	"slices"

	"umschlag/core/finding"
	"umschlag/core/length"
)

// EndSquaring is what squaring the end of a cloth takes. Common practice.
const EndSquaring = length.Inch / 2

// Item is one kind of rectangle to be cut from a cloth.
type Item struct {
	// Cut is the index of the cut in the reckoning.
	Cut           int
	Width, Height length.Length
	Count         int
	// MayTurn allows a quarter turn.
	MayTurn bool
}

// Placed is one rectangle on the cloth. X goes across the width from the left
// selvedge, Y along the length from the squared end.
type Placed struct {
	Cut           int
	X, Y          length.Length
	Width, Height length.Length
	Turned        bool
	// Strip is the number of the strip it is cut from, from 1.
	Strip int
}

// Strip is one cut all the way across the cloth.
type Strip struct {
	// Y is where the strip begins, Height the ruler setting.
	Y, Height length.Length
	// Used is how far across the strip is used.
	Used length.Length
}

// Lay is a cloth laid out.
type Lay struct {
	// Width is the usable width, Length what is used along the cloth.
	Width, Length length.Length
	Placed        []Placed
	Strips        []Strip
	// Bound is a length no lay can be shorter than, and Limit what makes it so long.
	Bound length.Length
	Limit Limit
}

// piece is one rectangle before it is placed.
type piece struct {
	item   int
	w, h   length.Length
	turned bool
}

// Of lays items on a cloth of the usable width: the shortest lay found, of those
// the one with the fewest ruler settings. Items wider than the cloth are left out
// and named by their cuts. The same items give the same lay.
func Of(items []Item, usable length.Length) (Lay, []int) {
	narrowed, out := stood(items, usable, narrow)
	stands, _ := stood(items, usable, upright)
	best := shorter(items, narrowed, usable)
	if l := shorter(items, stands, usable); l.better(best) {
		best, narrowed = l, stands
	}
	best.Bound, best.Limit = bound(items, out, usable)
	switch {
	case best.Length == best.Bound:
	case len(narrowed) <= mostExact:
		if l := exact(items, narrowed, usable); l.Length < best.Length {
			l.Bound, l.Limit = best.Bound, best.Limit
			best = l
		}
	case len(narrowed) <= mostTurned:
		best = turned(items, narrowed, best)
	}
	return best, out
}

// shorter is the better of the two ways to make strips of the same pieces.
func shorter(items []Item, pieces []piece, usable length.Length) Lay {
	first, full := strips(items, slices.Clone(pieces), usable), filled(items, pieces, usable)
	if full.better(first) {
		return full
	}
	return first
}

// better tells whether a lay is shorter than another, or as long with fewer
// settings of the ruler.
func (l Lay) better(than Lay) bool {
	return cmp.Or(cmp.Compare(l.Length, than.Length), cmp.Compare(l.Settings(), than.Settings())) < 0
}

// Settings counts how often the ruler is set anew: for every strip of another height
// than the one before it, and for each width cut out of a strip that the one before it
// was not cut by too.
func (l Lay) Settings() int {
	n := 0
	widths := l.widths()
	for i, s := range l.Strips {
		if i == 0 || s.Height != l.Strips[i-1].Height {
			n++
		}
		for w := range widths[i] {
			if i == 0 || !widths[i-1][w] {
				n++
			}
		}
	}
	return n
}

// widths are those cut out of every strip.
func (l Lay) widths() []map[length.Length]bool {
	out := make([]map[length.Length]bool, len(l.Strips))
	for i := range out {
		out[i] = map[length.Length]bool{}
	}
	for _, p := range l.Placed {
		out[p.Strip-1][p.Width] = true
	}
	return out
}

// mostTurned is the most pieces whose kinds are turned one by one; beyond it the
// two ways of standing have to do, to keep the lay quick.
const mostTurned = 1000

// turned turns one item after another about, as long as that gains something.
func turned(items []Item, pieces []piece, best Lay) Lay {
	for again := true; again; {
		again = false
		for i, it := range items {
			if !it.MayTurn || it.Width == it.Height || it.Count == 0 || max(it.Width, it.Height) > best.Width {
				continue
			}
			tried := slices.Clone(pieces)
			for j, p := range tried {
				if p.item == i {
					tried[j].w, tried[j].h, tried[j].turned = p.h, p.w, !p.turned
				}
			}
			if l := shorter(items, tried, best.Width); l.Length < best.Length {
				l.Bound, l.Limit = best.Bound, best.Limit
				best, pieces, again = l, tried, true
			}
		}
	}
	return best
}

// narrow turns what may be turned so that it lies across the cloth.
func narrow(it Item, usable length.Length) (piece, bool) {
	if it.MayTurn && it.Height > it.Width && it.Height <= usable {
		return piece{w: it.Height, h: it.Width, turned: true}, true
	}
	return upright(it, usable)
}

// upright keeps what stands, and turns only what would not fit otherwise.
func upright(it Item, usable length.Length) (piece, bool) {
	if it.Width <= usable {
		return piece{w: it.Width, h: it.Height}, true
	}
	if it.MayTurn && it.Height <= usable {
		return piece{w: it.Height, h: it.Width, turned: true}, true
	}
	return piece{}, false
}

func stood(items []Item, usable length.Length, stand func(Item, length.Length) (piece, bool)) (pieces []piece, over []int) {
	for i, it := range items {
		p, fits := stand(it, usable)
		if !fits {
			over = append(over, it.Cut)
			continue
		}
		p.item = i
		for range it.Count {
			pieces = append(pieces, p)
		}
	}
	return pieces, over
}

// strips fills strips with pieces, the tallest first, each piece into the
// first strip that has room for it. It sorts pieces.
func strips(items []Item, pieces []piece, usable length.Length) Lay {
	slices.SortStableFunc(pieces, func(a, b piece) int {
		return cmp.Or(cmp.Compare(b.h, a.h), cmp.Compare(b.w, a.w), cmp.Compare(a.item, b.item))
	})
	l := Lay{Width: usable}
	for _, p := range pieces {
		s := l.room(p)
		if s < 0 {
			l.Strips = append(l.Strips, Strip{Y: l.Length, Height: p.h})
			l.Length += p.h
			s = len(l.Strips) - 1
		}
		strip := &l.Strips[s]
		l.Placed = append(l.Placed, Placed{Cut: items[p.item].Cut, X: strip.Used, Y: strip.Y, Width: p.w, Height: p.h, Turned: p.turned, Strip: s + 1})
		strip.Used += p.w
	}
	slices.SortStableFunc(l.Placed, func(a, b Placed) int { return cmp.Compare(a.Strip, b.Strip) })
	return l
}

// room is the first strip that takes p, or −1.
func (l *Lay) room(p piece) int {
	return slices.IndexFunc(l.Strips, func(s Strip) bool { return p.h <= s.Height && s.Used+p.w <= l.Width })
}

// Need is the length to have, squaring and shrinkage added to what the lay
// uses. shrink is a share of 1.
func Need(l Lay, shrink float64) length.Length {
	if l.Length == 0 {
		return 0
	}
	return length.FromFloat((l.Length + EndSquaring).Float() / (1 - shrink))
}

// Buy is need as it is sold: in eighths of a yard, or in steps of 10 cm.
func Buy(need length.Length, unit length.Unit) length.Length {
	if unit == length.Inches {
		return need.Ceil(length.Yard / 8)
	}
	return need.Ceil(10 * length.Centimetre)
}

// TooWide is the finding for a piece no cloth is wide enough for.
func TooWide(about, piece, cloth string, width, usable length.Length, style length.Style) finding.Finding {
	return finding.Finding{Level: finding.Stop, Code: "piece-too-wide", About: about,
		Text:   fmt.Sprintf("%s is %s wide, and %s has %s between its selvedges.", piece, style.Text(width), cloth, style.Text(usable)),
		Remedy: "Choose a wider cloth, or one whose print may be turned."}
}
