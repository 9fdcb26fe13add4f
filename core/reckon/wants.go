package reckon

import (
	"maps"

	"umschlag/core/answer"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/stock"
)

// After is the cupboard when a plan is cut from it: what it takes out of it is gone, and
// what it has to buy is not there either way.
func (w Workshop) After(p plan.Plan, r answer.Reckoning) Workshop {
	p = p.Settle()
	w.Cloths = maps.Clone(w.Cloths)
	for _, n := range r.Cloths {
		c, _ := p.Cloth(n.Cloth)
		held, known := w.Cloths[n.Name]
		if !known || n.Done || c.Have != nil || len(c.Odd) > 0 {
			continue
		}
		w.Cloths[n.Name] = stock.Take(held, w.ID, length.Length(n.Need.NM), n.Used())
	}
	return w
}
