package show

import (
	"fmt"
	"math"
	"slices"

	"umschlag/core/answer"
	"umschlag/core/applique"
	"umschlag/core/back"
	"umschlag/core/block"
	"umschlag/core/cover"
	"umschlag/core/cutting"
	"umschlag/core/front"
	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/panel"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/shape"
	"umschlag/core/sum"
	"umschlag/core/supply"
	"umschlag/core/takeup"
)

// pieces tells every piece with a face, and the back of a cushion.
func pieces(t *teller) {
	for _, p := range t.Panels {
		t.out.Pieces = append(t.out.Pieces, piece(t, p))
	}
	if t.Back != nil {
		t.out.Pieces = append(t.out.Pieces, backPiece(t, *t.Back))
		closure(t, *t.Back)
	}
	grain(t)
}

// blank is a piece of which nothing is told yet.
func blank(t *teller, p cover.Piece) answer.Piece {
	return answer.Piece{Name: p.Name, Config: p.Config, Title: p.Title, Count: p.Count, Seams: []answer.Seam{},
		Press: []answer.PressSeam{}, Conflicts: []answer.Point{},
		Shapes: []answer.Shape{}, Threads: []answer.Thread{}, Methods: []answer.UnitMethods{}, Ways: []answer.Way{},
		Outlook: []answer.Outlook{}}
}

// piece tells a piece with a face. The front of a cushion is told as it was measured.
func piece(t *teller, p Panel) answer.Piece {
	name, chain := p.Piece.Name, p.Chain
	out := blank(t, p.Piece)
	finished, trimmed := p.Face.Finished, chain.Trimmed
	if m := t.Front; m != nil {
		finished, trimmed = m.Finished(finished), m.Trimmed
		t.explain("front.planned", p.Piece.Finished)
		if m.Measured {
			planned := t.size(chain.Trimmed)
			out.Planned = &planned
		}
	}
	out.Finished, out.Trimmed, out.BeforeQuilting = t.size(finished), t.size(trimmed), t.size(chain.Top)
	out.TakeUp, out.TakeUpFrom, out.TakeUpRange = percent(chain.TakeUp), string(chain.TakeUp.From), ranges(chain.TakeUp)
	t.explain(name+".finished", finished)
	t.explain(name, trimmed)
	t.explain(name+".before_quilting", chain.Top)
	if chain.BordersAfter() {
		t.explain(name+".centre", p.Face.Quilted)
	}
	if len(chain.Under.Width) > 0 {
		t.explain(name+".under", chain.Under)
	}
	outlines(t, &out, p.Piece, p.Panel)
	if m := t.Front; m != nil && m.Measured {
		asMeasured(t, &out, p, finished)
	}
	out.Cells = apart(cells(p.Face, p.Cuts), int64(p.Strips), int64(t.Plan.Cover.Seam))
	out.Quilting = quilting(t, p)
	if !t.beside {
		out.Press, out.Conflicts = pressing(p)
	}
	for _, w := range p.Ways {
		out.Ways = append(out.Ways,
			answer.Way{Key: w.Key, Name: w.Name, Cells: cells(w.Face, make([]string, len(w.Face.Parts)))})
	}
	out.Methods, out.Outlook, out.Thick = methods(t, p), outlooks(t, p.Face), t.l(chain.Thick)
	of(t, &out, p.Face)
	laidOn(t, &out, p)
	return out
}

// of tells what is particular to the kind of a face.
func of(t *teller, out *answer.Piece, f front.Face) {
	if len(f.Found) > 0 {
		out.Panel = foundPanel(t, f.Found[0])
	}
	if w := f.Windows; w != nil {
		out.Windows = &answer.WindowsShown{Unit: t.l(w.Unit), Template: t.l(w.Template), Side: t.l(w.Side),
			Whole: w.Whole, Half: w.Half, Points: w.Points, Eats: w.Eats}
	}
	if g := f.Gather; g != nil {
		out.Gather = &answer.Gathers{Direction: string(g.Direction), Ratio: g.Ratio, Wanted: t.l(g.Wanted),
			Needed: t.l(g.Needed), Piece: t.l(g.Piece), Yields: t.l(g.Yields)}
	}
	if len(f.Grids) > 0 && f.Columns > 0 && len(f.Grids[0].Patch.Width) > 0 {
		seam := t.Plan.Cover.PiecingSeam
		shows := func(s sum.Sum) sum.Sum { return sum.Of(sum.Part, "", s.Total()-2*seam) }
		patch := t.size(f.Grids[0].Patch.Each(shows))
		out.Patch = &patch
	}
}

