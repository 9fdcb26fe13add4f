package work

import (
	"fmt"

	"umschlag/core/length"
	"umschlag/core/plan"
)

// Inspection is one thing that is looked at before a cover is called done. What is
// acceptable is common practice.
type Inspection struct {
	ID   string `json:"id"`
	Look string `json:"look"`
	// Fine says what is acceptable.
	Fine string `json:"fine"`
}

// Inspections are what is looked at when a cover is done, of those that it has.
func Inspections(p plan.Plan) []Inspection {
	quarter := about(p.Units, length.Inch/4, 6*length.Millimetre)
	quilted := false
	for name := range p.Pieces {
		quilted = quilted || p.Piece(name).Quilted()
	}
	list := []Inspection{
		{"size", "The finished size",
			fmt.Sprintf("Within %s of the plan across and up; a hood and a jacket go on without strain.", quarter)},
		edge(p, quarter),
		{"seams", "Every seam, pulled a little from both sides",
			"No stitch opens, no raw edge looks out, no layer was missed."},
		{"print", "The print", "All the same way up; nothing upside down that should not be."},
		{"threads", "Threads and pins",
			"All ends are secured and cut; every pin and every part of a broken needle is accounted for."},
	}
	if !p.Object.Round() {
		list = append(list, Inspection{"corners", "The corners",
			"Pushed out and alike; no thread of the stitching is cut."})
	}
	if quilted {
		list = append(list, Inspection{"quilting", "The quilting, from both sides",
			"No pleat on the lining side, no loose loops; lines begin and end in a seam or are secured."})
	}
	if p.Cover.Rules().Filled {
		list = append(list, Inspection{"closure", "The closure, with the insert in",
			"It does not gape; the overlap is a quarter of the width, or a fastener holds it."})
	}
	if len(p.Fittings) > 0 {
		list = append(list, Inspection{"fittings", "What is sewn on, pulled firmly",
			"Nothing gives; nothing small can come off where small children are."})
	}
	return list
}

// edge is how the outline is looked at: by its diagonals, or across where it is round.
func edge(p plan.Plan, quarter string) Inspection {
	look := "Both diagonals"
	if p.Object.Round() {
		look = "Across, in two directions"
	}
	return Inspection{"square", look, fmt.Sprintf("Equal to %s; the cover lies flat.", quarter)}
}
