package reckon_test

import (
	"math"
	"testing"

	"umschlag/anyplan"
	"umschlag/core/answer"
	"umschlag/core/reckon"
	"umschlag/core/ref"
	"umschlag/core/show"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/cover"
	"umschlag/core/plan"
)

// Whatever has pieces folds, closes with the room that was wanted, and says nothing of what
// has none. Where a band was cut before, the cover does not fit by the plan's own words.
func TestAnyCoverFolds(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		shown := show.Folded(p)
		settled := p.Settle()
		_, found := cover.Pieces(settled)
		if settled.Validate().Stopped() || found.Stopped() {
			assert.Empty(t, shown.Leaves)
			return
		}
		require.NotEmpty(t, shown.Leaves)
		assert.Greater(t, shown.Size, 0.0)
		for i, leaf := range shown.Leaves {
			assert.Less(t, leaf.Parent, i)
			for _, v := range leaf.Points {
				assert.False(t, math.IsNaN(v[0]+v[1]))
			}
			for _, v := range leaf.Lifts {
				assert.False(t, math.IsNaN(v[0]+v[1]+v[2]))
			}
		}
		for _, in := range shown.Inside {
			assert.True(t, in.Fits, "%s: %s, not %s", in.Name, in.Room.Exact, in.Text)
		}
	})
}

// A front that came out otherwise folds as it came out, its back with it.
func TestAMeasuredFrontFoldsAsItCameOut(t *testing.T) {
	p := plan.Base("in", plan.DefaultHabits("in"))
	p.Title = "cushion"
	p.Object = plan.Object{Kind: plan.Form, Width: 18 * in, Height: 16 * in}
	p.Cover.Kind = "cushion"
	p.Measured = []plan.Measured{{Gate: ref.FrontSewn.String(), Width: 18 * in, Height: 16*in + in/2}}
	front := reckon.Reckon(p, nil).Pieces[0].Finished
	require.Equal(t, []int64{int64(17*in + in/2), int64(16 * in)}, []int64{front.Width.NM, front.Height.NM})
	shown := show.Folded(p)
	require.Len(t, shown.Inside, 2)
	for i, room := range []string{"17 1/2", "16"} {
		assert.True(t, shown.Inside[i].Fits)
		assert.Equal(t, room, shown.Inside[i].Room.Exact)
	}
	assert.Contains(t, shown.Inside[0].Text, "as the front comes out")
	for _, leaf := range shown.Leaves {
		var most [2]float64
		for _, v := range leaf.Points {
			most[0], most[1] = math.Max(most[0], v[0]), math.Max(most[1], v[1])
		}
		assert.InDelta(t, 17.5*25.4, most[0], 1e-3, leaf.Piece)
		assert.InDelta(t, 16*25.4, most[1], 1e-3, leaf.Piece)
	}
}

func TestWhatShowsBesideAFace(t *testing.T) {
	p := plan.Base("in", plan.DefaultHabits("in"))
	p.Title = "hood"
	p.Object = plan.Object{Kind: plan.Box, Length: 18 * in, Depth: 14 * in, Height: 6 * in}
	p.Cover.Kind = "wrap-hood"
	p.Pieces = map[string]plan.Piece{"*": {Layers: &plan.Layers{Lining: "L",
		Batting: &plan.Batting{Count: 2, Loft: in / 8}}}}
	p.Cloths = map[string]plan.Cloth{"A": {Name: "a"}, "L": {Name: "l"}, "P": {Name: "p"},
		"batting": {Name: "b", Kind: "batting"}}
	p.Edges = plan.Edges{Piping: &plan.Piping{Cord: in / 4, Cloth: "P"}, Binding: &plan.Binding{Shows: in / 2}}
	p.Cover.Bottom.Finish = "bound"
	pieces := map[string]answer.FoldPiece{}
	for _, piece := range show.Folded(p).Pieces {
		pieces[piece.Name] = piece
	}
	type edging struct {
		what, cloth string
		width       float64
	}
	of := func(name string) (out []edging) {
		for _, e := range pieces[name].Edgings {
			out = append(out, edging{e.What, e.Cloth, e.Width})
			assert.GreaterOrEqual(t, len(e.Path), 2)
		}
		return out
	}
	piped, bound := edging{"piping", "P", 6.35}, edging{"binding", "A", 25.4}
	assert.Equal(t, []edging{piped, piped, bound, bound}, of("main"), "both sides, both ends")
	assert.Equal(t, []edging{piped, bound}, of("end"), "up and over, and its foot")
	assert.Equal(t, "L", pieces["end"].Lining)
	assert.InDelta(t, 6.35, pieces["end"].Puff, 1e-9)
}
