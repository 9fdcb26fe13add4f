package front_test

import (
	"fmt"
	"math"
	"slices"
	"testing"

	"github.com/paulmach/orb"
	"github.com/paulmach/orb/planar"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/block"
	"umschlag/core/finding"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

func sashed(f plan.Face, width length.Length, outside, posts bool) plan.Face {
	f.Sash = &plan.Sash{Width: width, Outside: outside, Posts: posts, Cloth: "S"}
	return f
}

func pointed(columns, rows int, block length.Length, borders ...plan.Border) plan.Face {
	f := grid(columns, block, borders...)
	f.Rows, f.Set = rows, plan.OnPoint
	return f
}

func roles(f front.Face) map[front.Role]int {
	out := map[front.Role]int{}
	for _, p := range f.Parts {
		out[p.Role] += p.Count
	}
	return out
}

// areas is the area of all cells, by orb, a general-purpose geometry library.
func areas(f front.Face) float64 {
	total := 0.0
	for _, c := range f.Cells {
		total += math.Abs(planar.Area(ringOf(c)))
	}
	return total
}

func ringOf(c front.Cell) orb.Ring {
	line := c.Line
	if line == nil {
		x1, y1, x2, y2 := c.X.Float(), c.Y.Float(), (c.X + c.Width).Float(), (c.Y + c.Height).Float()
		line = outline.Outline{{X: x1, Y: y1}, {X: x2, Y: y1}, {X: x2, Y: y2}, {X: x1, Y: y2}}
	}
	var ring orb.Ring
	for _, v := range line {
		ring = append(ring, orb.Point{v.X / 1e6, v.Y / 1e6})
	}
	return append(ring, ring[0])
}

// 7 rows of 5 with an outside sash: 42 short ones and 8 long (docs/arithmetic.md §6.1).
func TestSashesAreCounted(t *testing.T) {
	f := grid(5, 3*in)
	f.Rows = 7
	across, down := 5*3*in+6*in/2, 7*3*in+8*in/2
	built := build(t, order(sashed(f, in/2, true, false), across, down))
	assert.Equal(t, 42, roles(built)[front.ShortSash])
	assert.Equal(t, 8, roles(built)[front.LongSash])
	assert.Equal(t, across, built.Finished.Width.Total())
	long := part(t, built, "long-sash")
	assert.Equal(t, []length.Length{across + 2*seam, in},
		[]length.Length{long.Size.Width.Total(), long.Size.Height.Total()})
	inside := build(t, order(sashed(f, in/2, false, true), across-in, down-in))
	assert.Equal(t, map[front.Role]int{front.Patch: 35, front.ShortSash: 7*4 + 5*6, front.Post: 24}, roles(inside))
	posts := part(t, inside, "post")
	assert.Equal(t, []length.Length{in, in}, []length.Length{posts.Size.Width.Total(), posts.Size.Height.Total()})
	assert.Len(t, inside.Bands, 7+6)
}

// An outside sash takes up what quilting and trimming need, as a border does.
func TestAnOutsideSashTakesUp(t *testing.T) {
	f := sashed(grid(4, 4*in), 3*in/5, true, true)
	f.Patch = plan.Patch{Width: 4 * in, Height: 4 * in}
	built := build(t, quilted(f))
	assert.Equal(t, 9*in/2, part(t, built, "patch.A").Size.Width.Total(), "the patches stay")
	assert.GreaterOrEqual(t, built.Sewn.Width.Total(), takeTop)
	assert.InEpsilon(t, math.Pow(takeTop.Float()/1e6, 2), areas(built), 1e-9)
}

// On point 3 × 4 of 6 in blocks: 25.46 × 33.94, 12 + 6 blocks, 10 sides, 4 corners;
// sides from 9¾, corners from 5⅛ (docs/arithmetic.md §6.3; the add-ons of 1¼ and ⅞ in are
// published in many handbooks, here from memory).
func TestOnPoint(t *testing.T) {
	f := pointed(3, 4, 6*in)
	built := build(t, order(f, 26*in, 34*in))
	whole := build(t, order(f, length.FromFloat(18*math.Sqrt2*in.Float()), length.FromFloat(24*math.Sqrt2*in.Float())))
	assert.InDelta(t, 25.46, whole.Finished.Width.Total().Float()/in.Float(), 0.005)
	assert.InDelta(t, 33.94, whole.Finished.Height.Total().Float()/in.Float(), 0.005)
	assert.Equal(t, 18, roles(whole)[front.Patch])
	var sides, corners front.Part
	for _, p := range whole.Parts {
		switch {
		case p.Role == front.Setting && p.Shape == string(block.Quarter):
			sides = p
		case p.Role == front.Setting:
			corners = p
		}
	}
	assert.Equal(t, []any{10, 3, 39 * in / 4}, []any{sides.Patches, sides.Count, sides.Size.Width.Total()})
	assert.Equal(t, []any{4, 2, 41 * in / 8}, []any{corners.Patches, corners.Count, corners.Size.Width.Total()})
	assert.Equal(t, "B", sides.Cloth, "the last fabric sets them")
	assert.Len(t, whole.Bands, 6)
	assert.Equal(t, 26*in, built.Finished.Width.Total(), "the triangles take what is left")
	assert.InEpsilon(t, (26*in+2*seam).Float()*(34*in+2*seam).Float()/1e12, areas(built), 1e-8)
}

// Whatever lies on point: it fills the face, nothing lies on anything else, and every
// row has a triangle at each end.
func TestAnythingOnPointIsWhole(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		c, r := rapid.IntRange(1, 5).Draw(t, "c"), rapid.IntRange(1, 5).Draw(t, "r")
		side := eighth.Times(rapid.IntRange(16, 64).Draw(t, "side"))
		f := pointed(c, r, side)
		f.Order.Kind = rapid.SampledFrom([]plan.OrderKind{plan.Alternate, plan.Scrap}).Draw(t, "order")
		if rapid.Bool().Draw(t, "block") {
			f.Block.Name = rapid.SampledFrom([]string{"pinwheel", "nine-patch", "hourglass"}).Draw(t, "name")
		}
		w := length.FromFloat(side.Float()*math.Sqrt2*float64(c)) + eighth.Times(rapid.IntRange(1, 20).Draw(t, "x"))
		h := length.FromFloat(side.Float()*math.Sqrt2*float64(r)) + eighth.Times(rapid.IntRange(1, 20).Draw(t, "y"))
		o := order(f, w, h)
		grow := length.Length(rapid.Int64Range(0, int64(in)).Draw(t, "grow"))
		o.Top = size(o.Trimmed.Width.Total()+2*grow, o.Trimmed.Height.Total()+2*grow)
		built := build(t, o)
		assert.Equal(t, []length.Length{w, h},
			[]length.Length{built.Finished.Width.Total(), built.Finished.Height.Total()})
		assert.InEpsilon(t, o.Top.Width.Total().Float()*o.Top.Height.Total().Float()/1e12, areas(built), 1e-6)
		assert.Len(t, built.Bands, c+r-1)
		ends := map[int]int{}
		for i, cell := range built.Cells {
			middle, _ := planar.CentroidArea(ringOf(cell))
			for _, other := range built.Cells[:i] {
				assert.False(t, planar.RingContains(ringOf(other), middle))
			}
			if built.Parts[cell.Part].Role == front.Setting {
				ends[cell.Band]++
			}
		}
		for band := 0; band < c+r; band++ {
			assert.Equal(t, 2, ends[band], "row %d; the two left over are corners", band)
		}
	})
}

