package show

import (
	"umschlag/core/answer"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/outlook"
)

// outlooks tells how true both directions of a pieced face are likely to come out.
func outlooks(t *teller, f front.Face) []answer.Outlook {
	out := []answer.Outlook{}
	for _, d := range (outlook.Order{Plan: t.Plan, Samples: t.Samples, Past: t.Past}).Of(f) {
		one := answer.Outlook{Direction: d.Name, Seams: d.Seams, Cuts: d.Cuts, Mean: t.l(length.FromFloat(d.Fit.Mean)),
			SD: t.l(length.FromFloat(d.Fit.SD)), Tolerance: t.l(outlook.Tolerance),
			Chance: 100 * d.Fit.Chance, FromSeams: 100 * d.Fit.Seams, From: d.From, Buys: []answer.Buy{}}
		for _, b := range d.Buys {
			one.Buys = append(one.Buys, answer.Buy{What: b.What, Chance: 100 * b.Chance})
		}
		out = append(out, one)
	}
	return out
}
