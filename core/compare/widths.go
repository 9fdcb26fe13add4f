package compare

import (
	"maps"

	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/sold"
	"umschlag/core/supply"
)

// Sold is how a cloth could be bought: so wide, as a length, or in quarters.
type Sold struct {
	// Width from selvedge to selvedge; 0 for quarters.
	Width length.Length
	// Need is what the plan takes of it, Buy that as it is sold.
	Need, Buy length.Length
	// Quarters is how many of them do, and what one measures.
	Quarters int
	Quarter  lay.Odd
}

// Widths are those that cloth is sold in: 36 to 108 in, 90 to 280 cm. Common practice, from memory.
func Widths(unit length.Unit) []length.Length {
	if unit == length.Inches {
		return times(length.Inch, 36, 44, 54, 60, 108)
	}
	return times(length.Centimetre, 90, 110, 140, 150, 280)
}

func times(unit length.Length, counts ...int) []length.Length {
	var out []length.Length
	for _, n := range counts {
		out = append(out, unit.Times(n))
	}
	return out
}

// SoldAs tells what a plan takes of the cloth of a letter in other widths, and how many quarters do. A width it does
// not fit on is left out. It reports false where the plan cannot be cut, or takes none of it.
func SoldAs(p plan.Plan, w *reckon.Workshop, letter string) ([]Sold, bool) {
	settled := p.Settle()
	now, _ := settled.Cloth(letter)
	var out []Sold
	by := sold.How(nil, p.Units)
	made := reckon.Make(with(p, letter, *now.Width), w)
	if made.Findings.Stopped() || len(made.List.Of(letter)) == 0 {
		return nil, false
	}
	for _, width := range Widths(p.Units) {
		if width == *now.Width {
			continue
		}
		other := reckon.Make(with(p, letter, width), w)
		if need, ok := needOf(other.Cloths, letter); ok && !other.Findings.Stopped() {
			out = append(out, Sold{Width: width, Need: need, Buy: by.Each.Times(by.Count(need))})
		}
	}
	in := sold.How(&plan.Sold{By: plan.ByQuarter}, p.Units)
	if n, ok := in.Pieces(made.List.Of(letter), supply.On(now)); ok {
		out = append(out, Sold{Quarters: n, Quarter: sold.Quarter(p.Units)})
	}
	return out, true
}

// with is a plan with a cloth of a width, of which nothing is there.
func with(p plan.Plan, letter string, width length.Length) plan.Plan {
	c := p.Cloths[letter]
	none := length.Length(0)
	c.Width, c.Usable, c.Have, c.Odd = &width, nil, &none, nil
	if p.Cloths = maps.Clone(p.Cloths); p.Cloths == nil {
		p.Cloths = map[string]plan.Cloth{}
	}
	p.Cloths[letter] = c
	return p
}

func needOf(cloths []supply.Cloth, letter string) (length.Length, bool) {
	for _, c := range cloths {
		if c.Letter == letter {
			return c.Wanted, c.Wanted > 0
		}
	}
	return 0, false
}
