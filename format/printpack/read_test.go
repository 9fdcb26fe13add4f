package printpack_test

import (
	"bytes"
	"flag"
	"fmt"
	"os"
	"strings"
	"testing"

	"github.com/ledongthuc/pdf"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/reckon"
	"umschlag/demo"
	"umschlag/format/planfile"
	"umschlag/format/printpack"
)

var update = flag.Bool("update", false, "write what stands on paper into testdata, to be read and approved")

// onPaper is what another library reads off the pages: every text with its place from the lower left corner and its
// size in points, and the boxes, page by page.
func onPaper(t *testing.T, data []byte) string {
	r, err := pdf.NewReader(bytes.NewReader(data), int64(len(data)))
	require.NoError(t, err)
	var out strings.Builder
	for i := 1; i <= r.NumPage(); i++ {
		content := r.Page(i).Content()
		fmt.Fprintf(&out, "page %d", i)
		at := ""
		for _, x := range content.Text {
			here := fmt.Sprintf("\n%.1f %.1f %.1f ", x.X, x.Y, x.FontSize)
			if here != at {
				out.WriteString(here)
				at = here
			}
			out.WriteString(x.S)
		}
		for _, box := range content.Rect {
			fmt.Fprintf(&out, "\n[%.1f %.1f %.1f %.1f]", box.Min.X, box.Min.Y, box.Max.X, box.Max.Y)
		}
		out.WriteString("\n")
	}
	return out.String()
}

// The pages of some demo plans and their labels, as somebody printed and read them.
func TestPagesAsTheyWereRead(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	pages := map[string]func() ([]byte, error){}
	for name, paper := range map[string]printpack.Paper{"van-cushion": printpack.A4, "scanner-hood": printpack.Letter,
		"loans-binder-jacket": printpack.A4} {
		pages[name] = func() ([]byte, error) { return printpack.Write(order(t, plans[name], paper)) }
	}
	pages["labels"] = func() ([]byte, error) {
		p, err := planfile.Read(plans["van-cushion"])
		require.NoError(t, err)
		return printpack.Labels(p.Title, reckon.Reckon(p, nil))
	}
	for name, write := range pages {
		data, err := write()
		require.NoError(t, err)
		text, path := onPaper(t, data), "testdata/"+name+".txt"
		if *update {
			require.NoError(t, os.WriteFile(path, []byte(text), 0o644))
		}
		want, err := os.ReadFile(path)
		require.NoError(t, err)
		assert.Equal(t, string(want), text, "print it and read it; go test -update writes it")
	}
}

// On no page the same caution stands twice in full, and none is left out of a step.
// asRead is a text as the reader gives it back: without spaces, of each sign its lower eight bits.
func asRead(text string) string {
	return strings.Map(func(r rune) rune {
		if r == ' ' {
			return -1
		}
		return r & 0xff
	}, text)
}

func TestACautionStandsOnAPageOnce(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	o := order(t, plans["van-cushion"], printpack.A4)
	data, err := printpack.Write(o)
	require.NoError(t, err)
	r, err := pdf.NewReader(bytes.NewReader(data), int64(len(data)))
	require.NoError(t, err)
	signs, inFull := 0, map[string]int{}
	for i := 1; i <= r.NumPage(); i++ {
		var text strings.Builder
		for _, x := range r.Page(i).Content().Text {
			text.WriteString(x.S)
		}
		page := strings.ReplaceAll(text.String(), " ", "")
		signs += strings.Count(page, "Caution,asabove:")
		said := map[string]bool{}
		for _, s := range o.Reckoning.Steps {
			for _, c := range s.Cautions {
				n := strings.Count(page, asRead(c.Text))
				assert.LessOrEqual(t, n, 1, "page %d: %s", i, c.Text)
				if n > 0 && !said[c.Text] {
					said[c.Text] = true
					inFull[c.Text]++
				}
			}
		}
	}
	assert.NotZero(t, signs)
	for _, s := range o.Reckoning.Steps {
		for _, c := range s.Cautions {
			assert.NotZero(t, inFull[c.Text], "%s: %s", s.Title, c.Text)
		}
	}
}
