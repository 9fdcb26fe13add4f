package planfile_test

import (
	"encoding/json"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/answer"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
	"umschlag/format/planfile"
)

// of is a plan of umschlag/plan/1, with the names that its cuts, steps and gates had when that
// was written.
type of struct {
	Plan  json.RawMessage `json:"plan"`
	Cuts  []string        `json:"cuts"`
	Steps []string        `json:"steps"`
	Gates []string        `json:"gates"`
}

func ofOne(t *testing.T) map[string]of {
	t.Helper()
	files, err := filepath.Glob("testdata/one/*.json")
	require.NoError(t, err)
	require.NotEmpty(t, files)
	out := map[string]of{}
	for _, path := range files {
		data, err := os.ReadFile(path)
		require.NoError(t, err)
		var one of
		require.NoError(t, json.Unmarshal(data, &one))
		out[filepath.Base(path)] = one
	}
	return out
}

// since are steps that were a part of others then.
var since = []ref.Role{ref.DoMakeFitting, ref.DoRimPoints}

// Every name that a cut, a step or a gate had is read as the ref it has now.
func TestNamesOfTheFormatBeforeAreRead(t *testing.T) {
	for name, one := range ofOne(t) {
		t.Run(name, func(t *testing.T) {
			r, err := planfile.Reckon(one.Plan, nil)
			require.NoError(t, err)
			names, err := planfile.NamesOfOne(one.Plan)
			require.NoError(t, err)
			require.Len(t, r.Cuts, len(one.Cuts))
			for i, c := range r.Cuts {
				id, ok := names.Cut(one.Cuts[i])
				assert.True(t, ok, one.Cuts[i])
				assert.Equal(t, c.ID, id, one.Cuts[i])
			}
			steps, gates := []string{}, []string{}
			for _, s := range r.Steps {
				if !slices.Contains(since, s.About.Role) {
					steps = append(steps, s.ID)
				}
				if s.Gate != "" {
					gates = append(gates, s.Gate)
				}
			}
			were := []string{}
			for _, was := range one.Steps {
				id, ok := names.Step(was, nil)
				assert.True(t, ok, was)
				were = append(were, id)
			}
			assert.Subset(t, were, steps, "in whatever order they are done now")
			for i, was := range one.Gates {
				id, ok := names.Gate(was)
				assert.True(t, ok, was)
				assert.Equal(t, gates[i], id, was)
			}
		})
	}
}

// What was done of a plan stays done, and is told by what it is about.
func TestARecordOfTheFormatBeforeIsRead(t *testing.T) {
	for name, one := range ofOne(t) {
		var doc map[string]any
		require.NoError(t, json.Unmarshal(one.Plan, &doc))
		divided := one.Steps[len(one.Steps)-1]
		doc["progress"] = map[string]any{"cut": one.Cuts,
			"sizes":    map[string]any{one.Cuts[0]: map[string]any{"width": "3 in", "height": "2 in"}},
			"spoiled":  map[string]any{one.Cuts[0]: 2},
			"done":     append([]string{divided + ":1", "grid.9.nothing"}, one.Steps...),
			"times":    map[string]any{one.Steps[0]: 4, divided + ":2": 5},
			"parts":    map[string]any{divided: []string{"a", "b", "c"}},
			"running":  map[string]any{"step": one.Steps[0], "since": "2026-03-01T19:30:00Z"},
			"troubles": []any{map[string]any{"step": one.Steps[0], "kind": "other"}},
			"skipped":  map[string]any{"nothing": "why"}}
		data, err := json.Marshal(doc)
		require.NoError(t, err)
		p, err := planfile.Read(data)
		require.NoError(t, err, name)
		p.Progress.Parts = map[string][]plan.StepPart{}
		undivided := p
		for _, s := range reckon.Reckon(undivided, nil).Steps {
			assert.True(t, s.Done, "%s: %s", name, s.ID)
		}
		p, err = planfile.Read(data)
		require.NoError(t, err)
		assert.Len(t, p.Progress.Cut, len(one.Cuts), name)
		assert.ElementsMatch(t, []string{"grid.9.nothing", "nothing"}, p.Progress.Unread, name)
		assert.Empty(t, p.Progress.Skipped)
		r := reckon.Reckon(p, nil)
		first := p.Progress.Cut[r.Cuts[0].ID]
		assert.Equal(t, plan.AsCut{Width: 3 * length.Inch, Height: 2 * length.Inch}, first)
		assert.Equal(t, 2, p.Progress.Spoiled[r.Cuts[0].ID])
		names, err := planfile.NamesOfOne(one.Plan)
		require.NoError(t, err)
		whole, _ := names.Step(divided, nil)
		var last []answer.Step
		for _, s := range r.Steps {
			if s.Of == whole {
				last = append(last, s)
			}
		}
		require.Len(t, last, 3, name)
		assert.Equal(t, []bool{true, false, true}, []bool{last[0].Done, last[1].Done, last[2].Done}, name)
		assert.InDelta(t, 5, *last[1].Took, 0)
		began, _ := names.Step(one.Steps[0], nil)
		at := slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.ID == began })
		assert.InDelta(t, 4, *r.Steps[at].Took, 0)
		assert.Equal(t, began, p.Progress.Running.Step)
		assert.Equal(t, began, p.Progress.Troubles[0].Step)
	}
}

