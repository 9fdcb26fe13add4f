package stock

import (
	"fmt"

	"umschlag/core/finding"
	"umschlag/core/length"
)

// Weighed is a piece of cloth on a scale, beside a square of the same cloth.
type Weighed struct {
	// Side of the square, up to a metre, and what it weighs, in grams, up to 1000.
	Side   length.Length
	Square float64
	// Piece is what the piece weighs, in grams, up to 100 000, and Width how wide it is.
	Piece float64
	Width length.Length
}

// Length is how long the piece is, and how many such squares it is in area: its weight ÷ the
// square's. Source: geometry; cloth is taken to be as heavy everywhere. What cannot be is
// found.
func (w Weighed) Length() (long length.Length, squares float64, found finding.List) {
	for _, c := range []struct {
		ok            bool
		about, remedy string
	}{
		{w.Side > 0 && w.Side <= length.Metre, "/side", "Type the side of the square, such as 10 cm or 4 in."},
		{w.Square > 0 && w.Square <= 1000, "/square", "Type what the square weighs, in grams, such as 1.4."},
		{w.Piece > 0 && w.Piece <= 100_000, "/piece", "Type what the piece weighs, in grams, such as 210."},
		{w.Width > 0 && w.Width <= 10*length.Metre, "/width", "Type how wide the piece is, such as 42 in."},
	} {
		if !c.ok {
			found.Add(finding.Stop, "weighed", c.about, "The length cannot be told from that.", c.remedy)
		}
	}
	if found.Stopped() {
		return 0, 0, found
	}
	squares = w.Piece / w.Square
	return length.FromFloat(squares * w.Side.Float() / w.Width.Float() * w.Side.Float()), squares, nil
}

// Told is the length that can be counted on, down to the ruler's step: what is not there
// cannot be cut. says is its sum.
func (w Weighed) Told(step length.Length, style length.Style) (down length.Length, says string, found finding.List) {
	long, squares, found := w.Length()
	if found.Stopped() {
		return 0, "", found
	}
	down = long.Floor(step)
	return down, fmt.Sprintf("%g g ÷ %g g are %.1f squares of %s; on a width of %s that is %s.", w.Piece, w.Square,
		squares, style.Text(w.Side), style.Text(w.Width), style.Text(down)), nil
}
