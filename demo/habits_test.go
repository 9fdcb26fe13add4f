package demo_test

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
	"umschlag/demo"
	"umschlag/format/planfile"
)

// touched is what a habit may change: steps by their ids, and cuts by theirs.
type touched struct {
	set   func(*plan.Habits, string)
	steps func(answer.Step) bool
	cuts  func(ref.Role) bool
}

func none(ref.Role) bool { return false }

func doneIn(roles ...ref.Role) func(answer.Step) bool {
	return func(s answer.Step) bool { return slices.Contains(roles, s.About.Role) }
}

var habits = map[string]touched{
	"press": {func(h *plan.Habits, v string) { h.Press = plan.Press(v) },
		func(s answer.Step) bool { return s.Press != "" || s.Stage == "piece" }, none},
	"pins": {func(h *plan.Habits, v string) { h.Pins = plan.Pins(v) },
		func(s answer.Step) bool { return strings.Contains(s.Caution, "pin") }, none},
	"clip":    {func(h *plan.Habits, v string) { h.Clip = plan.Clip(v) }, doneIn(ref.DoClip), none},
	"round":   {func(h *plan.Habits, v string) { h.Round = plan.Round(v) }, doneIn(ref.DoClose), none},
	"hold":    {func(h *plan.Habits, v string) { h.Hold = plan.Hold(v) }, doneIn(ref.DoLayers), none},
	"inside":  {func(h *plan.Habits, v string) { h.Inside = plan.InsideFinish(v) }, doneIn(ref.DoFinish), none},
	"binding": {func(h *plan.Habits, v string) { h.Binding = plan.BindingEnds(v) }, doneIn(ref.DoBottom), none},
	"ends": {func(h *plan.Habits, v string) { h.Ends = plan.StrapEnds(v) }, doneIn(ref.DoFitting),
		func(is ref.Role) bool { return is == ref.FittingPart }},
	"lay": {func(h *plan.Habits, v string) { h.Lay = plan.Lays(v) }, doneIn(), none},
}

// doing is what is done in a step: not how the machine stands from the one before, nor how
// long it takes, which follow from its neighbours.
func doing(s answer.Step) string {
	return fmt.Sprint(s.ID, s.Title, s.Text, s.Needs, s.Cuts, s.Press, s.Side, s.Machine, s.Check, s.Caution, s.Gate,
		s.Stack)
}

// In every demo plan each school of a habit changes the steps and the cuts it is about, and
// no others.
func TestAHabitChangesOnlyWhatItShould(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	for _, help := range plan.HabitsHelp() {
		about, known := habits[help.Key]
		if !known {
			continue // sizes, and how triangles and rows are cut, change cuts all over
		}
		seen := 0
		for name, data := range plans {
			p, err := planfile.Read(data)
			require.NoError(t, err, name)
			p.Progress = plan.Progress{}
			if p.Edges.Inside != "" && help.Key == "inside" {
				continue // the cover says otherwise
			}
			before := reckon.Reckon(p, nil)
			for _, school := range help.Schools {
				q := p
				about.set(&q.Habits, school.Value)
				after := reckon.Reckon(q, nil)
				was := map[string]string{}
				for _, s := range before.Steps {
					was[s.ID] = doing(s)
				}
				for _, s := range after.Steps {
					if was[s.ID] != doing(s) {
						seen++
						i := slices.IndexFunc(before.Steps, func(old answer.Step) bool { return old.ID == s.ID })
						allowed := about.steps(s) || (i >= 0 && about.steps(before.Steps[i]))
						assert.True(t, allowed, "%s: %s %s changes %s", name, help.Key, school.Value, s.ID)
					}
				}
				sizes := map[string][2]int64{}
				for _, c := range before.Cuts {
					sizes[c.ID] = [2]int64{c.Width.NM, c.Height.NM}
				}
				for _, c := range after.Cuts {
					if size := [2]int64{c.Width.NM, c.Height.NM}; size != sizes[c.ID] {
						assert.True(t, about.cuts(c.About.Role), "%s: %s %s changes the cut %s", name, help.Key,
							school.Value, c.ID)
					}
				}
			}
		}
		if help.Key != "lay" {
			assert.Positive(t, seen, "no demo plan shows the school of %s", help.Key)
		}
	}
}

// Every habit that has a school has one that is taken where nobody chose, in both units.
func TestEveryHabitHasASchoolToBeginWith(t *testing.T) {
	for _, unit := range []length.Unit{length.Inches, length.Centimetres} {
		chosen := plan.DefaultHabits(unit).Chosen()
		for _, help := range plan.HabitsHelp() {
			assert.NotEmpty(t, help.About)
			values := []string{}
			for _, s := range help.Schools {
				values = append(values, s.Value)
				assert.NotEmpty(t, s.Reason, s.Name)
			}
			if got, ok := chosen[help.Key]; assert.True(t, ok, "%s has nothing to begin with in %s", help.Key, unit) {
				assert.Contains(t, values, got)
			}
		}
	}
	for _, d := range plan.Decided() {
		assert.NotEmpty(t, d.Reason, d.Name)
	}
}
