package remedy

import (
	"fmt"
	"strings"

	"umschlag/core/cover"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// knob is one value of a cover that may follow its panel: what it is, how it is set, and what is said of it: a noun,
// and the size with what stands behind it.
type knob struct {
	now  length.Length
	set  func(p *plan.Plan, l length.Length)
	noun string
	says func(l length.Length) string
}

// axisSays are the axes of a cover as they stand behind its ease.
var axisSays = map[string]string{"width": "across", "height": "up", "length": "in length", "depth": "in depth",
	"wrap": "round the book"}

// knobs are those of a settled cover: its ease, or its own sizes, along its axes, and the corners of its panels.
func knobs(p plan.Plan) []knob {
	text := p.Style().Text
	var out []knob
	for _, axis := range plan.CoverAxes(p) {
		says := axisSays[axis]
		if p.Object.Kind == plan.Box && axis == "height" {
			says = "in height"
		}
		if now, given := plan.SizeOf(p, axis); given {
			out = append(out, knob{now, func(p *plan.Plan, l length.Length) {
				*p.Cover.Size.On(axis) = plan.Size{Finished: l}
			}, "a size of", func(l length.Length) string { return text(l) + " " + says }})
			continue
		}
		out = append(out, knob{*p.Cover.Ease.On(axis),
			func(p *plan.Plan, l length.Length) { *p.Cover.Ease.On(axis) = l }, "an ease of", func(l length.Length) string { return text(l) + " " + says }})
	}
	seam, corners := p.Cover.Seam, p.Cover.Corners
	if corners.Kind == plan.TaperedCorners {
		return out
	}
	radius := corners.Radius
	if corners.Plate != 0 {
		radius = corners.Plate / 2
	}
	if corners.Kind != plan.RoundCorners {
		radius = seam
	}
	return append(out, knob{radius, func(p *plan.Plan, l length.Length) {
		p.Cover.Corners = plan.Corners{Kind: plan.RoundCorners, Radius: l}
	}, "corners cut to a radius of", func(l length.Length) string {
		return fmt.Sprintf("%s (%s finished)", text(l), text(l-seam))
	}})
}

// panelSize is the finished size of a panel, 0 where it cannot be made.
func panelSize(p plan.Plan, config string) [2]length.Length {
	c, found := cover.Pieces(p.Settle())
	if found.Stopped() {
		return [2]length.Length{}
	}
	for _, piece := range c.Pieces {
		if piece.Config == config {
			return [2]length.Length{piece.Finished.Width.Total(), piece.Finished.Height.Total()}
		}
	}
	return [2]length.Length{}
}

// turn is how far a knob is turned to find what follows it.
const turn = length.Inch / 4

// follow offers covers that are as large as a panel of a size makes them: one value takes up what is missing or too
// much in each direction.
func follow(s *sifter, across, down length.Length, and func(*plan.Plan), says string) {
	w, h, config, ok := s.room()
	if !ok || placeOf(s.plan, s.about.About).parts != "" {
		return
	}
	settled, style := s.plan.Settle(), s.plan.Style()
	is, off := [2]length.Length{w, h}, [2]length.Length{across - w, down - h}
	var ways [2][]knob // that change one direction alone
	for _, k := range knobs(settled) {
		bumped := s.with(func(p *plan.Plan) { k.set(p, k.now+turn) })
		to := panelSize(bumped, config)
		if to == [2]length.Length{} {
			continue
		}
		for side := range is {
			moved := to[side] - is[side]
			if moved == 0 || to[1-side] != is[1-side] || off[side] == 0 {
				continue
			}
			k.now += length.FromFloat(off[side].Float() * turn.Float() / moved.Float())
			ways[side] = append(ways[side], k)
		}
	}
	none := knob{set: func(*plan.Plan, length.Length) {}} // in a direction that fits
	for side := range ways {
		if off[side] == 0 {
			ways[side] = []knob{none}
		}
	}
	for _, a := range ways[0] {
		for _, b := range ways[1] {
			if a.says == nil && b.says == nil {
				continue
			}
			s.change(fmt.Sprintf("%s: it finishes %s × %s%s", together(a, b), style.Text(across), style.Text(down),
				says), func(p *plan.Plan) {
				a.set(p, a.now)
				b.set(p, b.now)
				and(p)
			})
		}
	}
}

// together says what two knobs are set to; one that is left alone says nothing.
func together(a, b knob) string {
	out := ""
	for i, k := range []knob{a, b} {
		switch {
		case k.says == nil:
			continue
		case out == "":
			out = strings.ToUpper(k.noun[:1]) + k.noun[1:] + " "
		case i > 0 && k.noun != a.noun:
			out += " and " + k.noun + " "
		default:
			out += " and "
		}
		out += k.says(k.now)
	}
	return out
}

// nothing is changed besides.
func nothing(*plan.Plan) {}

// offerFollowing offers a cover that is as large as its patches make it.
func offerFollowing(s *sifter, f plan.Face) {
	if f.Kind != plan.GridFace && f.Kind != plan.CheckerFace || f.Set == plan.OnPoint {
		return
	}
	if f = settledFace(s); f.Patch.Fit {
		return
	}
	across, down := f.Patch.Width.Times(f.Columns), f.Patch.Height.Times(f.Rows)
	if f.Sash != nil {
		gaps := -1
		if f.Sash.Outside {
			gaps = 1
		}
		across, down = across+f.Sash.Width.Times(f.Columns+gaps), down+f.Sash.Width.Times(f.Rows+gaps)
	}
	for _, b := range f.Borders {
		across, down = across+2*b.Width.Width, down+2*b.Width.Width
	}
	follow(s, across, down, nothing, "")
}
