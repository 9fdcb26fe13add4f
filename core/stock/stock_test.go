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

func odds(width, long length.Length, n int) []stock.Used {
	return []stock.Used{{Width: width, Length: long, Count: n}}
}

func TestWhatIsKeptForOneNoOtherGets(t *testing.T) {
	c, err := stock.Keep(linen(30*in, plan.OddPiece{Width: 5 * in, Length: 5 * in, Count: 12}), "hood", 20*in,
		odds(5*in, 5*in, 8))
	require.NoError(t, err)
	have, odd := stock.Free(c, "pad")
	assert.Equal(t, 10*in, *have)
	assert.Equal(t, []lay.Odd{{Width: 5 * in, Length: 5 * in, Count: 4}}, odd)
	have, odd = stock.Free(c, "hood")
	assert.Equal(t, 30*in, *have)
	assert.Len(t, odd, 2, "eight of its own, four of nobody's")
	kept, n := stock.Holds(c, "hood")
	assert.Equal(t, []any{20 * in, 8}, []any{kept, n})

	_, err = stock.Keep(c, "pad", 11*in, nil)
	require.ErrorIs(t, err, stock.ErrNothing, "only 10 are left")
	_, err = stock.Keep(c, "pad", 0, odds(5*in, 5*in, 5))
	require.ErrorContains(t, err, "1 of the odd pieces are not there any more, or are kept for another plan")

	again, err := stock.Keep(c, "hood", 12*in, nil)
	require.NoError(t, err)
	kept, n = stock.Holds(again, "hood")
	assert.Equal(t, []any{12 * in, 0}, []any{kept, n}, "in place of what was kept before")
	assert.Equal(t, linen(30*in, plan.OddPiece{Width: 5 * in, Length: 5 * in, Count: 12}).Odd,
		stock.LetGo(c, "hood").Odd)
}

func TestOddPiecesAreKeptWhereTheLengthIsBought(t *testing.T) {
	c, err := stock.Keep(linen(10*in, plan.OddPiece{Width: 9 * in, Length: 9 * in}), "pad", 20*in, odds(9*in, 9*in, 1))
	require.NoError(t, err)
	kept, n := stock.Holds(c, "pad")
	assert.Equal(t, []any{length.Length(0), 1}, []any{kept, n})
}

func TestWhatIsLeftGoesBack(t *testing.T) {
	c := linen(30*in, plan.OddPiece{Width: 9 * in, Length: 9 * in, Count: 2})
	c, err := stock.Keep(c, "pad", 12*in, odds(9*in, 9*in, 1))
	require.NoError(t, err)
	c = stock.Return(c, "pad", 12*in, odds(9*in, 9*in, 1),
		[]lay.Odd{{Width: 4 * in, Length: 9 * in, Count: 1}, {Width: 9 * in, Length: 9 * in, Count: 1}})
	assert.Equal(t, 18*in, *c.Have)
	assert.Empty(t, c.Kept)
	assert.Equal(t, []plan.OddPiece{{Width: 9 * in, Length: 9 * in, Count: 2},
		{Width: 4 * in, Length: 9 * in, Count: 1}}, c.Odd)
	bought := stock.Return(c, "hood", 40*in, nil, nil)
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
				if kept, err := stock.Keep(c, id, need, used); err == nil {
					c = kept
				}
			case 1:
				c = stock.LetGo(c, id)
			case 2:
				before := *c.Have
				c = stock.Take(c, id, need, used)
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
