package cupboardcsv_test

import (
	"encoding/csv"
	"errors"
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/format/cupboardcsv"
	_ "umschlag/seeded"
)

func sound(plan.Cloth) (string, string) { return "", "" }

func read(t *testing.T, text string) []plan.Cloth {
	t.Helper()
	cloths, err := cupboardcsv.Read([]byte(text), length.Inches, sound)
	require.NoError(t, err)
	return cloths
}

// Quotes, commas and line breaks within a field, as RFC 4180, 2.5 to 2.7, has them.
func TestQuotedFields(t *testing.T) {
	got := read(t, "name,have\r\n\"ink, leaf\",1 1/4 yd\r\n\"the \"\"good\"\" one\",\r\n\"two\nlines\",50 cm\r\n")
	require.Len(t, got, 3)
	assert.Equal(t, []string{"ink, leaf", `the "good" one`, "two\nlines"},
		[]string{got[0].Name, got[1].Name, got[2].Name})
	assert.Equal(t, 45*length.Inch, *got[0].Have)
	assert.Nil(t, got[1].Have)
	assert.Equal(t, 50*length.Centimetre, *got[2].Have)
}

func TestColumnsInAnyOrderAndWithAMark(t *testing.T) {
	got := read(t, "\xef\xbb\xbfWidth, Name ,shrink\n42,calico,3 %\n")
	require.Len(t, got, 1)
	assert.Equal(t, "calico", got[0].Name)
	assert.Equal(t, 42*length.Inch, *got[0].Width, "bare numbers are in the unit of the workshop")
	assert.InDelta(t, 3, got[0].Shrink, 0)
}

func TestOddPiecesAndWhatElseIsKnown(t *testing.T) {
	text := "name,kind,odd,repeat across,repeat along,stretch,prewashed,price,per\r\n" +
		"knit,interlining,20 x 5 x 5; 26 in × 25 in,4,4 1/2,15%,yes,\"12,50\",m\r\n"
	got := read(t, text)
	require.Len(t, got, 1)
	in := length.Inch
	assert.Equal(t, []plan.OddPiece{{Width: 5 * in, Length: 5 * in, Count: 20},
		{Width: 26 * in, Length: 25 * in, Count: 1}}, got[0].Odd)
	assert.Equal(t, plan.Repeat{Across: 4 * in, Along: 9 * in / 2}, *got[0].Repeat)
	assert.Equal(t, []any{plan.Interlining, 15.0, true, 12.5, plan.PerMetre},
		[]any{got[0].Kind, got[0].Stretch, got[0].Prewashed, got[0].Price, got[0].Per})
	out, err := cupboardcsv.Write(got, length.Inches)
	require.NoError(t, err)
	assert.Equal(t, got, read(t, string(out)), "out and in again is the same")
}

func TestHowAClothIsSold(t *testing.T) {
	got := read(t, "name,sold,match,repeat across,repeat along\na,bolt 10 yd,yes,3,0\nb,quarter,,,\nc,panel 24,,,\nd,length 18,,,\n")
	require.Len(t, got, 4)
	in := length.Inch
	assert.Equal(t, []*plan.Sold{{By: plan.ByBolt, Length: 360 * in}, {By: plan.ByQuarter},
		{By: plan.ByPanel, Length: 24 * in}, {By: plan.ByLength, Length: 18 * in}},
		[]*plan.Sold{got[0].Sold, got[1].Sold, got[2].Sold, got[3].Sold})
	assert.Equal(t, []any{true, plan.Repeat{Across: 3 * in}}, []any{got[0].Match, *got[0].Repeat}, "stripes")
	out, err := cupboardcsv.Write(got, length.Inches)
	require.NoError(t, err)
	assert.Equal(t, got, read(t, string(out)))
}

