package shape_test

import (
	"math"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/shape"
	_ "umschlag/seeded"
)

func parse(t *testing.T, text string) shape.Path {
	t.Helper()
	p, err := shape.Parse(text)
	require.NoError(t, err, text)
	return p
}

func round(p shape.Path) float64 {
	total := 0.0
	for _, l := range p.Flat(1e-5) {
		total += l.Length()
	}
	return total
}

// What each command draws, against the geometry it stands for. The notation is that of
// SVG 2, chapter 9.
func TestCommands(t *testing.T) {
	for text, c := range map[string]struct {
		length, area float64
		w, h         float64
	}{
		"M0 0L3 0L3 4Z":                     {12, 6, 3, 4},
		"m1 1 3 0 0 4z":                     {12, 6, 3, 4},
		"M0,0H10V10H0z":                     {40, 100, 10, 10},
		"M0 0h10v10h-10z":                   {40, 100, 10, 10},
		"M0 0A5 5 0 0 1 10 0A5 5 0 0 1 0 0": {10 * math.Pi, 25 * math.Pi, 10, 10},
		"M0 0a5 5 0 1110 0 5 5 0 01-10 0z":  {10 * math.Pi, 25 * math.Pi, 10, 10},
		"M0 0A1 1 0 0 1 10 0Z":              {5*math.Pi + 10, 12.5 * math.Pi, 10, 5}, // radii that are too small grow
		"M0 0A0 5 0 0 1 10 0L10 5Z":         {10 + 5 + math.Sqrt(125), 25, 10, 5},
		"M.5.5.5 1.5 1.5 1.5z":              {2 + math.Sqrt2, 0.5, 1, 1},
		"M0 0L1e1 0L1E1 1e1Z":               {20 + math.Sqrt(200), 50, 10, 10},
		"M0 0Q5 10 10 0Z":                   {10 + 14.7894286, 100.0 / 3, 10, 5},
		"M0 0C0 10 10 10 10 0Z":             {10 + 20, 60, 10, 7.5},
	} {
		t.Run(text, func(t *testing.T) {
			p := parse(t, text)
			box := p.Box()
			assert.InDelta(t, c.w, box.Width(), 1e-4)
			assert.InDelta(t, c.h, box.Height(), 1e-4)
			assert.InDelta(t, c.area, shape.NewRegion(p.Flat(1e-5)).Area(), 1e-3)
			assert.InDelta(t, c.length, round(p), 1e-3)
		})
	}
}

// Smooth commands mirror the control point before them; after anything else it is the
// current point.
func TestSmoothCommands(t *testing.T) {
	assert.Equal(t, parse(t, "M0 0C0 5 5 5 5 0C5 -5 10 -5 10 0").Text(), parse(t, "M0 0C0 5 5 5 5 0S10-5 10 0").Text())
	assert.Equal(t, parse(t, "M0 0Q5 10 10 0Q15 -10 20 0").Text(), parse(t, "M0 0Q5 10 10 0T20 0").Text())
	assert.Equal(t, parse(t, "M0 0L5 5C5 5 10 5 10 0").Text(), parse(t, "M0 0L5 5S10 5 10 0").Text())
	assert.Equal(t, "M0 0L10 0L10 10Z M0 0L5 5", parse(t, "M0 0H10V10zL5 5").Text(),
		"after a closed run the next begins where it began")
}

func TestBrokenPathsNameTheCharacter(t *testing.T) {
	for text, c := range map[string]struct {
		at     int
		reason string
	}{
		"":                   {1, "nothing is drawn"},
		"L0 0":               {1, "begins with M"},
		"M0 0X5":             {5, "a command is expected"},
		"M0 0L5":             {7, "a number is expected"},
		"M0 0L5 5 6":         {11, "a number is expected"},
		"M0 0A5 5 0 2 1 9 9": {12, "0 or 1"},
		"M0 0L1e99 0":        {6, "too large"},
		"M0 0Lé 0":           {6, "a number is expected"},
		"star":               {1, "begins with M"},
	} {
		_, err := shape.Parse(text)
		var syntax *shape.SyntaxError
		if assert.ErrorAs(t, err, &syntax, text) {
			assert.Equal(t, c.at, syntax.Position, text)
			assert.Contains(t, syntax.Reason, c.reason, text)
		}
	}
	_, err := shape.Parse("M0 0" + strings.Repeat("l1 1", shape.MostSegments+1))
	assert.ErrorContains(t, err, "too long")
	_, err = shape.Parse(strings.Repeat("M0 0", shape.MostText))
	assert.ErrorContains(t, err, "too long")
}

func TestFormsAreOutlinesThatCanBeCut(t *testing.T) {
	names := map[string]bool{}
	for _, f := range shape.Forms {
		p, ok := shape.FormNamed(f.Name)
		require.True(t, ok, f.Name)
		assert.False(t, names[f.Name], f.Name)
		names[f.Name] = true
		r := shape.NewRegion(p.Flat(0.01))
		assert.False(t, r.Crossed(0.01), "%s crosses itself", f.Name)
		assert.Greater(t, r.Area(), 0.1*p.Box().Width()*p.Box().Height(), f.Name)
		for _, run := range p {
			assert.True(t, run.Closed, f.Name)
		}
	}
	ring, _ := shape.FormNamed("ring")
	assert.InDelta(t, math.Pi*(50*50-26*26), shape.NewRegion(ring.Flat(1e-4)).Area(), 0.1, "its hole is taken off")
	assert.False(t, shape.NewRegion(ring.Flat(0.1)).Holds(shape.Point{X: 50, Y: 50}))
}

