package front_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/finding"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
	_ "umschlag/seeded"
)

const (
	in      = length.Inch
	seam    = in / 4
	eighth  = in / 8
	margin  = in / 2
	takeTop = 20*in + 17_180_000 // 20.676: 20½ over what quilting at 0.86 % leaves
)

func size(w, h length.Length) sum.Size {
	return sum.Size{Width: sum.Of(sum.Part, "w", w), Height: sum.Of(sum.Part, "h", h)}
}

// order is a face that finishes w × h and is not quilted.
func order(f plan.Face, w, h length.Length) front.Order {
	return front.Order{Face: f.Keyed(nil), Path: "/pieces/front/face", Finished: size(w, h),
		Trimmed: size(w+2*seam, h+2*seam), Top: size(w+2*seam, h+2*seam),
		Seam: seam, Step: eighth, Style: length.Style{Unit: length.Inches}}
}

// quilted gives an order of 19 × 19 the oversize of the worked example.
func quilted(f plan.Face) front.Order {
	o := order(f, 19*in, 19*in)
	o.Top, o.Margin, o.TakeAcross, o.TakeUp = size(takeTop, takeTop), margin, 0.0086, 0.0086
	return o
}

func grid(n int, patch length.Length, borders ...plan.Border) plan.Face {
	return plan.Face{Kind: plan.GridFace, Columns: n, Rows: n, Patch: plan.Patch{Width: patch, Height: patch},
		Cloths: []string{"A", "B"},
		Order:  plan.Order{Kind: plan.Alternate}, Borders: borders}
}

func blocks(n int, patch length.Length, b plan.Block, borders ...plan.Border) plan.Face {
	f := grid(n, patch, borders...)
	f.Block = b
	return f
}

var rest = plan.Border{Width: plan.Extent{Rest: true}, Cloth: "C"}

func build(t require.TestingT, o front.Order) front.Face {
	f, found := front.Build(o)
	require.False(t, found.Stopped(), "%v", found)
	return f
}

func part(t require.TestingT, f front.Face, name string) front.Part {
	for _, p := range f.Parts {
		if p.Name == name {
			return p
		}
	}
	require.FailNow(t, "no part "+name)
	return front.Part{}
}

// The worked figures of docs/arithmetic.md §6: common practice, no published source.
func TestTheWorkedGrid(t *testing.T) {
	f := build(t, quilted(grid(4, 4*in, rest)))
	assert.Equal(t, 19*in, f.Finished.Width.Total())
	assert.Equal(t, 3*in/2, f.Finished.Width[0].Amount, "the border takes the rest: 1½")
	patch := part(t, f, "patch.A")
	assert.Equal(t, 8, patch.Count)
	assert.Equal(t, 9*in/2, patch.Size.Width.Total(), "4 finished is cut 4½")
	side, run := part(t, f, "border.1.side"), part(t, f, "border.1.run")
	assert.Equal(t, 21*in/8, side.Size.Width.Total(), "2.59 goes up to 2⅝")
	assert.Equal(t, 33*in/2, side.Size.Height.Total(), "as high as the sewn centre")
	assert.Equal(t, 83*in/4, run.Size.Width.Total(), "across everything, as sewn")
	assert.Equal(t, run.Size.Width.Total(), f.Sewn.Width.Total())
	assert.GreaterOrEqual(t, f.Sewn.Width.Total(), takeTop, "enough to be trimmed")
}

func TestBordersGoFromInsideToOutside(t *testing.T) {
	f := build(t, order(grid(4, 4*in, plan.Border{Width: plan.Extent{Width: in}, Cloth: "D"}, rest), 20*in, 19*in))
	inner, outer := part(t, f, "border.1.run"), part(t, f, "border.2.run")
	assert.Equal(t, 37*in/2, inner.Size.Width.Total(), "16 + 2 × 1 + seams")
	assert.Equal(t, 41*in/2, outer.Size.Width.Total())
	assert.Equal(t, 3*in/2, part(t, f, "border.2.side").Size.Width.Total(), "rest 1 across, cut 1½")
	assert.Equal(t, in, outer.Size.Height.Total(), "rest ½ down, cut 1")
	assert.Equal(t, 2, f.Rings)
}