// Borders (docs/arithmetic.md §6.2): mitred, side + 2 × border + 2 × cut width; corner
// squares as wide as the border is cut.
func TestBordersMeetInFourWays(t *testing.T) {
	border := plan.Border{Width: plan.Extent{Width: 3 * in / 2}, Cloth: "C", Corner: "mitred"}
	mitred := build(t, order(grid(4, 4*in, border), 19*in, 19*in))
	side := part(t, mitred, "border.1.side")
	assert.Equal(t, 23*in, side.Size.Height.Total(), "16 + 3 + 2 × 2")
	assert.Equal(t, 2*in, side.Size.Width.Total())
	border.Corner, border.CornerCloth = "squares", "D"
	squares := build(t, order(grid(4, 4*in, border), 19*in, 19*in))
	corner := part(t, squares, "border.1.corner")
	assert.Equal(t, []any{4, "D", 2 * in, 2 * in},
		[]any{corner.Count, corner.Cloth, corner.Size.Width.Total(), corner.Size.Height.Total()})
	assert.Equal(t, 33*in/2, part(t, squares, "border.1.run").Size.Width.Total(), "no longer than the centre")
	border.Width.Width = 2 * in
	border.Pieced = &plan.PiecedBorder{Cloths: []string{"A", "B", "C"}}
	pieced := build(t, order(grid(4, 4*in, border), 20*in, 20*in))
	assert.Equal(t, 32, roles(pieced)[front.BorderPatch], "eight squares of 2 along each of 16")
	assert.Equal(t, 4, roles(pieced)[front.Corner])
	for _, f := range []front.Face{mitred, squares} {
		assert.InEpsilon(t, math.Pow((19*in+2*seam).Float()/1e6, 2), areas(f), 1e-9)
		assert.Equal(t, 39*in/2, f.Sewn.Width.Total())
	}
	assert.InEpsilon(t, math.Pow((20*in+2*seam).Float()/1e6, 2), areas(pieced), 1e-9)
}

func TestPatchesOfABorderOffTheRuler(t *testing.T) {
	border := plan.Border{Width: plan.Extent{Width: 3 * in / 2}, Cloth: "C",
		Pieced: &plan.PiecedBorder{Across: 8, Down: 7}}
	_, found := front.Build(order(grid(4, 4*in, border), 19*in, 19*in))
	require.NotEmpty(t, found)
	assert.Equal(t, "border-off-ruler", found[0].Code)
	assert.Equal(t, "/pieces/front/face/borders/0/pieced/down", found[0].About)
	assert.Contains(t, found[0].Remedy, "With 8 of them each is cut 2½″")
}

