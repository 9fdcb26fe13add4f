package applique_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"

	"github.com/peterstace/simplefeatures/geom"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/applique"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/shape"
	_ "umschlag/seeded"
)

const in = length.Inch

func ptr(l length.Length) *length.Length { return &l }

// face is 20 × 20.
func face(shapes ...plan.Shape) applique.Order {
	return applique.Order{Shapes: shapes, About: "/face/applique", Width: 20 * in, Height: 20 * in, Step: in / 8}
}

func laid(t *testing.T, shapes ...plan.Shape) []applique.Layer {
	t.Helper()
	placed, found := applique.Place(face(shapes...))
	require.Empty(t, found)
	layers, followed := applique.Lay(placed)
	require.True(t, followed)
	return layers
}

func ground() applique.Ground {
	return applique.Ground{Piece: "front", Width: 20 * in, Height: 20 * in, Style: length.Style{Unit: length.Inches}}
}

func square(w length.Length, at plan.At) plan.Shape {
	return plan.Shape{Shape: "square", Cloth: "B", Width: w, At: at}
}

func at(left, top length.Length) plan.At { return plan.At{Left: ptr(left), Top: ptr(top)} }

func TestShapesArePlacedByMeasuredDistances(t *testing.T) {
	body := square(8*in, plan.At{Middle: true, Bottom: ptr(7 * in / 2)})
	body.Key = "body"
	for name, c := range map[string]struct {
		shape plan.Shape
		x, y  length.Length
	}{
		"in the middle":  {square(4*in, plan.At{Middle: true}), 8 * in, 8 * in},
		"from two edges": {square(4*in, plan.At{Right: ptr(in), Bottom: ptr(2 * in)}), 15 * in, 14 * in},
		"on an edge":     {square(4*in, plan.At{Edge: "bottom", Middle: true}), 8 * in, 16 * in},
		"from another’s edges": {plan.Shape{Shape: "square", Width: 2 * in, From: "body", At: at(in, 3*in)},
			7 * in, 23 * in / 2},
		"in the middle of another": {plan.Shape{Shape: "square", Width: 2 * in, From: "body"}, 9 * in, 23 * in / 2},
		"beyond another’s lower edge": {plan.Shape{Shape: "square", Width: 2 * in, From: "body",
			At: plan.At{Left: ptr(in), Bottom: ptr(-in)}}, 7 * in, 31 * in / 2},
	} {
		l := laid(t, body, c.shape)[1]
		assert.Equal(t, []length.Length{c.x, c.y}, []length.Length{l.X, l.Y}, name)
		assert.Equal(t, 20*in, l.From.Left+l.Width+l.From.Right, "%s: the check from the other side", name)
	}
}

func TestAShapeMayBePlacedFromALaterOne(t *testing.T) {
	wheel := plan.Shape{Shape: "circle", Width: 2 * in, From: "body", At: at(0, 0)}
	body := square(8*in, at(3*in, 4*in))
	body.Key = "body"
	assert.Equal(t, 3*in, laid(t, wheel, body)[0].X)
}

func TestSizesFollowInProportion(t *testing.T) {
	for name, c := range map[string]struct {
		shape plan.Shape
		w, h  length.Length
	}{
		"by its width":        {plan.Shape{Shape: "bar", Width: 5 * in}, 5 * in, in},
		"by its height":       {plan.Shape{Shape: "bar", Height: in}, 5 * in, in},
		"by both":             {plan.Shape{Shape: "bar", Width: 2 * in, Height: 2 * in}, 2 * in, 2 * in},
		"a form with neither": {plan.Shape{Shape: "square"}, 5 * in, 5 * in},
		"a path is in millimetres": {plan.Shape{Shape: "M0 0H10V20H0Z"}, 10 * length.Millimetre,
			20 * length.Millimetre},
		"turned": {plan.Shape{Shape: "bar", Width: 5 * in, Turn: 90}, in, 5 * in},
	} {
		l := laid(t, c.shape)[0]
		assert.Equal(t, []length.Length{c.w, c.h}, []length.Length{l.Width, l.Height}, name)
	}
}

