package reckon

import (
	"umschlag/core/answer"
	"umschlag/core/plan"
	"umschlag/core/show"
)

// Purse is how much may still be reckoned for trial, in the work of so many patches: whoever tries something takes it
// out. A small plan is tried in all ways, of a large one so much that its answer does not keep anybody waiting.
type Purse struct {
	left int
	// Workshop is what is tried in.
	Workshop *Workshop
}

// enough is the work of all trials for one plan: about a second. Found by timing.
const enough = 40_000

// NewPurse is a full one.
func NewPurse(w *Workshop) *Purse { return &Purse{enough, w} }

// Make reckons a plan by way of trial; ok is false where no more is tried.
func (p *Purse) Make(q plan.Plan) (r show.Result, ok bool) {
	if p.left <= 0 || !p.Workshop.GoesOn() {
		return r, false
	}
	p.left -= plan.Heft(q)
	return Make(q, p.Workshop), true
}

// Reckon is Make with all that is shown.
func (p *Purse) Reckon(q plan.Plan) (r answer.Reckoning, ok bool) {
	made, ok := p.Make(q)
	if !ok {
		return r, false
	}
	return show.Of(made), true
}
