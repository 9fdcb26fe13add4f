package cover_test

import (
	"cmp"
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
)

func book(wrap, height, depth length.Length) plan.Plan {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object = plan.Object{Kind: plan.Book, Wrap: wrap, Height: height}
	p.Cover.Kind = "jacket"
	p.Cover.Ease = plan.Axes{Wrap: 3 * in / 4, Height: in / 4}
	p.Cover.Flaps = plan.Flaps{Style: "folded", Depth: plan.Pair{Front: depth, Back: depth}}
	return p
}

// Common practice: about 1¼ over the tape with ¼ in seams, flap piece
// 2 × (depth + s).
func TestAJacket(t *testing.T) {
	c := built(t, book(13*in, 8*in, 3*in))
	w, h := trimmed(t, c, "outside")
	assert.Equal(t, 57*in/4, w, "13 + 1¼")
	assert.Equal(t, 35*in/4, h)
	w, h = trimmed(t, c, "flap")
	assert.Equal(t, 13*in/2, w, "2 × (3 + ¼)")
	assert.Equal(t, 35*in/4, h)
	assert.Equal(t, 2, named(t, c, "flap").Count)
	inW, inH := trimmed(t, c, "inside")
	assert.Equal(t, []length.Length{57 * in / 4, 35 * in / 4}, []length.Length{inW, inH})
}

func TestOtherFlapsAndBinders(t *testing.T) {
	p := book(13*in, 8*in, 3*in)
	p.Cover.Flaps.Depth.Back = 2 * in
	c := built(t, p)
	w, _ := trimmed(t, c, "flap.back")
	assert.Equal(t, 9*in/2, w)
	p.Cover.Flaps.Style = "turned-in"
	turned := built(t, p)
	w, _ = trimmed(t, turned, "outside")
	assert.Equal(t, 77*in/4, w, "the flaps are part of the outside: 13¾ + 5 + ½")
	assert.Len(t, turned.Pieces, 2)
	assert.Equal(t, 55*in/4, turned.Joins[0].Lengths[0].Total(), "joined to the inside along the wrap only")
	assert.Equal(t, turned.Joins[0].Lengths[0].Total(), turned.Joins[0].Lengths[1].Total())

	binder := book(0, 11*in, 4*in)
	binder.Object.Board, binder.Object.Spine = 10*in, 2*in
	assert.Empty(t, binder.Validate()[1:], "only the title is missing")
	w, _ = trimmed(t, built(t, binder), "outside")
	assert.Equal(t, 93*in/4, w, "10 + 2 + 10 + ¾ + ½")
	binder.Cover.Bulk = in / 4
	padded, _ := trimmed(t, built(t, binder), "outside")
	assert.InDelta(t, 0.785, (padded-w).Float()/in.Float(), 0.001, "π/2 × ¼ round each fore-edge")
	binder.Object.Thickness = in / 8
	boarded, _ := trimmed(t, built(t, binder), "outside")
	assert.InDelta(t, math.Pi*3/8, (boarded-w).Float()/in.Float(), 0.001, "π/2 × (⅛ + ¼) round each")
}

func TestFlapsThatKeepTheBookShut(t *testing.T) {
	for code, p := range map[string]plan.Plan{
		"out-of-range": book(13*in, 8*in, 0),
		"flaps-meet":   book(13*in, 8*in, 7*in),
		"flaps-deep": func() plan.Plan {
			p := book(13*in, 8*in, 2*in)
			p.Cover.Flaps.Depth.Front = 13 * in / 2
			p.Object.Spine = 2 * in
			return p
		}(),
		"flaps-open":   book(13*in, 8*in, 6*in),
		"jacket-tight": func() plan.Plan { p := book(13*in, 8*in, 3*in); p.Cover.Ease.Wrap = 0; return p }(),
		"wrap-large":   book(31*in, 8*in, 3*in),
		"object-kind":  func() plan.Plan { p := book(13*in, 8*in, 3*in); p.Object.Kind = plan.Box; return p }(),
		"height-large": book(13*in, 21*in, 3*in),
		"wrap-boards":  func() plan.Plan { p := book(20*in, 8*in, 3*in); p.Object.Board = 6 * in; return p }(),
		"gap":          func() plan.Plan { p := book(13*in, 8*in, 3*in); p.Back.Gap = 8 * in; return p }(),
	} {
		_, found := cover.Pieces(p.Settle())
		found = slices.DeleteFunc(found, func(f finding.Finding) bool { return f.Code == "gap-short" })
		if assert.Len(t, found, 1, code) {
			assert.Equal(t, code, found[0].Code)
			assert.NotEmpty(t, found[0].Remedy)
		}
	}
}

