// Package work knows the order of the work: the steps of a cover, what each
// needs before it, where it is measured, and what to take care of. The back is
// never cut before the front is measured.
package work

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"umschlag/core/applique"
	"umschlag/core/back"
	"umschlag/core/caution"
	"umschlag/core/cover"
	"umschlag/core/front"
	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/machine"
	"umschlag/core/plan"
	"umschlag/core/press"
	"umschlag/core/quilt"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// Stage groups steps that happen at one place.
type Stage string

// The stages in working order.
const (
	Measuring Stage = "measure"
	Cutting   Stage = "cut"
	Piecing   Stage = "piece"
	Quilting  Stage = "quilt"
	Backing   Stage = "back"
	Closing   Stage = "close"
)

// Act is what becomes of a piece in a step, where a drawing shows it.
type Act string

// The acts.
const (
	// UnitSewn makes a unit of a block, RowSewn joins the patches of a band, RowsJoined
	// bands to each other, BorderSewn strips to what they go round, PartsJoined the parts of
	// a stack, and Quilted the layers.
	UnitSewn    Act = "unit"
	RowSewn     Act = "row"
	PartsJoined Act = "parts"
	RowsJoined  Act = "rows"
	BorderSewn  Act = "border"
	Quilted     Act = "quilt"
)

// Reading is what the tape reads at a gate; empty at other steps.
type Reading string

// The readings.
const (
	// ReadsSize is a width and a height, ReadsWidth one length, ReadsSides all four sides and
	// both diagonals, ReadsOverlap how far two pieces overlap, ReadsEdge the length of an edge
	// along its seam line.
	ReadsSize    Reading = "size"
	ReadsWidth   Reading = "width"
	ReadsSides   Reading = "sides"
	ReadsOverlap Reading = "overlap"
	ReadsEdge    Reading = "edge"
)

// Step is one thing to do.
type Step struct {
	// ID is its ref as it is printed.
	ID    string
	Stage Stage
	// Role is what is done.
	Role ref.Role
	// Piece that lies on the table, by its name; empty where it is several or none.
	Piece string
	// Of is the part of the plan it is about, such as a border; empty for all of the piece.
	// Edge is the side of a border, No the number of a row, of a unit or of a strip set
	// within that part, from 1, and Seats what a seam joins.
	// Cloth is the one it is about, by its letter, where it is about no more.
	Of    ref.Key
	Edge  string
	Cloth string
	No    int
	Seats [2]ref.Seat
	// Pair of strips of a border: 1 those that are sewn on first, 2 those over them, 0 all.
	Pair int
	// Level of shapes that are laid on, from 1, Thread the number of the one that sews them,
	// Late what is done to those that are late; Join is the number of the seam.
	Level, Thread, Join int
	Late                bool
	// Edging that is made, piping or binding; empty at other steps.
	Edging string
	// Fitting that is sewn on, by its number in the plan from 1; 0 for none.
	Fitting int
	// Reads is what the tape reads at a gate.
	Reads Reading
	// Act is what becomes of it; empty where its drawing stays as it was.
	Act Act
	// Turned tells that its wrong side lies up.
	Turned bool
	Title  string
	Text   string
	// Needs are the steps that come before, by id.
	Needs []string
	// Cuts used here for the first time, by their ids.
	Cuts []string
	// Rest is how many minutes it has to cool or to dry when it is done, before what comes
	// after it is begun.
	Rest int
	// Seams is how many seams are sewn, Things how many things are handled and Sewn how long what is sewn is, where
	// that is counted, of one piece.
	Seams, Things int
	Sewn          length.Length
	// Row of the grid this step is about, 0 when it is not one row.
	Row int
	// Bands are the sewn rows this step is about, by their numbers.
	Bands []int
	// Press is where seam allowances go; empty when nothing is pressed.
	Press string
	Side  press.Side
	// Machine is how it is set up; the zero one where nothing is sewn.
	Machine machine.SetUp
	// Within tells that pressing is part of the sewing: seam by seam, not at its end.
	Within bool
	// Trip is the number of the walk to the iron, from 1, in which it is pressed: steps of
	// one trip are pressed together when the last of them is sewn. 0 where nothing is.
	Trip  int
	Check string
	// Tips are what makers say with the work in hand, each at the first step it belongs to.
	Tips    []string
	Caution caution.Said
	// Stack is what lies on what, from below; nil where nothing is laid together.
	Stack []Sheet
	// Gate is where what is measured here is recorded; none at other steps.
	Gate ref.Ref
	// Expect is the size the gate should show; a row has no height.
	Expect sum.Size
}

