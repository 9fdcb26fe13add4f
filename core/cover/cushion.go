package cover

import (
	"fmt"
	"strings"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// zipSpare is what a zip has beyond its opening at either end. Common practice.
const zipSpare = 3 * length.Inch / 4

// flatSize is the finished size of something that has a width and a height, and the
// shape of its corners. Something round is as high as it is wide.
func (m *measurer) flatSize(across, up string) (sum.Size, Piece) {
	o, e := m.plan.Object, m.plan.Cover.Ease
	size := sum.Size{Width: m.flanged(m.axis("width", across, o.Width, o.SticksOut.Width, e.Width))}
	if o.Round() {
		size.Height = size.Width
		r := size.Width.Total() / 2
		return size, Piece{Radii: outline.Radii{TopLeft: r, TopRight: r, BottomRight: r, BottomLeft: r}}
	}
	size.Height = m.flanged(m.axis("height", up, o.Height, o.SticksOut.Height, e.Height))
	short := min(size.Width.Total(), size.Height.Total())
	if m.plan.Cover.Corners.Kind == plan.TaperedCorners {
		return size, Piece{Taper: m.taper(short)}
	}
	return size, Piece{Radii: m.corners(short)}
}

// flanged is a finished direction with the flange that stands out at both its ends.
func (m *measurer) flanged(s sum.Sum) sum.Sum {
	return s.Between(sum.Border, "flange", m.plan.Cover.Flange)
}

// flange finds one that is too wide for its cushion: the pad fills the inside.
func (m *measurer) flange(outside sum.Size) {
	f, text := m.plan.Cover.Flange, m.plan.Style().Text
	inside := min(outside.Width.Total(), outside.Height.Total()) - 2*f
	if most := inside / 3; f > 0 && f > most {
		m.found.Add(finding.Stop, "flange", "/cover/flange",
			fmt.Sprintf("A flange of %s does not suit a cushion of %s inside.", text(f), text(inside)),
			fmt.Sprintf("Type up to %s, a third of it.", text(most.Floor(m.plan.Habits.Step))))
	}
}

// taper is how far corners are drawn in, found when it leaves no side.
func (m *measurer) taper(short length.Length) length.Length {
	t, text := m.plan.Cover.Corners.Taper, m.plan.Style().Text
	if most := short / 8; t <= 0 || t > most {
		m.found.Add(finding.Stop, "taper", "/cover/corners/taper",
			fmt.Sprintf("Corners drawn in by %s do not suit a side that finishes %s.", text(t), text(short)),
			fmt.Sprintf("Type up to %s, an eighth of the side.", text(most.Floor(m.plan.Habits.Step))))
		return 0
	}
	return t
}

// WayRound is the way round a piece: its sides, less what its corners save.
func WayRound(p Piece) sum.Sum {
	w, h := p.Finished.Width.Total(), p.Finished.Height.Total()
	s := sum.Of(sum.Part, "across", w).Plus(sum.Part, "up", h).Plus(sum.Part, "across", w).Plus(sum.Part, "up", h)
	if !p.Shaped() {
		return s
	}
	return s.Plus(sum.Corner, "shorter round four corners", length.FromFloat(p.Line().Length())-s.Total())
}

// twins are two faces alike with a seam all round, named as they are called.
func twins(shape Piece, size sum.Size, seam length.Length, first, second string) (Piece, Piece) {
	face := func(title string) Piece {
		p := shape
		p.Name, p.Title, p.Count = strings.ToLower(title), title, 1
		p.Config, p.Finished, p.Edges = p.Name, size, round(seam)
		return p
	}
	return face(first), face(second)
}

// cushion has a front and a back of one size.
func cushion(p plan.Plan) (Cover, finding.List) {
	m := measure(p)
	if !m.fits("an insert", plan.Form, plan.Found) {
		return Cover{}, m.found
	}
	across, up := "insert across", "insert up"
	if p.Object.Kind == plan.Found {
		across, up = "panel across", "panel up"
	}
	size, shape := m.flatSize(across, up)
	m.flange(size)
	if m.found.Stopped() {
		return Cover{}, m.found
	}
	front, back := twins(shape, size, p.Cover.Seam, "Front", "Back")
	along := WayRound(front)
	return Cover{ByBack: true,
		Pieces: []Piece{front, back},
		Joins: []Join{{Title: "round the cover", Between: [2]string{"front", "back"}, Count: 1,
			Lengths: [2]sum.Sum{along, along}, Runs: [2][]Run{{all}, {all}}, Piped: along.Total(), Closed: true}},
		Net: Net{{upright("front"), upright("back")}},
	}, m.found
}

// boxedCushion is two faces and a band round a pad that is thick.
func boxedCushion(p plan.Plan) (Cover, finding.List) {
	m := measure(p)
	if !m.fits("an insert", plan.Form) {
		return Cover{}, m.found
	}
	o := p.Object
	if o.Thickness <= 0 {
		m.found.Add(finding.Stop, "out-of-range", "/object/thickness",
			"A boxed cushion goes round a thick insert, and no thickness is given.", "Type how thick the insert is.")
		return Cover{}, m.found
	}
	if least := min(o.Width, o.Height); o.Thickness > least {
		m.found.Add(finding.Note, "thicker-than-wide", "/object/thickness",
			fmt.Sprintf("The insert is thicker (%s) than it is wide (%s).", p.Style().Text(o.Thickness), p.Style().
				Text(least)),
			"Across and up lie flat; are two of the sizes mixed up?")
	}
	if p.Cover.Corners.Kind == plan.TaperedCorners {
		m.found.Add(finding.Stop, "corners", "/cover/corners/kind",
			"The corners of a boxed cushion are held out by its band and cannot be tapered.",
			"Choose square or round corners.")
		return Cover{}, m.found
	}
	size, face := m.flatSize("insert across", "insert up")
	thick := m.axis("depth", "insert thickness", o.Thickness, o.SticksOut.Depth, p.Cover.Ease.Depth)
	if m.found.Stopped() {
		return Cover{}, m.found
	}
	face.Name, face.Config, face.Title, face.Count = "face", "face", "Panel", 2
	face.Finished, face.Edges = size, round(p.Cover.Seam)
	b := box{m, face, thick, size.Width.Then(size.Height).Then(size.Width).Then(size.Height)}
	if face.Shaped() {
		b.along = b.along.Plus(sum.Corner, "shorter round four corners", -4*outline.CornerShort(face.Radii.TopLeft))
	}
	if p.Back.Kind == plan.Zip {
		return b.zipped(), m.found
	}
	return b.closed(), m.found
}

// box is a boxed cushion on its way: its face, how thick it is and the way round.
type box struct {
	*measurer
	face  Piece
	thick sum.Sum
	along sum.Sum
}

func (b box) band(name, title string, width, height sum.Sum) Piece {
	return Piece{Name: name, Config: "band", Title: title, Count: 1, Finished: sum.Size{Width: width, Height: height},
		Edges: round(b.plan.Cover.Seam), Strip: true}
}

// faceLine is the way round the face, read off its outline.
func (b box) faceLine() length.Length { return length.FromFloat(b.face.Line().Length()) }

// bothEdges are the seams of a band with the two faces.
var bothEdges = []Run{{Top}, {Bottom}}

// closed is a band in one ring; the cover is closed by hand.
func (b box) closed() Cover {
	joins := []Join{
		{Title: "band to a ring", Between: [2]string{"band", "band"}, Lengths: [2]sum.Sum{b.thick, b.thick}, Count: 1,
			Runs: ends},
		{Title: "band to panel", Between: [2]string{"band", "face"}, Count: 2, Runs: [2][]Run{bothEdges, {all}},
			Gap: b.gap(b.faceLine() / 2), Piped: b.faceLine(), Closed: true,
			Lengths: [2]sum.Sum{b.along, sum.Of(sum.Part, "round the panel", b.faceLine())}},
	}
	return Cover{Pieces: []Piece{b.face, b.band("band", "Band", b.along, b.thick)}, Joins: joins,
		Net: Net{{append(append(turned("face", 2), upright("band")...), second(upright("face"))...)}}}
}

// zipped is a band whose back is two halves with a zip between them. The halves
// meet over the zip; what the zip itself is wide is left out.
func (b box) zipped() Cover {
	open, turn := b.plan.Back.Gap, b.plan.Back.Seam
	rest := b.along.Plus(sum.Part, "less the zip and its ends", -open-2*zipSpare)
	most := (b.along.Total() - 2*zipSpare) / 2
	text := b.plan.Style().Text
	if open <= 0 || open > most {
		b.found.Add(finding.Stop, "zip-gap", "/back/gap",
			fmt.Sprintf("A zip gap of %s does not suit a band of %s.", text(open), text(b.along.Total())),
			fmt.Sprintf("Type up to half the way round, %s.", text(most.Floor(b.plan.Habits.Step))))
		return Cover{}
	}
	if open < max(b.face.Finished.Width.Total(), b.face.Finished.Height.Total())*2/3 {
		b.found.Add(finding.Warn, "zip-gap-short", "/back/gap",
			fmt.Sprintf("Through a gap of %s the insert hardly goes in.", text(open)),
			"Two thirds of the longest side, or all of it, is easier.")
	}
	half := sum.Of(sum.Part, "half the thickness", b.thick.Total()/2)
	zip := b.band("band.zip", "Band, half beside the zip", sum.Of(sum.Part, "opening of the zip", open).
		Between(sum.Part, "beyond its end", zipSpare), half)
	zip.Count = 2
	zip.Edges.Top = Allowance{Kind: sum.Hem, Name: "turned under at the zip", Width: turn}
	behind := zip.Finished.Width.Total()
	begin := (b.faceLine() + behind) / 2 // the zip lies in the middle of the back
	joins := []Join{
		{Title: "zip between the halves", Between: [2]string{"band.zip", "band.zip"},
			Lengths: [2]sum.Sum{zip.Finished.Width, zip.Finished.Width}, Count: 1, Runs: [2][]Run{{{Top}}, {{Top}}},
			Folded: true,
			Laid:   fmt.Sprintf("Press %s under along one long edge of each half and lay the folds together over the closed zip; stitch down both sides with the zipper foot.", text(turn))},
		{Title: "band and zip to a ring", Between: [2]string{"band", "band.zip"}, Lengths: [2]sum.Sum{b.thick, b.thick},
			Count: 2, Runs: [2][]Run{{{Left}, {Right}}, {{Left}, {Right}}},
			Laid: "Lay the zip piece on each end of the band, right sides together. Open the zip halfway now, or the cover cannot be turned."},
		{Title: "band to panel", Between: [2]string{"band", "face"}, Count: 2, Runs: [2][]Run{bothEdges, {all}},
			Starts: []length.Length{begin, begin}, Piped: b.faceLine(), Closed: true,
			Lengths: [2]sum.Sum{rest, sum.Of(sum.Part, "round the panel", b.faceLine()).
				Plus(sum.Part, "less the zip and its ends", -behind)}},
		{Title: "zip halves to panel, in one go with the band", Between: [2]string{"band.zip", "face"}, Count: 2,
			Sides: [2]string{"zip halves", ""}, Tail: ", in one go with the band",
			Runs:    [2][]Run{{{Bottom}}, {{Top}}},
			Lengths: [2]sum.Sum{zip.Finished.Width, sum.Of(sum.Part, "at the back of the panel", behind)}},
	}
	band := b.band("band", "Band", rest, b.thick)
	return Cover{Pieces: []Piece{b.face, band, zip}, Joins: joins, Zip: sum.Of(sum.Part, "opening", open).
		Between(sum.Part, "beyond its end", zipSpare),
		Net: Net{{append(append(turned("face", 2), upright("band")...), second(upright("face"))...),
			append(upright("band.zip"), turned("band.zip", 2)...)}}}
}

// gap is the opening to turn a cover through, which has to fit where it lies.
func (m *measurer) gap(room length.Length) length.Length {
	g, text := m.plan.Back.Gap, m.plan.Style().Text
	if g <= 0 || g > room {
		m.found.Add(finding.Stop, "gap", "/back/gap",
			fmt.Sprintf("A gap of %s has no place in a stretch of %s.", text(g), text(room)),
			fmt.Sprintf("Type up to %s.", text(max(0, room).Floor(m.plan.Habits.Step))))
		return g
	}
	if usual := plan.TurningGap(m.plan.Units); g < usual {
		most := fmt.Sprintf("There is room for %s here.", text(room.Floor(m.plan.Habits.Step)))
		m.found.Add(finding.Note, "gap-short", "/back/gap",
			fmt.Sprintf("A gap of %s is shorter than the usual %s: thick layers are turned through it slowly, or its ends rip.",
				text(g), text(usual)), most)
	}
	return g
}

// pad is two faces sewn round, turned through a gap.
func pad(p plan.Plan) (Cover, finding.List) {
	m := measure(p)
	if !m.fits("something flat", plan.Flat) {
		return Cover{}, m.found
	}
	size, shape := m.flatSize("across", "up")
	if m.found.Stopped() {
		return Cover{}, m.found
	}
	top, under := twins(shape, size, p.Cover.Seam, "Top", "Under")
	under.Title = "Underside"
	along := sum.Of(sum.Part, "round the seat pad", length.FromFloat(top.Line().Length()))
	return Cover{Doubled: true, Pieces: []Piece{top, under},
		Joins: []Join{{Title: "round the seat pad", Between: [2]string{"top", "under"},
			Lengths: [2]sum.Sum{along, along},
			Count:   1,
			Runs:    [2][]Run{{all}, {all}}, Gap: m.gap(along.Total() / 2), Piped: along.Total(), Closed: true}},
		Net: Net{{upright("top"), upright("under")}}}, m.found
}
