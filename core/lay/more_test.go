package lay_test

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/lay"
	"umschlag/core/length"
)

// strips are pieces of one height: a lay of them is so many strips.
func strips(t *testing.T, usable int, widths, counts []int) (found, bound int) {
	t.Helper()
	items := make([]lay.Item, len(widths))
	for i := range items {
		items[i] = lay.Item{Cut: i, Width: length.Millimetre.Times(widths[i]), Height: 10 * length.Millimetre,
			Count: counts[i]}
	}
	l, left := lay.Of(items, lay.Cloth{Usable: length.Millimetre.Times(usable)})
	require.NoError(t, check(items, left, l))
	return int(l.Length / (10 * length.Millimetre)),
		int((l.Bound + 10*length.Millimetre - 1) / (10 * length.Millimetre))
}

// Published examples of the one-dimensional cutting stock problem: pieces of one height
// are strips, and the fewest strips are the shortest lay.
func TestStripsOfPublishedCuttingStockExamples(t *testing.T) {
	// Source: V. Chvátal, Linear Programming (Freeman, 1983), chapter 13; from memory. The
	// relaxed optimum is 452.25 rolls, so none does with fewer than 453.
	found, bound := strips(t, 100, []int{45, 36, 31, 14}, []int{97, 610, 395, 211})
	assert.Equal(t, 453, found)
	assert.LessOrEqual(t, bound, 453)
	// Source: the paper machine in Wikipedia's article Cutting stock problem; from memory.
	// 73 master rolls of 5600 mm are its optimum.
	found, bound = strips(t, 5600,
		[]int{1380, 1520, 1560, 1710, 1820, 1880, 1930, 2000, 2050, 2100, 2140, 2150, 2200},
		[]int{22, 25, 12, 14, 18, 18, 20, 10, 12, 14, 16, 18, 20})
	assert.Equal(t, 73, bound)
	assert.InDelta(t, 73, found, 1)
}

func TestPiecesOfOneWidthLieOnEachOther(t *testing.T) {
	items := []lay.Item{{Cut: 0, Width: 10 * in, Height: 12 * in, Count: 3},
		{Cut: 1, Width: 10 * in, Height: 4 * in, Count: 3}}
	l, left := lay.Of(items, lay.Cloth{Usable: 40 * in})
	require.NoError(t, check(items, left, l))
	assert.Equal(t, 12*in, l.Length, "three low ones are cut from a fourth column")
	assert.Len(t, l.Strips, 1)
}

func TestAnEdgeOnASelvedge(t *testing.T) {
	panels := []lay.Item{{Cut: 0, Width: 12 * in, Height: 17 * in, Count: 4, Selvedge: true},
		{Cut: 1, Width: 8 * in, Height: 17 * in, Count: 4}}
	for name, of := range map[string]func([]lay.Item, lay.Cloth) (lay.Lay, []int){"ruler": lay.Of, "free": lay.Freely} {
		l, left := of(panels, lay.Cloth{Usable: 40 * in})
		require.Empty(t, left)
		for i, p := range l.Placed {
			if p.Cut == 0 {
				assert.True(t, p.X == 0 || p.X+p.Width == l.Width, "%s: panel %d lies at %d", name, i, p.X)
			}
		}
		assert.Equal(t, 34*in, l.Length, "%s: two at the selvedges, twice", name)
	}
	l, left := lay.Of(panels, lay.Cloth{Usable: 40 * in})
	require.NoError(t, check(panels, left, l))
}

