package work

import (
	"slices"

	"umschlag/core/machine"
	"umschlag/core/ref"
)

// add appends a step that needs what its strand has come to, and any others named.
func (b *builder) add(s Step, needs ...string) {
	s.Needs = union(b.after, needs)
	if s.Piece == "" {
		s.Piece = b.on
	}
	if s.ID = s.Ref().String(); s.Tips == nil {
		s.Tips = tips(b, s)
	}
	b.steps = append(b.steps, s)
	b.after = []string{s.ID}
}

// apart does things that do not wait for each other; what comes after waits for all of
// them.
func (b *builder) apart(strands ...func()) {
	from := b.after
	var ends []string
	for _, strand := range strands {
		b.after = from
		before := len(b.steps)
		strand()
		if len(b.steps) > before {
			ends = union(ends, b.after)
		}
	}
	if b.after = ends; len(ends) == 0 {
		b.after = from
	}
}

// beside does something that what comes after it does not wait for.
func (b *builder) beside(from []string, do func()) {
	after := b.after
	b.after = from
	do()
	b.after = after
}

// having are the steps that there are of a role.
func (b *builder) having(role ref.Role) []string {
	var out []string
	for _, s := range b.steps {
		if s.Role == role {
			out = append(out, s.ID)
		}
	}
	return out
}

// union is both lists, what stands twice only once.
func union(a, b []string) []string {
	out := slices.Clone(a)
	for _, id := range b {
		if !slices.Contains(out, id) {
			out = append(out, id)
		}
	}
	return out
}

// stages in working order: what is flat stays flat until all that is done flat is done.
var stages = []Stage{Measuring, Cutting, Piecing, Quilting, Backing, Closing}

// inOrder puts steps into an order that can be followed: none comes before what it needs.
// Of those that could be next it takes what belongs to the earliest stage, so that panels
// are joined as late as can be; then what the machine is set up for already, what needs no
// machine, and only then what it is set up anew for.
func inOrder(steps []Step) []Step {
	tie(steps)
	var set machine.SetUp
	done := make(map[string]bool, len(steps))
	out := make([]Step, 0, len(steps))
	for len(out) < len(steps) {
		next := -1
		for i, s := range steps {
			if done[s.ID] || slices.ContainsFunc(s.Needs, func(id string) bool { return !done[id] }) {
				continue
			}
			if next < 0 || rank(s, set) < rank(steps[next], set) {
				next = i
			}
		}
		s := steps[next]
		if !s.Machine.None() && !s.Machine.Hand {
			set = s.Machine
		}
		done[s.ID] = true
		out = append(out, s)
	}
	trips(out)
	tipsOnce(out)
	return out
}

// rank is how early a step is taken, of those that could be next.
func rank(s Step, set machine.SetUp) int {
	stage := 3 * slices.Index(stages, s.Stage)
	switch {
	case s.Machine.None(), s.Machine.Hand:
		return stage + 1
	case s.Machine.ReadyFrom(set):
		return stage
	}
	return stage + 2
}

// tie makes the last step need all that nothing else does: a cover is done when
// everything is.
func tie(steps []Step) {
	needed := map[string]bool{}
	for _, s := range steps {
		for _, id := range s.Needs {
			needed[id] = true
		}
	}
	last := &steps[len(steps)-1]
	for _, s := range steps[:len(steps)-1] {
		if !needed[s.ID] {
			last.Needs = union(last.Needs, []string{s.ID})
		}
	}
}

// trips gathers pressing: what was sewn waits for the iron until something needs it
// pressed, it is measured, or the stage is over.
func trips(steps []Step) {
	trip := 0
	var waiting []string
	for i := range steps {
		s := &steps[i]
		newStage := i > 0 && s.Stage != steps[i-1].Stage
		if newStage || slices.ContainsFunc(s.Needs, func(id string) bool { return slices.Contains(waiting, id) }) {
			waiting = nil
		}
		if s.Press == "" {
			continue
		}
		if len(waiting) == 0 || s.Within {
			trip++
		}
		s.Trip, waiting = trip, append(waiting, s.ID)
		if s.Gate != (ref.Ref{}) || s.Within {
			waiting = nil
		}
	}
}
