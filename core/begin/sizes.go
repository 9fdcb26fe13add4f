package begin

import (
	"slices"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// Corners are the sizes that corners begin with.
type Corners struct{ Radius, Plate, Taper length.Length }

// Sizes are the sizes that corners of a settled plan begin with: each the usual one, or halved until it suits the
// cover.
func Sizes(p plan.Plan) Corners {
	usual := plan.StartsIn(p.Units)
	suits := func(usual length.Length, shape func(length.Length) plan.Corners) length.Length {
		for l := usual; l >= p.Habits.Step && p.Habits.Step > 0; l = (l / 2).Floor(p.Habits.Step) {
			q := p
			q.Cover.Corners = shape(l)
			if _, found := cover.Pieces(q); !slices.ContainsFunc(found,
				func(f finding.Finding) bool { return finding.Within(f.About, "/cover/corners") }) {
				return l
			}
		}
		return usual
	}
	return Corners{
		Radius: suits(usual.Radius,
			func(l length.Length) plan.Corners { return plan.Corners{Kind: plan.RoundCorners, Radius: l} }),
		Plate: suits(usual.Plate,
			func(l length.Length) plan.Corners { return plan.Corners{Kind: plan.RoundCorners, Plate: l} }),
		Taper: suits(usual.Taper,
			func(l length.Length) plan.Corners { return plan.Corners{Kind: plan.TaperedCorners, Taper: l} }),
	}
}
