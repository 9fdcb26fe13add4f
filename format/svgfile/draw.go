package svgfile

import (
	"bytes"
	"fmt"
	"strconv"

	"umschlag/format/drawing"
)

// strokes are the colours of the layers: what is cut stands out, the rest is ink.
var strokes = map[drawing.Layer]string{
	drawing.Cloth: "#9a8f78", drawing.Cut: "#a6331f", drawing.Trim: "#9a6a10", drawing.Sew: "#2b5d8a",
	drawing.Grain: "#1e2742",
	drawing.Notch: "#1e2742", drawing.Internal: "#1e2742", drawing.Quilting: "#4d6b3c", drawing.Words: "#1e2742",
}

// Draw writes a drawing at true size, a group for every layer, its words as words. What is
// filled lies under all lines.
func Draw(d drawing.Drawing) []byte {
	var b bytes.Buffer
	fmt.Fprintf(&b, `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="%[1]smm" height="%[2]smm" viewBox="0 0 %[1]s %[2]s">
`, fixed(d.Width), fixed(d.Height))
	body(&b, d, "id")
	return b.Bytes()
}

// Inline writes the same for a page of HTML, as large as there is room: its layers are
// classes, since several drawings stand on one page.
func Inline(d drawing.Drawing) []byte {
	var b bytes.Buffer
	fmt.Fprintf(&b, "<svg viewBox=\"0 0 %s %s\" role=\"img\">\n", fixed(d.Width), fixed(d.Height))
	body(&b, d, "class")
	return b.Bytes()
}

// strength of the cloths under the lines.
const strength = 0.4

// fixed is a coordinate to a ten-thousandth of a millimetre.
func fixed(f float64) string { return strconv.FormatFloat(f, 'f', 4, 64) }

// body is everything within a drawing; key is the attribute that names its layers.
func body(b *bytes.Buffer, d drawing.Drawing, key string) {
	fmt.Fprintf(b, "<title>%s</title>\n", escaped(d.Title))
	fmt.Fprintf(b, "<g %s=\"faces\" stroke=\"none\">\n", key)
	for _, l := range d.Lines {
		if rgb, ok := drawing.RGB(l.Fill); ok {
			pale := drawing.Pale(rgb, strength)
			fmt.Fprintf(b, "<path d=\"%s\" fill=\"#%02x%02x%02x\"/>\n", l.Path.Text(), pale[0], pale[1], pale[2])
		}
	}
	b.WriteString("</g>\n")
	for _, layer := range d.Used() {
		fmt.Fprintf(b, "<g %s=\"%s\" fill=\"none\" stroke=\"%s\" stroke-width=\"0.25\">\n", key, layer, strokes[layer])
		for _, l := range d.Lines {
			if l.Layer == layer {
				fmt.Fprintf(b, "<path d=\"%s\"/>\n", l.Path.Text())
			}
		}
		b.WriteString("</g>\n")
	}
	if len(d.Words) > 0 {
		fmt.Fprintf(b, "<g %s=\"%s\" fill=\"%s\" font-family=\"sans-serif\">\n", key, drawing.Words,
			strokes[drawing.Words])
		for _, t := range d.Words {
			anchor := ""
			if t.Middle {
				anchor = ` text-anchor="middle"`
			}
			fmt.Fprintf(b, "<text x=\"%s\" y=\"%s\" font-size=\"%s\"%s>%s</text>\n", fixed(t.X), fixed(t.Y),
				fixed(t.Height), anchor, escaped(t.Text))
		}
		b.WriteString("</g>\n")
	}
	b.WriteString("</svg>\n")
}
