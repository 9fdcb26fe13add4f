package stock_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/stock"
)

func TestACloth1mWideBesideA10cmSquare(t *testing.T) {
	long, squares, found := stock.Weighed{Side: 10 * length.Centimetre, Square: 1.5, Piece: 150,
		Width: length.Metre}.Length()
	assert.Empty(t, found)
	assert.InDelta(t, 100, squares, 1e-9)
	assert.Equal(t, length.Metre, long)
}

func TestALengthByWeightIsRoundedDownAndExplained(t *testing.T) {
	w := stock.Weighed{Side: 10 * length.Centimetre, Square: 1.5, Piece: 150, Width: length.Metre}
	down, says, found := w.Told(length.Inch/8, length.Style{Unit: length.Inches})
	assert.Empty(t, found)
	assert.Equal(t, 39*length.Inch+length.Inch/4, down, "39.37 in")
	assert.Equal(t, "150 g ÷ 1.5 g are 100.0 squares of ≈3⅞″; on a width of ≈39⅜″ that is 39¼″.", says)
	w.Piece = 0
	_, says, found = w.Told(length.Inch/8, length.Style{})
	assert.Empty(t, says)
	assert.True(t, found.Stopped())
}

func TestWhatCannotBeWeighedIsNamed(t *testing.T) {
	good := stock.Weighed{Side: 10 * length.Centimetre, Square: 1.5, Piece: 150, Width: length.Metre}
	for about, spoil := range map[string]func(*stock.Weighed){
		"/side":   func(w *stock.Weighed) { w.Side = 0 },
		"/square": func(w *stock.Weighed) { w.Square = -1 },
		"/piece":  func(w *stock.Weighed) { w.Piece = 0 },
		"/width":  func(w *stock.Weighed) { w.Width = -length.Metre },
	} {
		w := good
		spoil(&w)
		long, _, found := w.Length()
		assert.Zero(t, long)
		if assert.Len(t, found, 1, about) {
			assert.Equal(t, about, found[0].About)
			assert.NotEmpty(t, found[0].Remedy)
		}
	}
}

// Twice as heavy is twice as long, whatever the square.
func TestLengthGrowsWithWeight(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		w := stock.Weighed{Side: length.Length(rapid.Int64Range(20, 500).Draw(t, "side")) * length.Millimetre,
			Square: rapid.Float64Range(0.5, 50).Draw(t, "square"),
			Piece:  rapid.Float64Range(10, 5000).Draw(t, "piece"),
			Width:  length.Length(rapid.Int64Range(100, 3000).Draw(t, "width")) * length.Millimetre}
		one, _, _ := w.Length()
		w.Piece *= 2
		two, _, _ := w.Length()
		assert.InDelta(t, 2*one.Float(), two.Float(), 2)
	})
}
