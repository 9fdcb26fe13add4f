package svgfile_test

import (
	"errors"
	"fmt"
	"math"
	"os"
	"path/filepath"
	"runtime"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/shape"
	"umschlag/format/drawing"
	"umschlag/format/svgfile"
	_ "umschlag/seeded"
)

func file(t testing.TB, name string) []byte {
	t.Helper()
	data, err := os.ReadFile(filepath.Join("testdata", filepath.FromSlash(name)))
	require.NoError(t, err)
	return data
}

func read(t *testing.T, name string) drawing.Found {
	t.Helper()
	d, err := svgfile.Read(file(t, name))
	require.NoError(t, err)
	return d
}

func area(p shape.Path) float64 { return shape.NewRegion(p.Flat(1e-4)).Area() }

func box(o drawing.Outline) []float64 {
	b := o.Path.Box()
	var out []float64
	for _, f := range []float64{b.X1, b.Y1, b.Width(), b.Height()} {
		out = append(out, math.Round(f*1e4)/1e4)
	}
	return out
}

func TestUnits(t *testing.T) {
	mm := read(t, "sound/units-mm.svg").Outlines[0]
	assert.Equal(t, []float64{10, 10, 50, 30}, box(mm))
	assert.Equal(t, []string{"ground", "#2b5d8a"}, []string{mm.Name, mm.Fill})
	inches := read(t, "sound/units-in.svg").Outlines
	assert.Equal(t, []float64{12.7, 12.7, 25.4, 25.4}, box(inches[0]))
	assert.InDelta(t, math.Pi*12.7*12.7, area(inches[0].Path), 1e-2)
	assert.InDelta(t, math.Pi*0.75*0.25*25.4*25.4, area(inches[1].Path), 1e-2)
	assert.Equal(t, "#aabbcc", inches[1].Fill)
	px := read(t, "sound/pixels.svg").Outlines[0]
	assert.Equal(t, []float64{0, 0, 25.4, 12.7}, box(px), "96 pixels are an inch")
	r := 12 * 25.4 / 96
	assert.InDelta(t, 25.4*12.7-(4-math.Pi)*r*r, area(px.Path), 1e-2, "its corners are round")
}

func TestGroupsAndTransforms(t *testing.T) {
	d := read(t, "sound/groups.svg")
	require.Len(t, d.Outlines, 3)
	roof := d.Outlines[0]
	assert.Equal(t, "roof", roof.Name)
	assert.InDelta(t, 800, area(roof.Path), 1e-6, "twice as large both ways")
	s, c := math.Sincos(math.Pi / 6)
	corner := roof.Path[0].Segments[1].To
	assert.InDelta(t, 50+40*c-20*s, corner.X, 1e-9, "turned about the origin of the group, then moved")
	assert.InDelta(t, 40+40*s+20*c, corner.Y, 1e-9)
	assert.Equal(t, "#a6331f", roof.Fill, "from the group")
	assert.Equal(t, []string{"leaf one", "#4d6b3c"}, []string{d.Outlines[1].Name, d.Outlines[1].Fill},
		"what stands in style counts")
	assert.Equal(t, []any{true, "#000080"}, []any{d.Outlines[2].Line, d.Outlines[2].Fill},
		"a stroke without a fill is a line")
	assert.Empty(t, d.Omitted)
}

func TestHolesByTheEvenOddRule(t *testing.T) {
	assert.InDelta(t, 10000-3600+400, area(read(t, "sound/holes.svg").Outlines[0].Path), 1e-6)
}

func TestWhatIsLeftOutIsNamed(t *testing.T) {
	d := read(t, "sound/partly.svg")
	assert.Len(t, d.Outlines, 2)
	assert.Equal(t, []string{
		"1 clipping (the shape is read whole)", "1 hidden shape",
		"1 path that cannot be read (character 7 of the path: a number is expected)", "1 picture",
		"1 rect that cannot be read (it has no size)", "1 repeated drawing", "1 shape without colour",
		"1 style sheet (colours in it are not read)", "2 × text",
	}, d.Omitted)
}

// generated are hostile files too large to be kept.
func generated() map[string][]byte {
	wrap := func(inner string) []byte {
		return []byte(`<svg xmlns="http://www.w3.org/2000/svg">` + inner + `</svg>`)
	}
	return map[string][]byte{
		"100 000 nodes": wrap(strings.Repeat(`<p/>`, 100_000)),
		"100 000 deep":  wrap(strings.Repeat("<g>", 100_000) + strings.Repeat("</g>", 100_000)),
		"deep in defs": wrap("<defs>" + strings.Repeat("<g>", 15_000) + strings.Repeat("</g>",
			15_000) + "</defs>"),
		"a path of 400 000":  wrap(`<path d="M0 0` + strings.Repeat("h1", 400_000) + `Z"/>`),
		"300 shapes":         wrap(strings.Repeat(`<rect width="4" height="4"/>`, 300)),
		"many long paths":    wrap(strings.Repeat(`<path d="M0 0`+strings.Repeat("h1v1", 9_000)+`Z"/>`, 20)),
		"2 MB":               wrap("<!--" + strings.Repeat("x", 2<<20) + `--><path d="M0 0H9V9Z"/>`),
		"points without end": wrap(`<polygon points="` + strings.Repeat("1 2 ", 250_000) + `"/>`),
		"a long attribute": wrap(`<path transform="` + strings.Repeat("rotate(1)",
			100_000) + `" d="M0 0H9V9Z"/>` + strings.Repeat(" ", 10)),
	}
}