func TestStrips(t *testing.T) {
	f := plan.Face{Kind: plan.StripsFace, Direction: plan.AcrossWay,
		Strips: []plan.Strip{{Width: plan.Extent{Width: 5 * in}, Cloth: "A"},
			{Width: plan.Extent{Width: 9 * in}, Cloth: "B"}, {Width: plan.Extent{Width: 5 * in}, Cloth: "A"}}}
	built := build(t, order(f, 19*in, 19*in))
	assert.Equal(t, []length.Length{39 * in / 2, 11 * in / 2},
		[]length.Length{part(t, built, "strip.1").Size.Width.Total(), part(t, built, "strip.1").Size.Height.Total()})
	assert.InEpsilon(t, math.Pow((39*in/2).Float()/1e6, 2), areas(built), 1e-9)
	f.Direction = plan.AlongWay
	quiltedUp := build(t, quilted(f))
	assert.Equal(t, 19*in/2, part(t, quiltedUp, "strip.2").Size.Width.Total(), "the middle one stays")
	assert.GreaterOrEqual(t, quiltedUp.Sewn.Width.Total(), takeTop)
	assert.GreaterOrEqual(t, quiltedUp.Sewn.Height.Total(), takeTop)
}

// Patches that are too much stand out alike on both sides: the grid is sewn as it is and finishes as planned.
func TestPatchesOverhang(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n, m := rapid.IntRange(1, 6).Draw(t, "columns"), rapid.IntRange(2, 6).Draw(t, "rows")
		patch := in / 8 * length.Length(rapid.IntRange(8, 40).Draw(t, "patch"))
		over := length.Length(rapid.Int64Range(int64(length.Close)+1, int64(patch)).Draw(t, "too much"))
		f := plan.Face{Kind: plan.GridFace, Columns: n, Rows: m, Patch: plan.Patch{Width: patch, Height: patch},
			Cloths: []string{"A"}, Overhang: true}
		w, h := patch.Times(n)-over, patch.Times(m)-over
		if w <= 0 || patch > w {
			return
		}
		built, found := front.Build(order(f, w, h))
		require.Empty(t, slices.DeleteFunc(found, func(f finding.Finding) bool { return f.Level != finding.Stop }))
		require.Equal(t, [2]length.Length{w, h},
			[2]length.Length{built.Finished.Width.Total(), built.Finished.Height.Total()})
		require.InDelta(t, float64(w+in/2), float64(built.Sewn.Width.Total()), 1, "squared up")
		require.InDelta(t, float64(patch.Times(n)+in/2), float64(built.Grids[0].Sewn.Width.Total()), 1, "sewn as it is")
		require.Equal(t, patch+in/2, built.Parts[0].Size.Width.Total(), "and cut as it is")
		first, last := built.Cells[0], built.Cells[len(built.Cells)-1]
		left, right := -first.X, last.X+last.Width-w
		if n > 1 {
			require.InDelta(t, float64(left), float64(right), 2, "alike on both sides")
		}
	})
	f := plan.Face{Kind: plan.GridFace, Columns: 2, Rows: 2, Patch: plan.Patch{Width: 5 * in, Height: 5 * in},
		Cloths: []string{"A"}, Overhang: true, Borders: []plan.Border{{Width: plan.Extent{Width: in}, Cloth: "A"}}}
	_, found := front.Build(order(f, 9*in, 9*in))
	assert.Equal(t, "front-too-large", found[0].Code, "what something goes round has to fit")
}

// What takes the rest is what the others leave, and is cut as if it had been typed.
func TestStripsAndPartsTakeTheRest(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(2, 5).Draw(t, "n")
		typed := plan.Face{Kind: plan.StripsFace, Direction: rapid.SampledFrom([]plan.Direction{plan.AcrossWay,
			plan.AlongWay}).Draw(t, "direction")}
		whole := length.Length(0)
		for i := range n {
			w := in / 8 * length.Length(rapid.IntRange(2, 40).Draw(t, "width"))
			whole += w
			typed.Strips = append(typed.Strips,
				plan.Strip{Key: ref.Key(fmt.Sprint("s", i)), Width: plan.Extent{Width: w},
					Cloth: "A"})
		}
		resting := typed
		resting.Strips = slices.Clone(typed.Strips)
		resting.Strips[rapid.IntRange(0, n-1).Draw(t, "rest")].Width = plan.Extent{Rest: true}
		want, found := front.Build(order(typed, whole, whole))
		require.Empty(t, found)
		got, found := front.Build(order(resting, whole, whole))
		require.Empty(t, found)
		require.Equal(t, want.Parts, got.Parts)
		require.Equal(t, want.Cells, got.Cells)
	})
	half := plan.Face{Kind: plan.StackFace, Parts: []plan.Part{
		{Key: "a", Height: plan.Extent{Rest: true}, Face: plan.Face{Kind: plan.PlainFace, Cloth: "A"}},
		{Key: "b", Height: plan.Extent{Width: 5 * in}, Face: plan.Face{Kind: plan.PlainFace, Cloth: "A"}},
		{Key: "c", Height: plan.Extent{Rest: true}, Face: plan.Face{Kind: plan.PlainFace, Cloth: "A"}}}}
	built := build(t, order(half, 10*in, 10*in))
	assert.Equal(t, []length.Length{3 * in, 11 * in / 2, 3 * in}, []length.Length{
		built.Parts[0].Size.Height.Total(), built.Parts[1].Size.Height.Total(), built.Parts[2].Size.Height.Total()})
	half.Parts[1].Height.Width = 10 * in
	_, found := front.Build(order(half, 10*in, 10*in))
	assert.Equal(t, "stack-does-not-fill", found[0].Code)
	assert.Contains(t, found[0].Text, "nothing is left")
}

