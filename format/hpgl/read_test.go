package hpgl_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/shape"
	"umschlag/format/drawing"
	"umschlag/format/hpgl"
)

func total(strokes []hpgl.Stroke, pen int) float64 {
	sum := 0.0
	for _, s := range strokes {
		if s.Pen == pen {
			sum += s.Length()
		}
	}
	return sum
}

func TestPlotsAreRead(t *testing.T) {
	for name, c := range map[string]struct {
		plot string
		want []hpgl.Stroke
	}{
		"plotter units are 0.025 mm": {"IN;SP1;PU0,0;PD400,0;PU;",
			[]hpgl.Stroke{{Pen: 1, Points: []shape.Point{{}, {X: 10}}}}},
		"a scaled plane": {"IN;IP0,0,4000,4000;SC0,100,0,100;SP2;PU5,5;PD5,7.5;",
			[]hpgl.Stroke{{Pen: 2, Points: []shape.Point{{X: 5, Y: 5}, {X: 5, Y: 7.5}}}}},
		"relative moves": {"SP1;PU40,40;PR;PD40,0,0,40;PA;PD0,0;",
			[]hpgl.Stroke{{Pen: 1, Points: []shape.Point{{X: 1, Y: 1}, {X: 2, Y: 1}, {X: 2, Y: 2}, {}}}}},
		"moves after the pen": {"SP1 ; PA 0 0;PD;PA 40 0;\nPU;PA80,0;PD;PA80,40;",
			[]hpgl.Stroke{{Pen: 1, Points: []shape.Point{{}, {X: 1}}},
				{Pen: 1, Points: []shape.Point{{X: 2}, {X: 2, Y: 1}}}}},
		"no pen draws nothing": {"SP0;PD400,0;SP1;PD0,0;",
			[]hpgl.Stroke{{Pen: 1, Points: []shape.Point{{X: 10}, {}}}}},
	} {
		t.Run(name, func(t *testing.T) {
			got, err := hpgl.Read([]byte(c.plot))
			require.NoError(t, err)
			assert.Equal(t, c.want, got)
		})
	}
}

func TestBrokenPlotsAreRefusedByName(t *testing.T) {
	for name, c := range map[string]struct{ plot, says string }{
		"nothing":            {"", "draws nothing"},
		"no plot":            {"hello", "is not known here"},
		"a number missing":   {"PD1,2,3;", "odd number"},
		"no number":          {"PDx,2;", "\"x\" for a number"},
		"no plane":           {"IP0,0,100,100;SC1,1,0,5;", "a plane of some size"},
		"no corners":         {"IP0,0;", "two corners"},
		"endless":            {"PD1e300,2;", "farther than any cutter"},
		"not a number at it": {"PDNaN,2;", "for a number"},
		"too many bytes":     {strings.Repeat(" ", hpgl.MostBytes+1), "up to"},
		"too many points":    {"PD" + strings.Repeat("1,1,", hpgl.MostPoints+1) + "1,1;", "points"},
	} {
		t.Run(name, func(t *testing.T) {
			_, err := hpgl.Read([]byte(c.plot))
			var refusal *drawing.Refusal
			require.ErrorAs(t, err, &refusal)
			assert.Contains(t, refusal.Reason, c.says)
			assert.NotEmpty(t, refusal.Remedy)
		})
	}
}

// What is written is read back as long as it was, on the pens it was meant for.
func TestWhatIsWrittenIsReadBack(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := drawing.Drawing{Width: 500, Height: 500}
		for i := range rapid.IntRange(1, 6).Draw(t, "lines") {
			layer := rapid.SampledFrom([]drawing.Layer{drawing.Cut, drawing.Sew}).Draw(t, fmt.Sprint("layer", i))
			num := func(name string) float64 { return rapid.Float64Range(5, 200).Draw(t, fmt.Sprint(name, i)) }
			d.Lines = append(d.Lines,
				drawing.Line{Layer: layer, Path: drawing.Rectangle(num("x"), num("y"), num("w"), num("h"))})
		}
		strokes, err := hpgl.Read(hpgl.Write(d))
		require.NoError(t, err)
		assert.InDelta(t, d.Length(drawing.Cut), total(strokes, 1), 0.02)
		assert.InDelta(t, d.Length(drawing.Sew), total(strokes, 2), 0.02)
	})
}

func FuzzRead(f *testing.F) {
	for _, seed := range []string{"IN;SP1;PU0,0;PD400,0;PU;", "IP0,0,4000,4000;SC0,100,0,100;PR;PD1,1", "SC;PD", ";;;",
		"IN"} {
		f.Add([]byte(seed))
	}
	f.Fuzz(func(t *testing.T, data []byte) {
		strokes, err := hpgl.Read(data)
		var refusal *drawing.Refusal
		if err != nil {
			require.ErrorAs(t, err, &refusal)
			return
		}
		require.NotEmpty(t, strokes)
		for _, s := range strokes {
			require.GreaterOrEqual(t, s.Pen, 1)
			require.Greater(t, len(s.Points), 1)
		}
	})
}
