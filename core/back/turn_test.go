package back_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/back"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// A thick cloth that is folded is measured along its middle: the way round half a circle, integrated in small steps,
// beside what lies flat on either side of the fold. What it takes is added to the pieces and taken off the overlap, so
// that the overlap stays as it is wanted; one fold takes less than two.
func TestAThickClothTakesMoreInItsFolds(t *testing.T) {
	way := func(radius float64) float64 { // half round, by its chords
		const n = 10_000
		chord := 0.0
		for i := range n {
			a, b := math.Pi*float64(i)/n, math.Pi*float64(i+1)/n
			chord += math.Hypot(radius*(math.Cos(a)-math.Cos(b)), radius*(math.Sin(a)-math.Sin(b)))
		}
		return chord
	}
	const thick = 3 * length.Millimetre
	first := way(thick.Float()/2) - thick.Float()  // round nothing: both layers reach half of it further
	second := way(thick.Float()) - 3*thick.Float() // round one layer: both reach one and a half further
	build := func(kind plan.BackKind, hem []length.Length, thick length.Length) back.Back {
		size := func(w, h length.Length) sum.Size {
			return sum.Size{Width: sum.Of(sum.Part, "w", w), Height: sum.Of(sum.Part, "h", h)}
		}
		p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
		p.Back.Kind, p.Back.Hem, p.Back.Band = kind, hem, 5*length.Inch/4
		p.Back.Tape = 3 * length.Inch / 4
		b, found := back.Build(back.Order{Plan: p.Settle().Back, Front: size(16*length.Inch, 16*length.Inch),
			Finished: 15 * length.Inch, High: 15 * length.Inch, Seam: length.Inch / 2, Step: length.Nanometre,
			Pad: plan.Object{Kind: plan.Form, Width: 15 * length.Inch, Height: 15 * length.Inch}, Thick: thick})
		require.False(t, found.Stopped(), "%v", found)
		return b
	}
	half := length.Inch / 2
	for _, c := range []struct {
		kind plan.BackKind
		hem  []length.Length
		more float64
	}{{plan.Envelope, []length.Length{half}, first}, {plan.Envelope, []length.Length{half, half}, first + second},
		{plan.Envelope, []length.Length{}, 0}, {plan.Lapped, []length.Length{half, half}, first + second}} {
		usual, is := build(c.kind, c.hem, 0), build(c.kind, c.hem, thick)
		assert.InDelta(t, c.more, (is.Panels[0].Size.Width.Total() - usual.Panels[0].Size.Width.Total()).Float(), 50)
		assert.InDelta(t, usual.Overlap.Total().Float(), is.Overlap.Total().Float(), 3)
	}
}

// The piece that lies outside is laid on the front first and drawn on top; which one it is changes no size.
func TestEitherPieceMayLieOutside(t *testing.T) {
	for _, kind := range []plan.BackKind{plan.Envelope, "folded", plan.Lapped, "buttons", "ties"} {
		var built [2]back.Back
		for i, outer := range []plan.BackSide{"", plan.LeftSide} {
			p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
			p.Object = plan.Object{Kind: plan.Form, Width: 16 * length.Inch, Height: 16 * length.Inch}
			p.Back.Kind, p.Back.Outer = kind, outer
			p.Back.Band, p.Back.Tape, p.Back.Button = 5*length.Inch/4, 3*length.Inch/4, length.Inch/2
			size := sum.Size{Width: sum.Of(sum.Part, "w", 17*length.Inch), Height: sum.Of(sum.Part, "h", 17*length.Inch)}
			b, found := back.Build(back.Order{Plan: p.Settle().Back, Front: size, Finished: 16 * length.Inch,
				High: 16 * length.Inch, Seam: length.Inch / 2, Step: length.Inch / 8, Pad: p.Object})
			require.False(t, found.Stopped(), "%s: %v", kind, found)
			built[i] = b
		}
		right, left := built[0], built[1]
		assert.Equal(t, right.Panels, left.Panels, kind)
		assert.Equal(t, []string{"left", "right"}, []string{right.Lies[0].Label, right.Lies[1].Label}, kind)
		assert.Equal(t, []string{"right", "left"}, []string{left.Lies[0].Label, left.Lies[1].Label}, kind)
		assert.Contains(t, right.Laid, "Lay the right piece (as you will see the finished back) on the front first", kind)
		assert.Contains(t, left.Laid, "Lay the left piece (as you will see the finished back) on the front first", kind)
	}
}
