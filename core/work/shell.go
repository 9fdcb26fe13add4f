package work

import (
	"fmt"
	"slices"
	"strings"

	"umschlag/core/cover"
	"umschlag/core/front"
	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// ShellPanel is one piece of a shell as the work sees it.
type ShellPanel struct {
	Name, Title string
	Chain       layers.Chain
	Face        front.Face
	// Quilting is nil without.
	Quilting *plan.Quilting
	// Radii of its corners on the seam line.
	Radii outline.Radii
}

// ShellOrder is what the steps of a shell are made from.
type ShellOrder struct {
	Plan   plan.Plan
	Cover  cover.Cover
	Panels []ShellPanel
	Cuts   []Cut
	// Fittings in the order of the plan.
	Fittings []Fitting
}

const hoodCaution = "Try it on a cold appliance only, with the plug out. Do not leave it on while the appliance runs, and do not cover vents that need air; its manual has the last word."

// construction is what differs from cover to cover: how it is measured, and what
// is done when its seams are closed.
type construction struct {
	measure func(*builder)
	finish  func(*builder)
	// gap is what the last seam leaves open to turn the cover through: said before
	// it is sewn.
	gap string
}

var constructions = map[plan.CoverKind]construction{
	"wrap-hood":  {measure: (*builder).measureBox, finish: (*builder).openEdge},
	"band-hood":  {measure: (*builder).measureBox, finish: (*builder).openEdge},
	"skirt-hood": {measure: (*builder).measureBox, finish: (*builder).openEdge},
	"boxed-cushion": {measure: (*builder).measurePad, finish: (*builder).fillBox,
		gap: "Leave one long side of the last of them open, to turn the cover and to put the pad in."},
	"pad": {measure: (*builder).measureFlat, finish: (*builder).turnPad,
		gap: "Begin some 4 in from a corner of a straight side and leave a gap of 4 to 6 in there, to turn the pad through."},
	"jacket": {measure: (*builder).measureBook, finish: (*builder).turnJacket,
		gap: "Leave a gap of about 4 in at the lower edge, to turn the jacket through."},
}

// ShellSteps is the work of a cover that is joined from its pieces: each panel
// is finished flat, then the seams in order, then what closes it.
func ShellSteps(o ShellOrder) []Step {
	b := &builder{Order: Order{Plan: o.Plan, Cuts: o.Cuts, Fittings: o.Fittings}, style: o.Plan.Style()}
	c, ok := constructions[o.Plan.Cover.Kind]
	if !ok {
		return nil
	}
	c.measure(b)
	b.cutShell()
	for _, p := range o.Panels {
		b.panel(p)
		b.fittings(p.Name)
	}
	for i, j := range o.Cover.Joins {
		gap := ""
		if i == len(o.Cover.Joins)-1 {
			gap = c.gap
		}
		b.join(i+1, j, gap)
	}
	c.finish(b)
	return b.steps
}

const changePlan = "If the tape says otherwise, change the plan before anything is cut."

func (b *builder) measurePad() {
	o := b.Plan.Object
	b.add(Step{ID: "measure", Stage: Measuring, Title: "Measure the pad", Check: changePlan,
		Text: fmt.Sprintf("Across, up and through: the plan says %s × %s × %s.", b.text(o.Width), b.text(o.Height), b.text(o.Thickness))})
}

func (b *builder) measureFlat() {
	o := b.Plan.Object
	b.add(Step{ID: "measure", Stage: Measuring, Title: "Measure what it lies on", Check: changePlan,
		Text: fmt.Sprintf("Across and up: the plan says %s × %s.", b.text(o.Width), b.text(o.Height))})
}

func (b *builder) measureBook() {
	o := b.Plan.Object
	text := fmt.Sprintf("Close the book and lead a bending tape from one fore-edge round the spine to the other: the plan says %s, and %s high.", b.text(o.Wrap), b.text(o.Height))
	if o.Wrap == 0 {
		text = fmt.Sprintf("Measure one board, the spine and the height: the plan says %s, %s and %s.", b.text(o.Board), b.text(o.Spine), b.text(o.Height))
	}
	b.add(Step{ID: "measure", Stage: Measuring, Title: "Measure the book closed", Text: text, Check: changePlan})
}

func (b *builder) fillBox() {
	b.add(Step{ID: "turn", Stage: Closing, Title: "Turn it and put the pad in",
		Text: "Turn it through the open side, push the corners out with something blunt, put the pad in and slip-stitch the side shut."})
}

func (b *builder) turnPad() {
	b.add(Step{ID: "clip", Stage: Closing, Title: "Clip the corners", Text: clipText[b.Plan.Habits.Clip], Caution: "Never cut into the stitching."})
	b.add(Step{ID: "turn", Stage: Closing, Title: "Turn the pad", Press: "Press the edges.", Caution: ironCaution,
		Text: "Turn it through the gap, push the corners out with something blunt, and slip-stitch the gap."})
}

func (b *builder) turnJacket() {
	b.add(Step{ID: "clip", Stage: Closing, Title: "Clip the corners", Text: clipText[b.Plan.Habits.Clip], Caution: "Never cut into the stitching."})
	b.add(Step{ID: "turn", Stage: Closing, Title: "Turn the jacket", Press: "Press the edges.", Caution: ironCaution,
		Text: fmt.Sprintf("Through the gap left at the lower edge. Top-stitch all round at half the seam, %s, so that the gap is caught.", b.text(b.Plan.Cover.Seam/2))})
	b.add(Step{ID: "try", Stage: Closing, Title: "Try it on", Text: "Open the book wide, slide both boards into the flaps, and close it.", Check: "The book closes without pulling and opens flat."})
}

func (b *builder) measureBox() {
	o := b.Plan.Object
	text := fmt.Sprintf("Over everything that sticks out, not the body alone: the plan says %s long, %s deep and %s high", b.text(o.Length), b.text(o.Depth), b.text(o.Height))
	out := o.SticksOut
	var sticks []string
	for _, a := range []struct {
		name string
		l    length.Length
	}{{"in length", out.Length}, {"in depth", out.Depth}, {"in height", out.Height}} {
		if a.l > 0 {
			sticks = append(sticks, b.text(a.l)+" "+a.name)
		}
	}
	if len(sticks) > 0 {
		text += ", and " + strings.Join(sticks, ", ") + " for what sticks out"
	}
	b.add(Step{ID: "measure", Stage: Measuring, Title: "Measure the appliance", Text: text + ".",
		Check: changePlan, Caution: hoodCaution})
}

func (b *builder) cutShell() {
	var outer, under []string
	for _, c := range b.Cuts {
		if c.Under {
			under = append(under, c.ID)
		} else {
			outer = append(outer, c.ID)
		}
	}
	b.add(Step{ID: "cut.outer", Stage: Cutting, Title: "Cut the pieces", Cuts: outer, Caution: rotaryCaution,
		Text:  "The large pieces first, all the same way up. Mark the middle of every edge that will be joined.",
		Check: "Lay alike pieces on each other: they match edge to edge."})
	if len(under) > 0 {
		b.add(Step{ID: "cut.under", Stage: Cutting, Title: "Cut batting and lining", Cuts: under, Caution: rotaryCaution,
			Text: "They stand out beyond the tops on every side."})
	}
}

// panel quilts, trims and shapes one piece while it is flat.
func (b *builder) panel(p ShellPanel) {
	name := strings.ToLower(p.Title)
	b.Face, b.prefix = p.Face, p.Name+"."
	b.piece()
	b.bordered()
	b.prefix = ""
	if p.Chain.Batting != nil || p.Chain.Lining != "" {
		text := stackText(p.Chain, "the "+name+" right side up") + " Smooth from the middle, pin all over or use temporary spray."
		if p.Quilting == nil {
			text += " Sew round the edge ⅛ in first, then trim what lies under it even with the top."
		}
		b.add(Step{ID: "layers." + p.Name, Stage: Quilting, Title: "Layer the " + name, Caution: sprayCaution, Text: text})
	}
	if p.Quilting != nil {
		b.add(Step{ID: "quilt." + p.Name, Stage: Quilting, Title: "Quilt the " + name, Text: linesText(b.style, p.Quilting),
			Machine: "Walking foot, straight stitch 3 mm, needle 90/14", Caution: needleCaution, Check: "No pleats on the lining side."})
		b.add(Step{ID: "trim." + p.Name, Stage: Quilting, Title: "Trim the " + name, Caution: rotaryCaution,
			Text:  fmt.Sprintf("To %s: two adjacent edges first, then turn and measure the others from the cut edges.", b.size(p.Chain.Trimmed)),
			Check: "Both diagonals are equal."})
	}
	if r := b.radiusOf(p); r > 0 {
		which := "all four corners"
		if p.Radii.BottomLeft == 0 {
			which = "the two top corners only"
		}
		b.add(Step{ID: "round." + p.Name, Stage: Quilting, Title: "Round " + which + " of the " + name,
			Text:  fmt.Sprintf("Draw round a plate of %s pushed into the corner until it touches both edges, and cut along the line.", b.text(2*r)),
			Check: "Fold the piece down its middle: both corners match."})
	}
}

// radiusOf is the cut radius of the corners of a panel, 0 when they are square.
func (b *builder) radiusOf(p ShellPanel) length.Length {
	c := b.Plan.Cover.Corners
	switch {
	case p.Radii.Square():
		return 0
	case c.Plate != 0:
		return c.Plate / 2
	default:
		return c.Radius
	}
}

func (b *builder) join(n int, j cover.Join, gap string) {
	first := j.Lengths[0].Total()
	laid := "Right sides together, middles and quarters pinned first."
	if j.Laid != "" {
		laid = j.Laid
	}
	text := fmt.Sprintf("%s The seam is %s long", laid, b.text(first))
	if j.Count > 1 {
		text += fmt.Sprintf("; there are %d of them", j.Count)
	}
	step := Step{ID: fmt.Sprintf("join.%d", n), Stage: Closing, Title: "Sew " + j.Title, Text: text + ".",
		Machine: fmt.Sprintf("%s seam, straight stitch 2.5 mm, needle 90/14", b.text(b.Plan.Cover.Seam)), Caution: b.pins(),
		Check: "Nothing is caught in the seam."}
	if slices.ContainsFunc(j.Lengths[0].Then(j.Lengths[1]), func(t sum.Term) bool { return t.Kind == sum.Corner }) {
		step.Text += " Clip the straight edge every ¼ in where it goes round the corner, not into the stitching line."
	}
	if gap != "" {
		step.Text += " " + gap
	}
	b.add(step)
	if finish := insideText[b.Plan.Edges.Inside]; finish != "" {
		b.add(Step{ID: fmt.Sprintf("finish.%d", n), Stage: Closing, Title: "Finish that seam", Text: finish})
	}
}

func (b *builder) openEdge() {
	p := b.Plan
	text := map[plan.BottomFinish]string{
		"hem": fmt.Sprintf("Turn %s up at the bottom, press, and stitch close to the edge.", b.text(p.Cover.Bottom.Width)),
		"raw": "The bottom stays as it is cut: only for cloth that does not fray.",
	}[p.Cover.Bottom.Finish]
	if text == "" {
		text = "Bind the bottom edge all round; no allowance was added for it."
	}
	b.add(Step{ID: "bottom", Stage: Closing, Title: "Finish the bottom edge", Text: text, Caution: ironCaution})
	b.add(Step{ID: "try", Stage: Closing, Title: "Turn it, press it and try it on", Text: "It drops over without pulling, and lifts off with one hand.", Caution: hoodCaution})
}

// ShellThread is the sewing thread of a shell, top and bobbin together.
func ShellThread(o ShellOrder) sum.Sum {
	var s sum.Sum
	add := func(name string, seam length.Length, factor float64) {
		s = s.Plus(sum.Part, name, length.FromFloat(seam.Float()*factor))
	}
	for _, j := range o.Cover.Joins {
		seam := j.Lengths[0].Total().Times(j.Count)
		add(j.Title, seam, lockstitch)
		if o.Plan.Edges.Inside == "zigzag" {
			add("zigzag, "+j.Title, seam, denseZigzag)
		}
	}
	for i, p := range o.Panels {
		piece := o.Cover.Pieces[i]
		add("quilting, "+strings.ToLower(p.Title), quilted(o.Plan.Piece(piece.Config), p.Face.Sewn.Width.Total(), p.Face.Sewn.Height.Total()).Times(piece.Count), lockstitch)
	}
	return s
}