func TestWhatIsWrongIsNamedByRowAndColumn(t *testing.T) {
	for name, c := range map[string]struct {
		text   string
		row    int
		column string
		says   string
	}{
		"an empty file":            {"", 1, "", "the file is empty"},
		"no names":                 {"width\n42\n", 1, "", "a column called name is missing"},
		"a column unknown":         {"name,colour\nx,red\n", 1, "colour", "there is no such column"},
		"a column twice":           {"name,name\nx,y\n", 1, "name", "twice"},
		"a length that is none":    {"name,have\nink leaf,much\n", 2, "have", "much"},
		"offcuts of one side":      {"name,odd\nx,5 in\n", 2, "odd", "is not an offcut"},
		"not a number of offcuts":  {"name,odd\nx,some x 5 x 5\n", 2, "odd", "is no number of pieces"},
		"a price in words":         {"name,price\nx,cheap\n", 2, "price", "is no price"},
		"washed, perhaps":          {"name,prewashed\nx,perhaps\n", 2, "prewashed", "is none of yes, no"},
		"a field too few":          {"name,have\nink leaf\n", 2, "", "it has 1 fields, and the header names 2"},
		"a name twice":             {"name\nink leaf\nInk Leaf\n", 3, "name", "stands in row 2 already"},
		"no name":                  {"name,have\n,1 yd\n", 2, "name", "needs a name"},
		"a print unknown":          {"name,print\nx,sideways\n", 2, "print", "none of plain, all-over"},
		"sold otherwise":           {"name,sold\nx,basket 3\n", 2, "sold", "none of length, bolt, panel, quarter"},
		"a colour unknown":         {"name,ground\nx,blue\n", 2, "ground", "#27345f"},
		"a percentage unknown":     {"name,shrink\nx,some\n", 2, "shrink", "no percentage"},
		"a quote in a bare field":  {"name\nthe \"good\" one\n", 2, "", "double the quotes"},
		"a quote that is not shut": {"name,have\n\"ink leaf,1 yd\n", 2, "", "double the quotes"},
		"another encoding":         {"name\nna\xefve\n", 2, "", "UTF-8"},
	} {
		cloths, err := cupboardcsv.Read([]byte(c.text), length.Inches, sound)
		assert.Nil(t, cloths, name)
		var problems cupboardcsv.Faults
		if assert.True(t, errors.As(err, &problems), name) {
			assert.Equal(t, c.row, problems[0].Row, name)
			assert.Equal(t, c.column, problems[0].Column, name)
			assert.Contains(t, problems[0].Text, c.says, name)
		}
	}
}

func TestAllProblemsAreNamedAndNothingIsTaken(t *testing.T) {
	judge := func(c plan.Cloth) (string, string) {
		if *c.Width == 0 {
			return "width", "cannot be 0"
		}
		return "", ""
	}
	cloths, err := cupboardcsv.Read([]byte("name,width\na,42\nb,0\nc,wide\n"), length.Inches, judge)
	assert.Nil(t, cloths)
	require.Error(t, err)
	assert.Contains(t, err.Error(), "row 3, column width: cannot be 0; row 4, column width:")
}

func TestAHundredThousandRowsAreRefused(t *testing.T) {
	var b strings.Builder
	b.WriteString("name\n")
	for i := range 100_000 {
		fmt.Fprintln(&b, i)
	}
	_, err := cupboardcsv.Read([]byte(b.String()), length.Inches, sound)
	require.ErrorContains(t, err, "row 2002: there are more than 2000 fabrics")
	_, err = cupboardcsv.Read(make([]byte, 2<<20), length.Inches, sound)
	require.ErrorContains(t, err, "the file has 2048 kB")
}