func TestPiecesCentredOnAMotif(t *testing.T) {
	on := lay.Cloth{Usable: 40 * in, Across: 6 * in, Along: 8 * in}
	items := []lay.Item{{Cut: 0, Width: 5 * in, Height: 5 * in, Count: 7, Centred: true},
		{Cut: 1, Width: 40 * in, Height: 3 * in, Count: 1}}
	l, left := lay.Of(items, on)
	require.NoError(t, check(items, left, l))
	assert.Equal(t, (8+5+3+5)*in, l.Length, "a repeat to find the first motif, two rows, and the rest between them")
	var middles []length.Length
	for _, p := range l.Placed {
		if p.Cut == 0 {
			middles = append(middles, (p.X+p.Width/2).Div(1)%on.Across, (p.Y+p.Height/2)%on.Along)
		}
	}
	for i := 2; i < len(middles); i++ {
		assert.Equal(t, middles[i%2], middles[i], "every middle lies as far from its motif")
	}
	alone, _ := lay.Of([]lay.Item{{Width: 38 * in, Height: 20 * in, Count: 1, Centred: true}}, on)
	assert.Equal(t, (8+20)*in, alone.Length)
	assert.LessOrEqual(t, alone.Placed[0].X+38*in, 40*in)
}

// onMotifs reads whether every place that is to be on a motif is as far from the others as whole repeats are.
func onMotifs(items []lay.Item, on lay.Cloth, l lay.Lay) error {
	var first *lay.Offset
	seen := map[int]int{}
	for _, p := range l.Placed {
		it := itemOf(items, p)
		if !it.Centred {
			continue
		}
		off := it.Off
		if it.Opposite && seen[p.Cut]%2 == 1 {
			off = lay.Offset{X: -off.X, Y: -off.Y}
		}
		seen[p.Cut]++
		at := lay.Offset{X: p.X + p.Width/2 + off.X, Y: p.Y + p.Height/2 + off.Y}
		if first == nil {
			first = &at
		}
		beside := on.Nearest(lay.Offset{X: at.X - first.X, Y: at.Y - first.Y})
		if beside != (lay.Offset{}) {
			return fmt.Errorf("a piece of cut %d lies %v beside its motif", p.Cut, beside)
		}
	}
	return nil
}

func TestAnyPlaceOnAMotifLiesOnOne(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		items, on := drawn(t)
		for i := range items { // each with room for a repeat beside it
			items[i].Width = min(items[i].Width, on.Usable-on.Across-in/2)
			items[i].Width = max(items[i].Width, 0)
			items[i].Keep.Width = min(items[i].Keep.Width, items[i].Width+in/4)
			if items[i].Width == 0 {
				items[i].Count = 0
			}
		}
		l, _ := lay.Of(items, on)
		require.NoError(t, onMotifs(items, on, l))
	})
}

// Motifs 4 in apart and squares of 4½ in on 42 in: wherever the first motif lies, ⌊(42 − 4 − 4½) ÷ 8⌋ + 1 = 5 lie in a
// row, and the second row lies 8 in behind the first: 4 to find it, 4½ and 8.
func TestMotifsLieAtTheirRepeat(t *testing.T) {
	on := lay.Cloth{Usable: 42 * in, Across: 4 * in, Along: 4 * in}
	nine := []lay.Item{{Width: 9 * in / 2, Height: 9 * in / 2, Count: 9, Centred: true}}
	l, left := lay.Of(nine, on)
	require.NoError(t, check(nine, left, l))
	assert.Equal(t, 33*in/2, l.Length)
	assert.GreaterOrEqual(t, l.Bound, l.Length-8*in, "what the bound leaves open is the first repeat and half a row")
	assert.Equal(t, lay.ByMotifs, l.Limit)
	assert.False(t, l.Certain)
}

// What else is cut lies between the motifs, in the gaps of their rows and behind them.
func TestWhatIsLeftBetweenMotifsIsUsed(t *testing.T) {
	on := lay.Cloth{Usable: 42 * in, Across: 4 * in, Along: 4 * in}
	items := []lay.Item{{Cut: 0, Width: 9 * in / 2, Height: 9 * in / 2, Count: 9, Centred: true},
		{Cut: 1, Width: 3 * in, Height: 2 * in, Count: 18, MayTurn: true}}
	l, left := lay.Of(items, on)
	require.NoError(t, check(items, left, l))
	assert.Equal(t, 33*in/2, l.Length, "all of them lie between")
	assert.Equal(t, l, lay.Search(items, on, func(lay.Found) bool { return false }).Lay)
	free, left := lay.Freely(items, on)
	require.NoError(t, apart(items, left, free))
	assert.Equal(t, 33*in/2, free.Length)
	items[1].Late = 1
	l, left = lay.Of(items, on)
	require.NoError(t, check(items, left, l))
	assert.Greater(t, l.Length, 33*in/2, "what waits has cloth that is whole")
}