const cushionOfOne = `{"format": "umschlag/plan/1", "title": "old", "object": {"kind": "form", "width": "20", "height": "20"}, "cover": {"kind": "cushion"},
	"pieces": {"front": {"face": {"kind": "plain", "cloth": "border.1.side", "applique": [{"name": "road", "shape": "bar"}, {"shape": "circle", "from": "road"}, {"shape": "circle", "from": "roof"}]}}},
	"cloths": {"border.1.side": {"name": "moss"}}, "measured": [{"what": "front", "width": "19"}, {"what": "lid", "width": "1"}], "progress": {"cut": ["front.panel"]}}`

// A document of the format before is written as one of this format, in its order, and then
// stays as it is.
func TestUpgraded(t *testing.T) {
	doc, err := planfile.Upgraded([]byte(cushionOfOne))
	require.NoError(t, err)
	text := string(doc)
	assert.Contains(t, text, `{"key":"1","name":"road","shape":"bar"},{"key":"2","shape":"circle","from":"1"}`,
		"shapes are placed from keys")
	assert.Contains(t, text, `{"gate":"gate.piece:front.role:sewn","width":"19"},{"gate":"lid","width":"1"}`,
		"what nobody knows is kept, and told")
	assert.Contains(t, text, `"progress":{"cut":{"cut.piece:front.role:panel":{}}}`)
	assert.Less(t, strings.Index(text, `"title"`), strings.Index(text, `"object"`), "in its own order")
	again, err := planfile.Upgraded(doc)
	require.NoError(t, err)
	assert.Equal(t, doc, again)
	p, err := planfile.Read(doc)
	require.NoError(t, err)
	assert.Equal(t, "shape-from", reckon.Reckon(p, nil).Findings[0].Code, "from a shape that is not there")
	_, err = planfile.Upgraded([]byte(`{"format": "umschlag/plan/1"}`))
	assert.ErrorContains(t, err, "missing")
	_, err = planfile.Upgraded([]byte(`[`))
	assert.Error(t, err)
	names, err := planfile.NamesOfOne(doc)
	assert.Nil(t, names)
	assert.ErrorContains(t, err, "plan/1")
}

// A cloth may be called like a part of a plan: what is left of a name is its letter.
func TestAClothIsNotMistakenForAPart(t *testing.T) {
	p, err := planfile.Read([]byte(`{"format": "umschlag/plan/1", "title": "old", "object": {"kind": "form", "width": "8", "height": "8"}, "cover": {"kind": "cushion", "ease": {"width": 0, "height": 0}},
		"pieces": {"front": {"face": {"kind": "grid", "columns": 2, "rows": 2, "patch": {"width": "3"}, "cloths": ["border.1.side", "3"], "borders": [{"width": "1", "cloth": "patch.A"}]}}},
		"cloths": {"border.1.side": {}, "3": {}, "patch.A": {}}, "progress": {"cut": ["front.patch.border.1.side", "front.border.1.side"], "done": ["border.1.side"]}}`))
	require.NoError(t, err)
	done := map[string]bool{}
	r := reckon.Reckon(p, nil)
	for _, c := range r.Cuts {
		done[c.ID] = c.Done
	}
	assert.True(t, done[ref.Ref{Kind: ref.Cut, Piece: "front", Role: ref.Patch, Cloth: "border.1.side"}.String()])
	assert.True(t, done["cut.piece:front.of:1.role:border-first"])
	assert.False(t, done["cut.piece:front.of:1.role:border-second"])
	for _, s := range r.Steps {
		assert.Equal(t, s.About.Role == ref.DoBorder && s.About.Pair == 1, s.Done, s.ID)
	}
}

