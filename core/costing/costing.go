// Package costing knows what a batch of covers costs and what to ask for them.
package costing

import "math"

// Line is one thing that costs.
type Line struct {
	Name string
	// How is what of it, at what price, in words.
	How  string
	Cost float64
	// Known tells that there is a price.
	Known bool
}

// Batch is a number of covers with all that goes into them.
type Batch struct {
	Materials []Line
	// Minutes of work on one cover, Wage of an hour, Margin on top in percent.
	Minutes      int
	Wage, Margin float64
	Covers       int
	// Other costs of the whole batch.
	Other float64
}

// Price is what it comes to, every amount in whole hundredths.
type Price struct {
	Materials, Work, Other float64
	// Cost is their sum, Margin what is added to it, Total both, Each one cover's part,
	// rounded up.
	Cost, Margin, Total, Each float64
	// Unpriced names the materials nobody put a price to.
	Unpriced []string
}

// Of adds a batch up. Nothing is guessed: what has no price counts nothing and is named.
func Of(b Batch) Price {
	var p Price
	for _, m := range b.Materials {
		if !m.Known {
			p.Unpriced = append(p.Unpriced, m.Name)
			continue
		}
		p.Materials += cents(m.Cost)
	}
	p.Materials = cents(p.Materials)
	p.Work = cents(float64(b.Minutes*b.Covers) / 60 * b.Wage)
	p.Other = cents(b.Other)
	p.Cost = cents(p.Materials + p.Work + p.Other)
	p.Margin = cents(p.Cost * b.Margin / 100)
	p.Total = cents(p.Cost + p.Margin)
	// A cover is not sold below its part: what is over a hundredth is rounded up.
	p.Each = math.Ceil(math.Round(p.Total*10000)/100/float64(max(1, b.Covers))) / 100
	return p
}

// cents rounds to whole hundredths.
func cents(amount float64) float64 { return math.Round(amount*100) / 100 }

// LeftOut is what no reckoning of a batch counts, said plainly. Common practice.
func LeftOut() []string {
	return []string{
		"planning, shopping, photographs and selling take time too",
		"needles, blades, electricity and wear of the machine",
		"packing, postage, market fees and taxes",
		"labels, fibre content and product rules differ by country: check them before you sell",
	}
}
