package takeup_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/takeup"
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

func of(q *plan.Quilting) takeup.Pattern { return takeup.Pattern{Quilting: q} }

// The table of docs/arithmetic.md §4take-up: a = 1.5 mm.
func TestEstimateOfUprightLines(t *testing.T) {
	for pitch, percent := range map[length.Length]float64{4 * length.Inch: 0.0538, 2 * length.Inch: 0.2151,
		length.Inch: 0.8605, length.Inch / 2: 3.4420} { // (π · 1.5 mm ÷ pitch)² ÷ 4
		got := takeup.Estimate(bulge, of(lines(pitch, 90)))
		assert.InDelta(t, percent, 100*got.Across, 0.00005)
		assert.InDelta(t, 0, got.Along, 1e-12, "upright lines take nothing from the height")
	}
}

func TestCrossHatchTakesAlikeFromBothDirections(t *testing.T) {
	got := takeup.Estimate(bulge, of(lines(length.Inch, 45, -45)))
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
		got := takeup.Estimate(bulge, of(lines(c.pitch, 90))).Across
		assert.InEpsilon(t, exact, got, c.off, c.pitch)
	}
}

func TestCloseLinesCannotPuff(t *testing.T) {
	got := takeup.Estimate(10*length.Millimetre, of(lines(length.Inch/4, 90)))
	assert.InDelta(t, math.Pow(math.Pi/6, 2)/4, got.Across, 1e-9, "at most 6.9%")
}

func TestPairsAreTheMeanOverBothGaps(t *testing.T) {
	q := lines(2*length.Inch, 90)
	q.Pair = length.Inch / 4
	near := takeup.Estimate(bulge, of(lines(length.Inch/4, 90))).Across
	far := takeup.Estimate(bulge, of(lines(7*length.Inch/4, 90))).Across
	assert.InDelta(t, (0.25*near+1.75*far)/2, takeup.Estimate(bulge, of(q)).Across, 1e-12)
}

func TestTurningAPatternMovesWhatItTakesAndKeepsTheSum(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		pitch := length.Length(rapid.Int64Range(int64(length.Inch/4), int64(6*length.Inch)).Draw(t, "pitch"))
		angle := rapid.Float64Range(-180, 180).Draw(t, "angle")
		a := takeup.Estimate(bulge, of(lines(pitch, angle)))
		b := takeup.Estimate(bulge, of(lines(pitch, angle+90)))
		assert.InDelta(t, a.Across, b.Along, 1e-9)
		assert.InDelta(t, takeup.Estimate(bulge, of(lines(pitch, 0))).Along, a.Across+a.Along, 1e-9)
	})
}

// On a square half of the area lies nearest to the upright edges; stitching in the seams of
// patches is two families as far apart as they are.
func TestEchoesDitchesAndFreeMotion(t *testing.T) {
	p := takeup.Pattern{Quilting: &plan.Quilting{Echo: length.Inch}, Width: 12 * length.Inch, Height: 12 * length.Inch}
	line := takeup.Estimate(bulge, of(lines(length.Inch, 90))).Across
	got := takeup.Estimate(bulge, p)
	assert.InDelta(t, line/2, got.Across, 1e-12)
	assert.InDelta(t, got.Across, got.Along, 1e-12)
	p.Height = 36 * length.Inch
	got = takeup.Estimate(bulge, p)
	assert.InDelta(t, line*5/6, got.Across, 1e-12, "echoes of a long piece run upright for the most part")
	assert.InDelta(t, line, got.Across+got.Along, 1e-12)

	d := takeup.Pattern{Quilting: &plan.Quilting{Ditch: true}, PatchWidth: 4 * length.Inch,
		PatchHeight: 2 * length.Inch}
	got = takeup.Estimate(bulge, d)
	assert.InDelta(t, takeup.Estimate(bulge, of(lines(4*length.Inch, 90))).Across, got.Across, 1e-12)
	assert.InDelta(t, takeup.Estimate(bulge, of(lines(2*length.Inch, 0))).Along, got.Along, 1e-12)
	assert.Zero(t, takeup.Estimate(bulge, of(&plan.Quilting{Ditch: true})).Across, "without seams there is no ditch")

	free := takeup.Estimate(bulge, of(&plan.Quilting{Free: length.Inch}))
	assert.InDelta(t, line/2, free.Across, 1e-12)
	assert.InDelta(t, free.Across, free.Along, 1e-12)
}

// A serpentine takes from both directions what straight lines take from one; the share
// along it is the mean of cos² of its slope, integrated here.
func TestSerpentinesTakeFromBothDirections(t *testing.T) {
	q := lines(2*length.Inch, 0)
	q.Lines[0].Wave = length.Inch / 2
	got := takeup.Estimate(bulge, of(q))
	mean, n := 0.0, 10_000
	for i := range n {
		slope := math.Pi / 2 * math.Cos(2*math.Pi*float64(i)/float64(n))
		mean += 1 / (1 + slope*slope) / float64(n)
	}
	whole := takeup.Estimate(bulge, of(lines(2*length.Inch, 0))).Along
	assert.InDelta(t, whole*mean, got.Along, 1e-9)
	assert.InDelta(t, whole*(1-mean), got.Across, 1e-9)
}
