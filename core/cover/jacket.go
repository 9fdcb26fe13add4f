package cover

import (
	"fmt"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Limits of a jacket. Common practice.
const (
	leastJacketEase = length.Inch / 2  // under it cloth of two layers does not close
	largestWrap     = 30 * length.Inch // larger is a slip, or was measured open
	tallestBook     = 20 * length.Inch // taller is a slip
	boardsOff       = length.Inch / 2  // the tape and the boards may disagree by this
	boardShare      = 0.8              // flaps deeper than this share of a board keep the book from opening
)

// jacket is an outside and an inside of one size with flaps for the boards.
func jacket(p plan.Plan) (Cover, finding.List) {
	m := measure(p)
	if !m.fits("a book", plan.Book) {
		return Cover{}, m.found
	}
	wrap := m.wrap()
	high := m.axis("height", "book up", p.Object.Height, p.Object.SticksOut.Height, p.Cover.Ease.Height)
	front, back := m.flaps(wrap.Total())
	if m.found.Stopped() {
		return Cover{}, m.found
	}
	m.tall(high.Total())
	seams := round(p.Cover.Seam)
	size := sum.Size{Width: wrap, Height: high}
	outside := Piece{Name: "outside", Config: "outside", Title: "Outer piece", Count: 1, Finished: size, Edges: seams}
	inside := Piece{Name: "inside", Config: "inside", Title: "Inner piece", Count: 1, Finished: size, Edges: seams}
	if p.Cover.Flaps.Style == plan.TurnedIn {
		return turnedIn(outside, inside, wrap, front, back), m.found
	}
	pieces, first, last := []Piece{outside, inside}, "flap", "flap"
	for _, s := range Slots(p) {
		switch {
		case s.Config == outside.Config || s.Config == inside.Config:
		case s.Count == 2:
			pieces = append(pieces, m.flap(s, front, high))
		case len(pieces) == 2:
			first = s.Name
			pieces = append(pieces, m.flap(s, front, high))
		default:
			last = s.Name
			pieces = append(pieces, m.flap(s, back, high))
		}
	}
	along := WayRound(outside)
	style := p.Cover.Flaps.Style
	joins := []Join{{Title: "flaps to the outer piece", Between: [2]string{"flap", "outside"},
		Lengths: [2]sum.Sum{high, high}, Count: 2, Folded: true,
		Runs: [2][]Run{flapRuns[style], {{Left}, {Right}}},
		Laid: flapLaid[style] + " Lay one on either end of the outer piece’s right side, raw edges even, and baste."}}
	if first != last {
		joins = []Join{
			{Title: "front flap to the outer piece", Between: [2]string{first, "outside"},
				Lengths: [2]sum.Sum{high, high},
				Count:   1, Folded: true,
				Runs: [2][]Run{flapRuns[style], {{Right}}},
				Laid: flapLaid[style] +
					" Lay the front one on the right end of the outer piece’s right side, raw edges even, and baste: round a book that is read from left to right, that end comes to its front."},
			{Title: "back flap to the outer piece", Between: [2]string{last, "outside"},
				Lengths: [2]sum.Sum{high, high},
				Count:   1, Folded: true,
				Runs: [2][]Run{flapRuns[style], {{Left}}},
				Laid: "Lay the back one on the left end in the same way, and baste."},
		}
	}
	joins = append(joins, Join{Title: "outer to inner piece", Between: [2]string{"outside", "inside"},
		Lengths: [2]sum.Sum{along, along}, Count: 1, Runs: [2][]Run{{all}, {all}},
		// at the flaps it is caught
		Laid: "Lay the inner piece right side down on the outer piece, the flaps between them.",
		Gap:  m.gap(wrap.Total() - front - back), Piped: along.Total(), Closed: true})
	left := upright(last)      // the back cover is on the left as the outside is seen
	if style == plan.Flipped { // the edge it is joined by lies beside the outside
		left = turned(last, 2)
	}
	return Cover{Pieces: pieces, Joins: joins,
		Net: Net{{left, upright("outside"), upright(first)}, {upright("inside")}}}, m.found
}

// flapLaid says how flaps are made ready, and flapRuns where they are joined: a
// folded one by both its raw edges, a flipped one by the edge across from its hem.
var (
	flapLaid = map[plan.FlapStyle]string{
		plan.Folded:  "Fold each flap in half along its height, wrong sides together, press, and top-stitch the fold.",
		plan.Flipped: "Hem the edge of each flap that comes to lie nearest the spine, as long as the jacket is high, and turn the flap right side down, the hem to the middle.",
	}
	flapRuns = map[plan.FlapStyle][]Run{plan.Folded: {{Left}, {Right}}, plan.Flipped: {{Left}}}
)

// flap is one flap: folded double along its height, or a single layer with a hem
// that is flipped round to the inside.
func (m *measurer) flap(s Slot, depth length.Length, high sum.Sum) Piece {
	deep := sum.Of(sum.Part, "depth of the flap", depth)
	f := Piece{Name: s.Name, Config: s.Config, Title: s.Title, Count: s.Count, Edges: round(m.plan.Cover.Seam),
		Finished: sum.Size{Width: deep, Height: high}}
	if m.plan.Cover.Flaps.Style == plan.Flipped {
		f.Edges.Right = Allowance{Kind: sum.Hem, Name: "hem of the flap", Width: m.plan.Cover.Flaps.Hem}
		return f
	}
	f.Finished.Width = deep.Plus(sum.Part, "and folded back", depth)
	return f
}

// turnedIn is a jacket whose flaps are the ends of the outside: it is joined to
// the inside along the top and the bottom only, and its ends are hemmed.
func turnedIn(outside, inside Piece, wrap sum.Sum, front, back length.Length) Cover {
	outside.Finished.Width = sum.Of(sum.Part, "flap at the back, turned in", back).Then(wrap).
		Plus(sum.Part, "flap in front, turned in", front)
	hem := outside.Edges.Left
	hem.Kind, hem.Name = sum.Hem, "turned under at the end of a flap"
	outside.Edges.Left, outside.Edges.Right = hem, hem
	level := []Run{{Top}, {Bottom}}
	return Cover{Pieces: []Piece{outside, inside}, Net: Net{{upright("outside", "inside")}},
		Joins: []Join{{Title: "outer to inner piece, top and bottom", Between: [2]string{"outside", "inside"},
			Lengths: [2]sum.Sum{wrap, wrap}, Count: 2, Runs: [2][]Run{level, level},
			Laid: "Hem both ends of the outer and of the inner piece. Fold the flaps back on the outer piece’s right side, lay the inner piece right side down over them, and sew the top and the bottom edge through all layers."}}}
}

// wrap is the way from fore-edge to fore-edge: by the tape, or from boards and
// spine; with the turn round both fore-edges, a quarter of a circle round board and
// layers.
func (m *measurer) wrap() sum.Sum {
	o, c := m.plan.Object, m.plan.Cover
	text := m.plan.Style().Text
	s := sum.Of(sum.Object, "round the book, closed", o.Wrap)
	if o.Wrap == 0 {
		s = sum.Of(sum.Object, "front board", o.Board).Plus(sum.Object, "spine", o.Spine).
			Plus(sum.Object, "back board", o.Board)
	}
	measured := s.Total()
	if measured > largestWrap {
		m.found.Add(finding.Warn, "wrap-large", "/object/wrap", fmt.Sprintf("Round the book it is %s.", text(measured)),
			"Is it the closed book, from fore-edge round the spine to fore-edge, and the right side of the tape?")
	}
	if boards := 2*o.Board + o.Spine; o.Wrap > 0 && o.Board > 0 && (measured-boards).Abs() > boardsOff {
		m.found.Add(finding.Warn, "wrap-boards", "/object/wrap",
			fmt.Sprintf("Round the book it is %s, and two boards of %s with a spine of %s make %s.", text(measured),
				text(o.Board), text(o.Spine), text(boards)),
			"Was the book open, or the inch side mixed with the centimetre side? Measure it closed once more.")
	}
	if c.Ease.Wrap < leastJacketEase {
		m.found.Add(finding.Warn, "jacket-tight", "/cover/ease/wrap",
			fmt.Sprintf("An ease of %s round the book is tight: the fabric has a thickness of its own.",
				text(c.Ease.Wrap)),
			fmt.Sprintf("About %s is usual, more over padding.", text(3*length.Inch/4)))
	}
	s = s.Plus(sum.Object, "what sticks out", o.SticksOut.Wrap).Plus(sum.Ease, easeName(c.Ease.Wrap), c.Ease.Wrap)
	turn := plan.Turn(m.plan)
	s = s.Plus(sum.Ease, "turn round a fore-edge", turn).Plus(sum.Ease, "turn round a fore-edge", turn)
	return m.decided("wrap", washed(s, c.Wash), 0)
}

// tall asks about a book that is taller than books are.
func (m *measurer) tall(high length.Length) {
	if high > tallestBook {
		m.found.Add(finding.Warn, "height-large", "/object/height",
			fmt.Sprintf("The jacket is %s high.", m.plan.Style().Text(high)),
			"Is that the height of the book, on the right side of the tape?")
	}
}

// flaps are the two depths, and whether the book still opens.
func (m *measurer) flaps(wrap length.Length) (front, back length.Length) {
	d, text := m.plan.Cover.Flaps.Depth, m.plan.Style().Text
	front, back = d.Front, d.Back
	about := "/cover/flaps/depth"
	board := m.plan.Object.Board
	if board == 0 {
		board = (wrap - m.plan.Object.Spine) / 2
	}
	most := length.FromFloat(boardShare * board.Float()).Floor(m.plan.Habits.Step)
	cut := d.FrontCut // of the shallower one
	if back < front {
		cut = d.BackCut
	}
	switch deep := max(front, back); {
	case min(front, back) <= 0 && cut > 0:
		m.found.Add(finding.Stop, "out-of-range", about,
			fmt.Sprintf("A flap that is cut %s is all seams: it would finish %s deep.", text(cut),
				text(min(front, back))), fmt.Sprintf("Type what it finishes, up to %s.", text(most)))
	case min(front, back) <= 0:
		m.found.Add(finding.Stop, "out-of-range", about, "A jacket needs flaps to hold the boards.",
			fmt.Sprintf("Type a depth of up to %s.", text(most)))
	case front+back >= wrap:
		m.found.Add(finding.Stop, "flaps-meet", about,
			fmt.Sprintf("Flaps of %s and %s meet in a jacket of %s.", text(front), text(back), text(wrap)),
			fmt.Sprintf("Type a depth of up to %s.", text(most)))
	case deep >= board:
		m.found.Add(finding.Stop, "flaps-deep", about,
			fmt.Sprintf("A flap of %s is deeper than a board, %s.", text(deep), text(board)),
			fmt.Sprintf("Type a depth of up to %s.", text(most)))
	case deep > most:
		m.found.Add(finding.Warn, "flaps-open", about,
			fmt.Sprintf("With flaps of %s in boards of %s the book hardly opens.", text(deep), text(board)),
			fmt.Sprintf("Up to %s leave it room.", text(most)))
	}
	return front, back
}
