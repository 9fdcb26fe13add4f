package reckon_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/reckon"
)

func TestASumIsWrittenWithItsSigns(t *testing.T) {
	term := func(name, text string, nm int64) (out reckon.Term) {
		out.Term, out.Amount.Text, out.Amount.NM = name, text, nm
		return out
	}
	got := reckon.WrittenSum([]reckon.Term{term("block", "6″", 6), term("block", "6″", 6), term("seam", "−½″", -1), term("hem", "1″", 1)})
	assert.Equal(t, "2 × 6″ block − ½″ seam + 1″ hem", got)
	third := reckon.WrittenSum([]reckon.Term{term("patch", "≈5⅜″", 135466666), term("patch", "≈5⅜″", 135466666), term("patch", "≈5⅜″", 135466668), term("patch", "≈5⅜″", 135500000)})
	assert.Equal(t, "3 × ≈5⅜″ patch + ≈5⅜″ patch", third, "what dividing leaves over is no other patch")
}
