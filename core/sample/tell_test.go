package sample_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sample"
)

// Every kind tells its figures in its own words, with the spread of repeats, and nothing before it is measured.
func TestWhatASampleTells(t *testing.T) {
	mm := length.Millimetre
	style := length.Style{Unit: length.Millimetres}
	of := func(kind plan.SampleKind, after ...plan.Sized) plan.Sample {
		return plan.Sample{Kind: kind, Before: plan.Sized{Width: 200 * mm, Height: 100 * mm}, After: after,
			Cut: 40 * mm, Seam: 7 * mm,
			Quilting: &plan.Quilting{Lines: []plan.LineFamily{{Pitch: 50 * mm, Angle: 90}}}}
	}
	for _, c := range []struct {
		sample plan.Sample
		told   []sample.Told
	}{
		{of(plan.QuiltingSample), []sample.Told{}},
		{of(plan.QuiltingSample, plan.Sized{Width: 196 * mm, Height: 100 * mm}),
			[]sample.Told{{Name: "taken across", Text: "2.00%"}, {Name: "taken up", Text: "0.00%"},
				{Name: "loft of each side", Text: "4.50 mm"}}}, // 2 × 50 ÷ π × √0.02
		{of(plan.QuiltingSample, plan.Sized{Width: 196 * mm, Height: 99 * mm},
			plan.Sized{Width: 192 * mm, Height: 101 * mm}),
			[]sample.Told{{Name: "taken across", Text: "3.00%", Spread: "1.41%"},
				{Name: "taken up", Text: "0.00%", Spread: "1.41%"}, {Name: "loft of each side", Text: "5.51 mm"}}},
		{of(plan.QuiltingSample, plan.Sized{Width: 202 * mm, Height: 100 * mm}),
			[]sample.Told{{Name: "taken across", Text: "−1.00%"}, {Name: "taken up", Text: "0.00%"},
				{Name: "loft of each side", Text: "0.00 mm"}}},
		{of(plan.GatherSample, plan.Sized{Width: 80 * mm}, plan.Sized{Width: 100 * mm}),
			[]sample.Told{{Name: "before ÷ after", Text: "2.250", Spread: "0.354"}}},
		{of(plan.GatherSample), []sample.Told{}},
		{of(plan.StripSample, plan.Sized{Width: 22 * mm}), []sample.Told{{Name: "each seam is fat by", Text: "2 mm"}}},
		{of(plan.StripSample, plan.Sized{Width: 30 * mm}, plan.Sized{Width: 30 * mm}),
			[]sample.Told{{Name: "each seam is narrow by", Text: "2 mm", Spread: "0 mm"}}},
		{of(plan.StripSample), []sample.Told{}},
		{of(plan.WashSample, plan.Sized{Width: 190 * mm, Height: 99 * mm}),
			[]sample.Told{{Name: "change across", Text: "−5.00%"}, {Name: "change up", Text: "−1.00%"}}},
		{of(plan.WashSample), []sample.Told{}},
	} {
		assert.Equal(t, c.told, sample.Tell(c.sample, style), "%s %v", c.sample.Kind, c.sample.After)
	}
	for kind, said := range map[plan.SampleKind][]string{plan.QuiltingSample: {"200 mm × 100 mm", "Quilt it"},
		plan.GatherSample: {"200 mm × 100 mm", "draw them in"},
		plan.StripSample:  {"each 40 mm wide", "seam of 7 mm", "26 mm would"},
		plan.WashSample:   {"200 mm × 100 mm", "Wash and dry"}} {
		text := strings.Join(sample.Instructions(of(kind), style), "\n")
		for _, one := range said {
			assert.Contains(t, text, one)
		}
	}
}

// A square whose low and high lie a standard deviation from its mean; one that was measured in one direction tells
// nothing yet; half a lining is another stack.
func TestAQuiltedSquareHasItsRange(t *testing.T) {
	s := square(plan.QuiltingSample, 8*in, 8*in-in/16, 8*in-3*in/16)
	s.Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in, Angle: 45}, {Pitch: in, Angle: -45}}}
	q, _ := sample.Quilted(s)
	for i := range 2 {
		mean, sd := [2]float64{q.Across.Mean, q.Along.Mean}[i], [2]float64{q.Across.SD, q.Along.SD}[i]
		assert.InDelta(t, mean-sd, q.TakeUp.Low[i], 1e-15)
		assert.InDelta(t, mean+sd, q.TakeUp.High[i], 1e-15)
	}
	assert.Equal(t, plan.FromSample, q.TakeUp.From)
	s.After = []plan.Sized{{Width: 8*in - in/16}}
	_, ok := sample.Quilted(s)
	assert.False(t, ok)
	s.After = []plan.Sized{{Height: 8*in - in/16}}
	_, ok = sample.Quilted(s)
	assert.False(t, ok)
	_, _, ok = sample.Washed(plan.Sample{Before: plan.Sized{Width: in, Height: in}, After: []plan.Sized{{Width: in}}})
	assert.False(t, ok)
	lined := plan.Sample{Layers: &plan.Layers{Lining: "L"}}
	assert.Contains(t, sample.Other(lined, plan.Piece{}), "lining")
	assert.Empty(t, sample.Other(lined, plan.Piece{Layers: &plan.Layers{Lining: "K"}}))
}

// Each way of quilting is told from every other.
func TestEachWayOfQuiltingIsAnother(t *testing.T) {
	ways := []*plan.Quilting{nil, {}, {Ditch: true}, {Echo: in}, {Echo: 2 * in}, {Free: in}, {Pair: in},
		{Lines: []plan.LineFamily{{Pitch: in}}}, {Lines: []plan.LineFamily{{Pitch: in, Angle: 2}}},
		{Lines: []plan.LineFamily{{Pitch: in, Wave: in}}}, {Lines: []plan.LineFamily{{Pitch: in}, {Pitch: in,
			Angle: 90}}}}
	for i, a := range ways {
		for j, b := range ways {
			assert.Equal(t, i == j, sample.Alike(a, b), "%v and %v", a, b)
		}
	}
	turned := &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in, Angle: 180.5}}}
	assert.True(t, sample.Alike(ways[7], turned), "half a degree more is the same")
}
