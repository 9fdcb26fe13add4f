package main

import (
	"bytes"
	"os"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestDifferences(t *testing.T) {
	for name, c := range map[string]struct {
		before, now string
		count       int
		says        string
	}{
		"nothing": {`{"a":[1,{"b":"x"}]}`, `{"a":[1,{"b":"x"}]}`, 0, ""},
		"a nanometre": {`{"a":[{"nm":508000000}]}`, `{"a":[{"nm":508000001}]}`, 1,
			"/a/-/nm, otherwise: p: 508000000 → 508000001"},
		"a new field":      {`{"a":1}`, `{"a":1,"b":2}`, 0, "/b, new: p: 2"},
		"a field gone":     {`{"a":1,"b":2}`, `{"a":1}`, 1, "/b, otherwise"},
		"another order":    {`[1,2]`, `[2,1]`, 2, "2 × /-"},
		"one more":         {`{"a":[1]}`, `{"a":[1,1]}`, 1, "/a, otherwise"},
		"a sum more":       {`{"sums":{"a":1}}`, `{"sums":{"a":1,"b":2}}`, 1, "/sums/b, otherwise"},
		"another sort":     {`{"a":{"b":1}}`, `{"a":[1]}`, 1, "/a, otherwise"},
		"nothing was said": {``, `{}`, 1, "otherwise"},
	} {
		found := differences{}
		found.compare("p", "", decode([]byte(c.before)), decode([]byte(c.now)))
		var out bytes.Buffer
		found.tell(&out)
		assert.Equal(t, c.count, found.count(), name)
		assert.Contains(t, out.String(), c.says, name)
	}
}

func TestCompareReckonsAgain(t *testing.T) {
	dir := t.TempDir()
	require.ErrorContains(t, run([]string{"compare", dir}, &bytes.Buffer{}), "write some first")
	require.ErrorContains(t, run([]string{"look", dir}, &bytes.Buffer{}), "same write DIR")
	plan, err := os.ReadFile("../../demo/reading-corner-cushion.json")
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(filepath.Join(dir, "reading.plan.json"), plan, 0o600))
	require.NoError(t, os.WriteFile(filepath.Join(dir, "reading.reckoning.json"),
		[]byte(`{"format":"umschlag/reckoning/1","title":"Another title"}`), 0o600))
	var out bytes.Buffer
	require.ErrorContains(t, run([]string{"compare", dir}, &out), "otherwise")
	assert.Contains(t, out.String(), "/title, otherwise: reading: Another title → Reading-corner cushion")
	assert.NotContains(t, out.String(), "/format")
}
