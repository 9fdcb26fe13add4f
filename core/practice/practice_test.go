package practice_test

import (
	"math"
	"regexp"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/practice"
	"umschlag/core/sum"
	_ "umschlag/seeded"
)

var styles = map[length.Unit]length.Style{length.Inches: {Unit: length.Inches, Denominator: 8},
	length.Centimetres: {Unit: length.Centimetres}}

func TestTheSameNumberAsksTheSame(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		kind := rapid.SampledFrom(practice.Kinds()).Draw(t, "kind").Kind
		style := styles[rapid.SampledFrom([]length.Unit{length.Inches, length.Centimetres}).Draw(t, "unit")]
		number := rapid.IntRange(0, 1e6).Draw(t, "number")
		e, ok := practice.Of(kind, number, style)
		require.True(t, ok)
		again, _ := practice.Of(kind, number, style)
		assert.Equal(t, e, again)
		answer := e.Answer.Total()
		assert.Positive(t, answer, e.Question)
		assert.True(t, e.Right(answer))
		assert.False(t, e.Right(answer+length.Inch/2))
		typed, err := length.Parse(style.Plain(answer.Floor(length.Millimetre/10)), style.Unit)
		require.NoError(t, err)
		assert.InDelta(t, answer.Float(), typed.Float(), length.Millimetre.Float())
	})
	_, ok := practice.Of("knots", 1, styles[length.Inches])
	assert.False(t, ok)
}

func TestAForgottenSeamIsNamed(t *testing.T) {
	e, _ := practice.Of(practice.Cut, 4, styles[length.Inches])
	finished, seam := e.Answer[0].Amount, e.Answer[1].Amount
	assert.Equal(t, "That is without: seam, left.", e.Slip(finished+seam), "one of the two")
	assert.Equal(t, "That is without any seams or hems.", e.Slip(finished))
	assert.Empty(t, e.Slip(finished+5*length.Inch))
}

func TestTheCornerIsShorter(t *testing.T) {
	e, _ := practice.Of(practice.Corner, 9, styles[length.Inches])
	square := e.Answer[0].Amount.Times(3)
	assert.Less(t, e.Answer.Total(), square)
	assert.Contains(t, e.Slip(square), "two corners")
	// An independent look: two sides up to the curves, the top between them, and two
	// quarters of a circle.
	found := regexp.MustCompile(`panel is (\S+) square .* radius of (\S+)\. How`).FindStringSubmatch(e.Question)
	require.Len(t, found, 3)
	side, err := length.Parse(found[1], length.Inches)
	require.NoError(t, err)
	radius, err := length.Parse(found[2], length.Inches)
	require.NoError(t, err)
	way := 2*(side-radius).Float() + (side - 2*radius).Float() + math.Pi*radius.Float()
	assert.InDelta(t, way, e.Answer.Total().Float(), 2)
}

func TestOnesOwnSizes(t *testing.T) {
	in := length.Inch
	size := sum.Of(sum.Part, "finished", 4*in).Plus(sum.Seam, "seams", in/2).Plus(sum.Measured, "measured short", -in/8)
	e, ok := practice.Own("Hood", "Patch", size, styles[length.Inches])
	require.True(t, ok)
	assert.Equal(t, "Patch, of Hood: finished 4″, and seams ½″, less measured short ⅛″. What is the ruler set to?",
		e.Question)
	assert.True(t, e.Right(35*in/8))
	_, ok = practice.Own("Hood", "Patch", sum.Of(sum.Part, "finished", in), styles[length.Inches])
	assert.False(t, ok)
}
