package cover_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/cover"
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
		"flaps":        func() plan.Plan { p := book(13*in, 8*in, 3*in); p.Cover.Flaps.Style = "flip"; return p }(),
	} {
		_, found := cover.Pieces(p)
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
	assert.InDelta(t, 2*0.858407*2, (w-rounded).Float()/in.Float(), 1e-5, "four corners of 2, each (2 − π/2) × 2 shorter")
	p.Object.Thickness = 0
	_, found := cover.Pieces(p)
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
	_, found := cover.Pieces(p)
	assert.Equal(t, "/object/kind", found[0].About)
}

func TestWhatIsNotReckonedIsSaidOfTheCoverPlanned(t *testing.T) {
	var p plan.Plan
	p.Cover.Kind, p.Cover.Seam = "pad", in/4
	p.Cover.Corners.Kind = "mitred"
	p.Object = plan.Object{Kind: plan.Flat, Width: 16 * in, Height: 12 * in}
	_, found := cover.Pieces(p)
	require.Len(t, found, 1)
	assert.Equal(t, "/cover/corners/kind", found[0].About)
	assert.Contains(t, found[0].Text, "A pad with mitred corners")
}