// Ref names the step.
func (s Step) Ref() ref.Ref {
	out := ref.Ref{Kind: ref.Step, Piece: s.Piece, Of: s.Of, Role: s.Role, Edge: s.Edge,
		Cloth: s.Cloth, No: cmp.Or(s.No, s.Pair, s.Level, s.Thread), Late: s.Late && s.Level > 0, Join: s.Seats}
	if s.Role.OfCover() {
		out.Piece = ""
	}
	return out
}

// Cut is what the work needs to know of a cut.
type Cut struct {
	ID    string
	Piece string
	// Cloth by its letter.
	Cloth string
	// Least is its shorter side.
	Least length.Length
	// Under marks batting and lining, Shape a shape that is laid on and its web, Border one of a border.
	Under, Shape, Border bool
}

// Fitting is what the work needs to know of a fitting.
type Fitting struct {
	// Key it has in the plan, and No its number there, from 1.
	Key                      ref.Key
	Title, On, Check, Fixing string
	// Making is how it is made up before; empty where it is not.
	Making  string
	Caution caution.Said
	No      int
	// Hand is sewn on by hand, Loose hangs loose until it is, and Padded has batting in it.
	Hand, Loose, Padded bool
	// Tip is what makers say when they sew it on.
	Tip string
	// Late is sewn when the pieces are joined.
	Late bool
}

// Order is what the steps are made from.
type Order struct {
	Fittings []Fitting
	Edges    []Edging
	// Made is nil where the pad is bought.
	Made *Form
	// Backings are the cloths that are backed before they are cut.
	Backings []Backed
	Plan     plan.Plan
	Face     front.Face
	// Applied are the shapes laid on it.
	Applied []applique.Layer
	// Pressed is the pressing plan of the face.
	Pressed press.Plan
	// Pattern is the quilting as it is sewn, Borders that of borders that are quilted by themselves.
	Pattern, Borders quilt.Pattern
	Chain            layers.Chain
	// Closing are the seams that close it at the sides, and at the top and the bottom.
	Closing  [2]length.Length
	Finished sum.Size
	Quilted  bool
	Cuts     []Cut
	Back     back.Back
	// Front is the front as it finishes.
	Front cover.Piece
}

// FrontGate is what is measured before the back is cut.
func (o Order) FrontGate() ref.Ref { return FrontGate(o.Quilted) }

// FrontGate is where a front is measured before its back is cut, when it is quilted or not.
func FrontGate(quilted bool) ref.Ref {
	if quilted {
		return ref.FrontQuilted
	}
	return ref.FrontSewn
}

type builder struct {
	Order
	// on is the piece that is worked at, and in the part of a stack.
	on    string
	in    ref.Key
	style length.Style
	steps []Step
	// after is what has to be done before the next step of this strand.
	after []string
}

// Steps is the work in an order that can be followed.
func Steps(o Order) []Step {
	b := &builder{Order: o, style: o.Plan.Style(), on: "front"}
	prepare(b)
	measured := b.after
	b.apart(func() { cutFront(b); sewFace(b, "front") }, func() { cutUnder(b) })
	if o.Quilted || o.Chain.Batting != nil || o.Chain.Lining != "" {
		layTogether(b)
	}
	shapeCorners(b, o.Front, "front", "front")
	sewFittings(b, "front", false)
	if plan.FrontMeasured(b.Plan) {
		measureFront(b)
	}
	front := b.after
	b.apart(func() { makeEdgings(b, measured, front, piping{on: "front", closed: true, stage: Backing}) },
		func() { makeBack(b, measured); sewFittings(b, "back", false) })
	if !plan.BackWaits(b.Plan) { // a back that waits has come after the front
		b.after = union(b.after, front)
	}
	closeCover(b)
	return inOrder(b.steps)
}

