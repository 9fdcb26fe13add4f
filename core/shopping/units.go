package shopping

import (
	"fmt"

	"umschlag/core/length"
	"umschlag/core/stock"
)

// UnitWant is what a plan sews of units of one kind: how many are missing, and how many more come of what is cut.
type UnitWant struct {
	Plan          string
	Of            stock.Units
	Missing, Over int
}

// Passed is so many units that are over in one plan and spare another some cutting.
type Passed struct {
	From, To string
	Of       stock.Units
	Count    int
}

// Pass says which units that are over in one plan another takes, in the order of the plans. None is passed on that
// spares nothing: the other's pieces give two units at least, so that it needs one piece less only where what it gets
// and what would be over of its own are two together; then nothing is over there any more.
func Pass(wants []UnitWant) []Passed {
	var out []Passed
	over, missing := make([]int, len(wants)), make([]int, len(wants))
	for i, w := range wants {
		over[i], missing[i] = w.Over, w.Missing
	}
	for i, from := range wants {
		for k, to := range wants {
			n := min(over[i], missing[k])
			if i == k || from.Plan == to.Plan || !from.Of.Is(to.Of) || n == 0 || n+over[k] < 2 {
				continue
			}
			out = append(out, Passed{From: from.Plan, To: to.Plan, Of: to.Of, Count: n})
			over[i] -= n
			over[k] = (n + over[k]) % 2
			missing[k] -= n
		}
	}
	return out
}

// Says tells it, and what to do about it.
func (p Passed) Says(style length.Style) string {
	are, them := "are", "them"
	if p.Count == 1 {
		are, them = "is", "it"
	}
	return fmt.Sprintf("%d %s, %s, %s over in %s. Sew that first, put %s into the cupboard, and take %s from there for %s "+
		"before that is cut.", p.Count, p.Of.Named(p.Count), p.Of.Says(style), are, p.From, them, them, p.To)
}
