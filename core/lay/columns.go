package lay

import (
	"cmp"
	"math/rand/v2"
	"slices"
	"sort"

	"umschlag/core/length"
)

// kind is every piece of an item that is left, standing one way.
type kind struct {
	piece
	left int
	// worth is what covering cloth with one of them counts.
	worth    float64
	selvedge bool
	late     int
}

// stacks tells whether two kinds may lie in one column.
func (k kind) stacks(on kind) bool {
	return k.w == on.w && k.selvedge == on.selvedge && k.late == on.late
}

// column is a part of a strip, cut off in one go and then apart: pieces of one width that
// are cut at one time, the first at the edge of the strip.
type column struct {
	width length.Length
	// holds is how many of each kind, n how many columns alike there are.
	holds    []int
	n        int
	worth    float64
	selvedge bool
}

// strip is a strip on its way.
type strip struct {
	kinds   []kind
	columns []column
	high    length.Length
	// takes is how many of each item, times how many strips alike there are pieces for.
	takes []int
	times int
}

// mostPlaces is the finest a strip is divided into when it is filled. Sizes that
// share a ruler's step divide it without rest; others are rounded up to a place.
const mostPlaces = 4096

// plainWays is how many choices of a strip are made without chance: what may be turned
// lying, and standing.
const plainWays = 2

// counts is how many of each item there are.
func (n needs) counts() []int {
	left := make([]int, len(n))
	for i, it := range n {
		left[i] = it.Count
	}
	return left
}

// kinds are the items left, the tallest first, as choice has them stand: 0 lying, 1
// standing, others by chance, which also sets what each is worth; of these every second one lets pieces stand the other
// way as well.
func (n needs) kinds(left []int, usable length.Length, choice int) []kind {
	random := rand.New(rand.NewPCG(uint64(choice), 5))
	spread := 0.0
	if choice >= plainWays {
		spread = 0.3 * random.Float64()
	}
	var kinds []kind
	for i, it := range n {
		factor, turn := 1+spread*(random.Float64()-0.5), random.IntN(2) == 0
		switch choice {
		case 0:
			turn = it.Height > it.Width
		case 1:
			turn = it.Height < it.Width
		}
		if left[i] == 0 {
			continue
		}
		about := it.Width > usable || turn && it.Height <= usable
		kinds = append(kinds, kind{piece: standing(it, i, it.MayTurn && about), left: left[i],
			worth: it.Width.Float() * it.Height.Float() * factor, selvedge: it.Selvedge, late: it.Late})
	}
	slices.SortStableFunc(kinds, func(a, b kind) int {
		return cmp.Or(cmp.Compare(b.h, a.h), cmp.Compare(b.w, a.w), cmp.Compare(a.item, b.item))
	})
	if choice >= plainWays && choice%2 == 1 {
		return bothWays(n, kinds, usable)
	}
	return kinds
}

// bothWays are kinds with what of them may stand the other way behind them: beside pieces of another width, in a
// column of just theirs.
func bothWays(n needs, kinds []kind, usable length.Length) []kind {
	for _, k := range kinds[:len(kinds):len(kinds)] {
		if n[k.item].MayTurn && k.w != k.h && k.h <= usable {
			k.piece = standing(n[k.item], k.item, !k.turned)
			kinds = append(kinds, k)
		}
	}
	return kinds
}

func standing(it Item, item int, turned bool) piece {
	if turned {
		return piece{item: item, w: it.Height, h: it.Width, turned: true}
	}
	return piece{item: item, w: it.Width, h: it.Height}
}

// high is how high a strip is: as the tallest piece left, or by chance so much higher
// that a column of others comes out even, of one height or of two.
func high(kinds []kind, choice int) length.Length {
	tallest := kinds[0].h
	random := rand.New(rand.NewPCG(uint64(choice), 7))
	if choice < plainWays || random.IntN(2) == 0 {
		return tallest
	}
	k := kinds[random.IntN(len(kinds))]
	if choice%4 == 3 {
		other := kinds[random.IntN(len(kinds))]
		if sum := k.h + other.h; sum >= tallest && sum <= 2*tallest {
			return sum
		}
	}
	if n := int((tallest + k.h - 1) / k.h); n <= k.left {
		return k.h.Times(n)
	}
	return tallest
}