// sewFace makes the face of a piece, with all that lies on it.
func sewFace(b *builder, piece string) {
	b.apart(func() {
		makeFace(b)
		if !b.Chain.BordersAfter() {
			sewBorders(b)
		}
	}, func() { cutShapes(b, piece) })
	layShapes(b)
}

func (b *builder) text(l length.Length) string { return b.style.Running(l) }

// about is a length that need not be exact, in the plan's own unit.
func (b *builder) about(inches, metric length.Length) string {
	return about(b.Plan.Units, inches, metric)
}

// about is a length that need not be exact, in a unit.
func about(unit length.Unit, inches, metric length.Length) string {
	style := length.Style{Unit: unit}
	if unit == length.Inches {
		return style.Running(inches)
	}
	return style.Running(metric)
}

// basted is how far in a stack is sewn round to hold it.
func basted(b *builder) string { return b.about(length.Inch/8, 3*length.Millimetre) }

func (b *builder) size(s sum.Size) string {
	return b.text(s.Width.Total()) + " × " + b.text(s.Height.Total())
}

// cuts are the ids of the cuts of a piece, its face or what lies under it.
func (b *builder) cuts(piece string, under bool) []string {
	var ids []string
	for _, c := range b.Cuts {
		if c.Piece == piece && c.Under == under && !c.Shape && !(c.Border && b.Chain.BordersAfter()) {
			ids = append(ids, c.ID)
		}
	}
	return ids
}

var (
	rotaryCaution = caution.Of("Cutter", "Close the rotary cutter after every cut, cut away from yourself and keep your fingers behind the ruler’s edge.")
	ironCaution   = caution.Of("Iron", "The iron and its steam burn: keep hands and cord clear, and switch it off when you leave the table.")
	sprayCaution  = caution.Of("Spray", "Temporary spray only with a window open, off the iron and away from flames; follow the instructions on the can.")
	needleCaution = caution.Of("Needle", "Thick layers break needles: put a new one in and wear glasses. Your machine’s manual has the last word.")
	pinCaution    = caution.Of("Pins", "Take each pin out before the needle reaches it: a needle that hits a pin can break and fly.")
	overCaution   = caution.Of("Pins", "Sewing over pins can break the needle: sew slowly, lay pins across the seam and wear glasses.")
)

// stitchCaution stands where something is cut close to a seam.
var stitchCaution = caution.Of("Stitching", "Never cut into the stitching.")

// heldBy says how layers are held until they are quilted, by the school.
func heldBy(b *builder) string {
	if b.Plan.Habits.Hold == plan.HoldSpray {
		return "Spray the lining thinly, half of it at a time, lay the batting on it and smooth from the middle; the same with the top."
	}
	return fmt.Sprintf("Smooth from the middle out and pin every %s.", b.about(4*length.Inch, 10*length.Centimetre))
}

func holdCaution(b *builder) caution.Said {
	if b.Plan.Habits.Hold == plan.HoldSpray {
		return sprayCaution
	}
	return pinsText(b)
}

func pinsText(b *builder) caution.Said {
	if b.Plan.Habits.Pins == plan.PinsRemove {
		return pinCaution
	}
	return overCaution
}

// prepare measures, a pad that is made at home when it is made, and sews samples.
func prepare(b *builder) {
	step := Step{Role: ref.DoMeasure, Stage: Measuring, Title: "Measure the insert",
		Text: "Let the tape follow the curve of the insert. " + flatText(b) + ".", Check: changePlan}
	if b.Plan.Object.Kind == plan.Found {
		step.Title, step.Text = "Measure the panel", "As it lies, not stretched. "+flatText(b)+"."
	}
	if b.Made != nil { // what it turns out as is measured, not what it was planned as
		backCloths(b)
		makeForm(b)
	}
	b.add(step)
	sewSamples(b)
	if b.Made == nil {
		backCloths(b)
	}
}

func cutFront(b *builder) {
	cuts := b.cuts("front", false)
	if len(cuts) == 0 {
		return // a panel that is there already
	}
	b.add(Step{Role: ref.DoCutOuter, Stage: Cutting, Title: "Cut the front", Cuts: cuts,
		Caution: rotaryCaution,
		Text:    "Square the end of each fabric, cut the strips all the way across, then the pieces out of the strips." + waiting(b),
		Check:   "Lay the first piece of each size on the ruler before you cut the rest."})
}

