package reckon

import (
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/shopping"
)

// Things are what a plan takes beside cloth, for all its covers.
func (r Reckoning) Things(p plan.Plan, title string) []shopping.ThingWant {
	covers := p.Settle().Copies
	var out []shopping.ThingWant
	for _, n := range r.Lengths {
		out = append(out, shopping.ThingWant{Plan: title, What: n.What, Length: length.Length(n.Length.NM), Count: covers})
	}
	if n := r.Counts[shopping.Buttons]; n > 0 {
		out = append(out, shopping.ThingWant{Plan: title, What: shopping.Buttons, Count: n * covers})
	}
	return out
}
