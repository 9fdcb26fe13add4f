package reckon_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/cover"
	"umschlag/core/plan"
	"umschlag/core/reckon"
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
		for i := range slots { // what a slot says beyond its piece
			slots[i].Twins, slots[i].Of = nil, ""
		}
		assert.Equal(t, pieces, slots)
	})
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan").Settle()
		for _, slot := range cover.Slots(p) {
			assert.Equal(t, p.Piece(slot.Config), cover.Decided(p, slot.Name), "side walls are walls")
		}
	})
	assert.Nil(t, cover.Slots(plan.Plan{Cover: plan.Cover{Kind: "tent"}}))
}

// What is decided of walls holds for those at the sides as well: their print is centred, their drawings show it.
func TestSideWallsAreDecidedWithTheOthers(t *testing.T) {
	p := shells()["skirt-hood"]
	p.Cloths["A"] = plan.Cloth{Width: ptr(44 * in), Repeat: &plan.Repeat{Across: 4 * in, Along: 4 * in}}
	p.Cloths["B"] = plan.Cloth{}
	p.Pieces = map[string]plan.Piece{"*": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "B"}},
		"wall": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A", Centred: true}}}
	r := reckon.Reckon(p, nil)
	centred := map[string]bool{}
	for _, c := range r.Cuts {
		if c.Cloth == "A" {
			centred[c.Piece] = c.Motif != ""
		}
	}
	assert.Equal(t, map[string]bool{"wall": true, "wall.side": true}, centred)
}
