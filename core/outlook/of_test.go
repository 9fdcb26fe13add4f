package outlook_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/stat"
	"pgregory.net/rapid"

	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/outlook"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sample"
	"umschlag/core/sum"
)

func nm(v float64) length.Length { return length.FromFloat(v) }

func size(w, h length.Length) sum.Size {
	return sum.Size{Width: sum.Of(sum.Part, "w", w), Height: sum.Of(sum.Part, "h", h)}
}

// faced is a grid of patches of 3 in with seams of 1/4, and borders round it.
func faced(t require.TestingT, columns, rows, borders int) front.Face {
	f := plan.Face{Kind: plan.GridFace, Columns: columns, Rows: rows, Cloths: []string{"A", "B"},
		Patch: plan.Patch{Width: 3 * length.Inch, Height: 3 * length.Inch}, Order: plan.Order{Kind: plan.Alternate}}
	for range borders {
		f.Borders = append(f.Borders, plan.Border{Width: plan.Extent{Width: length.Inch}, Cloth: "C"})
	}
	round := (2 * length.Inch).Times(borders)
	w, h := (3*length.Inch).Times(columns)+round, (3*length.Inch).Times(rows)+round
	seam := length.Inch / 4
	made, found := front.Build(front.Order{Face: f.Keyed(nil), Path: "/pieces/front/face", Finished: size(w, h),
		Trimmed: size(w+2*seam, h+2*seam), Top: size(w+2*seam, h+2*seam), Seam: seam, Step: length.Inch / 8})
	require.False(t, found.Stopped(), "%v", found)
	return made
}

// three strips of which the middle one was cut 1½ and should finish 1: each measures that less what its seams took.
func strips(widths ...float64) plan.Sample {
	s := plan.Sample{Kind: plan.StripSample, Cut: 3 * length.Inch / 2, Seam: length.Inch / 4}
	for _, w := range widths {
		s.After = append(s.After, plan.Sized{Width: nm(w * in)})
	}
	return s
}

// A panel of c columns has c − 1 seams across and c cuts; each border adds two of both. A single row has no seam up.
func TestWhatIsCountedInEachDirection(t *testing.T) {
	o := outlook.Order{Plan: plan.Plan{Title: "any"}}
	for _, c := range []struct{ columns, rows, borders int }{{4, 3, 0}, {4, 3, 1}, {2, 5, 2}, {6, 1, 0}, {3, 1, 1}} {
		got := o.Of(faced(t, c.columns, c.rows, c.borders))
		want := map[string][2]int{"across": {c.columns - 1 + 2*c.borders, c.columns + 2*c.borders}}
		if c.rows > 1 || c.borders > 0 {
			want["up"] = [2]int{c.rows - 1 + 2*c.borders, c.rows + 2*c.borders}
		}
		told := map[string][2]int{}
		for _, d := range got {
			told[d.Name] = [2]int{d.Seams, d.Cuts}
			n := map[string]int{"across": c.columns, "up": c.rows}[d.Name]
			panel := outlook.Panel{Patches: n, Seams: n - 1, Borders: c.borders}
			assert.Equal(t, outlook.Closed(panel, outlook.Usual()), d.Fit)
			assert.Equal(t, "by what is usual: no three strips are sewn yet", d.From)
		}
		assert.Equal(t, want, told)
	}
	assert.Empty(t, o.Of(front.Face{}), "one piece of fabric has no seams")
}

// The maker's own seams: each strip is short by both its seams, so half of it is one; mean and spread as a
// general-purpose library says, the spread not below a quarter of what is usual.
func TestTheMakersOwnSeams(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		widths := rapid.SliceOfN(rapid.Float64Range(0.9, 1.1), 1, 6).Draw(t, "strips")
		past := rapid.SliceOfN(rapid.Float64Range(-1.0/32, 1.0/16), 0, 4).Draw(t, "gates of other plans")
		o := outlook.Order{Plan: plan.Plan{Title: "this"}, Samples: sample.Shelf{"s": strips(widths...),
			"not cut": {Kind: plan.StripSample, After: []plan.Sized{{Width: length.Inch}}},
			"other":   {Kind: plan.QuiltingSample, Cut: length.Inch, After: []plan.Sized{{Width: length.Inch}}}},
			Past: map[string][]float64{"this": {in}}}
		var errors []float64
		for _, w := range widths {
			errors = append(errors, (in-nm(w*in).Float())/2)
		}
		many := func(n int, of string) string {
			return string(rune('0'+n)) + " " + map[bool]string{true: of, false: of + "s"}[n == 1]
		}
		from := "by " + many(len(widths), "strip") + " of yours"
		if len(past) > 0 {
			of := make([]float64, len(past))
			for i, e := range past {
				of[i] = e * in
			}
			o.Past["that"] = of
			errors, from = append(errors, of...), from+" and "+many(len(past), "measurement")+" at your measuring steps"
		}
		s := outlook.Spread{SeamSD: outlook.Usual().SeamSD, CutSD: outlook.Usual().CutSD, Seam: stat.Mean(errors, nil)}
		if len(errors) > 2 {
			s.SeamSD = max(stat.StdDev(errors, nil), in/256)
		}
		d := o.Of(faced(t, 4, 4, 0))[0]
		want := outlook.Closed(outlook.Panel{Patches: 4, Seams: 3}, s)
		assert.InDelta(t, want.Mean, d.Fit.Mean, 1)
		assert.InDelta(t, want.SD, d.Fit.SD, 1)
		assert.InDelta(t, want.Chance, d.Fit.Chance, 1e-9)
		assert.Equal(t, from, d.From)
		even := s
		even.Seam = 0
		then := outlook.Closed(outlook.Panel{Patches: 4, Seams: 3}, even).Chance
		helps := then >= want.Chance+0.005 && want.Chance <= 0.99
		assert.Equal(t, helps, slices.ContainsFunc(d.Buys, func(b outlook.Buy) bool {
			return b.What == "with seams that are true on average"
		}), "true seams are offered where they are not, and that shows")
	})
}

