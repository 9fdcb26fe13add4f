package printpack

import (
	"strings"

	"umschlag/core/shape"
	"umschlag/format/drawing"
)

func fields(text string) []string { return strings.Fields(text) }

// looks of the layers on paper: colour and width of the line, and its dashes.
var looks = map[drawing.Layer]struct {
	colour colour
	width  float64
	dash   []float64
}{
	drawing.Cloth: {muted, 0.3, nil}, drawing.Cut: {ink, 0.35, nil}, drawing.Trim: {ochre, 0.3, []float64{2, 1}},
	drawing.Sew:   {thread, 0.3, []float64{3, 1}},
	drawing.Grain: {ink, 0.25, nil}, drawing.Notch: {ink, 0.35, nil}, drawing.Internal: {ink, 0.15, nil},
	drawing.Quilting: {moss, 0.15, []float64{1, 1}},
}

// paint draws a drawing with its upper left corner at x, y, so many times as large; words
// at least at a size that can be read.
func (p *pack) paint(d drawing.Drawing, x, y, scale float64) {
	m := shape.Scale(scale, scale).Then(shape.Move(x, y))
	for _, l := range d.Lines {
		if rgb, ok := drawing.RGB(l.Fill); ok {
			p.fill(drawing.Pale(rgb, 0.45))
			p.path(l.Path.Mapped(m), "F")
		}
	}
	for _, l := range d.Lines {
		look := looks[l.Layer]
		p.line(look.colour, look.width)
		p.pdf.SetDashPattern(look.dash, 0)
		p.path(l.Path.Mapped(m), "D")
	}
	p.pdf.SetDashPattern(nil, 0)
	p.ink(ink)
	for _, w := range d.Words {
		points := min(11, max(6.5, w.Height*scale/25.4*72))
		p.font("", points)
		at := x + w.X*scale
		if w.Middle {
			at -= p.pdf.GetStringWidth(w.Text) / 2
		}
		p.pdf.Text(at, y+w.Y*scale+points*0.12, w.Text)
	}
}

// path fills or draws a path; the place where the text goes on stays where it is.
func (p *pack) path(path shape.Path, style string) {
	x, y := p.pdf.GetXY()
	defer p.pdf.SetXY(x, y)
	for _, r := range path {
		p.pdf.MoveTo(r.Start.X, r.Start.Y)
		for _, s := range r.Segments {
			if s.Curve {
				p.pdf.CurveBezierCubicTo(s.C1.X, s.C1.Y, s.C2.X, s.C2.Y, s.To.X, s.To.Y)
			} else {
				p.pdf.LineTo(s.To.X, s.To.Y)
			}
		}
		if r.Closed {
			p.pdf.ClosePath()
		}
	}
	if len(path) > 0 {
		p.pdf.DrawPath(style)
	}
}
