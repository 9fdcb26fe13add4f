// Package ruler tells how a lay is cut: one thing to do after the other, in the order it is done
// at the table.
package ruler

import (
	"cmp"
	"slices"

	"umschlag/core/lay"
	"umschlag/core/length"
)

// Kind is what is done in one go.
type Kind string

// The kinds of moves.
const (
	// Square the end of the length, or one edge of an odd piece.
	Square Kind = "square"
	// Find the first motif: so much is cut off that it lies in the middle of the next strip.
	Find Kind = "find"
	// Gap cuts off what lies between the motifs of two rows.
	Gap Kind = "gap"
	// Across cuts strips all the way across.
	Across Kind = "across"
	// Out cuts columns out of strips, and apart.
	Out Kind = "out"
	// Leave keeps the rest of strips whole for what waits, Uncut that of the length.
	Leave Kind = "leave"
	Uncut Kind = "uncut"
	// Take uses odd pieces as they are.
	Take Kind = "take"
	// Round draws round pieces and cuts them out.
	Round Kind = "round"
)

// Part is what is cut out of a column: so many pieces of a cut, as high as told. Trimmed tells that
// the column is higher than its only piece.
type Part struct {
	Cut, Count int
	Height     length.Length
	Trimmed    bool
	// Turned lies on its side: what will be its height goes across the cloth.
	Turned bool
}

// Move is one thing to do.
type Move struct {
	Kind Kind
	// Strips are those that are cut, or lie on each other and are cut apart, from 1; none where there
	// are none.
	Strips []int
	// Columns alike in every strip, and what each of them gives.
	Columns int
	Parts   []Part
	// Ruler is what it is set to; at least that much is left whole.
	Ruler length.Length
	// Places are the pieces of the lay this is about.
	Places []int
	// Done tells that it is done, Waits the measurement it waits for.
	Done  bool
	Waits string
	// Now tells that it is to be done at the table now; what stays whole is, with what is cut beside it.
	Now bool
	// Ends are the cuts of which nothing is left to be cut after it.
	Ends []int
}

// Gives tells that pieces come of it.
func (m Move) Gives() bool { return m.Kind == Out || m.Kind == Take || m.Kind == Round }

// Within tells that it is about what is left of the strips that were cut just before it.
func (m Move) Within() bool { return m.Kind == Out || m.Kind == Leave }

// Cut is what has to be known of a cut.
type Cut struct {
	Title         string
	Width, Height length.Length
	Done          bool
	// Motif says where on it a motif of the print lies; empty where it may lie anywhere.
	Motif string
	// Waits is what is measured before it is cut, in words; empty where it is cut now.
	Waits string
}

// waits tells that a cut is not made before something is measured.
func (c Cut) waits() bool { return c.Waits != "" && !c.Done }

// spread is a cloth on the table.
type spread struct {
	lay.Lay
	cuts []Cut
	odd  *lay.Odd
}

// Order is how a lay is cut; odd is the odd piece it lies on, nil for the length. cuts are those its
// pieces name.
func Order(l lay.Lay, odd *lay.Odd, cuts []Cut) []Move {
	s := spread{Lay: l, cuts: cuts, odd: odd}
	switch {
	case len(l.Placed) == 0:
		return nil
	case s.asItIs():
		only := l.Placed[0]
		return []Move{s.move(Move{Kind: Take, Columns: 1, Ruler: only.Width,
			Parts: []Part{{Cut: only.Cut, Count: 1, Height: only.Height}}, Places: []int{0}})}
	case len(l.Strips) == 0:
		return s.rounds()
	}
	var out []Move
	for _, strips := range l.Stacks() {
		moves := s.stack(strips)
		if last := len(out) - 1; last >= 0 && moves[0].Kind == Uncut && out[last].Kind == Uncut &&
			out[last].Waits == moves[0].Waits {
			out[last] = out[last].with(moves[0])
			continue
		}
		out = append(out, moves...)
	}
	if !slices.ContainsFunc(out, func(m Move) bool { return m.Kind != Uncut }) {
		return out // nothing is done yet
	}
	square := Move{Kind: Square, Columns: 1, Done: slices.ContainsFunc(out, func(m Move) bool { return m.Done })}
	switch {
	case s.hasRoom():
		return slices.Insert(out, 0, square)
	case len(l.Strips) == 1:
		return out[1:] // a piece of one strip is that strip
	}
	return out
}

