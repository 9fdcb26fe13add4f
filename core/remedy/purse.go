package remedy

import (
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/show"
)

// Purse is how much may still be reckoned for trial, in the work of so many patches: whoever tries something takes it
// out. A small plan is tried in all ways, of a large one so much that its answer does not keep anybody waiting.
type Purse struct {
	left     int
	workshop *reckon.Workshop
}

// enough is the work of all trials for one plan: about a second. Found by timing.
const enough = 40_000

// NewPurse is a full one.
func NewPurse(w *reckon.Workshop) *Purse { return &Purse{enough, w} }

// Make reckons a plan by way of trial; ok is false where no more is tried.
func (p *Purse) Make(q plan.Plan) (r show.Result, ok bool) {
	if p.left <= 0 || !p.workshop.GoesOn() {
		return r, false
	}
	p.left -= plan.Heft(q)
	return reckon.Make(q, p.workshop), true
}
