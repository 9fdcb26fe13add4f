// Package reckon is the pipeline: a plan goes in, a reckoning comes out. The
// same plan and the same workshop always give the same reckoning. It only leads from stage to stage; what
// a stage knows stands in its own package.
package reckon

import (
	"fmt"
	"maps"
	"slices"
	"strings"

	"umschlag/core/answer"
	"umschlag/core/applique"
	"umschlag/core/back"
	"umschlag/core/cover"
	"umschlag/core/cutting"
	"umschlag/core/edging"
	"umschlag/core/finding"
	"umschlag/core/fit"
	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/outlook"
	"umschlag/core/panel"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sample"
	"umschlag/core/show"
	"umschlag/core/stock"
	"umschlag/core/sum"
	"umschlag/core/supply"
	"umschlag/core/work"
)

// Workshop is what there is besides a plan; nil is an empty one.
type Workshop struct {
	Cloths supply.Cupboard
	// Units are those that are sewn already, in the cupboard.
	Units []plan.MadeUnits
	// ID is the plan's in the cupboard: what is kept for others it does not get.
	ID      string
	Samples sample.Shelf
	// Habits of the workshop, for what a plan does not say about money.
	Habits plan.Habits
	// Notions of the cupboard, for what they cost.
	Notions []plan.Notion
	// Past are the errors of seams that gates of other plans showed, by the title of the
	// plan.
	Past map[string][]float64
	// On is asked between the stages of a reckoning whether anybody still waits for it; nil is yes.
	On func() bool
}

// TooMuch is the code of what is found where a reckoning was stopped because it took too long: it says nothing of the
// plan for good.
const TooMuch = "too-much"

// GoesOn tells whether anybody still waits for what is reckoned.
func (w *Workshop) GoesOn() bool { return w == nil || w.On == nil || w.On() }

// Settle is a plan with every default written out, those of the workshop among them.
func (w *Workshop) Settle(p plan.Plan) plan.Plan {
	if w != nil {
		p.Habits = p.Habits.Priced(w.Habits)
	}
	return p.Settle()
}

// After is the workshop when a plan is cut from its cupboard: what it takes out of it is gone, and
// what it has to buy is not there either way.
func (w Workshop) After(p plan.Plan, r answer.Reckoning) Workshop {
	p = p.Settle()
	w.Cloths = maps.Clone(w.Cloths)
	for _, n := range r.Cloths {
		c, _ := p.Cloth(n.Cloth)
		holder := stock.Holder{Plan: w.ID, Cloth: n.Cloth}
		name, known := w.Cloths.Of(n.Name, holder)
		if !known || n.Done || c.Have != nil || len(c.Odd) > 0 {
			continue
		}
		w.Cloths[name] = stock.Take(w.Cloths[name], holder, length.Length(n.Need.NM), n.Used())
	}
	return w
}

// Reckon computes all that follows from a plan. It never fails: what cannot be
// reckoned is said in the findings.
func Reckon(p plan.Plan, w *Workshop) answer.Reckoning { return show.Of(Make(p, w)) }

// OnSheet computes what of it is seen beside the sheet while a value is typed, with the sums of these names.
func OnSheet(p plan.Plan, w *Workshop, sums []string) answer.Reckoning {
	return show.OnSheet(made(p, w, true), sums)
}

// Make leads a plan through the stages. It ends at the first that stops.
func Make(p plan.Plan, w *Workshop) show.Result { return made(p, w, false) }

func made(p plan.Plan, w *Workshop, beside bool) show.Result {
	unread := p.Unread()
	settled := w.Settle(p)
	if w == nil {
		w = &Workshop{}
	}
	r := &run{Result: show.Result{Plan: settled, Samples: w.Samples, Past: w.Past, Notions: w.Notions,
		Cupboard: w.Cloths, Made: w.Units}, workshop: w, beside: beside}
	r.List = cutting.New(settled, &r.Findings)
	r.find(settled.Validate())
	if !r.stopped() {
		r.cover()
	}
	r.find(slices.DeleteFunc(unread, func(u finding.Finding) bool {
		return slices.ContainsFunc(r.Findings, func(f finding.Finding) bool { return finding.Within(f.About, u.About) })
	}))
	return r.Result
}

// run is one reckoning under way.
type run struct {
	show.Result
	workshop *Workshop
	// beside tells that no steps are shown of it.
	beside bool
}

