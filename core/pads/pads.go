// Package pads knows the sizes in which cushion pads are sold, and how one fills a cover.
package pads

import (
	"cmp"
	"fmt"
	"slices"

	"umschlag/core/length"
	"umschlag/core/plan"
)

// Fit is a pad that is sold, and how it goes into a cover.
type Fit struct {
	Width, Height length.Length
	// Round tells that it is a circle.
	Round bool
	// How it fills the cover, and what of the fill makes it so.
	How Filling
	Why string
}

// Filling is how a pad fills a cover.
type Filling string

// The ways, from the one most ask for.
const (
	Full  Filling = "full"
	Plump Filling = "plump"
	Slack Filling = "slack"
)

// Order is a cover as it finishes inside its flange, and what fills it.
type Order struct {
	Width, Height length.Length
	Round         bool
	Fill          plan.Fill
	Unit          length.Unit
}

// sold are the sides of squares, the sides of oblongs and the diameters of circles that shops have. Common practice,
// from memory.
type sold struct {
	squares, rounds []length.Length
	oblongs         [][2]length.Length
}

const in, cm = length.Inch, length.Centimetre

var imperial = sold{
	squares: []length.Length{10 * in, 12 * in, 14 * in, 16 * in, 18 * in, 20 * in, 22 * in, 24 * in, 26 * in, 28 * in},
	rounds:  []length.Length{12 * in, 14 * in, 16 * in, 18 * in, 20 * in, 22 * in},
	oblongs: [][2]length.Length{{16 * in, 12 * in}, {18 * in, 12 * in}, {20 * in, 12 * in}, {20 * in, 14 * in},
		{22 * in, 14 * in}, {24 * in, 16 * in}, {26 * in, 20 * in}, {30 * in, 20 * in}, {36 * in, 20 * in}},
}

var metric = sold{
	squares: []length.Length{30 * cm, 35 * cm, 40 * cm, 45 * cm, 50 * cm, 55 * cm, 60 * cm, 65 * cm, 70 * cm, 80 * cm},
	rounds:  []length.Length{30 * cm, 35 * cm, 40 * cm, 45 * cm, 50 * cm, 60 * cm},
	oblongs: [][2]length.Length{{40 * cm, 30 * cm}, {45 * cm, 30 * cm}, {50 * cm, 30 * cm}, {50 * cm, 35 * cm},
		{60 * cm, 40 * cm}, {70 * cm, 50 * cm}, {80 * cm, 40 * cm}, {80 * cm, 60 * cm}},
}

// rule is how much larger than its cover a pad of a fill is, at least and at most, and why. Common practice.
type rule struct {
	least, most length.Length
	why         string
}

// rules hold in inches; half an inch is 12 or 13 mm in metric shops.
var rules = map[plan.Fill]rule{
	"feather":   {in, 3 * in, "feathers settle"},
	"polyester": {in / 2, 2 * in, "fibre gives and recovers"},
	"foam":      {-in / 4, in / 2, "foam cannot be squeezed into corners"},
}

// Of are the pads of the unit's shops that go into a cover, those that fill it first.
func Of(o Order) []Fit {
	shop, r := imperial, rules[o.Fill]
	if o.Unit != length.Inches {
		shop = metric
	}
	want := (r.least + r.most) / 2
	var out []Fit
	for _, pad := range shop.pads(o.Round) {
		w, h := pad[0], pad[1]
		if o.Height > o.Width {
			w, h = h, w
		}
		least, most := min(w-o.Width, h-o.Height), max(w-o.Width, h-o.Height)
		f := Fit{Width: w, Height: h, Round: o.Round}
		switch {
		case least >= r.least && most <= r.most:
			f.How = Full
		case o.Fill == "foam" || most-least > in:
			continue
		case least >= r.least && most <= r.most+in:
			f.How = Plump
		case most <= r.most && least >= -in/2:
			f.How = Slack
		default:
			continue
		}
		f.Why = o.why(f.How)
		out = append(out, f)
	}
	far := func(f Fit) length.Length {
		return (f.Width - o.Width - want).Abs() + (f.Height - o.Height - want).Abs()
	}
	slices.SortStableFunc(out, func(a, b Fit) int { return cmp.Compare(far(a), far(b)) })
	return out
}

// Squares are the sides of the square pads that a unit's shops have, the smallest first.
func Squares(unit length.Unit) []length.Length {
	if unit != length.Inches {
		return slices.Clone(metric.squares)
	}
	return slices.Clone(imperial.squares)
}

// pads are all that are sold, as wide as they are high or wider.
func (s sold) pads(round bool) [][2]length.Length {
	sides := s.squares
	if round {
		sides = s.rounds
	}
	var out [][2]length.Length
	for _, side := range sides {
		out = append(out, [2]length.Length{side, side})
	}
	if round {
		return out
	}
	return append(out, s.oblongs...)
}

// why says how a pad fills its cover, in a sentence.
func (o Order) why(how Filling) string {
	r := rules[o.Fill]
	least, most := r.least, r.most
	if o.Unit != length.Inches {
		least, most = r.least.Floor(5*length.Millimetre), r.most.Floor(5*length.Millimetre)
	}
	text := length.Style{Unit: o.Unit}.Text
	usual := fmt.Sprintf("usual is an insert %s to %s larger than its cover: %s", text(least), text(most), r.why)
	if o.Fill == "foam" {
		usual = "usual is an insert as large as its cover: " + r.why
	}
	switch how {
	case Plump:
		return "Stands firm and round, hard to push in; " + usual + "."
	case Slack:
		return "Lies flat and soft, its corners slack; " + usual + "."
	}
	return "U" + usual[1:] + "."
}
