// Package lay knows how pieces lie on a cloth and how much of it that takes.
//
// The lay of the rotary school is cut with straight cuts that all go through: strips
// across the whole cloth, columns out of a strip, and pieces of one width out of a
// column; a piece by itself in its column is trimmed to its height. What waits for a
// measurement shares strips with what is cut before it: that is cut off first, and the
// rest of the strip stays whole. Grain is kept: a piece stands as it will stand on the
// cover; only what may lie either way on a print without direction is turned. The
// template school draws round every piece and places it freely.
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
	// Selvedge wants one upright edge on a selvedge, which needs no hem.
	Selvedge bool
	// Centred wants its middle in the middle of a motif of the print, or a place so far to the right of it and
	// below it as Off says; every second piece as far the other way where they are Opposite.
	Centred  bool
	Off      Offset
	Opposite bool
	// Late is cut when something is measured: 0 is cut now, 1 at what is measured first, and on. Until
	// then its cloth stays whole: it shares strips with what is cut before it, and no column. One that
	// is Centred lies with the others that are.
	Late int
	// Keep is what is set aside for it until it is measured, the size it may still be asked for in; its
	// own size where that is zero. Known tells that it was measured.
	Keep  Size
	Known bool
}

// Offset is how far to the right of a place another one lies, and how far below it.
type Offset struct{ X, Y length.Length }

// Size is that of a rectangle.
type Size struct{ Width, Height length.Length }

// Rect is a rectangle on the cloth.
type Rect struct{ X, Y, Width, Height length.Length }

// Cloth is what pieces are laid on.
type Cloth struct {
	// Usable is the width between the selvedges.
	Usable length.Length
	// Across and Along are how far it is from motif to motif of the print; 0 where it does not repeat that way,
	// or nothing is centred.
	Across, Along length.Length
}

// School is how pieces are laid and cut.
type School string

const (
	// Rotary cuts strips, columns and pieces along a ruler.
	Rotary School = "rotary"
	// Template places every piece freely and cuts it out by itself.
	Template School = "template"
)

// Placed is one rectangle on the cloth. X goes across the width from the left
// selvedge, Y along the length from the squared end.
type Placed struct {
	Cut           int
	X, Y          length.Length
	Width, Height length.Length
	// Room is what is set aside for it there: it lies in it.
	Room   Rect
	Turned bool
	// Strip is the number of the strip it is cut from, Column that of the column within
	// it, both from 1; 0 where it is placed freely.
	Strip, Column int
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
	// Bound is a length no lay can be shorter than that keeps as much for what waits, and Limit what
	// makes it so long.
	Bound length.Length
	Limit Limit
	// Certain tells that no lay of the school is shorter.
	Certain bool
}

// piece is one rectangle before it is placed.
type piece struct {
	item   int
	w, h   length.Length
	turned bool
}

// Of lays items on a cloth in strips: the shortest lay found, of those the one with the
// fewest ruler settings. Items wider than the cloth are left out and named by their
// cuts. The same items give the same lay.
func Of(items []Item, on Cloth) (Lay, []int) {
	in, over := fitting(items, on)
	return in.laid(on, func(n needs) Lay { return rotary(n, on.Usable) }), over
}

// Along lays items as Search found them, by the way it told; what the way no longer
// fits is laid in the plain way.
func Along(items []Item, on Cloth, way Way) Lay {
	in, _ := fitting(items, on)
	return in.laid(on, func(n needs) Lay { return n.along(on.Usable, way) })
}

// laid is everything in its order: what is centred on motifs, and behind it what first
// lays, with what is kept for what is cut late. What was measured since lies where its
// cloth was kept for it. What lies in strips that were not begun before that is laid
// anew, as large as it is, and so is what has outgrown its cloth.
func (n needs) laid(on Cloth, first func(needs) Lay) Lay {
	motifs, plain := n.motifsFirst(on)
	others := stages(plain)
	l := others.staged(first(others.kept(0)))
	certain := len(motifs.Strips) == 0 && (len(plain) == 0 || plain.pieces() <= mostExact && !plain.onSelvedge())
	for _, late := range others.measured() {
		begun, again := others.begun(l, late)
		certain = certain && len(again) == 0
		l = begun.before(others.staged(rotary(again.kept(late), on.Usable)))
	}
	l = stages(n).sized(motifs.before(l))
	l.Bound, l.Limit = bound(stages(n).kept(others.known()), on)
	l.Certain = l.Length == l.Bound || certain
	return l
}

// needs are items in an order that does not change while they are laid.
type needs []Item

