package spoil

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"umschlag/core/answer"

	"umschlag/core/plan"
	"umschlag/core/ref"
)

// side is one of the two plans that are compared.
type side struct {
	answer.Reckoning
	plan plan.Plan
	// beside is the plan it is compared with.
	beside plan.Plan
}

// clothName is what a cloth is called, its letter where it has no name.
func (s side) clothName(letter string) string {
	return cmp.Or(s.plan.Cloths[letter].Name, letter)
}

// renamed reports that a letter stands for another cloth than it did.
func (s side) renamed(was side, letter string) bool {
	name := s.plan.Cloths[letter].Name
	return name != "" && name != was.plan.Cloths[letter].Name
}

// thing is what a ref names, and what it is made of; family is what its ref has beside its
// numbers.
type thing struct {
	id     string
	family ref.Ref
	made   string
}

// cut is a cut by its content.
func (s side) cut(c answer.Cut) thing {
	return thing{c.ID, c.About.Ref(ref.Cut).Family(),
		fmt.Sprint(c.Width.NM, c.Height.NM, c.Shape, c.Path, c.Line, c.Cloth, s.clothName(c.Cloth))}
}

// step is a step by what it sews.
func (s side) step(step answer.Step) thing {
	return thing{step.ID, step.About.Ref(ref.Step).Family(), s.sewn(step)}
}

// cutting reports a step at which pieces are cut: what is done with them tells by itself
// whether it is as it was.
func cutting(s answer.Step) bool {
	switch s.About.Role {
	case ref.DoCutOuter, ref.DoCutUnder, ref.DoCutBack, ref.DoCutShapes:
		return true
	}
	return false
}

// sewn is what a step sews, each thing by its content and where it lies among the others.
func (s side) sewn(step answer.Step) string {
	var b strings.Builder
	about := step.About
	cuts := byCut(s.Reckoning)
	write := func(id string) {
		c := cuts[id]
		b.WriteString(s.cut(c).made)
		fmt.Fprint(&b, " ×", c.Total, ";")
	}
	if !cutting(step) { // which pieces a step cuts is told by the pieces
		for _, id := range step.Cuts {
			write(id)
		}
	}
	switch {
	case about.Role == ref.DoFitting:
		s.fitted(&b, step, write)
	case step.Join > 0:
		fmt.Fprint(&b, s.Joins[step.Join-1].Lengths[0].NM, s.Joins[step.Join-1].Lengths[1].NM)
	case about.Role.OfCover(), cutting(step):
		return b.String()
	}
	for _, p := range s.Pieces {
		if p.Name == step.Piece {
			s.pieced(&b, step, p, write)
		}
	}
	return b.String()
}

// fitted is a fitting where it is sewn on.
func (s side) fitted(b *strings.Builder, step answer.Step, write func(string)) {
	for _, f := range s.Fittings {
		if f.Index != step.Fitting-1 {
			continue
		}
		fmt.Fprint(b, plan.AloneIn(s.beside, f.On), f.Boxes, f.Lines)
		for _, c := range s.Cuts {
			if c.About.Role == ref.FittingPart && c.About.Of == f.Key {
				write(c.ID)
			}
		}
	}
}

// pieced is what a step does to a piece: the cells it is about as they lie to each other, and
// what lies under, on and in it.
func (s side) pieced(b *strings.Builder, step answer.Step, p answer.Piece, write func(string)) {
	about := step.About
	switch about.Role {
	case ref.DoFitting:
		return
	case ref.DoLayers, ref.DoQuilt, ref.DoQuiltBorders, ref.DoTrim:
		for _, c := range s.Cuts {
			if c.Piece == p.Name && c.Layer != "outer" && c.About.Role != ref.FittingPart {
				write(c.ID)
			}
		}
	case ref.DoLayShapes, ref.DoSewShapes:
		s.laid(b, about, p)
		return
	case ref.DoCorners:
		fmt.Fprint(b, p.Outline)
	}
	if q := p.Quilting; q != nil && (about.Role == ref.DoQuilt || about.Role == ref.DoQuiltBorders) {
		for _, l := range q.Lines { // those in borders are sewn by themselves, or with the others
			if l.Border == (about.Role == ref.DoQuiltBorders) || !q.After {
				b.WriteString(l.Path)
			}
		}
	}
	cells := p.Cells
	if step.Cells != nil {
		cells = nil
		for _, i := range step.Cells {
			cells = append(cells, p.Cells[i])
		}
	}
	if step.Aside {
		return
	}
	made := byCut(s.Reckoning)
	left, top := least(cells)
	for _, c := range cells {
		b.WriteString(s.cut(made[c.Cut]).made)
		fmt.Fprint(b, "@", c.X-left, c.Y-top, c.Width, c.Height, ";")
	}
}

// laid is the shapes that a step lays on, or whose edges it sews.
func (s side) laid(b *strings.Builder, about ref.About, p answer.Piece) {
	for i, shape := range p.Shapes {
		if about.Role == ref.DoLayShapes && (shape.Level != about.Level || shape.Late != about.Late) {
			continue
		}
		if about.Role == ref.DoSewShapes && !slices.Contains(p.Threads[about.Thread-1].Shapes, i) {
			continue
		}
		fmt.Fprint(b, shape.Path, shape.Stitch, s.clothName(shape.Cloth), shape.Sewn, ";")
	}
}

func least(cells []answer.Cell) (left, top int64) {
	for i, c := range cells {
		if i == 0 || c.X < left {
			left = c.X
		}
		if i == 0 || c.Y < top {
			top = c.Y
		}
	}
	return left, top
}

func byCut(r answer.Reckoning) map[string]answer.Cut {
	out := make(map[string]answer.Cut, len(r.Cuts))
	for _, c := range r.Cuts {
		out[c.ID] = c
	}
	return out
}

// paired finds for each thing of one list the same one in another: of the same name and made
// alike, or else one of its family that is made alike and that no other has taken.
func paired[T any](was, now []T, of, to func(T) thing) map[string]string {
	out, taken := map[string]string{}, map[string]bool{}
	old, next := make([]thing, len(was)), make([]thing, len(now))
	named := map[string]thing{}
	for i, t := range now {
		next[i] = to(t)
		named[next[i].id] = next[i]
	}
	for i, t := range was {
		old[i] = of(t)
		if n, there := named[old[i].id]; there && n.made == old[i].made {
			out[n.id], taken[n.id] = n.id, true
		}
	}
	for _, t := range old {
		if _, found := out[t.id]; found {
			continue
		}
		for _, n := range next {
			if !taken[n.id] && n.family == t.family && n.made == t.made {
				out[t.id], taken[n.id] = n.id, true
				break
			}
		}
	}
	return out
}
