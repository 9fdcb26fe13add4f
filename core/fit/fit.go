// Package fit knows what a real measurement does to a plan: a measured panel
// replaces the planned one for whatever is still to be cut, and each way to deal
// with the difference is named with its figures.
package fit

import (
	"fmt"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
	"umschlag/core/work"
)

// Limits of the remedies. Common practice.
const (
	easeShare = 0.01            // straight seams ease in one percent
	leastSeam = length.Inch / 8 // a narrower seam frays out
	slipShare = 0.10            // a larger difference is a slip of the tape
	threads   = 2               // allowances in a seam
)

// Remedy is one way to deal with a difference.
type Remedy struct {
	Code string `json:"code"`
	// Open reports whether it can still be done.
	Open bool   `json:"open"`
	Text string `json:"text"`
}

// Panel is what the measurement of a panel means.
type Panel struct {
	// Trimmed size in force: measured where it was measured.
	Trimmed sum.Size
	// Measured reports whether anything was.
	Measured bool
	Remedies []Remedy
}

// Order is what a measurement is judged against.
type Order struct {
	Plan    plan.Plan
	Planned sum.Size
	// SeamsAcross and SeamsDown between patches, 0 on a plain face.
	SeamsAcross, SeamsDown int
	Bordered               bool
}

// frontNames are the names under which the front is measured before the back
// is cut.
var frontNames = []string{work.FrontQuilted, work.FrontSewn, "front.trimmed", "front"}

// Front puts the measured front in the place of the planned one.
func Front(o Order) (Panel, finding.List) {
	p := Panel{Trimmed: o.Planned}
	found := unknownNames(o.Plan)
	i, m, ok := o.Plan.MeasuredAt(frontNames...)
	if !ok {
		return p, found
	}
	p.Measured = true
	about := finding.Path("measured", i)
	for _, d := range []struct {
		word, key string
		planned   *sum.Sum
		measured  length.Length
		seams     int
	}{{"across", "width", &p.Trimmed.Width, m.Width, o.SeamsAcross}, {"up", "height", &p.Trimmed.Height, m.Height, o.SeamsDown}} {
		planned := d.planned.Total()
		if d.measured == 0 || d.measured == planned {
			continue
		}
		*d.planned = sum.Of(sum.Measured, "front as measured", d.measured)
		found = append(found, o.differs(about+"/"+d.key, d.word, planned, d.measured, d.seams)...)
		p.Remedies = append(p.Remedies, o.remedies(d.word, planned, d.measured)...)
	}
	return p, found
}

func unknownNames(p plan.Plan) finding.List {
	var found finding.List
	known := append([]string{work.CoverFinished}, frontNames...)
next:
	for i, m := range p.Measured {
		for _, k := range known {
			if k == m.What {
				continue next
			}
		}
		found.Add(finding.Warn, "measured-unknown", finding.Path("measured", i, "what"),
			fmt.Sprintf("Nothing in this plan waits for %q.", m.What), fmt.Sprintf("Use %s or %s.", work.FrontQuilted, work.CoverFinished))
	}
	return found
}

// differs says how far off the panel is and what may have caused it.
func (o Order) differs(about, word string, planned, measured length.Length, seams int) finding.List {
	var found finding.List
	text := o.Plan.Style().Text
	off := measured - planned
	what := "over"
	if off < 0 {
		what = "short"
	}
	if off.Abs().Float() > slipShare*planned.Float() {
		found.Add(finding.Warn, "measured-slip", about,
			fmt.Sprintf("The front measures %s %s and was planned %s: that is more than a tenth off.", text(measured), word, text(planned)),
			"Measure once more. Is it the right side, and the right side of the tape?")
	}
	cause := ""
	if seams > 0 {
		each := off.Abs().Div(threads * seams)
		name := map[bool]string{true: "fat", false: "narrow"}[off < 0]
		cause = fmt.Sprintf(" %d seams, each %s %s on both sides, would do it.", seams, text(each), name)
	}
	found.Add(finding.Warn, "front-"+what, about,
		fmt.Sprintf("The front measures %s %s, %s %s of the plan.%s The back follows what you measured.", text(measured), word, text(off.Abs()), what, cause),
		"The remedies are listed at the gate.")
	return found
}

// remedies are the ways of dealing with the difference, in the order in which
// they cost least.
func (o Order) remedies(word string, planned, measured length.Length) []Remedy {
	text := o.Plan.Style().Text
	off := measured - planned
	half := off.Abs() / 2
	seam := o.Plan.Cover.Seam
	closing := seam + off/2
	finished := measured - 2*seam
	remedies := []Remedy{{Code: "trim", Open: off > 0, Text: fmt.Sprintf("Trim evenly %s: %s off each side.", word, text(half))}}
	if off < 0 {
		remedies[0].Text = fmt.Sprintf("Trim evenly %s: nothing to trim, the panel is short.", word)
	}
	if o.Bordered {
		remedies = append(remedies, Remedy{Code: "border", Open: false,
			Text: fmt.Sprintf("Recut the border %s a side: too late, it is sewn. Before it was sewn, that was the place.", text(half))})
	}
	return append(remedies,
		Remedy{Code: "seam", Open: closing >= leastSeam,
			Text: fmt.Sprintf("Take the closing seams %s at %s instead of %s, edges even: the cover finishes as planned.", word, text(closing), text(seam))},
		Remedy{Code: "ease", Open: off.Abs().Float() <= easeShare*planned.Float(),
			Text: fmt.Sprintf("A back already cut to plan is eased in by %s over %s; straight seams take 1 %%, here %s.", text(off.Abs()), text(planned), text(length.FromFloat(easeShare*planned.Float())))},
		Remedy{Code: "follow", Open: true,
			Text: fmt.Sprintf("Cut the back to the measured front: %s %s. This is what the cutting list does.", text(measured), word)},
		Remedy{Code: "accept", Open: true, Text: o.accepted(word, finished)})
}

// accepted says what the measured size does to the fit on the pad.
func (o Order) accepted(word string, finished length.Length) string {
	text := o.Plan.Style().Text
	pad := o.Plan.Object.Width
	if word == "up" {
		pad = o.Plan.Object.Height
	}
	gap := pad - finished
	how := fmt.Sprintf("%s smaller than the pad", text(gap))
	if gap < 0 {
		how = fmt.Sprintf("%s larger than the pad", text(-gap))
	}
	return fmt.Sprintf("The cover then finishes %s %s, %s.", text(finished), word, how)
}
