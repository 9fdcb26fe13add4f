package printpack

import (
	"bytes"
	"fmt"
	"strings"

	"umschlag/core/answer"

	"codeberg.org/go-pdf/fpdf"
)

// Label is the size of a label for a pile of pieces, in millimetres: a usual width of label
// printers. Common practice.
var Label = fpdf.SizeType{Wd: 62, Ht: 29}

// inset is how far the writing of a label stands from its edge.
const inset = 3.0

// Labels are one page for every pile of pieces alike: what they are, how many and how large,
// of which cloth and for which plan. It fails on a plan that cannot be cut.
func Labels(title string, r answer.Reckoning) ([]byte, error) {
	if len(r.Cuts) == 0 {
		return nil, fmt.Errorf("%s cannot be cut as it stands: its brief says why", title)
	}
	cloths := map[string]string{}
	for _, n := range r.Cloths {
		cloths[n.Cloth] = n.Name
	}
	pdf := newPDF("Labels, "+title, Label, inset)
	for _, cut := range r.Cuts {
		if cut.Total == 0 {
			continue // all of it comes in units left from other covers
		}
		pdf.AddPage()
		written(pdf, 8, "B", 11, cut.Title)
		written(pdf, 15.5, "B", 13, fmt.Sprintf("%s, %s × %s", pieces(cut.Total), cut.Width.Text, cut.Height.Text))
		written(pdf, 21, "", 9, cloths[cut.Cloth])
		written(pdf, 26, "", 9, title)
	}
	var out bytes.Buffer
	if err := pdf.Output(&out); err != nil {
		return nil, fmt.Errorf("write the labels of %s: %w", title, err)
	}
	return out.Bytes(), nil
}

// smallest is the smallest writing on a label, in points.
const smallest = 7.0

// written puts a line on a label: smaller where it is long, and cut short where that does not
// do.
func written(pdf *fpdf.Fpdf, y float64, style string, points float64, text string) {
	room := Label.Wd - 2*inset
	pdf.SetFont(family, style, points)
	for pdf.GetStringWidth(text) > room && points > smallest {
		points -= 0.5
		pdf.SetFont(family, style, points)
	}
	letters := []rune(text)
	for len(letters) > 0 && pdf.GetStringWidth(text) > room {
		letters = letters[:len(letters)-1]
		text = strings.TrimSpace(string(letters)) + "…"
	}
	pdf.Text(inset, y, text)
}

// pieces are how many there are, in words, so that no count stands among the sizes.
func pieces(count int) string {
	if count == 1 {
		return "1 piece"
	}
	return fmt.Sprintf("%d pieces", count)
}
