package planfile_test

import (
	"encoding/json"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/santhosh-tekuri/jsonschema/v6"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/format/planfile"
)

const head = `"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "width": "20", "height": "20"}, "cover": {"kind": "cushion"}`

func read(t *testing.T, more string) plan.Plan {
	t.Helper()
	p, err := planfile.Read([]byte("{" + head + more + "}"))
	require.NoError(t, err)
	return p
}

// example is the plan of docs/plan-format.md, every top-level key in use.
const example = `{
  "format": "umschlag/plan/2", "title": "Turntable hood", "units": "in", "copies": 1,
  "object": {"kind": "box", "length": "17 1/2", "depth": "14", "height": "6", "sticks_out": {"length": "3/4"}},
  "cover": {"kind": "wrap-hood", "ease": {"length": "1/2", "depth": "1/2", "height": "1/2"}, "bulk": "0", "seam": "1/2",
    "corners": {"kind": "round", "radius": "2"}, "bottom": {"finish": "bound"}, "split_top": false, "band_length": null,
    "flange": "0", "flaps": {"style": "folded", "depth": "3 1/4"}, "wash": 0},
  "pieces": {
    "*": {"face": {"kind": "plain", "cloth": "A"}, "layers": {"batting": {"count": 1, "loft": "3 mm"}, "lining": "L"}},
    "main": {"quilting": {"lines": [{"pitch": "2", "angle": 45}, {"pitch": "2", "angle": -45}], "pair": "1/4"}, "squaring": "1/2", "take_up": {"from": "estimate"}},
    "end": {"face": {"kind": "stack", "parts": [{"height": "8", "face": {"kind": "checker", "columns": 12, "rows": 2, "patch": {"width": "1"}, "cloths": ["A", "B"]}},
      {"height": "2", "face": {"kind": "strips", "strips": [{"width": "2 1/2", "cloth": "A"}], "direction": "across"}}],
      "applique": [{"shape": "M0 0h1", "cloth": "B", "width": "3", "at": {"bottom": "3 1/2", "middle": true}, "turn": 0, "edge": "zigzag", "twin": "mirror", "late": false}]}}
  },
  "back": {"kind": "envelope", "overlap": "5", "hem": ["1/2", "1/2"], "panels": "equal"},
  "edges": {"piping": {"cord": "3/8", "grain": "bias"}, "binding": {"shows": "1/2", "style": "tape"}, "inside": "zigzag"},
  "fittings": [
    {"key": "k3fa2c", "kind": "handle", "on": "main", "length": "10", "width": "2", "at": {"middle": true}, "spread": "4"},
    {"kind": "slit", "on": "end", "length": "4", "at": {"edge": "bottom", "middle": true}}
  ],
  "cloths": {"A": {"name": "ink stripe", "width": "42", "print": "one-way", "have": "1 1/4 yd"}, "L": {"name": "calico"}},
  "habits": {"press": "open", "pins": "remove", "step": "1/8"},
  "measured": [{"gate": "gate.piece:front.role:quilted", "width": "19 3/8", "height": "19 1/2"}]
}`

func TestReadsEveryTopLevelKey(t *testing.T) {
	p, err := planfile.Read([]byte(example))
	require.NoError(t, err)
	assert.Equal(t, 35*length.Inch/2, p.Object.Length)
	assert.Equal(t, 3*length.Inch/4, p.Object.SticksOut.Length)
	assert.Equal(t, plan.Pair{Front: 13 * length.Inch / 4, Back: 13 * length.Inch / 4}, p.Cover.Flaps.Depth)
	assert.Nil(t, p.Cover.BandLength, "null is like an absent key")
	assert.Equal(t, -45.0, p.Pieces["main"].Quilting.Lines[1].Angle)
	assert.Equal(t, 3*length.Millimetre, p.Piece("main").Layers.Batting.Loft, "* stands for all")
	assert.Equal(t, 45*length.Inch, *p.Cloths["A"].Have)
	assert.Equal(t, 2, p.Pieces["end"].Face.Parts[0].Face.Rows)
	assert.Equal(t, plan.PressOpen, p.Habits.Press)
	assert.Equal(t, 155*length.Inch/8, p.Measured[0].Width)
}

func TestAbsentKeysTakeTheDefaultsOfTheHabits(t *testing.T) {
	p := read(t, "")
	assert.Equal(t, length.Inch/4, p.Cover.Seam)
	assert.Equal(t, length.Inch/8, p.Habits.Step)
	assert.Equal(t, 1, p.Copies)
	assert.Len(t, p.Back.Hem, 2)
	own := read(t, `, "habits": {"seam": "3/8", "ease": "-2"}`)
	assert.Equal(t, 3*length.Inch/8, own.Cover.Seam)
	assert.Equal(t, -2*length.Inch, own.Cover.Ease.Width)
}

func TestBareNumbersTakeTheUnits(t *testing.T) {
	p := read(t, `, "units": "cm", "back": {"overlap": 5, "hem": [1, "0.5 in"]}`)
	assert.Equal(t, 5*length.Centimetre, *p.Back.Overlap)
	assert.Equal(t, []length.Length{length.Centimetre, length.Inch / 2}, p.Back.Hem)
}

