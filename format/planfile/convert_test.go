package planfile_test

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
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
		doc := written(t, p)
		there, err := planfile.Converted(doc, to)
		require.NoError(t, err)
		back, err := planfile.Converted(there, p.Units)
		require.NoError(t, err)
		assert.Equal(t, cutSizes(t, doc), cutSizes(t, back))
		if r := reckon.Reckon(p, nil); len(r.Steps) > 0 {
			p.Progress.Done = []string{r.Steps[0].ID}
			doc = written(t, p)
			there, err = planfile.Converted(doc, to)
			require.NoError(t, err)
			assert.Equal(t, cutSizes(t, doc), cutSizes(t, there), "it is begun")
		}
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
