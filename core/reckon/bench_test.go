package reckon_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/atbench"
	"umschlag/core/answer"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// Every plan can be sewn in the order its steps are in, whatever is planned.
func TestTheStepsOfAnyPlanCanBeSewn(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		if r := reckon.Reckon(p, nil); !finding.List(r.Findings).Stopped() {
			assert.Empty(t, atbench.Sew(p.Settle(), r))
		}
	})
}

// What cannot be sewn is refused: a step that is taken before one that it needs.
func TestWhatIsOutOfOrderIsRefused(t *testing.T) {
	in := length.Inch
	q := &plan.Quilting{Corners: true, Borders: &plan.BorderQuilting{After: true}}
	p := borderedApart(q, plan.Butted, 20*in, 4*in, 4)
	r := reckon.Reckon(p, nil)
	require.False(t, finding.List(r.Findings).Stopped())
	require.Empty(t, atbench.Sew(p.Settle(), r))
	early := func(role, before ref.Role) []string {
		moved := r
		moved.Steps = slices.Clone(r.Steps)
		at := func(role ref.Role) int {
			return slices.IndexFunc(moved.Steps, func(s answer.Step) bool { return s.About.Role == role })
		}
		i := at(role)
		s := moved.Steps[i]
		moved.Steps = slices.Delete(moved.Steps, i, i+1)
		moved.Steps = slices.Insert(moved.Steps, at(before), s)
		return atbench.Sew(p.Settle(), moved)
	}
	for _, c := range [][2]ref.Role{{ref.DoRows, ref.DoRow}, {ref.DoQuilt, ref.DoLayers}, {ref.DoLayers, ref.DoRows},
		{ref.DoCutBorders, ref.DoMeasureCentre}, {ref.DoBorder, ref.DoQuilt}, {ref.DoTrim, ref.DoQuilt},
		{ref.DoCutBack, ref.DoMeasureFront}, {ref.DoClose, ref.DoHem}, {ref.DoTurn, ref.DoClose},
		{ref.DoMeasureCover, ref.DoTurn}, {ref.DoLayers, ref.DoCutUnder}} {
		assert.NotEmpty(t, early(c[0], c[1]), "%s before %s", c[0], c[1])
	}
}
