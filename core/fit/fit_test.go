package fit_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/fit"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
	_ "umschlag/seeded"
)

const (
	in      = length.Inch
	planned = 39 * in / 2
)

// order is a front planned 19½ square, with three seams each way in a border.
func order(measured ...plan.Measured) fit.Order {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object = plan.Object{Kind: plan.Form, Width: 20 * in, Height: 20 * in}
	p.Measured = measured
	side := sum.Of(sum.Part, "planned", planned)
	return fit.Order{Plan: p, Planned: sum.Size{Width: side, Height: side}, SeamsAcross: 3, SeamsDown: 3}
}

func at(what string, w, h length.Length) plan.Measured {
	return plan.Measured{Gate: what, Width: w, Height: h}
}

func TestUnmeasuredThePlanHolds(t *testing.T) {
	p, found := fit.Front(order())
	assert.False(t, p.Measured)
	assert.Equal(t, planned, p.Trimmed.Width.Total())
	assert.Empty(t, p.Remedies)
	assert.Empty(t, found)
}

func TestTheFrontIsMeasuredAtEitherGate(t *testing.T) {
	for _, name := range []string{"gate.piece:front.role:quilted", "gate.piece:front.role:sewn"} {
		p, found := fit.Front(order(at(name, planned-in/8, planned)))
		assert.True(t, p.Measured, name)
		assert.Equal(t, planned-in/8, p.Trimmed.Width.Total(), name)
		assert.Len(t, found, 1, name)
	}
}

func TestTheLastMeasurementOfTheFrontHolds(t *testing.T) {
	p, found := fit.Front(order(at("gate.piece:front.role:sewn", planned-in, planned),
		at("gate.piece:front.role:quilted", planned, planned+in/8)))
	assert.Equal(t, planned, p.Trimmed.Width.Total())
	assert.Equal(t, planned+in/8, p.Trimmed.Height.Total())
	require.Len(t, found, 1)
	assert.Equal(t, "/measured/1/height", found[0].About)
}

func TestOneSideMeasuredLeavesTheOtherPlanned(t *testing.T) {
	p, _ := fit.Front(order(at("gate.piece:front.role:sewn", planned-in/8, 0)))
	assert.True(t, p.Measured)
	assert.Equal(t, sum.Measured, p.Trimmed.Width[0].Kind)
	assert.Equal(t, planned, p.Trimmed.Height.Total())
	assert.Equal(t, sum.Part, p.Trimmed.Height[0].Kind)
}

func TestTheFinishedCoverDoesNotChangeTheCuts(t *testing.T) {
	p, found := fit.Front(order(at("gate.role:finished", 18*in, 18*in)))
	assert.False(t, p.Measured)
	assert.Empty(t, found)
}

// The limits are common practice, no published source.
func TestRemediesAreOpenWithinTheirLimits(t *testing.T) {
	for name, c := range map[string]struct {
		off length.Length
		// open while the back waits, and cut when it is cut already.
		open, cut []string
	}{
		"a thread short":   {-in / 32, []string{"follow", "seam"}, []string{"seam", "ease", "follow"}},
		"an eighth short":  {-in / 8, []string{"follow", "seam"}, []string{"seam", "ease", "follow"}},
		"a quarter short":  {-in / 4, []string{"follow", "seam"}, []string{"seam", "follow"}},
		"half an inch":     {-in / 2, []string{"follow"}, []string{"follow"}},
		"an eighth over":   {in / 8, []string{"seam", "trim", "follow"}, []string{"seam", "trim", "ease", "follow"}},
		"an inch too much": {in, []string{"seam", "trim", "follow"}, []string{"seam", "trim", "follow"}},
	} {
		t.Run(name, func(t *testing.T) {
			for cut, want := range map[bool][]string{false: c.open, true: c.cut} {
				o := order(at("gate.piece:front.role:sewn", planned+c.off, planned))
				if cut {
					o.Plan.Progress.Done = []string{"step.piece:back.role:cut-back"}
				}
				p, _ := fit.Front(o)
				var open []string
				for _, r := range p.Remedies {
					assert.NotEmpty(t, r.Text)
					open = append(open, string(r.Code))
				}
				assert.Equal(t, want, open, "cut already: %v", cut)
			}
		})
	}
}

func TestWhatTheDifferenceIsPutDownTo(t *testing.T) {
	says := func(off length.Length, seams int) string {
		o := order(at("gate.piece:front.role:sewn", planned+off, planned))
		o.SeamsAcross = seams
		_, found := fit.Front(o)
		require.NotEmpty(t, found)
		return found[0].Text
	}
	assert.Contains(t, says(-3*in/16, 3), "3 seams make, each ¹⁄₃₂″ too wide on both sides")
	assert.Contains(t, says(7*in/16, 7), "7 seams make, each ¹⁄₃₂″ too narrow on both sides")
	assert.NotContains(t, says(-in/8, 0), "seams", "a plain front has none to blame")
}

func TestACoverLargerThanItsPadSaysSo(t *testing.T) {
	o := order(at("gate.piece:front.role:sewn", planned, planned+2*in))
	p, _ := fit.Front(o)
	assert.Contains(t, p.Remedies[len(p.Remedies)-1].Text, "21″ up, 1″ larger than the insert")
}

func TestASlipIsAskedAboutFirst(t *testing.T) {
	_, found := fit.Front(order(at("gate.piece:front.role:sewn", planned*2, planned)))
	require.Len(t, found, 2)
	assert.Equal(t, []string{"measured-slip", "front-over"}, []string{found[0].Code, found[1].Code})
	sure := order(at("gate.piece:front.role:sewn", planned*2, planned))
	sure.Plan.Measured[0].Sure = true
	_, found = fit.Front(sure)
	require.Len(t, found, 1, "once it was measured twice, it is so")
	assert.Equal(t, "front-over", found[0].Code)
}

// With the closing seam of the remedy the cover finishes as planned.
func TestTheSeamRemedyComesOut(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		sixteenths := rapid.IntRange(-3, 16).Draw(t, "sixteenths")
		off := in / 16 * length.Length(sixteenths)
		if off == 0 {
			return
		}
		p, _ := fit.Front(order(at("gate.piece:front.role:sewn", planned+off, planned)))
		seam := in/4 + off/2
		assert.Equal(t, planned-in/2, p.Trimmed.Width.Total()-2*seam)
		for _, r := range p.Remedies {
			if r.Code == "seam" {
				assert.Contains(t, r.Text, length.Style{}.Text(seam)+" instead of ¼″")
			}
		}
	})
}
