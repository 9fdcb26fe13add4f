package dxf_test

import (
	"bytes"
	"math"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/shape"
	"umschlag/format/drawing"
	"umschlag/format/dxf"
	_ "umschlag/seeded"
)

// lines is a file from its values, a code and a value in turn.
func lines(values ...string) []byte { return []byte(strings.Join(values, "\n") + "\n") }

func entities(values ...string) []byte {
	all := append([]string{"0", "SECTION", "2", "ENTITIES"}, values...)
	return lines(append(all, "0", "ENDSEC", "0", "EOF")...)
}

func square(side float64) drawing.Drawing {
	path, _ := shape.Parse("M10 10h100v100h-100Z")
	return drawing.Drawing{Title: "Square, ½″", Width: side, Height: side,
		Lines: []drawing.Line{{Layer: drawing.Cut, Path: path}},
		Words: []drawing.Word{{X: 60, Y: 60, Height: 5, Text: "19½″ × ≈¹⁄₁₆″", Middle: true}}}
}

func length(o drawing.Outline) float64 {
	total := 0.0
	for _, l := range o.Path.Flat(drawing.Fine) {
		total += l.Length()
	}
	return total
}

func TestWhatIsWrittenIsReadAgain(t *testing.T) {
	data := dxf.Write([]drawing.Drawing{square(120), square(120)})
	assert.Contains(t, string(data), "AC1009", "release 12")
	assert.Contains(t, string(data), "19 1/2in x ~1/16in", "signs it has no code for are typed")
	for _, b := range data {
		assert.Less(t, b, byte(128), "release 12 is ASCII")
	}
	found, err := dxf.Read(data)
	require.NoError(t, err)
	require.Len(t, found.Outlines, 2)
	assert.Equal(t, []string{"2 × text"}, found.Omitted)
	for _, o := range found.Outlines {
		assert.InDelta(t, 400, length(o), 1e-6)
		box := o.Path.Box()
		assert.InDelta(t, 100, box.Width(), 1e-6)
		assert.InDelta(t, 100, box.Height(), 1e-6)
		assert.False(t, o.Line)
	}
	assert.InDelta(t, 120, found.Outlines[1].Path.Box().X1-found.Outlines[0].Path.Box().X1, 1e-6, "side by side")
}

func TestAnyDrawingKeepsItsLength(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		number := func(name string) float64 { return rapid.Float64Range(0, 500).Draw(t, name) }
		run := shape.Run{Start: shape.Point{X: number("x"), Y: number("y")}, Closed: rapid.Bool().Draw(t, "closed")}
		for range rapid.IntRange(1, 6).Draw(t, "n") {
			run.Segments = append(run.Segments, shape.Segment{Curve: rapid.Bool().Draw(t, "curve"),
				C1: shape.Point{X: number("a"), Y: number("b")}, C2: shape.Point{X: number("c"), Y: number("d")},
				To: shape.Point{X: number("e"), Y: number("f")}})
		}
		d := drawing.Drawing{Title: "any", Width: 500, Height: 500,
			Lines: []drawing.Line{{Layer: drawing.Internal, Path: shape.Path{run}}}}
		found, err := dxf.Read(dxf.Write([]drawing.Drawing{d}))
		require.NoError(t, err)
		require.Len(t, found.Outlines, 1)
		assert.InDelta(t, d.Length(drawing.Internal), length(found.Outlines[0]), 0.01)
	})
}

func TestEntitiesOfOtherProgramsAreRead(t *testing.T) {
	for name, c := range map[string]struct {
		data  []byte
		long  float64
		lines int
	}{
		"a line":   {entities("0", "LINE", "8", "1", "10", "0", "20", "0", "11", "30", "21", "40"), 50, 1},
		"a circle": {entities("0", "CIRCLE", "10", "5", "20", "5", "40", "10"), 20 * math.Pi, 0},
		"an arc": {entities("0", "ARC", "10", "0", "20", "0", "40", "10", "50", "350", "51", "80"),
			10 * math.Pi / 2, 1},
		"a light polyline": {entities("0", "LWPOLYLINE", "90", "3", "70", "1", "10", "0", "20", "0", "10", "30", "20",
			"0", "10", "30", "20", "40"), 120, 0},
		"bulges": {entities("0", "LWPOLYLINE", "70", "1", "10", "0", "20", "0", "42", "1", "10", "20", "20",
			"0", "42", "1"), 20 * math.Pi, 0},
		"inches": {lines("0", "SECTION", "2", "HEADER", "9", "$INSUNITS", "70", "1", "0", "ENDSEC", "0",
			"SECTION", "2", "ENTITIES", "0", "LINE", "10", "0", "20", "0", "11", "2", "21", "0", "0", "ENDSEC", "0",
			"EOF"), 50.8, 1},
		"a block, scaled": {lines("0", "SECTION", "2", "BLOCKS", "0", "BLOCK", "2", "B", "0", "LINE", "10", "0", "20",
			"0", "11", "10", "21", "0", "0", "ENDBLK", "0", "ENDSEC", "0", "SECTION", "2", "ENTITIES", "0", "INSERT",
			"2", "B", "10", "7", "20", "7", "41", "3", "42", "3", "50", "30", "0", "ENDSEC", "0", "EOF"), 30, 1},
		"an old polyline": {entities("0", "POLYLINE", "66", "1", "70", "0", "0", "VERTEX", "10", "0", "20", "0", "0",
			"VERTEX", "10", "3", "20", "4", "0", "SEQEND"), 5, 1},
	} {
		found, err := dxf.Read(c.data)
		if assert.NoError(t, err, name) && assert.Len(t, found.Outlines, 1, name) {
			assert.InDelta(t, c.long, length(found.Outlines[0]), 0.01, name)
			assert.Equal(t, c.lines == 1, found.Outlines[0].Line, name)
		}
	}
}

