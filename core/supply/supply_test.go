package supply_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/cutting"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/core/supply"
)

const in = length.Inch

// squares is so many squares of 10 in of cloth A.
func squares(n int, cloth plan.Cloth, change func(*plan.Plan)) *cutting.List {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object = plan.Object{Kind: plan.Form, Width: 10 * in, Height: 10 * in}
	p.Cover.Kind = plan.Cushion
	p.Cloths = map[string]plan.Cloth{"A": cloth}
	if change != nil {
		change(&p)
	}
	l := &cutting.List{Plan: p.Settle(), Found: &finding.List{}}
	side := sum.Of(sum.Part, "side", 10*in)
	l.Add(cutting.Cut{About: ref.About{Piece: "front", Role: ref.Patch}, Piece: "front", Title: "Patches", Cloth: "A",
		Size: sum.Size{Width: side, Height: side}, Count: n, MayTurn: true})
	return l
}

// Eight squares of 10 in from 40 in of width lie in two strips: 20 in, and the end is squared.
func TestALengthIsLaidAndBought(t *testing.T) {
	l := squares(8, plan.Cloth{Name: "leaf", Usable: ptr(40 * in)}, nil)
	made := supply.Of(l, nil, "")
	require.Len(t, made, 1)
	assert.Equal(t, 20*in, made[0].Lay.Length)
	assert.Greater(t, made[0].Wanted, 20*in)
	assert.GreaterOrEqual(t, (length.Yard / 8).Times(made[0].Buy), made[0].Wanted)
	assert.Nil(t, made[0].Have)
	assert.Empty(t, *l.Found)
}

// Nine squares of 10 in, four to a panel of 12 in: three of them. Of a panel of 9 in none comes, and that is said.
func TestPanelsAreCounted(t *testing.T) {
	of := func(long length.Length) (supply.Cloth, []string) {
		by := &plan.Sold{By: plan.ByPanel, Length: long}
		l := squares(9, plan.Cloth{Name: "leaf", Usable: ptr(40 * in), Sold: by}, nil)
		return supply.Of(l, nil, "")[0], codes(l)
	}
	made, found := of(12 * in)
	assert.Equal(t, 3, made.Buy)
	assert.Empty(t, found)
	made, found = of(9 * in)
	assert.Equal(t, 7, made.Buy, "30½ in off the bolt, in eighths of a yard")
	assert.False(t, made.As.Apart())
	assert.Equal(t, []string{"cloth-sold /cloths/A/sold"}, found)
}

func TestOddPiecesGiveFirst(t *testing.T) {
	l := squares(8, plan.Cloth{Name: "leaf", Usable: ptr(40 * in),
		Odd: []plan.OddPiece{{Width: 21 * in, Length: 21 * in, Count: 2}}}, nil)
	made := supply.Of(l, nil, "")
	require.Len(t, made[0].Odd, 1, "two alike are told together")
	assert.Equal(t, 2, made[0].Odd[0].Count)
	assert.Zero(t, made[0].Wanted, "they give all eight")
	assert.Zero(t, made[0].Buy)
}

func TestWhatIsShortIsSaidAndWhatIsEnoughIsNotBought(t *testing.T) {
	l := squares(8, plan.Cloth{Name: "leaf", Usable: ptr(40 * in), Have: ptr(12 * in)}, nil)
	short := supply.Of(l, nil, "")[0]
	assert.Equal(t, short.Wanted-12*in, short.Short)
	assert.Equal(t, "cloth-short", (*l.Found)[0].Code)
	l = squares(8, plan.Cloth{Name: "leaf", Usable: ptr(40 * in)}, nil)
	enough := supply.Of(l, supply.Cupboard{"leaf": {Name: "leaf", Have: ptr(60 * in)}}, "")[0]
	assert.True(t, enough.InCupboard)
	assert.Zero(t, enough.Buy)
	assert.Empty(t, *l.Found)
}

func TestMorePiecesThanAnyoneLaysOutStop(t *testing.T) {
	l := squares(20_001, plan.Cloth{Name: "leaf"}, nil)
	assert.Empty(t, supply.Of(l, nil, ""))
	assert.True(t, l.Found.Stopped())
	assert.Equal(t, "/copies", (*l.Found)[0].About)
}

func TestAPieceThatIsTooWideStopsWhereItIsDecided(t *testing.T) {
	l := squares(1, plan.Cloth{Name: "ribbon", Usable: ptr(9 * in)}, nil)
	supply.Of(l, nil, "")
	assert.Equal(t, "piece-too-wide", (*l.Found)[0].Code)
}

func ptr[T any](v T) *T { return &v }
