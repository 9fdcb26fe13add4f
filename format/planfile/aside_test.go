package planfile_test

import (
	"encoding/json"
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/format/planfile"
)

const kept = `{"format": "umschlag/plan/2", "title": "Kept", "object": {"kind": "form", "width": 20, "height": 20}, "cover": {"kind": "cushion"},
	"pieces": {"front": {"face": {"kind": "plain", "cloth": "A", "aside": %s}, "quilting": {"free": "1/2", "aside": {"cross": {"lines": [{"pitch": 2, "angle": 45}, {"pitch": 2, "angle": -45}]}}}}},
	"back": {"kind": "sewn", "aside": %s}, "edges": {"aside": {"piping": {"cord": "1/4"}}}, "cloths": {"A": {}}}`

// What is kept aside is read, written and given keys as everything else.
func TestWhatIsAsideIsReadAndKeyed(t *testing.T) {
	doc := fmt.Appendf(nil, kept,
		`{"strips": {"kind": "strips", "strips": [{"width": "4 3/4"}, {"width": "9 1/2"}], "colourways": [{"name": "dark", "face": {"kind": "strips", "strips": [{"width": "4 3/4"}, {"width": "9 1/2"}]}}]}}`, `{"zip-flap": {"kind": "zip", "flap": "1 1/2"}}`)
	p, err := planfile.Read(doc)
	require.NoError(t, err)
	assert.Equal(t, plan.StripsFace, p.Pieces["front"].Face.Aside["strips"].Kind)
	assert.Equal(t, "zip-flap", p.Back.Aside["zip-flap"].Closure())
	n := 0
	keyed, err := planfile.Keyed(doc, func() ref.Key { n++; return ref.Key(fmt.Sprint("k", n)) })
	require.NoError(t, err)
	assert.Equal(t, 3, n, "two strips and a colourway; the strips of that are the same ones")
	q, err := planfile.Read(keyed)
	require.NoError(t, err)
	strips := q.Pieces["front"].Face.Aside["strips"]
	assert.Equal(t, strips.Strips[0].Key, strips.Colourways[0].Face.Strips[0].Key)
	full, err := json.Marshal(planfile.Full(q))
	require.NoError(t, err)
	again, err := planfile.Read(full)
	require.NoError(t, err)
	assert.Equal(t, q, again)
}

// What would not come back by the word it is kept under is a problem of the file, with what to
// type instead.
func TestWhatIsAsideStandsUnderItsWord(t *testing.T) {
	for _, one := range []struct{ face, back, path, says string }{
		{`{"strips": {"kind": "grid"}}`, `{}`, "/pieces/front/face/aside/strips/kind", `"strips"`},
		{`{"plain": {"kind": "plain"}}`, `{}`, "/pieces/front/face/aside/plain", "remove this"},
		{`{"strips": null}`, `{}`, "/pieces/front/face/aside/strips", "a design belongs here"},
		{`{"strips": {"kind": "strips", "aside": {"grid": {"kind": "grid"}}}}`, `{}`,
			"/pieces/front/face/aside/strips/aside", "remove this"},
		{`{"stack": {"kind": "stack", "parts": [{"height": 5, "face": {"kind": "plain", "aside": {"grid": {"kind": "plain"}}}}]}}`, `{}`, "/pieces/front/face/aside/stack/parts/0/face/aside/grid/kind", `"grid"`},
		{`{}`, `{"zip": {"kind": "zip", "flap": 1}}`, "/back/aside/zip", `"zip-flap"`},
		{`{}`, `{"velvet": {"kind": "zip"}}`, "/back/aside/velvet", "envelope, folded"},
		{`{}`, `{"zip": {"kind": "zip", "aside": {"tied": {}}}}`, "/back/aside/zip/aside", "remove this"},
	} {
		_, err := planfile.Read(fmt.Appendf(nil, kept, one.face, one.back))
		var problems planfile.Problems
		require.ErrorAs(t, err, &problems, one.path)
		require.Len(t, problems, 1, one.path)
		assert.Equal(t, one.path, problems[0].Path)
		assert.Contains(t, problems[0].Text, one.says)
	}
	doc := strings.Replace(fmt.Sprintf(kept, `{}`, `{}`), `"kind": "cushion"`,
		`"kind": "wrap-hood", "aside": {"hood": {"end": {}}, "band-hood": {"top": {"face": {"kind": "grid", "aside": {"grid": {"kind": "grid"}}}}}}`, 1)
	_, err := planfile.Read([]byte(doc))
	var problems planfile.Problems
	require.ErrorAs(t, err, &problems)
	require.Len(t, problems, 2)
	assert.Equal(t, "/cover/aside/band-hood/top/face/aside/grid", problems[0].Path)
	assert.Equal(t, "/cover/aside/hood", problems[1].Path)
}
