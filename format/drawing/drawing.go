// Package drawing is what every format draws: paths and words in layers, at true size in
// millimetres, right and down from the upper left corner. SVG, DXF, HPGL and PDF are
// written from the same drawing, so that they cannot differ.
package drawing

import (
	"math"
	"slices"

	"umschlag/core/answer"

	"umschlag/core/outline"
	"umschlag/core/shape"
)

// Layer says what a line means.
type Layer string

// The layers, in the order they are drawn.
const (
	// Cloth is the edge of a cloth that pieces are laid on.
	Cloth Layer = "cloth"
	// Cut is where the scissors go, Trim what a quilted panel is trimmed to, Sew the line
	// that is sewn on.
	Cut  Layer = "cut"
	Trim Layer = "trim"
	Sew  Layer = "sew"
	// Grain is the arrow along the length of the cloth, Notch what is marked at an edge.
	Grain Layer = "grain"
	Notch Layer = "notch"
	// Internal are lines within: seams of a face, stitching, places of fittings.
	Internal Layer = "internal"
	Quilting Layer = "quilting"
	// Words are what is written.
	Words Layer = "words"
)

// Layers lists them in drawing order.
func Layers() []Layer {
	return []Layer{Cloth, Cut, Trim, Sew, Grain, Notch, Internal, Quilting, Words}
}

// Line is a path in a layer.
type Line struct {
	Layer Layer
	Path  shape.Path
	// Fill is a colour such as #27345f; empty for none.
	Fill string
}

// Word is a text in a layer, its baseline beginning at X, Y, or its middle where it is
// centred.
type Word struct {
	X, Y   float64
	Height float64
	Text   string
	Middle bool
}

// Drawing is a page of lines and words, in millimetres.
type Drawing struct {
	Title         string
	Width, Height float64
	Lines         []Line
	Words         []Word
}

// add puts a path into a layer; an empty one is left out.
func (d *Drawing) add(layer Layer, p shape.Path) {
	if len(p) > 0 {
		d.Lines = append(d.Lines, Line{Layer: layer, Path: p})
	}
}

// Length of all lines of a layer, within tolerance of their curves.
func (d Drawing) Length(layer Layer) float64 {
	total := 0.0
	for _, l := range d.Lines {
		if l.Layer != layer {
			continue
		}
		for _, flat := range l.Path.Flat(Fine) {
			total += flat.Length()
		}
	}
	return total
}

// Turned is a drawing a quarter turn clockwise; its words stay upright where they are
// brought to.
func (d Drawing) Turned() Drawing {
	m := shape.Matrix{B: 1, C: -1, E: d.Height}
	out := d
	out.Width, out.Height = d.Height, d.Width
	out.Lines, out.Words = nil, nil
	for _, l := range d.Lines {
		l.Path = l.Path.Mapped(m)
		out.Lines = append(out.Lines, l)
	}
	for _, w := range d.Words {
		p := m.Of(shape.Point{X: w.X, Y: w.Y})
		w.X, w.Y = p.X, p.Y
		out.Words = append(out.Words, w)
	}
	return out
}

// Fine is how closely straight pieces follow a curve where a format has none, in
// millimetres: finer than any cutter.
const Fine = 0.002

// Only is the drawing with the lines of one layer.
func (d Drawing) Only(layer Layer) Drawing {
	d.Lines = slices.DeleteFunc(slices.Clone(d.Lines), func(l Line) bool { return l.Layer != layer })
	d.Words = nil
	return d
}

// Used are the layers with something on them, in drawing order.
func (d Drawing) Used() []Layer {
	var out []Layer
	for _, layer := range Layers() {
		for _, l := range d.Lines {
			if l.Layer == layer {
				out = append(out, layer)
				break
			}
		}
	}
	return out
}

func mm(nm int64) float64 { return float64(nm) / 1e6 }

// Rectangle is a closed path from its upper left corner.
func Rectangle(x, y, w, h float64) shape.Path {
	return polygon(shape.Point{X: x, Y: y}, shape.Point{X: x + w, Y: y}, shape.Point{X: x + w, Y: y + h},
		shape.Point{X: x, Y: y + h})
}

func polygon(points ...shape.Point) shape.Path {
	r := shape.Run{Start: points[0], Closed: true}
	for _, p := range points[1:] {
		r.Segments = append(r.Segments, shape.Segment{To: p})
	}
	return shape.Path{r}
}

func stroke(x1, y1, x2, y2 float64) shape.Path {
	return shape.Path{{Start: shape.Point{X: x1, Y: y1}, Segments: []shape.Segment{{To: shape.Point{X: x2, Y: y2}}}}}
}

// PathOf is the closed path of vertices, arcs and all.
func PathOf(vertices []answer.Vertex) shape.Path {
	if len(vertices) == 0 {
		return nil
	}
	r := shape.Run{Start: at(vertices[0]), Closed: true}
	for i, v := range vertices {
		next := vertices[(i+1)%len(vertices)]
		r.Segments = append(r.Segments, Side(at(v), at(next), v.Bulge)...)
	}
	return shape.Path{r}
}

// Along is the path along vertices, from the first to the last, arcs and all.
func Along(vertices []answer.Vertex) shape.Path {
	if len(vertices) < 2 {
		return nil
	}
	r := shape.Run{Start: at(vertices[0])}
	for i, v := range vertices[:len(vertices)-1] {
		r.Segments = append(r.Segments, Side(at(v), at(vertices[i+1]), v.Bulge)...)
	}
	return shape.Path{r}
}

func at(v answer.Vertex) shape.Point { return shape.Point{X: mm(v.X), Y: mm(v.Y)} }

// step is the largest angle that one curve stands for: a sixteenth of a turn is followed to
// a few millionths of its radius. Source: the usual tangent rule, geometry.
const step = math.Pi / 8

// Side is the way from one corner to the next: straight, or an arc whose quarter angle has
// this tangent.
func Side(from, to shape.Point, bulge float64) []shape.Segment {
	if bulge == 0 {
		return []shape.Segment{{To: to}}
	}
	o := outline.Path{{X: from.X, Y: from.Y, Bulge: bulge}, {X: to.X, Y: to.Y}}
	long := o.Length()
	angle := 4 * math.Atan(bulge)
	n := int(math.Ceil(math.Abs(angle) / step))
	radius := math.Abs(long / angle)
	handle := 4.0 / 3 * math.Tan(math.Abs(angle)/float64(n)/4) * radius
	out := make([]shape.Segment, n)
	last := from
	_, _, heading := o.At(0)
	for i := range n {
		x, y, direction := o.At(long * float64(i+1) / float64(n))
		end := shape.Point{X: x, Y: y}
		if i == n-1 {
			end = to
		}
		s1, c1 := math.Sincos(heading)
		s2, c2 := math.Sincos(direction)
		out[i] = shape.Segment{Curve: true, To: end,
			C1: shape.Point{X: last.X + handle*c1, Y: last.Y + handle*s1},
			C2: shape.Point{X: end.X - handle*c2, Y: end.Y - handle*s2}}
		last, heading = end, direction
	}
	return out
}
