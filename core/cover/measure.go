package cover

import (
	"fmt"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// measurer turns what was measured into what is finished, axis by axis.
type measurer struct {
	plan  plan.Plan
	found finding.List
}

func measure(p plan.Plan) *measurer { return &measurer{plan: p} }

// axis is one finished direction: the object, what sticks out of it, the ease,
// the bulk of the stack on both sides, and what washing takes.
func (m *measurer) axis(key, name string, measured, out, ease length.Length) sum.Sum {
	s := sum.Of(sum.Object, name, measured).Plus(sum.Object, "what sticks out", out).Plus(sum.Ease, easeName(ease), ease).
		Plus(sum.Ease, "bulk of the stack, both sides", 2*m.plan.Cover.Bulk)
	s = washed(s, m.plan.Cover.Wash)
	if s.Total() <= 2*m.plan.Cover.Seam {
		text := m.plan.Style().Text
		m.found.Add(finding.Stop, "cover-too-small", "/cover/ease/"+key,
			fmt.Sprintf("With an ease of %s the cover would finish %s.", text(ease), text(s.Total())), "Type an ease between −2 and 1 inch.")
	}
	return s
}

func easeName(ease length.Length) string {
	if ease < 0 {
		return "ease, cover smaller"
	}
	return "ease, cover larger"
}

// washed adds what washing takes away: size ÷ (1 − shrinkage).
func washed(s sum.Sum, percent float64) sum.Sum {
	total := s.Total()
	grown := length.FromFloat(total.Float() / (1 - percent/100))
	return s.Plus(sum.Wash, fmt.Sprintf("washing takes %g %%", percent), grown-total)
}
