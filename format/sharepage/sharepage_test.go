package sharepage_test

import (
	"encoding/xml"
	"errors"
	"flag"
	"io"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/demo"
	"umschlag/format/planfile"
	"umschlag/format/sharepage"
)

func written(t *testing.T, p plan.Plan) string {
	t.Helper()
	out, err := sharepage.Write(sharepage.Order{Title: p.Title, Reckoning: reckon.Reckon(p, nil),
		Cloths: p.Settle().Cloths})
	require.NoError(t, err)
	return string(out)
}

func TestTheDemoIsShared(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	for name, data := range plans {
		p, err := planfile.Read(data)
		require.NoError(t, err)
		page, r := written(t, p), reckon.Reckon(p, nil)
		assert.NotContains(t, page, "<script", name)
		assert.NotContains(t, page, "://", "%s asks for something", name)
		assert.Equal(t, len(r.Steps), strings.Count(page, "<li><strong>"), name)
		for _, c := range r.Cuts {
			assert.Contains(t, page, c.Width.Text+" × "+c.Height.Text, name)
		}
		drawings := strings.Count(page, "<svg")
		assert.GreaterOrEqual(t, drawings, len(r.Pieces), name)
		for i, part := range strings.Split(page, "<svg")[1:] {
			wellFormed(t, "<svg"+part[:strings.Index(part, "</svg>")+6], name, i)
		}
	}
}

var update = flag.Bool("update", false, "write the pages into testdata, to be opened in a browser and approved")

// Pages that somebody opened and looked at: a cushion of patches and shapes, a hood of quilted panels, a jacket.
func TestPagesAsTheyWereLookedAt(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	for _, name := range []string{"van-cushion", "scanner-hood", "guest-album-jacket"} {
		p, err := planfile.Read(plans[name])
		require.NoError(t, err)
		path := "testdata/" + name + ".html"
		page := strings.ReplaceAll(written(t, p), "><", ">\n<")
		if *update {
			require.NoError(t, os.WriteFile(path, []byte(page), 0o644))
		}
		want, err := os.ReadFile(path)
		require.NoError(t, err)
		assert.True(t, string(want) == page, "%s is another page: open it, and approve it by go test -update", name)
	}
}

func wellFormed(t *testing.T, svg, name string, i int) {
	t.Helper()
	d := xml.NewDecoder(strings.NewReader(svg))
	for {
		_, err := d.Token()
		if errors.Is(err, io.EOF) {
			return
		}
		require.NoError(t, err, "%s: drawing %d", name, i)
	}
}

// What a maker types is words on the page, never more.
func TestWhatIsTypedIsOnlyWords(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	p, err := planfile.Read(plans["reading-corner-cushion"])
	require.NoError(t, err)
	p.Title = `<img src=x onerror=alert(1)>`
	a := p.Cloths["A"]
	a.Name, a.Swatch.Ground = `"><script>alert(2)</script>`, `red" onload="alert(3)`
	p.Cloths["A"] = a
	page := written(t, p)
	for _, bad := range []string{"<img", "<script", `" onload`} {
		assert.NotContains(t, page, bad)
	}
	_, err = sharepage.Write(sharepage.Order{Title: "Nothing", Reckoning: reckon.Reckon(plan.Plan{}, nil)})
	assert.ErrorContains(t, err, "cannot be cut as it stands")
}
