package drawing

import (
	"fmt"
	"math"
	"strings"

	"umschlag/core/answer"

	"umschlag/core/plan"
	"umschlag/core/shape"
)

// margin round a drawing.
const margin = 10

// notch is how long a mark at an edge is, from the cut edge inwards.
const notch = 6

// Piece draws a piece of a cover with all its lines: what is cut and trimmed, the sewn line
// with its marks, the grain, the seams of its face, its quilting and its fittings.
func Piece(r answer.Reckoning, p answer.Piece, swatches map[string]plan.Swatch) (Drawing, error) {
	d := Drawing{Title: p.Title}
	for _, c := range p.Cells {
		path := PathOf(c.Line)
		switch {
		case len(path) > 0:
		case len(p.Cells) == 1: // all of it, whatever its outline
			path = PathOf(p.CutOutline)
		default:
			path = Rectangle(mm(c.X), mm(c.Y), mm(c.Width), mm(c.Height))
		}
		d.Lines = append(d.Lines, Line{Layer: Internal, Path: path, Fill: swatches[c.Cloth].Ground})
	}
	for _, s := range p.Shapes {
		path, err := shape.Parse(s.Path)
		if err != nil {
			return d, fmt.Errorf("draw %s: %w", s.Title, err)
		}
		fill := swatches[s.Cloth].Ground
		if s.Line {
			fill = ""
		}
		d.Lines = append(d.Lines, Line{Layer: Internal, Path: path, Fill: fill})
	}
	if p.Quilting != nil {
		for _, l := range p.Quilting.Lines {
			path, err := shape.Parse(l.Path)
			if err != nil {
				return d, fmt.Errorf("draw the quilting of %s: %w", p.Title, err)
			}
			d.add(Quilting, path)
		}
	}
	d.fittings(r, p)
	cut, trimmed := PathOf(p.CutOutline), PathOf(p.TrimmedOutline)
	d.add(Cut, cut)
	if trimmed.Text() != cut.Text() {
		d.add(Trim, trimmed)
	}
	d.add(Sew, PathOf(p.Outline))
	d.add(Internal, PathOf(p.Ditch))
	for _, s := range p.Seams {
		for _, m := range s.Marks {
			d.mark(m)
		}
	}
	d.grain(p)
	box := cut.Box()
	d.Words = append(d.Words, Word{X: (box.X1 + box.X2) / 2, Y: box.Y1 + box.Height()*0.9,
		Height: math.Min(8, box.Height()/10), Middle: true,
		Text: fmt.Sprintf("%s, cut %s × %s", p.Title, p.BeforeQuilting.Width.Text, p.BeforeQuilting.Height.Text)})
	return d.placed(box), nil
}

// fittings draws where handles, pockets and the like are sewn on.
func (d *Drawing) fittings(r answer.Reckoning, p answer.Piece) {
	for _, f := range r.Fittings {
		if f.On != p.Name {
			continue
		}
		for _, b := range f.Boxes {
			x, y, w, h := mm(b.X), mm(b.Y), mm(b.Width), mm(b.Height)
			if f.Round {
				d.add(Internal, circle(x+w/2, y+h/2, w/2))
			} else {
				d.add(Internal, Rectangle(x, y, w, h))
			}
		}
		for _, l := range f.Lines {
			d.add(Internal, stroke(mm(l.X1), mm(l.Y1), mm(l.X2), mm(l.Y2)))
		}
	}
}

func circle(x, y, r float64) shape.Path {
	from, to := shape.Point{X: x - r, Y: y}, shape.Point{X: x + r, Y: y}
	run := shape.Run{Start: from, Closed: true}
	run.Segments = append(Side(from, to, 1), Side(to, from, 1)...)
	return shape.Path{run}
}

// mark is a notch from a point on the seam line out towards the cut edge.
func (d *Drawing) mark(m answer.Mark) {
	sin, cos := math.Sincos((m.Direction + 90) * math.Pi / 180)
	x, y := mm(m.X), mm(m.Y)
	d.add(Notch, stroke(x-cos*notch/2, y-sin*notch/2, x+cos*notch/2, y+sin*notch/2))
}

// grain is an arrow along the length of the cloth; none on a pieced face.
func (d *Drawing) grain(p answer.Piece) {
	if p.Grain == "" || len(p.Outline) == 0 {
		return
	}
	box := PathOf(p.Outline).Box()
	x, y := (box.X1+box.X2)/2, (box.Y1+box.Y2)/2
	long := math.Min(box.Width(), box.Height()) * 0.3
	head := long * 0.15
	up := p.Grain != "across"
	line := func(x1, y1, x2, y2 float64) {
		if !up {
			x1, y1, x2, y2 = y1, x1, y2, x2
		}
		d.add(Grain, stroke(x+x1, y+y1, x+x2, y+y2))
	}
	line(0, long, 0, -long)
	line(-head, -long+head, 0, -long)
	line(head, -long+head, 0, -long)
	if p.Grain != "one-way" {
		line(-head, long-head, 0, long)
		line(head, long-head, 0, long)
	}
}

