package reckon_test

import (
	"slices"
	"testing"

	"umschlag/core/answer"
	"umschlag/core/compare"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/plan"
	"umschlag/core/reckon"
)

func length1(t *testing.T, r answer.Reckoning, what string) string {
	t.Helper()
	i := slices.IndexFunc(r.Lengths, func(n answer.Notion) bool { return n.What == what })
	require.GreaterOrEqual(t, i, 0, "no %s in %v", what, r.Lengths)
	return r.Lengths[i].Length.Text
}

func stepAt(r answer.Reckoning, id string) int {
	return slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.ID == id })
}

func TestPipingGoesRoundEverySeamItBelongsTo(t *testing.T) {
	p := worked()
	p.Edges.Piping = &plan.Piping{Cord: 3 * in / 8, Cloth: "C"}
	r := reckon.Reckon(p, nil)
	require.NotEmpty(t, r.Cuts)
	assert.Equal(t, "80″", length1(t, r, "piping cord"), "4 × 19, and 4")
	piece := cut(t, r, "cut.role:piping")
	assert.Equal(t, "C", piece.Cloth)
	require.Len(t, r.Strips, 1)
	assert.GreaterOrEqual(t, r.Strips[0].Joined.NM, r.Strips[0].Need.NM)
	assert.Equal(t, r.Counts["piping strips"], len(r.Strips[0].Lie))
	assert.Less(t, stepAt(r, "step.role:make-piping"), stepAt(r, "step.role:baste-piping"))
	assert.Less(t, stepAt(r, "step.role:baste-piping"), stepAt(r, "step.piece:back.role:cut-back"),
		"while the front is flat")
	assert.Equal(t, "front", r.Steps[stepAt(r, "step.role:baste-piping")].Piece)
	p.Edges.Piping.Bought = true
	bought := reckon.Reckon(p, nil)
	assert.Equal(t, "80″", length1(t, bought, "piping, bought"))
	assert.Empty(t, bought.Strips)

	box := shells()["boxed-cushion"]
	box.Edges.Piping = &plan.Piping{Cord: in / 4, Grain: plan.StraightGrain}
	r = reckon.Reckon(box, nil)
	assert.Contains(t, codes(r), "piping-straight", "round its corners")
	assert.Equal(t, "strip", cut(t, r, "cut.role:piping").Shape)
	assert.InDelta(t, 2*(112-4*0.858407*1.5/2+4), float64(r.Strips[0].Need.NM)/float64(in), 1.5,
		"both faces, each with 4 to join it by")
}

func TestBindingOfAnOpenEdge(t *testing.T) {
	p := shells()["wrap-hood"]
	p.Edges.Binding = &plan.Binding{Shows: 3 * in / 8}
	r := reckon.Reckon(p, nil)
	require.Empty(t, r.Findings)
	assert.Equal(t, "66″", length1(t, r, "binding"), "2 × (18 + 14½) and an inch")
	strip := cut(t, r, "cut.role:binding")
	assert.Equal(t, "2½″", strip.Height.Text)
	assert.Contains(t, r.Steps[stepAt(r, "step.role:bottom")].Text, "It shows ⅜″")
	used := 0
	for _, s := range r.Steps {
		if slices.Contains(s.Cuts, "cut.role:binding") {
			used++
		}
	}
	assert.Equal(t, 1, used)
	p.Edges.Binding.Style = plan.BoughtBinding
	assert.Empty(t, reckon.Reckon(p, nil).Strips)
}

// Common practice, no published source: 300 to 500 g for 18 × 18.
func TestAPadMadeAtHome(t *testing.T) {
	p := worked()
	p.Object.Width, p.Object.Height = 18*in, 18*in
	p.Cover.Ease = plan.Axes{Width: in, Height: in}
	p.Object.Make = &plan.MakeForm{Cloth: "L"}
	r := reckon.Reckon(p, nil)
	require.NotNil(t, r.Fibre, "%v", r.Findings)
	assert.InDelta(t, 300, r.Fibre.Least, 5)
	assert.InDelta(t, 500, r.Fibre.Most, 5)
	assert.Equal(t, []string{"18½″", "18½″"},
		[]string{cut(t, r, "cut.role:form").Width.Text, cut(t, r, "cut.role:form").Height.Text})
	assert.Equal(t, 2, cut(t, r, "cut.role:form").Count)
	p.Object.Make = &plan.MakeForm{Cloth: "L", Fold: true, Tab: in}
	r = reckon.Reckon(p, nil)
	assert.Equal(t, "36½″", cut(t, r, "cut.role:form").Height.Text, "no seam at the fold")
	assert.Equal(t, []string{"5½″", "1½″"},
		[]string{cut(t, r, "cut.role:form-tab").Width.Text, cut(t, r, "cut.role:form-tab").Height.Text})
	assert.Contains(t, r.Steps[stepAt(r, "step.role:make-pad")].Text, "Sew a tab to either piece first")
	assert.Less(t, stepAt(r, "step.role:make-pad"), stepAt(r, "step.role:measure"), "it is measured as it turned out")
	p.Object.Shape = plan.RoundShape
	assert.Equal(t, "/object/make/fold", reckon.Reckon(p, nil).Findings[0].About)
}