// goesOn tells whether to go on, at something; it stops where nobody waits any more.
func goesOn(r *run, at string) bool {
	on := r.workshop.GoesOn()
	if !on && !r.stopped() {
		r.Findings.Add(finding.Stop, TooMuch, "/pieces",
			fmt.Sprintf("Working this plan out takes longer than the app waits; it was stopped at %s.", at),
			"Plan less at once: fewer patches, shapes or fittings. Or look at it again when less is asked of this computer.")
	}
	return on
}

// find tells what is found; what several pieces say alike is said once.
func (r *run) find(list finding.List) {
	for _, f := range list {
		if !slices.ContainsFunc(r.Findings, func(g finding.Finding) bool { return g.Says(f) }) {
			r.Findings = append(r.Findings, f)
		}
	}
}

func (r *run) stopped() bool { return r.Findings.Stopped() }

func (r *run) thing(name string, s sum.Sum) {
	r.Things = append(r.Things, sum.Named{Name: name, Sum: s})
}

// cover makes the pieces, by the way their kind of cover closes.
func (r *run) cover() {
	c, found := cover.Pieces(r.Plan)
	r.find(found)
	r.Cover = c
	switch {
	case r.stopped():
	case c.ByBack:
		r.cushion()
	default:
		r.shell()
	}
}

// cushion makes front, gate, back, cloth and work, in that order: the back
// follows the front.
func (r *run) cushion() {
	top, ok := r.face(r.Cover.Pieces[0])
	if !ok {
		return
	}
	if is := top.Face.Finished; panel.Differs(is, top.Piece.Finished) { // smaller or larger, and accepted
		top.Piece.Finished, top.Body.Finished = is, is
		r.Cover.Pieces[0].Finished, r.Cover.Pieces[1].Finished = is, is
	}
	measured, found := fit.Front(fit.Order{Plan: r.Plan, Planned: top.Chain.Trimmed,
		SeamsAcross: top.Face.Crossed(true), SeamsDown: top.Face.Crossed(false)})
	r.find(found)
	r.Front = &measured
	r.find(fit.Rows(r.Plan, top.Face.Bands))
	r.guide(top)
	r.panel(top)
	closure, ok := r.back(r.Cover.Pieces[1], top, measured)
	if !ok {
		return
	}
	r.fittings()
	// The seam round the cover is as long as the front, as it really came out.
	front := r.Cover.Pieces[0]
	front.Finished = measured.Finished(top.Face.Finished)
	along := cover.WayRound(front)
	r.Cover.Joins[0].Lengths, r.Cover.Joins[0].Piped = [2]sum.Sum{along, along}, along.Total()
	r.Cover.Pieces[0].Finished, r.Cover.Pieces[1].Finished = front.Finished, measured.Sewn()
	r.supplies()
	if r.stopped() {
		return
	}
	o := work.Order{Plan: r.Plan, Front: front, Face: r.Panels[0].Face, Applied: top.Applied, Pressed: top.Pressed,
		Pattern: top.Pattern, Borders: top.Borders, Chain: top.Chain, Closing: measured.Closing,
		Finished: front.Finished, Quilted: top.Decided.Quilted(), Cuts: r.worked(), Back: closure,
		Fittings: r.sewnOn(), Edges: r.Edges.Edgings, Made: r.made(), Backings: backed(r)}
	r.steps(func() []work.Step { return work.Steps(o) })
	r.thing("thread", work.Thread(o))
}

// shell makes a cover that is joined from its pieces: each piece, the seams
// between them, cloth and work.
func (r *run) shell() {
	for _, piece := range r.Cover.Pieces {
		p, ok := r.face(piece)
		if !ok {
			return
		}
		r.panel(p)
	}
	r.find(upsideDown(r.Plan, r.Cover, r.Panels))
	r.fittings()
	r.supplies()
	if r.stopped() {
		return
	}
	o := work.ShellOrder{Plan: r.Plan, Cover: r.Cover, Cuts: r.worked(), Fittings: r.sewnOn(), Edges: r.Edges.Edgings,
		Made: r.made(), Backings: backed(r)}
	for _, p := range r.Panels {
		panel := work.ShellPanel{Piece: p.Piece, Chain: p.Chain, Face: p.Face, Applied: p.Applied, Pressed: p.Pressed,
			Pattern: p.Pattern, Borders: p.Borders, Strips: p.Strips, Surplus: p.Surplus()}
		if p.Decided.Quilted() {
			panel.Quilting = p.Decided.Quilting
		}
		o.Panels = append(o.Panels, panel)
	}
	r.steps(func() []work.Step { return work.ShellSteps(o) })
	if len(r.Cover.Zip) > 0 {
		r.thing("zip", r.Cover.Zip)
	}
	r.thing("thread", work.ShellThread(o))
}

