package reckon_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/answer"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/show"
)

// made is what a cover takes, whatever its pieces are called: how many of each cut, seams and things by their length.
func made(r answer.Reckoning) map[string]int64 {
	out := map[string]int64{}
	for _, c := range r.Cuts {
		out[fmt.Sprint("cut ", c.Layer, c.Cloth, c.Shape, c.Width.NM, c.Height.NM)] += int64(c.Count)
	}
	for _, j := range r.Joins {
		out["seams"] += j.Lengths[0].NM * int64(j.Count)
	}
	for _, l := range r.Lengths {
		if l.What != "thread" {
			out[l.What] += l.Length.NM
		}
	}
	return out
}

// Two pieces told apart and left as they are take what they took, and made alike again they are as they were.
func TestToldApartTheyAreStillTheSame(t *testing.T) {
	told := 0
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		for _, s := range cover.Slots(p.Settle()) {
			if s.Twins == nil || s.Count != 2 {
				continue
			}
			before, apart := reckon.Reckon(p, nil), plan.TellApart(p, s.Name)
			if finding.List(before.Findings).Stopped() {
				continue
			}
			told++
			after := reckon.Reckon(apart, nil)
			assert.False(t, finding.List(after.Findings).Stopped(), "%v", after.Findings)
			want, is := made(before), made(after)
			for what := range want {
				assert.InDelta(t, want[what], is[what], 200, "%s: %s of %s", what, s.Name, p.Cover.Kind)
			}
			assert.Len(t, is, len(want), "%v", is)
			names := plan.TwinNames(s.Name)
			counts := map[string]int{}
			for _, piece := range after.Pieces {
				counts[piece.Name] = piece.Count
			}
			assert.Equal(t, []int{0, 1, 1}, []int{counts[s.Name], counts[names[0]], counts[names[1]]})
			again := reckon.Reckon(plan.Alike(apart, s.Name), nil)
			assert.Equal(t, made(before), made(again))
			assert.Equal(t, before.Joins, again.Joins)
		}
	})
	assert.Positive(t, told)
}

// What is decided of one of two is not of the other; what is decided of both is of each that says nothing.
func TestOneOfTwoIsDecidedForItself(t *testing.T) {
	p := plan.Plan{Cover: plan.Cover{Kind: "skirt-hood"}, Pieces: map[string]plan.Piece{
		plan.Common:   {Layers: &plan.Layers{Lining: "L"}},
		"wall":        {Absorb: plan.AbsorbAccept, Face: &plan.Face{Kind: plan.GridFace}},
		"wall.2":      {Face: &plan.Face{Kind: plan.StripsFace}},
		"wall.side.1": {Layers: &plan.Layers{Lining: "M"}},
	}}
	assert.Equal(t, plan.GridFace, p.Piece("wall.1").Face.Kind)
	assert.Equal(t, plan.StripsFace, p.Piece("wall.2").Face.Kind)
	assert.Equal(t, "L", p.Piece("wall.2").Layers.Lining)
	assert.Equal(t, "M", p.Piece("wall.side.1").Layers.Lining)
	assert.Equal(t, "L", p.Piece("wall.side.2").Layers.Lining)
	assert.Equal(t, plan.AbsorbAccept, p.Piece("wall.side.1").Absorb)
	lined := func(q plan.Piece) bool { return q.Layers != nil }
	assert.Equal(t, "wall.side.1", plan.Keeper(p, "wall.side.1", lined))
	assert.Equal(t, plan.Common, plan.Keeper(p, "wall.side.2", lined))
	assert.Equal(t, "main", plan.Keeper(plan.Plan{}, "main", lined), "its own where nobody decided")
	assert.True(t, plan.Apart(p, "wall.side"))
	assert.False(t, plan.Apart(p, "top"))
}

// A cover folds the same way whether two of its pieces are told apart or not.
func TestToldApartTheyFoldTheSame(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		for _, s := range cover.Slots(p.Settle()) {
			if s.Twins == nil || s.Count != 2 {
				continue
			}
			names := plan.TwinNames(s.Name)
			want, is := show.Folded(p), show.Folded(plan.TellApart(p, s.Name))
			for i, leaf := range want.Leaves {
				if leaf.Piece == s.Name {
					want.Leaves[i].Piece, want.Leaves[i].Copy = names[leaf.Copy], 0
				}
			}
			assert.Equal(t, want.Leaves, is.Leaves, s.Name)
			assert.Equal(t, want.Solids, is.Solids)
		}
	})
}
