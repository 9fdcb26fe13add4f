package reckon

import (
	"fmt"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/fitting"
	"umschlag/core/work"
)

// fittings places what is sewn onto the pieces, and adds its cuts.
func (r *run) fittings(c cover.Cover) {
	placed, found := fitting.Place(fitting.Order{Fittings: r.p.Fittings, Pieces: c.Pieces, Seam: r.p.Cover.Seam, Step: r.p.Habits.Step, Style: r.style})
	r.find(found)
	for _, f := range placed {
		out := Fitting{Index: f.Index, Title: f.Title, On: f.On, Boxes: []Box{}, Check: f.Check, Fixing: f.Fixing}
		for _, b := range f.Boxes {
			out.Boxes = append(out.Boxes, Box{X: int64(b.X), Y: int64(b.Y), Width: int64(b.Width), Height: int64(b.Height)})
		}
		r.out.Fittings = append(r.out.Fittings, out)
		for i, part := range f.Parts {
			r.cut(cutting{piece: f.On, id: fmt.Sprintf("fitting.%d.%d", f.Index+1, i+1), part: part.Title, title: f.Title + ", " + part.Title,
				cloth: r.fittingCloth(f), size: part.Size, count: part.Count, mayTurn: true, about: finding.Path("fittings", f.Index)})
		}
		r.sewnOn = append(r.sewnOn, work.Fitting{ID: fmt.Sprintf("fitting.%d", f.Index+1), Title: f.Title, On: f.On, Check: f.Check, Fixing: f.Fixing})
	}
}

// fittingCloth is the cloth decided for a fitting, or that of its piece.
func (r *run) fittingCloth(f fitting.Fitted) string {
	if f.Cloth != "" {
		return f.Cloth
	}
	for _, p := range r.out.Pieces {
		if p.Name == f.On && len(p.Cells) > 0 {
			return p.Cells[0].Cloth
		}
	}
	return r.firstCloth()
}