func TestOddPiecesFirst(t *testing.T) {
	on := lay.Cloth{Usable: 40 * in}
	squares := []lay.Item{{Cut: 0, Width: 5 * in, Height: 5 * in, Count: 20}}
	laid, rest := lay.FromOdd(squares, on, []lay.Odd{{Width: 5 * in, Length: 5 * in, Count: 12}})
	assert.Len(t, laid, 12, "squares that are cut already are all taken")
	assert.Equal(t, 8, rest[0].Count)
	laid, rest = lay.FromOdd(squares, on, []lay.Odd{{Width: 11 * in, Length: 10 * in, Count: 1}})
	require.Len(t, laid, 1, "four from the offcut are a strip less")
	assert.Equal(t, 16, rest[0].Count)
	laid, rest = lay.FromOdd([]lay.Item{{Width: 5 * in, Height: 5 * in, Count: 8}}, on,
		[]lay.Odd{{Width: 12 * in, Length: 6 * in, Count: 1}})
	assert.Empty(t, laid, "the strip is cut either way: the offcut stays whole")
	assert.Equal(t, 8, rest[0].Count)
	laid, _ = lay.FromOdd([]lay.Item{{Width: 50 * in, Height: 3 * in, Count: 1}}, on,
		[]lay.Odd{{Width: 52 * in, Length: 4 * in, Count: 1}})
	assert.Len(t, laid, 1, "what the length is too narrow for")
	laid, _ = lay.FromOdd([]lay.Item{{Width: 5 * in, Height: 5 * in, Count: 3, Selvedge: true}}, on,
		[]lay.Odd{{Width: 9 * in, Length: 9 * in, Count: 1}})
	assert.Empty(t, laid, "an offcut has no selvedge")
}

func drawn(t *rapid.T) ([]lay.Item, lay.Cloth) {
	usable := in.Times(rapid.IntRange(8, 60).Draw(t, "usable"))
	items := make([]lay.Item, rapid.IntRange(1, 8).Draw(t, "items"))
	known := rapid.IntRange(0, 2).Draw(t, "known")
	for i := range items {
		items[i] = lay.Item{Cut: i, Count: rapid.IntRange(0, 6).Draw(t, "count"), MayTurn: rapid.Bool().Draw(t, "turn"),
			Selvedge: rapid.IntRange(0, 5).Draw(t, "selvedge") == 0,
			Width:    (in / 8).Times(rapid.IntRange(8, 200).Draw(t, "w")), Height: (in / 8).
					Times(rapid.IntRange(8, 200).Draw(t, "h"))}
		items[i].Centred = !items[i].MayTurn && !items[i].Selvedge && rapid.IntRange(0, 4).Draw(t, "centred") == 0
		items[i].MayTurn = items[i].MayTurn && !items[i].Selvedge
		if it := &items[i]; it.Centred {
			it.Off = lay.Offset{X: (in / 8).Times(rapid.IntRange(-99, 99).Draw(t, "right of its middle")),
				Y: (in / 8).Times(rapid.IntRange(-99, 99).Draw(t, "below it"))}
			it.Opposite = rapid.Bool().Draw(t, "opposite")
			if it.Late = max(0, rapid.IntRange(-3, 2).Draw(t, "late")); it.Late > 0 {
				it.Keep = lay.Size{Width: it.Width + in/4, Height: it.Height + in/8}
			}
		} else {
			it.Late = max(0, rapid.IntRange(-3, 2).Draw(t, "late"))
			it.Keep = lay.Size{Width: it.Width + in/4, Height: it.Height + in/8}
			if it.Known = it.Late > 0 && it.Late <= known; it.Known {
				it.Width += (in / 8).Times(rapid.IntRange(-3, 3).Draw(t, "wider"))
				it.Height += (in / 8).Times(rapid.IntRange(-3, 3).Draw(t, "higher"))
			}
		}
	}
	return items, lay.Cloth{Usable: usable, Across: in.Times(rapid.IntRange(0, 9).Draw(t, "across")),
		Along: in.Times(rapid.IntRange(0, 9).Draw(t, "along"))}
}

