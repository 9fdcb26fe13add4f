package main

import (
	"bytes"
	"encoding/json"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestNeedsAreLaid(t *testing.T) {
	var out bytes.Buffer
	require.NoError(t, run(strings.NewReader(`[{"usable": 640, "items": [{"w": 320, "h": 80, "count": 3, "turn": false}]}]`), &out))
	var laid []Laid
	require.NoError(t, json.Unmarshal(out.Bytes(), &laid))
	require.Len(t, laid, 1)
	assert.InDelta(t, 160, laid[0].Length, 1e-9, "two strips of five inches")
	assert.InDelta(t, 160, laid[0].Searched, 1e-9)
	assert.InDelta(t, 160, laid[0].Free, 1e-9)
	assert.InDelta(t, 160, laid[0].Bound, 1e-9, "no heights make the 7 1/2 in of the area")
	require.ErrorContains(t, run(strings.NewReader("wide"), &out), "read the needs")
}