// Backed is a cloth that is backed before it is cut: its letter, what it is called, how much of its length, and how
// many odd pieces.
type Backed struct {
	Cloth, Name string
	Length      length.Length
	Odd         int
}

// what says what of it is backed.
func (k Backed) what(b *builder) string {
	long := fmt.Sprintf("over %s of its length, as wide as it is usable", b.text(k.Length))
	odd := "over the offcut"
	if k.Odd > 1 {
		odd = fmt.Sprintf("over %d offcuts", k.Odd)
	}
	switch {
	case k.Odd == 0:
		return long
	case k.Length == 0:
		return odd
	}
	return long + ", and " + odd
}

// backCloths irons interfacing to the cloths that need it: what is cut first and backed then comes out of shape.
func backCloths(b *builder) {
	for _, k := range b.Backings {
		b.add(Step{Role: ref.DoBackCloth, Cloth: k.Cloth, Stage: Cutting, Title: "Back the " + k.Name,
			Stack: []Sheet{{What: k.Name, Up: WrongUp, Cloth: k.Cloth}, {What: "light interfacing, its glue down"}},
			Text: fmt.Sprintf("Before anything is cut from it: iron light interfacing to its wrong side, %s. Press straight down and lift; do not slide.",
				k.what(b)),
			Rest: cooled(true), Caution: ironCaution,
			Check: "Pulled across, it does not give, and nothing comes loose at the edges."})
	}
}

// waiting tells that the back waits, where it does.
func waiting(b *builder) string {
	if plan.BackWaits(b.Plan) {
		return " Do not cut the back yet: it is cut to fit the finished front."
	}
	return ""
}

func cutUnder(b *builder) {
	if under := b.cuts("front", true); len(under) > 0 {
		text := "Cut everything on the list, the layers for straps and handles too."
		if len(b.Chain.Under.Width) > 0 {
			how := "as large as the top"
			if b.Chain.StandsOut() {
				how = "larger than the top on every side, to be trimmed later"
			}
			text = fmt.Sprintf("For under the whole front, %s: %s.", b.size(b.Chain.Under), how)
		}
		b.add(Step{Role: ref.DoCutUnder, Stage: Cutting, Title: "Cut the batting and lining", Cuts: under,
			Caution: rotaryCaution, Text: text})
	}
}

// piecing is the machine set up for piecing.
func (b *builder) piecing() machine.SetUp {
	sewn := plan.SewnTogether(b.Plan, b.cloths())
	return machine.SetUp{Seam: b.text(b.Plan.Cover.PiecingSeam), Stitch: sewn.Piecing, Needle: needle(sewn, 0)}
}

// joining is the machine set up for strips and parts of a piece of cloth, which are joined with the seam of the cover.
func joining(b *builder) machine.SetUp {
	s := b.piecing()
	s.Seam = b.text(b.Plan.Cover.Seam)
	return s
}

// quilting is the machine set up for a stack of layers.
func quilting(b *builder, c layers.Chain) machine.SetUp {
	return machine.SetUp{Foot: "walking foot", Stitch: "straight stitch 3 mm",
		Needle: needle(plan.SewnTogether(b.Plan, b.cloths()), c.Thick)}
}

// closingSetUp is the machine set up for the seams that close a cover.
func closingSetUp(b *builder, piped bool, thick length.Length) machine.SetUp {
	sewn := plan.SewnTogether(b.Plan, b.outside())
	s := machine.SetUp{Seam: b.text(b.Plan.Cover.Seam), Stitch: sewn.Closing, Needle: needle(sewn, thick)}
	if piped {
		s.Foot = "zipper foot"
	}
	return s
}

// firmly is the machine set up for what is sewn on through several layers.
var firmly = machine.SetUp{Stitch: "straight stitch 2.5 mm", Needle: "90/14"}

