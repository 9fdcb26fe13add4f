// Package move brings what lies on a piece to another place by its corner, as a hand does, and says what the
// plan calls that place.
package move

import (
	"fmt"

	"umschlag/core/cover"
	"umschlag/core/fitting"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/panel"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Fitting is the place of a fitting of the plan with the corner of its first box
// brought to x and y, in nanometres on its piece. ok is false where the cover or
// the fitting cannot be reckoned.
func Fitting(p plan.Plan, index int, x, y length.Length) (at plan.At, ok bool) {
	p = p.Settle()
	if p.Validate().Stopped() {
		return plan.At{}, false
	}
	c, found := cover.Pieces(p)
	if found.Stopped() {
		return plan.At{}, false
	}
	return fitting.OrderOf(p, c).Moved(index, x, y)
}

// Shape is the place of a shape of the plan, by the path of its face and its number
// there, with the corner of the rectangle round it brought to x and y, in nanometres on
// its piece. ok is false where it cannot be reckoned.
func Shape(p plan.Plan, about string, x, y length.Length) (at plan.At, ok bool) {
	settled := p.Settle()
	if settled.Validate().Stopped() {
		return plan.At{}, false
	}
	c, found := cover.Pieces(settled)
	if found.Stopped() {
		return plan.At{}, false
	}
	for _, piece := range c.Pieces {
		f := placedFace{face: panel.Order{Plan: settled}.Face(settled.Piece(piece.Config)),
			path: panel.Path(settled, piece.Config) + "/face", size: piece.Finished}
		if where, index, is := f.find(about); is {
			order := front.AppliqueOf(where.face, where.path, where.size, settled.Habits.Step)
			return order.Moved(index, x, y-where.top)
		}
	}
	return plan.At{}, false
}

// placedFace is a face, or a part of a stack, where it begins on its piece.
type placedFace struct {
	face plan.Face
	path string
	size sum.Size
	top  length.Length
}

// find is the face that has a shape, and the shape's number there.
func (f placedFace) find(about string) (placedFace, int, bool) {
	for i := range f.face.Applique {
		if about == fmt.Sprintf("%s/applique/%d", f.path, i) {
			return f, i, true
		}
	}
	top := f.top
	filled := f.face.Filled(f.size.Width.Total(), f.size.Height.Total())
	for i, part := range filled.Parts {
		sub := placedFace{face: part.Face, path: fmt.Sprintf("%s/parts/%d/face", f.path, i), top: top,
			size: sum.Size{Width: f.size.Width, Height: sum.Of(sum.Part, "height of the part", part.Height.Width)}}
		if where, index, is := sub.find(about); is {
			return where, index, true
		}
		top += part.Height.Width
	}
	return placedFace{}, 0, false
}
