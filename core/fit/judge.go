package fit

import (
	"fmt"
	"slices"
	"strings"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/work"
)

// Judge says what a measurement at a step tells: whether it is a slip of the tape, and what it does to what follows.
func Judge(p plan.Plan, s work.Step) finding.List {
	if asked := slip(p, s); len(asked) > 0 {
		return asked // what it does is told when it is sure
	}
	return slices.Concat(Edge(p, s), finished(p, s))
}

// side is one thing that was measured at a gate: its key in the plan, and what it was planned as.
type side struct {
	key, called       string
	measured, planned length.Length
}

// sidesOf are the things that are measured at a step.
func sidesOf(m plan.Measured, s work.Step) []side {
	wide, high := s.Expect.Width.Total(), s.Expect.Height.Total()
	if m.Sides != nil {
		return []side{{"sides/top", " along the top", m.Sides.Top, wide},
			{"sides/right", " at the right", m.Sides.Right, high},
			{"sides/bottom", " along the bottom", m.Sides.Bottom, wide},
			{"sides/left", " at the left", m.Sides.Left, high}}
	}
	across := " across"
	if high == 0 {
		across = ""
	}
	return []side{{"width", across, m.Width, wide}, {"height", " up", m.Height, high}}
}

// slip asks about what is more than a tenth off, until somebody says that it was measured twice. The front is asked
// about where its remedies are reckoned.
func slip(p plan.Plan, s work.Step) finding.List {
	var found finding.List
	i, m, ok := p.MeasuredAt(s.Gate)
	if !ok || m.Sure || slices.Contains(frontGates, s.Gate) {
		return found
	}
	text := p.Style().Text
	for _, d := range sidesOf(m, s) {
		off := (d.measured - d.planned).Abs()
		if d.measured == 0 || d.planned == 0 || off.Float() <= slipShare*d.planned.Float() {
			continue
		}
		found.Add(finding.Warn, "measured-slip", finding.Path("measured", i)+"/"+d.key,
			fmt.Sprintf("It measures %s%s and planned is %s: that is more than a tenth off.", text(d.measured),
				d.called, text(d.planned)),
			"Measure once more. Is it the right side, and the right side of the tape?")
		return found
	}
	return found
}

// good is how far a finished cover may be off before anybody sees it. Common practice.
const good = length.Inch / 4

// finished judges the cover as it was measured against what it was to become by then, and against its pad.
func finished(p plan.Plan, s work.Step) finding.List {
	var found finding.List
	i, m, ok := p.MeasuredAt(s.Gate)
	if !ok || s.Gate != ref.CoverFinished || m.Sides != nil { // a finished cover is measured across and up
		return found
	}
	text, o := p.Style().Text, p.Object
	for k, d := range sidesOf(m, s) {
		off := d.measured - d.planned
		if d.measured == 0 || off.Abs() <= good {
			continue
		}
		how, deeper := "larger", "deeper"
		if off < 0 {
			how, deeper = "smaller", "nearer the edge, where the allowance is still as wide as it was"
		}
		what := fmt.Sprintf("The cover measures %s%s, %s %s than planned.", text(d.measured), d.called,
			text(off.Abs()), how)
		remedy := ""
		if p.Cover.Seam+off/2 >= leastSeam { // what is left of the allowance still holds
			remedy = fmt.Sprintf("Sew the closing seams again %s %s.", text(off.Abs()/2), deeper)
		}
		if pad := []length.Length{o.Width, o.Height}[k]; o.Kind == plan.Form && pad > 0 {
			inside := d.measured - 2*p.Cover.Flange
			what += " " + onPad(text, pad-inside, d.called)
			remedy = strings.TrimSpace(remedy + fmt.Sprintf(" An insert of %s%s would sit in it as planned.",
				text((pad+off+p.Habits.Step/2).Floor(max(p.Habits.Step, 1))), d.called))
		}
		found.Add(finding.Warn, "cover-"+how, finding.Path("measured", i)+"/"+d.key, what, remedy)
	}
	return found
}

// onPad says how a pad sits in a cover that it is larger than by so much, or smaller.
func onPad(text func(length.Length) string, over length.Length, called string) string {
	switch {
	case over > 0:
		return fmt.Sprintf("The insert is %s larger than that%s: a soft one is squeezed by it, foam strains the seams.",
			text(over), called)
	case over < 0:
		return fmt.Sprintf("The insert is %s smaller than that%s: it is slack.", text(-over), called)
	}
	return "The insert is just as large."
}

// Edge judges the second edge of a join, or how far the pieces of a back overlap, against
// what was planned, where it was measured.
func Edge(p plan.Plan, s work.Step) finding.List {
	var found finding.List
	i, m, ok := p.MeasuredAt(s.Gate)
	planned := s.Expect.Width.Total()
	if !ok || m.Width == 0 || planned == 0 {
		return found
	}
	text, off, about := p.Style().Text, m.Width-planned, finding.Path("measured", i, "width")
	switch {
	case s.Gate == ref.BackOverlap && off < -length.Inch/4:
		found.Add(finding.Warn, "overlap-short", about,
			fmt.Sprintf("The pieces overlap by %s, %s less than planned.", text(m.Width), text(-off)),
			"Check the hems: they may have eaten more than planned. A close fit gapes; a button or a tape in the middle holds it.")
	case s.Gate.Role == ref.DoJoin && off.Abs().Float() > easeShare*planned.Float():
		how, remedy := "long", fmt.Sprintf("Take %s out evenly at its joins, or ease in what is left.", text(off))
		if off < 0 {
			how, remedy = "short",
				fmt.Sprintf("Piece in %s where it shows least, or sew its joins again with narrower seams.",
					text(-off))
		}
		found.Add(finding.Warn, "edge-"+how, about,
			fmt.Sprintf("That edge is %s, %s too %s for its seam of %s: more than eases in.", text(m.Width),
				text(off.Abs()), how, text(planned)), remedy)
	}
	return found
}