// A checkerboard of 12 × 2: one set of two strips, 12 segments (docs/arithmetic.md §6.4:
// segments per set ⌊(U − t)/segment⌋).
func TestACheckerboardComesFromStrips(t *testing.T) {
	f := plan.Face{Kind: plan.CheckerFace, Columns: 12, Rows: 2, Patch: plan.Patch{Width: in, Height: in},
		Cloths: []string{"A", "B"}}
	o := order(f, 12*in, 2*in)
	o.Usable = func(string) length.Length { return 40 * in }
	built := build(t, o)
	require.Len(t, built.Sets, 1)
	set := built.Sets[0]
	assert.Equal(t, []any{1, 12, 37 * in / 2, 3 * in / 2}, []any{set.Count, set.Segments, set.Length, set.Segment},
		"12 × 1½ and ½ to square the end")
	strip := part(t, built, "set.A")
	assert.Equal(t, []any{1, "strip", 37 * in / 2, 3 * in / 2},
		[]any{strip.Count, strip.Shape, strip.Size.Width.Total(), strip.Size.Height.Total()})
	o.Usable = func(string) length.Length { return 10 * in }
	assert.Equal(t, []any{2, 19 * in / 2}, []any{build(t, o).Sets[0].Count, build(t, o).Sets[0].Length},
		"six from a strip of 9½, twice")
	o.Face.Rows = 3
	o.Finished, o.Trimmed, o.Top = size(12*in, 3*in), size(25*in/2, 7*in/2), size(25*in/2, 7*in/2)
	odd := build(t, o)
	require.Len(t, odd.Sets, 2, "turned, a column of three is itself again")
	assert.Equal(t, []int{6, 6}, []int{odd.Sets[0].Segments, odd.Sets[1].Segments})
	o.Usable = func(string) length.Length { return in }
	_, found := front.Build(o)
	assert.Equal(t, "segment-too-long", found[0].Code)
}

func TestAStackJoinsFaces(t *testing.T) {
	f := plan.Face{Kind: plan.StackFace, Parts: []plan.Part{
		{Height: plan.Extent{Width: 8 * in}, Face: plan.Face{Kind: plan.PlainFace, Cloth: "A"}},
		{Height: plan.Extent{Width: 2 * in}, Face: plan.Face{Kind: plan.CheckerFace, Columns: 19, Rows: 2,
			Patch: plan.Patch{Width: in, Height: in}, Cloths: []string{"A", "B"}}},
		{Height: plan.Extent{Width: 9 * in}, Face: plan.Face{Kind: plan.PlainFace, Cloth: "C"}},
	}}
	flat := order(f, 19*in, 19*in)
	flat.Left, flat.Above = seam, seam
	built := build(t, flat)
	assert.Equal(t, 17*in/2, part(t, built, "part.1.panel").Size.Height.Total())
	assert.Equal(t, 39*in/2, built.Sewn.Height.Total())
	assert.InEpsilon(t, math.Pow((39*in/2).Float()/1e6, 2), areas(built), 1e-9)
	o := quilted(f)
	o.Absorb, o.Left, o.Above = plan.AbsorbAccept, seam, seam
	large := build(t, o)
	assert.Greater(t, part(t, large, "part.1.panel").Size.Height.Total(), 17*in/2,
		"the first takes up what is trimmed off above")
	assert.Greater(t, part(t, large, "part.3.panel").Size.Height.Total(), 19*in/2)
	for _, c := range large.Cells {
		assert.GreaterOrEqual(t, c.Height, in, "nothing is drawn away")
	}
}

// A medallion: a panel that is there already, in borders that take the rest.
func TestAFoundPanelInItsBorders(t *testing.T) {
	f := plan.Face{Kind: plan.FoundFace, Cloth: "P", Patch: plan.Patch{Width: 10 * in, Height: 8 * in},
		Borders: []plan.Border{rest, {Width: plan.Extent{Width: 2 * in}, Cloth: "D"}}}
	built := build(t, order(f, 19*in, 19*in))
	panel := part(t, built, "panel")
	assert.True(t, panel.Had)
	assert.Equal(t, []length.Length{21 * in / 2, 17 * in / 2},
		[]length.Length{panel.Size.Width.Total(), panel.Size.Height.Total()})
	f.Backed = "L"
	backing := part(t, build(t, order(f, 19*in, 19*in)), "backing")
	assert.Equal(t, []any{"L", 21 * in / 2}, []any{backing.Cloth, backing.Size.Width.Total()})
	assert.Equal(t, 3*in, part(t, built, "border.1.side").Size.Width.Total(), "2½ and two seams")
	assert.Equal(t, 4*in, part(t, built, "border.1.run").Size.Height.Total(), "3½ and two seams")
}

