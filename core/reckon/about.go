package reckon

import (
	"slices"

	"umschlag/core/answer"

	"umschlag/core/front"
	"umschlag/core/ref"
	"umschlag/core/work"
)

// partOf is what a part of the face of a piece is about.
func partOf(piece string, p front.Part) ref.About {
	out := ref.AboutOf(p.Ref)
	out.Piece, out.Part, out.Ring, out.Paints = piece, p.In, p.Ring, p.Paints
	return out
}

// stepOf is what a step is about.
func stepOf(s work.Step) ref.About {
	return ref.About{Piece: s.Piece, Of: s.Of, Role: s.Role, Edge: s.Edge, No: s.No, Late: s.Late, Pair: s.Pair, Level: s.Level, Thread: s.Thread}
}

// aboutCells says of every step which parts of its piece it is about, for the drawings of it:
// the rows, the border, the units.
func (r *run) aboutCells() {
	cuts := make(map[string]ref.About, len(r.out.Cuts))
	for _, c := range r.out.Cuts {
		cuts[c.ID] = c.About
	}
	for i := range r.out.Steps {
		s := &r.out.Steps[i]
		piece := r.pieceOf(*s)
		if piece == nil || len(piece.Cells) == 0 {
			continue
		}
		about := cellsOf(*s)
		if about == nil {
			continue // all of it
		}
		for k, c := range piece.Cells {
			if about(c, cuts[c.Cut]) {
				s.Cells = append(s.Cells, k)
			}
		}
		s.Aside = len(s.Cells) == 0
	}
}

// pieceOf is the piece a step is drawn on: its own, or the first.
func (r *run) pieceOf(s answer.Step) *answer.Piece {
	for i := range r.out.Pieces {
		if s.Piece == "" || r.out.Pieces[i].Name == s.Piece {
			return &r.out.Pieces[i]
		}
	}
	return nil
}

// cells tells whether the step is about a cell, which is of a cut; nil where it is about all of
// them.
func cellsOf(s answer.Step) func(answer.Cell, ref.About) bool {
	switch {
	case len(s.Bands) > 0:
		return func(c answer.Cell, cut ref.About) bool { return inBands(s, c, cut) }
	case s.About.Role.Bordering():
		return func(_ answer.Cell, cut ref.About) bool {
			return cut.Of == s.About.Of && (s.About.Pair == 0 || cut.InPair() == s.About.Pair)
		}
	case s.About.Role == ref.DoUnit:
		return func(_ answer.Cell, cut ref.About) bool {
			return cut.Role == ref.BlockPatch || cut.Role == ref.BlockEights
		}
	case s.About.Role == ref.DoSet:
		return func(_ answer.Cell, cut ref.About) bool { return cut.Role == ref.SetStrip }
	case s.About.Role == ref.DoCutUnder, s.About.Role == ref.DoMeasure:
		return func(answer.Cell, ref.About) bool { return false }
	}
	return nil
}

// inBands tells whether a cell lies in the rows of the step; corners, which lie in none, go on
// when rows are joined.
func inBands(s answer.Step, c answer.Cell, cut ref.About) bool {
	if c.Band == 0 {
		return len(s.Bands) > 1 && cut.Ring == 0
	}
	return slices.Contains(s.Bands, c.Band)
}
