package reckon

import (
	"slices"

	"umschlag/core/length"
	"umschlag/core/shopping"
)

// Wants are what a plan that was reckoned without a cupboard still takes of its cloths:
// none of those whose cuts are all made. How much there is, only the plan itself says
// then.
func (r Reckoning) Wants(plan string) []shopping.Want {
	var wants []shopping.Want
	for _, n := range r.Cloths {
		if n.Need.NM == 0 || r.allCut(n.Cloth) {
			continue
		}
		wants = append(wants, shopping.Want{Plan: plan, Cloth: n.Name, Need: length.Length(n.Need.NM), Has: n.Have != nil, Own: n.Have != nil && n.Short.NM == 0})
	}
	return wants
}

// allCut reports whether everything that is cut from a cloth is cut.
func (r Reckoning) allCut(cloth string) bool {
	return !slices.ContainsFunc(r.Cuts, func(c Cut) bool { return c.Cloth == cloth && !c.Done })
}
