package printpack

import (
	"fmt"
	"math"
	"strings"

	"umschlag/core/answer"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/shape"
	"umschlag/core/work"
	"umschlag/format/drawing"
)

func (p *pack) swatches() map[string]plan.Swatch {
	out := map[string]plan.Swatch{}
	for letter, c := range p.Cloths {
		out[letter] = c.Swatch
	}
	return out
}

// cover is the title, what it finishes as, its pieces, and what is taken of each cloth.
func (p *pack) cover() {
	p.pdf.AddPage()
	p.pdf.SetY(margin)
	p.font("B", 24)
	p.ink(ink)
	p.paragraph(p.Title, margin, p.inner(), 11)
	p.font("", 11)
	r := p.Reckoning
	for _, piece := range r.Pieces {
		count := ""
		if piece.Count > 1 {
			count = fmt.Sprintf(", %d of them", piece.Count)
		}
		p.paragraph(fmt.Sprintf("%s%s: finishes %s × %s.", piece.Title, count, piece.Finished.Width.Text,
			piece.Finished.Height.Text), margin, p.inner(), 5.5)
	}
	p.pdf.SetY(p.pdf.GetY() + 4)
	p.pieces()
	p.font("B", 11)
	p.room(8 + 5*float64(len(r.Cloths)))
	p.paragraph("Fabric", margin, p.inner(), 7)
	p.font("", 10)
	for _, n := range r.Cloths {
		text := fmt.Sprintf("%s: %s", n.Name, n.Takes())
		if n.Short.NM > 0 || n.Have == nil && n.Need.NM > 0 {
			text += fmt.Sprintf("; buy %s", n.BuyText)
		}
		p.paragraph(text+".", margin, p.inner(), 5)
	}
}

// pieces draws all pieces side by side, as large as fits on half a page.
func (p *pack) pieces() {
	var list []drawing.Drawing
	wide, tall := 0.0, 0.0
	for _, piece := range p.Reckoning.Pieces {
		d, err := drawing.Piece(p.Reckoning, piece, p.swatches())
		if err != nil {
			p.pdf.SetError(err)
			return
		}
		d.Words = nil
		list = append(list, d)
		wide, tall = wide+d.Width, math.Max(tall, d.Height)
	}
	scale := math.Min(p.inner()/wide, (p.bottom()-p.pdf.GetY())*0.55/tall)
	x := margin
	for i, d := range list {
		p.paint(d, x, p.pdf.GetY(), scale)
		p.font("", 8)
		p.pdf.Text(x, p.pdf.GetY()+tall*scale+3, p.Reckoning.Pieces[i].Title)
		x += d.Width * scale
	}
	p.pdf.SetY(p.pdf.GetY() + tall*scale + 8)
}

// cuts is the list of cuts, each with a box to tick, by cloth.
func (p *pack) cuts() {
	p.heading("Cuts", 20)
	listed := map[string]bool{}
	for _, n := range p.Reckoning.Cloths {
		listed[n.Cloth] = true
		p.cutsOf(n.Name, func(letter string) bool { return letter == n.Cloth })
	}
	p.cutsOf("Cut already", func(letter string) bool { return !listed[letter] })
}

// cutsOf lists the cuts of some cloths under a name.
func (p *pack) cutsOf(name string, of func(letter string) bool) {
	begun := false
	for i, c := range p.Reckoning.Cuts {
		if !of(c.Cloth) || c.Total == 0 {
			continue
		}
		if !begun {
			p.room(14)
			p.font("B", 11)
			p.paragraph(name, margin, p.inner(), 7)
			begun = true
		}
		p.cut(i, c)
	}
	if begun {
		p.pdf.SetY(p.pdf.GetY() + 2)
	}
}

