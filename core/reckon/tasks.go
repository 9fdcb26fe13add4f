package reckon

import (
	"umschlag/core/plan"
	"umschlag/core/schedule"
)

// washing is how long it takes to wash and hang up the cloths. Common practice.
const washing = 30

// Tasks are the steps that are left of a plan, each with the time it takes for all covers
// that are not through it yet; the cloths are washed first, where that is said and
// nothing is cut, and dry over night.
func (r Reckoning) Tasks(p plan.Plan) []schedule.Task {
	return r.tasks(p.Settle())
}

func (r Reckoning) tasks(p plan.Plan) []schedule.Task {
	var out []schedule.Task
	wash := p.Schedule != nil && p.Schedule.Wash && len(p.Progress.Cut) == 0
	if wash {
		out = append(out, schedule.Task{ID: "wash", Title: "Wash and dry the cloths", Minutes: washing})
	}
	for _, s := range r.Steps {
		if _, skipped := p.Progress.Skipped[s.ID]; s.Done || skipped {
			continue
		}
		t := schedule.Task{ID: s.ID, Title: s.Title, Minutes: s.Minutes * max(1, p.Copies-p.Progress.Made[s.ID]), Rest: s.Rest}
		if wash && len(s.Cuts) > 0 {
			t.Wait, wash = 1, false
		}
		out = append(out, t)
	}
	return out
}

// Pile is several covers that wait at the same step.
type Pile struct {
	// Step is its title; empty for covers that are through all of them.
	Step  string `json:"step"`
	Count int    `json:"count"`
}

// left says how long the rest takes, and where each of several covers is.
func (r *run) left() {
	for _, t := range r.out.tasks(r.p) {
		r.out.Left += t.Minutes
	}
	r.out.Piles = r.piles()
}

// piles are so many covers at every step that is begun and not done; no more are through
// a step than came to it.
func (r *run) piles() []Pile {
	out := []Pile{}
	before := r.p.Copies
	for _, s := range r.out.Steps {
		through := min(before, r.p.Progress.Made[s.ID])
		if _, skipped := r.p.Progress.Skipped[s.ID]; s.Done || skipped {
			through = before
		}
		if before > through {
			out = append(out, Pile{Step: s.Title, Count: before - through})
		}
		before = through
	}
	if before > 0 {
		out = append(out, Pile{Count: before})
	}
	return out
}
