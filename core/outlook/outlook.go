// Package outlook knows how true a pieced panel is likely to come out: from the error of
// the maker's seams and cuts, the chance that it lies within what can be eased, what
// matters most, and what would help.
package outlook

import (
	"math"

	"umschlag/core/length"
)

// Spread is how far single seams and cuts come out, in nanometres: a seam wider than meant
// by Seam on the mean, with a standard deviation of SeamSD; cuts by none on the mean, with
// CutSD.
type Spread struct {
	Seam, SeamSD, CutSD float64
	// Known is how many measurements it is from; 0 for what is usual.
	Known int
}

// Usual is the spread of a careful hand: 1/64 in for seams and for cuts. Common practice.
func Usual() Spread {
	const one = float64(length.Inch) / 64
	return Spread{SeamSD: one, CutSD: one}
}

// Tolerance is what is eased in or trimmed without a trace. Common practice.
const Tolerance = length.Inch / 8

// Panel is one direction of a pieced panel.
type Panel struct {
	// Patches are cut and sewn side by side with Seams between them; Borders are sewn on
	// at both ends, each with a seam.
	Patches, Seams, Borders int
}

// Fit is how a panel comes out in one direction.
type Fit struct {
	// Mean and SD of its error; negative where it comes out short.
	Mean, SD float64
	// Chance that it lies within the tolerance, 0 to 1.
	Chance float64
	// Seams is the share of the variance that comes from seams; the rest is cutting.
	Seams float64
}

// Closed is how a panel comes out, by the sums of independent errors: mean −2nμ, variance
// n·(2σ)² + m·κ² for n seams and m cut parts (docs/arithmetic.md §14).
func Closed(p Panel, s Spread) Fit {
	n, m := float64(p.Seams+2*p.Borders), float64(p.Patches+2*p.Borders)
	fromSeams, fromCuts := n*4*s.SeamSD*s.SeamSD, m*s.CutSD*s.CutSD
	f := Fit{Mean: -2 * n * s.Seam, SD: math.Sqrt(fromSeams + fromCuts)}
	if v := fromSeams + fromCuts; v > 0 {
		f.Seams = fromSeams / v
	}
	f.Chance = within(f.Mean, f.SD, Tolerance.Float())
	return f
}

// within is the chance that a normal error lies within a tolerance either way.
func within(mean, sd, tolerance float64) float64 {
	if sd == 0 {
		if math.Abs(mean) <= tolerance {
			return 1
		}
		return 0
	}
	below := func(x float64) float64 { return math.Erfc(-(x-mean)/(sd*math.Sqrt2)) / 2 }
	return below(tolerance) - below(-tolerance)
}

// Recut is how a panel comes out when its centre is measured before the borders are cut
// and they make up for it: what is left are their own seams and cuts, and tape, the error of
// reading it.
func Recut(p Panel, s Spread, tape float64) Fit {
	f := Closed(Panel{Borders: p.Borders}, s)
	f.SD = math.Hypot(f.SD, tape)
	f.Chance = within(f.Mean, f.SD, Tolerance.Float())
	return f
}
