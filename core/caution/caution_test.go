package caution_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/caution"
)

func TestEachIsSaidInFullWhereItFirstComesUp(t *testing.T) {
	iron, pins := caution.Of("Iron", "It burns."), caution.Of("Pins", "They fly.")
	over := caution.Of("Pins", "Sewn over, they break needles.")
	both := append(append(caution.Said{}, iron...), pins...)
	assert.Equal(t, "It burns. They fly.", both.Text())
	assert.Empty(t, caution.Said(nil).Text())
	assert.Equal(t, [][]bool{{false}, {true, false}, {}, {true}, {false}},
		caution.Once([]caution.Said{iron, both, nil, pins, over}), "and where it changes")
}