// foundPanel is a found panel as it is shown.
func foundPanel(t *teller, f front.Found) *answer.PanelShown {
	out := &answer.PanelShown{Size: t.size(f.Size), Squares: f.Squares, Outside: f.Outside, From: []answer.L{},
		Middle: []answer.L{}}
	if f.Printed {
		out.Middle = append(out.Middle, t.l(f.Middle[0]), t.l(f.Middle[1]))
		for _, l := range f.From {
			out.From = append(out.From, t.l(l))
		}
	}
	return out
}

// ranges are what an estimated take-up lies between, in percent.
func ranges(u layers.TakeUp) [2][2]float64 {
	return [2][2]float64{{100 * u.Low[0], 100 * u.High[0]}, {100 * u.Low[1], 100 * u.High[1]}}
}

func percent(u layers.TakeUp) [2]float64 { return [2]float64{100 * u.Across, 100 * u.Along} }

// outlines draws a piece's three lines, with what its top has beyond them.
func outlines(t *teller, out *answer.Piece, piece cover.Piece, p panel.Panel) {
	out.Outline, out.TrimmedOutline, out.CutOutline = answer.Vertices(piece.Line()), answer.Vertices(piece.Cut()),
		answer.Vertices(p.Body.Cut())
	out.Ditch = []answer.Vertex{}
	if f := t.Plan.Cover.Flange; f > 0 {
		out.Ditch = answer.Vertices(piece.Line().Offset(-f.Float()))
	}
	if p.Across > 0 || p.Up > 0 { // quilted first, then trimmed and shaped
		out.CutOutline = answer.Vertices(p.Body.Oversize(p.Across, p.Up))
	}
}

// asMeasured draws the outlines of a front as it came out, round the middle of what was planned.
func asMeasured(t *teller, out *answer.Piece, p Panel, finished sum.Size) {
	planned, piece := p.Piece.Finished, p.Piece
	if !panel.Differs(finished, planned) {
		return
	}
	piece.Finished = finished
	piece.Radii = piece.Radii.AtMost(min(finished.Width.Total(), finished.Height.Total()) / 2)
	out.Outline, out.TrimmedOutline = answer.Vertices(piece.Line()), answer.Vertices(piece.Cut())
	t.shift = [2]int64{int64(planned.Width.Total()-finished.Width.Total()) / 2,
		int64(planned.Height.Total()-finished.Height.Total()) / 2}
	if f := t.Plan.Cover.Flange; f > 0 {
		out.Ditch = t.shifted(answer.Vertices(piece.Line().Offset(-f.Float())))
	}
	out.Outline, out.TrimmedOutline = t.shifted(out.Outline), t.shifted(out.TrimmedOutline)
}

// shifted is a path of a measured front where it lies round the middle of what was planned.
func (t *teller) shifted(path []answer.Vertex) []answer.Vertex {
	for i := range path {
		path[i].X, path[i].Y = path[i].X+t.shift[0], path[i].Y+t.shift[1]
	}
	return path
}

// cells are the parts of a face where they lie, with the cuts they are made of.
func cells(f front.Face, cuts []string) []answer.Cell {
	out := make([]answer.Cell, len(f.Cells))
	for i, c := range f.Cells {
		out[i] = answer.Cell{Cut: cuts[c.Part], Cloth: f.Parts[c.Part].Cloth, X: int64(c.X), Y: int64(c.Y),
			Width: int64(c.Width), Height: int64(c.Height), Row: c.Row, Column: c.Column, Band: c.Band,
			Over: c.Over}
		if c.Line != nil {
			out[i].Line = answer.Vertices(c.Line)
		}
	}
	return out
}

