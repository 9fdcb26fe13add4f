package lay

import (
	"cmp"
	"slices"

	"umschlag/core/length"
)

// spotted is a piece with the place on it that lies in the middle of a motif: how far that is from its left and
// its top edge.
type spotted struct {
	piece
	spot Offset
	late int
}

// right and below are how far it is from that place to the other edges.
func (p spotted) right() length.Length { return p.w - p.spot.X }
func (p spotted) below() length.Length { return p.h - p.spot.Y }

// row is pieces side by side, each with its place on a motif of one line of the print.
type row struct {
	pieces []spotted
	// above and below are how far the row reaches from that line.
	above, below length.Length
	// ends is how far it is from the place of the first piece to that of the last.
	ends length.Length
}

func (r row) high() length.Length { return r.above + r.below }

// motifsFirst lays what is centred on motifs, and beside it what else is cut at once where that
// makes the rest shorter; others are what is left to be laid behind it.
func (n needs) motifsFirst(on Cloth) (l Lay, others needs) {
	centred, others := n.centred()
	centred = centred.atLeastKept()
	if len(centred) == 0 {
		return Lay{Width: on.Usable}, others
	}
	l, gaps := onMotifs(centred, on)
	kept := stages(others).kept(0) // what is measured moves nothing
	filled, left := kept.between(l, gaps)
	long, _ := roughly(kept, Cloth{Usable: on.Usable})
	if after, _ := roughly(kept.counted(left), Cloth{Usable: on.Usable}); after < long {
		return filled, others.counted(left)
	}
	return l, others
}

// counted is so many of each item; those of which there are none are left out.
func (n needs) counted(counts []int) (out needs) {
	for i, it := range n {
		if it.Count = counts[i]; it.Count > 0 {
			out = append(out, it)
		}
	}
	return out
}

// gap is cloth that is left between motifs, in a strip.
type gap struct {
	Rect
	strip int
}

// atLeastKept are items as large as what is kept for them, or as they are where they have outgrown it.
func (n needs) atLeastKept() needs {
	out := slices.Clone(n)
	for i, it := range out {
		out[i].Width, out[i].Height = max(it.Width, it.Keep.Width), max(it.Height, it.Keep.Height)
	}
	return out
}

// onMotifs lays pieces of which a place is in the middle of a motif: those of a row, and the rows, as
// near to one another as whole repeats of the print allow. Where the first motif lies is not known,
// so a whole repeat is kept for finding it, at the end of the cloth and at the left of every row.
// gaps are what is left between them. Geometry; that a repeat is kept, common practice.
func onMotifs(items needs, on Cloth) (l Lay, gaps []gap) {
	l = Lay{Width: on.Usable}
	rows := rowsOf(items, on)
	if len(rows) == 0 {
		return l, nil
	}
	strip := func(high length.Length) int {
		l.Strips = append(l.Strips, Strip{Y: l.Length, Height: high})
		l.Length += high
		return len(l.Strips)
	}
	motif := firstMotif(rows, on)
	if on.Along > 0 {
		strip(on.Along)
	}
	for i, r := range rows {
		if i > 0 {
			meet := rows[i-1].below + r.above
			if between := apart(meet, on.Along) - meet; between > 0 {
				number := strip(between)
				gaps = append(gaps, gap{Rect{0, l.Strips[number-1].Y, on.Usable, between}, number})
			}
		}
		gaps = append(gaps, l.line(items, r, strip(r.high()), motif, on)...)
	}
	return l, gaps
}

// apart is how far it is from motif to motif of two pieces that want so much between them: whole repeats.
func apart(want, repeat length.Length) length.Length {
	if repeat == 0 {
		return want
	}
	return want.Ceil(repeat)
}

// spots are the pieces of an item. Their place is taken as near to their middle as the print repeats.
func (it Item) spots(item int, on Cloth) []spotted {
	out := make([]spotted, it.Count)
	for k := range out {
		off := it.Off
		if it.Opposite && k%2 == 1 {
			off = Offset{-off.X, -off.Y}
		}
		off = on.Nearest(off)
		out[k] = spotted{piece: standing(it, item, false), late: it.Late,
			spot: Offset{it.Width/2 + off.X, it.Height/2 + off.Y}}
	}
	return out
}

// Nearest is an offset less whole repeats of the print, as small as it gets either way.
func (on Cloth) Nearest(off Offset) Offset {
	return Offset{phase(off.X, on.Across), phase(off.Y, on.Along)}
}

// phase is a distance less whole repeats, as small as it gets either way; none where nothing repeats.
func phase(off, repeat length.Length) length.Length {
	if repeat == 0 {
		return 0
	}
	off %= repeat
	switch {
	case 2*off > repeat:
		return off - repeat
	case 2*off <= -repeat:
		return off + repeat
	}
	return off
}

