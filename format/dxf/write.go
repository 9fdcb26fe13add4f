// Package dxf writes and reads drawings in the ASCII form of DXF, release 12, which is the
// oldest that is still read everywhere. One unit is a millimetre; up is up.
package dxf

import (
	"bytes"
	"fmt"
	"strconv"
	"strings"

	"umschlag/format/drawing"
)

// numbers are the layers that sewn-product pattern exchange uses: piece boundary, notches,
// grain line, internal lines, sew line, annotation. Source: ASTM D6673, from memory; what
// it has no layer for has a name instead.
var numbers = map[drawing.Layer]string{
	drawing.Cut: "1", drawing.Notch: "4", drawing.Grain: "7", drawing.Internal: "8", drawing.Sew: "14",
	drawing.Words: "15",
	drawing.Trim:  "TRIM", drawing.Quilting: "QUILTING", drawing.Cloth: "CLOTH",
}

// Write draws each drawing as a block of its own, as pattern exchange does, inserted side by
// side. Curves are followed by straight pieces to two thousandths of a millimetre.
func Write(drawings []drawing.Drawing) []byte {
	w := &writer{}
	w.header(drawings)
	w.section("BLOCKS")
	for i, d := range drawings {
		w.block(name(i, d), d)
	}
	w.end()
	w.section("ENTITIES")
	x := 0.0
	for i, d := range drawings {
		w.pair(0, "INSERT")
		w.pair(8, "1")
		w.pair(2, name(i, d))
		w.point(x, 0)
		x += d.Width
	}
	w.end()
	w.pair(0, "EOF")
	return w.b.Bytes()
}

type writer struct{ b bytes.Buffer }

func (w *writer) pair(code int, value string) { fmt.Fprintf(&w.b, "%3d\r\n%s\r\n", code, value) }

// number is written to a ten-thousandth of a millimetre.
func number(f float64) string {
	text := strconv.FormatFloat(f, 'f', 4, 64)
	if text == "-0.0000" {
		return "0.0000"
	}
	return text
}

func (w *writer) point(x, y float64) {
	w.pair(10, number(x))
	w.pair(20, number(y))
	w.pair(30, "0.0")
}

func (w *writer) section(name string) {
	w.pair(0, "SECTION")
	w.pair(2, name)
}

func (w *writer) end() { w.pair(0, "ENDSEC") }

func (w *writer) header(drawings []drawing.Drawing) {
	width, height := 0.0, 0.0
	for _, d := range drawings {
		width, height = width+d.Width, max(height, d.Height)
	}
	w.pair(999, "Umschlag; one unit is one millimetre")
	w.section("HEADER")
	w.pair(9, "$ACADVER")
	w.pair(1, "AC1009")
	w.pair(9, "$EXTMIN")
	w.point(0, 0)
	w.pair(9, "$EXTMAX")
	w.point(width, height)
	w.end()
	w.section("TABLES")
	w.pair(0, "TABLE")
	w.pair(2, "LAYER")
	w.pair(70, strconv.Itoa(len(drawing.Layers())))
	for i, layer := range drawing.Layers() {
		w.pair(0, "LAYER")
		w.pair(2, numbers[layer])
		w.pair(70, "0")
		w.pair(62, strconv.Itoa(i%7+1))
		w.pair(6, "CONTINUOUS")
	}
	w.pair(0, "ENDTAB")
	w.end()
}

// name is what a block may be called in release 12: capitals, figures and a few signs, up
// to 31 of them.
func name(i int, d drawing.Drawing) string {
	text := strings.Map(func(r rune) rune {
		switch {
		case r >= 'a' && r <= 'z':
			return r - 'a' + 'A'
		case r >= 'A' && r <= 'Z' || r >= '0' && r <= '9':
			return r
		}
		return '_'
	}, d.Title)
	return fmt.Sprintf("%02d_%s", i+1, text[:min(len(text), 28)])
}

func (w *writer) block(name string, d drawing.Drawing) {
	w.pair(0, "BLOCK")
	w.pair(8, "1")
	w.pair(2, name)
	w.pair(70, "0")
	w.point(0, 0)
	for _, l := range d.Lines {
		for _, flat := range l.Path.Flat(drawing.Fine) {
			w.pair(0, "POLYLINE")
			w.pair(8, numbers[l.Layer])
			w.pair(66, "1")
			w.point(0, 0)
			closed := "0"
			if flat.Closed {
				closed = "1"
			}
			w.pair(70, closed)
			for _, p := range flat.Points {
				w.pair(0, "VERTEX")
				w.pair(8, numbers[l.Layer])
				w.point(p.X, d.Height-p.Y)
			}
			w.pair(0, "SEQEND")
			w.pair(8, numbers[l.Layer])
		}
	}
	for _, t := range d.Words {
		w.pair(0, "TEXT")
		w.pair(8, numbers[drawing.Words])
		w.point(t.X, d.Height-t.Y)
		w.pair(40, number(t.Height))
		w.pair(1, ascii(t.Text))
		if t.Middle {
			w.pair(72, "1")
			w.pair(11, number(t.X))
			w.pair(21, number(d.Height-t.Y))
			w.pair(31, "0.0")
		}
	}
	w.pair(0, "ENDBLK")
	w.pair(8, "1")
}

// plain are signs that release 12 has no code for, as they are typed.
var plain = strings.NewReplacer("″", "in", "×", "x", "≈", "~", "−", "-", "–", "-", "⁄", "/",
	"½", " 1/2", "¼", " 1/4", "¾", " 3/4", "⅛", " 1/8", "⅜", " 3/8", "⅝", " 5/8", "⅞", " 7/8",
	"⁰", "0", "¹", "1", "²", "2", "³", "3", "⁴", "4", "⁵", "5", "⁶", "6", "⁷", "7", "⁸", "8", "⁹", "9",
	"₀", "0", "₁", "1", "₂", "2", "₃", "3", "₄", "4", "₅", "5", "₆", "6", "₇", "7", "₈", "8", "₉", "9")

// ascii is a text in the signs of release 12; what else there is becomes a question mark.
func ascii(text string) string {
	return strings.Map(func(r rune) rune {
		if r < 32 || r > 126 {
			return '?'
		}
		return r
	}, plain.Replace(text))
}
