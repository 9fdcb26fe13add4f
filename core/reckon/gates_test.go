package reckon_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/atbench"
	"umschlag/core/answer"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// stepsOf are the steps of a reckoning by their ids.
func stepsOf(r answer.Reckoning) []string {
	var out []string
	for _, s := range r.Steps {
		out = append(out, s.ID)
	}
	return out
}

// typed writes what was measured at a gate into a plan: so much of what was expected.
func typed(p *plan.Plan, s answer.Step, share float64) {
	of := func(l answer.L) length.Length { return length.FromFloat(share * float64(l.NM)).Floor(length.Inch / 64) }
	m := plan.Measured{Gate: s.Gate, Width: of(s.Expect.Width), Height: of(s.Expect.Height)}
	if s.Reads == "sides" {
		m.Width, m.Height = 0, 0
		m.Sides = &plan.Sides{Top: of(s.Expect.Width), Bottom: of(s.Expect.Width), Left: of(s.Expect.Height),
			Right: of(s.Expect.Height)}
	}
	p.Measured = append(p.Measured, m)
}

// A cover is sewn from its first step to its last with every measurement off: nothing stops it, no step comes or goes,
// what comes later is expected of what there is, and what is left can be sewn.
func TestAMeasurementOffAtEveryGate(t *testing.T) {
	covers := map[string]plan.Plan{"cushion": worked(), "grid": gridAlone(),
		"quilted before its borders": borderedApart(&plan.Quilting{Corners: true,
			Borders: &plan.BorderQuilting{After: true}}, plan.Butted, 20*in, 4*in, 4)}
	for kind, p := range shells() {
		covers[string(kind)] = p
	}
	for name, p := range covers {
		for _, share := range []float64{0.995, 1.005} {
			p := p
			p.Measured = nil
			r := reckon.Reckon(p, nil)
			steps := stepsOf(r)
			for i := range steps {
				s := r.Steps[i]
				if s.Gate != "" {
					typed(&p, s, share)
				}
				p.Progress.Done = append(slices.Clone(p.Progress.Done), s.ID)
				r = reckon.Reckon(p, nil)
				require.False(t, finding.List(r.Findings).Stopped(), "%s after %s: %v", name, s.ID, r.Findings)
				require.Equal(t, steps, stepsOf(r), "%s after %s", name, s.ID)
			}
			assert.Empty(t, atbench.Sew(p.Settle(), r), name)
			last := r.Steps[len(r.Steps)-1]
			if last.About.Role != ref.DoMeasureCover {
				continue
			}
			front := piecesOf(r)["front"]
			assert.Equal(t, front.Finished, *last.Expect, "%s: the cover is expected as the front came out", name)
			measured, planned := front.Trimmed.Width.NM, front.Planned.Width.NM
			assert.Equal(t, share > 1, measured > planned, name)
		}
	}
}
