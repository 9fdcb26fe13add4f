package reckon_test

import (
	"slices"
	"strings"
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/work"
)

func stepOf(t *testing.T, r answer.Reckoning, id string) answer.Step {
	t.Helper()
	i := slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.ID == id })
	require.GreaterOrEqual(t, i, 0, id)
	return r.Steps[i]
}

func TestEveryStepTakesItsTime(t *testing.T) {
	p := worked()
	p.Progress.Times = map[string]float64{"step.role:close": 17.5}
	r := reckon.Reckon(p, nil)
	for _, s := range r.Steps {
		assert.Positive(t, s.Minutes, s.ID)
	}
	assert.InDelta(t, 17.5, *stepOf(t, r, "step.role:close").Took, 0)
	assert.Nil(t, stepOf(t, r, "step.role:turn").Took)
	sizes, pieces := 0, 0
	for _, id := range stepOf(t, r, "step.piece:front.role:cut-outer").Cuts {
		sizes++
		pieces += cut(t, r, id).Count
	}
	assert.InDelta(t, 2+1.5*float64(sizes)+0.25*float64(pieces),
		stepOf(t, r, "step.piece:front.role:cut-outer").Minutes, 0.5,
		"two minutes to begin with, and for every size and piece")
	changes, trips := 0, map[int]bool{}
	for _, s := range r.Steps {
		assert.True(t, len(s.Changes) == 0 || s.Machine != "", "%s: nothing is changed at a machine nobody uses", s.ID)
		if len(s.Changes) > 0 {
			changes++
		}
		assert.Equal(t, s.Press != "", s.Trip > 0, s.ID)
		trips[s.Trip] = true
	}
	assert.Equal(t, changes, r.SetUps)
	assert.Equal(t, len(trips)-1, r.Trips, "numbered without a gap; most steps need no iron")
}

func TestWhatIsLeftToDo(t *testing.T) {
	p := worked()
	p.Copies = 3
	r := reckon.Reckon(p, nil)
	all := r.Tasks(p)
	require.Len(t, all, len(r.Steps))
	first := r.Steps[0]
	assert.Equal(t, 3*first.Minutes, all[0].Minutes, "for all covers")
	p.Progress.Done = []string{first.ID}
	p.Progress.Skipped = map[string]string{r.Steps[1].ID: "no sample"}
	p.Progress.Made = map[string]int{r.Steps[2].ID: 2}
	p.Schedule = &plan.Schedule{Wash: true}
	r = reckon.Reckon(p, nil)
	left := r.Tasks(p)
	assert.Len(t, left, len(all)-1, "two less, and the washing")
	assert.Equal(t, "wash", left[0].ID)
	assert.Equal(t, r.Steps[2].Minutes, left[1].Minutes, "one cover is not through it")
	waits := 0
	for _, task := range left {
		waits += task.Wait
	}
	assert.Equal(t, 1, waits, "one night, before the first cut")
}

func TestWhatIsLookedAtWhenItIsDone(t *testing.T) {
	p := worked()
	ids := func(p plan.Plan) []string {
		var out []string
		for _, one := range reckon.Reckon(p, nil).Inspections {
			assert.NotEmpty(t, one.Look)
			assert.NotEmpty(t, one.Fine)
			out = append(out, one.ID)
		}
		return out
	}
	assert.Contains(t, ids(p), "closure")
	quilted := worked()
	front := quilted.Pieces["front"]
	front.Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: 2 * in}}}
	front.Layers = &plan.Layers{Batting: &plan.Batting{Count: 1}, Lining: "L"}
	quilted.Pieces["front"] = front
	assert.Contains(t, ids(quilted), "quilting")
}

func TestEveryTroubleHasARemedyAndAPlace(t *testing.T) {
	kinds := map[string]bool{}
	for _, one := range work.Troubles(length.Centimetres) {
		assert.False(t, kinds[one.Kind], "%s stands there twice", one.Kind)
		kinds[one.Kind] = true
		assert.NotEmpty(t, one.Remedy)
		assert.NotEmpty(t, one.Stages)
	}
	for _, stage := range []work.Stage{work.Measuring, work.Cutting, work.Piecing, work.Quilting, work.Backing,
		work.Closing} {
		assert.True(t, slices.ContainsFunc(work.Troubles(length.Centimetres),
			func(t work.Trouble) bool { return slices.Contains(t.Stages, stage) }), stage)
	}
}

func TestWhatIsRecordedOfTheWorkIsChecked(t *testing.T) {
	for name, change := range map[string]func(*plan.Progress){
		"/progress/times/close": func(p *plan.Progress) { p.Times = map[string]float64{"close": -1} },
		"/progress/made/close":  func(p *plan.Progress) { p.Made = map[string]int{"close": 2} },
		"/progress/skipped/close": func(p *plan.Progress) {
			p.Skipped = map[string]string{"close": string(make([]byte, 3000))}
		},
		"/progress/troubles/0/note": func(p *plan.Progress) {
			p.Troubles = []plan.Mishap{{Step: "close", Kind: "other", Note: string(make([]byte, 3000))}}
		},
	} {
		p := worked()
		change(&p.Progress)
		found := p.Settle().Validate()
		require.Len(t, found, 1, name)
		assert.Equal(t, name, found[0].About)
	}
}

