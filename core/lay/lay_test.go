package lay_test

import (
	"cmp"
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/lay"
	"umschlag/core/length"
	_ "umschlag/seeded"
)

const in = length.Inch

// check reads a lay in strips independently of how it was made.
func check(items []lay.Item, left []int, l lay.Lay) error {
	for i, p := range l.Placed {
		if s := l.Strips[p.Strip-1]; p.Room.Y < s.Y || p.Room.Y+p.Room.Height > s.Y+s.Height {
			return fmt.Errorf("piece %d of cut %d leaves its strip", i, p.Cut)
		}
	}
	if err := through(items, l); err != nil {
		return err
	}
	if err := inStages(items, l); err != nil {
		return err
	}
	return apart(items, left, l)
}

// apart reads a lay independently of how it was made: everything inside the cloth,
// nothing over anything else, and every item there.
func apart(items []lay.Item, left []int, l lay.Lay) error {
	placed := map[int]int{}
	for _, p := range l.Placed {
		placed[p.Cut]++
	}
	for _, it := range items {
		if want := it.Count; !slices.Contains(left, it.Cut) && placed[it.Cut] != want {
			return fmt.Errorf("cut %d lies there %d times instead of %d", it.Cut, placed[it.Cut], want)
		}
	}
	return within(items, l)
}

func itemOf(items []lay.Item, p lay.Placed) lay.Item {
	return items[slices.IndexFunc(items, func(it lay.Item) bool { return it.Cut == p.Cut })]
}

// inStages reads whether a strip can be cut first for what is cut first: what lies in one column is cut at one time,
// columns follow each other in the order they are cut but for those at the selvedges, and so do strips in the order
// they are begun.
func inStages(items []lay.Item, l lay.Lay) error {
	begins := make([]int, len(l.Strips))
	last := make([]int, len(l.Strips))
	columns := map[[2]int]int{}
	for i := range begins {
		begins[i] = math.MaxInt
	}
	for i, p := range l.Placed {
		it := itemOf(items, p)
		if it.Centred {
			begins[p.Strip-1] = 0
			continue
		}
		begins[p.Strip-1] = min(begins[p.Strip-1], it.Late)
		column := [2]int{p.Strip, p.Column}
		if late, begun := columns[column]; begun && late != it.Late {
			return fmt.Errorf("piece %d of cut %d is cut at another time than its column", i, p.Cut)
		}
		columns[column] = it.Late
		if it.Selvedge {
			continue
		}
		if it.Late < last[p.Strip-1] {
			return fmt.Errorf("piece %d of cut %d is cut before what lies left of it", i, p.Cut)
		}
		last[p.Strip-1] = it.Late
	}
	begins = slices.DeleteFunc(begins, func(late int) bool { return late == math.MaxInt })
	known := slices.ContainsFunc(items, func(it lay.Item) bool { return it.Known })
	if !known && !slices.IsSorted(begins) {
		return fmt.Errorf("strips are begun in the order %v", begins)
	}
	return nil
}