func TestAnyFreeLayHasEverythingInsideAndNothingTwice(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		items, on := drawn(t)
		l, left := lay.Freely(items, on)
		require.NoError(t, apart(items, left, l))
		assert.GreaterOrEqual(t, l.Length, l.Bound-1)
	})
}

func TestAnyLayFromOddPiecesIsCorrect(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		items, on := drawn(t)
		odd := make([]lay.Odd, rapid.IntRange(0, 4).Draw(t, "odd"))
		for i := range odd {
			odd[i] = lay.Odd{Count: rapid.IntRange(1, 3).Draw(t, "n"),
				Width:  in.Times(rapid.IntRange(2, 40).Draw(t, "ow")),
				Length: in.Times(rapid.IntRange(2, 40).Draw(t, "ol"))}
		}
		laid, rest := lay.FromOdd(items, on, odd)
		used := make([]int, len(odd))
		placed := map[int]int{}
		for _, one := range laid {
			used[one.Odd]++
			require.Equal(t, odd[one.Odd].Width, one.Lay.Width)
			require.LessOrEqual(t, one.Lay.Length, odd[one.Odd].Length)
			require.NoError(t, within(items, one.Lay))
			require.NoError(t, through(items, one.Lay))
			require.NoError(t, inStages(items, one.Lay))
			for _, p := range one.Lay.Placed {
				placed[p.Cut]++
			}
		}
		for i, n := range used {
			assert.LessOrEqual(t, n, odd[i].Count)
		}
		require.Len(t, rest, len(items))
		for _, it := range rest {
			assert.Equal(t, items[it.Cut].Count, it.Count+placed[it.Cut])
		}
		before, _ := lay.Of(items, on)
		after, left := lay.Of(rest, on)
		require.NoError(t, check(rest, left, after))
		assert.LessOrEqual(t, after.Length, before.Length+in.Times(50)*length.Length(len(left)))
	})
}

// Front and both backs of a cushion of 16 in from one cloth: 16 + 10 + 10 lie side by side in one strip, which is the
// tallest piece. What is cut now is cut first.
func TestWhatWaitsSharesAStrip(t *testing.T) {
	on := lay.Cloth{Usable: 40 * in}
	back := lay.Item{Cut: 0, Width: 10 * in, Height: 16 * in, Count: 2, Late: 1,
		Keep: lay.Size{Width: 10*in + in/8, Height: 16*in + in/4}}
	items := []lay.Item{back, {Cut: 1, Width: 16 * in, Height: 16 * in, Count: 1}}
	l, left := lay.Of(items, on)
	require.NoError(t, check(items, left, l))
	assert.Equal(t, 16*in+in/4, l.Length, "a quarter more, for what the measurement may ask for")
	assert.Equal(t, l.Bound, l.Length)
	assert.Equal(t, []int{1, 0, 0}, []int{l.Placed[0].Cut, l.Placed[1].Cut, l.Placed[2].Cut})
	assert.Equal(t, lay.Rect{X: 16 * in, Width: 10*in + in/8, Height: 16*in + in/4}, l.Placed[1].Room)

	for name, c := range map[string]struct {
		wide, high   length.Length
		long, second length.Length
	}{
		"smaller":       {10*in - in/8, 16*in - in/4, 16*in + in/4, 16 * in},
		"as kept":       {10*in + in/8, 16*in + in/4, 16*in + in/4, 16 * in},
		"outgrown high": {10 * in, 17 * in, 33*in + in/4, 0},
		"outgrown wide": {11 * in, 16 * in, 32*in + in/4, 0},
	} {
		measured := slices.Clone(items)
		measured[0].Width, measured[0].Height, measured[0].Known = c.wide, c.high, true
		l, left := lay.Of(measured, on)
		require.NoError(t, check(measured, left, l), name)
		assert.Equal(t, c.long, l.Length, name)
		assert.Equal(t, lay.Placed{Cut: 1, Width: 16 * in, Height: 16 * in,
			Room: lay.Rect{Width: 16 * in, Height: 16 * in}, Strip: 1, Column: 1}, l.Placed[0], name)
		assert.Equal(t, c.second, l.Placed[1].X, name)
	}
}

