package layers_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
	_ "umschlag/seeded"
)

const bulge = 1_500_000 * length.Nanometre // 3 mm of loft, half on each face

func lines(pitch length.Length, angles ...float64) *plan.Quilting {
	q := &plan.Quilting{}
	for _, a := range angles {
		q.Lines = append(q.Lines, plan.LineFamily{Pitch: pitch, Angle: a})
	}
	return q
}

func square(side length.Length) sum.Size {
	return sum.Size{Width: sum.Of(sum.Part, "panel", side), Height: sum.Of(sum.Part, "panel", side)}
}

func quilted() plan.Piece {
	margin, overhang := length.Inch/2, length.Inch
	return plan.Piece{Quilting: lines(length.Inch, 45, -45), Squaring: &margin,
		Layers: &plan.Layers{Lining: "L", Overhang: &overhang, Batting: &plan.Batting{Count: 1, Loft: 2 * bulge}}}
}

// The example of docs/arithmetic.md §4: trimmed 19½, margin ½, 0.86 % → 20.68.
func TestTheChainOfThePanel(t *testing.T) {
	c, found := layers.Of(layers.Order{Path: "/pieces/front", Piece: quilted(), Trimmed: square(39 * length.Inch / 2),
		Step: length.Inch / 8})
	assert.Empty(t, found)
	assert.InDelta(t, 20.68, c.Top.Width.Total().Float()/length.Inch.Float(), 0.005)
	assert.Equal(t, 181*length.Inch/8, c.Under.Width.Total()-length.Inch/8, "an inch each side, up to the ruler: 22¾")
	kinds := []sum.Kind{}
	for _, term := range c.Top.Width {
		kinds = append(kinds, term.Kind)
	}
	assert.Equal(t, []sum.Kind{sum.TakeUp, sum.Squaring, sum.Part, sum.Squaring, sum.TakeUp}, kinds,
		"as they lie along the tape")
}

func TestWhatQuiltingLeavesIsWhatWasWanted(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		side := length.Length(rapid.Int64Range(int64(3*length.Inch), int64(60*length.Inch)).Draw(t, "side"))
		q := quilted()
		q.TakeUp = &plan.TakeUp{From: plan.Given, Across: rapid.Float64Range(0, 25).Draw(t, "across"), Along: 0}
		c, _ := layers.Of(layers.Order{Piece: q, Trimmed: square(side), Step: length.Inch / 8})
		left := length.FromFloat(c.Top.Width.Total().Float() * (1 - q.TakeUp.Across/100))
		assert.InDelta(t, float64(side+length.Inch), float64(left), 3, "trimmed and margins, to the nanometre")
		assert.Equal(t, side+length.Inch, c.Top.Height.Total())
	})
}

func TestAnUnquiltedPanelIsCutAsItIsTrimmed(t *testing.T) {
	c, _ := layers.Of(layers.Order{Piece: plan.Piece{}, Trimmed: square(10 * length.Inch), Step: length.Inch / 8})
	assert.Equal(t, 10*length.Inch, c.Top.Width.Total())
	assert.Empty(t, c.Under.Width)
	assert.Nil(t, c.Batting)
}

func TestWhatIsFoundInLayers(t *testing.T) {
	sample := quilted()
	sample.TakeUp = &plan.TakeUp{From: plan.FromSample, ID: "s1"}
	_, found := layers.Of(layers.Order{Path: "/pieces/front", Piece: sample, Trimmed: square(length.Inch),
		Step: length.Inch / 8})
	require.Len(t, found, 1)
	assert.Equal(t, "sample-unknown", found[0].Code)

	flat := quilted()
	flat.Layers = nil
	_, found = layers.Of(layers.Order{Path: "/pieces/front", Piece: flat, Trimmed: square(length.Inch),
		Step: length.Inch / 8})
	require.Len(t, found, 1)
	assert.Equal(t, "no-batting", found[0].Code)

	dense := quilted()
	dense.Quilting = lines(length.Inch/4, 0, 0, 0)
	_, found = layers.Of(layers.Order{Path: "/pieces/front", Piece: dense, Trimmed: square(length.Inch),
		Step: length.Inch / 8})
	require.Len(t, found, 1)
	assert.Equal(t, "take-up-doubtful", found[0].Code)
}

// Cloth that is quilted already is as thick as it is, wherever in a face it stands.
func TestQuiltedClothIsThick(t *testing.T) {
	p := plan.Plan{Cloths: map[string]plan.Cloth{"A": {}, "Q": {Kind: plan.QuiltedCloth},
		"R": {Kind: plan.QuiltedCloth, Loft: 6 * length.Millimetre}}}
	ordinary := layers.Thick(nil)
	for want, letters := range map[length.Length][]string{0: {"A"}, 3*length.Millimetre - ordinary: {"A", "Q"},
		6*length.Millimetre - ordinary: {"R", "A", "Q", "gone"}} {
		assert.Equal(t, want, layers.Beyond(p, letters...))
	}
}
