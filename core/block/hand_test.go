package block_test

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/block"
	"umschlag/core/length"
)

// cutList is what a block is cut from with seams of ¼ in, up to the eighth, alike patches
// together: "4 A half-square 2⅞".
func cutList(t *testing.T, name string, side length.Length) []string {
	t.Helper()
	n, ok := block.ByName(name)
	require.True(t, ok, name)
	counts := map[string]int{}
	for _, p := range divided(t, n.Text, side, side) {
		r := block.RecipeOf(p.Line, in/4, inches)
		w, h := r.Size.Width.Total().Ceil(in/8), r.Size.Height.Total().Ceil(in/8)
		size := inches.Text(w)
		if w != h {
			size = inches.Text(min(w, h)) + " × " + inches.Text(max(w, h))
		}
		counts[fmt.Sprintf("%s %s %s", p.Letter, r.Kind, size)]++
	}
	var out []string
	for what, n := range counts {
		out = append(out, fmt.Sprintf("%d %s", n, what))
	}
	slices.Sort(out)
	return out
}

// Old blocks at handy sizes, counted and sized by hand with the rules that makers know by
// heart (from memory): squares finished + ½, half-squares + ⅞, quarter-squares + 1¼.
func TestOldBlocksAreCutAsByHand(t *testing.T) {
	for name, c := range map[string]struct {
		side length.Length
		want []string
	}{
		"four-patch":    {6 * in, []string{"2 A square 3½″", "2 B square 3½″"}},
		"nine-patch":    {9 * in, []string{"4 B square 3½″", "5 A square 3½″"}},
		"sixteen-patch": {8 * in, []string{"8 A square 2½″", "8 B square 2½″"}},
		"rail-fence": {6 * in,
			[]string{"1 A rectangle 2½″ × 6½″", "1 B rectangle 2½″ × 6½″", "1 C rectangle 2½″ × 6½″"}},
		"puss-in-the-corner": {8 * in, []string{"1 A square 4½″", "4 A square 2½″", "4 B rectangle 2½″ × 4½″"}},
		"double-four-patch":  {8 * in, []string{"2 C square 4½″", "4 A square 2½″", "4 B square 2½″"}},
		"half-square":        {4 * in, []string{"1 A half-square 4⅞″", "1 B half-square 4⅞″"}},
		"pinwheel":           {8 * in, []string{"4 A half-square 4⅞″", "4 B half-square 4⅞″"}},
		"broken-dishes":      {8 * in, []string{"4 A half-square 4⅞″", "4 B half-square 4⅞″"}},
		"hourglass":          {6 * in, []string{"2 A quarter-square 7¼″", "2 B quarter-square 7¼″"}},
		"big-dipper":         {8 * in, []string{"8 A quarter-square 5¼″", "8 B quarter-square 5¼″"}},
		"flying-geese":       {4 * in, []string{"2 A quarter-square 5¼″", "4 B half-square 2⅞″"}},
		"dutchmans-puzzle":   {8 * in, []string{"16 B half-square 2⅞″", "8 A quarter-square 5¼″"}},
		"square-in-a-square": {8 * in, []string{"1 A square 6¼″", "4 B half-square 4⅞″"}},
		"shoofly": {9 * in,
			[]string{"1 B square 3½″", "4 A half-square 3⅞″", "4 A square 3½″", "4 B half-square 3⅞″"}},
		"friendship-star": {9 * in,
			[]string{"1 A square 3½″", "4 A half-square 3⅞″", "4 B half-square 3⅞″", "4 B square 3½″"}},
		"ohio-star": {9 * in,
			[]string{"1 A square 3½″", "4 B square 3½″", "8 A quarter-square 4¼″", "8 B quarter-square 4¼″"}},
		"sawtooth-star": {8 * in,
			[]string{"1 A square 4½″", "4 B quarter-square 5¼″", "4 B square 2½″", "8 A half-square 2⅞″"}},
		"birds-in-the-air": {9 * in, []string{"3 B square 3½″", "6 A half-square 3⅞″", "6 B half-square 3⅞″"}},
		"churn-dash": {9 * in,
			[]string{"1 B square 3½″", "4 A half-square 3⅞″", "4 A rectangle 2″ × 3½″", "4 B half-square 3⅞″",
				"4 B rectangle 2″ × 3½″"}},
	} {
		want := slices.Sorted(slices.Values(c.want))
		assert.Equal(t, want, cutList(t, name, c.side), name)
	}
}