func TestABoxedCushion(t *testing.T) {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object = plan.Object{Kind: plan.Form, Width: 40 * in, Height: 16 * in, Thickness: 3 * in}
	p.Cover.Kind, p.Cover.Seam = "boxed-cushion", in/2
	c := built(t, p)
	w, h := trimmed(t, c, "face")
	assert.Equal(t, []length.Length{41 * in, 17 * in}, []length.Length{w, h})
	w, h = trimmed(t, c, "band")
	assert.Equal(t, []length.Length{113 * in, 4 * in}, []length.Length{w, h}, "2 × (40 + 16) and a seam")
	p.Cover.Corners = plan.Corners{Kind: "round", Radius: 5 * in / 2}
	rounded, _ := trimmed(t, built(t, p), "band")
	assert.InDelta(t, 2*0.858407*2, (w-rounded).Float()/in.Float(), 1e-5,
		"four corners of 2, each (2 − π/2) × 2 shorter")
	p.Object.Thickness = 0
	_, found := cover.Pieces(p.Settle())
	require.Len(t, found, 1)
	assert.Equal(t, "/object/thickness", found[0].About)
}

func TestAPad(t *testing.T) {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object = plan.Object{Kind: plan.Flat, Width: 16 * in, Height: 12 * in}
	p.Cover.Kind = "pad"
	c := built(t, p)
	for _, name := range []string{"top", "under"} {
		w, h := trimmed(t, c, name)
		assert.Equal(t, []length.Length{33 * in / 2, 25 * in / 2}, []length.Length{w, h})
	}
	assert.Equal(t, 56*in, c.Joins[0].Lengths[0].Total())
	p.Object.Kind = plan.Box
	_, found := cover.Pieces(p.Settle())
	assert.Equal(t, "/object/kind", found[0].About)
}

func TestWhatIsNotReckonedIsSaidOfTheCoverPlanned(t *testing.T) {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Cover.Kind, p.Cover.Seam = "pad", in/4
	p.Cover.Corners.Kind = "mitred"
	p.Object = plan.Object{Kind: plan.Flat, Width: 16 * in, Height: 12 * in}
	_, found := cover.Pieces(p.Settle())
	require.Len(t, found, 1)
	assert.Equal(t, "/cover/corners/kind", found[0].About)
	assert.Contains(t, found[0].Text, "A pad with mitred corners")
}

func form(kind plan.CoverKind, w, h length.Length) plan.Plan {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object = plan.Object{Kind: plan.Form, Width: w, Height: h, Thickness: 3 * in}
	p.Cover.Kind, p.Cover.Seam, p.Cover.Ease = kind, in/2, plan.Axes{}
	return p
}

// Something round: geometry.
func TestRoundThingsHaveCirclesForCovers(t *testing.T) {
	for kind, name := range map[plan.CoverKind]string{plan.Cushion: "front", plan.BoxedCushion: "face",
		plan.Pad: "top"} {
		p := form(kind, 16*in, 0)
		p.Object.Shape = plan.RoundShape
		if kind == plan.Pad {
			p.Object.Kind = plan.Flat
		}
		c := built(t, p)
		line := named(t, c, name).Line()
		assert.InDelta(t, math.Pi*16, line.Length()/in.Float(), 1e-6, kind)
		assert.InDelta(t, math.Pi*64, line.Area()/in.Float()/in.Float(), 1e-6, kind)
		assert.InDelta(t, math.Pi*17, named(t, c, name).Cut().Length()/in.Float(), 1e-6, "a seam of ½ all round")
		for _, j := range c.Joins {
			assert.InDelta(t, j.Lengths[0].Total().Float(), j.Lengths[1].Total().Float(), 8, j.Title)
		}
	}
	p := form(plan.Cushion, 16*in, 15*in)
	p.Object.Shape = plan.RoundShape
	assert.Equal(t, "/object/height", p.Validate()[1].About, "after the missing title")
}

