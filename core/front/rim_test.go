package front_test

import (
	"maps"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// rimmed is a face that finishes w × h in a cover whose own seam is wider than the piecing seam.
func rimmed(f plan.Face, w, h, rim length.Length) front.Order {
	o := order(f, w, h)
	o.Rim = rim
	o.Trimmed = size(w+2*seam+2*rim, h+2*seam+2*rim)
	o.Top, o.Left, o.Above = o.Trimmed, seam+rim, seam+rim
	return o
}

// Worked by hand: patches of 4 in, four by four, sewn with ¼ in and closed with ½ in.
func TestTheSeamRoundItIsNotThePiecingSeam(t *testing.T) {
	for absorb, want := range map[plan.Absorb]struct {
		cuts     map[string][2]length.Length
		counts   map[string]int
		finishes length.Length
		sewn     length.Length
	}{
		"": {map[string][2]length.Length{"patch.A.corner": {19 * in / 4, 19 * in / 4}, "patch.A.side": {19 * in / 4,
			9 * in / 2},
			"patch.A.end": {9 * in / 2, 19 * in / 4}, "patch.A": {9 * in / 2, 9 * in / 2}},
			map[string]int{"patch.A.corner": 2, "patch.B.corner": 2, "patch.A.side": 2, "patch.A.end": 2, "patch.B": 2},
			16 * in, 17 * in},
		plan.AbsorbPatch: {map[string][2]length.Length{"patch.A": {37 * in / 8, 37 * in / 8}}, map[string]int{"patch.A": 8},
			16 * in, 17 * in},
		plan.AbsorbAccept: {map[string][2]length.Length{"patch.A": {9 * in / 2, 9 * in / 2}}, map[string]int{"patch.A": 8},
			31 * in / 2, 33 * in / 2},
	} {
		o := rimmed(grid(4, 4*in), 16*in, 16*in, in/4)
		o.Absorb = absorb
		f := build(t, o)
		for name, cut := range want.cuts {
			p := part(t, f, name)
			assert.Equal(t, cut, [2]length.Length{p.Size.Width.Total(), p.Size.Height.Total()}, "%s %s", absorb, name)
		}
		for name, n := range want.counts {
			assert.Equal(t, n, part(t, f, name).Count, "%s %s", absorb, name)
		}
		assert.Equal(t, want.finishes, f.Finished.Width.Total(), absorb)
		assert.Equal(t, want.sewn, f.Sewn.Height.Total(), absorb)
		covers(t, f, in/2, in/2)
	}
}

// covers holds the cells against the face with the seams round it.
func covers(t require.TestingT, f front.Face, across, up length.Length) {
	x1, y1, x2, y2 := length.Length(0), length.Length(0), length.Length(0), length.Length(0)
	for _, c := range f.Cells {
		x1, y1, x2, y2 = min(x1, c.X), min(y1, c.Y), max(x2, c.X+c.Width), max(y2, c.Y+c.Height)
	}
	for _, side := range [][2]length.Length{{-x1, across}, {-y1, up}, {x2 - f.Finished.Width.Total(), across},
		{y2 - f.Finished.Height.Total(), up}} {
		require.InDelta(t, side[1].Float(), side[0].Float(), 10)
	}
}

// What lies at the rim takes a wider seam round the face up, and nothing else does: whatever the face.
func TestOnlyTheRimTakesTheSeamRoundIt(t *testing.T) {
	eight := func(n int) length.Length { return length.Length(n) * eighth }
	faces := map[string]plan.Face{
		"bordered": grid(4, 4*in, plan.Border{Width: plan.Extent{Width: 3 * in}, Cloth: "C"},
			plan.Border{Width: plan.Extent{Width: in}, Cloth: "D"}),
		"cornered": grid(4, 4*in, plan.Border{Width: plan.Extent{Width: 4 * in}, Cloth: "C", Corner: plan.BorderCorner("squares")}),
		"mitred":   grid(4, 4*in, plan.Border{Width: plan.Extent{Width: 4 * in}, Cloth: "C", Corner: plan.BorderCorner("mitred")}),
		"blocks":   blocks(4, 4*in, plan.Block{Name: "pinwheel"}, plan.Border{Width: plan.Extent{Width: 4 * in}, Cloth: "C"}),
		"bare":     grid(4, 6*in), "one": grid(1, 24*in),
		"strips": {Kind: plan.StripsFace, Strips: []plan.Strip{{Width: plan.Extent{Width: 10 * in}, Cloth: "A"},
			{Width: plan.Extent{Width: 14 * in}, Cloth: "B"}}},
		"stack": {Kind: plan.StackFace, Parts: []plan.Part{
			{Height: plan.Extent{Width: 8 * in}, Face: plan.Face{Kind: plan.PlainFace, Cloth: "A"}},
			{Height: plan.Extent{Width: 12 * in}, Face: plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 2,
				Patch: plan.Patch{Width: 6 * in, Height: 6 * in}, Cloths: []string{"A"}}},
			{Height: plan.Extent{Width: 4 * in}, Face: plan.Face{Kind: plan.GatheredFace, Cloth: "A", Ratio: 2}}}},
		"sashed": {Kind: plan.GridFace, Columns: 3, Rows: 3, Patch: plan.Patch{Width: 7 * in, Height: 7 * in},
			Cloths: []string{"A"}, Sash: &plan.Sash{Width: 3 * in / 4, Outside: true, Cloth: "B"}},
		"found": {Kind: plan.FoundFace, Cloth: "A"},
	}
	rapid.Check(t, func(t *rapid.T) {
		name := rapid.SampledFrom(slices.Sorted(maps.Keys(faces))).Draw(t, "face")
		rim := eight(rapid.IntRange(-1, 6).Draw(t, "rim"))
		was, is := build(t, rimmed(faces[name], 24*in, 24*in, 0)), build(t, rimmed(faces[name], 24*in, 24*in, rim))
		require.Equal(t, was.Sewn.Width.Total()+2*rim, is.Sewn.Width.Total(), name)
		require.Equal(t, was.Sewn.Height.Total()+2*rim, is.Sewn.Height.Total(), name)
		require.Equal(t, was.Finished.Height.Total(), is.Finished.Height.Total(), name)
		if was.Parts[0].Role != front.Panel || !was.Parts[0].Had {
			covers(t, is, seam+rim, seam+rim)
		}
		if len(was.Parts) != len(is.Parts) {
			require.Contains(t, []string{"bare", "sashed", "stack"}, name, "the outermost are cuts of their own")
			return
		}
		for i, p := range is.Parts {
			for _, d := range []length.Length{p.Size.Width.Total() - was.Parts[i].Size.Width.Total(),
				p.Size.Height.Total() - was.Parts[i].Size.Height.Total()} {
				may := []length.Length{0, rim, 2 * rim}
				if name == "mitred" { // to spare are twice the cut widths
					may = append(may, 4*rim)
				}
				require.Contains(t, may, d, "%s %s", name, p.Name)
			}
		}
	})
}

