package reckon_test

import (
	"encoding/json"
	"maps"
	"math"
	"math/rand/v2"
	"regexp"
	"slices"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/answer"
	"umschlag/core/finding"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// invariants are what holds of every plan that can be cut, whatever is planned.
var invariants = []struct {
	name  string
	holds func(require.TestingT, plan.Plan, answer.Reckoning)
}{
	{"sizes are their sums", sizesAreSums},
	{"what is said can be read", textsCanBeRead},
	{"cells are of cuts", everyCellHasItsCut},
	{"cells cover their piece", cellsCover},
	{"what lies over others says so", overTheOthers},
	{"patches sewn together are theirs", patchesSewnBack},
	{"pieces lie on their fabric", piecesLieOnTheirCloth},
	{"what is bought is what lies", boughtIsWhatLies},
	{"a bill is its lines", billIsItsLines},
	{"every cut is used once", cutOnce},
	{"steps are in order", inOrder},
	{"time is that of its steps", timeIsThatOfSteps},
	{"outlines are their sizes", everyPieceIsDrawn},
	{"seams meet", seamsMeet},
	{"bias strips give what they need", stripsGive},
}

func TestWhatHoldsOfEveryPlan(t *testing.T) {
	made := 0
	rapid.Check(t, func(rt *rapid.T) {
		if allHolds(rt) {
			made++
		}
	})
	assert.Greater(t, made, 40, "most of what is drawn can be made")
}

// FuzzReckon draws plans by their structure, as the fuzzer leads.
func FuzzReckon(f *testing.F) {
	random := rand.NewChaCha8([32]byte{})
	for range 16 { // long enough for a plan each
		data := make([]byte, 32<<10)
		_, _ = random.Read(data) // it never fails
		f.Add(data)
	}
	f.Fuzz(rapid.MakeFuzz(func(rt *rapid.T) { allHolds(rt) }))
}

// allHolds draws a plan, and tells whether it can be made.
func allHolds(rt *rapid.T) bool {
	p := priced(rt, anyplan.Plans().Draw(rt, "plan"))
	r := reckon.Reckon(p, nil)
	besideTheSheet(rt, p, r)
	if finding.List(r.Findings).Stopped() {
		assert.Empty(rt, r.Cuts)
		for _, f := range r.Findings {
			assert.NotEmpty(rt, f.Text)
			assert.Regexp(rt, "^/", f.About)
			assert.NotRegexp(rt, unreadable, f.Text+"\n"+f.Remedy)
		}
		return false
	}
	for _, i := range invariants {
		i.holds(named{rt, i.name}, p.Settle(), r)
	}
	return true
}

// besideTheSheet holds what is told while a value is typed against the whole: all of it but steps, layouts and what is
// pressed, and of the sums every third, which are asked for.
func besideTheSheet(t require.TestingT, p plan.Plan, whole answer.Reckoning) {
	none := reckon.Reckon(plan.Plan{}, nil)
	whole.Steps, whole.Cloths, whole.Piles = none.Steps, none.Cloths, none.Piles
	whole.Left, whole.SetUps, whole.Trips = 0, 0, 0
	whole.Pieces = slices.Clone(whole.Pieces)
	for i := range whole.Pieces {
		whole.Pieces[i].Press, whole.Pieces[i].Conflicts = []answer.PressSeam{}, []answer.Point{}
	}
	asked, sums := []string{"there is no such sum"}, map[string][]answer.Term{}
	for i, name := range slices.Sorted(maps.Keys(whole.Sums)) {
		if i%3 == 0 {
			asked, sums[name] = append(asked, name), whole.Sums[name]
		}
	}
	whole.Sums = sums
	assert.Equal(t, whole, reckon.OnSheet(p, nil, asked), "beside the sheet stands something else")
}

// priced is a plan whose cloths and hours have a price.
func priced(t *rapid.T, p plan.Plan) plan.Plan {
	for _, letter := range slices.Sorted(maps.Keys(p.Cloths)) {
		c := p.Cloths[letter]
		c.Price = float64(rapid.IntRange(500, 4000).Draw(t, "price of "+letter)) / 100
		p.Cloths[letter] = c
	}
	amount := func(name string, most int) *float64 { return ptr(float64(rapid.IntRange(1, most).Draw(t, name))) }
	p.Habits.Wage, p.Habits.Margin = amount("wage", 40), amount("margin", 80)
	p.Costs = plan.Costs{Minutes: rapid.IntRange(1, 900).Draw(t, "minutes"), Other: *amount("other costs", 30)}
	return p
}

// named says which of them does not hold.
type named struct {
	*rapid.T
	holds string
}

func (n named) Errorf(format string, args ...any) {
	n.T.Errorf("%s: "+format, append([]any{n.holds}, args...)...)
}

func sizesAreSums(t require.TestingT, _ plan.Plan, r answer.Reckoning) {
	is := func(size answer.L, key string) {
		terms, there := r.Sums[key]
		if !there {
			assert.Fail(t, "a size without its sum", key)
			return
		}
		assert.Equal(t, size.NM, total(terms), key)
	}
	for _, c := range r.Cuts {
		is(c.Width, c.ID+".width")
		is(c.Height, c.ID+".height")
	}
	for _, p := range r.Pieces {
		is(p.Finished.Width, p.Name+".finished.width")
		is(p.Finished.Height, p.Name+".finished.height")
		is(p.Trimmed.Width, p.Name+".width")
		is(p.Trimmed.Height, p.Name+".height")
		if p.Quilting != nil {
			is(p.BeforeQuilting.Width, p.Name+".before_quilting.width")
			is(p.BeforeQuilting.Height, p.Name+".before_quilting.height")
		}
	}
}

// unreadable is what slips into a text that is put together: nothing rounded to nothing, signs in a row, numbers that
// are none, verbs without a value, gaps, and more decimals than a ruler has.
var unreadable = regexp.MustCompile(`≈−?0(?:[^\d.]|$)|NaN|[+-]?Inf\b|%!|[-−+] ?≈?[-−+]|  | [,.;:](?:\s|$)|,,|\(\)|\d[.,]\d{3,}(?:\D|$)|\bthe the\b|<nil>|“”`)

func textsCanBeRead(t require.TestingT, _ plan.Plan, r answer.Reckoning) {
	r.Settled = nil // is typed, not said
	all := texts(t, r)
	for name, terms := range r.Sums {
		all["the sum of "+name] = answer.WrittenSum(terms)
	}
	for path, text := range all {
		if found := unreadable.FindString(text); found != "" {
			assert.Fail(t, "cannot be read", "%s: %q in %q", path, found, text)
		}
	}
}

// said are the fields of a reckoning that are said to people.
var said = []string{"text", "title", "check", "caution", "term", "how", "from", "what", "buy_text", "fixing", "name",
	"press", "as", "cost", "total", "each"}

// texts are what is said in a reckoning, by where it stands.
func texts(t require.TestingT, r answer.Reckoning) map[string]string {
	raw, err := json.Marshal(r)
	require.NoError(t, err)
	var all any
	require.NoError(t, json.Unmarshal(raw, &all))
	out := map[string]string{}
	var walk func(path, key string, v any)
	walk = func(path, key string, v any) {
		switch v := v.(type) {
		case map[string]any:
			for k, one := range v {
				walk(path+"/"+k, k, one)
			}
		case []any:
			for i, one := range v {
				walk(path+"/"+strconv.Itoa(i), key, one)
			}
		case string:
			if slices.Contains(said, key) {
				out[path] = v
			}
		}
	}
	walk("", "", all)
	return out
}

// areaOf is twice what a cell covers, in square nanometres.
func areaOf(c answer.Cell) float64 {
	if len(c.Line) == 0 {
		return 2 * float64(c.Width) * float64(c.Height)
	}
	twice := 0.0
	for i, a := range c.Line {
		b := c.Line[(i+1)%len(c.Line)]
		twice += float64(a.X)*float64(b.Y) - float64(b.X)*float64(a.Y)
	}
	return math.Abs(twice)
}

// The parts of a face lie side by side: together they are as large as it is made, and none lies outside it.
func cellsCover(t require.TestingT, p plan.Plan, r answer.Reckoning) {
	for _, q := range r.Pieces {
		if face := p.Piece(q.Config).Face; len(q.Cells) == 0 || closes(q, r) || !tiled(*face) {
			continue
		}
		together, rim := 0.0, rimOf(q)
		for _, c := range q.Cells {
			together += areaOf(c)
			assert.GreaterOrEqual(t, c.X, rim.X-5, q.Name)
			assert.GreaterOrEqual(t, c.Y, rim.Y-5, q.Name)
			assert.LessOrEqual(t, c.X+c.Width, rim.X+rim.Width+5, q.Name)
			assert.LessOrEqual(t, c.Y+c.Height, rim.Y+rim.Height+5, q.Name)
		}
		whole := 2 * float64(rim.Width) * float64(rim.Height)
		assert.InEpsilon(t, whole, together, 1e-6, "%s: %d cells", q.Name, len(q.Cells))
	}
}

// Cells lie side by side, so that they are together no more than the box around them, but for those that say that they
// lie on others; and there are some under those.
func overTheOthers(t require.TestingT, _ plan.Plan, r answer.Reckoning) {
	for _, q := range r.Pieces {
		var beside []answer.Cell
		together, around := 0.0, [4]float64{math.Inf(1), math.Inf(1), math.Inf(-1), math.Inf(-1)}
		for _, c := range q.Cells {
			left, top, right, bottom := float64(c.X), float64(c.Y), float64(c.X+c.Width), float64(c.Y+c.Height)
			if c.Over {
				assert.True(t, slices.ContainsFunc(beside, func(o answer.Cell) bool {
					return c.X < o.X+o.Width && o.X < c.X+c.Width && c.Y < o.Y+o.Height && o.Y < c.Y+c.Height
				}), "%s: nothing lies under a cell of %s", q.Name, c.Cut)
				continue
			}
			beside = append(beside, c)
			together += areaOf(c) / 2
			around = [4]float64{min(around[0], left), min(around[1], top), max(around[2], right),
				max(around[3], bottom)}
		}
		if len(beside) > 0 {
			box := (around[2] - around[0]) * (around[3] - around[1])
			assert.LessOrEqual(t, together, box*(1+1e-6), "%s: cells lie over each other", q.Name)
		}
	}
}

// rimOf is the box a face is made to, in the frame of its finished corner.
func rimOf(q answer.Piece) answer.Box {
	x, y := q.CutOutline[0].X, q.CutOutline[0].Y
	for _, v := range q.CutOutline {
		x, y = min(x, v.X), min(y, v.Y)
	}
	return answer.Box{X: x, Y: y, Width: q.BeforeQuilting.Width.NM, Height: q.BeforeQuilting.Height.NM}
}

// closes: a back that lies in panels over each other.
func closes(q answer.Piece, r answer.Reckoning) bool {
	return q.Name == "back" && r.Back != nil && len(r.Back.Lies) > 0
}

// tiled: a face whose cells are its parts, with nothing laid on, folded over them or trimmed off.
func tiled(f plan.Face) bool {
	for _, part := range f.Parts {
		if part.Overhang > 0 || !tiled(part.Face) {
			return false
		}
	}
	over := f.Overhang || f.Set == plan.OnPoint || f.Pocket != "" || len(f.Applique) > 0
	return !over && !slices.Contains([]plan.FaceKind{plan.WindowsFace, plan.FoundFace, plan.GatheredFace}, f.Kind)
}

// A patch that is cut as a rectangle of its own is what shows of it and a seam at each side that another part is sewn
// to, up to the ruler, where nothing is quilted in; at the rim its seam shows in the cell.
func patchesSewnBack(t require.TestingT, p plan.Plan, r answer.Reckoning) {
	for _, q := range r.Pieces {
		if q.Quilting != nil || closes(q, r) || !tiled(*p.Piece(q.Config).Face) {
			continue
		}
		rim := rimOf(q)
		for _, cell := range q.Cells {
			i := slices.IndexFunc(r.Cuts, func(c answer.Cut) bool { return c.ID == cell.Cut })
			if i < 0 || len(cell.Line) > 0 || r.Cuts[i].Gives > 0 || joined(q, r.Cuts[i]) {
				continue
			}
			c := r.Cuts[i]
			// its own step of the ruler, and those of what it is sewn to
			seam, ruler := int64(p.Settle().Cover.PiecingSeam), 3*int64(p.Habits.Step)
			if c.About.Role == ref.Panel { // joined from strips as pieces are
				seam = int64(p.Cover.Seam)
			}
			over := func(cut, at, long, rim, whole int64) bool {
				more := cut - long - inner(at, long, rim, whole)*seam
				return more > -10 && more < ruler+10
			}
			fits := func(w, h int64) bool {
				return over(w, cell.X, cell.Width, rim.X, rim.Width) && over(h, cell.Y, cell.Height, rim.Y, rim.Height)
			}
			assert.True(t, fits(c.Width.NM, c.Height.NM) || fits(c.Height.NM, c.Width.NM),
				"%s is cut %s × %s for a cell of %d × %d", c.ID, c.Width.Exact, c.Height.Exact, cell.Width, cell.Height)
		}
	}
}

// joined: a part longer than its cloth, which is cut in several.
func joined(q answer.Piece, c answer.Cut) bool {
	n := 0
	for _, cell := range q.Cells {
		if cell.Cut == c.ID {
			n++
		}
	}
	return c.Count > n*q.Count
}

// inner is how many of two sides do not lie at the rim.
func inner(at, long, rim, whole int64) int64 {
	n := int64(0)
	if at > rim+10 {
		n++
	}
	if at+long < rim+whole-10 {
		n++
	}
	return n
}

// What lies on a cloth lies within it, on nothing else, and is as large as it is cut, turned or not.
func piecesLieOnTheirCloth(t require.TestingT, p plan.Plan, r answer.Reckoning) {
	laid := map[int]int{}
	for _, c := range r.Cloths {
		placed := c.Lay.Placed
		for i, a := range placed {
			laid[a.Cut]++
			size := r.Cuts[a.Cut]
			w, h := size.Width.NM, size.Height.NM
			if a.Turned {
				w, h = h, w
			}
			assert.Equal(t, [2]int64{w, h}, [2]int64{a.Width.NM, a.Height.NM}, size.ID)
			assert.GreaterOrEqual(t, a.X.NM, int64(0), size.ID)
			assert.GreaterOrEqual(t, a.Y.NM, int64(0), size.ID)
			assert.LessOrEqual(t, a.X.NM+a.Width.NM, c.Lay.Width.NM, size.ID)
			assert.LessOrEqual(t, a.Y.NM+a.Height.NM, c.Lay.Length.NM, size.ID)
			for _, b := range placed[:i] {
				over := a.X.NM < b.X.NM+b.Width.NM && b.X.NM < a.X.NM+a.Width.NM &&
					a.Y.NM < b.Y.NM+b.Height.NM && b.Y.NM < a.Y.NM+a.Height.NM
				assert.False(t, over, "%s lies on %s", size.ID, r.Cuts[b.Cut].ID)
			}
		}
	}
	for i, c := range r.Cuts {
		if c.Done { // a panel that is there already
			continue
		}
		assert.Equal(t, c.Total, laid[i]+c.Spoiled, c.ID)
		if c.Gives > 1 && c.Patches > 0 { // for all copies together, and none that is not needed
			assert.Equal(t, c.Patches+c.Over, c.Gives*(c.Total-c.Spoiled), c.ID)
			assert.Less(t, c.Over, c.Gives, c.ID)
			continue
		}
		assert.Equal(t, c.Count*p.Copies+c.Spoiled, c.Total, c.ID)
	}
}

// What is needed of a cloth is what its lay takes and more; no lay is shorter than its own bound.
func boughtIsWhatLies(t require.TestingT, _ plan.Plan, r answer.Reckoning) {
	for _, c := range r.Cloths {
		longest := int64(0)
		for _, a := range c.Lay.Placed {
			longest = max(longest, a.Room.Y.NM+a.Room.Height.NM)
		}
		assert.Equal(t, longest, c.Length.NM, "%s is as long as what lies on it", c.Cloth)
		assert.GreaterOrEqual(t, c.Need.NM, c.Length.NM, c.Cloth)
		assert.GreaterOrEqual(t, c.Buy.NM, c.Need.NM, c.Cloth)
		assert.GreaterOrEqual(t, c.Lay.Length.NM, c.Lay.Bound.NM, c.Cloth)
	}
}

var amount = regexp.MustCompile(`^-?\d+\.\d\d$`)

func billIsItsLines(t require.TestingT, _ plan.Plan, r answer.Reckoning) {
	require.NotNil(t, r.Cost)
	parse := func(text string) float64 {
		assert.Regexp(t, amount, text)
		v, err := strconv.ParseFloat(text, 64)
		assert.NoError(t, err)
		return v
	}
	together := 0.0
	for _, l := range r.Cost.Lines {
		if l.Cost != "" { // nobody put a price to a notion
			together += parse(l.Cost)
		}
	}
	materials := parse(r.Cost.Materials)
	assert.Positive(t, min(materials, parse(r.Cost.Work), parse(r.Cost.Other), parse(r.Cost.Margin)))
	assert.InDelta(t, materials, together, 0.01*float64(len(r.Cost.Lines)+1))
	assert.InDelta(t, parse(r.Cost.Cost), materials+parse(r.Cost.Work)+parse(r.Cost.Other), 0.03)
	assert.InDelta(t, parse(r.Cost.Total), parse(r.Cost.Cost)+parse(r.Cost.Margin), 0.02)
	assert.InDelta(t, parse(r.Cost.Total), parse(r.Cost.Each)*float64(r.Cost.Covers), 0.01*float64(r.Cost.Covers))
}

func timeIsThatOfSteps(t require.TestingT, p plan.Plan, r answer.Reckoning) {
	minutes := 0
	for _, s := range r.Steps {
		minutes += s.Minutes
	}
	assert.Equal(t, minutes*p.Copies, r.Left, "nothing is done yet")
}

// The strips of an edging are long enough, and lie within the piece they are cut from.
func stripsGive(t require.TestingT, _ plan.Plan, r answer.Reckoning) {
	for _, s := range r.Strips {
		rounding := int64(0)
		if s.Bias { // where they end is reckoned with the root of two
			rounding = 5
		}
		assert.GreaterOrEqual(t, s.Joined.NM+rounding, s.Need.NM, s.What)
		for _, lie := range s.Lie {
			for _, corner := range lie.Corners {
				assert.GreaterOrEqual(t, corner.X, int64(-1), s.What)
				assert.GreaterOrEqual(t, corner.Y, int64(-1), s.What)
				assert.LessOrEqual(t, corner.X, s.Cloth.Width.NM+1, s.What)
				assert.LessOrEqual(t, corner.Y, s.Cloth.Height.NM+1, s.What)
			}
		}
	}
}
