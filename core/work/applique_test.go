package work_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/applique"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/work"
)

// shaped is the work of a front with shapes laid on.
func shaped(t *testing.T, shapes ...plan.Shape) []work.Step {
	t.Helper()
	placed, found := applique.Place(applique.Order{Shapes: shapes, About: "/applique", Width: 18 * in, Height: 18 * in,
		Step: in / 8})
	require.Empty(t, found)
	o := order(4, 4, true)
	o.Applied, _ = applique.Lay(placed)
	o.Cuts = append(o.Cuts, work.Cut{ID: "front.applique.0", Piece: "front", Shape: true})
	return work.Steps(o)
}

func at(left, top length.Length) plan.At { return plan.At{Left: &left, Top: &top} }

func TestShapesAreLaidLayerByLayerAndSewnBeforeTheQuilting(t *testing.T) {
	low := plan.Shape{Name: "road", Shape: "square", Cloth: "A", Width: 8 * in, At: at(in, in)}
	top := plan.Shape{Name: "wheel", Shape: "circle", Cloth: "B", Width: 4 * in, At: at(2*in, 2*in)}
	late := plan.Shape{Name: "hub", Shape: "circle", Cloth: "A", Width: in, At: at(12*in, 12*in), Edge: plan.NoEdge,
		Late: true}
	steps := shaped(t, low, top, late)
	var ids []string
	by := map[string]work.Step{}
	for _, s := range steps {
		by[s.ID] = s
		if s.Role == ref.DoCutShapes || s.Role == ref.DoLayShapes || s.Role == ref.DoSewShapes ||
			s.ID == "step.piece:front.role:layers" {
			ids = append(ids, s.ID)
		}
	}
	assert.Equal(t, []string{"step.piece:front.role:cut-shapes", "step.piece:front.role:lay-shapes.no:1",
		"step.piece:front.role:lay-shapes.no:2", "step.piece:front.role:sew-shapes.no:1",
		"step.piece:front.role:sew-shapes.no:2", "step.piece:front.role:lay-shapes.no:1.late:1",
		"step.piece:front.role:layers"}, ids)
	assert.Equal(t, []string{"front.applique.0"}, by["step.piece:front.role:cut-shapes"].Cuts)
	assert.NotContains(t, by["step.piece:front.role:cut-outer"].Cuts, "front.applique.0",
		"shapes are cut when their web is on")
	assert.Contains(t, by["step.piece:front.role:lay-shapes.no:1"].Text, "Road: 1″ from the left, 1″ from the top.")
	assert.Contains(t, by["step.piece:front.role:lay-shapes.no:1"].Check,
		"road 9″ from the right and 9″ from the bottom")
	assert.Contains(t, by["step.piece:front.role:lay-shapes.no:1.late:1"].Text, "Hub: fused, and no edge to sew.")
	for _, id := range ids[:5] {
		assert.NotEmpty(t, by[id].Caution, id)
	}
}

func TestManyShapesPointToTheDrawing(t *testing.T) {
	var shapes []plan.Shape
	for i := range 12 {
		shapes = append(shapes, plan.Shape{Shape: "square", Cloth: "A", Width: in, At: at(length.Length(i)*in*5/4, in)})
	}
	for _, s := range shaped(t, shapes...) {
		if s.ID == "step.piece:front.role:lay-shapes.no:1" {
			assert.Contains(t, s.Text, "The other 4 as drawn.")
		}
		if s.ID == "step.piece:front.role:sew-shapes.no:1" {
			assert.Contains(t, s.Text, "4 more as drawn")
			assert.Contains(t, s.Text, "Together 48″ of satin stitch")
		}
	}
}

func TestWhatIsFusedCools(t *testing.T) {
	fused := shaped(t, plan.Shape{Shape: "heart", Cloth: "A", Width: 4 * in, At: at(in, in)})
	assert.Equal(t, 10, find(t, fused, "step.piece:front.role:lay-shapes.no:1").Rest)
	loose := shaped(t, plan.Shape{Shape: "heart", Cloth: "A", Width: 4 * in, Edge: plan.LooseEdge, At: at(in, in)})
	assert.Zero(t, find(t, loose, "step.piece:front.role:lay-shapes.no:1").Rest)
}

func TestStitchingByHandAsksForTheNeedle(t *testing.T) {
	for _, s := range shaped(t,
		plan.Shape{Shape: "heart", Cloth: "A", Width: 4 * in, Edge: plan.HandEdge, At: at(in, in)}) {
		if s.ID == "step.piece:front.role:sew-shapes.no:1" {
			assert.Contains(t, s.Caution.Text(), "needles")
			assert.True(t, s.Machine.Hand)
		}
	}
}

// The needle follows the thickness of the stack.
func TestNeedles(t *testing.T) {
	for thick, want := range map[length.Length]string{length.Millimetre: "80/12", 4 * length.Millimetre: "90/14",
		7 * length.Millimetre: "100/16"} {
		o := order(4, 4, true)
		o.Chain.Thick = thick
		for _, s := range work.Steps(o) {
			if s.ID == "step.piece:front.role:quilt" {
				assert.Equal(t, want, s.Machine.Needle)
			}
		}
	}
}
