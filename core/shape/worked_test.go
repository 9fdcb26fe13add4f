package shape_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/shape"
	_ "umschlag/seeded"
)

// Numbers as the grammar of SVG path data has them: signs part them, an exponent may have one, a point begins one.
// Source: W3C, SVG 2, section 9.3.9.
func TestNumbersOfPathData(t *testing.T) {
	for text, want := range map[string][2]float64{
		"M0 0L+10+20z": {10, 20}, "M0 0L1e1-2E1": {10, 20}, "M0 0L.5e+1.25E2": {5, 25}, "M0 0L100e-1,2e+1": {10, 20},
		"M0,0l10-.5": {10, .5}, "M0 0 10.5.5": {10.5, .5},
	} {
		p, err := shape.Parse(text)
		require.NoError(t, err, text)
		box := p.Box()
		assert.InDelta(t, want[0], box.Width(), 1e-12, text)
		assert.InDelta(t, want[1], box.Height(), 1e-12, text)
	}
	for _, text := range []string{"M0 0L1e400 0", "M0 0L+ 0", "M0 0L1e 2x"} {
		_, err := shape.Parse(text)
		assert.Error(t, err, text)
	}
}

// An arc passes to the side its flags say, the short way or the long way round a circle of 10. Geometry.
func TestArcsGoRoundTheirSide(t *testing.T) {
	for flags, highest := range map[string]float64{ // from (0,0) to (12,0) on a circle of 10: its middle 8 off the line
		"0 1": -2, "1 1": -18, "0 0": 2, "1 0": 18,
	} {
		p, err := shape.Parse("M0 0 A10 10 0 " + flags + " 12 0")
		require.NoError(t, err)
		box := p.Box()
		if highest < 0 {
			assert.InDelta(t, highest, box.Y1, 1e-3, flags)
			assert.InDelta(t, 0, box.Y2, 1e-3, flags)
		} else {
			assert.InDelta(t, highest, box.Y2, 1e-3, flags)
			assert.InDelta(t, 0, box.Y1, 1e-3, flags)
		}
	}
}

// First one change and then another is both, one after the other.
func TestOneMatrixThenAnother(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		draw := func(name string) shape.Matrix {
			n := func(of string) float64 { return rapid.Float64Range(-5, 5).Draw(t, name+of) }
			return shape.Matrix{A: n("a"), B: n("b"), C: n("c"), D: n("d"), E: n("e"), F: n("f")}
		}
		m, n := draw("first "), draw("then ")
		at := shape.Point{X: rapid.Float64Range(-9, 9).Draw(t, "x"), Y: rapid.Float64Range(-9, 9).Draw(t, "y")}
		one, two := m.Then(n).Of(at), n.Of(m.Of(at))
		require.LessOrEqual(t, math.Hypot(one.X-two.X, one.Y-two.Y), 1e-9)
	})
}
