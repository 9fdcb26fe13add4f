package anyplan_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/answer"
	"umschlag/core/length"
	"umschlag/core/reckon"
)

// sizes are all that is cut, each with its size in nanometres.
func sizes(r answer.Reckoning) map[string][3]int64 {
	out := map[string][3]int64{}
	for _, c := range r.Cuts {
		out[c.ID] = [3]int64{c.Width.NM, c.Height.NM, int64(c.Count)}
	}
	return out
}

// A plan shown in another unit is the same plan: what is usual goes by its ruler, and that it keeps.
func TestAnotherUnitChangesNoSize(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		q := p.Settle()
		q.Units = length.Inches
		if p.Units == length.Inches {
			q.Units = length.Centimetres
		}
		assert.Equal(t, sizes(reckon.Reckon(p, nil)), sizes(reckon.Reckon(q, nil)))
	})
}