func (p *pack) cut(i int, c answer.Cut) {
	p.room(6)
	y := p.pdf.GetY()
	p.box(margin, y+0.6, 3.6)
	if c.Done {
		p.pdf.Line(margin+0.6, y+2.4, margin+1.6, y+3.4)
		p.pdf.Line(margin+1.6, y+3.4, margin+3.2, y+1.2)
	}
	p.font("B", 10)
	p.pdf.Text(margin+7, y+4, fmt.Sprint(i+1))
	p.pdf.Text(margin+15, y+4, fmt.Sprintf("%s, %s × %s", pieces(c.Total), c.Width.Text, c.Height.Text))
	p.font("", 10)
	text := strings.ToLower(c.Title)
	if c.Over > 0 {
		text += fmt.Sprintf(", %d more than needed", c.Over)
	}
	if c.Waits != "" {
		text += fmt.Sprintf(" – cut once %s is measured", c.WaitsFor)
	}
	p.pdf.Text(margin+75, y+4, text)
	p.pdf.SetY(y + 5.6)
}

// tapes are the sums of the pieces, drawn to scale.
func (p *pack) tapes() {
	p.heading("Sums", 24)
	for _, piece := range p.Reckoning.Pieces {
		for _, d := range []struct{ key, word string }{{"width", "across"}, {"height", "up"}} {
			size, key := "as trimmed", piece.Name+"."+d.key
			if terms := p.Reckoning.Sums[piece.Name+".before_quilting."+d.key]; len(terms) > 0 &&
				piece.Quilting != nil {
				size, key = "before quilting", piece.Name+".before_quilting."+d.key
			}
			if terms := p.Reckoning.Sums[key]; len(terms) > 0 {
				p.tape(fmt.Sprintf("%s, %s, %s", piece.Title, d.word, size), terms)
			}
		}
	}
}

// tape is one sum: a segment a term, and the terms written out below.
func (p *pack) tape(title string, terms []answer.Term) {
	total, long := int64(0), int64(0)
	for _, t := range terms {
		total += t.Amount.NM
		long += max(0, t.Amount.NM)
	}
	p.font("", 9)
	sum := fmt.Sprintf("%s = %s", answer.WrittenSum(terms), answer.Show(length.Length(total), p.Style).Text)
	lines := p.wrapped(sum, p.inner())
	p.room(14 + 4.4*float64(len(lines)))
	p.font("B", 10)
	p.pdf.Text(margin, p.pdf.GetY()+4, title)
	y := p.pdf.GetY() + 5.5
	x := margin
	for _, t := range terms {
		if t.Amount.NM <= 0 || long == 0 {
			continue
		}
		w := p.inner() * float64(t.Amount.NM) / float64(long)
		ground, known := kinds[t.Kind]
		if !known {
			ground = kinds[""]
		}
		p.fill(ground)
		p.line(ink, 0.2)
		p.pdf.Rect(x, y, w, 6, "FD")
		p.font("", 8)
		if p.pdf.GetStringWidth(t.Amount.Text) < w-1 {
			p.pdf.Text(x+w/2-p.pdf.GetStringWidth(t.Amount.Text)/2, y+4.2, t.Amount.Text)
		}
		x += w
	}
	p.pdf.SetY(y + 7)
	p.font("", 9)
	p.paragraph(sum, margin, p.inner(), 4.4)
	p.pdf.SetY(p.pdf.GetY() + 3)
}

// kinds are the grounds of the segments of a tape.
var kinds = map[string]colour{
	"": {255, 255, 255}, "seam": {0xe9, 0xe4, 0xd6}, "hem": {0xe9, 0xe4, 0xd6}, "border": {0xe6, 0xd3, 0xb4},
	"part": {0xf4, 0xef, 0xe4}, "object": {0xf4, 0xef, 0xe4},
	"take-up": {0xd8, 0xe4, 0xee}, "squaring": {0xff, 0xff, 0xff}, "rounding": {0xff, 0xff, 0xff},
	"step": {0xff, 0xff, 0xff}, "measured": {0xdd, 0xe6, 0xd4},
}