// The template of a shape that is ironed on from behind is drawn mirrored, at true
// scale; a loose one is not.
func TestTemplates(t *testing.T) {
	flag := plan.Shape{Shape: "M0 0L30 10L0 20Z", At: at(3*in, 3*in)}
	assert.Equal(t, "M30000000 0L0 10000000L30000000 20000000Z", laid(t, flag)[0].Template().Text())
	flag.Edge = plan.LooseEdge
	assert.Equal(t, "M0 0L30000000 10000000L0 20000000Z", laid(t, flag)[0].Template().Text())
	flag.Edge = ""
	cut := laid(t, flag)[0].Cut()
	assert.Equal(t, 30*length.Millimetre+in/2, cut.Width.Total(), "¼ in more all round until the web is on")
}

func TestTwinsAreMirroredOrTheSameWayRound(t *testing.T) {
	flag := plan.Shape{Shape: "M0 0L30 10L0 20Z", At: at(2*in, 3*in), Twin: plan.MirrorTwin}
	two := laid(t, flag)
	require.Len(t, two, 2)
	assert.Equal(t, two[0].X, 20*in-two[1].X-two[1].Width)
	assert.Equal(t, two[0].Y, two[1].Y)
	assert.Equal(t, two[0].Path.Mapped(shape.Scale(-1, 1).Then(shape.Move((20*in).Float(), 0))).Text(),
		two[1].Path.Text())
	flag.Twin = plan.SameTwin
	same := laid(t, flag)
	assert.Equal(t, two[1].X, same[1].X, "at the mirrored place")
	assert.Equal(t, same[0].Template().Text(), same[1].Template().Text(), "the light falls from the same side")
}

func TestATwinIsMirroredWithinWhatItIsPlacedFrom(t *testing.T) {
	body := square(8*in, at(2*in, 4*in))
	body.Key = "body"
	three := laid(t, body, plan.Shape{Shape: "circle", Width: 2 * in, From: "body", At: at(in, 7*in),
		Twin: plan.MirrorTwin})
	assert.Equal(t, 3*in, three[1].X)
	assert.Equal(t, 7*in, three[2].X, "1 in from the right edge of the body")
}

// Two squares, one over a corner of the other: by the geometry of squares 4 − 2 of its
// edge are covered.
func TestOnlyWhatShowsIsSewn(t *testing.T) {
	two := laid(t, square(4*in, at(2*in, 2*in)), square(4*in, at(4*in, 4*in)))
	assert.Equal(t, 16*in, two[0].Round)
	assert.Equal(t, 12*in, two[0].Shows)
	assert.Equal(t, 16*in, two[1].Shows, "nothing lies on it")
	assert.Equal(t, []int{1}, two[0].Over)
	assert.Equal(t, []int{0}, two[1].On)
	assert.Equal(t, 2, two[1].Level)
	assert.Equal(t, 2*in, two[0].Lap, "its corner lies 2 in inside the other")
	assert.Equal(t, 4*in, two[0].Held)
	var runs []bool
	for _, s := range two[0].Edge {
		runs = append(runs, s.Shows)
	}
	assert.ElementsMatch(t, []bool{true, false}, runs, "one stretch of each")
}

func TestEdgesThatLieOnEachOtherAreSewnOnce(t *testing.T) {
	two := laid(t, square(4*in, at(2*in, 2*in)), square(4*in, at(6*in, 2*in)))
	assert.Equal(t, 12*in, two[0].Shows, "the upper one’s stitching holds both")
	assert.Zero(t, two[0].Lap)
	two = laid(t, square(4*in, at(2*in, 2*in)), square(4*in, at(2*in, 2*in)))
	assert.Zero(t, two[0].Shows)
	assert.Equal(t, 16*in, two[1].Shows)
}

