package reckon_test

import (
	"maps"
	"testing"

	"umschlag/core/answer"
	"umschlag/core/supply"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/shopping"
)

func wanted(t *testing.T, wants []shopping.Want, cloth string) shopping.Want {
	t.Helper()
	for _, w := range wants {
		if w.Cloth == cloth {
			return w
		}
	}
	require.Fail(t, "not wanted", cloth)
	return shopping.Want{}
}

func TestWhatAPlanWantsOfItsCloths(t *testing.T) {
	p := worked()
	r := reckon.Reckon(p, nil)
	wants := r.Wants(p, "pad")
	require.Len(t, wants, len(r.Cloths))
	for _, need := range r.Cloths {
		w := wanted(t, wants, need.Name)
		assert.Equal(t, []any{"pad", need.Need.NM}, []any{w.Plan, int64(w.Need)})
		assert.Equal(t, shopping.Shop, w.From, "nobody said that there is any")
	}
}

func TestAPlanWithEnoughOfItsOwnSaysSo(t *testing.T) {
	p := worked()
	first := reckon.Reckon(p, nil).Cloths[0]
	for _, have := range []struct {
		yards int
		from  shopping.From
	}{{5, shopping.Own}, {0, shopping.Shop}} {
		c, _ := p.Cloth(first.Cloth)
		length := (36 * in).Times(have.yards)
		c.Have = &length
		p.Cloths[first.Cloth] = c
		w := wanted(t, reckon.Reckon(p, nil).Wants(p, "pad"), first.Name)
		assert.Equal(t, have.from, w.From)
	}
}

func TestAClothOfWhichAllIsCutIsNotWanted(t *testing.T) {
	p := worked()
	r := reckon.Reckon(p, nil)
	first := r.Cloths[0]
	of := map[string]plan.AsCut{}
	last := ""
	for _, c := range r.Cuts {
		if c.Cloth == first.Cloth {
			of[c.ID], last = plan.AsCut{}, c.ID
		}
	}
	require.NotEmpty(t, of)
	p.Progress.Cut = maps.Clone(of)
	delete(p.Progress.Cut, last)
	assert.Len(t, reckon.Reckon(p, nil).Wants(p, "pad"), len(r.Cloths), "one is not cut yet")
	p.Progress.Cut = of
	left := reckon.Reckon(p, nil).Wants(p, "pad")
	assert.Len(t, left, len(r.Cloths)-1)
	for _, w := range left {
		assert.NotEqual(t, first.Name, w.Cloth)
	}
}

// The cupboard is shared out plan by plan: what one takes the next does not find.
func TestTheNextPlanFindsWhatIsLeft(t *testing.T) {
	p := worked()
	bare := reckon.Reckon(p, nil)
	first := bare.Cloths[0]
	have := 3 * length.Length(first.Need.NM) / 2
	w := reckon.Workshop{ID: "a", Cloths: supply.Cupboard{first.Name: {Name: first.Name, Have: &have}}}
	r := reckon.Reckon(p, &w)
	assert.Equal(t, shopping.Cupboard, wanted(t, r.Wants(p, "a"), first.Name).From)
	w = w.After(p, r)
	assert.Equal(t, have-length.Length(first.Need.NM), *w.Cloths[first.Name].Have)
	assert.Equal(t, have, 3*length.Length(first.Need.NM)/2, "the cupboard it was is as it was")
	w.ID = "b"
	r = reckon.Reckon(p, &w)
	assert.Equal(t, shopping.Shop, wanted(t, r.Wants(p, "b"), first.Name).From)
	assert.Equal(t, w.Cloths, w.After(p, r).Cloths, "what is bought takes nothing")
}

func TestOddPiecesInTheCupboardAreCutFirst(t *testing.T) {
	p := worked()
	bare := reckon.Reckon(p, nil)
	var square answer.Cut
	for _, c := range bare.Cuts {
		if c.Shape == "square" && c.Count > 3 {
			square = c
		}
	}
	require.NotEmpty(t, square.ID)
	described, _ := p.Settle().Cloth(square.Cloth)
	side := length.Length(square.Width.NM)
	cupboard := supply.Cupboard{described.Name: {Name: described.Name,
		Odd: []plan.OddPiece{{Width: side, Length: side, Count: 3}}}}
	w := reckon.Workshop{ID: "a", Cloths: cupboard}
	r := reckon.Reckon(p, &w)
	var need answer.ClothNeed
	for _, n := range r.Cloths {
		if n.Cloth == square.Cloth {
			need = n
		}
	}
	require.Len(t, need.Odd, 1)
	assert.Equal(t, 3, need.Odd[0].Count)
	assert.Equal(t, square.Total, 3+placedOf(need, r, square.ID))
	assert.Empty(t, w.After(p, r).Cloths[described.Name].Odd, "they are gone then")
	assert.Equal(t, 3, wanted(t, r.Wants(p, "a"), described.Name).Odd)
	whole := reckon.Workshop{ID: "a",
		Cloths: supply.Cupboard{described.Name: {Name: described.Name,
			Odd: []plan.OddPiece{{Width: side, Length: side, Count: square.Total}}}}}
	if all := wanted(t, reckon.Reckon(p, &whole).Wants(p, "a"), described.Name); all.Need == 0 {
		assert.Equal(t, shopping.Cupboard, all.From, "nothing of it is bought")
	}
	cupboard[described.Name].Odd[0].For = "b"
	for _, n := range reckon.Reckon(p, &w).Cloths {
		assert.Empty(t, n.Odd, "what is kept for another plan is not there")
	}
}

func placedOf(n answer.ClothNeed, r answer.Reckoning, id string) int {
	count := 0
	for _, p := range n.Lay.Placed {
		if r.Cuts[p.Cut].ID == id {
			count++
		}
	}
	return count
}
