package sample_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sample"
	"umschlag/core/takeup"
	_ "umschlag/seeded"
)

const in = length.Inch

func square(kind plan.SampleKind, before length.Length, after ...length.Length) plan.Sample {
	s := plan.Sample{Title: "square", Kind: kind, Before: plan.Sized{Width: before, Height: before}}
	for _, a := range after {
		s.After = append(s.After, plan.Sized{Width: a, Height: a})
	}
	return s
}

// The derivation of the estimate turned round: a = (2p/π)√t (docs/arithmetic.md §4).
func TestASampleGivesThePuffThatReproducesIt(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		pitch := length.Length(rapid.Int64Range(int64(in/2), int64(4*in)).Draw(t, "pitch"))
		taken := rapid.Float64Range(0.0005, 0.06).Draw(t, "taken")
		s := plan.Sample{Kind: plan.QuiltingSample,
			Quilting: &plan.Quilting{Lines: []plan.LineFamily{{Pitch: pitch, Angle: 90}}},
			Before:   plan.Sized{Width: 10 * in, Height: 10 * in},
			After:    []plan.Sized{{Width: length.FromFloat((10 * in).Float() * (1 - taken)), Height: 10 * in}}}
		q, ok := sample.Quilted(s)
		require.True(t, ok)
		assert.InDelta(t, taken, q.TakeUp.Across, 1e-8)
		assert.InEpsilon(t, 2*pitch.Float()/math.Pi*math.Sqrt(taken), q.Bulge.Float(), 1e-4)
		again := takeup.Estimate(q.Bulge, takeup.Pattern{Quilting: s.Quilting})
		assert.InDelta(t, taken, again.Across, 1e-6)
	})
}

func TestRepeatsHaveASpread(t *testing.T) {
	s := square(plan.QuiltingSample, 8*in, 8*in-in/16, 8*in-in/8, 8*in-3*in/16)
	s.Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in, Angle: 45}, {Pitch: in, Angle: -45}}}
	q, ok := sample.Quilted(s)
	require.True(t, ok)
	assert.InDelta(t, 1.0/64, q.Across.Mean, 1e-9)
	assert.InDelta(t, 1.0/128, q.Across.SD, 1e-9, "standard deviation with n − 1: 1/16 in over 8 in")
	assert.Equal(t, 3, q.Across.N)
	_, ok = sample.Quilted(square(plan.QuiltingSample, 8*in))
	assert.False(t, ok, "not measured yet")
}

// 14 gathered to 5½ is 2.545 (docs/arithmetic.md §6.6).
func TestGathers(t *testing.T) {
	f, ok := sample.Gathered(square(plan.GatherSample, 14*in, 11*in/2))
	require.True(t, ok)
	assert.InDelta(t, 2.545, f.Mean, 0.0005)
	assert.Zero(t, f.SD)
}

// Three strips of 1½ sewn with ¼: the middle shows 1 where the seam is true; 15/16 is a
// seam 1/32 fat (docs/arithmetic.md §14).
func TestThreeStrips(t *testing.T) {
	s := plan.Sample{Kind: plan.StripSample, Cut: 3 * in / 2, Seam: in / 4,
		After: []plan.Sized{{Width: 15 * in / 16}, {Width: in}}}
	f, ok := sample.Seams(s)
	require.True(t, ok)
	assert.InDelta(t, (in / 64).Float(), f.Mean, 1)
}

// The dimensional change of ISO 5077: (after − before) ÷ before × 100.
func TestWashing(t *testing.T) {
	s := plan.Sample{Kind: plan.WashSample,
		Before: plan.Sized{Width: 250 * length.Millimetre, Height: 250 * length.Millimetre},
		After:  []plan.Sized{{Width: 240 * length.Millimetre, Height: 245 * length.Millimetre}}}
	across, along, ok := sample.Washed(s)
	require.True(t, ok)
	assert.InDelta(t, -4, across.Mean, 1e-9)
	assert.InDelta(t, -2, along.Mean, 1e-9)
}

func TestASampleOfAnotherStackOrPatternIsTold(t *testing.T) {
	batting := func(n int, loft length.Length) *plan.Layers {
		return &plan.Layers{Batting: &plan.Batting{Count: n, Loft: loft}}
	}
	s := plan.Sample{Layers: batting(1, 3*length.Millimetre)}
	assert.Empty(t, sample.Other(s, plan.Piece{Layers: batting(1, 3*length.Millimetre)}))
	assert.Contains(t, sample.Other(s, plan.Piece{Layers: batting(2, 3*length.Millimetre)}), "1 battings, not 2")
	assert.Contains(t, sample.Other(s, plan.Piece{Layers: batting(1, 5*length.Millimetre)}), "3 mm thick, not 5")
	assert.Contains(t, sample.Other(s, plan.Piece{Layers: &plan.Layers{Batting: s.Layers.Batting, Lining: "L"}}),
		"lining")
	cross := func(pitch length.Length, angle float64) *plan.Quilting {
		return &plan.Quilting{Lines: []plan.LineFamily{{Pitch: pitch, Angle: angle}}}
	}
	assert.True(t, sample.Alike(cross(in, 45), cross(in, -135)), "the same lines")
	assert.False(t, sample.Alike(cross(in, 45), cross(2*in, 45)))
	assert.False(t, sample.Alike(cross(in, 45), cross(in, -45)))
}