func layTogether(b *builder) {
	top, before, size := "the front right side up", "The top is %s before quilting.", b.Face.Sewn
	if b.Chain.BordersAfter() {
		top, before, size = centreLaid("front"), "The centre is %s before quilting.", b.Chain.Apart.Inside
	}
	b.add(Step{Role: ref.DoLayers, Stage: Quilting, Title: "Layer the front",
		Stack: layeredStack(b.Chain, "front", b.faceCloth("front")),
		Text:  stackText(b.Chain, top) + " " + heldBy(b) + " Stay-stitch round the edge first, " + basted(b) + " in.",
		Rest:  cooled(b.Chain.Web), Machine: quilting(b, b.Chain),
		Check:   fmt.Sprintf(before, b.size(size)),
		Caution: holdCaution(b)})
	if !b.Quilted {
		return
	}
	sewQuilting(b, b.Plan.Piece("front").Quilting, "Quilt")
	b.add(Step{Role: ref.DoTrim, Stage: Quilting, Stack: layeredStack(b.Chain, "front", b.faceCloth("front")),
		Title: "Trim square",
		Text:  fmt.Sprintf("To %s: two adjacent edges first, then turn and measure the others from the cut edges, the pattern centred.", b.size(b.Chain.Trimmed)),
		Check: "Opposite borders match, and both diagonals are equal.",
		Gate:  ref.FrontUntrimmed, Reads: ReadsSides, Expect: b.Chain.Top, Caution: rotaryCaution})
}

// stackText says what lies on what, from below, and what is done to it before.
func stackText(c layers.Chain, top string) string {
	var before, stack []string
	switch {
	case c.Grid && c.Batting != nil:
		before = append(before, "Iron the grid on the back of the batting, its glue to the batting.")
	case c.Grid:
		before = append(before, "Iron the grid on the wrong side of the top, its glue to the fabric.")
	}
	if c.Web {
		before = append(before,
			"Iron the web behind the top; its paper comes off when the layers are laid together, and the iron bonds them.")
	}
	if c.Stiffener != "" {
		before = append(before, "Iron the stiffener on the wrong side of the lining, leaving the seam allowance free on every side.")
	}
	if c.Batting != nil && c.Batting.Offcuts {
		before = append(before,
			"Butt offcuts of batting edge to edge and zigzag them together, not over each other, until they are large enough.")
	}
	if c.Lining != "" {
		stack = append(stack, "the lining wrong side up")
	}
	if c.Batting != nil {
		stack = append(stack, "the batting")
	}
	text := strings.Join(append(stack, top), ", ")
	return spaced(append(before, sentence(text)))
}

// cooling is how long fusible web cools flat before it is moved, in minutes. Common
// practice.
const cooling = 10

// cooled is how long something that is fused or not rests.
func cooled(fused bool) int {
	if fused {
		return cooling
	}
	return 0
}

// hemmed is how thick it is where the hems of a back cross the closing seam.
const hemmed = 3 * length.Millimetre

// needle is the one for so much cloth and batting under the foot. Common practice; the
// machine's manual has the last word.
func needle(sewn plan.WeightRules, thick length.Length) string {
	size := sewn.Needle
	switch {
	case thick > 6*length.Millimetre:
		size = max(size, 100)
	case thick > 2*length.Millimetre:
		size = max(size, 90)
	}
	if sewn.Ballpoint {
		return needles[size] + " with a ballpoint"
	}
	return needles[size]
}

// needles are their sizes, metric and imperial.
var needles = map[int]string{70: "70/10", 80: "80/12", 90: "90/14", 100: "100/16"}

// outside are the cloths that are cut and lie outside, of all pieces.
func (b *builder) outside() []string {
	var out []string
	for _, c := range b.Cuts {
		if !c.Under && !slices.Contains(out, c.Cloth) {
			out = append(out, c.Cloth)
		}
	}
	return out
}

// cloths are those of the face at hand; of all faces where none is.
func (b *builder) cloths() []string {
	var out []string
	for _, part := range b.Face.Parts {
		if !slices.Contains(out, part.Cloth) {
			out = append(out, part.Cloth)
		}
	}
	if len(out) == 0 {
		return b.outside()
	}
	return out
}

func measureFront(b *builder) {
	b.add(Step{Role: ref.DoMeasureFront, Stage: Backing, Title: "Measure the front", Stack: b.faceUp("front"),
		Gate: b.FrontGate(), Reads: ReadsSize, Expect: b.Chain.Trimmed,
		Text:  "Across the middle and up the middle, raw edge to raw edge. " + measuredFor(b),
		Check: fmt.Sprintf("Planned: %s.", b.size(b.Chain.Trimmed))})
}

