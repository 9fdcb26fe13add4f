// Package shopping knows what is bought when several plans are cut from one cupboard.
package shopping

import (
	"cmp"
	"slices"

	"umschlag/core/lay"
	"umschlag/core/length"
)

// From says where a plan's cloth comes from.
type From string

const (
	// Own is a length the plan itself says there is.
	Own From = "own"
	// Cupboard is kept for the plan in the cupboard.
	Cupboard From = "cupboard"
	// Shop is bought.
	Shop From = "shop"
)

// Want is what a plan takes of a cloth, in one piece.
type Want struct {
	Plan, Cloth string
	// Need is the lay with its end squared, before washing.
	Need length.Length
	// Has tells that the plan says itself how much there is, and Own that this is enough;
	// the cupboard is not asked then.
	Has, Own bool
}

// Share is where a plan's cloth comes from.
type Share struct {
	Plan string
	Need length.Length
	From From
}

// Cloth is what all plans together take of a cloth.
type Cloth struct {
	Name string
	// Need is all they take, Have what the cupboard holds; Known tells whether anybody
	// said so.
	Need, Have length.Length
	Known      bool
	// Left is what remains in the cupboard when what is kept for plans is cut.
	Left length.Length
	// Missing is what has to be bought, and Buy the same as it is sold.
	Missing, Buy length.Length
	// Shares are in the order of the plans.
	Shares []Share
}

// List shares the cupboard out and says what is bought. A plan takes its cloth in one
// piece: it gets what is in the cupboard where that is enough, those named first
// before the others, and a length of its own from the shop where it is not. The cloths
// are in the order of their names.
func List(wants []Want, have map[string]length.Length, unit length.Unit) []Cloth {
	var out []Cloth
	for _, w := range wants {
		i := slices.IndexFunc(out, func(c Cloth) bool { return c.Name == w.Cloth })
		if i < 0 {
			held, known := have[w.Cloth]
			out = append(out, Cloth{Name: w.Cloth, Have: held, Known: known, Left: held})
			i = len(out) - 1
		}
		out[i].take(w)
	}
	for i := range out {
		out[i].Buy = lay.Buy(out[i].Missing, unit)
	}
	slices.SortFunc(out, func(a, b Cloth) int { return cmp.Compare(a.Name, b.Name) })
	return out
}

// take meets what a plan wants.
func (c *Cloth) take(w Want) {
	from := Shop
	switch {
	case w.Own:
		from = Own
	case !w.Has && w.Need <= c.Left:
		from = Cupboard
		c.Left -= w.Need
	default:
		c.Missing += w.Need
	}
	c.Need += w.Need
	c.Shares = append(c.Shares, Share{Plan: w.Plan, Need: w.Need, From: from})
}
