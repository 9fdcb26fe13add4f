package work

import (
	"fmt"
	"slices"
	"strings"

	"umschlag/core/applique"
	"umschlag/core/caution"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// named is how many shapes a step names with their places before it points to the
// drawing.
const named = 8

// layShapes lays, fuses and sews the shapes on a face: all that are not late, one layer at a
// time from the bottom, then their edges; then those that are late.
func layShapes(b *builder) {
	threads := applique.Threads(b.Applied)
	for _, late := range []bool{false, true} {
		for level := 1; level <= highest(b.Applied); level++ {
			layOn(b, level, late)
		}
		var strands []func()
		for i, t := range threads {
			if t.Late == late {
				strands = append(strands, func() { sewEdges(b, i, t) })
			}
		}
		b.apart(strands...)
	}
}

func highest(layers []applique.Layer) int {
	top := 0
	for _, l := range layers {
		top = max(top, l.Level)
	}
	return top
}

// shapeCuts are the ids of what is cut for the shapes of a piece.
func shapeCuts(b *builder, piece string) []string {
	var ids []string
	for _, c := range b.Cuts {
		if c.Piece == piece && c.Shape {
			ids = append(ids, c.ID)
		}
	}
	return ids
}

func cutShapes(b *builder, piece string) {
	cuts := shapeCuts(b, piece)
	if len(cuts) == 0 || len(b.Applied) == 0 {
		return // drawn lines alone
	}
	fused := slices.ContainsFunc(b.Applied, applique.Layer.Fused)
	loose := slices.ContainsFunc(b.Applied, func(l applique.Layer) bool { return l.Shape.Edge == plan.LooseEdge })
	var text []string
	if fused {
		text = append(text, "Trace each template as printed onto the paper side of the web: it is already mirrored. Cut the web roughly, iron it on the wrong side of its fabric, let it cool, and cut on the line.")
	}
	if loose {
		text = append(text, "Cut loose-edged shapes from fabric only, on the grain; fray the edges if you like.")
	}
	stack := []Sheet{{What: "fabric of the shape", Up: WrongUp}}
	if fused {
		stack = append(stack, Sheet{What: "web, its paper up"})
	}
	b.add(Step{Role: ref.DoCutShapes, Stage: Piecing, Things: len(b.Applied),
		Stack: stack, Title: "Cut the shapes", Cuts: cuts,
		Text: strings.Join(text, " "), Caution: ironCaution,
		Check: "Lay each on the drawing: it faces the same way."})
}

// layOn lays one layer of shapes on and fuses it.
func layOn(b *builder, level int, late bool) {
	var places, felt []string
	loose, fused := false, false
	for _, l := range b.Applied {
		if l.Level != level || l.Late != late || l.Line() {
			continue
		}
		x, y := inBorders(b)
		places = append(places,
			fmt.Sprintf("%s: %s from the left, %s from the top.", l.Title, b.text(l.From.Left-x), b.text(l.From.Top-y)))
		loose, fused = loose || l.Shape.Edge == plan.LooseEdge, fused || l.Fused()
		if l.Shape.Edge == plan.NoEdge {
			felt = append(felt, l.Title)
		}
	}
	if len(places) == 0 {
		return
	}
	step := Step{Role: ref.DoLayShapes, Level: level, Late: late, Stage: Piecing, Things: len(places),
		Stack: append(b.faceUp(b.on), Sheet{What: fmt.Sprintf("layer %d of the shapes", level), Up: RightUp}),
		Title: fmt.Sprintf("Place and fuse layer %d", level), Caution: ironCaution,
		Press: "Press, lift and press again; do not slide the iron.",
		Check: "Measure from the other two edges as well before you press: " + fromOther(b, level, late)}
	if late {
		step.Title = fmt.Sprintf("Place and fuse the late shapes of layer %d", level)
	}
	text := places
	if len(text) > named {
		text = append(slices.Clone(text[:named]), fmt.Sprintf("The other %d as drawn.", len(places)-named))
	}
	if b.Chain.BordersAfter() {
		text = append(text, fmt.Sprintf("All from the seam line of the centre, which lies %s inside its raw edge.",
			b.text(b.Plan.Cover.PiecingSeam)))
	} else if inset := (b.Face.Sewn.Width.Total() - b.Face.Finished.Width.Total()) / 2; inset > 0 {
		text = append(text, fmt.Sprintf("All distances are from the finished edge, about %s in from the raw edge.",
			b.about(inset.Ceil(length.Inch/8), inset.Ceil(length.Millimetre))))
	}
	if loose {
		text = append(text, "Pin what is loose: the shapes on top hold it.")
	}
	if len(felt) > 0 {
		text = append(text, fmt.Sprintf("%s: fused, and no edge to sew.", strings.Join(felt, ", ")))
	}
	step.Text, step.Rest = strings.Join(text, " "), cooled(fused)
	b.add(step)
}

// inBorders is how far from the edges of the front a place is measured that is laid on before its borders are.
func inBorders(b *builder) (x, y length.Length) {
	if b.Chain.BordersAfter() {
		return b.Face.Border[0], b.Face.Border[1]
	}
	return 0, 0
}

// fromOther are the distances from the right and the bottom.
func fromOther(b *builder, level int, late bool) string {
	var places []string
	x, y := inBorders(b)
	for _, l := range b.Applied {
		if l.Level == level && l.Late == late && !l.Line() && len(places) < named {
			places = append(places,
				fmt.Sprintf("%s %s from the right and %s from the bottom", lower(l.Title), b.text(l.From.Right-x),
					b.text(l.From.Bottom-y)))
		}
	}
	return strings.Join(places, "; ") + "."
}

func lower(title string) string {
	r := []rune(title)
	return strings.ToLower(string(r[:1])) + string(r[1:])
}

// sewEdges sews what shows, in one thread.
func sewEdges(b *builder, i int, t applique.Thread) {
	stitch := applique.StitchOf(t.Edge)
	cloth, _ := b.Plan.Cloth(t.Cloth)
	title := fmt.Sprintf("Sew the edges of %s", cloth.Name)
	text := "In a thread of its colour, only what shows:"
	if t.Edge == plan.DrawnLine {
		title = fmt.Sprintf("Sew the lines on %s", cloth.Name)
		text = "With thread two shades darker than the fabric:"
	}
	machine := stitch.Machine
	machine.Thread, machine.Darker = cloth.Name, t.Edge == plan.DrawnLine
	var parts []string
	for _, term := range t.Seam {
		parts = append(parts, fmt.Sprintf("%s %s", term.Name, b.text(term.Amount)))
	}
	if len(parts) > named {
		parts = append(parts[:named:named], fmt.Sprintf("%d more as drawn", len(t.Seam)-named))
	}
	b.add(Step{Role: ref.DoSewShapes, Thread: i + 1, Late: t.Late, Stage: Piecing, Sewn: t.Seam.Total(),
		Stack: append([]Sheet{{What: "tear-away stabiliser"}},
			append(b.faceUp(b.on), Sheet{What: "shape", Up: RightUp, Cloth: t.Cloth})...), Title: title,
		Machine: machine, Caution: edgeCaution(b, t.Edge),
		Text: fmt.Sprintf("%s %s. %s takes about %s of thread. Put tear-away stabiliser underneath. Pull the thread ends to the back and knot them.",
			text, strings.Join(parts, ", "), together(t, stitch, b.text), b.text(t.Length.Ceil(length.Inch))),
		Check: "The stitch covers the cut edge, and what a shape covers is left unsewn."})
}

// together is all of a thread's stitching as the subject of a sentence.
func together(t applique.Thread, stitch applique.Stitch, text func(length.Length) string) string {
	if len(t.Seam) == 1 {
		return "This " + stitch.Title
	}
	return fmt.Sprintf("Together %s of %s; it", text(t.Seam.Total()), stitch.Title)
}

func edgeCaution(b *builder, e plan.ShapeEdge) caution.Said {
	if e == plan.HandEdge {
		return caution.Of("Needle", "Count your needles before and after: one left in a cover will hurt someone.")
	}
	return needleCaution
}