// strip fills the next strip in one of many ways, with the tallest piece left in it and
// beside it the columns that cover most of the strip. The same choice is the same strip.
func (n needs) strip(left []int, usable length.Length, choice int, grid grid) strip {
	s := strip{kinds: n.kinds(left, usable, choice)}
	s.high = high(s.kinds, choice)
	s.fill(usable, grid)
	s.takes = make([]int, len(n))
	for _, c := range s.columns {
		for i, held := range c.holds {
			s.takes[s.kinds[i].item] += held * c.n
		}
	}
	s.times = repeated(left, s.takes)
	return s
}

// fill chooses the columns.
func (s *strip) fill(usable length.Length, grid grid) {
	columns := beside(s.kinds, s.high, usable, grid.up)
	s.columns = columns[:1:1]
	for i, n := range fullest(columns[1:], usable-columns[0].width, grid.across) {
		if n > 0 {
			columns[i+1].n = n
			s.columns = append(s.columns, columns[i+1])
		}
	}
	s.high = 0 // a column that was meant to come out even may not, where sizes are rounded up to a place
	for _, c := range s.columns {
		s.high = max(s.high, s.filled(c))
	}
}

// filled is how high the pieces of a column stand.
func (s *strip) filled(c column) (high length.Length) {
	for i, n := range c.holds {
		high += s.kinds[i].h.Times(n)
	}
	return high
}

// grid is the step in which widths and heights are told apart.
type grid struct{ across, up length.Length }

func (n needs) grid(usable length.Length) grid {
	tall := length.Length(1)
	var sizes []length.Length
	for _, it := range n {
		tall = max(tall, it.Width, it.Height)
		sizes = append(sizes, it.Width, it.Height)
	}
	return grid{across: stepOf(sizes, usable), up: stepOf(sizes, tall)}
}

// stepOf is the largest length that divides the whole and every size, or what mostPlaces
// allows where that would be finer.
func stepOf(sizes []length.Length, whole length.Length) length.Length {
	step := whole
	for _, a := range sizes {
		step = common(step, a)
	}
	return max(step, (whole+mostPlaces-1)/mostPlaces)
}

// beside are the columns a strip may take: that of the tallest piece first, then those
// of each width, the fullest first. Only two of them can lie at a selvedge.
func beside(kinds []kind, high, usable, up length.Length) []column {
	left := leftOf(kinds)
	out := []column{columnOf(kinds, left, 0, high, up, true)}
	left.take(kinds, out[0])
	edges := 2
	if out[0].selvedge {
		edges--
	}
	for i, k := range kinds {
		if slices.ContainsFunc(kinds[:i], k.stacks) {
			continue
		}
		for room := usable; room >= k.w && (!k.selvedge || edges > 0); {
			c := columnOf(kinds, left, i, high, up, false)
			if c.worth == 0 {
				break
			}
			c.n = max(1, min(left.times(kinds, c), int(room/k.w)))
			if k.selvedge {
				c.n = min(c.n, edges)
				edges -= c.n
			}
			left.take(kinds, c)
			room -= k.w.Times(c.n)
			out = append(out, c)
		}
	}
	return out
}

// stock is how many are left of each item.
type stock []int

func leftOf(kinds []kind) stock {
	var left stock
	for _, k := range kinds {
		for len(left) <= k.item {
			left = append(left, 0)
		}
		left[k.item] = k.left
	}
	return left
}

func (s stock) take(kinds []kind, c column) {
	for i, n := range c.holds {
		s[kinds[i].item] -= n * c.n
	}
}

// times is how often what a column holds can be taken.
func (s stock) times(kinds []kind, c column) int {
	times := -1
	for i, n := range c.holds {
		if left := s[kinds[i].item]; n > 0 && (times < 0 || left/n < times) {
			times = left / n
		}
	}
	return times
}

// columnOf is the fullest column of the width of a kind, one of that kind in it where it
// must be. A piece has one way to stand in a column of a width.
func columnOf(kinds []kind, left stock, of int, high, up length.Length, must bool) column {
	first := kinds[of]
	c := column{width: first.w, n: 1, holds: make([]int, len(kinds)), selvedge: first.selvedge}
	if must {
		left[first.item]--
		defer func() { left[first.item]++ }()
		c.holds[of], c.worth = 1, first.worth
		high -= first.h
	}
	var group []column
	var which []int
	for i, k := range kinds {
		if first.stacks(k) && left[k.item] > 0 {
			group, which = append(group, column{width: k.h, n: left[k.item], worth: k.worth}), append(which, i)
		}
	}
	for j, n := range fullest(group, high, up) {
		c.holds[which[j]] += n
		c.worth += float64(n) * group[j].worth
	}
	return c
}