// rowsOf puts pieces into rows, those that are cut first and the highest first, each into the first row that has
// room for it.
func rowsOf(items needs, on Cloth) []row {
	var all []spotted
	for i, it := range items {
		all = append(all, it.spots(i, on)...)
	}
	slices.SortStableFunc(all, func(a, b spotted) int {
		return cmp.Or(cmp.Compare(a.late, b.late), cmp.Compare(b.h, a.h), cmp.Compare(b.w, a.w))
	})
	var rows []row
	for _, p := range all {
		k := slices.IndexFunc(rows, func(r row) bool { return r.takes(p, on) })
		if k < 0 {
			k = len(rows)
			rows = append(rows, row{})
		} else {
			rows[k].ends += rows[k].further(p, on)
		}
		r := &rows[k]
		r.pieces = append(r.pieces, p)
		r.above, r.below = max(r.above, p.spot.Y), max(r.below, p.below())
	}
	return rows
}

// further is how far beyond the place of the last piece of a row that of one more lies.
func (r row) further(p spotted, on Cloth) length.Length {
	return apart(r.pieces[len(r.pieces)-1].right()+p.spot.X, on.Across)
}

// takes tells that a row has room for one more piece wherever its first motif lies.
func (r row) takes(p spotted, on Cloth) bool {
	return on.Across+r.pieces[0].spot.X+r.ends+r.further(p, on)+p.right() <= on.Usable
}

// room is how far a row may lie from the left, up to a repeat.
func (r row) room(on Cloth) length.Length {
	return min(on.Across, on.Usable-r.pieces[0].spot.X-r.ends-r.pieces[len(r.pieces)-1].right())
}

// firstMotif is where a motif lies across the cloth while a row has to lie as far right as it may: the row that has
// least room, so that the others can lie where their motifs are then.
func firstMotif(rows []row, on Cloth) length.Length {
	least := slices.MinFunc(rows, func(a, b row) int { return cmp.Compare(a.room(on), b.room(on)) })
	return least.room(on) + least.pieces[0].spot.X
}

// line lays a row into a strip, as far right as a first motif may lie, and tells what is left in it.
func (l *Lay) line(items needs, r row, number int, motif length.Length, on Cloth) (gaps []gap) {
	s := &l.Strips[number-1]
	spot := r.room(on) + r.pieces[0].spot.X
	if on.Across > 0 { // one with no room for a whole repeat lies wherever its motif is
		if at := motif + (spot - motif).Floor(on.Across); at >= r.pieces[0].spot.X {
			spot = at
		}
	}
	leave := func(to length.Length) {
		if s.Used > 0 && to > s.Used {
			gaps = append(gaps, gap{Rect{s.Used, s.Y, to - s.Used, s.Height}, number})
		}
	}
	for i, p := range r.pieces {
		if i > 0 {
			spot += apart(r.pieces[i-1].right()+p.spot.X, on.Across)
		}
		x := spot - p.spot.X
		leave(x)
		l.Placed = append(l.Placed, Placed{Cut: items[p.item].Cut, X: x, Y: s.Y + r.above - p.spot.Y,
			Width: p.w, Height: p.h, Strip: number, Column: i + 1})
		s.Used = x + p.w
	}
	leave(on.Usable)
	return gaps
}

// between fills gaps with what is cut at once, and tells how many are left of each item.
func (n needs) between(l Lay, gaps []gap) (Lay, []int) {
	l.Placed, l.Strips = slices.Clone(l.Placed), slices.Clone(l.Strips)
	left, column := n.counts(), len(l.Placed)
	for _, g := range gaps {
		kinds := inGap(n, left, g)
		if len(kinds) == 0 {
			continue
		}
		s := strip{kinds: kinds, high: g.Height}
		s.fill(g.Width, n.grid(g.Width))
		for _, c := range s.inOrder() {
			column++
			l.hold(n, s, c, Placed{X: g.X, Y: g.Y, Strip: g.strip, Column: column})
			g.X += c.width
			for i, held := range c.holds {
				left[s.kinds[i].item] -= held
			}
		}
		used := &l.Strips[g.strip-1].Used
		*used = max(*used, g.X)
	}
	l.numbered()
	return l, left
}

// inGap are the items that fit into a gap, lying or standing, whichever way more of them do.
func inGap(n needs, left []int, g gap) (most []kind) {
	for choice := range plainWays {
		kinds := slices.DeleteFunc(n.kinds(left, g.Width, choice), func(k kind) bool {
			return k.w > g.Width || k.h > g.Height || k.selvedge || k.late > 0
		})
		if len(kinds) > len(most) {
			most = kinds
		}
	}
	return most
}

// numbered numbers the columns of every strip from the left.
func (l *Lay) numbered() {
	slices.SortStableFunc(l.Placed, func(a, b Placed) int {
		return cmp.Or(cmp.Compare(a.Strip, b.Strip), cmp.Compare(a.X, b.X), cmp.Compare(a.Y, b.Y))
	})
	at, was := 0, 0
	for i := range l.Placed {
		p := &l.Placed[i]
		switch {
		case i == 0 || p.Strip != l.Placed[i-1].Strip:
			at = 1
		case p.Column != was:
			at++
		}
		was, p.Column = p.Column, at
	}
}
