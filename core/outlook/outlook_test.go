package outlook_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"gonum.org/v1/gonum/stat/distuv"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/outlook"
	_ "umschlag/seeded"
)

const in = float64(length.Inch)

// The example of docs/arithmetic.md §14: 8 patches and 7 seams at 1/64 each have a
// standard deviation of 0.094; seams a thread (1/32) fat make it 7/16 short.
func TestTheWorkedExample(t *testing.T) {
	f := outlook.Closed(outlook.Panel{Patches: 8, Seams: 7}, outlook.Usual())
	assert.InDelta(t, 0.094, f.SD/in, 0.0005)
	assert.Zero(t, f.Mean)
	fat := outlook.Usual()
	fat.Seam = in / 32
	assert.InDelta(t, -7.0/16, outlook.Closed(outlook.Panel{Patches: 8, Seams: 7}, fat).Mean/in, 1e-12)
}

func panel(t *rapid.T) outlook.Panel {
	n := rapid.IntRange(1, 12).Draw(t, "patches")
	return outlook.Panel{Patches: n, Seams: n - 1, Borders: rapid.IntRange(0, 2).Draw(t, "borders")}
}

func spread(t *rapid.T) outlook.Spread {
	draw := func(name string, lo, hi float64) float64 { return rapid.Float64Range(lo, hi).Draw(t, name) * in }
	return outlook.Spread{Seam: draw("seam", -1.0/32, 1.0/32), SeamSD: draw("seam sd", 1.0/256, 1.0/32),
		CutSD: draw("cut sd", 1.0/256, 1.0/32)}
}

// Against gonum, a general-purpose statistics library.
func TestTheChanceAgainstAStatisticsLibrary(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f := outlook.Closed(panel(t), spread(t))
		n := distuv.Normal{Mu: f.Mean, Sigma: f.SD}
		tol := outlook.Tolerance.Float()
		assert.InDelta(t, n.CDF(tol)-n.CDF(-tol), f.Chance, 1e-9)
	})
}

// simulated sews a panel many times, seam by seam and cut by cut, with the border cut to the
// measured centre where recut is set; the same seed gives the same answer. tape is the error
// of reading it.
func simulated(p outlook.Panel, s outlook.Spread, recut bool, tape float64, times int, seed uint64) outlook.Fit {
	r := rand.New(rand.NewPCG(seed, 0x5eed))
	sum, squares, good := 0.0, 0.0, 0
	for range times {
		e := centre(p, s, r)
		if recut && p.Borders > 0 {
			e = tape * r.NormFloat64() // what the tape did not see is all that is left
		}
		for range 2 * p.Borders {
			e += s.CutSD*r.NormFloat64() - 2*(s.Seam+s.SeamSD*r.NormFloat64())
		}
		sum, squares = sum+e, squares+e*e
		if math.Abs(e) <= outlook.Tolerance.Float() {
			good++
		}
	}
	n := float64(times)
	mean := sum / n
	return outlook.Fit{Mean: mean, SD: math.Sqrt(math.Max(0, squares/n-mean*mean)), Chance: float64(good) / n}
}

// centre is the error of what is inside the borders, once.
func centre(p outlook.Panel, s outlook.Spread, r *rand.Rand) float64 {
	e := 0.0
	for range p.Patches {
		e += s.CutSD * r.NormFloat64()
	}
	for range p.Seams {
		e -= 2 * (s.Seam + s.SeamSD*r.NormFloat64())
	}
	return e
}

// Fifty seeded panels: what is sewn many times agrees with the closed form within three
// standard errors, with and without the border cut to the measured centre.
func TestSimulationAgreesWithTheClosedForm(t *testing.T) {
	const times = 40_000
	for seed := range uint64(50) {
		n := 2 + int(seed%9)
		p := outlook.Panel{Patches: n, Seams: n - 1, Borders: int(seed % 3)}
		s := outlook.Spread{Seam: in / 64 * (float64(seed%5) - 2) / 2, SeamSD: in / 64 * (1 + float64(seed%4)) / 2,
			CutSD: in / 64}
		for _, recut := range []bool{false, true} {
			want, tape := outlook.Closed(p, s), in/64
			if recut && p.Borders > 0 {
				want = outlook.Recut(p, s, tape)
			}
			got := simulated(p, s, recut, tape, times, seed)
			// Three standard errors, for three figures of a hundred panels: the seeds are fixed.
			assert.InDelta(t, want.Mean, got.Mean, 3*want.SD/math.Sqrt(times), "mean, seed %d", seed)
			assert.InDelta(t, want.SD, got.SD, 3*want.SD/math.Sqrt(2*times), "spread, seed %d", seed)
			assert.InDelta(t, want.Chance, got.Chance, 3*math.Sqrt(want.Chance*(1-want.Chance)/times)+1e-9,
				"chance, seed %d", seed)
		}
	}
}

func TestWithoutErrorsAllComesOut(t *testing.T) {
	assert.InDelta(t, 1, outlook.Closed(outlook.Panel{Patches: 4, Seams: 3}, outlook.Spread{}).Chance, 0)
	assert.InDelta(t, 0, outlook.Closed(outlook.Panel{Patches: 4, Seams: 3}, outlook.Spread{Seam: in}).Chance, 0)
}