// face makes a piece with a face; ok is false where it cannot be made.
func (r *run) face(piece cover.Piece) (p panel.Panel, ok bool) {
	if !goesOn(r, "the "+strings.ToLower(piece.Title)) {
		return p, false
	}
	p, found := panel.Order{Plan: r.Plan, Samples: r.Samples}.Of(piece)
	r.find(found)
	return p, !r.stopped()
}

// panel cuts a piece with a face, and what lies on it and under it.
func (r *run) panel(p panel.Panel) {
	cuts, strips := r.List.Face(p, planned(r, p))
	r.find(p.Unlocked())
	r.List.Shapes(p.Piece, p.Applied)
	for _, t := range applique.Threads(p.Applied) {
		cloth, _ := r.Plan.Cloth(t.Cloth)
		r.thread(t.Name(cloth.Name), t.Length.Times(p.Piece.Count))
	}
	r.List.Under(cutting.Stack{Piece: p.Piece.Name, Chain: p.Chain, Count: p.Piece.Count, At: p.Path,
		Strip: p.Piece.Strip})
	r.Panels = append(r.Panels, show.Panel{Panel: p, Cuts: cuts, Strips: strips})
}

// planned is a piece as it was before its centre was measured.
func planned(r *run, p panel.Panel) panel.Panel {
	if _, _, was := r.Plan.MeasuredAt(ref.FrontCentre); !was || !p.Chain.BordersAfter() {
		return p
	}
	before := r.Plan
	before.Measured = slices.DeleteFunc(slices.Clone(before.Measured),
		func(m plan.Measured) bool { return m.Gate == ref.FrontCentre.String() })
	planned, _ := panel.Order{Plan: before, Samples: r.Samples}.Of(p.Piece)
	return planned
}

// thread adds to a thread that may be needed on several pieces or late as well.
func (r *run) thread(name string, l length.Length) {
	for i, n := range r.Things {
		if n.Name == name {
			r.Things[i].Sum = sum.Of(sum.Part, "before", n.Sum.Total()).Plus(sum.Part, "more of it", l)
			return
		}
	}
	r.thing(name, sum.Of(sum.Part, "what shows, by the thread its stitch takes", l))
}

// guide finds where a quilted front is trimmed, when its sides and diagonals are measured.
func (r *run) guide(top panel.Panel) {
	i, m, ok := r.Plan.MeasuredAt(ref.FrontUntrimmed)
	if !ok || !top.Decided.Quilted() {
		return
	}
	g, found := fit.Trim(r.Plan, m, finding.Path("measured", i), top.Chain.Trimmed)
	r.find(found)
	if g != (fit.Guide{}) {
		r.Guide = &g
	}
}

// spareBack is what a back has beyond a hooked or knitted front on every side: where its
// last row runs is seen only when it is sewn. Common practice.
const spareBack = length.Inch / 2

// back makes the closure from the front as it really is.
func (r *run) back(piece cover.Piece, top panel.Panel, m fit.Panel) (back.Back, bool) {
	q, path := r.Plan.Piece(piece.Config), panel.Path(r.Plan, piece.Config)
	face := panel.Order{Plan: r.Plan, Samples: r.Samples}.Face(q)
	if face.Kind != plan.PlainFace || len(face.Applique) > 0 || face.Pocket != "" {
		r.Findings.Add(finding.Stop, "back-face", path+"/face/kind",
			"A back is cut plain, and this one has a design of more than one piece of fabric.",
			"Give the back a plain design of its own.")
		return back.Back{}, false
	}
	out := show.Back{Piece: piece, Size: m.Back, Cloth: face.Cloth, Finished: m.Sewn()}
	if r.Plan.Back.Cloth != "" {
		out.Cloth = r.Plan.Back.Cloth
	}
	cut := m.Back
	// sewn against the work of the front and trimmed to it
	if f := top.Face; f.Rings == 0 && len(f.Found) == 1 && f.Found[0].Kind == plan.WorkedPanel {
		out.Spare = spareBack
		cut = cut.Each(func(s sum.Sum) sum.Sum {
			return s.Plus(sum.Squaring, "trimmed to the front when it is sewn", 2*out.Spare)
		})
	}
	order := back.Order{Plan: r.Plan.Back, Front: cut, Finished: out.Finished.Width.Total(),
		High: out.Finished.Height.Total(), Seam: r.Plan.Cover.Seam, Flange: r.Plan.Cover.Flange, Pad: r.Plan.Object,
		Step: r.Plan.Habits.Step, Style: r.Plan.Style(), Thick: thicker(r.Plan, out.Cloth)}
	b, found := back.Build(order)
	r.find(found)
	if r.stopped() {
		return b, false
	}
	out.Back = b
	if !m.Measured && plan.BackWaits(r.Plan) {
		out.Waits = work.FrontGate(r.Plan.Piece("front").Quilted()).String()
	}
	out.Chains = r.List.Back(cutting.Backing{Piece: piece, Decided: q, Path: path, Cloth: out.Cloth, Back: b,
		Across: cut.Width.Total(),
		Most:   most(order, top, out.Spare), Waits: out.Waits, Off: len(m.Remedies) > 0, Samples: r.Samples})
	for _, n := range b.Notions {
		r.thing(n.What, n.Length)
	}
	r.Back = &out
	return b, true
}

