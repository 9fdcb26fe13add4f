package front_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/front"
	"umschlag/core/plan"
)

// mixedFace is a grid of single patches in the scrap order.
func mixedFace(columns, rows, seed int, cloths []string, mix *plan.Mix) plan.Face {
	return plan.Face{Kind: plan.GridFace, Columns: columns, Rows: rows, Cloths: cloths, Seed: seed, Mix: mix,
		Order: plan.Order{Kind: plan.Scrap}}
}

// Of 300 patches in shares of 5, 4 and 3 there are 125, 100 and 75, give or take what chance and neighbours take.
func TestClothsAreDrawnByTheirShares(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f := mixedFace(20, 15, rapid.IntRange(0, 999).Draw(t, "seed"), []string{"A", "B", "C"},
			&plan.Mix{Often: map[string]int{"A": 5, "B": 4, "C": 3}})
		counts := map[string]int{}
		for _, row := range front.Laid(f) {
			for _, letter := range row {
				counts[letter]++
			}
		}
		for letter, want := range map[string]int{"A": 125, "B": 100, "C": 75} {
			assert.InDelta(t, want, counts[letter], 8, "%s of %v", letter, counts)
		}
	})
}

// Dark patches lie at every second place where there are two and more of both, and nothing beside its like.
func TestLightAndDarkLieInTurn(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f := mixedFace(rapid.IntRange(2, 9).Draw(t, "columns"), rapid.IntRange(2, 9).Draw(t, "rows"),
			rapid.IntRange(0, 999).Draw(t, "seed"), []string{"A", "B", "C", "D"}, &plan.Mix{Dark: []string{"B", "D"}})
		if rapid.Bool().Draw(t, "on point") {
			f.Set = plan.OnPoint
		}
		for r, row := range front.Laid(f) {
			for c, letter := range row {
				turn := (r + c) % 2
				if f.Set == plan.OnPoint {
					turn = r % 2
				}
				assert.Equal(t, turn == 1, letter == "B" || letter == "D", "row %d, patch %d", r+1, c+1)
			}
		}
	})
}

// What is kept stays, and counts for the share of its cloth; what nobody mixes otherwise lies as it always did.
func TestWhatIsKeptStaysHoweverItIsMixed(t *testing.T) {
	f := mixedFace(4, 4, 7, []string{"A", "B", "C"}, &plan.Mix{Often: map[string]int{"A": 1, "B": 9, "C": 9},
		Dark: []string{"B"}})
	f.Keep = []plan.Kept{{Row: 1, Column: 1, Cloth: "B"}, {Row: 2, Column: 3, Cloth: "A"}}
	rows := front.Laid(f)
	assert.Equal(t, []string{"B", "A"}, []string{rows[0][0], rows[1][2]})
	plain, empty := f, f
	plain.Mix, empty.Mix = nil, &plan.Mix{}
	assert.Equal(t, front.Laid(plain), front.Laid(empty))
}