// Every block of the library in a grid: its parts give what its cells need, and the
// cells fill the face.
func TestEveryBlockOnAFace(t *testing.T) {
	for _, n := range block.Library() {
		t.Run(n.Name, func(t *testing.T) {
			rapid.Check(t, func(t *rapid.T) {
				c, r := rapid.IntRange(1, 2).Draw(t, "c"), rapid.IntRange(1, 2).Draw(t, "r")
				side := eighth.Times(rapid.IntRange(24, 96).Draw(t, "side"))
				f := blocks(c, side, plan.Block{Name: n.Name}, rest)
				f.Rows = r
				f.Cloths = []string{"A", "B", "C", "D", "E"}
				w, h := side.Times(c)+2*in, side.Times(r)+2*in
				built := build(t, order(f, w, h))
				need := map[int]int{}
				for _, cell := range built.Cells {
					need[cell.Part]++
				}
				for i, p := range built.Parts {
					if p.Role != front.BlockPatch {
						continue
					}
					assert.Equal(t, need[i], p.Patches)
					assert.GreaterOrEqual(t, p.Count*p.Gives, p.Patches)
					assert.Less(t, (p.Count-1)*p.Gives, p.Patches, "no piece too many")
				}
				assert.InEpsilon(t, (w+2*seam).Float()*(h+2*seam).Float()/1e12, areas(built), 1e-9)
			})
		})
	}
}

func TestKeptPatchesStayWhenMixed(t *testing.T) {
	f := grid(4, in)
	f.Order.Kind, f.Cloths = plan.Scrap, []string{"A", "B", "C", "D"}
	f.Keep = []plan.Kept{{Row: 2, Column: 3, Cloth: "C"}, {Row: 4, Column: 1, Cloth: "A"}}
	for seed := range 40 {
		f.Seed = seed
		rows := cloths(build(t, order(f, 4*in, 4*in)))
		assert.Equal(t, []string{"C", "A"}, []string{rows[1][2], rows[3][0]})
		for r := range rows {
			for c := range rows[r] {
				assert.False(t, c > 0 && rows[r][c] == rows[r][c-1] || r > 0 && rows[r][c] == rows[r-1][c])
			}
		}
	}
	f.Cloths, f.Keep = []string{"A", "B"}, []plan.Kept{{Row: 1, Column: 1, Cloth: "A"}, {Row: 1, Column: 2, Cloth: "A"}}
	_, found := front.Build(order(f, 4*in, 4*in))
	require.NotEmpty(t, found)
	assert.Equal(t, "like-neighbours", found[0].Code)
}

func BenchmarkFourHundredPatches(b *testing.B) {
	f := blocks(10, 2*in, plan.Block{Name: "four-patch"})
	o := order(f, 20*in, 20*in)
	for b.Loop() {
		front.Build(o)
	}
}

// A nine patch of 9 in, 12 of them: 24 outer rows from sets of three strips, 12 middle
// ones; a segment of 3½ comes 11 times out of 40 in (docs/arithmetic.md §6.4).
func TestRowsOfABlockFromStrips(t *testing.T) {
	f := blocks(4, 9*in, plan.Block{Name: "nine-patch"})
	f.Rows = 3
	o := order(f, 36*in, 27*in)
	o.Strips, o.Usable = plan.SewnSets, func(string) length.Length { return 40 * in }
	built := build(t, o)
	require.Len(t, built.Sets, 2)
	assert.Equal(t, []any{[]string{"A", "B", "A"}, 24, 3, 28*in + in/2},
		[]any{built.Sets[0].Cloths, built.Sets[0].Segments, built.Sets[0].Count, built.Sets[0].Length})
	assert.Equal(t, []any{[]string{"B", "A", "B"}, 12, 2, 21*in + in/2},
		[]any{built.Sets[1].Cloths, built.Sets[1].Segments, built.Sets[1].Count, built.Sets[1].Length})
	assert.Equal(t, 2*3+1*3+1*2+2*2, roles(built)[front.SetStrip])
	for _, p := range built.Parts {
		assert.Equal(t, 7*in/2, p.Size.Height.Total())
	}
	f.Columns, f.Rows = 1, 1
	few := order(f, 9*in, 9*in)
	few.Strips, few.Usable = plan.SewnSets, o.Usable
	assert.Empty(t, build(t, few).Sets, "two rows are not worth a set")
	o.Usable = func(string) length.Length { return 3 * in }
	assert.Empty(t, build(t, o).Sets, "what does not come out of the fabric is cut one by one")
}

