package fitting_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/fitting"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/sum"
	_ "umschlag/seeded"
)

const in = length.Inch

func ptr(l length.Length) *length.Length { return &l }

// order is a top of 16 × 12 with corners rounded by 2 at its upper side.
func order(list ...plan.Fitting) fitting.Order {
	return fitting.Order{Fittings: list, Seam: in / 4, Step: in / 8, Style: length.Style{Unit: length.Inches},
		Pieces: []cover.Piece{{Name: "top",
			Finished: sum.Size{Width: sum.Of(sum.Part, "w", 16*in), Height: sum.Of(sum.Part, "h", 12*in)},
			Radii:    outline.Radii{TopLeft: 2 * in, TopRight: 2 * in}}}}
}

func one(t *testing.T, f plan.Fitting) fitting.Fitted {
	t.Helper()
	f.On = "top"
	placed, found := fitting.Place(order(f))
	require.Empty(t, found)
	require.Len(t, placed, 1)
	return placed[0]
}

func TestPlacesByDistancesAndByTheMiddle(t *testing.T) {
	pocket := plan.Fitting{Kind: "pocket", Width: 5 * in, Height: 4 * in}
	for name, c := range map[string]struct {
		at   plan.At
		x, y length.Length
	}{
		"in the middle": {plan.At{Middle: true}, 11 * in / 2, 4 * in},
		"from the left and below": {plan.At{Left: ptr(5 * in / 4), Bottom: ptr(5 * in / 4)}, 5 * in / 4,
			27 * in / 4},
		"from the right and above":   {plan.At{Right: ptr(2 * in), Top: ptr(3 * in)}, 9 * in, 3 * in},
		"in the middle of an edge":   {plan.At{Edge: "bottom", Middle: true}, 11 * in / 2, 8 * in},
		"nothing said is the middle": {plan.At{}, 11 * in / 2, 4 * in},
	} {
		t.Run(name, func(t *testing.T) {
			f := pocket
			f.At = c.at
			b := one(t, f).Boxes[0]
			assert.Equal(t, fitting.Box{X: c.x, Y: c.y, Width: 5 * in, Height: 4 * in}, b)
		})
	}
}

func TestTheOppositeEdgesAreNamed(t *testing.T) {
	f := one(t, plan.Fitting{Kind: "pocket", Width: 5 * in, Height: 4 * in,
		At: plan.At{Left: ptr(5 * in / 4), Bottom: ptr(in)}})
	assert.Contains(t, f.Check, "1¼″ from the left and 9¾″ from the right, 7″ from the top and 1″ from the bottom")
}

func TestMoreOfTheSameStandEvenlyAndMirrored(t *testing.T) {
	f := one(t, plan.Fitting{Kind: "strap", Length: 22 * in, Width: 2 * in, Count: 3,
		At: plan.At{Left: ptr(2 * in), Top: ptr(3 * in)}})
	var xs []length.Length
	for _, b := range f.Boxes {
		xs = append(xs, b.X)
	}
	assert.Equal(t, []length.Length{2 * in, 7 * in, 12 * in}, xs)
	assert.Equal(t, 3, f.Parts[0].Count)
}

func TestAHandleHasAPlaceAtEachEnd(t *testing.T) {
	f := one(t, plan.Fitting{Kind: "handle", Length: 10 * in, Width: 2 * in, Spread: 4 * in, At: plan.At{Middle: true}})
	require.Len(t, f.Boxes, 2)
	assert.Equal(t, 4*in, f.Boxes[1].X-f.Boxes[0].X, "its ends are 4 apart")
	assert.Equal(t, 8*in, (f.Boxes[0].X+f.Boxes[1].X)/2+in, "round the middle")
}

func TestAHandleIsPlacedFromEitherSide(t *testing.T) {
	handle := plan.Fitting{Kind: "handle", Length: 10 * in, Width: 2 * in, Spread: 4 * in}
	handle.At.Left = ptr(3 * in)
	left := one(t, handle).Boxes
	handle.At = plan.At{Right: ptr(3 * in)}
	right := one(t, handle).Boxes
	assert.Equal(t, left[0].X, 16*in-right[1].X-right[1].Width, "mirrored")
}

