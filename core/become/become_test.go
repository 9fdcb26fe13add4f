package become_test

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/answer"
	"umschlag/core/become"
	"umschlag/core/finding"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/stock"
	_ "umschlag/seeded"
)

const in = length.Inch

func cushion(t require.TestingT, side length.Length) plan.Plan {
	p, ok := plan.Begin("cushion", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "linen"})
	require.True(t, ok)
	p.Title, p.Object.Width, p.Object.Height = "t", side, side
	return p
}

// bundle is so many cloths of a piece each.
func bundle(n int, width, long length.Length) []become.Cloth {
	out := make([]become.Cloth, n)
	for i := range out {
		out[i] = become.Cloth{Cloth: plan.Cloth{Name: fmt.Sprint("quarter ", i+1),
			Odd: []plan.OddPiece{{Width: width, Length: long, Count: 1}}}}
	}
	return out
}

func all(become.Progress) bool { return true }

// checked reckons a front once more by itself: it can be cut, and from nothing but what there is.
func checked(t require.TestingT, f become.Front, there []become.Cloth) {
	r := reckon.Reckon(f.Plan, nil)
	require.False(t, finding.List(r.Findings).Stopped(), f.Title)
	have := map[string]become.Cloth{}
	for _, c := range there {
		have[c.Name] = c
	}
	for _, n := range r.Cloths {
		c, ours := have[n.Name]
		if !ours {
			continue
		}
		most := length.Length(0)
		if c.Have != nil {
			most = *c.Have
		}
		assert.LessOrEqual(t, length.Length(n.Need.NM), most, "%s: %s", f.Title, n.Name)
		pieces := 0
		for _, o := range n.Odd {
			pieces += o.Count
		}
		count := 0
		for _, o := range c.Odd {
			count += o.Count
		}
		assert.LessOrEqual(t, pieces, count, "%s: %s", f.Title, n.Name)
	}
	assert.GreaterOrEqual(t, f.Waste, 0.0)
	assert.Less(t, f.Waste, 1.0)
	nothingVanishes(t, f, have, r)
}

// nothingVanishes: what there is of the fabrics of a front is cut, left in pieces to keep, or waste.
func nothingVanishes(t require.TestingT, f become.Front, have map[string]become.Cloth, r answer.Reckoning) {
	area := func(w, h length.Length, n int) float64 { return w.Float() * h.Float() * float64(n) }
	into, cut := 0.0, 0.0
	ours := map[string]bool{}
	for _, left := range f.Left {
		c := have[left.Name]
		for _, o := range c.Odd {
			into += area(o.Width, o.Length, o.Count)
		}
		for _, o := range left.Pieces {
			into -= area(o.Width, o.Length, o.Count)
		}
		for _, n := range r.Cloths {
			if n.Name != left.Name {
				continue
			}
			ours[n.Cloth] = true
			if c.Have == nil {
				continue
			}
			into += area(*c.Settle().Usable, *c.Have, 1)
			if rest := *c.Have - length.Length(n.Need.NM); rest < stock.Least {
				into -= area(*c.Settle().Usable, rest, 1) // uncut, and too short to be told of
			}
		}
	}
	for _, one := range f.Made.List.Cuts {
		if ours[one.Cloth] && !one.Had {
			cut += area(one.Size.Width.Total(), one.Size.Height.Total(), one.Total)
		}
	}
	if into > 0 {
		assert.InDelta(t, max(0, 1-cut/into), f.Waste, 1e-6, f.Title)
	}
}

// Eight quarters of 22 × 18 in have 3168 in². A front of 28 in of 4 × 4 patches finishes 7 and is cut 7½: of each
// quarter two lie side by side, 22 ÷ 7½ = 2, and 18 ÷ 7½ = 2 rows, so that four of each would do for 32.
func TestWhatEightQuartersBecome(t *testing.T) {
	there := bundle(8, 22*in, 18*in)
	fronts := become.Find(become.Order{Plan: cushion(t, 16*in), Cloths: there, Largest: true}, all)
	require.NotEmpty(t, fronts)
	for _, f := range fronts {
		checked(t, f, there)
	}
	assert.Equal(t, 28*in, fronts[0].Width)
	assert.Contains(t, fronts[0].Why, "the largest")
	assert.Equal(t, "4 × 4 patches of 7″", fronts[0].Title)

	own := become.Find(become.Order{Plan: cushion(t, 16*in), Cloths: there}, all)
	sorts := map[string]bool{}
	for _, f := range own {
		checked(t, f, there)
		assert.Equal(t, 16*in, f.Width)
		sorts[string(f.Plan.Pieces["front"].Face.Kind)] = true
	}
	assert.Equal(t, map[string]bool{"plain": true, "grid": true, "strips": true}, sorts)
}

