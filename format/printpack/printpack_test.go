package printpack_test

import (
	"bytes"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/demo"
	"umschlag/format/planfile"
	"umschlag/format/printpack"
)

func order(t testing.TB, data []byte, paper printpack.Paper) printpack.Order {
	t.Helper()
	p, err := planfile.Read(data)
	require.NoError(t, err)
	return printpack.Order{Title: p.Title, Reckoning: reckon.Reckon(p, nil), Cloths: p.Settle().Cloths, Paper: paper,
		Style: p.Style()}
}

// All of the demo can be printed on both papers, the same plan always to the same bytes.
func TestTheDemoIsPrinted(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	for name, data := range plans {
		for _, paper := range []printpack.Paper{printpack.A4, printpack.Letter} {
			out, err := printpack.Write(order(t, data, paper))
			require.NoError(t, err, name)
			assert.True(t, bytes.HasPrefix(out, []byte("%PDF-")), name)
			again, err := printpack.Write(order(t, data, paper))
			require.NoError(t, err)
			assert.True(t, bytes.Equal(out, again), "%s prints otherwise the second time", name)
		}
	}
}

// The steps of a front of 3,600 patches draw what they are about, not each time all of it.
func TestStepsOfManyPatchesDrawWhatTheyAreAbout(t *testing.T) {
	steps := func(side int) int {
		size := strconv.Itoa(side)
		o := order(t, []byte(`{"format": "umschlag/plan/2", "title": "many", "units": "in",
			"object": {"kind": "form", "width": "`+size+`", "height": "`+size+`"}, "cover": {"kind": "cushion"},
			"cloths": {"A": {"name": "a", "width": "120"}},
			"pieces": {"*": {"face": {"kind": "plain", "cloth": "A"}}, "front": {"face": {"kind": "grid", "columns": `+
			size+`, "rows": `+size+`, "patch": {"width": "1", "height": "1"}, "cloths": ["A"]}}}}`), printpack.A4)
		require.NotEmpty(t, o.Reckoning.Steps)
		o.Parts = []printpack.Part{printpack.Steps}
		out, err := printpack.Write(o)
		require.NoError(t, err)
		return len(out)
	}
	assert.Less(t, steps(60), 2*steps(40), "of 1,600 each is still drawn")
}

func TestOnlyTheWantedPartsArePrinted(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	o := order(t, plans["turntable-hood"], printpack.A4)
	all, err := printpack.Write(o)
	require.NoError(t, err)
	for _, part := range printpack.Parts() {
		o.Parts = []printpack.Part{part}
		one, err := printpack.Write(o)
		require.NoError(t, err, part)
		assert.Less(t, bytes.Count(one, []byte("/Type /Page\n")), bytes.Count(all, []byte("/Type /Page\n")), part)
	}
}

func TestWhatCannotBePrintedIsSaid(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	o := order(t, plans["turntable-hood"], "a3")
	_, err = printpack.Write(o)
	assert.ErrorContains(t, err, "choose a4 or letter")
	o = order(t, plans["turntable-hood"], printpack.A4)
	o.Parts = []printpack.Part{"poem"}
	_, err = printpack.Write(o)
	assert.ErrorContains(t, err, `no part "poem"`)
	_, err = printpack.Write(printpack.Order{Title: "Nothing", Reckoning: reckon.Reckon(plan.Plan{}, nil),
		Paper: printpack.A4})
	assert.ErrorContains(t, err, "cannot be cut as it stands")
}

func BenchmarkWrite(b *testing.B) {
	plans, err := demo.Plans()
	require.NoError(b, err)
	o := order(b, plans["van-cushion"], printpack.A4)
	for b.Loop() {
		if _, err := printpack.Write(o); err != nil {
			b.Fatal(err)
		}
	}
}
