package brief_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/brief"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// mixed is a cushion of patches of some cloths, mixed; grounds are their colours, have how much there is of each.
func mixed(grounds []string, have []length.Length) plan.Plan {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Title, p.Cover.Kind = "mixed", plan.Cushion
	p.Object = plan.Object{Kind: plan.Form, Width: 16 * in, Height: 16 * in}
	p.Cloths = map[string]plan.Cloth{}
	face := plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4, Order: plan.Order{Kind: plan.Scrap}}
	for i, ground := range grounds {
		letter := string(rune('A' + i))
		c := plan.Cloth{Name: letter, Swatch: plan.Swatch{Ground: ground}}
		if have != nil {
			c.Have = &have[i]
		}
		p.Cloths[letter], face.Cloths = c, append(face.Cloths, letter)
	}
	p.Pieces = map[string]plan.Piece{"front": {Face: &face}}
	return p
}

var greys = []string{"#eeeeee", "#101010", "#d0d0d0", "#303030"}

// decided is a plan with a decision of its brief taken.
func decided(t *testing.T, p plan.Plan, key string) *plan.Mix {
	t.Helper()
	after, refused, ok := brief.Choose(p, nil, "/pieces/front/face/mix/"+key, "yes")
	require.True(t, ok, key)
	require.Empty(t, refused)
	return after.Pieces["front"].Face.Mix
}

func TestWhatThereIsIsDrawnByItsArea(t *testing.T) {
	p := mixed(greys, []length.Length{36 * in, 18 * in, 9 * in, 9 * in})
	assert.Equal(t, map[string]int{"A": 24, "B": 12, "C": 6, "D": 6}, decided(t, p, "often").Often,
		"half, a quarter and twice an eighth of 48 shares")
}

func TestOfTwoClothsNothingMoreIsMinded(t *testing.T) {
	_, _, ok := brief.Choose(mixed(greys[:2], []length.Length{in, 2 * in}), nil, "/pieces/front/face/mix/often", "yes")
	assert.False(t, ok)
	_, _, ok = brief.Choose(mixed(greys[:2], nil), nil, "/pieces/front/face/mix/dark", "yes")
	assert.False(t, ok)
	_, _, ok = brief.Choose(mixed(greys, nil), nil, "/pieces/front/face/mix/often", "yes")
	assert.False(t, ok, "nobody said how much there is")
}

func TestTheDarkOnesAreBelowTheWidestStep(t *testing.T) {
	p := mixed(greys, nil)
	assert.Equal(t, []string{"B", "D"}, decided(t, p, "dark").Dark)
}