// lays are the cloths to scale, what there is of them in pieces first, with the numbers of the list of cuts, and
// beside them how they are cut.
func (p *pack) lays() {
	p.heading("Cutting layouts", 60)
	for _, n := range p.Reckoning.Cloths {
		for _, o := range n.Odd {
			p.lay(n.Name+": "+o.Said(), o.Lay, o.Moves)
		}
		if len(n.Lay.Placed) > 0 {
			p.lay(fmt.Sprintf("%s, %s wide, %s long", n.Name, n.Lay.Width.Text, n.Lay.Length.Text), n.Lay, n.Moves)
		}
	}
}

// lay is a cloth to scale, and beside it how it is cut.
func (p *pack) lay(title string, l answer.Lay, moves []answer.Move) {
	d := drawing.Lay(title, l)
	p.font("", 9)
	scale := math.Min(p.inner()*0.55/d.Width, (p.bottom()-margin-20)/d.Height)
	lines := 0
	for _, m := range moves {
		lines += len(p.wrapped(m.Numbered(), p.inner()*0.42-5))
	}
	p.room(math.Max(d.Height*scale, 4.6*float64(lines)) + 12)
	y := p.pdf.GetY()
	p.font("B", 11)
	p.pdf.Text(margin, y+4, title)
	p.paint(d, margin, y+5, scale)
	p.font("B", 8)
	for i, strip := range l.Strips { // as the list beside it has them
		middle := float64(strip.Y.NM+strip.Height.NM/2) / 1e6
		p.pdf.Text(margin+d.Width*scale+1.5, y+5+middle*scale+1, fmt.Sprint(i+1))
	}
	x := margin + p.inner()*0.58
	p.pdf.SetY(y + 6)
	p.font("", 9)
	for _, m := range moves {
		in := 0.0
		if m.Within {
			in = 4
		}
		p.box(x+in, p.pdf.GetY()+0.6, 3)
		p.paragraph(m.Numbered(), x+in+5, p.inner()*0.42-5-in, 4.6)
	}
	p.pdf.SetY(math.Max(p.pdf.GetY(), y+5+d.Height*scale) + 4)
}

// pressing is the pressing plan of pieced faces, seen from the back.
func (p *pack) pressing() {
	begun := false
	for _, piece := range p.Reckoning.Pieces {
		if len(piece.Press) == 0 {
			continue
		}
		if !begun {
			p.heading("Pressing, seen from the back", 90)
			begun = true
		}
		p.pressed(piece)
	}
}

func (p *pack) pressed(piece answer.Piece) {
	w, h := float64(piece.Finished.Width.NM)/1e6, float64(piece.Finished.Height.NM)/1e6
	scale := math.Min(p.inner()*0.6/w, 85/h)
	p.room(h*scale + 10)
	y := p.pdf.GetY()
	p.font("B", 10)
	p.pdf.Text(margin, y+4, piece.Title)
	y += 6
	p.line(ink, 0.3)
	p.pdf.Rect(margin, y, w*scale, h*scale, "D")
	across := func(nm int64) float64 { return margin + (w-float64(nm)/1e6)*scale } // mirrored: it lies face down
	down := func(nm int64) float64 { return y + float64(nm)/1e6*scale }
	for _, s := range piece.Press {
		p.line(ink, 0.2)
		p.pdf.Line(across(s.X1), down(s.Y1), across(s.X2), down(s.Y2))
		if by, known := away[s.Side]; known {
			p.line(thread, 0.6)
			p.pdf.Line(across(s.X1)-by[0], down(s.Y1)+by[1], across(s.X2)-by[0], down(s.Y2)+by[1])
		}
	}
	p.font("", 9)
	p.pdf.SetY(y + 2)
	p.paragraph("The thick line beside a seam is the side its allowances lie on; none where it is pressed open or to its darker side.", margin+p.inner()*0.64, p.inner()*0.36, 4.6)
	p.pdf.SetY(math.Max(p.pdf.GetY(), y+h*scale) + 4)
}