func TestAShapeInAHoleShowsAndSoDoesTheHolesEdge(t *testing.T) {
	ring := plan.Shape{Shape: "ring", Width: 10 * in}
	dot := plan.Shape{Shape: "circle", Width: 4 * in}
	two := laid(t, dot, ring) // the ring lies on top, round the dot
	assert.Equal(t, two[0].Round, two[0].Shows)
	assert.InDelta(t, math.Pi*(10+5.2)*in.Float(), two[1].Shows.Float(), 1e-3*in.Float())
	wide := plan.Shape{Shape: "circle", Width: 6 * in}
	two = laid(t, wide, ring)
	assert.Zero(t, two[0].Shows, "its edge lies under the ring")
}

func TestADrawnLineIsStitchedWhereItShows(t *testing.T) {
	line := plan.Shape{Shape: "M0 0H100", Edge: plan.DrawnLine, Width: 10 * in}
	two := laid(t, line, square(4*in, plan.At{Middle: true}))
	assert.Equal(t, 10*in, two[0].Round)
	assert.Equal(t, 6*in, two[0].Shows)
	assert.Zero(t, two[0].Area)
	two = laid(t, square(4*in, plan.At{Middle: true}), line)
	assert.Equal(t, 16*in, two[0].Shows, "a line covers nothing")
	assert.Equal(t, 10*in, two[1].Shows)
}

func TestThreadByClothAndStitch(t *testing.T) {
	late := square(2*in, at(14*in, 14*in))
	late.Late = true
	felt := square(2*in, at(in, 14*in))
	felt.Edge = plan.NoEdge
	other := square(in, at(in, in))
	other.Edge = plan.BlanketEdge
	threads := applique.Threads(laid(t, square(4*in, at(2*in, 2*in)), other, square(in, at(10*in, in)), felt, late))
	require.Len(t, threads, 3, "felt takes none, and the late one is sewn by itself")
	assert.Equal(t, []int{0, 2}, threads[0].Layers)
	assert.Equal(t, 20*in-2*in+2*in, threads[0].Seam.Total(),
		"16 of the large one, of which 1 × 1 lies on nothing, and 4")
	assert.Equal(t, threads[0].Seam.Total().Times(7), threads[0].Length)
	assert.Equal(t, threads[1].Seam.Total().Times(4), threads[1].Length)
	assert.True(t, threads[2].Late)
}

func TestWhatLiesOnALateShapeIsLateToo(t *testing.T) {
	low := square(4*in, at(2*in, 2*in))
	low.Late = true
	three := laid(t, low, square(2*in, at(3*in, 3*in)), square(2*in, at(12*in, 3*in)))
	assert.Equal(t, []bool{true, true, false}, []bool{three[0].Late, three[1].Late, three[2].Late})
}

func TestWhatCannotBeSewnIsFound(t *testing.T) {
	with := func(s plan.Shape, change func(*plan.Shape)) plan.Shape { change(&s); return s }
	edge := func(e plan.ShapeEdge) func(*plan.Shape) { return func(s *plan.Shape) { s.Edge = e } }
	pocket := applique.Fitting{Title: "pocket", X: 10 * in, Y: 10 * in, Width: 4 * in, Height: 4 * in}
	for code, c := range map[string]struct {
		shapes []plan.Shape
		about  string
	}{
		"shape-seam":    {[]plan.Shape{square(4*in, at(-in, 2*in))}, "/face/applique/0/at"},
		"shape-off":     {[]plan.Shape{square(4*in, at(30*in, 2*in))}, "/face/applique/0/at"},
		"shape-corner":  {[]plan.Shape{square(2*in, at(in/4, in/4))}, "/face/applique/0/at"},
		"shape-fitting": {[]plan.Shape{square(2*in, at(11*in, 11*in))}, "/face/applique/0/at"},
		"shape-thin": {[]plan.Shape{{Shape: "bar", Width: 8 * in, Height: in / 10, At: at(4*in, 4*in)}},
			"/face/applique/0/width"},
		"shape-hidden": {[]plan.Shape{square(2*in, at(4*in, 4*in)), square(4*in, at(3*in, 3*in))},
			"/face/applique/0"},
		"shape-underlap": {[]plan.Shape{square(4*in, at(3*in, 3*in)), square(4*in, at(3*in, 55*in/8))},
			"/face/applique/0"},
		"shape-loose": {[]plan.Shape{with(square(4*in, at(3*in, 3*in)), edge(plan.LooseEdge))},
			"/face/applique/0/edge"},
		"shape-crosses": {[]plan.Shape{{Shape: "M0 0L60 60H0L60 0Z", At: at(3*in, 3*in)}}, "/face/applique/0/shape"},
		"shape-thick": {[]plan.Shape{square(6*in, at(3*in, 3*in)), square(5*in, at(7*in/2, 7*in/2)),
			square(4*in, at(4*in, 4*in)), square(3*in, at(9*in/2, 9*in/2)), square(2*in, at(5*in, 5*in))},
			"/face/applique/4"},
	} {
		t.Run(code, func(t *testing.T) {
			g := ground()
			g.Outline, g.Shaped = outline.Rounded(20*in, 20*in, outline.Radii{TopLeft: 3 * in}), true
			g.Fittings = []applique.Fitting{pocket}
			found := applique.Judge(laid(t, c.shapes...), g)
			require.Len(t, found, 1)
			assert.Equal(t, code, found[0].Code)
			assert.Equal(t, c.about, found[0].About)
			assert.NotEmpty(t, found[0].Remedy)
		})
	}
}

