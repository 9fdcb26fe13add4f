package reckon_test

import (
	"fmt"
	"testing"

	"umschlag/core/answer"
	"umschlag/core/compare"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/sample"
)

// finished is a cushion whose quilted panel lost so much of each side.
func finished(name string, pad length.Length, across, up float64) plan.Plan {
	p := worked()
	p.Title = name
	p.Object.Width, p.Object.Height = pad, pad
	before := reckon.Reckon(p, nil).Pieces[0].BeforeQuilting
	left := func(l answer.L, lost float64) length.Length { return length.FromFloat(float64(l.NM) * (1 - lost)) }
	w, h := left(before.Width, across), left(before.Height, up)
	p.Measured = []plan.Measured{{Gate: "gate.piece:front.role:untrimmed",
		Sides: &plan.Sides{Top: w, Bottom: w, Left: h, Right: h}}}
	return p
}

func TestFinishedCoversOfferTheirTakeUpAsASample(t *testing.T) {
	one, two := finished("one", 20*in, 0.02, 0.03), finished("two", 22*in, 0.03, 0.01)
	other := finished("other", 20*in, 0.05, 0.05)
	front := other.Pieces["front"]
	front.Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: 2 * in}}}
	other.Pieces["front"] = front
	unmeasured := worked()
	offers := compare.Offers([]plan.Plan{one, other, two, unmeasured})
	require.Len(t, offers, 1, "one cover alone offers nothing")
	o := offers[0]
	assert.Equal(t, []string{"one", "two"}, o.Covers)
	assert.Empty(t, (plan.Plan{Units: length.Inches}).ValidateSample(o.Sample))
	tells, ok := sample.Quilted(o.Sample)
	require.True(t, ok)
	assert.InDelta(t, 0.025, tells.Across.Mean, 4e-4, "to a tenth of a millimetre in 10 in")
	assert.InDelta(t, 0.02, tells.Along.Mean, 4e-4)
	assert.Equal(t, 2, tells.Across.N)
	assert.Empty(t, compare.Offers(nil))

	third := finished("three", 18*in, 0.01, 0.02)
	third.Measured[0].Sides.Bottom = 0
	offers = compare.Offers([]plan.Plan{one, two, third})
	require.Len(t, offers, 1)
	tells, _ = sample.Quilted(offers[0].Sample)
	assert.InDelta(t, 0.02, tells.Across.Mean, 4e-4, "a side nobody measured is left out")
	for i, name := range offers[0].Covers {
		assert.Equal(t, []string{"one", "two", "three"}[i], name, fmt.Sprint(i))
	}
}
