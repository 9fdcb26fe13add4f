package planfile_test

import (
	"encoding/json"
	"flag"
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"testing"

	jsonpatch "github.com/evanphx/json-patch/v5"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/finding"
	"umschlag/format/planfile"
)

var update = flag.Bool("update", false, "write what is told now into testdata, to be read and approved")

// approved compares a text with the one in testdata that somebody read and found right.
func approved(t *testing.T, name, text string) {
	t.Helper()
	path := filepath.Join("testdata", name)
	if *update {
		require.NoError(t, os.WriteFile(path, []byte(text), 0o644))
	}
	want, err := os.ReadFile(path)
	require.NoError(t, err)
	assert.Equal(t, string(want), text, "read what has changed; go test -update writes it")
}

// merged is a document with another laid over it. Source: RFC 7396.
func merged(t *testing.T, doc, over string) []byte {
	out, err := jsonpatch.MergePatch([]byte(doc), []byte(over))
	require.NoError(t, err, over)
	return out
}

const bare = `{"format": "umschlag/plan/2", "title": "t", "cloths": {"A": {"name": "moss"}},
	"object": {"kind": "form", "width": "20", "height": "20"}, "cover": {"kind": "cushion", "ease": {"width": 0, "height": 0}}}`

// changes are the operations of a patch, one a line.
func changes(t *testing.T, patch []finding.Change) string {
	var out strings.Builder
	for _, c := range patch {
		value, err := json.Marshal(c.Value)
		require.NoError(t, err)
		fmt.Fprintf(&out, "\n      %s %s", c.Op, c.Path)
		if c.Op != "remove" {
			fmt.Fprintf(&out, " %s", value)
		}
	}
	return out.String()
}

// What is found in plans that cannot be cut, or are cut with a warning, and what is offered there: each case is what is
// laid over a plain cushion of 20 in. What is offered leaves fewer findings of the worst kind.
func TestWhatIsOffered(t *testing.T) {
	given, err := os.ReadFile("testdata/offered.txt")
	require.NoError(t, err)
	var told strings.Builder
	for line := range strings.Lines(string(given)) {
		if strings.HasPrefix(line, "#") {
			told.WriteString("\n" + line)
		}
		if !strings.HasPrefix(line, "{") {
			continue
		}
		told.WriteString(line)
		doc := merged(t, bare, line)
		r, err := planfile.Remedied(doc, nil)
		if err != nil {
			fmt.Fprintf(&told, "refused: %s\n", err)
			continue
		}
		for _, f := range r.Findings {
			fmt.Fprintf(&told, "%s %s %s: %s", f.Level, f.Code, f.About, f.Text)
			if f.Remedy != "" {
				told.WriteString(" / " + f.Remedy)
			}
			told.WriteString("\n")
			for _, o := range f.Remedies {
				fmt.Fprintf(&told, "  - %s%s\n", o.Text, changes(t, o.Patch))
				after, err := planfile.Reckon(applied(t, doc, o.Patch), nil)
				require.NoError(t, err, o.Text)
				if f.Level == finding.Stop {
					assert.Less(t, stops(after.Findings), stops(r.Findings), o.Text)
				} else {
					assert.NotEmpty(t, after.Pieces, "it can be cut as well as it could")
					assert.NotContains(t, codes(after.Findings), f.Code+" "+f.About, o.Text)
				}
			}
		}
	}
	approved(t, "offered.txt", strings.TrimLeft(told.String(), "\n"))
}

// codes are what is found, and about what.
func codes(found []finding.Finding) (out []string) {
	for _, f := range found {
		out = append(out, f.Code+" "+f.About)
	}
	return out
}
