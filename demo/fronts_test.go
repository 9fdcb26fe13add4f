package demo_test

import (
	"fmt"
	"slices"
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// outerCuts are the outer cuts of a piece in words: "8 × 6″ × 6″ A half-square".
func outerCuts(r answer.Reckoning, piece string) []string {
	var out []string
	for _, c := range r.Cuts {
		if c.About.Piece == piece && c.Layer == "outer" { // fittings are of no piece
			out = append(out, fmt.Sprintf("%d × %s × %s %s %s", c.Count, c.Width.Text, c.Height.Text, c.Cloth, c.Shape))
		}
	}
	slices.Sort(out)
	return out
}

// The cutting lists of the demo's pieced and worked fronts, worked out by hand.
func TestTheDemoFrontsAreCutAsByHand(t *testing.T) {
	all := reckoned(t)
	for name, c := range map[string]struct {
		piece string
		want  []string
	}{
		// 16 pinwheels of 4: 64 half-squares that finish 2, eight from each pair of 2 × 3;
		// the border as in the worked example, its squares as wide as it is cut.
		"pinwheel-cushion": {"front",
			[]string{"8 × 6″ × 6″ A half-square", "8 × 6″ × 6″ B half-square", "2 × 2⅝″ × 16½″ C rectangle",
				"2 × 16½″ × 2⅝″ C rectangle", "4 × 2⅝″ × 2⅝″ D square"}},
		// Tops of 2¼ with sashing of ½, seams of ⅜: 4 × 3 of them, 9 sashes one way and 8 the
		// other, 6 posts; what is left of 11½ × 9½ is ½ and ⅞ of border.
		"scanner-hood": {"top",
			[]string{"6 × 3″ × 3″ B square", "6 × 3″ × 3″ C square", "9 × 1¼″ × 3″ A rectangle",
				"8 × 3″ × 1¼″ A rectangle", "6 × 1¼″ × 1¼″ B square", "2 × 1¼″ × 8½″ A rectangle",
				"2 × 12¼″ × 1⅝″ A rectangle"}},
		// A board of 18 × 2 from one set: 18 segments of 1½ and ½ to square; a panel of 9 × 7
		// in a border that takes the rest of 18 × 13 and one of 1½, mitred; two strips of 1.
		"map-table-cushion": {"front",
			[]string{"1 × 27½″ × 1½″ A strip", "1 × 27½″ × 1½″ B strip", "1 × 9½″ × 7½″ E rectangle",
				"2 × 3½″ × 7½″ B rectangle", "2 × 15½″ × 2″ B rectangle",
				"2 × 2″ × 17″ C rectangle", "2 × 22″ × 2″ C rectangle", "1 × 18½″ × 1½″ A rectangle",
				"1 × 18½″ × 1½″ D rectangle"}},
		// 17½ at 2.5 takes 43¾, 44¼ with seams, in two strips with a join.
		"guest-album-jacket": {"outside", []string{"2 × 22⅜″ × 9¾″ A rectangle"}},
		// Units of 4½: squares of 10, patches 3.18 less ⅝, down to the ruler.
		"folded-window-cushion": {"front",
			[]string{"16 × 10″ × 10″ G square", "24 × 2½″ × 2½″ S square", "8 × 2½″ × 2½″ S half-square"}},
	} {
		r, ok := all[name]
		require.True(t, ok, name)
		assert.Equal(t, slices.Sorted(slices.Values(c.want)), outerCuts(r, c.piece), name)
	}
}

// Friendship stars of 4½ on point, 3 × 3: thirteen of them, eight sides and four corners.
// Patches of 1½ are cut 2, half-squares 2⅜ (1½ + ⅞), two from each.
func TestTheStarsOnPoint(t *testing.T) {
	r := reckoned(t)["returns-desk-cushion"]
	assert.Equal(t, 13, r.Counts["blocks"])
	assert.Equal(t, []int{8, 4}, []int{r.Counts["side triangles"], r.Counts["corner triangles"]})
	cuts := outerCuts(r, "front")
	for _, want := range []string{"13 × 2″ × 2″ B square", "26 × 2⅜″ × 2⅜″ B half-square",
		"26 × 2⅜″ × 2⅜″ C half-square", "52 × 2″ × 2″ C square"} {
		assert.Contains(t, cuts, want)
	}
	for _, f := range r.Findings {
		assert.NotEqual(t, "press-conflict", f.Code, "its seams lock")
	}
}

// The colourways of the pinwheels are the same front in other cloths.
func TestTheColourwaysOfTheDemo(t *testing.T) {
	r := reckoned(t)["pinwheel-cushion"]
	front := r.Pieces[0]
	require.Len(t, front.Ways, 2)
	assert.Equal(t, []string{"By lamp", "Quiet"}, []string{front.Ways[0].Name, front.Ways[1].Name})
	for _, way := range front.Ways {
		require.Len(t, way.Cells, len(front.Cells))
		for i, c := range way.Cells {
			assert.Equal(t, []int64{front.Cells[i].X, front.Cells[i].Y}, []int64{c.X, c.Y})
		}
	}
}

// Every part that is cut from strips, squares or templates says how many patches it gives,
// and none gives fewer than the front has.
func TestNoPieceOfTheDemoGivesTooLittle(t *testing.T) {
	for name, r := range reckoned(t) {
		lies := map[string]int{}
		for _, p := range r.Pieces {
			for _, cell := range p.Cells {
				lies[cell.Cut] += p.Count
			}
		}
		for _, c := range r.Cuts {
			if c.Patches > 0 && c.Gives > 0 {
				assert.GreaterOrEqual(t, c.Count*c.Gives, c.Patches, "%s: %s", name, c.ID)
				assert.Equal(t, lies[c.ID], c.Patches, "%s: %s", name, c.ID)
			}
		}
	}
}
