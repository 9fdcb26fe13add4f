package layers_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/finding"
	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sample"
	"umschlag/core/takeup"
)

const mm = length.Millimetre

func ptr[T any](v T) *T { return &v }

// What each layer of quilting cotton is thick, in tenths of a millimetre. From memory, as common practice has it.
const cotton, lining, stiffener, grid = 4, 3, 5, 1

// A stack is as thick as its layers together, and is told by them; batting and lining stand out by their own measure,
// up to the ruler.
func TestAStackIsItsLayers(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		has := func(name string) bool { return rapid.Bool().Draw(t, name) }
		l := &plan.Layers{Overhang: ptr(length.Inch.Times(rapid.IntRange(0, 3).Draw(t, "overhang"))), Web: has("web")}
		tenths := cotton
		if has("batting") {
			l.Batting = &plan.Batting{Count: rapid.IntRange(0, 3).Draw(t, "count"),
				Loft: mm.Times(rapid.IntRange(1, 6).Draw(t, "loft"))}
			tenths += 10 * int(l.Batting.Loft/mm) * l.Batting.Count
			if has("cut apart") {
				l.Batting.Overhang = ptr(length.Inch.Times(rapid.IntRange(0, 2).Draw(t, "of the batting")))
			}
		}
		if has("lining") {
			l.Lining, tenths = "L", tenths+lining
		}
		if has("stiffener") {
			l.Stiffener, tenths = "S", tenths+stiffener
		}
		if l.Grid = has("grid"); l.Grid {
			tenths += grid
		}
		assert.Equal(t, (mm / 10).Times(tenths), layers.Thick(l))
		side, step := 10*length.Inch+mm, length.Inch/8
		c, found := layers.Of(layers.Order{Path: "/pieces/front", Piece: plan.Piece{Layers: l}, Trimmed: square(side),
			Step: step})
		hidden := slices.ContainsFunc(found, func(f finding.Finding) bool { return f.Code == "grid-hidden" })
		assert.Equal(t, l.Grid && l.Lining != "", hidden, "a lining hides what lies over it")
		assert.Equal(t, l.Grid && l.Lining == "", c.Guided())
		for _, c := range []layers.Chain{c, c.SewnAs(square(side-mm), square(side-mm), l, step)} {
			top := c.Trimmed.Width.Total()
			assert.Equal(t, top, c.Top.Width.Total())
			assert.Equal(t, layers.Thick(l), c.Thick)
			assert.Equal(t, []any{l.Lining, l.Stiffener, l.Grid, l.Web}, []any{c.Lining, c.Stiffener, c.Grid, c.Web})
			padded := l.Batting != nil && l.Batting.Count > 0
			assert.Equal(t, padded, c.Batting != nil)
			if !padded && l.Lining == "" {
				assert.Empty(t, c.Under.Width)
				continue
			}
			assert.Equal(t, (top + 2**l.Overhang).Ceil(step), c.Under.Width.Total())
			assert.Equal(t, c.Under.Width.Total(), c.Under.Height.Total())
			out := *l.Overhang
			if padded && l.Batting.Overhang != nil {
				out = *l.Batting.Overhang
			}
			assert.Equal(t, (top + 2*out).Ceil(step), c.Padding.Width.Total())
		}
	})
	assert.Equal(t, (mm / 10).Times(cotton), layers.Thick(nil))
}

// What was accepted smaller takes its batting and lining with it.
func TestWhatIsSewnOtherwiseIsTheNewSize(t *testing.T) {
	q := quilted()
	c, _ := layers.Of(layers.Order{Piece: q, Trimmed: square(20 * length.Inch), Step: length.Inch / 8})
	smaller := c.SewnAs(square(19*length.Inch), square(20*length.Inch), q.Layers, length.Inch/8)
	assert.Equal(t, 19*length.Inch, smaller.Trimmed.Width.Total())
	assert.Equal(t, 20*length.Inch, smaller.Top.Height.Total())
	assert.Equal(t, 22*length.Inch, smaller.Under.Height.Total())
	assert.Equal(t, 22*length.Inch, smaller.Padding.Height.Total())
	bare := c.SewnAs(square(19*length.Inch), square(19*length.Inch), nil, length.Inch/8)
	assert.Empty(t, bare.Under.Width)
	assert.Empty(t, bare.Padding.Width)
}