// within reads whether all that lies there lies on the cloth, apart, along its grain, in
// its size and with the room that is kept for it.
func within(items []lay.Item, l lay.Lay) error {
	for i, p := range l.Placed {
		if r := p.Room; r.X < 0 || r.Y < 0 || r.X+r.Width > l.Width || r.Y+r.Height > l.Length {
			return fmt.Errorf("piece %d of cut %d lies off the fabric", i, p.Cut)
		}
		for j, q := range l.Placed[:i] {
			a, b := p.Room, q.Room
			if a.X < b.X+b.Width && b.X < a.X+a.Width && a.Y < b.Y+b.Height && b.Y < a.Y+a.Height {
				return fmt.Errorf("pieces %d and %d lie over each other", i, j)
			}
		}
		it := itemOf(items, p)
		if p.Turned && !it.MayTurn {
			return fmt.Errorf("piece %d of cut %d is turned against its grain", i, p.Cut)
		}
		if it.Selvedge && p.X != 0 && p.X+p.Width != l.Width {
			return fmt.Errorf("piece %d of cut %d has no edge on a selvedge", i, p.Cut)
		}
		w, h := it.Width, it.Height
		if p.Turned {
			w, h = h, w
		}
		if w != p.Width || h != p.Height {
			return fmt.Errorf("piece %d of cut %d has another size", i, p.Cut)
		}
		if r := p.Room; p.X < r.X || p.Y < r.Y || p.X+w > r.X+r.Width || p.Y+h > r.Y+r.Height {
			return fmt.Errorf("piece %d of cut %d lies out of its room", i, p.Cut)
		}
		keep := it.Keep
		if p.Turned {
			keep.Width, keep.Height = keep.Height, keep.Width
		}
		short := p.Room.Width < min(keep.Width, l.Width) || p.Room.Height < min(keep.Height, l.Width)
		if !it.Known && it.Late > 0 && short {
			return fmt.Errorf("piece %d of cut %d may come out larger than its room", i, p.Cut)
		}
	}
	return nil
}

// through reads whether straight cuts that go all the way through take a lay apart:
// strips lie one after another over the whole length; in a strip columns lie beside one
// another, none over where another one is cut off; and in a column pieces of one width
// lie on each other from the edge of the strip on. What is centred on a motif is cut out
// of its strip by itself.
func through(items []lay.Item, l lay.Lay) error {
	var y length.Length
	for i, s := range l.Strips {
		if s.Y != y || s.Height <= 0 {
			return fmt.Errorf("strip %d begins at %d instead of %d", i+1, s.Y, y)
		}
		y += s.Height
	}
	if y != l.Length {
		return fmt.Errorf("the strips end at %d, the cutting layout at %d", y, l.Length)
	}
	ends := map[[2]int]length.Length{}
	for i, p := range l.Placed {
		if itemOf(items, p).Centred {
			continue
		}
		column := [2]int{p.Strip, p.Column}
		if _, begun := ends[column]; !begun {
			ends[column] = l.Strips[p.Strip-1].Y
		}
		if p.Room.Y != ends[column] {
			return fmt.Errorf("piece %d of cut %d does not lie where its column is cut", i, p.Cut)
		}
		ends[column] += p.Room.Height
		for j, q := range l.Placed[:i] {
			if p.Strip != q.Strip {
				continue
			}
			if p.Column == q.Column && (p.Room.X != q.Room.X || p.Room.Width != q.Room.Width) {
				return fmt.Errorf("pieces %d and %d share a column and no width", i, j)
			}
			if p.Column != q.Column && p.Room.X < q.Room.X+q.Room.Width &&
				q.Room.X < p.Room.X+p.Room.Width {
				return fmt.Errorf("piece %d is cut through by piece %d", i, j)
			}
		}
	}
	return nil
}

func TestFullStripsThenPieces(t *testing.T) {
	items := []lay.Item{{Cut: 0, Width: 9 * in / 2, Height: 9 * in / 2, Count: 20, MayTurn: true}}
	l, left := lay.Of(items, lay.Cloth{Usable: 40 * in})
	require.NoError(t, check(items, left, l))
	assert.Len(t, l.Strips, 3, "8 to a strip of 40")
	assert.Equal(t, 27*in/2, l.Length)
}

func TestBordersComeFromStripsAcross(t *testing.T) {
	border := lay.Item{Width: 21 * in / 8, Height: 33 * in / 2, Count: 2}
	border.MayTurn = true
	l, _ := lay.Of([]lay.Item{border}, lay.Cloth{Usable: 40 * in})
	assert.Equal(t, 21*in/8, l.Length, "turned, both side by side in one strip")
	border.MayTurn = false
	l, _ = lay.Of([]lay.Item{border}, lay.Cloth{Usable: 40 * in})
	assert.Equal(t, 33*in/2, l.Length, "a one-way print keeps them upright")
}

