package reckon

import (
	"fmt"
	"math"
	"slices"

	"umschlag/core/answer"

	"umschlag/core/cover"
	"umschlag/core/edge"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/core/work"
)

// longestBias is more of one cloth than anyone cuts up for strips.
const longestBias = 3 * length.Metre

// thinEdge is how thick an open edge is taken to be where no bulk is given. Common
// practice.
const thinEdge = length.Inch / 16

// edging is a strip on its way: what for, how wide and how long.
type edging struct {
	what, title, about string
	cloth              string
	grain              plan.Grain
	width, need        sum.Sum
}

// piping sizes the cord and its strips for every seam it belongs to.
func (r *run) piping(c cover.Cover) {
	p := r.p.Edges.Piping
	if p == nil {
		return
	}
	var need sum.Sum
	for _, j := range c.Joins {
		if j.Piped == 0 {
			continue
		}
		for range j.Count {
			need = need.Then(edge.PipingLength(j.Piped, j.Closed))
		}
	}
	if len(need) == 0 {
		return
	}
	if p.Bought {
		r.notion("piping, bought", need)
		r.edges = append(r.edges, work.Edging{What: "piping", Bought: true, Length: need.Total()})
		return
	}
	r.notion("piping cord", need)
	e := edging{what: "piping", title: "Piping", about: "/edges/piping", cloth: p.Cloth, grain: p.Grain, need: need,
		width: edge.PipingWidth(p.Cord, r.p.Cover.Seam, r.p.Habits.Step)}
	if p.Grain == plan.StraightGrain && slices.ContainsFunc(c.Pieces, cover.Piece.Shaped) {
		r.find(finding.List{{Level: finding.Warn, Code: "piping-straight", About: "/edges/piping/grain",
			Text: "The seam goes round curves, and a strip on the straight grain does not: it puckers.", Remedy: "Cut the strips on the bias."}})
	}
	r.strip(e)
}

// binding sizes the strips of an open edge.
func (r *run) binding(c cover.Cover) {
	open := openEdge(c)
	if r.p.Object.Kind != plan.Box || len(open) == 0 || r.p.Cover.Bottom.Finish == "hem" || r.p.Cover.Bottom.Finish == "raw" {
		return
	}
	need := edge.BindingLength(open)
	r.notion("binding", need)
	b := r.p.Edges.Binding
	if b == nil || b.Style == plan.BoughtBinding {
		return
	}
	width := edge.TapeWidth(b.Shows, r.p.Habits.Step)
	if b.Style == plan.DoubleBinding {
		thick := r.p.Cover.Bulk
		if thick == 0 {
			thick = thinEdge
		}
		width = edge.BindingWidth(b.Shows, thick, r.p.Habits.Step)
	}
	r.strip(edging{what: "binding", title: "Binding", about: "/edges/binding", cloth: b.Cloth, grain: b.Grain, width: width, need: need})
}

// enclosed finds seams that are to be enclosed where nothing encloses them.
func (r *run) enclosed() {
	k := r.p.Cover.Kind
	if r.p.Edges.Inside != "enclosed" || k == plan.Pad || k == plan.Jacket || (k == plan.Cushion && r.p.Back.Lined) {
		return
	}
	r.find(finding.List{{Level: finding.Warn, Code: "inside-open", About: "/edges/inside",
		Text: "The raw edges lie open inside: this cover has no lining that encloses them.", Remedy: "Zigzag, overlock or bind them; a folded back with a full lining encloses them."}})
}

// insideTape is what binds the seam allowances of every seam inside.
func (r *run) insideTape(c cover.Cover) {
	if r.p.Edges.Inside != "bound" {
		return
	}
	var s sum.Sum
	for _, j := range c.Joins {
		if j.Folded {
			continue
		}
		for range j.Count {
			s = s.Plus(sum.Part, j.Title, j.Lengths[0].Total())
		}
	}
	if len(s) > 0 {
		r.notion("tape for the seams inside", s)
	}
}

// edgingRoles are what the cloth of strips is for.
var edgingRoles = map[string]ref.Role{"piping": ref.Piping, "binding": ref.Binding}

// strip cuts the strips of an edging from its cloth, straight across it or on the
// bias from a piece of it.
func (r *run) strip(e edging) {
	if e.cloth == "" {
		e.cloth = firstCloth(r.p)
	}
	cloth, _ := r.p.Cloth(e.cloth)
	w, need := e.width.Total(), e.need.Total()
	r.explainSum(e.what+".strip", e.width)
	c := cutting{is: ref.About{Role: edgingRoles[e.what]}, piece: e.what, part: "strip", cloth: e.cloth, about: e.about, count: 1, mayTurn: true}
	yield, ok := edge.Straight(*cloth.Usable, w, need), true
	if e.grain == plan.OnTheBias {
		yield, ok = edge.BiasFor(need, w, *cloth.Usable, r.p.Habits.Step, longestBias)
	}
	if !ok || len(yield.Strips) == 0 {
		r.find(finding.List{{Level: finding.Stop, Code: "strips", About: e.about,
			Text:   fmt.Sprintf("No piece of %s gives %s in strips of %s.", cloth.Name, r.style.Text(need), r.style.Text(w)),
			Remedy: "Choose a wider cloth, a thinner cord, or buy it ready made."}})
		return
	}
	if e.grain == plan.OnTheBias {
		c.part, c.mayTurn = "bias", false
		c.title = e.title + ", cut into bias strips"
		c.size = sum.Size{Width: sum.Of(sum.Part, "width that gives enough strips", yield.Width), Height: sum.Of(sum.Part, "height of the piece", yield.Height)}
	} else {
		c.shape, c.count = "strip", len(yield.Strips)
		c.title = e.title + " strip"
		c.size = sum.Size{Width: sum.Of(sum.Part, "its share of the length", yield.Width).UpTo(r.p.Habits.Step), Height: e.width}
	}
	id := r.cut(c)
	r.out.Counts[e.what+" strips"] = len(yield.Strips)
	r.out.Strips = append(r.out.Strips, r.lieOf(e, id, yield))
	r.edges = append(r.edges, work.Edging{What: e.what, Cut: id, Width: w, Length: need, Strips: len(yield.Strips), Bias: e.grain == plan.OnTheBias})
}

