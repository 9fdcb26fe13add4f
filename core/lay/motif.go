package lay

import (
	"cmp"
	"slices"

	"umschlag/core/length"
)

// row is pieces side by side, each with its middle on a motif of one line of the print.
type row struct {
	pieces []piece
	high   length.Length
	// ends is how far from the middle of the first piece to that of the last.
	ends length.Length
}

// motifsFirst lays what is centred on motifs, and beside it what else is cut at once where that
// makes the rest shorter; others are what is left to be laid behind it.
func (n needs) motifsFirst(on Cloth) (l Lay, others needs) {
	centred, others := n.centred()
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

// onMotifs lays pieces whose middle is in the middle of a motif: those of a row, and the rows, as
// near to one another as whole repeats of the print allow. Where the first motif lies is not known,
// so a whole repeat is kept for finding it, at the end of the cloth and at the left of every row.
// gaps are what is left between them. Geometry; that a repeat is kept, common practice.
func onMotifs(items needs, on Cloth) (l Lay, gaps []gap) {
	l = Lay{Width: on.Usable}
	strip := func(high length.Length) int {
		l.Strips = append(l.Strips, Strip{Y: l.Length, Height: high})
		l.Length += high
		return len(l.Strips)
	}
	rows := rowsOf(items, on)
	if on.Along > 0 {
		strip(on.Along)
	}
	for i, r := range rows {
		if i > 0 {
			before := rows[i-1]
			if between := apart(before.high, r.high, on.Along) - (before.high+r.high)/2; between > 0 {
				number := strip(between)
				gaps = append(gaps, gap{Rect{0, l.Strips[number-1].Y, on.Usable, between}, number})
			}
		}
		gaps = append(gaps, l.line(items, r, strip(r.high), on)...)
	}
	return l, gaps
}

// apart is how far it is from middle to middle of two pieces side by side: whole repeats.
func apart(a, b, repeat length.Length) length.Length {
	if repeat == 0 {
		return (a + b) / 2
	}
	return ((a + b) / 2).Ceil(repeat)
}

// rowsOf puts pieces into rows, the highest first, each into the first row that has room for it.
func rowsOf(items needs, on Cloth) []row {
	var all []piece
	for i, it := range items {
		for range it.Count {
			all = append(all, standing(it, i, false))
		}
	}
	slices.SortStableFunc(all, func(a, b piece) int { return cmp.Or(cmp.Compare(b.h, a.h), cmp.Compare(b.w, a.w)) })
	var rows []row
	for _, p := range all {
		k := slices.IndexFunc(rows, func(r row) bool { return r.takes(p, on) })
		if k < 0 {
			rows = append(rows, row{pieces: []piece{p}, high: p.h})
			continue
		}
		last := rows[k].pieces[len(rows[k].pieces)-1]
		rows[k].ends += apart(last.w, p.w, on.Across)
		rows[k].pieces = append(rows[k].pieces, p)
	}
	return rows
}

// takes tells that a row has room for one more piece wherever its first motif lies.
func (r row) takes(p piece, on Cloth) bool {
	first, last := r.pieces[0], r.pieces[len(r.pieces)-1]
	return on.Across+first.w/2+r.ends+apart(last.w, p.w, on.Across)+p.w/2 <= on.Usable
}

// line lays a row into a strip, as far right as its first motif may lie, and tells what is left in it.
func (l *Lay) line(items needs, r row, number int, on Cloth) (gaps []gap) {
	s := &l.Strips[number-1]
	first, last := r.pieces[0], r.pieces[len(r.pieces)-1]
	// Alone in its row it lies wherever its motif is.
	middle := min(on.Across, on.Usable-first.w/2-r.ends-last.w/2) + first.w/2
	leave := func(to length.Length) {
		if s.Used > 0 && to > s.Used {
			gaps = append(gaps, gap{Rect{s.Used, s.Y, to - s.Used, s.Height}, number})
		}
	}
	for i, p := range r.pieces {
		if i > 0 {
			middle += apart(r.pieces[i-1].w, p.w, on.Across)
		}
		x := middle - p.w/2
		leave(x)
		l.Placed = append(l.Placed, Placed{Cut: items[p.item].Cut, X: x, Y: s.Y + (s.Height-p.h)/2,
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
