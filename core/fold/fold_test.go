package fold_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/cover"
	"umschlag/core/fold"
	"umschlag/core/length"
	"umschlag/core/plan"
)

const inch = length.Inch

// folded is a plan's cover and how it folds.
func folded(t *testing.T, p plan.Plan) (cover.Cover, fold.Fold) {
	t.Helper()
	p = p.Settle()
	c, found := cover.Pieces(p)
	require.False(t, found.Stopped(), "%v", found)
	return c, fold.Of(p, c)
}

// some are covers of every kind and shape, with sizes that differ from axis to axis.
func some() map[string]plan.Plan {
	form := plan.Object{Kind: plan.Form, Width: 20 * inch, Height: 16 * inch}
	box := plan.Object{Kind: plan.Box, Length: 18 * inch, Depth: 14*inch + inch/2, Height: 6*inch + inch/2,
		SticksOut: plan.Axes{Length: 3 * inch / 4}}
	book := plan.Object{Kind: plan.Book, Wrap: 14 * inch, Height: 9 * inch, Spine: inch, Thickness: inch / 8}
	round := plan.Corners{Kind: plan.RoundCorners, Radius: 2 * inch}
	ease := plan.Axes{Length: inch / 2, Depth: inch / 4, Height: inch / 8, Width: -inch, Wrap: 3 * inch / 4}
	flaps := plan.Flaps{Depth: plan.Pair{Front: 2 * inch, Back: 3 * inch}}
	of := func(o plan.Object, c plan.Cover) plan.Plan {
		c.Ease, c.Seam = ease, inch/2
		return plan.Plan{Format: plan.Format, Object: o, Cover: c, Back: plan.Back{Gap: 4 * inch}}
	}
	with := func(o plan.Object, change func(*plan.Object)) plan.Object {
		change(&o)
		return o
	}
	disc := with(form, func(o *plan.Object) { o.Shape = plan.RoundShape })
	thick := with(form, func(o *plan.Object) { o.Thickness = 3 * inch })
	zipped := of(thick, plan.Cover{Kind: plan.BoxedCushion, Corners: round})
	zipped.Back = plan.Back{Kind: plan.Zip, Gap: 21 * inch}
	longZip := zipped // it ends within the corners
	longZip.Back.Gap = 16*inch + inch/2
	flat := plan.Object{Kind: plan.Flat, Width: 20 * inch, Height: 16 * inch}
	return map[string]plan.Plan{
		"cushion":                of(form, plan.Cover{Kind: plan.Cushion}),
		"cushion, round":         of(disc, plan.Cover{Kind: plan.Cushion}),
		"cushion, round corners": of(form, plan.Cover{Kind: plan.Cushion, Corners: round}),
		"cushion, tapered": of(form,
			plan.Cover{Kind: plan.Cushion, Corners: plan.Corners{Kind: plan.TaperedCorners, Taper: inch / 2}}),
		"cushion, flanged, washed": of(form,
			plan.Cover{Kind: plan.Cushion, Flange: 2 * inch, Wash: 3, Bulk: inch / 8}),
		"boxed cushion":           of(thick, plan.Cover{Kind: plan.BoxedCushion}),
		"boxed cushion, corners":  of(thick, plan.Cover{Kind: plan.BoxedCushion, Corners: round, Wash: 4}),
		"boxed cushion, zip":      zipped,
		"boxed cushion, long zip": longZip,
		"boxed cushion, round": of(with(thick, func(o *plan.Object) { o.Shape = plan.RoundShape }),
			plan.Cover{Kind: plan.BoxedCushion}),
		"pad":                   of(flat, plan.Cover{Kind: plan.Pad, Corners: round}),
		"wrapped hood":          of(box, plan.Cover{Kind: "wrap-hood"}),
		"wrapped hood, corners": of(box, plan.Cover{Kind: "wrap-hood", Corners: round, Bulk: inch / 4}),
		"wrapped hood, split":   of(box, plan.Cover{Kind: "wrap-hood", Corners: round, SplitTop: true}),
		"banded hood":           of(box, plan.Cover{Kind: "band-hood"}),
		"banded hood, corners":  of(box, plan.Cover{Kind: "band-hood", Corners: round, Wash: 5}),
		"skirted hood":          of(box, plan.Cover{Kind: "skirt-hood"}),
		"skirted hood, corners": of(box, plan.Cover{Kind: "skirt-hood", Corners: round}),
		"jacket, folded flaps":  of(book, plan.Cover{Kind: plan.Jacket, Flaps: flaps}),
		"jacket, flipped flaps": of(book,
			plan.Cover{Kind: plan.Jacket, Flaps: plan.Flaps{Style: plan.Flipped, Depth: flaps.Depth}}),
		"jacket, flaps turned in": of(book,
			plan.Cover{Kind: plan.Jacket, Flaps: plan.Flaps{Style: plan.TurnedIn, Depth: flaps.Depth}, Wash: 3}),
		"jacket, no boards, boards": of(with(book,
			func(o *plan.Object) { o.Wrap, o.Board, o.Thickness = 0, 6*inch, 0 }),
			plan.Cover{Kind: plan.Jacket, Flaps: flaps}),
	}
}