func TestBrokenAndHostileFilesAreRefusedByName(t *testing.T) {
	for _, dir := range []string{"broken", "hostile"} {
		entries, err := os.ReadDir(filepath.Join("testdata", dir))
		require.NoError(t, err)
		require.NotEmpty(t, entries)
		for _, e := range entries {
			refused(t, e.Name(), file(t, dir+"/"+e.Name()))
		}
	}
	for name, data := range generated() {
		if name != "a long attribute" { // slow to write, and sound
			refused(t, name, data)
		}
	}
}

func refused(t *testing.T, name string, data []byte) {
	t.Helper()
	d, err := svgfile.Read(data)
	var refusal *drawing.Refusal
	if assert.True(t, errors.As(err, &refusal), "%s: %v", name, err) {
		assert.NotEmpty(t, refusal.Reason, name)
		assert.NotEmpty(t, refusal.Remedy, name)
		assert.Less(t, len(refusal.Error()), 400, "%s: short enough to be read", name)
	}
	assert.Empty(t, d, name)
}

// No file makes the reader take more than 200 MB, all that it ever asks for added up.
func TestNoFileTakesMuchMemory(t *testing.T) {
	for name, data := range generated() {
		var before, after runtime.MemStats
		runtime.ReadMemStats(&before)
		_, err := svgfile.Read(data)
		runtime.ReadMemStats(&after)
		assert.Less(t, (after.TotalAlloc-before.TotalAlloc)>>20, uint64(200), "%s (%v)", name, err)
	}
}

// Out and in again: every point within a hundredth of a millimetre, on the corpus.
func TestRoundTrips(t *testing.T) {
	for _, name := range []string{"units-mm", "units-in", "pixels", "groups", "holes", "every-command", "partly"} {
		d := read(t, "sound/"+name+".svg")
		same(t, d.Outlines, svgfile.Write(name, 300, 300, d.Outlines))
	}
}

func same(t require.TestingT, list []drawing.Outline, data []byte) {
	back, err := svgfile.Read(data)
	require.NoError(t, err)
	require.Len(t, back.Outlines, len(list))
	assert.Empty(t, back.Omitted)
	for i, o := range back.Outlines {
		assert.Equal(t, list[i].Name, o.Name)
		assert.Equal(t, list[i].Line, o.Line)
		was := shape.NewRegion(list[i].Path.Flat(1e-3))
		for _, l := range o.Path.Flat(1e-3) {
			for k := 0; k < len(l.Points); k += 1 + len(l.Points)/64 {
				assert.LessOrEqual(t, was.Gap(l.Points[k]), 0.01)
			}
		}
		assert.InDelta(t, was.Area(), shape.NewRegion(o.Path.Flat(1e-3)).Area(),
			0.01*(1+was.Box.Width()+was.Box.Height()))
	}
}

func TestRandomShapesRoundTrip(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f := shape.Forms[rapid.IntRange(0, len(shape.Forms)-1).Draw(t, "form")]
		p, _ := shape.FormNamed(f.Name)
		m := shape.Scale(rapid.Float64Range(0.1, 4).Draw(t, "across"), rapid.Float64Range(0.1, 4).Draw(t, "up")).
			Then(shape.Turn(rapid.Float64Range(-180, 180).Draw(t, "turn"))).
			Then(shape.Move(rapid.Float64Range(-500, 500).Draw(t, "x"), 0))
		list := []drawing.Outline{{Name: "a & <b>", Fill: "#4d6b3c", Path: p.Mapped(m)}}
		same(t, list, svgfile.Write(`"title" & <more>`, 500, 500, list))
	})
}

func TestARowKeepsShapesApart(t *testing.T) {
	var list []drawing.Outline
	for i, f := range shape.Forms {
		p, _ := shape.FormNamed(f.Name)
		list = append(list, drawing.Outline{Name: fmt.Sprint(i), Path: p})
	}
	row, width, height := svgfile.Row(list, 10, 400)
	assert.LessOrEqual(t, width, 400.0)
	for i, a := range row {
		b := a.Path.Box()
		assert.True(t, b.X1 >= 10-1e-9 && b.Y1 >= 10-1e-9 && b.X2 <= width-10+1e-9 && b.Y2 <= height-10+1e-9)
		for _, other := range row[:i] {
			assert.False(t, b.Meets(other.Path.Box()))
		}
	}
}

func FuzzRead(f *testing.F) {
	for _, dir := range []string{"sound", "broken", "hostile"} {
		entries, _ := os.ReadDir(filepath.Join("testdata", dir))
		for _, e := range entries {
			f.Add(file(f, dir+"/"+e.Name()))
		}
	}
	f.Fuzz(func(t *testing.T, data []byte) {
		d, err := svgfile.Read(data)
		if err != nil {
			assert.Empty(t, d)
			return
		}
		for _, o := range d.Outlines {
			_, err := shape.Parse(o.Path.Text())
			assert.NoError(t, err, "what is read can be written")
		}
	})
}

// Reading hostile files, each for itself: none comes near a second.
func BenchmarkRead(b *testing.B) {
	for name, data := range generated() {
		b.Run(name, func(b *testing.B) {
			for range b.N {
				_, _ = svgfile.Read(data)
			}
		})
	}
}
