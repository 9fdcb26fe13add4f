package reckon_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/move"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
	"umschlag/core/shape"
)

// applied is a plain cushion of 19 × 19 with shapes on its front.
func applied(shapes ...plan.Shape) plan.Plan {
	p := worked()
	p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A", Applique: shapes}}}
	return p
}

func TestShapesAreCutWithTheirWebAndSewn(t *testing.T) {
	left, top := 2*in, 3*in
	r := reckon.Reckon(applied(
		plan.Shape{Key: "body", Name: "body", Shape: "square", Cloth: "B", Width: 6 * in,
			At: plan.At{Left: &left, Top: &top}},
		plan.Shape{Shape: "circle", Cloth: "B", Width: 2 * in, From: "body", Edge: plan.NoEdge, Twin: plan.MirrorTwin,
			At: plan.At{Left: ptr(in), Middle: true}}), nil)
	front := piece(t, r, "front")
	require.Len(t, front.Shapes, 3)
	body := cut(t, r, "cut.piece:front.of:body.role:shape")
	assert.Equal(t, []string{"6½″", "outer", "template", "B"},
		[]string{body.Width.Text, body.Layer, body.Shape, body.Cloth})
	assert.Equal(t, []any{true, int64(in / 4)}, []any{body.Mirrored, body.Inset})
	web := cut(t, r, "cut.piece:front.of:body.role:web-of-shape")
	assert.Equal(t, []string{"web", "web"}, []string{web.Layer, web.Cloth})
	assert.Equal(t, 2, cut(t, r, "cut.piece:front.of:1.role:shape").Count, "a twin alike is cut with it")
	require.Len(t, front.Threads, 1)
	assert.Equal(t, "24″", front.Threads[0].Seam.Text)
	assert.Equal(t, "168″", front.Threads[0].Length.Text, "a satin stitch takes seven times its length")
	assert.Len(t, r.Sums["front.thread.1"], 1)
	assert.Equal(t, 3, r.Counts["shapes"])
	var steps []string
	for _, s := range r.Steps {
		if s.About.Role == ref.DoCutShapes || s.About.Role == ref.DoLayShapes || s.About.Role == ref.DoSewShapes {
			steps = append(steps, s.ID)
		}
	}
	assert.Equal(t, []string{"step.piece:front.role:cut-shapes", "step.piece:front.role:lay-shapes.no:1",
		"step.piece:front.role:lay-shapes.no:2", "step.piece:front.role:sew-shapes.no:1"}, steps)
}

func TestEveryShapeIsCutInExactlyOneStep(t *testing.T) {
	var shapes []plan.Shape
	for i, f := range shape.Forms {
		at := length.Length(i%5) * 3 * in
		down := length.Length(i/5) * 4 * in
		shapes = append(shapes,
			plan.Shape{Shape: f.Name, Cloth: "B", Width: 3 * in, Late: i%3 == 0, At: plan.At{Left: &at, Top: &down}})
	}
	r := reckon.Reckon(applied(shapes...), nil)
	require.NotEmpty(t, r.Steps, "%v", r.Findings)
	used := map[string]int{}
	for _, s := range r.Steps {
		for _, c := range s.Cuts {
			used[c]++
		}
	}
	for _, c := range r.Cuts {
		assert.Equal(t, 1, used[c.ID], c.ID)
	}
}

