package lay

import (
	"slices"

	"umschlag/core/length"
)

// Way is a lay in numbers, strip by strip from the squared end on. A strip begins with most and how many columns it
// has, and says how many strips alike there are; each column says of how many kinds of pieces it is, and each kind
// twice which item it is, one more where it lies turned, and how many. A number below most stands for a strip by a
// choice, as older searches told it. What a way does not fit any more is laid in the plain way.
type Way []int

// most is how many choices there are of a strip.
const most = 128

// laying is a lay on its way, and how many of each item are left.
type laying struct {
	*searcher
	Lay
	left []int
}

func newLaying(n needs, usable length.Length) *laying {
	return &laying{searcher: newSearcher(n, usable, nil), Lay: Lay{Width: usable}, left: n.counts()}
}

func (g *laying) done() bool { return slices.Max(append(g.left, 0)) == 0 }

// lay adds a strip by a choice, and what is left then where that is little.
func (g *laying) lay(choice int) {
	if g.done() {
		return
	}
	g.take(g.strip(g.left, g.usable, choice, g.grid))
	if end, ok := g.ends.of(g.left); ok {
		g.Lay = g.Lay.before(end)
		clear(g.left)
	}
}

// take adds a strip as often as it says.
func (g *laying) take(s strip) {
	for range s.times {
		g.put(g.needs, s)
	}
	for i, takes := range s.takes {
		g.left[i] -= takes * s.times
	}
}

// takeBack takes a strip away; what it held is left again.
func (g *laying) takeBack(strip int) {
	out := Lay{Width: g.Width}
	for i, s := range g.Strips {
		if i != strip {
			s.Y = out.Length
			out.Strips = append(out.Strips, s)
			out.Length += s.Height
		}
	}
	for _, p := range g.Placed {
		switch i := p.Strip - 1; {
		case i == strip:
			g.left[stages(g.needs).place(p.Cut)]++
			continue
		case i > strip:
			p.Strip, p.Y = p.Strip-1, p.Y-g.Strips[strip].Height
		}
		out.Placed = append(out.Placed, p)
	}
	g.Lay = out
}

// along lays items by a way, and what is left then in the plain way.
func (n needs) along(usable length.Length, way Way) Lay {
	g := newLaying(n, usable)
	for len(way) > 0 {
		if way[0] < most {
			g.lay(way[0])
			way = way[1:]
			continue
		}
		s, rest, ok := g.read(way)
		if !ok {
			break
		}
		g.take(s)
		way = rest
	}
	for !g.done() {
		g.lay(0)
	}
	return g.Lay
}

// wayOf writes a lay in strips down.
func wayOf(n needs, l Lay) Way {
	var out Way
	var before Way
	times := 0 // where the number of strips alike stands
	for i := range l.Strips {
		s := written(n, l, i+1)
		if slices.Equal(s, before) {
			out[times]++
			continue
		}
		times, before = len(out)+1, s
		out = append(append(append(out, s[0]), 1), s[1:]...)
	}
	return out
}

// written is one strip of a lay in numbers, without how many alike there are.
func written(n needs, l Lay, strip int) Way {
	out := Way{most}
	column, kinds := 0, 0
	for _, p := range l.Placed {
		if p.Strip != strip {
			continue
		}
		if p.Column != column {
			column, kinds = p.Column, len(out)
			out[0]++
			out = append(out, 0)
		}
		which := 2 * stages(n).place(p.Cut)
		if p.Turned {
			which++
		}
		if last := len(out) - 2; out[kinds] > 0 && out[last] == which {
			out[last+1]++
			continue
		}
		out[kinds]++
		out = append(out, which, 1)
	}
	return out
}

// read is the strip that a way begins with, and what follows it; ok is false where it does not fit what is left, or the
// cloth.
func (g *laying) read(way Way) (s strip, rest Way, ok bool) {
	next := func() int {
		if len(way) == 0 {
			return -1
		}
		v := way[0]
		way = way[1:]
		return v
	}
	s.takes = make([]int, len(g.needs))
	columns := next() - most
	s.times = next()
	room, edges := g.usable, 2
	for range columns {
		first := len(s.kinds)
		c := column{n: 1, holds: make([]int, len(s.kinds))}
		pieces := next()
		if pieces < 1 {
			return s, nil, false
		}
		for range pieces {
			which, count := next(), next()
			if which < 0 || which/2 >= len(g.needs) || count < 1 {
				return s, nil, false
			}
			it := g.needs[which/2]
			k := kind{piece: standing(it, which/2, which%2 == 1), selvedge: it.Selvedge, late: it.Late}
			if k.turned && !it.MayTurn || len(s.kinds) > first && !s.kinds[first].stacks(k) {
				return s, nil, false
			}
			c.width, c.selvedge = k.w, it.Selvedge
			s.kinds = append(s.kinds, k)
			c.holds = append(c.holds, count)
			s.takes[which/2] += count
		}
		s.high = max(s.high, s.filled(c))
		s.columns = append(s.columns, c)
		room -= c.width
		if c.selvedge {
			edges--
		}
	}
	for i, takes := range s.takes {
		if takes*max(1, s.times) > g.left[i] {
			return s, nil, false
		}
	}
	return s, way, columns > 0 && s.times > 0 && room >= 0 && edges >= 0 && s.high > 0
}
