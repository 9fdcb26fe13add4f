// Package cover knows which pieces a cover has and how large each is finished:
// from the object measured, what sticks out, the ease and the shrinkage
// planned for.
//
// A cover kind is one builder in this package and one line in builders.
package cover

import (
	"fmt"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Piece is one piece of the cover as it finishes.
type Piece struct {
	// Name as the plan names it.
	Name string
	// Title as a maker reads it.
	Title string
	// Count of pieces alike in one cover.
	Count int
	// Finished size, from the object to the seam line.
	Finished sum.Size
	// Seam allowance at each of its edges.
	Seam length.Length
}

// Trimmed is the size of a piece whose face finishes as given, with its seam
// allowances.
func (p Piece) Trimmed(finished sum.Size) sum.Size {
	return finished.Between(sum.Seam, "seam allowance", p.Seam)
}

var builders = map[plan.CoverKind]func(plan.Plan) ([]Piece, finding.List){
	plan.Cushion: cushion,
}

// Pieces are the pieces of the planned cover. A cover that cannot be built
// gives no pieces and says why.
func Pieces(p plan.Plan) ([]Piece, finding.List) {
	build, ok := builders[p.Cover.Kind]
	if !ok {
		var found finding.List
		found.Add(finding.Stop, "cover-kind", "/cover/kind",
			fmt.Sprintf("A %s is read and kept, but this version reckons cushions only.", p.Cover.Kind),
			"Choose a cushion, or keep the plan as it is.")
		return nil, found
	}
	return build(p)
}

// cushion has a front and a back of one size.
func cushion(p plan.Plan) ([]Piece, finding.List) {
	found := cushionFits(p)
	if found.Stopped() {
		return nil, found
	}
	o, e, wash := p.Object, p.Cover.Ease, p.Cover.Wash
	size := sum.Size{
		Width:  washed(sum.Of(sum.Object, "pad across", o.Width).Plus(sum.Ease, easeName(e.Width), e.Width), wash),
		Height: washed(sum.Of(sum.Object, "pad up", o.Height).Plus(sum.Ease, easeName(e.Height), e.Height), wash),
	}
	for _, d := range []struct {
		axis string
		s    sum.Sum
		ease length.Length
	}{{"width", size.Width, e.Width}, {"height", size.Height, e.Height}} {
		if least := 2 * p.Cover.Seam; d.s.Total() <= least {
			found.Add(finding.Stop, "cover-too-small", "/cover/ease/"+d.axis,
				fmt.Sprintf("With an ease of %s the cover would finish %s.", p.Style().Text(d.ease), p.Style().Text(d.s.Total())),
				"Type an ease between −2 and 1 inch.")
		}
	}
	if found.Stopped() {
		return nil, found
	}
	return []Piece{
		{Name: "front", Title: "Front", Count: 1, Finished: size, Seam: p.Cover.Seam},
		{Name: "back", Title: "Back", Count: 1, Finished: size, Seam: p.Cover.Seam},
	}, found
}

// cushionFits asks whether the decisions make a flat, square cushion cover.
func cushionFits(p plan.Plan) finding.List {
	var found finding.List
	if p.Object.Kind != plan.Form {
		found.Add(finding.Stop, "object-kind", "/object/kind",
			fmt.Sprintf("A cushion cover goes over a pad, not over a %s.", p.Object.Kind), "Choose a cushion pad.")
	}
	if k := p.Cover.Corners.Kind; k != plan.SquareCorners {
		found.Add(finding.Stop, "corners", "/cover/corners/kind",
			fmt.Sprintf("Cushions with %s corners are read and kept, but not reckoned here.", k), "Choose square corners.")
	}
	if p.Cover.Flange != 0 {
		found.Add(finding.Stop, "flange", "/cover/flange", "A flange is read and kept, but not reckoned here.", "Set the flange to 0.")
	}
	for i, f := range p.Fittings {
		found.Add(finding.Stop, "fitting", finding.Path("fittings", i),
			fmt.Sprintf("A %s is read and kept, but its cuts are not reckoned here.", f.Kind), "Take it out of this plan and cut it by hand.")
	}
	if p.Edges.Piping != nil || p.Edges.Binding != nil {
		found.Add(finding.Stop, "edges", "/edges", "Piping and binding are read and kept, but not reckoned here.", "Take them out of this plan.")
	}
	return found
}

func easeName(ease length.Length) string {
	if ease < 0 {
		return "cover smaller than the pad"
	}
	return "cover larger than the pad"
}

// washed adds what washing takes away: size ÷ (1 − shrinkage).
func washed(s sum.Sum, percent float64) sum.Sum {
	total := s.Total()
	grown := length.FromFloat(total.Float() / (1 - percent/100))
	return s.Plus(sum.Wash, fmt.Sprintf("washing takes %g %%", percent), grown-total)
}
