package layers

import (
	"fmt"
	"math"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sample"
	"umschlag/core/takeup"
)

// TakeUp is what quilting takes from each direction.
type TakeUp = takeup.TakeUp

// takeUp is the figure the piece plans with, and what is to be said of it.
func takeUp(o Order) (TakeUp, finding.List) {
	var found finding.List
	q := o.Piece
	if q.TakeUp != nil && q.TakeUp.From == plan.Given {
		return TakeUp{Across: q.TakeUp.Across / 100, Along: q.TakeUp.Along / 100, From: plan.Given}, nil
	}
	if q.TakeUp != nil && q.TakeUp.From == plan.FromSample {
		return sampled(o)
	}
	p, bulge := takeup.PatternOf(q, o.quilted()), takeup.Bulge(q.Layers)
	t := takeup.Estimate(bulge, p)
	low, high := takeup.Estimate(length.FromFloat(bulge.Float()*(1-takeup.Unsure)),
		p), takeup.Estimate(length.FromFloat(bulge.Float()*(1+takeup.Unsure)), p)
	t.From, t.Low, t.High = plan.Estimate, [2]float64{low.Across, low.Along}, [2]float64{high.Across, high.Along}
	if math.Max(t.Across, t.Along) > takeup.Doubtful {
		found.Add(finding.Warn, "take-up-doubtful", o.Path+"/quilting",
			fmt.Sprintf("The estimate says quilting takes %.0f%%, more than it can be relied on for.",
				100*math.Max(t.Across, t.Along)),
			"Sew a test square, measure it, and give its figures.")
	}
	return t, found
}

// sampled is what a sewn sample says: its own figures where the piece is quilted as it
// was, else those that its bulge gives at other distances.
func sampled(o Order) (TakeUp, finding.List) {
	var found finding.List
	q, path := o.Piece, o.Path
	s, ok := o.Samples[q.TakeUp.ID]
	if !ok {
		found.Add(finding.Stop, "sample-unknown", path+"/take_up/id",
			fmt.Sprintf("No sample %q is at hand.", q.TakeUp.ID),
			"Choose one of the samples, give its figures across and along, or use the estimate.")
		return TakeUp{}, found
	}
	if s.Kind != plan.QuiltingSample {
		found.Add(finding.Stop, "sample-kind", path+"/take_up/id",
			fmt.Sprintf("“%s” is no sample of quilting.", s.Title), "Choose a test square that was quilted.")
		return TakeUp{}, found
	}
	f, ok := sample.Quilted(s)
	if !ok {
		found.Add(finding.Stop, "sample-open", path+"/take_up/id",
			fmt.Sprintf("“%s” was not measured after quilting yet.", s.Title),
			"Enter what it measures, or use the estimate until then.")
		return TakeUp{}, found
	}
	if why := sample.Other(s, q); why != "" {
		found.Add(finding.Warn, "sample-other", path+"/take_up/id",
			fmt.Sprintf("“%s” was sewn of other layers: %s.", s.Title, why),
			"Sew one of these layers before much fabric is cut.")
	}
	t := f.TakeUp
	if !sample.Alike(s.Quilting, q.Quilting) {
		t = takeup.Estimate(f.Bulge, takeup.PatternOf(q, o.quilted()))
		found.Add(finding.Note, "sample-carried", path+"/take_up/id",
			fmt.Sprintf("“%s” was quilted otherwise: its loft of %.2g mm a side gives the figures here.", s.Title,
				f.Bulge.Float()/1e6), "")
	}
	t.From = plan.FromSample
	return t, found
}