func TestAGridThatIsFitted(t *testing.T) {
	f := build(t, order(plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4, Patch: plan.Patch{Fit: true},
		Borders: []plan.Border{rest}}, 19*in, 19*in))
	assert.Equal(t, 5*in, part(t, f, "patch.").Size.Width.Total(), "4½ finished leaves a border of ½")
	exact := build(t, order(plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4, Patch: plan.Patch{Fit: true}}, 19*in,
		19*in))
	assert.Equal(t, 21*in/4, part(t, exact, "patch.").Size.Width.Total(), "without a border 4¾ fills it")
}

func TestWhatDoesNotFitIsSaidWithWhatDoes(t *testing.T) {
	border := func(w length.Length) plan.Border { return plan.Border{Width: plan.Extent{Width: w}} }
	for name, c := range map[string]struct {
		face                plan.Face
		code, about, remedy string
	}{
		"patch larger than the front": {grid(1, 22*in, rest), "patch-too-large", "/patch/width", "up to 19″"},
		"grid larger than the front":  {grid(5, 4*in, rest), "front-too-large", "/columns", "3¾″"},
		"grid smaller than the front": {grid(4, 4*in), "front-does-not-fill", "/columns",
			"patches of 4¾″, or borders of 1½″"},
		"other count would fit":        {grid(5, 19*in/4), "front-too-large", "/columns", "4 patches across"},
		"borders wider than the cover": {grid(1, in, border(10*in)), "borders-too-wide", "/borders", "up to 9″"},
		"nothing left for the rest":    {grid(4, 19*in/4, rest), "no-rest", "/borders", "Remove the border"},
		"an unknown block": {blocks(4, 19*in/4, plan.Block{Name: "windmill of mine"}), "block-unknown",
			"/block", "list"},
		"cells that are no text": {blocks(4, 19*in/4, plan.Block{Cells: 4}), "block-cells", "/block",
			"Write them"},
		"cells that cannot be read": {blocks(4, 19*in/4, plan.Block{Cells: "A |"}), "block-cells", "/block/cells",
			"brackets"},
		"a pieced border, mitred": {grid(4, 4*in,
			plan.Border{Width: plan.Extent{Rest: true}, Corner: "mitred", Pieced: &plan.PiecedBorder{}}),
			"border-pieced-mitred", "/borders/0/corner", "butted"},
		"sashes that fill too much": {sashed(grid(4, 19*in/4), in/2, false, false), "front-too-large", "/columns",
			"patches of"},
		"blocks too large on point": {pointed(3, 3, 6*in), "front-too-large", "/columns", "blocks of up to 4⅜″"},
		"sashes on point": {sashed(pointed(2, 2, 6*in), in, false, false), "point-sash", "/sash",
			"straight"},
		"oblong blocks on point": {plan.Face{Kind: plan.GridFace, Set: plan.OnPoint, Columns: 2, Rows: 2,
			Patch: plan.Patch{Width: 4 * in, Height: 5 * in}}, "point-square", "/patch/height", "the same size"},
		"strips that miss": {plan.Face{Kind: plan.StripsFace,
			Strips: []plan.Strip{{Width: plan.Extent{Width: 10 * in}}, {Width: plan.Extent{Width: 8 * in}}}},
			"strips-do-not-fill", "/strips",
			"last strip of 9″"},
		"slanting strips": {plan.Face{Kind: plan.StripsFace, Direction: "diagonal",
			Strips: []plan.Strip{{Width: plan.Extent{Width: 19 * in}}}}, "strips-direction", "/direction", "across"},
		"an empty stack": {plan.Face{Kind: plan.StackFace}, "stack-empty", "/parts", "19″"},
		"a stack that misses": {plan.Face{Kind: plan.StackFace,
			Parts: []plan.Part{{Height: plan.Extent{Width: 10 * in}}}},
			"stack-does-not-fill", "/parts", "last section of 19″"},
		"appliqué": {plan.Face{Kind: plan.GatheredFace, Ratio: 2.5,
			Applique: make([]plan.Shape, 1)}, "face-part", "/applique", ""},
		"a pocket on a grid": {plan.Face{Kind: plan.GridFace, Pocket: "folded"}, "face-part", "/pocket",
			"one piece of fabric"},
		"no gathers": {plan.Face{Kind: plan.GatheredFace, Ratio: 1}, "gather-ratio", "/ratio", "2.5"},
		"a sample that is not here": {plan.Face{Kind: plan.GatheredFace, Sample: "s1"}, "gather-sample", "/sample",
			"divided"},
		"a kind there is not": {plan.Face{Kind: "woven"}, "face-kind", "/kind", "gathers"},
		"units that miss": {plan.Face{Kind: plan.WindowsFace, Columns: 4, Rows: 4, Unit: 3 * in},
			"windows-do-not-fill", "/unit", "Units of 4⅞″ fit the width"},
		"units too small": {plan.Face{Kind: plan.WindowsFace, Columns: 39, Rows: 39, Unit: in / 2},
			"windows-small", "/unit", "larger"},
	} {
		t.Run(name, func(t *testing.T) {
			f, found := front.Build(order(c.face, 19*in, 19*in))
			assert.Empty(t, f.Parts, "no half result")
			require.NotEmpty(t, found)
			assert.Equal(t, c.code, found[0].Code)
			assert.Equal(t, "/pieces/front/face"+c.about, found[0].About)
			assert.Contains(t, found[0].Remedy, c.remedy)
			assert.True(t, found.Stopped())
		})
	}
}