// lieOf shows how the strips of an edging lie on their cloth.
func (r *run) lieOf(e edging, cut string, y edge.Yield) answer.Strips {
	out := answer.Strips{What: e.what, Cut: cut, Bias: e.grain == plan.OnTheBias, Width: r.l(e.width.Total()), Need: r.l(e.need.Total()), Joined: r.l(y.Joined), Area: r.l(y.Area),
		Cloth: answer.Size{Width: r.l(y.Width), Height: r.l(y.Height)}, Lie: []answer.StripLie{}}
	for _, s := range y.Strips {
		lie := answer.StripLie{Length: r.l(s.Length), Corners: []answer.Point{}}
		for _, p := range s.Corners {
			lie.Corners = append(lie.Corners, answer.Point{X: int64(math.Round(p.X)), Y: int64(math.Round(p.Y))})
		}
		out.Lie = append(out.Lie, lie)
	}
	return out
}

// fibreLeast and fibreMost are grams of fibre for a pad: so much times its area in
// square inches to the power of one and a half. Common practice.
const (
	fibreLeast = 0.051
	fibreMost  = 0.086
)

// form cuts a pad that is made at home, and says what fills it.
func (r *run) form() {
	m := r.p.Object.Make
	if m == nil {
		return
	}
	o, seam := r.p.Object, r.p.Cover.Seam
	cloth := m.Cloth
	if cloth == "" {
		cloth = firstCloth(r.p)
	}
	width := sum.Of(sum.Part, "pad across", o.Width).Between(sum.Seam, "seam allowance", seam)
	c := cutting{is: ref.About{Role: ref.FormPanel}, piece: "form", part: "panel", title: "Pad, inner cloth", cloth: cloth, about: "/object/make", count: 2, mayTurn: true,
		size: sum.Size{Width: width, Height: sum.Of(sum.Part, "pad up", o.Height).Between(sum.Seam, "seam allowance", seam)}}
	if m.Fold {
		c.count, c.title = 1, "Pad, inner cloth, folded at the bottom"
		c.size.Height = sum.Of(sum.Part, "pad up", o.Height).Plus(sum.Part, "pad up, behind the fold", o.Height).Between(sum.Seam, "seam allowance", seam)
	}
	if o.Shape == plan.RoundShape {
		c.shape = "template"
	}
	c.size = c.size.UpTo(r.p.Habits.Step)
	r.cut(c)
	if m.Tab > 0 {
		r.cut(cutting{is: ref.About{Role: ref.FormTab}, piece: "form", part: "tab", title: "Pad, tab at the gap", cloth: cloth, about: "/object/make/tab", count: 2, mayTurn: true,
			size: sum.Size{Width: sum.Of(sum.Part, "as long as the gap", m.Gap), Height: sum.Of(sum.Part, "stands out", m.Tab)}.Between(sum.Seam, "seam allowance", seam).UpTo(r.p.Habits.Step)})
	}
	inch := length.Inch.Float()
	area := o.Width.Float() / inch * o.Height.Float() / inch
	if o.Shape == plan.RoundShape {
		area *= math.Pi / 4
	}
	weight := math.Pow(area, 1.5)
	r.out.Fibre = &answer.Fibre{Gate: ref.PadFilled.String(), Least: math.Round(fibreLeast * weight), Most: math.Round(fibreMost * weight)}
	r.filled()
	r.madeForm = &work.Form{Fold: m.Fold, Tab: m.Tab, Gap: m.Gap, Least: r.out.Fibre.Least, Most: r.out.Fibre.Most}
}

// filled holds the fibre that was weighed against what the pad takes.
func (r *run) filled() {
	f := r.out.Fibre
	i, m, ok := r.p.MeasuredAt(ref.PadFilled)
	if !ok || m.Weight == 0 {
		return
	}
	f.Weighed = &m.Weight
	about := finding.Path("measured", i)
	switch {
	case m.Weight < f.Least:
		r.find(finding.List{{Level: finding.Warn, Code: "fibre-little", About: about, Text: fmt.Sprintf("%g g of fibre are %g g less than the pad takes: it will hang limp in its cover.", m.Weight, f.Least-m.Weight),
			Remedy: fmt.Sprintf("Weigh out %g to %g g.", f.Least, f.Most)}})
	case m.Weight > f.Most:
		r.find(finding.List{{Level: finding.Warn, Code: "fibre-much", About: about, Text: fmt.Sprintf("%g g of fibre are %g g more than the pad takes: it will be hard, and strain its seams.", m.Weight, m.Weight-f.Most),
			Remedy: fmt.Sprintf("Weigh out %g to %g g.", f.Least, f.Most)}})
	}
}
