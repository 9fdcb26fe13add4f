package reckon_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// A small plan is tried a hundred times, a large one a few times, and nothing where nobody waits.
func TestAPurseIsSpentBySize(t *testing.T) {
	tries := func(purse *reckon.Purse, p plan.Plan) (n int) {
		for ; n < 1000; n++ {
			if _, ok := purse.Make(p); !ok {
				break
			}
		}
		return n
	}
	small := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	large := small
	large.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.GridFace, Columns: 100, Rows: 100}}}
	assert.Equal(t, 100, tries(reckon.NewPurse(nil), small))
	assert.Equal(t, 4, tries(reckon.NewPurse(nil), large), "10,000 patches and what a plan takes without any")
	gone := &reckon.Workshop{On: func() bool { return false }}
	assert.Zero(t, tries(reckon.NewPurse(gone), small))
}
