package cutting

import (
	"fmt"
	"slices"

	"umschlag/core/block"
	"umschlag/core/finding"
	"umschlag/core/front"
	"umschlag/core/panel"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// Units are units of a block that all copies need, whichever piece they are for.
type Units struct {
	block.Alike
	// Step they are sewn in, the first where there are several.
	Step ref.Ref
	// Need is how many all copies need, Have how many of them are sewn already, Over how many more come of what is
	// cut for the others, and Kept how many of those are in the cupboard.
	Need, Have, Over, Kept int
	// Made are the places in the plan's list of units sewn already that tell of them.
	Made []int
	// of are those of each piece.
	of []sewing
}

// sewing is units of a piece that are sewn with others in one go, how many of them are missing, and what one is sewn
// from.
type sewing struct {
	with    *front.Unit
	missing int
	from    []source
}

// source is the cuts whose patches a unit is sewn from, and how many one takes.
type source struct {
	cuts    []string
	patches int
}

// rest is what the plan has of units sewn already, and nobody took yet.
type rest struct {
	block.Alike
	no, had, left int
}

// readMade reads which units the plan has already. What cannot be read as one is found.
func readMade(l *List) {
	for i, m := range l.Plan.Made {
		a, err := block.ReadAlike(m.Cells, m.Cloths, m.Width, m.Height)
		left := m.Count
		if err != nil {
			l.Found.Add(finding.Warn, "made-cells", finding.Path("made", i, "cells"),
				fmt.Sprintf("Units left from other covers cannot be read, and nothing is cut less for them: %s.", err),
				"Type 0 for them on the page Cut, and tell them there by the units of the front.")
			a, left = block.Alike{Cells: m.Cells, Cloths: m.Cloths, Width: m.Width, Height: m.Height}, 0
		}
		l.rest = append(l.rest, rest{Alike: a, no: i, had: m.Count, left: left})
	}
}

// takeUnits takes from what is sewn already what the units of a piece need. It tells how many of each kind that is, and
// how many patches of each part are in them.
func takeUnits(l *List, p panel.Panel) (have, patches []int) {
	patches = make([]int, len(p.Face.Parts))
	for _, k := range p.Face.Kinds {
		n := take(l, k.Alike, k.Count*p.Piece.Count*l.Plan.Copies)
		u := &p.Face.Units[k.Unit]
		u.Have, u.Faces = u.Have+n, p.Piece.Count*l.Plan.Copies
		have = append(have, n)
		for _, t := range k.Takes {
			left := n * t.Patches
			for _, part := range t.Parts {
				here := min(left, p.Face.Parts[part].Patches*p.Piece.Count*l.Plan.Copies-patches[part])
				patches[part], left = patches[part]+here, left-here
			}
		}
	}
	return have, patches
}

// take takes as many as are needed of a kind from what is sewn already.
func take(l *List, a block.Alike, need int) (have int) {
	for i := range l.rest {
		if r := &l.rest[i]; r.Is(a) {
			n := min(r.left, need-have)
			r.left, have = r.left-n, have+n
		}
	}
	return have
}

// tellUnits notes the units of a piece: how many of each kind it has, and the ids of what they are sewn from.
func tellUnits(l *List, p panel.Panel, have []int, ids []string) {
	for n, k := range p.Face.Kinds {
		i := slices.IndexFunc(l.Units, func(u Units) bool { return u.Is(k.Alike) })
		if i < 0 {
			i = len(l.Units)
			of := p.Face.Units[k.Unit]
			l.Units = append(l.Units, Units{Alike: k.Alike,
				Step: ref.Ref{Kind: ref.Step, Piece: p.Piece.Name, Of: of.In, Role: ref.DoUnit, No: of.No}})
		}
		u, need := &l.Units[i], k.Count*p.Piece.Count*l.Plan.Copies
		u.Need, u.Have = u.Need+need, u.Have+have[n]
		of := sewing{with: &p.Face.Units[k.Unit], missing: need - have[n]}
		for _, t := range k.Takes {
			from := source{patches: t.Patches}
			for _, part := range t.Parts {
				from.cuts = append(from.cuts, ids[part])
			}
			of.from = append(of.from, from)
		}
		u.of = append(u.of, of)
	}
}

// Left says what is over when all pieces are cut: of what is sewn already, and of what comes of the cuts.
func Left(l *List) {
	over := map[string]int{}
	for _, c := range l.Cuts {
		over[c.ID] = c.Over
	}
	for i := range l.Units {
		u := &l.Units[i]
		for _, of := range u.of {
			n := 0
			for whole(of.from, over) {
				n++
			}
			u.Over += n
			of.with.Spare += n
			if of.with.Pairs(l.Plan.Habits.Triangles) {
				inPairs(l, of, n)
			}
		}
		for _, r := range l.rest {
			if r.Is(u.Alike) {
				u.Made = append(u.Made, r.no)
			}
		}
		u.Kept = kept(l.Plan, u.Alike)
	}
	for _, r := range l.rest {
		if !slices.ContainsFunc(l.Units, func(u Units) bool { return slices.Contains(u.Made, r.no) }) {
			l.Units = append(l.Units, Units{Alike: r.Alike, Made: []int{r.no}, Kept: kept(l.Plan, r.Alike)})
		}
		unused(l, r)
	}
}

// inPairs says which pieces stay whole until they are sewn to each other, where so many units more come of them than
// are missing. Of an odd number the last is sewn by itself, from pieces that are cut on the diagonal.
func inPairs(l *List, of sewing, spare int) {
	sewn := of.missing + spare
	if sewn%2 == 1 {
		of.with.Single++
	}
	for _, s := range of.from {
		i := slices.IndexFunc(l.Cuts, func(c Cut) bool { return c.ID == s.cuts[0] })
		if c, rest := &l.Cuts[i], sewn; c.Gives == 2 {
			for _, more := range s.cuts[1:] { // what comes of those for eight
				k := slices.IndexFunc(l.Cuts, func(c Cut) bool { return c.ID == more })
				rest -= l.Cuts[k].Total*l.Cuts[k].Gives - l.Cuts[k].Over
			}
			c.Whole += rest / 2 * s.patches
		}
	}
}

// kept is how many units of a kind a plan put into the cupboard.
func kept(p plan.Plan, a block.Alike) int {
	n := 0
	for _, m := range p.Progress.Over {
		if b, err := block.ReadAlike(m.Cells, m.Cloths, m.Width, m.Height); err == nil && b.Is(a) {
			n += m.Count
		}
	}
	return n
}

// whole takes what one unit is sewn from out of what is over, where there is as much.
func whole(from []source, over map[string]int) bool {
	for _, s := range from {
		n := 0
		for _, id := range s.cuts {
			n += over[id]
		}
		if n < s.patches {
			return false
		}
	}
	for _, s := range from {
		for n, i := s.patches, 0; n > 0; i++ {
			here := min(n, over[s.cuts[i]])
			over[s.cuts[i]], n = over[s.cuts[i]]-here, n-here
		}
	}
	return len(from) > 0
}

// unused says of units that are sewn already what no piece takes of them.
func unused(l *List, r rest) {
	more := r.left - kept(l.Plan, r.Alike)
	if more <= 0 {
		return
	}
	at, text := finding.Path("made", r.no), l.Plan.Style().Text
	what := fmt.Sprintf("%d %s of %s × %s", r.had, r.Named(r.had), text(r.Width), text(r.Height))
	is := "are"
	if r.had == 1 {
		is = "is"
	}
	if r.left == r.had {
		l.Found.Add(finding.Warn, "made-unused", at,
			fmt.Sprintf("%s %s left from other covers, and nothing in this plan takes such units of these fabrics.", what, is),
			"Put them into the cupboard on the page Cut, or choose blocks that are sewn from them. Where patches come from strips sewn together, all are cut.")
		return
	}
	l.Found.Add(finding.Note, "made-more", at,
		fmt.Sprintf("%s %s left from other covers, and %d are needed.", what, is, r.had-r.left),
		fmt.Sprintf("Put %d into the cupboard on the page Cut.", more))
}
