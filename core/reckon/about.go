package reckon

import "strings"

// aboutCells says of every step which parts of its piece it is about, for the drawings of it:
// the rows, the border, the units. It is told by what the parts and the steps are called.
func (r *run) aboutCells() {
	for i := range r.out.Steps {
		s := &r.out.Steps[i]
		piece := r.pieceOf(*s)
		if piece == nil || len(piece.Cells) == 0 {
			continue
		}
		about := s.about()
		if about == nil {
			continue // all of it
		}
		for k, c := range piece.Cells {
			if about(c) {
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

// about tells whether the step is about a cell; nil where it is about all of them.
func (s Step) about() func(Cell) bool {
	if len(s.Bands) > 0 {
		return s.aboutBand
	}
	if ring, which, ok := borderOf(s.ID); ok {
		return func(c Cell) bool {
			_, part, ok := strings.Cut("."+c.Cut+".", "."+ring+".")
			return ok && inPair(which, strings.TrimSuffix(part, "."))
		}
	}
	switch kind := kindOf(s.ID); {
	case kind == "unit":
		return func(c Cell) bool { return strings.Contains(c.Cut, "block.") }
	case kind == "set":
		return func(c Cell) bool { return strings.Contains(c.Cut, "set.") }
	case s.ID == "cut.under", s.ID == "measure":
		return func(Cell) bool { return false }
	}
	return nil
}

// aboutBand tells whether a cell lies in the rows of the step; corners, which lie in none, go
// on when rows are joined.
func (s Step) aboutBand(c Cell) bool {
	if c.Band == 0 {
		_, _, border := borderOf(c.Cut)
		return len(s.Bands) > 1 && !border
	}
	for _, band := range s.Bands {
		if band == c.Band {
			return true
		}
	}
	return false
}

// borderOf takes the name of a border out of that of a step or a cut, with what stands behind
// it: part.2.border.1 and side of front.part.2.border.1.side.
func borderOf(id string) (ring, which string, ok bool) {
	words := strings.Split(id, ".")
	for i := 0; i+2 < len(words); i++ {
		if words[i] != "border" || !digits(words[i+1]) {
			continue
		}
		first := i
		if i >= 2 && words[i-2] == "part" && digits(words[i-1]) {
			first = i - 2
		}
		return strings.Join(words[first:i+2], "."), words[i+2], true
	}
	return "", "", false
}

// inPair tells whether a part of a border is sewn on in the step of that name: the sides
// first, then those that run over them with their corners.
func inPair(which, part string) bool {
	part, _, _ = strings.Cut(part, ".")
	switch which {
	case "run", "top", "bottom":
		return part == "run" || part == "top" || part == "bottom" || part == "corner"
	case "side", "left", "right":
		return part == "side" || part == "left" || part == "right"
	}
	return true
}

// kindOf is the last word of an id before its number: unit of front.unit.3.
func kindOf(id string) string {
	words := strings.Split(id, ".")
	if len(words) < 2 || !digits(words[len(words)-1]) {
		return ""
	}
	return words[len(words)-2]
}

func digits(text string) bool { return text != "" && strings.Trim(text, "0123456789") == "" }