// fitting leaves out what there is none of, and what is wider than the cloth, which it
// names.
func fitting(items []Item, on Cloth) (in needs, over []int) {
	for _, it := range items {
		switch {
		case it.Count == 0:
		case it.Width <= on.Usable || it.MayTurn && it.Height <= on.Usable:
			in = append(in, it.within(on.Usable))
		default:
			over = append(over, it.Cut)
		}
	}
	return in, over
}

// centred are the items that are centred on a motif, and the others.
func (n needs) centred() (centred, others needs) {
	for _, it := range n {
		if it.Centred {
			centred = append(centred, it)
		} else {
			others = append(others, it)
		}
	}
	return centred, others
}

// before is a lay with another one behind it on the cloth.
func (l Lay) before(then Lay) Lay {
	if len(l.Strips) == 0 {
		return then
	}
	for _, s := range then.Strips {
		s.Y += l.Length
		l.Strips = append(l.Strips, s)
	}
	strips := len(l.Strips) - len(then.Strips)
	for _, p := range then.Placed {
		p.Y += l.Length
		p.Strip += strips
		l.Placed = append(l.Placed, p)
	}
	l.Length += then.Length
	return l
}

// Better tells whether a lay is shorter than another, or as long with fewer settings of
// the ruler, or with fewer pieces turned, or with its offcuts in fewer and larger pieces.
func (l Lay) Better(than Lay) bool {
	return cmp.Or(cmp.Compare(l.Length, than.Length), cmp.Compare(l.Settings(), than.Settings()),
		cmp.Compare(l.turned(), than.turned()), cmp.Compare(than.Offcut(), l.Offcut())) < 0
}

// turned is how many pieces lie turned.
func (l Lay) turned() (n int) {
	for _, p := range l.Placed {
		if p.Turned {
			n++
		}
	}
	return n
}

// Settings counts how often the ruler is set anew: for every strip of another height
// than the one before it, and for each width or lower height cut out of a strip that
// the one before it was not cut by too.
func (l Lay) Settings() int {
	n := 0
	sizes := l.sizes()
	for i, s := range l.Strips {
		if i == 0 || s.Height != l.Strips[i-1].Height {
			n++
		}
		for size := range sizes[i] {
			if i == 0 || !sizes[i-1][size] {
				n++
			}
		}
	}
	return n
}

// setting is a size the ruler is set to within a strip.
type setting struct {
	across bool
	size   length.Length
}

// sizes are those cut out of every strip.
func (l Lay) sizes() []map[setting]bool {
	out := make([]map[setting]bool, len(l.Strips))
	for i := range out {
		out[i] = map[setting]bool{}
	}
	for _, p := range l.Placed {
		if p.Strip == 0 {
			continue
		}
		out[p.Strip-1][setting{true, p.Width}] = true
		if p.Height != l.Strips[p.Strip-1].Height {
			out[p.Strip-1][setting{false, p.Height}] = true
		}
	}
	return out
}

// Offcut is the largest rectangle left at the end of a strip, as an area in square
// inches.
func (l Lay) Offcut() float64 {
	var best float64
	for _, s := range l.Strips {
		best = max(best, (l.Width-s.Used).Float()/length.Inch.Float()*(s.Height.Float()/length.Inch.Float()))
	}
	return best
}

// mostExact is the most pieces of which the shortest lay is certain.
const mostExact = 10

// mostSought is the most pieces that are sought a better lay for at once; beyond it the
// plain way has to do, to keep the lay quick.
const mostSought = 300

// rotary is the shortest lay that is found at once.
func rotary(items needs, usable length.Length) Lay {
	standing := upright(items, usable)
	best := standing.along(usable, nil)
	for _, l := range []Lay{firstFit(standing, usable), items.along(usable, nil), firstFit(items, usable)} {
		if l.Better(best) {
			best = l
		}
	}
	low, _ := bound(items, Cloth{Usable: usable})
	pieces := items.pieces()
	switch {
	case best.Length == low:
	case pieces <= mostExact && !items.onSelvedge():
		if l := exact(items, usable); l.Length < best.Length {
			best = l
		}
		if l := exact(standing, usable); l.Length == best.Length && l.turned() < best.turned() {
			best = l
		}
	case pieces <= mostSought:
		if l := newSearcher(items, usable, nil).whole(quick, best); l.Better(best) {
			best = l
		}
	}
	return best
}

// upright are items none of which is turned but those that are too wide otherwise.
func upright(n needs, usable length.Length) needs {
	out := slices.Clone(n)
	for i, it := range out {
		out[i].MayTurn = it.MayTurn && it.Width > usable
	}
	return out
}

