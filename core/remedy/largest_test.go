package remedy_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/remedy"
)

// told are how often each fault is found in a plan.
func told(p plan.Plan) map[string]int {
	out := map[string]int{}
	for _, f := range reckon.Reckon(p, nil).Findings {
		out[f.Code]++
	}
	return out
}

// What is offered as the most there is room for is: a step of the ruler more, and the fault is back.
func TestWhatIsOfferedAsTheMostIsTheMost(t *testing.T) {
	for name, c := range map[string]struct {
		wrong func(*plan.Plan)
		code  string
		says  string
		value func(*plan.Plan) *length.Length
	}{
		"seam": {func(p *plan.Plan) {
			p.Cover.PiecingSeam = in
			p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.GridFace, Columns: 20, Rows: 20,
				Cloths: []string{"A"}, Patch: plan.Patch{Fit: true}}}}
		}, "seam-too-wide", "A piecing seam of ", func(p *plan.Plan) *length.Length { return &p.Cover.PiecingSeam }},
		"gap": {func(p *plan.Plan) { p.Back = plan.Back{Kind: plan.SewnShut, Gap: 40 * in} },
			"gap", "A gap of ", func(p *plan.Plan) *length.Length { return &p.Back.Gap }},
		"flange": {func(p *plan.Plan) { p.Object.Width, p.Object.Height, p.Cover.Flange = 9*in, 9*in, 6*in },
			"flange", "A flange of ", func(p *plan.Plan) *length.Length { return &p.Cover.Flange }},
		"radius": {func(p *plan.Plan) {
			p.Cover.Corners = plan.Corners{Kind: plan.RoundCorners, Radius: 12 * in}
		}, "radius", "A radius of ", func(p *plan.Plan) *length.Length { return &p.Cover.Corners.Radius }},
		"taper": {func(p *plan.Plan) {
			p.Cover.Corners = plan.Corners{Kind: plan.TaperedCorners, Taper: 9 * in}
		}, "taper", "Drawn in by ", func(p *plan.Plan) *length.Length { return &p.Cover.Corners.Taper }},
		"pocket": {func(p *plan.Plan) {
			p.Fittings = []plan.Fitting{{Kind: "pocket", On: "front", Width: 20 * in, Height: 5 * in,
				At: plan.At{Middle: true}}}
		}, "fitting-off", "", func(p *plan.Plan) *length.Length {
			if len(p.Fittings) == 0 {
				return new(length.Length) // taken off
			}
			return &p.Fittings[0].Width
		}},
	} {
		t.Run(name, func(t *testing.T) {
			p := cushion(t, 9*length.Yard, c.wrong)
			require.Contains(t, told(p), c.code)
			step := p.Settle().Habits.Step
			var found []length.Length
			for text, q := range offered(t, p) {
				most := *c.value(&q)
				if c.says != "" && text[:min(len(text), len(c.says))] != c.says || most == *c.value(&p) || most == 0 {
					continue
				}
				found = append(found, most)
				assert.Contains(t, text, p.Style().Text(most))
				assert.True(t, most.OnStep(step), text)
				assert.Less(t, told(q)[c.code], told(p)[c.code], text)
				*c.value(&q) += step
				assert.Contains(t, told(q), c.code, "a step more than %s does as well", text)
			}
			assert.Len(t, found, 1)
		})
	}
}

// As many covers as the fabric gives, and an envelope that lies over itself as far as the fabric lets it.
func TestTheFabricDecidesHowManyAndHowFar(t *testing.T) {
	short := func(p plan.Plan) []remedy.Offer {
		r := reckon.Reckon(p, nil)
		i := slices.IndexFunc(r.Findings, func(f finding.Finding) bool { return f.Code == "cloth-short" })
		require.GreaterOrEqual(t, i, 0)
		none := func(finding.Finding) []remedy.Try { return nil }
		return remedy.Hints(p, r.Findings, reckon.NewPurse(nil), none)[i]
	}
	say := func(offers []remedy.Offer, text string) plan.Plan {
		for _, o := range offers {
			if o.Text == text {
				return o.Plan
			}
		}
		require.Fail(t, text, "%v", offers)
		return plan.Plan{}
	}
	p := cushion(t, 2*length.Yard, func(p *plan.Plan) { p.Copies = 7 })
	four := say(short(p), "4 covers at once")
	assert.Equal(t, 4, four.Copies)
	assert.NotContains(t, told(four), "cloth-short")
	four.Copies++
	assert.Contains(t, told(four), "cloth-short", "five do as well")

	one := cushion(t, 20*in, func(p *plan.Plan) { p.Copies = 2 })
	assert.Equal(t, 1, say(short(one), "One cover at once").Copies)
}
