package cover

import (
	"fmt"
	"math"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Limits of a jacket. Common practice.
const (
	leastJacketEase = length.Inch / 2  // under it cloth of two layers does not close
	largestWrap     = 30 * length.Inch // larger is a slip, or was measured open
	boardShare      = 0.8              // flaps deeper than this share of a board keep the book from opening
)

// jacket is an outside and an inside of one size with flaps for the boards.
func jacket(p plan.Plan) (Cover, finding.List) {
	m := measure(p)
	if !m.fits(plan.Book, "a book") {
		return Cover{}, m.found
	}
	wrap := m.wrap()
	high := m.axis("height", "book up", p.Object.Height, p.Object.SticksOut.Height, p.Cover.Ease.Height)
	front, back := m.flaps(wrap.Total())
	if m.found.Stopped() {
		return Cover{}, m.found
	}
	seams := round(p.Cover.Seam)
	size := sum.Size{Width: wrap, Height: high}
	outside := Piece{Name: "outside", Config: "outside", Title: "Outside", Count: 1, Finished: size, Edges: seams}
	inside := Piece{Name: "inside", Config: "inside", Title: "Inside", Count: 1, Finished: size, Edges: seams}
	if p.Cover.Flaps.Style == "turned-in" {
		return turnedIn(outside, inside, wrap, front, back), m.found
	}
	flap := func(name, title string, depth length.Length, count int) Piece {
		return Piece{Name: name, Config: "flap", Title: title, Count: count, Edges: seams,
			Finished: sum.Size{Width: sum.Of(sum.Part, "depth of the flap", depth).Plus(sum.Part, "and folded back", depth), Height: high}}
	}
	pieces := []Piece{outside, inside}
	if front == back {
		pieces = append(pieces, flap("flap", "Flap", front, 2))
	} else {
		pieces = append(pieces, flap("flap", "Front flap", front, 1), flap("flap.back", "Back flap", back, 1))
	}
	joins := []Join{
		{Title: "flaps to the outside", Between: [2]string{"flap", "outside"}, Lengths: [2]sum.Sum{high, high}, Count: 2, Runs: [2][]Run{{{Left}, {Right}}, {{Left}, {Right}}},
			Laid: "Fold each flap in half along its height, wrong sides together, press, and top-stitch the fold. Lay one on either end of the outside's right side, raw edges even, and baste."},
		{Title: "outside to inside", Between: [2]string{"outside", "inside"}, Lengths: [2]sum.Sum{way(size), way(size)}, Count: 1, Runs: [2][]Run{{all}, {all}},
			Laid: "Lay the inside right side down on the outside, the flaps between them."},
	}
	return Cover{Pieces: pieces, Joins: joins}, m.found
}

// turnedIn is a jacket whose flaps are the ends of the outside: it is joined to
// the inside along the top and the bottom only, and its ends are hemmed.
func turnedIn(outside, inside Piece, wrap sum.Sum, front, back length.Length) Cover {
	outside.Finished.Width = sum.Of(sum.Part, "flap in front, turned in", front).Then(wrap).Plus(sum.Part, "flap at the back, turned in", back)
	hem := outside.Edges.Left
	hem.Kind, hem.Name = sum.Hem, "turned under at the end of a flap"
	outside.Edges.Left, outside.Edges.Right = hem, hem
	level := []Run{{Top}, {Bottom}}
	return Cover{Pieces: []Piece{outside, inside}, Joins: []Join{{Title: "outside to inside, top and bottom", Between: [2]string{"outside", "inside"},
		Lengths: [2]sum.Sum{wrap, wrap}, Count: 2, Runs: [2][]Run{level, level},
		Laid: "Hem both ends of the outside and of the inside. Fold the flaps back on the outside's right side, lay the inside right side down over them, and sew the top and the bottom edge through all layers."}}}
}

// wrap is the way from fore-edge to fore-edge: by the tape, or from boards and
// spine; with the turn of the padding round both fore-edges.
func (m *measurer) wrap() sum.Sum {
	o, c := m.plan.Object, m.plan.Cover
	text := m.plan.Style().Text
	s := sum.Of(sum.Object, "round the book, closed", o.Wrap)
	if o.Wrap == 0 {
		s = sum.Of(sum.Object, "front board", o.Board).Plus(sum.Object, "spine", o.Spine).Plus(sum.Object, "back board", o.Board)
	}
	measured := s.Total()
	if measured > largestWrap {
		m.found.Add(finding.Warn, "wrap-large", "/object/wrap", fmt.Sprintf("Round the book it is %s.", text(measured)),
			"Is it the closed book, from fore-edge round the spine to fore-edge, and the right side of the tape?")
	}
	if c.Ease.Wrap < leastJacketEase {
		m.found.Add(finding.Warn, "jacket-tight", "/cover/ease/wrap",
			fmt.Sprintf("An ease of %s round the book is tight: the cloth has a thickness of its own.", text(c.Ease.Wrap)),
			fmt.Sprintf("About %s is usual, more over padding.", text(3*length.Inch/4)))
	}
	s = s.Plus(sum.Object, "what sticks out", o.SticksOut.Wrap).Plus(sum.Ease, easeName(c.Ease.Wrap), c.Ease.Wrap)
	if c.Bulk > 0 {
		turn := length.FromFloat(math.Pi / 2 * c.Bulk.Float())
		s = s.Plus(sum.Ease, "turn of the layers round a fore-edge", turn).Plus(sum.Ease, "turn of the layers round a fore-edge", turn)
	}
	return washed(s, c.Wash)
}

// flaps are the two depths, and whether the book still opens.
func (m *measurer) flaps(wrap length.Length) (front, back length.Length) {
	d, text := m.plan.Cover.Flaps.Depth, m.plan.Style().Text
	front, back = d.Front, d.Back
	about := "/cover/flaps/depth"
	if m.plan.Cover.Flaps.Style == "flip" {
		m.found.Add(finding.Stop, "flaps", "/cover/flaps/style", "Flipped flaps are read and kept, but not reckoned here.", "Choose folded or turned-in flaps.")
		return front, back
	}
	board := m.plan.Object.Board
	if board == 0 {
		board = (wrap - m.plan.Object.Spine) / 2
	}
	most := length.FromFloat(boardShare * board.Float()).Floor(m.plan.Habits.Step)
	switch deep := max(front, back); {
	case min(front, back) <= 0:
		m.found.Add(finding.Stop, "out-of-range", about, "A jacket needs flaps to hold the boards.", fmt.Sprintf("Type a depth of up to %s.", text(most)))
	case front+back >= wrap:
		m.found.Add(finding.Stop, "flaps-meet", about, fmt.Sprintf("Flaps of %s and %s meet in a jacket of %s.", text(front), text(back), text(wrap)), fmt.Sprintf("Type a depth of up to %s.", text(most)))
	case deep >= board:
		m.found.Add(finding.Stop, "flaps-deep", about, fmt.Sprintf("A flap of %s is deeper than a board, %s.", text(deep), text(board)), fmt.Sprintf("Type a depth of up to %s.", text(most)))
	case deep > most:
		m.found.Add(finding.Warn, "flaps-open", about, fmt.Sprintf("With flaps of %s in boards of %s the book hardly opens.", text(deep), text(board)), fmt.Sprintf("Up to %s leave it room.", text(most)))
	}
	return front, back
}
