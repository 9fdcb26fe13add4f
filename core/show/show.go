// Package show tells what the stages of a reckoning made: every size as text in the plan's unit and
// exact, every sum by its name, drawings in nanometres.
package show

import (
	"cmp"
	"slices"

	"umschlag/core/answer"
	"umschlag/core/back"
	"umschlag/core/cover"
	"umschlag/core/cutting"
	"umschlag/core/edging"
	"umschlag/core/finding"
	"umschlag/core/fit"
	"umschlag/core/fitting"
	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/pads"
	"umschlag/core/panel"
	"umschlag/core/plan"
	"umschlag/core/sample"
	"umschlag/core/sum"
	"umschlag/core/supply"
	"umschlag/core/work"
)

// Panel is a piece with a face, and what it is cut from.
type Panel struct {
	panel.Panel
	// Cuts are the ids of the cuts of its parts, and Strips how many a long one is joined from.
	Cuts   []string
	Strips int
}

// Back is the back of a cushion.
type Back struct {
	back.Back
	Piece cover.Piece
	// Size it is cut to, Finished on its seam line, and Spare what it has beyond its front on every side
	// until it is sewn on.
	Size, Finished sum.Size
	Spare          length.Length
	// Cloth of its pieces, Waits the gate they are cut after, and Chains what quilting makes of them.
	Cloth, Waits string
	Chains       map[int]layers.Chain
}

// Result is what the stages made of a settled plan. Where one of them stopped, the later ones made nothing.
type Result struct {
	Plan   plan.Plan
	Cover  cover.Cover
	Panels []Panel
	// Front is what the measurement of a cushion's front means, Guide where it is trimmed, and Back what
	// closes it; nil for other covers.
	Front *fit.Panel
	Guide *fit.Guide
	Back  *Back
	// List is what is cut, as the lays take it.
	List     *cutting.List
	Fittings []fitting.Fitted
	Edges    edging.Edges
	Pad      *edging.Pad
	Cloths   []supply.Cloth
	Steps    []work.Step
	// Things are what is bought besides cloth, with how much of it, in the order they come up.
	Things   []sum.Named
	Findings finding.List
	// Cupboard, Made, Notions, Samples and Past are those of the workshop.
	Cupboard supply.Cupboard
	Made     []plan.MadeUnits
	Notions  []plan.Notion
	Samples  sample.Shelf
	Past     map[string][]float64
}

// teller writes a result down.
type teller struct {
	Result
	style length.Style
	out   answer.Reckoning
	// shift is how far the outlines of a measured front lie from where they were planned, right and down.
	shift [2]int64
	// beside tells only what is seen beside the sheet, and of sums those with these names.
	beside bool
	sums   []string
}

// Of is the reckoning of a result. A plan that cannot be cut has only its findings and what does not hang
// on its sizes: half a cutting list is worse than none.
func Of(r Result) answer.Reckoning {
	t := begun(r)
	if !r.Findings.Stopped() {
		onSheet(t)
		cloths(t)
		steps(t)
	}
	return t.out
}

// OnSheet is what of a reckoning is seen beside the sheet while a value is typed: neither steps nor layouts, which take
// as long to tell as all the rest, nor how seams are pressed, and of the sums those whose names are given.
func OnSheet(r Result, sums []string) answer.Reckoning {
	t := begun(r)
	t.beside, t.sums = true, sums
	if !r.Findings.Stopped() {
		onSheet(t)
	}
	return t.out
}

// begun is what is told of every plan.
func begun(r Result) *teller {
	t := &teller{Result: r, style: r.Plan.Style(), out: empty(r.Plan)}
	t.out.Findings = append(t.out.Findings, r.Findings...)
	return t
}

func onSheet(t *teller) {
	measured(t)
	pieces(t)
	cuts(t)
	units(t)
	things(t)
	fittings(t)
	joined(t)
	strips(t)
	pad(t)
	wanted(t)
	counts(t)
	padsSold(t)
	t.out.Inspections = work.Inspections(t.Plan)
	cost(t)
}

// padsSold are the pads that shops have for a cushion as it finishes inside its flange.
func padsSold(t *teller) {
	o := t.Plan.Object
	if !t.Cover.ByBack || o.Make != nil || len(t.Cover.Pieces) == 0 {
		return
	}
	inside := t.Cover.Pieces[0].Finished
	order := pads.Order{Width: inside.Width.Total() - 2*t.Plan.Cover.Flange,
		Height: inside.Height.Total() - 2*t.Plan.Cover.Flange, Round: o.Round(), Unit: t.Plan.Units,
		Fill: cmp.Or(o.Fill, "polyester")}
	for _, f := range pads.Of(order) {
		t.out.Pads = append(t.out.Pads, answer.PadFit{Size: answer.Size{Width: t.l(f.Width), Height: t.l(f.Height)},
			Round: f.Round, How: string(f.How), Why: f.Why})
	}
}

// empty is the reckoning of a plan before anything is made.
func empty(p plan.Plan) answer.Reckoning {
	out := answer.Reckoning{Format: answer.Format, Title: p.Title, Schools: p.Habits.Chosen(),
		Pieces: []answer.Piece{}, Cuts: []answer.Cut{}, Units: []answer.Units{},
		Lengths: []answer.Notion{}, Joins: []answer.Join{},
		Net: [][][]answer.Spot{}, Strips: []answer.Strips{}, Fittings: []answer.Fitting{}, Counts: map[string]int{},
		Cloths: []answer.ClothNeed{},
		Sums:   map[string][]answer.Term{}, Steps: []answer.Step{}, Piles: []answer.Pile{}, Remedies: []fit.Remedy{},
		Findings: []finding.Finding{}}
	return out
}

func (t *teller) l(l length.Length) answer.L { return answer.Show(l, t.style) }

func (t *teller) size(s sum.Size) answer.Size {
	return answer.Size{Width: t.l(s.Width.Total()), Height: t.l(s.Height.Total())}
}

// explain keeps the terms of a size under its name.
func (t *teller) explain(name string, s sum.Size) {
	t.explainSum(name+".width", s.Width)
	t.explainSum(name+".height", s.Height)
}

func (t *teller) explainSum(name string, s sum.Sum) {
	if t.beside && !slices.Contains(t.sums, name) {
		return
	}
	t.out.Sums[name] = answer.TermsOf(s, t.style)
}

// measured tells what the measurement of a front means, and where it is trimmed.
func measured(t *teller) {
	if t.Front != nil {
		t.out.Remedies = append(t.out.Remedies, t.Front.Remedies...)
	}
	if g := t.Guide; g != nil {
		two := func(l [2]length.Length) [2]answer.L { return [2]answer.L{t.l(l[0]), t.l(l[1])} }
		t.out.Guide = &answer.Guide{Top: two(g.Top), Right: two(g.Right), Bottom: two(g.Bottom), Left: two(g.Left),
			Fits: g.Fits, Skew: t.l(g.Skew), Off: t.l(g.Off)}
	}
}

// things are what is bought, each a length with its sum.
func things(t *teller) {
	for _, n := range t.Things {
		t.out.Lengths = append(t.out.Lengths, t.thing(n))
		t.explainSum(n.Name, n.Sum)
	}
}

func (t *teller) thing(n sum.Named) answer.Notion {
	return answer.Notion{What: n.Name, Length: t.l(n.Sum.Total())}
}
