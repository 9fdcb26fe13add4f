package cover

import (
	"cmp"
	"fmt"
	"slices"
	"strings"
)

// apart gives the pieces that are made twice and told apart names of their own, in the seams and in the net as well.
func (c Cover) apart(decided []Slot) Cover {
	told := map[string][]Slot{}
	for _, s := range decided {
		if s.Of != "" {
			told[s.Of] = append(told[s.Of], s)
		}
	}
	if len(told) == 0 {
		return c
	}
	a := parter{told: told, counts: map[string]int{}, called: map[string]string{}}
	out := c
	out.Pieces, out.Joins = nil, nil
	for _, p := range c.Pieces {
		a.counts[p.Name], a.called[p.Name] = p.Count, p.Title
		out.Pieces = append(out.Pieces, a.piece(p)...)
	}
	for _, j := range c.Joins {
		out.Joins = append(out.Joins, a.join(j)...)
	}
	out.Net = a.net(c.Net)
	return out
}

// parter tells pieces apart: told are the two of each, by the name of both, counts how many of each there are, and
// called what they are called.
type parter struct {
	told   map[string][]Slot
	counts map[string]int
	called map[string]string
}

func (a parter) piece(p Piece) []Piece {
	twins, apart := a.told[p.Name]
	if !apart || p.Count != len(twins) {
		return []Piece{p}
	}
	var out []Piece
	for _, s := range twins {
		one := p
		one.Name, one.Config, one.Title, one.Count = s.Name, s.Config, s.Title, 1
		out = append(out, one)
	}
	return out
}

// join is the seams of one kind, those between the same two pieces together.
func (a parter) join(j Join) []Join {
	if a.told[j.Between[0]] == nil && a.told[j.Between[1]] == nil {
		return []Join{j}
	}
	var out []Join
	for _, m := range a.meetings(j) {
		one := j
		one.Count, one.Runs, one.Starts, one.Each = 0, [2][]Run{}, nil, nil
		a.seat(&one, j, m)
		i := slices.IndexFunc(out, func(o Join) bool { return o.Between == one.Between })
		if i < 0 {
			i = len(out)
			out = append(out, one)
		}
		out[i].meet(j, m)
	}
	for i := range out[:len(out)-1] { // what is left open is left open in the last of them
		out[i].Gap = 0
	}
	return out
}

// seat says which pieces meet in a seam of a join.
func (a parter) seat(one *Join, j Join, m Meeting) {
	var says [2]string
	for side, name := range j.Between {
		says[side] = cmp.Or(j.Sides[side], strings.ToLower(a.called[name]))
		twins := a.told[name]
		switch {
		case twins == nil:
		case side == 0 && j.Whole:
			one.Between[side], one.Also = twins[0].Name, twins[1].Name
		default:
			one.Between[side], says[side] = twins[m.Copy[side]].Name, strings.ToLower(twins[m.Copy[side]].Title)
		}
	}
	one.Title = fmt.Sprintf("%s to %s%s", says[0], says[1], j.Tail)
}

// meet adds one of the seams of a join.
func (j *Join) meet(all Join, m Meeting) {
	j.Count++
	for side := range j.Runs {
		if run := all.Runs[side][m.Run[side]]; !slices.ContainsFunc(j.Runs[side],
			func(r Run) bool { return slices.Equal(r, run) }) {
			j.Runs[side] = append(j.Runs[side], run)
			if side == 0 && all.Starts != nil {
				j.Starts = append(j.Starts, all.Start(m.Run[0]))
			}
		}
	}
}

// meetings are which pieces meet in each seam of a join, and where.
func (a parter) meetings(j Join) []Meeting {
	if j.Each != nil {
		return j.Each
	}
	out := make([]Meeting, j.Count)
	for i := range out {
		for side, name := range j.Between {
			out[i].Copy[side] = i % max(1, a.counts[name])
			out[i].Run[side] = i % len(j.Runs[side])
		}
	}
	return out
}

// net has each of two where it lies.
func (a parter) net(n Net) Net {
	for _, row := range n {
		for _, column := range row {
			for i, s := range column {
				twins := a.told[s.Piece]
				switch {
				case twins == nil:
				case s.Second:
					column[i].Piece = twins[1].Name
				default:
					column[i].Piece = twins[0].Name
				}
			}
		}
	}
	return n
}
