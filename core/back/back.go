// Package back knows closures: which pieces a back is cut from, and how they
// overlap or open. A back is reckoned from the front as it really is, planned
// or measured.
//
// A closure is one builder in this package and one line in builders.
package back

import (
	"fmt"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Shares of the cover's width between which an envelope holds. Common practice.
const (
	thin   = 0.15 // gapes below
	usual  = 0.25 // safe
	excess = 0.60 // only eats cloth above
)

// Panel is a piece of the back as cut.
type Panel struct {
	Name  string
	Title string
	Size  sum.Size
	Count int
}

// Back is a closure reckoned.
type Back struct {
	Panels []Panel
	// Overlap as it will lie, with the pieces as cut.
	Overlap sum.Sum
	// Hems is how many edges are hemmed.
	Hems int
}

// Order is what a closure is reckoned from.
type Order struct {
	Plan plan.Back
	// Front as trimmed: planned, or measured at its gate.
	Front sum.Size
	// Finished width of the cover, for shares.
	Finished length.Length
	Step     length.Length
	Style    length.Style
}

var builders = map[plan.BackKind]func(Order) (Back, finding.List){
	plan.Envelope: envelope,
}

// Build reckons the closure.
func Build(o Order) (Back, finding.List) {
	build, ok := builders[o.Plan.Kind]
	if !ok {
		var found finding.List
		found.Add(finding.Stop, "back-kind", "/back/kind",
			fmt.Sprintf("A %s back is read and kept, but this version reckons envelopes only.", o.Plan.Kind), "Choose an envelope.")
		return Back{}, found
	}
	return build(o)
}

// envelope is two pieces with a hemmed edge each, lying on each other:
// widths − hems − width of the cut front = overlap.
func envelope(o Order) (Back, finding.List) {
	found := overlapFits(o)
	if found.Stopped() {
		return Back{}, found
	}
	b := Back{Hems: 2}
	if len(o.Plan.Hem) == 0 {
		b.Hems = 0
	}
	if w := o.Plan.Panels.Widths; len(w) == 2 {
		b.Panels = []Panel{
			{Name: "back.left", Title: "Back, left", Size: o.panel(sum.Of(sum.Part, "cut width decided", w[0])), Count: 1},
			{Name: "back.right", Title: "Back, right", Size: o.panel(sum.Of(sum.Part, "cut width decided", w[1])), Count: 1},
		}
	} else {
		b.Panels = []Panel{{Name: "back.panel", Title: "Back piece", Size: o.panel(o.equal()), Count: 2}}
	}
	b.Overlap = o.overlap(b.Panels)
	found = append(found, o.judge(b.Overlap.Total())...)
	return b, found
}

// wanted is the overlap decided, or a quarter of the width.
func (o Order) wanted() length.Length {
	if o.Plan.Overlap != nil {
		return *o.Plan.Overlap
	}
	return length.FromFloat(usual * o.Finished.Float()).Ceil(o.Step)
}

// equal is the width of each of two pieces alike.
func (o Order) equal() sum.Sum {
	s := sum.Of(sum.Part, "half the front "+asKnown(o.Front.Width), o.Front.Width.Total().Div(2)).
		Plus(sum.Overlap, "half the overlap", o.wanted().Div(2))
	for i, h := range o.Plan.Hem {
		s = s.Plus(sum.Hem, hemName(i), h)
	}
	return s
}

// asKnown says whether a size of the front was measured or is still planned.
func asKnown(s sum.Sum) string {
	if len(s) > 0 && s[0].Kind == sum.Measured {
		return "as measured"
	}
	return "as planned"
}

func hemName(i int) string {
	return []string{"hem, first fold", "hem, second fold"}[i]
}

// panel is as high as the front and as wide as given, to the ruler step.
func (o Order) panel(width sum.Sum) sum.Size {
	height := sum.Of(sum.Part, "height of the front "+asKnown(o.Front.Height), o.Front.Height.Total())
	return sum.Size{Width: width, Height: height}.UpTo(o.Step)
}

// overlap is how far the pieces lie on each other, as cut.
func (o Order) overlap(panels []Panel) sum.Sum {
	var s sum.Sum
	for _, p := range panels {
		for range p.Count {
			s = s.Plus(sum.Part, "back piece", p.Size.Width.Total())
			for i, h := range o.Plan.Hem {
				s = s.Plus(sum.Hem, hemName(i), -h)
			}
		}
	}
	return s.Plus(sum.Part, "front "+asKnown(o.Front.Width), -o.Front.Width.Total())
}

func overlapFits(o Order) finding.List {
	var found finding.List
	want := o.wanted()
	if want < 0 {
		found.Add(finding.Stop, "overlap-negative", "/back/overlap", fmt.Sprintf("An overlap cannot be %s.", o.Style.Text(want)),
			fmt.Sprintf("About a quarter of the width is safe: %s.", o.Style.Text(o.quarter())))
	}
	if want > o.Front.Width.Total() {
		found.Add(finding.Stop, "overlap-too-large", "/back/overlap",
			fmt.Sprintf("An overlap of %s is wider than the back itself, %s as cut.", o.Style.Text(want), o.Style.Text(o.Front.Width.Total())),
			fmt.Sprintf("About a quarter of the width is safe: %s.", o.Style.Text(o.quarter())))
	}
	return found
}

func (o Order) quarter() length.Length {
	handy := length.Inch / 2
	if o.Style.Unit != length.Inches {
		handy = length.Centimetre
	}
	return length.FromFloat(usual * o.Finished.Float()).Ceil(handy)
}

// judge says whether the overlap that comes out will hold.
func (o Order) judge(overlap length.Length) finding.List {
	var found finding.List
	share := overlap.Float() / o.Finished.Float()
	about := "/back/overlap"
	if len(o.Plan.Panels.Widths) > 0 {
		about = "/back/panels"
	}
	switch safe := fmt.Sprintf("A quarter, %s, is safe.", o.Style.Text(o.quarter())); {
	case overlap < 0:
		found.Add(finding.Stop, "overlap-gap", about,
			fmt.Sprintf("The pieces do not meet: %s stays open.", o.Style.Text(-overlap)), "Cut wider pieces. "+safe)
	case share < thin:
		found.Add(finding.Warn, "overlap-thin", about,
			fmt.Sprintf("The back overlaps %s, %.0f %% of the width; under 15 %% it gapes.", o.Style.Text(overlap), 100*share), safe)
	case overlap > o.Front.Width.Total():
		found.Add(finding.Stop, "overlap-too-large", about,
			fmt.Sprintf("The back overlaps %s, more than its own width.", o.Style.Text(overlap)), "Cut narrower pieces. "+safe)
	case share > excess:
		found.Add(finding.Note, "overlap-deep", about,
			fmt.Sprintf("The back overlaps %s, %.0f %% of the width: sturdy, but it eats cloth.", o.Style.Text(overlap), 100*share), safe)
	}
	return found
}
