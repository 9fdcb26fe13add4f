package reckon

import (
	"slices"

	"umschlag/core/front"
	"umschlag/core/ref"
	"umschlag/core/work"
)

// About is what a cut or a step is about.
type About struct {
	// Piece of the cover; absent for what belongs to none or to several.
	Piece string `json:"piece,omitempty"`
	// Of is the innermost part of the plan it belongs to: a border, a strip, a shape, a
	// fitting, or the part of a stack; absent where it belongs to the piece as a whole.
	Of ref.Key `json:"of,omitempty"`
	// Twin is the second of two shapes.
	Twin bool `json:"twin,omitempty"`
	// Role is what it is, or what is done.
	Role ref.Role `json:"role"`
	// Edge where the strips of a border differ, Cloth where there is one for each cloth,
	// Layer of what lies under or inside something.
	Edge  string `json:"edge,omitempty"`
	Cloth string `json:"cloth,omitempty"`
	Layer string `json:"layer,omitempty"`
	// No tells alike things without a key apart, from 1.
	No int `json:"no,omitempty"`
	// Late is what is done to shapes that are laid on late.
	Late bool `json:"late,omitempty"`
	// Part of a stack it lies in, Ring the number of its border, from 1 inside, and Paints
	// where in the face of its piece its cloth is decided, as a JSON pointer; of cuts.
	Part   ref.Key `json:"part,omitempty"`
	Ring   int     `json:"ring,omitempty"`
	Paints string  `json:"paints,omitempty"`
	// Pair of strips of a border, 1 those that are sewn on first, 2 those over them; Level of
	// shapes that are laid on, and Thread the number of the one that sews them, from 1; of
	// steps.
	Pair   int `json:"pair,omitempty"`
	Level  int `json:"level,omitempty"`
	Thread int `json:"thread,omitempty"`
}

// Ref is the name of a thing of a kind that is about this.
func (a About) Ref(kind ref.Kind) ref.Ref {
	return ref.Ref{Kind: kind, Piece: a.Piece, Of: a.Of, Twin: a.Twin, Role: a.Role, Edge: a.Edge, Cloth: a.Cloth, Layer: a.Layer, No: a.No, Late: a.Late}
}

// of is what a ref names.
func aboutOf(r ref.Ref) About {
	return About{Piece: r.Piece, Of: r.Of, Twin: r.Twin, Role: r.Role, Edge: r.Edge, Cloth: r.Cloth, Layer: r.Layer, No: r.No, Late: r.Late}
}

// partOf is what a part of the face of a piece is about.
func partOf(piece string, p front.Part) About {
	out := aboutOf(p.Ref)
	out.Piece, out.Part, out.Ring, out.Paints = piece, p.In, p.Ring, p.Paints
	return out
}

// stepOf is what a step is about.
func stepOf(s work.Step) About {
	return About{Piece: s.Piece, Of: s.Of, Role: s.Role, Edge: s.Edge, No: s.No, Late: s.Late, Pair: s.Pair, Level: s.Level, Thread: s.Thread}
}

// pair of strips of a border that a cut is sewn on with.
func (a About) pair() int {
	switch a.Role {
	case ref.BorderFirst:
		return 1
	case ref.BorderSecond, ref.BorderCorner:
		return 2
	}
	return 0
}

// aboutCells says of every step which parts of its piece it is about, for the drawings of it:
// the rows, the border, the units.
func (r *run) aboutCells() {
	cuts := make(map[string]About, len(r.out.Cuts))
	for _, c := range r.out.Cuts {
		cuts[c.ID] = c.About
	}
	for i := range r.out.Steps {
		s := &r.out.Steps[i]
		piece := r.pieceOf(*s)
		if piece == nil || len(piece.Cells) == 0 {
			continue
		}
		about := s.cells()
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
func (r *run) pieceOf(s Step) *Piece {
	for i := range r.out.Pieces {
		if s.Piece == "" || r.out.Pieces[i].Name == s.Piece {
			return &r.out.Pieces[i]
		}
	}
	return nil
}

// cells tells whether the step is about a cell, which is of a cut; nil where it is about all of
// them.
func (s Step) cells() func(Cell, About) bool {
	switch {
	case len(s.Bands) > 0:
		return s.inBands
	case s.About.Role.Bordering():
		return func(_ Cell, cut About) bool {
			return cut.Of == s.About.Of && (s.About.Pair == 0 || cut.pair() == s.About.Pair)
		}
	case s.About.Role == ref.DoUnit:
		return func(_ Cell, cut About) bool { return cut.Role == ref.BlockPatch || cut.Role == ref.BlockEights }
	case s.About.Role == ref.DoSet:
		return func(_ Cell, cut About) bool { return cut.Role == ref.SetStrip }
	case s.About.Role == ref.DoCutUnder, s.About.Role == ref.DoMeasure:
		return func(Cell, About) bool { return false }
	}
	return nil
}

// inBands tells whether a cell lies in the rows of the step; corners, which lie in none, go on
// when rows are joined.
func (s Step) inBands(c Cell, cut About) bool {
	if c.Band == 0 {
		return len(s.Bands) > 1 && cut.Ring == 0
	}
	return slices.Contains(s.Bands, c.Band)
}
