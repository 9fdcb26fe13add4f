// Package place knows how distances from edges put a thing on something larger, and
// which distances say where it was put.
package place

import "umschlag/core/length"

// Along is where something of a size begins, by its distance from either end or
// in the middle.
func Along(near, far *length.Length, whole, size length.Length) length.Length {
	switch {
	case near != nil:
		return *near
	case far != nil:
		return whole - *far - size
	default:
		return (whole - size) / 2
	}
}

// Ray is one direction in which something is moved.
type Ray struct {
	// Whole is how long the larger thing is, Size the smaller.
	Whole, Size, Step length.Length
	// Least is the smallest distance from either end.
	Least length.Length
	// Several of it stand side by side, so that the middle is no place.
	Several bool
	// Free lets it reach beyond the ends.
	Free bool
}

// Place is the distance from the near or the far end for something that begins at x,
// counted from the end it was counted from; what stood in the middle is counted from
// the nearer end. Neither is given in the middle, and what comes within a step of it
// stands there.
func (r Ray) Place(x length.Length, near, far *length.Length) (*length.Length, *length.Length) {
	room := r.Whole - r.Size
	if !r.Several && (2*x-room).Abs() < r.Step {
		return nil, nil
	}
	if far != nil || (near == nil && 2*x > room) {
		d := r.onStep(room - x)
		return nil, &d
	}
	d := r.onStep(x)
	return &d, nil
}

// onStep is the nearest ruler step that keeps it on the larger thing.
func (r Ray) onStep(d length.Length) length.Length {
	step := (d + r.Step/2).Floor(r.Step)
	if r.Free {
		return step
	}
	most := max(r.Whole-r.Size-r.Least, 0)
	return max(r.Least.Ceil(r.Step), min(step, most.Floor(r.Step)))
}
