package layers_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
	_ "umschlag/seeded"
)

const bulge = 1_500_000 * length.Nanometre // 3 mm of loft, half on each face

func lines(pitch length.Length, angles ...float64) *plan.Quilting {
	q := &plan.Quilting{}
	for _, a := range angles {
		q.Lines = append(q.Lines, plan.LineFamily{Pitch: pitch, Angle: a})
	}
	return q
}

// The table of docs/arithmetic.md, take-up: a = 1.5 mm.
func TestEstimateOfUprightLines(t *testing.T) {
	for pitch, percent := range map[length.Length]float64{4 * length.Inch: 0.05, 2 * length.Inch: 0.22, length.Inch: 0.86, length.Inch / 2: 3.4} {
		got := layers.Estimate(bulge, lines(pitch, 90))
		assert.InDelta(t, percent, 100*got.Across, 0.05)
		assert.InDelta(t, 0, got.Along, 1e-12, "upright lines take nothing from the height")
	}
}

func TestCrossHatchTakesAlikeFromBothDirections(t *testing.T) {
	got := layers.Estimate(bulge, lines(length.Inch, 45, -45))
	assert.InDelta(t, 0.0086, got.Across, 0.00005)
	assert.InDelta(t, got.Across, got.Along, 1e-12)
}

// Geometry checked against itself by another way: the arc length of the raised
// cosine, integrated numerically, beside the closed form, which leaves out the
// fourth power of the slope.
func TestTheClosedFormIsTheLengthOfTheCurve(t *testing.T) {
	for _, c := range []struct {
		pitch length.Length
		off   float64
	}{{4 * length.Inch, 0.001}, {2 * length.Inch, 0.003}, {length.Inch, 0.01}, {length.Inch / 2, 0.04}} {
		p, a := c.pitch.Float(), bulge.Float()
		slope := func(x float64) float64 { return a * math.Pi / p * math.Sin(2*math.Pi*x/p) }
		const n = 2000 // Simpson's rule
		arc := 0.0
		for i := range n + 1 {
			weight := 2.0 + 2*float64(i%2)
			if i == 0 || i == n {
				weight = 1
			}
			arc += weight * math.Sqrt(1+math.Pow(slope(float64(i)*p/n), 2))
		}
		exact := arc/(3*n) - 1
		got := layers.Estimate(bulge, lines(c.pitch, 90)).Across
		assert.InEpsilon(t, exact, got, c.off, c.pitch)
	}
}

func TestCloseLinesCannotPuff(t *testing.T) {
	got := layers.Estimate(10*length.Millimetre, lines(length.Inch/4, 90))
	assert.InDelta(t, math.Pow(math.Pi/6, 2)/4, got.Across, 1e-9, "at most 6.9 %")
}

func TestPairsAreTheMeanOverBothGaps(t *testing.T) {
	q := lines(2*length.Inch, 90)
	q.Pair = length.Inch / 4
	near := layers.Estimate(bulge, lines(length.Inch/4, 90)).Across
	far := layers.Estimate(bulge, lines(7*length.Inch/4, 90)).Across
	assert.InDelta(t, (0.25*near+1.75*far)/2, layers.Estimate(bulge, q).Across, 1e-12)
}

func TestTurningAPatternMovesWhatItTakesAndKeepsTheSum(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		pitch := length.Length(rapid.Int64Range(int64(length.Inch/4), int64(6*length.Inch)).Draw(t, "pitch"))
		angle := rapid.Float64Range(-180, 180).Draw(t, "angle")
		a := layers.Estimate(bulge, lines(pitch, angle))
		b := layers.Estimate(bulge, lines(pitch, angle+90))
		assert.InDelta(t, a.Across, b.Along, 1e-9)
		assert.InDelta(t, layers.Estimate(bulge, lines(pitch, 0)).Along, a.Across+a.Along, 1e-9)
	})
}

func square(side length.Length) sum.Size {
	return sum.Size{Width: sum.Of(sum.Part, "panel", side), Height: sum.Of(sum.Part, "panel", side)}
}

func quilted() plan.Piece {
	margin, overhang := length.Inch/2, length.Inch
	return plan.Piece{Quilting: lines(length.Inch, 45, -45), Squaring: &margin,
		Layers: &plan.Layers{Lining: "L", Overhang: &overhang, Batting: &plan.Batting{Count: 1, Loft: 2 * bulge}}}
}

// The example of docs/arithmetic.md: trimmed 19½, margin ½, 0.86 % → 20.68.
func TestTheChainOfThePanel(t *testing.T) {
	c, found := layers.Of("/pieces/front", quilted(), square(39*length.Inch/2), length.Inch/8)
	assert.Empty(t, found)
	assert.InDelta(t, 20.68, c.Top.Width.Total().Float()/length.Inch.Float(), 0.005)
	assert.Equal(t, 181*length.Inch/8, c.Under.Width.Total()-length.Inch/8, "an inch each side, up to the ruler: 22¾")
	kinds := []sum.Kind{}
	for _, term := range c.Top.Width {
		kinds = append(kinds, term.Kind)
	}
	assert.Equal(t, []sum.Kind{sum.TakeUp, sum.Squaring, sum.Part, sum.Squaring, sum.TakeUp}, kinds, "as they lie along the tape")
}

func TestWhatQuiltingLeavesIsWhatWasWanted(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		side := length.Length(rapid.Int64Range(int64(3*length.Inch), int64(60*length.Inch)).Draw(t, "side"))
		q := quilted()
		q.TakeUp = &plan.TakeUp{From: plan.Given, Across: rapid.Float64Range(0, 25).Draw(t, "across"), Along: 0}
		c, _ := layers.Of("", q, square(side), length.Inch/8)
		left := length.FromFloat(c.Top.Width.Total().Float() * (1 - q.TakeUp.Across/100))
		assert.InDelta(t, float64(side+length.Inch), float64(left), 3, "trimmed and margins, to the nanometre")
		assert.Equal(t, side+length.Inch, c.Top.Height.Total())
	})
}

func TestAnUnquiltedPanelIsCutAsItIsTrimmed(t *testing.T) {
	c, _ := layers.Of("", plan.Piece{}, square(10*length.Inch), length.Inch/8)
	assert.Equal(t, 10*length.Inch, c.Top.Width.Total())
	assert.Empty(t, c.Under.Width)
	assert.Nil(t, c.Batting)
}

func TestWhatIsFoundInLayers(t *testing.T) {
	sample := quilted()
	sample.TakeUp = &plan.TakeUp{From: plan.FromSample, ID: "s1"}
	_, found := layers.Of("/pieces/front", sample, square(length.Inch), length.Inch/8)
	require.Len(t, found, 1)
	assert.Equal(t, "sample-unknown", found[0].Code)

	flat := quilted()
	flat.Layers = nil
	_, found = layers.Of("/pieces/front", flat, square(length.Inch), length.Inch/8)
	require.Len(t, found, 1)
	assert.Equal(t, "no-batting", found[0].Code)

	dense := quilted()
	dense.Quilting = lines(length.Inch/4, 0, 0, 0)
	_, found = layers.Of("/pieces/front", dense, square(length.Inch), length.Inch/8)
	require.Len(t, found, 1)
	assert.Equal(t, "take-up-doubtful", found[0].Code)
}