// measuredFor says what the front is measured for.
func measuredFor(b *builder) string {
	if plan.BackWaits(b.Plan) {
		return "The back is cut to what you measure, not to the plan."
	}
	return "The back is cut to the plan: the front has to come out as planned, or is trimmed to it."
}

// buttonCaution stands where something small is sewn on.
var buttonCaution = caution.Of("Buttons", "Buttons come off and can be swallowed: nothing is sewn on for babies and small children. Follow local rules for small parts.")

// sewFittings are sewn on while the panel is flat, or late, when pieces are joined.
func sewFittings(b *builder, piece string, late bool) {
	var on []func()
	for _, f := range b.Fittings {
		if f.On == piece && f.Late == late {
			on = append(on, func() { sewFitting(b, f, piece) })
		}
	}
	b.apart(on...)
}

func sewFitting(b *builder, f Fitting, piece string) {
	if f.Making != "" {
		called := strings.ToLower(f.Title)
		b.add(Step{Of: f.Key, Role: ref.DoMakeFitting, Fitting: f.No, Stage: Quilting, Piece: piece,
			Title: "Make the " + called, Text: f.Making, Machine: joining(b), Press: "Press it flat.", Things: 1,
			Stack:   []Sheet{{What: called + ", right side inside", Up: WrongUp}},
			Caution: slices.Concat(pinsText(b), ironCaution), Check: "Corners are pushed out, and nothing is caught in a seam."})
	}
	s := Step{Of: f.Key, Role: ref.DoFitting, Fitting: f.No, Stage: Quilting,
		Title: fmt.Sprintf("Sew the %s on the %s", strings.ToLower(f.Title), b.called(piece)), Text: f.Fixing,
		Caution: f.Caution,
		Check:   "It lies " + f.Check, Machine: firmly, Piece: piece,
		Stack: append(b.faceUp(piece), Sheet{What: strings.ToLower(f.Title), Up: RightUp})}
	if f.Hand {
		s.Machine = machine.SetUp{Hand: true, Stitch: "strong thread, taken double"}
	}
	b.add(s, b.having(ref.DoCutUnder)...)
}

func makeBack(b *builder, measured []string) {
	b.on = "back"
	cut := Step{Role: ref.DoCutBack, Stage: Backing, Title: "Cut the back",
		Cuts: append(b.cuts("back", false), b.cuts("back", true)...),
		Text: "To the size you measured, prints the same way up.", Caution: rotaryCaution}
	if !plan.BackWaits(b.Plan) {
		cut.Stage, cut.Text = Cutting, "As planned, prints the same way up: it need not wait for the front."
		b.after = measured
	}
	b.add(cut)
	for _, m := range b.Order.Back.Making {
		said := m.Caution
		if len(said) == 0 && m.Press != "" {
			said = ironCaution
		}
		if m.Role == ref.DoHem { // through two or three layers of its cloth
			sewn := plan.SewnTogether(b.Plan, b.ofBack())
			m.Machine.Stitch, m.Machine.Needle = sewn.Closing, needle(sewn, 0)
		}
		sewn := length.Length(0)
		if m.Role == ref.DoHem || m.Role == ref.DoFold {
			sewn = b.Order.Back.Sewn.Total()
		}
		b.add(Step{Role: m.Role, Stage: Backing, Sewn: sewn, Title: m.Title, Text: m.Text, Stack: makingStack(b, m),
			Turned: m.Turned, Machine: m.Machine, Press: m.Press, Check: m.Check, Caution: said})
	}
}

// ofBack are the cloths the pieces of the back are cut from.
func (b *builder) ofBack() []string {
	var out []string
	for _, c := range b.Cuts {
		if c.Piece == "back" && !c.Under {
			out = append(out, c.Cloth)
		}
	}
	return out
}

