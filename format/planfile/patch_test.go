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

const pad20 = `"object": {"kind": "form", "width": "20", "height": "20"}, "cover": {"kind": "cushion", "ease": {"width": 0, "height": 0}}`
const box = `"object": {"kind": "box", "length": "16", "depth": "12", "height": "10"}, "cover": {"kind": "wrap-hood", "seam": "1/2"`

// What stops a plan is removed by one press: every change that is offered, applied to the file as it
// was typed, leaves a plan with fewer stops.
func TestEveryRemedyRemovesItsStop(t *testing.T) {
	for name, c := range map[string]struct {
		body  string
		code  string
		least int
		says  string
	}{
		"patches that miss the size": {pad20 +
			`, "pieces": {"front": {"face": {"kind": "grid", "columns": 3, "rows": 3, "patch": {"width": "5"}, "cloths": ["A"]}}}`, "front-does-not-fill", 4, "Put a border round it that takes the rest"},
		"patches that are too much": {pad20 +
			`, "pieces": {"front": {"face": {"kind": "grid", "columns": 5, "rows": 4, "patch": {"width": "5"}, "cloths": ["A"]}}}`, "front-too-large", 3, "4 patches across and 4 down"},
		"other patches each way": {`"object": {"kind": "form", "width": "16", "height": "12"}, "cover": {"kind": "cushion", "ease": {"width": 0, "height": 0}}, "pieces": {"front": {"face": {"kind": "grid", "columns": 5, "rows": 3, "patch": {"width": "3.2", "height": "3.9"}, "cloths": ["A"]}}}`, "front-does-not-fill", 3, "An ease of"},
		"nothing left for a border": {pad20 +
			`, "pieces": {"front": {"face": {"kind": "grid", "columns": 4, "rows": 4, "patch": {"width": "5"}, "cloths": ["A"], "borders": [{"width": "rest"}]}}}`, "no-rest", 2, "Solve the patches"},
		"borders that leave no room": {pad20 +
			`, "pieces": {"front": {"face": {"kind": "grid", "columns": 4, "rows": 4, "patch": {"width": "4"}, "cloths": ["A"], "borders": [{"width": "11"}]}}}`, "borders-too-wide", 2, "borders off"},
		"a stack that misses the size": {pad20 +
			`, "pieces": {"front": {"face": {"kind": "stack", "parts": [{"height": "8", "face": {"kind": "plain", "cloth": "A"}}, {"height": "8", "face": {"kind": "plain", "cloth": "A"}}]}}}`, "stack-does-not-fill", 4, "Part 2: 12″ high"},
		"folded windows over batting": {pad20 +
			`, "pieces": {"front": {"face": {"kind": "windows", "columns": 4, "rows": 4, "ground": "A", "show": "A"}, "layers": {"batting": {"count": 1}}, "quilting": {"lines": [{"pitch": "2"}]}, "squaring": "1/2"}}`, "windows-quilted", 2, "No batting, lining or quilting"},
		"sashes that miss the size": {`"object": {"kind": "form", "width": "21", "height": "21"}, "cover": {"kind": "cushion", "ease": {"width": 0, "height": 0}}, "pieces": {"front": {"face": {"kind": "grid", "columns": 4, "rows": 4, "patch": {"width": "4"}, "cloths": ["A"], "sash": {"width": "1/4", "cloth": "A"}}}}`, "front-does-not-fill", 3, "Sashes of 1″, round the patches as well"},
		"strips that miss the size": {pad20 +
			`, "pieces": {"front": {"face": {"kind": "strips", "strips": [{"width": "5"}, {"width": "5"}]}}}`,
			"strips-do-not-fill", 4, "All strips in proportion"},
		"a gap on a small cushion": {`"object": {"kind": "form", "width": "5", "height": "5"}, "cover": {"kind": "cushion"}, "back": {"kind": "sewn", "gap": "9"}`, "gap", 2, "The usual gap"},
		"a zip in a flange": {pad20[:len(pad20)-1] +
			`, "flange": "2"}, "back": {"kind": "zip", "place": "side"}`, "zip-flange", 1,
			"It closes with an envelope"},
		"an overlap wider than the back": {pad20 + `, "back": {"kind": "envelope", "overlap": "30"}`,
			"overlap-too-large", 2, "A quarter of its width overlaps"},
		"a radius larger than the piece": {pad20[:len(pad20)-1] + `, "corners": {"kind": "round", "radius": "15"}}`,
			"radius", 2, "Square corners"},
		"a seam out of its range":      {pad20[:len(pad20)-1] + `, "seam": "9"}`, "out-of-range", 1, "2"},
		"a count out of its range":     {pad20 + `, "copies": 0`, "out-of-range", 1, "1"},
		"an ease smaller than the pad": {`"object": {"kind": "form", "width": "5", "height": "5"}, "cover": {"kind": "cushion", "ease": {"width": "-7", "height": "-1"}}`, "cover-too-small", 1, "No ease"},
		"a pocket off its piece": {pad20 +
			`, "fittings": [{"kind": "pocket", "on": "front", "width": "5", "height": "5", "at": {"left": "18", "top": "1"}}]`, "fitting-off", 2, "In the middle"},
		"a fitting on no piece": {pad20 +
			`, "fittings": [{"kind": "pocket", "on": "lid", "width": "5", "height": "5"}]`, "fitting-on", 2,
			"On the front"},
		"a shape from nowhere": {pad20 +
			`, "pieces": {"front": {"face": {"kind": "plain", "cloth": "A", "applique": [{"shape": "leaf", "from": "gone"}]}}}`, "shape-from", 2, "Placed from the face"},
		"a hood with a grid": {box +
			`}, "pieces": {"main": {"face": {"kind": "grid", "columns": 3, "rows": 3, "patch": {"width": "4"}, "cloths": ["A"]}}}`, "front-does-not-fill", 1, "border"},
		"a binding where none goes": {pad20 + `, "edges": {"binding": {"shows": "1/2"}}`, "binding", 1,
			"No binding"},
		"a pocket on patches": {pad20 +
			`, "pieces": {"front": {"face": {"kind": "grid", "columns": 4, "rows": 4, "patch": {"width": "5"}, "cloths": ["A"], "pocket": "folded"}}}`, "face-part", 1, "Without the pocket"},
	} {
		t.Run(name, func(t *testing.T) {
			doc := []byte(`{"format": "umschlag/plan/2", "title": "t", "cloths": {"A": {"name": "moss"}}, ` + c.body +
				`}`)
			r, err := planfile.Remedied(doc, nil)
			require.NoError(t, err)
			require.NotEmpty(t, r.Findings)
			n, said := 0, ""
			for _, f := range r.Findings {
				if f.Code == c.code && f.Level == finding.Stop {
					n = max(n, len(f.Remedies))
				}
				for _, o := range f.Remedies {
					said += o.Text + "\n"
					after, err := planfile.Reckon(applied(t, doc, o.Patch), nil)
					require.NoError(t, err, o.Text)
					assert.Less(t, stops(after.Findings), stops(r.Findings), o.Text)
				}
			}
			assert.GreaterOrEqual(t, n, c.least, "%s: %s\n%v", c.code, said, r.Findings)
			assert.Contains(t, said, c.says)
		})
	}
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

// What is warned of or noted and has one plain answer is settled by one press.
func TestHintsSettleWhatTheyAreFor(t *testing.T) {
	form := `"object": {"kind": "form", "width": "16", "height": "16"}`
	box := `"object": {"kind": "box", "length": "12", "depth": "8", "height": "8"}`
	for code, rest := range map[string]string{
		"piping-straight": form +
			`, "cover": {"kind": "cushion", "corners": {"kind": "round", "radius": "2"}}, "edges": {"piping": {"cord": "1/4", "grain": "straight"}}`,
		"inside-open":  form + `, "cover": {"kind": "cushion"}, "edges": {"inside": "enclosed"}`,
		"overlap-thin": form + `, "cover": {"kind": "cushion"}, "back": {"kind": "envelope", "overlap": "1"}`,
		"unread":       form + `, "cover": {"kind": "cushion"}, "back": {"kind": "zip", "overlap": "5"}`,
		"other-side":   `"object": {"kind": "form", "width": "50", "height": "20"}, "cover": {"kind": "cushion"}`,
		"quilting-beside": form +
			`, "cover": {"kind": "cushion"}, "pieces": {"front": {"face": {"kind": "grid", "columns": 4, "rows": 4, "patch": {"width": "4"}, "cloths": ["A"]}, "squaring": "0", "take_up": {"from": "given"}, "layers": {"lining": "A"}, "quilting": {"lines": [{"pitch": "4", "angle": 0, "shift": "1/16"}]}}}`,
		"deeper-than-long": `"object": {"kind": "box", "length": "8", "depth": "12", "height": "8"}, "cover": {"kind": "skirt-hood"}`,
		"bulk": box +
			`, "cover": {"kind": "skirt-hood", "ease": {"length": "1/4", "depth": "1/4"}}, "pieces": {"*": {"face": {"kind": "plain", "cloth": "A"}, "layers": {"batting": {"count": 2, "loft": "10 mm"}}}}`,
		"print-upside-down": box +
			`, "cover": {"kind": "wrap-hood"}, "pieces": {"*": {"face": {"kind": "plain", "cloth": "P"}}}`,
	} {
		t.Run(code, func(t *testing.T) {
			doc := []byte(`{"format": "umschlag/plan/2", "title": "t", "cloths": {"A": {"width": "60"}, ` +
				`"P": {"name": "birds", "width": "60", "print": "one-way"}, "batting": {"width": "90"}}, ` + rest + `}`)
			r, err := planfile.Remedied(doc, nil)
			require.NoError(t, err)
			i := slices.IndexFunc(r.Findings,
				func(f finding.Finding) bool { return f.Code == code && len(f.Remedies) > 0 })
			require.GreaterOrEqual(t, i, 0, "%v", r.Findings)
			require.NotEmpty(t, r.Pieces, "it can be cut as it stands")
			after, err := planfile.Reckon(applied(t, doc, r.Findings[i].Remedies[0].Patch), nil)
			require.NoError(t, err)
			assert.NotEmpty(t, after.Pieces)
			assert.False(t, slices.ContainsFunc(after.Findings, func(f finding.Finding) bool {
				return f.Code == code && f.About == r.Findings[i].About
			}), "%s", r.Findings[i].Remedies[0].Text)
		})
	}
}
