package reckon_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/answer"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// Tips are for the work in hand: each stands at one step, and none speaks of what the cover does not have.
func TestTipsBelongToTheCover(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		r := reckon.Reckon(p, nil)
		if finding.List(r.Findings).Stopped() {
			return
		}
		p = p.Settle()
		said := map[string]string{}
		var all []string
		for _, s := range r.Steps {
			for _, tip := range s.Tips {
				assert.Empty(t, said[tip], "%q at %s", tip, s.ID)
				assert.LessOrEqual(t, len(tip), 190, "a tip is short: %q", tip)
				assert.True(t, strings.HasSuffix(tip, "."), "%q", tip)
				said[tip] = s.ID
				all = append(all, tip)
			}
			assert.LessOrEqual(t, len(s.Tips), 8, s.ID)
		}
		text := strings.ToLower(strings.Join(all, " "))
		has := func(roles ...ref.Role) bool {
			return slices.ContainsFunc(r.Steps, func(s answer.Step) bool {
				return slices.Contains(roles, s.About.Role)
			})
		}
		only := func(there bool, words ...string) {
			for _, word := range words {
				assert.False(t, !there && strings.Contains(text, word), "%q without it: %s", word, text)
			}
		}
		only(p.Edges.Piping != nil, "cord", "piping")
		only(has(ref.DoZip, ref.DoClose) && p.Back.Kind == plan.Zip, "zip", "slider")
		only(has(ref.DoGather), "puffs", "draw in")
		only(has(ref.DoWindows), "patches out")
		only(has(ref.DoQuilt), "from one line to the next")
		only(p.Cover.Kind == "jacket", "boards", "spine")
		only(p.Cover.Rules().Filled, "the insert")
		only(has(ref.DoBottom), "ends level")
		only(has(ref.DoSewShapes, ref.DoCutShapes, ref.DoLayShapes, ref.DoTrim), "shape")
		hangs := func(f plan.Fitting) bool { return f.Kind != "button" }
		only(slices.ContainsFunc(p.Fittings, hangs), "belts", "handle")
		only(slices.ContainsFunc(r.Cuts, func(c answer.Cut) bool { return c.Layer == "batting" }), "batting")
	})
}

// What a seam needs is said where it is sewn first, and not again.
func TestATipIsToldOnce(t *testing.T) {
	r := reckon.Reckon(worked(), nil)
	rows := 0
	for _, s := range r.Steps {
		if s.About.Role == ref.DoRow && len(s.Tips) > 0 {
			rows++
			assert.Contains(t, s.Tips[0], "Right sides together")
		}
	}
	assert.Equal(t, 1, rows)
}

// The ends of a gap are marked where the closing seam leaves one, whatever length is said of another opening.
func TestAGapIsMarkedWhereTheSeamLeavesOne(t *testing.T) {
	for kind, marked := range map[plan.BackKind]bool{plan.SewnShut: true, plan.Zip: false, plan.Envelope: false} {
		p, ok := plan.Begin("cushion", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "moss"})
		require.True(t, ok)
		p.Title, p.Object.Width, p.Object.Height = "t", 16*in, 16*in
		p.Back = plan.Back{Kind: kind, Gap: 6 * in}
		told := false
		for _, s := range reckon.Reckon(p, nil).Steps {
			told = told || slices.Contains(s.Tips, "Mark both ends of the gap with a removable pen before you sew.")
		}
		assert.Equal(t, marked, told, kind)
	}
}

// A round cover has no corners to clip, to mark, to push out or to look at.
func TestARoundCoverIsToldOfNoCorners(t *testing.T) {
	closing := []ref.Role{ref.DoClose, ref.DoClip, ref.DoTurn, ref.DoMeasureCover, ref.DoFinish, ref.DoForm}
	corners := func(r answer.Reckoning) (out []string) {
		for _, s := range r.Steps {
			if text := strings.ToLower(s.Title + s.Text + s.Check + strings.Join(s.Tips, " ")); slices.Contains(closing,
				s.About.Role) && strings.Contains(text, "corner") {
				out = append(out, s.ID)
			}
		}
		for _, i := range r.Inspections {
			if strings.Contains(strings.ToLower(i.Look), "corner") {
				out = append(out, i.ID)
			}
		}
		return out
	}
	square := 0
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		r := reckon.Reckon(p, nil)
		if finding.List(r.Findings).Stopped() {
			return
		}
		if p.Object.Round() {
			assert.Empty(t, corners(r))
			return
		}
		square += len(corners(r))
	})
	assert.NotZero(t, square, "others are")
}
