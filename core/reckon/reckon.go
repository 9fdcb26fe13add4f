// Package reckon is the pipeline: a plan goes in, a reckoning comes out. The
// same plan and the same workshop always give the same reckoning.
package reckon

import (
	"fmt"
	"maps"
	"math"
	"slices"
	"strings"

	"umschlag/core/answer"

	"umschlag/core/applique"
	"umschlag/core/back"
	"umschlag/core/block"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/fit"
	"umschlag/core/fitting"
	"umschlag/core/front"
	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/machine"
	"umschlag/core/plan"
	"umschlag/core/press"
	"umschlag/core/quilt"
	"umschlag/core/ref"
	"umschlag/core/sample"
	"umschlag/core/shape"
	"umschlag/core/sum"
	"umschlag/core/work"
)

// Cupboard is what there is of each cloth, by its name, as the cupboard describes it.
type Cupboard map[string]plan.Cloth

// Workshop is what there is besides a plan; nil is an empty one.
type Workshop struct {
	Cloths Cupboard
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
}

// Reckon computes all that follows from a plan. It never fails: what cannot be
// reckoned is said in the findings.
func Reckon(p plan.Plan, w *Workshop) answer.Reckoning {
	r := reckoned(p, w)
	if r.stopped() {
		return withoutHalves(r.out)
	}
	return r.out
}

// Settle is a plan with every default written out, those of the workshop among them.
func (w *Workshop) Settle(p plan.Plan) plan.Plan {
	if w != nil {
		p.Habits = p.Habits.Priced(w.Habits)
	}
	return p.Settle()
}

func reckoned(p plan.Plan, w *Workshop) *run {
	unread := p.Unread()
	p = w.Settle(p)
	if w == nil {
		w = &Workshop{}
	}
	r := &run{p: p, cupboard: w.Cloths, id: w.ID, notions: w.Notions, samples: w.Samples, past: w.Past, style: p.Style(), out: empty(p)}
	r.find(p.Validate())
	if !r.stopped() {
		r.cover()
	}
	r.find(slices.DeleteFunc(unread, func(u finding.Finding) bool {
		return slices.ContainsFunc(r.out.Findings, func(f finding.Finding) bool { return finding.Within(f.About, u.About) })
	}))
	if !r.stopped() {
		r.aboutCells()
		r.sewing()
		r.split()
		r.left()
		r.out.Inspections = work.Inspections(r.p)
		r.cost()
	}
	return r
}

func empty(p plan.Plan) answer.Reckoning {
	return answer.Reckoning{Format: answer.Format, Title: p.Title, Closure: p.Back.Closure(), MeasuredFront: measuredFront(p), Slots: slots(p), Starts: startsOn(p), Schools: p.Habits.Chosen(),
		Pieces: []answer.Piece{}, Cuts: []answer.Cut{}, Lengths: []answer.Notion{}, Joins: []answer.Join{}, Net: [][][]answer.Spot{}, Strips: []answer.Strips{}, Fittings: []answer.Fitting{}, Counts: map[string]int{}, Cloths: []answer.ClothNeed{},
		Sums: map[string][]answer.Term{}, Steps: []answer.Step{}, Piles: []answer.Pile{}, Remedies: []fit.Remedy{}, Findings: []finding.Finding{}}
}

// slots are the pieces that a plan decides about.
func slots(p plan.Plan) []answer.Slot {
	out := []answer.Slot{}
	for _, s := range cover.Slots(p) {
		out = append(out, answer.Slot(s))
	}
	return out
}

// measuredFront is the place of the measurement of the front that holds, nil without one.
func measuredFront(p plan.Plan) *int {
	i, _, ok := p.MeasuredAt(ref.FrontQuilted, ref.FrontSewn)
	if !ok {
		return nil
	}
	return &i
}

// withoutHalves leaves only the findings of a plan that cannot be cut: half a
// cutting list is worse than none.
func withoutHalves(out answer.Reckoning) answer.Reckoning {
	blank := empty(plan.Plan{Title: out.Title})
	blank.Closure, blank.MeasuredFront, blank.Slots, blank.Starts = out.Closure, out.MeasuredFront, out.Slots, out.Starts
	blank.Findings = out.Findings
	return blank
}

// run is one reckoning under way.
type run struct {
	p        plan.Plan
	cupboard Cupboard
	id       string
	notions  []plan.Notion
	samples  sample.Shelf
	past     map[string][]float64
	style    length.Style
	out      answer.Reckoning
	needs    []need
	cuts     []work.Cut
	sewnOn   []work.Fitting
	edges    []work.Edging
	madeForm *work.Form
	// zones that fittings keep off, beyond the hems of whole pieces.
	zones []fitting.Zone
	// spare is what a back has beyond its front on every side until it is sewn on.
	spare length.Length
	// grounds are the pieces with shapes on them, judged when the fittings are placed.
	grounds []ground
}

func (r *run) find(list finding.List) { r.out.Findings = append(r.out.Findings, list...) }

func (r *run) stopped() bool { return finding.List(r.out.Findings).Stopped() }

func (r *run) l(l length.Length) answer.L { return answer.Show(l, r.style) }

func (r *run) size(s sum.Size) answer.Size {
	return answer.Size{Width: r.l(s.Width.Total()), Height: r.l(s.Height.Total())}
}

