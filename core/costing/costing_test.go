package costing_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/costing"
	_ "umschlag/seeded"
)

func TestABatchOfADozen(t *testing.T) {
	p := costing.Of(costing.Batch{
		Materials: []costing.Line{{Name: "linen", Cost: 9.6, Known: true}, {Name: "thread", Cost: 1.234, Known: true},
			{Name: "lace"}},
		Minutes: 50, Wage: 18, Margin: 25, Covers: 12, Other: 3,
	})
	assert.InDelta(t, 10.83, p.Materials, 1e-9, "9.60 and 1.23")
	assert.InDelta(t, 180, p.Work, 1e-9, "ten hours at 18")
	assert.InDelta(t, 193.83, p.Cost, 1e-9)
	assert.InDelta(t, 48.46, p.Margin, 1e-9, "a quarter")
	assert.InDelta(t, 242.29, p.Total, 1e-9)
	assert.InDelta(t, 20.2, p.Each, 1e-9, "20.1908 is rounded up")
	assert.Equal(t, []string{"lace"}, p.Unpriced)
}

func TestNothingCostsNothing(t *testing.T) {
	assert.Equal(t, costing.Price{}, costing.Of(costing.Batch{}))
	assert.NotEmpty(t, costing.LeftOut())
}

func TestTheCoversTogetherBringTheTotal(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		b := costing.Batch{Minutes: rapid.IntRange(0, 500).Draw(t, "minutes"),
			Wage:   float64(rapid.IntRange(0, 5000).Draw(t, "wage")) / 100,
			Margin: float64(rapid.IntRange(0, 200).Draw(t, "margin")), Covers: rapid.IntRange(1, 200).Draw(t, "covers")}
		for range rapid.IntRange(0, 5).Draw(t, "lines") {
			b.Materials = append(b.Materials,
				costing.Line{Name: "x", Known: true, Cost: float64(rapid.IntRange(0, 100_000).Draw(t, "cost")) / 1000})
		}
		p := costing.Of(b)
		all := p.Each * float64(b.Covers)
		assert.GreaterOrEqual(t, all, p.Total-1e-6)
		assert.Less(t, all, p.Total+0.01*float64(b.Covers)+1e-6)
		assert.InDelta(t, p.Materials+p.Work+p.Other+p.Margin, p.Total, 0.005)
		for _, amount := range []float64{p.Materials, p.Work, p.Cost, p.Margin, p.Total, p.Each} {
			assert.InDelta(t, math.Round(amount*100), amount*100, 1e-6, "whole hundredths")
		}
	})
}
