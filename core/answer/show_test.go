package answer_test

import (
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
)

func TestASumIsWrittenWithItsSigns(t *testing.T) {
	term := func(name, text string, nm int64) (out answer.Term) {
		out.Term, out.Amount.Text, out.Amount.NM = name, text, nm
		return out
	}
	got := answer.WrittenSum([]answer.Term{term("block", "6″", 6), term("block", "6″", 6), term("seam", "−½″", -1),
		term("hem", "1″", 1)})
	assert.Equal(t, "2 × 6″ block − ½″ seam + 1″ hem", got)
	third := answer.WrittenSum([]answer.Term{term("patch", "≈5⅜″", 135466666), term("patch", "≈5⅜″", 135466666),
		term("patch", "≈5⅜″", 135466668), term("patch", "≈5⅜″", 135500000)})
	assert.Equal(t, "3 × ≈5⅜″ patch + ≈5⅜″ patch", third, "what dividing leaves over is no other patch")
}