// Keys are written into a document where there are none, and nothing else of it changes.
func TestKeyed(t *testing.T) {
	n := 0
	fresh := func() ref.Key { n++; return ref.Key("new" + string(rune('a'+n-1))) }
	doc := `{"format":"umschlag/plan/2","title":"t","object":{"kind":"form","width":"20","height":"20"},"cover":{"kind":"cushion"},"fittings":[{"key":"own","kind":"pocket","on":"front"},{"kind":"slit","on":"front"}],"pieces":{"*":{"face":{"kind":"grid","borders":[{"width":"1"}],"colourways":[{"name":"blue","face":{"kind":"grid","borders":[{"width":"2"}]}}]}}}}`
	out, err := planfile.Keyed([]byte(doc), fresh)
	require.NoError(t, err)
	for _, key := range []string{`"key":"newa",`, `"key":"newb",`, `"key":"newc",`} {
		assert.Equal(t, 1+strings.Count(key, "newb"), strings.Count(string(out), key),
			"%s: a colourway has the keys of its face", out)
	}
	back := string(out)
	for _, key := range []string{"newa", "newb", "newc"} {
		back = strings.ReplaceAll(back, `"key":"`+key+`",`, "")
	}
	assert.Equal(t, doc, back)
	again, err := planfile.Keyed(out, fresh)
	require.NoError(t, err)
	assert.Equal(t, out, again)
	assert.Equal(t, 3, n, "none is made in vain")
	_, err = planfile.Keyed([]byte(`{}`), fresh)
	assert.Error(t, err)
}

// A record takes the place of another one, and goes where there is none.
func TestWithRecord(t *testing.T) {
	doc := []byte(`{"format":"umschlag/plan/2","title":"t","units":"cm","object":{"kind":"form","width":"40","height":"40"},"cover":{"kind":"cushion"},"measured":[{"gate":"x","width":"4"}]}`)
	with, err := planfile.WithRecord(doc,
		plan.Progress{Done: []string{"step.role:measure"},
			Cut: map[string]plan.AsCut{"c": {Width: 4 * length.Centimetre, Count: 2}}}, nil)
	require.NoError(t, err)
	assert.Equal(t, `{"format":"umschlag/plan/2","title":"t","units":"cm","object":{"kind":"form","width":"40","height":"40"},"cover":{"kind":"cushion"},"progress":{"cut":{"c":{"count":2,"width":"4"}},"done":["step.role:measure"]}}`, string(with))
	p, err := planfile.Read(with)
	require.NoError(t, err)
	assert.Equal(t, plan.AsCut{Width: 4 * length.Centimetre, Count: 2}, p.Progress.Cut["c"])
	without, err := planfile.WithRecord(with, plan.Progress{}, p.Measured)
	require.NoError(t, err)
	assert.NotContains(t, string(without), "progress")
	_, err = planfile.WithRecord([]byte(`x`), plan.Progress{}, nil)
	assert.Error(t, err)
}

// In the format before there was one seam: fronts are sewn with that of their cover.
func TestThereWasOneSeam(t *testing.T) {
	for over, want := range map[string]length.Length{
		`{"cover": {"seam": "1/2"}}`:  length.Inch / 2,
		`{"habits": {"seam": "3/8"}}`: 3 * length.Inch / 8,
		`{}`:                          length.Inch / 4,
		`{"cover": {"seam": "1/2", "piecing_seam": "3/16"}}`:                                 3 * length.Inch / 16,
		`{"units": "cm", "object": {"width": "50", "height": "50"}, "cover": {"seam": "1"}}`: length.Centimetre,
	} {
		one := merged(t, cushionOfOne, over)
		p, err := planfile.Read(one)
		require.NoError(t, err)
		assert.Equal(t, want, p.Settle().Cover.PiecingSeam, over)
		said, err := planfile.OneSeam(merged(t, string(one), `{"format": "umschlag/plan/2", "measured": null, "progress": null,
			"pieces": null}`))
		require.NoError(t, err)
		p, err = planfile.Read(said)
		require.NoError(t, err)
		assert.Equal(t, want, p.Settle().Cover.PiecingSeam, "%s in a workshop of the format before", over)
	}
	two := merged(t, bare, `{"units": "cm", "cover": {"seam": "1 cm"}}`)
	p, err := planfile.Read(two)
	require.NoError(t, err)
	assert.Equal(t, 15*length.Millimetre/2, p.Settle().Cover.PiecingSeam, "the usual one beside another seam")
}
