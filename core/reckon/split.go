package reckon

import (
	"fmt"
	"slices"

	"umschlag/core/answer"

	"umschlag/core/plan"
)

// split makes several steps of those that the maker divided. The last part keeps the id,
// with what is measured and pressed at the end, so that what needs the step needs its last
// part; the parts before it have ids by their keys and follow each other.
func (r *run) split() {
	pr := r.p.Progress
	var out []answer.Step
	for _, s := range r.out.Steps {
		out = append(out, parts(s, pr.Parts[s.ID], pr)...)
	}
	r.out.Steps = out
	for i, s := range r.out.Steps {
		if !s.Done {
			continue
		}
		for _, next := range r.out.Following(s.ID) {
			if next.Done {
				r.out.Steps[i].Again = append(r.out.Steps[i].Again, next.ID)
			}
		}
	}
}

// parts are the parts of one step; itself where it has none.
func parts(s answer.Step, divided []plan.StepPart, pr plan.Progress) []answer.Step {
	if len(divided) < 2 {
		return []answer.Step{s}
	}
	out := make([]answer.Step, len(divided))
	share := (s.Minutes + len(divided) - 1) / len(divided)
	for i, one := range divided {
		part := s
		part.Of, part.Minutes = s.ID, max(1, share)
		part.Title = fmt.Sprintf("%s: %s", s.Title, one.Name)
		if i > 0 {
			part.Needs, part.Cuts, part.Changes = []string{out[i-1].ID}, []string{}, nil
		}
		if i < len(divided)-1 {
			part.ID = s.Ref.InPart(one.Key).String()
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
