package stock_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/stock"
	_ "umschlag/seeded"
)

const in = length.Inch

func linen(have length.Length, odd ...plan.OddPiece) plan.Cloth {
	return plan.Cloth{Name: "linen", Have: &have, Odd: odd}
}

// of is a plan whose only cloth it is.
func of(id string) stock.Holder { return stock.Holder{Plan: id, Cloth: "A"} }

func odds(width, long length.Length, n int) []stock.Used {
	return []stock.Used{{Width: width, Length: long, Count: n}}
}

// Two cloths of one plan are kept apart; what was kept without a letter is for both.
func TestEachClothOfAPlanKeepsItsOwn(t *testing.T) {
	front, back := stock.Holder{Plan: "hood", Cloth: "A"}, stock.Holder{Plan: "hood", Cloth: "B"}
	c, err := stock.Keep(linen(30*in), front, 12*in, nil)
	require.NoError(t, err)
	c, err = stock.Keep(c, back, 10*in, nil)
	require.NoError(t, err)
	assert.Equal(t, []plan.Keeping{{For: "hood", Cloth: "A", Length: 12 * in},
		{For: "hood", Cloth: "B", Length: 10 * in}},
		c.Kept)
	have, _ := stock.Free(c, back)
	assert.Equal(t, 18*in, *have, "what is kept for the front is not the back’s")
	c = stock.Take(c, front, 12*in, nil)
	kept, _ := stock.Holds(c, back)
	assert.Equal(t, 10*in, kept, "still there when the front is cut")
	c.Kept[0].Cloth = "" // as it was kept before letters were
	for _, h := range []stock.Holder{front, back} {
		kept, _ = stock.Holds(c, h)
		assert.Equal(t, 10*in, kept)
	}
}

func TestWhatIsKeptForOneNoOtherGets(t *testing.T) {
	c, err := stock.Keep(linen(30*in, plan.OddPiece{Width: 5 * in, Length: 5 * in, Count: 12}), of("hood"), 20*in,
		odds(5*in, 5*in, 8))
	require.NoError(t, err)
	have, odd := stock.Free(c, of("pad"))
	assert.Equal(t, 10*in, *have)
	assert.Equal(t, []lay.Odd{{Width: 5 * in, Length: 5 * in, Count: 4}}, odd)
	have, odd = stock.Free(c, of("hood"))
	assert.Equal(t, 30*in, *have)
	assert.Len(t, odd, 2, "eight of its own, four of nobody’s")
	kept, n := stock.Holds(c, of("hood"))
	assert.Equal(t, []any{20 * in, 8}, []any{kept, n})

	_, err = stock.Keep(c, of("pad"), 11*in, nil)
	require.ErrorIs(t, err, stock.ErrNothing, "only 10 are left")
	_, err = stock.Keep(c, of("pad"), 0, odds(5*in, 5*in, 5))
	require.ErrorContains(t, err, "1 of the offcuts are not there any more, or are kept for another plan")

	again, err := stock.Keep(c, of("hood"), 12*in, nil)
	require.NoError(t, err)
	kept, n = stock.Holds(again, of("hood"))
	assert.Equal(t, []any{12 * in, 0}, []any{kept, n}, "in place of what was kept before")
	assert.Equal(t, linen(30*in, plan.OddPiece{Width: 5 * in, Length: 5 * in, Count: 12}).Odd,
		stock.LetGo(c, of("hood")).Odd)
}

func TestOddPiecesAreKeptWhereTheLengthIsBought(t *testing.T) {
	c, err := stock.Keep(linen(10*in, plan.OddPiece{Width: 9 * in, Length: 9 * in}), of("pad"), 20*in,
		odds(9*in, 9*in, 1))
	require.NoError(t, err)
	kept, n := stock.Holds(c, of("pad"))
	assert.Equal(t, []any{length.Length(0), 1}, []any{kept, n})
}

func TestWhatIsLeftGoesBack(t *testing.T) {
	c := linen(30*in, plan.OddPiece{Width: 9 * in, Length: 9 * in, Count: 2})
	c, err := stock.Keep(c, of("pad"), 12*in, odds(9*in, 9*in, 1))
	require.NoError(t, err)
	c = stock.Return(c, of("pad"), 12*in, odds(9*in, 9*in, 1),
		[]lay.Odd{{Width: 4 * in, Length: 9 * in, Count: 1}, {Width: 9 * in, Length: 9 * in, Count: 1}})
	assert.Equal(t, 18*in, *c.Have)
	assert.Empty(t, c.Kept)
	assert.Equal(t, []plan.OddPiece{{Width: 9 * in, Length: 9 * in, Count: 2},
		{Width: 4 * in, Length: 9 * in, Count: 1}}, c.Odd)
	assert.True(t, stock.IsBack(c, of("pad")))
	assert.False(t, stock.IsBack(c, of("hood")))
	bought := stock.Return(c, of("hood"), 40*in, nil, nil)
	assert.Len(t, bought.Back, 2)
	assert.Equal(t, 18*in, *bought.Have, "what was bought was never in the cupboard")
}

func TestNothingIsTakenTwice(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		c := linen(in.Times(rapid.IntRange(0, 60).Draw(t, "have")),
			plan.OddPiece{Width: 5 * in, Length: 5 * in, Count: rapid.IntRange(1, 9).Draw(t, "squares")})
		all := c.Odd[0].Count
		for range rapid.IntRange(1, 8).Draw(t, "moves") {
			id := rapid.SampledFrom([]string{"a", "b", "c"}).Draw(t, "plan")
			used := odds(5*in, 5*in, rapid.IntRange(0, 4).Draw(t, "odd"))
			need := in.Times(rapid.IntRange(0, 20).Draw(t, "need"))
			switch rapid.IntRange(0, 2).Draw(t, "move") {
			case 0:
				if kept, err := stock.Keep(c, of(id), need, used); err == nil {
					c = kept
				}
			case 1:
				c = stock.LetGo(c, of(id))
			case 2:
				before := *c.Have
				c = stock.Take(c, of(id), need, used)
				assert.Contains(t, []length.Length{before, before - need}, *c.Have)
				all = 0
				for _, o := range c.Odd {
					all += o.Count
				}
			}
			var kept length.Length
			for _, k := range c.Kept {
				kept += k.Length
			}
			assert.LessOrEqual(t, kept, *c.Have)
			n := 0
			for _, o := range c.Odd {
				n += o.Count
			}
			assert.Equal(t, all, n, "keeping moves no piece in or out")
		}
	})
}