// A front of 16½ in from a piece of 18 × 18: 1½ in on two sides are too narrow to keep. From 20 × 20 all that is left
// is kept.
func TestWasteIsWhatIsTooSmallToKeep(t *testing.T) {
	one := func(side length.Length) become.Front {
		fronts := become.Find(become.Order{Plan: cushion(t, 16*in), Cloths: bundle(1, side, side)}, all)
		require.NotEmpty(t, fronts)
		for _, f := range fronts {
			if f.Plan.Pieces["front"].Face.Kind == plan.PlainFace {
				return f
			}
		}
		require.Fail(t, "no front of one piece")
		return become.Front{}
	}
	cut := 16.5 * 16.5
	assert.InDelta(t, 1-cut/(18*18), one(18*in).Waste, 1e-9)
	assert.Empty(t, one(18 * in).Left[0].Pieces)
	assert.InDelta(t, 0, one(20*in).Waste, 1e-9)
	assert.Len(t, one(20 * in).Left[0].Pieces, 2)
}

// Four pieces of 12 × 12 in give a patch of 8½ each: the end is squared, a strip is cut and the patch off it, so that
// the ruler is laid on each three times. A strip of 3½ over the whole width is left of each, and one beside the patch.
func TestOfPiecesAlikeEachLeavesWhatItLeaves(t *testing.T) {
	there := bundle(1, 12*in, 12*in)
	there[0].Odd[0].Count = 4
	fronts := become.Find(become.Order{Plan: cushion(t, 16*in), Cloths: there}, all)
	i := slices.IndexFunc(fronts, func(f become.Front) bool {
		face := f.Plan.Pieces["front"].Face
		return face.Kind == plan.GridFace && face.Columns == 2 && face.Rows == 2
	})
	require.GreaterOrEqual(t, i, 0, "%v", fronts)
	checked(t, fronts[i], there)
	assert.Equal(t, 12, fronts[i].Cuts)
	assert.ElementsMatch(t, []lay.Odd{{Width: 12 * in, Length: 7 * in / 2, Count: 4},
		{Width: 7 * in / 2, Length: 17 * in / 2, Count: 4}}, fronts[i].Left[0].Pieces)
}

// Strips of two fabrics are one of each, or two; the last takes what the ruler leaves over.
func TestStripsOfWhatThereIs(t *testing.T) {
	there := bundle(2, 12*in, 40*in)
	fronts := become.Find(become.Order{Plan: cushion(t, 16*in), Cloths: there}, all)
	strips := map[int]bool{}
	for _, f := range fronts {
		face := f.Plan.Pieces["front"].Face
		if face.Kind != plan.StripsFace {
			continue
		}
		n := len(face.Strips)
		strips[n] = true
		for i, strip := range face.Strips {
			assert.Equal(t, i == n-1, strip.Width.Rest, f.Title)
			assert.Equal(t, face.Strips[i%2].Cloth, strip.Cloth, f.Title)
		}
	}
	assert.Equal(t, map[int]bool{2: true, 4: true}, strips)
}

// Squares of 5 in finish 4½: sixteen make 18 in without a cut.
func TestSquaresThatAreCutAlreadyAreNotCutAgain(t *testing.T) {
	p := cushion(t, 18*in)
	p.Cover.Ease = plan.Axes{}
	there := bundle(4, 5*in, 5*in)
	for i := range there {
		there[i].Odd[0].Count = 4
	}
	fronts := become.Find(become.Order{Plan: p, Cloths: there}, all)
	require.NotEmpty(t, fronts)
	for _, f := range fronts {
		checked(t, f, there)
	}
	assert.Equal(t, "4 × 4 patches of 4½″, cut already", fronts[0].Title)
}

// Blocks are of cloths that stand out from their ground: of calico, ecru and ink only ink does from calico.
func TestBlocksStandOutFromTheirGround(t *testing.T) {
	there := bundle(3, 40*in, 20*in)
	for i, ground := range []string{"#eadfc8", "#e5dac2", "#28324f"} {
		there[i].Swatch = plan.Swatch{Motif: "plain", Ground: ground, Ink: ground}
	}
	there[0].Odd[0].Count = 2 // that of which there is most is the ground
	blocks := 0
	for _, f := range become.Find(become.Order{Plan: cushion(t, 16*in), Cloths: there}, all) {
		face := f.Plan.Pieces["front"].Face
		if !face.Block.Set() {
			continue
		}
		blocks++
		for _, row := range face.Order.Rows {
			for _, letter := range row {
				assert.Equal(t, "quarter 3", f.Plan.Cloths[letter].Name, f.Title)
			}
		}
	}
	assert.Positive(t, blocks)
}

