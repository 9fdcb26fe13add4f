package back_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/back"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
	_ "umschlag/seeded"
)

const in = length.Inch

func ptr[T any](v T) *T { return &v }

func envelope(front, overlap length.Length, hem ...length.Length) back.Order {
	side := sum.Of(sum.Part, "front", front)
	return back.Order{Plan: plan.Back{Kind: plan.Envelope, Overlap: ptr(overlap), Hem: hem}, Front: sum.Size{Width: side, Height: side},
		Finished: front - in/2, Step: in / 8, Style: length.Style{Unit: length.Inches}}
}

// The worked figure of docs/arithmetic.md: (19½ + 5 + 2)/2 = 13¼. Common
// practice, no published source.
func TestTheWorkedEnvelope(t *testing.T) {
	b, found := back.Build(envelope(39*in/2, 5*in, in/2, in/2))
	assert.Empty(t, found)
	require.Len(t, b.Panels, 1)
	assert.Equal(t, 2, b.Panels[0].Count)
	assert.Equal(t, 53*in/4, b.Panels[0].Size.Width.Total())
	assert.Equal(t, 39*in/2, b.Panels[0].Size.Height.Total())
	assert.Equal(t, 5*in, b.Overlap.Total())
	assert.Equal(t, 2, b.Hems)
}

func TestASelvedgeNeedsNoHem(t *testing.T) {
	b, _ := back.Build(envelope(39*in/2, 5*in))
	assert.Equal(t, 49*in/4, b.Panels[0].Size.Width.Total())
	assert.Zero(t, b.Hems)
}

func TestAMeasuredFrontIsFollowed(t *testing.T) {
	o := envelope(155*in/8, 5*in, in/2, in/2)
	o.Front.Width[0].Kind = sum.Measured
	b, _ := back.Build(o)
	w := b.Panels[0].Size.Width
	assert.Equal(t, 53*in/4, w.Total(), "13³⁄₁₆ goes up to 13¼")
	assert.Equal(t, in/16, w[len(w)-1].Amount)
	assert.Equal(t, "half the front as measured", w[0].Name)
	assert.Equal(t, 41*in/8, b.Overlap.Total(), "and the surplus lies in the overlap")
}

func TestWidthsGiven(t *testing.T) {
	o := envelope(30*in, 0, in/2, in/2)
	o.Plan.Panels.Widths = []length.Length{24 * in, 15 * in}
	b, found := back.Build(o)
	assert.Empty(t, found)
	require.Len(t, b.Panels, 2)
	assert.Equal(t, 7*in, b.Overlap.Total(), "24 + 15 − 2 − 30")
}

func TestNoOverlapDecidedTakesAQuarter(t *testing.T) {
	o := envelope(33*in/2, 0, in/2, in/2)
	o.Plan.Overlap = nil
	b, found := back.Build(o)
	assert.Empty(t, found)
	assert.Equal(t, 4*in, b.Overlap.Total())
}

// The shares are common practice, no published source.
func TestOverlapsThatDoNotHold(t *testing.T) {
	for name, c := range map[string]struct {
		overlap length.Length
		code    string
		stop    bool
	}{
		"thin":                {5 * in / 2, "overlap-thin", false},
		"a third":             {6 * in, "", false},
		"deep":                {14 * in, "overlap-deep", false},
		"wider than the back": {20 * in, "overlap-too-large", true},
		"negative":            {-in, "overlap-negative", true},
	} {
		t.Run(name, func(t *testing.T) {
			b, found := back.Build(envelope(39*in/2, c.overlap, in/2, in/2))
			if c.code == "" {
				assert.Empty(t, found)
				return
			}
			require.Len(t, found, 1)
			assert.Equal(t, c.code, found[0].Code)
			assert.Equal(t, "/back/overlap", found[0].About)
			assert.Equal(t, c.stop, found.Stopped())
			assert.Equal(t, c.stop, len(b.Panels) == 0)
			assert.Contains(t, found[0].Remedy, "5″", "a quarter")
		})
	}
}

func TestPiecesThatDoNotMeet(t *testing.T) {
	o := envelope(30*in, 0, in/2, in/2)
	o.Plan.Panels.Widths = []length.Length{10 * in, 15 * in}
	_, found := back.Build(o)
	require.Len(t, found, 1)
	assert.Equal(t, "overlap-gap", found[0].Code)
	assert.Contains(t, found[0].Text, "7″")
	assert.Equal(t, "/back/panels", found[0].About)
}

func TestOtherClosuresSayWhatToChoose(t *testing.T) {
	_, found := back.Build(back.Order{Plan: plan.Back{Kind: "zip"}})
	require.Len(t, found, 1)
	assert.Equal(t, "back-kind", found[0].Code)
}

func TestAnyEnvelopeOverlapsAsWantedOrAStepMore(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		front := length.Length(rapid.Int64Range(int64(4*in), int64(40*in)).Draw(t, "front"))
		overlap := length.Length(rapid.Int64Range(0, int64(front)).Draw(t, "overlap"))
		b, _ := back.Build(envelope(front, overlap, in/2, in/4))
		got := b.Overlap.Total()
		assert.True(t, got > overlap-3 && got < overlap+2*in/8, "%d for %d", got, overlap)
	})
}