// An estimate lies between those of a stack that puffs a quarter less and a quarter more.
func TestAnEstimateHasItsRange(t *testing.T) {
	q := quilted()
	c, _ := layers.Of(layers.Order{Piece: q, Trimmed: square(20 * length.Inch), Step: length.Inch / 8})
	for i, share := range []float64{1, 0.75, 1.25} {
		want := takeup.Estimate(length.FromFloat(bulge.Float()*share), takeup.PatternOf(q, square(20*length.Inch)))
		got := [][2]float64{{c.TakeUp.Across, c.TakeUp.Along}, c.TakeUp.Low, c.TakeUp.High}[i]
		assert.InDelta(t, want.Across, got[0], 1e-12)
		assert.InDelta(t, want.Along, got[1], 1e-12)
	}
	assert.Equal(t, plan.Estimate, c.TakeUp.From)
	given := q
	given.TakeUp = &plan.TakeUp{From: plan.Given, Across: 3, Along: 1.5}
	c, _ = layers.Of(layers.Order{Piece: given, Trimmed: square(20 * length.Inch), Step: length.Inch / 8})
	assert.Equal(t, takeup.TakeUp{Across: 0.03, Along: 0.015, From: plan.Given}, c.TakeUp)
	unquilted := given
	unquilted.Quilting = nil
	c, _ = layers.Of(layers.Order{Piece: unquilted, Trimmed: square(20 * length.Inch), Step: length.Inch / 8})
	assert.Equal(t, takeup.TakeUp{}, c.TakeUp, "nothing is taken where nothing is quilted")
}

// A sample of the same stack, quilted the same way, gives its own figures; quilted otherwise, those of its puff; of
// another stack it is warned of, and what was not sewn or is no test square stops.
func TestASampleDecides(t *testing.T) {
	q := quilted()
	q.TakeUp = &plan.TakeUp{From: plan.FromSample, ID: "s"}
	ten := 10 * length.Inch
	sewn := plan.Sample{Title: "square", Kind: plan.QuiltingSample, Layers: q.Layers, Quilting: q.Quilting,
		Before: plan.Sized{Width: ten, Height: ten}, After: []plan.Sized{{Width: ten * 98 / 100,
			Height: ten * 99 / 100}}}
	of := func(s plan.Sample) (layers.Chain, []string) {
		c, found := layers.Of(layers.Order{Path: "/pieces/front", Piece: q, Trimmed: square(10 * length.Inch),
			Step: length.Inch / 8, Samples: sample.Shelf{"s": s}})
		var codes []string
		for _, f := range found {
			codes = append(codes, f.Code)
			assert.Equal(t, "/pieces/front/take_up/id", f.About)
		}
		return c, codes
	}
	c, codes := of(sewn)
	assert.Empty(t, codes)
	assert.InDelta(t, 0.02, c.TakeUp.Across, 1e-9)
	assert.InDelta(t, 0.01, c.TakeUp.Along, 1e-9)
	assert.Equal(t, plan.FromSample, c.TakeUp.From)

	wider := sewn
	wider.Quilting = lines(2*length.Inch, 45, -45)
	c, codes = of(wider)
	assert.Equal(t, []string{"sample-carried"}, codes)
	told, ok := sample.Quilted(wider)
	require.True(t, ok)
	want := takeup.Estimate(told.Bulge, takeup.PatternOf(q, square(10*length.Inch)))
	assert.InDelta(t, want.Across, c.TakeUp.Across, 1e-12)
	_, found := layers.Of(layers.Order{Piece: q, Trimmed: square(10 * length.Inch),
		Step: length.Inch / 8, Samples: sample.Shelf{"s": wider}})
	assert.Contains(t, found[0].Text, "its loft of 4 mm a side", "(2p/π)√t for 2 in and 1½ % of either family")

	other := sewn
	other.Layers = &plan.Layers{Batting: &plan.Batting{Count: 2, Loft: 4 * mm}}
	_, codes = of(other)
	assert.Equal(t, []string{"sample-other"}, codes)
	other.After = nil
	_, codes = of(other)
	assert.Equal(t, []string{"sample-open"}, codes)
	other.Kind = plan.WashSample
	_, codes = of(other)
	assert.Equal(t, []string{"sample-kind"}, codes)
}

// More than a tenth is doubted, a tenth is not.
func TestWhenAnEstimateIsDoubted(t *testing.T) {
	doubted := map[bool]int{}
	for pitch := 8 * mm; pitch < 24*mm; pitch += mm / 2 {
		q := quilted()
		q.Quilting = lines(pitch, 90, 90) // crowded lines take up to (π/6)²/4 each
		c, found := layers.Of(layers.Order{Piece: q, Trimmed: square(10 * length.Inch), Step: length.Inch / 8})
		doubt := max(c.TakeUp.Across, c.TakeUp.Along) > 0.10
		assert.Equal(t, doubt, len(found) == 1, pitch)
		doubted[doubt]++
	}
	assert.Greater(t, min(doubted[true], doubted[false]), 3)
}
