package show

import (
	"fmt"
	"strconv"

	"umschlag/core/answer"
	"umschlag/core/costing"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/shopping"
	"umschlag/core/supply"
)

// cost adds up what the plan takes.
func cost(t *teller) {
	h := t.Plan.Habits
	b := costing.Batch{Minutes: t.Plan.Costs.Minutes, Other: t.Plan.Costs.Other, Covers: t.Plan.Copies}
	if h.Wage != nil {
		b.Wage = *h.Wage
	}
	if h.Margin != nil {
		b.Margin = *h.Margin
	}
	for _, c := range t.Cloths {
		b.Materials = append(b.Materials, clothCost(t, c))
	}
	for _, thing := range shopping.Things(t.out.Things(t.Plan, ""), t.Notions, t.Plan.Units) {
		b.Materials = append(b.Materials, thingCost(t, thing))
	}
	price := costing.Of(b)
	money := func(amount float64) string { return answer.Money(amount, h.Currency) }
	out := answer.Cost{Lines: []answer.CostLine{}, Materials: money(price.Materials), Work: money(price.Work),
		Other: money(price.Other), Cost: money(price.Cost), Margin: money(price.Margin),
		Total: money(price.Total), Each: money(price.Each), Covers: t.Plan.Copies, Unpriced: price.Unpriced,
		LeftOut: costing.LeftOut(), Batch: b, Currency: h.Currency}
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
	t.out.Cost = &out
}

// clothCost is a cloth's: the length its lay takes and the area of its odd pieces, at the
// price of the plan or of the cupboard.
func clothCost(t *teller, n supply.Cloth) costing.Line {
	c, _ := t.Plan.Cloth(n.Letter)
	if held, there := t.Cupboard[n.Name]; c.Price == 0 && there {
		c.Price, c.Per = held.Price, held.Per
	}
	takes := n.Wanted
	how := t.style.Text(takes)
	odd := 0.0
	for _, o := range n.Odd {
		odd += float64(o.Count) * o.Size.Width.Float() * o.Size.Length.Float() / max(1, n.Lay.Width.Float())
	}
	if odd > 0 {
		takes += length.Length(odd)
		how += fmt.Sprintf(" and offcuts like %s of it", t.style.Text(length.Length(odd)))
	}
	if c.Price == 0 {
		return costing.Line{Name: n.Name, How: how}
	}
	_, per := c.Per.Sold(t.Plan.Units)
	return costing.Line{Name: n.Name,
		How:  fmt.Sprintf("%s at %s %s", how, answer.Money(c.Price, t.Plan.Habits.Currency), per),
		Cost: shopping.CostOf(c, takes, t.Plan.Units), Known: true}
}

// thingCost is a notion's: by its share of a pack.
func thingCost(t *teller, thing shopping.Thing) costing.Line {
	n, known := thing.Of(t.Notions)
	price := answer.Money(n.Price, t.Plan.Habits.Currency)
	known = known && n.Price > 0
	if thing.Pieces > 0 {
		line := costing.Line{Name: thing.What, How: strconv.Itoa(thing.Pieces), Known: known,
			Cost: n.Price * float64(thing.Pieces) / float64(max(1, n.PackCount))}
		if known {
			line.How = fmt.Sprintf("%d at %s for %d", thing.Pieces, price, max(1, n.PackCount))
		}
		return line
	}
	line := costing.Line{Name: thing.What, How: t.style.Long(thing.Need), Known: known}
	switch {
	case !known:
	case n.Pack > 0:
		line.How, line.Cost = fmt.Sprintf("%s of %s at %s", line.How, t.style.Long(n.Pack),
			price), n.Price*thing.Need.Float()/n.Pack.Float()
	default:
		_, per := n.Per.Sold(t.Plan.Units)
		line.How, line.Cost = fmt.Sprintf("%s at %s %s", line.How, price,
			per), shopping.CostOf(plan.Cloth{Price: n.Price, Per: n.Per}, thing.Need, t.Plan.Units)
	}
	return line
}
