package work

import (
	"fmt"
	"maps"
	"slices"
	"strings"

	"umschlag/core/applique"
	"umschlag/core/caution"
	"umschlag/core/cover"
	"umschlag/core/front"
	"umschlag/core/kind"
	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/machine"
	"umschlag/core/plan"
	"umschlag/core/press"
	"umschlag/core/quilt"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// ShellPanel is one piece of a shell as the work sees it.
type ShellPanel struct {
	Piece cover.Piece
	Chain layers.Chain
	Face  front.Face
	// Applied are the shapes laid on it.
	Applied []applique.Layer
	// Pressed is the pressing plan of the face.
	Pressed press.Plan
	// Pattern is the quilting as it is sewn.
	// Borders is the quilting of borders that are quilted by themselves.
	Pattern, Borders quilt.Pattern
	// Quilting is nil without.
	Quilting *plan.Quilting
	// Strips is how many a long strip is joined from.
	Strips int
	// Surplus is what a face of patches has beyond an open edge.
	Surplus length.Length
}

func (p ShellPanel) name() string { return strings.ToLower(p.Piece.Title) }

// ShellOrder is what the steps of a shell are made from.
type ShellOrder struct {
	Plan   plan.Plan
	Cover  cover.Cover
	Panels []ShellPanel
	Cuts   []Cut
	// Fittings in the order of the plan.
	Fittings []Fitting
	Edges    []Edging
	// Made is nil where the pad is bought.
	Made *Form
	// Backings are the cloths that are backed before they are cut.
	Backings []Backed
}

var hoodCaution = caution.Of("Heat", "Try it on a cold appliance only, with the plug out. Do not leave it on while the appliance runs, and do not cover vents that need air; its manual has the last word.")

// Construction is how a cover of a kind that is joined from its pieces is measured, and what is done when its
// seams are closed.
type Construction struct {
	Measure, Finish func(Maker)
	// Gap says where the seam that leaves one begins; the gap itself is the join's.
	Gap string
}

// Maker adds steps, each after the one before.
type Maker struct{ b *builder }

// Add adds a step. Its id and what it needs follow from its place.
func (m Maker) Add(s Step) { m.b.add(s) }

// Text is a length in the plan's unit.
func (m Maker) Text(l length.Length) string { return m.b.text(l) }

// Lastly adds what every cover ends with.
func (m Maker) Lastly() { m.b.lastly() }

// Constructions are those of the kinds of covers, by their words in the plan. A cover that is closed by its back
// has none.
var Constructions kind.Set[Construction]

func init() {
	hood := Construction{Measure: func(m Maker) { measureBox(m.b) }, Finish: func(m Maker) { closeOpenEdge(m.b) }}
	Constructions.Add("wrap-hood", hood)
	Constructions.Add("band-hood", hood)
	Constructions.Add("skirt-hood", hood)
	Constructions.Add("boxed-cushion",
		Construction{Measure: func(m Maker) { measurePad(m.b) }, Finish: func(m Maker) { fillBox(m.b) },
			Gap: "at the back of the second panel, to turn the cover and to put the insert in"})
	Constructions.Add("pad", Construction{Measure: func(m Maker) { measureFlat(m.b) },
		Finish: func(m Maker) { turnPad(m.b) },
		Gap:    "away from a corner, to turn the seat pad through"})
	Constructions.Add("jacket",
		Construction{Measure: func(m Maker) { measureBook(m.b) }, Finish: func(m Maker) { turnJacket(m.b) },
			Gap: "in the middle of the lower edge, to turn the jacket through"})
}

// ShellSteps is the work of a cover that is joined from its pieces: each panel
// is finished flat, then the seams in order, then what closes it.
func ShellSteps(o ShellOrder) []Step {
	b := &builder{Order: Order{Plan: o.Plan, Cuts: o.Cuts, Fittings: o.Fittings, Edges: o.Edges, Made: o.Made,
		Backings: o.Backings}, style: o.Plan.Style()}
	c, ok := Constructions.Of(string(o.Plan.Cover.Kind))
	if !ok {
		return nil
	}
	c.Measure(Maker{b})
	sewShellSamples(b, o.Panels)
	b.on = ""
	backCloths(b)
	measured := b.after
	cutShell(b, o.Panels)
	flat := finishPanels(b, o.Panels)
	b.on = "" // from here on several pieces lie on the table
	names, closed := piped(o.Cover)
	makeEdgings(b, measured, flat.of(names), piping{on: first(names), closed: closed, stage: Quilting})
	b.on = ""
	sewJoins(b, o, c.Gap, flat)
	for _, p := range o.Panels {
		sewFittings(b, p.Piece.Name, true)
	}
	c.Finish(Maker{b})
	return inOrder(b.steps)
}

// sewShellSamples sews the samples that decide how panels are cut.
func sewShellSamples(b *builder, panels []ShellPanel) {
	var strands []func()
	for _, p := range panels {
		strands = append(strands, func() {
			b.Face, b.on = p.Face, p.Piece.Name
			sewSamples(b)
		})
	}
	b.apart(strands...)
}

// finished are the last steps of panels, by their names.
type finished map[string][]string

// of are the last steps of some panels; of all of them where none is known.
func (f finished) of(names []string) []string {
	var out []string
	for _, name := range names {
		out = union(out, f[name])
	}
	if len(out) == 0 {
		for _, name := range slices.Sorted(maps.Keys(f)) {
			out = union(out, f[name])
		}
	}
	return out
}

// finishPanels finishes each panel while it is flat.
func finishPanels(b *builder, panels []ShellPanel) finished {
	cut, out := b.after, finished{}
	for _, p := range panels {
		b.after = cut
		finishPanel(b, p)
		sewFittings(b, p.Piece.Name, false)
		out[p.Piece.Name] = b.after
	}
	return out
}

// piped are the pieces of the first seam that piping is caught in, and whether it meets itself there.
func piped(c cover.Cover) (names []string, closed bool) {
	for _, j := range c.Joins {
		if j.Piped > 0 {
			return j.Between[1:], j.Closed
		}
	}
	return nil, false
}

func first(names []string) string {
	if len(names) == 0 {
		return ""
	}
	return names[0]
}

// sewJoins sews the seams in their order, each when its pieces are finished; what is joined
// to nothing is finished before what comes after them.
func sewJoins(b *builder, o ShellOrder, gap string, flat finished) {
	b.after, b.on = nil, ""
	joined := map[string]bool{}
	for i, j := range o.Cover.Joins {
		needs := flat.of(append(j.Between[:], j.Also))
		if j.Piped > 0 {
			needs = union(needs, b.having(ref.DoBastePiping))
		}
		b.after = union(b.after, needs)
		sewJoin(b, i+1, j, gap)
		joined[j.Between[0]], joined[j.Between[1]], joined[j.Also] = true, true, true
	}
	for _, p := range o.Panels {
		if !joined[p.Piece.Name] {
			b.after = union(b.after, flat[p.Piece.Name])
		}
	}
}

const changePlan = "If the tape says otherwise, change the plan before anything is cut."

func measurePad(b *builder) {
	o := b.Plan.Object
	b.add(Step{Role: ref.DoMeasure, Stage: Measuring, Title: "Measure the insert", Check: changePlan,
		Text: fmt.Sprintf("%s, and through it, %s thick.", flatText(b), b.text(o.Thickness))})
}

// flatText says how something with a width and a height is measured, or something
// round.
func flatText(b *builder) string {
	o := b.Plan.Object
	if o.Round() {
		return fmt.Sprintf("Across its middle, in two directions: the plan says %s", b.text(o.Width))
	}
	return fmt.Sprintf("Across and up: the plan says %s × %s", b.text(o.Width), b.text(o.Height))
}

func measureFlat(b *builder) {
	b.add(Step{Role: ref.DoMeasure, Stage: Measuring, Title: "Measure what it lies on", Check: changePlan,
		Text: flatText(b) + "."})
}

func measureBook(b *builder) {
	o := b.Plan.Object
	text := fmt.Sprintf("Close the book. Run a tape measure from one fore-edge round the spine to the other: the plan says %s, and %s high.", b.text(o.Wrap), b.text(o.Height))
	if o.Wrap == 0 {
		text = fmt.Sprintf("Measure one board, the spine and the height: the plan says %s, %s and %s.", b.text(o.Board),
			b.text(o.Spine), b.text(o.Height))
	}
	b.add(Step{Role: ref.DoMeasure, Stage: Measuring, Title: "Measure the book closed", Text: text, Check: changePlan,
		Tips: []string{"Lead the tape round the spine: board, spine and board measured one by one come out short."}})
}

func fillBox(b *builder) {
	if b.Plan.Back.Kind == plan.Zip {
		b.add(Step{Role: ref.DoTurn, Stage: Closing, Title: "Turn it and put the insert in",
			Text: "Open the zip all the way, turn the cover through it, " + b.pushed() + ", and put the insert in."}, b.having(ref.DoForm)...)
		b.lastly()
		return
	}
	b.add(Step{Role: ref.DoTurn, Stage: Closing, Title: "Turn it and put the insert in",
		Text: "Turn it through the gap, " + b.pushed() + ", put the insert in and slip-stitch the gap shut."}, b.having(ref.DoForm)...)
	b.lastly()
}

func turnPad(b *builder) {
	clipSeams(b)
	b.add(Step{Role: ref.DoTurn, Stage: Closing, Title: "Turn the seat pad", Press: "Press the edges.",
		Caution: ironCaution,
		Text:    "Turn it through the gap, " + b.pushed() + ", turn the edges of the gap in and press them, and slip-stitch it."})
	b.lastly()
}

func turnJacket(b *builder) {
	clipSeams(b)
	b.add(Step{Role: ref.DoTurn, Stage: Closing, Title: "Turn the jacket", Press: "Press the edges.",
		Caution: ironCaution,
		Text: turnText[b.Plan.Cover.Flaps.Style] + fmt.Sprintf(" Push the corners out with something blunt and press the edges, those of the gap turned in. Top-stitch all round %s from the edge, begun in the middle of a side, needle down at the corners, and over its beginning at the end.",
			b.text(b.Plan.Edges.Topstitch))})
	b.add(Step{Role: ref.DoTry, Stage: Closing, Title: "Try it on",
		Tips:  []string{"Fold the jacket back on itself and slip both boards in together."},
		Text:  "Open the book wide, slide both boards into the flaps, and close it.",
		Check: "The book closes without pulling and opens flat."})
	b.lastly()
}

// turnText says how a jacket comes right side out.
var turnText = map[plan.FlapStyle]string{
	plan.Folded:   "Turn it through the gap. The top-stitching closes that.",
	plan.Flipped:  "Turn it through the gap, then flip the flaps to the inside. The top-stitching closes the gap.",
	plan.TurnedIn: "Turn it through one of its open ends, then turn the flaps to the inside.",
}

// sellingCaution stands at the end when more than one is made.
var sellingCaution = caution.Of("Selling", "If you sell them: labels, fibre content and rules for children’s products differ from country to country. Check them first.")

// smallest is the size under which something filled can be swallowed or lost in a
// cot. Common practice.
const smallest = 6 * length.Inch

// lastly is the look at a finished cover whose use or sale can hurt someone.
func (b *builder) lastly() {
	o := b.Plan.Object
	var cautions caution.Said
	if o.Kind == plan.Flat {
		cautions = append(cautions, caution.Caution{Word: "No restraint",
			Text: "A seat pad is no restraint and holds nobody in a seat."})
	}
	if size := max(o.Width, o.Height); (o.Kind == plan.Flat || o.Kind == plan.Form) && size <= smallest {
		cautions = append(cautions, caution.Caution{Word: "Small children",
			Text: "Something this small, and what fills it, is not for small children, and nothing loose belongs in a cot or crib."})
	}
	if b.Plan.Copies > 1 {
		cautions = append(cautions, sellingCaution...)
	}
	if len(cautions) == 0 {
		return
	}
	b.add(Step{Role: ref.DoInspect, Stage: Closing, Title: "Look it over",
		Text:    "Every seam from both sides, every corner, every fitting: pull gently.",
		Caution: cautions,
		Check:   "No seam opens, nothing is caught, no pin is left in it."})
}

func measureBox(b *builder) {
	o := b.Plan.Object
	out := o.SticksOut
	var sizes []string
	for _, side := range []struct {
		body, out length.Length
		way       string
	}{{o.Length, out.Length, "long"}, {o.Depth, out.Depth, "deep"}, {o.Height, out.Height, "high"}} {
		size := b.text(side.body+side.out) + " " + side.way
		if side.out > 0 {
			size += fmt.Sprintf(" (%s + %s for what sticks out)", b.text(side.body), b.text(side.out))
		}
		sizes = append(sizes, size)
	}
	text := "Measure over everything that sticks out. The plan says " + strings.Join(sizes, ", ")
	b.add(Step{Role: ref.DoMeasure, Stage: Measuring, Title: "Measure the appliance", Text: text + ".",
		Check: changePlan, Caution: hoodCaution})
}

func cutShell(b *builder, panels []ShellPanel) {
	var outer, under []string
	for _, c := range b.Cuts {
		if c.Shape || c.Piece == "form" || slices.ContainsFunc(b.Edges, func(e Edging) bool { return e.Cut == c.ID }) {
			continue // cut when it is made
		}
		if c.Border && slices.ContainsFunc(panels,
			func(p ShellPanel) bool { return p.Piece.Name == c.Piece && p.Chain.BordersAfter() }) {
			continue // cut to the quilted centre
		}
		if c.Under {
			under = append(under, c.ID)
		} else {
			outer = append(outer, c.ID)
		}
	}
	measured := b.after
	b.add(Step{Role: ref.DoCutOuter, Stage: Cutting, Title: "Cut the pieces", Cuts: outer, Caution: rotaryCaution,
		Text:  "Cut the large pieces first, prints the same way up. Mark the middle of every edge that will be joined.",
		Check: "Stack matching pieces: their edges line up."})
	if len(under) > 0 {
		b.beside(measured, func() {
			b.add(Step{Role: ref.DoCutUnder, Stage: Cutting, Title: "Cut batting and lining", Cuts: under,
				Caution: rotaryCaution,
				Text:    underText(panels)})
		})
	}
}

// underText says how large what lies under the tops is.
func underText(panels []ShellPanel) string {
	if slices.ContainsFunc(panels, func(p ShellPanel) bool { return p.Chain.StandsOut() }) {
		return "Cut them larger than the tops on every side, to be trimmed later."
	}
	return "Cut them as large as the tops they go under."
}

// finishPanel quilts, trims and shapes one piece while it is flat.
func finishPanel(b *builder, p ShellPanel) {
	name, id := p.name(), p.Piece.Name
	b.on = id
	sewStrips(b, p)
	b.Face, b.Pressed, b.Quilted = p.Face, p.Pressed, p.Quilting != nil
	b.Applied, b.Pattern, b.Borders, b.Chain = p.Applied, p.Pattern, p.Borders, p.Chain
	sewFace(b, id)
	if p.Chain.Batting != nil || p.Chain.Lining != "" {
		top := "the " + name + " right side up"
		if p.Chain.BordersAfter() {
			top = centreLaid(name)
		}
		text := stackText(p.Chain, top) + " " + heldBy(b)
		if p.Quilting == nil {
			text += " Stay-stitch round the edge first, " + basted(b) + " in"
			if p.Chain.StandsOut() {
				text += ", then trim batting and lining level with the top"
			}
			text += "."
		}
		b.add(Step{Role: ref.DoLayers, Stage: Quilting, Title: "Layer the " + name, Caution: holdCaution(b),
			Text: text, Rest: cooled(p.Chain.Web), Machine: quilting(b, p.Chain),
			Stack: layeredStack(p.Chain, name, b.faceCloth(id))}, b.having(ref.DoCutUnder)...)
	}
	if p.Quilting != nil {
		sewQuilting(b, p.Quilting, "Quilt the "+name)
		b.add(Step{Role: ref.DoTrim, Stage: Quilting,
			Stack: layeredStack(p.Chain, name, b.faceCloth(id)), Title: "Trim the " + name, Caution: rotaryCaution,
			Text: fmt.Sprintf("To %s: two adjacent edges first, then turn and measure the others from the cut edges.",
				b.size(p.Chain.Trimmed)),
			Check: "Both diagonals are equal."})
	}
	if p.Surplus > 0 {
		b.add(Step{Role: ref.DoOpenEdge, Stage: Quilting, Stack: b.faceUp(id),
			Title: "Trim the open edge of the " + name, Caution: rotaryCaution,
			Text: fmt.Sprintf("Its patches were cut with a seam there and the edge takes less: trim %s off.",
				b.text(p.Surplus))})
	}
	shapeCorners(b, p.Piece, p.name(), id)
}

// sewStrips joins a long strip from shorter ones.
func sewStrips(b *builder, p ShellPanel) {
	if p.Strips < 2 {
		return
	}
	b.add(Step{Role: ref.DoEndToEnd, Stage: Piecing,
		Stack: facing(Sheet{What: "strip so far", Cloth: b.faceCloth(p.Piece.Name)},
			Sheet{What: "next strip", Cloth: b.faceCloth(p.Piece.Name)}), Title: "Join the strips of the " + p.name(),
		Machine: joining(b), Press: "Press the seams open.", Caution: pinsText(b),
		Text: fmt.Sprintf("Sew %d strips end to end, right sides together.", p.Strips),
		Check: fmt.Sprintf("The whole is %s long, raw edge to raw edge; trim what is beyond.",
			b.text(p.Chain.Top.Width.Total()))})
}

// shapeCorners cuts the corners of a panel, or the whole of it, to its outline.
func shapeCorners(b *builder, p cover.Piece, name, id string) {
	step := Step{Role: ref.DoCorners, Stage: Quilting, Stack: b.faceUp(id),
		Check: "Fold the piece down its middle and across: the edges match."}
	r := b.Plan.Cover.Seam + p.Radii.TopLeft
	switch {
	case p.Taper > 0:
		step.Title = "Taper the corners of the " + name
		step.Text = fmt.Sprintf("On the seam line, mark each corner %s in from both sides, and each side a quarter of its length from the corner. Draw from mark to mark, add the seam and cut along the outer line.", b.text(p.Taper))
	case p.Radii.Square():
		return
	case b.Plan.Object.Round():
		step.Title = "Cut the " + name + " round"
		step.Text = fmt.Sprintf("Fold it in four and pin it. Hold a tape at the folded corner and mark an arc %s from it. Cut through all layers along the arc.", b.text(r))
	default:
		which := "all four corners"
		if p.Radii.BottomLeft == 0 {
			which = "the two top corners only"
		}
		step.Title = "Round " + which + " of the " + name
		step.Text = fmt.Sprintf("Push a plate %s across into the corner until it touches both edges, draw round it, and cut along the line.", b.text(2*r))
	}
	b.add(step)
}

// sturdy is how thick the seams of a shell are at least, where two of them cross.
const sturdy = 3 * length.Millimetre

func sewJoin(b *builder, n int, j cover.Join, gap string) {
	first := j.Lengths[0].Total()
	laid := "Right sides together, middles and quarters pinned first."
	if j.Laid != "" {
		laid = j.Laid
	}
	text := fmt.Sprintf("%s The seam is %s long", laid, b.text(first))
	if j.Count > 1 {
		text += fmt.Sprintf("; there are %d of them", j.Count)
	}
	step := Step{Role: ref.DoJoin, Join: n, Seats: j.Seats(), Stage: Closing, Title: "Sew " + j.Title, Text: text + ".",
		Machine: closingSetUp(b, j.Piped > 0 && b.Plan.Edges.Piping != nil, sturdy), Caution: pinsText(b),
		Check: "Before pinning, measure the other edge along its seam line. After sewing, see that nothing is caught.",
		Gate:  ref.Seam(j.Seats()), Reads: ReadsEdge, Expect: sum.Size{Width: j.Lengths[1]}}
	if slices.ContainsFunc(j.Lengths[0].Then(j.Lengths[1]), func(t sum.Term) bool { return t.Kind == sum.Corner }) {
		step.Text += fmt.Sprintf(" Where the straight edge goes round "+b.cornered("a corner", "the curve")+
			", snip its allowance every %s, stopping short of the seam line.", b.about(length.Inch/4, 6*length.Millimetre))
	}
	step.Stack = joinStack(b, j)
	if j.Gap > 0 {
		step.Text += fmt.Sprintf(" Leave a gap of %s %s.", b.text(j.Gap), gap)
	}
	step.Text += " " + seamEnds(b, j.Closed, j.Gap > 0)
	b.add(step)
	if finish := insideText[b.Plan.Edges.Inside]; finish != "" && !j.Folded {
		b.add(Step{Role: ref.DoFinish, Join: n, Seats: j.Seats(), Stage: Closing, Title: "Finish the seam, " + j.Title,
			Text: finish, Stack: joinStack(b, j),
			Sewn:    first.Times(max(1, j.Count)),
			Machine: insideMachine[b.Plan.Edges.Inside]})
	}
}

// clipSeams thins the allowance where it would bunch when turned.
func clipSeams(b *builder) {
	b.add(Step{Role: ref.DoClip, Stage: Closing, Turned: true, Title: clipsTitle(b), Text: clipsText(b),
		Caution: stitchCaution})
}

// clipsTitle says where.
func clipsTitle(b *builder) string { return b.cornered("Clip the corners", "Notch the curves") }

// clipsText says how, by the school for square corners.
func clipsText(b *builder) string {
	text := clipText[b.Plan.Habits.Clip]
	if b.Plan.Object.Round() || b.Plan.Cover.Corners.Kind == plan.RoundCorners {
		text = fmt.Sprintf("Notch the allowance along the curves every %s, so that it lies flat when turned.",
			b.about(length.Inch/2, length.Centimetre))
	}
	if batted(b) {
		text += " Trim the batting out of the allowance, close to the stitching, and grade the layers, each a little shorter than the one outside it."
	}
	return text
}

// batted reports whether batting lies in any seam of the cover.
func batted(b *builder) bool {
	return slices.ContainsFunc(cover.Slots(b.Plan), func(s cover.Slot) bool {
		l := cover.Decided(b.Plan, s.Name).Layers
		return l != nil && l.Batting != nil && l.Batting.Count > 0
	})
}

// seamEnds says where a seam begins and how its ends hold. Common practice.
func seamEnds(b *builder, closed, gap bool) string {
	switch {
	case gap:
		return "Begin at one end of the gap and end at the other, forwards and back at both: they are pulled when it is turned."
	case closed:
		return fmt.Sprintf(b.cornered("Begin in the middle of a side, away from the corners",
			"Begin where the layers are fewest, away from the opening")+", and sew over the beginning for %s.",
			b.about(length.Inch, 25*length.Millimetre))
	}
	return "Forwards and back at both ends."
}

func closeOpenEdge(b *builder) {
	p := b.Plan
	text := map[plan.BottomFinish]string{
		"hem": fmt.Sprintf("Turn the raw bottom edge up %s to the wrong side, press, and stitch close to the raw edge.",
			b.text(p.Cover.Bottom.Width)),
		"raw": "The bottom stays as it is cut: only for fabric that does not fray.",
	}[p.Cover.Bottom.Finish]
	if text == "" {
		text = "Bind the bottom edge all round. It has no seam allowance: the binding covers the raw edge."
		if e := p.Edges.Binding; e != nil {
			text += fmt.Sprintf(" It shows %s on both sides: %s.", b.text(e.Shows), bindingText[e.Style])
		}
		text += " " + bindingEnds(b)
	}
	sewn, stack := firmly, []Sheet{{What: "hood", Up: RightUp}, {What: "binding", Up: WrongUp}}
	switch p.Cover.Bottom.Finish {
	case "raw":
		sewn, stack = machine.SetUp{}, stack[:1]
	case "hem":
		stack = []Sheet{{What: "hood", Up: WrongUp}, {What: "its hem, turned up", Up: RightUp}}
	}
	b.add(Step{Role: ref.DoBottom, Stage: Closing, Stack: stack, Turned: p.Cover.Bottom.Finish == "hem",
		Title: "Finish the bottom edge", Text: text, Machine: sewn, Caution: ironCaution},
		b.having(ref.DoMakeBinding)...)
	b.add(Step{Role: ref.DoTry, Stage: Closing, Title: "Turn it, press it and try it on",
		Text: "It drops over without pulling, and lifts off with one hand.", Caution: hoodCaution})
	b.lastly()
}

// bindingEnds says what happens where the end of a binding meets its beginning.
func bindingEnds(b *builder) string {
	if b.Plan.Habits.Binding == plan.EndsJoined {
		return fmt.Sprintf("Leave a hand’s width open at the end, sew both ends to each other with %s, press the seam open and close the gap.", b.about(length.Inch/2, 12*length.Millimetre))
	}
	return "Begin with the end folded under, and let the last of it run into the fold."
}

// bindingText says how a binding is sewn on, by its style.
var bindingText = map[plan.BindingStyle]string{
	plan.DoubleBinding: "folded double, sew its raw edges even with the edge outside, turn the fold over to the inside and stitch it",
	plan.TapeBinding:   "both edges folded to the middle, open one fold, sew along it outside, turn the tape over the edge and stitch it inside",
	plan.BoughtBinding: "as it is bought, lay it round the edge and stitch through all layers",
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
		if o.Plan.Edges.Inside == "zigzag" && !j.Folded {
			add("zigzag, "+j.Title, seam, denseZigzag)
		}
	}
	for i, p := range o.Panels {
		piece := o.Cover.Pieces[i]
		seams(p.Face, func(name string,
			seam length.Length) {
			add(name+", "+p.name(), seam.Times(piece.Count), lockstitch)
		})
		add("quilting, "+p.name(), p.Pattern.Seam.Times(piece.Count), lockstitch)
		if p.Borders.Seam > 0 {
			add("quilting of the borders, "+p.name(), p.Borders.Seam.Times(piece.Count), lockstitch)
		}
	}
	return s
}
