package demo_test

import (
	"encoding/json"
	"flag"
	"fmt"
	"maps"
	"os"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/answer"
	"umschlag/demo"
	"umschlag/format/planfile"
)

var update = flag.Bool("update", false, "write how the demo plans are made into testdata, to be read and approved")

// drawn are keys of a reckoning that are drawings, or that other tests hold exactly.
var drawn = map[string]bool{"cells": true, "outline": true, "trimmed_outline": true, "cut_outline": true, "line": true,
	"lines": true, "lay": true, "net": true, "settled": true, "nm": true, "exact": true, "sums": true, "ditch": true,
	"press": true, "about": true, "seams": true, "gives": true, "boxes": true, "stitching": true, "placed": true,
	"lies": true, "marks": true, "edge_strips": true, "shapes": true, "fold": true, "format": true, "title": true}

// said writes a value as lines of words, without what is drawn and without what says nothing.
func said(out *strings.Builder, v any, indent string) {
	switch v := v.(type) {
	case map[string]any:
		if text, ok := v["text"].(string); ok && v["nm"] != nil {
			out.WriteString(" " + text)
			return
		}
		if v["places"] != nil { // a move at the table, in its words
			fmt.Fprintf(out, " %v", v["title"])
			if v["text"] != nil {
				fmt.Fprintf(out, ". %v", v["text"])
			}
			return
		}
		apart := ""
		for _, key := range slices.Sorted(maps.Keys(v)) {
			if drawn[key] && (key != "title" || v["id"] == nil) || nothing(v[key]) {
				continue
			}
			if whole(v[key]) && key != "text" && key != "check" {
				out.WriteString(apart + " " + key + ":")
			} else {
				out.WriteString(indent + key + ":")
			}
			apart = ";"
			said(out, v[key], indent+"  ")
		}
	case []any:
		for _, e := range v {
			if _, list := e.(map[string]any); list && e.(map[string]any)["nm"] == nil {
				out.WriteString(indent + "-")
			}
			said(out, e, indent+"  ")
		}
	case float64:
		fmt.Fprintf(out, " %.5g", v)
	default:
		fmt.Fprintf(out, " %v", v)
	}
}

// whole tells that a value is told in one word.
func whole(v any) bool {
	m, is := v.(map[string]any)
	_, list := v.([]any)
	return !list && (!is || m["nm"] != nil)
}

func nothing(v any) bool {
	switch v := v.(type) {
	case nil:
		return true
	case string:
		return v == ""
	case bool:
		return !v
	case float64:
		return v == 0
	case []any:
		return len(v) == 0
	case map[string]any:
		return len(v) == 0
	}
	return false
}

// The demo plans as they are cut and made: sizes, cloth, costs and every step, in words that somebody read.
func TestTheDemoPlansAsTheyAreMade(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	for _, name := range slices.Sorted(maps.Keys(plans)) {
		r, err := planfile.Reckon(plans[name], nil)
		require.NoError(t, err)
		var text strings.Builder
		said(&text, tree(t, r), "\n")
		path := "testdata/" + name + ".txt"
		if *update {
			require.NoError(t, os.WriteFile(path, []byte(text.String()+"\n"), 0o644))
		}
		want, err := os.ReadFile(path)
		require.NoError(t, err)
		assert.Equal(t, string(want), text.String()+"\n", "read what has changed; go test -update writes it")
	}
}

func tree(t *testing.T, r answer.Reckoning) any {
	data, err := json.Marshal(r)
	require.NoError(t, err)
	var out any
	require.NoError(t, json.Unmarshal(data, &out))
	return out
}
