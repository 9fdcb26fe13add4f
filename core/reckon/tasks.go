package reckon

import (
	"umschlag/core/answer"
)

// left says how long the rest takes, and where each of several covers is.
func (r *run) left() {
	for _, t := range r.out.Tasks(r.p) {
		r.out.Left += t.Minutes
	}
	r.out.Piles = r.piles()
}

// piles are so many covers at every step that is begun and not done; no more are through
// a step than came to it.
func (r *run) piles() []answer.Pile {
	out := []answer.Pile{}
	before := r.p.Copies
	for _, s := range r.out.Steps {
		through := min(before, r.p.Progress.Made[s.ID])
		if _, skipped := r.p.Progress.Skipped[s.ID]; s.Done || skipped {
			through = before
		}
		if before > through {
			out = append(out, answer.Pile{Step: s.Title, Count: before - through})
		}
		before = through
	}
	if before > 0 {
		out = append(out, answer.Pile{Count: before})
	}
	return out
}
