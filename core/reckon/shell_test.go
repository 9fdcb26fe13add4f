package reckon_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// shells are covers of each kind, over things of ordinary sizes.
func shells() map[plan.CoverKind]plan.Plan {
	out := map[plan.CoverKind]plan.Plan{}
	add := func(kind plan.CoverKind, o plan.Object, change func(*plan.Plan)) {
		p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
		p.Title, p.Object, p.Cover.Kind = string(kind), o, kind
		p.Cover.Ease = plan.Axes{}
		p.Pieces = map[string]plan.Piece{"*": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"}}}
		p.Cloths = map[string]plan.Cloth{"A": {Name: "a", Width: ptr(120 * in)}}
		change(&p)
		out[kind] = p
	}
	box := plan.Object{Kind: plan.Box, Length: 18 * in, Depth: 29 * in / 2, Height: 13 * in / 2}
	rounded := func(p *plan.Plan) {
		p.Cover.Seam, p.Cover.Corners = in/2, plan.Corners{Kind: "round", Radius: 2 * in}
	}
	add("wrap-hood", box, rounded)
	add("band-hood", plan.Object{Kind: plan.Box, Length: 19 * in / 2, Depth: 17 * in / 2, Height: 15 * in / 2}, func(p *plan.Plan) {
		p.Cover.Seam, p.Cover.Corners = 3*in/8, plan.Corners{Kind: "round", Plate: 6 * in}
	})
	add("skirt-hood", box, func(*plan.Plan) {})
	add("boxed-cushion", plan.Object{Kind: plan.Form, Width: 40 * in, Height: 16 * in, Thickness: 3 * in}, rounded)
	add("pad", plan.Object{Kind: plan.Flat, Width: 16 * in, Height: 12 * in}, func(*plan.Plan) {})
	add("jacket", plan.Object{Kind: plan.Book, Wrap: 13 * in, Height: 8 * in}, func(p *plan.Plan) {
		p.Cover.Ease.Wrap, p.Cover.Flaps = 3*in/4, plan.Flaps{Style: "folded", Depth: plan.Pair{Front: 3 * in, Back: 3 * in}}
	})
	return out
}

// Worked figures of docs/arithmetic.md, up to the ruler step: geometry.
func TestTheCutsOfTheWorkedHoods(t *testing.T) {
	wrapped := reckon.Reckon(shells()["wrap-hood"], nil)
	main, end := cut(t, wrapped, "main.panel"), cut(t, wrapped, "end.panel")
	assert.Equal(t, []string{"19″", "26¼″", "rectangle"}, []string{main.Width.Text, main.Height.Text, main.Shape})
	assert.Equal(t, []string{"15½″", "7″", "template"}, []string{end.Width.Text, end.Height.Text, end.Shape})
	assert.Equal(t, 2, end.Count)
	banded := reckon.Reckon(shells()["band-hood"], nil)
	face, band := cut(t, banded, "face.panel"), cut(t, banded, "band.panel")
	assert.Equal(t, []string{"10¼″", "7⅞″", "9¼″", "22¼″"}, []string{face.Width.Text, face.Height.Text, band.Width.Text, band.Height.Text})
}

func TestEveryShellIsWholeAndExplained(t *testing.T) {
	for kind, p := range shells() {
		t.Run(string(kind), func(t *testing.T) {
			r := reckon.Reckon(p, nil)
			require.Empty(t, r.Findings)
			used := map[string]int{}
			for _, s := range r.Steps {
				for _, c := range s.Cuts {
					used[c]++
				}
			}
			for _, c := range r.Cuts {
				assert.Equal(t, 1, used[c.ID], "%s is cut in one step", c.ID)
				assert.Equal(t, c.Width.NM, total(r.Sums[c.ID+".width"]), c.ID)
				assert.Equal(t, c.Height.NM, total(r.Sums[c.ID+".height"]), c.ID)
			}
			for i, j := range r.Joins {
				assert.InDelta(t, 0, float64(j.Off.NM), 12, j.Title)
				assert.Equal(t, j.Lengths[0].NM, total(r.Sums[[]string{"join.1.first", "join.2.first", "join.3.first"}[i]]))
			}
			for _, piece := range r.Pieces {
				assert.NotEmpty(t, piece.Seams, "%s is joined to something", piece.Name)
				for _, s := range piece.Seams {
					assert.Len(t, s.Marks, 3)
					assert.LessOrEqual(t, s.Join, len(r.Joins))
				}
			}
			assert.Equal(t, r, reckon.Reckon(p, nil))
		})
	}
}

func TestTheBottomOfAHoodIsBoundAllRound(t *testing.T) {
	lengths := map[string]string{}
	for _, n := range reckon.Reckon(shells()["wrap-hood"], nil).Lengths {
		lengths[n.What] = n.Length.Text
	}
	assert.Equal(t, "66″", lengths["binding"], "2 × (18 + 14½) and an inch to overlap")
	hemmed := shells()["wrap-hood"]
	hemmed.Cover.Bottom = plan.Bottom{Finish: "hem", Width: in}
	for _, n := range reckon.Reckon(hemmed, nil).Lengths {
		assert.NotEqual(t, "binding", n.What)
	}
}

func TestFittingsAreCutAndSewnOn(t *testing.T) {
	p := shells()["pad"]
	p.Fittings = []plan.Fitting{{Kind: "strap", On: "top", Length: 14 * in, Width: 3 * in / 2, Count: 2, At: plan.At{Left: ptr(2 * in), Top: ptr(in)}}}
	r := reckon.Reckon(p, nil)
	require.Len(t, r.Fittings, 1)
	assert.Len(t, r.Fittings[0].Boxes, 2)
	strap := cut(t, r, "fitting.1.1")
	assert.Equal(t, []string{"16″", "3½″", "A"}, []string{strap.Width.Text, strap.Height.Text, strap.Cloth})
	assert.Equal(t, 2, strap.Count)
	p.Fittings[0].At.Left = ptr(-in)
	stopped := reckon.Reckon(p, nil)
	assert.Equal(t, "fitting-off", stopped.Findings[0].Code)
	assert.Empty(t, stopped.Cuts)
}

func TestAFaceThatDoesNotFitItsEdgesIsFound(t *testing.T) {
	p := shells()["wrap-hood"]
	p.Pieces["*"] = plan.Piece{Face: &plan.Face{Kind: plan.GridFace, Columns: 2, Rows: 2, Patch: plan.Patch{Fit: true}, Cloths: []string{"A"}}}
	r := reckon.Reckon(p, nil)
	require.Len(t, r.Findings, 1)
	assert.Equal(t, "face-edge", r.Findings[0].Code)
	assert.Equal(t, "/pieces/*/face/kind", r.Findings[0].About)
}

func TestTurnedInFlapsAndASplitTopHaveNothingWrongWithTheirSeams(t *testing.T) {
	jacket := shells()["jacket"]
	jacket.Cover.Flaps.Style = "turned-in"
	assert.Empty(t, reckon.Reckon(jacket, nil).Findings)
	split := shells()["wrap-hood"]
	split.Cover.SplitTop = true
	r := reckon.Reckon(split, nil)
	assert.Empty(t, r.Findings)
	drawn := map[string]bool{}
	for _, s := range piece(t, r, "main").Seams {
		key := fmt.Sprint(s.Join, s.Path)
		assert.False(t, drawn[key], "a seam is drawn once")
		drawn[key] = true
	}
	assert.Len(t, drawn, 3, "the top, and both sides")
}