// apart draws a part that is joined from n strips, all cut alike, as n cells: those at the ends show the
// allowance that the others have sewn in.
func apart(list []answer.Cell, n, seam int64) []answer.Cell {
	if n < 2 || len(list) != 1 {
		return list
	}
	whole := list[0]
	line := func(i int64) int64 { // where strip i is sewn to the one before
		if i == 0 || i == n {
			return whole.Width * i / n
		}
		return (whole.Width+2*seam*(n-1))*i/n - seam*(2*i-1)
	}
	out := make([]answer.Cell, n)
	for i := range out {
		out[i] = whole
		out[i].X, out[i].Width = whole.X+line(int64(i)), line(int64(i)+1)-line(int64(i))
	}
	return out
}

// pressing shows where the allowances of a face lie, and where they do not lock.
func pressing(p Panel) ([]answer.PressSeam, []answer.Point) {
	seams := []answer.PressSeam{}
	for i, s := range p.Face.Seams {
		line := answer.Line{X1: int64(math.Round(s.X1)), Y1: int64(math.Round(s.Y1)), X2: int64(math.Round(s.X2)),
			Y2: int64(math.Round(s.Y2))}
		seams = append(seams, answer.PressSeam{Line: line, Kind: string(s.Kind), Band: s.Band,
			Side: string(p.Pressed.Sides[i])})
	}
	conflicts := []answer.Point{}
	for _, c := range p.Conflicts() {
		conflicts = append(conflicts, answer.Point{X: c[0], Y: c[1]})
	}
	return seams, conflicts
}

// quilting is how a piece is quilted; nil where it is not.
func quilting(t *teller, p Panel) *answer.Quilting {
	if !p.Decided.Quilted() {
		return nil
	}
	in, border := p.Pattern, p.Borders
	out := &answer.Quilting{Lines: []answer.QuiltLine{}, Seam: t.l(in.Seam + border.Seam),
		Thread: t.l(in.Thread + border.Thread), Bobbins: in.Bobbins + border.Bobbins,
		Minutes: in.Minutes + border.Minutes, Borders: border.Minutes, After: p.Chain.BordersAfter()}
	if lines, ok := takeup.PatternOf(p.Decided, p.Chain.Quilted()).AsLines(); ok {
		out.Sample = sampleOf(t, lines)
	}
	for _, l := range slices.Concat(in.Lines, border.Lines) {
		run := shape.Run{Start: l.Points[0], Closed: l.Closed}
		for _, at := range l.Points[1:] {
			run.Segments = append(run.Segments, shape.Segment{To: at})
		}
		out.Lines = append(out.Lines, answer.QuiltLine{Kind: string(l.Kind), Border: l.Border, Family: l.Family,
			Path: shape.Path{run}.InMillimetres().Text(), Length: t.l(l.Length)})
	}
	return out
}

// sampleOf is a quilting as it stands in a plan.
func sampleOf(t *teller, q plan.Quilting) *answer.SampleQuilting {
	exact := func(l length.Length) string {
		if l == 0 {
			return ""
		}
		return t.l(l).Exact
	}
	out := &answer.SampleQuilting{Pair: exact(q.Pair), Echo: exact(q.Echo), Free: exact(q.Free)}
	for _, f := range q.Lines {
		out.Lines = append(out.Lines, answer.SampleLines{Pitch: exact(f.Pitch), Angle: f.Angle, Shift: exact(f.Shift),
			Wave: exact(f.Wave)})
	}
	return out
}

// methods compares how the units of a face's blocks can be made.
func methods(t *teller, p Panel) []answer.UnitMethods {
	out := []answer.UnitMethods{}
	s, h := t.Plan.Cover.PiecingSeam, t.Plan.Habits
	if f := p.Decided.Face; f != nil && len(plan.RoundMotifs(t.Plan, *f)) > 0 {
		return out // each is cut by itself, whatever the school
	}
	for _, g := range p.Face.Grids {
		if !g.Blocks || g.Node.Sign == block.Leaf {
			continue
		}
		blocks := 0
		for _, row := range g.Laid {
			blocks += len(row)
		}
		for _, c := range block.Compare(g.Node, g.Patch.Width.Total()-2*s, g.Patch.Height.Total()-2*s,
			blocks*p.Piece.Count, s, h.Step, narrowest(t, p.Face), t.style) {
			m := answer.UnitMethods{Name: c.Name, Need: c.Need}
			for i, method := range c.Methods {
				m.Methods = append(m.Methods,
					answer.UnitMethod{School: method.School, Name: method.Name, Cuts: method.Cuts,
						Pieces: method.Pieces, Spare: method.Spare, Cloth: area(t, method.Area), Seams: method.Seams,
						Chosen: method.School == string(h.Triangles) || method.School == string(h.Strips),
						Least:  i == c.Least, Quickest: i == c.Quickest})
			}
			out = append(out, m)
		}
	}
	return out
}

