package cover

import (
	"fmt"
	"math"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// bandEase is what a seam eases in along a curve. Common practice.
const bandEase = 0.01

// hood is what the three kinds of hood start from.
type hood struct {
	*measurer
	long, deep, high sum.Sum
	seam, radius     length.Length // radius on the seam line
	bottom           Allowance
}

// openHood measures the box and shapes its corners. A hood is open at the bottom.
func openHood(p plan.Plan) *hood {
	h := &hood{measurer: measure(p), seam: p.Cover.Seam, bottom: bottomOf(p.Cover)}
	if !h.fits("a box", plan.Box) {
		return h
	}
	if b := p.Cover.Bottom; b.Finish == "hem" && b.Width <= 0 {
		h.found.Add(finding.Stop, "out-of-range", "/cover/bottom/width", "A hem at the bottom needs a width.",
			"Type how much is turned up, such as 1 in.")
	}
	o, e := p.Object, p.Cover.Ease
	h.long = h.axis("length", "length", o.Length, o.SticksOut.Length, e.Length)
	h.deep = h.axis("depth", "depth", o.Depth, o.SticksOut.Depth, e.Depth)
	h.high = h.axis("height", "height", o.Height, o.SticksOut.Height, e.Height)
	if o.Depth > o.Length {
		h.found.Add(finding.Note, "deeper-than-long", "/object/depth",
			fmt.Sprintf("The box is deeper (%s) than it is long (%s).", p.Style().Text(o.Depth), p.Style().
				Text(o.Length)), "Length goes from left to right; are the two mixed up?")
	}
	return h
}

func bottomOf(c plan.Cover) Allowance {
	if c.Bottom.Finish == "hem" {
		return Allowance{Kind: sum.Hem, Name: "hem at the bottom", Width: c.Bottom.Width}
	}
	return Allowance{} // bound or raw: no allowance
}

// over is the way up one side, over and down the other, round two corners.
func (h *hood) over(across sum.Sum) sum.Sum {
	corner := sum.Of(sum.Corner, "shorter round the corner", -outline.CornerShort(h.radius))
	if h.radius == 0 {
		corner = nil
	}
	return h.high.Then(corner).Then(across).Then(corner).Then(h.high)
}

// along is the same way, read off the outline of the panel it is sewn to.
func (h *hood) along(across sum.Sum) sum.Sum {
	arc := length.FromFloat(math.Pi / 2 * h.radius.Float())
	side := h.high.Total() - h.radius
	return sum.Of(sum.Part, "up the side", side).Plus(sum.Corner, "round the corner", arc).
		Plus(sum.Part, "over the top", across.Total()-2*h.radius).
		Plus(sum.Corner, "round the corner", arc).Plus(sum.Part, "down the side", side)
}

// panel is an end or a face: its top corners may be rounded, its bottom is open.
func (h *hood) panel(name, title string, across sum.Sum) Piece {
	return Piece{Name: name, Config: name, Title: title, Count: 2, Finished: sum.Size{Width: across, Height: h.high},
		Edges: Edges{Left: seamed(h.seam), Right: seamed(h.seam), Top: seamed(h.seam), Bottom: h.bottom},
		Radii: outline.Radii{TopLeft: h.radius, TopRight: h.radius}}
}

// upAndOver is the seam of a long strip with a panel: along either side of the
// strip, and up, over and down the panel.
var upAndOver = [2][]Run{{{Left}, {Right}}, {{Left, Top, Right}}}

// ends closes a strip to a ring.
var ends = [2][]Run{{{Left}}, {{Right}}}

// wrapHood is one main panel up the front, over the top and down the back, with
// two end panels.
func wrapHood(p plan.Plan) (Cover, finding.List) {
	h := openHood(p)
	if h.found.Stopped() {
		return Cover{}, h.found
	}
	h.radius = h.cornerRadius(h.deep.Total(), h.high.Total())
	if h.found.Stopped() {
		return Cover{}, h.found
	}
	over := h.over(h.deep)
	net := Net{{turned("end", 1), upright("main"), second(turned("end", 3))}}
	main := Piece{Name: "main", Config: "main", Title: "Main panel", Count: 1,
		Finished: sum.Size{Width: h.long, Height: over},
		Edges:    Edges{Left: seamed(h.seam), Right: seamed(h.seam), Top: h.bottom, Bottom: h.bottom}}
	main.Over, main.UprightAt, main.Upright = !p.Cover.SplitTop, "/cover/split_top", "Split the top by a seam"
	var joins []Join
	var starts []length.Length
	if p.Cover.SplitTop {
		half := h.high.Plus(sum.Corner, "shorter round the corner", -outline.CornerShort(h.radius)).
			Plus(sum.Part, "half the depth", h.deep.Total()/2)
		main.Title, main.Count = "Main panel, half", 2
		main.Finished.Height = half
		main.Edges.Top = seamed(h.seam)
		net[0][1] = append(second(turned("main", 2)), upright("main")...)
		// one edge goes up to the top, the other comes down from it
		starts = []length.Length{0, over.Total() - half.Total()}
		// alike halves: one drawing shows both sides
		joins = append(joins, Join{Title: "over the top", Between: [2]string{"main", "main"},
			Lengths: [2]sum.Sum{h.long, h.long}, Count: 1, Runs: [2][]Run{{{Top}}, {{Top}}},
			Each: []Meeting{{Copy: [2]int{0, 1}}}})
	}
	end := h.panel("end", "End panel", h.deep)
	joins = append(joins, Join{Title: "main panel to end", Between: [2]string{"main", "end"},
		Sides: [2]string{"main panel", ""}, Whole: p.Cover.SplitTop,
		Lengths: [2]sum.Sum{over, h.along(h.deep)}, Count: 2, Runs: upAndOver, Starts: starts, Piped: over.Total()})
	return Cover{Pieces: []Piece{main, end}, Joins: joins, Net: net}, h.found
}

// bandHood is two faces joined by one band.
func bandHood(p plan.Plan) (Cover, finding.List) {
	h := openHood(p)
	if h.found.Stopped() {
		return Cover{}, h.found
	}
	h.radius = h.cornerRadius(h.long.Total(), h.high.Total())
	if h.found.Stopped() {
		return Cover{}, h.found
	}
	over := h.over(h.long)
	band := Piece{Name: "band", Config: "band", Title: "Band", Count: 1,
		Finished: sum.Size{Width: h.deep, Height: over},
		Edges:    Edges{Left: seamed(h.seam), Right: seamed(h.seam), Top: h.bottom, Bottom: h.bottom},
		Had:      p.Cover.BandLength != nil, Over: true}
	h.checkBand(over.Total() + 2*h.bottom.Width)
	sewn := over
	if band.Had {
		sewn = sum.Of(sum.Part, "band as cut", *p.Cover.BandLength).
			Plus(sum.Hem, "less the bottom at both ends", -2*h.bottom.Width)
	}
	return Cover{Pieces: []Piece{h.panel("face", "Panel", h.long), band},
		Joins: []Join{{Title: "band to panel", Between: [2]string{"band", "face"},
			Lengths: [2]sum.Sum{sewn, h.along(h.long)}, Count: 2, Runs: upAndOver, Judged: band.Had,
			// as the band stands, the face behind is at its left
			Piped: over.Total(), Each: []Meeting{{Copy: [2]int{0, 0}, Run: [2]int{1, 0}}, {Copy: [2]int{0, 1}}}}},
		Net: Net{{append(append(second(turned("face", 2)), turned("band", 1)...), upright("face")...)}}}, h.found
}

// checkBand holds a band that is already cut against the way round.
func (h *hood) checkBand(needed length.Length) {
	if h.plan.Cover.BandLength == nil {
		return
	}
	text := h.plan.Style().Text
	given := *h.plan.Cover.BandLength
	off := given - needed
	switch {
	case given <= 0:
		h.found.Add(finding.Stop, "out-of-range", "/cover/band_length",
			fmt.Sprintf("A band cannot be %s long.", text(given)), "Type what the band measures as cut.")
	case off < 0 && -off.Float() > bandEase*needed.Float():
		h.found.Add(finding.Warn, "band-short", "/cover/band_length",
			fmt.Sprintf("The band is %s long and the way round is %s: %s short.", text(given), text(needed),
				text(-off)),
			fmt.Sprintf("Piece in a strip of %s where it does not show, or cut a new band.",
				text((-off+2*h.seam).Ceil(h.plan.Habits.Step))))
	case off > 0:
		h.found.Add(finding.Note, "band-long", "/cover/band_length",
			fmt.Sprintf("The band is %s long and the way round is %s: %s long.", text(given), text(needed), text(off)),
			fmt.Sprintf("Centre it at the top and trim %s at each end, after it is sewn.", text(off/2)))
	case off < 0:
		h.found.Add(finding.Note, "band-eases", "/cover/band_length",
			fmt.Sprintf("The band is %s shorter than the way round, %s: it eases in.", text(-off), text(needed)),
			"Pin the middle and the quarters first.")
	}
}

// skirtHood is a top with four walls, or with one wall in a ring where its
// corners are round.
func skirtHood(p plan.Plan) (Cover, finding.List) {
	h := openHood(p)
	if h.found.Stopped() {
		return Cover{}, h.found
	}
	radii := h.corners(min(h.long.Total(), h.deep.Total()))
	h.radius = radii.TopLeft
	if h.found.Stopped() {
		return Cover{}, h.found
	}
	top := Piece{Name: "top", Config: "top", Title: "Top", Count: 1, Finished: sum.Size{Width: h.long, Height: h.deep},
		Edges: round(h.seam), Radii: radii}
	edges := Edges{Left: seamed(h.seam), Right: seamed(h.seam), Top: seamed(h.seam), Bottom: h.bottom}
	if h.radius > 0 {
		short := sum.Of(sum.Corner, "shorter round four corners", -4*outline.CornerShort(h.radius))
		ring := h.long.Then(h.deep).Then(h.long).Then(h.deep).Then(short)
		line := top.Line()
		wall := Piece{Name: "wall", Config: "wall", Title: "Wall, in a ring", Count: 1,
			Finished: sum.Size{Width: ring, Height: h.high}, Edges: edges, Strip: true}
		return Cover{Pieces: []Piece{top, wall}, Joins: []Join{
			{Title: "wall to a ring", Between: [2]string{"wall", "wall"}, Lengths: [2]sum.Sum{h.high, h.high}, Count: 1,
				Runs: ends},
			{Title: "top to wall", Between: [2]string{"top", "wall"}, Count: 1,
				Lengths: [2]sum.Sum{sum.Of(sum.Part, "round the top", length.FromFloat(line.Length())), ring},
				Runs:    [2][]Run{{all}, {{Top}}}, Piped: ring.Total(), Closed: true},
		}, Net: Net{{upright("top", "wall")}}}, h.found
	}
	front := Piece{Name: "wall", Config: "wall", Title: "Wall, front and back", Count: 2,
		Finished: sum.Size{Width: h.long, Height: h.high}, Edges: edges}
	side := Piece{Name: "wall.side", Config: sidesConfig(p), Title: "Wall, sides", Count: 2,
		Finished: sum.Size{Width: h.deep, Height: h.high}, Edges: edges}
	return Cover{Pieces: []Piece{top, front, side}, Joins: []Join{
		{Title: "walls to a ring", Between: [2]string{"wall", "wall.side"},
			Sides: [2]string{"front and back walls", "side walls"}, Lengths: [2]sum.Sum{h.high, h.high},
			Count: 4, Runs: [2][]Run{{{Left}, {Right}}, {{Left}, {Right}}}, Each: []Meeting{
				{Copy: [2]int{0, 0}, Run: [2]int{0, 1}}, {Copy: [2]int{0, 1}, Run: [2]int{1, 0}},
				{Copy: [2]int{1, 1}, Run: [2]int{0, 1}}, {Copy: [2]int{1, 0}, Run: [2]int{1, 0}}}},
		{Title: "top to front and back", Between: [2]string{"top", "wall"}, Lengths: [2]sum.Sum{h.long, h.long},
			Count: 2, Piped: h.long.Total(),
			Runs: [2][]Run{{{Bottom}, {Top}}, {{Top}}}},
		{Title: "top to sides", Between: [2]string{"top", "wall.side"}, Lengths: [2]sum.Sum{h.deep, h.deep}, Count: 2,
			Piped: h.deep.Total(),
			Runs:  [2][]Run{{{Left}, {Right}}, {{Top}}}},
	}, Net: Net{{turned("wall.side", 1), append(second(turned("wall", 2)), upright("top", "wall")...),
		second(turned("wall.side", 3))}}}, h.found
}
