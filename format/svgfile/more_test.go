package svgfile_test

import (
	"bytes"
	"encoding/xml"
	"errors"
	"fmt"
	"io"
	"math"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/shape"
	"umschlag/format/drawing"
	"umschlag/format/svgfile"
)

// one reads a drawing of one element, with what its root says.
func one(t *testing.T, root, element string) (drawing.Found, error) {
	t.Helper()
	return svgfile.Read([]byte(`<svg xmlns="http://www.w3.org/2000/svg" ` + root + `>` + element + `</svg>`))
}

// Transforms move a point as their matrices do. Source: W3C, CSS Transforms 1, section 13.
func TestTransformsMovePointsByTheirMatrices(t *testing.T) {
	turn := func(degrees, x, y float64) (float64, float64) {
		s, c := math.Sincos(degrees * math.Pi / 180)
		return c*x - s*y, s*x + c*y
	}
	moves := map[string]func(x, y float64) (float64, float64){
		"matrix(2 3 -4 5 6 7)": func(x, y float64) (float64, float64) { return 2*x - 4*y + 6, 3*x + 5*y + 7 },
		"translate(3)":         func(x, y float64) (float64, float64) { return x + 3, y },
		"translate(3, 4)":      func(x, y float64) (float64, float64) { return x + 3, y + 4 },
		"scale(2)":             func(x, y float64) (float64, float64) { return 2 * x, 2 * y },
		"scale(2 -3)":          func(x, y float64) (float64, float64) { return 2 * x, -3 * y },
		"rotate(30)":           func(x, y float64) (float64, float64) { return turn(30, x, y) },
		"rotate(40 5 7)": func(x, y float64) (float64, float64) {
			x, y = turn(40, x-5, y-7)
			return x + 5, y + 7
		},
		"skewX(20)":             func(x, y float64) (float64, float64) { return x + y*math.Tan(math.Pi/9), y },
		"skewY(20)":             func(x, y float64) (float64, float64) { return x, y + x*math.Tan(math.Pi/9) },
		"scale(2) translate(3)": func(x, y float64) (float64, float64) { return 2 * (x + 3), 2 * y },
	}
	const px = 25.4 / 96
	for text, move := range moves {
		d, err := one(t, "", `<path transform="`+text+`" d="M1 2L11 2L11 9Z"/>`)
		require.NoError(t, err, text)
		for i, at := range [][2]float64{{11, 2}, {11, 9}} {
			x, y := move(at[0], at[1])
			to := d.Outlines[0].Path[0].Segments[i].To
			assert.InDelta(t, x*px, to.X, 1e-9, text)
			assert.InDelta(t, y*px, to.Y, 1e-9, text)
		}
	}
	for _, text := range []string{"matrix(1 0 0 1 0)", "translate()", "translate(1 2 3)", "scale()", "rotate(1 2)",
		"skewX()", "skewY(1 2)", "turn(3)", "scale(2", "scale 2)"} {
		d, err := one(t, "", `<path transform="`+text+`" d="M1 2L11 2L11 9Z"/><rect width="4" height="4"/>`)
		if err == nil {
			assert.NotEmpty(t, d.Omitted, "%s is told of", text)
		}
	}
}

// A drawing is as large as its root says, whole where its sides are of another proportion than its box. Source: W3C,
// SVG 2, section 8.2: meet.
func TestABoxIsShownWholeOnItsSize(t *testing.T) {
	for root, scale := range map[string]float64{
		`viewBox="2 3 40 20"`:                               25.4 / 96,
		`viewBox="2 3 40 20" width="80mm" height="60mm"`:    2,
		`viewBox="2 3 40 20" width="80mm" height="20mm"`:    1,
		`viewBox="2 3 40 20" width="12cm"`:                  3,
		`viewBox="2 3 40 20" height="1in"`:                  25.4 / 20,
		`viewBox="2 3 40 20" width="100%" height="40Q"`:     0.5,
		`viewBox="2 3 40 20" width="72pt" height="6pc"`:     25.4 / 40,
		`viewBox="2 3 40 20" width="-4mm" height="0mm"`:     25.4 / 96,
		`viewBox="2 3 40 20" width="1 ell" height="one in"`: 25.4 / 96,
	} {
		d, err := one(t, root, `<rect x="2px" y="3" width="10" height="5"/>`)
		require.NoError(t, err, root)
		for i, want := range []float64{0, 0, 10 * scale, 5 * scale} {
			assert.InDelta(t, want, box(d.Outlines[0])[i], 1e-4, root)
		}
	}
	for _, root := range []string{`viewBox="0 0 0 5"`, `viewBox="0 0 5 -1"`, `viewBox="0 0 5"`, `viewBox="a b c d"`} {
		_, err := one(t, root, `<rect width="4" height="4"/>`)
		var refused *drawing.Refusal
		assert.ErrorAs(t, err, &refused, root)
	}
}