// most is the back of the largest front that may be measured with nothing wrong: what is kept for it
// until then. spare is what it has beyond the front on every side.
func most(o back.Order, top panel.Panel, spare length.Length) back.Back {
	more := outlook.Reserve(top.Face) + 2*spare
	o.Front = top.Chain.Trimmed.Each(func(s sum.Sum) sum.Sum { return s.Plus(sum.Part, "as it may come out", more) })
	o.Finished, o.High = o.Front.Width.Total()-2*(spare+o.Seam), o.Front.Height.Total()-2*(spare+o.Seam)
	b, _ := back.Build(o)
	return b
}

// thicker is how thick a cloth is that is thicker than usual; 0 for others.
func thicker(p plan.Plan, cloth string) length.Length {
	if beyond := layers.Beyond(p, cloth); beyond > 0 {
		return layers.Thick(nil) + beyond
	}
	return 0
}

// supplies sizes the edges, lays out all that is cut, and holds the seams of the cover against each other.
func (r *run) supplies() {
	r.find(fit.Joins(r.Cover, r.Plan.Style()))
	r.Edges = edging.Of(r.Cover, r.List)
	r.Things = append(r.Things, r.Edges.Things...)
	r.Pad = edging.PadOf(r.List)
	if !goesOn(r, "the cutting layouts") {
		return
	}
	cutting.Left(r.List)
	r.Cloths = supply.Of(r.List, r.Cupboard, r.workshop.ID)
	for _, c := range r.Cloths {
		if len(c.Backing) > 0 {
			r.thing("light interfacing, behind "+c.Name, c.Backing)
		}
	}
}

// backed are the cloths that are backed before they are cut.
func backed(r *run) []work.Backed {
	var out []work.Backed
	for _, c := range r.Cloths {
		if len(c.Backing) > 0 {
			b := work.Backed{Cloth: c.Letter, Name: c.Name, Length: c.Squared()}
			for _, odd := range c.Odd {
				b.Odd += odd.Count
			}
			out = append(out, b)
		}
	}
	return out
}

// steps makes the steps, and finds measurements that belong to none of them or to an edge that is off. Beside the sheet
// they are needed for that alone.
func (r *run) steps(list func() []work.Step) {
	if r.beside && len(r.Plan.Measured) == 0 {
		return
	}
	r.Steps = list()
	r.find(fit.Unknown(r.Plan, r.Steps))
	for _, s := range r.Steps {
		r.find(fit.Judge(r.Plan, s))
	}
}

// worked is what the work needs to know of what is cut.
func (r *run) worked() []work.Cut {
	var out []work.Cut
	for _, c := range r.List.Cuts {
		if !c.Had {
			out = append(out, work.Cut{ID: c.ID, Piece: c.Piece, Cloth: c.Cloth,
				Least: min(c.Size.Width.Total(), c.Size.Height.Total()),
				Under: c.Layer != cutting.Outer, Shape: c.LaidOn, Border: c.About.Ring > 0})
		}
	}
	return out
}

// sewnOn is what the work needs to know of fittings.
func (r *run) sewnOn() []work.Fitting {
	var out []work.Fitting
	for _, f := range r.Fittings {
		out = append(out, work.Fitting{No: f.Index + 1, Key: r.Plan.Fittings[f.Index].Key, Title: f.Title, On: f.On,
			Check: f.Check, Making: f.Making, Fixing: f.Fixing, Loose: f.Strip, Tip: f.Tip,
			Padded: f.Layers != nil && f.Layers.Batting != nil, Caution: f.Caution, Hand: f.Hand, Late: f.Late})
	}
	return out
}

// made is a pad that is made at home; nil where it is bought.
func (r *run) made() *work.Form {
	if r.Pad == nil {
		return nil
	}
	return &r.Pad.Form
}
