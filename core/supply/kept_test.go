package supply_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/stock"
	"umschlag/core/supply"
)

// What is kept for a cloth of a plan is found whatever the cloth is called in the cupboard since.
func TestAKeptClothIsFoundUnderAnotherName(t *testing.T) {
	have := 60 * length.Inch
	hood := stock.Holder{Plan: "hood", Cloth: "A"}
	kept, err := stock.Keep(plan.Cloth{Have: &have}, hood, 20*length.Inch, nil)
	assert.NoError(t, err)
	cupboard := supply.Cupboard{"moss, second bolt": kept, "moss": {Have: &have}}
	name, there := cupboard.Of("moss", hood)
	assert.Equal(t, []any{"moss", true}, []any{name, there}, "its own name first")
	delete(cupboard, "moss")
	name, there = cupboard.Of("moss", hood)
	assert.Equal(t, []any{"moss, second bolt", true}, []any{name, there})
	got, _ := supply.Stock(plan.Cloth{Name: "moss"}, cupboard, hood)
	assert.Equal(t, have, *got)
	for _, other := range []stock.Holder{{Plan: "hood", Cloth: "B"}, {Plan: "pad", Cloth: "A"}, {}} {
		_, there = cupboard.Of("moss", other)
		assert.False(t, there)
	}
}