func TestTheOtherDirectionIsNamedWhereItDiffers(t *testing.T) {
	f := grid(4, 4*in)
	f.Rows = 5
	_, found := front.Build(order(f, 19*in, 19*in))
	require.Len(t, found, 2)
	assert.Equal(t, "/pieces/front/face/columns", found[0].About)
	assert.Equal(t, "/pieces/front/face/rows", found[1].About)
}

func TestAPatchOffTheRulerIsReportedAndNotRounded(t *testing.T) {
	o := order(grid(3, 19*in/3), 19*in/3*3, 19*in/3*3)
	f, found := front.Build(o)
	require.Len(t, found, 1)
	assert.Equal(t, "patch-off-ruler", found[0].Code)
	assert.Contains(t, found[0].Remedy, "6¼″ and 6⅜″")
	assert.Equal(t, 19*in/3+2*seam, part(t, f, "patch.A").Size.Width.Total())
}

func TestWithoutABorderThePatchesGrow(t *testing.T) {
	f, found := front.Build(quilted(grid(4, 19*in/4)))
	require.Len(t, found, 1)
	assert.Equal(t, "patch-grown", found[0].Code)
	assert.Equal(t, finding.Warn, found[0].Level)
	patch := part(t, f, "patch.A").Size.Width
	assert.Equal(t, 45*in/8, patch.Total(), "5¼ and a share of 1.18, up to the ruler: 5⅝")
	assert.GreaterOrEqual(t, f.Sewn.Width.Total(), takeTop)
	assert.Equal(t, 19*in, f.Finished.Width.Total())
}

func TestOrASmallerCoverIsAccepted(t *testing.T) {
	o := quilted(grid(4, 19*in/4))
	o.Absorb = plan.AbsorbAccept
	f, found := front.Build(o)
	require.Len(t, found, 1)
	assert.Equal(t, "cover-smaller", found[0].Code)
	assert.Equal(t, 21*in/4, part(t, f, "patch.A").Size.Width.Total(), "the patches stay")
	want := length.FromFloat((39*in/2).Float()*(1-0.0086)) - 2*margin - 2*seam
	assert.InDelta(t, float64(want), float64(f.Finished.Width.Total()), 1)
	assert.Equal(t, f.Finished.Width[0].Amount, f.Finished.Width[len(f.Finished.Width)-1].Amount, "taken evenly")
}