func TestAPieceTooWideIsLeftOutAndNamed(t *testing.T) {
	items := []lay.Item{{Cut: 3, Width: 44 * in, Height: 10 * in, Count: 1},
		{Cut: 4, Width: 10 * in, Height: 44 * in, Count: 1}}
	l, left := lay.Of(items, lay.Cloth{Usable: 40 * in})
	assert.Equal(t, []int{3}, left)
	require.NoError(t, check(items, left, l))
}

func TestAWidePieceIsTurnedWhereItMay(t *testing.T) {
	items := []lay.Item{{Width: 44 * in, Height: 10 * in, Count: 1, MayTurn: true}}
	l, left := lay.Of(items, lay.Cloth{Usable: 40 * in})
	assert.Empty(t, left)
	assert.True(t, l.Placed[0].Turned)
}

func TestAnyLayIsCorrectAndNotBelowItsBound(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		usable := in.Times(rapid.IntRange(8, 60).Draw(t, "usable"))
		items := make([]lay.Item, rapid.IntRange(1, 12).Draw(t, "items"))
		for i := range items {
			items[i] = lay.Item{Cut: i, Count: rapid.IntRange(0, 9).Draw(t, "count"), MayTurn: rapid.Bool().
				Draw(t, "turn"),
				Width:  length.Length(rapid.Int64Range(int64(in), int64(50*in)).Draw(t, "w")),
				Height: length.Length(rapid.Int64Range(int64(in), int64(50*in)).Draw(t, "h"))}
		}
		l, left := lay.Of(items, lay.Cloth{Usable: usable})
		require.NoError(t, check(items, left, l))
		assert.GreaterOrEqual(t, l.Length, l.Bound-1)
		for _, cut := range left {
			it := items[cut]
			assert.True(t, it.Width > usable && (!it.MayTurn || it.Height > usable))
		}
		again, _ := lay.Of(items, lay.Cloth{Usable: usable})
		assert.Equal(t, l, again, "the same needs give the same lay")
	})
}

func TestWhatLiesBesideAnotherFillsTheStrip(t *testing.T) {
	items := []lay.Item{{Cut: 0, Width: 11 * in, Height: 6 * in, Count: 4},
		{Cut: 1, Width: 7 * in, Height: 6 * in, Count: 8}, {Cut: 2, Width: 5 * in, Height: 6 * in, Count: 4},
		{Cut: 3, Width: 10 * in, Height: 6 * in, Count: 4}}
	l, left := lay.Of(items, lay.Cloth{Usable: 40 * in})
	require.NoError(t, check(items, left, l))
	assert.Equal(t, 24*in, l.Length, "11 + 7 + 7 + 5 + 10 = 40, four times; the widest first would take five strips")
	assert.Equal(t, l.Bound, l.Length)
}

func TestSettingsOfTheRuler(t *testing.T) {
	l, _ := lay.Of([]lay.Item{{Width: 5 * in, Height: 5 * in, Count: 20}}, lay.Cloth{Usable: 40 * in})
	assert.Equal(t, 2, l.Settings(), "one for three strips alike, one for the squares out of them")
	l, _ = lay.Of([]lay.Item{{Cut: 0, Width: 20 * in, Height: 5 * in, Count: 2},
		{Cut: 1, Width: 10 * in, Height: 4 * in, Count: 4}}, lay.Cloth{Usable: 40 * in})
	assert.Equal(t, 4, l.Settings(), "two strips of two heights, each cut at one width")
}