// repeated is how often what holds says can be taken of what is left.
func repeated(left, holds []int) int {
	times := -1
	for i, n := range holds {
		if n > 0 && (times < 0 || left[i]/n < times) {
			times = left[i] / n
		}
	}
	return times
}

// put adds a strip to a lay. What lies at a selvedge lies first or last.
func (l *Lay) put(items needs, s strip) {
	at := Strip{Y: l.Length, Height: s.high}
	columns := s.inOrder()
	for i, c := range columns {
		x := at.Used
		if c.selvedge && i == len(columns)-1 && i > 0 {
			x = l.Width - c.width
		}
		l.hold(items, s, c, Placed{X: x, Y: l.Length, Strip: len(l.Strips) + 1, Column: i + 1})
		at.Used += c.width
	}
	l.Strips = append(l.Strips, at)
	l.Length += s.high
}

// inOrder are the columns one by one: of those at the selvedges one first, one last.
func (s strip) inOrder() []column {
	var first, middle, last []column
	for _, c := range s.columns {
		for range c.n {
			switch {
			case !c.selvedge:
				middle = append(middle, c)
			case first == nil:
				first = append(first, c)
			default:
				last = append(last, c)
			}
		}
	}
	return append(append(first, middle...), last...)
}

// hold places the pieces of a column above each other, from where the first lies.
func (l *Lay) hold(items needs, s strip, c column, first Placed) {
	for i, n := range c.holds {
		k := s.kinds[i]
		first.Cut, first.Width, first.Height, first.Turned = items[k.item].Cut, k.w, k.h, k.turned
		for range n {
			l.Placed = append(l.Placed, first)
			first.Y += k.h
		}
	}
}

// fullest chooses how many of each column are worth most with room for all, in places of a step: the bounded knapsack,
// by dynamic programming over what columns can be used side by side, of which there is far less than there are places.
func fullest(columns []column, room, step length.Length) []int {
	places := int(room / step)
	chosen := make([]int, len(columns))
	if places <= 0 {
		return chosen
	}
	wide := func(i int) int { return int((columns[i].width + step - 1) / step) }
	var fit []int
	for i, c := range columns {
		if c.n > 0 && wide(i) <= places {
			fit = append(fit, i)
		}
	}
	// before has what can be made of the columns before each that fits.
	before := make([][]use, len(fit))
	for k := range fit {
		if k == 0 {
			before[k] = []use{{}}
			continue
		}
		last := fit[k-1]
		before[k] = withColumn(before[k-1], columns[last], wide(last), places)
	}
	for k, i := range slices.Backward(fit) {
		chosen[i] = mostWorth(before[k], columns[i], wide(i), places)
		places -= chosen[i] * wide(i)
	}
	return chosen
}

// use is so many places used, and what is worth most in so many.
type use struct {
	places int
	worth  float64
}

// withColumn is what can be made of columns and of another one beside them: each use is worth more than all that take
// less.
func withColumn(uses []use, c column, wide, places int) []use {
	all := uses
	for n := 1; n <= c.n && n*wide <= places; n++ {
		all = better(all, uses, use{n * wide, float64(n) * c.worth}, places)
	}
	return all
}

// better is what is worth most of two lists of uses, the second of them with one more beside each.
func better(a, b []use, more use, places int) []use {
	out := make([]use, 0, len(a)+len(b))
	for i, k := 0, 0; ; {
		var next use
		shifted := k < len(b) && b[k].places+more.places <= places
		switch {
		case i < len(a) && (!shifted || a[i].places <= b[k].places+more.places):
			next, i = a[i], i+1
		case shifted:
			next, k = use{b[k].places + more.places, b[k].worth + more.worth}, k+1
		default:
			return out
		}
		switch last := len(out) - 1; {
		case last < 0 || next.worth > out[last].worth && next.places > out[last].places:
			out = append(out, next)
		case next.worth > out[last].worth:
			out[last] = next
		}
	}
}

// mostWorth is how many of a column are worth most in so many places, beside what is made of the columns before it; the
// fewest of those that are worth the same.
func mostWorth(before []use, c column, wide, places int) int {
	most, worth := 0, -1.0
	for n := 0; n <= c.n && n*wide <= places; n++ {
		at := sort.Search(len(before), func(k int) bool { return before[k].places > places-n*wide }) - 1
		if with := before[at].worth + float64(n)*c.worth; with > worth {
			most, worth = n, with
		}
	}
	return most
}