func cloths(f front.Face) [][]string {
	rows := make([][]string, f.Rows)
	for _, c := range f.Cells {
		if c.Row > 0 {
			rows[c.Row-1] = append(rows[c.Row-1], f.Parts[c.Part].Cloth)
		}
	}
	return rows
}

func TestTheThreeOrders(t *testing.T) {
	alternate := build(t, order(grid(2, 4*in), 8*in, 8*in))
	assert.Equal(t, [][]string{{"A", "B"}, {"B", "A"}}, cloths(alternate))
	byHand := grid(2, 4*in)
	byHand.Order = plan.Order{Kind: plan.Rows, Rows: [][]string{{"B", "B"}, {"A", "C"}}}
	assert.Equal(t, byHand.Order.Rows, cloths(build(t, order(byHand, 8*in, 8*in))))
}

func TestScrapPutsNothingBesideItsLike(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(2, 12).Draw(t, "n")
		f := grid(n, in)
		f.Cloths = []string{"A", "B", "C", "D", "E"}[:rapid.IntRange(2, 5).Draw(t, "cloths")]
		f.Order.Kind, f.Seed = plan.Scrap, rapid.Int().Draw(t, "seed")
		side := in.Times(n)
		built := build(t, order(f, side, side))
		rows := cloths(built)
		for r := range rows {
			for c := range rows[r] {
				assert.False(t, c > 0 && rows[r][c] == rows[r][c-1], "beside")
				assert.False(t, r > 0 && rows[r][c] == rows[r-1][c], "below")
			}
		}
		assert.Equal(t, rows, cloths(build(t, order(f, side, side))), "the same seed gives the same layout")
	})
}

func TestScrapOfOneClothSaysSo(t *testing.T) {
	f := grid(2, in)
	f.Cloths, f.Order.Kind = []string{"A", "A"}, plan.Scrap
	_, found := front.Build(order(f, 2*in, 2*in))
	require.Len(t, found, 1)
	assert.Equal(t, "like-neighbours", found[0].Code)
}

// Whatever the grid: its parts fill the face, their counts are its cells, and
// sewing the cuts together gives the sewn size.
func TestAnyGridIsWhole(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(1, 9).Draw(t, "n")
		patch := eighth.Times(rapid.IntRange(4, 48).Draw(t, "patch"))
		ring := eighth.Times(rapid.IntRange(4, 16).Draw(t, "ring"))
		f := grid(n, patch, plan.Border{Width: plan.Extent{Width: ring}, Cloth: "C"}, rest)
		side := patch.Times(n) + 2*ring + 2*eighth.Times(rapid.IntRange(1, 40).Draw(t, "rest"))
		o := order(f, side, side)
		grow := length.Length(rapid.Int64Range(0, int64(2*in)).Draw(t, "grow"))
		o.Top = size(o.Trimmed.Width.Total()+2*grow, o.Trimmed.Height.Total()+2*grow)
		built := build(t, o)
		assert.Equal(t, side, built.Finished.Width.Total())
		assert.Equal(t, side, built.Finished.Height.Total())
		counts := make([]int, len(built.Parts))
		area, whole := 0.0, o.Top.Width.Total().Float()*o.Top.Height.Total().Float()
		for _, c := range built.Cells {
			counts[c.Part]++
			area += c.Width.Float() * c.Height.Float()
		}
		for i, p := range built.Parts {
			assert.Equal(t, p.Count, counts[i], p.Name)
		}
		assert.InEpsilon(t, whole, area, 1e-9, "cells fill the top without overlap")
		sewn := patch.Times(n) + 2*seam
		for r := 1; r <= 2; r++ {
			b := part(t, built, []string{"", "border.1.side", "border.2.side"}[r])
			assert.Equal(t, sewn, b.Size.Height.Total())
			sewn += 2 * (b.Size.Width.Total() - 2*seam)
		}
		assert.Equal(t, sewn, built.Sewn.Height.Total())
		assert.GreaterOrEqual(t, built.Sewn.Height.Total(), o.Top.Height.Total())
		assert.Less(t, built.Sewn.Height.Total(), o.Top.Height.Total()+2*eighth)
	})
}

