package edging_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/cover"
	"umschlag/core/cutting"
	"umschlag/core/edging"
	"umschlag/core/finding"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

const in = length.Inch

func made(t *testing.T, change func(*plan.Plan)) (cover.Cover, *cutting.List) {
	t.Helper()
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object = plan.Object{Kind: plan.Form, Width: 16 * in, Height: 16 * in}
	p.Cover = plan.Cover{Kind: plan.Cushion, Seam: in / 2}
	usable := 40 * in
	p.Cloths = map[string]plan.Cloth{"A": {Name: "leaf", Usable: &usable}}
	change(&p)
	settled := p.Settle()
	c, found := cover.Pieces(settled)
	require.False(t, found.Stopped(), "%v", found)
	return c, &cutting.List{Plan: settled, Found: &finding.List{}}
}

func names(e edging.Edges) (out []string) {
	for _, thing := range e.Things {
		out = append(out, thing.Name)
	}
	return out
}

func TestPipingGoesRoundTheCoverAndIsCutOnTheBias(t *testing.T) {
	c, cuts := made(t, func(p *plan.Plan) { p.Edges.Piping = &plan.Piping{Cord: in / 4} })
	e := edging.Of(c, cuts)
	assert.Equal(t, []string{"piping cord"}, names(e))
	assert.Greater(t, e.Things[0].Sum.Total(), 64*in, "four sides of 16 in, and its ends lie over each other")
	require.Len(t, e.Strips, 1)
	assert.True(t, e.Strips[0].Bias)
	assert.Equal(t, cuts.Cuts[0].ID, e.Strips[0].Cut)
	assert.GreaterOrEqual(t, e.Strips[0].Yield.Joined, e.Strips[0].Need.Total())

	c, cuts = made(t, func(p *plan.Plan) { p.Edges.Piping = &plan.Piping{Cord: in / 4, Bought: true} })
	e = edging.Of(c, cuts)
	assert.Equal(t, []string{"piping, bought"}, names(e))
	assert.Empty(t, cuts.Cuts, "what is bought is not cut")
}

func TestNarrowClothGivesNoStripsAndSaysSo(t *testing.T) {
	c, cuts := made(t, func(p *plan.Plan) {
		usable := in
		p.Cloths["B"] = plan.Cloth{Name: "ribbon", Usable: &usable}
		p.Edges.Piping = &plan.Piping{Cord: in / 4, Cloth: "B"}
	})
	edging.Of(c, cuts)
	assert.True(t, cuts.Found.Stopped())
	assert.Equal(t, "/edges/piping", (*cuts.Found)[0].About)
}

// The bottom of a hood of 12 × 8 × 6 in is open all round: 2 × (12 + 8) = 40 in, which binding goes along.
func TestTheOpenEdgeOfAHoodIsBound(t *testing.T) {
	c, cuts := made(t, func(p *plan.Plan) {
		p.Object = plan.Object{Kind: plan.Box, Length: 12 * in, Depth: 8 * in, Height: 6 * in}
		p.Cover.Kind = "skirt-hood"
		p.Edges.Binding = &plan.Binding{Shows: in / 2, Style: plan.TapeBinding}
	})
	e := edging.Of(c, cuts)
	assert.Equal(t, []string{"binding"}, names(e))
	assert.GreaterOrEqual(t, e.Things[0].Sum.Total(), 40*in)
	assert.Less(t, e.Things[0].Sum.Total(), 52*in)
	require.Len(t, e.Edgings, 1)
	assert.Equal(t, ref.Binding, cuts.Cuts[0].About.Role)
}

// 16 × 16 in to the power of one and a half are 4,096: 209 to 352 g of fibre. Common practice.
func TestAPadMadeAtHomeIsCutAndWeighed(t *testing.T) {
	_, cuts := made(t, func(p *plan.Plan) {
		p.Object.Make = &plan.MakeForm{Cloth: "A", Tab: in}
		p.Measured = []plan.Measured{{Gate: ref.PadFilled.String(), Weight: 150}}
	})
	pad := edging.PadOf(cuts)
	require.NotNil(t, pad)
	assert.InDelta(t, 209, pad.Least, 0)
	assert.InDelta(t, 352, pad.Most, 0)
	assert.Equal(t, 17*in, cuts.Cuts[0].Size.Width.Total())
	assert.Equal(t, []int{2, 2}, []int{cuts.Cuts[0].Count, cuts.Cuts[1].Count}, "two sides and two tabs")
	assert.Equal(t, "fibre-little", (*cuts.Found)[0].Code)
	assert.InDelta(t, 150, *pad.Weighed, 0)

	_, cuts = made(t, func(*plan.Plan) {})
	assert.Nil(t, edging.PadOf(cuts), "an insert that is bought")
}

// Piping of 68 in round a front of 17 in: two strips of 35 in lie behind it on 40 in, four of 18⅛ in beside it.
func TestStripsOfLeastClothLieBesideWhatIsCut(t *testing.T) {
	long := func(joins plan.Joins) (length.Length, int) {
		c, cuts := made(t, func(p *plan.Plan) {
			p.Edges.Piping = &plan.Piping{Cord: in / 4, Grain: plan.StraightGrain, Cloth: "A", Joins: joins}
		})
		cuts.Add(cutting.Cut{About: ref.About{Piece: "front", Role: ref.Panel}, Piece: "front", Cloth: "A", Count: 1,
			Size: sum.Size{Width: sum.Of(sum.Part, "front", 17*in), Height: sum.Of(sum.Part, "front", 17*in)}})
		e := edging.Of(c, cuts)
		require.Len(t, e.Strips, 1)
		l, _ := lay.Of(cuts.Of("A"), lay.Cloth{Usable: 40 * in})
		return l.Length, len(e.Strips[0].Yield.Strips)
	}
	fewest, two := long(plan.FewestJoins)
	least, more := long(plan.LeastCloth)
	assert.Equal(t, 2, two)
	assert.Greater(t, fewest, 17*in)
	assert.Equal(t, 17*in, least)
	assert.Equal(t, 4, more)
	absent, n := long("")
	assert.Equal(t, []any{fewest, two}, []any{absent, n}, "the fewest when nobody says")
}
