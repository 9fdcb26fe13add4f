package answer_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/answer"
	"umschlag/core/length"
	"umschlag/core/sum"
)

func TestASumIsWrittenWithItsSigns(t *testing.T) {
	inches := length.Style{Unit: length.Inches}
	terms := answer.TermsOf(sum.Repeat(2, sum.Part, "block", 6*length.Inch).
		Plus(sum.Seam, "seam", -length.Inch/2).Plus(sum.Hem, "hem", length.Inch), inches)
	assert.Equal(t, "2 × 6″ block − ½″ seam + 1″ hem", answer.WrittenSum(terms))

	third := (16 * length.Inch).Div(3)
	parts := sum.Of(sum.Part, "patch", third).Plus(sum.Part, "patch", third).Plus(sum.Part, "patch", third+2).
		Plus(sum.Part, "patch", third+length.Millimetre/100)
	terms = answer.TermsOf(parts, inches)
	assert.Equal(t, "3 × ≈5⅜″ patch + ≈5⅜″ patch", answer.WrittenSum(terms),
		"what dividing leaves over is no other patch")
	assert.Equal(t, []bool{false, true, true, false},
		[]bool{terms[0].Again, terms[1].Again, terms[2].Again, terms[3].Again})
}

// What is taken away has one sign, also where it is rounded.
func TestWhatIsTakenAwayHasOneSign(t *testing.T) {
	assert.Equal(t, "16″ length − ≈2⅜″ shorter round four corners − ½″ ease", answer.WrittenSum([]answer.Term{
		{Term: "length", Amount: answer.L{NM: 16, Text: "16″"}},
		{Term: "shorter round four corners", Amount: answer.L{NM: -2, Text: "≈−2⅜″"}},
		{Term: "ease", Amount: answer.L{NM: -1, Text: "−½″"}}}))
}
