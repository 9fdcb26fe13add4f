package planfile_test

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/brief"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/format/planfile"
)

// cutSizes are the sizes of the cuts of a plan file, by their refs.
func cutSizes(t require.TestingT, doc []byte) map[string][2]int64 {
	r, err := planfile.Reckon(doc, nil)
	require.NoError(t, err)
	out := map[string][2]int64{}
	for _, c := range r.Cuts {
		out[c.ID] = [2]int64{c.Width.NM, c.Height.NM}
	}
	return out
}

func written(t require.TestingT, p plan.Plan) []byte {
	doc, err := json.Marshal(planfile.Full(p))
	require.NoError(t, err)
	return doc
}

// Shown in another unit and back again a plan is what it was; once something of it is made it stays so in any unit.
func TestAnotherUnitAndBack(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		to := rapid.SampledFrom(length.Units()).Draw(t, "to")
		begun := rapid.Bool().Draw(t, "begun")
		if begun {
			p.Progress.Done = []string{"step.role:measure"}
		}
		doc := written(t, p)
		shown, err := planfile.Converted(doc, to)
		require.NoError(t, err)
		if !begun {
			shown, err = planfile.Converted(shown, p.Units)
			require.NoError(t, err)
		}
		assert.Equal(t, cutSizes(t, doc), cutSizes(t, shown), "begun: %v", begun)
	})
}

// A plan that was begun in inches takes what is usual in centimetres for all that nobody typed, and keeps what was.
func TestWhatNobodyTypedIsAsUsualInTheOtherUnit(t *testing.T) {
	doc := []byte(`{"format": "umschlag/plan/2", "title": "t", "units": "in", "habits": {"step": "1/8", "seam": "1/4", "hem": "3/8"},
		"object": {"kind": "form", "width": "20", "height": 16}, "cover": {"kind": "cushion", "seam": "1/4"},
		"pieces": {"front": {"face": {"kind": "grid", "columns": 4, "rows": 4, "patch": {"width": "4 1/2 cut"}}}}}`)
	there, err := planfile.Converted(doc, length.Centimetres)
	require.NoError(t, err)
	p, err := planfile.Read(there)
	require.NoError(t, err)
	assert.Equal(t, 7*length.Millimetre, p.Cover.Seam)
	assert.Equal(t, length.Millimetre, p.Habits.Step)
	assert.Equal(t, 3*length.Inch/8, p.Habits.Hem, "it was typed")
	assert.Equal(t, [2]length.Length{20 * length.Inch, 16 * length.Inch},
		[2]length.Length{p.Object.Width, p.Object.Height})
	assert.Equal(t, 9*length.Inch/2, p.Pieces["front"].Face.Patch.WidthCut)
	assert.Contains(t, string(there), `"4 1/2 in cut"`)
}

// What was typed in a unit of its own is shown in that of the plan, with no more digits than its ruler has; what has
// the plan's own unit, or none, stands as it is.
func TestTypedInItsOwnUnitAndShownInAnother(t *testing.T) {
	doc := []byte(`{"format": "umschlag/plan/2", "title": "t", "units": "cm", "object": {"kind": "form", "width": "16 in", "height": "41"},
		"cover": {"kind": "cushion", "seam": "1/4 in", "size": {"width": "18 in cut"}}}`)
	p, err := planfile.Read(doc)
	require.NoError(t, err)
	shown := map[string][2]string{}
	var told func(blocks []brief.Block)
	told = func(blocks []brief.Block) {
		for _, block := range blocks {
			told(block.Blocks)
			for _, word := range block.Words {
				if f := word.Field; f != nil {
					shown[f.Path] = [2]string{f.For, f.Shown}
				}
			}
		}
	}
	for _, s := range planfile.Shown(brief.Of(p, nil), doc, p.Style()).Stages {
		told(s.Blocks)
	}
	assert.Equal(t, [2]string{"16 in", "≈40.6 cm"}, shown["/object/width"])
	assert.Equal(t, [2]string{}, shown["/object/height"], "as it was typed")
	assert.Equal(t, [2]string{"1/4 in", "≈0.6 cm"}, shown["/cover/seam"])
	assert.Equal(t, [2]string{"18 in cut", "≈45.7 cm cut"}, shown["/cover/size/width"])
}