// Making up is common practice: a strip folded along its length, an inch turned
// under at each end, an inch of hem at the top of a pocket.
func TestWhatIsCutForEach(t *testing.T) {
	for kind, c := range map[plan.FittingKind]struct {
		f    plan.Fitting
		w, h length.Length
	}{
		"handle": {plan.Fitting{Length: 10 * in, Width: 2 * in}, 12 * in, 9 * in / 2},
		"strap":  {plan.Fitting{Length: 8 * in, Width: in}, 10 * in, 5 * in / 2},
		"pocket": {plan.Fitting{Width: 5 * in, Height: 4 * in}, 11 * in / 2, 21 * in / 4},
		"label":  {plan.Fitting{Width: 2 * in, Height: in}, 5 * in / 2, 3 * in / 2},
		"slit":   {plan.Fitting{Length: 4 * in}, 2 * in, 6 * in},
		"loop":   {plan.Fitting{Length: 3 * in, Width: in}, 5 * in, 5 * in / 2},
	} {
		c.f.Kind = kind
		parts := one(t, c.f).Parts
		require.Len(t, parts, 1, kind)
		assert.Equal(t, []length.Length{c.w, c.h},
			[]length.Length{parts[0].Size.Width.Total(), parts[0].Size.Height.Total()}, kind)
	}
	for _, kind := range []plan.FittingKind{"tape", "button"} {
		assert.Empty(t, one(t, plan.Fitting{Kind: kind, Length: 4 * in, Width: in}).Parts, "%s is bought", kind)
	}
}

func TestWhatCannotLieThere(t *testing.T) {
	pocket := func(at plan.At) plan.Fitting {
		return plan.Fitting{Kind: "pocket", On: "top", Width: 5 * in, Height: 4 * in, At: at}
	}
	for name, c := range map[string]struct {
		list        []plan.Fitting
		code, about string
		level       finding.Level
	}{
		"beyond the seam": {[]plan.Fitting{pocket(plan.At{Left: ptr(12 * in)})}, "fitting-off", "/fittings/0/at",
			finding.Stop},
		"off a rounded corner": {[]plan.Fitting{pocket(plan.At{Left: ptr(in / 4), Top: ptr(in / 4)})},
			"fitting-corner", "/fittings/0/at", finding.Stop},
		"too close to a seam": {[]plan.Fitting{pocket(plan.At{Left: ptr(in / 8)})}, "fitting-close",
			"/fittings/0/at", finding.Warn},
		"on each other": {[]plan.Fitting{pocket(plan.At{}), pocket(plan.At{Left: ptr(8 * in)})},
			"fitting-overlap", "/fittings/1/at", finding.Warn},
		"a slit through a strap": {[]plan.Fitting{{Kind: "strap", On: "top", Length: 9 * in, Width: 2 * in},
			{Kind: "slit", On: "top", Length: 4 * in}}, "fitting-overlap", "/fittings/1/at", finding.Stop},
		"no such piece": {[]plan.Fitting{{Kind: "pocket", On: "lid", Width: in, Height: in}}, "fitting-on",
			"/fittings/0/on", finding.Stop},
		"no size": {[]plan.Fitting{{Kind: "pocket", On: "top", Width: in}}, "out-of-range",
			"/fittings/0/height", finding.Stop},
		"too many": {[]plan.Fitting{{Kind: "button", On: "top", Width: in, Count: 99}}, "out-of-range",
			"/fittings/0/count", finding.Stop},
		"a kind not reckoned": {[]plan.Fitting{{Kind: "zip-pull", On: "top"}}, "fitting", "/fittings/0/kind",
			finding.Stop},
	} {
		t.Run(name, func(t *testing.T) {
			_, found := fitting.Place(order(c.list...))
			require.Len(t, found, 1)
			assert.Equal(t, c.code, found[0].Code)
			assert.Equal(t, c.about, found[0].About)
			assert.Equal(t, c.level, found[0].Level)
			assert.NotEmpty(t, found[0].Remedy)
		})
	}
}

func TestASlitMayBeginAtItsEdge(t *testing.T) {
	f := one(t, plan.Fitting{Kind: "slit", Length: 4 * in, At: plan.At{Edge: "bottom", Middle: true}})
	assert.Equal(t, 8*in, f.Boxes[0].Y)
	assert.Contains(t, f.Fixing, "cut along it", "it is sewn before it is cut")
	assert.False(t, f.Late)
}

func TestASlitAtTheEdgeOfAPadIsSewnThroughBothFaces(t *testing.T) {
	o := order(plan.Fitting{Kind: "slit", On: "top", Length: 4 * in, At: plan.At{Edge: "bottom", Middle: true}})
	o.Doubled = true
	placed, found := fitting.Place(o)
	require.Empty(t, found)
	assert.True(t, placed[0].Late)
	assert.Empty(t, placed[0].Parts, "no facing")
	assert.Contains(t, placed[0].Fixing, "Only then cut along it")
	o.Fittings[0].At.Edge = ""
	placed, _ = fitting.Place(o)
	assert.Len(t, placed[0].Parts, 1, "in the middle of a face it is faced")
}