// What lies in strips that nothing was cut from is cut as large as it is when it is known.
func TestAStripThatWaitsIsCutToWhatWasMeasured(t *testing.T) {
	on := lay.Cloth{Usable: 40 * in}
	items := []lay.Item{{Cut: 0, Width: 30 * in, Height: 10 * in, Count: 1},
		{Cut: 1, Width: 30 * in, Height: 12 * in, Count: 1, Late: 2, Keep: lay.Size{Width: 31 * in, Height: 13 * in}}}
	l, _ := lay.Of(items, on)
	require.NoError(t, check(items, nil, l))
	assert.Equal(t, 23*in, l.Length)
	items[1].Known, items[1].Height = true, 12*in+in/2
	l, _ = lay.Of(items, on)
	require.NoError(t, check(items, nil, l))
	assert.Equal(t, 22*in+in/2, l.Length)
	assert.Equal(t, l.Bound, l.Length)
	free, _ := lay.Freely(items, on)
	assert.Equal(t, 23*in, free.Length, "placed freely it stays where it is drawn")
}

// Whatever is measured within what was kept: what is cut before it lies where it lay.
func TestNothingThatIsCutJumpsWhenTheRestIsMeasured(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		items, on := drawn(t)
		for i, it := range items {
			if items[i].Known = false; it.Late > 0 {
				items[i].Width, items[i].Height = it.Keep.Width-in/4, it.Keep.Height-in/8
			}
		}
		before, _ := lay.Of(items, on)
		stage := rapid.IntRange(1, 2).Draw(t, "stage")
		for i, it := range items {
			if it.Late > 0 && it.Late <= stage {
				items[i].Known = true
				items[i].Width -= (in / 8).Times(rapid.IntRange(-4, 4).Draw(t, "narrower"))
			}
		}
		after, _ := lay.Of(items, on)
		for _, p := range before.Placed {
			if items[p.Cut].Late == 0 {
				require.Contains(t, after.Placed, p)
			}
		}
	})
}

// One of two pieces on each other has outgrown its place: the other is cut from the edge of the strip on.
func TestAColumnClosesUpWhereAPieceHasOutgrownIt(t *testing.T) {
	on := lay.Cloth{Usable: 40 * in}
	keep := lay.Size{Width: 10 * in, Height: 8 * in}
	items := []lay.Item{{Cut: 0, Width: 30 * in, Height: 16 * in, Count: 1},
		{Cut: 1, Width: 10 * in, Height: 8 * in, Count: 1, Late: 1, Keep: keep},
		{Cut: 2, Width: 10 * in, Height: 8 * in, Count: 1, Late: 1, Keep: keep}}
	l, _ := lay.Of(items, on)
	assert.Equal(t, 16*in, l.Length)
	items[1].Known, items[2].Known, items[1].Width = true, true, 11*in
	l, left := lay.Of(items, on)
	require.NoError(t, check(items, left, l))
	assert.Equal(t, 24*in, l.Length)
	for _, p := range l.Placed {
		if p.Cut == 2 {
			assert.Equal(t, []length.Length{30 * in, 0}, []length.Length{p.X, p.Y})
		}
	}
}

