package fit_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/fit"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/core/work"
)

// gated is a cushion for a pad of 20 in that was measured at a step.
func gated(m plan.Measured, s work.Step) (plan.Plan, work.Step) {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object = plan.Object{Kind: plan.Form, Width: 20 * in, Height: 20 * in}
	p.Cover.Seam = in / 2
	m.Gate = s.Gate.String()
	p.Measured = []plan.Measured{m}
	return p, s
}

func wide(w, h length.Length) sum.Size {
	s := sum.Size{Width: sum.Of(sum.Part, "planned", w)}
	if h > 0 {
		s.Height = sum.Of(sum.Part, "planned", h)
	}
	return s
}

// A slip of the tape is asked about at every gate: what is more than a tenth off, until it was measured twice.
func TestASlipIsAskedAboutAtEveryGate(t *testing.T) {
	gates := []ref.Ref{ref.CoverFinished, ref.FrontPieced, ref.FrontCentre, ref.BackOverlap,
		ref.Row("", 1), ref.Seam([2]ref.Seat{{Piece: "main"}, {Piece: "end"}})}
	rapid.Check(t, func(t *rapid.T) {
		off := (in / 8).Times(rapid.IntRange(-60, 60).Draw(t, "off"))
		sure := rapid.Bool().Draw(t, "sure")
		step := work.Step{Gate: rapid.SampledFrom(gates).Draw(t, "gate"), Expect: wide(20*in, 0)}
		p, s := gated(plan.Measured{Width: 20*in + off, Sure: sure}, step)
		slips := 0
		for _, f := range fit.Judge(p, s) {
			if f.Code == "measured-slip" {
				slips++
				assert.Equal(t, "/measured/0/width", f.About)
			}
		}
		assert.Equal(t, off.Abs() > 2*in && !sure, slips == 1, "%d of %s", slips, off)
	})
	p, s := gated(plan.Measured{Sides: &plan.Sides{Top: 20 * in, Right: 20 * in, Bottom: 20 * in, Left: 12 * in}},
		work.Step{Gate: ref.FrontUntrimmed, Expect: wide(20*in, 20*in)})
	found := fit.Judge(p, s)
	require.Len(t, found, 1)
	assert.Equal(t, "/measured/0/sides/left", found[0].About)
	assert.Contains(t, found[0].Text, "It measures 12″ at the left and planned is 20″")
}

// The finished cover is held against what it was to become by then, and against its pad.
func TestTheFinishedCoverIsHeldAgainstItsPad(t *testing.T) {
	judge := func(w, h length.Length) (codes, texts []string) {
		p, s := gated(plan.Measured{Width: w, Height: h},
			work.Step{Gate: ref.CoverFinished, Expect: wide(19*in, 19*in)})
		for _, f := range fit.Judge(p, s) {
			codes, texts = append(codes, f.Code), append(texts, f.Text+" "+f.Remedy)
		}
		return codes, texts
	}
	codes, _ := judge(19*in+in/4, 19*in-in/4)
	assert.Empty(t, codes, "a quarter is seen by nobody")
	codes, texts := judge(18*in+in/4, 19*in+in/2)
	require.Equal(t, []string{"cover-smaller", "cover-larger"}, codes)
	assert.Contains(t, texts[0], "18¼″ across, ¾″ smaller than planned. The insert is 1¾″ larger than that across")
	assert.Contains(t, texts[0], "again ⅜″ nearer the edge")
	assert.Contains(t, texts[0], "An insert of 19¼″ across would sit in it as planned.")
	assert.Contains(t, texts[1], "19½″ up, ½″ larger than planned. The insert is ½″ larger than that up")
	_, texts = judge(20*in+in/2, 19*in)
	assert.Contains(t, texts[0], "The insert is ½″ smaller than that across: it is slack.")
	p, s := gated(plan.Measured{Width: 18*in + in/4}, work.Step{Gate: ref.CoverFinished, Expect: wide(19*in, 19*in)})
	p.Cover.Seam = in / 4
	found := fit.Judge(p, s)
	require.Len(t, found, 1)
	assert.NotContains(t, found[0].Remedy, "closing seams", "a quarter has no three eighths to give")
	assert.Contains(t, found[0].Remedy, "An insert of 19¼″ across")
	p, s = gated(plan.Measured{Sides: &plan.Sides{Top: 18 * in, Right: 18 * in, Bottom: 18 * in, Left: 18 * in}},
		work.Step{Gate: ref.CoverFinished, Expect: wide(19*in, 19*in)})
	assert.Empty(t, fit.Judge(p, s), "sides are of a panel that is not trimmed yet")
}
