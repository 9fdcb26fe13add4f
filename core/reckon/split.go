package reckon

import (
	"fmt"
	"slices"

	"umschlag/core/plan"
)

// split makes several steps of those that the maker divided. The last part keeps the id,
// with what is measured and pressed at the end, so that what needs the step needs its last
// part; the parts before it have ids by their keys and follow each other.
func (r *run) split() {
	pr := r.p.Progress
	var out []Step
	for _, s := range r.out.Steps {
		out = append(out, parts(s, pr.Parts[s.ID], pr)...)
	}
	r.out.Steps = out
	for i, s := range r.out.Steps {
		if !s.Done {
			continue
		}
		for _, next := range r.out.following(s.ID) {
			if next.Done {
				r.out.Steps[i].Again = append(r.out.Steps[i].Again, next.ID)
			}
		}
	}
}

// parts are the parts of one step; itself where it has none.
func parts(s Step, divided []plan.StepPart, pr plan.Progress) []Step {
	if len(divided) < 2 {
		return []Step{s}
	}
	out := make([]Step, len(divided))
	share := (s.Minutes + len(divided) - 1) / len(divided)
	for i, one := range divided {
		part := s
		part.Of, part.Minutes = s.ID, max(1, share)
		part.Title = fmt.Sprintf("%s: %s", s.Title, one.Name)
		if i > 0 {
			part.Needs, part.Cuts, part.Changes = []string{out[i-1].ID}, []string{}, nil
		}
		if i < len(divided)-1 {
			part.ID = s.ref.InPart(one.Key).String()
			part.Gate, part.Expect, part.Press, part.Side, part.Trip, part.Act, part.Rest = "", nil, "", "", 0, "", 0
			part.Done, part.Took = slices.Contains(pr.Done, part.ID), nil
			if took, known := pr.Times[part.ID]; known {
				part.Took = &took
			}
		}
		out[i] = part
	}
	return out
}

// following are the steps that need one, directly or not, in their order.
func (r Reckoning) following(id string) []Step {
	reached := map[string]bool{id: true}
	var out []Step
	for _, s := range r.Steps {
		if slices.ContainsFunc(s.Needs, func(need string) bool { return reached[need] }) {
			reached[s.ID] = true
			out = append(out, s)
		}
	}
	return out
}