// area is square inches in the plan's own unit.
func area(t *teller, inches float64) string {
	if t.Plan.Units == length.Inches {
		return fmt.Sprintf("%.0f in²", inches)
	}
	return fmt.Sprintf("%.0f cm²", inches*2.54*2.54)
}

// narrowest is the usable width of the narrowest cloth of a face.
func narrowest(t *teller, f front.Face) length.Length {
	least := length.Length(0)
	for _, p := range f.Parts {
		described, _ := t.Plan.Cloth(p.Cloth)
		if w := *described.Usable; least == 0 || w < least {
			least = w
		}
	}
	return least
}

// laidOn tells the shapes on a piece, and the threads that sew them.
func laidOn(t *teller, out *answer.Piece, p Panel) {
	for _, l := range p.Applied {
		out.Shapes = append(out.Shapes, shapeOn(t, l))
	}
	for i, thread := range applique.Threads(p.Applied) {
		out.Threads = append(out.Threads,
			answer.Thread{Cloth: thread.Cloth, Stitch: applique.StitchOf(thread.Edge).Title,
				Darker: thread.Edge == plan.DrawnLine, Late: thread.Late, Shapes: thread.Layers,
				Seam: t.l(thread.Seam.Total()), Length: t.l(thread.Length)})
		t.explainSum(fmt.Sprintf("%s.thread.%d", p.Piece.Name, i+1), thread.Seam)
	}
	if n := len(p.Applied) * p.Piece.Count; n > 0 {
		t.out.Counts["shapes"] += n
	}
}

// shapeOn is a shape as it is shown.
func shapeOn(t *teller, l applique.Layer) answer.Shape {
	out := answer.Shape{Index: l.Index, About: l.About, Title: l.Title, Twin: l.Twin, Cloth: l.Shape.Cloth,
		Stitch: applique.StitchOf(l.Shape.Edge).Title, Line: l.Line(), Late: l.Late, Level: l.Level,
		Path: l.Path.InMillimetres().Text(), Sewn: stretches(l.Edge, true), Covered: stretches(l.Edge, false),
		Box: answer.Box{X: int64(l.X), Y: int64(l.Y), Width: int64(l.Width), Height: int64(l.Height)},
		From: answer.Distances{Left: t.l(l.From.Left), Right: t.l(l.From.Right), Top: t.l(l.From.Top),
			Bottom: t.l(l.From.Bottom)},
		Size: answer.Size{Width: t.l(l.Width), Height: t.l(l.Height)}, Shows: t.l(l.Shows), Round: t.l(l.Round)}
	if l.Lapped {
		lap := t.l(l.Lap)
		out.Lap = &lap
	}
	return out
}

// drawn is how far a drawn edge may lie off its curve, in nanometres.
const drawn = 50_000

// stretches are the stretches of an edge that show, or those that do not, drawn with as
// few points as do.
func stretches(edge []applique.Stretch, shows bool) string {
	var p shape.Path
	for _, s := range edge {
		if s.Shows != shows || len(s.Points) == 0 {
			continue
		}
		points := shape.Thinned(s.Points, drawn)
		run := shape.Run{Start: points[0], Closed: s.Closed}
		for _, q := range points[1:] {
			run.Segments = append(run.Segments, shape.Segment{To: q})
		}
		p = append(p, run)
	}
	return p.InMillimetres().Text()
}

