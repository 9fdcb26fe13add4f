package printpack_test

import (
	"bytes"
	"flag"
	"fmt"
	"io"
	"math"
	"os"
	"strconv"
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
		for _, line := range strokesOn(t, r.Page(i)) {
			out.WriteString("\n" + line)
		}
		out.WriteString("\n")
	}
	return out.String()
}

// pen is what a path is drawn with.
type pen struct{ how, stroke, fill, width, dash string }

// told is how much is drawn with a pen, and from where to where.
type told struct {
	paths, points  int
	x1, y1, x2, y2 float64
}

// strokesOn is what is drawn on a page besides its words, by pen in the order in which they are taken up: how many
// paths and points, and from where to where they reach, in points from the lower left corner.
func strokesOn(t *testing.T, page pdf.Page) []string {
	t.Helper()
	data, err := io.ReadAll(page.V.Key("Contents").Reader())
	require.NoError(t, err)
	now, points, drawn := pen{}, [][2]float64{}, map[pen]*told{}
	var pens []pen
	numbers := func(fields []string) []float64 {
		var out []float64
		for _, f := range fields {
			if n, err := strconv.ParseFloat(f, 64); err == nil {
				out = append(out, n)
			}
		}
		return out
	}
	for _, line := range strings.Split(string(data), "\n") {
		fields := strings.Fields(line)
		if len(fields) == 0 || strings.Contains(line, "BT ") { // words are read by the library
			continue
		}
		args, op := fields[:len(fields)-1], fields[len(fields)-1]
		switch op {
		case "RG", "G":
			now.stroke = strings.Join(args, " ")
		case "rg", "g":
			now.fill = strings.Join(args, " ")
		case "w":
			now.width = args[0]
		case "d":
			now.dash = strings.Join(args, " ")
		case "m", "l", "c", "re", "f", "S", "B", "b", "s", "f*", "B*", "b*":
			n := numbers(args)
			if op == "re" && len(n) == 4 { // a corner, and how wide and high it is
				n = []float64{n[0], n[1], n[0] + n[2], n[1] + n[3]}
			}
			for i := 0; i+1 < len(n); i += 2 {
				points = append(points, [2]float64{n[i], n[i+1]})
			}
			if strings.ToLower(op) == op && op != "f" && op != "b" && op != "s" && op != "f*" && op != "b*" {
				continue // the path goes on
			}
			now.how = op
			all, known := drawn[now]
			if !known {
				all = &told{x1: math.Inf(1), y1: math.Inf(1), x2: math.Inf(-1), y2: math.Inf(-1)}
				drawn[now] = all
				pens = append(pens, now)
			}
			all.paths++
			all.points += len(points)
			for _, p := range points {
				all.x1, all.y1 = math.Min(all.x1, p[0]), math.Min(all.y1, p[1])
				all.x2, all.y2 = math.Max(all.x2, p[0]), math.Max(all.y2, p[1])
			}
			points = points[:0]
		}
	}
	var out []string
	for _, p := range pens {
		all := drawn[p]
		out = append(out, fmt.Sprintf("%s, pen %s %s %s, fill %s: %d paths, %d points, %.1f %.1f to %.1f %.1f",
			p.how, p.stroke, p.width, p.dash, p.fill, all.paths, all.points, all.x1, all.y1, all.x2, all.y2))
	}
	return out
}

// The pages of some demo plans and their labels, as somebody printed and read them.
func TestPagesAsTheyWereRead(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	pages := map[string]func() ([]byte, error){}
	for name, paper := range map[string]printpack.Paper{"van-cushion": printpack.A4, "scanner-hood": printpack.Letter,
		"loans-binder-jacket": printpack.A4, "reading-corner-cushion": printpack.Letter} {
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