// explain keeps the terms of a size under its name.
func (r *run) explain(name string, s sum.Size) {
	r.explainSum(name+".width", s.Width)
	r.explainSum(name+".height", s.Height)
}

func (r *run) explainSum(name string, s sum.Sum) { r.out.Sums[name] = answer.TermsOf(s, r.style) }

// panel is one piece on its way through the pipeline.
type panel struct {
	piece plan.Piece
	path  string
	face  front.Face
	chain layers.Chain
	// body is the piece with the edges its face is made with, and across and up what
	// the top has beyond it on each side.
	body       cover.Piece
	across, up length.Length
	// strips is how many a long strip is joined from.
	strips int
	ways   []answer.Way
	// pressed is where the allowances of the face lie.
	pressed press.Plan
	// pattern is the quilting as it is sewn.
	pattern quilt.Pattern
	// applied are the shapes laid on the face.
	applied []applique.Layer
}

// cover reckons the pieces, by the way their kind of cover is made.
func (r *run) cover() {
	c, found := cover.Pieces(r.p)
	r.find(found)
	switch {
	case r.stopped():
	case r.p.Cover.Kind == plan.Cushion:
		r.cushion(c)
	default:
		r.shell(c)
	}
}

// cushion reckons front, gate, back, cloth and work, in that order: the back
// follows the front.
func (r *run) cushion(c cover.Cover) {
	frontPiece, backPiece := c.Pieces[0], c.Pieces[1]
	top := r.front(frontPiece)
	if r.stopped() {
		return
	}
	measured, found := fit.Front(fit.Order{Plan: r.p, Planned: top.chain.Trimmed,
		SeamsAcross: top.face.Crossed(true), SeamsDown: top.face.Crossed(false), Bordered: top.face.Rings > 0})
	r.find(found)
	r.out.Remedies = append(r.out.Remedies, measured.Remedies...)
	r.find(fit.Rows(r.p, top.face.Bands))
	r.guide(top)
	r.showFront(frontPiece, top, measured)
	if f := top.face; f.Rings == 0 && len(f.Found) == 1 && f.Found[0].Kind == plan.WorkedPanel {
		r.spare = spareBack
	}
	closure := r.back(backPiece, measured)
	if r.stopped() {
		return
	}
	r.fittings(c)
	r.judgeShapes()
	// The seam round the cover is as long as the front, as it really came out.
	frontPiece.Finished = r.finished(top, measured)
	along := cover.WayRound(frontPiece)
	c.Joins[0].Lengths, c.Joins[0].Piped = [2]sum.Sum{along, along}, along.Total()
	r.joined(c)
	r.piping(c)
	r.insideTape(c)
	r.enclosed()
	r.form()
	r.cloths()
	if r.stopped() {
		return
	}
	r.work(top, measured, closure, frontPiece)
	r.count(top)
}

// front reckons the face of a piece and what lies under it.
func (r *run) front(piece cover.Piece) panel {
	q := r.p.Piece(piece.Config)
	at := r.keeper(piece.Config, func(q plan.Piece) bool { return q.Face != nil })
	path := finding.Path("pieces", at)
	decided, body := r.faceOf(q), piece
	if decided.Kind != plan.PlainFace {
		body = r.pieced(piece, path)
	}
	trimmed := body.Trimmed(piece.Finished)
	chain, found := layers.Of(path, q, trimmed, r.p.Habits.Step, r.samples)
	r.find(found)
	order := front.Order{Face: decided, Path: path + "/face", Finished: piece.Finished, Trimmed: trimmed, Top: chain.Top,
		Seam: r.p.Cover.Seam, Left: body.Edges.Left.Width, Above: body.Edges.Top.Width, TakeAcross: chain.TakeUp.Across, TakeUp: chain.TakeUp.Along, Margin: chain.Margin, Absorb: q.Absorb,
		Centre: r.centre(piece.Name), Step: r.p.Habits.Step, Style: r.style, Usable: r.usable, Triangles: r.p.Habits.Triangles, Strips: r.p.Habits.Strips}
	face, found := front.Build(order)
	r.find(found)
	if r.stopped() {
		return panel{}
	}
	// The face knows how its parts make up the size; from here on they are its sum.
	trimmed = body.Trimmed(face.Finished)
	if sizeDiffers(face.Finished, piece.Finished) {
		chain = chain.SewnAs(trimmed, face.Sewn, q.Layers, r.p.Habits.Step)
	} else {
		chain, _ = layers.Of(path, q, trimmed, r.p.Habits.Step, r.samples)
	}
	out := panel{piece: q, path: path, face: face, chain: chain, body: body,
		across: (chain.Top.Width.Total() - trimmed.Width.Total()) / 2, up: (chain.Top.Height.Total() - trimmed.Height.Total()) / 2}
	out.chain.Trimmed = piece.Trimmed(face.Finished)
	out.ways = r.ways(order)
	out.applied = applique.Lay(face.Applied)
	out.pattern = quilt.Of(quilt.Order{Quilting: q.Quilting, Width: face.Finished.Width.Total(), Height: face.Finished.Height.Total(),
		Left: body.Edges.Left.Width + out.across, Above: body.Edges.Top.Width + out.up, Wide: chain.Top.Width.Total(), High: chain.Top.Height.Total(), Seams: face.Seams})
	r.find(r.nearSeams(path, out.pattern))
	r.bulky(path, chain.Thick)
	out.pressed = press.Of(press.Order{Face: face, School: r.p.Habits.Press, Quilted: q.Quilted(), Tone: r.tone})
	return out
}

