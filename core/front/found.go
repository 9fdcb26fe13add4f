package front

import (
	"fmt"
	"math"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// Found is how a panel that is there already is cut to its size.
type Found struct {
	// In is the part of a stack that it fills.
	In   ref.Key
	Kind plan.PanelKind
	// Size it is cut or trimmed to.
	Size sum.Size
	// Squares of a counted panel, across and up, and how many of them lie outside the
	// design on each side, and how many of those show.
	Squares, Outside [2]int
	Shows            int
	// From are the cutting lines of a printed panel, from its left, right, top and bottom
	// edge; Printed tells that they are known.
	From    [4]length.Length
	Printed bool
	// Middle is where that lies which stays in the middle, from the left and the top edge.
	Middle [2]length.Length
	// Backed tells that it is backed with firm cloth.
	Backed bool
}

// found is a panel that is there already, in the middle of its borders: a medallion.
func found(o Order) (Face, finding.List) {
	o.Face.Columns, o.Face.Rows = 1, 1
	o.Face.Block, o.Face.Set, o.Face.Sash = plan.Block{}, plan.Straight, nil
	o.Face.Cloths, o.Face.Order = []string{o.Face.Cloth}, plan.Order{Kind: plan.Alternate}
	if w, h, counted := o.Face.Panel.Counted(); counted {
		o.Face.Patch = plan.Patch{Width: w, Height: h}
	}
	if o.Face.Patch.Width == 0 && !o.Face.Patch.Fit {
		o.Face.Patch = plan.Patch{Width: o.Finished.Width.Total(), Height: o.Finished.Height.Total()}
	}
	f, said := grid(o)
	if said.Stopped() {
		return Face{}, said
	}
	said = without(said, "patch-off-ruler") // it is not cut by the ruler
	panel := 0
	for i, p := range f.Parts {
		if p.Role == Patch {
			f.Parts[i].Ref, f.Parts[i].Paints = o.ref(ref.Panel), "/cloth"
			f.Parts[i].Name, f.Parts[i].Title, f.Parts[i].Role, f.Parts[i].Had = "panel", "Found panel, trimmed to",
				Panel, true
			panel = i
		}
	}
	one, more := foundOf(o, &f.Parts[panel])
	if said = append(said, more...); said.Stopped() {
		return Face{}, said
	}
	if o.Face.Backed != "" {
		f.part(Part{Ref: o.ref(ref.Backing), Paints: "/backed", Name: "backing", Title: "Firm backing of the panel",
			Role: Backing, Cloth: o.Face.Backed, Size: f.Parts[panel].Size.UpTo(o.Step)}, 1)
	}
	f.Found = []Found{one}
	f.Columns, f.Rows, f.Bands, f.Corners = 0, 0, nil, nil
	for i := range f.Cells {
		f.Cells[i].Row, f.Cells[i].Column, f.Cells[i].Band = 0, 0, 0
	}
	f.Grids = []Grid{{Columns: 1, Rows: 1, Sewn: f.Grids[0].Sewn, Patches: 1}}
	return f, said
}

// foundOf is how a panel is cut, by its kind. A counted one is cut along its squares, so
// that it may be a little larger than its seams need.
func foundOf(o Order, part *Part) (Found, finding.List) {
	var said finding.List
	p := o.Face.Panel
	out := Found{Kind: plan.ClothPanel, Backed: o.Face.Backed != ""}
	if p != nil {
		out.Kind = p.Kind
	}
	switch out.Kind {
	case plan.CountedPanel:
		design := [2]int{p.Across, p.Up}
		square := length.Inch.Float() / p.Count
		along := func(i int, s sum.Sum, name string) sum.Sum {
			needed := (s.Total().Float()/square - float64(design[i])) / 2
			out.Outside[i] = int(math.Ceil(needed - 1e-6))
			out.Squares[i] = design[i] + 2*out.Outside[i]
			whole := length.FromFloat(float64(out.Squares[i]) * square)
			return s.Plus(sum.Step, name, whole-s.Total())
		}
		out.Shows = p.Margin
		part.Size = sum.Size{Width: along(0, part.Size.Width, "up to whole squares"),
			Height: along(1, part.Size.Height, "up to whole squares")}
	case plan.PrintedPanel:
		said = append(said, out.cutApart(o, p, part.Size)...)
	case plan.WorkedPanel:
		if !out.Backed {
			said.Add(finding.Warn, "panel-gives", o.Path+"/backed",
				"A hooked or knitted panel gives, and sags between its seams.",
				"Back it with firm fabric first, and treat both as one.")
		}
	}
	out.Size = part.Size
	return out, said
}

// cutApart finds where a printed panel is cut so that what has to be in the middle stays
// there.
func (f *Found) cutApart(o Order, p *plan.FoundPanel, size sum.Size) finding.List {
	var said finding.List
	if p.Width == 0 || p.Height == 0 {
		return said
	}
	middle := func(given *length.Length, whole length.Length) length.Length {
		if given != nil {
			return *given
		}
		return whole / 2
	}
	x, y := middle(p.Left, p.Width), middle(p.Top, p.Height)
	w, h := size.Width.Total(), size.Height.Total()
	f.Printed, f.Middle = true, [2]length.Length{x, y}
	f.From = [4]length.Length{x - w/2, p.Width - x - w/2, y - h/2, p.Height - y - h/2}
	for i, name := range []string{"left", "right", "top", "bottom"} {
		if f.From[i] >= 0 {
			continue
		}
		keys := []string{"width", "width", "height", "height"}
		room := 2 * min(x, p.Width-x)
		if i > 1 {
			room = 2 * min(y, p.Height-y)
		}
		said.Add(finding.Stop, "panel-short", o.Path+"/patch/"+keys[i],
			fmt.Sprintf("The print ends %s too soon at the %s for its middle to stay in the middle.",
				o.Style.Text(-f.From[i]), name),
			fmt.Sprintf("Let it show %s at most there, or put a border round it.",
				o.Style.Text(max(room-2*o.Seam, 0).Floor(o.Step))))
	}
	return said
}

// without is a list without what has a code.
func without(list finding.List, code string) finding.List {
	var out finding.List
	for _, f := range list {
		if f.Code != code {
			out = append(out, f)
		}
	}
	return out
}
