package work

import (
	"math"

	"umschlag/core/length"
)

// Effort is what there is to do in a step.
type Effort struct {
	// Sizes is how many different pieces are cut, Pieces how many in all.
	Sizes, Pieces int
	// Seams is how many seams are sewn and pressed, Sewn how long they are together.
	Seams int
	Sewn  length.Length
	// Known is what is known already, of quilting for instance; 0 where nothing is.
	Known int
}

// The pace of a practised maker, in minutes. Common practice; own figures from the log
// take their place.
const (
	perSize   = 1.5
	perPiece  = 0.25
	perSeam   = 0.75
	perMetre  = 1.5
	setUp     = 2.0
	ordinary  = 5.0
	measuring = 3.0
)

// Minutes is how long a step takes at a usual pace, at least one minute; measured tells that
// something is measured at it.
func Minutes(s Step, measured bool, e Effort) int {
	if e.Known > 0 {
		return e.Known + int(setUp)
	}
	m := ordinary
	switch {
	case len(s.Cuts) > 0:
		m = setUp + perSize*float64(e.Sizes) + perPiece*float64(e.Pieces)
	case e.Seams > 0:
		m = setUp + perSeam*float64(e.Seams) + perMetre*e.Sewn.Float()/length.Metre.Float()
	case e.Sewn > 0:
		m = ordinary + perMetre*e.Sewn.Float()/length.Metre.Float()
	case measured || s.Stage == Measuring:
		m = measuring
	}
	return max(1, int(math.Round(m)))
}
