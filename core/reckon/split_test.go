package reckon_test

import (
	"slices"
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/plan"
	"umschlag/core/reckon"
)

const quilting = "step.piece:front.role:quilt"

func TestADividedStepIsDoneInParts(t *testing.T) {
	p := worked()
	whole := reckon.Reckon(p, nil)
	quilt := stepOf(t, whole, quilting)
	p.Progress.Parts = map[string][]plan.StepPart{quilting: {{Name: "to the upper right"}, {Name: "to the upper left"},
		{Name: "the corners"}}, "step.piece:front.role:cut-outer": {{Name: "moss leaf"}, {Name: "the rest"}}}
	p.Progress.Done = []string{quilting + ".part:1"}
	p.Progress.Times = map[string]float64{quilting + ".part:1": 12, quilting: 4}
	r := reckon.Reckon(p, nil)
	require.Len(t, r.Steps, len(whole.Steps)+3)
	at := slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.ID == quilting+".part:1" })
	first, second, last := r.Steps[at], r.Steps[at+1], r.Steps[at+2]
	assert.Equal(t, []string{quilting + ".part:1", quilting + ".part:2", quilting},
		[]string{first.ID, second.ID, last.ID}, "the last keeps the name that others need")
	assert.Equal(t, "Quilt: to the upper right", first.Title)
	assert.Equal(t, quilt.Needs, first.Needs)
	assert.Equal(t, []string{quilting + ".part:1"}, second.Needs)
	assert.True(t, first.Done)
	assert.False(t, last.Done)
	assert.InDelta(t, 12, *first.Took, 0)
	assert.Nil(t, second.Took)
	assert.InDelta(t, 4, *last.Took, 0)
	assert.GreaterOrEqual(t, 3*first.Minutes, quilt.Minutes)
	assert.Less(t, 3*first.Minutes, quilt.Minutes+3)
	assert.Equal(t, []string{quilting}, stepOf(t, r, "step.piece:front.role:trim").Needs)
	used := map[string]int{}
	for _, s := range r.Steps {
		for _, id := range s.Cuts {
			used[id]++
		}
	}
	for id, n := range used {
		assert.Equal(t, 1, n, "%s is cut in one step", id)
	}
	row := worked()
	row.Progress.Parts = map[string][]plan.StepPart{"step.piece:front.role:row.no:1": {{Name: "one"}, {Name: "two"}}}
	assert.Empty(t, stepOf(t, reckon.Reckon(row, nil), "step.piece:front.role:row.no:1.part:1").Gate)
	assert.NotEmpty(t, stepOf(t, reckon.Reckon(row, nil), "step.piece:front.role:row.no:1").Gate,
		"it is measured when it is whole")
}

func TestADividedStepHasTwoToTwelveNamedParts(t *testing.T) {
	for path, parts := range map[string][]plan.StepPart{
		"/progress/parts/" + quilting:             {{Name: "only one"}},
		"/progress/parts/" + quilting + "/1/name": {{Name: "one"}, {Name: " "}},
	} {
		p := worked()
		p.Progress.Parts = map[string][]plan.StepPart{quilting: parts}
		found := p.Settle().Validate()
		require.NotEmpty(t, found, path)
		assert.Equal(t, path, found[0].About)
	}
}

// What is done again takes with it all that is done and stands on it, and nothing else.
func TestWhatIsDoneAgainIsToldWithAllThatStandsOnIt(t *testing.T) {
	p := worked()
	all := reckon.Reckon(p, nil).Steps
	rapid.Check(t, func(t *rapid.T) {
		p.Progress.Done = nil
		for _, s := range all {
			if rapid.Bool().Draw(t, s.ID) {
				p.Progress.Done = append(p.Progress.Done, s.ID)
			}
		}
		needs := map[string][]string{}
		r := reckon.Reckon(p, nil)
		for _, s := range r.Steps {
			needs[s.ID] = s.Needs
		}
		var stands func(id, on string) bool
		stands = func(id, on string) bool {
			return slices.ContainsFunc(needs[id], func(n string) bool { return n == on || stands(n, on) })
		}
		for _, s := range r.Steps {
			for _, other := range r.Steps {
				want := s.Done && other.Done && stands(other.ID, s.ID)
				assert.Equal(t, want, slices.Contains(s.Again, other.ID), "%s and %s", s.ID, other.ID)
			}
		}
	})
}