// A part that is longer than its place stands out half of that at either end: as it is drawn, cut and placed; what is
// sewn is as wide as its place.
func TestAPartThatStandsOutIsCentredAndSquaredUp(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		by := (in / 8).Times(rapid.IntRange(0, 16).Draw(t, "by"))
		plain := func(cloth string) plan.Face {
			return plan.Face{Kind: plan.PlainFace, Cloth: cloth,
				Applique: []plan.Shape{{Key: "s", Shape: "circle", Width: in, Cloth: "C", Name: "moon"}}}
		}
		f := plan.Face{Kind: plan.StackFace, Parts: []plan.Part{
			{Key: "1", Height: plan.Extent{Width: 4 * in}, Overhang: by, Face: plain("A")},
			{Key: "2", Height: plan.Extent{Width: 6 * in}, Face: plain("B")}}}
		size := sum.Size{Width: sum.Of(sum.Part, "w", 12*in), Height: sum.Of(sum.Part, "h", 10*in)}
		raw := sum.Size{Width: size.Width.Between(sum.Seam, "seam", in/4),
			Height: size.Height.Between(sum.Seam, "seam", in/4)}
		made, found := front.Build(front.Order{Face: f, Path: "/pieces/front/face", Finished: size, Trimmed: raw,
			Top: raw, Seam: in / 4, Left: in / 4, Above: in / 4, Step: in / 8})
		require.False(t, found.Stopped(), "%v", found)
		assert.Equal(t, 12*in+in/2+by, made.Parts[0].Size.Width.Total())
		assert.Equal(t, 12*in+in/2, made.Parts[1].Size.Width.Total())
		assert.Equal(t, 12*in+in/2, made.Sewn.Width.Total())
		assert.Equal(t, 12*in, made.Finished.Width.Total())
		c := made.Cells[0]
		assert.Equal(t, [2]length.Length{-in/4 - by/2, 12*in + in/2 + by}, [2]length.Length{c.X, c.Width})
		require.Len(t, made.Applied, 2)
		assert.Equal(t, made.Applied[1].X, made.Applied[0].X, "in the middle of both")
		assert.Equal(t, made.Applied[0].From.Left, made.Applied[0].From.Right)
		if by > 0 {
			assert.Equal(t, []front.Standing{{Name: "section 1", By: by}}, made.Standing)
		}
	})
}

// Sixty-four pinwheels mixed of eight cloths on a ground: the ground is in no draw, so that no block is ground on
// ground, and each of the others is drawn about as often as any other.
func TestTheGroundOfBlocksIsNotDrawn(t *testing.T) {
	cloths := []string{"A", "G", "B", "C", "D", "E", "F", "H"}
	f := plan.Face{Kind: plan.GridFace, Columns: 8, Rows: 8, Patch: plan.Patch{Width: 4 * in}, Cloths: cloths, Seed: 7,
		Block: plan.Block{Name: "pinwheel"}, Order: plan.Order{Kind: plan.OnGround}}
	count := map[string]int{}
	for _, row := range front.Laid(f) {
		for _, cloth := range row {
			count[cloth]++
		}
	}
	assert.Zero(t, count["G"])
	for _, cloth := range []string{"A", "B", "C", "D", "E", "F", "H"} {
		assert.InDelta(t, 64.0/7, count[cloth], 2, cloth)
	}
	f.Keep = []plan.Kept{{Row: 2, Column: 3, Cloth: "G"}}
	assert.Equal(t, "G", front.Laid(f)[1][2], "what is kept stays")
	f.Order.Kind, f.Keep = plan.Scrap, nil
	assert.Contains(t, slices.Concat(front.Laid(f)...), "G", "as it was mixed before, it stays mixed")
}
