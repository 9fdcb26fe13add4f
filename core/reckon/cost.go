package reckon

import (
	"fmt"
	"strconv"

	"umschlag/core/answer"

	"umschlag/core/costing"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/shopping"
)

// cost adds up what the plan takes.
func (r *run) cost() {
	h := r.p.Habits
	b := costing.Batch{Minutes: r.p.Costs.Minutes, Other: r.p.Costs.Other, Covers: r.p.Copies}
	if h.Wage != nil {
		b.Wage = *h.Wage
	}
	if h.Margin != nil {
		b.Margin = *h.Margin
	}
	for _, n := range r.out.Cloths {
		b.Materials = append(b.Materials, r.clothCost(n))
	}
	for _, t := range shopping.Things(r.out.Things(r.p, ""), r.notions, r.p.Units) {
		b.Materials = append(b.Materials, r.thingCost(t))
	}
	price := costing.Of(b)
	money := func(amount float64) string { return answer.Money(amount, h.Currency) }
	out := answer.Cost{Lines: []answer.CostLine{}, Materials: money(price.Materials), Work: money(price.Work), Other: money(price.Other), Cost: money(price.Cost), Margin: money(price.Margin),
		Total: money(price.Total), Each: money(price.Each), Covers: r.p.Copies, Unpriced: price.Unpriced, LeftOut: costing.LeftOut(), Batch: b, Currency: h.Currency}
	if out.Unpriced == nil {
		out.Unpriced = []string{}
	}
	for _, m := range b.Materials {
		line := answer.CostLine{Name: m.Name, How: m.How}
		if m.Known {
			line.Cost = money(m.Cost)
		}
		out.Lines = append(out.Lines, line)
	}
	r.out.Cost = &out
}

// clothCost is a cloth's: the length its lay takes and the area of its odd pieces, at the
// price of the plan or of the cupboard.
func (r *run) clothCost(n answer.ClothNeed) costing.Line {
	c, _ := r.p.Cloth(n.Cloth)
	if held, there := r.cupboard[n.Name]; c.Price == 0 && there {
		c.Price, c.Per = held.Price, held.Per
	}
	takes := length.Length(n.Need.NM)
	how := n.Need.Text
	odd := 0.0
	for _, o := range n.Odd {
		odd += float64(o.Count) * float64(o.Width.NM) * float64(o.Length.NM) / float64(max(1, n.Lay.Width.NM))
	}
	if odd > 0 {
		takes += length.Length(odd)
		how += fmt.Sprintf(" and odd pieces like %s of it", r.style.Text(length.Length(odd)))
	}
	if c.Price == 0 {
		return costing.Line{Name: n.Name, How: how}
	}
	_, per := c.Per.Sold(r.p.Units)
	return costing.Line{Name: n.Name, How: fmt.Sprintf("%s at %s %s", how, answer.Money(c.Price, r.p.Habits.Currency), per), Cost: shopping.CostOf(c, takes, r.p.Units), Known: true}
}

// thingCost is a notion's: by its share of a pack.
func (r *run) thingCost(t shopping.Thing) costing.Line {
	n, known := t.Of(r.notions)
	price := answer.Money(n.Price, r.p.Habits.Currency)
	known = known && n.Price > 0
	if t.Pieces > 0 {
		line := costing.Line{Name: t.What, How: strconv.Itoa(t.Pieces), Known: known, Cost: n.Price * float64(t.Pieces) / float64(max(1, n.PackCount))}
		if known {
			line.How = fmt.Sprintf("%d at %s for %d", t.Pieces, price, max(1, n.PackCount))
		}
		return line
	}
	line := costing.Line{Name: t.What, How: r.style.Long(t.Need), Known: known}
	switch {
	case !known:
	case n.Pack > 0:
		line.How, line.Cost = fmt.Sprintf("%s of %s at %s", line.How, r.style.Long(n.Pack), price), n.Price*t.Need.Float()/n.Pack.Float()
	default:
		_, per := plan.Per("").Sold(r.p.Units)
		line.How, line.Cost = fmt.Sprintf("%s at %s %s", line.How, price, per), shopping.CostOf(plan.Cloth{Price: n.Price}, t.Need, r.p.Units)
	}
	return line
}