func TestBoundsOfWidePieces(t *testing.T) {
	wide := []lay.Item{{Cut: 0, Width: 21 * in, Height: 5 * in, Count: 3}}
	l, _ := lay.Of(wide, lay.Cloth{Usable: 40 * in})
	assert.Equal(t, 15*in, l.Bound, "no two lie side by side")
	assert.Equal(t, lay.ByWidth, l.Limit)
	thirds := []lay.Item{{Cut: 0, Width: 14 * in, Height: 5 * in, Count: 5}}
	l, _ = lay.Of(thirds, lay.Cloth{Usable: 40 * in})
	assert.Equal(t, []any{15 * in, lay.ByHeights}, []any{l.Bound, l.Limit},
		"two at most lie side by side: five halves, and no heights make 12 1/2")
	assert.Equal(t, 15*in, l.Length)
	thirds[0].MayTurn = true
	l, _ = lay.Of(thirds, lay.Cloth{Usable: 40 * in})
	assert.Equal(t, 14*in, l.Length, "turned, they lie in one strip")
	l, _ = lay.Of([]lay.Item{{Width: 20 * in, Height: 5 * in, Count: 3}}, lay.Cloth{Usable: 40 * in})
	assert.Equal(t, []any{10 * in, lay.ByHeights}, []any{l.Bound, l.Limit},
		"three halves of five, and no heights make 7 1/2")
	l, _ = lay.Of([]lay.Item{{Cut: 0, Width: 40 * in, Height: 5 * in, Count: 3}}, lay.Cloth{Usable: 40 * in})
	assert.Equal(t, []any{15 * in, lay.ByArea}, []any{l.Bound, l.Limit})
	l, _ = lay.Of([]lay.Item{{Width: 4 * in, Height: 9 * in, Count: 3}}, lay.Cloth{Usable: 40 * in})
	assert.Equal(t, []any{9 * in, lay.ByTallest}, []any{l.Bound, l.Limit})
}

// Thirty small squares show that no lay comes near the area bound where it is only a few
// strips: over no point of the width lies more than one of them while the lay is lower
// than two, so at most 17 lie there, and 4 1/2 in are the least, 18 % over the area.
func TestTheAreaSaysLittleOfAFewStrips(t *testing.T) {
	l, _ := lay.Of([]lay.Item{{Width: 9 * in / 4, Height: 9 * in / 4, Count: 30}}, lay.Cloth{Usable: 40 * in})
	assert.Equal(t, []any{9 * in / 2, 9 * in / 2, lay.ByHeights}, []any{l.Length, l.Bound, l.Limit})
	area := 30 * 2.25 * 2.25 / 40
	assert.Greater(t, l.Length.Float()/in.Float()/area, 1.18)
}

func TestBuying(t *testing.T) {
	l := lay.Lay{Length: 19 * in}
	need := lay.Need(l, 0)
	assert.Equal(t, 39*in/2, need, "half an inch squares the end")
	assert.Equal(t, length.Length(521_368_421), lay.Need(l, 0.05), "19½ ÷ 0.95, before rounding")
	assert.Zero(t, lay.Need(lay.Lay{}, 0.05))
}

// BenchmarkFiveHundredPieces also tells how far the lay is from its bound.
func BenchmarkFiveHundredPieces(b *testing.B) {
	items := make([]lay.Item, 50)
	for i := range items {
		items[i] = lay.Item{Cut: i, Count: 10, MayTurn: i%2 == 0, Width: in.Times(2 + i%9), Height: in.Times(2 + i%7)}
	}
	for b.Loop() {
		l, _ := lay.Of(items, lay.Cloth{Usable: 40 * in})
		b.ReportMetric(l.Length.Float()/l.Bound.Float(), "length/bound")
	}
}

// manyNeeds are needs of thirty pieces and more, none wider than a third of the cloth.
func manyNeeds(n int) [][]lay.Item {
	random := rand.New(rand.NewPCG(8, 2))
	needs := make([][]lay.Item, n)
	for i := range needs {
		for pieces := 30 + random.IntN(90); pieces > 0; {
			it := lay.Item{Cut: len(needs[i]), Count: 1 + random.IntN(12), MayTurn: random.IntN(2) == 0,
				Width: (in / 8).Times(12 + random.IntN(92)), Height: (in / 8).Times(12 + random.IntN(92))}
			needs[i] = append(needs[i], it)
			pieces -= it.Count
		}
	}
	return needs
}

