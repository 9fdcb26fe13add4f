package work

import (
	"strings"

	"umschlag/core/plan"
)

// What is said of corners, and what instead of a cover that has none: round ones run in one curve.

// cornered says one of two texts: of a cover with corners, or of a round one.
func (b *builder) cornered(corners, round string) string {
	if b.Plan.Object.Round() {
		return round
	}
	return corners
}

// pushed is how the edge is brought out when a cover is turned, without its full stop.
func (b *builder) pushed() string {
	return b.cornered("push the corners out with something blunt",
		"run something blunt along the seam from inside, so that the curve is even")
}

// sharp is how the seam goes round a corner, and where it is sewn twice.
func (b *builder) sharp() string {
	again := twice(b)
	if b.Plan.Object.Round() || b.Plan.Cover.Corners.Kind == plan.RoundCorners {
		return sentence(again)
	}
	if again != "" {
		again = "; " + again
	}
	return "Take one stitch diagonally across each corner: it turns out sharper" + again + "."
}

// sentence is a text as one: with a capital and a full stop; nothing is none.
func sentence(text string) string {
	if text == "" {
		return ""
	}
	return upper(text) + "."
}

// upper is a text with a capital.
func upper(text string) string {
	if text == "" {
		return ""
	}
	return strings.ToUpper(text[:1]) + text[1:]
}
