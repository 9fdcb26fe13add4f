package length_test

import (
	"encoding/json"
	"os"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/length"
	_ "umschlag/seeded"
)

const sixtyFourth = length.Inch / 64

// Source: "Refinement of Values for the Yard and the Pound", Federal Register,
// 1 July 1959: 1 yard = 0.9144 metre exactly, hence 1 inch = 25.4 millimetres.
func TestUnitsAreThePublishedOnes(t *testing.T) {
	assert.Equal(t, 9144*length.Metre/10000, length.Yard)
	assert.Equal(t, 3*length.Foot, length.Yard)
	assert.Equal(t, 12*length.Inch, length.Foot)
	assert.Equal(t, length.Length(25_400_000), length.Inch)
	assert.Zero(t, length.Inch%64, "1/64 in is whole")
}

func TestParse(t *testing.T) {
	in := func(whole, num, den int64) length.Length {
		return length.Length(whole)*length.Inch + length.Length(num)*length.Inch/length.Length(den)
	}
	for text, want := range map[string]length.Length{
		"16 1/2":       in(16, 1, 2),
		"16½":          in(16, 1, 2),
		"16 ½":         in(16, 1, 2),
		"16-1/2":       in(16, 1, 2),
		"16.5":         in(16, 1, 2),
		`16.5"`:        in(16, 1, 2),
		"16.5″":        in(16, 1, 2),
		"16.5 in":      in(16, 1, 2),
		"16.5 in.":     in(16, 1, 2),
		"16.5 INCHES":  in(16, 1, 2),
		"12 6/8":       in(12, 3, 4),
		"1 1/4 yd":     in(45, 0, 1),
		`2' 6"`:        in(30, 0, 1),
		`2′6½″`:        in(30, 1, 2),
		"2 ft 6 in":    in(30, 0, 1),
		"1 yd 2' 3\"":  in(63, 0, 1),
		"41 cm":        41 * length.Centimetre,
		"41,5 cm":      415 * length.Millimetre,
		"410mm":        410 * length.Millimetre,
		"0.5 m":        500 * length.Millimetre,
		"-1":           -length.Inch,
		"−1 1/2":       -in(1, 1, 2),
		"- 3 cm":       -3 * length.Centimetre,
		"1/64":         sixtyFourth,
		"0":            0,
		" 7/8 ":        in(0, 7, 8),
		"1⁄3":          8_466_667, // 25.4 mm / 3, to the nearest nanometre
		"-1/3":         -8_466_667,
		"16''":         in(16, 0, 1),
		"2’ 6”":        in(30, 0, 1),
		"0.0000000001": 0,
	} {
		got, err := length.Parse(text, length.Inches)
		if assert.NoError(t, err, text) {
			assert.Equal(t, want, got, text)
		}
	}
}

func TestBareNumbersTakeTheUnit(t *testing.T) {
	for unit, want := range map[length.Unit]length.Length{length.Inches: 3 * length.Inch,
		length.Centimetres: 3 * length.Centimetre, length.Millimetres: 3 * length.Millimetre} {
		got, err := length.Parse("3", unit)
		require.NoError(t, err)
		assert.Equal(t, want, got, unit)
	}
}

func TestParseNamesTheOffendingCharacter(t *testing.T) {
	for text, pos := range map[string]int{
		"16 1/0":     5,
		"1 2/3/4":    5,
		"twelve":     0,
		"":           0,
		"-":          1,
		"4 km":       2,
		"16 1":       3,
		"16-":        3,
		"1/":         2,
		"16.":        3,
		"16.5.5":     4,
		"16.5/2":     4,
		"1 1/2.5":    5,
		`6" 2'`:      4,
		"2' 6":       3,
		"2 cm 3 mm":  7,
		"16 1/2 x":   7,
		"16#":        2,
		"1e3":        1,
		"5000 m":     0,
		"½ ½":        2,
		"12 in 3 in": 8,
	} {
		_, err := length.Parse(text, length.Inches)
		var syntax *length.SyntaxError
		if assert.ErrorAs(t, err, &syntax, text) {
			assert.Equal(t, pos, syntax.Pos, "%s: %s", text, syntax.Reason)
			assert.NotEmpty(t, syntax.Reason)
			assert.Contains(t, err.Error(), strconv.Itoa(pos+1))
		}
	}
}

// The values were worked out by fraction.js, an independent library, in
// scripts/fractions.mjs.
func TestParseAgainstAnotherFractionLibrary(t *testing.T) {
	data, err := os.ReadFile("testdata/fractions.json")
	require.NoError(t, err)
	var cases []struct{ Text, NM string }
	require.NoError(t, json.Unmarshal(data, &cases))
	require.Greater(t, len(cases), 300)
	for _, c := range cases {
		got, err := length.Parse(c.Text, length.Inches)
		require.NoError(t, err, c.Text)
		assert.Equal(t, c.NM, strconv.FormatInt(int64(got), 10), c.Text)
	}
}

