package block_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/block"
	"umschlag/core/length"
)

// known is what a unit is known by whose letters are the names of its cloths.
func known(t *testing.T, cells string, w, h float64) block.Alike {
	t.Helper()
	n, err := block.Parse(cells)
	require.NoError(t, err)
	u := block.Unit{Node: n, Width: length.FromFloat(w * in.Float()), Height: length.FromFloat(h * in.Float())}
	a, ok := u.Alike(func(letter string) string { return letter })
	require.True(t, ok, cells)
	return a
}

// Each line is one unit as it comes when it is turned by quarters.
func TestAUnitIsKnownHoweverItIsTurned(t *testing.T) {
	type turned struct {
		cells string
		w, h  float64
	}
	for _, same := range [][]turned{
		{{"A / B", 4, 4}, {"A \\ B", 4, 4}, {"B / A", 4, 4}, {"B \\ A", 4, 4}},
		{{"A / B", 2, 4}, {"A \\ B", 4, 2}, {"B / A", 2, 4}, {"B \\ A", 4, 2}},
		{{"A \\ B", 2, 4}, {"A / B", 4, 2}, {"B \\ A", 2, 4}, {"B / A", 4, 2}},
		{{"A x B x C x D", 4, 4}, {"B x C x D x A", 4, 4}, {"C x D x A x B", 4, 4}, {"D x A x B x C", 4, 4}},
		{{"A x B x C x D", 2, 4}, {"B x C x D x A", 4, 2}, {"C x D x A x B", 2, 4}, {"D x A x B x C", 4, 2}},
		{{"A ^ B", 4, 2}, {"A v B", 4, 2}, {"A < B", 2, 4}, {"A > B", 2, 4}},
		{{"A o B", 4, 2}, {"A o B", 2, 4}},
		{{"A | 2 B | C", 8, 2}, {"C | 2 B | A", 8, 2}, {"A - 2 B - C", 2, 8}, {"C - 2 B - A", 2, 8}},
	} {
		first := known(t, same[0].cells, same[0].w, same[0].h)
		for _, other := range same[1:] {
			assert.Equal(t, first, known(t, other.cells, other.w, other.h), "%v", other)
		}
		again, err := block.ReadAlike(first.Cells, first.Cloths, first.Width, first.Height)
		require.NoError(t, err)
		assert.Equal(t, first, again, "as it is written it is read")
	}
}

func TestUnitsThatAreNotTheSame(t *testing.T) {
	for _, two := range [][2]block.Alike{
		{known(t, "A / B", 2, 4), known(t, "A \\ B", 2, 4)}, // mirrored
		{known(t, "A x B x C x D", 4, 4), known(t, "D x C x B x A", 4, 4)},
		{known(t, "A x B x C x D", 2, 4), known(t, "B x C x D x A", 2, 4)},
		{known(t, "A ^ B", 4, 2), known(t, "B ^ A", 4, 2)},
		{known(t, "A o B", 4, 4), known(t, "B o A", 4, 4)},
		{known(t, "A | 2 B", 6, 2), known(t, "2 A | B", 6, 2)},
		{known(t, "A / B", 4, 4), known(t, "A / C", 4, 4)},
		{known(t, "A / B", 4, 4), known(t, "A / B", 4.5, 4.5)},
		{known(t, "A ^ B", 4, 2), known(t, "A ^ B", 2, 4)},
	} {
		assert.False(t, two[0].Is(two[1]), "%v %v", two[0], two[1])
		assert.True(t, two[0].Is(two[0]))
	}
}

// The cloths may go by other names: which letter is first is by the name, and the unit stays what it is.
func TestAUnitByOtherNames(t *testing.T) {
	named := func(a block.Alike, cloths ...string) block.Alike {
		b, err := block.ReadAlike(a.Cells, cloths, a.Width, a.Height)
		require.NoError(t, err)
		return b
	}
	b := named(known(t, "A / B", 4, 4), "zephyr", "calico")
	assert.Equal(t, []string{"calico", "zephyr"}, b.Cloths)
	assert.Equal(t, "A / B", b.Cells)
	goose := named(known(t, "A ^ B", 4, 2), "zephyr", "calico")
	assert.Equal(t, []string{"zephyr", "calico"}, goose.Cloths, "the large triangle comes first")
}

func TestWhatIsNoUnit(t *testing.T) {
	for cells, says := range map[string]string{"A": "no unit of single patches", "A : B": "no unit of single patches",
		"(A / B) | C": "no unit of single patches", "A / ": "a part is missing"} {
		n := []string{"one", "two", "three"}
		if cells == "A" {
			n = n[:1]
		} else if cells != "(A / B) | C" {
			n = n[:2]
		}
		_, err := block.ReadAlike(cells, n, 4*in, 4*in)
		assert.ErrorContains(t, err, says, cells)
	}
	_, err := block.ReadAlike("A / B", []string{"one"}, 4*in, 4*in)
	assert.ErrorContains(t, err, "2 letters and names 1 fabrics")
}

func TestUnitsAreCalledByTheirNumber(t *testing.T) {
	assert.Equal(t, "half-square triangle", known(t, "A / B", 4, 4).Named(1))
	assert.Equal(t, "flying geese", known(t, "A > B", 2, 4).Named(2))
	assert.Equal(t, "half-rectangle triangles", known(t, "A / B", 2, 4).Named(2))
	assert.Equal(t, "units", block.Alike{Cells: "?"}.Named(2))
}
