// Package cover knows which pieces a cover has, how large each is finished, how
// its corners are shaped, what each edge has beyond its line, and which edges are
// joined: from the object measured, what sticks out, the ease and the shrinkage
// planned for.
//
// A cover kind is one builder in a file of its own and one line in builders.
package cover

import (
	"fmt"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Allowance is what an edge has beyond its seam or fold line. A bound edge has
// none.
type Allowance struct {
	Kind  sum.Kind
	Name  string
	Width length.Length
}

// Edges are the four edges of a piece as it stands.
type Edges struct{ Left, Right, Top, Bottom Allowance }

// Piece is one piece of the cover as it finishes.
type Piece struct {
	// Name is unique in the cover; Config is the name the plan decides it under.
	Name, Config string
	// Title as a maker reads it.
	Title string
	// Count of pieces alike in one cover.
	Count int
	// Finished size, from the object to the seam line.
	Finished sum.Size
	Edges    Edges
	// Radii of its corners on the seam line.
	Radii outline.Radii
	// Turns allows a long strip to be cut along the cloth where the print allows it.
	Turns bool
}

// Join is a seam between two pieces: the way along it on either side.
type Join struct {
	Title string
	// Laid says how the pieces are laid together where it is not right sides
	// together; empty for the usual way.
	Laid    string
	Between [2]string
	Lengths [2]sum.Sum
	// Count of such seams in one cover.
	Count int
	// Runs are where the seam lies on either piece; several where one piece has it
	// more than once.
	Runs [2][]Run
}

// Cover is a cover's pieces and the seams between them, in sewing order.
type Cover struct {
	Pieces []Piece
	Joins  []Join
}

// Trimmed is the size of a piece whose face finishes as given, with what its
// edges have beyond their lines.
func (p Piece) Trimmed(finished sum.Size) sum.Size {
	return sum.Size{
		Width:  between(p.Edges.Left, finished.Width, p.Edges.Right),
		Height: between(p.Edges.Top, finished.Height, p.Edges.Bottom),
	}
}

func between(first Allowance, s sum.Sum, last Allowance) sum.Sum {
	return sum.Sum{}.Plus(first.Kind, first.Name, first.Width).Then(s).Plus(last.Kind, last.Name, last.Width)
}

// Even reports whether every edge has the same seam allowance.
func (p Piece) Even() bool {
	e := p.Edges
	return e.Left == e.Right && e.Left == e.Top && e.Left == e.Bottom && e.Left.Kind == sum.Seam
}

// Line is the finished outline.
func (p Piece) Line() outline.Outline {
	return outline.Rounded(p.Finished.Width.Total(), p.Finished.Height.Total(), p.Radii)
}

// Cut is the outline with what the edges have beyond their lines, and with more
// on the upright sides and on the level ones. A rounded corner grows by the
// smaller of both, so that it stays round.
func (p Piece) Cut(across, up length.Length) outline.Outline {
	line := p.Line()
	each := make([]float64, len(line))
	for i := range line {
		each[i] = p.beyond(line[i], line[(i+1)%len(line)], across, up).Float()
	}
	return line.OffsetEach(each)
}

// beyond is how far one side of the outline moves.
func (p Piece) beyond(from, to outline.Vertex, across, up length.Length) length.Length {
	e := p.Edges
	switch {
	case from.Bulge != 0:
		return e.Top.Width + min(across, up)
	case to.Y < from.Y:
		return e.Left.Width + across
	case to.Y > from.Y:
		return e.Right.Width + across
	case to.X > from.X:
		return e.Top.Width + up
	default:
		return e.Bottom.Width + up
	}
}

var builders = map[plan.CoverKind]func(plan.Plan) (Cover, finding.List){
	plan.Cushion:    cushion,
	"boxed-cushion": boxedCushion,
	"wrap-hood":     wrapHood,
	"band-hood":     bandHood,
	"skirt-hood":    skirtHood,
	"jacket":        jacket,
	"pad":           pad,
}

// Pieces are the pieces of the planned cover and their joins. A cover that cannot
// be built gives none and says why.
func Pieces(p plan.Plan) (Cover, finding.List) {
	build, ok := builders[p.Cover.Kind]
	if !ok {
		var found finding.List
		found.Add(finding.Stop, "cover-kind", "/cover/kind", fmt.Sprintf("%q is no kind of cover.", p.Cover.Kind), "Choose a cushion, a hood, a jacket or a pad.")
		return Cover{}, found
	}
	found := unreckoned(p)
	if found.Stopped() {
		return Cover{}, found
	}
	return build(p)
}

// unreckoned names what a plan carries that would change its pieces and is not
// computed.
func unreckoned(p plan.Plan) finding.List {
	var found finding.List
	if p.Cover.Flange != 0 {
		found.Add(finding.Stop, "flange", "/cover/flange", "A flange is read and kept, but not reckoned here.", "Set the flange to 0.")
	}
	if p.Edges.Piping != nil || (p.Edges.Binding != nil && p.Cover.Kind == plan.Cushion) {
		found.Add(finding.Stop, "edges", "/edges", "Piping and binding are read and kept, but not reckoned here.", "Take them out of this plan.")
	}
	return found
}

// seamed is a seam allowance at an edge.
func seamed(s length.Length) Allowance {
	return Allowance{Kind: sum.Seam, Name: "seam allowance", Width: s}
}

// round is the same seam allowance at every edge.
func round(s length.Length) Edges {
	a := seamed(s)
	return Edges{Left: a, Right: a, Top: a, Bottom: a}
}

// cushion has a front and a back of one size.
func cushion(p plan.Plan) (Cover, finding.List) {
	a := measure(p)
	if !a.fits(plan.Form, "a pad") {
		return Cover{}, a.found
	}
	if k := p.Cover.Corners.Kind; k != plan.SquareCorners {
		a.found.Add(finding.Stop, "corners", "/cover/corners/kind",
			fmt.Sprintf("Cushions with %s corners are read and kept, but not reckoned here.", k), "Choose square corners.")
		return Cover{}, a.found
	}
	size := sum.Size{
		Width:  a.axis("width", "pad across", p.Object.Width, p.Object.SticksOut.Width, p.Cover.Ease.Width),
		Height: a.axis("height", "pad up", p.Object.Height, p.Object.SticksOut.Height, p.Cover.Ease.Height),
	}
	if a.found.Stopped() {
		return Cover{}, a.found
	}
	edges := round(p.Cover.Seam)
	return Cover{
		Pieces: []Piece{
			{Name: "front", Config: "front", Title: "Front", Count: 1, Finished: size, Edges: edges},
			{Name: "back", Config: "back", Title: "Back", Count: 1, Finished: size, Edges: edges},
		},
		Joins: []Join{{Title: "round the cover", Between: [2]string{"front", "back"}, Count: 1,
			Lengths: [2]sum.Sum{way(size), way(size)}, Runs: [2][]Run{{all}, {all}}}},
	}, a.found
}

// way is the way round a rectangle.
func way(s sum.Size) sum.Sum {
	return sum.Of(sum.Part, "across", s.Width.Total()).Plus(sum.Part, "up", s.Height.Total()).
		Plus(sum.Part, "across", s.Width.Total()).Plus(sum.Part, "up", s.Height.Total())
}
