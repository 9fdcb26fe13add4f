package fold

import (
	"math"

	"umschlag/core/plan"
)

// solids are the object in the closed cover: a box on its foot, or the boards and pages of a
// book. What is soft shows by the cover that it fills.
func (f *Folder) solids(closed Fold) []Solid {
	least, most := closed.Reach(1)
	middle := func(k int) float64 { return (least[k] + most[k]) / 2 }
	o := f.plan.Object
	switch o.Kind {
	case plan.Box:
		return boxed(o, [3]float64{middle(0), most[1], middle(2)})
	case plan.Book:
		return bookSolids(f.book(f.pieces["outside"]), o, least, most)
	}
	return nil
}

// boxed is a box whose foot is centred at a point, with what sticks out of it: to the right,
// up and to the back, since a plan says how far and not where.
func boxed(o plan.Object, foot [3]float64) []Solid {
	size := [3]float64{o.Length.Float(), o.Height.Float(), o.Depth.Float()}
	out := [3]float64{o.SticksOut.Length.Float(), o.SticksOut.Height.Float(), o.SticksOut.Depth.Float()}
	box := Solid{Kind: "box",
		Min: [3]float64{foot[0] - (size[0]+out[0])/2, foot[1] - size[1], foot[2] - (size[2]+out[2])/2},
		Max: [3]float64{foot[0] + (size[0]-out[0])/2, foot[1], foot[2] + (size[2]-out[2])/2}}
	list := []Solid{box}
	for k := range 3 {
		if out[k] <= 0 {
			continue
		}
		knob := Solid{Kind: "out"}
		for j := range 3 {
			middle, half := (box.Min[j]+box.Max[j])/2, math.Min(size[0], math.Min(size[1], size[2]))/10
			knob.Min[j], knob.Max[j] = middle-half, middle+half
		}
		knob.Min[k], knob.Max[k] = box.Max[k], box.Max[k]+out[k]
		if k == 1 {
			knob.Min[k], knob.Max[k] = box.Min[k]-out[k], box.Min[k]
		}
		list = append(list, knob)
	}
	return list
}

// off is how far a book is drawn inside its cover, so that neither shows through the other.
const off = 1_500_000

// bookSolids are two boards and the pages between them, within the closed outside.
func bookSolids(b book, o plan.Object, least, most [3]float64) []Solid {
	top := (least[1] + most[1] - o.Height.Float()) / 2
	middle, half := (least[2]+most[2])/2, b.spine/2-off
	board := math.Min(o.Thickness.Float(), half/2)
	right := most[0] - b.turn/quarter/2
	slab := func(kind string, from, to, right float64) Solid {
		return Solid{Kind: kind, Min: [3]float64{least[0] + off, top, from},
			Max: [3]float64{right, top + o.Height.Float(), to}}
	}
	return []Solid{slab("board", middle-half, middle-half+board, right),
		slab("pages", middle-half+board, middle+half-board, right-board-off),
		slab("board", middle+half-board, middle+half, right)}
}