// Corners are as round as is said, never rounder than half a side, and a radius that is missing is the other one.
// Source: W3C, SVG 2, section 10.2.
func TestCornersOfRectangles(t *testing.T) {
	const px2 = (25.4 / 96) * (25.4 / 96)
	for radii, off := range map[string]float64{
		"": 0, `rx="2"`: 4 - math.Pi, `ry="3"`: (4 - math.Pi) * 9 / 4, `rx="2" ry="4"`: (4 - math.Pi) * 2,
		`rx="90" ry="4"`: (4 - math.Pi) * 10, `rx="0" ry="4"`: 0} {
		d, err := one(t, "", `<rect width="20" height="30" `+radii+`/>`)
		require.NoError(t, err, radii)
		rx := 4.0 // four quarter ellipses of rx by ry are left out of their rectangles
		assert.InDelta(t, (600-off*rx)*px2, area(d.Outlines[0].Path), 0.02, radii)
	}
	for _, broken := range []string{`<rect width="1 2" height="4"/>`, `<rect width="x" height="4"/>`,
		`<circle r="0"/>`, `<ellipse rx="3"/>`, `<polygon points="1 2 3"/>`} {
		d, err := one(t, "", broken+`<rect width="4" height="4"/>`)
		require.NoError(t, err)
		assert.Len(t, d.Outlines, 1)
		assert.Len(t, d.Omitted, 1, broken)
	}
}

// drawn are the elements of a file as an XML reader finds them, each with those around it.
func drawn(t *testing.T, data []byte) (paths, words []map[string]string) {
	t.Helper()
	in := xml.NewDecoder(bytes.NewReader(data))
	var around []map[string]string
	for {
		token, err := in.Token()
		if errors.Is(err, io.EOF) {
			require.Empty(t, around, "every group is closed")
			return paths, words
		}
		require.NoError(t, err)
		switch e := token.(type) {
		case xml.StartElement:
			own := map[string]string{"element": e.Name.Local}
			if len(around) > 0 {
				for k, v := range around[len(around)-1] {
					if own[k] == "" {
						own[k] = v
					}
				}
			}
			for _, a := range e.Attr {
				own[a.Name.Local] = a.Value
			}
			around = append(around, own)
			switch e.Name.Local {
			case "path":
				paths = append(paths, own)
			case "text":
				words = append(words, own)
			}
		case xml.CharData:
			if n := len(around); n > 0 && around[n-1]["element"] == "text" {
				around[n-1]["says"] += string(e)
			}
		case xml.EndElement:
			around = around[:len(around)-1]
		}
	}
}

// A drawing is read by an XML reader: what is filled lies first and pale, every line in the group of its layer and in a
// colour of its own, words where they stand.
func TestADrawingIsItsLayersAndWords(t *testing.T) {
	path, err := shape.Parse("M1 2L11 2L11 9Z")
	require.NoError(t, err)
	d := drawing.Drawing{Title: "a < b", Width: 20, Height: 10,
		Lines: []drawing.Line{{Layer: drawing.Cut, Path: path, Fill: "#204060"}, {Layer: drawing.Sew, Path: path}},
		Words: []drawing.Word{{X: 1.5, Y: 2.25, Height: 3, Text: "one & two"},
			{X: 5, Y: 6, Height: 4, Text: "in the middle", Middle: true}}}
	for key, data := range map[string][]byte{"id": svgfile.Draw(d), "class": svgfile.Inline(d)} {
		paths, words := drawn(t, data)
		require.Len(t, paths, 3, key)
		pale := func(f int) int { return int(math.Round(255 - 0.4*(255-float64(f)))) }
		assert.Equal(t, fmt.Sprintf("#%02x%02x%02x", pale(0x20), pale(0x40), pale(0x60)), paths[0]["fill"])
		assert.Equal(t, []string{"faces", "none"}, []string{paths[0][key], paths[0]["stroke"]})
		assert.Equal(t, []string{string(drawing.Cut), string(drawing.Sew)}, []string{paths[1][key], paths[2][key]})
		assert.NotEqual(t, paths[1]["stroke"], paths[2]["stroke"])
		assert.Equal(t, []string{"none", "none"}, []string{paths[1]["fill"], paths[2]["fill"]})
		require.Len(t, words, 2)
		for i, w := range d.Words {
			for name, want := range map[string]float64{"x": w.X, "y": w.Y, "font-size": w.Height} {
				got, err := strconv.ParseFloat(words[i][name], 64)
				require.NoError(t, err)
				assert.InDelta(t, want, got, 1e-4)
			}
			assert.Equal(t, w.Text, words[i]["says"])
			assert.Equal(t, w.Middle, words[i]["text-anchor"] == "middle")
		}
	}
	assert.Contains(t, string(svgfile.Draw(d)), `width="20.0000mm" height="10.0000mm" viewBox="0 0 20.0000 10.0000"`)
	none := svgfile.Draw(drawing.Drawing{Width: 1, Height: 1})
	assert.Equal(t, 1, strings.Count(string(none), "<g "), "no group without anything in it but that of the faces")
}
