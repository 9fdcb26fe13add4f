package pads_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/pads"
	"umschlag/core/plan"
	_ "umschlag/seeded"
)

const in, cm = length.Inch, length.Centimetre

// What makers are told: a feather pad 2 in larger than its cover, one of fibre 1 in, foam as large. Common practice.
func TestPadsAsMakersBuyThem(t *testing.T) {
	for _, c := range []struct {
		w, h  length.Length
		round bool
		fill  plan.Fill
		unit  length.Unit
		first [2]length.Length
		how   pads.Filling
		count int
	}{
		{18 * in, 18 * in, false, "feather", length.Inches, [2]length.Length{20 * in, 20 * in}, pads.Full, 3},
		{19 * in, 19 * in, false, "polyester", length.Inches, [2]length.Length{20 * in, 20 * in}, pads.Full, 2},
		{20 * in, 20 * in, false, "foam", length.Inches, [2]length.Length{20 * in, 20 * in}, pads.Full, 1},
		{45 * cm, 45 * cm, false, "feather", length.Centimetres, [2]length.Length{50 * cm, 50 * cm}, pads.Full, 3},
		{12 * in, 19 * in, false, "polyester", length.Inches, [2]length.Length{14 * in, 20 * in}, pads.Full, 3},
		{38 * cm, 38 * cm, true, "polyester", length.Millimetres, [2]length.Length{40 * cm, 40 * cm}, pads.Full, 2},
		{41 * in, 7 * in, false, "feather", length.Inches, [2]length.Length{}, "", 0},
	} {
		got := pads.Of(pads.Order{Width: c.w, Height: c.h, Round: c.round, Fill: c.fill, Unit: c.unit})
		if assert.Len(t, got, c.count, "%s %s %s", c.w.Float(), c.fill, c.unit); c.count > 0 {
			assert.Equal(t, c.first, [2]length.Length{got[0].Width, got[0].Height})
			assert.Equal(t, c.how, got[0].How)
			assert.NotEmpty(t, got[0].Why)
		}
	}
}

// Whatever the cover: what fills it is larger than what lies slack in it and smaller than what is plump, the nearest
// first, and an upright cover gets the same pads turned.
func TestPadsAreInOrder(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		unit := rapid.SampledFrom(length.Units()).Draw(t, "unit")
		o := pads.Order{Width: in / 2 * length.Length(rapid.IntRange(12, 80).Draw(t, "width")),
			Height: in / 2 * length.Length(rapid.IntRange(12, 80).Draw(t, "height")), Unit: unit,
			Fill:  rapid.SampledFrom([]plan.Fill{"feather", "polyester", "foam"}).Draw(t, "fill"),
			Round: rapid.Bool().Draw(t, "round")}
		if o.Round {
			o.Height = o.Width
		}
		list := pads.Of(o)
		least := map[pads.Filling]length.Length{}
		for _, f := range list {
			size := f.Width + f.Height
			if was, there := least[f.How]; !there || size < was {
				least[f.How] = size
			}
			require.GreaterOrEqual(t, f.Width, o.Width-2*in)
			if o.Fill == "foam" {
				require.Equal(t, pads.Full, f.How)
			}
		}
		if full, there := least[pads.Full]; there {
			if slack, also := least[pads.Slack]; also {
				require.Less(t, slack, full)
			}
		}
		turned := o
		turned.Width, turned.Height = o.Height, o.Width
		again := pads.Of(turned)
		require.Len(t, again, len(list))
		for i := range list {
			require.Equal(t, list[i].Width, again[i].Height)
		}
	})
}
