package reckon

import (
	"fmt"
	"strings"

	"umschlag/core/answer"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/fitting"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/work"
)

// fittings places what is sewn onto the pieces, and adds its cuts.
func (r *run) fittings(c cover.Cover) {
	order := fittingOrder(r.p, c)
	order.Zones = r.zones
	placed, found := fitting.Place(order)
	r.find(found)
	for _, f := range placed {
		out := answer.Fitting{Index: f.Index, Key: r.p.Fittings[f.Index].Key, Title: f.Title, On: f.On, Boxes: []answer.Box{}, Round: f.Round, Lines: []answer.Line{}, From: answer.Distances{Left: r.l(f.From.Left), Right: r.l(f.From.Right), Top: r.l(f.From.Top), Bottom: r.l(f.From.Bottom)}, Check: f.Check, Fixing: f.Fixing}
		for _, l := range f.Lines {
			out.Lines = append(out.Lines, answer.Line{X1: int64(l.X1), Y1: int64(l.Y1), X2: int64(l.X2), Y2: int64(l.Y2)})
		}
		for _, b := range f.Boxes {
			out.Boxes = append(out.Boxes, answer.Box{X: int64(b.X), Y: int64(b.Y), Width: int64(b.Width), Height: int64(b.Height)})
		}
		r.out.Fittings = append(r.out.Fittings, out)
		for i, part := range f.Parts {
			c := cutting{is: ref.About{Of: r.p.Fittings[f.Index].Key, Role: ref.FittingPart, No: i + 1}, piece: f.On, part: part.Title, title: f.Title + part.Adds,
				cloth: r.fittingCloth(f), size: part.Size, count: part.Count, mayTurn: true, about: finding.Path("fittings", f.Index)}
			r.cut(c)
			r.within(f, part, c)
		}
		r.bought(f)
		r.sewnOn = append(r.sewnOn, work.Fitting{No: f.Index + 1, Key: r.p.Fittings[f.Index].Key, Title: f.Title, On: f.On, Check: f.Check, Fixing: f.Fixing, Late: f.Late})
	}
}

// within adds what lies inside a part of a fitting.
func (r *run) within(f fitting.Fitted, part fitting.Part, c cutting) {
	if f.Layers == nil {
		return
	}
	outer := c
	c.about += "/layers"
	if b := f.Layers.Batting; b != nil && b.Count > 0 {
		c.is.Layer = "batting"
		c.part, c.layer, c.cloth, c.title = "batting", "batting", b.Cloth, "Batting of the "+strings.ToLower(f.Title)
		c.size, c.count = part.Inside.UpTo(r.p.Habits.Step), outer.count*b.Count
		r.cut(c)
	}
	if f.Layers.Lining != "" {
		c.is.Layer = "lining"
		c.part, c.layer, c.cloth, c.title = "lining", "lining", f.Layers.Lining, "Lining of the "+strings.ToLower(f.Title)
		c.size, c.count = outer.size, outer.count
		r.cut(c)
	}
}

func fittingOrder(p plan.Plan, c cover.Cover) fitting.Order {
	return fitting.Order{Fittings: p.Fittings, Pieces: c.Pieces, Seam: p.Cover.Seam, Step: p.Habits.Step, Doubled: p.Cover.Kind == plan.Pad, Ends: p.Habits.Ends, Style: p.Style()}
}

// bought adds what is bought for a fitting.
func (r *run) bought(f fitting.Fitted) {
	for _, n := range f.Notions {
		r.notion(fmt.Sprintf("%s, %s %d", n.What, strings.ToLower(f.Title), f.Index+1), n.Length)
	}
	if f.Buttons > 0 {
		r.out.Counts["buttons"] += f.Buttons
	}
}

// Move is the place of a fitting of the plan with the corner of its first box
// brought to x and y, in nanometres on its piece. ok is false where the cover or
// the fitting cannot be reckoned.
func Move(p plan.Plan, index int, x, y length.Length) (at plan.At, ok bool) {
	p = p.Settle()
	if p.Validate().Stopped() {
		return plan.At{}, false
	}
	c, found := cover.Pieces(p)
	if found.Stopped() {
		return plan.At{}, false
	}
	return fittingOrder(p, c).Moved(index, x, y)
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
	return firstCloth(r.p)
}
