package cover

import (
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// boxedCushion is two faces and a band round a pad that is thick.
func boxedCushion(p plan.Plan) (Cover, finding.List) {
	m := measure(p)
	if !m.fits(plan.Form, "a pad") {
		return Cover{}, m.found
	}
	o, e := p.Object, p.Cover.Ease
	if o.Thickness <= 0 {
		m.found.Add(finding.Stop, "out-of-range", "/object/thickness", "A boxed cushion goes round a thick pad, and no thickness is given.", "Type how thick the pad is.")
		return Cover{}, m.found
	}
	wide := m.axis("width", "pad across", o.Width, o.SticksOut.Width, e.Width)
	high := m.axis("height", "pad up", o.Height, o.SticksOut.Height, e.Height)
	thick := m.axis("depth", "pad thickness", o.Thickness, o.SticksOut.Depth, e.Depth)
	radii := m.corners(min(wide.Total(), high.Total()))
	if m.found.Stopped() {
		return Cover{}, m.found
	}
	face := Piece{Name: "face", Config: "face", Title: "Face", Count: 2, Finished: sum.Size{Width: wide, Height: high}, Edges: round(p.Cover.Seam), Radii: radii}
	along := wide.Then(high).Then(wide).Then(high)
	if radii.TopLeft > 0 {
		along = along.Plus(sum.Corner, "shorter round four corners", -4*outline.CornerShort(radii.TopLeft))
	}
	band := Piece{Name: "band", Config: "band", Title: "Band", Count: 1, Finished: sum.Size{Width: along, Height: thick}, Edges: round(p.Cover.Seam), Turns: true}
	return Cover{Pieces: []Piece{face, band}, Joins: []Join{
		{Title: "band to a ring", Between: [2]string{"band", "band"}, Lengths: [2]sum.Sum{thick, thick}, Count: 1,
			Runs: ends},
		{Title: "band to face", Between: [2]string{"band", "face"}, Count: 2, Runs: [2][]Run{{{Top}, {Bottom}}, {all}},
			Lengths: [2]sum.Sum{along, sum.Of(sum.Part, "round the face", length.FromFloat(face.Line().Length()))}},
	}}, m.found
}

// pad is two faces sewn round, turned through a gap.
func pad(p plan.Plan) (Cover, finding.List) {
	m := measure(p)
	if !m.fits(plan.Flat, "something flat") {
		return Cover{}, m.found
	}
	o, e := p.Object, p.Cover.Ease
	size := sum.Size{
		Width:  m.axis("width", "across", o.Width, o.SticksOut.Width, e.Width),
		Height: m.axis("height", "up", o.Height, o.SticksOut.Height, e.Height),
	}
	radii := m.corners(min(size.Width.Total(), size.Height.Total()))
	if m.found.Stopped() {
		return Cover{}, m.found
	}
	top := Piece{Name: "top", Config: "top", Title: "Top", Count: 1, Finished: size, Edges: round(p.Cover.Seam), Radii: radii}
	under := top
	under.Name, under.Config, under.Title = "under", "under", "Under side"
	along := sum.Of(sum.Part, "round the pad", length.FromFloat(top.Line().Length()))
	return Cover{Pieces: []Piece{top, under}, Joins: []Join{{Title: "round the pad", Between: [2]string{"top", "under"}, Lengths: [2]sum.Sum{along, along}, Count: 1,
		Runs: [2][]Run{{all}, {all}}}}}, m.found
}