// patchworkNeeds are what one cloth gives for several patchwork covers: squares, squares
// for triangles, rectangles and sashing of a few blocks, none wider than a third of the
// cloth, thirty pieces and more. The sizes are the rotary recipes' with seams of 1/4 in.
func patchworkNeeds(n int) [][]lay.Item {
	random := rand.New(rand.NewPCG(8, 3))
	needs := make([][]lay.Item, n)
	for i := range needs {
		pieces := 0
		for covers := 1 + random.IntN(4); covers > 0 || pieces < 30; covers-- {
			unit := (in / 4).Times(6 + random.IntN(13)) // 1 1/2 to 4 1/2 in finished
			seams, blocks := in/2, 4+random.IntN(13)
			add := func(w, h length.Length, count int, turn bool) {
				if w <= 40*in/3 && h <= 40*in/3 {
					needs[i] = append(needs[i],
						lay.Item{Cut: len(needs[i]), Width: w, Height: h, Count: count, MayTurn: turn})
					pieces += count
				}
			}
			add(unit+seams, unit+seams, blocks*(1+random.IntN(4)), true)
			if random.IntN(2) == 0 {
				add(unit+7*in/8, unit+7*in/8, blocks*(1+random.IntN(2)), true)
			}
			if random.IntN(3) == 0 {
				add(2*unit+5*in/4, 2*unit+5*in/4, (blocks+3)/4, true)
			}
			if random.IntN(2) == 0 {
				add(unit+seams, 2*unit+seams, blocks, random.IntN(2) == 0)
			}
			if random.IntN(3) == 0 {
				add(in+seams, 3*unit+seams, blocks, true)
			}
		}
	}
	return needs
}

// BenchmarkPatchworkNeeds tells how far lays of patchwork are from their bounds: at once,
// and after a search of three rounds.
func BenchmarkPatchworkNeeds(b *testing.B) {
	needs := patchworkNeeds(200)
	for b.Loop() {
		var mean, worst, sought, worstSought float64
		for _, items := range needs {
			l, left := lay.Of(items, lay.Cloth{Usable: 40 * in})
			require.NoError(b, check(items, left, l))
			found := lay.Search(items, lay.Cloth{Usable: 40 * in}, func(f lay.Found) bool { return f.Round < 3 })
			require.NoError(b, check(items, left, found.Lay))
			ratio, after := l.Length.Float()/l.Bound.Float(), found.Lay.Length.Float()/l.Bound.Float()
			mean, worst = mean+ratio/float64(len(needs)), max(worst, ratio)
			sought, worstSought = sought+after/float64(len(needs)), max(worstSought, after)
		}
		b.ReportMetric(mean, "mean-length/bound")
		b.ReportMetric(worst, "worst-length/bound")
		b.ReportMetric(sought, "mean-sought/bound")
		b.ReportMetric(worstSought, "worst-sought/bound")
	}
}

// BenchmarkManyNeeds tells how far lays are from their bounds, on the mean and at worst.
func BenchmarkManyNeeds(b *testing.B) {
	needs := manyNeeds(200)
	for b.Loop() {
		var mean, worst float64
		for _, items := range needs {
			l, left := lay.Of(items, lay.Cloth{Usable: 40 * in})
			require.NoError(b, check(items, left, l))
			ratio := l.Length.Float() / l.Bound.Float()
			mean, worst = mean+ratio/float64(len(needs)), max(worst, ratio)
		}
		b.ReportMetric(mean, "mean-length/bound")
		b.ReportMetric(worst, "worst-length/bound")
	}
}

