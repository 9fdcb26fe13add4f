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
	return back.Order{Plan: plan.Back{Kind: plan.Envelope, Overlap: ptr(overlap), Hem: hem},
		Front:    sum.Size{Width: side, Height: side},
		Finished: front - in/2, Step: in / 8, Style: length.Style{Unit: length.Inches}}
}

// The worked figure of docs/arithmetic.md §10: (19½ + 5 + 2)/2 = 13¼. Common
// practice, no published source.
func TestTheWorkedEnvelope(t *testing.T) {
	b, found := back.Build(envelope(39*in/2, 5*in, in/2, in/2))
	assert.Empty(t, found)
	require.Len(t, b.Panels, 1)
	assert.Equal(t, 2, b.Panels[0].Count)
	assert.Equal(t, 53*in/4, b.Panels[0].Size.Width.Total())
	assert.Equal(t, 39*in/2, b.Panels[0].Size.Height.Total())
	assert.Equal(t, 5*in, b.Overlap.Total())
	assert.Len(t, b.Sewn, 2, "both hems")
}

func TestASelvedgeNeedsNoHem(t *testing.T) {
	b, _ := back.Build(envelope(39*in/2, 5*in))
	assert.Equal(t, 49*in/4, b.Panels[0].Size.Width.Total())
	assert.Empty(t, b.Sewn)
	assert.Empty(t, b.Making)
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

// closed is a back for a front of 17 × 15 as cut, seams ½.
func closed(p plan.Back) back.Order {
	p = plan.Plan{Cover: plan.Cover{Kind: plan.Cushion, Seam: in / 2}, Object: plan.Object{Width: 16 * in},
		Units: length.Inches, Habits: plan.Habits{Step: in / 8}, Back: p}.Settle().Back
	return back.Order{Plan: p,
		Front: sum.Size{Width: sum.Of(sum.Part, "w", 17*in), Height: sum.Of(sum.Part, "h", 15*in)}, Finished: 16 * in,
		High: 14 * in, Seam: in / 2,
		Pad: plan.Object{Kind: plan.Form, Width: 16 * in, Height: 14 * in, Fill: "feather"}, Step: in / 8,
		Style: length.Style{Unit: length.Inches}}
}

func built(t *testing.T, o back.Order) back.Back {
	t.Helper()
	b, found := back.Build(o)
	require.Empty(t, found)
	return b
}

// Worked figures of docs/arithmetic.md §10; common practice, no published source.
func TestTheWorkedLap(t *testing.T) {
	o := closed(plan.Back{Kind: plan.Lapped, Band: 5 * in / 4})
	b := built(t, o)
	assert.Equal(t, 93*in/8, b.Panels[0].Size.Width.Total(), "(17 + 1¼)/2 + 2½ = 11⅝")
	assert.Equal(t, 2, b.Panels[0].Count)
	assert.Equal(t, 5*in/4, b.Overlap.Total())
	assert.Equal(t, 21*in/2, b.Notions[0].Length.Total(), "3½ shorter than the side")
	o.Plan.Tape = 5 * in / 4
	_, found := back.Build(o)
	require.Len(t, found, 1)
	assert.Equal(t, "tape-wide", found[0].Code)
}

func TestTheWorkedZipUnderAFlap(t *testing.T) {
	o := closed(plan.Back{Kind: plan.Zip, Seam: in / 4, Flap: in})
	o.Front.Width = sum.Of(sum.Part, "w", 21*in/2)
	b := built(t, o)
	require.Len(t, b.Panels, 2)
	assert.Equal(t, []length.Length{11 * in / 2, 15 * in / 2},
		[]length.Length{b.Panels[0].Size.Width.Total(), b.Panels[1].Size.Width.Total()}, "5½ and 7½")
	assert.Equal(t, 25*in/2, b.Opening.Total(), "14, ¾ closed at both ends")
	assert.Equal(t, 15*in, b.Notions[0].Length.Total(), "the side and an inch to spare")
	o.Plan.Flap = 0
	b = built(t, o)
	require.Len(t, b.Panels, 1)
	assert.Equal(t, 2, b.Panels[0].Count)
}

func TestFoldedBacks(t *testing.T) {
	o := closed(plan.Back{Kind: plan.FoldedBack, Overlap: ptr(4 * in)})
	b := built(t, o)
	assert.Equal(t, 21*in, b.Panels[0].Size.Width.Total(), "8½ + 2, and the same again")
	assert.Equal(t, 4*in, b.Overlap.Total())
	o.Plan.Overlap, o.Plan.Depth = nil, 11*in
	b = built(t, o)
	assert.Equal(t, 22*in, b.Panels[0].Size.Width.Total())
	assert.Equal(t, 5*in, b.Overlap.Total(), "twice 11, less 17")
	o.Plan.Lined = true
	b = built(t, o)
	require.Len(t, b.Panels, 2)
	assert.Equal(t, 9*in, b.Panels[1].Size.Width.Total(), "half of 17 and a seam of ½")
	assert.Contains(t, b.Turned, "gap in the lining")
	o.Plan.Depth = 9 * in
	_, found := back.Build(o)
	require.Len(t, found, 1)
	assert.Equal(t, []string{"overlap-thin", "/back/depth"}, []string{found[0].Code, found[0].About})
}

func TestWholeBacks(t *testing.T) {
	side := built(t, closed(plan.Back{Kind: plan.Zip, Place: plan.InTheSide}))
	assert.Equal(t, []length.Length{17 * in, 15 * in},
		[]length.Length{side.Panels[0].Size.Width.Total(), side.Panels[0].Size.Height.Total()}, "both panels full")
	assert.Equal(t, 29*in/2, side.Opening.Total())
	assert.Contains(t, side.Laid, "Open the zip halfway before the last seam")
	shut := built(t, closed(plan.Back{Kind: plan.SewnShut, Tab: in}))
	assert.Equal(t, 85*in/8, shut.Gap, "two thirds of 16, on the ruler")
	require.Len(t, shut.Panels, 2)
	assert.Equal(t, []length.Length{93 * in / 8, 2 * in},
		[]length.Length{shut.Panels[1].Size.Width.Total(), shut.Panels[1].Size.Height.Total()})
}

func TestButtonsAndTiesStandEvenlyAlongTheLap(t *testing.T) {
	b := built(t, closed(plan.Back{Kind: plan.Buttoned}))
	assert.Equal(t, 3, b.Buttons, "one each 4½ in of 14")
	var ys []length.Length
	for _, m := range b.Marks {
		if m.Kind == back.ButtonMark {
			ys = append(ys, m.Box.Y+m.Box.Height/2)
			assert.Equal(t, 17*in/2, m.Box.X+m.Box.Width/2, "in the middle")
		}
	}
	require.Len(t, ys, 3)
	assert.InDelta(t, float64(ys[1]-ys[0]), float64(ys[2]-ys[1]), 2)
	assert.InDelta(t, float64(15*in), float64(ys[0]+ys[2]), 2, "as far from the top as from the bottom")
	ties := built(t, closed(plan.Back{Kind: plan.Tied, Count: 4}))
	assert.Equal(t, 8, ties.Panels[1].Count)
	for kind, code := range map[plan.BackKind]string{plan.Buttoned: "button-wide", plan.Lapped: "out-of-range"} {
		o := closed(plan.Back{Kind: kind})
		o.Plan.Button, o.Plan.Band = in, in
		if kind == plan.Lapped {
			o.Plan.Band = 9 * in
		}
		_, found := back.Build(o)
		require.Len(t, found, 1)
		assert.Equal(t, code, found[0].Code)
	}
}

// What a pad needs of an opening is common practice, no published source.
func TestThePadHasToGoThrough(t *testing.T) {
	o := closed(plan.Back{Kind: plan.SewnShut, Gap: 8 * in})
	built(t, o)
	o.Pad.Fill = "foam"
	_, found := back.Build(o)
	require.Len(t, found, 1)
	assert.Equal(t, []string{"opening-small", "/back/gap"}, []string{found[0].Code, found[0].About})
	o.Plan = closed(plan.Back{Kind: plan.Envelope}).Plan
	o.Plan.Hem = []length.Length{in / 2, in / 2}
	built(t, o)
}

func TestAZipAndAFlange(t *testing.T) {
	o := closed(plan.Back{Kind: plan.Zip, Place: plan.InTheSide})
	o.Flange = 2 * in
	_, found := back.Build(o)
	require.Len(t, found, 1)
	assert.Equal(t, "zip-flange", found[0].Code)
	o = closed(plan.Back{Kind: plan.Zip})
	o.Flange = 2 * in
	b := built(t, o)
	assert.Equal(t, 17*in/2, b.Opening.Total(), "14, less twice 2 and twice ¾")
	assert.Contains(t, b.Laid, "past the line of the flange")
	assert.Contains(t, b.Making[0].Text, "shut for 3¼″ at each end", "a seam of ½, the flange and ¾")
}

func TestAKindThatIsNoneIsSaid(t *testing.T) {
	_, found := back.Build(back.Order{Plan: plan.Back{Kind: "glued"}})
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

// A hem whose second fold is nothing is turned once, and nobody is told to turn it again by nothing.
func TestAHemMayBeTurnedOnce(t *testing.T) {
	b, found := back.Build(envelope(39*in/2, 5*in, in/2, 0))
	require.False(t, found.Stopped())
	assert.Contains(t, b.Making[0].Text, "to the wrong side ½″, press, and edge-stitch along the raw edge.")
	once, _ := back.Build(envelope(39*in/2, 5*in, in/2))
	assert.Equal(t, once.Panels, b.Panels)
	assert.Equal(t, once.Marks, b.Marks)
}
