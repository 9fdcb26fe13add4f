package svgfile

import (
	"bytes"
	"fmt"
	"strconv"

	"umschlag/format/drawing"
)

// strokes are the colours of the layers: what is cut stands out, the rest is ink.
var strokes = map[drawing.Layer]string{
	drawing.Cloth: "#9a8f78", drawing.Cut: "#a6331f", drawing.Trim: "#9a6a10", drawing.Sew: "#2b5d8a", drawing.Grain: "#1e2742",
	drawing.Notch: "#1e2742", drawing.Internal: "#1e2742", drawing.Quilting: "#4d6b3c", drawing.Words: "#1e2742",
}

// Draw writes a drawing at true size, a group for every layer, its words as words. What is
// filled lies under all lines.
func Draw(d drawing.Drawing) []byte {
	var b bytes.Buffer
	number := func(f float64) string { return strconv.FormatFloat(f, 'f', 4, 64) }
	fmt.Fprintf(&b, `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="%[1]smm" height="%[2]smm" viewBox="0 0 %[1]s %[2]s">
<title>%[3]s</title>
`, number(d.Width), number(d.Height), escaped(d.Title))
	b.WriteString("<g id=\"faces\" stroke=\"none\" fill-opacity=\"0.35\">\n") // lines are read on any cloth
	for _, l := range d.Lines {
		if l.Fill != "" {
			fmt.Fprintf(&b, "<path d=\"%s\" fill=\"%s\"/>\n", l.Path.Text(), escaped(l.Fill))
		}
	}
	b.WriteString("</g>\n")
	for _, layer := range d.Used() {
		fmt.Fprintf(&b, "<g id=\"%s\" fill=\"none\" stroke=\"%s\" stroke-width=\"0.25\">\n", layer, strokes[layer])
		for _, l := range d.Lines {
			if l.Layer == layer {
				fmt.Fprintf(&b, "<path d=\"%s\"/>\n", l.Path.Text())
			}
		}
		b.WriteString("</g>\n")
	}
	if len(d.Words) > 0 {
		fmt.Fprintf(&b, "<g id=\"%s\" fill=\"%s\" font-family=\"sans-serif\">\n", drawing.Words, strokes[drawing.Words])
		for _, t := range d.Words {
			anchor := ""
			if t.Middle {
				anchor = ` text-anchor="middle"`
			}
			fmt.Fprintf(&b, "<text x=\"%s\" y=\"%s\" font-size=\"%s\"%s>%s</text>\n", number(t.X), number(t.Y), number(t.Height), anchor, escaped(t.Text))
		}
		b.WriteString("</g>\n")
	}
	b.WriteString("</svg>\n")
	return b.Bytes()
}
