package svgfile

import (
	"bytes"
	"encoding/xml"
	"fmt"
	"strconv"
	"strings"

	"umschlag/core/shape"
	"umschlag/format/drawing"
)

// Write draws outlines at true size: one unit of the drawing is a millimetre on paper.
// width and height are those of the page, in millimetres.
func Write(title string, width, height float64, list []drawing.Outline) []byte {
	var b bytes.Buffer
	number := func(f float64) string { return strconv.FormatFloat(f, 'f', -1, 64) }
	fmt.Fprintf(&b, `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="%[1]smm" height="%[2]smm" viewBox="0 0 %[1]s %[2]s">
<title>%[3]s</title>
`, number(width), number(height), escaped(title))
	for _, o := range list {
		fill, stroke := o.Fill, "#1e2742"
		if fill == "" {
			fill = "#ffffff"
		}
		if o.Line {
			fill, stroke = "none", fill
		}
		fmt.Fprintf(&b, "<path id=\"%s\" d=\"%s\" fill=\"%s\" stroke=\"%s\" stroke-width=\"0.2\"/>\n",
			escaped(strings.ReplaceAll(o.Name, " ", "_")), o.Path.Text(), fill, stroke)
	}
	b.WriteString("</svg>\n")
	return b.Bytes()
}

// Row puts outlines side by side with a gap, so that each can be cut from the page by
// itself, and says how large the page has to be.
func Row(list []drawing.Outline, gap, most float64) (out []drawing.Outline, width, height float64) {
	x, y, tall := gap, gap, 0.0
	for _, o := range list {
		box := o.Path.Box()
		if x > gap && x+box.Width()+gap > most {
			x, y, tall = gap, y+tall+gap, 0
		}
		o.Path = o.Path.Mapped(shape.Move(x-box.X1, y-box.Y1))
		x += box.Width() + gap
		tall = max(tall, box.Height())
		width = max(width, x)
		out = append(out, o)
	}
	return out, width, y + tall + gap
}

func escaped(text string) string {
	var b bytes.Buffer
	if err := xml.EscapeText(&b, []byte(text)); err != nil {
		return ""
	}
	return b.String()
}