// Every pair of triangles that can be sewn before it is cut apart is half of one square,
// and every patch of a set is as long as its segment.
func TestPairsAndSetsAreWhatTheySay(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.SampledFrom(block.Library()).Draw(t, "block")
		side := length.Length(rapid.Int64Range(int64(2*in), int64(16*in)).Draw(t, "side"))
		mates := map[string]int{}
		for _, p := range divided(t, n.Text, side, side) {
			r := block.RecipeOf(p.Line, in/4, inches)
			if p.Mate != "" {
				assert.Equal(t, block.Half, r.Kind)
				a, b := p.Letter, p.Mate
				if a > b {
					mates[b+a]--
				} else if a < b {
					mates[a+b]++
				}
			}
			if p.Set != nil {
				x1, y1, x2, y2 := p.Line.Bounds()
				w, h := length.FromFloat(x2-x1), length.FromFloat(y2-y1)
				assert.True(t, near(w, p.Set.Segment) || near(h, p.Set.Segment), "one side is the segment")
				assert.Positive(t, max(p.Set.Strips(p.Letter, w), p.Set.Strips(p.Letter, h)),
					"the other is a strip of the set")
			}
		}
		for pair, off := range mates {
			assert.Zero(t, off, "%s: every triangle has its mate", pair)
		}
	})
}

func near(a, b length.Length) bool { return (a - b).Abs() < 1000 }

// Cut large and trimmed at ¼ in: half-squares finished + 1, quarter-squares + 1½, eight
// at a time twice as wide (from memory of handbooks). A square stays as it is.
func TestLargeTriangles(t *testing.T) {
	half := block.RecipeOf(divided(t, "A / B", 3*in, 3*in)[0].Line, in/4, inches)
	assert.Equal(t, 4*in, half.Large(in/4).Size.Width.Total())
	assert.Equal(t, 8*in, block.EightFrom(half, in/4).Width.Total())
	quarter := block.RecipeOf(divided(t, "A x B x A x B", 3*in, 3*in)[0].Line, in/4, inches)
	assert.Equal(t, 9*in/2, quarter.Large(in/4).Size.Width.Total())
	square := block.RecipeOf(divided(t, "A", 3*in, 3*in)[0].Line, in/4, inches)
	assert.Equal(t, square, square.Large(in/4))
	for _, term := range half.Large(in / 4).Size.Width {
		assert.NotEmpty(t, term.Name)
	}
}

// The seams of a block: as long in all as its patches have sides within it, each named by
// its division.
func TestSeamsRunWhereThePatchesMeet(t *testing.T) {
	for _, n := range block.Library() {
		around := 0.0
		for _, p := range divided(t, n.Text, 8*in, 8*in) {
			around += p.Line.Length()
		}
		seams := 0.0
		for _, s := range parsed(t, n.Text).Seams(8*in, 8*in) {
			seams += s.Length()
			assert.NotEmpty(t, s.Of)
		}
		assert.InDelta(t, (around-32*in.Float())/2, seams, 100, n.Name)
	}
	assert.Empty(t, parsed(t, "A").Seams(in, in))
}

// Seven geese: four at a time from one large square and four small, three one by one.
func TestGeeseThatAreLeftOverAreSewnOneByOne(t *testing.T) {
	list := block.Compare(parsed(t, "A ^ B"), 4*in, 2*in, 7, in/4, in/8, 40*in, inches)
	require.Len(t, list, 1)
	many := list[0].Methods[2]
	assert.Equal(t, []any{"2 squares of 5½″, 7 squares of 3″", 0, 6 + 2*3}, []any{many.Cuts, many.Spare, many.Seams})
	few := block.Compare(parsed(t, "A ^ B"), 4*in, 2*in, 3, in/4, in/8, 40*in, inches)
	assert.Len(t, few[0].Methods, 2, "three are too few for four at a time")
}
