// Package divide tells pieces apart that are made twice: what is decided and done of both is decided and done of each.
package divide

import (
	"maps"
	"slices"

	"umschlag/core/answer"
	"umschlag/core/cover"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// Apart is a plan, as it was typed, with two pieces alike told apart by the name of both. What is ticked off, timed and
// left out of both is so of each; what is fitted to one of them, and which is not known, is on the first.
func Apart(p plan.Plan, piece string, w *reckon.Workshop) plan.Plan {
	q := plan.TellApart(p, piece)
	d := division{of: map[string]string{}}
	for i, name := range plan.TwinNames(piece) {
		d.of[name] = piece
		if slots := decidedAs(w.Settle(p), piece); len(slots) > 1 && slots[0].Count == 1 { // they differ in size
			d.of[name] = slots[i].Name
		}
	}
	for i, f := range q.Fittings {
		for name, was := range d.of {
			if f.On == was {
				q.Fittings[i].On = name
			}
		}
	}
	bare := q
	bare.Measured, bare.Progress = nil, plan.Progress{Parts: p.Progress.Parts}
	d.was, d.now = reckon.Reckon(p, w), reckon.Reckon(bare, w)
	q.Progress = d.progress(q.Progress)
	return q
}

// decidedAs are the pieces that a plan decides under a name.
func decidedAs(p plan.Plan, config string) []cover.Slot {
	return slices.DeleteFunc(cover.Slots(p), func(s cover.Slot) bool { return s.Config != config })
}

// division is what was recorded of two pieces together on its way to each of them.
type division struct {
	was, now answer.Reckoning
	// of is the piece that each of the two was, by its name.
	of map[string]string
}

// before is what a piece of the plan was.
func (d division) before(piece string) string {
	if was, told := d.of[piece]; told {
		return was
	}
	return piece
}

// divides reports whether a piece of the plan before is one of two now.
func (d division) divides(piece string) bool {
	for _, was := range d.of {
		if was == piece {
			return true
		}
	}
	return false
}

// same reports whether something about one of the two is what something about both was.
func (d division) same(was, now ref.About) bool {
	now.Piece = d.before(now.Piece)
	return was.Ref(ref.Cut) == now.Ref(ref.Cut)
}

// refs are what the refs of cuts and steps of both have become, for each of the two.
func (d division) refs() (cuts, steps map[string][]string) {
	cuts, steps = map[string][]string{}, map[string][]string{}
	for _, was := range d.was.Cuts {
		for _, now := range d.now.Cuts {
			if d.divides(was.About.Piece) && d.same(was.About, now.About) {
				cuts[was.ID] = append(cuts[was.ID], now.ID)
			}
		}
	}
	for _, was := range d.was.Steps {
		between := joined(d.was, was)
		if !d.divides(was.About.Piece) && !d.divides(between[0]) && !d.divides(between[1]) {
			continue
		}
		for _, now := range d.now.Steps {
			seam := joined(d.now, now)
			if d.same(was.About, now.About) && between == [2]string{d.before(seam[0]), d.before(seam[1])} {
				steps[was.ID] = append(steps[was.ID], now.ID)
			}
		}
	}
	return cuts, steps
}

// joined are the pieces of the seam that a step sews or finishes.
func joined(r answer.Reckoning, s answer.Step) [2]string {
	if s.Join == 0 {
		return [2]string{}
	}
	return r.Joins[s.Join-1].Between
}

// progress is what was recorded, of each of the two.
func (d division) progress(p plan.Progress) plan.Progress {
	cuts, steps := d.refs()
	p.Cut, p.Times = maps.Clone(p.Cut), maps.Clone(p.Times)
	for was, refs := range cuts {
		if cut, ticked := p.Cut[was]; ticked {
			cut.Count /= len(refs)
			delete(p.Cut, was)
			for _, now := range refs {
				p.Cut[now] = cut
			}
		}
	}
	for was, refs := range steps {
		if minutes, timed := p.Times[was]; timed {
			delete(p.Times, was)
			for _, now := range refs {
				p.Times[now] = minutes / float64(len(refs))
			}
		}
	}
	p.Spoiled = divided(p.Spoiled, firsts(cuts))
	if r := p.Running; r != nil && len(steps[r.Step]) > 0 {
		p.Running = &plan.Running{Step: steps[r.Step][0], Since: r.Since}
	}
	p.Done = slices.Clone(p.Done)
	for was, refs := range steps {
		if i := slices.Index(p.Done, was); i >= 0 {
			p.Done = slices.Replace(p.Done, i, i+1, refs...)
		}
	}
	p.Skipped, p.Early, p.Made = divided(p.Skipped, steps), divided(p.Early, steps), divided(p.Made, steps)
	return p
}

// divided is what stood under the ref of both under that of each.
func divided[V any](m map[string]V, refs map[string][]string) map[string]V {
	out := maps.Clone(m)
	for was, list := range refs {
		if v, there := out[was]; there {
			delete(out, was)
			for _, now := range list {
				out[now] = v
			}
		}
	}
	return out
}

// firsts keeps only the first of each.
func firsts(refs map[string][]string) map[string][]string {
	out := map[string][]string{}
	for was, list := range refs {
		out[was] = list[:1]
	}
	return out
}