// What would help where seams are fat: true ones have no mean error, and a border cut to the measured centre leaves
// only itself and the tape, which is read to half of a 32nd. Seams half as uneven would make it worse: not offered.
func TestWhatWouldHelp(t *testing.T) {
	fat := outlook.Usual()
	fat.Seam = in / 64
	o := outlook.Order{Plan: plan.Plan{Title: "any"}, Samples: sample.Shelf{"s": strips(1 - 1.0/32)}}
	for _, borders := range []int{0, 1} {
		d := o.Of(faced(t, 6, 6, borders))[0]
		panel := outlook.Panel{Patches: 6, Seams: 5, Borders: borders}
		even, closer := fat, fat
		even.Seam, closer.SeamSD = 0, fat.SeamSD/2
		all := []outlook.Buy{{What: "with seams that are true on average", Chance: outlook.Closed(panel, even).Chance},
			{What: "with seams half as uneven", Chance: outlook.Closed(panel, closer).Chance},
			{What: map[int]string{0: "with a border, cut to the measured centre",
				1: "with its border cut to the measured centre"}[borders],
				Chance: outlook.Recut(outlook.Panel{Borders: 1}, fat, in/64).Chance}}
		assert.Less(t, all[1].Chance, d.Fit.Chance, "evenly too fat is worse than unevenly")
		require.Len(t, d.Buys, 2)
		for i, want := range []outlook.Buy{all[0], all[2]} {
			assert.Equal(t, want.What, d.Buys[i].What)
			assert.InDelta(t, want.Chance, d.Buys[i].Chance, 1e-6)
		}
	}
}

// A border of two seams that is cut to a centre of one piece, as exact as that piece is cut, makes nothing truer; nor
// is anything offered that would not show.
func TestWhatWouldNotHelpIsNotOffered(t *testing.T) {
	o := outlook.Order{Plan: plan.Plan{Title: "any"}}
	d := o.Of(faced(t, 2, 1, 1))[1]
	require.Equal(t, [2]int{2, 3}, [2]int{d.Seams, d.Cuts})
	require.Len(t, d.Buys, 1)
	assert.Equal(t, "with seams half as uneven", d.Buys[0].What)
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(2, 8).Draw(t, "columns")
		widths := rapid.SliceOfN(rapid.Float64Range(0.96, 1.04), 1, 4).Draw(t, "widths")
		for _, d := range (outlook.Order{Samples: sample.Shelf{"s": strips(widths...)}}).Of(faced(t, n, n, n%2)) {
			for _, b := range d.Buys {
				assert.GreaterOrEqual(t, b.Chance, d.Fit.Chance+0.005, "%s", b.What)
				assert.LessOrEqual(t, d.Fit.Chance, 0.99, "over 99 is told of both")
			}
		}
	})
}

// A row that was measured tells what each side of its seams took; where no row was, the front does, unless a border
// lies round it or it was quilted.
func TestSeamErrorsOfWhatWasMeasured(t *testing.T) {
	f := faced(t, 4, 3, 0)
	gate := func(r ref.Ref, w, h length.Length) plan.Plan {
		return plan.Plan{Measured: []plan.Measured{{Gate: r.String(), Width: w, Height: h}}}
	}
	planned := 12*length.Inch + length.Inch/2
	require.NotEmpty(t, f.Bands)
	row := ref.Row(f.Bands[0].In, f.Bands[0].No)
	assert.Equal(t, []float64{in / 16}, outlook.SeamErrors(gate(row, planned-3*length.Inch/8, 0), f),
		"three seams, each taking both its sides")
	assert.Empty(t, outlook.SeamErrors(gate(row, 0, 0), f))
	high := 9*length.Inch + length.Inch/2
	both := outlook.SeamErrors(gate(ref.FrontSewn, planned-3*length.Inch/8, high-length.Inch/4), f)
	assert.Equal(t, []float64{in / 16, in / 16}, both, "three seams across, two up")
	assert.Equal(t, []float64{-in / 48}, outlook.SeamErrors(gate(ref.FrontSewn, planned+length.Inch/8, 0), f))
	assert.Empty(t, outlook.SeamErrors(gate(ref.FrontSewn, planned, high), faced(t, 4, 3, 1)), "a border is eased")
	assert.Empty(t, outlook.SeamErrors(plan.Plan{}, f))
	single := faced(t, 1, 3, 0)
	i := slices.IndexFunc(single.Bands, func(b front.Band) bool { return b.Pieces > 1 })
	assert.Negative(t, i, "a row of one patch tells nothing")
}