// The figures of the comparison are those of the plan with that closure.
func TestClosuresAreComparedByTheirReckonings(t *testing.T) {
	p := worked()
	choices := compare.Closures(p, reckon.NewPurse(nil))
	require.Len(t, choices, len(plan.Closures(p.Units)))
	chosen := 0
	for _, c := range choices {
		q := p
		if c.Chosen {
			chosen++
		} else {
			q.Back = plan.Closures(p.Units)[slices.IndexFunc(plan.Closures(p.Units),
				func(k plan.Closure) bool { return k.Key == c.Key })].Back
		}
		r := reckon.Reckon(q, nil)
		assert.Equal(t, q.Settle().Back.Closure(), c.Key)
		require.NotNil(t, c.Back, c.Key)
		assert.Equal(t, r.Back, c.Back)
		assert.Equal(t, len(r.Steps)-stepAt(r, "step.piece:back.role:cut-back"), c.Steps)
		assert.NotEmpty(t, c.Cuts)
		for _, each := range c.Cuts {
			assert.Equal(t, cut(t, r, each.ID), each)
		}
		assert.NotEmpty(t, c.Suits)
	}
	assert.Equal(t, 1, chosen)
	assert.Empty(t, compare.Closures(shells()["pad"], reckon.NewPurse(nil)))
	p.Cover.Flange = 2 * in
	side := compare.Closures(p, reckon.NewPurse(nil))[8]
	assert.Equal(t, "zip-side", side.Key)
	assert.Nil(t, side.Back, "a zip in the side seam and a flange do not go together")
	assert.Equal(t, "zip-flange", side.Findings[0].Code)
}

func TestPipingIsClippedAtCornersAndCurves(t *testing.T) {
	p := worked()
	p.Edges.Piping = &plan.Piping{Cord: in / 4}
	assert.Len(t, piece(t, reckon.Reckon(p, nil), "front").Seams[0].Clips, 8, "a seam to both sides of four corners")
	p.Edges.Piping = nil
	assert.Empty(t, piece(t, reckon.Reckon(p, nil), "front").Seams[0].Clips)
	box := shells()["boxed-cushion"]
	box.Edges.Piping = &plan.Piping{Cord: in / 4}
	assert.Len(t, piece(t, reckon.Reckon(box, nil), "face").Seams[0].Clips, 8, "both ends of four curves")
}

func TestEnclosedSeamsNeedALining(t *testing.T) {
	p := worked()
	p.Edges.Inside = "enclosed"
	assert.Contains(t, codes(reckon.Reckon(p, nil)), "inside-open")
	p.Back = plan.Back{Kind: plan.FoldedBack, Lined: true}
	assert.NotContains(t, codes(reckon.Reckon(p, nil)), "inside-open")
	jacket := shells()["jacket"]
	jacket.Edges.Inside = "enclosed"
	assert.Empty(t, codes(reckon.Reckon(jacket, nil)))
}

func TestBoundSeamsTakeTapeInside(t *testing.T) {
	p := shells()["boxed-cushion"]
	p.Edges.Inside = "bound"
	r := reckon.Reckon(p, nil)
	want := int64(0)
	for _, j := range r.Joins {
		want += int64(j.Count) * j.Lengths[0].NM
	}
	i := slices.IndexFunc(r.Lengths, func(n answer.Notion) bool { return n.What == "tape for the seams inside" })
	require.GreaterOrEqual(t, i, 0)
	assert.Equal(t, want, r.Lengths[i].Length.NM)
}

func TestTopStitchingHasToCatchTheGap(t *testing.T) {
	p := shells()["jacket"]
	p.Edges.Topstitch = in / 4
	r := reckon.Reckon(p, nil)
	require.Len(t, r.Findings, 1)
	assert.Equal(t, "/edges/topstitch", r.Findings[0].About)
	p.Edges.Topstitch = in / 8
	assert.Contains(t, reckon.Reckon(p, nil).Steps[stepAt(reckon.Reckon(p, nil), "step.role:turn")].Text,
		"⅛″ from the edge")
}