// centre is what is inside the borders of a cushion's front as it was measured.
func (r *run) centre(piece string) plan.Sized {
	_, m, ok := r.p.MeasuredAt(ref.FrontPieced)
	if !ok || piece != "front" || r.p.Cover.Kind != plan.Cushion {
		return plan.Sized{}
	}
	return plan.Sized{Width: m.Width, Height: m.Height}
}

// ways lays the colourways of a face; one that cannot be laid is left out, and its face
// says why when it is chosen.
func (r *run) ways(o front.Order) []answer.Way {
	out := []answer.Way{}
	for _, c := range o.Face.Colourways {
		o := o
		o.Face = r.clothed(c.Face)
		face, found := front.Build(o)
		if !found.Stopped() {
			out = append(out, answer.Way{Key: c.Key, Name: c.Name, Cells: cells(face, make([]string, len(face.Parts)))})
		}
	}
	return out
}

// pieced is the piece with the edges a face of patches is made with.
func (r *run) pieced(piece cover.Piece, path string) cover.Piece {
	body, ok := piece.Pieced(r.p.Cover.Seam)
	if !ok {
		r.find(finding.List{{Level: finding.Stop, Code: "face-edge", About: path + "/face/kind",
			Text:   fmt.Sprintf("The patches of the %s have a seam of %s all round, less than its hem takes.", piece.Name, r.style.Text(r.p.Cover.Seam)),
			Remedy: "Bind the edge, turn a hem no deeper than the seam, or give the piece a plain face."}})
	}
	return body
}

// usable is how wide a cloth is between its selvedges.
func (r *run) usable(cloth string) length.Length {
	described, _ := r.p.Cloth(cloth)
	return *described.Usable
}

// spareBack is what a back has beyond a hooked or knitted front on every side: where its
// last row runs is seen only when it is sewn. Common practice.
const spareBack = length.Inch / 2

func sizeDiffers(a, b sum.Size) bool {
	return a.Width.Total() != b.Width.Total() || a.Height.Total() != b.Height.Total()
}

// keeper is the piece name under which a decision stands: its own, or "*".
func (r *run) keeper(name string, has func(plan.Piece) bool) string {
	if _, common := r.p.Pieces[plan.Common]; common && !has(r.p.Pieces[name]) {
		return plan.Common
	}
	return name
}

// faceOf is the face decided, or a plain one of the first cloth.
func (r *run) faceOf(q plan.Piece) plan.Face {
	face := plan.Face{Kind: plan.PlainFace}
	if q.Face != nil {
		face = *q.Face
	}
	return r.clothed(face)
}

// clothed is a face with the first cloth wherever none is named.
func (r *run) clothed(face plan.Face) plan.Face {
	first := firstCloth(r.p)
	or := func(cloth string) string {
		if cloth == "" {
			return first
		}
		return cloth
	}
	if len(face.Cloths) == 0 && face.Order.Kind != plan.Rows {
		face.Cloth = or(face.Cloth)
	}
	if s, ok := r.samples[face.Sample]; ok && face.Kind == plan.GatheredFace && face.Sampled == nil {
		if ratio, known := sample.Gathered(s); known {
			face.Ratio = ratio.Mean
		}
	}
	if face.Kind == plan.WindowsFace {
		face.Ground, face.Show = or(face.Ground), or(face.Show)
	}
	if face.Sash != nil {
		sash := *face.Sash
		sash.Cloth = or(sash.Cloth)
		face.Sash = &sash
	}
	face.Borders = slices.Clone(face.Borders)
	for i, b := range face.Borders {
		face.Borders[i].Cloth = or(b.Cloth)
	}
	face.Strips = slices.Clone(face.Strips)
	for i, s := range face.Strips {
		face.Strips[i].Cloth = or(s.Cloth)
	}
	face.Applique = slices.Clone(face.Applique)
	for i, s := range face.Applique {
		face.Applique[i].Cloth = or(s.Cloth)
	}
	face.Parts = slices.Clone(face.Parts)
	for i, p := range face.Parts {
		face.Parts[i].Face = r.clothed(p.Face)
	}
	return face
}

// firstCloth is the first letter the plan describes, or A.
func firstCloth(p plan.Plan) string {
	letters := slices.Sorted(maps.Keys(p.Cloths))
	if len(letters) == 0 {
		return "A"
	}
	return letters[0]
}

// finished is the front on its seam line: as planned, or as it was measured.
func (r *run) finished(top panel, m fit.Panel) sum.Size {
	if !m.Measured {
		return top.face.Finished
	}
	one := func(s sum.Sum, seam length.Length) sum.Sum {
		if s[0].Kind != sum.Measured {
			return s[1 : len(s)-1]
		}
		return s.Plus(sum.Seam, "seam allowance", -seam).Plus(sum.Seam, "seam allowance", -seam)
	}
	return sum.Size{Width: one(m.Trimmed.Width, m.Closing[0]), Height: one(m.Trimmed.Height, m.Closing[1])}
}

// notion adds a length of something that is not a piece, with its sum.
func (r *run) notion(what string, s sum.Sum) {
	r.out.Lengths = append(r.out.Lengths, answer.Notion{What: what, Length: r.l(s.Total())})
	r.explainSum(what, s)
}