// backPiece draws the back pieces as they will lie on each other.
func backPiece(t *teller, b Back) answer.Piece {
	out := blank(t, b.Piece)
	out.Waits, out.Thick = b.Waits != "", t.l(layers.Thick(t.Plan.Piece(b.Piece.Config).Layers)+
		layers.Beyond(t.Plan, b.Cloth))
	out.Finished, out.Trimmed, out.BeforeQuilting = t.size(b.Finished), t.size(b.Size), t.size(b.Size)
	line := b.Piece
	line.Finished, line.Radii = b.Finished, line.Radii.AtMost(min(b.Finished.Width.Total(),
		b.Finished.Height.Total())/2)
	outlines(t, &out, line, panel.Panel{Body: line})
	for i, lie := range b.Lies {
		box := onBack(t, b, lie.Box)
		over := slices.ContainsFunc(out.Cells, func(c answer.Cell) bool {
			return box.X < c.X+c.Width && c.X < box.X+box.Width && box.Y < c.Y+c.Height && c.Y < box.Y+box.Height
		})
		out.Cells = append(out.Cells,
			answer.Cell{Cut: backCut(b.Panels[lie.Panel]), Cloth: b.Cloth, X: box.X, Y: box.Y, Width: box.Width,
				Height: box.Height, Column: i + 1, Over: over})
	}
	t.explain("back.finished", b.Finished)
	t.explain("back", b.Size)
	for i, chain := range b.Chains {
		if len(chain.Under.Width) > 0 && !t.Plan.Back.Lined {
			t.explain(b.Panels[i].Name+".under", chain.Under)
		}
	}
	return out
}

// closure says how the closure comes out, and what is bought for it.
func closure(t *teller, b Back) {
	overlap, wide := b.Overlap.Total(), b.Finished.Width.Total()
	shown := &answer.BackShown{Kind: string(t.Plan.Back.Kind), Overlap: t.l(overlap),
		Share:   100 * overlap.Float() / wide.Float(),
		Opening: t.l(b.Opening.Total()), Notions: []answer.Notion{}, Buttons: b.Buttons, Lies: []answer.BackLie{},
		Marks: []answer.BackMark{},
		Cloth: t.l(supply.Alone(t.List, b.Cloth, func(c cutting.Cut) bool { return c.About.Piece == "back" }))}
	for _, lie := range b.Lies {
		shown.Lies = append(shown.Lies,
			answer.BackLie{Cut: backCut(b.Panels[lie.Panel]), Label: lie.Label, Box: onBack(t, b, lie.Box)})
	}
	for _, m := range b.Marks {
		shown.Marks = append(shown.Marks, answer.BackMark{Kind: string(m.Kind), Box: onBack(t, b, m.Box)})
	}
	t.out.Back = shown
	t.explainSum("back.overlap", b.Overlap)
	t.explainSum("back.opening", b.Opening)
	for _, n := range b.Notions {
		shown.Notions = append(shown.Notions, t.thing(sum.Named{Name: n.What, Sum: n.Length}))
	}
	if b.Buttons > 0 {
		t.out.Counts["buttons"] += b.Buttons
	}
}

// backCut is the id of the cut of a panel of the back.
func backCut(p back.Panel) string {
	return ref.About{Piece: "back", Role: p.Role}.Ref(ref.Cut).String()
}

// onBack is a box of the back in the frame of its finished piece.
func onBack(t *teller, b Back, box back.Box) answer.Box {
	s := t.Plan.Cover.Seam + b.Spare
	return answer.Box{X: int64(box.X - s), Y: int64(box.Y - s), Width: int64(box.Width), Height: int64(box.Height)}
}

// grain says of every piece of one cloth how it lies on it.
func grain(t *teller) {
	turned := map[string]bool{}
	for _, c := range t.Cloths {
		for _, p := range c.Lay.Placed {
			turned[t.List.Cuts[p.Cut].ID] = p.Turned
		}
	}
	for i, p := range t.out.Pieces {
		if len(p.Cells) == 0 || p.Cells[0].Row > 0 || p.Cells[0].Cut != p.Cells[len(p.Cells)-1].Cut {
			continue
		}
		cloth, _ := t.Plan.Cloth(p.Cells[0].Cloth)
		switch {
		case turned[p.Cells[0].Cut]:
			t.out.Pieces[i].Grain = "across"
		case cloth.Print == plan.OneWay:
			t.out.Pieces[i].Grain = "one-way"
		default:
			t.out.Pieces[i].Grain = "up"
		}
	}
}