func TestWhatCannotBeReadIsNamed(t *testing.T) {
	whole := dxf.Write([]drawing.Drawing{square(120)})
	for name, c := range map[string]struct {
		data []byte
		says string
	}{
		"nothing":         {nil, "no DXF"},
		"a picture":       {[]byte("\x89PNG\r\n\x1a\n"), "group code"},
		"binary":          {[]byte("AutoCAD Binary DXF\r\n\x1a\x00"), "binary DXF"},
		"the end missing": {whole[:len(whole)-10], "end"},
		"cut in a value":  {lines("0", "SECTION", "2"), "ends in the middle"},
		"no number":       {entities("0", "LINE", "10", "left", "20", "0", "11", "1", "21", "0"), `"left"`},
		"not a number":    {entities("0", "CIRCLE", "10", "NaN", "20", "0", "40", "1"), "NaN"},
		"only text":       {entities("0", "TEXT", "1", "hello"), "1 text"},
		"too large":       {bytes.Repeat([]byte("0\nX\n"), dxf.MostBytes/3), "kB"},
		"a block within itself": {lines("0", "SECTION", "2", "BLOCKS", "0", "BLOCK", "2", "B", "0", "INSERT", "2", "B",
			"0", "ENDBLK", "0", "ENDSEC", "0", "SECTION", "2", "ENTITIES", "0", "INSERT", "2", "B", "0", "ENDSEC", "0",
			"EOF"), "deep"},
	} {
		_, err := dxf.Read(c.data)
		var refusal *drawing.Refusal
		if assert.ErrorAs(t, err, &refusal, name) {
			assert.Contains(t, refusal.Error(), c.says, name)
			assert.NotEmpty(t, refusal.Remedy, name)
		}
	}
	// Blocks that multiply are refused before they fill memory.
	values := []string{"0", "SECTION", "2", "BLOCKS"}
	for i := range 7 {
		values = append(values, "0", "BLOCK", "2", string(rune('A'+i)))
		for range 40 {
			values = append(values, "0", "INSERT", "2", string(rune('A'+i+1)))
		}
		values = append(values, "0", "ENDBLK")
	}
	_, err := dxf.Read(lines(append(values, "0", "ENDSEC", "0", "SECTION", "2", "ENTITIES", "0", "INSERT", "2", "A",
		"0", "ENDSEC", "0", "EOF")...))
	assert.ErrorContains(t, err, "blocks inserted")
}

// Whatever a file holds, it is read or refused.
func FuzzRead(f *testing.F) {
	f.Add(dxf.Write([]drawing.Drawing{square(120)}))
	f.Add(entities("0", "ARC", "10", "0", "20", "0", "40", "10", "50", "350", "51", "80"))
	f.Add(lines("0", "SECTION", "2", "HEADER", "9", "$INSUNITS", "70", "1", "0", "EOF"))
	f.Add(dxf.Write(pattern()))
	f.Fuzz(func(t *testing.T, data []byte) {
		var refusal *drawing.Refusal
		if pieces, _, err := dxf.Pieces(data); err != nil {
			require.ErrorAs(t, err, &refusal)
		} else {
			assert.NotEmpty(t, pieces)
			drawing.Compare(pattern(), pieces, millimetres)
		}
		found, err := dxf.Read(data)
		if err != nil {
			require.ErrorAs(t, err, &refusal)
			return
		}
		assert.NotEmpty(t, found.Outlines)
	})
}
