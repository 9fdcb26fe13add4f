package show

import (
	"slices"

	"umschlag/core/answer"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// startsOn are the sizes that decisions begin with on a cover: each the usual one, or halved until
// it suits the cover.
func startsOn(p plan.Plan) answer.Starts {
	usual, text := plan.StartsIn(p.Units), length.Style{Unit: p.Units}.Plain
	corner := func(usual length.Length, shape func(length.Length) plan.Corners) string {
		for l := usual; l >= p.Habits.Step && p.Habits.Step > 0; l = (l / 2).Floor(p.Habits.Step) {
			q := p
			q.Cover.Corners = shape(l)
			if _, found := cover.Pieces(q); !slices.ContainsFunc(found,
				func(f finding.Finding) bool { return finding.Within(f.About, "/cover/corners") }) {
				return text(l)
			}
		}
		return text(usual)
	}
	p.Back.Aside = nil
	var flap length.Length
	for _, closure := range plan.Closures(p.Units) {
		flap = max(flap, closure.On(p).Flap)
	}
	return answer.Starts{
		Radius: corner(usual.Radius,
			func(l length.Length) plan.Corners { return plan.Corners{Kind: plan.RoundCorners, Radius: l} }),
		Plate: corner(usual.Plate,
			func(l length.Length) plan.Corners { return plan.Corners{Kind: plan.RoundCorners, Plate: l} }),
		Taper: corner(usual.Taper,
			func(l length.Length) plan.Corners { return plan.Corners{Kind: plan.TaperedCorners, Taper: l} }),
		Flap: text(flap),
	}
}