// Pinwheels of 4 in with ¼ in seams, 16 of them: 64 half-squares that finish 2. Exactly
// 2⅞, large 3, for eight 6 in (from memory of handbooks: finished + ⅞, + 1, twice + 2).
func TestTrianglesByTheirSchools(t *testing.T) {
	f := blocks(4, 4*in, plan.Block{Name: "pinwheel"})
	squares := func(school plan.Triangles) []any {
		o := order(f, 16*in, 16*in)
		o.Triangles = school
		p := build(t, o).Parts
		require.Len(t, p, 2)
		return []any{p[0].Count, p[0].Gives, p[0].Size.Width.Total()}
	}
	assert.Equal(t, []any{32, 2, 23 * in / 8}, squares(plan.ExactTriangles))
	assert.Equal(t, []any{32, 2, 3 * in}, squares(plan.TrimTriangles))
	assert.Equal(t, []any{8, 8, 6 * in}, squares(plan.ManyTriangles))
	f.Columns = 3 // 48 half-squares and 0 over; with 3 rows of 3, 36: four eights and four
	f.Rows = 3
	o := order(f, 12*in, 12*in)
	o.Triangles = plan.ManyTriangles
	built := build(t, o)
	require.Len(t, built.Parts, 4)
	need := map[int]int{}
	for _, c := range built.Cells {
		need[c.Part]++
	}
	for i, p := range built.Parts {
		assert.Equal(t, p.Patches, need[i], p.Name)
		assert.Equal(t, map[int]int{2: 2, 8: 4}[p.Gives], p.Count)
	}
}

func TestWhatAKindCannotCarryIsSaid(t *testing.T) {
	for key, f := range map[string]plan.Face{
		"borders": {Kind: plan.StripsFace, Strips: []plan.Strip{{Width: plan.Extent{Width: 19 * in}}},
			Borders: []plan.Border{rest}},
		"block": {Kind: plan.CheckerFace, Columns: 4, Rows: 4, Block: plan.Block{Name: "pinwheel"}},
		"sash":  {Kind: plan.FoundFace, Sash: &plan.Sash{Width: in}},
		"set":   {Kind: plan.CheckerFace, Columns: 4, Rows: 4, Set: plan.OnPoint},
	} {
		_, found := front.Build(order(f, 19*in, 19*in))
		require.NotEmpty(t, found, key)
		assert.Equal(t, []string{"face-part", "/pieces/front/face/" + key}, []string{found[0].Code, found[0].About})
	}
}

func TestMorePatchesThanAnyoneLaysAreRefused(t *testing.T) {
	f := blocks(120, in/2, plan.Block{Name: "double-nine-patch"})
	_, found := front.Build(order(f, 60*in, 60*in))
	require.True(t, found.Stopped())
	assert.Equal(t, "too-many-patches", found[len(found)-1].Code)
}

// Mixed, the first letter of a block stands for a cloth of its own in every place.
func TestMixedBlocksTakeTheirOwnCloth(t *testing.T) {
	f := blocks(3, 4*in, plan.Block{Name: "four-patch"})
	f.Order.Kind, f.Cloths, f.Seed = plan.Scrap, []string{"A", "B", "C", "D"}, 3
	built := build(t, order(f, 12*in, 12*in))
	seen := map[string]bool{}
	for _, c := range built.Cells {
		seen[built.Parts[c.Part].Cloth] = true
	}
	assert.Len(t, seen, 4)
}

// Gathers (docs/arithmetic.md §6.6): 14 → 5½ is a ratio of 2.545; 9 wanted takes 22.9 and
// seams, and a piece of 20 yields 7.86.
func TestGathersTakeTheirRatio(t *testing.T) {
	f := plan.Face{Kind: plan.GatheredFace, Cloth: "A", Ratio: 14 / 5.5, Direction: plan.AcrossWay}
	o := order(f, 9*in, 6*in)
	o.Usable = func(string) length.Length { return 20 * in }
	built := build(t, o)
	assert.InDelta(t, 22.9, built.Gather.Needed.Float()/in.Float(), 0.01)
	assert.InDelta(t, 7.86, built.Gather.Yields.Float()/in.Float(), 0.005)
	panel := part(t, built, "gathered")
	assert.Equal(t, []length.Length{(built.Gather.Needed + 2*seam).Ceil(eighth), 13 * in / 2},
		[]length.Length{panel.Size.Width.Total(), panel.Size.Height.Total()})
	o.Face.Direction = plan.AlongWay
	assert.Equal(t, 19*in/2, part(t, build(t, o), "gathered").Size.Width.Total(), "along, the width stays")
	o.Face.Ratio = 1.5
	_, found := front.Build(o)
	require.Len(t, found, 1)
	assert.Equal(t, "gather-thin", found[0].Code)
}

// Drawn in along the diagonal by r, the corners of what is cut come to the corners of
// what is wanted: the map that stretches along one direction, by hand.
func TestSlantwiseGathersCoverThePanel(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		r := rapid.Float64Range(1.1, 6).Draw(t, "r")
		w, h := in.Times(rapid.IntRange(4, 30).Draw(t, "w")), in.Times(rapid.IntRange(4, 30).Draw(t, "h"))
		o := order(plan.Face{Kind: plan.GatheredFace, Cloth: "A", Ratio: r, Direction: plan.Slantwise}, w, h)
		size := part(t, build(t, o), "gathered").Size
		farX, farY := 0.0, 0.0
		for _, c := range [][2]float64{{1, 1}, {1, -1}, {-1, 1}, {-1, -1}} {
			x, y := c[0]*w.Float()/2, c[1]*h.Float()/2
			along := (x + y) / math.Sqrt2
			farX, farY = max(farX, x+(r-1)*along/math.Sqrt2), max(farY, y+(r-1)*along/math.Sqrt2)
		}
		assert.InDelta(t, 2*farX, (size.Width.Total() - 2*seam).Float(), eighth.Float()+1)
		assert.InDelta(t, 2*farY, (size.Height.Total() - 2*seam).Float(), eighth.Float()+1)
		assert.GreaterOrEqual(t, (size.Width.Total()-2*seam).Float()+1, 2*farX)
	})
}

