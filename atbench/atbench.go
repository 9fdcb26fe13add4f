// Package atbench sews a reckoning as hands would, for tests: it goes by what is cut, lies where and is joined to what,
// and knows nothing of how steps are made.
package atbench

import (
	"fmt"
	"slices"

	"umschlag/core/answer"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// bench is a cover on its way.
type bench struct {
	p      plan.Plan
	r      answer.Reckoning
	cut    map[string]bool
	passed map[string]bool
	tables map[string]*table
	seams  map[int]bool
	wrong  []string
}

// table is a piece on its way: rows sewn and joined, borders by how many of their pairs are on, what is done flat.
type table struct {
	piece                answer.Piece
	sewn, joined         map[int]bool
	borders              map[int]int
	layered, quilted, on bool
}

// Sew sews a settled plan by its reckoning, step by step, and returns what cannot be done, with the step at which.
func Sew(p plan.Plan, r answer.Reckoning) []string {
	b := &bench{p: p, r: r, cut: map[string]bool{}, passed: map[string]bool{},
		tables: map[string]*table{}, seams: map[int]bool{}}
	for _, piece := range r.Pieces {
		b.tables[piece.Name] = &table{piece: piece, sewn: map[int]bool{}, joined: map[int]bool{},
			borders: map[int]int{}}
	}
	for _, c := range r.Cuts {
		_, ticked := p.Progress.Cut[c.ID]
		b.cut[c.ID] = c.Done && !ticked // there already
	}
	for i, s := range r.Steps {
		b.take(s)
		b.step(s, r.Steps[i+1:])
		b.passed[s.Gate] = true
	}
	for _, c := range r.Cuts {
		b.refuse(!b.cut[c.ID], "the end", "%s is never cut", c.ID)
	}
	for i := range r.Joins {
		cushion := p.Cover.Rules().ByBack
		b.refuse(!b.seams[i+1] && !cushion, "the end", "seam %d is never sewn", i+1)
	}
	return b.wrong
}

// refuse complains of something that is so.
func (b *bench) refuse(so bool, at, format string, args ...any) {
	if so {
		b.wrong = append(b.wrong, at+": "+fmt.Sprintf(format, args...))
	}
}

// take cuts what a step cuts: once, and when what it waits for is measured.
func (b *bench) take(s answer.Step) {
	for _, id := range s.Cuts {
		i := slices.IndexFunc(b.r.Cuts, func(c answer.Cut) bool { return c.ID == id })
		b.refuse(i < 0, s.ID, "%s is nothing that is cut", id)
		if i < 0 {
			continue
		}
		waits := b.r.Cuts[i].Waits
		b.refuse(waits != "" && !b.passed[waits], s.ID, "%s is cut before %s", id, waits)
		b.refuse(b.cut[id], s.ID, "%s is cut twice", id)
		b.cut[id] = true
	}
}

// flat are the roles of what is done to a piece while it lies flat.
var flat = []ref.Role{ref.DoLayOut, ref.DoUnit, ref.DoSet, ref.DoRow, ref.DoRows, ref.DoBorder, ref.DoBorderPatches,
	ref.DoMitre, ref.DoJoinParts, ref.DoLayShapes, ref.DoSewShapes, ref.DoLayers, ref.DoQuilt, ref.DoQuiltBorders,
	ref.DoTrim, ref.DoOpenEdge, ref.DoCorners, ref.DoMeasureFront, ref.DoMeasureCentre, ref.DoBastePiping, ref.DoHem,
	ref.DoFold, ref.DoTape, ref.DoButtons, ref.DoTies, ref.DoFlap, ref.DoTab}

// handled are the roles whose step handles the cloth of the cells it is about.
var handled = []ref.Role{ref.DoLayOut, ref.DoRow, ref.DoRows, ref.DoBorder, ref.DoLayers, ref.DoQuilt,
	ref.DoQuiltBorders, ref.DoTrim, ref.DoMeasureFront, ref.DoMeasureCentre, ref.DoLayShapes, ref.DoBastePiping}

func (b *bench) step(s answer.Step, later []answer.Step) {
	t := b.tables[s.Piece]
	role := s.About.Role
	if t != nil && slices.Contains(flat, role) {
		b.refuse(t.on, s.ID, "%s does not lie flat any more", s.Piece)
	}
	if t != nil && slices.Contains(handled, role) && s.Piece != "back" {
		for _, c := range b.cells(t, s) {
			b.refuse(!b.cut[c.Cut], s.ID, "%s is not cut yet", c.Cut)
		}
	}
	switch role {
	case ref.DoRow:
		for _, band := range s.Bands {
			b.refuse(t.sewn[band], s.ID, "row %d is sewn already", band)
			t.sewn[band] = true
		}
	case ref.DoRows:
		b.rows(t, s, later)
	case ref.DoBorder:
		b.border(t, s)
	case ref.DoLayers:
		b.layers(t, s)
	case ref.DoQuilt:
		b.refuse(!t.layered, s.ID, "there are no layers to be quilted")
		t.quilted = true
	case ref.DoQuiltBorders:
		b.whole(t, s, false)
	case ref.DoTrim:
		b.refuse(t.piece.Quilting != nil && s.About.Of == "" && !t.quilted, s.ID, "it is trimmed before it is quilted")
		if s.About.Of == "" && t.quilted {
			b.whole(t, s, false)
		}
	default:
		b.closing(t, s, later)
	}
}

// closing are the steps about several pieces, and what is put on one.
func (b *bench) closing(t *table, s answer.Step, later []answer.Step) {
	switch s.About.Role {
	case ref.DoFitting:
		f := b.p.Fittings[s.Fitting-1]
		waits := slices.ContainsFunc(later, func(l answer.Step) bool {
			return l.About.Role == ref.DoMakeFitting && l.About.Of == s.About.Of
		})
		b.refuse(waits, s.ID, "it is sewn on before it is made")
		b.refuse(t != nil && t.on && f.Kind != "slit", s.ID, "%s does not lie flat any more", s.Piece)
	case ref.DoJoin:
		b.refuse(b.seams[s.Join], s.ID, "that seam is sewn already")
		b.seams[s.Join] = true
		for _, name := range b.r.Joins[s.Join-1].Between {
			b.ready(name, s, later)
		}
	case ref.DoClose:
		for _, name := range []string{"front", "back"} {
			b.ready(name, s, later)
		}
	case ref.DoClip, ref.DoTurn:
		open := slices.ContainsFunc(later, func(l answer.Step) bool {
			return l.About.Role == ref.DoJoin || l.About.Role == ref.DoClose
		})
		b.refuse(open, s.ID, "a seam is still to be sewn")
	case ref.DoMeasureCover, ref.DoTry, ref.DoFlange:
		turn := func(l answer.Step) bool { return l.About.Role == ref.DoTurn }
		b.refuse(slices.ContainsFunc(later, turn), s.ID, "it is not turned yet")
	case ref.DoMeasure:
		pad := func(l answer.Step) bool { return l.About.Role == ref.DoForm }
		b.refuse(slices.ContainsFunc(later, pad), s.ID, "the insert that is measured is not made yet")
	}
}

// cells are those that a step handles.
func (b *bench) cells(t *table, s answer.Step) []answer.Cell {
	if s.Aside {
		return nil
	}
	if s.Cells == nil {
		return t.piece.Cells
	}
	var out []answer.Cell
	for _, i := range s.Cells {
		out = append(out, t.piece.Cells[i])
	}
	return out
}

// after reports a piece whose borders are sewn on when it is quilted.
func after(t *table) bool { return t.piece.Quilting != nil && t.piece.Quilting.After }

// about is what the cut of a cell is.
func (b *bench) about(c answer.Cell) ref.About {
	i := slices.IndexFunc(b.r.Cuts, func(k answer.Cut) bool { return k.ID == c.Cut })
	return b.r.Cuts[i].About
}

// rows are joined when each of them is sewn that is sewn by itself.
func (b *bench) rows(t *table, s answer.Step, later []answer.Step) {
	for _, band := range s.Bands {
		b.refuse(slices.ContainsFunc(later, func(l answer.Step) bool {
			return l.Piece == s.Piece && l.About.Role == ref.DoRow && slices.Contains(l.Bands, band)
		}), s.ID, "row %d is not sewn yet", band)
		b.refuse(t.joined[band], s.ID, "row %d is joined already", band)
		t.joined[band] = true
	}
}

// border goes on what is whole inside it, its second pair over its first; after the quilting where that is first.
func (b *bench) border(t *table, s answer.Step) {
	ring, part := b.ring(t, s)
	b.refuse(ring == 0, s.ID, "there is no such border")
	b.refuse(ring > 1 && part == "" && t.borders[ring-1] < 2, s.ID, "the border inside it is not on")
	b.refuse(s.About.Pair == 2 && t.borders[ring] == 0, s.ID, "its first pair is not on")
	if after(t) {
		b.refuse(!t.quilted, s.ID, "what lies inside it is not quilted")
	} else {
		b.refuse(t.layered, s.ID, "it is layered already")
	}
	for _, c := range t.piece.Cells {
		a := b.about(c)
		rows := slices.ContainsFunc(b.r.Steps, func(l answer.Step) bool {
			return l.Piece == s.Piece && l.About.Role == ref.DoRows && slices.Contains(l.Bands, c.Band)
		})
		b.refuse(a.Ring == 0 && a.Part == part && rows && !t.joined[c.Band], s.ID, "row %d is not joined yet", c.Band)
	}
	t.borders[ring] += map[bool]int{true: 2, false: 1}[s.About.Pair == 0]
}

// ring is the number of the border that a step is about, and the part of a stack it goes round.
func (b *bench) ring(t *table, s answer.Step) (no int, part ref.Key) {
	for _, c := range t.piece.Cells {
		if a := b.about(c); a.Of == s.About.Of && a.Ring > 0 {
			return a.Ring, a.Part
		}
	}
	return 0, ""
}

// layers lie under what is whole, and are cut.
func (b *bench) layers(t *table, s answer.Step) {
	b.whole(t, s, after(t))
	for _, c := range b.r.Cuts {
		under := c.Piece == s.Piece && c.Layer != "outer" && c.About.Role != ref.FittingPart
		b.refuse(under && !b.cut[c.ID] && c.About.Role != ref.WebOfShape, s.ID, "%s is not cut yet", c.ID)
	}
	t.layered = true
}

// whole refuses a piece whose rows or borders are not sewn: without, but for its borders.
func (b *bench) whole(t *table, s answer.Step, without bool) {
	for _, l := range b.r.Steps {
		if l.Piece != s.Piece {
			continue
		}
		switch l.About.Role {
		case ref.DoRows:
			for _, band := range l.Bands {
				b.refuse(!t.joined[band], s.ID, "row %d is not joined yet", band)
			}
		case ref.DoRow:
			b.refuse(!t.sewn[l.Row], s.ID, "row %d is not sewn yet", l.Row)
		case ref.DoBorder:
			ring, _ := b.ring(t, l)
			b.refuse(!without && t.borders[ring] < 2, s.ID, "border %d is not on", ring)
		}
	}
}

// ready is a piece that all is done to that is done while it lies flat; from here on it is joined to another.
func (b *bench) ready(name string, s answer.Step, later []answer.Step) {
	t := b.tables[name]
	if t == nil {
		return
	}
	for _, l := range later {
		flatten := slices.Contains(flat, l.About.Role) && l.Piece == name
		b.refuse(flatten, s.ID, "%s is still to be done flat", l.ID)
	}
	b.refuse(t.piece.Quilting != nil && !t.quilted, s.ID, "%s is not quilted", name)
	t.on = true
}
