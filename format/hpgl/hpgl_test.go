package hpgl_test

import (
	"math"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	_ "umschlag/seeded"

	"umschlag/core/shape"
	"umschlag/format/drawing"
	"umschlag/format/hpgl"
)

// drawn is what a pen draws: how far each tool is down, and the order they are taken in.
func drawn(t require.TestingT, data []byte) (long map[int]float64, tools []int) {
	long = map[int]float64{}
	tool, x, y := 0, 0.0, 0.0
	for command := range strings.SplitSeq(strings.TrimSuffix(string(data), ";"), ";") {
		name, rest := command[:2], command[2:]
		var v []float64
		for text := range strings.SplitSeq(rest, ",") {
			if text == "" {
				continue
			}
			f, err := strconv.ParseFloat(text, 64)
			require.NoError(t, err, command)
			v = append(v, f)
		}
		switch name {
		case "SP":
			if tool = int(v[0]); tool > 0 {
				tools = append(tools, tool)
			}
		case "PU", "PD":
			require.Zero(t, len(v)%2, command)
			for i := 0; i < len(v); i += 2 {
				if name == "PD" {
					long[tool] += math.Hypot(v[i]-x, v[i+1]-y)
				}
				x, y = v[i], v[i+1]
			}
		}
	}
	return long, tools
}

func path(t require.TestingT, text string) shape.Path {
	p, err := shape.Parse(text)
	require.NoError(t, err)
	return p
}

func TestASquareIsAHundredMillimetres(t *testing.T) {
	d := drawing.Drawing{Width: 120, Height: 120,
		Lines: []drawing.Line{{Layer: drawing.Cut, Path: path(t, "M10 10h100v100h-100Z")}}}
	assert.Equal(t, "IN;IP0,0,4000,4000;SC0,100,0,100;PA;SP1;PU10,110;PD110,110,110,10,10,10,10,110;PU0,0;SP0;IN;",
		string(hpgl.Write(d)))
}

// What is drawn comes before what is cut, and both are as long as in the drawing.
func TestEveryLineIsDrawnOnceByItsTool(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := drawing.Drawing{Width: 300, Height: 300}
		for range rapid.IntRange(1, 5).Draw(t, "n") {
			layer := rapid.SampledFrom([]drawing.Layer{drawing.Cut, drawing.Sew, drawing.Quilting}).Draw(t, "layer")
			r := rapid.Float64Range(5, 140).Draw(t, "r")
			run := shape.Run{Start: shape.Point{X: 150 - r, Y: 150}, Closed: true}
			run.Segments = append(drawing.Side(run.Start, shape.Point{X: 150 + r, Y: 150}, 1),
				drawing.Side(shape.Point{X: 150 + r, Y: 150}, run.Start, 1)...)
			d.Lines = append(d.Lines, drawing.Line{Layer: layer, Path: shape.Path{run}})
		}
		long, tools := drawn(t, hpgl.Write(d))
		assert.InDelta(t, d.Length(drawing.Cut), long[1], 0.01)
		assert.InDelta(t, d.Length(drawing.Sew), long[2], 0.01)
		assert.IsDecreasing(t, append(tools, 0), "cut last, and each tool taken once")
	})
}