func TestAFoldedPocketLiesOnThePanel(t *testing.T) {
	o := order(plan.Face{Kind: plan.PlainFace, Cloth: "A", Pocket: "folded"}, 19*in, 19*in)
	o.Left, o.Above = seam, seam
	built := build(t, o)
	panel, pocket := part(t, built, "panel"), part(t, built, "pocket")
	assert.Equal(t, panel.Size, pocket.Size)
	assert.Equal(t, built.Cells[0].Y+built.Cells[0].Height, built.Cells[1].Y+built.Cells[1].Height, "at the lower edge")
	assert.Equal(t, 39*in/4, built.Cells[1].Height)
}

// Folded windows (docs/arithmetic.md §6.7): unit 3, 5 rows of 4: squares 7, template 6, 31
// windows and 18 half ones, 40 patches, window 2.12, 30 points. And 4 × 4 of 4½: squares
// 10, template 9, 24 + 16 halves, 32 patches, 25 points (common practice).
func TestFoldedWindows(t *testing.T) {
	f := plan.Face{Kind: plan.WindowsFace, Columns: 4, Rows: 5, Unit: 3 * in, Ground: "A", Show: "B"}
	built := build(t, order(f, 12*in-2*seam, 15*in-2*seam))
	ground, window, half := part(t, built, "ground"), part(t, built, "window"), part(t, built, "half-window")
	assert.Equal(t, []any{20, 7 * in}, []any{ground.Count, ground.Size.Width.Total()})
	assert.Equal(t, []any{31, 18, 9}, []any{window.Count, half.Patches, half.Count})
	assert.Equal(t, 11*in/8, window.Size.Width.Total(), "2.12 less ⅝, down to the ruler")
	w := built.Windows
	assert.Equal(t, []any{6 * in, 31, 18, 30}, []any{w.Template, w.Whole, w.Half, w.Points})
	assert.InDelta(t, 2.12, w.Side.Float()/in.Float(), 0.005)
	assert.InDelta(t, 49.0/9, w.Eats, 1e-9)
	assert.Equal(t, 23*in/2, built.Finished.Width.Total())
	drawn := map[string]int{}
	for _, c := range built.Cells {
		drawn[built.Parts[c.Part].Name]++
	}
	assert.Equal(t, map[string]int{"ground": 20, "window": 31, "half-window": 18}, drawn)
	f.Columns, f.Rows, f.Unit = 4, 4, 9*in/2
	large := build(t, order(f, 18*in-2*seam, 18*in-2*seam))
	assert.Equal(t, []any{10 * in, 9 * in, 24, 16, 25},
		[]any{part(t, large, "ground").Size.Width.Total(), large.Windows.Template, large.Windows.Whole,
			large.Windows.Half, large.Windows.Points})
	_, found := front.Build(order(f, 18*in, 18*in))
	require.Len(t, found, 1)
	assert.Equal(t, "windows-smaller", found[0].Code)
	assert.Equal(t, "windows-quilted", func() string { _, said := front.Build(quilted(f)); return said[0].Code }())
}

// A is the first cloth and B the second, wherever they first stand in the block.
func TestLettersStandForClothsByTheAlphabet(t *testing.T) {
	for text, want := range map[string][]string{"A / B": {"X", "Y"}, "B / A": {"Y", "X"}, "C / B": {"Z", "Y"},
		"D / B": {"X", "Y"}} {
		f := blocks(1, 4*in, plan.Block{Cells: text})
		f.Cloths = []string{"X", "Y", "Z"}
		built := build(t, order(f, 4*in, 4*in))
		var got []string
		for _, c := range built.Cells {
			got = append(got, built.Parts[c.Part].Cloth)
		}
		assert.Equal(t, want, got, text)
	}
}

// Two triangles of one cloth are not cut in pairs: there is nothing to lay on each other.
func TestTrianglesOfOneClothAreNoPair(t *testing.T) {
	f := blocks(4, 4*in, plan.Block{Name: "pinwheel"})
	f.Cloths = []string{"A"}
	o := order(f, 16*in, 16*in)
	o.Triangles = plan.ManyTriangles
	built := build(t, o)
	require.Len(t, built.Parts, 1)
	assert.Equal(t, []any{2, 64, 128}, []any{built.Parts[0].Gives, built.Parts[0].Count, built.Parts[0].Patches})
}

// The thread of a face is its seams: of four patches of 4 in three seams, one of them as
// long as the grid is wide.
func TestSeamsOfAGrid(t *testing.T) {
	built := build(t, order(grid(2, 4*in), 8*in, 8*in))
	lengths := map[front.SeamKind]length.Length{}
	for _, s := range built.Seams {
		lengths[s.Kind] += s.Sewn
	}
	assert.Equal(t, map[front.SeamKind]length.Length{front.InBand: 9 * in, front.Between: 17 * in / 2}, lengths)
	assert.Equal(t, []int{1, 1}, []int{built.Crossed(true), built.Crossed(false)})
	wide := build(t, order(grid(6, 2*in), 12*in, 12*in))
	assert.Equal(t, []int{5, 5}, []int{wide.Crossed(true), wide.Crossed(false)})
	nine := build(t, order(blocks(2, 6*in, plan.Block{Name: "nine-patch"}), 12*in, 12*in))
	assert.Equal(t, []int{5, 5}, []int{nine.Crossed(true), nine.Crossed(false)}, "two in each block and one between")
}

