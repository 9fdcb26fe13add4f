package begin

import (
	"umschlag/core/finding"
	"umschlag/core/gridfit"
	"umschlag/core/length"
	"umschlag/core/panel"
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
			found.Add(finding.Stop, "limit", size.about, "No patch is that large or that small.",
				"Type a size from 0 to 100 in.")
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
	if p.Settle().Validate().Stopped() {
		return nil, false
	}
	at, ok := faceAt(p, config, "")
	if !ok {
		return nil, false
	}
	o := gridfit.Order{Width: at.size.Width.Total(), Height: at.size.Height.Total(), Seam: at.plan.Cover.PiecingSeam,
		Step:  at.plan.Habits.Step,
		Least: l.Least, Most: l.Most, Ready: l.Ready, Border: l.Border, Style: at.plan.Style()}
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
		out = append(out, Layout{Layout: best, Face: faceWith(at.plan, at.face, best)})
	}
	return out, true
}

// faceWith is a face laid out anew, with the cloths and the block it had.
func faceWith(p plan.Plan, old plan.Face, l gridfit.Layout) plan.Face {
	f := plan.Face{Kind: plan.GridFace, Columns: l.Columns, Rows: l.Rows,
		Patch: plan.Patch{Width: l.PatchWidth, Height: l.PatchHeight}, Cloths: old.Cloths, Order: old.Order,
		Seed: old.Seed, Colourways: old.Colourways}
	if l.PatchWidth == l.PatchHeight {
		f.Block = old.Block
	}
	if len(f.Cloths) == 0 {
		f.Cloths = panel.Letters(p)
	}
	if !f.Order.Kind.Mixed() {
		f.Order = plan.Order{Kind: plan.Alternate}
	}
	if l.Sash > 0 {
		f.Sash = &plan.Sash{Width: l.Sash, Cloth: panel.FirstCloth(p)}
		if old.Sash != nil {
			f.Sash.Cloth, f.Sash.Posts, f.Sash.PostCloth = old.Sash.Cloth, old.Sash.Posts, old.Sash.PostCloth
		}
	}
	if l.Border > 0 {
		b := plan.Border{Cloth: panel.FirstCloth(p), Width: plan.Extent{Width: l.Border}}
		if len(old.Borders) > 0 {
			b.Cloth, b.Corner, b.CornerCloth = old.Borders[0].Cloth, old.Borders[0].Corner, old.Borders[0].CornerCloth
		}
		if l.Rest {
			b.Width = plan.Extent{Rest: true}
		}
		f.Borders = []plan.Border{b}
	}
	return f
}
