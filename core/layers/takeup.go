package layers

import (
	"fmt"
	"math"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// TakeUp is what quilting takes from each direction, as a share of 1.
type TakeUp struct{ Across, Along float64 }

// doubtful is the estimate above which the derivation is no longer to be
// relied on: its shallow curve stands for less than a tenth.
const doubtful = 0.10

// share is the shortening of cloth between two lines of quilting p apart when
// each face bulges by a: a raised cosine of height a over p is longer than p by
// (πa/p)²/4. Close lines cannot puff: a is at most p/6.
//
// Source: geometry; an estimate, not a published standard.
func share(a, p float64) float64 {
	if p <= 0 {
		return 0
	}
	a = math.Min(a, p/6)
	x := math.Pi * a / p
	return x * x / 4
}

// family is the shortening across one family of lines; in pairs, the mean over
// both gaps weighted by their lengths.
func family(bulge length.Length, f plan.LineFamily, pair length.Length) float64 {
	a := bulge.Float()
	if pair <= 0 || pair >= f.Pitch {
		return share(a, f.Pitch.Float())
	}
	near, far := pair.Float(), (f.Pitch - pair).Float()
	return (near*share(a, near) + far*share(a, far)) / (near + far)
}

// Bulge is how far each face of the stack can puff: half its loft.
func Bulge(l *plan.Layers) length.Length {
	if l == nil || l.Batting == nil {
		return 0
	}
	return l.Batting.Loft.Times(l.Batting.Count) / 2
}

// Estimate is the take-up of a quilting pattern over a stack whose faces bulge
// by bulge. Families add as a tensor: stitched lines at an angle θ to the width
// take t·sin²θ from the width and t·cos²θ from the height.
func Estimate(bulge length.Length, q *plan.Quilting) TakeUp {
	var t TakeUp
	if q == nil {
		return t
	}
	for _, f := range q.Lines {
		each := family(bulge, f, q.Pair)
		sin, cos := math.Sincos(f.Angle * math.Pi / 180)
		t.Across += each * sin * sin
		t.Along += each * cos * cos
	}
	return t
}

// takeUp is the figure the piece plans with, and what is to be said of it.
func takeUp(path string, q plan.Piece) (TakeUp, finding.List) {
	var found finding.List
	if q.TakeUp != nil && q.TakeUp.From == plan.Given {
		return TakeUp{Across: q.TakeUp.Across / 100, Along: q.TakeUp.Along / 100}, nil
	}
	if q.TakeUp != nil && q.TakeUp.From == plan.FromSample {
		found.Add(finding.Stop, "sample-unknown", path+"/take_up/id",
			fmt.Sprintf("No sample %q is at hand.", q.TakeUp.ID), "Give the sample's figures across and along, or use the estimate.")
		return TakeUp{}, found
	}
	t := Estimate(Bulge(q.Layers), q.Quilting)
	if math.Max(t.Across, t.Along) > doubtful {
		found.Add(finding.Warn, "take-up-doubtful", path+"/quilting",
			fmt.Sprintf("The estimate says quilting takes %.0f %%, more than it can be relied on for.", 100*math.Max(t.Across, t.Along)),
			"Sew a test square, measure it, and give its figures.")
	}
	return t, found
}
