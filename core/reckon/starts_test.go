package reckon_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// cushionOf is a bought pad of w × h with its cover on the defaults alone.
func cushionOf(unit length.Unit, w, h length.Length) plan.Plan {
	p := plan.Base(unit, plan.DefaultHabits(unit))
	p.Title, p.Object, p.Cover.Kind = "cushion", plan.Object{Kind: plan.Form, Width: w, Height: h}, plan.Cushion
	return p
}

// sidesOf are sides from the smallest to the largest, in a unit.
func sidesOf(unit length.Unit) []length.Length {
	if unit == length.Inches {
		return []length.Length{3 * in, 4 * in, 5 * in, 6 * in, 7 * in, 9 * in, 12 * in, 16 * in, 24 * in, 36 * in,
			60 * in, 118 * in}
	}
	cm := length.Centimetre
	return []length.Length{8 * cm, 10 * cm, 12 * cm, 15 * cm, 20 * cm, 30 * cm, 40 * cm, 50 * cm, 80 * cm, 150 * cm,
		300 * cm}
}

// stops are the findings that forbid cutting.
func stops(p plan.Plan) []finding.Finding {
	var out []finding.Finding
	for _, f := range reckon.Reckon(p, nil).Findings {
		if f.Level == finding.Stop {
			out = append(out, f)
		}
	}
	return out
}

// A gap that nobody decided on has its place at every size, also where the cover is eased.
func TestABackThatIsSewnShutNeedsNoGapOfOnesOwn(t *testing.T) {
	for _, unit := range length.Units() {
		for _, w := range sidesOf(unit) {
			for _, tab := range []length.Length{0, in / 2} {
				p := cushionOf(unit, w, 12*in)
				p.Back = plan.Back{Kind: plan.SewnShut, Tab: tab}
				p.Cloths = map[string]plan.Cloth{"A": {Width: ptr(130 * in)}}
				assert.Empty(t, stops(p), fmt.Sprint(unit, w))
			}
		}
	}
	p := cushionOf(length.Inches, 16*in, 16*in)
	p.Cover.Ease, p.Back = plan.Axes{Width: 4 * in, Height: 4 * in}, plan.Back{Kind: plan.SewnShut}
	assert.Equal(t, "13¼″", reckon.Reckon(p, nil).Back.Opening.Text, "two thirds of a side of 20, on the ruler")
}

// The bands of a small cover, and its buttons, are as wide as it lets them be.
func TestButtonsFitTheSmallestCover(t *testing.T) {
	for _, unit := range length.Units() {
		for _, w := range sidesOf(unit) {
			p := cushionOf(unit, w, 12*in)
			p.Back = plan.Back{Kind: plan.Buttoned}
			p.Cloths = map[string]plan.Cloth{"A": {Width: ptr(130 * in)}}
			assert.Empty(t, stops(p), fmt.Sprint(unit, w))
		}
	}
	narrow := cushionOf(length.Inches, 16*in, 16*in)
	narrow.Back = plan.Back{Kind: plan.Buttoned, Band: 3 * in / 8}
	found := stops(narrow)
	if assert.NotEmpty(t, found) {
		assert.Contains(t, found[0].Text, "A button of ¾″ does not fit a band of ⅜″",
			"no button is made up that is none")
	}
	small, large := cushionOf(length.Inches, 3*in, 3*in), cushionOf(length.Inches, 16*in, 16*in)
	small.Back, large.Back = plan.Back{Kind: plan.Buttoned}, plan.Back{Kind: plan.Buttoned}
	assert.Equal(t, [2]length.Length{in, in / 2},
		[2]length.Length{small.Settle().Back.Band, small.Settle().Back.Button})
	assert.Equal(t, [2]length.Length{5 * in / 4, 3 * in / 4},
		[2]length.Length{large.Settle().Back.Band, large.Settle().Back.Button})
}

// What is advised about a band is said in the unit of the plan.
func TestTheUsualBandIsSaidInThePlansUnit(t *testing.T) {
	for unit, says := range map[length.Unit]string{length.Inches: "about 1″ is usual",
		length.Centimetres: "about 2.5 cm is usual"} {
		p := cushionOf(unit, 6*in, 6*in)
		p.Back = plan.Back{Kind: plan.Lapped, Band: 5 * in}
		found := stops(p)
		if assert.NotEmpty(t, found) {
			assert.Contains(t, found[0].Remedy, says)
		}
	}
}
