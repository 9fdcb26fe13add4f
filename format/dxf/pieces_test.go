package dxf_test

import (
	"errors"
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/format/drawing"
	"umschlag/format/dxf"
)

// pattern is two pieces with lines on several layers.
func pattern() []drawing.Drawing {
	of := func(title string, w, h float64) drawing.Drawing {
		return drawing.Drawing{Title: title, Width: w + 20, Height: h + 20, Lines: []drawing.Line{
			{Layer: drawing.Cut, Path: drawing.Rectangle(10, 10, w, h)},
			{Layer: drawing.Sew, Path: drawing.Rectangle(16, 16, w-12, h-12)},
			{Layer: drawing.Internal, Path: drawing.Rectangle(30, 30, 20, 20)},
		}, Words: []drawing.Word{{X: 40, Y: 50, Height: 5, Text: "2 x front", Middle: true}}}
	}
	return []drawing.Drawing{of("Front", 200, 100), of("Band, half beside the zip", 300, 50)}
}

func millimetres(mm float64) string { return fmt.Sprintf("%.1f mm", mm) }

func TestAPatternComesBackPieceByPiece(t *testing.T) {
	want := pattern()
	got, omitted, err := dxf.Pieces(dxf.Write(want))
	require.NoError(t, err)
	assert.Empty(t, omitted)
	require.Len(t, got, 2)
	for i, d := range got {
		for _, layer := range []drawing.Layer{drawing.Cut, drawing.Sew, drawing.Internal} {
			assert.InDelta(t, want[i].Length(layer), d.Length(layer), 0.001, layer)
		}
		require.Len(t, d.Words, 1)
		assert.Equal(t, "2 x front", d.Words[0].Text)
		assert.InDelta(t, 30, d.Words[0].X, 0.001, "from the edge of the piece")
	}
	for _, c := range drawing.Compare(want, got, millimetres) {
		assert.Empty(t, c.Off, c.Title)
		assert.False(t, c.Missing || c.Unknown, c.Title)
	}
}

func TestWhatDiffersIsSaid(t *testing.T) {
	changed := pattern()
	changed[0].Lines[0].Path = drawing.Rectangle(10, 10, 203, 100)
	changed[0].Lines = changed[0].Lines[:2]
	changed[1].Title = "Pocket"
	got, _, err := dxf.Pieces(dxf.Write(changed))
	require.NoError(t, err)
	list := drawing.Compare(pattern(), got, millimetres)
	require.Len(t, list, 3)
	assert.Equal(t, []string{"Length of the cut line: 606.0 mm in the pattern, 600.0 mm in the plan.",
		"The pattern lacks the inner lines.", "Cut across: 203.0 mm in the pattern, 200.0 mm in the plan."},
		list[0].Off)
	assert.True(t, list[1].Missing)
	assert.True(t, list[2].Unknown)
	assert.Equal(t, "02_POCKET", list[2].Title)
}

func TestPatternsThatCannotBeReadAreNamed(t *testing.T) {
	var refusal *drawing.Refusal
	for name, data := range map[string][]byte{
		"no DXF":          []byte("hello"),
		"truncated":       dxf.Write(pattern())[:900],
		"nothing in it":   entities(),
		"foreign layers":  entities("0", "LINE", "8", "WALLS", "10", "0", "20", "0", "11", "5", "21", "0"),
		"a missing block": entities("0", "INSERT", "2", "GONE", "10", "0", "20", "0"),
		"oversize":        []byte(strings.Repeat(" ", dxf.MostBytes+1)),
	} {
		_, _, err := dxf.Pieces(data)
		require.True(t, errors.As(err, &refusal), name)
		assert.NotEmpty(t, refusal.Remedy, name)
	}
	got, omitted, err := dxf.Pieces(entities("0", "LINE", "8", "WALLS", "10", "0", "20", "0", "11", "5", "21", "0", "0",
		"LINE", "8", "1", "10", "0", "20", "0", "11", "5", "21", "0"))
	require.NoError(t, err)
	assert.Len(t, got, 1)
	assert.Equal(t, []string{`1 line on layer "WALLS"`}, omitted)
}
