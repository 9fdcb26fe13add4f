// Package edging sizes what goes into and round the edges of a cover: piping, binding, the tape that
// binds the seams inside; and the pad that is made at home.
package edging

import (
	"fmt"
	"slices"

	"umschlag/core/cover"
	"umschlag/core/cutting"
	"umschlag/core/edge"
	"umschlag/core/finding"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/panel"
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

// Strips are what an edging is made from.
type Strips struct {
	// What is piping or binding, Cut the piece its strips are cut from, Bias tells that they are cut
	// slantwise from it.
	What, Cut string
	Bias      bool
	// Width of a strip, Need the length wanted, and Yield how they lie on their cloth.
	Width, Need sum.Sum
	Yield       edge.Yield
}

// Edges are all edgings of a cover, in the order they are made.
type Edges struct {
	Edgings []work.Edging
	Strips  []Strips
	// Things are what is bought for them, with how much of it.
	Things []sum.Named
}

// order is what edgings are made for.
type order struct {
	plan  plan.Plan
	cover cover.Cover
	cuts  *cutting.List
	found *finding.List
	out   Edges
}

// Of sizes the edgings of a cover, and puts their strips on the list of what is cut for its plan.
func Of(c cover.Cover, cuts *cutting.List) Edges {
	o := &order{plan: cuts.Plan, cover: c, cuts: cuts, found: cuts.Found}
	o.piping()
	o.binding()
	o.insideTape()
	o.enclosed()
	return o.out
}

func (o *order) thing(name string, s sum.Sum) {
	o.out.Things = append(o.out.Things, sum.Named{Name: name, Sum: s})
}

// strip is an edging on its way: what for, how wide and how long.
type strip struct {
	what, title, at string
	role            ref.Role
	cloth           string
	grain           plan.Grain
	joins           plan.Joins
	width, need     sum.Sum
}

// piping sizes the cord and its strips for every seam it belongs to.
func (o *order) piping() {
	p := o.plan.Edges.Piping
	if p == nil {
		return
	}
	var need sum.Sum
	for _, j := range o.cover.Joins {
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
		o.thing("piping, bought", need)
		o.out.Edgings = append(o.out.Edgings, work.Edging{What: "piping", Bought: true, Length: need.Total()})
		return
	}
	o.thing("piping cord", need)
	if p.Grain == plan.StraightGrain && slices.ContainsFunc(o.cover.Pieces, cover.Piece.Shaped) {
		o.found.Add(finding.Warn, "piping-straight", "/edges/piping/grain",
			"The seam goes round curves, and a strip on the straight grain does not: it puckers.",
			"Cut the strips on the bias.")
	}
	o.strip(strip{what: "piping", title: "Piping", role: ref.Piping, at: "/edges/piping", cloth: p.Cloth,
		grain: p.Grain, joins: p.Joins, need: need,
		width: edge.PipingWidth(p.Cord, o.plan.Cover.Seam, o.plan.Habits.Step)})
}

// binding sizes the strips of an open edge.
func (o *order) binding() {
	if o.cover.ByBack { // closed all round
		return
	}
	open := openEdge(o.cover)
	if o.plan.Object.Kind != plan.Box || len(open) == 0 || o.plan.Cover.Bottom.Finish == "hem" ||
		o.plan.Cover.Bottom.Finish == "raw" {
		return
	}
	need := edge.BindingLength(open)
	o.thing("binding", need)
	b := o.plan.Edges.Binding
	if b == nil || b.Style == plan.BoughtBinding {
		return
	}
	width := edge.TapeWidth(b.Shows, o.plan.Habits.Step)
	if b.Style == plan.DoubleBinding {
		thick := o.plan.Cover.Bulk
		if thick == 0 {
			thick = thinEdge
		}
		width = edge.BindingWidth(b.Shows, thick, o.plan.Habits.Step)
	}
	o.strip(strip{what: "binding", title: "Binding", role: ref.Binding, at: "/edges/binding", cloth: b.Cloth,
		grain: b.Grain, joins: b.Joins, width: width, need: need})
}

// openEdge is the edge of a hood that is joined to nothing: the bottoms of all
// its pieces.
func openEdge(c cover.Cover) sum.Sum {
	var s sum.Sum
	for _, p := range c.Pieces {
		for _, e := range []struct {
			a    cover.Allowance
			size sum.Sum
		}{{p.Edges.Top, p.Finished.Width}, {p.Edges.Bottom, p.Finished.Width}} {
			if e.a.Kind == sum.Seam {
				continue
			}
			for range p.Count {
				s = s.Plus(sum.Part, p.Title+", open edge", e.size.Total())
			}
		}
	}
	return s
}

// enclosed finds seams that are to be enclosed where nothing encloses them.
func (o *order) enclosed() {
	if o.plan.Edges.Inside != "enclosed" || o.plan.Cover.Rules().Enclosed || (o.cover.ByBack && o.plan.Back.Lined) {
		return
	}
	o.found.Add(finding.Warn, "inside-open", "/edges/inside",
		"The raw edges lie open inside: this cover has no lining that encloses them.",
		"Zigzag, overlock or bind them; a folded back with a full lining encloses them.")
}

// insideTape is what binds the seam allowances of every seam inside.
func (o *order) insideTape() {
	if o.plan.Edges.Inside != "bound" {
		return
	}
	var s sum.Sum
	for _, j := range o.cover.Joins {
		if j.Folded {
			continue
		}
		for range j.Count {
			s = s.Plus(sum.Part, j.Title, j.Lengths[0].Total())
		}
	}
	if len(s) > 0 {
		o.thing("tape for the seams inside", s)
	}
}

// mostMore is how many more strips than the fewest are tried for less cloth.
const mostMore = 6

// straight are the strips of an edging straight across its cloth: the fewest, or as many as make the lay of all that
// is cut of it shortest.
func (o *order) straight(e strip, usable length.Length) edge.Yield {
	w, need := e.width.Total(), e.need.Total()
	best := edge.Straight(usable, w, need)
	if e.joins != plan.LeastCloth || len(best.Strips) == 0 {
		return best
	}
	long := func(y edge.Yield) length.Length {
		cloth, _ := o.plan.Cloth(e.cloth)
		one := lay.Item{Cut: -1, Width: y.Width.Ceil(o.plan.Habits.Step), Height: w,
			Count: len(y.Strips) * o.plan.Copies, MayTurn: cloth.Turns()}
		l, _ := lay.Of(append(o.cuts.Of(e.cloth), one), lay.Cloth{Usable: usable})
		return l.Length
	}
	fewest, least := len(best.Strips), long(best)
	for n := fewest + 1; n <= fewest+mostMore; n++ {
		if y, ok := edge.StraightIn(usable, w, need, n); ok {
			if l := long(y); l < least {
				best, least = y, l
			}
		}
	}
	return best
}

// strip cuts the strips of an edging from its cloth, straight across it or on the
// bias from a piece of it.
func (o *order) strip(e strip) {
	if e.cloth == "" {
		e.cloth = panel.FirstCloth(o.plan)
	}
	cloth, _ := o.plan.Cloth(e.cloth)
	step, text := o.plan.Habits.Step, o.plan.Style().Text
	w, need, bias := e.width.Total(), e.need.Total(), e.grain == plan.OnTheBias
	yield, ok := o.straight(e, *cloth.Usable), true
	if bias {
		yield, ok = edge.BiasFor(need, w, *cloth.Usable, step, longestBias)
	}
	if !ok || len(yield.Strips) == 0 {
		o.found.Add(finding.Stop, "strips", e.at,
			fmt.Sprintf("No piece of %s gives %s in strips of %s.", cloth.Name, text(need), text(w)),
			"Choose a wider fabric, a thinner cord, or buy it ready made.")
		return
	}
	c := cutting.Cut{About: ref.About{Role: e.role}, Piece: e.what, Part: "strip", Cloth: e.cloth, At: e.at, Count: 1,
		MayTurn: true}
	if bias {
		c.Part, c.MayTurn = "bias", false
		c.Title = e.title + ", cut into bias strips"
		c.Size = sum.Size{Width: sum.Of(sum.Part, "width that gives enough strips", yield.Width),
			Height: sum.Of(sum.Part, "height of the piece", yield.Height)}
	} else {
		c.Shape, c.Count = "strip", len(yield.Strips)
		c.Title = e.title + " strip"
		c.Size = sum.Size{Width: sum.Of(sum.Part, "its share of the length", yield.Width).UpTo(step), Height: e.width}
	}
	id := o.cuts.Add(c)
	o.out.Strips = append(o.out.Strips,
		Strips{What: e.what, Cut: id, Bias: bias, Width: e.width, Need: e.need, Yield: yield})
	o.out.Edgings = append(o.out.Edgings,
		work.Edging{What: e.what, Cut: id, Width: w, Length: need, Strips: len(yield.Strips), Bias: bias})
}
