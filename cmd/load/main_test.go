package main

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// It goes through, whatever it finds.
func TestItIsToldWhatLookingCosts(t *testing.T) {
	require.NoError(t, run(1, 400))
}
