package shopping_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/shopping"
	_ "umschlag/seeded"
)

const in = length.Inch

func cupboard(name string, have length.Length) map[string]plan.Cloth {
	return map[string]plan.Cloth{name: {Name: name, Have: &have, Price: 12, Per: plan.PerYard}}
}

func TestEveryPlanBuysItsOwnLength(t *testing.T) {
	list := shopping.List([]shopping.Want{
		{Plan: "pad", Cloth: "stripe", Need: 12 * in, From: shopping.Cupboard},
		{Plan: "hood", Cloth: "stripe", Need: 20 * in, From: shopping.Shop, Odd: 2},
		{Plan: "jacket", Cloth: "stripe", Need: 5 * in, From: shopping.Cupboard},
	}, cupboard("stripe", 18*in), length.Inches)
	require.Len(t, list, 1)
	stripe := list[0]
	assert.Equal(t, []shopping.Share{{"pad", 12 * in, 0, shopping.Cupboard}, {"hood", 20 * in, 2, shopping.Shop},
		{"jacket", 5 * in, 0, shopping.Cupboard}}, stripe.Shares)
	assert.Equal(t, 37*in, stripe.Need)
	assert.Equal(t, in, stripe.Left)
	assert.Equal(t, 20*in, stripe.Missing)
	assert.Equal(t, 45*in/2, stripe.Buy, "⅝ yd")
	assert.InDelta(t, 7.5, stripe.Cost, 1e-9, "⅝ yd at 12")
}

func TestWhatNobodyCountedIsBought(t *testing.T) {
	list := shopping.List([]shopping.Want{{Plan: "pad", Cloth: "linen", Need: 9 * in, From: shopping.Shop, Price: 20},
		{Plan: "pad", Cloth: "calico", Need: 9 * in, From: shopping.Shop}}, nil, length.Centimetres)
	require.Len(t, list, 2)
	assert.Equal(t, "calico", list[0].Name, "by name")
	assert.False(t, list[0].Known)
	assert.Zero(t, list[0].Cost, "nobody said a price")
	assert.Equal(t, 30*length.Centimetre, list[1].Buy, "22.9 cm, in steps of 10")
	assert.InDelta(t, 6, list[1].Cost, 1e-9, "30 cm at 20 a metre, as the plan says")
}

// What two plans take of a bolt comes off one; what they take of panels and quarters does not come together.
func TestBoltsAreSharedAndPanelsAreNot(t *testing.T) {
	want := func(sold *plan.Sold, pieces ...int) shopping.Cloth {
		var wants []shopping.Want
		for i, n := range pieces {
			wants = append(wants, shopping.Want{Plan: fmt.Sprint(i), Cloth: "stripe", Need: 100 * in,
				From: shopping.Shop, Price: 9, Per: plan.PerYard, Sold: sold, Pieces: n})
		}
		return shopping.List(wants, nil, length.Inches)[0]
	}
	bolts := want(&plan.Sold{By: plan.ByBolt, Length: 360 * in}, 0, 0)
	assert.Equal(t, 1, bolts.Count, "200 of 360 in")
	assert.InDelta(t, 90, bolts.Cost, 1e-9, "ten yards at 9")
	assert.Equal(t, 3, want(&plan.Sold{By: plan.ByBolt, Length: 180 * in}, 0, 0, 0).Count,
		"300 in, but of 180 only one of 100 in one piece")
	panels := want(&plan.Sold{By: plan.ByPanel, Length: 24 * in}, 5, 4)
	assert.Equal(t, 9, panels.Count)
	assert.InDelta(t, 54, panels.Cost, 1e-9, "nine times two thirds of a yard at 9")
	quarters := want(&plan.Sold{By: plan.ByQuarter}, 3, 1)
	assert.Equal(t, 4, quarters.Count)
	assert.InDelta(t, 9, quarters.Cost, 1e-9, "four quarters of a yard at 9")
}

func TestPricesArePerYardOrMetre(t *testing.T) {
	for name, c := range map[string]struct {
		per  plan.Per
		unit length.Unit
		want float64
	}{
		"a yard":          {plan.PerYard, length.Centimetres, 10},
		"a metre":         {plan.PerMetre, length.Inches, 9.144},
		"a yard, inches":  {"", length.Inches, 10},
		"a metre, metric": {"", length.Millimetres, 9.144},
	} {
		assert.InDelta(t, c.want, shopping.CostOf(plan.Cloth{Price: 10, Per: c.per}, length.Yard, c.unit), 1e-9, name)
	}
}

func TestEveryWantIsMetOnce(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		have := 200 * in
		var wants []shopping.Want
		for i := range rapid.IntRange(0, 9).Draw(t, "wants") {
			wants = append(wants,
				shopping.Want{Plan: fmt.Sprint(i), Cloth: rapid.SampledFrom([]string{"a", "b", "c"}).Draw(t, "cloth"),
					Need: in.Times(rapid.IntRange(1, 20).Draw(t, "need")),
					From: rapid.SampledFrom([]shopping.From{shopping.Own, shopping.Shop, shopping.Cupboard}).
						Draw(t, "from")})
		}
		shares := 0
		for _, c := range shopping.List(wants,
			map[string]plan.Cloth{"a": {Have: &have}, "b": {Have: &have}, "c": {Have: &have}}, length.Inches) {
			from := map[shopping.From]length.Length{}
			for _, s := range c.Shares {
				from[s.From] += s.Need
				shares++
			}
			assert.Equal(t, have, from[shopping.Cupboard]+c.Left, "what is kept and what is left are what there is")
			assert.Equal(t, c.Missing, from[shopping.Shop])
			assert.Equal(t, c.Need, from[shopping.Shop]+from[shopping.Cupboard]+from[shopping.Own])
			assert.GreaterOrEqual(t, c.Buy, c.Missing)
			assert.Less(t, c.Buy-c.Missing, length.Yard/8)
		}
		assert.Equal(t, len(wants), shares, "every want is met")
	})
}

func TestABillNamesWhatHasNoPrice(t *testing.T) {
	cloths := []shopping.Cloth{{Name: "moss leaf", Buy: length.Yard, Cost: 12}, {Name: "calico", Buy: length.Yard},
		{Name: "sage check"}}
	things := []shopping.Thing{{What: "zip", Pieces: 2, Packs: 2}, {What: "zip", Pieces: 1, Packs: 1},
		{What: "thread", Missing: length.Metre, Cost: 0.5}, {What: "buttons", Pieces: 4, There: 4}}
	cost, unpriced := shopping.Bill(cloths, things)
	assert.InDelta(t, 12.5, cost, 1e-9)
	assert.Equal(t, []string{"calico", "zip"}, unpriced, "each once, and nothing that is there")
	cost, unpriced = shopping.Bill(nil, nil)
	assert.Zero(t, cost)
	assert.Empty(t, unpriced)
}
