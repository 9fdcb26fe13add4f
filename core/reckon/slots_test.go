package reckon_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/cover"
	"umschlag/core/plan"
)

// What a plan decides about is told before anything is reckoned, and is what is reckoned then.
func TestSlotsAreThePiecesToBe(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan").Settle()
		built, found := cover.Pieces(p)
		slots := cover.Slots(p)
		assert.NotEmpty(t, slots)
		if found.Stopped() {
			return
		}
		var pieces []cover.Slot
		for _, piece := range built.Pieces {
			pieces = append(pieces,
				cover.Slot{Name: piece.Name, Config: piece.Config, Title: piece.Title, Count: piece.Count})
		}
		assert.Equal(t, pieces, slots)
	})
	assert.Nil(t, cover.Slots(plan.Plan{Cover: plan.Cover{Kind: "tent"}}))
}
