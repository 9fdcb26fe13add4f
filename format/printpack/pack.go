// Package printpack puts a plan on paper: a PDF for the cutting table and the machine, with
// boxes to tick, the sums as tapes, the lays, the pressing plan, the steps, and templates at
// true size over as many pages as they take.
package printpack

import (
	"bytes"
	"fmt"
	"slices"
	"time"

	"umschlag/core/answer"

	"codeberg.org/go-pdf/fpdf"
	"golang.org/x/image/font/gofont/gobold"
	"golang.org/x/image/font/gofont/goregular"

	"umschlag/core/length"
	"umschlag/core/plan"
)

// Paper is what it is printed on.
type Paper string

// The papers.
const (
	A4     Paper = "a4"
	Letter Paper = "letter"
)

// sizes of the papers upright, in millimetres. Source: ISO 216; ANSI/ASME Y14.1.
var sizes = map[Paper]fpdf.SizeType{A4: {Wd: 210, Ht: 297}, Letter: {Wd: 215.9, Ht: 279.4}}

// Part is one part of the pack.
type Part string

// The parts in their order.
const (
	Cover     Part = "cover"
	Cuts      Part = "cuts"
	Tapes     Part = "tapes"
	Lays      Part = "lays"
	Pressing  Part = "pressing"
	Steps     Part = "steps"
	Templates Part = "templates"
)

// Parts lists them.
func Parts() []Part { return []Part{Cover, Cuts, Tapes, Lays, Pressing, Steps, Templates} }

// Order is what is printed.
type Order struct {
	Title     string
	Reckoning answer.Reckoning
	// Cloths of the plan, by their letters.
	Cloths map[string]plan.Cloth
	Paper  Paper
	// Parts wanted; all where none is named.
	Parts []Part
	// Style lengths are written in.
	Style length.Style
}

// Write makes the PDF; the same order gives the same bytes. It fails on a paper or a part
// there is not, and on a plan that cannot be cut.
func Write(o Order) ([]byte, error) {
	size, known := sizes[o.Paper]
	if !known {
		return nil, fmt.Errorf("there is no paper %q: choose a4 or letter", o.Paper)
	}
	for _, part := range o.Parts {
		if !slices.Contains(Parts(), part) {
			return nil, fmt.Errorf("there is no part %q of a print pack: choose of %v", part, Parts())
		}
	}
	if len(o.Reckoning.Pieces) == 0 {
		return nil, fmt.Errorf("%s cannot be cut as it stands: its brief says why", o.Title)
	}
	p := newPack(o, size)
	for _, part := range Parts() {
		if len(o.Parts) == 0 || slices.Contains(o.Parts, part) {
			parts[part](p)
		}
	}
	var out bytes.Buffer
	if err := p.pdf.Output(&out); err != nil {
		return nil, fmt.Errorf("write the print pack of %s: %w", o.Title, err)
	}
	return out.Bytes(), nil
}

var parts = map[Part]func(*pack){
	Cover: (*pack).cover, Cuts: (*pack).cuts, Tapes: (*pack).tapes, Lays: (*pack).lays, Pressing: (*pack).pressing,
	Steps: (*pack).steps, Templates: (*pack).templates,
}

const (
	margin = 12.0
	family = "go"
	// foot is what the foot of a page takes above its margin.
	foot = 6.0
)

// pack is a PDF in the making.
type pack struct {
	Order
	pdf           *fpdf.Fpdf
	width, height float64
	// said is the page on which a caution was said in full last.
	said map[string]int
}

// newPDF is a PDF with its fonts that is the same for the same plan.
func newPDF(title string, size fpdf.SizeType, edge float64) *fpdf.Fpdf {
	pdf := fpdf.NewCustom(&fpdf.InitType{UnitStr: "mm", Size: size})
	pdf.AddUTF8FontFromBytes(family, "", goregular.TTF)
	pdf.AddUTF8FontFromBytes(family, "B", gobold.TTF)
	pdf.SetMargins(edge, edge, edge)
	pdf.SetAutoPageBreak(false, edge)
	pdf.SetCatalogSort(true)
	pdf.SetCreationDate(time.Unix(0, 0).UTC())
	pdf.SetModificationDate(time.Unix(0, 0).UTC())
	pdf.SetTitle(title, true)
	return pdf
}