func TestTooLittleBecomesNothing(t *testing.T) {
	assert.Empty(t, become.Find(become.Order{Plan: cushion(t, 16*in), Cloths: bundle(2, 6*in, 6*in)}, all))
	little := become.Order{Plan: cushion(t, 16*in), Cloths: bundle(1, 6*in, 6*in), Largest: true}
	assert.Empty(t, become.Find(little, all))
}

func TestASearchEndsWhenTold(t *testing.T) {
	tried := 0
	fronts := become.Find(become.Order{Plan: cushion(t, 16*in), Cloths: bundle(8, 22*in, 18*in)},
		func(p become.Progress) bool {
			assert.Equal(t, tried+1, p.Tried)
			tried = p.Tried
			assert.GreaterOrEqual(t, p.Of, p.Tried)
			return tried < 4
		})
	assert.Equal(t, 4, tried)
	assert.NotEmpty(t, fronts, "what it found so far")
}

// Of a plan that has its own cloths and layers only the front changes.
func TestAPlanKeepsWhatLiesBehindItsFront(t *testing.T) {
	p := cushion(t, 16*in)
	p.Pieces["front"] = plan.Piece{Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"},
		Layers: &plan.Layers{Lining: "A", Batting: &plan.Batting{Count: 1}}, Quilting: &plan.Quilting{Ditch: true}}
	fronts := become.Find(become.Order{Plan: p, Cloths: bundle(8, 22*in, 18*in)}, all)
	require.NotEmpty(t, fronts)
	for _, f := range fronts {
		assert.Equal(t, "linen", f.Plan.Cloths["A"].Name)
		assert.Equal(t, "A", f.Plan.Pieces["front"].Layers.Lining)
		assert.Equal(t, "A", f.Plan.Settle().Piece("back").Face.Cloth)
		assert.Len(t, p.Cloths, 1, "and the plan it came from nothing")
	}
}

// anything is cloths by chance, and a cushion.
var anything = rapid.Custom(func(t *rapid.T) become.Order {
	there := make([]become.Cloth, rapid.IntRange(1, 4).Draw(t, "cloths"))
	for i := range there {
		c := plan.Cloth{Name: fmt.Sprint("cloth ", i)}
		if rapid.Bool().Draw(t, "length") {
			have := in.Times(rapid.IntRange(2, 30).Draw(t, "have"))
			c.Have = &have
		}
		if rapid.Bool().Draw(t, "odd") {
			c.Odd = []plan.OddPiece{{Width: in.Times(rapid.IntRange(2, 24).Draw(t, "w")),
				Length: in.Times(rapid.IntRange(2, 24).Draw(t, "l")), Count: rapid.IntRange(1, 6).Draw(t, "n")}}
		}
		there[i] = become.Cloth{Cloth: c}
	}
	return become.Order{Plan: cushion(t, in.Times(rapid.IntRange(8, 20).Draw(t, "side"))), Cloths: there}
})

// A bundle is no fabric of the plan, also where one goes by its name; what the cupboard has is.
func TestABundleIsNoFabricOfThePlan(t *testing.T) {
	p := cushion(t, 16*in)
	p.Cloths["B"] = plan.Cloth{Name: "quarter 1"}
	there := bundle(1, 22*in, 18*in)
	letter := func() string {
		for _, f := range become.Find(become.Order{Plan: p, Cloths: there}, all) {
			if face := f.Plan.Pieces["front"].Face; face.Kind == plan.PlainFace {
				return face.Cloth
			}
		}
		return "no front of one piece"
	}
	assert.Equal(t, "C", letter())
	there[0].Known = true
	assert.Equal(t, "B", letter())
}

func TestWhateverThereIsNothingIsTakenThatIsNot(t *testing.T) {
	found := 0
	for seed := range 25 {
		o := anything.Example(seed)
		for _, f := range become.Find(o, all) {
			checked(t, f, o.Cloths)
			found++
		}
	}
	assert.Greater(t, found, 50)
}

// BenchmarkEightQuarters tells how long the largest front of a bundle takes to be found; the ratio is to one
// reckoning of what was found.
func BenchmarkEightQuarters(b *testing.B) {
	there := bundle(8, 22*in, 18*in)
	var found []become.Front
	for b.Loop() {
		found = become.Find(become.Order{Plan: cushion(b, 16*in), Cloths: there, Largest: true}, all)
	}
	b.ReportMetric(float64(len(found)), "fronts")
}