// placed moves a drawing so that a box lies a margin inside its page.
func (d Drawing) placed(box shape.Box) Drawing {
	m := shape.Move(margin-box.X1, margin-box.Y1)
	for i := range d.Lines {
		d.Lines[i].Path = d.Lines[i].Path.Mapped(m)
	}
	for i := range d.Words {
		d.Words[i].X, d.Words[i].Y = d.Words[i].X+margin-box.X1, d.Words[i].Y+margin-box.Y1
	}
	d.Width, d.Height = box.Width()+2*margin, box.Height()+2*margin
	return d
}

// Template draws one cut at true size: its outline, and within a rectangle the template of
// a patch or a shape that is cut from it.
func Template(c answer.Cut) (Drawing, error) {
	d := Drawing{Title: c.Title}
	w, h := mm(c.Width.NM), mm(c.Height.NM)
	switch {
	case c.Path != "":
		path, err := shape.Parse(c.Path)
		if err != nil {
			return d, fmt.Errorf("draw the template of %s: %w", c.Title, err)
		}
		d.add(Cut, path)
	case len(c.Line) > 0:
		d.add(Cut, PathOf(c.Line))
	default:
		d.add(Cut, Rectangle(0, 0, w, h))
	}
	box := d.Lines[0].Path.Box()
	words := fmt.Sprintf("%d × %s", c.Count, strings.ToLower(c.Title))
	if c.Mirrored {
		words += ", mirrored"
	}
	d.Words = append(d.Words, Word{X: (box.X1 + box.X2) / 2, Y: (box.Y1 + box.Y2) / 2,
		Height: math.Min(6, box.Height()/6), Text: words, Middle: true})
	return d.placed(box), nil
}

// Lay draws a cloth with what is cut of it: its length up, the strips all the way across,
// every piece with its number in the list of cuts. What is kept for a piece that may come out larger is an inner line.
func Lay(title string, l answer.Lay) Drawing {
	d := Drawing{Title: title}
	w, h := mm(l.Width.NM), mm(l.Length.NM)
	d.add(Cloth, Rectangle(0, 0, w, h))
	for _, s := range l.Strips {
		y := mm(s.Y.NM) + mm(s.Height.NM)
		d.add(Cut, stroke(0, y, w, y))
	}
	for _, p := range l.Placed {
		x, y, pw, ph := mm(p.X.NM), mm(p.Y.NM), mm(p.Width.NM), mm(p.Height.NM)
		d.add(Cut, Rectangle(x, y, pw, ph))
		if r := p.Room; r.Width.NM > p.Width.NM || r.Height.NM > p.Height.NM {
			d.add(Internal, Rectangle(mm(r.X.NM), mm(r.Y.NM), mm(r.Width.NM), mm(r.Height.NM)))
		}
		d.Words = append(d.Words,
			Word{X: x + pw/2, Y: y + ph/2, Height: math.Min(12, math.Min(pw, ph)/3), Middle: true,
				Text: fmt.Sprint(p.Cut + 1)})
	}
	return d.placed(shape.Box{X2: w, Y2: h})
}

// Shaped reports a piece that no ruler cuts: with arcs, or with more than four corners.
func Shaped(p answer.Piece) bool {
	for _, v := range p.TrimmedOutline {
		if v.Bulge != 0 {
			return true
		}
	}
	return len(p.TrimmedOutline) > 4
}

// PieceTemplate draws a piece as it is cut to its outline, with its sewn line and marks.
func PieceTemplate(p answer.Piece) Drawing {
	d := Drawing{Title: p.Title}
	cut := PathOf(p.TrimmedOutline)
	d.add(Cut, cut)
	d.add(Sew, PathOf(p.Outline))
	for _, s := range p.Seams {
		for _, m := range s.Marks {
			d.mark(m)
		}
	}
	d.grain(p)
	box := cut.Box()
	d.Words = append(d.Words, Word{X: (box.X1 + box.X2) / 2, Y: box.Y1 + box.Height()*0.85, Height: 5, Middle: true,
		Text: fmt.Sprintf("%d × %s", p.Count, strings.ToLower(p.Title))})
	return d.placed(box)
}
