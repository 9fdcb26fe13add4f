// Package sample knows what a sewn sample tells: the take-up of a quilted test square, the
// ratio of gathers, the error of a seam from three strips, and what washing takes, each with
// its spread over repeats.
package sample

import (
	"fmt"
	"math"
	"slices"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/takeup"
)

// Shelf are the samples at hand, by their ids.
type Shelf map[string]plan.Sample

// Figure is a mean over repeats with its spread.
type Figure struct {
	Mean float64 `json:"mean"`
	// SD is the standard deviation of single repeats; 0 with fewer than two.
	SD float64 `json:"sd"`
	N  int     `json:"n"`
}

// figureOf is the mean and the spread of values; n − 1 in the divisor.
func figureOf(values []float64) Figure {
	f := Figure{N: len(values)}
	for _, v := range values {
		f.Mean += v / float64(f.N)
	}
	if f.N < 2 {
		return f
	}
	for _, v := range values {
		f.SD += (v - f.Mean) * (v - f.Mean)
	}
	f.SD = math.Sqrt(f.SD / float64(f.N-1))
	return f
}

// Quilting is what a quilted test square tells.
type Quilting struct {
	TakeUp takeup.TakeUp
	// Across and Along are the same shares with their spread.
	Across, Along Figure
	// Bulge is how far each face puffs, which carries the sample to other distances.
	Bulge length.Length
}

// Quilted is what a test square tells; ok is false where it was not measured after.
func Quilted(s plan.Sample) (q Quilting, ok bool) {
	var across, along []float64
	for _, a := range s.After {
		if a.Width > 0 && s.Before.Width > 0 {
			across = append(across, 1-a.Width.Float()/s.Before.Width.Float())
		}
		if a.Height > 0 && s.Before.Height > 0 {
			along = append(along, 1-a.Height.Float()/s.Before.Height.Float())
		}
	}
	if len(across) == 0 || len(along) == 0 {
		return q, false
	}
	q.Across, q.Along = figureOf(across), figureOf(along)
	q.TakeUp = takeup.TakeUp{Across: q.Across.Mean, Along: q.Along.Mean, From: plan.FromSample}
	q.TakeUp.Low = [2]float64{q.Across.Mean - q.Across.SD, q.Along.Mean - q.Along.SD}
	q.TakeUp.High = [2]float64{q.Across.Mean + q.Across.SD, q.Along.Mean + q.Along.SD}
	q.Bulge = bulge(s, q.TakeUp.Across+q.TakeUp.Along)
	return q, true
}

// bulge is the puff of each face at which the estimate takes as much from both directions
// together as the sample lost: for one family of lines a = (2p/π)√t. Source: geometry, the
// derivation of the estimate turned round.
func bulge(s plan.Sample, taken float64) length.Length {
	p := takeup.Pattern{Quilting: s.Quilting, Width: s.Before.Width, Height: s.Before.Height}
	both := func(a float64) float64 {
		t := takeup.Estimate(length.FromFloat(a), p)
		return t.Across + t.Along
	}
	lo, hi := 0.0, (2 * length.Inch).Float()
	if taken <= 0 {
		return 0
	}
	for range 60 {
		if mid := (lo + hi) / 2; both(mid) < taken {
			lo = mid
		} else {
			hi = mid
		}
	}
	return length.FromFloat((lo + hi) / 2)
}

// Gathered is before ÷ after of a gathered sample; ok is false where it was not measured.
func Gathered(s plan.Sample) (Figure, bool) {
	var ratios []float64
	for _, a := range s.After {
		if a.Width > 0 && s.Before.Width > 0 {
			ratios = append(ratios, s.Before.Width.Float()/a.Width.Float())
		}
	}
	return figureOf(ratios), len(ratios) > 0
}

// Seams is how much wider a seam is sewn than meant, in nanometres, from three strips sewn
// side by side: the middle one shows its cut width less two seams, and what it shows less
// is two errors. Strips of 1½ and a seam of ¼ show 1: (1 − shown)/2.
func Seams(s plan.Sample) (Figure, bool) {
	var off []float64
	for _, a := range s.After {
		if a.Width > 0 && s.Cut > 0 {
			off = append(off, (s.Cut-2*s.Seam-a.Width).Float()/2)
		}
	}
	return figureOf(off), len(off) > 0
}

// Washed is the dimensional change in percent, across and along, as ISO 5077 defines it:
// (after − before) ÷ before × 100, negative where it shrinks.
func Washed(s plan.Sample) (across, along Figure, ok bool) {
	var w, h []float64
	for _, a := range s.After {
		if a.Width > 0 && s.Before.Width > 0 {
			w = append(w, 100*(a.Width-s.Before.Width).Float()/s.Before.Width.Float())
		}
		if a.Height > 0 && s.Before.Height > 0 {
			h = append(h, 100*(a.Height-s.Before.Height).Float()/s.Before.Height.Float())
		}
	}
	return figureOf(w), figureOf(h), len(w) > 0 && len(h) > 0
}

// Alike reports whether two pieces are quilted the same way, but for borders that are quilted by themselves.
func Alike(a, b *plan.Quilting) bool {
	if a == nil || b == nil {
		return a == b
	}
	same := func(p, q plan.LineFamily) bool {
		turn := math.Abs(math.Remainder(p.Angle-q.Angle, 180))
		return p.Pitch == q.Pitch && p.Wave == q.Wave && turn < 1
	}
	if a.Pair != b.Pair || a.Ditch != b.Ditch || a.Echo != b.Echo || a.Free != b.Free || len(a.Lines) != len(b.Lines) ||
		a.Corners != b.Corners || a.Beside != b.Beside || a.Around != b.Around {
		return false
	}
	for _, p := range a.Lines {
		if !slices.ContainsFunc(b.Lines, func(q plan.LineFamily) bool { return same(p, q) }) {
			return false
		}
	}
	return true
}

// Other says in what a piece's stack is another one than that of a sample; empty where it
// is not.
func Other(s plan.Sample, q plan.Piece) string {
	had, has := batting(s.Layers), batting(q.Layers)
	switch {
	case had.Count != has.Count:
		return fmt.Sprintf("with %d battings, not %d", had.Count, has.Count)
	case had.Count > 0 && had.Loft != has.Loft:
		return fmt.Sprintf("its batting was %.3g mm thick, not %.3g", had.Loft.Float()/1e6, has.Loft.Float()/1e6)
	case (s.Layers != nil && s.Layers.Lining != "") != (q.Layers != nil && q.Layers.Lining != ""):
		return "one has a lining and the other none"
	}
	return ""
}

func batting(l *plan.Layers) plan.Batting {
	if l == nil || l.Batting == nil {
		return plan.Batting{}
	}
	return *l.Batting
}