func TestTaperedCornersAreDrawnIn(t *testing.T) {
	p := form(plan.Cushion, 20*in, 16*in)
	p.Cover.Corners.Kind = plan.TaperedCorners
	front := named(t, built(t, p), "front")
	line := front.Line()
	assert.False(t, line.Contains(in.Float()/4, in.Float()/4), "the corner is cut off")
	assert.True(t, line.Contains(in.Float()/2, in.Float()/2), "½ in either way by usage")
	x1, y1, x2, y2 := line.Bounds()
	assert.Equal(t, []float64{0, 0, (20 * in).Float(), (16 * in).Float()}, []float64{x1, y1, x2, y2},
		"the sides keep their size")
	assert.Less(t, line.Length(), (72 * in).Float())
	whole := front.Seam(cover.Run{cover.Left, cover.Top, cover.Right, cover.Bottom})
	assert.InDelta(t, line.Length(), whole.Path.Length(), 1)
	assert.InDelta(t, (10 * in).Float(), whole.Marks[1].X, 2, "half way round is the middle of the top")
	p.Cover.Kind = plan.BoxedCushion
	_, found := cover.Pieces(p.Settle())
	assert.Equal(t, "/cover/corners/kind", found[0].About)
}

// Both halves with their folds, and the band that is left, make up the way round.
func TestAZipInTheBand(t *testing.T) {
	p := form(plan.BoxedCushion, 40*in, 16*in)
	p.Cover.Corners = plan.Corners{Kind: "round", Radius: 5 * in / 2}
	closed := named(t, built(t, p), "band").Finished.Width.Total()
	p.Back = plan.Back{Kind: plan.Zip, Gap: 36 * in, Hem: []length.Length{in / 2}}
	c := built(t, p)
	w, h := trimmed(t, c, "band.zip")
	assert.Equal(t, []length.Length{77 * in / 2, 5 * in / 2}, []length.Length{w, h},
		"36 + 2 × ¾ + 2 × ½ long; 1½ + ½ for the seam + ½ under")
	assert.Equal(t, 2, named(t, c, "band.zip").Count)
	assert.Equal(t, closed, named(t, c, "band").Finished.Width.Total()+75*in/2)
	for _, j := range c.Joins {
		assert.InDelta(t, j.Lengths[0].Total().Float(), j.Lengths[1].Total().Float(), 8, j.Title)
		assert.Zero(t, j.Gap, "it is turned through the zip")
	}
	for gap, code := range map[length.Length]string{60 * in: "zip-gap", 12 * in: "zip-gap-short"} {
		p.Back.Gap = gap
		_, found := cover.Pieces(p.Settle())
		require.Len(t, found, 1)
		assert.Equal(t, code, found[0].Code)
		assert.Equal(t, "/back/gap", found[0].About)
	}
}

// The band lies with its middle at the front of the face, the zip at its back: the
// corners it goes round stand mirrored on it.
func TestABandBesideAZipIsClippedAtEachCorner(t *testing.T) {
	p := form(plan.BoxedCushion, 40*in, 16*in)
	p.Cover.Corners = plan.Corners{Kind: "round", Radius: 5 * in / 2}
	p.Back = plan.Back{Kind: plan.Zip, Gap: 30 * in}
	c := built(t, p)
	j := c.Joins[2]
	band := named(t, c, "band").Seam(j.Runs[0][0]).Path
	clips := cover.Clips(band, named(t, c, "face").Seam(j.Runs[1][0]).Path, j.Start(0))
	require.Len(t, clips, 4)
	slices.SortFunc(clips, func(a, b [2]float64) int { return cmp.Compare(a[0], b[0]) })
	for i, clip := range clips {
		assert.InDelta(t, math.Pi, (clip[1]-clip[0])/in.Float(), 1e-6, "a quarter of a circle of 2")
		assert.InDelta(t, clip[0], band.Length()-clips[3-i][1], 20)
	}
	assert.InDelta(t, band.Length()/2-(18*in).Float(), clips[1][1], 20, "half the front and its straight side")
}