func TestShapesOnAPartOfAStackLieOnItsPart(t *testing.T) {
	p := worked()
	left, top := in, in
	inner := plan.Face{Kind: plan.PlainFace, Cloth: "A",
		Applique: []plan.Shape{{Shape: "square", Cloth: "B", Width: 2 * in, At: plan.At{Left: &left, Top: &top}}}}
	p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.StackFace,
		Parts: []plan.Part{{Height: plan.Extent{Width: 8 * in}, Face: plan.Face{Kind: plan.PlainFace, Cloth: "A"}},
			{Height: plan.Extent{Width: 11 * in}, Face: inner}},
		Applique: []plan.Shape{{Shape: "circle", Cloth: "B", Width: 3 * in}}}}}
	r := reckon.Reckon(p, nil)
	shapes := piece(t, r, "front").Shapes
	require.Len(t, shapes, 2)
	assert.Equal(t, []string{"/pieces/front/face/parts/1/face/applique/0", "9″"},
		[]string{shapes[0].About, shapes[0].From.Top.Text})
	assert.Equal(t, "/pieces/front/face/applique/0", shapes[1].About, "what lies on the whole lies over it")
	at, ok := move.Shape(p, shapes[0].About, 3*in, 10*in)
	require.True(t, ok)
	assert.Equal(t, []length.Length{3 * in, 2 * in}, []length.Length{*at.Left, *at.Top},
		"counted from the edges of its part")
	_, ok = move.Shape(p, "/pieces/front/face/applique/9", 0, 0)
	assert.False(t, ok)
}

func TestShapesUnderAFittingAreFound(t *testing.T) {
	p := applied(plan.Shape{Shape: "square", Cloth: "B", Width: 2 * in})
	p.Fittings = []plan.Fitting{{Kind: "pocket", On: "front", Width: 5 * in, Height: 5 * in, At: plan.At{Middle: true}}}
	assert.Contains(t, fmt.Sprint(reckon.Reckon(p, nil).Findings), "lies under the pocket")
}

// foundPanel is a cushion that follows a panel.
func foundPanel(panel *plan.FoundPanel) plan.Plan {
	p := worked()
	p.Object = plan.Object{Kind: plan.Found, Width: 12 * in, Height: 10 * in}
	p.Cover.Ease = plan.Axes{}
	p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.FoundFace, Cloth: "A", Panel: panel,
		Backed: "L"}}, "back": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"}}}
	return p
}

func TestTheCoverFollowsThePanel(t *testing.T) {
	r := reckon.Reckon(foundPanel(nil), nil)
	assert.Equal(t, "12″", piece(t, r, "front").Finished.Width.Text)
	p := foundPanel(nil)
	p.Object.Edge = plan.SeamIncluded
	r = reckon.Reckon(p, nil)
	assert.Equal(t, "11½″", piece(t, r, "front").Finished.Width.Text, "a seam of ¼ on both sides is in it")
	assert.Equal(t, "12″", piece(t, r, "front").Trimmed.Width.Text)
	p = foundPanel(&plan.FoundPanel{Kind: plan.CountedPanel, Across: 140, Up: 98, Count: 14})
	p.Object.Width, p.Object.Height = 0, 0
	r = reckon.Reckon(p, nil)
	assert.Equal(t, "10″", piece(t, r, "front").Finished.Width.Text)
	assert.Equal(t, "7″", piece(t, r, "front").Finished.Height.Text)
	assert.Equal(t, [2]int{148, 106}, piece(t, r, "front").Panel.Squares)
}

func TestTheBackOfAWorkedPanelIsTrimmedToIt(t *testing.T) {
	plain, worked := reckon.Reckon(foundPanel(nil),
		nil), reckon.Reckon(foundPanel(&plan.FoundPanel{Kind: plan.WorkedPanel}), nil)
	a, b := cut(t, plain, "cut.piece:back.role:closure-panel"), cut(t, worked, "cut.piece:back.role:closure-panel")
	assert.Equal(t, int64(in), b.Height.NM-a.Height.NM, "½ in larger on every side")
	assert.Equal(t, plain.Back.Overlap, worked.Back.Overlap)
	text := ""
	for _, s := range worked.Steps {
		text += s.Text
	}
	assert.Contains(t, text, "right against the last row of the work, then trim the back to the front")
}

func TestASampleGivesTheRatioOfGathers(t *testing.T) {
	p := worked()
	p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.GatheredFace, Cloth: "A",
		Sampled: &plan.Sampled{Before: 14 * in, After: 11 * in / 2}}}}
	g := piece(t, reckon.Reckon(p, nil), "front").Gather
	require.NotNil(t, g)
	assert.InDelta(t, 19*14/5.5, float64(g.Needed.NM)/float64(in), 1e-6, "14 ÷ 5½ is 2.545")
}