func TestValuesOfMoreThanOneShape(t *testing.T) {
	p := read(t, `, "back": {"hem": [], "panels": ["20", "12"]}, "pieces": {"front": {"face": {"kind": "grid",
		"block": {"cells": [[1, "x"]]}, "order": [["A", "B"], ["B", "A"]], "borders": [{"width": "rest"}, {"width": "1"}, {}]}}}`)
	assert.NotNil(t, p.Back.Hem)
	assert.Empty(t, p.Back.Hem, "an empty list says that there is no hem")
	assert.Equal(t, []length.Length{20 * length.Inch, 12 * length.Inch}, p.Back.Panels.Widths)
	f := p.Pieces["front"].Face
	assert.Equal(t, plan.Rows, f.Order.Kind)
	assert.True(t, f.Borders[0].Width.Rest)
	assert.Equal(t, length.Inch, f.Borders[1].Width.Width)
	assert.True(t, f.Borders[2].Width.Rest)
	assert.NotNil(t, f.Block.Cells)
}

func TestProblemsAreNamedWithTheirPath(t *testing.T) {
	for name, c := range map[string]struct{ more, path, says string }{
		"unknown key":        {`, "titel": 1`, "/titel", "unknown key"},
		"the same key twice": {`, "cover": {"kind": "cushion", "semm": "1/4"}`, "/cover", "twice"},
		"unknown key in a piece": {`, "pieces": {"front": {"face": {"kind": "grid", "colums": 4}}}`,
			"/pieces/front/face/colums", "columns"},
		"unknown word":            {`, "back": {"kind": "envelop"}`, "/back/kind", "envelope"},
		"length":                  {`, "back": {"overlap": "16 1/0"}`, "/back/overlap", "divided by 0"},
		"length of a wrong shape": {`, "back": {"overlap": true}`, "/back/overlap", "16 1/2"},
		"length in a list":        {`, "back": {"hem": ["1/2", "twelve"]}`, "/back/hem/1", "start with a number"},
		"too far away":            {`, "back": {"overlap": "4 km"}`, "/back/overlap", "is not a unit"},
		"count":                   {`, "copies": 1.5`, "/copies", "whole number"},
		"number": {`, "pieces": {"front": {"take_up": {"across": "x"}}}`,
			"/pieces/front/take_up/across", "a number"},
		"text":   {`, "edges": {"inside": 4}`, "/edges/inside", "text"},
		"list":   {`, "measured": {}`, "/measured", "list"},
		"object": {`, "edges": []`, "/edges", "object"},
		"bool": {`, "fittings": [{"kind": "slit", "on": "x", "at": {"middle": "yes"}}]`,
			"/fittings/0/at/middle", "true or false"},
		"panels":           {`, "back": {"panels": ["1"]}`, "/back/panels", "two lengths"},
		"panels by a word": {`, "back": {"panels": "alike"}`, "/back/panels", "equal"},
		"order by name": {`, "pieces": {"front": {"face": {"order": "rows"}}}`, "/pieces/front/face/order",
			"write the rows out"},
		"block": {`, "pieces": {"front": {"face": {"block": {"sells": 1}}}}`,
			"/pieces/front/face/block", "cells"},
		"measured without a measuring step": {`, "measured": [{"width": "3"}]`, "/measured/0/gate", "missing"},
		"a key of capitals": {`, "fittings": [{"key": "AB", "kind": "slit", "on": "x"}]`, "/fittings/0/key",
			"small letters"},
		"a key twice":           {`, "fittings": [{"key": "a", "kind": "slit", "on": "x"}, {"key": "a", "kind": "slit", "on": "x"}]`, "/fittings/1/key", "leave it out"},
		"a key twice in a face": {`, "pieces": {"front": {"face": {"borders": [{"key": "a"}], "applique": [{"key": "a", "shape": "leaf"}]}}}`, "/pieces/front/face/applique/0/key", "leave it out"},
		"units":                 {`, "units": "ells"`, "/units", "in, cm, mm"},
	} {
		t.Run(name, func(t *testing.T) {
			_, err := planfile.Read([]byte("{" + head + c.more + "}"))
			var problems planfile.Problems
			require.ErrorAs(t, err, &problems)
			assert.Equal(t, c.path, problems[0].Path)
			assert.Contains(t, problems[0].Text, c.says)
			assert.NotContains(t, err.Error(), "\n")
		})
	}
}

func TestALengthProblemKnowsItsPosition(t *testing.T) {
	_, err := planfile.Read([]byte(strings.Replace("{"+head+"}", `"width": "20"`, `"width": "1 2/3/4"`, 1)))
	var problems planfile.Problems
	require.ErrorAs(t, err, &problems)
	require.NotNil(t, problems[0].Position)
	assert.Equal(t, 5, *problems[0].Position)
}

