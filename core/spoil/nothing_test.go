package spoil_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/plan"
	"umschlag/core/spoil"
)

// Whatever is recorded of a plan is something, by itself and beside anything else.
func TestNothingIsRecordedOfANewPlan(t *testing.T) {
	records := map[string]func(*plan.Plan){
		"cut":      func(p *plan.Plan) { p.Progress.Cut = map[string]plan.AsCut{"c": {}} },
		"done":     func(p *plan.Plan) { p.Progress.Done = []string{"s"} },
		"made":     func(p *plan.Plan) { p.Progress.Made = map[string]int{"s": 1} },
		"skipped":  func(p *plan.Plan) { p.Progress.Skipped = map[string]string{"s": "why"} },
		"early":    func(p *plan.Plan) { p.Progress.Early = map[string]string{"s": "why"} },
		"parts":    func(p *plan.Plan) { p.Progress.Parts = map[string][]plan.StepPart{"s": {{}, {}}} },
		"times":    func(p *plan.Plan) { p.Progress.Times = map[string]float64{"s": 1} },
		"measured": func(p *plan.Plan) { p.Measured = []plan.Measured{{Gate: "g"}} },
	}
	assert.True(t, spoil.Nothing(plan.Plan{}))
	for a, one := range records {
		for b, other := range records {
			p := plan.Plan{}
			one(&p)
			other(&p)
			assert.False(t, spoil.Nothing(p), "%s and %s", a, b)
		}
	}
}