// cutApart are needs that come from cutting a cloth apart along a ruler, thirty pieces and
// more, none wider than a third of it: strips, alike ones among them, columns that fill the
// width, and pieces that fill their column. A lay without waste is known to exist, so that the
// area is the shortest length there is, and the distance from it what a search leaves undone.
func cutApart(n int) [][]lay.Item {
	random := rand.New(rand.NewPCG(8, 4))
	needs := make([][]lay.Item, n)
	for i := range needs {
		counts := map[lay.Item]int{}
		for pieces, wanted := 0, 30+random.IntN(90); pieces < wanted; {
			high, alike := 6+random.IntN(46), 1+random.IntN(3)
			for _, w := range divided(random, 160, 6, 53) {
				parts := []int{high}
				if random.IntN(2) == 0 && high >= 12 {
					parts = divided(random, high, 6, high-6)
				}
				turn := random.IntN(2) == 0
				for _, h := range parts {
					across, up := (in / 4).Times(w), (in / 4).Times(h)
					if turn && random.IntN(2) == 0 { // how it lay does not show
						across, up = up, across
					}
					counts[lay.Item{Width: across, Height: up, MayTurn: turn}] += alike
					pieces += alike
				}
			}
		}
		for it, count := range counts {
			it.Count = count
			needs[i] = append(needs[i], it)
		}
		slices.SortFunc(needs[i], func(a, b lay.Item) int {
			return cmp.Or(cmp.Compare(a.Width, b.Width), cmp.Compare(a.Height, b.Height),
				cmp.Compare(fmt.Sprint(a.MayTurn), fmt.Sprint(b.MayTurn)))
		})
		for k := range needs[i] {
			needs[i][k].Cut = k
		}
	}
	return needs
}

// divided is a whole in parts by chance, none smaller than least or larger than most.
func divided(random *rand.Rand, whole, least, most int) []int {
	var out []int
	for whole > most {
		part := least + random.IntN(most-least+1)
		if whole-part < least {
			part = min(whole-least, most)
		}
		out, whole = append(out, part), whole-part
	}
	return append(out, whole)
}

// areaOf is the length that pieces take without any waste.
func areaOf(items []lay.Item) float64 {
	area := 0.0
	for _, it := range items {
		area += it.Width.Float() * it.Height.Float() * float64(it.Count)
	}
	return area / (40 * in).Float()
}

// The generator keeps what it says: what it cuts apart fills whole strips.
func TestWhatIsCutApartFillsItsCloth(t *testing.T) {
	for _, items := range cutApart(50) {
		pieces := 0
		for _, it := range items {
			pieces += it.Count
			assert.LessOrEqual(t, it.Width, 40*in/3)
		}
		assert.GreaterOrEqual(t, pieces, 30)
		quarters := areaOf(items) / (in / 4).Float()
		assert.InDelta(t, math.Round(quarters), quarters, 1e-6, "whole strips in quarters of an inch")
	}
}

// A short search already comes near the area where a lay without waste is known to exist; the
// benchmark says what a long one does.
func TestLaysComeNearTheAreaWhereOneCan(t *testing.T) {
	mean, worst := overArea(t, cutApart(6), 3)
	assert.Less(t, mean, 1.05)
	assert.Less(t, worst, 1.10)
}

// BenchmarkNeedsCutApart tells how far lays are from the area, where a lay that takes no more
// is known to exist: at once, after a short search, and after a long one.
func BenchmarkNeedsCutApart(b *testing.B) {
	needs := cutApart(200)
	for _, last := range []int{0, 3, 6} {
		b.Run(fmt.Sprint("rounds-", last), func(b *testing.B) {
			for b.Loop() {
				mean, worst := overArea(b, needs, last)
				b.ReportMetric(mean, "mean-length/area")
				b.ReportMetric(worst, "worst-length/area")
			}
		})
	}
}

// overArea is how much longer than their area needs are laid after so many rounds, on the mean
// and at worst; every lay is checked.
func overArea(t require.TestingT, needs [][]lay.Item, last int) (mean, worst float64) {
	for _, items := range needs {
		l, left := lay.Of(items, lay.Cloth{Usable: 40 * in})
		if last > 0 {
			l = lay.Search(items, lay.Cloth{Usable: 40 * in}, func(f lay.Found) bool { return f.Round < last }).Lay
		}
		require.NoError(t, check(items, left, l))
		ratio := l.Length.Float() / areaOf(items)
		mean, worst = mean+ratio/float64(len(needs)), max(worst, ratio)
	}
	return mean, worst
}
