package lay

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/length"
)

// tabled is the bounded knapsack by the table of every place, as textbooks have it (from memory): what is worth most
// with the first columns in so many places, and how many of each make it, the fewest of the last ones first.
func tabled(widths, counts []int, worths []float64, places int) (most float64, chosen []int) {
	best := make([][]float64, len(widths)+1)
	best[0] = make([]float64, places+1)
	taken := make([][]int, len(widths))
	for i := range widths {
		best[i+1], taken[i] = make([]float64, places+1), make([]int, places+1)
		for at := range places + 1 {
			best[i+1][at] = best[i][at]
			for n := 1; n <= counts[i] && n*widths[i] <= at; n++ {
				if with := best[i][at-n*widths[i]] + float64(n)*worths[i]; with > best[i+1][at] {
					best[i+1][at], taken[i][at] = with, n
				}
			}
		}
	}
	chosen = make([]int, len(widths))
	for i, at := len(widths)-1, places; i >= 0; i-- {
		chosen[i] = taken[i][at]
		at -= chosen[i] * widths[i]
	}
	return best[len(widths)][places], chosen
}

// The columns chosen for a strip are those of the table of every place, whatever their widths, counts and worths.
func TestTheFullestIsThatOfTheTable(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		const step = length.Length(7)
		n := rapid.IntRange(1, 6).Draw(t, "columns")
		widths := rapid.SliceOfN(rapid.IntRange(1, 60), n, n).Draw(t, "widths")
		counts := rapid.SliceOfN(rapid.IntRange(0, 9), n, n).Draw(t, "counts")
		worths := rapid.SliceOfN(rapid.Map(rapid.IntRange(0, 40), func(i int) float64 { return float64(i) / 8 }), n, n).
			Draw(t, "worths")
		places := rapid.IntRange(0, 150).Draw(t, "places")
		columns := make([]column, n)
		for i := range columns {
			columns[i] = column{width: step.Times(widths[i]), n: counts[i], worth: worths[i]}
		}
		most, want := tabled(widths, counts, worths, places)
		got := fullest(columns, step.Times(places)+step-1, step)
		assert.Equal(t, want, got)
		worth := 0.0
		for i, k := range got {
			worth += float64(k) * worths[i]
		}
		assert.InDelta(t, most, worth, 1e-9)
	})
}

// BenchmarkFullest tells what it takes to fill a strip of some thousand places with a few columns of each width.
func BenchmarkFullest(b *testing.B) {
	columns := []column{
		{width: 210, n: 19, worth: 2}, {width: 244, n: 2, worth: 3},
		{width: 2134, n: 1, worth: 30}, {width: 2256, n: 1, worth: 31},
	}
	for b.Loop() {
		fullest(columns, 3852, 1)
	}
}
