package printpack

import (
	"fmt"
	"math"

	"umschlag/core/answer"

	"umschlag/core/shape"
	"umschlag/format/drawing"
)

func scaled(scale, x, y float64) shape.Matrix {
	return shape.Scale(scale, scale).Then(shape.Move(x, y))
}

// overlap is how far two pages of one template lie on each other.
const overlap = 10.0

// templates are the outlines that no ruler cuts, at true size; first two squares that tell
// whether the printer kept it.
func (p *pack) templates() {
	list := p.outlines()
	if len(list) == 0 {
		return
	}
	p.pdf.AddPage()
	p.pdf.SetY(margin)
	p.squares()
	x, row := margin, 0.0
	for _, d := range list {
		if !p.fits(d) {
			continue // over several pages, after those that fit on one
		}
		if x > margin && x+d.Width > p.width-margin {
			p.pdf.SetY(p.pdf.GetY() + row)
			x, row = margin, 0
		}
		if p.pdf.GetY()+d.Height > p.bottom() {
			p.pdf.AddPage()
			p.pdf.SetY(margin)
			x, row = margin, 0
		}
		p.paint(d, x, p.pdf.GetY(), 1)
		x, row = x+d.Width, math.Max(row, d.Height)
	}
	for _, d := range list {
		if !p.fits(d) {
			p.tiled(d)
		}
	}
}

// outlines are the templates of shapes and patches that are no rectangles, and of pieces
// with rounded or tapered corners.
func (p *pack) outlines() []drawing.Drawing {
	var out []drawing.Drawing
	add := func(d drawing.Drawing, err error) {
		if err != nil {
			p.pdf.SetError(err)
			return
		}
		out = append(out, d)
	}
	for _, c := range p.Reckoning.Cuts {
		if c.Path != "" || len(c.Line) > 0 {
			// a ruler cuts a large one better
			if d, err := drawing.Template(c); err != nil || p.fits(d) || !rectangle(d) {
				add(d, err)
			}
		}
	}
	for _, piece := range p.Reckoning.Pieces {
		if drawing.Shaped(piece) {
			add(p.pieceTemplate(piece), nil)
		}
	}
	return out
}

// rectangle tells whether a template is one that a ruler cuts: upright and level lines only,
// as long as the box round them.
func rectangle(d drawing.Drawing) bool {
	box := d.Only(drawing.Cut).Lines[0].Path.Box()
	for _, line := range d.Only(drawing.Cut).Lines[0].Path.Flat(drawing.Fine) {
		for i, p := range line.Points {
			q := line.Points[(i+1)%len(line.Points)]
			if math.Abs(p.X-q.X) > 0.01 && math.Abs(p.Y-q.Y) > 0.01 {
				return false
			}
		}
	}
	return math.Abs(d.Length(drawing.Cut)-2*(box.Width()+box.Height())) < 0.01
}

// pieceTemplate is a piece as a whole, or its corner where that does for all of them and takes
// fewer pages.
func (p *pack) pieceTemplate(piece answer.Piece) drawing.Drawing {
	whole := drawing.PieceTemplate(piece)
	corner, ok := drawing.Corner(piece)
	if !ok || p.fits(whole) {
		return whole
	}
	_, c, r := p.tiles(corner)
	_, columns, rows := p.tiles(whole)
	if c*r < columns*rows {
		return corner
	}
	return whole
}

// tiles is over how many pages a drawing is printed, turned where that takes fewer.
func (p *pack) tiles(d drawing.Drawing) (as drawing.Drawing, columns, rows int) {
	w, h := p.inner()-overlap, p.bottom()-margin-6-overlap
	count := func(d drawing.Drawing) (columns, rows int) {
		return max(1, int(math.Ceil((d.Width-overlap)/w))), max(1, int(math.Ceil((d.Height-overlap)/h)))
	}
	columns, rows = count(d)
	if c, r := count(d.Turned()); c*r < columns*rows {
		return d.Turned(), c, r
	}
	return d, columns, rows
}

// fits tells whether a drawing fits on a page as it stands.
func (p *pack) fits(d drawing.Drawing) bool {
	return d.Width <= p.inner() && d.Height <= p.bottom()-margin-6
}

// squares tell whether the printer kept the size.
func (p *pack) squares() {
	p.font("B", 14)
	p.ink(ink)
	p.pdf.Text(margin, p.pdf.GetY()+6, "Templates at true size")
	p.pdf.Bookmark("Templates", 0, p.pdf.GetY())
	y := p.pdf.GetY() + 10
	p.line(ink, 0.25)
	p.pdf.Rect(margin, y, 50.8, 50.8, "D")
	p.pdf.Rect(margin+60, y, 50, 50, "D")
	p.font("", 10)
	p.pdf.Text(margin+3, y+8, "2 inches each way")
	p.pdf.Text(margin+63, y+8, "5 cm each way")
	p.pdf.SetY(y)
	p.font("", 9.5)
	p.paragraph("Print at 100%, not fitted to the page, and measure one of the squares before you cut. Templates for fusible web are mirrored already.", margin+116, p.inner()-116, 5)
	p.pdf.SetY(y + 56)
}

// tiled prints a drawing over several pages that lie on each other by the overlap; dashed
// lines are where the edges of the neighbours come.
func (p *pack) tiled(d drawing.Drawing) {
	w, h := p.inner(), p.bottom()-margin-6
	d, columns, rows := p.tiles(d)
	for row := range rows {
		for column := range columns {
			p.pdf.AddPage()
			top := margin + 6
			p.font("B", 10)
			p.ink(ink)
			p.pdf.Text(margin, margin+3,
				fmt.Sprintf("%s: page %c%d of %d × %d", d.Title, 'A'+column, row+1, columns, rows))
			p.pdf.ClipRect(margin, top, w, h, false)
			p.paint(d, margin-float64(column)*(w-overlap), top-float64(row)*(h-overlap), 1)
			p.pdf.ClipEnd()
			p.line(muted, 0.2)
			p.pdf.SetDashPattern([]float64{2, 2}, 0)
			if column > 0 {
				p.pdf.Line(margin+overlap, top, margin+overlap, top+h)
			}
			if column < columns-1 {
				p.pdf.Line(margin+w-overlap, top, margin+w-overlap, top+h)
			}
			if row > 0 {
				p.pdf.Line(margin, top+overlap, margin+w, top+overlap)
			}
			if row < rows-1 {
				p.pdf.Line(margin, top+h-overlap, margin+w, top+h-overlap)
			}
			p.pdf.SetDashPattern(nil, 0)
			p.pdf.Rect(margin, top, w, h, "D")
		}
	}
}