// The room of the closed cover, read off its leaves, is the object with its ease: the
// formulas of the pieces and the geometry of the fold are two ways to one size.
func TestTheInsideIsTheObjectAndItsEase(t *testing.T) {
	axes := map[plan.CoverKind][]string{plan.Cushion: {"width", "height"}, plan.Pad: {"width", "height"},
		plan.BoxedCushion: {"width", "height", "depth"}, plan.Jacket: {"wrap", "height"}}
	for name, p := range some() {
		t.Run(name, func(t *testing.T) {
			_, f := folded(t, p)
			want, ok := axes[p.Cover.Kind]
			if !ok {
				want = []string{"length", "depth", "height"}
			}
			var got []string
			for _, in := range f.Inside {
				got = append(got, in.Axis)
				assert.InDelta(t, in.Wanted.Total().Float(), in.Room, fold.Nearly, "%s: closed it is %.3f mm", in.Name,
					in.Closed/1e6)
				assert.True(t, in.Fits())
			}
			if p.Object.Round() {
				want = slices.DeleteFunc(slices.Clone(want), func(axis string) bool { return axis == "height" })
			}
			assert.Equal(t, want, got)
		})
	}
}

func TestAWrappedHoodByHand(t *testing.T) {
	_, f := folded(t, some()["wrapped hood, corners"])
	least, most := f.Reach(1)
	inches := func(nm float64) float64 { return math.Round(nm/inch.Float()*1e3) / 1e3 }
	// 18 + ¾ + ½ and 14½ + ¼ and 6½ + ⅛, each with a stack of ¼ on both sides.
	assert.Equal(t, [3]float64{19.75, 7.125, 15.25},
		[3]float64{inches(most[0] - least[0]), inches(most[1] - least[1]), inches(most[2] - least[2])})
	for _, in := range f.Inside {
		assert.Equal(t, map[string]length.Length{"length": 19*inch + inch/4, "depth": 14*inch + 3*inch/4,
			"height": 6*inch + 5*inch/8}[in.Axis], in.Wanted.Total(), in.Axis)
	}
}

// place is where a point of a piece's seam line is when the cover is closed, on the leaf
// that it lies on.
func place(f fold.Fold, poses []fold.Pose, piece string, copied int, x, y float64) ([3]float64, bool) {
	for i, leaf := range f.Leaves {
		if leaf.Piece == piece && leaf.Copy == copied && holds(leaf, x, y) {
			return poses[i].At([3]float64{x, y, 0}), true
		}
	}
	return [3]float64{}, false
}

// holds tells whether a point lies on a triangle of a leaf, or as good as.
func holds(leaf fold.Leaf, x, y float64) bool {
	for _, tri := range leaf.Triangles {
		in := true
		for k := range 3 {
			a, b := leaf.Points[tri[k]], leaf.Points[tri[(k+1)%3]]
			long := math.Hypot(b[0]-a[0], b[1]-a[1])
			if long > 0 && ((b[0]-a[0])*(y-a[1])-(b[1]-a[1])*(x-a[0]))/long < -20_000 {
				in = false
			}
		}
		if in {
			return true
		}
	}
	return false
}