// away is where the allowance of a seam lies, seen from the front, in millimetres on paper.
var away = map[string][2]float64{"left": {-0.9, 0}, "right": {0.9, 0}, "up": {0, -0.9}, "down": {0, 0.9},
	"up-right": {0.6, -0.6}, "up-left": {-0.6, -0.6}, "down-right": {0.6, 0.6}, "down-left": {-0.6, 0.6}}

// steps are the steps in order, each with a box to tick, a small drawing of its piece and
// what lies on what.
func (p *pack) steps() {
	p.heading("Steps", 30)
	for i, s := range p.Reckoning.Steps {
		p.step(i+1, s)
	}
}

// aside is how wide the drawings beside the steps are.
const aside = 44.0

// words are lines of one size and colour.
type words struct {
	points float64
	ink    colour
	text   string
}

// told are the words of a step on the page at hand, and how high they are.
func (p *pack) told(s answer.Step, wide float64) (list []words, height float64) {
	list = []words{{9.5, ink, s.Text}}
	more := func(name, text string, c colour) {
		if text != "" {
			list = append(list, words{8.5, c, name + text})
		}
	}
	more("Machine: ", s.Machine, ink)
	more("Press: ", s.Press, ink)
	if s.Rest > 0 {
		more("Then: ", fmt.Sprintf("let it cool flat for %d minutes before it is moved.", s.Rest), ink)
	}
	more("Check: ", s.Check, moss)
	more("Tips: ", strings.Join(s.Tips, " "), ink)
	full, again := p.cautions(s)
	more("", full, madder)
	more("Caution, as above: ", again, madder)
	if s.Gate != "" && s.Expect != nil {
		expect := s.Expect.Width.Text
		if s.Expect.Height.NM > 0 {
			expect += " × " + s.Expect.Height.Text
		}
		more("It should measure "+expect+". It measures ", "____________", ink)
	}
	height = 6
	for _, w := range list {
		p.font("", w.points)
		height += float64(len(p.wrapped(w.text, wide))) * w.points * 0.46
	}
	return list, height
}

// cautions are those of a step that are not said on the page at hand yet, in full, and the words of the others.
func (p *pack) cautions(s answer.Step) (full, again string) {
	var texts, said []string
	for _, c := range s.Cautions {
		if p.said[c.Text] == p.pdf.PageNo() {
			said = append(said, strings.ToLower(c.Word))
		} else {
			texts = append(texts, c.Text)
		}
	}
	if len(said) > 0 {
		again = strings.Join(said, ", ") + "."
	}
	return strings.Join(texts, " "), again
}

func (p *pack) step(number int, s answer.Step) {
	text := p.inner() - aside - 12
	list, height := p.told(s, text)
	page := p.pdf.PageNo()
	p.room(math.Max(height, p.figure(s, 0, 0, false)) + 3)
	if p.pdf.PageNo() != page { // on a new page all is said in full
		list, _ = p.told(s, text)
	}
	for _, c := range s.Cautions {
		p.said[c.Text] = p.pdf.PageNo()
	}
	y := p.pdf.GetY()
	p.box(margin, y+0.8, 4)
	p.font("B", 10.5)
	p.ink(ink)
	p.pdf.Text(margin+7, y+4.2, fmt.Sprintf("%d  %s", number, s.Title))
	p.pdf.SetY(y + 6)
	for _, w := range list {
		p.font("", w.points)
		p.ink(w.ink)
		p.paragraph(w.text, margin+7, text, w.points*0.46)
	}
	p.ink(ink)
	drawn := p.figure(s, margin+p.inner()-aside, y+1, true)
	p.pdf.SetY(math.Max(p.pdf.GetY(), y+drawn) + 3)
}

