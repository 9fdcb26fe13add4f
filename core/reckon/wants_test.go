package reckon_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

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
	wants := r.Wants("pad")
	require.Len(t, wants, len(r.Cloths))
	for _, need := range r.Cloths {
		w := wanted(t, wants, need.Name)
		assert.Equal(t, []any{"pad", need.Need.NM}, []any{w.Plan, int64(w.Need)})
		assert.Equal(t, need.Have != nil, w.Has)
		assert.False(t, w.Own && !w.Has)
	}
}

func TestAPlanWithEnoughOfItsOwnSaysSo(t *testing.T) {
	p := worked()
	first := reckon.Reckon(p, nil).Cloths[0]
	for _, have := range []struct {
		yards int
		own   bool
	}{{5, true}, {0, false}} {
		c, _ := p.Cloth(first.Cloth)
		length := (36 * in).Times(have.yards)
		c.Have = &length
		p.Cloths[first.Cloth] = c
		w := wanted(t, reckon.Reckon(p, nil).Wants("pad"), first.Name)
		assert.Equal(t, []bool{true, have.own}, []bool{w.Has, w.Own})
	}
}

func TestAClothOfWhichAllIsCutIsNotWanted(t *testing.T) {
	p := worked()
	r := reckon.Reckon(p, nil)
	first := r.Cloths[0]
	var of []string
	for _, c := range r.Cuts {
		if c.Cloth == first.Cloth {
			of = append(of, c.ID)
		}
	}
	require.NotEmpty(t, of)
	p.Progress.Cut = of[1:]
	assert.Len(t, reckon.Reckon(p, nil).Wants("pad"), len(r.Cloths), "one is not cut yet")
	p.Progress.Cut = of
	left := reckon.Reckon(p, nil).Wants("pad")
	assert.Len(t, left, len(r.Cloths)-1)
	for _, w := range left {
		assert.NotEqual(t, first.Name, w.Cloth)
	}
}
