package reckon_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/answer"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// Whatever is planned, a cloth that is backed is backed before anything is cut from it, and what it takes is bought.
func TestAClothIsBackedBeforeItIsCut(t *testing.T) {
	seen := 0
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		r := reckon.Reckon(p, nil)
		at := map[string]int{}
		for i, s := range r.Steps {
			if s.About.Role == ref.DoBackCloth {
				at[s.About.Cloth] = i
			}
		}
		for i, s := range r.Steps {
			for _, c := range r.Cuts {
				cloth, _ := p.Settle().Cloth(c.Cloth)
				if !slices.Contains(s.Cuts, c.ID) || !cloth.IsBacked() {
					continue
				}
				seen++
				backed, there := at[c.Cloth]
				require.True(t, there, "%s is backed", c.Cloth)
				assert.Less(t, backed, i, "%s before %s", c.Cloth, s.Title)
				assert.True(t, slices.ContainsFunc(r.Lengths, func(l answer.Notion) bool {
					return l.What == "light interfacing, behind "+cloth.Name
				}), "%v", r.Lengths)
			}
		}
	})
	assert.Positive(t, seen)
}

// The needle and the stitch of a seam are those of the heaviest cloth in it; a knit has a rounded point, and a straight
// stitch once it is backed. The sizes are common practice, from memory.
func TestAClothIsSewnByItsWeight(t *testing.T) {
	for weight, want := range map[plan.ClothWeight]string{
		"": "¼″ seam, straight stitch 2.2 mm, needle 80/12", "light": "¼″ seam, straight stitch 2 mm, needle 70/10",
		"heavy": "¼″ seam, straight stitch 2.8 mm, needle 90/14", "felt": "¼″ seam, straight stitch 3 mm, needle 90/14",
		"knit": "¼″ seam, straight stitch 2.2 mm, needle 80/12 with a ballpoint",
	} {
		p, _ := plan.Begin("cushion", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "linen"})
		p.Title, p.Object.Width, p.Object.Height = "t", 16*in, 16*in
		p.Cloths["A"] = plan.Cloth{Name: "moss", Weight: weight}
		p.Pieces["front"] = plan.Piece{Face: &plan.Face{Kind: plan.GridFace, Columns: 2, Rows: 2,
			Patch: plan.Patch{Fit: true}, Cloths: []string{"A"}}}
		row := func(p plan.Plan) string {
			for _, s := range reckon.Reckon(p, nil).Steps {
				if s.About.Role == ref.DoRow {
					return s.Machine
				}
			}
			return ""
		}
		assert.Equal(t, want, row(p), "%q", weight)
		if weight == "knit" {
			p.Cloths["A"] = plan.Cloth{Name: "moss", Weight: weight, Backing: plan.NoBacking}
			assert.Contains(t, row(p), "narrow zigzag", "what stretches wants a seam that does")
		}
		p.Cloths["B"] = plan.Cloth{Name: "canvas", Weight: "heavy"}
		p.Pieces["front"].Face.Cloths = []string{"A", "B"}
		assert.Contains(t, row(p), "needle 90/14", "the heavier of the two leads")
		assert.Equal(t, weight == "knit", strings.Contains(row(p), "ballpoint"))
	}
}

// Felt does not fray: its hem is said to be idle, and left away it is no more.
func TestFeltNeedsNoHem(t *testing.T) {
	p, _ := plan.Begin("cushion", length.Inches, plan.DefaultHabits(length.Inches),
		plan.Cloth{Name: "grey felt", Weight: "felt"})
	p.Title, p.Object.Width, p.Object.Height = "t", 16*in, 16*in
	assert.Contains(t, codes(reckon.Reckon(p, nil)), "felt-hem")
	p.Back.Hem = []length.Length{}
	assert.NotContains(t, codes(reckon.Reckon(p, nil)), "felt-hem")
}

// What is cut from odd pieces is backed as well, and what that takes is said piece by piece.
func TestOddPiecesAreBacked(t *testing.T) {
	p, _ := plan.Begin("cushion", length.Inches, plan.DefaultHabits(length.Inches),
		plan.Cloth{Name: "moss jersey", Weight: "knit"})
	p.Title, p.Object.Width, p.Object.Height = "t", 16*in, 16*in
	backing := func(p plan.Plan) (text string, takes answer.Notion) {
		r := reckon.Reckon(p, nil)
		for _, s := range r.Steps {
			if s.About.Role == ref.DoBackCloth {
				text = s.Text
			}
		}
		for _, l := range r.Lengths {
			if l.What == "light interfacing, behind moss jersey" {
				takes = l
			}
		}
		return text, takes
	}
	text, takes := backing(p)
	assert.Contains(t, text, "over 17″ of its length, as wide as it is usable.")
	assert.EqualValues(t, 17*in, takes.Length.NM, "16½ and its end squared")
	p.Cloths["A"] = plan.Cloth{Name: "moss jersey", Weight: "knit",
		Odd: []plan.OddPiece{{Width: 20 * in, Length: 18 * in, Count: 3}}}
	text, takes = backing(p)
	assert.Contains(t, text, "over 3 offcuts.")
	assert.EqualValues(t, 3*18*in, takes.Length.NM)
}