func TestMaps(t *testing.T) {
	p := parse(t, "M1 0L2 0")
	assert.Equal(t, "M0 1L0 2", p.Mapped(shape.Turn(90)).Text(), "clockwise as drawn, y down")
	assert.Equal(t, "M-1 0L-2 0", p.Mapped(shape.Scale(-1, 1)).Text())
	assert.Equal(t, "M12 5L14 5", p.Mapped(shape.Scale(2, 2).Then(shape.Move(10, 5))).Text(),
		"first the one, then the other")
}

// anyPath is a closed path of lines, curves and arcs.
func anyPath(t *rapid.T) string {
	n := func(name string) float64 { return math.Round(rapid.Float64Range(-500, 500).Draw(t, name)*100) / 100 }
	var b strings.Builder
	put := func(command string, values ...float64) { b.WriteString(command); writeAll(&b, values) }
	put("M", n("x"), n("y"))
	for range rapid.IntRange(1, 8).Draw(t, "segments") {
		switch rapid.IntRange(0, 4).Draw(t, "kind") {
		case 0:
			put("L", n("x"), n("y"))
		case 1:
			put("c", n("x"), n("y"), n("x"), n("y"), n("x"), n("y"))
		case 2:
			put("q", n("x"), n("y"), n("x"), n("y"))
		case 3:
			put("A", math.Abs(n("r"))+1, math.Abs(n("r"))+1, n("turn"), float64(rapid.IntRange(0, 1).Draw(t, "large")),
				float64(rapid.IntRange(0, 1).Draw(t, "sweep")), n("x"), n("y"))
		default:
			put("t", n("x"), n("y"))
		}
	}
	return b.String() + "Z"
}

func writeAll(b *strings.Builder, values []float64) {
	for i, v := range values {
		if i > 0 {
			b.WriteByte(' ')
		}
		b.WriteString(strconv.FormatFloat(v, 'f', -1, 64))
	}
}

func TestTextIsReadBackWithinAThousandth(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p, err := shape.Parse(anyPath(t))
		require.NoError(t, err)
		back, err := shape.Parse(p.Text())
		require.NoError(t, err)
		require.Equal(t, len(p), len(back))
		for i, run := range p {
			require.Equal(t, len(run.Segments), len(back[i].Segments))
			for k, s := range run.Segments {
				assert.InDelta(t, s.To.X, back[i].Segments[k].To.X, 0.00051)
				assert.InDelta(t, s.C2.Y, back[i].Segments[k].C2.Y, 0.00051)
			}
		}
		assert.Equal(t, back.Text(), parse2(back.Text()), "the second time nothing changes")
	})
}

func parse2(text string) string {
	p, err := shape.Parse(text)
	if err != nil {
		return err.Error()
	}
	return p.Text()
}

func TestStraightPiecesKeepToTheCurve(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p, err := shape.Parse(anyPath(t))
		require.NoError(t, err)
		coarse, fine := shape.NewRegion(p.Flat(0.5)), p.Flat(0.001)
		for _, l := range fine {
			for i := 0; i < len(l.Points); i += 1 + len(l.Points)/50 {
				assert.LessOrEqual(t, coarse.Gap(l.Points[i]), 0.51)
			}
		}
		box := p.Box()
		for _, l := range fine {
			for _, q := range l.Points {
				assert.True(t, q.X >= box.X1-1e-6 && q.X <= box.X2+1e-6 && q.Y >= box.Y1-1e-6 && q.Y <= box.Y2+1e-6,
					"the box holds it")
			}
		}
	})
}

func TestEvenOddPathsAreTurnedSoThatHolesStayHoles(t *testing.T) {
	// Three squares within each other, all the same way round.
	p := shape.Nested(parse(t, "M0 0H100V100H0Z M20 20H80V80H20Z M40 40H60V60H40Z"))
	r := shape.NewRegion(p.Flat(1))
	assert.InDelta(t, 10000-3600+400, r.Area(), 1e-6)
	assert.True(t, r.Holds(shape.Point{X: 10, Y: 10}))
	assert.False(t, r.Holds(shape.Point{X: 30, Y: 30}))
	assert.True(t, r.Holds(shape.Point{X: 50, Y: 50}))
}

func TestAReversedRunEnclosesTheSame(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p, err := shape.Parse(anyPath(t))
		require.NoError(t, err)
		back := shape.Path{p[0].Reversed()}
		assert.InDelta(t, p.Flat(0.01)[0].Area(), -back.Flat(0.01)[0].Area(), 1)
		assert.Equal(t, p.Text(), shape.Path{p[0].Reversed().Reversed()}.Text())
	})
}

func FuzzParse(f *testing.F) {
	for _, form := range shape.Forms {
		f.Add(form.Data)
	}
	f.Add("M0 0a1e9 1 9 10 5 5Z")
	f.Fuzz(func(t *testing.T, text string) {
		p, err := shape.Parse(text)
		if err != nil {
			return
		}
		if box := p.Box(); math.Max(box.Width(), box.Height()) > 1e8 ||
			math.Max(math.Abs(box.X1), math.Abs(box.Y1)) > 1e8 {
			return // relative commands lead anywhere
		}
		again, err := shape.Parse(p.Text())
		require.NoError(t, err)
		assert.Equal(t, len(p), len(again))
		assert.False(t, math.IsNaN(p.Box().Width()))
	})
}
