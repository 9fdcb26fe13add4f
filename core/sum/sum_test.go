package sum_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/length"
	"umschlag/core/sum"
)

func TestTotalIsTheTerms(t *testing.T) {
	s := sum.Of(sum.Object, "pad", 20*length.Inch).Plus(sum.Ease, "smaller", -length.Inch)
	assert.Equal(t, 19*length.Inch, s.Total())
	assert.Equal(t, 39*length.Inch/2, s.Between(sum.Seam, "seam", length.Inch/4).Total())
}

func TestZeroTermsAreLeftOut(t *testing.T) {
	s := sum.Of(sum.Part, "patch", length.Inch)
	assert.Len(t, s.Plus(sum.Ease, "none", 0), 1)
	assert.Len(t, s.Between(sum.Seam, "none", 0), 1)
	assert.Len(t, s.UpTo(length.Inch/8), 1, "on the ruler already")
}

func TestUpToNamesTheSurplus(t *testing.T) {
	s := sum.Of(sum.Part, "patch", length.Inch/3).UpTo(length.Inch / 8)
	assert.Equal(t, 3*length.Inch/8, s.Total())
	assert.Equal(t, sum.Step, s[1].Kind)
}

func TestSumsSharingABeginningStayApart(t *testing.T) {
	base := sum.Repeat(3, sum.Part, "patch", length.Inch)
	a, b := base.Plus(sum.Seam, "a", 1), base.Plus(sum.Seam, "b", 2)
	assert.Equal(t, "a", a[3].Name)
	assert.Equal(t, "b", b[3].Name)
	assert.Equal(t, base.Total()+1, a.Total())
}

func TestSizeDoesBothDirections(t *testing.T) {
	s := sum.Size{Width: sum.Of(sum.Part, "w", 3), Height: sum.Of(sum.Part, "h", 5)}.Between(sum.Overhang, "o", 2).
		UpTo(10)
	assert.Equal(t, length.Length(10), s.Width.Total())
	assert.Equal(t, length.Length(10), s.Height.Total())
}

func TestATermTakesUpMoreAndTheOthersStay(t *testing.T) {
	s := sum.Of(sum.Part, "a", 3).Plus(sum.Part, "b", 4)
	more := s.Taking(1, 5)
	assert.Equal(t, []length.Length{3, 9, 12}, []length.Length{more[0].Amount, more[1].Amount, more.Total()})
	assert.EqualValues(t, 7, s.Total(), "and it is as it was")
}
