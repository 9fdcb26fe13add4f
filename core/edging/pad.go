package edging

import (
	"fmt"
	"math"

	"umschlag/core/cutting"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/panel"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/core/work"
)

// fibreLeast and fibreMost are grams of fibre for a pad: so much times its area in
// square inches to the power of one and a half. Common practice.
const (
	fibreLeast = 0.051
	fibreMost  = 0.086
)

// Pad is the pad of a cover that is made at home, and the grams of fibre it was filled with, where
// they were weighed.
type Pad struct {
	work.Form
	Weighed *float64
}

// PadOf cuts a pad that is made at home, and says what fills it; nil where it is bought.
func PadOf(cuts *cutting.List) *Pad {
	p := cuts.Plan
	m := p.Object.Make
	if m == nil || p.Cover.Rules().Thick { // a pad of two panels is flat
		return nil
	}
	o, seam, step := p.Object, p.Cover.Seam, p.Habits.Step
	cloth := m.Cloth
	if cloth == "" {
		cloth = panel.FirstCloth(p)
	}
	seamed := func(s sum.Sum) sum.Sum { return s.Between(sum.Seam, "seam allowance", seam) }
	c := cutting.Cut{About: ref.About{Role: ref.FormPanel}, Piece: "form", Part: "panel", Title: "Insert, inner fabric",
		Cloth: cloth, At: "/object/make", Count: 2, MayTurn: true,
		Size: sum.Size{Width: seamed(sum.Of(sum.Part, "insert across", o.Width)),
			Height: seamed(sum.Of(sum.Part, "insert up", o.Height))}}
	if m.Fold {
		c.Count, c.Title = 1, "Insert, inner fabric, folded at the bottom"
		c.Size.Height = seamed(sum.Of(sum.Part, "insert up", o.Height).
			Plus(sum.Part, "insert up, behind the fold", o.Height))
	}
	if o.Round() {
		c.Shape = "template"
	}
	c.Size = c.Size.UpTo(step)
	cuts.Add(c)
	if m.Tab > 0 {
		cuts.Add(cutting.Cut{About: ref.About{Role: ref.FormTab}, Piece: "form", Part: "tab",
			Title: "Insert, tab at the gap", Cloth: cloth, At: "/object/make/tab", Count: 2, MayTurn: true,
			Size: sum.Size{Width: seamed(sum.Of(sum.Part, "as long as the gap", m.Gap)),
				Height: seamed(sum.Of(sum.Part, "stands out", m.Tab))}.UpTo(step)})
	}
	inch := length.Inch.Float()
	area := o.Width.Float() / inch * o.Height.Float() / inch
	if o.Round() {
		area *= math.Pi / 4
	}
	weight := math.Pow(area, 1.5)
	pad := &Pad{Form: work.Form{Fold: m.Fold, Tab: m.Tab, Gap: m.Gap, Least: math.Round(fibreLeast * weight),
		Most: math.Round(fibreMost * weight)}}
	pad.filled(p, cuts.Found)
	return pad
}

// filled holds the fibre that was weighed against what the pad takes.
func (f *Pad) filled(p plan.Plan, found *finding.List) {
	i, m, ok := p.MeasuredAt(ref.PadFilled)
	if !ok || m.Weight == 0 {
		return
	}
	f.Weighed = &m.Weight
	about, remedy := finding.Path("measured", i), fmt.Sprintf("Weigh out %g to %g g.", f.Least, f.Most)
	switch {
	case m.Weight < f.Least:
		found.Add(finding.Warn, "fibre-little", about,
			fmt.Sprintf("%g g of fibre are %g g less than the insert takes: it will hang limp in its cover.", m.Weight,
				f.Least-m.Weight), remedy)
	case m.Weight > f.Most:
		found.Add(finding.Warn, "fibre-much", about,
			fmt.Sprintf("%g g of fibre are %g g more than the insert takes: it will be hard, and strain its seams.",
				m.Weight, m.Weight-f.Most), remedy)
	}
}
