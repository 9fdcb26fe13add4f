package reckon_test

import (
	"math"
	"slices"
	"testing"

	"umschlag/anyplan"
	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// anyOf draws a length.
func anyOf(t *rapid.T, name string, lo, hi length.Length) length.Length {
	return length.Length(rapid.Int64Range(int64(lo), int64(hi)).Draw(t, name))
}

var covers = map[plan.CoverKind]plan.ObjectKind{plan.Cushion: plan.Form, plan.Pad: plan.Flat}

// inOrder reads the steps: nothing needs what comes later or is not there, no id stands
// twice, and nothing that waits for a gate is cut before it.
func inOrder(t require.TestingT, _ plan.Plan, r answer.Reckoning) {
	at := map[string]int{}
	gates := map[string]int{}
	for i, s := range r.Steps {
		_, twice := at[s.ID]
		assert.False(t, twice, s.ID)
		for _, id := range s.Needs {
			_, before := at[id]
			assert.True(t, before, "%s needs %s, which does not come before it", s.ID, id)
		}
		at[s.ID] = i
		if s.Gate != "" {
			gates[s.Gate] = i
		}
		assert.Positive(t, s.Minutes, s.ID)
	}
	for _, c := range r.Cuts {
		if c.Waits == "" {
			continue
		}
		gate, there := gates[c.Waits]
		assert.True(t, there, "%s waits for %s, which nobody measures", c.ID, c.Waits)
		i := slices.IndexFunc(r.Steps, func(s answer.Step) bool { return slices.Contains(s.Cuts, c.ID) })
		assert.Greater(t, i, gate, "%s is cut before its gate", c.ID)
	}
}

func cutOnce(t require.TestingT, _ plan.Plan, r answer.Reckoning) {
	used := map[string]int{}
	for _, s := range r.Steps {
		for _, id := range s.Cuts {
			used[id]++
		}
	}
	for _, c := range r.Cuts {
		if !c.Done { // a panel that is there already is cut by nobody
			assert.Equal(t, 1, used[c.ID], c.ID)
		}
	}
}

// bounds is how wide and high an outline is; arcs of pieces end at its extremes.
func bounds(o []answer.Vertex) (w, h float64) {
	xs, ys := make([]float64, len(o)), make([]float64, len(o))
	for i, v := range o {
		xs[i], ys[i] = float64(v.X), float64(v.Y)
	}
	return slices.Max(xs) - slices.Min(xs), slices.Max(ys) - slices.Min(ys)
}

func everyPieceIsDrawn(t require.TestingT, _ plan.Plan, r answer.Reckoning) {
	stands := map[string]int{}
	for _, row := range r.Net {
		for _, column := range row {
			for _, spot := range column {
				stands[spot.Piece]++
			}
		}
	}
	for _, p := range r.Pieces {
		assert.Equal(t, p.Count, stands[p.Name], p.Name)
		for _, each := range []struct {
			outline []answer.Vertex
			size    answer.Size
		}{{p.Outline, p.Finished}, {p.TrimmedOutline, p.Trimmed}, {p.CutOutline, p.BeforeQuilting}} {
			w, h := bounds(each.outline)
			assert.InDelta(t, float64(each.size.Width.NM), w, 20, p.Name)
			assert.InDelta(t, float64(each.size.Height.NM), h, 20, p.Name)
		}
	}
}

func seamsMeet(t require.TestingT, _ plan.Plan, r answer.Reckoning) {
	for i, j := range r.Joins {
		assert.InDelta(t, 0, float64(j.Off.NM), 20, j.Title)
		drawn := 0
		for _, p := range r.Pieces {
			for _, s := range p.Seams {
				if s.Join == i+1 {
					drawn++
				}
			}
		}
		assert.Positive(t, drawn, "%s is drawn", j.Title)
	}
}

// A cover is the same from left and from right: fittings placed from the other edge
// are cut alike and lie mirrored.
func TestMirroredFittingsGiveMirroredCuts(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		fitting := rapid.SampledFrom(plan.StartsIn(p.Units).Fittings).Draw(t, "fitting")
		fitting.On, fitting.At.Left = plan.PieceNames(p.Cover.Kind)[0], ptr(anyOf(t, "left", in/2, 8*in))
		p.Fittings = []plan.Fitting{fitting}
		for letter, c := range p.Cloths {
			c.Repeat = nil // a motif that is cut round lies on the other side of its middle then
			p.Cloths[letter] = c
		}
		mirrored := p
		f := p.Fittings[0]
		f.At.Left, f.At.Right = f.At.Right, f.At.Left
		mirrored.Fittings = []plan.Fitting{f}
		a, b := reckon.Reckon(p, nil), reckon.Reckon(mirrored, nil)
		require.Equal(t, finding.List(a.Findings).Stopped(), finding.List(b.Findings).Stopped())
		require.Equal(t, a.Cuts, b.Cuts)
		if len(a.Fittings) == 0 {
			return
		}
		wide := piece(t, a, f.On).Finished.Width.NM
		boxes := b.Fittings[0].Boxes
		for i, box := range a.Fittings[0].Boxes {
			twin := slices.IndexFunc(boxes, func(other answer.Box) bool {
				return math.Abs(float64(wide-box.X-box.Width-other.X)) <= 2 && box.Y == other.Y
			})
			assert.GreaterOrEqual(t, twin, 0, "box %d has a twin", i)
		}
	})
}