// showFront puts the front and its cuts into the reckoning.
func (r *run) showFront(piece cover.Piece, top panel, m fit.Panel) {
	out := answer.Piece{Name: piece.Name, Config: piece.Config, Title: piece.Title, Count: piece.Count, BeforeQuilting: r.size(top.chain.Top),
		TakeUp: percent(top.chain.TakeUp), TakeUpFrom: string(top.chain.TakeUp.From), TakeUpRange: ranges(top.chain.TakeUp), Seams: []answer.Seam{}}
	finished := r.finished(top, m)
	out.Trimmed = r.size(m.Trimmed)
	if m.Measured {
		planned := r.size(top.chain.Trimmed)
		out.Planned = &planned
	}
	out.Finished = r.size(finished)
	r.explain("front.planned", piece.Finished)
	r.explain("front.finished", finished)
	r.explain("front", m.Trimmed)
	r.explain("front.before_quilting", top.chain.Top)
	r.outlines(&out, piece, top)
	ids := make([]string, len(top.face.Parts))
	for i, part := range top.face.Parts {
		title := part.Title
		if part.Ref.Role == ref.Panel && part.In == "" && !part.Had {
			title = piece.Title
		}
		ids[i] = r.facePart(&top.face.Parts[i], cutting{is: partOf(piece.Name, part), piece: "front", part: part.Name, title: title, cloth: part.Cloth, size: part.Size, count: part.Count,
			mayTurn: part.Role != front.Panel, about: top.path + "/face", shape: shapeOf(piece, part), gives: part.Gives, patches: part.Patches, finished: part.Finished, had: part.Had, line: part.Line, centred: r.centred(piece.Name, part)})
	}
	out.Cells = cells(top.face, ids)
	out.Quilting = r.quilting(top)
	r.pressing(&out, top)
	r.shapes(&out, piece, top)
	r.under(underneath{piece: "front", name: "front", chain: top.chain, count: 1, about: top.path})
	r.out.Pieces = append(r.out.Pieces, out)
}

// facePart cuts a part of a face; a strip longer than its cloth is wide is joined, where
// its print may be turned with it.
func (r *run) facePart(p *front.Part, c cutting) string {
	described, _ := r.p.Cloth(c.cloth)
	upright := c.size.Height.Total() > c.size.Width.Total()
	if p.Role == front.Backing {
		c.layer, c.mayTurn = "lining", false
	}
	if p.Role == front.Gathered { // a join is lost in the gathers
		c.mayTurn = false
		id, n := r.strips(true, r.p.Cover.Seam, c)
		p.Joined = n
		return id
	}
	if !p.Long() || (upright && !turns(described.Print)) {
		return r.cut(c)
	}
	if upright && c.size.Height.Total() > *described.Usable {
		c.size.Width, c.size.Height = c.size.Height, c.size.Width
	}
	id, n := r.strips(true, r.p.Cover.Seam, c)
	p.Joined = n
	return id
}

// shapeOf is how a part is cut: a panel with rounded or tapered corners by a
// template, everything else by the ruler.
func shapeOf(piece cover.Piece, part front.Part) string {
	if part.Shape == string(block.Square) || part.Shape == string(block.Rect) {
		return "" // told by its size
	}
	if part.Shape != "" {
		return part.Shape
	}
	if piece.Shaped() && part.Role == front.Panel {
		return "template"
	}
	return ""
}

// cells are the parts of a face where they lie, with the cuts they are made of.
func cells(f front.Face, cuts []string) []answer.Cell {
	out := make([]answer.Cell, len(f.Cells))
	for i, c := range f.Cells {
		out[i] = answer.Cell{Cut: cuts[c.Part], Cloth: f.Parts[c.Part].Cloth, X: int64(c.X), Y: int64(c.Y),
			Width: int64(c.Width), Height: int64(c.Height), Row: c.Row, Column: c.Column, Band: c.Band}
		if c.Line != nil {
			out[i].Line = answer.Vertices(c.Line)
		}
	}
	return out
}

// pressing shows where the allowances of a face lie, and finds where they do not lock.
func (r *run) pressing(out *answer.Piece, p panel) {
	out.Press, out.Conflicts, out.Methods = []answer.PressSeam{}, []answer.Point{}, r.methods(p, out.Count)
	out.Ways, out.Outlook, out.Thick = p.ways, r.outlooks(p.face), r.l(p.chain.Thick)
	if len(p.face.Found) > 0 {
		out.Panel = r.panelShown(p.face.Found[0])
	}
	if w := p.face.Windows; w != nil {
		out.Windows = &answer.WindowsShown{Unit: r.l(w.Unit), Template: r.l(w.Template), Side: r.l(w.Side), Whole: w.Whole, Half: w.Half, Points: w.Points, Eats: w.Eats}
	}
	if g := p.face.Gather; g != nil {
		out.Gather = &answer.Gathers{Direction: string(g.Direction), Ratio: g.Ratio, Wanted: r.l(g.Wanted), Needed: r.l(g.Needed), Piece: r.l(g.Piece), Yields: r.l(g.Yields)}
	}
	if len(p.face.Grids) > 0 && p.face.Columns > 0 && len(p.face.Grids[0].Patch.Width) > 0 {
		shows := func(s sum.Sum) sum.Sum { return sum.Of(sum.Part, "", s.Total()-2*r.p.Cover.Seam) }
		patch := r.size(p.face.Grids[0].Patch.Each(shows))
		out.Patch = &patch
	}
	plan := p.pressed
	for i, s := range p.face.Seams {
		line := answer.Line{X1: int64(math.Round(s.X1)), Y1: int64(math.Round(s.Y1)), X2: int64(math.Round(s.X2)), Y2: int64(math.Round(s.Y2))}
		out.Press = append(out.Press, answer.PressSeam{Line: line, Kind: string(s.Kind), Band: s.Band, Side: string(plan.Sides[i])})
	}
	seen := map[answer.Point]bool{}
	for _, c := range plan.Conflicts {
		at := answer.Point{X: int64(math.Round(c.X)), Y: int64(math.Round(c.Y))}
		if !seen[at] {
			seen[at] = true
			out.Conflicts = append(out.Conflicts, at)
		}
	}
	if n := len(out.Conflicts); n > 0 {
		r.find(finding.List{{Level: finding.Note, Code: "press-conflict", About: p.path + "/face",
			Text:   fmt.Sprintf("At %s on the %s two seam allowances lie to the same side where they meet, and do not lock.", places(n), strings.ToLower(out.Title)),
			Remedy: "Press one of the two open there; the pressing plan marks the places."}})
	}
}

