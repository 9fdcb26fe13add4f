package reckon_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/reckon"
)

// A reckoning that nobody waits for any more stops at its next stage and says where; what is asked for again is whole.
func TestAReckoningStopsWhereNobodyWaits(t *testing.T) {
	whole := reckon.Reckon(worked(), nil)
	for stages := range 20 {
		asked := 0
		r := reckon.Reckon(worked(), &reckon.Workshop{On: func() bool { asked++; return asked <= stages }})
		if asked <= stages {
			assert.Equal(t, len(whole.Steps), len(r.Steps), "it was asked no more often")
			assert.GreaterOrEqual(t, stages, 2)
			return
		}
		assert.Contains(t, codes(r), reckon.TooMuch)
		assert.Empty(t, r.Steps)
	}
	t.Fatal("it is asked without end")
}