func TestOddPiecesAreSharedWithWhatWaits(t *testing.T) {
	on := lay.Cloth{Usable: 40 * in}
	items := []lay.Item{{Cut: 0, Width: 17 * in, Height: 11 * in, Count: 2, Late: 1},
		{Cut: 1, Width: 6 * in, Height: 11 * in, Count: 1}}
	laid, rest := lay.FromOdd(items, on, []lay.Odd{{Width: 23 * in, Length: 11 * in, Count: 3}})
	require.Len(t, laid, 2, "the patch and a panel from one, a panel from another")
	assert.Equal(t, []int{1, 0}, []int{laid[0].Lay.Placed[0].Cut, laid[0].Lay.Placed[1].Cut}, "the patch is cut first")
	assert.Equal(t, []int{0, 0}, []int{rest[0].Count, rest[1].Count})
	items[0].Known, items[0].Keep, items[0].Width = true, lay.Size{Width: 17 * in, Height: 11 * in}, 18*in
	laid, rest = lay.FromOdd(items, on, []lay.Odd{{Width: 23 * in, Length: 11 * in, Count: 3}})
	require.Len(t, laid, 3, "one that has outgrown its place has an offcut of its own")
	assert.Len(t, laid[0].Lay.Placed, 1)
	assert.Equal(t, []int{0, 0}, []int{rest[0].Count, rest[1].Count})
}

func TestASearchIsNeverWorseAndEndsWhenTold(t *testing.T) {
	items := manyNeeds(1)[0]
	on := lay.Cloth{Usable: 40 * in}
	before, _ := lay.Of(items, on)
	var rounds []int
	found := lay.Search(items, on, func(f lay.Found) bool {
		if len(rounds) == 0 || rounds[len(rounds)-1] != f.Round {
			rounds = append(rounds, f.Round)
		}
		return f.Round < 3
	})
	require.NoError(t, check(items, nil, found.Lay))
	assert.True(t, len(found.Way) > 0)
	assert.Less(t, found.Lay.Length, before.Length)
	assert.Equal(t, []int{1, 2, 3}, rounds)
	assert.Equal(t, found.Lay, lay.Along(items, on, found.Way), "the way leads to the same lay")
	assert.Equal(t, before.Bound, found.Lay.Bound)
	at := 0
	stopped := lay.Search(items, on, func(lay.Found) bool { at++; return at < 2 })
	assert.Equal(t, 2, at, "it asks no more when it was told to end")
	assert.Less(t, stopped.Round, stopped.Rounds)
	require.NoError(t, check(items, nil, stopped.Lay))
	done := lay.Search([]lay.Item{{Width: 40 * in, Height: in, Count: 3}}, on,
		func(lay.Found) bool { t.Fatal("no cutting layout can be shorter"); return true })
	assert.Equal(t, done.Lay.Bound, done.Lay.Length)
}

func TestAWayOfOtherPiecesStillLaysThese(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		items, on := drawn(t)
		way := lay.Way(rapid.SliceOfN(rapid.OneOf(rapid.IntRange(0, 5), rapid.IntRange(0, 132)), 0, 24).Draw(t, "way"))
		l := lay.Along(items, on, way)
		_, left := lay.Of(items, on)
		require.NoError(t, check(items, left, l))
	})
}

// A way that was written down leads back to the lay, and of a way that is cut off, or of which a number was changed, as
// much is laid as still fits.
func TestAWayLeadsBack(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		items, on := drawn(t)
		_, left := lay.Of(items, on)
		found := lay.Search(items, on, func(f lay.Found) bool { return f.Round < 2 })
		if found.Way == nil {
			return
		}
		require.Equal(t, found.Lay, lay.Along(items, on, found.Way))
		cut := rapid.IntRange(0, len(found.Way)-1).Draw(t, "at")
		require.NoError(t, check(items, left, lay.Along(items, on, found.Way[:cut])))
		found.Way[cut] += rapid.IntRange(-3, 3).Draw(t, "by")
		require.NoError(t, check(items, left, lay.Along(items, on, found.Way)))
	})
}

