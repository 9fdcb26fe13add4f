package work

import (
	"math"

	"umschlag/core/length"
	"umschlag/core/ref"
)

// Effort is what there is to do in a step.
type Effort struct {
	// Sizes is how many different pieces are cut, Pieces how many in all.
	Sizes, Pieces int
	// Seams is how many seams are sewn and pressed, Things how many things are handled, Sewn how long what is sewn is.
	Seams, Things int
	Sewn          length.Length
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

// perThing is how long one takes of what a step handles: a patch laid out, a unit folded, a window rolled and sewn, a
// shape cut or fused, a button sewn on, a strap turned. Common practice.
var perThing = map[ref.Role]float64{ref.DoLayOut: 0.2, ref.DoFoldUnits: 3, ref.DoWindows: 5, ref.DoPoints: 2,
	ref.DoRimPoints: 2, ref.DoButtons: 5, ref.DoTies: 6, ref.DoCutShapes: 4, ref.DoLayShapes: 2, ref.DoMakeFitting: 6,
	ref.DoFitting: 5}

// perMetreOf is how long a metre takes that is not sewn plainly: folded and pressed before, or done twice.
// Common practice.
var perMetreOf = map[ref.Role]float64{ref.DoHem: 6, ref.DoFold: 4, ref.DoMakePiping: 4, ref.DoBastePiping: 3,
	ref.DoMakeBinding: 4, ref.DoBottom: 8, ref.DoFinish: 1, ref.DoFlange: 2, ref.DoSewShapes: 6}

// Minutes is how long a step takes at a usual pace, at least one minute; measured tells that
// something is measured at it.
func Minutes(s Step, measured bool, e Effort) int {
	if e.Known > 0 {
		return e.Known + int(setUp)
	}
	metres := e.Sewn.Float() / length.Metre.Float()
	each, metre := perThing[s.Role], perMetre
	if own, known := perMetreOf[s.Role]; known {
		metre = own
	}
	m := ordinary
	switch {
	case len(s.Cuts) > 0:
		m = setUp + perSize*float64(e.Sizes) + perPiece*float64(e.Pieces) + each*float64(e.Things) + metre*metres
	case e.Things > 0 && each > 0:
		m = setUp + each*float64(e.Things)
	case e.Seams > 0:
		m = setUp + perSeam*float64(e.Seams) + perMetre*metres
	case e.Sewn > 0 && perMetreOf[s.Role] > 0:
		m = setUp + metre*metres
	case e.Sewn > 0:
		m = ordinary + perMetre*metres
	case measured || s.Stage == Measuring:
		m = measuring
	}
	return max(1, int(math.Round(m)))
}
