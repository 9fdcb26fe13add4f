package fitting

import (
	"umschlag/core/length"
	"umschlag/core/place"
	"umschlag/core/plan"
)

// Moved is the place of fitting i with the top left corner of its first box brought
// to x and y, in nanometres from the finished top left corner of its piece. Its
// distances are counted from the edges they were counted from, on the ruler step;
// what stood in the middle is counted from the nearer edge, and what comes within a
// step of the middle stands in the middle. It never leaves its piece. ok is false
// where the plan has no such fitting to move.
func (o Order) Moved(i int, x, y length.Length) (at plan.At, ok bool) {
	if i < 0 || i >= len(o.Fittings) {
		return plan.At{}, false
	}
	f := o.Fittings[i]
	k, known := Kinds.Of(string(f.Kind))
	piece := o.piece(f.On)
	if !known || piece == nil {
		return plan.At{}, false
	}
	w, h := k.Foot(o.made(f))
	whole, high := piece.Finished.Width.Total(), piece.Finished.Height.Total()
	across := place.Ray{Whole: whole, Size: w, Step: o.Step, Several: places(f) > 1}
	if f.Spread > 0 {
		// A handle is placed by the middle of its outer end.
		across.Size, across.Least, x = f.Spread, w/2, x+w/2
	}
	at = plan.At{Edge: f.At.Edge}
	at.Left, at.Right = across.Place(x, f.At.Left, f.At.Right)
	if at.Edge == "" {
		at.Top, at.Bottom = place.Ray{Whole: high, Size: h, Step: o.Step}.Place(y, f.At.Top, f.At.Bottom)
	}
	at.Middle = (at.Left == nil && at.Right == nil) || (at.Top == nil && at.Bottom == nil && at.Edge == "")
	return at, true
}