func places(n int) string {
	if n == 1 {
		return "one place"
	}
	return fmt.Sprintf("%d places", n)
}

// quilting is how a piece is quilted; nil where it is not.
func (r *run) quilting(p panel) *answer.Quilting {
	if !p.piece.Quilted() {
		return nil
	}
	out := &answer.Quilting{Lines: []answer.QuiltLine{}, Seam: r.l(p.pattern.Seam), Thread: r.l(p.pattern.Thread), Bobbins: p.pattern.Bobbins, Minutes: p.pattern.Minutes}
	for _, l := range p.pattern.Lines {
		run := shape.Run{Start: l.Points[0], Closed: l.Closed}
		for _, q := range l.Points[1:] {
			run.Segments = append(run.Segments, shape.Segment{To: q})
		}
		out.Lines = append(out.Lines, answer.QuiltLine{Kind: string(l.Kind), Family: l.Family, Path: inMillimetres(shape.Path{run}).Text(), Length: r.l(l.Length)})
	}
	return out
}

// nearSeams finds families of lines that run beside a seam.
func (r *run) nearSeams(path string, p quilt.Pattern) finding.List {
	var found finding.List
	for _, c := range p.Near {
		found.Add(finding.Note, "quilting-beside", fmt.Sprintf("%s/quilting/lines/%d", path, c.Family),
			fmt.Sprintf("Lines run %s beside seams, on the ridge of the allowances.", r.style.Text(c.Off)),
			fmt.Sprintf("Shift them by %s to lie in the seams, or press those seams open.", r.style.Text(c.Shift.Abs())))
	}
	return found
}

// ranges are what an estimated take-up lies between, in percent.
func ranges(t layers.TakeUp) [2][2]float64 {
	return [2][2]float64{{100 * t.Low[0], 100 * t.High[0]}, {100 * t.Low[1], 100 * t.High[1]}}
}

func percent(t layers.TakeUp) [2]float64 { return [2]float64{100 * t.Across, 100 * t.Along} }

// outlines draws a piece's three lines, with what its top has beyond them.
func (r *run) outlines(out *answer.Piece, piece cover.Piece, p panel) {
	out.Outline, out.TrimmedOutline, out.CutOutline = answer.Vertices(piece.Line()), answer.Vertices(piece.Cut()), answer.Vertices(p.body.Cut())
	out.Ditch = []answer.Vertex{}
	if f := r.p.Cover.Flange; f > 0 {
		out.Ditch = answer.Vertices(piece.Line().Offset(-f.Float()))
	}
	if p.across > 0 || p.up > 0 { // quilted first, then trimmed and shaped
		out.CutOutline = answer.Vertices(p.body.Oversize(p.across, p.up))
	}
}

// underneath is what lies under a panel.
type underneath struct {
	piece, name string
	// edge tells the two pieces of a back apart.
	edge         string
	chain        layers.Chain
	count        int
	about, waits string
	// late is cut when the front is measured.
	late bool
	// strip allows it to be joined from shorter ones.
	strip bool
}

