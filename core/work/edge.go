package work

import (
	"fmt"

	"umschlag/core/caution"
	"umschlag/core/length"
	"umschlag/core/machine"
	"umschlag/core/ref"
)

// Edging is what the work needs to know of piping or binding.
type Edging struct {
	// What is piping or binding.
	What string
	// Cut of its strips; empty where it is bought.
	Cut           string
	Bought        bool
	Width, Length length.Length
	Strips        int
	Bias          bool
}

// Form is a pad that is made at home.
type Form struct {
	Fold     bool
	Tab, Gap length.Length
	// Least and Most grams of fibre.
	Least, Most float64
}

// piping is where piping is basted on: the piece that lies flat, whether it meets itself there, and when that is done.
type piping struct {
	on     string
	closed bool
	stage  Stage
}

// makeEdgings makes piping and binding ready, which can be done as soon as all is measured, and
// bastes the piping on what it lies on, while that is flat.
func makeEdgings(b *builder, measured, on []string, p piping) {
	b.on = p.on
	for _, e := range b.Edges {
		if !e.Bought {
			b.beside(measured, func() { makeStrips(b, e) })
		}
		if e.What != "piping" {
			continue
		}
		b.after = union(on, b.having(ref.DoMakePiping))
		step := bastePiping(b, p)
		step.Sewn = e.Length
		b.add(step)
	}
}

// bastePiping is how piping is held on its piece until the seam is sewn.
func bastePiping(b *builder, p piping) Step {
	name := b.called(p.on)
	step := Step{Role: ref.DoBastePiping, Stage: p.stage, Title: "Baste the piping on the " + name,
		Stack:   append(b.faceUp(p.on), Sheet{What: "piping"}),
		Machine: machine.SetUp{Foot: "zipper foot", Stitch: "straight stitch 4 mm", Needle: "90/14"},
		Tips:    pipingTips(b, p.closed),
		Check:   "The cord lies just inside the seam line all the way. The seam itself is sewn once more, closer, by feel."}
	clip := fmt.Sprintf("Clip its seam every %s at the corners and along curves, not into the stitching.",
		b.about(length.Inch/4, 6*length.Millimetre))
	if p.closed {
		step.Text = fmt.Sprintf("On the right side of the %s, raw edges even, begun in the middle of the lower edge, away from the corners, with a tail of %s. %s Where it meets, open the strip, butt the cords, fold one end under and lay it over the other.",
			name, b.about(2*length.Inch, 5*length.Centimetre), clip)
		return step
	}
	step.Text = fmt.Sprintf("On the right side of the %s, raw edges even, from end to end of the seam it lies in, which does not close. %s At both ends pull the cord out and cut it off where the next seam or the edge will cross, so that no cord lies in it.",
		name, clip)
	return step
}

// made is the step that makes an edging.
var made = map[string]ref.Role{"piping": ref.DoMakePiping, "binding": ref.DoMakeBinding}

func makeStrips(b *builder, e Edging) {
	strips := count(e.Strips, "strip", "strips")
	cut := fmt.Sprintf("Cut %s %s wide straight across the fabric", strips, b.text(e.Width))
	if e.Bias {
		cut = fmt.Sprintf("Mark the piece at 45° from one corner and cut %s %s wide, as drawn; leave the short ones at the corners", strips, b.text(e.Width))
	}
	sewn := joining(b)
	stack := []Sheet{{What: "strip", Up: WrongUp}, {What: "strip, folded over", Up: RightUp}}
	text := cut + "."
	if e.Strips > 1 {
		how := "on the slant, right sides together at a right angle, sewn from corner to corner and trimmed to the seam"
		if e.Bias {
			how = "with seams along the grain, right sides together at a right angle"
		}
		text += fmt.Sprintf(" Join them %s, and press the seams open. Lay it round once before it is sewn: begin elsewhere where a join would come to a corner.",
			how)
	}
	check := fmt.Sprintf("The whole is at least %s long.", b.text(e.Length))
	if e.What == "piping" {
		text += " Fold the strip over the cord, wrong sides together, and stitch beside it with the zipper foot, not too close."
		stack = []Sheet{{What: "strip", Up: WrongUp}, {What: "cord"}, {What: "strip, folded over", Up: RightUp}}
		sewn = machine.SetUp{Foot: "zipper foot", Stitch: "straight stitch 4 mm", Needle: "90/14"}
	} else {
		text += " Fold it as it will lie and press."
	}
	stage := Closing
	if e.What == "piping" { // it is basted on while its piece is flat
		stage = Quilting
	}
	b.add(Step{Role: made[e.What], Edging: e.What, Sewn: e.Length, Stage: stage, Title: "Make the " + e.What,
		Text: text,
		Cuts: []string{e.Cut}, Stack: stack, Check: check, Machine: sewn, Caution: rotaryCaution})
}

// makeForm sews and fills a pad that is made at home.
func makeForm(b *builder) {
	f := b.Made
	if f == nil {
		return
	}
	fold := "Two pieces right sides together, sewn all round"
	if f.Fold {
		fold = "Fold the piece at the bottom, right sides together, and sew the three open sides"
	}
	closing, tab := "slip-stitch it", ""
	if f.Tab > 0 {
		closing = "turn the tabs inside and close it with one line of top-stitching through both"
		tab = "Sew a tab to either piece first, right sides together, along the stretch where the gap will be, and press it outwards. "
	}
	b.add(Step{Role: ref.DoForm, Stage: Measuring,
		Stack: facing(Sheet{What: "one side of the insert"}, Sheet{What: "the other"}), Title: "Make the insert",
		Machine: closingSetUp(b, false, 0), Cuts: b.cuts("form", false),
		Caution: caution.Of("Fibre",
			"Loose fibre is nothing for small children; keep it away from flames and follow the label on the bag."),
		Text: fmt.Sprintf("%s%s but for a gap of %s, forwards and back at both of its ends. "+
			"Turn it, fill it with %.0f to %.0f g of fibre, the "+
			b.cornered("corners", "edge all round")+" first, and %s.",
			tab, fold, b.text(f.Gap), f.Least, f.Most, closing),
		Check: "It springs back, and no lump is felt."})
}
