package answer_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/answer"
)

func TestMoneyAsItIsWritten(t *testing.T) {
	for currency, is := range map[string][2]string{"": {"3.20", "−0.50"}, "€": {"€3.20", "−€0.50"},
		"$": {"$3.20", "−$0.50"}, "kr": {"3.20 kr", "−0.50 kr"}} {
		assert.Equal(t, is, [2]string{answer.Money(3.2, currency), answer.Money(-0.5, currency)}, currency)
	}
}