func (n needs) pieces() (all int) {
	for _, it := range n {
		all += it.Count
	}
	return all
}

func (n needs) onSelvedge() bool {
	return slices.ContainsFunc(n, func(it Item) bool { return it.Selvedge })
}

// firstFit fills strips with pieces, those turned that lie narrower so, the tallest
// first, each piece into the first strip that has room for it.
func firstFit(items needs, usable length.Length) Lay {
	l := Lay{Width: usable}
	if items.onSelvedge() {
		return items.along(usable, nil)
	}
	var columns []int
	for _, k := range items.kinds(items.counts(), usable, 0) {
		for range k.left {
			s := slices.IndexFunc(l.Strips, func(s Strip) bool { return k.h <= s.Height && s.Used+k.w <= usable })
			if s < 0 {
				l.Strips = append(l.Strips, Strip{Y: l.Length, Height: k.h})
				l.Length += k.h
				columns = append(columns, 0)
				s = len(l.Strips) - 1
			}
			strip := &l.Strips[s]
			columns[s]++
			l.Placed = append(l.Placed,
				Placed{Cut: items[k.item].Cut, X: strip.Used, Y: strip.Y, Width: k.w, Height: k.h, Turned: k.turned,
					Strip: s + 1, Column: columns[s]})
			strip.Used += k.w
		}
	}
	slices.SortStableFunc(l.Placed, func(a, b Placed) int { return cmp.Compare(a.Strip, b.Strip) })
	return l
}

// Need is the length to have, squaring and shrinkage added to what the lay
// uses. shrink is a share of 1.
func Need(l Lay, shrink float64) length.Length {
	if l.Length == 0 {
		return 0
	}
	return length.FromFloat((l.Length + EndSquaring).Float() / (1 - shrink))
}

// TooWide is the finding for a piece a cloth is too narrow for; upright tells that nothing but a nap keeps it
// from being turned.
func TooWide(about, piece, cloth string, width, usable length.Length, style length.Style,
	upright bool) finding.Finding {
	remedy := "Choose a wider fabric, or piece it from strips."
	if upright {
		remedy = "Choose a wider fabric, piece it from strips, or let its pieces be turned where the nap allows it."
	}
	return finding.Finding{Level: finding.Stop, Code: "piece-too-wide", About: about,
		Text: fmt.Sprintf("%s is %s wide, and %s has %s between its selvedges.", piece, style.Text(width), cloth,
			style.Text(usable)),
		Remedy: remedy}
}

// mostStacked is how many layers are cut at once. Common practice.
const mostStacked = 4

// Stacks are the strips, from 1, that are cut apart in one go, one lying on the other:
// those that follow each other and are alike, up to four.
func (l Lay) Stacks() [][]int {
	within := make([][]Placed, len(l.Strips))
	for _, p := range l.Placed {
		if p.Strip > 0 {
			s := p.Strip - 1
			p.Y, p.Room.Y, p.Strip = p.Y-l.Strips[s].Y, p.Room.Y-l.Strips[s].Y, 0
			within[s] = append(within[s], p)
		}
	}
	var out [][]int
	for i := range l.Strips {
		last := len(out) - 1
		if i > 0 && len(out[last]) < mostStacked && l.Strips[i].Height == l.Strips[i-1].Height &&
			slices.Equal(within[i], within[i-1]) {
			out[last] = append(out[last], i+1)
			continue
		}
		out = append(out, []int{i + 1})
	}
	return out
}

// Left are the rectangles that are left over of a piece of cloth that is cut by a lay in
// strips: the end of it, the ends of its strips, and what is left above each column;
// those no smaller than least either way.
func (l Lay) Left(whole, least length.Length) []Odd {
	var out []Odd
	keep := func(w, h length.Length) {
		if w < least || h < least {
			return
		}
		for i := range out {
			if out[i].Width == w && out[i].Length == h {
				out[i].Count++
				return
			}
		}
		out = append(out, Odd{Width: w, Length: h, Count: 1})
	}
	keep(l.Width, whole-l.Length)
	for i, s := range l.Strips {
		keep(l.Width-s.Used, s.Height)
		columns := map[int]*Odd{}
		var order []int
		for _, p := range l.Placed {
			if p.Strip != i+1 {
				continue
			}
			if columns[p.Column] == nil {
				columns[p.Column] = &Odd{Width: p.Room.Width, Length: s.Height}
				order = append(order, p.Column)
			}
			columns[p.Column].Length -= p.Room.Height
		}
		for _, n := range order {
			keep(columns[n].Width, columns[n].Length)
		}
	}
	return out
}
