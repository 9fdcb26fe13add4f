package anyplan_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/finding"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	_ "umschlag/seeded"
)

// Every kind is drawn and can be made often enough for what is tested with it to mean something.
func TestPlansOfEveryKindCanBeMade(t *testing.T) {
	made := map[string]int{}
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		r := reckon.Reckon(p, nil)
		if finding.List(r.Findings).Stopped() {
			return
		}
		made["all"]++
		made[string(p.Cover.Kind)]++
		if p.Cover.Kind == plan.Cushion {
			made[p.Settle().Back.Closure()]++
		}
		for _, q := range p.Pieces {
			made[string(q.Face.Kind)]++
		}
	})
	assert.Greater(t, made["all"], 40, "of a hundred")
	for _, kind := range append(plan.CoverKind("").Values(), "plain", "grid", "strips", "stack", "gathered") {
		assert.Positive(t, made[kind], kind)
	}
}
