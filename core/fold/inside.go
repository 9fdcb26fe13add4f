package fold

import (
	"math"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Inside is the room of a closed cover along one axis of what goes in.
type Inside struct {
	// Axis as the plan names it, and Name as a maker does.
	Axis, Name string
	// Wanted is the object with what sticks out and its ease.
	Wanted sum.Sum
	// Closed is what the closed cover measures on its seam lines, read off its leaves, and
	// Room what that leaves inside: less a flange, what washing takes and the bulk of its
	// layers. In nanometres.
	Closed, Room float64
}

// Nearly is, in nanometres, how far the room may be from what is wanted: a bend is drawn in
// leaves, and sizes are whole nanometres.
const Nearly = 10_000

// Fits tells whether the room is what is wanted.
func (i Inside) Fits() bool { return math.Abs(i.Room-i.Wanted.Total().Float()) <= Nearly }

// room is what the box round the closed cover leaves along each axis.
func (f *Folder) room(closed Fold, list []Extent) []Inside {
	least, most := closed.Reach(1)
	var out []Inside
	for _, m := range list {
		size := most[m.Direction] - least[m.Direction]
		flange := f.plan.Cover.Flange.Float()
		out = append(out, Inside{Axis: m.Axis, Name: m.Name, Wanted: f.wanted(m), Closed: size,
			Room: (size-2*flange)*(1-f.plan.Cover.Wash/100) - 2*f.plan.Cover.Bulk.Float()})
	}
	return out
}

// wanted is the object along an axis with what sticks out and its ease.
func (f *Folder) wanted(m Extent) sum.Sum {
	c := f.plan.Cover
	s := sum.Of(sum.Object, m.Name, m.Size).
		Plus(sum.Object, "what sticks out", alongAxis(f.plan.Object.SticksOut, m.Axis))
	if f.plan.Object.Edge == plan.SeamIncluded {
		s = s.Plus(sum.Seam, "its own seam allowances", -2*c.Seam)
	}
	return s.Plus(sum.Ease, "ease", alongAxis(c.Ease, m.Axis))
}

// alongAxis is the length of one axis, by its key in the plan.
func alongAxis(a plan.Axes, axis string) length.Length {
	return map[string]length.Length{"width": a.Width, "height": a.Height, "length": a.Length, "depth": a.Depth,
		"wrap": a.Wrap}[axis]
}

// wrapped is the way round a book, from where the outside turns round one fore-edge to where
// it turns round the other, along its closed leaves.
func (f *Folder) wrapped(closed Fold) []Inside {
	o := f.plan.Object
	tape := o.Wrap
	if tape == 0 {
		tape = 2*o.Board + o.Spine
	}
	outside := f.pieces["outside"]
	way := f.book(outside)
	size := 0.0
	poses := closed.Poses(1)
	for i, leaf := range closed.Leaves {
		if leaf.Piece != "outside" {
			continue
		}
		x1, x2 := reach(leaf.Points, 0)
		if x1 < way.begin+way.turn-rounding || x2 > way.end-way.turn+rounding {
			continue
		}
		a, b := poses[i].At([3]float64{x1, 0, 0}), poses[i].At([3]float64{x2, 0, 0})
		size += math.Hypot(math.Hypot(b[0]-a[0], b[1]-a[1]), b[2]-a[2])
	}
	return []Inside{{Axis: "wrap", Name: "round the book",
		Wanted: f.wanted(Extent{Axis: "wrap", Name: "round the book", Size: tape}),
		Closed: size, Room: size * (1 - f.plan.Cover.Wash/100)}}
}