// under adds batting and lining cuts of a panel.
func (r *run) under(u underneath) {
	c := u.chain
	is := func(role ref.Role) ref.About { return ref.About{Piece: u.piece, Role: role, Edge: u.edge} }
	if c.Batting != nil {
		batting := cutting{is: is(ref.Batting), piece: u.piece, part: "batting", title: "Batting", layer: "batting", cloth: c.Batting.Cloth,
			size: c.Padding, count: u.count * c.Batting.Count, mayTurn: true, about: u.about + "/layers/batting", waits: u.waits, late: u.late}
		if c.Batting.Offcuts { // there already, and butted together
			batting.title, batting.had = "Batting, from offcuts", true
		}
		r.strips(u.strip, 0, batting)
	}
	if c.Lining != "" {
		r.strips(u.strip, r.p.Cover.Seam, cutting{is: is(ref.Lining), piece: u.piece, part: "lining", title: "Lining", layer: "lining", cloth: c.Lining,
			size: c.Under, count: u.count, mayTurn: u.strip, about: u.about + "/layers/lining", waits: u.waits, late: u.late})
	}
	if c.Stiffener != "" {
		r.cut(cutting{is: is(ref.Stiffener), piece: u.piece, part: "stiffener", title: "Stiffener", layer: "interfacing", cloth: c.Stiffener,
			size: c.Trimmed.Each(r.withoutSeams).UpTo(r.p.Habits.Step), count: u.count, mayTurn: true, about: u.about + "/layers/stiffener", waits: u.waits, late: u.late})
	}
	if c.Web {
		r.cut(cutting{is: is(ref.Web), piece: u.piece, part: "web", title: "Fusible web", layer: "web", cloth: plan.WebCloth,
			size: c.Top.UpTo(r.p.Habits.Step), count: u.count, mayTurn: true, about: u.about + "/layers/web", waits: u.waits, late: u.late})
	}
	if c.Grid {
		r.cut(cutting{is: is(ref.Grid), piece: u.piece, part: "grid", title: "Fusible grid", layer: "interfacing", cloth: plan.GridCloth,
			size: c.Top.UpTo(r.p.Habits.Step), count: u.count, mayTurn: true, about: u.about + "/layers/grid", waits: u.waits, late: u.late})
	}
	if len(c.Under.Width) > 0 {
		r.explain(u.name+".under", c.Under)
	}
}

// withoutSeams is a size less the seams at both its ends.
func (r *run) withoutSeams(s sum.Sum) sum.Sum {
	return s.Plus(sum.Seam, "no seam allowances", -2*r.p.Cover.Seam)
}

// bulky finds a stack that takes more of the inside of a hood than its ease gives.
func (r *run) bulky(path string, thick length.Length) {
	e := r.p.Cover.Ease
	ease := min(e.Length, e.Depth)
	if r.p.Object.Kind == plan.Book {
		ease = e.Wrap
	}
	if (r.p.Object.Kind != plan.Box && r.p.Object.Kind != plan.Book) || r.p.Cover.Bulk > 0 || 2*thick <= ease || thick <= length.Millimetre {
		return // one cloth and its lining are no bulk
	}
	text := r.style.Text
	r.find(finding.List{{Level: finding.Note, Code: "bulk", About: path + "/layers", Text: fmt.Sprintf("The stack is about %s thick and takes %s from the inside; the ease is %s.", text(thick), text(2*thick), text(ease)),
		Remedy: fmt.Sprintf("Type %s as the bulk of the stack, or give more ease.", text(thick.Ceil(r.p.Habits.Step)))}})
}

// back reckons the closure from the front as it really is.
func (r *run) back(piece cover.Piece, m fit.Panel) back.Back {
	q := r.p.Piece(piece.Config)
	at := r.keeper(piece.Config, func(q plan.Piece) bool { return q.Face != nil })
	path := finding.Path("pieces", at)
	face := r.faceOf(q)
	if face.Kind != plan.PlainFace || len(face.Applique) > 0 || face.Pocket != "" {
		r.find(finding.List{{Level: finding.Stop, Code: "back-face", About: path + "/face/kind",
			Text: "A back is cut plain, and this one has a face of more than one piece of cloth.", Remedy: "Give the back a plain face of its own."}})
		return back.Back{}
	}
	cloth := face.Cloth
	if r.p.Back.Cloth != "" {
		cloth = r.p.Back.Cloth
	}
	seam := r.p.Cover.Seam
	wide, high := m.Back.Width.Total()-2*m.Closing[0], m.Back.Height.Total()-2*m.Closing[1]
	cut := m.Back
	if r.spare > 0 { // sewn against the work of the front and trimmed to it
		cut = cut.Each(func(s sum.Sum) sum.Sum {
			return s.Plus(sum.Squaring, "trimmed to the front when it is sewn", 2*r.spare)
		})
	}
	b, found := back.Build(back.Order{Plan: r.p.Back, Front: cut, Finished: wide, High: high, Seam: seam, Flange: r.p.Cover.Flange, Pad: r.p.Object,
		Step: r.p.Habits.Step, Style: r.style})
	r.find(found)
	if r.stopped() {
		return b
	}
	waits := ""
	if !m.Measured {
		waits = work.Order{Quilted: r.p.Piece("front").Quilted()}.FrontGate().String()
	}
	r.backCuts(piece, q, path, cloth, b, waits)
	r.backPiece(piece, m, b, cloth, waits)
	r.backNotions(b, wide, cloth)
	return b
}

// backNotions says how the closure comes out, and what is bought for it.
func (r *run) backNotions(b back.Back, wide length.Length, cloth string) {
	overlap := b.Overlap.Total()
	shown := &answer.BackShown{Kind: string(r.p.Back.Kind), Overlap: r.l(overlap), Share: 100 * overlap.Float() / wide.Float(),
		Opening: r.l(b.Opening.Total()), Cloth: r.backCloth(cloth), Notions: []answer.Notion{}, Buttons: b.Buttons, Lies: []answer.BackLie{}, Marks: []answer.BackMark{}}
	for _, lie := range b.Lies {
		shown.Lies = append(shown.Lies, answer.BackLie{Cut: backCut(b.Panels[lie.Panel]), Label: lie.Label, Box: r.onBack(lie.Box)})
	}
	for _, m := range b.Marks {
		shown.Marks = append(shown.Marks, answer.BackMark{Kind: string(m.Kind), Box: r.onBack(m.Box)})
	}
	r.out.Back = shown
	r.explainSum("back.overlap", b.Overlap)
	r.explainSum("back.opening", b.Opening)
	for _, n := range b.Notions {
		r.notion(n.What, n.Length)
		shown.Notions = append(shown.Notions, r.out.Lengths[len(r.out.Lengths)-1])
	}
	if b.Buttons > 0 {
		r.out.Counts["buttons"] += b.Buttons
	}
}

