package answer

import (
	"slices"

	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/schedule"
)

// StepsBefore is how many steps come before the first of a role.
func (r Reckoning) StepsBefore(role ref.Role) int {
	for i, s := range r.Steps {
		if s.About.Role == role {
			return i
		}
	}
	return len(r.Steps)
}

// Following are the steps that need one, directly or not, in their order.
func (r Reckoning) Following(id string) []Step {
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

// washing is how long it takes to wash and hang up the cloths. Common practice.
const washing = 30

// Tasks are the steps that are left of a plan, each with the time it takes for all covers
// that are not through it yet; the cloths are washed first, where that is said and
// nothing is cut, and dry over night.
func (r Reckoning) Tasks(p plan.Plan) []schedule.Task {
	p = p.Settle()
	var out []schedule.Task
	wash := p.Schedule != nil && p.Schedule.Wash && len(p.Progress.Cut) == 0
	if wash {
		out = append(out, schedule.Task{ID: "wash", Title: "Wash and dry the fabrics", Minutes: washing})
	}
	for _, s := range r.Steps {
		if _, skipped := p.Progress.Skipped[s.ID]; s.Done || skipped {
			continue
		}
		t := schedule.Task{ID: s.ID, Title: s.Title, Minutes: s.Minutes * max(1, p.Copies-p.Progress.Made[s.ID]),
			Rest: s.Rest}
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
