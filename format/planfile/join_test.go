package planfile_test

import (
	"encoding/json"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/format/planfile"
)

const joinedBase = `{"format": "umschlag/plan/2", "title": "Cushion", "units": "in",
	"object": {"kind": "form", "width": "16", "height": "16"}, "cover": {"kind": "cushion", "seam": "1/4"},
	"pieces": {"front": {"face": {"kind": "grid", "columns": 4, "rows": 4, "cloths": ["A", "B"],
		"borders": [{"key": "b1", "width": "1"}, {"key": "b2", "width": "2"}]}}},
	"fittings": [{"key": "f1", "kind": "pocket", "on": "front", "width": "5", "height": "5"}],
	"measured": [{"gate": "front.trimmed", "width": "16 1/2", "height": "16 1/2"}],
	"progress": {"done": ["a", "b"], "cut": {"x": {"width": "3", "height": "3"}}}}`

// changed is the base with texts replaced, in pairs.
func changed(pairs ...string) []byte {
	return []byte(strings.NewReplacer(pairs...).Replace(joinedBase))
}

// Texts of the base, and what they are changed to.
const (
	title, otherTitle = `"title": "Cushion"`, `"title": "Pad"`
	seam, otherSeam   = `"seam": "1/4"`, `"seam": "3/8"`
	first, wider      = `"b1", "width": "1"`, `"b1", "width": "3"`
	second, narrower  = `"b2", "width": "2"`, `"b2", "width": "1/2"`
	border1           = `{"key": "b1", "width": "1"}`
	border2           = `{"key": "b2", "width": "2"}`
	border3           = `{"key": "b3", "width": "4"}`
	measured          = `"measured": [`
	another           = `"measured": [{"gate": "front.centre", "width": "9", "height": "9"}, `
	cut               = `"x": {`
	cutHere           = `"y": {"width": "1", "height": "1"}, `
	cutThere          = `"z": {"width": "2", "height": "2"}, `
)

func TestChangesThatDoNotTouchAreJoined(t *testing.T) {
	for name, c := range map[string]struct{ mine, theirs, both []byte }{
		"two values": {changed(title, otherTitle), changed(seam, otherSeam),
			changed(title, otherTitle, seam, otherSeam)},
		"of one object": {changed(`"columns": 4`, `"columns": 5`), changed(`"rows": 4`, `"rows": 6`),
			changed(`"columns": 4`, `"columns": 5`, `"rows": 4`, `"rows": 6`)},
		"of two borders": {changed(first, wider), changed(second, narrower), changed(first, wider, second, narrower)},
		"one more and one less": {changed(border1+", ", ""), changed(border2, border2+", "+border3),
			changed(border1+", ", "", border2, border2+", "+border3)},
		"turned round and changed": {changed(border1+", "+border2, border2+", "+border1), changed(first, wider),
			changed(border1+", "+border2, border2+`, {"key": `+wider+"}")},
		"done at two benches": {changed(`["a", "b"]`, `["a", "b", "c"]`), changed(`["a", "b"]`, `["b", "d"]`),
			changed(`["a", "b"]`, `["b", "c", "d"]`)},
		"cut at two tables": {changed(cut, cutHere+cut), changed(cut, cutThere+cut),
			changed(cut, cutHere+cutThere+cut)},
		"the same": {changed(seam, otherSeam), changed(seam, otherSeam), changed(seam, otherSeam)},
		"a measurement and a title": {changed(measured, another), changed(title, otherTitle),
			changed(measured, another, title, otherTitle)},
	} {
		for way, sides := range map[string][2][]byte{"": {c.mine, c.theirs}, ", the other way": {c.theirs, c.mine}} {
			joined, apart, err := planfile.Joined([]byte(joinedBase), sides[0], sides[1], planfile.NoSide)
			require.NoError(t, err, name+way)
			require.Empty(t, apart, name+way)
			if strings.HasPrefix(name, "done") {
				assert.ElementsMatch(t, doneOf(t, c.both), doneOf(t, joined), name+way)
				continue
			}
			assert.JSONEq(t, string(c.both), string(joined), name+way)
		}
	}
}

func doneOf(t *testing.T, data []byte) []string {
	t.Helper()
	var p struct{ Progress struct{ Done []string } }
	require.NoError(t, json.Unmarshal(data, &p))
	return p.Progress.Done
}

func TestWhatBothChangedIsToldByItsPath(t *testing.T) {
	for name, c := range map[string]struct {
		mine, theirs []byte
		apart        []string
	}{
		"one value": {changed(`"seam": "1/4"`, `"seam": "1/2"`), changed(`"seam": "1/4"`, `"seam": "3/8"`),
			[]string{"/cover/seam"}},
		"a border, by its key": {changed(`"b1", "width": "1"`, `"b1", "width": "3"`),
			changed(`"b1", "width": "1"`, `"b1", "width": "4"`), []string{"/pieces/front/face/borders/b1/width"}},
		"one that is gone": {changed(", "+border2, ""), changed(second, narrower),
			[]string{"/pieces/front/face/borders/b2"}},
		"a list that is one value": {changed(`["A", "B"]`, `["A", "C"]`), changed(`["A", "B"]`, `["B", "A"]`),
			[]string{"/pieces/front/face/cloths"}},
	} {
		joined, apart, err := planfile.Joined([]byte(joinedBase), c.mine, c.theirs, planfile.NoSide)
		require.NoError(t, err, name)
		assert.Nil(t, joined, name)
		assert.Equal(t, c.apart, apart, name)
		for side, data := range map[planfile.Side][]byte{planfile.Mine: c.mine, planfile.Theirs: c.theirs} {
			preferred, again, err := planfile.Joined([]byte(joinedBase), c.mine, c.theirs, side)
			require.NoError(t, err, name)
			assert.JSONEq(t, string(data), string(preferred), name)
			assert.Equal(t, c.apart, again, name)
		}
	}
}

// A side that shows the plan in centimetres changes nothing else by that.
func TestAnotherUnitIsNoOtherChange(t *testing.T) {
	metric, err := planfile.Converted([]byte(joinedBase), "cm")
	require.NoError(t, err)
	mine := changed(`"seam": "1/4"`, `"seam": "1/2"`)
	for _, sides := range [][2][]byte{{mine, metric}, {metric, mine}} {
		joined, apart, err := planfile.Joined([]byte(joinedBase), sides[0], sides[1], planfile.NoSide)
		require.NoError(t, err)
		require.Empty(t, apart)
		p, err := planfile.Read(joined)
		require.NoError(t, err)
		assert.Equal(t, "cm", string(p.Units))
		assert.Equal(t, length.Inch/2, p.Cover.Seam)
	}
}

// Whatever one side changed alone is as that side has it.
func TestASideThatChangedNothingChangesNothing(t *testing.T) {
	values := []string{`"columns": 4`, `"rows": 4`, `"seam": "1/4"`, `"title": "Cushion"`, `"b2", "width": "2"`}
	rapid.Check(t, func(t *rapid.T) {
		from := rapid.SampledFrom(values).Draw(t, "value")
		to := strings.NewReplacer("4", "7", "Cushion", "Pad", `"2"`, `"3"`).Replace(from)
		mine := changed(from, to)
		for _, sides := range [][2][]byte{{mine, []byte(joinedBase)}, {[]byte(joinedBase), mine}, {mine, mine}} {
			joined, apart, err := planfile.Joined([]byte(joinedBase), sides[0], sides[1], planfile.NoSide)
			require.NoError(t, err)
			require.Empty(t, apart)
			require.JSONEq(t, string(mine), string(joined))
		}
	})
}