// What is sewn together lies with its right sides facing, and what is layered with its
// right sides out.
func TestWhatLiesOnWhat(t *testing.T) {
	p := worked()
	front := p.Pieces["front"]
	front.Layers = &plan.Layers{Batting: &plan.Batting{Count: 2}, Lining: "L"}
	p.Pieces["front"] = front
	r := reckon.Reckon(p, nil)
	layers := stepOf(t, r, "step.piece:front.role:layers").Stack
	require.Len(t, layers, 4, "lining, two battings, front")
	assert.Equal(t, work.Sheet{What: "lining", Up: work.WrongUp, Cloth: "L"}, layers[0])
	assert.Empty(t, layers[1].Up)
	assert.Equal(t, []any{"front", work.RightUp}, []any{layers[3].What, layers[3].Up})
	closing := stepOf(t, r, "step.role:close").Stack
	require.Len(t, closing, 2)
	assert.Equal(t, []work.Up{work.RightUp, work.WrongUp}, []work.Up{closing[0].Up, closing[1].Up},
		"the back lies right side down on the front")
	for kind, shell := range shells() {
		for _, s := range reckon.Reckon(shell, nil).Steps {
			if join := s.Join; join > 0 {
				top, below := s.Stack[len(s.Stack)-1], s.Stack[0]
				if folded := strings.Contains(top.What, "folded") || strings.Contains(top.What, "folds"); folded {
					assert.Equal(t, work.RightUp, top.Up, "%s: join %d lies as it will be seen", kind, join)
				} else {
					assert.Equal(t, []work.Up{work.RightUp, work.WrongUp}, []work.Up{below.Up, top.Up},
						"%s: join %d has its right sides together", kind, join)
				}
			}
		}
	}
}

func TestEveryCoverIsInOnePile(t *testing.T) {
	p := worked()
	p.Copies = 2
	steps := reckon.Reckon(p, nil).Steps
	require.Greater(t, len(steps), 3)
	title := func(n int) string { return steps[n].Title }
	for name, c := range map[string]struct {
		copies  int
		done    int
		skipped int
		made    map[int]int
		want    []answer.Pile
	}{
		"none begun": {3, 0, 0, nil, []answer.Pile{{Step: title(0), Count: 3}}},
		"some at two steps": {12, 1, 0, map[int]int{1: 7, 2: 2},
			[]answer.Pile{{Step: title(1), Count: 5}, {Step: title(2), Count: 5}, {Step: title(3), Count: 2}}},
		"no more through than came": {3, 1, 0, map[int]int{1: 1, 2: 3},
			[]answer.Pile{{Step: title(1), Count: 2}, {Step: title(3), Count: 1}}},
		"nothing waits at one skipped": {4, 1, 2, map[int]int{1: 3},
			[]answer.Pile{{Step: title(1), Count: 1}, {Step: title(3), Count: 3}}},
		"all through": {2, len(steps), 0, nil, []answer.Pile{{Count: 2}}},
	} {
		p.Copies = c.copies
		p.Progress = plan.Progress{Made: map[string]int{}, Skipped: map[string]string{}}
		for _, s := range steps[:c.done] {
			p.Progress.Done = append(p.Progress.Done, s.ID)
		}
		if c.skipped > 0 {
			p.Progress.Skipped[steps[c.skipped].ID] = "no sample"
		}
		for n, through := range c.made {
			p.Progress.Made[steps[n].ID] = through
		}
		got := reckon.Reckon(p, nil).Piles
		assert.Equal(t, c.want, got, name)
		all := 0
		for _, pile := range got {
			all += pile.Count
		}
		assert.Equal(t, c.copies, all, name)
	}
}

func TestTheTimeLeftIsThatOfTheSchedule(t *testing.T) {
	p := worked()
	p.Copies = 3
	p.Schedule = &plan.Schedule{Wash: true}
	r := reckon.Reckon(p, nil)
	sum := 30 // washing
	for _, s := range r.Steps {
		sum += 3 * s.Minutes
	}
	assert.Equal(t, sum, r.Left)
	for _, s := range r.Steps {
		p.Progress.Done = append(p.Progress.Done, s.ID)
	}
	p.Schedule = nil
	assert.Zero(t, reckon.Reckon(p, nil).Left)
}

// What helps and what is acceptable is said in the plan's own unit.
func TestSizesAreSaidInTheUnitOfThePlan(t *testing.T) {
	remedies := func(unit length.Unit) (all string) {
		for _, one := range work.Troubles(unit) {
			all += one.Remedy
		}
		return all
	}
	assert.Contains(t, remedies(length.Inches), "Unpick 2″")
	assert.Contains(t, remedies(length.Centimetres), "Unpick 5 cm")
	assert.NotContains(t, remedies(length.Centimetres), "″")
	p := worked()
	assert.Contains(t, reckon.Reckon(p, nil).Inspections[0].Fine, "¼″")
	p.Units = length.Millimetres
	assert.Contains(t, reckon.Reckon(p, nil).Inspections[0].Fine, "6 mm")
}
