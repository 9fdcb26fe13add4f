package hpgl

import (
	"math"
	"slices"
	"strconv"
	"strings"

	"umschlag/core/shape"
	"umschlag/format/drawing"
)

// The bounds of a file that is read.
const (
	MostBytes  = 8 << 20
	MostPoints = 1_000_000
)

// Stroke is a line a plotter draws with its pen down, in millimetres, up being up.
type Stroke struct {
	// Pen it is drawn with; 1 where none was taken.
	Pen    int
	Points []shape.Point
}

// Length of the stroke.
func (s Stroke) Length() float64 {
	total := 0.0
	for i := 1; i < len(s.Points); i++ {
		total += math.Hypot(s.Points[i].X-s.Points[i-1].X, s.Points[i].Y-s.Points[i-1].Y)
	}
	return total
}

// Read reads what a plotter would draw: pens, pen up and down, absolute and relative moves,
// and a scaled plane. It fails with a drawing.Refusal for everything else.
func Read(data []byte) ([]Stroke, error) {
	if len(data) > MostBytes {
		return nil, drawing.Refuse("Send a smaller drawing.", "The plot has %d kB; up to %d are read.", len(data)>>10,
			MostBytes>>10)
	}
	r := &reader{pen: 1, scale: [2]float64{1 / float64(Units), 1 / float64(Units)}, corners: [4]float64{0, 0, 1, 1}}
	for i, text := range strings.Split(string(data), ";") {
		text = strings.Trim(text, " \t\r\n")
		if text == "" {
			continue
		}
		if len(text) < 2 {
			return nil, drawing.Refuse("Send it again as HP-GL.", "Command %d is %q, which is no command.", i+1, text)
		}
		if err := r.command(i+1, strings.ToUpper(text[:2]), text[2:]); err != nil {
			return nil, err
		}
	}
	r.lift()
	if len(r.out) == 0 {
		return nil, drawing.Refuse("Send a drawing that has lines.", "The plot draws nothing.")
	}
	return r.out, nil
}

type reader struct {
	out      []Stroke
	now      []shape.Point
	at       shape.Point
	pen      int
	down     bool
	relative bool
	points   int
	// corners are the scaling points in plotter units, scale and shift bring user units to
	// millimetres.
	corners      [4]float64
	scale, shift [2]float64
}

// lift ends the stroke under way.
func (r *reader) lift() {
	if len(r.now) > 1 {
		r.out = append(r.out, Stroke{Pen: max(1, r.pen), Points: r.now})
	}
	r.now = nil
}

// known are the commands that are read.
var known = []string{"IN", "DF", "SP", "PU", "PD", "PA", "PR", "IP", "SC"}

func (r *reader) command(n int, name, rest string) error {
	if !slices.Contains(known, name) {
		return drawing.Refuse("Pens, moves and scaling are read: IN, SP, PU, PD, PA, PR, IP, SC.",
			"Command %d, %s, is not known here.", n, name)
	}
	values, err := numbers(n, name, rest)
	if err != nil {
		return err
	}
	switch name {
	case "IN", "DF":
		r.lift()
		*r = reader{out: r.out, pen: 1, points: r.points, scale: [2]float64{1 / float64(Units), 1 / float64(Units)},
			corners: [4]float64{0, 0, 1, 1}}
	case "SP":
		r.lift()
		r.pen = 0
		if len(values) > 0 {
			r.pen = int(math.Max(0, math.Min(99, values[0])))
		}
	case "PU", "PD":
		if r.down = name == "PD"; !r.down {
			r.lift()
		}
		return r.moves(n, values)
	case "PA", "PR":
		r.relative = name == "PR"
		return r.moves(n, values)
	case "IP":
		if len(values) != 4 || values[0] == values[2] || values[1] == values[3] {
			return drawing.Refuse("Send it again as HP-GL.", "Command %d, IP, needs two corners.", n)
		}
		copy(r.corners[:], values)
	case "SC":
		return r.scaled(n, values)
	}
	return nil
}

// scaled takes a user plane between the scaling points; without values plotter units again.
func (r *reader) scaled(n int, v []float64) error {
	if len(v) == 0 {
		r.scale, r.shift = [2]float64{1 / float64(Units), 1 / float64(Units)}, [2]float64{}
		return nil
	}
	if len(v) != 4 || v[0] == v[1] || v[2] == v[3] {
		return drawing.Refuse("Send it again as HP-GL.", "Command %d, SC, needs a plane of some size.", n)
	}
	for k := range 2 {
		low, high := r.corners[k], r.corners[k+2]
		r.scale[k] = (high - low) / (v[2*k+1] - v[2*k]) / Units
		r.shift[k] = low/Units - v[2*k]*r.scale[k]
	}
	return nil
}

func (r *reader) moves(n int, v []float64) error {
	if len(v)%2 != 0 {
		return drawing.Refuse("Send it again as HP-GL.", "Command %d has an odd number of coordinates.", n)
	}
	if r.points += len(v) / 2; r.points > MostPoints {
		return drawing.Refuse("Send a smaller drawing.", "The plot has more than %d points.", MostPoints)
	}
	for i := 0; i < len(v); i += 2 {
		to := shape.Point{X: v[i]*r.scale[0] + r.shift[0], Y: v[i+1]*r.scale[1] + r.shift[1]}
		if r.relative {
			to = shape.Point{X: r.at.X + v[i]*r.scale[0], Y: r.at.Y + v[i+1]*r.scale[1]}
		}
		if math.IsNaN(to.X+to.Y) || math.Abs(to.X) > farthest || math.Abs(to.Y) > farthest {
			return drawing.Refuse("Send it at true size.", "Command %d goes farther than any cutter reaches.", n)
		}
		if r.down && r.pen > 0 {
			if len(r.now) == 0 {
				r.now = []shape.Point{r.at}
			}
			r.now = append(r.now, to)
		}
		r.at = to
	}
	return nil
}

// farthest a coordinate may lie, in millimetres: a hundred metres.
const farthest = 100_000

func numbers(n int, name, text string) ([]float64, error) {
	fields := strings.FieldsFunc(text,
		func(c rune) bool { return c == ',' || c == ' ' || c == '\n' || c == '\r' || c == '\t' })
	out := make([]float64, len(fields))
	for i, f := range fields {
		v, err := strconv.ParseFloat(f, 64)
		if err != nil || math.IsNaN(v) || math.IsInf(v, 0) {
			return nil, drawing.Refuse("Send it again as HP-GL.", "Command %d, %s, has %q for a number.", n, name,
				short(f))
		}
		out[i] = v
	}
	return out, nil
}

func short(text string) string {
	if len(text) > 20 {
		return text[:20] + "…"
	}
	return text
}