// backCut is the id of the cut of a panel of the back.
func backCut(p back.Panel) string {
	return ref.About{Piece: "back", Role: p.Role}.Ref(ref.Cut).String()
}

// onBack is a box of the back in the frame of its finished piece.
func (r *run) onBack(b back.Box) answer.Box {
	s := r.p.Cover.Seam + r.spare
	return answer.Box{X: int64(b.X - s), Y: int64(b.Y - s), Width: int64(b.Width), Height: int64(b.Height)}
}

// sides are where the pieces of a back lie that are two.
var sides = map[ref.Role]string{ref.ClosureLeft: "left", ref.ClosureRight: "right"}

// backCuts sizes each back piece, with what quilting needs when it is quilted.
func (r *run) backCuts(piece cover.Piece, q plan.Piece, path, cloth string, b back.Back, waits string) {
	shape := ""
	if piece.Shaped() {
		shape = "template" // the front itself, laid on them
	}
	for _, p := range b.Panels {
		c := cutting{is: ref.About{Piece: "back", Role: p.Role}, piece: "back", part: p.Name, title: p.Title, cloth: cloth, size: p.Size, count: p.Count, about: path + "/face", waits: waits, late: true, shape: shape}
		if p.Small || p.Lining {
			c.shape, c.mayTurn = "", p.Small
			if p.Lining && q.Layers != nil && q.Layers.Lining != "" {
				c.cloth, c.layer, c.about = q.Layers.Lining, "lining", path+"/layers/lining"
			}
			r.cut(c)
			continue
		}
		chain, found := layers.Of(path, q, p.Size, r.p.Habits.Step, r.samples)
		r.find(found)
		c.size = chain.Top.UpTo(r.p.Habits.Step)
		c.selvedge = p.Selvedge && c.size.Width.Total() == p.Size.Width.Total()
		r.cut(c)
		if p.Lining || !r.p.Back.Lined { // a full lining takes the place of one under each piece
			r.under(underneath{piece: "back", name: p.Name, edge: sides[p.Role], chain: chain, count: p.Count, about: path, waits: waits, late: true})
		}
		if _, ticked := r.p.Progress.Cut[c.is.Ref(ref.Cut).String()]; ticked && len(r.out.Remedies) > 0 {
			r.find(finding.List{{Level: finding.Warn, Code: "back-cut-early", About: "/back",
				Text:   fmt.Sprintf("%s is ticked as cut, and the measured front wants %s × %s.", p.Title, r.style.Text(p.Size.Width.Total()), r.style.Text(p.Size.Height.Total())),
				Remedy: "Measure the piece: trim it, or ease it in, or use one of the remedies at the gate."}})
		}
	}
}

// backPiece draws the back pieces as they will lie on each other.
func (r *run) backPiece(piece cover.Piece, m fit.Panel, b back.Back, cloth, waits string) {
	finished := sum.Size{Width: sum.Of(sum.Part, "front as cut", m.Back.Width.Total()-2*m.Closing[0]), Height: sum.Of(sum.Part, "front as cut", m.Back.Height.Total()-2*m.Closing[1])}
	out := answer.Piece{Name: piece.Name, Config: piece.Config, Title: piece.Title, Count: piece.Count, Waits: waits != "",
		Finished: r.size(finished), Trimmed: r.size(m.Back), BeforeQuilting: r.size(m.Back), Seams: []answer.Seam{}, Press: []answer.PressSeam{}, Conflicts: []answer.Point{}, Shapes: []answer.Shape{}, Threads: []answer.Thread{}, Methods: []answer.UnitMethods{}, Ways: []answer.Way{}, Outlook: []answer.Outlook{}, Thick: r.l(layers.Thick(r.p.Piece(piece.Config).Layers))}
	piece.Finished, piece.Radii = finished, piece.Radii.AtMost(min(finished.Width.Total(), finished.Height.Total())/2)
	r.outlines(&out, piece, panel{body: piece})
	for i, lie := range b.Lies {
		box := r.onBack(lie.Box)
		out.Cells = append(out.Cells, answer.Cell{Cut: backCut(b.Panels[lie.Panel]), Cloth: cloth, X: box.X, Y: box.Y, Width: box.Width, Height: box.Height, Column: i + 1})
	}
	for _, k := range b.Keep {
		box := r.onBack(k.Box)
		name := fitting.Hem
		if k.Kind == back.ZipBox {
			name = fitting.Zip
		}
		r.zones = append(r.zones, fitting.Zone{On: piece.Name, Name: name,
			Box: fitting.Box{X: length.Length(box.X), Y: length.Length(box.Y), Width: length.Length(box.Width), Height: length.Length(box.Height)}})
	}
	r.explain("back.finished", finished)
	r.explain("back", m.Back)
	r.out.Pieces = append(r.out.Pieces, out)
}