func TestFlippedFlapsAreOneLayerWithAHem(t *testing.T) {
	p := book(13*in, 8*in, 3*in)
	p.Cover.Flaps.Style = plan.Flipped
	c := built(t, p)
	w, h := trimmed(t, c, "flap")
	assert.Equal(t, []length.Length{17 * in / 4, 35 * in / 4}, []length.Length{w, h}, "3 + ¼ + a hem of 1")
	assert.Equal(t, [][]cover.Run{{{cover.Left}}, {{cover.Left}, {cover.Right}}}, c.Joins[0].Runs[:])
	p.Cover.Flaps.Depth.Back = 2 * in
	c = built(t, p)
	assert.Equal(t, []cover.Run{{cover.Left}}, c.Joins[1].Runs[1],
		"the back flap at the left end: the front is on the right as the outside is seen")
	assert.Equal(t, "flap.back", c.Joins[1].Between[0])
}

func TestTheGapSuitsTheSizeOfTheThing(t *testing.T) {
	p := form(plan.Pad, 4*in, 3*in)
	p.Object.Kind = plan.Flat
	assert.Equal(t, 2*in, built(t, p).Joins[0].Gap, "5 would not fit a side of 4")
	_, found := cover.Pieces(p.Settle())
	require.Len(t, found, 1, "it is not shortened in silence")
	assert.Equal(t, []any{"gap-short", finding.Note}, []any{found[0].Code, found[0].Level})
	assert.Contains(t, found[0].Text, "A gap of 2″ is shorter than the usual 5″")
	assert.Equal(t, "There is room for 7″ here.", found[0].Remedy, "half the way round")
	p.Object.Width = 30 * in
	assert.Equal(t, 5*in, built(t, p).Joins[0].Gap)
}

// Something of the same proportions in inches and in centimetres has the same
// cover: units change what is usual, never what is decided.
func TestInchAndCentimetrePlansOfOneObjectAgree(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := form(rapid.SampledFrom([]plan.CoverKind{plan.Cushion, plan.BoxedCushion}).Draw(t, "kind"),
			length.Length(rapid.Int64Range(int64(8*in), int64(40*in)).Draw(t, "w")),
			length.Length(rapid.Int64Range(int64(8*in), int64(40*in)).Draw(t, "h")))
		p.Back.Gap = 6 * in
		p.Cover.Corners = plan.Corners{Kind: rapid.SampledFrom([]plan.CornerKind{"square", "round", "tapered"}).
			Draw(t, "corners"), Radius: 3 * in, Taper: in / 2}
		if p.Cover.Kind == plan.BoxedCushion && p.Cover.Corners.Kind == plan.TaperedCorners {
			p.Cover.Corners.Kind = plan.SquareCorners
		}
		metric := p
		metric.Units, metric.Habits = length.Centimetres, plan.DefaultHabits(length.Centimetres)
		a, b := built(t, p), built(t, metric)
		require.Equal(t, len(a.Pieces), len(b.Pieces))
		for i := range a.Pieces {
			assert.Equal(t, a.Pieces[i].Line(), b.Pieces[i].Line())
			assert.Equal(t, a.Pieces[i].Cut(), b.Pieces[i].Cut())
		}
	})
}

func TestSizesThatMayBeMixedUpAreAskedAbout(t *testing.T) {
	p := form(plan.BoxedCushion, 20*in, 16*in)
	p.Object.Thickness = 18 * in
	_, found := cover.Pieces(p.Settle())
	require.Len(t, found, 1)
	assert.Equal(t, "thicker-than-wide", found[0].Code)
	p = form(plan.Cushion, 51*in, 20*in)
	_, found = cover.Pieces(p.Settle())
	require.Len(t, found, 1)
	assert.Equal(t, "other-side", found[0].Code)
	assert.Contains(t, found[0].Remedy, "type 51 cm")
	p.Units = length.Centimetres
	_, found = cover.Pieces(p.Settle())
	assert.Empty(t, found, "nobody reads inches off the centimetre side by fifties")
}

// Worked figure: inside = cover − 2 × flange, and the pad follows the inside.
func TestAFlangeStandsOutAllRound(t *testing.T) {
	p := form(plan.Cushion, 18*in, 16*in)
	p.Cover.Flange = 2 * in
	w, h := trimmed(t, built(t, p), "front")
	assert.Equal(t, []length.Length{23 * in, 21 * in}, []length.Length{w, h}, "18 + 2 × 2 and two seams of ½")
	p.Cover.Kind = plan.Pad
	p.Object.Kind = plan.Flat
	_, found := cover.Pieces(p.Settle())
	require.Len(t, found, 1)
	assert.Equal(t, "/cover/flange", found[0].About)
}
