package compare

import (
	"fmt"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
	"umschlag/core/sample"
)

// Offer is a sample that finished covers have sewn unasked: panels of one stack, quilted
// alike, that were measured before they were trimmed.
type Offer struct {
	Sample plan.Sample
	// Covers it is of, by their titles, one for each of its repeats.
	Covers []string
}

// leastCovers is from how many covers on take-up is offered as a sample.
const leastCovers = 2

// Offers are the samples that finished covers have sewn, those of most covers first. A
// panel counts where its sides were measured before it was trimmed: what quilting took is
// one less what is left of the size before quilting.
func Offers(finished []plan.Plan) []Offer {
	var all []Offer
	for _, p := range finished {
		settled := p.Settle()
		front := settled.Piece("front")
		before, after, ok := quilted(settled)
		if !ok || !front.Quilted() || front.Quilting.Borders != nil { // of those a part is quilted otherwise
			continue
		}
		at := -1
		for i, o := range all {
			if sample.Alike(o.Sample.Quilting, front.Quilting) && sample.Other(o.Sample, front) == "" {
				at = i
			}
		}
		if at < 0 {
			at = len(all)
			all = append(all, Offer{Sample: plan.Sample{Kind: plan.QuiltingSample, Units: settled.Units,
				Layers: front.Layers, Quilting: front.Quilting, Before: square(settled.Units)}})
		}
		o := &all[at]
		o.Covers = append(o.Covers, p.Title)
		o.Sample.After = append(o.Sample.After, plan.Sized{
			Width:  scaled(after.Width, before.Width, o.Sample.Before.Width),
			Height: scaled(after.Height, before.Height, o.Sample.Before.Height)})
	}
	var out []Offer
	for _, o := range all {
		if len(o.Covers) < leastCovers {
			continue
		}
		o.Sample.Title = fmt.Sprintf("Quilted as %s", o.Covers[0])
		o.Sample.Notes = fmt.Sprintf("From %d finished covers: what was left of each, as if it had been a test square of this size.", len(o.Covers))
		out = append(out, o)
	}
	return out
}

// square is the size of the test square that panels of all sizes are told by.
func square(unit length.Unit) plan.Sized {
	side := plan.Samples(unit)[0].Before.Width
	return plan.Sized{Width: side, Height: side}
}

// fine is how closely a scaled size is written down: less than a thread.
const fine = length.Millimetre / 10

// scaled is a length after, for a beginning as large as the test square.
func scaled(after, before, as length.Length) length.Length {
	return (length.FromFloat(after.Float()*as.Float()/before.Float()) + fine/2).Floor(fine)
}

// quilted is the front of a cushion before it was quilted, and as it measured after, before
// it was trimmed: the mean of opposite sides.
func quilted(p plan.Plan) (before, after plan.Sized, ok bool) {
	_, m, measured := p.MeasuredAt(ref.FrontUntrimmed)
	if !measured || m.Sides == nil {
		return before, after, false
	}
	after.Width = mean(m.Sides.Top, m.Sides.Bottom)
	after.Height = mean(m.Sides.Left, m.Sides.Right)
	for _, piece := range reckon.Reckon(p, nil).Pieces {
		if piece.Name == "front" {
			before = plan.Sized{Width: length.Length(piece.BeforeQuilting.Width.NM),
				Height: length.Length(piece.BeforeQuilting.Height.NM)}
		}
	}
	return before, after, before.Width > 0 && before.Height > 0 && after.Width > 0 && after.Height > 0
}

// mean of two sides; the one that was measured where the other was not.
func mean(a, b length.Length) length.Length {
	if a == 0 || b == 0 {
		return a + b
	}
	return (a + b).Div(2)
}
