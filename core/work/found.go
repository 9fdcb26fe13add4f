package work

import (
	"fmt"

	"umschlag/core/front"
	"umschlag/core/machine"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// makeFound cuts a panel that is there already to its size, and backs it.
func makeFound(b *builder, f front.Found) {
	panel := Sheet{What: "panel", Up: RightUp}
	step := Step{Of: f.In, Role: ref.DoPanel, Stage: Piecing, Stack: []Sheet{panel}, Title: "Trim the panel",
		Caution: rotaryCaution,
		Text:    fmt.Sprintf("To %s, what has to be in the middle in the middle.", b.size(f.Size)),
		Check:   "Opposite edges are as far from the middle of the design."}
	switch f.Kind {
	case plan.CountedPanel:
		step.Title, step.Text = "Cut the panel by its squares",
			fmt.Sprintf("%d squares outside the design at the left and the right, %d above and below: %d × %d squares, %s. Baste a thread along the row %d squares outside the design: that is the seam line.",
				f.Outside[0], f.Outside[1], f.Squares[0], f.Squares[1], b.size(f.Size), f.Shows)
		step.Check = "Count twice before you cut, from the middle of each side."
	case plan.WorkedPanel:
		step.Title, step.Text = "Trim the panel round its work",
			fmt.Sprintf("The work itself is what shows. Zigzag twice round it, a seam of %s outside its last row or loops, and cut outside the zigzag: %s. Do not trim closer, or it ravels.", b.text(roundGrid(b)), b.size(f.Size))
		step.Check = "No loop or stitch of the last row is cut."
	case plan.PrintedPanel:
		step.Title = "Cut the print apart"
		if f.Printed {
			step.Text = fmt.Sprintf("Cut it %s from its left and %s from its right edge, %s from the top and %s from the bottom: %s, with what has to be in the middle in the middle.",
				b.text(f.From[0]), b.text(f.From[1]), b.text(f.From[2]), b.text(f.From[3]), b.size(f.Size))
		}
		step.Check = "Prints are seldom square: measure from the middle, not from the printed frame."
	}
	b.add(step)
	if f.Backed {
		b.add(Step{Of: f.In, Role: ref.DoBacking, Stage: Piecing,
			Stack: []Sheet{{What: "firm backing", Up: WrongUp, Cloth: backedBy(b)}, panel}, Title: "Back the panel",
			Machine: machine.SetUp{Stitch: "straight stitch 4 mm", Needle: "80/12"}, Caution: pinsText(b),
			Text:  fmt.Sprintf("Lay it on its firm backing and sew both together round the edge, %s in: from here on they are one.", basted(b)),
			Check: "It hangs without sagging; a knitted or holed panel is not stretched."})
	}
}

// hasWorkedEdge reports whether the front is a hooked or knitted panel out to its edge, whose
// seam runs right against the work.
func hasWorkedEdge(b *builder) bool {
	return b.Face.Rings == 0 && len(b.Face.Found) == 1 && b.Face.Found[0].Kind == plan.WorkedPanel
}
