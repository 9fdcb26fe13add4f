package reckon_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/compare"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// sewn is a finished cover whose steps took so many times as long as is usual.
func sewn(t *testing.T, factor float64, steps int) plan.Plan {
	t.Helper()
	p := worked()
	p.Progress.Times = map[string]float64{}
	for _, s := range reckon.Reckon(p, nil).Steps[:steps] {
		p.Progress.Times[s.ID] = factor * float64(s.Minutes)
	}
	return p
}

func TestTheOwnPace(t *testing.T) {
	f := compare.FiguresOf([]plan.Plan{sewn(t, 1.5, 6), sewn(t, 1.5, 8)})
	assert.Equal(t, []any{2, 14}, []any{f.Covers, f.Timed})
	assert.InDelta(t, 1.5, f.Pace, 1e-9)
	for _, s := range f.Stages {
		assert.InDelta(t, 1.5, s.Pace, 1e-9, s.Stage)
		assert.GreaterOrEqual(t, s.Timed, 5)
	}
	assert.Zero(t, compare.FiguresOf([]plan.Plan{sewn(t, 2, 3)}).Pace, "three steps tell nothing yet")
	assert.Equal(t, compare.Figures{Stages: []compare.StagePace{}, Troubles: []compare.TroubleCount{}},
		compare.FiguresOf(nil))
}

func TestThePaceThatWasTakenOn(t *testing.T) {
	p := worked()
	usual := reckon.Reckon(p, nil)
	slow := reckon.Reckon(p, &reckon.Workshop{Habits: plan.Habits{Pace: 2}})
	for i, s := range usual.Steps {
		assert.Equal(t, 2*s.Minutes, slow.Steps[i].Minutes, s.ID)
	}
	p.Habits.Pace = 2
	assert.Equal(t, slow.Steps[0].Minutes, reckon.Reckon(p, nil).Steps[0].Minutes)
	p.Habits.Pace = 99
	assert.Contains(t, codes(reckon.Reckon(p, nil)), "out-of-range")
}

func TestWhatWentWrongMostOften(t *testing.T) {
	one, two := worked(), worked()
	one.Progress.Troubles = []plan.Mishap{{Step: "close", Kind: "short"}, {Step: "close", Kind: "gape"}}
	two.Progress.Troubles = []plan.Mishap{{Step: "row.1", Kind: "short"}}
	assert.Equal(t, []compare.TroubleCount{{Kind: "short", Count: 2}, {Kind: "gape", Count: 1}},
		compare.FiguresOf([]plan.Plan{one, two}).Troubles)
}
