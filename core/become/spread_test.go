package become

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// Of what gives three times as much three times as many patches are laid, at every stage of the grid, and no two alike
// lie side by side where that can be.
func TestPatchesAreSpreadByWhatThereIs(t *testing.T) {
	rows, ok := spread([]string{"A", "B", "C", "D"}, []int{36, 12, 12, 12}, 6, 6)
	assert.True(t, ok)
	count := map[string]int{}
	for r, row := range rows {
		for c, letter := range row {
			count[letter]++
			assert.False(t, c > 0 && row[c-1] == letter, "beside")
			assert.False(t, r > 0 && rows[r-1][c] == letter, "above")
		}
		if r == 2 {
			assert.InDelta(t, 9, count["A"], 1, "half of it in half of the rows: %v", rows)
		}
	}
	assert.Equal(t, map[string]int{"A": 18, "B": 6, "C": 6, "D": 6}, count)
	_, ok = spread([]string{"A", "B"}, []int{3, 5}, 3, 3)
	assert.False(t, ok, "eight are too few for nine")
}

// A corner counts half of a side: what touches two corners lies as well as what touches a side, and better than what
// touches a side and a corner.
func TestWhatAPatchTouches(t *testing.T) {
	rows := [][]string{{"A", "B", "A"}, {"C"}}
	assert.Equal(t, 2, touching(rows, 1, 1, "A"), "two corners")
	assert.Equal(t, 2, touching(rows, 1, 1, "B"), "above")
	assert.Equal(t, 2, touching(rows, 1, 1, "C"), "beside")
	assert.Zero(t, touching(rows, 1, 1, "D"))
}

func TestSharesAreInProportionAndNoMoreThanThereIs(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		gives := rapid.SliceOfN(rapid.IntRange(0, 30), 1, 8).Draw(t, "gives")
		sum := 0
		for _, n := range gives {
			sum += n
		}
		all := rapid.IntRange(1, 60).Draw(t, "all")
		out, ok := shares(gives, all)
		assert.Equal(t, sum >= all, ok)
		if !ok {
			return
		}
		given := 0
		for i, n := range out {
			assert.LessOrEqual(t, n, gives[i])
			assert.GreaterOrEqual(t, n, gives[i]*all/sum)
			given += n
		}
		assert.Equal(t, all, given)
	})
}

// The next patch is of what half of all to come would be, where it does not lie beside its like; else, of what touches
// no fewer alike, the first of which no larger share is left.
func TestWhichPatchComesNext(t *testing.T) {
	letters := []string{"A", "B", "C"}
	next := func(rows [][]string, r, c int, left, of []int) string {
		return letters[pick(rows, r, c, letters, left, of)]
	}
	none := [][]string{{}}
	assert.Equal(t, "C", next(none, 0, 0, []int{2, 1, 3}, []int{2, 1, 3}), "half of six")
	assert.Equal(t, "A", next([][]string{{"C"}}, 0, 1, []int{2, 1, 3}, []int{2, 1, 4}), "C lies there already")
	assert.Equal(t, "A", next(none, 0, 0, []int{2, 2, 2}, []int{2, 2, 3}), "as much of A as of B is left, and less of C")
	assert.Equal(t, "B", next(none, 0, 0, []int{1, 2, 2}, []int{2, 2, 3}))
	assert.True(t, beside([][]string{{"A"}}, 0, 1, "A"))
	assert.True(t, beside([][]string{{"A", "B"}, {}}, 1, 0, "A"))
	assert.False(t, beside([][]string{{"A", "B"}, {"B"}}, 1, 1, "A"), "across a corner")
}
