package planfile_test

import (
	"encoding/json"
	"slices"
	"testing"

	jsonpatch "github.com/evanphx/json-patch/v5"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/finding"
	"umschlag/format/planfile"
	_ "umschlag/seeded"
)

// stops are the stops of a reckoning.
func stops(found []finding.Finding) int {
	n := 0
	for _, f := range found {
		if f.Level == finding.Stop {
			n++
		}
	}
	return n
}

// applied is a document with a patch applied by a library of its own.
func applied(t require.TestingT, doc []byte, patch []finding.Change) []byte {
	text, err := json.Marshal(patch)
	require.NoError(t, err)
	ops, err := jsonpatch.DecodePatch(text)
	require.NoError(t, err)
	out, err := ops.Apply(doc)
	require.NoError(t, err, "%s\n%s", text, doc)
	return out
}

// Remedies of any plan that stops come to an end: each leaves fewer stops than there were.
func TestRemediesComeToAnEnd(t *testing.T) {
	stopped, helped := 0, 0
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		doc, err := json.Marshal(planfile.Full(p))
		require.NoError(t, err)
		r, err := planfile.Remedied(doc, nil)
		require.NoError(t, err)
		if len(r.Pieces) > 0 {
			return
		}
		stopped++
		for _, f := range r.Findings {
			assert.LessOrEqual(t, len(f.Remedies), 6)
			if len(f.Remedies) > 0 {
				helped++
				one := rapid.SampledFrom(f.Remedies).Draw(t, "remedy")
				after, err := planfile.Reckon(applied(t, doc, one.Patch), nil)
				require.NoError(t, err, one.Text)
				assert.Less(t, stops(after.Findings), stops(r.Findings), one.Text)
				return
			}
		}
		t.Log(r.Findings)
	})
	t.Logf("%d of 100 stop, and %d of them are helped", stopped, helped)
}

// Where nothing that is known mends a stop, what it hangs on is found by leaving out one decision after the other: a
// zip in the side of a cover with a flange, and under a shape that no back can be cut to.
func TestWhatExcludesEachOther(t *testing.T) {
	doc := `{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "shape": "round", "width": "48 1/2"},
		"cover": {"kind": "cushion", "flange": "1"}, "back": {"kind": "zip", "place": "side"}, "cloths": {"A": {}},
		"pieces": {"*": {"face": {"kind": "plain", "cloth": "A"}}}}`
	r, err := planfile.Remedied([]byte(doc), nil)
	require.NoError(t, err)
	i := slices.IndexFunc(r.Findings, func(f finding.Finding) bool { return f.Code == "zip-flange" })
	require.GreaterOrEqual(t, i, 0)
	assert.Empty(t, r.Findings[i].Remedies)
	assert.Equal(t, "“place” of the back and “flange” of the cover exclude each other: change one of the two.",
		r.Findings[i].Remedy)
}

func TestADecisionThatIsInTheWayIsLeftOut(t *testing.T) {
	doc := []byte(`{"format": "umschlag/plan/2", "title": "t", "cloths": {"A": {}},
		"object": {"kind": "box", "length": "3", "depth": "3", "height": "3"},
		"cover": {"kind": "band-hood", "seam": "2", "ease": {"length": "0", "depth": "0", "height": "0"}}}`)
	r, err := planfile.Remedied(doc, nil)
	require.NoError(t, err)
	i := slices.IndexFunc(r.Findings, func(f finding.Finding) bool { return f.Code == "cover-too-small" })
	require.GreaterOrEqual(t, i, 0, "%v", r.Findings)
	require.NotEmpty(t, r.Findings[i].Remedies)
	last := r.Findings[i].Remedies[len(r.Findings[i].Remedies)-1]
	assert.Equal(t, "Without “seam” of the cover", last.Text)
	assert.Equal(t, []finding.Change{{Op: "remove", Path: "/cover/seam"}}, last.Patch)
}