func TestASoundLayoutIsPassed(t *testing.T) {
	loose := square(6*in, at(3*in, 3*in))
	loose.Edge = plan.LooseEdge
	star := plan.Shape{Shape: "star", Width: 3 * in, At: at(12*in, 4*in)}
	assert.Empty(t, applique.Judge(laid(t, loose, square(3*in, at(5*in, 5*in)), star), ground()),
		"the tips of a star are sharp, and are sewn")
}

func TestWhatCannotBePlacedIsNamed(t *testing.T) {
	named := func(key, from ref.Key) plan.Shape { return plan.Shape{Key: key, Shape: "square", From: from} }
	for name, c := range map[string]struct {
		shapes      []plan.Shape
		code, about string
	}{
		"no form and no path": {[]plan.Shape{{Shape: "hedgehog"}}, "shape-unknown", "/face/applique/0/shape"},
		"half a path":         {[]plan.Shape{{Shape: "M0 0L5"}}, "shape-unknown", "/face/applique/0/shape"},
		"a point":             {[]plan.Shape{{Shape: "M0 0L0 0"}}, "shape-size", "/face/applique/0/width"},
		"no such shape":       {[]plan.Shape{named("", "roof")}, "shape-from", "/face/applique/0/from"},
		"from itself":         {[]plan.Shape{named("a", "a")}, "shape-from", "/face/applique/0/from"},
		"round in a circle":   {[]plan.Shape{named("a", "b"), named("b", "a")}, "shape-from", "/face/applique/1/from"},
		"too many":            {make([]plan.Shape, 501), "shape-many", "/face/applique"},
	} {
		placed, found := applique.Place(face(c.shapes...))
		assert.Nil(t, placed, name)
		if assert.NotEmpty(t, found, name) {
			assert.Equal(t, []any{c.code, c.about, finding.Stop}, []any{found[0].Code, found[0].About, found[0].Level},
				name)
		}
	}
}

func TestMovingKeepsTheEdgesItIsCountedFrom(t *testing.T) {
	o := face(square(4*in, plan.At{Right: ptr(in), Bottom: ptr(2 * in)}))
	moved, ok := o.Moved(0, 10*in+in/50, 3*in)
	require.True(t, ok)
	assert.Equal(t, plan.At{Right: ptr(6 * in), Bottom: ptr(13 * in)}, moved, "on the ruler step")
	moved, ok = o.Moved(0, 8*in, 3*in)
	require.True(t, ok)
	assert.Equal(t, plan.At{Bottom: ptr(13 * in), Middle: true}, moved)
	_, ok = o.Moved(1, 0, 0)
	assert.False(t, ok)
}

