package reckon_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/finding"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

func TestTheFibreThatWasWeighed(t *testing.T) {
	p := plan.Base("in", plan.DefaultHabits("in"))
	p.Title = "cushion"
	p.Object = plan.Object{Kind: plan.Form, Width: 20 * in, Height: 12 * in, Fill: "polyester", Make: &plan.MakeForm{}}
	p.Cover.Kind = plan.Cushion
	p.Cloths = map[string]plan.Cloth{"A": {Name: "a"}}
	// (20 · 12)^1.5 square is what a pad takes: 190 to 320 g.
	for weight, code := range map[float64]string{100: "fibre-little", 190: "", 250: "", 320: "", 412: "fibre-much"} {
		p.Measured = []plan.Measured{{Gate: "gate.role:filled", Weight: weight}}
		r := reckon.Reckon(p, nil)
		require.NotNil(t, r.Fibre)
		require.NotNil(t, r.Fibre.Weighed)
		assert.InDelta(t, weight, *r.Fibre.Weighed, 0)
		var codes []string
		for _, f := range r.Findings {
			if f.About == "/measured/0" {
				codes = append(codes, f.Code)
				assert.Contains(t, f.Remedy, "190 to 320 g")
			}
		}
		if code == "" {
			assert.Empty(t, codes, "%g g", weight)
		} else {
			assert.Equal(t, []string{code}, codes, "%g g", weight)
		}
	}
	p.Measured[0].Weight = 20_001
	assert.True(t, finding.List(reckon.Reckon(p, nil).Findings).Stopped())
}
