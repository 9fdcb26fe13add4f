package drawing_test

import (
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/format/drawing"
)

// A corner's template and the straight edges between the corners are the way round the piece.
func TestCornersAndEdgesAreTheWayRound(t *testing.T) {
	const mm = length.Millimetre
	const edge = 10 // of a page, in millimetres
	for name, c := range map[string]struct {
		line    outline.Outline
		corners float64
		reach   [2]float64 // across and down, in millimetres
	}{
		"four round corners": {outline.Rounded(600*mm, 400*mm,
			outline.Radii{TopLeft: 50 * mm, TopRight: 50 * mm, BottomRight: 50 * mm, BottomLeft: 50 * mm}), 4,
			[2]float64{70, 70}},
		"two at the top": {outline.Rounded(600*mm, 400*mm, outline.Radii{TopLeft: 50 * mm, TopRight: 50 * mm}), 2,
			[2]float64{70, 70}},
		"drawn in":      {outline.Tapered(600*mm, 400*mm, 12*mm), 4, [2]float64{170, 120}},
		"a round piece": {outline.Circle(360 * mm), 4, [2]float64{180, 180}},
		"half rounds at sides": {outline.Rounded(600*mm, 100*mm,
			outline.Radii{TopLeft: 50 * mm, TopRight: 50 * mm, BottomRight: 50 * mm, BottomLeft: 50 * mm}), 4,
			[2]float64{70, 50}},
	} {
		t.Run(name, func(t *testing.T) {
			piece := answer.Piece{Title: "Face", Count: 2, TrimmedOutline: vertices(c.line),
				Outline: vertices(c.line.Offset(-10e6))}
			d, ok := drawing.Corner(piece)
			require.True(t, ok)
			x1, y1, x2, y2 := c.line.Bounds()
			w, h := (x2-x1)/1e6, (y2-y1)/1e6
			wide, high := d.Width-2*edge, d.Height-2*edge
			assert.InDelta(t, c.reach[0], wide, 0.01)
			assert.InDelta(t, c.reach[1], high, 0.01)
			straight := 2*(w-2*wide) + 2*(h-2*high)
			if c.corners == 2 {
				straight = w - 2*wide + 2*(h-high) + w
			}
			assert.InDelta(t, c.line.Length()/1e6, c.corners*d.Length(drawing.Cut)+straight, 0.05)
			assert.InDelta(t, wide+high, d.Length(drawing.Trim), 0.01, "the edges within the piece")
			assert.Positive(t, d.Length(drawing.Sew))
		})
	}
}

func TestCornersThatAreNotAlikeHaveNoTemplate(t *testing.T) {
	const mm = length.Millimetre
	for _, line := range []outline.Outline{
		outline.Rounded(600*mm, 400*mm, outline.Radii{}),
		outline.Rounded(600*mm, 400*mm, outline.Radii{TopLeft: 50 * mm, TopRight: 60 * mm}),
		outline.Rounded(600*mm, 400*mm, outline.Radii{BottomLeft: 50 * mm}),
	} {
		_, ok := drawing.Corner(answer.Piece{TrimmedOutline: vertices(line), Outline: vertices(line)})
		assert.False(t, ok)
	}
}
