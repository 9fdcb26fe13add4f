package fit

import (
	"fmt"

	"umschlag/core/finding"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// near is how far a row may be off before its seams are looked at. Common practice.
const near = length.Inch / 16

// Rows judges the rows that were measured: how far each is off, and what that is for each
// of its seams.
func Rows(p plan.Plan, bands []front.Band) finding.List {
	var found finding.List
	if len(p.Measured) == 0 {
		return nil
	}
	text := p.Style().Text
	rows := map[string]front.Band{}
	for _, b := range bands {
		rows[ref.Row(b.In, b.No).String()] = b
	}
	for i, m := range p.Measured {
		if b, is := rows[m.Gate]; is && m.Width > 0 {
			off := m.Width - b.Length
			if b.Length == 0 || off.Abs() < near || b.Pieces < 2 {
				continue
			}
			each := off.Abs().Div(threads * (b.Pieces - 1))
			how := map[bool]string{true: "short", false: "long"}[off < 0]
			why := map[bool]string{true: "wide", false: "narrow"}[off < 0]
			found.Add(finding.Warn, "row-"+how, finding.Path("measured", i, "width"),
				fmt.Sprintf("Row %d is %s %s: that is what its %d seams make, each %s too %s on both sides.", b.Number,
					text(off.Abs()), how, b.Pieces-1, text(each), why),
				"Adjust your seam on the next row. If every row is off by the same amount, leave them: the border absorbs it.")
		}
	}
	return found
}