// figure draws the piece of a step, what it is about standing out, and what lies on what;
// its answer is how high both are, drawn or not.
func (p *pack) figure(s answer.Step, x, y float64, draw bool) float64 {
	height := 0.0
	if len(s.Lying) > 0 {
		height = p.lying(s.Lying, x, y, draw)
		return height + p.stack(s.Stack, x, y+height, draw)
	}
	for _, piece := range p.Reckoning.Pieces {
		if piece.Name != s.Piece || s.Aside {
			continue
		}
		w, h := float64(piece.Finished.Width.NM)/1e6, float64(piece.Finished.Height.NM)/1e6
		scale := math.Min(aside/w, tall/h)
		if draw {
			p.thumbnail(piece, s, x, y, scale)
		}
		height += h*scale + 2
		break
	}
	return height + p.stack(s.Stack, x, y+height, draw)
}

// tall is how high the drawing beside a step is at most, and toldApart how many cells can be told apart on it.
const (
	tall      = 20.0
	toldApart = 2000
)

// thumbnail draws a piece as a step has it: what the step is about in its colours, the rest
// pale, with the shapes and fittings it is about and, once it is sewn, the quilting.
func (p *pack) thumbnail(piece answer.Piece, s answer.Step, x, y, scale float64) {
	m := scaled(scale, x, y)
	if s.Turned { // its wrong side is seen
		m = shape.Scale(-scale, scale).Then(shape.Move(x+float64(piece.Finished.Width.NM)/1e6*scale, y))
	}
	about := map[int]bool{}
	for _, i := range s.Cells {
		about[i] = true
	}
	many := len(piece.Cells) > toldApart
	if many { // as a whole, and what the step is about on it
		p.cell(drawing.PathOf(piece.Outline).Mapped(m), piece.Cells[0].Cloth, 0.15)
	}
	for i, c := range piece.Cells {
		strength := 0.85
		if !about[i] && len(s.Cells) > 0 {
			strength = 0.15
		}
		if many && !about[i] {
			continue
		}
		p.cell(cellPath(c).Mapped(m), c.Cloth, strength)
	}
	for _, one := range piece.Shapes {
		if strength := laid(s, one); strength > 0 {
			p.sketch(one.Path, m, one.Cloth, strength)
		}
	}
	if piece.Quilting != nil && s.Act == "quilt" {
		for _, l := range piece.Quilting.Lines {
			p.sketch(l.Path, m, "", 1)
		}
	}
	for _, e := range s.Edges {
		if e.Piece == piece.Name {
			p.edge(drawing.Along(e.Path).Mapped(m), e.Kind == answer.TapeEdge)
		}
	}
	for _, f := range p.Reckoning.Fittings {
		if f.On != piece.Name || s.Fitting != f.Index+1 {
			continue
		}
		for _, b := range f.Boxes {
			p.line(thread, 0.5)
			p.path(drawing.Rectangle(float64(b.X)/1e6, float64(b.Y)/1e6, float64(b.Width)/1e6, float64(b.Height)/1e6).
				Mapped(m), "D")
		}
	}
}

// edge draws an edge that is worked at, or, dashed, the way of the tape.
func (p *pack) edge(path shape.Path, dashed bool) {
	p.line(thread, 0.7)
	if dashed {
		p.pdf.SetDashPattern([]float64{1.6, 0.8}, 0)
	}
	p.path(path, "D")
	p.pdf.SetDashPattern(nil, 0)
}

// lying draws pieces as they lie on the table by themselves, side by side: the edge at hand, and the lines it is folded
// on. Its answer is how high they are, drawn or not.
func (p *pack) lying(pieces []answer.Lying, x, y float64, draw bool) float64 {
	const apart = 3.0
	wide, high := 0.0, 0.0
	for _, l := range pieces {
		wide, high = wide+float64(l.Size.Width.NM)/1e6, math.Max(high, float64(l.Size.Height.NM)/1e6)
	}
	scale := math.Min((aside-apart*float64(len(pieces)-1))/wide, tall/high)
	for _, l := range pieces {
		w, h := float64(l.Size.Width.NM)/1e6*scale, float64(l.Size.Height.NM)/1e6*scale
		if draw {
			p.cell(drawing.Rectangle(x, y, w, h), l.Cloth, 0.5)
			for _, f := range l.Folds {
				p.edge(across(l.Edge, x, y, w, h, float64(f.NM)/1e6*scale), l.Edge != "")
			}
			if l.Edge != "" {
				p.edge(across(l.Edge, x, y, w, h, 0), false)
			}
		}
		x += w + apart
	}
	return high*scale + 2
}

