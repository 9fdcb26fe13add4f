package back

import (
	"fmt"

	"umschlag/core/caution"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/machine"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// Sizes of laps. Common practice.
const (
	tapeShort   = 7 * length.Inch / 2 // hook-and-loop tape is this much shorter than the side
	apart       = 9 * length.Inch / 2 // buttons and ties stand about this far apart
	buttonRoom  = length.Inch / 4     // a button keeps this far off either edge of its band
	tieLong     = 9 * length.Inch     // a tie as finished
	tieWide     = length.Inch / 2
	leastPieces = 2 // buttons or pairs of ties
)

var buttonCaution = caution.Of("Buttons", "Buttons come off and can be swallowed: none for babies and small children. Follow local rules for small parts.")
var tieCaution = caution.Of("Cords", "Cords and ties can strangle: keep them short where small children are, and follow local rules for cords.")

// banded is two pieces whose edges are turned twice into bands that lie on each
// other: each (width + band)/2 + 2 × band.
func banded(o Order) (Back, finding.List) {
	var found finding.List
	band := o.Plan.Band
	if most := o.width() / 3; band <= 0 || band > most {
		found.Add(finding.Stop, "out-of-range", "/back/band",
			fmt.Sprintf("A band of %s does not suit a back of %s.", o.text(band), o.text(o.width())),
			fmt.Sprintf("Type up to %s; about %s is usual.", o.text(most.Floor(o.Step)), o.usual()))
		return Back{}, found
	}
	width := o.turned(o.half().Plus(sum.Overlap, "half the lap", band.Div(2)).
		Plus(sum.Hem, "band, first fold", band).Plus(sum.Hem, "band, second fold", band), 2)
	folds := 2*band + o.turn(2)
	b := Back{Panels: []Panel{{Role: ref.ClosurePanel, Name: "back.panel", Title: "Back piece", Size: o.panel(width),
		Count: 2}}}
	reach := b.Panels[0].Size.Width.Total() - folds
	b.Lies = o.two(reach, reach, 0)
	b.Marks = []Mark{{HemLine, o.upright(reach-band, 0)}, {HemLine, o.upright(o.width()-reach+band, 0)}}
	b.Keep = []Mark{{HemLine, o.upright(o.width()-reach, band)}}
	b.Overlap = o.overlap(b.Panels, "less both folds of the band", folds)
	b.Opening = o.side()
	b.Sewn = sewnAlong(o, "band", 2)
	b.Making = []Making{{Role: ref.DoHem, Stack: turnedPiece("its hem"), Turned: true,
		Folds: []length.Length{band, 2 * band},
		Title: "Fold the bands", Machine: hemming, Press: "Press both folds.",
		Text: o.bandText("along the inner fold")}}
	b.Laid = "The bands lie on each other. " + outerFirst(o)
	return b, found
}

// usual is how wide a band or a flap is where there is room for it, as the plan's unit says it.
func (o Order) usual() string {
	if o.Step.OnInches() {
		return o.text(length.Inch)
	}
	return o.text(25 * length.Millimetre)
}

// middle is the middle of the lap.
func (o Order) middle() length.Length { return o.width() / 2 }

// lapped closes the bands with hook-and-loop tape.
func lapped(o Order) (Back, finding.List) {
	b, found := banded(o)
	if found.Stopped() {
		return b, found
	}
	if o.Plan.Tape <= 0 || o.Plan.Tape >= o.Plan.Band {
		found.Add(finding.Stop, "tape-wide", "/back/tape",
			fmt.Sprintf("Tape of %s does not fit between fold and stitching of a band of %s.", o.text(o.Plan.Tape),
				o.text(o.Plan.Band)),
			"Choose a narrower tape, or a wider band.")
		return Back{}, found
	}
	long := sum.Of(sum.Part, "height of the cover", o.High).
		Plus(sum.Part, "shorter than the side", -min(tapeShort, o.High/2))
	b.Notions = []Notion{{What: "hook-and-loop tape", Length: long}}
	b.Marks = append(b.Marks, Mark{TapeBox,
		Box{X: o.middle() - o.Plan.Tape/2, Y: (o.height() - long.Total()) / 2, Width: o.Plan.Tape,
			Height: long.Total()}})
	b.Sewn = b.Sewn.Then(sum.Repeat(4, sum.Part, "round the tape", long.Total()))
	outer, inner := outerOf(o)
	b.Making[0].Text = o.bandText(fmt.Sprintf("the band of the %s piece along the inner fold; that of the %s one waits for its tape",
		inner, outer))
	b.Making = append(b.Making, Making{Role: ref.DoTape, Stack: onPiece(Sheet{What: "hook-and-loop tape"}),
		Title: "Sew the tape on", Machine: machine.SetUp{Stitch: "straight stitch 2.5 mm", Needle: "90/14"},
		Text: fmt.Sprintf("Cut %s each of the loop side and the hook side of the tape. The loop side goes on the outside of the %s piece, which will lie under the other, centred between fold and stitching of its band: stitch all round. Open the band of the %s piece, lay the hook side on what was its outside, between the two creases, and stitch all round through this one layer, so that nothing shows outside; then fold the band again and stitch it close to the inner fold.",
			o.text(long.Total()), inner, outer),
		Check:   "Closed, both pieces lie flat and make the width of the front.",
		Caution: caution.Of("Needle", "The tape is thick and dense: put a new needle in and wear glasses.")})
	return b, found
}

// howMany is how many buttons or pairs of ties stand along the side.
func howMany(o Order) int {
	if o.Plan.Count > 0 {
		return o.Plan.Count
	}
	return max(leastPieces, int(o.High/apart))
}

// spreadOver is n places along the side, half a distance from its ends.
func spreadOver(o Order, n int) []length.Length {
	out := make([]length.Length, n)
	for i := range out {
		out[i] = (o.height()-o.High)/2 + o.High.Times(2*i+1).Div(2*n)
	}
	return out
}

// buttoned closes the bands with buttons.
func buttoned(o Order) (Back, finding.List) {
	b, found := banded(o)
	if found.Stopped() {
		return b, found
	}
	if wide := o.Plan.Button; wide <= 0 || wide+2*buttonRoom > o.Plan.Band {
		found.Add(finding.Stop, "button-wide", "/back/button",
			fmt.Sprintf("A button of %s does not fit a band of %s with %s beside it.", o.text(wide),
				o.text(o.Plan.Band), o.text(buttonRoom)),
			"Choose smaller buttons, or a wider band.")
		return Back{}, found
	}
	n := howMany(o)
	b.Buttons = n
	for _, y := range spreadOver(o, n) {
		b.Marks = append(b.Marks,
			Mark{ButtonMark, Box{X: o.middle() - o.Plan.Button/2, Y: y - o.Plan.Button/2, Width: o.Plan.Button,
				Height: o.Plan.Button}})
	}
	b.Making = append(b.Making, Making{Role: ref.DoButtons, Stack: onPiece(Sheet{What: "button"}),
		Title: "Buttonholes and buttons", Caution: buttonCaution,
		Text:  fmt.Sprintf("%d buttonholes in the middle of the outer band, as long as a button is wide and thick, %s apart; sew the buttons on the inner band under them.", n, o.text(o.High.Div(n))),
		Check: "Try a buttonhole on a scrap of the same layers first."})
	return b, found
}

// tied closes the bands with pairs of ties.
func tied(o Order) (Back, finding.List) {
	b, found := banded(o)
	if found.Stopped() {
		return b, found
	}
	n := howMany(o)
	b.Panels = append(b.Panels,
		Panel{Role: ref.ClosureTie, Name: "back.tie", Title: "Tie", Count: 2 * n, Small: true, Size: sum.Size{
			Width:  sum.Of(sum.Part, "length of a tie", tieLong).Between(sum.Seam, "turned in", o.Seam),
			Height: sum.Repeat(4, sum.Part, "width of a tie, folded in four", tieWide),
		}.UpTo(o.Step)})
	for _, y := range spreadOver(o, n) {
		b.Marks = append(b.Marks, Mark{TieMark, Box{X: o.middle() - o.Plan.Band, Y: y, Width: 2 * o.Plan.Band}})
	}
	b.Sewn = b.Sewn.Then(sum.Repeat(2*n, sum.Part, "tie", tieLong))
	b.Making = append(b.Making,
		Making{Role: ref.DoTies, Stack: onPiece(Sheet{What: "tie", Lies: RightUp, Of: BackCloth}),
			Title: "Make the ties and sew them on", Press: "Press them flat.", Caution: tieCaution,
			Text:  fmt.Sprintf("Fold each in four along its length, the ends turned in, and stitch it shut. Sew %d pairs on, %s apart: one of a pair to the fold of the outer band, the other to the inner piece behind it.", n, o.text(o.High.Div(n))),
			Check: "Tied, both pieces lie flat."})
	return b, found
}

// bandText says how the bands are folded and stitched.
func (o Order) bandText(stitched string) string {
	return fmt.Sprintf("Turn the edge of each piece that comes to lie in the middle of the back, %s long, to the wrong side %s and again %s, press, and edge-stitch %s.",
		o.text(o.height()), o.text(o.Plan.Band), o.text(o.Plan.Band), stitched)
}
