package length_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/length"
)

func TestLengthsInASentence(t *testing.T) {
	for l, says := range map[length.Length]string{7 * length.Millimetre: "7 mm", 15 * length.Millimetre / 2: "7.5 mm",
		7*length.Millimetre + 1: "≈0.7 cm", length.Centimetre: "1 cm", 25 * length.Millimetre: "2.5 cm", 0: "0 cm",
		-7 * length.Millimetre: "−0.7 cm"} {
		assert.Equal(t, says, length.Style{Unit: length.Centimetres}.Running(l))
	}
	assert.Equal(t, "¼″", length.Style{}.Running(length.Inch/4))
	assert.Equal(t, "7 mm", length.Style{Unit: length.Millimetres}.Running(7*length.Millimetre))
}
