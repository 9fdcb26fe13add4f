package front

import (
	"fmt"
	"math"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// Gather is what a gathered face takes.
type Gather struct {
	// Ratio is before ÷ after.
	Ratio     float64
	Direction plan.Direction
	// Wanted is the length that is gathered to, without seams, and Needed what it takes
	// of the cloth.
	Wanted, Needed length.Length
	// Piece is the cloth from selvedge to selvedge, and Yields what that gathers to; 0
	// where the width is not known.
	Piece, Yields length.Length
}

// The ratios between which gathers are planned. Common practice: below the least they
// look like a mistake, above the most they do not lie under the needle.
const (
	leastRatio = 2.0
	mostRatio  = 6.0
)

// gathered is one panel of more cloth than shows, drawn in by rows of stitching across,
// along, or at a slant of 45°.
//
// Source: geometry. Drawn in by r in one direction, a length takes r times the cloth
// there (docs/arithmetic.md §6.6: 9 wanted at 2.545 takes 22.9). At 45° the cloth is
// longer by r along that diagonal only, so that a panel of w × h takes w(1 + r)/2 +
// h(r − 1)/2 across and the same the other way.
func gathered(o Order) (Face, finding.List) {
	found := ratioOf(o)
	if found.Stopped() {
		return Face{}, found
	}
	f, said := plain(o)
	found = append(found, said...)
	r := o.Face.Ratio
	left, right, above, below := o.edge(o.Held.Left), o.edge(o.Held.Right), o.edge(o.Held.Top), o.edge(o.Held.Bottom)
	w, h := (o.Top.Width.Total() - left - right).Float(), (o.Top.Height.Total() - above - below).Float()
	g := &Gather{Ratio: r, Direction: o.Face.Direction}
	wide, high := w, h
	switch o.Face.Direction {
	case plan.AlongWay:
		high = h * r
		g.Wanted, g.Needed = length.FromFloat(h), length.FromFloat(high)
	case plan.Slantwise:
		wide, high = w*(1+r)/2+h*(r-1)/2, h*(1+r)/2+w*(r-1)/2
		g.Wanted = length.FromFloat(math.Hypot(w, h))
		g.Needed = length.FromFloat(math.Hypot(w, h) * r)
	default:
		wide = w * r
		g.Wanted, g.Needed = length.FromFloat(w), length.FromFloat(wide)
	}
	if o.Usable != nil {
		g.Piece = o.Usable(o.Face.Cloth)
		g.Yields = length.FromFloat(g.Piece.Float() / r)
	}
	full := func(shows, cut float64, first, last length.Length) sum.Sum {
		return sum.Of(sum.Seam, "seam allowance", first).Plus(sum.Part, "gathered to", length.FromFloat(shows)).
			Plus(sum.Ease, "drawn in by the gathers", length.FromFloat(cut-shows)).
			Plus(sum.Seam, "seam allowance", last).UpTo(o.Step)
	}
	f.Parts[0].Ref.Role = ref.Gathered
	f.Parts[0].Name, f.Parts[0].Title, f.Parts[0].Role = "gathered", "Panel to be gathered", Gathered
	f.Parts[0].Size = sum.Size{Width: full(w, wide, left, right), Height: full(h, high, above, below)}
	f.Gather = g
	return f, found
}

// ratioOf finds a ratio that is not known, or that will not do.
func ratioOf(o Order) finding.List {
	var found finding.List
	r := o.Face.Ratio
	switch {
	case r == 0 && o.Face.Sample != "":
		found.Add(finding.Stop, "gather-sample", o.Path+"/sample",
			fmt.Sprintf("The figures of sample %q are not at hand.", o.Face.Sample),
			"Type the ratio: the sample before, divided by the sample after.")
	case !(r > 1 && r <= mostRatio):
		found.Add(finding.Stop, "gather-ratio", o.Path+"/ratio",
			fmt.Sprintf("Fabric is not gathered to a ratio of %g.", r),
			fmt.Sprintf("The ratio is before ÷ after: type %g to %g; 2.5 is ordinary.", leastRatio, mostRatio))
	case r < leastRatio:
		found.Add(finding.Warn, "gather-thin", o.Path+"/ratio",
			fmt.Sprintf("Gathered by %g, the fabric looks crumpled rather than gathered.", r),
			fmt.Sprintf("Plan at least %g; 2.5 is ordinary.", leastRatio))
	}
	return found
}

// pocketed is a plain panel with a second one of its size, folded in half, over its
// lower half.
func pocketed(o Order, f Face) Face {
	panel := f.Cells[0]
	f.Parts = append(f.Parts, Part{Ref: o.ref(ref.Pocket), Paints: "/cloth", Name: "pocket",
		Title: "Pocket, folded in half", Role: PocketPart, Cloth: o.Face.Cloth, Size: f.Parts[0].Size, Count: 1})
	half := panel
	half.Part, half.Height, half.Over = 1, panel.Height/2, true
	half.Y = panel.Y + panel.Height - half.Height
	f.Cells = append(f.Cells, half)
	return f
}
