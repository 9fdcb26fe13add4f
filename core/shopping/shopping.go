// Package shopping knows what is bought when several plans are cut from one cupboard.
package shopping

import (
	"cmp"
	"slices"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sold"
)

// From says where a plan's cloth comes from.
type From string

const (
	// Own is a length the plan itself says there is.
	Own From = "own"
	// Cupboard is what lies in the cupboard.
	Cupboard From = "cupboard"
	// Shop is bought.
	Shop From = "shop"
)

// Want is what a plan takes of a cloth, in one piece.
type Want struct {
	Plan, Cloth string
	// Need is the lay with its end squared, before washing, and Odd how many odd pieces
	// are cut beside it.
	Need length.Length
	Odd  int
	From From
	// Price, Per and Sold are what the plan says of it, and Pieces how many panels or quarters it takes.
	Price  float64
	Per    plan.Per
	Sold   *plan.Sold
	Pieces int
}

// Share is where a plan's cloth comes from.
type Share struct {
	Plan string
	Need length.Length
	Odd  int
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
	// Missing is what has to be bought, Count how many of what it is sold As that is, and Buy what is paid for.
	Missing, Buy length.Length
	Count        int
	As           sold.As
	// pieces are the panels or quarters all plans take.
	pieces int
	// lengths are what they buy, each in one piece.
	lengths []length.Length
	// Cost is what that costs; 0 where nobody said a price.
	Cost float64
	// Shares are in the order of the plans.
	Shares []Share
}

// List says what is bought for what plans want. A plan takes its cloth in one piece: it
// gets what is in the cupboard where that is enough, and a length of its own from the
// shop where it is not. The cloths are in the order of their names.
func List(wants []Want, cupboard map[string]plan.Cloth, unit length.Unit) []Cloth {
	var out []Cloth
	prices := map[string]plan.Cloth{}
	for _, w := range wants {
		i := slices.IndexFunc(out, func(c Cloth) bool { return c.Name == w.Cloth })
		if i < 0 {
			held := cupboard[w.Cloth]
			c := Cloth{Name: w.Cloth, Known: held.Have != nil}
			if c.Known {
				c.Have, c.Left = *held.Have, *held.Have
			}
			prices[w.Cloth] = held
			out = append(out, c)
			i = len(out) - 1
		}
		is := prices[w.Cloth]
		if is.Price == 0 && w.Price > 0 {
			is.Price, is.Per = w.Price, w.Per
		}
		is.Sold = cmp.Or(is.Sold, w.Sold)
		prices[w.Cloth] = is
		out[i].take(w)
	}
	for i := range out {
		c := &out[i]
		c.As = sold.How(prices[c.Name].Sold, unit)
		switch {
		case c.As.Apart():
			c.Count = c.pieces
		case c.As.By == plan.ByBolt:
			c.Count = c.As.Bolts(c.lengths)
		default:
			c.Count = c.As.Count(c.Missing)
		}
		c.Buy = c.As.Billed(c.Count)
		out[i].Cost = CostOf(prices[out[i].Name], out[i].Buy, unit)
	}
	slices.SortFunc(out, func(a, b Cloth) int { return cmp.Compare(a.Name, b.Name) })
	return out
}

// CostOf is what a length of a cloth costs, at the price of a yard or a metre.
func CostOf(c plan.Cloth, l length.Length, unit length.Unit) float64 {
	per, _ := c.Per.Sold(unit)
	return c.Price * l.Float() / per.Float()
}

// Bill is what all that is bought costs, as far as prices are known, and the names of what
// has none.
func Bill(cloths []Cloth, things []Thing) (cost float64, unpriced []string) {
	add := func(name string, bought bool, price float64) {
		cost += price
		if bought && price == 0 && !slices.Contains(unpriced, name) {
			unpriced = append(unpriced, name)
		}
	}
	for _, c := range cloths {
		add(c.Name, c.Buy > 0, c.Cost)
	}
	for _, t := range things {
		add(t.What, t.Bought(), t.Cost)
	}
	return cost, unpriced
}

// take meets what a plan wants.
func (c *Cloth) take(w Want) {
	switch w.From {
	case Cupboard:
		c.Left -= w.Need
	case Shop:
		c.Missing += w.Need
		c.pieces += w.Pieces
		c.lengths = append(c.lengths, w.Need)
	}
	c.Need += w.Need
	c.Shares = append(c.Shares, Share{Plan: w.Plan, Need: w.Need, Odd: w.Odd, From: w.From})
}