// A shape that is counted from another, which does not lie in the corner, is brought where it is asked to be.
func TestMovedFromAnotherShapeItLiesWhereItIsPut(t *testing.T) {
	roof := square(6*in, plan.At{Left: ptr(3 * in), Top: ptr(2 * in)})
	roof.Key = "roof"
	door := square(2*in, plan.At{Left: ptr(in), Bottom: ptr(in)})
	door.From = "roof"
	o := face(roof, door)
	moved, ok := o.Moved(1, 6*in, 9*in/2)
	require.True(t, ok)
	o.Shapes[1].At = moved
	placed, found := applique.Place(o)
	require.Empty(t, found)
	assert.Equal(t, [2]length.Length{6 * in, 9 * in / 2}, [2]length.Length{placed[1].X, placed[1].Y})
}

// Outlines that no machine would end drawing are refused by the points of all of them, not of one.
func TestOutlinesOfTooManyPoints(t *testing.T) {
	var comb strings.Builder
	comb.WriteString("M0 0")
	for i := range 400 {
		fmt.Fprintf(&comb, "L%d 90L%d 0", i, i+1)
	}
	one := plan.Shape{Shape: comb.String() + "L400 100L0 100Z", Cloth: "B", Width: 4 * in,
		At: plan.At{Left: ptr(in), Top: ptr(in)}}
	many := func(n int) finding.List {
		_, found := applique.Place(face(slices.Repeat([]plan.Shape{one}, n)...))
		return found
	}
	assert.Empty(t, many(100))
	require.Len(t, many(200), 1)
	assert.Equal(t, "shape-many", many(200)[0].Code)
	assert.Regexp(t, `^The outlines have 160\d{3} points in all\.$`, many(200)[0].Text)
}

// blob is a shape without crossings: points in order round a middle.
func blob(t *rapid.T, n int) plan.Shape {
	var b strings.Builder
	corners := rapid.IntRange(3, 12).Draw(t, "corners")
	for i := range corners {
		r := rapid.Float64Range(20, 100).Draw(t, "radius")
		s, c := math.Sincos(2 * math.Pi * float64(i) / float64(corners))
		fmt.Fprintf(&b, "%c%.3f %.3f", "ML"[min(i, 1)], r*c, r*s)
	}
	place := func(name string) *length.Length {
		return ptr(length.Length(rapid.Int64Range(0, int64(14*in)).Draw(t, name)))
	}
	return plan.Shape{Name: fmt.Sprint(n), Shape: b.String() + "Z", Cloth: "B",
		Width: length.Length(rapid.Int64Range(int64(2*in), int64(8*in)).Draw(t, "width")),
		Turn:  rapid.Float64Range(-180, 180).Draw(t, "turn"), At: plan.At{Left: place("left"), Top: place("top")}}
}

// polygon is a layer in millimetres for another library.
func polygon(t require.TestingT, l applique.Layer) geom.Polygon {
	points := l.Path.Flat(applique.Tolerance)[0].Points
	var c []float64
	for _, p := range append(points, points[0]) {
		c = append(c, p.X/1e6, p.Y/1e6)
	}
	p := geom.NewPolygon([]geom.LineString{geom.NewLineString(geom.NewSequence(c, geom.DimXY))})
	require.NoError(t, p.Validate())
	return p
}

// What shows of each of some random shapes, against the overlay of simplefeatures, a
// general-purpose geometry library: the outline less the union of the shapes above.
func TestVisibleEdgesAgainstAnotherLibrary(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var shapes []plan.Shape
		for i := range rapid.IntRange(2, 7).Draw(t, "shapes") {
			shapes = append(shapes, blob(t, i))
		}
		placed, found := applique.Place(face(shapes...))
		require.Empty(t, found)
		layers, followed := applique.Lay(placed)
		require.True(t, followed)
		above := geom.Geometry{}
		for i := len(layers) - 1; i >= 0; i-- {
			p := polygon(t, layers[i])
			shows, err := geom.Difference(p.ExteriorRing().AsGeometry(), above)
			require.NoError(t, err)
			assert.InDelta(t, shows.Length(), layers[i].Shows.Float()/1e6, 0.01, "what shows of %d", i)
			assert.InDelta(t, p.ExteriorRing().Length(), layers[i].Round.Float()/1e6, 1e-3)
			assert.InDelta(t, p.Area(), layers[i].Area/1e12, 1e-3)
			above, err = geom.Union(above, p.AsGeometry())
			require.NoError(t, err)
			total := 0.0
			for _, s := range layers[i].Edge {
				total += s.Length
			}
			assert.InDelta(t, layers[i].Round.Float(), total, 2)
		}
	})
}