// asItIs tells that an odd piece is used up by its only piece without rest.
func (s spread) asItIs() bool {
	return s.odd != nil && len(s.Placed) == 1 && s.Placed[0].Width == s.odd.Width &&
		s.Placed[0].Height == s.odd.Length
}

// hasRoom tells that something can be cut off to square the end: not where all of an odd piece is wanted.
func (s spread) hasRoom() bool { return s.odd == nil || s.Length < s.odd.Length }

// move settles what is said of a move by its parts.
func (s spread) move(m Move) Move {
	m.Done = !slices.ContainsFunc(m.Parts, func(p Part) bool { return !s.cuts[p.Cut].Done })
	for _, p := range m.Parts {
		if c := s.cuts[p.Cut]; c.waits() {
			m.Waits = c.Waits
		}
	}
	return m
}

// rounds are pieces that are placed freely, cut by cut.
func (s spread) rounds() []Move {
	var out []Move
	for i, p := range s.Placed {
		k := slices.IndexFunc(out, func(m Move) bool { return m.Parts[0].Cut == p.Cut })
		if k < 0 {
			k = len(out)
			out = append(out, s.move(Move{Kind: Round, Columns: 1, Ruler: s.cuts[p.Cut].Width,
				Parts: []Part{{Cut: p.Cut, Height: s.cuts[p.Cut].Height}}}))
		}
		out[k].Parts[0].Count++
		out[k].Places = append(out[k].Places, i)
	}
	return out
}

// column is a column of a strip.
type column struct {
	places []int
	room   lay.Rect
}

// columns are those of a strip from the left.
func (s spread) columns(strip int) []column {
	var out []column
	at := map[int]int{}
	for i, p := range s.Placed {
		if p.Strip != strip {
			continue
		}
		k, known := at[p.Column]
		if !known {
			k = len(out)
			at[p.Column] = k
			out = append(out, column{room: p.Room})
		}
		out[k].places = append(out[k].places, i)
	}
	slices.SortStableFunc(out, func(a, b column) int { return cmp.Compare(a.room.X, b.room.X) })
	return out
}

// stack is how strips that lie on each other are cut: all the way across, then what is cut out of
// them now, and what of them stays whole.
func (s spread) stack(strips []int) []Move {
	across := Move{Kind: Across, Strips: strips, Columns: 1, Ruler: s.Strips[strips[0]-1].Height}
	columns := s.columns(strips[0])
	if len(columns) == 0 {
		across.Kind = Gap
		if strips[0] == 1 {
			across.Kind = Find
		}
		across.Done = slices.ContainsFunc(s.Placed, func(p lay.Placed) bool { return s.cuts[p.Cut].Done })
		return []Move{across}
	}
	for i, p := range s.Placed {
		if slices.Contains(strips, p.Strip) {
			across.Places = append(across.Places, i)
			across.Done = across.Done || s.cuts[p.Cut].Done
		}
	}
	if !slices.ContainsFunc(columns, func(c column) bool { return !s.waits(c) }) {
		uncut := s.leave(Uncut, strips, columns)
		uncut.Ruler = across.Ruler.Times(len(strips))
		for i := range uncut.Parts {
			uncut.Parts[i].Count *= len(strips)
		}
		return []Move{uncut}
	}
	return append([]Move{across}, s.apart(strips, columns)...)
}

// apart is how strips are cut apart: columns alike in one go, and those beside one another that wait left whole.
func (s spread) apart(strips []int, columns []column) []Move {
	var out []Move
	for len(columns) > 0 {
		first := columns[0]
		var these, others []column
		for i, c := range columns {
			together := s.alike(first, c)
			if s.waits(first) {
				together = s.waits(c) && len(these) == i
			}
			if together {
				these = append(these, c)
			} else {
				others = append(others, c)
			}
		}
		if s.waits(first) {
			out = append(out, s.leave(Leave, strips, these))
		} else {
			out = append(out, s.out(strips, these))
		}
		columns = others
	}
	return out
}

