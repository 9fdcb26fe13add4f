package reckon

import (
	"fmt"
	"maps"
	"slices"

	"umschlag/core/answer"

	"umschlag/core/block"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/front"
	"umschlag/core/gridfit"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// Limits are what a maker wishes of a grid; 0 and empty for no wish.
type Limits struct {
	// Least and Most a patch finishes.
	Least, Most length.Length
	// Ready-cut squares or strips, by their cut width.
	Ready  length.Length
	Border gridfit.Borders
	Sash   length.Length
}

// Validate finds limits that no patch or sash has.
func (l Limits) Validate() finding.List {
	var found finding.List
	for _, size := range []struct {
		about string
		l     length.Length
	}{{"/least", l.Least}, {"/most", l.Most}, {"/ready", l.Ready}, {"/sash", l.Sash}} {
		if size.l < 0 || size.l > mostLimit {
			found.Add(finding.Stop, "limit", size.about, "No patch is that large or that small.", "Type a size from 0 to 100 in.")
		}
	}
	return found
}

const mostLimit = 100 * length.Inch

// Layout is a grid that fills a piece, and the face that has it.
type Layout struct {
	gridfit.Layout
	Face plan.Face
}

// Layouts are the grids that fill a piece best, by the name under which the plan decides
// it. It reports false where the plan has no such piece that can be reckoned.
func Layouts(p plan.Plan, config string, l Limits) ([]Layout, bool) {
	p = p.Settle()
	if p.Validate().Stopped() {
		return nil, false
	}
	c, found := cover.Pieces(p)
	if found.Stopped() {
		return nil, false
	}
	for _, piece := range c.Pieces {
		if piece.Config != config {
			continue
		}
		r := &run{p: p, style: p.Style()}
		face := r.faceOf(p.Piece(config))
		o := gridfit.Order{Width: piece.Finished.Width.Total(), Height: piece.Finished.Height.Total(), Seam: p.Cover.Seam, Step: p.Habits.Step,
			Least: l.Least, Most: l.Most, Ready: l.Ready, Border: l.Border, Style: r.style}
		usual := plan.StartsIn(p.Units)
		if o.Least == 0 {
			o.Least = usual.Least
		}
		if o.Most == 0 {
			o.Most = usual.Most
		}
		if l.Sash > 0 {
			o.Sashes = []length.Length{l.Sash}
		}
		out := []Layout{}
		for _, best := range gridfit.Best(o) {
			out = append(out, Layout{Layout: best, Face: r.faceWith(face, best)})
		}
		return out, true
	}
	return nil, false
}

// faceWith is a face laid out anew, with the cloths and the block it had.
func (r *run) faceWith(old plan.Face, l gridfit.Layout) plan.Face {
	f := plan.Face{Kind: plan.GridFace, Columns: l.Columns, Rows: l.Rows, Patch: plan.Patch{Width: l.PatchWidth, Height: l.PatchHeight}, Cloths: old.Cloths, Order: old.Order,
		Seed: old.Seed, Colourways: old.Colourways}
	if l.PatchWidth == l.PatchHeight {
		f.Block = old.Block
	}
	if len(f.Cloths) == 0 {
		f.Cloths = r.letters()
	}
	if f.Order.Kind != plan.Scrap {
		f.Order = plan.Order{Kind: plan.Alternate}
	}
	if l.Sash > 0 {
		f.Sash = &plan.Sash{Width: l.Sash, Cloth: firstCloth(r.p)}
		if old.Sash != nil {
			f.Sash.Cloth, f.Sash.Posts, f.Sash.PostCloth = old.Sash.Cloth, old.Sash.Posts, old.Sash.PostCloth
		}
	}
	if l.Border > 0 {
		b := plan.Border{Cloth: firstCloth(r.p), Width: plan.BorderWidth{Width: l.Border}}
		if len(old.Borders) > 0 {
			b.Cloth, b.Corner, b.CornerCloth = old.Borders[0].Cloth, old.Borders[0].Corner, old.Borders[0].CornerCloth
		}
		if l.Rest {
			b.Width = plan.BorderWidth{Rest: true}
		}
		f.Borders = []plan.Border{b}
	}
	return f
}

// letters are the cloths a new grid begins with: the first two of the plan.
func (r *run) letters() []string {
	out := slices.Sorted(maps.Keys(r.p.Cloths))
	if len(out) == 0 {
		return []string{"A"}
	}
	return out[:min(2, len(out))]
}

// area is square inches in the plan's own unit.
func (r *run) area(inches float64) string {
	if r.p.Units == length.Inches {
		return fmt.Sprintf("%.0f in²", inches)
	}
	return fmt.Sprintf("%.0f cm²", inches*2.54*2.54)
}

// narrowest is the usable width of the narrowest cloth of a face.
func (r *run) narrowest(f front.Face) length.Length {
	least := length.Length(0)
	for _, p := range f.Parts {
		if w := r.usable(p.Cloth); least == 0 || w < least {
			least = w
		}
	}
	return least
}

// methods compares how the units of a face's blocks can be made.
func (r *run) methods(p panel, pieces int) []answer.UnitMethods {
	out := []answer.UnitMethods{}
	for _, g := range p.face.Grids {
		if !g.Blocks || g.Node.Sign == block.Leaf {
			continue
		}
		blocks := 0
		for _, row := range g.Laid {
			blocks += len(row)
		}
		s := r.p.Cover.Seam
		for _, c := range block.Compare(g.Node, g.Patch.Width.Total()-2*s, g.Patch.Height.Total()-2*s, blocks*pieces, s, r.p.Habits.Step, r.narrowest(p.face), r.style) {
			m := answer.UnitMethods{Name: c.Name, Need: c.Need}
			for i, method := range c.Methods {
				m.Methods = append(m.Methods, answer.UnitMethod{School: method.School, Name: method.Name, Cuts: method.Cuts, Pieces: method.Pieces, Spare: method.Spare, Cloth: r.area(method.Area), Seams: method.Seams,
					Chosen: method.School == string(r.p.Habits.Triangles) || method.School == string(r.p.Habits.Strips), Least: i == c.Least, Quickest: i == c.Quickest})
			}
			out = append(out, m)
		}
	}
	return out
}
