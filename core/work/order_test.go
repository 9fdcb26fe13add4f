package work_test

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/machine"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/work"
)

var stages = []work.Stage{work.Measuring, work.Cutting, work.Piecing, work.Quilting, work.Backing, work.Closing}

// made up: steps of which each may need some of those before it.
func generated(t *rapid.T) []work.Step {
	ups := []machine.SetUp{{}, {Stitch: "straight"}, {Stitch: "straight", Foot: "walking foot"}, {Stitch: "zigzag"},
		{Hand: true, Stitch: "whip"}}
	steps := make([]work.Step, rapid.IntRange(1, 30).Draw(t, "n"))
	stage := 0
	for i := range steps {
		stage = min(len(stages)-1, stage+rapid.IntRange(0, 1).Draw(t, "stage"))
		steps[i] = work.Step{ID: fmt.Sprint(i), Stage: stages[stage], Machine: rapid.SampledFrom(ups).
			Draw(t, "machine")}
		if rapid.Bool().Draw(t, "press") {
			steps[i].Press = "Press."
		}
		if rapid.IntRange(0, 5).Draw(t, "gate") == 0 {
			steps[i].Gate = ref.Ref{Kind: ref.Gate, No: i + 1}
		}
		for j := range i {
			if rapid.IntRange(0, 3).Draw(t, "needs") == 0 {
				steps[i].Needs = append(steps[i].Needs, fmt.Sprint(j))
			}
		}
	}
	return steps
}

func TestStepsAreGatheredAndNoneComesBeforeWhatItNeeds(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		given := generated(t)
		got := work.InOrder(slices.Clone(given))
		assert.Len(t, got, len(given))
		done := map[string]bool{}
		for i, s := range got {
			for _, need := range s.Needs {
				assert.True(t, done[need], "%s before %s", s.ID, need)
			}
			done[s.ID] = true
			if i > 0 {
				assert.LessOrEqual(t, slices.Index(stages, got[i-1].Stage), slices.Index(stages, s.Stage),
					"these need nothing of a later stage: none is begun before the one before it is over")
			}
		}
		assert.Len(t, done, len(given), "none twice, none lost")
		assert.Equal(t, got, work.InOrder(slices.Clone(given)), "the same every time")
		last := got[len(got)-1]
		reached := map[string]bool{last.ID: true}
		for i := len(got) - 1; i >= 0; i-- {
			if reached[got[i].ID] {
				for _, need := range got[i].Needs {
					reached[need] = true
				}
			}
		}
		if slices.Index(stages, last.Stage) == slices.Index(stages, given[len(given)-1].Stage) &&
			last.ID == given[len(given)-1].ID {
			assert.Len(t, reached, len(got), "all of it is done when the last step is")
		}
	})
}

// Of all orders that can be followed, by trying each: the one taken changes the machine
// hardly more often than the best.
func TestFewChangesOfTheMachine(t *testing.T) {
	all, best := 0, 0
	rapid.Check(t, func(t *rapid.T) {
		given := generated(t)
		given = given[:min(len(given), 7)]
		for i := range given {
			given[i].Stage = work.Piecing
		}
		ups := func(steps []work.Step) int {
			var set machine.SetUp
			count := 0
			for _, s := range steps {
				if !s.Machine.ReadyFrom(set) {
					count, set = count+1, s.Machine
				}
			}
			return count
		}
		got := work.InOrder(slices.Clone(given))
		least := len(given)
		every(got, func(order []work.Step) { least = min(least, ups(order)) })
		all, best = all+ups(got), best+least
		assert.LessOrEqual(t, ups(got), least+2)
	})
	t.Logf("%d changes, %d at best: %.3f", all, best, float64(all)/float64(best))
	assert.LessOrEqual(t, float64(all), 1.15*float64(best))
}

// every calls with each order of steps in which none comes before what it needs.
func every(steps []work.Step, with func([]work.Step)) {
	var order []work.Step
	done := map[string]bool{}
	var next func()
	next = func() {
		if len(order) == len(steps) {
			with(order)
			return
		}
		for _, s := range steps {
			if done[s.ID] || slices.ContainsFunc(s.Needs, func(id string) bool { return !done[id] }) {
				continue
			}
			done[s.ID] = true
			order = append(order, s)
			next()
			order = order[:len(order)-1]
			done[s.ID] = false
		}
	}
	next()
}

// A walk to the iron is put off until something needs what waits for it.
func TestPressingIsGathered(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		got := work.InOrder(generated(t))
		for i, s := range got {
			if s.Press == "" {
				assert.Zero(t, s.Trip)
				continue
			}
			for _, later := range got[i+1:] {
				if later.Trip != s.Trip || later.Trip == 0 {
					continue
				}
				assert.NotContains(t, later.Needs, s.ID, "%s is sewn when %s is pressed", later.ID, s.ID)
				assert.Equal(t, s.Stage, later.Stage)
				assert.Empty(t, s.Gate, "what is measured is pressed first")
			}
		}
	})
	rows := work.Steps(order(3, 3, false))
	assert.Equal(t, find(t, rows, "step.piece:front.role:row.no:1").Trip,
		find(t, rows, "step.piece:front.role:row.no:3").Trip, "one walk for all rows")
	o := order(3, 3, false)
	o.Plan.Cover.Kind = plan.Cushion
	measured := work.Steps(o)
	assert.NotEmpty(t, find(t, measured, "step.piece:front.role:row.no:1").Gate)
	assert.NotEqual(t, find(t, measured, "step.piece:front.role:row.no:1").Trip,
		find(t, measured, "step.piece:front.role:row.no:2").Trip, "each row is measured before the next")
}

func TestTheBackNeedsOnlyItsGateAndThePadNothing(t *testing.T) {
	o := order(2, 2, true)
	o.Made = &work.Form{Gap: 5 * in}
	o.Edges = []work.Edging{{What: "piping", Cut: "piping", Width: 2 * in, Length: 80 * in, Strips: 2}}
	steps := work.Steps(o)
	assert.Equal(t, []string{"step.piece:front.role:measure-front"},
		find(t, steps, "step.piece:back.role:cut-back").Needs)
	assert.Empty(t, find(t, steps, "step.role:make-pad").Needs)
	assert.Equal(t, []string{"step.role:make-pad"}, find(t, steps, "step.role:measure").Needs)
	assert.Equal(t, []string{"step.role:measure"}, find(t, steps, "step.role:make-piping").Needs)
	assert.ElementsMatch(t, []string{"step.piece:front.role:measure-front", "step.role:make-piping"},
		find(t, steps, "step.role:baste-piping").Needs)
	assert.ElementsMatch(t, []string{"step.piece:back.role:hem", "step.role:baste-piping"},
		find(t, steps, "step.role:close").Needs)
	assert.ElementsMatch(t, []string{"step.piece:front.role:row.no:1", "step.piece:front.role:row.no:2"},
		find(t, steps, "step.piece:front.role:rows").Needs)
	assert.Contains(t, find(t, steps, "step.role:measure-cover").Needs, "step.role:make-pad",
		"the insert is there when it is put in")
	assert.Contains(t, find(t, steps, "step.piece:front.role:layers").Needs, "step.piece:front.role:cut-under")
}
