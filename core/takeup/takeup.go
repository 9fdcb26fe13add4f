// Package takeup knows how much quilting shortens a panel: an estimate from geometry, by
// the lines, how far apart they are and how far the stack between them puffs.
package takeup

import (
	"math"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// TakeUp is what quilting takes from each direction, as a share of 1.
type TakeUp struct {
	Across, Along float64
	// Low and High are what it lies between, across and along, where it is estimated.
	Low, High [2]float64
	// From says where it comes from.
	From plan.TakeUpFrom
}

// Unsure is how far the bulge of a stack may be off: quilted tighter or looser it shows
// less or more of its loft. Common practice.
const Unsure = 0.25

// Doubtful is the estimate above which the derivation is no longer to be
// relied on: its shallow curve stands for less than a tenth.
const Doubtful = 0.10

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

// Pattern is quilting with what its estimate depends on besides.
type Pattern struct {
	*plan.Quilting
	// Width and Height of the piece, for echoes; PatchWidth and PatchHeight are how far
	// apart the seams are that are stitched in the ditch, 0 where there are none.
	Width, Height, PatchWidth, PatchHeight length.Length
}

// Estimate is the take-up of a pattern over a stack whose faces bulge by bulge. Families
// add as a tensor: stitched lines at an angle θ to the width take t·sin²θ from the width
// and t·cos²θ from the height. Source: geometry.
func Estimate(bulge length.Length, p Pattern) TakeUp {
	var t TakeUp
	q := p.Quilting
	if q == nil {
		return t
	}
	add := func(across, along float64) { t.Across, t.Along = t.Across+across, t.Along+along }
	for _, f := range q.Lines {
		each := family(bulge, f, q.Pair)
		sin, cos := math.Sincos(f.Angle * math.Pi / 180)
		if f.Wave > 0 { // a serpentine runs partly across itself
			add(each*(straight*sin*sin+(1-straight)*cos*cos), each*(straight*cos*cos+(1-straight)*sin*sin))
			continue
		}
		add(each*sin*sin, each*cos*cos)
	}
	if q.Ditch {
		add(share(bulge.Float(), p.PatchWidth.Float()), share(bulge.Float(), p.PatchHeight.Float()))
	}
	if q.Echo > 0 && p.Width > 0 && p.Height > 0 {
		upright := p.upright()
		each := share(bulge.Float(), q.Echo.Float())
		add(each*upright, each*(1-upright))
	}
	if q.Free > 0 { // in all directions alike
		each := share(bulge.Float(), q.Free.Float())
		add(each/2, each/2)
	}
	return t
}

// straight is the part of a serpentine that runs along its direction: the mean of cos² of
// its slope, whose steepest is π/2 where it is four swings long.
var straight = 1 / math.Sqrt(1+math.Pi*math.Pi/4)

// upright is the part of a rectangle's area that lies nearest to its left or right edge,
// where echoes run upright.
func (p Pattern) upright() float64 {
	w, h := p.Width.Float(), p.Height.Float()
	if w <= h {
		return 1 - w/(2*h)
	}
	return h / (2 * w)
}

// PatternOf is the quilting of a piece that is trimmed to a size.
func PatternOf(q plan.Piece, trimmed sum.Size) Pattern {
	p := Pattern{Quilting: q.Quilting, Width: trimmed.Width.Total(), Height: trimmed.Height.Total()}
	if f := q.Face; f != nil && (f.Kind == plan.GridFace || f.Kind == plan.CheckerFace) {
		p.PatchWidth, p.PatchHeight = f.Patch.Width, f.Patch.Height
		if p.PatchWidth == 0 && f.Columns > 0 && f.Rows > 0 { // solved later; nearly this
			p.PatchWidth, p.PatchHeight = p.Width.Div(f.Columns), p.Height.Div(f.Rows)
		}
	}
	return p
}
