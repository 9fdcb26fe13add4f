package fitting

import (
	"umschlag/core/length"
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
	k, known := kinds[f.Kind]
	piece := o.piece(f.On)
	if !known || piece == nil {
		return plan.At{}, false
	}
	w, h := k.foot(o.made(f))
	whole, high := piece.Finished.Width.Total(), piece.Finished.Height.Total()
	across := ray{whole: whole, size: w, step: o.Step, several: places(f) > 1}
	if f.Spread > 0 {
		// A handle is placed by the middle of its outer end.
		across.size, across.least, x = f.Spread, w/2, x+w/2
	}
	at = plan.At{Edge: f.At.Edge}
	at.Left, at.Right = across.place(x, f.At.Left, f.At.Right)
	if at.Edge == "" {
		at.Top, at.Bottom = ray{whole: high, size: h, step: o.Step}.place(y, f.At.Top, f.At.Bottom)
	}
	at.Middle = (at.Left == nil && at.Right == nil) || (at.Top == nil && at.Bottom == nil && at.Edge == "")
	return at, true
}

// ray is one direction in which something is moved.
type ray struct {
	whole, size, step length.Length
	// least is the smallest distance from either end.
	least length.Length
	// several of it stand side by side, so that the middle is no place.
	several bool
}

// place is the distance from the near or the far end for something that begins at
// x; neither in the middle.
func (r ray) place(x length.Length, near, far *length.Length) (*length.Length, *length.Length) {
	room := r.whole - r.size
	if !r.several && (2*x-room).Abs() < r.step {
		return nil, nil
	}
	if far != nil || (near == nil && 2*x > room) {
		d := r.onStep(room - x)
		return nil, &d
	}
	d := r.onStep(x)
	return &d, nil
}

// onStep is the nearest ruler step that keeps it on the piece.
func (r ray) onStep(d length.Length) length.Length {
	most := max(r.whole-r.size-r.least, 0)
	return max(r.least.Ceil(r.step), min((d+r.step/2).Floor(r.step), most.Floor(r.step)))
}