// Triangles round blocks on point take it up: on the straight grain outside, twice along their long side.
func TestSettingTrianglesTakeTheSeamRoundIt(t *testing.T) {
	f := plan.Face{Kind: plan.GridFace, Set: plan.OnPoint, Columns: 3, Rows: 3, Patch: plan.Patch{Fit: true},
		Cloths: []string{"A"}, Cloth: "B"}
	was, is := build(t, rimmed(f, 20*in, 20*in, 0)), build(t, rimmed(f, 20*in, 20*in, in/4))
	assert.Equal(t, part(t, was, "patch.A").Size, part(t, is, "patch.A").Size)
	long := func(f front.Face) (out length.Length) {
		for _, p := range f.Parts {
			if p.Title == "Side triangles" {
				out = max(out, p.Size.Width[0].Amount)
			}
		}
		return out
	}
	assert.InDelta(t, (in / 2).Float(), (long(is) - long(was)).Float(), 2)
	covers(t, is, in/2, in/2)
}

// Patches of blocks cannot be cut wider at the rim alone: the blocks are all a little larger, and it is said what the
// outer ones show.
func TestBlocksAreAlikeAtTheRim(t *testing.T) {
	f, found := front.Build(rimmed(blocks(4, 4*in, plan.Block{Name: "pinwheel"}), 16*in, 16*in, in/4))
	require.False(t, found.Stopped())
	require.NotEmpty(t, found)
	assert.Contains(t, found[0].Text, "the outer ones show 3⅞″ and the others 4⅛″")
	assert.Equal(t, 37*in/8, f.Grids[0].Patch.Width.Total())
}

// A part of a stack has to fill its place: the cover cannot be smaller at one part of its front.
func TestAPartOfAStackFillsItsPlace(t *testing.T) {
	f := plan.Face{Kind: plan.StackFace, Parts: []plan.Part{
		{Height: plan.Extent{Width: 8 * in}, Face: plan.Face{Kind: plan.PlainFace, Cloth: "A"}},
		{Height: plan.Extent{Width: 8 * in}, Face: plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 2,
			Patch: plan.Patch{Width: 4 * in, Height: 4 * in}, Cloths: []string{"A"}}}}}
	o := rimmed(f, 16*in, 16*in, in/4)
	o.Absorb = plan.AbsorbAccept
	built := build(t, o)
	assert.Equal(t, 16*in, built.Finished.Width.Total())
	assert.Equal(t, 17*in, built.Sewn.Width.Total())
	assert.Equal(t, 17*in, built.Sewn.Height.Total())
	covers(t, built, in/2, in/2)
}

func TestPatchesNarrowerThanTheirSeams(t *testing.T) {
	o := order(grid(16, in), 16*in, 16*in)
	o.Seam, o.Rim = 5*in/4, 0
	_, found := front.Build(o)
	require.True(t, found.Stopped())
	assert.Equal(t, "seam-too-wide", found[0].Code)
	assert.Equal(t, "/cover/piecing_seam", found[0].About)
}
