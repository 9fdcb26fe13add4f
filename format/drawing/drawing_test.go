package drawing_test

import (
	"math"
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	_ "umschlag/seeded"

	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/demo"
	"umschlag/format/drawing"
	"umschlag/format/planfile"
)

func vertices(o outline.Outline) []answer.Vertex {
	out := make([]answer.Vertex, len(o))
	for i, v := range o {
		out[i] = answer.Vertex{X: int64(v.X), Y: int64(v.Y), Bulge: v.Bulge}
	}
	return out
}

func perimeter(t require.TestingT, v []answer.Vertex) float64 {
	lines := drawing.PathOf(v).Flat(drawing.Fine)
	require.Len(t, lines, 1)
	return lines[0].Length()
}

// A circle and rounded rectangles are as long round as geometry has it, to a hundredth of a
// millimetre.
func TestOutlinesKeepTheirLength(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		mm := func(name string, from, to int) length.Length {
			return length.Millimetre.Times(rapid.IntRange(from, to).Draw(t, name))
		}
		d := mm("diameter", 20, 900)
		assert.InDelta(t, math.Pi*d.Float()/1e6, perimeter(t, vertices(outline.Circle(d))), 0.01)
		w, h := mm("width", 100, 900), mm("height", 100, 900)
		r := length.Millimetre.Times(rapid.IntRange(0, 50).Draw(t, "radius"))
		o := outline.Rounded(w, h, outline.Radii{TopLeft: r, TopRight: r, BottomLeft: r, BottomRight: r})
		want := (2*(w+h).Float() - 8*r.Float() + 2*math.Pi*r.Float()) / 1e6
		assert.InDelta(t, want, perimeter(t, vertices(o)), 0.01)
		round := vertices(o)
		open := drawing.Along(append(round, round[0])).Flat(drawing.Fine)
		assert.InDelta(t, want, open[0].Length(), 0.01, "once round is as long, closed or not")
		assert.Nil(t, drawing.Along(round[:1]))
		box := drawing.PathOf(vertices(o)).Box()
		assert.InDelta(t, w.Float()/1e6, box.Width(), 1e-4)
		assert.InDelta(t, h.Float()/1e6, box.Height(), 1e-4)
	})
}

// Everything of the demo is drawn, within its page, with the lines that make it that piece.
func TestTheDemoIsDrawn(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	for name, data := range plans {
		r, err := planfile.Reckon(data, nil)
		require.NoError(t, err, name)
		for _, p := range r.Pieces {
			d, err := drawing.Piece(r, p, nil)
			require.NoError(t, err, name)
			assert.Positive(t, d.Length(drawing.Cut), "%s: %s", name, p.Name)
			assert.Positive(t, d.Length(drawing.Sew), "%s: %s", name, p.Name)
			assert.Equal(t, p.Grain != "", d.Length(drawing.Grain) > 0, "%s: %s", name, p.Name)
			within(t, d, drawing.Cut)
		}
		for _, c := range r.Cuts {
			d, err := drawing.Template(c)
			require.NoError(t, err, name)
			within(t, d, drawing.Cut)
			if c.Path == "" && len(c.Line) == 0 {
				assert.InDelta(t, 2*float64(c.Width.NM+c.Height.NM)/1e6, d.Length(drawing.Cut), 1e-6, "%s: %s", name,
					c.ID)
			}
		}
		for _, n := range r.Cloths {
			d := drawing.Lay(n.Name, n.Lay)
			assert.InDelta(t, 2*float64(n.Lay.Width.NM+n.Lay.Length.NM)/1e6, d.Length(drawing.Cloth), 1e-6, "%s: %s",
				name, n.Name)
			assert.Len(t, d.Words, len(n.Lay.Placed), "each piece has its number")
			within(t, d, drawing.Cut)
		}
	}
}

// A round piece of one cloth is drawn as its circle and nothing square round it.
func TestARoundPieceHasNoSquareRoundIt(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	r, err := planfile.Reckon(plans["listening-stool"], nil)
	require.NoError(t, err)
	d, err := drawing.Piece(r, r.Pieces[0], nil)
	require.NoError(t, err)
	rectangle := drawing.Rectangle(0, 0, 380, 380).Text()
	for _, l := range d.Lines {
		if box := l.Path.Box(); box.Width() > 300 && box.Height() > 300 {
			assert.Greater(t, len(l.Path.Text()), 2*len(rectangle), "%s", l.Layer)
		}
	}
}

func within(t *testing.T, d drawing.Drawing, layer drawing.Layer) {
	t.Helper()
	for _, l := range d.Lines {
		if l.Layer != layer {
			continue
		}
		box := l.Path.Box()
		assert.True(t, box.X1 > 0 && box.Y1 > 0 && box.X2 < d.Width && box.Y2 < d.Height, "%s stands out of its page",
			d.Title)
	}
}

// A quarter turn keeps every length, and four of them are none.
func TestTurnedDrawingsKeepTheirLength(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	r, err := planfile.Reckon(plans["turntable-hood"], nil)
	require.NoError(t, err)
	d := drawing.PieceTemplate(r.Pieces[1])
	turned := d.Turned()
	assert.InDelta(t, d.Width, turned.Height, 0)
	within(t, turned, drawing.Cut)
	for _, layer := range d.Used() {
		assert.InDelta(t, d.Length(layer), turned.Length(layer), 1e-6, layer)
	}
	again := turned.Turned().Turned().Turned()
	assert.Equal(t, d.Lines[0].Path.Text(), again.Lines[0].Path.Text())
	assert.InDelta(t, d.Words[0].X, again.Words[0].X, 1e-9)
	assert.True(t, drawing.Shaped(r.Pieces[1]))
	assert.False(t, drawing.Shaped(r.Pieces[0]), "a ruler cuts a rectangle")
}

func TestColoursAreThinned(t *testing.T) {
	rgb, ok := drawing.RGB("#27345f")
	require.True(t, ok)
	assert.Equal(t, [3]int{0x27, 0x34, 0x5f}, rgb)
	assert.Equal(t, rgb, drawing.Pale(rgb, 1))
	assert.Equal(t, [3]int{255, 255, 255}, drawing.Pale(rgb, 0))
	for _, bad := range []string{"", "27345f", "#27345", "red", "#27345g", `#"onload`} {
		_, ok := drawing.RGB(bad)
		assert.False(t, ok, bad)
	}
}
