package cover

import (
	"fmt"
	"slices"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/outline"
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
// the bulk of the layers on both sides, and what washing takes.
func (m *measurer) axis(key, name string, measured, out, ease length.Length) sum.Sum {
	s := sum.Of(sum.Object, name, measured).Plus(sum.Object, "what sticks out", out)
	if m.plan.Object.Edge == plan.SeamIncluded {
		s = s.Plus(sum.Seam, "its own seam allowances", -2*m.plan.Cover.Seam)
	}
	s = s.Plus(sum.Ease, easeName(ease), ease).Plus(sum.Ease, "bulk of the layers, both sides", 2*m.plan.Cover.Bulk)
	m.ask(key, measured)
	s = m.decided(key, washed(s, m.plan.Cover.Wash), 2*m.plan.Cover.Flange)
	text := m.plan.Style().Text
	if _, given := plan.SizeOf(m.plan, key); given && s.Total() <= 2*m.plan.Cover.Seam {
		m.found.Add(finding.Stop, "cover-too-small", "/cover/size/"+key,
			fmt.Sprintf("The cover would finish %s, less than its two seams take.", text(s.Total())),
			fmt.Sprintf("Type what it finishes, such as %s, or that as it is cut.", text(measured)))
	} else if s.Total() <= 2*m.plan.Cover.Seam {
		m.found.Add(finding.Stop, "cover-too-small", "/cover/ease/"+key,
			fmt.Sprintf("With an ease of %s the cover would finish %s.", text(ease), text(s.Total())),
			"Type an ease between −2 and 1 inch.")
	}
	return s
}

// decided is a direction of which the size is decided: what dividing loses is put back.
func (m *measurer) decided(key string, s sum.Sum, beyond length.Length) sum.Sum {
	if is, given := plan.SizeOf(m.plan, key); given && len(s) > 0 {
		if off := is - beyond - s.Total(); off.Abs() <= length.Hair {
			return s.Taking(len(s)-1, off)
		}
	}
	return s
}

// otherSide is the size from which a cushion pad or an appliance in inches was
// probably read off the centimetre side of the tape. Common practice.
const otherSide = 45 * length.Inch

// ask wonders about a size that may have been read off the wrong side of the tape.
func (m *measurer) ask(key string, measured length.Length) {
	if measured <= otherSide || m.plan.Units != length.Inches || m.plan.Cover.Rules().Large {
		return
	}
	number := fmt.Sprintf("%.4g", measured.Float()/length.Inch.Float())
	m.found.Add(finding.Note, "other-side", "/object/"+key,
		fmt.Sprintf("That is %s: large for a cover of this kind.", m.plan.Style().Text(measured)),
		fmt.Sprintf("If the centimetre side of the tape was read, type %s cm.", number))
}

// fits asks whether the object is of one of the kinds a cover goes over.
func (m *measurer) fits(what string, kinds ...plan.ObjectKind) bool {
	if slices.Contains(kinds, m.plan.Object.Kind) {
		return true
	}
	m.found.Add(finding.Stop, "object-kind", "/object/kind",
		fmt.Sprintf("A %s is made for %s, not for a %s.", m.plan.Cover.Kind, what, m.plan.Object.Kind),
		fmt.Sprintf("Choose %s.", what))
	return false
}

// corners are four corners alike of a panel whose shorter side is given.
func (m *measurer) corners(short length.Length) outline.Radii {
	r := m.cornerRadius(short, short/2)
	return outline.Radii{TopLeft: r, TopRight: r, BottomRight: r, BottomLeft: r}
}

// cornerRadius is the seam-line radius of the corners of a panel that finishes as given;
// zero where they are square. Twice the radius fits the width, once the height.
func (m *measurer) cornerRadius(width, height length.Length) length.Length {
	c, seam, text := m.plan.Cover.Corners, m.plan.Cover.Seam, m.plan.Style().Text
	if c.Kind == "" || c.Kind == plan.SquareCorners {
		return 0
	}
	if c.Kind != plan.RoundCorners {
		m.found.Add(finding.Stop, "corners", "/cover/corners/kind",
			fmt.Sprintf("A %s with %s corners does not close: they suit flat cushions and seat pads.", m.plan.Cover.Kind,
				c.Kind), "Choose square or round corners.")
		return 0
	}
	about, cut := "/cover/corners/radius", c.Radius
	if c.Plate != 0 {
		about, cut = "/cover/corners/plate", c.Plate/2
	}
	most := min(width/2, height) + seam
	if cut <= seam || cut > most {
		m.found.Add(finding.Stop, "radius", about,
			fmt.Sprintf("A corner cut to a radius of %s does not fit a panel that finishes %s × %s with seams of %s.",
				text(cut), text(width), text(height), text(seam)),
			fmt.Sprintf("Type a radius over %s and up to %s, or a plate of twice that.", text(seam),
				text(most.Floor(m.plan.Habits.Step))))
		return 0
	}
	return cut - seam
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
	return s.Plus(sum.Wash, fmt.Sprintf("washing takes %g%%", percent), grown-total)
}