// work adds steps and thread.
func (r *run) work(top panel, m fit.Panel, b back.Back, piece cover.Piece) {
	finished := top.face.Finished
	o := work.Order{Plan: r.p, Front: piece, Face: top.face, Applied: top.applied, Pressed: top.pressed, Pattern: top.pattern, Chain: top.chain, Closing: m.Closing, Finished: finished, Quilted: top.piece.Quilted(), Cuts: r.cuts,
		Back: b, Fittings: r.sewnOn, Edges: r.edges, Made: r.madeForm}
	r.steps(work.Steps(o))
	r.notion("thread", work.Thread(o))
}

// steps shows the steps in their order, with what is changed at the machine for each and
// how often one walks to the iron.
func (r *run) steps(list []work.Step) {
	var set machine.SetUp
	r.find(fit.Unknown(r.p, list))
	for _, s := range list {
		r.find(fit.Edge(r.p, s))
		out := r.step(s)
		out.Changes = s.Machine.Changes(set)
		if len(out.Changes) > 0 {
			r.out.SetUps++
			set = s.Machine
		}
		r.out.Trips = max(r.out.Trips, s.Trip)
		r.out.Steps = append(r.out.Steps, out)
	}
}

func (r *run) step(s work.Step) answer.Step {
	out := answer.Step{ID: s.ID, Ref: s.Ref(), About: stepOf(s), Join: s.Join, Edging: s.Edging, Fitting: s.Fitting, Reads: string(s.Reads), Stage: string(s.Stage), Title: s.Title, Text: s.Text, Piece: s.Piece, Act: string(s.Act), Seams: s.Seams, Turned: s.Turned, Needs: orEmpty(s.Needs), Cuts: orEmpty(s.Cuts), Row: s.Row, Bands: s.Bands,
		Press: s.Press, Side: string(s.Side), Machine: s.Machine.Text(), Trip: s.Trip, Rest: s.Rest, Check: s.Check, Caution: s.Caution, Stack: s.Stack,
		Done: slices.Contains(r.p.Progress.Done, s.ID)}
	if s.Gate != (ref.Ref{}) {
		out.Gate = s.Gate.String()
		expect := r.size(s.Expect)
		out.Expect = &expect
	}
	return out
}

func orEmpty(list []string) []string {
	if list == nil {
		return []string{}
	}
	return list
}

// count names how many there are of what has to be counted.
func (r *run) count(top panel) {
	r.countFace(top.face, 1)
	if top.face.Rings > 0 {
		r.out.Counts["border strips"] = 4 * top.face.Rings
	}
	for _, c := range r.out.Cuts {
		r.out.Counts["pieces to cut"] += c.Count
	}
}

// countFace counts what a face is made of, for as many pieces as have it.
func (r *run) countFace(f front.Face, pieces int) {
	add := func(name string, n int) {
		if n > 0 {
			r.out.Counts[name] += n * pieces
		}
	}
	for _, g := range f.Grids {
		add("patches", g.Patches)
		if len(g.Laid) > 1 || g.Columns > 1 {
			add("rows", g.Rows)
		}
		if g.Blocks {
			blocks := 0
			for _, row := range g.Laid {
				blocks += len(row)
			}
			add("blocks", blocks)
		}
	}
	names := map[front.Role]string{front.ShortSash: "short sashes", front.LongSash: "long sashes", front.Post: "posts"}
	for _, p := range f.Parts {
		if name := names[p.Role]; name != "" {
			add(name, p.Count)
		}
		if p.Role == front.Setting {
			name := "side triangles"
			if p.Ref.Role == ref.SettingCorner {
				name = "corner triangles"
			}
			add(name, p.Patches)
		}
	}
	if w := f.Windows; w != nil {
		add("ground squares", f.Columns*f.Rows)
		add("whole windows", w.Whole)
		add("half windows", w.Half)
		add("window patches", w.Whole+(w.Half+1)/2)
		add("points", w.Points)
		if w.Buttons {
			add("buttons", w.Points)
		}
	}
	for _, s := range f.Sets {
		add("segments", s.Segments)
		add("strip sets", s.Count)
	}
}

// panelShown is a found panel as it is shown.
func (r *run) panelShown(f front.Found) *answer.PanelShown {
	out := &answer.PanelShown{Size: r.size(f.Size), Squares: f.Squares, Outside: f.Outside, From: []answer.L{}, Middle: []answer.L{}}
	if f.Printed {
		out.Middle = append(out.Middle, r.l(f.Middle[0]), r.l(f.Middle[1]))
		for _, l := range f.From {
			out.From = append(out.From, r.l(l))
		}
	}
	return out
}

// guide shows where a quilted front is trimmed, when its sides and diagonals are measured.
func (r *run) guide(top panel) {
	i, m, ok := r.p.MeasuredAt(ref.FrontUntrimmed)
	if !ok || !top.piece.Quilted() {
		return
	}
	g, found := fit.Trim(r.p, m, finding.Path("measured", i), top.chain.Trimmed)
	r.find(found)
	if g == (fit.Guide{}) {
		return
	}
	two := func(l [2]length.Length) [2]answer.L { return [2]answer.L{r.l(l[0]), r.l(l[1])} }
	r.out.Guide = &answer.Guide{Top: two(g.Top), Right: two(g.Right), Bottom: two(g.Bottom), Left: two(g.Left), Fits: g.Fits, Skew: r.l(g.Skew), Off: r.l(g.Off)}
}