// Out and in again, whatever stands in it; and a general CSV reader sees as many rows.
func TestRoundTrip(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var cloths []plan.Cloth
		seen := map[string]bool{}
		for i := range rapid.IntRange(0, 6).Draw(t, "cloths") {
			name := strings.TrimSpace(rapid.StringMatching(`[a-z ,"äß\n]{0,12}`).Draw(t, "name")) + fmt.Sprint(i)
			draw := func(what string) *length.Length {
				l := length.Length(rapid.Int64Range(1, int64(200*length.Inch)).Draw(t, what))
				return &l
			}
			seen[name] = true
			cloths = append(cloths,
				plan.Cloth{Name: name, Width: draw("width"), Have: draw("have"),
					Print:  rapid.SampledFrom([]plan.Print{"", "one-way"}).Draw(t, "print"),
					Shrink: float64(rapid.IntRange(0, 20).Draw(t, "shrink")) / 2,
					Swatch: plan.Swatch{Motif: "leaf", Ground: "#27345f", Ink: "#6f8fc4"}})
		}
		unit := rapid.SampledFrom(length.Units()).Draw(t, "unit")
		data, err := cupboardcsv.Write(cloths, unit)
		require.NoError(t, err)
		records, err := csv.NewReader(strings.NewReader(string(data))).ReadAll()
		require.NoError(t, err)
		assert.Len(t, records, len(cloths)+1)
		back, err := cupboardcsv.Read(data, length.Millimetres, sound)
		require.NoError(t, err)
		assert.Equal(t, len(cloths), len(back))
		for i := range back {
			assert.Equal(t, cloths[i], back[i])
		}
	})
}

func FuzzRead(f *testing.F) {
	f.Add([]byte("name,have\nink leaf,1 1/4 yd\n"))
	f.Add([]byte("\xef\xbb\xbfname\n\"a\nb\"\n"))
	f.Add([]byte("name,odd\nleaf,20 x 5 in x 5 in; 26 in x 25 in\n"))
	f.Add([]byte("name,kind,stretch,prewashed,price,per,repeat across\nknit,interlining,15,yes,12.5,m,4 in\n"))
	f.Fuzz(func(t *testing.T, data []byte) {
		cloths, err := cupboardcsv.Read(data, length.Inches, sound)
		if err != nil {
			assert.Nil(t, cloths)
			return
		}
		again, err := cupboardcsv.Write(cloths, length.Inches)
		require.NoError(t, err)
		_, err = cupboardcsv.Read(again, length.Inches, sound)
		assert.NoError(t, err)
	})
}

func TestNotionsGoOutAndIn(t *testing.T) {
	list := []plan.Notion{
		{Name: "thread, grey", For: "thread", Have: 60 * length.Metre, Pack: 200 * length.Metre, Price: 3.2,
			Colour: "#8b8b86"},
		{Name: "zips", For: "zip", Count: 3, Each: 16 * length.Inch, PackCount: 1, Price: 2.1},
	}
	none := func(plan.Notion) (string, string) { return "", "" }
	data, err := cupboardcsv.WriteNotions(list, length.Inches)
	require.NoError(t, err)
	got, err := cupboardcsv.ReadNotions(data, length.Centimetres, none)
	require.NoError(t, err)
	assert.Equal(t, list, got, "lengths carry their unit")
	for name, c := range map[string]struct{ text, says string }{
		"half a zip":  {"name,for,count\nx,zip,half\n", "is no whole number"},
		"no name":     {"name,for\n,zip\n", "a thing needs a name"},
		"a bad place": {"name,colour\nx,red\n", "is no colour"},
	} {
		_, err := cupboardcsv.ReadNotions([]byte(c.text), length.Inches, none)
		require.ErrorContains(t, err, c.says, name)
	}
}

func TestANameThatLooksLikeAFormulaIsNone(t *testing.T) {
	list := []plan.Cloth{{Name: "=1+1"}, {Name: "+1"}, {Name: "-moss"}, {Name: "@ink"}, {Name: "'tis"}, {Name: "'=x"}}
	out, err := cupboardcsv.Write(list, length.Inches)
	require.NoError(t, err)
	for _, line := range strings.Split(strings.TrimSpace(string(out)), "\r\n")[1:] {
		assert.NotContains(t, "=+-@", line[:1])
	}
	var names []string
	for _, c := range read(t, string(out)) {
		names = append(names, c.Name)
	}
	assert.Equal(t, []string{"=1+1", "+1", "-moss", "@ink", "'tis", "'=x"}, names)
}
