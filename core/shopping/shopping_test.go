package shopping_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/shopping"
	_ "umschlag/seeded"
)

const in = length.Inch

func TestThePlansNamedFirstGetTheCupboard(t *testing.T) {
	list := shopping.List([]shopping.Want{
		{Plan: "pad", Cloth: "stripe", Need: 12 * in},
		{Plan: "hood", Cloth: "stripe", Need: 20 * in},
		{Plan: "jacket", Cloth: "stripe", Need: 5 * in},
	}, map[string]length.Length{"stripe": 18 * in}, length.Inches)
	require.Len(t, list, 1)
	stripe := list[0]
	assert.Equal(t, []shopping.Share{{"pad", 12 * in, shopping.Cupboard}, {"hood", 20 * in, shopping.Shop}, {"jacket", 5 * in, shopping.Cupboard}}, stripe.Shares,
		"the hood's 20 are more than the 6 left, the jacket's 5 are not")
	assert.Equal(t, 37*in, stripe.Need)
	assert.Equal(t, in, stripe.Left)
	assert.Equal(t, 20*in, stripe.Missing)
	assert.Equal(t, 45*in/2, stripe.Buy, "⅝ yd")
}

func TestWhatNobodyCountedIsBought(t *testing.T) {
	list := shopping.List([]shopping.Want{{Plan: "pad", Cloth: "linen", Need: 9 * in}, {Plan: "pad", Cloth: "calico", Need: 9 * in}}, nil, length.Centimetres)
	require.Len(t, list, 2)
	assert.Equal(t, "calico", list[0].Name, "by name")
	assert.False(t, list[0].Known)
	assert.Equal(t, 30*length.Centimetre, list[1].Buy, "22.9 cm, in steps of 10")
}

func TestAPlanWithAClothOfItsOwnLeavesTheCupboardAlone(t *testing.T) {
	have := map[string]length.Length{"stripe": 30 * in}
	list := shopping.List([]shopping.Want{{Plan: "pad", Cloth: "stripe", Need: 9 * in, Has: true, Own: true}, {Plan: "hood", Cloth: "stripe", Need: 9 * in, Has: true}}, have, length.Inches)
	assert.Equal(t, []shopping.From{shopping.Own, shopping.Shop}, []shopping.From{list[0].Shares[0].From, list[0].Shares[1].From})
	assert.Equal(t, 30*in, list[0].Left)
}

func TestNothingIsSharedOutTwice(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		have := map[string]length.Length{"a": in.Times(rapid.IntRange(0, 90).Draw(t, "a")), "b": in.Times(rapid.IntRange(0, 90).Draw(t, "b"))}
		var wants []shopping.Want
		for i := range rapid.IntRange(0, 9).Draw(t, "wants") {
			wants = append(wants, shopping.Want{Plan: fmt.Sprint(i), Cloth: rapid.SampledFrom([]string{"a", "b", "c"}).Draw(t, "cloth"),
				Need: in.Times(rapid.IntRange(1, 40).Draw(t, "need")), Has: rapid.Bool().Draw(t, "has")})
		}
		shares := 0
		for _, c := range shopping.List(wants, have, length.Inches) {
			kept := map[shopping.From]length.Length{}
			for _, s := range c.Shares {
				kept[s.From] += s.Need
				shares++
			}
			assert.Equal(t, have[c.Name], kept[shopping.Cupboard]+c.Left, "what is kept and what is left are what there is")
			assert.GreaterOrEqual(t, c.Left, length.Length(0))
			assert.Equal(t, c.Missing, kept[shopping.Shop])
			assert.Equal(t, c.Need, kept[shopping.Shop]+kept[shopping.Cupboard])
			assert.GreaterOrEqual(t, c.Buy, c.Missing)
			assert.Less(t, c.Buy-c.Missing, length.Yard/8)
		}
		assert.Equal(t, len(wants), shares, "every want is met")
	})
}
