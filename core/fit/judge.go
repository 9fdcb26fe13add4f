package fit

import (
	"fmt"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/work"
)

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
				fmt.Sprintf("Let %s in with a piece where it shows least, or take the seams of its joins narrower.",
					text(-off))
		}
		found.Add(finding.Warn, "edge-"+how, about,
			fmt.Sprintf("That edge is %s, %s too %s for its seam of %s: more than eases in.", text(m.Width),
				text(off.Abs()), how, text(planned)), remedy)
	}
	return found
}
