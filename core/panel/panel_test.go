package panel_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/cover"
	"umschlag/core/length"
	"umschlag/core/panel"
	"umschlag/core/plan"
)

const in = length.Inch

// cushion is the front of a pad of 16 in with seams of ½ and a face.
func cushion(t *testing.T, face plan.Face, q plan.Piece) (panel.Order, cover.Piece) {
	t.Helper()
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object = plan.Object{Kind: plan.Form, Width: 16 * in, Height: 16 * in}
	p.Cover = plan.Cover{Kind: plan.Cushion, Seam: in / 2, PiecingSeam: in / 2}
	p.Cloths = map[string]plan.Cloth{"B": {Name: "dot"}, "C": {Name: "leaf"}}
	q.Face = &face
	p.Pieces = map[string]plan.Piece{"*": q}
	settled := p.Settle()
	c, found := cover.Pieces(settled)
	require.False(t, found.Stopped())
	return panel.Order{Plan: settled}, c.Pieces[0]
}

func TestAPieceOfOneClothIsTrimmedWithItsSeams(t *testing.T) {
	o, front := cushion(t, plan.Face{Kind: plan.PlainFace}, plan.Piece{})
	p, found := o.Of(front)
	assert.Empty(t, found)
	assert.Equal(t, 17*in, p.Chain.Trimmed.Width.Total())
	assert.Equal(t, "B", p.Face.Parts[0].Cloth, "the first fabric where none is named")
	assert.Equal(t, "/pieces/*", p.Path, "decided for all pieces")
	assert.Zero(t, p.Across)
	assert.Empty(t, p.Conflicts())
}

func TestAQuiltedPieceIsCutLarger(t *testing.T) {
	o, front := cushion(t, plan.Face{Kind: plan.PlainFace}, plan.Piece{
		Layers:   &plan.Layers{Batting: &plan.Batting{Count: 1, Loft: 3 * length.Millimetre}},
		Quilting: &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in, Angle: 45}}}})
	p, found := o.Of(front)
	require.False(t, found.Stopped())
	assert.Greater(t, p.Chain.Top.Width.Total(), 17*in+2*(in/2), "half an inch is trimmed off on each side")
	assert.Equal(t, (p.Chain.Top.Width.Total()-17*in)/2, p.Across)
	assert.NotEmpty(t, p.Pattern.Lines)
}

func TestAFaceThatMissesItsSizeMakesNoPanel(t *testing.T) {
	o, front := cushion(t, plan.Face{Kind: plan.GridFace, Columns: 3, Rows: 3,
		Patch:  plan.Patch{Width: 4 * in, Height: 4 * in},
		Cloths: []string{"B"}}, plan.Piece{})
	p, found := o.Of(front)
	assert.True(t, found.Stopped())
	assert.Equal(t, "/pieces/*/face/columns", found[0].About)
	assert.Empty(t, p.Face.Parts)
}

func TestColourwaysThatCanBeLaidLie(t *testing.T) {
	grid := plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4, Patch: plan.Patch{Fit: true}, Cloths: []string{"B"}}
	other, wrong := grid, grid
	other.Cloths, wrong.Patch = []string{"C"}, plan.Patch{Width: in, Height: in}
	grid.Colourways = []plan.Colourway{{Key: "w1", Name: "leafy", Face: other}, {Key: "w2", Name: "tiny", Face: wrong}}
	o, front := cushion(t, grid, plan.Piece{})
	p, found := o.Of(front)
	require.False(t, found.Stopped())
	require.Len(t, p.Ways, 1)
	assert.Equal(t, "leafy", p.Ways[0].Name)
	assert.Equal(t, "C", p.Ways[0].Face.Parts[0].Cloth)
}