// What is placed without a stop lies within the seam line, wherever it was
// asked for.
func TestWhatIsPlacedLiesOnThePiece(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		any := func(name string, lo, hi length.Length) length.Length {
			return length.Length(rapid.Int64Range(int64(lo), int64(hi)).Draw(t, name))
		}
		f := plan.Fitting{Kind: rapid.SampledFrom([]plan.FittingKind{"pocket", "strap", "tape", "button", "label",
			"slit"}).Draw(t, "kind"), On: "top",
			Length: any("length", 1, 20*in), Width: any("width", 1, 20*in), Height: any("height", 1, 20*in),
			Count: rapid.IntRange(0, 5).Draw(t, "count"),
			At:    plan.At{Left: ptr(any("left", -2*in, 18*in)), Top: ptr(any("top", -2*in, 14*in))}}
		placed, found := fitting.Place(order(f))
		if found.Stopped() {
			return
		}
		for _, p := range placed {
			for _, b := range p.Boxes {
				assert.True(t, b.X >= 0 && b.Y >= 0 && b.X+b.Width <= 16*in && b.Y+b.Height <= 12*in, "%+v", b)
			}
		}
	})
}

func TestSeveralOfOneStandApart(t *testing.T) {
	straps := plan.Fitting{Kind: "strap", On: "top", Length: 22 * in, Width: 2 * in, Count: 2}
	_, found := fitting.Place(order(straps))
	require.Len(t, found, 1, "both in the middle")
	assert.Equal(t, "fitting-overlap", found[0].Code)
	straps.At.Left = ptr(3 * in)
	_, found = fitting.Place(order(straps))
	assert.Empty(t, found)
}

func TestAFoldedPocketIsCutDouble(t *testing.T) {
	p := one(t, plan.Fitting{Kind: "pocket", Width: 5 * in, Height: 4 * in, Style: "folded"})
	assert.Equal(t, []length.Length{11 * in / 2, 17 * in / 2},
		[]length.Length{p.Parts[0].Size.Width.Total(), p.Parts[0].Size.Height.Total()})
	assert.Contains(t, p.Making, "Fold it double")
}

func TestPensStandInSlotsFromTheRight(t *testing.T) {
	pocket := plan.Fitting{Kind: "pocket", Width: 5 * in, Height: 4 * in, Slots: 3, Slot: in}
	p := one(t, pocket)
	var xs []length.Length
	for _, l := range p.Lines {
		assert.Equal(t, l.X1, l.X2)
		xs = append(xs, l.X1-p.Boxes[0].X)
	}
	assert.Equal(t, []length.Length{4 * in, 3 * in, 2 * in}, xs)
	pocket.On, pocket.Slots = "top", 6
	_, found := fitting.Place(order(pocket))
	require.Len(t, found, 1)
	assert.Equal(t, "pen-slots", found[0].Code)
	assert.Contains(t, found[0].Remedy, "up to 5")
}

func belt() plan.Fitting {
	return plan.Fitting{Kind: "belt", On: "top", Length: 18 * in, Short: 6 * in, Width: 2 * in, Tape: 3 * in,
		At: plan.At{Left: ptr(in), Middle: true}}
}

func TestAPairStandsMirroredWithItsTape(t *testing.T) {
	b := one(t, belt())
	require.Len(t, b.Boxes, 2)
	assert.Equal(t, 16*in, b.Boxes[0].X+b.Boxes[1].X+b.Boxes[1].Width)
	assert.Equal(t, in, b.Boxes[0].Height, "an inch is turned under and boxed")
	require.Len(t, b.Parts, 2)
	assert.Equal(t, []length.Length{20 * in, 8 * in},
		[]length.Length{b.Parts[0].Size.Width.Total(), b.Parts[1].Size.Width.Total()})
	require.Len(t, b.Notions, 2)
	assert.Equal(t, []length.Length{3 * in, 6 * in},
		[]length.Length{b.Notions[0].Length.Total(), b.Notions[1].Length.Total()})
	assert.Contains(t, b.Fixing, "2″ × 1″, with a cross in it")
}

func TestWhatDoesNotGoTogether(t *testing.T) {
	for code, f := range map[string]plan.Fitting{
		"pair-tape":    func() plan.Fitting { b := belt(); b.Tape = 6 * in; return b }(),
		"pair-length":  func() plan.Fitting { b := belt(); b.Short = 20 * in; return b }(),
		"out-of-range": func() plan.Fitting { b := belt(); b.Count = 2; return b }(),
		"handle-short": {Kind: "handle", On: "top", Length: 3 * in, Width: in, Spread: 4 * in},
	} {
		_, found := fitting.Place(order(f))
		require.Len(t, found, 1, code)
		assert.Equal(t, code, found[0].Code)
		assert.Equal(t, finding.Stop, found[0].Level)
		assert.NotEmpty(t, found[0].Remedy)
	}
}

