// Package back knows closures: which pieces a back is cut from, how they lie, what is
// bought for them, and how they are made up. A back is reckoned from the front as it
// really is, planned or measured.
//
// A kind of back is one function in Kinds.
package back

import (
	"cmp"
	"fmt"
	"slices"

	"umschlag/core/caution"
	"umschlag/core/finding"
	"umschlag/core/kind"
	"umschlag/core/length"
	"umschlag/core/machine"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// Panel is a piece of the back as cut.
type Panel struct {
	Role  ref.Role
	Name  string
	Title string
	Size  sum.Size
	Count int
	// Lining is cut from the lining cloth.
	Lining bool
	// Selvedge has an upright edge that needs no hem, since it is a selvedge.
	Selvedge bool
	// Small is cut for the closure and lies on the back as no part of it.
	Small bool
}

// Box is a rectangle on the back, from the raw left top corner of the front it is
// sewn to.
type Box struct{ X, Y, Width, Height length.Length }

// Lie is a panel as it lies on the finished back, seen from outside.
type Lie struct {
	// Panel is its index.
	Panel int
	Label string
	Box   Box
}

// MarkKind is what a mark stands for.
type MarkKind string

// The marks.
const (
	HemLine    MarkKind = "hem"
	FoldLine   MarkKind = "fold"
	TapeBox    MarkKind = "tape"
	ZipBox     MarkKind = "zip"
	ButtonMark MarkKind = "button"
	TieMark    MarkKind = "tie"
	GapLine    MarkKind = "gap"
)

// Mark is something on the back: a line where one of its sides is 0.
type Mark struct {
	Kind MarkKind
	Box  Box
}

// Notion is what is bought by the length.
type Notion struct {
	What   string
	Length sum.Sum
}

// Making is one thing to do to the back before it is closed.
type Making struct {
	// Role is what is done.
	Role                      ref.Role
	Title, Text, Press, Check string
	Caution                   caution.Said
	Machine                   machine.SetUp
	// Stack is what lies on what, from below, and Turned tells that the wrong side is worked at.
	Stack  []Sheet
	Turned bool
	// Folds are how far from the raw edge the lines are that the edge in the middle is folded on; nil where it is not.
	Folds []length.Length
}

// Sheet is one layer of what is worked at.
type Sheet struct {
	What string
	Lies Lies
	Of   Cloth
}

// Lies is which side of a sheet is seen; empty where it makes no difference.
type Lies string

// The ways a sheet lies.
const (
	RightUp Lies = "right"
	WrongUp Lies = "wrong"
)

// Cloth is what a sheet is of: the cloth of the back, its lining, or nothing that is said.
type Cloth int

// The cloths.
const (
	NoCloth Cloth = iota
	BackCloth
	LiningCloth
)

// onPiece is a back piece, its right side up, with something on it.
func onPiece(top Sheet) []Sheet {
	return []Sheet{{What: "back piece", Lies: RightUp, Of: BackCloth}, top}
}

// turnedPiece is a back piece, its wrong side up, with a part of it folded over.
func turnedPiece(over string) []Sheet {
	return []Sheet{{What: "back piece", Lies: WrongUp, Of: BackCloth}, {What: over, Lies: RightUp, Of: BackCloth}}
}

// hemming is how the machine is set up for hems of one or two layers.
var hemming = machine.SetUp{Stitch: "straight stitch 2.5 mm", Needle: "80/12"}

// Back is a closure reckoned.
type Back struct {
	Panels []Panel
	// Begun tells that the seam at its bottom is sewn before the others.
	Begun bool
	// Lies are the panels as they lie, the lowest first.
	Lies  []Lie
	Marks []Mark
	// Keep are the stretches that nothing is sewn onto: hems, bands and zips.
	Keep []Mark
	// Overlap as it will lie, with the pieces as cut; empty without one.
	Overlap sum.Sum
	// Opening is what the pad is pushed through.
	Opening sum.Sum
	Notions []Notion
	Buttons int
	// Sewn are the seams of the back itself, for its thread.
	Sewn sum.Sum
	// Making in order, and what is said when the cover is closed and turned.
	Making []Making
	Laid   string
	Turned string
	// Gap is left in the last seam, 0 where none has to.
	Gap length.Length
	// About is the decision its opening follows from; empty where it is the kind of back itself.
	About string
}

// Order is what a closure is reckoned from.
type Order struct {
	// Plan is settled.
	Plan plan.Back
	// Front as trimmed: planned, or measured at its gate.
	Front sum.Size
	// Finished width and height of the cover, for shares and openings.
	Finished, High length.Length
	// Seam of the cover, and the flange round it.
	Seam, Flange length.Length
	// Pad that goes in.
	Pad   plan.Object
	Step  length.Length
	Style length.Style
	// Thick is how thick its cloth is, where that is thicker than usual: what a fold takes is counted then.
	Thick length.Length
}

// Kinds make the kinds of backs from the front, by their words in the plan.
var Kinds kind.Set[func(Order) (Back, finding.List)]

func init() {
	Kinds.Add("envelope", envelope)
	Kinds.Add("folded", folded)
	Kinds.Add("lapped", lapped)
	Kinds.Add("buttons", buttoned)
	Kinds.Add("ties", tied)
	Kinds.Add("zip", zip)
	Kinds.Add("sewn", sewnShut)
}

// Build reckons the closure.
func Build(o Order) (Back, finding.List) {
	// A fold of nothing is no fold: a hem may be turned once.
	o.Plan.Hem = slices.DeleteFunc(slices.Clone(o.Plan.Hem), func(h length.Length) bool { return h == 0 })
	build, ok := Kinds.Of(string(o.Plan.Kind))
	if !ok {
		var found finding.List
		found.Add(finding.Stop, "back-kind", "/back/kind", fmt.Sprintf("There is no back of the kind %q.", o.Plan.Kind),
			"Choose an envelope.")
		return Back{}, found
	}
	b, found := build(o)
	if found.Stopped() {
		return b, found
	}
	return b, append(found, o.passes(b)...)
}

// What the pad needs of an opening, as a share of its shorter side: a soft one is
// squeezed through half of it, foam is not. Common practice.
const (
	softShare = 0.5
	foamShare = 1.0
)

// passes asks whether the pad goes through the opening.
func (o Order) passes(b Back) finding.List {
	var found finding.List
	least := softShare
	if o.Pad.Fill == "foam" {
		least = foamShare
	}
	side := min(o.Pad.Width, o.Pad.Height)
	need := length.FromFloat(least*side.Float()) + o.Pad.Thickness
	if got := b.Opening.Total(); side > 0 && got < need {
		found.Add(finding.Warn, "opening-small", cmp.Or(b.About, "/back/kind"),
			fmt.Sprintf("The opening is %s, and a %s insert of %s wants about %s.", o.text(got), o.Pad.Fill, o.text(side),
				o.text(need)),
			"Make the opening longer, or choose a back that opens along its whole side.")
	}
	return found
}

func (o Order) text(l length.Length) string { return o.Style.Running(l) }

// width and height of the cut front.
func (o Order) width() length.Length  { return o.Front.Width.Total() }
func (o Order) height() length.Length { return o.Front.Height.Total() }

// asKnown says whether a size of the front was measured or is still planned.
func asKnown(s sum.Sum) string {
	if len(s) > 0 && s[0].Kind == sum.Measured {
		return "as measured"
	}
	return "as planned"
}

// half is half the width of the front.
func (o Order) half() sum.Sum {
	return sum.Of(sum.Part, "half the front "+asKnown(o.Front.Width), o.width().Div(2))
}

// panel is as high as the front and as wide as given, to the ruler step.
func (o Order) panel(width sum.Sum) sum.Size {
	height := sum.Of(sum.Part, "height of the front "+asKnown(o.Front.Height), o.height())
	return sum.Size{Width: width, Height: height}.UpTo(o.Step)
}

// whole is a panel as large as the front.
func (o Order) whole() sum.Size {
	return o.panel(sum.Of(sum.Part, "width of the front "+asKnown(o.Front.Width), o.width()))
}

// side is the whole height of the cover, open from seam to seam.
func (o Order) side() sum.Sum { return sum.Of(sum.Part, "height of the cover", o.High) }

// upright is a line or a strip over the whole height.
func (o Order) upright(x, width length.Length) Box {
	return Box{X: x, Width: width, Height: o.height()}
}

// two lays a left and a right panel by how far each reaches over the front. The right
// one lies outside: it is laid on the front first.
func (o Order) two(left, right length.Length, panels ...int) []Lie {
	lies := []Lie{
		{Panel: panels[0], Label: "left", Box: o.upright(0, left)},
		{Panel: panels[len(panels)-1], Label: "right", Box: o.upright(o.width()-right, right)},
	}
	if o.Plan.Outer == plan.LeftSide {
		slices.Reverse(lies)
	}
	return lies
}

// outerOf are the pieces that lie outside and inside, as the back is seen.
func outerOf(o Order) (outer, inner string) {
	if o.Plan.Outer == plan.LeftSide {
		return "left", "right"
	}
	return "right", "left"
}

// outerFirst says which piece is laid on the front first.
func outerFirst(o Order) string {
	outer, _ := outerOf(o)
	return fmt.Sprintf("Lay the %s piece (as you will see the finished back) on the front first: it ends up outside.", outer)
}