// across is a line along a side of a rectangle, so far from it.
func across(side string, x, y, w, h, far float64) shape.Path {
	from, to := shape.Point{X: x + far, Y: y}, shape.Point{X: x + far, Y: y + h}
	switch side {
	case "right":
		from.X, to.X = x+w-far, x+w-far
	case "bottom":
		from, to = shape.Point{X: x, Y: y + h - far}, shape.Point{X: x + w, Y: y + h - far}
	}
	return shape.Path{{Start: from, Segments: []shape.Segment{{To: to}}}}
}

// laid is how strongly a shape is drawn in a step: those that are laid in it, those under them
// pale, the ones to come not at all.
func laid(s answer.Step, one answer.Shape) float64 {
	about := s.About
	switch about.Role {
	case ref.DoLayShapes:
		switch {
		case one.Line || one.Late && !about.Late || one.Level > about.Level:
			return 0
		case one.Level == about.Level && one.Late == about.Late:
			return 0.85
		}
		return 0.25
	case ref.DoCutShapes, ref.DoSewShapes, ref.DoQuilt:
		return 0.85
	}
	return 0
}

// cellPath is the outline of a part where it lies, in millimetres.
func cellPath(c answer.Cell) shape.Path {
	if len(c.Line) > 0 {
		return drawing.PathOf(c.Line)
	}
	return drawing.Rectangle(float64(c.X)/1e6, float64(c.Y)/1e6, float64(c.Width)/1e6, float64(c.Height)/1e6)
}

// cell fills a part with its cloth, so strongly.
func (p *pack) cell(path shape.Path, cloth string, strength float64) {
	ground, known := drawing.RGB(p.Cloths[cloth].Swatch.Ground)
	if !known {
		ground = hair
	}
	p.fill(drawing.Pale(ground, strength))
	p.line(ink, 0.1)
	p.path(path, "FD")
}

// sketch draws path data that the reckoning gave, filled so strongly where it is of a cloth.
func (p *pack) sketch(text string, m shape.Matrix, cloth string, strength float64) {
	path, err := shape.Parse(text)
	if err != nil {
		p.pdf.SetError(err)
		return
	}
	if cloth != "" {
		p.cell(path.Mapped(m), cloth, strength)
		return
	}
	p.line(moss, 0.12)
	p.path(path.Mapped(m), "D")
}

// stack draws what lies on what from the side, the right side of each a thick line.
func (p *pack) stack(sheets []work.Sheet, x, y float64, draw bool) float64 {
	const high, gap = 3.0, 1.0
	if draw {
		for i, sheet := range sheets {
			top := y + float64(len(sheets)-1-i)*(high+gap)
			ground, known := drawing.RGB(p.Cloths[sheet.Cloth].Swatch.Ground)
			if !known {
				ground = hair
			}
			p.fill(ground)
			p.line(muted, 0.1)
			p.pdf.Rect(x, top, 14, high, "FD")
			p.line(thread, 0.6)
			words := sheet.What
			switch sheet.Up {
			case work.RightUp:
				p.pdf.Line(x, top, x+14, top)
				words += ", right side up"
			case work.WrongUp:
				p.pdf.Line(x, top+high, x+14, top+high)
				words += ", wrong side up"
			}
			p.font("", 6.5)
			p.pdf.Text(x+15.5, top+2.2, words)
		}
	}
	if len(sheets) == 0 {
		return 0
	}
	return float64(len(sheets))*(high+gap) + 1
}
