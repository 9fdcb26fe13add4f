package back

import (
	"fmt"
	"math"
	"strings"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// Shares of the cover's width between which an overlap holds. Common practice.
const (
	thin   = 0.15 // gapes below
	usual  = 0.25 // safe
	excess = 0.60 // only eats cloth above
)

// envelope is two pieces with a hemmed edge each, lying on each other:
// widths − hems − width of the cut front = overlap.
func envelope(o Order) (Back, finding.List) {
	found := overlapFits(o)
	if found.Stopped() {
		return Back{}, found
	}
	var b Back
	if w := o.Plan.Panels.Widths; len(w) == 2 {
		b.Panels = []Panel{
			{Role: ref.ClosureLeft, Name: "back.left", Title: "Back, left",
				Size: o.panel(sum.Of(sum.Part, "cut width decided", w[0])), Count: 1},
			{Role: ref.ClosureRight, Name: "back.right", Title: "Back, right",
				Size: o.panel(sum.Of(sum.Part, "cut width decided", w[1])), Count: 1},
		}
	} else {
		b.Panels = []Panel{{Role: ref.ClosurePanel, Name: "back.panel", Title: "Back piece",
			Size: o.panel(hemmedWidth(o, o.half().Plus(sum.Overlap, "half the overlap", o.wanted().Div(2)))), Count: 2}}
	}
	for i := range b.Panels {
		b.Panels[i].Selvedge = len(o.Plan.Hem) == 0
	}
	hems, last := o.hems(), len(b.Panels)-1
	left, right := b.Panels[0].Size.Width.Total()-hems, b.Panels[last].Size.Width.Total()-hems
	b.Lies = o.two(left, right, 0, last)
	b.Overlap = o.overlap(b.Panels, "less what the hem takes", hems)
	b.Opening = o.side()
	b.Laid = outerFirst(o)
	if len(o.Plan.Hem) > 0 {
		fold := o.Plan.Hem[len(o.Plan.Hem)-1] // the first fold lies within the last
		b.Marks = []Mark{{HemLine, o.upright(left-fold, 0)}, {HemLine, o.upright(o.width()-right+fold, 0)}}
		b.Keep = []Mark{{HemLine, o.upright(left-fold, fold)}, {HemLine, o.upright(o.width()-right, fold)}}
		b.Sewn = sewnAlong(o, "hem", 2)
		b.Making = []Making{hemMaking(o)}
	}
	return b, append(found, judgeOverlap(o, b.Overlap.Total())...)
}

func (o Order) hems() length.Length {
	all := o.turn(len(o.Plan.Hem))
	for _, h := range o.Plan.Hem {
		all += h
	}
	return all
}

// turn is what a thick cloth takes where it is folded once or twice: its middle lies on half a circle round nothing,
// and then on one round itself, longer than flat by (π/2 − 1) and (π − 3) of its thickness. Source: geometry.
func (o Order) turn(folds int) length.Length {
	return length.FromFloat(o.Thick.Float() * []float64{0, math.Pi/2 - 1, 3*math.Pi/2 - 4}[min(folds, 2)])
}

// turned adds what a thick cloth takes where it is folded.
func (o Order) turned(s sum.Sum, folds int) sum.Sum {
	if t := o.turn(folds); t > 0 {
		return s.Plus(sum.Hem, "turn of the thick fabric", t)
	}
	return s
}

// hemmedWidth adds the folds of a hem.
func hemmedWidth(o Order, s sum.Sum) sum.Sum {
	for i, h := range o.Plan.Hem {
		s = s.Plus(sum.Hem, []string{"hem, first fold", "hem, second fold"}[i], h)
	}
	return o.turned(s, len(o.Plan.Hem))
}

func hemMaking(o Order) Making {
	folds, lines := make([]string, len(o.Plan.Hem)), make([]length.Length, len(o.Plan.Hem))
	for i, h := range o.Plan.Hem {
		folds[i], lines[i] = o.text(h), h
		if i > 0 {
			lines[i] += lines[i-1]
		}
	}
	inner := "inner fold"
	if len(folds) == 1 {
		inner = "raw edge"
	}
	return Making{Role: ref.DoHem, Stack: turnedPiece("its hem"), Turned: true, Folds: lines,
		Title: "Hem the back pieces", Machine: hemming, Press: "Press the hem flat.",
		Text: fmt.Sprintf("Turn the edge of each piece that comes to lie in the middle of the back, %s long, to the wrong side %s, press, and edge-stitch along the %s.",
			o.text(o.height()), strings.Join(folds, " and again "), inner)}
}

// sewnAlong is stitching over the whole height, so many times.
func sewnAlong(o Order, name string, times int) sum.Sum {
	return sum.Repeat(times, sum.Part, name, o.height())
}

// folded is two pieces folded double, their folds to the middle: a fold takes
// nothing, but halves the piece. With a full lining over them no raw edge shows.
func folded(o Order) (Back, finding.List) {
	found := overlapFits(o)
	if found.Stopped() {
		return Back{}, found
	}
	deep := o.half().Plus(sum.Overlap, "half the overlap", o.wanted().Div(2))
	if o.Plan.Depth > 0 {
		deep = sum.Of(sum.Part, "depth as folded", o.Plan.Depth)
	}
	deep = deep.UpTo(o.Step)
	b := Back{Panels: []Panel{{Role: ref.ClosurePanel, Name: "back.panel", Title: "Back piece, to be folded", Count: 2,
		Size: o.panel(deep.Then(sum.Of(sum.Part, "the same again, folded behind", deep.Total())))}}}
	reach := deep.Total()
	b.Lies = o.two(reach, reach, 0)
	b.Marks = []Mark{{FoldLine, o.upright(reach, 0)}, {FoldLine, o.upright(o.width()-reach, 0)}}
	b.Overlap = o.overlap(b.Panels, "less what is folded behind", reach)
	b.Opening = o.side()
	b.Making = []Making{{Role: ref.DoFold, Stack: turnedPiece("its other half, folded over"), Turned: true,
		Folds: []length.Length{b.Panels[0].Size.Width.Total().Div(2)},
		Title: "Fold the back pieces", Press: "Press the folds sharp.",
		Text: fmt.Sprintf("Fold each in half along its height, wrong sides together, raw edges even: the folds, %s long, come to lie in the middle of the back. Baste the raw edges.",
			o.text(o.height()))}}
	b.Laid = "Folds to the middle. " + outerFirst(o)
	if o.Plan.Lined {
		o.line(&b)
	}
	about := "/back/overlap"
	if o.Plan.Depth > 0 {
		about = "/back/depth"
	}
	judged := judgeOverlap(o, b.Overlap.Total())
	for i := range judged {
		judged[i].About = about
	}
	return b, append(found, judged...)
}

// line adds a lining over everything: two halves joined, but for a gap to turn the
// cover through.
func (o Order) line(b *Back) {
	half := o.half().Plus(sum.Seam, "seam in the middle", o.Seam)
	b.Panels = append(b.Panels,
		Panel{Role: ref.ClosureLining, Name: "back.lining", Title: "Lining, half", Size: o.panel(half), Count: 2,
			Lining: true})
	gap := min(o.Plan.Gap, length.FromFloat(o.High.Float()/2))
	b.Making = append(b.Making,
		Making{Role: ref.DoLine,
			Stack: []Sheet{{What: "half of the lining", Lies: RightUp, Of: LiningCloth},
				{What: "the other half", Lies: WrongUp, Of: LiningCloth}},
			Title: "Join the lining", Press: "Press the seam open.",
			Text: fmt.Sprintf("Right sides together along one height, %s long, with a gap of %s in its middle.",
				o.text(o.height()), o.text(gap))})
	b.Sewn = b.Sewn.Then(sewnAlong(o, "seam in the lining", 1))
	b.Laid += " Over them the lining, right side down."
	b.Turned = "Turn it through the gap in the lining, sew that shut, and turn the cover once more through its overlap."
}

// overlap is how far the two pieces lie on each other, as cut.
func (o Order) overlap(panels []Panel, name string, each length.Length) sum.Sum {
	var s sum.Sum
	for _, p := range panels {
		for range p.Count {
			s = s.Plus(sum.Part, "back piece", p.Size.Width.Total()).Plus(sum.Hem, name, -each)
		}
	}
	return s.Plus(sum.Part, "front "+asKnown(o.Front.Width), -o.width())
}

// wanted is the overlap decided, by its size or by its share of the width, or a
// quarter of the width.
func (o Order) wanted() length.Length {
	switch {
	case o.Plan.Overlap != nil:
		return *o.Plan.Overlap
	case o.Plan.Share > 0:
		return length.FromFloat(o.Plan.Share / 100 * o.Finished.Float()).Ceil(o.Step)
	default:
		return length.FromFloat(usual * o.Finished.Float()).Ceil(o.Step)
	}
}

func overlapFits(o Order) finding.List {
	var found finding.List
	want := o.wanted()
	if want < 0 {
		found.Add(finding.Stop, "overlap-negative", aboutOverlap(o),
			fmt.Sprintf("An overlap cannot be %s.", o.text(want)),
			fmt.Sprintf("About a quarter of the width is safe: %s.", o.text(o.quarter())))
	}
	if want > o.width() {
		found.Add(finding.Stop, "overlap-too-large", aboutOverlap(o),
			fmt.Sprintf("An overlap of %s is wider than the back itself, %s as cut.", o.text(want), o.text(o.width())),
			fmt.Sprintf("About a quarter of the width is safe: %s.", o.text(o.quarter())))
	}
	return found
}

// aboutOverlap is the decision the overlap follows from.
func aboutOverlap(o Order) string {
	switch {
	case len(o.Plan.Panels.Widths) > 0 && o.Plan.Kind == plan.Envelope:
		return "/back/panels"
	case o.Plan.Overlap == nil && o.Plan.Share > 0:
		return "/back/share"
	default:
		return "/back/overlap"
	}
}

func (o Order) quarter() length.Length {
	handy := length.Inch / 2
	if !o.Step.OnInches() {
		handy = length.Centimetre
	}
	return length.FromFloat(usual * o.Finished.Float()).Ceil(handy)
}

// judgeOverlap says whether the overlap that comes out will hold.
func judgeOverlap(o Order, overlap length.Length) finding.List {
	var found finding.List
	share := overlap.Float() / o.Finished.Float()
	about := aboutOverlap(o)
	switch safe := fmt.Sprintf("A quarter, %s, is safe.", o.text(o.quarter())); {
	case overlap < 0:
		found.Add(finding.Stop, "overlap-gap", about,
			fmt.Sprintf("The pieces do not meet: %s stays open.", o.text(-overlap)), "Cut wider pieces. "+safe)
	case share < thin:
		found.Add(finding.Warn, "overlap-thin", about,
			fmt.Sprintf("The back overlaps %s, %.0f%% of the width; under 15%% it gapes.", o.text(overlap),
				100*share), safe)
	case overlap > o.width():
		found.Add(finding.Stop, "overlap-too-large", about,
			fmt.Sprintf("The back overlaps %s, more than its own width.", o.text(overlap)),
			"Cut narrower pieces. "+safe)
	case share > excess:
		found.Add(finding.Note, "overlap-deep", about,
			fmt.Sprintf("The back overlaps %s, %.0f%% of the width: sturdy, but it eats fabric.", o.text(overlap),
				100*share), safe)
	}
	return found
}
