package applique

import (
	"fmt"

	"umschlag/core/length"
	"umschlag/core/machine"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Stitch is how an edge is sewn.
type Stitch struct {
	// Title names it within a sentence; empty where nothing is sewn.
	Title string
	// Machine is how it is set up; its thread is that of the shape.
	Machine machine.SetUp
	// thread per length of edge.
	thread float64
	// needs is how wide a patch has to be for it.
	needs length.Length
}

// stitches by edge. Thread of a satin stitch and of a straight stitch is from memory of
// sewing-thread handbooks, not checked against one. A blanket stitch as deep as it is
// long takes, by geometry, three lengths of thread for one of edge, and by machine one
// more of the bobbin. Widths are common practice.
var stitches = map[plan.ShapeEdge]Stitch{
	plan.ZigzagEdge: {Title: "satin stitch",
		Machine: machine.SetUp{Foot: "open-toe foot", Stitch: "zigzag 3 mm wide and 0.4 mm long", Needle: "80/12"},
		thread:  7, needs: 3 * length.Millimetre},
	plan.BlanketEdge: {Title: "blanket stitch",
		Machine: machine.SetUp{Foot: "open-toe foot", Stitch: "blanket stitch 3 mm deep and 3 mm long",
			Needle: "80/12"}, thread: 4, needs: 3 * length.Millimetre},
	plan.HandEdge: {Title: "blanket stitch by hand",
		Machine: machine.SetUp{Hand: true, Stitch: "two strands, stitches 3 mm deep and 3 mm apart"}, thread: 3,
		needs: 3 * length.Millimetre},
	plan.StraightEdge: {Title: "straight stitch",
		Machine: machine.SetUp{Stitch: "straight stitch 2 mm, 2 mm inside the edge", Needle: "80/12"}, thread: 2.5,
		needs: 4 * length.Millimetre},
	plan.NoEdge:    {},
	plan.LooseEdge: {},
	plan.DrawnLine: {Title: "satin line",
		Machine: machine.SetUp{Foot: "open-toe foot", Stitch: "zigzag 2 mm wide and 0.4 mm long", Needle: "80/12"},
		thread:  7},
}

// StitchOf is how an edge is sewn; it has no title where it is not.
func StitchOf(e plan.ShapeEdge) Stitch { return stitches[e] }

// Thread is what one thread sews in one stitch.
type Thread struct {
	Cloth string
	Edge  plan.ShapeEdge
	// Late tells that it is sewn with the shapes fused late.
	Late bool
	// Layers sewn, by their numbers, and Seam, how much of their edges shows.
	Layers []int
	Seam   sum.Sum
	// Length of thread it takes.
	Length length.Length
}

// Name of the thread, to be bought for a cloth of a name.
func (t Thread) Name(cloth string) string {
	name := fmt.Sprintf("thread for %s, %s", cloth, StitchOf(t.Edge).Title)
	if t.Edge == plan.DrawnLine {
		return "darker " + name
	}
	return name
}

// Threads are the stitching of some layers, what is sewn before the late ones first, each
// thread where its lowest shape is.
func Threads(layers []Layer) []Thread {
	var out []Thread
	for _, late := range []bool{false, true} {
		from := len(out)
		for i, l := range layers {
			s := stitches[l.Shape.Edge]
			if s.Title == "" || l.Shows == 0 || l.Late != late {
				continue
			}
			t := threadOf(&out, from, l)
			t.Layers = append(t.Layers, i)
			t.Seam = t.Seam.Plus(sum.Part, l.Title, l.Shows)
			t.Length += length.FromFloat(l.Shows.Float() * s.thread)
		}
	}
	return out
}

// threadOf is the thread for a layer among those from a number on, added if there is none.
func threadOf(list *[]Thread, from int, l Layer) *Thread {
	for i := from; i < len(*list); i++ {
		if t := &(*list)[i]; t.Cloth == l.Shape.Cloth && t.Edge == l.Shape.Edge {
			return t
		}
	}
	*list = append(*list, Thread{Cloth: l.Shape.Cloth, Edge: l.Shape.Edge, Late: l.Late})
	return &(*list)[len(*list)-1]
}