// waits tells that nothing of a column is cut now.
func (s spread) waits(c column) bool {
	return !slices.ContainsFunc(c.places, func(i int) bool { return !s.cuts[s.Placed[i].Cut].waits() })
}

// alike tells that two columns are cut with one setting of the ruler and apart in the same way.
func (s spread) alike(a, b column) bool {
	return slices.EqualFunc(a.places, b.places, func(i, j int) bool {
		p, q := s.Placed[i], s.Placed[j]
		return p.Cut == q.Cut && p.Width == q.Width && p.Height == q.Height
	})
}

// over are the places of columns in all strips that lie on each other.
func (s spread) over(strips []int, columns []column) []int {
	var out []int
	for i, p := range s.Placed {
		if slices.Contains(strips, p.Strip) && slices.ContainsFunc(columns, func(c column) bool {
			return c.room.X == p.Room.X && c.room.Width == p.Room.Width
		}) {
			out = append(out, i)
		}
	}
	return out
}

// out is columns alike, cut out of every strip.
func (s spread) out(strips []int, columns []column) Move {
	c := columns[0]
	high := s.Strips[strips[0]-1].Height
	m := Move{Kind: Out, Strips: strips, Columns: len(columns), Ruler: s.Placed[c.places[0]].Width,
		Places: s.over(strips, columns)}
	for _, i := range c.places {
		p := s.Placed[i]
		m.Parts = with(m.Parts, Part{Cut: p.Cut, Count: 1, Height: p.Height, Turned: p.Turned,
			Trimmed: len(c.places) == 1 && p.Height < high})
	}
	return s.move(m)
}

// leave is columns of strips that stay whole.
func (s spread) leave(kind Kind, strips []int, columns []column) Move {
	m := Move{Kind: kind, Strips: strips, Columns: 1, Places: s.over(strips, columns)}
	for _, c := range columns {
		m.Ruler += c.room.Width
		for _, i := range c.places {
			m.Parts = with(m.Parts, Part{Cut: s.Placed[i].Cut, Count: 1, Height: s.Placed[i].Height})
		}
	}
	return s.move(m)
}

// with are parts with one more.
func with(parts []Part, p Part) []Part {
	k := slices.IndexFunc(parts, func(q Part) bool {
		return q.Cut == p.Cut && q.Height == p.Height && q.Turned == p.Turned
	})
	if k < 0 {
		return append(parts, p)
	}
	parts[k].Count += p.Count
	return parts
}

// with is what of the length stays uncut together with what lies behind it.
func (m Move) with(next Move) Move {
	for _, p := range next.Parts {
		m.Parts = with(m.Parts, p)
	}
	m.Ruler += next.Ruler
	m.Strips, m.Places = append(m.Strips, next.Strips...), append(m.Places, next.Places...)
	return m
}

// Pieces is how many pieces a part gives in all, from so many odd pieces alike, or 1; of what stays
// uncut its count is that.
func (m Move) Pieces(p Part, odd int) int {
	if m.Kind == Uncut {
		return p.Count
	}
	return p.Count * m.Columns * max(1, len(m.Strips)) * odd
}

// Settle sets which moves of cloths are to be done now, and with which of them nothing more is to be cut of each cut
// that is not done and does not wait. Where nothing is cut of a cloth now, nothing is done to it.
func Settle(spreads [][]Move, cuts []Cut) {
	for _, moves := range spreads {
		open := func(m Move) bool { return !m.Done && m.Waits == "" }
		if !slices.ContainsFunc(moves, func(m Move) bool { return open(m) && m.Gives() }) {
			continue
		}
		for i, m := range moves {
			moves[i].Now = open(m) || m.Kind == Leave && slices.ContainsFunc(moves, func(beside Move) bool {
				return open(beside) && beside.Gives() && slices.Equal(beside.Strips, m.Strips)
			})
		}
	}
	seen := map[int]bool{}
	for _, moves := range slices.Backward(spreads) {
		for i := range slices.Backward(moves) {
			m := &moves[i]
			for _, p := range m.Parts {
				if c := cuts[p.Cut]; !seen[p.Cut] && !c.Done && !c.waits() {
					seen[p.Cut] = true
					m.Ends = append(m.Ends, p.Cut)
				}
			}
		}
	}
}