func overlapping(n int) []applique.Placed {
	var shapes []plan.Shape
	for i := range n {
		x, y := length.Length(i*7919%100)*in/8, length.Length(i*104729%100)*in/8
		shapes = append(shapes,
			plan.Shape{Shape: shape.Forms[i%len(shape.Forms)].Name, Cloth: "B", Width: 5 * in,
				Turn: float64(i * 37 % 360), At: plan.At{Left: &x, Top: &y}})
	}
	placed, _ := applique.Place(face(shapes...))
	return placed
}

// crossing are shapes whose outlines cross themselves and each other everywhere.
func crossing(t *testing.T, shapes, points int) []applique.Placed {
	r := rand.New(rand.NewPCG(7, 4))
	var list []plan.Shape
	for i := range shapes {
		drawn := "M"
		for range points {
			drawn += fmt.Sprintf(" %d %d", r.IntN(100), r.IntN(100))
		}
		x := length.Length(i%4) * in
		list = append(list, plan.Shape{Shape: drawn + "Z", Cloth: "B", Width: 12 * in, At: plan.At{Left: &x, Top: &x}})
	}
	placed, found := applique.Place(face(list...))
	require.False(t, found.Stopped())
	return placed
}

// Two hundred shapes are followed wherever they overlap; outlines that cross themselves everywhere only
// while that comes to an end.
func TestWhatCrossesEverywhereIsNotFollowed(t *testing.T) {
	_, followed := applique.Lay(overlapping(200))
	assert.True(t, followed)
	_, followed = applique.Lay(crossing(t, 4, 50))
	assert.True(t, followed)
	_, followed = applique.Lay(crossing(t, 40, 100))
	assert.False(t, followed)
}

// Two hundred shapes that overlap, and a tenth of them for the ratio.
func BenchmarkLay(b *testing.B) {
	for _, n := range []int{20, 200} {
		placed := overlapping(n)
		b.Run(fmt.Sprint(n), func(b *testing.B) {
			for range b.N {
				applique.Lay(placed)
			}
		})
	}
}

// A shape on a part of a face lies as far from the edges of the whole: over all its width and height they add up to it,
// and its outline goes with it.
func TestAShapeOnAPartIsCountedFromTheWhole(t *testing.T) {
	one := laid(t, square(4*in, plan.At{Left: ptr(3 * in), Top: ptr(5 * in)}))[0]
	b := one.Path.Box()
	beside := one.Aside(7*in, 40*in)
	assert.Equal(t, []length.Length{10 * in, 26 * in, 40 * in},
		[]length.Length{beside.From.Left, beside.From.Right, beside.From.Left + beside.Width + beside.From.Right})
	assert.InDelta(t, b.X1+(7*in).Float(), beside.Path.Box().X1, 1)
	assert.InDelta(t, b.Y1, beside.Path.Box().Y1, 1)
	assert.Equal(t, one.From.Top, beside.From.Top)
	below := one.Lower(6*in, 50*in)
	assert.Equal(t, []length.Length{11 * in, 35 * in, 50 * in},
		[]length.Length{below.From.Top, below.From.Bottom, below.From.Top + below.Height + below.From.Bottom})
	assert.InDelta(t, b.Y1+(6*in).Float(), below.Path.Box().Y1, 1)
	assert.Equal(t, one.From.Left, below.From.Left)
}