func TestFittingsKeepOffHemsAndTaperedCorners(t *testing.T) {
	o := order(plan.Fitting{Kind: "label", On: "top", Width: 2 * in, Height: in, At: plan.At{Bottom: ptr(in / 2)}})
	o.Pieces[0].Edges.Bottom = cover.Allowance{Kind: sum.Hem, Width: in}
	_, found := fitting.Place(o)
	require.Len(t, found, 1)
	assert.Equal(t, "fitting-hem", found[0].Code)
	o.Pieces[0].Edges.Bottom = cover.Allowance{}
	o.Zones = []fitting.Zone{{On: "top", Name: fitting.Hem,
		Box: fitting.Box{X: 8 * in, Width: in / 2, Height: 12 * in}}}
	_, found = fitting.Place(o)
	require.Len(t, found, 1)
	o.Zones[0].On = "under"
	_, found = fitting.Place(o)
	assert.Empty(t, found)
	o.Pieces[0].Radii, o.Pieces[0].Taper = outline.Radii{}, in/2
	o.Fittings[0].At = plan.At{Left: ptr(in / 4), Top: ptr(in / 4)}
	_, found = fitting.Place(o)
	require.Len(t, found, 1)
	assert.Equal(t, "fitting-corner", found[0].Code)
}

func TestMovingKeepsTheEdgesDistancesAreCountedFrom(t *testing.T) {
	pocket := plan.Fitting{Kind: "pocket", On: "top", Width: 5 * in, Height: 4 * in}
	for name, c := range map[string]struct {
		at   plan.At
		x, y length.Length
		want plan.At
	}{
		"from the left": {plan.At{Left: ptr(in), Top: ptr(in)}, 2*in + in/20, 3 * in,
			plan.At{Left: ptr(2 * in), Top: ptr(3 * in)}},
		"from the right": {plan.At{Right: ptr(in), Bottom: ptr(in)}, 2 * in, 3 * in,
			plan.At{Right: ptr(9 * in), Bottom: ptr(5 * in)}},
		"out of the middle": {plan.At{Middle: true}, 8 * in, 4 * in, plan.At{Right: ptr(3 * in), Middle: true}},
		"into the middle": {plan.At{Left: ptr(in), Top: ptr(in)}, 11*in/2 + in/20, 4 * in,
			plan.At{Middle: true}},
		"not off the piece": {plan.At{Left: ptr(in), Top: ptr(in)}, -3 * in, 40 * in,
			plan.At{Left: ptr(0), Top: ptr(8 * in)}},
		"along the edge it’s on": {plan.At{Edge: "bottom", Middle: true}, 2 * in, in,
			plan.At{Edge: "bottom", Left: ptr(2 * in)}},
	} {
		t.Run(name, func(t *testing.T) {
			f := pocket
			f.At = c.at
			at, ok := order(f).Moved(0, c.x, c.y)
			require.True(t, ok)
			assert.Equal(t, c.want, at)
		})
	}
	_, ok := order(pocket).Moved(1, 0, 0)
	assert.False(t, ok)
	pocket.On = "lid"
	_, ok = order(pocket).Moved(0, 0, 0)
	assert.False(t, ok)
}

// Wherever it is dropped, a fitting stands on the ruler step nearest to it, on its
// piece, and dropping it again where it stands does not move it.
func TestWhatIsMovedStandsWhereItWasDropped(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		any := func(name string, lo, hi length.Length) length.Length {
			return length.Length(rapid.Int64Range(int64(lo), int64(hi)).Draw(t, name))
		}
		f := plan.Fitting{Kind: rapid.SampledFrom([]plan.FittingKind{"pocket", "label", "button", "tape", "handle"}).
			Draw(t, "kind"), On: "top",
			Length: 5 * in, Width: in.Times(rapid.IntRange(1, 4).Draw(t, "width")), Height: 2 * in}
		if f.Kind == "handle" {
			f.Spread = 3 * in
		}
		if rapid.Bool().Draw(t, "right") {
			f.At.Right = ptr(2 * in)
		}
		x, y := any("x", in, 7*in), any("y", in, 7*in)
		o := order(f)
		at, ok := o.Moved(0, x, y)
		require.True(t, ok)
		o.Fittings[0].At = at
		o.Pieces[0].Radii = outline.Radii{}
		placed, found := fitting.Place(o)
		require.False(t, found.Stopped(), "%v", found)
		b := placed[0].Boxes[0]
		assert.LessOrEqual(t, (b.X - x).Abs(), o.Step, "within a step across")
		assert.LessOrEqual(t, (b.Y - y).Abs(), o.Step, "within a step down")
		again, _ := o.Moved(0, b.X, b.Y)
		assert.Equal(t, at, again)
	})
}