// A strip that is taken as it was written wants as many pieces as there are, of one width and time in a column, turned
// where they may be, on the width there is.
func TestWhatAWaySaysIsTried(t *testing.T) {
	on := lay.Cloth{Usable: 10 * in}
	items := []lay.Item{{Cut: 7, Width: 4 * in, Height: 2 * in, Count: 4}, {Cut: 8, Width: 5 * in, Height: in, Count: 2,
		MayTurn: true}}
	for name, c := range map[string]struct {
		way   lay.Way
		first length.Length
		wants []int
	}{
		"as it says":          {lay.Way{129, 1, 1, 0, 2}, 4 * in, []int{7, 7}},
		"two alike":           {lay.Way{129, 2, 1, 0, 1}, 2 * in, []int{7}},
		"turned":              {lay.Way{130, 1, 1, 3, 1, 1, 0, 1}, 5 * in, []int{8, 7}},
		"turned that may not": {lay.Way{129, 1, 1, 1, 1}, 0, nil},
		"more than there are": {lay.Way{129, 3, 1, 0, 2}, 0, nil},
		"of two widths":       {lay.Way{129, 1, 2, 0, 1, 2, 1}, 0, nil},
		"too wide":            {lay.Way{131, 1, 1, 0, 1, 1, 0, 1, 1, 0, 1}, 0, nil},
		"of nothing":          {lay.Way{128, 1}, 0, nil},
		"no such item":        {lay.Way{129, 1, 1, 4, 1}, 0, nil},
	} {
		l := lay.Along(items, on, c.way)
		require.NoError(t, check(items, nil, l), name)
		if c.wants == nil {
			assert.Equal(t, lay.Along(items, on, nil), l, name)
			continue
		}
		var first []int
		for _, p := range l.Placed {
			if p.Strip == 1 {
				first = append(first, p.Cut)
			}
		}
		assert.Equal(t, c.wants, first, name)
		assert.Equal(t, c.first, l.Strips[0].Height, name)
	}
}

// BenchmarkManyOddPieces lays a hundred pieces with a cupboard full of offcuts of sixty
// sizes; the ratio is to the same without any.
func BenchmarkManyOddPieces(b *testing.B) {
	items := manyNeeds(1)[0]
	on := lay.Cloth{Usable: 40 * in}
	var odd []lay.Odd
	for i := range 60 {
		odd = append(odd, lay.Odd{Width: (in / 4).Times(12 + 3*i%100), Length: (in / 4).Times(8 + 5*i%60),
			Count: 1 + i%3})
	}
	cut := 0
	for b.Loop() {
		laid, rest := lay.FromOdd(items, on, odd)
		l, left := lay.Of(rest, on)
		require.NoError(b, check(rest, left, l))
		cut = len(laid)
	}
	b.ReportMetric(float64(cut), "odd-pieces")
}

// BenchmarkSearch tells how far lays are from their bounds after ever wider rounds.
func BenchmarkSearch(b *testing.B) {
	needs := manyNeeds(20)
	for _, last := range []int{1, 3, 5} {
		b.Run(fmt.Sprint("rounds-", last), func(b *testing.B) {
			for b.Loop() {
				var mean, worst float64
				for _, items := range needs {
					f := lay.Search(items, lay.Cloth{Usable: 40 * in}, func(f lay.Found) bool { return f.Round < last })
					require.NoError(b, check(items, nil, f.Lay))
					ratio := f.Lay.Length.Float() / f.Lay.Bound.Float()
					mean, worst = mean+ratio/float64(len(needs)), max(worst, ratio)
				}
				b.ReportMetric(mean, "mean-length/bound")
				b.ReportMetric(worst, "worst-length/bound")
			}
		})
	}
}
