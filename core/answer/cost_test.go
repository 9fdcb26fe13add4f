package answer_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/answer"
	"umschlag/core/costing"
)

func TestWhatNobodyPricedCostsNothingThatIsSaid(t *testing.T) {
	assert.Empty(t, answer.Cost{Batch: costing.Batch{Covers: 1}}.Taking(90))
	assert.Equal(t, "30.00", answer.Cost{Batch: costing.Batch{Covers: 1, Wage: 20}}.Taking(90))
}

func TestMoneyAsItIsWritten(t *testing.T) {
	for currency, is := range map[string][2]string{"": {"3.20", "−0.50"}, "€": {"€3.20", "−€0.50"},
		"$": {"$3.20", "−$0.50"}, "kr": {"3.20 kr", "−0.50 kr"}} {
		assert.Equal(t, is, [2]string{answer.Money(3.2, currency), answer.Money(-0.5, currency)}, currency)
	}
}
