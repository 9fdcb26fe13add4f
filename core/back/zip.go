package back

import (
	"fmt"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/machine"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// Sizes of zips. Common practice.
const (
	zipEnd   = 3 * length.Inch / 4 // left closed at either end of a zip
	zipSpare = length.Inch         // a zip is bought this much longer and cut off after
	zipWide  = length.Inch         // the tape of a zip, as drawn
)

const openFirst = "Open the zip halfway before the last seam, or the cover cannot be turned."

// zip is a back with a zip: across it, or in a side seam.
func zip(o Order) (Back, finding.List) {
	if o.Plan.Place == plan.InTheSide {
		return sideZip(o)
	}
	return acrossZip(o)
}

// zipOf is a zip for an opening: bought longer, its ends left closed.
func zipOf(opening sum.Sum, ends sum.Sum) []Notion {
	return []Notion{{What: "zip", Length: opening.Then(ends).Plus(sum.Part, "spare, cut off after", zipSpare)}}
}

// acrossZip is two pieces with a zip between them, hidden under a flap that is pinched
// from the outer one where one is wanted: each (width + 2 × zip seam)/2, and twice the
// flap more.
func acrossZip(o Order) (Back, finding.List) {
	var found finding.List
	seam, flap := o.Plan.Seam, o.Plan.Flap
	if most := o.width() / 4; flap < 0 || flap > most {
		found.Add(finding.Stop, "out-of-range", "/back/flap",
			fmt.Sprintf("A flap of %s does not suit a back of %s.", o.text(flap), o.text(o.width())),
			fmt.Sprintf("Type up to %s; %s hides a zip.", o.text(most.Floor(o.Step)), o.usual()))
		return Back{}, found
	}
	inner := o.half().Plus(sum.Hem, "turned under at the zip", seam)
	b := Back{Panels: []Panel{{Role: ref.ClosurePanel, Name: "back.panel", Title: "Back piece", Size: o.panel(inner),
		Count: 2}}}
	reach, outer := o.width()/2, 0
	if flap > 0 {
		b.Panels = []Panel{{Role: ref.ClosureLeft, Name: "back.left", Title: "Back, left", Size: o.panel(inner),
			Count: 1},
			{Role: ref.ClosureRight, Name: "back.right", Title: "Back, right, with the flap",
				Size: o.panel(inner.Plus(sum.Part, "flap", flap).Plus(sum.Part, "flap, folded back", flap)), Count: 1}}
		outer = 1
	}
	b.Lies = o.two(reach, reach+flap, 0, outer)
	ends := sum.Of(sum.Part, "closed at an end", zipEnd).Plus(sum.Part, "closed at an end", zipEnd)
	inside := o.High - 2*o.Flange
	open := sum.Of(sum.Part, "height of the cover", o.High).Plus(sum.Part, "less the flange", -2*o.Flange).
		Plus(sum.Part, "closed at both ends", -2*zipEnd)
	b.Opening = open
	b.Notions = zipOf(open, ends)
	b.Marks = []Mark{{ZipBox, Box{X: o.middle() - zipWide/2, Y: (o.height()-inside)/2 + zipEnd, Width: zipWide,
		Height: max(0, open.Total())}}}
	if flap > 0 {
		b.Marks = append(b.Marks, Mark{FoldLine, o.upright(o.width()/2-flap, 0)})
	}
	b.Keep = []Mark{{ZipBox, o.upright(o.middle()-max(zipWide/2, flap), max(zipWide, zipWide/2+flap))}}
	b.Sewn = sewnAlong(o, "beside the zip", 2)
	b.Making = []Making{insertZip(o)}
	if flap > 0 {
		b.Sewn = b.Sewn.Plus(sum.Part, "along the zip, to hold the flap", o.height())
		b.Making = append(b.Making,
			Making{Role: ref.DoFlap,
				Stack: []Sheet{{What: "zip", Lies: RightUp}, {What: "flap", Lies: RightUp, Of: BackCloth}},
				Title: "Pinch the flap", Press: "Press the flap over the zip.",
				Text: fmt.Sprintf("Fold the right-hand piece so that its flap covers the zip by %s. Turn it over and stitch once more on the line along the outer edge of the zip, %s long: that holds the flap. Stitch the flap down at both ends within the seam allowance.", o.text(flap), o.text(o.height()))})
	}
	b.Laid = zipLaid(o)
	b.Turned = "Turn it through the zip."
	if open.Total() <= 0 {
		found.Add(finding.Stop, "zip-short", "/back/kind",
			fmt.Sprintf("In a height of %s nothing stays open beside the ends of a zip.", o.text(inside)),
			"Choose an envelope.")
	}
	return b, found
}

func insertZip(o Order) Making {
	return Making{Role: ref.DoZip, Folds: []length.Length{o.Plan.Seam},
		Stack:   []Sheet{{What: "zip", Lies: RightUp}, {What: "back piece", Lies: RightUp, Of: BackCloth}},
		Title:   "Sew the zip in",
		Machine: machine.SetUp{Foot: "zipper foot", Stitch: "straight stitch 2.5 mm", Needle: "80/12"},
		Text:    fmt.Sprintf("Press %s under along the edge of each piece that comes to lie in the middle of the back, %s long. Sew the seam shut for %s at each end. Between, butt the folds along the teeth of the closed zip and stitch down both sides.", o.text(o.Plan.Seam), o.text(o.height()), o.text(o.Seam+o.Flange+zipEnd)),
		Check:   fmt.Sprintf("Sewn together, the back is %s wide, as the front. Trim what is beyond, the zip too: sew across its teeth before you cut it.", o.text(o.width()))}
}

// zipLaid is what is said when a back with a zip is closed.
func zipLaid(o Order) string {
	if o.Flange > 0 {
		return fmt.Sprintf("Open the zip halfway, well past the line of the flange %s from the edge, before the last seam, or the cover cannot be turned.", o.text(o.Flange))
	}
	return openFirst
}

// sideZip is a whole back with a zip in the seam at the bottom.
func sideZip(o Order) (Back, finding.List) {
	var found finding.List
	if o.Flange > 0 {
		found.Add(finding.Stop, "zip-flange", "/back/place",
			fmt.Sprintf("A zip in the side seam lies at the edge of a flange of %s, outside the line that holds the insert.", o.text(o.Flange)),
			"Put the zip across the back, under a flap if it is to be hidden.")
		return Back{}, found
	}
	open := sum.Of(sum.Part, "width of the cover", o.Finished).Plus(sum.Part, "closed at both ends", -2*zipEnd)
	if o.Plan.Gap > 0 {
		open = sum.Of(sum.Part, "opening decided", o.Plan.Gap)
	}
	if most := o.Finished - 2*zipEnd; open.Total() <= 0 || open.Total() > most {
		found.Add(finding.Stop, "zip-gap", "/back/gap",
			fmt.Sprintf("An opening of %s does not fit a side of %s with %s closed at both ends.", o.text(open.Total()),
				o.text(o.Finished), o.text(zipEnd)),
			fmt.Sprintf("Type up to %s.", o.text(max(0, most).Floor(o.Step))))
		return Back{}, found
	}
	b := Back{Panels: []Panel{{Role: ref.ClosurePanel, Name: "back.panel", Title: "Back", Size: o.whole(), Count: 1}},
		Opening: open, About: "/back/gap"}
	b.Lies = []Lie{{Label: "", Box: Box{Width: o.width(), Height: o.height()}}}
	ends := sum.Of(sum.Part, "closed at an end", zipEnd).Plus(sum.Part, "closed at an end", zipEnd)
	b.Notions = zipOf(open, ends)
	b.Marks = []Mark{{ZipBox, Box{X: (o.width() - open.Total()) / 2, Y: o.height() - o.Seam - zipWide/2,
		Width: open.Total(), Height: zipWide}}}
	b.Sewn = sum.Repeat(2, sum.Part, "beside the zip", open.Total())
	b.Making = []Making{{Role: ref.DoZip,
		Stack:   []Sheet{{What: "front and back, pressed open", Lies: WrongUp}, {What: "zip", Lies: WrongUp}},
		Title:   "Sew the zip into the bottom seam",
		Machine: machine.SetUp{Foot: "zipper foot", Stitch: "straight stitch 2.5 mm", Needle: "80/12"},
		Text:    fmt.Sprintf("Front and back right sides together: sew the bottom seam from both corners to where the opening begins, %s in all, and baste the rest. Press it open, lay the closed zip face down on it, stitch both sides, and take the basting out.", o.text(o.Finished-open.Total())),
		Check:   "The zip runs freely and no tape shows."}}
	b.Laid, b.Begun = "The bottom is sewn already. "+openFirst, true
	b.Turned = "Turn it through the zip."
	return b, found
}

// sewnShut is a whole back; the pad goes in before the gap is closed for good.
func sewnShut(o Order) (Back, finding.List) {
	var found finding.List
	gap, tab := o.Plan.Gap, o.Plan.Tab
	off := plan.OffCorners(o.Finished)
	if most := o.Finished - 2*off; gap <= 0 || gap > most {
		found.Add(finding.Stop, "gap", "/back/gap",
			fmt.Sprintf("A gap of %s has no place in a side of %s, %s off both corners.", o.text(gap),
				o.text(o.Finished), o.text(off)),
			fmt.Sprintf("Type up to %s.", o.text(max(0, most).Floor(o.Step))))
		return Back{}, found
	}
	if tab < 0 || tab > 3*length.Inch {
		found.Add(finding.Stop, "out-of-range", "/back/tab", fmt.Sprintf("A tab cannot stand out %s.", o.text(tab)),
			"Type up to 3 in, or 0 for none.")
		return Back{}, found
	}
	b := Back{Panels: []Panel{{Role: ref.ClosurePanel, Name: "back.panel", Title: "Back", Size: o.whole(), Count: 1}},
		Gap: gap, Opening: sum.Of(sum.Part, "gap", gap), About: "/back/gap"}
	b.Lies = []Lie{{Label: "", Box: Box{Width: o.width(), Height: o.height()}}}
	b.Marks = []Mark{{GapLine, Box{X: (o.width() - gap) / 2, Y: o.height() - o.Seam, Width: gap}}}
	b.Laid = fmt.Sprintf("Leave a gap of %s in the middle of the bottom.", o.text(gap))
	b.Turned = "Turn it through the gap, put the insert in and slip-stitch the gap."
	if tab > 0 {
		b.Panels = append(b.Panels,
			Panel{Role: ref.ClosureTab, Name: "back.tab", Title: "Tab", Count: 2, Small: true, Size: sum.Size{
				Width:  sum.Of(sum.Part, "as long as the gap", gap).Between(sum.Seam, "seam allowance", o.Seam),
				Height: sum.Of(sum.Part, "stands out", tab).Between(sum.Seam, "seam allowance", o.Seam),
			}.UpTo(o.Step)})
		b.Marks = append(b.Marks,
			Mark{HemLine, Box{X: (o.width() - gap) / 2, Y: o.height() - o.Seam - tab, Width: gap}})
		b.Making = []Making{{Role: ref.DoTab, Stack: onPiece(Sheet{What: "tab", Lies: WrongUp, Of: BackCloth}),
			Title: "Sew the tabs on",
			Text:  "One to the front and one to the back, right sides together along the stretch of the gap; press them outwards.", Press: "Press the tabs outwards."}}
		b.Sewn = sum.Repeat(2, sum.Part, "tab", gap)
		b.Turned = "Turn it through the gap, put the insert in, turn the tabs inside, and close the gap with one line of top-stitching."
	}
	return b, found
}