// A border of patches has its joints, and is sewn on in four seams.
func TestSeamsOfAPiecedBorder(t *testing.T) {
	border := plan.Border{Width: plan.Extent{Width: 2 * in},
		Pieced: &plan.PiecedBorder{Cloths: []string{"A", "B"}, Across: 10, Down: 8}}
	built := build(t, order(grid(4, 4*in, border), 20*in, 20*in))
	kinds := map[front.SeamKind]int{}
	for _, s := range built.Seams {
		kinds[s.Kind]++
	}
	assert.Equal(t, 4, kinds[front.Round])
	assert.Equal(t, 2*9+2*7, kinds[front.Pieced])
}

// Whatever the strips and whichever way they run: they fill the top without overlap, and
// their cuts sewn together are its size.
func TestAnyStripsAreWhole(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f := plan.Face{Kind: plan.StripsFace,
			Direction: rapid.SampledFrom([]plan.Direction{plan.AcrossWay, plan.AlongWay}).Draw(t, "way")}
		whole := length.Length(0)
		for range rapid.IntRange(1, 8).Draw(t, "n") {
			s := plan.Strip{Width: plan.Extent{Width: eighth.Times(rapid.IntRange(4, 40).Draw(t, "width"))}, Cloth: "A"}
			f.Strips = append(f.Strips, s)
			whole += s.Width.Width
		}
		w, h := 12*in, whole
		if f.Direction == plan.AlongWay {
			w, h = whole, 12*in
		}
		o := order(f, w, h)
		grow := length.Length(rapid.Int64Range(0, int64(in)).Draw(t, "grow"))
		o.Top, o.Margin = size(o.Trimmed.Width.Total()+2*grow, o.Trimmed.Height.Total()+2*grow), min(grow, margin)
		built := build(t, o)
		assert.Equal(t, []length.Length{w, h},
			[]length.Length{built.Finished.Width.Total(), built.Finished.Height.Total()})
		assert.InEpsilon(t, o.Top.Width.Total().Float()*o.Top.Height.Total().Float()/1e12, areas(built), 1e-9)
		sewn := 2 * seam
		for _, p := range built.Parts {
			across := p.Size.Height
			if f.Direction == plan.AlongWay {
				across = p.Size.Width
			}
			sewn += across.Total() - 2*seam
		}
		along := built.Sewn.Height
		if f.Direction == plan.AlongWay {
			along = built.Sewn.Width
		}
		assert.Equal(t, sewn, along.Total())
		assert.GreaterOrEqual(t, built.Sewn.Width.Total(), o.Top.Width.Total())
		assert.GreaterOrEqual(t, built.Sewn.Height.Total(), o.Top.Height.Total())
	})
}

// Whatever lies in a stack: its parts fill it, and only its first and last take up what
// is trimmed off above and below.
func TestAnyStackIsWhole(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f := plan.Face{Kind: plan.StackFace}
		whole := length.Length(0)
		for range rapid.IntRange(1, 5).Draw(t, "n") {
			h := in.Times(rapid.IntRange(1, 6).Draw(t, "height"))
			part := plan.Part{Height: plan.Extent{Width: h}, Face: plan.Face{Kind: plan.PlainFace, Cloth: "A"}}
			if rapid.Bool().Draw(t, "strips") {
				part.Face = plan.Face{Kind: plan.StripsFace, Direction: plan.AcrossWay,
					Strips: []plan.Strip{{Width: plan.Extent{Width: h / 2}, Cloth: "A"},
						{Width: plan.Extent{Width: h - h/2}, Cloth: "B"}}}
			}
			f.Parts = append(f.Parts, part)
			whole += h
		}
		o := order(f, 12*in, whole)
		o.Left, o.Above = seam, seam
		grow := length.Length(rapid.Int64Range(0, int64(in)).Draw(t, "grow"))
		o.Top, o.Margin = size(o.Trimmed.Width.Total()+2*grow, o.Trimmed.Height.Total()+2*grow), min(grow, margin)
		built := build(t, o)
		assert.Equal(t, whole, built.Finished.Height.Total())
		assert.InEpsilon(t, o.Top.Width.Total().Float()*o.Top.Height.Total().Float()/1e12, areas(built), 1e-9)
		assert.GreaterOrEqual(t, built.Sewn.Height.Total(), o.Top.Height.Total())
		for i, p := range f.Parts {
			if i == 0 || i == len(f.Parts)-1 || p.Face.Kind != plan.PlainFace {
				continue
			}
			for _, part := range built.Parts {
				if part.Name == "part."+string(rune('1'+i))+".panel" {
					assert.Equal(t, p.Height.Width+2*seam, part.Size.Height.Total(), "a part between keeps its height")
				}
			}
		}
	})
}