// Edges that are sewn to each other lie on each other when the cover is closed: every point
// of the shorter side of a join lies on the outline of the piece it is joined to.
func TestJoinedEdgesMeet(t *testing.T) {
	const meet = 30_000 // nanometres; a bend in leaves is as near its curve
	for name, p := range some() {
		t.Run(name, func(t *testing.T) {
			c, f := folded(t, p)
			require.NotEmpty(t, c.Joins)
			for _, j := range c.Joins {
				one, other := sewn(c, f, j)
				require.NotEmpty(t, one, j.Title)
				require.NotEmpty(t, other, j.Title)
				assert.Less(t, farthest(one, other), float64(meet), j.Title)
			}
		})
	}
}

// segment is a stretch of the rim of a leaf in space.
type segment [2][3]float64

// sewn are points of the shorter side of a join and the rims that they may lie on.
func sewn(c cover.Cover, f fold.Fold, j cover.Join) (one [][3]float64, other []segment) {
	poses := f.Poses(1)
	first, second := pieceOf(c, j.Between[0]), pieceOf(c, j.Between[1])
	if first.Name == second.Name { // its own ends, or two alike
		other = rims(f, poses, second.Name, second.Count-1)
		if second.Count == 1 {
			other = chain(along(f, poses, second, 0, j.Runs[1][0]))
		}
		return along(f, poses, first, 0, j.Runs[0][0]), other
	}
	runs := j.Runs[0]
	if around(first, j.Runs[0]) > around(second, j.Runs[1]) {
		first, second, runs = second, first, j.Runs[1]
	}
	for copied := range first.Count {
		for _, run := range runs {
			one = append(one, along(f, poses, first, copied, run)...)
		}
	}
	for copied := range second.Count {
		other = append(other, rims(f, poses, second.Name, copied)...)
	}
	return one, other
}

// chain joins points in their order.
func chain(points [][3]float64) []segment {
	var out []segment
	for i := 1; i < len(points); i++ {
		out = append(out, segment{points[i-1], points[i]})
	}
	return out
}

// rims are the edges of the leaves of a piece that belong to one triangle alone.
func rims(f fold.Fold, poses []fold.Pose, piece string, copied int) []segment {
	var out []segment
	for i, leaf := range f.Leaves {
		if leaf.Piece != piece || leaf.Copy != copied {
			continue
		}
		count := map[[2]int]int{}
		for _, tri := range leaf.Triangles {
			for k := range 3 {
				a, b := tri[k], tri[(k+1)%3]
				count[[2]int{min(a, b), max(a, b)}]++
			}
		}
		for e, n := range count {
			if n == 1 {
				a, b := leaf.Points[e[0]], leaf.Points[e[1]]
				out = append(out,
					segment{poses[i].At([3]float64{a[0], a[1], 0}), poses[i].At([3]float64{b[0], b[1], 0})})
			}
		}
	}
	return out
}

// around is how long the seams of a join are on one of its pieces.
func around(p cover.Piece, runs []cover.Run) float64 {
	total := 0.0
	for _, run := range runs {
		total += float64(p.Count) * p.Seam(run).Path.Length()
	}
	return total
}

func pieceOf(c cover.Cover, name string) cover.Piece {
	for _, p := range c.Pieces {
		if p.Name == name {
			return p
		}
	}
	return cover.Piece{}
}

// along are points of a run where they are when the cover is closed.
func along(f fold.Fold, poses []fold.Pose, piece cover.Piece, copied int, run cover.Run) [][3]float64 {
	path := piece.Seam(run).Path
	const n = 300
	var out [][3]float64
	for i := range n + 1 {
		x, y, _ := path.At(path.Length() * float64(i) / n)
		if at, ok := place(f, poses, piece.Name, copied, x, y); ok {
			out = append(out, at)
		}
	}
	return out
}

