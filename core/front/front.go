// Package front knows what a piece's face is made of: from a decided face and
// the size it has to fill, the patches and borders with their cuts, and where
// each lies.
//
// A face kind is one builder in this package and one line in builders.
package front

import (
	"fmt"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Role is what a part does in a face.
type Role string

// The roles of parts.
const (
	Panel     Role = "panel"
	Patch     Role = "patch"
	BorderEnd Role = "border-side" // sewn on first, left and right
	BorderRun Role = "border-run"  // sewn on second, across everything
)

// Part is one shape to be cut, with how many alike.
type Part struct {
	// Name within the face, unique: panel, patch.A, border.1.side.
	Name  string
	Title string
	Role  Role
	Cloth string
	Size  sum.Size
	Count int
	// Ring is the number of the border, from 1 inside; 0 for others.
	Ring int
}

// Cell is one part where it lies on the face, from the finished top left
// corner, right and down. Outermost cells reach out to the cut edge.
type Cell struct {
	Part          int
	X, Y          length.Length
	Width, Height length.Length
	// Row and Column of a patch, from 1; 0 for others.
	Row, Column int
}

// Face is a face reckoned.
type Face struct {
	Parts []Part
	Cells []Cell
	// Finished size as its parts lie side by side.
	Finished sum.Size
	// Sewn is the top with its raw edges, as its cuts come out.
	Sewn sum.Size
	// Columns and Rows of patches; 0 on a plain face.
	Columns, Rows int
	// Rings of borders.
	Rings int
}

// Order is what a face is reckoned from.
type Order struct {
	Face plan.Face
	// Path of the face in the plan.
	Path string
	// Finished size to be filled.
	Finished sum.Size
	// Trimmed size of the panel, and Top, the size it has to be sewn to.
	Trimmed, Top sum.Size
	// Seam allowance within the face and round it.
	Seam length.Length
	// Left and Above are what the piece has beyond its finished line at its left
	// and top edge.
	Left, Above length.Length
	// TakeAcross and TakeUp are the shares quilting takes.
	TakeAcross, TakeUp float64
	Margin             length.Length
	Absorb             plan.Absorb
	Step               length.Length
	Style              length.Style
}

// grow is what each side of the top has beyond the trimmed panel.
func (o Order) grow() (across, up length.Length) {
	return (o.Top.Width.Total() - o.Trimmed.Width.Total()) / 2, (o.Top.Height.Total() - o.Trimmed.Height.Total()) / 2
}

var builders = map[plan.FaceKind]func(Order) (Face, finding.List){
	plan.PlainFace: plain,
	plan.GridFace:  grid,
}

// Build reckons a face. A face that cannot fill its size gives no parts and
// says why, and what would fit.
func Build(o Order) (Face, finding.List) {
	build, ok := builders[o.Face.Kind]
	if !ok {
		var found finding.List
		found.Add(finding.Stop, "face-kind", o.Path+"/kind",
			fmt.Sprintf("A %s face is read and kept, but this version reckons plain faces and grids.", o.Face.Kind), "Choose a plain face or a grid.")
		return Face{}, found
	}
	found := unreckoned(o)
	if found.Stopped() {
		return Face{}, found
	}
	return build(o)
}

// unreckoned names what a face carries that would change its cuts and is not
// computed.
func unreckoned(o Order) finding.List {
	var found finding.List
	stop := func(key, what string) {
		found.Add(finding.Stop, "face-part", o.Path+"/"+key, what+" is read and kept, but its cuts are not reckoned here.", "Take it out of the face.")
	}
	f := o.Face
	if f.Set != "" && f.Set != plan.Straight {
		stop("set", "A grid on point")
	}
	if f.Block.Name != "" || f.Block.Cells != nil {
		stop("block", "A block")
	}
	if f.Sash != nil {
		stop("sash", "Sashing")
	}
	if len(f.Applique) > 0 {
		stop("applique", "Appliqué")
	}
	if f.Pocket != "" {
		stop("pocket", "A pocket front")
	}
	for i, b := range f.Borders {
		if b.Corner != plan.Butted && b.Corner != "" {
			stop(fmt.Sprintf("borders/%d/corner", i), "A border with corners of that kind")
		}
	}
	return found
}

// plain is one panel, cut as large as quilting and trimming need.
func plain(o Order) (Face, finding.List) {
	x, y := o.grow()
	return Face{
		Parts:    []Part{{Name: "panel", Title: "Panel", Role: Panel, Cloth: o.Face.Cloth, Size: o.Top.UpTo(o.Step), Count: 1}},
		Cells:    []Cell{{X: -o.Left - x, Y: -o.Above - y, Width: o.Top.Width.Total(), Height: o.Top.Height.Total()}},
		Finished: o.Finished,
		Sewn:     o.Top.UpTo(o.Step),
	}, nil
}
