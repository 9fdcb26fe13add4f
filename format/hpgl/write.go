// Package hpgl writes drawings for cutters and plotters in HP-GL: pen down, pen up, a tool
// for each kind of line; up is up. A plotter unit is 0.025 mm, but the file scales its
// plane so that coordinates are millimetres with decimals: rounded to plotter units, curves
// would come out longer than they are. Source: the HP-GL reference, from memory.
package hpgl

import (
	"bytes"
	"fmt"
	"math"
	"strconv"

	"umschlag/core/shape"
	"umschlag/format/drawing"
)

// Units are plotter units in a millimetre.
const Units = 40

// plane is the side of the square that is scaled, in millimetres; lines may lie beyond it.
const plane = 100

// tools are the pens of layers: 1 cuts, 2 draws what is sewn and marked. What is on no
// tool is not for a cutter.
var tools = map[drawing.Layer]int{drawing.Cut: 1, drawing.Sew: 2, drawing.Notch: 2, drawing.Grain: 2,
	drawing.Internal: 2, drawing.Trim: 2}

// Write draws one drawing: what is drawn first, what is cut last, so that nothing is drawn
// on a loose piece.
func Write(d drawing.Drawing) []byte {
	var b bytes.Buffer
	fmt.Fprintf(&b, "IN;IP0,0,%[1]d,%[1]d;SC0,%[2]d,0,%[2]d;PA;", plane*Units, plane)
	for _, tool := range []int{2, 1} {
		began := false
		for _, l := range d.Lines {
			if tools[l.Layer] != tool {
				continue
			}
			for _, flat := range l.Path.Flat(drawing.Fine) {
				if !began {
					fmt.Fprintf(&b, "SP%d;", tool)
					began = true
				}
				stroke(&b, flat, d.Height)
			}
		}
	}
	b.WriteString("PU0,0;SP0;IN;")
	return b.Bytes()
}

// number is written to a thousandth of a millimetre.
func number(f float64) string { return strconv.FormatFloat(math.Round(f*1000)/1000+0, 'f', -1, 64) }

// most points in one command: plotters have short memories.
const most = 100

func stroke(b *bytes.Buffer, l shape.Line, height float64) {
	points := l.Points
	if l.Closed {
		points = append(points[:len(points):len(points)], points[0])
	}
	for i, p := range points {
		x, y := number(p.X), number(height-p.Y)
		switch {
		case i == 0:
			fmt.Fprintf(b, "PU%s,%s;", x, y)
		case (i-1)%most == 0:
			fmt.Fprintf(b, "PD%s,%s", x, y)
		default:
			fmt.Fprintf(b, ",%s,%s", x, y)
		}
		if i > 0 && (i%most == 0 || i == len(points)-1) {
			b.WriteByte(';')
		}
	}
}
