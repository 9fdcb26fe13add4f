package dxf

import (
	"fmt"
	"maps"
	"math"
	"slices"
	"strings"

	"umschlag/core/shape"
	"umschlag/format/drawing"
)

// layers are what the numbers of pattern exchange stand for.
var layers = func() map[string]drawing.Layer {
	out := map[string]drawing.Layer{}
	for layer, number := range numbers {
		out[number] = layer
	}
	return out
}()

// Pieces reads a file as a pattern: every block that is inserted is a piece, its lines sorted
// by the layers of pattern exchange; what is drawn outside of blocks is one piece more. What
// cannot be read is named. It fails with a drawing.Refusal.
func Pieces(data []byte) (pieces []drawing.Drawing, omitted []string, err error) {
	r, err := opened(data)
	if err != nil {
		return nil, nil, err
	}
	var loose []entity
	for _, e := range r.entities {
		if e.kind != "INSERT" {
			loose = append(loose, e)
			continue
		}
		name := e.text(2)
		if _, known := r.blocks[name]; !known {
			r.omitted["block that is not there"]++
			continue
		}
		if len(pieces) >= MostOutlines {
			return nil, nil, drawing.Refuse("Remove what is not needed.", "The file has more than %d pieces.",
				MostOutlines)
		}
		d, err := r.piece(name, r.blocks[name])
		if err != nil {
			return nil, nil, err
		}
		pieces = append(pieces, d)
	}
	if len(loose) > 0 {
		d, err := r.piece("outside of blocks", loose)
		if err != nil {
			return nil, nil, err
		}
		pieces = append(pieces, d)
	}
	pieces = slices.DeleteFunc(pieces, func(d drawing.Drawing) bool { return len(d.Lines) == 0 })
	if len(pieces) == 0 {
		return nil, nil, drawing.Refuse("Draw each piece as a block of polylines, its boundary on layer 1.",
			"There is no piece in the file%s.", r.omitted.Because())
	}
	return pieces, r.omitted.List(), nil
}

// piece is a block as a drawing, its lines in their layers.
func (r *reader) piece(name string, list []entity) (drawing.Drawing, error) {
	d := drawing.Drawing{Title: name}
	m := shape.Scale(r.scale, -r.scale)
	paths := map[drawing.Layer]shape.Path{}
	for _, e := range list {
		layer, known := layers[e.text(8)]
		if !known {
			r.omitted[fmt.Sprintf("line on layer %q", e.text(8)[:min(len(e.text(8)), 20)])]++
			continue
		}
		if e.kind == "TEXT" {
			if err := r.word(&d, e); err != nil {
				return d, err
			}
			continue
		}
		run, ok, err := e.run()
		switch {
		case err != nil:
			return d, err
		case !ok:
			r.omitted[strings.ToLower(e.kind)]++
			continue
		}
		if r.points += len(run.Segments); r.points > mostPoints {
			return d, drawing.Refuse("Remove what is not needed.", "The file has more than %d points.", mostPoints)
		}
		paths[layer] = append(paths[layer], shape.Path{run}.Mapped(m)...)
	}
	least := [2]float64{math.Inf(1), math.Inf(1)}
	for _, p := range paths {
		box := p.Box()
		least[0], least[1] = math.Min(least[0], box.X1), math.Min(least[1], box.Y1)
	}
	if len(paths) == 0 {
		return d, nil
	}
	for _, layer := range slices.Sorted(maps.Keys(paths)) {
		path := paths[layer].Mapped(shape.Move(-least[0], -least[1]))
		box := path.Box()
		d.Width, d.Height = math.Max(d.Width, box.X2), math.Max(d.Height, box.Y2)
		d.Lines = append(d.Lines, drawing.Line{Layer: layer, Path: path})
	}
	for i := range d.Words {
		d.Words[i].X, d.Words[i].Y = d.Words[i].X-least[0], d.Words[i].Y-least[1]
	}
	return d, nil
}

// word reads a text of a piece.
func (r *reader) word(d *drawing.Drawing, e entity) error {
	var at [3]float64
	for i, code := range []int{10, 20, 40} {
		f, err := e.number(code, 0)
		if err != nil {
			return err
		}
		at[i] = f * r.scale
	}
	d.Words = append(d.Words, drawing.Word{X: at[0], Y: -at[1], Height: at[2], Text: e.text(1),
		Middle: e.text(72) == "1"})
	return nil
}