func closeCover(b *builder) {
	h, c := b.Plan.Habits, b.Order.Back
	round := "Sew all round in one go: stop at each corner with the needle down and turn."
	if c.Begun {
		round = "Sew the other three sides in one go, from one end of the bottom to the other: stop at each corner with the needle down and turn."
	}
	if h.Round == plan.RoundRuns {
		round = "Sew each side as a seam of its own, from edge to edge."
	}
	even := "raw edges even"
	if b.Front.Shaped() {
		even = "and cut it to the front’s outline"
		round = "Sew all round, slowly along the curves."
	}
	if hasWorkedEdge(b) {
		even = "the back larger all round"
		round += " Sew from the front’s side, right against the last row of the work, then trim the back to the front."
	}
	text := []string{fmt.Sprintf("Lay the front right side up and the back on it, right sides together, %s.", even)}
	if len(c.Lies) > 1 && len(c.Overlap) > 0 {
		text = append(text, fmt.Sprintf("Its pieces overlap by %s.", b.text(c.Overlap.Total())))
	}
	if h.Round != plan.RoundRuns {
		round += " " + seamEnds(b, !c.Begun, c.Gap > 0)
	}
	text = append(text, c.Laid, round, closingText(b), b.sharp())
	gate, reads, expect := ref.Ref{}, Reading(""), sum.Size{}
	if len(c.Lies) > 1 && len(c.Overlap) > 0 {
		gate, reads, expect = ref.BackOverlap, ReadsOverlap, sum.Size{Width: c.Overlap}
	}
	b.add(Step{Role: ref.DoClose, Stage: Closing, Title: "Sew front and back together", Text: spaced(text), Gate: gate,
		Reads: reads, Expect: expect, Stack: closingStack(b), Turned: true,
		Machine: closingSetUp(b, b.Plan.Edges.Piping != nil, max(2*b.Chain.Thick, hemmed)), Caution: pinsText(b)})
	if finish := insideText[b.Plan.Edges.Inside]; finish != "" && !b.Plan.Back.Lined { // a full lining covers them
		b.add(Step{Role: ref.DoFinish, Stage: Closing, Title: "Finish the seams", Text: finish, Stack: closingStack(b),
			Sewn:   2 * (b.Finished.Width.Total() + b.Finished.Height.Total()),
			Turned: true, Machine: insideSetUp(b)})
	}
	b.add(Step{Role: ref.DoClip, Stage: Closing, Title: clipsTitle(b), Text: clipsText(b), Stack: closingStack(b),
		Turned: true,
		Check: b.cornered("Turn one corner out a little first", "Turn a stretch out a little first") +
			": caught layers show now, before anything is clipped.",
		Caution: stitchCaution})
	b.on = "front"
	turn := Step{Role: ref.DoTurn, Stage: Closing, Stack: rightOut(b), Title: "Turn and press",
		Press: "Press the edges.", Caution: ironCaution,
		Text: spaced([]string{c.Turned,
			sentence(b.pushed()), "Press from the wrong side of the back."})}
	if stretchy(b) {
		turn.Title, turn.Press, turn.Caution = "Turn it", "", nil
		turn.Text = spaced([]string{c.Turned, upper(b.pushed()) + ", and pat the edges flat: an iron stretches a knit."})
	}
	b.add(turn)
	sewRimButtons(b)
	stitchDitch(b)
	b.add(Step{Role: ref.DoMeasureCover, Stage: Closing, Stack: rightOut(b),
		Title: "Measure the finished cover and put the insert in", Gate: ref.CoverFinished, Reads: ReadsSize,
		Expect: b.Finished,
		Text:   "Lay it flat, empty, and measure from edge to edge across and up.",
		Check:  fmt.Sprintf("It should be %s.%s", b.size(b.Finished), padIn(b))}, b.having(ref.DoForm)...)
	b.lastly()
}

// padIn says how much the pad has to give, or how much room it has.
func padIn(b *builder) string {
	o := b.Plan.Object
	if o.Kind != plan.Form || o.Width == 0 || o.Height == 0 {
		return ""
	}
	over := [2]length.Length{o.Width - b.Finished.Width.Total() + 2*b.Plan.Cover.Flange,
		o.Height - b.Finished.Height.Total() + 2*b.Plan.Cover.Flange}
	said := func(l length.Length) string {
		switch {
		case l > 0:
			return b.text(l) + " larger"
		case l < 0:
			return b.text(-l) + " smaller"
		}
		return "just as large"
	}
	switch {
	case (over[0] == over[1] || o.Round()) && over[0] == 0:
		return " The insert is just as large."
	case over[0] == over[1] || o.Round():
		return fmt.Sprintf(" The insert is %s than that each way.", said(over[0]))
	}
	return fmt.Sprintf(" Against that the insert is %s across and %s up.", said(over[0]), said(over[1]))
}