func TestText(t *testing.T) {
	eighths := length.Style{Unit: length.Inches}
	for _, c := range []struct {
		style length.Style
		l     length.Length
		want  string
	}{
		{eighths, 39 * length.Inch / 2, "19½″"},
		{eighths, 0, "0″"},
		{eighths, -length.Inch, "−1″"},
		{eighths, length.Inch / 4, "¼″"},
		{eighths, 21 * length.Inch / 8, "2⅝″"},
		{eighths, 43 * length.Inch / 16, "2¹¹⁄₁₆″"},
		{eighths, length.Inch / 32, "¹⁄₃₂″"},
		{eighths, 20*length.Inch + 17_272_000, "≈20⅝″"}, // 20.68
		{length.Style{Denominator: 16}, 20*length.Inch + 17_272_000, "≈20¹¹⁄₁₆″"},
		{eighths, 2_260_600, "≈³⁄₃₂″"}, // 0.089: an eighth is too coarse
		{length.Style{Unit: length.Millimetres}, 410 * length.Millimetre, "410 mm"},
		{length.Style{Unit: length.Millimetres}, length.Inch, "≈25 mm"},
		{length.Style{Unit: length.Centimetres}, 415 * length.Millimetre, "41.5 cm"},
		{length.Style{Unit: length.Centimetres}, 41 * length.Centimetre, "41 cm"},
		{length.Style{Unit: length.Centimetres}, -length.Inch, "≈−2.5 cm"},
	} {
		assert.Equal(t, c.want, c.style.Text(c.l))
		assert.Equal(t, c.want[:len("≈")] != "≈", c.style.Exact(c.l), "what is not exact is marked")
	}
}

func TestYards(t *testing.T) {
	assert.Equal(t, "1¼ yd", length.Style{Unit: length.Inches}.Yards(45*length.Inch))
	assert.Equal(t, "1.20 m", length.Style{Unit: length.Centimetres}.Yards(120*length.Centimetre))
}

func anyLength(t *rapid.T) length.Length {
	return length.Length(rapid.Int64Range(-int64(length.Limit), int64(length.Limit)).Draw(t, "nm"))
}

func anyStyle(t *rapid.T) length.Style {
	return length.Style{Unit: rapid.SampledFrom(length.Units()).Draw(t, "unit"),
		Denominator: rapid.SampledFrom([]int64{0, 8, 16, 32}).Draw(t, "denominator")}
}

func TestPlainIsReadBackExactly(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		l, s := anyLength(t), anyStyle(t)
		got, err := length.Parse(s.Plain(l), s.Unit)
		require.NoError(t, err, s.Plain(l))
		assert.Equal(t, l, got, s.Plain(l))
	})
}

func TestShownTextIsReadBackWithinAStep(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		l, s := anyLength(t)/1000, anyStyle(t)
		text := s.Text(l)
		if smallest, less := strings.CutPrefix(strings.TrimPrefix(text, "−"), "<"); less {
			step := map[string]length.Length{"¹⁄₃₂″": length.Inch / 32, "1 mm": length.Millimetre,
				"0.1 cm": length.Millimetre}[smallest]
			assert.Less(t, max(l, -l), step/2+1, text)
			assert.Equal(t, l < 0, strings.HasPrefix(text, "−"), text)
			return
		}
		if !s.Exact(l) {
			assert.Equal(t, "≈", text[:len("≈")])
			assert.NotRegexp(t, `^≈−?0[^.\d]`, text)
			return
		}
		if s.Unit == length.Inches && l%(length.Inch/8) != 0 {
			return // ¹¹⁄₁₆ is for the eye
		}
		got, err := length.Parse(text, s.Unit)
		require.NoError(t, err, text)
		assert.Equal(t, l, got)
	})
}

func TestSteps(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		l := anyLength(t)
		step := length.Length(rapid.Int64Range(1, int64(length.Inch)).Draw(t, "step"))
		up, down := l.Ceil(step), l.Floor(step)
		assert.True(t, down <= l && l <= up && up-down <= step && up.OnStep(step) && down.OnStep(step))
		assert.Equal(t, l.OnStep(step), up == down)
	})
	assert.Equal(t, length.Inch, length.Inch.Ceil(0), "no step changes nothing")
}

func TestPartsNeverExceedTheWhole(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		l := anyLength(t).Abs()
		n := rapid.IntRange(1, 100).Draw(t, "n")
		assert.LessOrEqual(t, l.Div(n).Times(n), l)
		assert.Less(t, l-l.Div(n).Times(n), length.Length(n))
	})
	assert.Zero(t, length.Inch.Div(0))
}

func FuzzParse(f *testing.F) {
	for _, seed := range []string{"16 1/2", "16½", `2' 6"`, "41,5 cm", "-1/3", "1 2/3/4", "16 1/0", "twelve", "９",
		"1\x00", "−−1"} {
		f.Add(seed, 0)
	}
	f.Fuzz(func(t *testing.T, text string, unit int) {
		u := length.Units()[((unit%3)+3)%3]
		l, err := length.Parse(text, u)
		if err != nil {
			var syntax *length.SyntaxError
			require.ErrorAs(t, err, &syntax)
			require.GreaterOrEqual(t, syntax.Pos, 0)
			require.LessOrEqual(t, syntax.Pos, len([]rune(text)))
			return
		}
		require.LessOrEqual(t, l.Abs(), length.Limit)
		again, err := length.Parse(length.Style{Unit: u}.Plain(l), u)
		require.NoError(t, err)
		require.Equal(t, l, again)
	})
}

func BenchmarkParse(b *testing.B) {
	for b.Loop() {
		if _, err := length.Parse("16 1/2", length.Inches); err != nil {
			b.Fatal(err)
		}
	}
}
