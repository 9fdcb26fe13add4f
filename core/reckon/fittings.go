package reckon

import (
	"fmt"
	"strings"

	"umschlag/core/applique"
	"umschlag/core/back"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/fitting"
	"umschlag/core/length"
	"umschlag/core/panel"
	"umschlag/core/plan"
	"umschlag/core/show"
)

// fittings places what is sewn onto the pieces, adds its cuts, and judges the shapes that lie there.
func (r *run) fittings() {
	order := fitting.OrderOf(r.Plan, r.Cover)
	order.Zones = r.zones()
	placed, found := fitting.Place(order)
	r.find(found)
	for _, f := range placed {
		r.List.Fitting(f, r.fittingCloth(f))
		for _, n := range f.Notions {
			r.thing(fmt.Sprintf("%s, %s %d", n.What, strings.ToLower(f.Title), f.Index+1), n.Length)
		}
	}
	r.Fittings = placed
	for _, p := range r.Panels {
		if len(p.Applied) > 0 {
			r.find(applique.Judge(p.Applied, r.ground(p.Panel)))
		}
	}
}

// zones are what fittings keep off, beyond the hems of whole pieces: joins of strips, and what closes a back.
func (r *run) zones() []fitting.Zone {
	var out []fitting.Zone
	seam := r.Plan.Cover.Seam
	for _, p := range r.Panels {
		finished := p.Face.Finished
		for i := 1; i < p.Strips; i++ {
			at := finished.Width.Total().Times(i).Div(p.Strips) - seam
			out = append(out, fitting.Zone{On: p.Piece.Name, Name: fitting.Seam,
				Box: fitting.Box{X: at, Width: 2 * seam, Height: finished.Height.Total()}})
		}
	}
	if r.Back == nil {
		return out
	}
	off := seam + r.Back.Spare
	for _, k := range r.Back.Keep {
		name := fitting.ZoneName(fitting.Hem)
		if k.Kind == back.ZipBox {
			name = fitting.Zip
		}
		out = append(out, fitting.Zone{On: r.Back.Piece.Name, Name: name,
			Box: fitting.Box{X: k.Box.X - off, Y: k.Box.Y - off, Width: k.Box.Width, Height: k.Box.Height}})
	}
	return out
}

// fittingCloth is the cloth decided for a fitting, or that of its piece.
func (r *run) fittingCloth(f fitting.Fitted) string {
	if f.Cloth != "" {
		return f.Cloth
	}
	for _, p := range r.Panels {
		if p.Piece.Name == f.On && len(p.Face.Cells) > 0 {
			return p.Face.Parts[p.Face.Cells[0].Part].Cloth
		}
	}
	if b := r.Back; b != nil && b.Piece.Name == f.On && len(b.Lies) > 0 {
		return b.Cloth
	}
	return panel.FirstCloth(r.Plan)
}

// ground is a piece with shapes on it, and the fittings in their places.
func (r *run) ground(p panel.Panel) applique.Ground {
	out := applique.Ground{Piece: strings.ToLower(p.Piece.Title), Style: r.Plan.Style(),
		Width: p.Face.Finished.Width.Total(), Height: p.Face.Finished.Height.Total(), Outline: p.Piece.Line(),
		Shaped: p.Piece.Shaped()}
	for _, f := range r.Fittings {
		if f.On != p.Piece.Name {
			continue
		}
		for _, b := range f.Boxes {
			out.Fittings = append(out.Fittings,
				applique.Fitting{Title: strings.ToLower(f.Title), X: length.Length(b.X), Y: length.Length(b.Y),
					Width: length.Length(b.Width), Height: length.Length(b.Height)})
		}
	}
	return out
}

// upsideDown finds a print with a direction on a piece that goes up one side and down
// the other.
func upsideDown(p plan.Plan, c cover.Cover, panels []show.Panel) finding.List {
	var found finding.List
	for i, piece := range c.Pieces {
		if !piece.Over {
			continue
		}
		face := panels[i].Face
		for _, cell := range face.Cells {
			letter := face.Parts[cell.Part].Cloth
			cloth, _ := p.Cloth(letter)
			if cloth.Print != plan.OneWay {
				continue
			}
			about, remedy := finding.Path("cloths", letter, "print"), "Choose a fabric without a direction for it."
			if piece.Upright != "" {
				about, remedy = piece.UprightAt, piece.Upright+", or choose a fabric without a direction."
			}
			found.Add(finding.Warn, "print-upside-down", about,
				fmt.Sprintf("%s is printed one way: on the %s it stands upright on one side and hangs upside down on the other.", cloth.Name, strings.ToLower(piece.Title)), remedy)
			break
		}
	}
	return found
}