// twice says where the closing seam is sewn twice: where hems or folds cross it.
func twice(b *builder) string {
	for _, m := range b.Order.Back.Making {
		switch m.Role {
		case ref.DoHem:
			return "sew twice where hems cross the seam"
		case ref.DoFold:
			return "sew twice where folds cross the seam"
		}
	}
	return ""
}

// stretchy reports whether a cloth that lies outside can be pulled out of shape.
func stretchy(b *builder) bool {
	return slices.ContainsFunc(b.outside(), func(letter string) bool {
		c, _ := b.Plan.Cloth(letter)
		return c.Weight.Rules().Backed && !c.IsBacked()
	})
}

// closingText says seams that take a difference up.
func closingText(b *builder) string {
	seam := b.Plan.Cover.Seam
	var parts []string
	for i, where := range []string{"at the left and the right", "at the top and the bottom"} {
		if c := b.Closing[i]; c > 0 && c != seam {
			parts = append(parts, fmt.Sprintf("%s %s", where, b.text(c)))
		}
	}
	if len(parts) == 0 {
		return ""
	}
	return fmt.Sprintf("Sew the seams %s instead of %s: that brings the cover to its planned size.",
		strings.Join(parts, ", "), b.text(seam))
}

// stitchDitch is the line that keeps the pad inside a flange.
func stitchDitch(b *builder) {
	f := b.Plan.Cover.Flange
	if f == 0 {
		return
	}
	inside := b.Finished.Each(func(s sum.Sum) sum.Sum { return s.Plus(sum.Border, "flange", -2*f) })
	b.add(Step{Role: ref.DoFlange, Stage: Closing, Stack: rightOut(b), Title: "Stitch the flange",
		Machine: machine.SetUp{Stitch: "straight stitch 3 mm", Needle: "90/14"},
		Text:    fmt.Sprintf("Stitch all the way round, %s from the edge, in the ditch of the border if there is one. Leave the opening unstitched.", b.text(f)),
		Check:   fmt.Sprintf("Inside the line it is %s.", b.size(inside))})
}

// spaced are sentences one after the other, without the empty ones.
func spaced(sentences []string) string {
	return strings.Join(slices.DeleteFunc(sentences, func(s string) bool { return s == "" }), " ")
}

var insideText = map[plan.InsideFinish]string{
	"zigzag":   "Zigzag the raw edges together, close to the seam.",
	"overlock": "Overlock the raw edges together.",
	"pinked":   "Pink the raw edges; only for fabric that hardly frays.",
	"bound":    "Fold tape over the raw edges and stitch it through all layers.",
}

// insideMachine is how the machine is set up for it; an overlocker stands beside it, and
// pinking is done with shears.
var insideMachine = map[plan.InsideFinish]machine.SetUp{
	"zigzag": {Stitch: "zigzag 3 mm wide and 2 mm long", Needle: "90/14"},
	"bound":  firmly,
}

// insideSetUp is how the machine is set up to finish the seams of a cushion: no wider than they are.
func insideSetUp(b *builder) machine.SetUp {
	s := insideMachine[b.Plan.Edges.Inside]
	if least := min(b.Closing[0], b.Closing[1]); b.Plan.Edges.Inside == "zigzag" && least > 0 && least < narrow {
		s.Stitch = "zigzag 2 mm wide and 2 mm long"
	}
	return s
}

// narrow is an allowance that the usual zigzag does not fit. Common practice.
const narrow = 5 * length.Millimetre

var clipText = map[plan.Clip]string{
	plan.ClipAcross: "Cut once straight across each corner, two threads from the stitching.",
	plan.ClipThree:  "Make three cuts at each corner: once across, then a sliver off each side.",
	plan.ClipSlant:  "Grade each corner at a slant: trim each layer a little shorter than the one below.",
}