// farthest is how far the farthest of some points is from all of some segments.
func farthest(points [][3]float64, others []segment) float64 {
	worst := 0.0
	for _, p := range points {
		best := math.Inf(1)
		for _, o := range others {
			best = math.Min(best, fromSegment(p, o[0], o[1]))
		}
		worst = math.Max(worst, best)
	}
	return worst
}

func apart(a, b [3]float64) float64 {
	return math.Sqrt((a[0]-b[0])*(a[0]-b[0]) + (a[1]-b[1])*(a[1]-b[1]) + (a[2]-b[2])*(a[2]-b[2]))
}

func fromSegment(p, a, b [3]float64) float64 {
	dot, square := 0.0, 0.0
	for k := range 3 {
		dot += (p[k] - a[k]) * (b[k] - a[k])
		square += (b[k] - a[k]) * (b[k] - a[k])
	}
	if square == 0 {
		return apart(p, a)
	}
	share := math.Max(0, math.Min(1, dot/square))
	return apart(p, [3]float64{a[0] + share*(b[0]-a[0]), a[1] + share*(b[1]-a[1]), a[2] + share*(b[2]-a[2])})
}

// Folding neither stretches nor tears: leaves keep their shape, and leaves that hang on each
// other keep their common axis, at every share of the folding.
func TestFoldingKeepsWhatHangsTogether(t *testing.T) {
	for name, p := range some() {
		t.Run(name, func(t *testing.T) {
			_, f := folded(t, p)
			for _, share := range []float64{0, 0.1, 0.37, 0.5, 0.8, 1} {
				poses := f.Poses(share)
				for i, leaf := range f.Leaves {
					h := leaf.Hinge
					if h.Parent < 0 {
						continue
					}
					require.Less(t, h.Parent, i)
					for _, far := range []float64{0, 100e6} {
						own := poses[i].At([3]float64{h.Own.X + far*math.Cos(h.Own.Angle),
							h.Own.Y + far*math.Sin(h.Own.Angle), 0})
						on := poses[h.Parent].At([3]float64{h.On.X + far*math.Cos(h.On.Angle),
							h.On.Y + far*math.Sin(h.On.Angle), 0})
						assert.InDelta(t, 0, apart(own, on), 1, "%s at %g", leaf.Piece, share)
					}
				}
			}
			least, most := f.Reach(0)
			assert.InDelta(t, 0, most[2]-least[2], 1, "flat at the beginning")
		})
	}
}

// What lies flat lies beside each other: no leaf covers another before folding begins.
func TestFlatPiecesDoNotOverlap(t *testing.T) {
	for name, p := range some() {
		t.Run(name, func(t *testing.T) {
			c, f := folded(t, p)
			area, least, most := 0.0, [2]float64{math.Inf(1), math.Inf(1)}, [2]float64{math.Inf(-1), math.Inf(-1)}
			poses := f.Poses(0)
			var triangles [][3][3]float64
			for i, leaf := range f.Leaves {
				for _, tri := range leaf.Triangles {
					var at [3][3]float64
					for k := range 3 {
						q := leaf.Points[tri[k]]
						at[k] = poses[i].At([3]float64{q[0], q[1], 0})
						for d := range 2 {
							least[d], most[d] = math.Min(least[d], at[k][d]), math.Max(most[d], at[k][d])
						}
					}
					area += cross(at[0], at[1], at[2]) / 2
					triangles = append(triangles, at)
				}
			}
			want := 0.0
			for _, piece := range c.Pieces {
				want += float64(piece.Count) * piece.Line().Area()
			}
			assert.InEpsilon(t, want, area, 1e-4, "the leaves of a piece are the piece")
			random := rand.New(rand.NewPCG(7, 11))
			for range 400 {
				q := [3]float64{least[0] + random.Float64()*(most[0]-least[0]),
					least[1] + random.Float64()*(most[1]-least[1])}
				on := 0
				for _, tri := range triangles {
					if cross(tri[0], tri[1], q) > 1e9 && cross(tri[1], tri[2], q) > 1e9 &&
						cross(tri[2], tri[0], q) > 1e9 {
						on++
					}
				}
				require.LessOrEqual(t, on, 1, "%v", q)
			}
		})
	}
}

