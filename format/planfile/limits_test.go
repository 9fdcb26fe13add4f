package planfile_test

import (
	"encoding/json"
	"fmt"
	"os"
	"regexp"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/format/planfile"
)

// around is what has to stand beside a key for it to be read, by the kind of face it stands in.
var around = map[string]string{
	"grid":    `{"kind":"grid","columns":4,"rows":4,"patch":{"width":"4","height":"4"},"cloths":["A"],"sash":{"width":"1"},"borders":[{"width":"1","cloth":"A"}]}`,
	"strips":  `{"kind":"strips","strips":[{"width":"4","cloth":"A"}]}`,
	"stack":   `{"kind":"stack","parts":[{"height":"4","face":{"kind":"plain"}}]}`,
	"windows": `{"kind":"windows","columns":4,"rows":4,"ground":"A","show":"A"}`,
	"plain":   `{"kind":"plain","applique":[{"shape":"circle","at":{"left":"1","top":"1"}}]}`,
}

const base = `{"format":"umschlag/plan/2","title":"limits","units":"in",
	"object":{"kind":"form","width":"20","height":"20","make":{}},"cover":{"kind":"cushion"},
	"pieces":{"front":{"face":%s,"layers":{"batting":{"count":1,"loft":"1/8"}},"quilting":{"lines":[{"pitch":"2","angle":45}]}}},
	"back":{"hem":["1/2"]},"edges":{"piping":{"cord":"1/4"},"binding":{"shows":"1/2"}},
	"fittings":[{"kind":"pocket","on":"front","width":"4","height":"4","at":{"left":"1","top":"1"}}],
	"cloths":{"A":{"name":"moss","repeat":{"across":"6","along":"6"},"odd":[{"width":"9","length":"9","count":1}]}},
	"measured":[{"gate":"gate.piece:front.role:sewn"}],"progress":{"cut":{"x":{}}},
	"schedule":{"minutes":[0,60,0,60,0,120,0]}}`

var kinded = regexp.MustCompile(`face\((\w+)\)`)

// with is the base plan with a value at a key, as a maker types it.
func with(t *testing.T, key string, value any) []byte {
	kind := "plain"
	if m := kinded.FindStringSubmatch(key); m != nil {
		kind = m[1]
	}
	var doc any
	require.NoError(t, json.Unmarshal(fmt.Appendf(nil, base, around[kind]), &doc))
	put(t, doc, strings.Split(kinded.ReplaceAllString(key, "face"), "."), value)
	text, err := json.Marshal(doc)
	require.NoError(t, err)
	return text
}

// put sets a value within objects and lists, making objects that are not there.
func put(t *testing.T, in any, path []string, value any) {
	switch in := in.(type) {
	case []any:
		i, err := strconv.Atoi(path[0])
		require.NoError(t, err)
		if len(path) == 1 {
			in[i] = value
			return
		}
		put(t, in[i], path[1:], value)
	case map[string]any:
		if len(path) == 1 {
			in[path[0]] = value
			return
		}
		if _, there := in[path[0]]; !there {
			in[path[0]] = map[string]any{}
		}
		put(t, in[path[0]], path[1:], value)
	default:
		require.Fail(t, "nothing to put it into", "%v", path)
	}
}

// stopped tells whether a plan stops at a key.
func stopped(t *testing.T, key string, value any) bool {
	p, err := planfile.Read(with(t, key, value))
	require.NoError(t, err, "%s: %v", key, value)
	at := "/" + strings.ReplaceAll(kinded.ReplaceAllString(key, "face"), ".", "/")
	for _, f := range p.Settle().Validate() {
		if f.About == at {
			return true
		}
	}
	return false
}

// ends are the ends of a range as they are typed, and one step beyond both.
func ends(t *testing.T, from, to string) (within, beyond [2]any) {
	if lo, err := strconv.ParseFloat(from, 64); err == nil {
		hi, err := strconv.ParseFloat(to, 64)
		require.NoError(t, err)
		step := 1.0
		if lo != float64(int(lo)) {
			step = 0.01
		}
		return [2]any{lo, hi}, [2]any{lo - step, hi + step}
	}
	lo, err := length.Parse(from, length.Inches)
	require.NoError(t, err)
	hi, err := length.Parse(to, length.Inches)
	require.NoError(t, err)
	plain := length.Style{Unit: length.Millimetres}.Plain
	mm := func(l length.Length) any { return plain(l) + " mm" }
	return [2]any{mm(lo), mm(hi)}, [2]any{mm(lo - 1000), mm(hi + 1000)} // by a micrometre
}

// The table of limits in docs/plan-format.md, row by row: both ends can be, a step beyond either cannot.
func TestLimitsAreAsTheyAreWritten(t *testing.T) {
	text, err := os.ReadFile("../../docs/plan-format.md")
	require.NoError(t, err)
	_, table, found := strings.Cut(string(text), "## Limits\n")
	require.True(t, found)
	table, _, _ = strings.Cut(table, "\n## ")
	row := regexp.MustCompile("(?m)^\\| (`.*`) \\| (\\S+(?: \\S+)?) \\| (\\S+(?: \\S+)?) \\|$")
	tried := 0
	for _, m := range row.FindAllStringSubmatch(table, -1) {
		within, beyond := ends(t, m[2], m[3])
		for _, key := range strings.Split(m[1], ", ") {
			key = strings.Trim(key, "`")
			tried++
			for i := range 2 {
				assert.False(t, stopped(t, key, within[i]), "%s may be %v", key, within[i])
				assert.True(t, stopped(t, key, beyond[i]), "%s may not be %v", key, beyond[i])
			}
		}
	}
	assert.Greater(t, tried, 70)
}