func TestAllProblemsAreNamed(t *testing.T) {
	_, err := planfile.Read([]byte(`{"format": "umschlag/plan/2", "object": {"width": "x"}, "extra": 1}`))
	var problems planfile.Problems
	require.ErrorAs(t, err, &problems)
	var paths []string
	for _, p := range problems {
		paths = append(paths, p.Path)
	}
	assert.Equal(t, []string{"/object/width", "/object/kind", "/extra", "/title", "/cover"}, paths)
	assert.Contains(t, err.Error(), "(and 4 more)")
}

func TestWhatIsNoPlanFile(t *testing.T) {
	for name, c := range map[string]struct{ data, says string }{
		"nothing":       {"", "the file ends in the middle"},
		"cut off":       {`{"format": `, "the file ends in the middle"},
		"not JSON":      {`{"format" = 1}`, "line 1, column"},
		"two":           {"{}{}", "goes on after"},
		"a list":        {"[]", "one JSON object"},
		"no format":     {"{}", "begins with"},
		"other format":  {`{"format": "umschlag/plan/3"}`, "not"},
		"twice":         {`{"format": "umschlag/plan/2", "format": "umschlag/plan/1"}`, "twice"},
		"bottomless":    {strings.Repeat("[", 100), "nested too deeply"},
		"over the size": {strings.Repeat(" ", planfile.MaxSize+1), "too large"},
	} {
		t.Run(name, func(t *testing.T) {
			_, err := planfile.Read([]byte(c.data))
			require.Error(t, err)
			assert.Contains(t, err.Error(), c.says)
		})
	}
}

// reread writes a plan out in full and reads it back.
func reread(t *testing.T, p plan.Plan) plan.Plan {
	t.Helper()
	data, err := json.Marshal(planfile.Full(p))
	require.NoError(t, err)
	again, err := planfile.Read(data)
	require.NoError(t, err, string(data))
	return again
}

func TestFullIsReadBackUnchanged(t *testing.T) {
	p, err := planfile.Read([]byte(example))
	require.NoError(t, err)
	settled := p.Settle()
	assert.Equal(t, settled, reread(t, settled))
	assert.Equal(t, settled, settled.Settle(), "settling twice is settling once")
	for _, unit := range length.Units() {
		converted := settled
		converted.Units = unit
		assert.Equal(t, converted, reread(t, converted), "another unit changes no length")
	}
}

func TestPartsAreReadAndWrittenAlone(t *testing.T) {
	var c plan.Cloth
	require.NoError(t, planfile.ReadPart([]byte(`{"name": "calico", "have": "2"}`), length.Centimetres, &c))
	assert.Equal(t, 2*length.Centimetre, *c.Have)
	assert.Equal(t, map[string]any{"name": "calico", "have": "2"}, planfile.Part(c, length.Centimetres))
	assert.Error(t, planfile.ReadPart([]byte(`{"nam": "calico"}`), length.Inches, &c))
}

func schema(t *testing.T) *jsonschema.Schema {
	t.Helper()
	s, err := jsonschema.NewCompiler().Compile("../../docs/plan.schema.json")
	require.NoError(t, err)
	return s
}

func validate(t *testing.T, s *jsonschema.Schema, data []byte) error {
	t.Helper()
	doc, err := jsonschema.UnmarshalJSON(strings.NewReader(string(data)))
	require.NoError(t, err)
	return s.Validate(doc)
}

func TestDemoPlansAreValidByTheSchema(t *testing.T) {
	s := schema(t)
	files, err := filepath.Glob("../../demo/*.json")
	require.NoError(t, err)
	require.NotEmpty(t, files)
	for _, f := range files {
		data, err := os.ReadFile(f)
		require.NoError(t, err)
		require.NoError(t, validate(t, s, data), f)
		p, err := planfile.Read(data)
		require.NoError(t, err, f)
		full, err := json.Marshal(planfile.Full(p.Settle()))
		require.NoError(t, err)
		require.NoError(t, validate(t, s, full), f)
	}
	require.NoError(t, validate(t, s, []byte(example)))
}

func TestTheSchemaRefusesWhatTheReaderRefuses(t *testing.T) {
	s := schema(t)
	for _, more := range []string{`, "titel": 1`, `, "back": {"kind": "envelop"}`, `, "copies": "x"`,
		`, "back": {"panels": ["1"]}`} {
		assert.Error(t, validate(t, s, []byte("{"+head+more+"}")), more)
	}
	assert.Error(t, validate(t, s, []byte(`{"format": "umschlag/plan/2"}`)))
}

func FuzzRead(f *testing.F) {
	f.Add([]byte(example))
	f.Add([]byte("{" + head + "}"))
	f.Add([]byte(`{"format": "umschlag/plan/2", "pieces": {"*": {"face": {"parts": [{"face": {}}]}}}}`))
	f.Fuzz(func(t *testing.T, data []byte) {
		p, err := planfile.Read(data)
		if err != nil {
			var problems planfile.Problems
			require.ErrorAs(t, err, &problems)
			require.NotEmpty(t, problems)
			return
		}
		_, err = planfile.Reckon(data, nil) // must not panic on any plan
		require.NoError(t, err)
		full, err := json.Marshal(planfile.Full(p))
		require.NoError(t, err)
		again, err := planfile.Read(full)
		require.NoError(t, err, string(full))
		require.Equal(t, p, again)
	})
}