func cross(a, b, c [3]float64) float64 {
	return (b[0]-a[0])*(c[1]-a[1]) - (b[1]-a[1])*(c[0]-a[0])
}

// Filling rounds a cushion: its middle rises by half its thickness, its seam stays shut and
// the way over its middle stays as long as its cloth.
func TestFillingKeepsTheLengthOfTheMiddle(t *testing.T) {
	for _, name := range []string{"cushion", "cushion, round corners", "cushion, flanged, washed"} {
		t.Run(name, func(t *testing.T) {
			p := some()[name]
			_, f := folded(t, p)
			front := f.Leaves[0]
			require.Len(t, front.Lifts, len(front.Points))
			top := 0.0
			for _, lift := range front.Lifts {
				top = math.Max(top, -lift[2])
				assert.LessOrEqual(t, lift[2], 1e-6, "nothing sinks in")
			}
			assert.InEpsilon(t, top, -front.Lifts[0][2], 1e-9, "the middle is highest")
			_, _, long := across(front)
			_, _, wide := acrossFlat(front)
			assert.InEpsilon(t, wide, long, 0.004)
		})
	}
}

// across is the way over the middle of a filled leaf, along the points nearest to it.
func across(leaf fold.Leaf) (from, to [3]float64, long float64) {
	return walk(leaf, func(i int) [3]float64 {
		p, l := leaf.Points[i], leaf.Lifts[i]
		return [3]float64{p[0] + l[0], p[1] + l[1], l[2]}
	})
}

func acrossFlat(leaf fold.Leaf) (from, to [3]float64, long float64) {
	return walk(leaf, func(i int) [3]float64 { return [3]float64{leaf.Points[i][0], leaf.Points[i][1], 0} })
}

// walk goes over the points on the level line through the middle, from left to right.
func walk(leaf fold.Leaf, at func(int) [3]float64) (from, to [3]float64, long float64) {
	var row []int
	for i, p := range leaf.Points {
		if math.Abs(p[1]-leaf.Points[0][1]) < 1000 {
			row = append(row, i)
		}
	}
	byX(leaf, row)
	for k := 1; k < len(row); k++ {
		long += apart(at(row[k-1]), at(row[k]))
	}
	return at(row[0]), at(row[len(row)-1]), long
}

func byX(leaf fold.Leaf, row []int) {
	for i := range row {
		for k := i; k > 0 && leaf.Points[row[k]][0] < leaf.Points[row[k-1]][0]; k-- {
			row[k], row[k-1] = row[k-1], row[k]
		}
	}
}

// A cover of any size closes: the formulas of the pieces hold beyond the examples.
func TestAnyHoodCloses(t *testing.T) {
	random := rand.New(rand.NewPCG(3, 5))
	size := func(least, most int) length.Length {
		return length.Length(least+random.IntN(most-least)) * inch / 8
	}
	for i := range 120 {
		kind := plan.CoverKind([]string{"wrap-hood", "band-hood", "skirt-hood"}[i%3])
		p := plan.Plan{Format: plan.Format,
			Object: plan.Object{Kind: plan.Box, Length: size(60, 200), Depth: size(60, 200), Height: size(60, 160)},
			Cover: plan.Cover{Kind: kind, Seam: inch / 2, Wash: float64(random.IntN(8)), Bulk: size(0, 3),
				Ease: plan.Axes{Length: size(-4, 8), Depth: size(-4, 8), Height: size(-4, 8)}}}
		if random.IntN(2) == 0 {
			p.Cover.Corners = plan.Corners{Kind: plan.RoundCorners, Radius: size(6, 24)}
		}
		t.Run(fmt.Sprintf("%d %s", i, kind), func(t *testing.T) {
			_, f := folded(t, p)
			require.Len(t, f.Inside, 3)
			for _, in := range f.Inside {
				assert.True(t, in.Fits(), "%s: %.4f mm, not %.4f mm", in.Name, in.Room/1e6, in.Wanted.Total().
					Float()/1e6)
			}
		})
	}
}