func newPack(o Order, size fpdf.SizeType) *pack {
	pdf := newPDF(o.Title, size, margin)
	p := &pack{Order: o, pdf: pdf, width: size.Wd, height: size.Ht, said: map[string]int{}}
	pdf.SetFooterFunc(func() {
		p.font("", 8)
		p.ink(muted)
		pdf.Text(margin, p.height-margin+2, o.Title)
		number := fmt.Sprint(pdf.PageNo())
		pdf.Text(p.width-margin-pdf.GetStringWidth(number), p.height-margin+2, number)
		p.ink(ink)
	})
	return p
}

// inner is the width between the margins, and bottom where a page ends.
func (p *pack) inner() float64  { return p.width - 2*margin }
func (p *pack) bottom() float64 { return p.height - margin - foot }

type colour = [3]int

var (
	ink    = colour{0x1e, 0x27, 0x42}
	muted  = colour{0x5e, 0x63, 0x70}
	thread = colour{0x2b, 0x5d, 0x8a}
	madder = colour{0xa6, 0x33, 0x1f}
	ochre  = colour{0x9a, 0x6a, 0x10}
	moss   = colour{0x4d, 0x6b, 0x3c}
	hair   = colour{0xd9, 0xd0, 0xbd}
)

func (p *pack) font(style string, points float64) { p.pdf.SetFont(family, style, points) }
func (p *pack) ink(c colour)                      { p.pdf.SetTextColor(c[0], c[1], c[2]) }
func (p *pack) line(c colour, width float64) {
	p.pdf.SetDrawColor(c[0], c[1], c[2])
	p.pdf.SetLineWidth(width)
}
func (p *pack) fill(c colour) { p.pdf.SetFillColor(c[0], c[1], c[2]) }

// heading begins a part on a page of its own, or on this one where there is room for it.
func (p *pack) heading(text string, needs float64) {
	if p.pdf.PageNo() == 0 || p.pdf.GetY()+16+needs > p.bottom() {
		p.pdf.AddPage()
		p.pdf.SetY(margin)
	} else {
		p.pdf.SetY(p.pdf.GetY() + 5)
	}
	p.font("B", 14)
	p.ink(ink)
	y := p.pdf.GetY() + 6
	p.pdf.Text(margin, y, text)
	p.pdf.Bookmark(text, 0, y-6)
	p.pdf.SetY(y + 4)
}

// room begins a new page where so much does not fit on this one.
func (p *pack) room(height float64) {
	if p.pdf.GetY()+height > p.bottom() {
		p.pdf.AddPage()
		p.pdf.SetY(margin)
	}
}

// wrapped breaks a text into lines of a width in the font at hand.
func (p *pack) wrapped(text string, width float64) []string {
	var out []string
	line := ""
	for _, word := range fields(text) {
		next := word
		if line != "" {
			next = line + " " + word
		}
		if line != "" && p.pdf.GetStringWidth(next) > width {
			out = append(out, line)
			next = word
		}
		line = next
	}
	return append(out, line)
}

// paragraph writes a text from x down and leaves y below it; each line is height apart.
func (p *pack) paragraph(text string, x, width, height float64) {
	for _, line := range p.wrapped(text, width) {
		p.pdf.Text(x, p.pdf.GetY()+height*0.75, line)
		p.pdf.SetY(p.pdf.GetY() + height)
	}
}

// box is a square to tick.
func (p *pack) box(x, y, side float64) {
	p.line(ink, 0.25)
	p.pdf.Rect(x, y, side, side, "D")
}
