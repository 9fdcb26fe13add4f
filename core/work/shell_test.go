package work_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/cover"
	"umschlag/core/front"
	"umschlag/core/layers"
	"umschlag/core/plan"
	"umschlag/core/sum"
	"umschlag/core/work"
)

func shell(t *testing.T, kind plan.CoverKind, o plan.Object) work.ShellOrder {
	t.Helper()
	p := plan.Base("in", plan.DefaultHabits("in"))
	p.Object, p.Cover.Kind = o, kind
	p.Cover.Ease = plan.Axes{Wrap: in}
	p.Cover.Flaps.Depth = plan.Pair{Front: 2 * in, Back: 2 * in}
	c, found := cover.Pieces(p)
	require.False(t, found.Stopped(), "%v", found)
	order := work.ShellOrder{Plan: p, Cover: c}
	for _, piece := range c.Pieces {
		order.Panels = append(order.Panels, work.ShellPanel{Name: piece.Name, Title: piece.Title, Chain: layers.Chain{Trimmed: piece.Finished}, Face: front.Face{Sewn: piece.Finished}})
		order.Cuts = append(order.Cuts, work.Cut{ID: piece.Name, Piece: piece.Name})
	}
	return order
}

var things = map[plan.CoverKind]plan.Object{
	"wrap-hood":     {Kind: plan.Box, Length: 17 * in, Depth: 14 * in, Height: 6 * in, SticksOut: plan.Axes{Length: in}},
	"band-hood":     {Kind: plan.Box, Length: 9 * in, Depth: 8 * in, Height: 7 * in},
	"skirt-hood":    {Kind: plan.Box, Length: 9 * in, Depth: 8 * in, Height: 7 * in},
	"boxed-cushion": {Kind: plan.Form, Width: 40 * in, Height: 16 * in, Thickness: 3 * in},
	"jacket":        {Kind: plan.Book, Wrap: 13 * in, Height: 8 * in},
	"pad":           {Kind: plan.Flat, Width: 16 * in, Height: 12 * in},
}

func TestEveryShellIsMeasuredCutJoinedAndFinishedInThatOrder(t *testing.T) {
	for kind, o := range things {
		t.Run(string(kind), func(t *testing.T) {
			order := shell(t, kind, o)
			done := map[string]bool{}
			var cuts []string
			steps := work.ShellSteps(order)
			require.NotEmpty(t, steps)
			assert.Equal(t, "measure", steps[0].ID)
			for _, s := range steps {
				for _, need := range s.Needs {
					assert.True(t, done[need], "%s before %s", s.ID, need)
				}
				assert.False(t, done[s.ID], "%s stands twice", s.ID)
				done[s.ID] = true
				cuts = append(cuts, s.Cuts...)
			}
			assert.Len(t, cuts, len(order.Cuts), "every cut is made in exactly one step")
			for i := range order.Cover.Joins {
				assert.Positive(t, slices.IndexFunc(steps, func(s work.Step) bool { return s.ID == []string{"join.1", "join.2", "join.3"}[i] }))
			}
		})
	}
}

func TestHoodsAreTriedOnColdAndUnplugged(t *testing.T) {
	for _, kind := range []plan.CoverKind{"wrap-hood", "band-hood", "skirt-hood"} {
		steps := work.ShellSteps(shell(t, kind, things[kind]))
		for _, id := range []string{"measure", "try"} {
			s := find(t, steps, id)
			assert.Contains(t, s.Caution, "cold")
			assert.Contains(t, s.Caution, "vents")
		}
	}
	assert.Contains(t, find(t, work.ShellSteps(shell(t, "wrap-hood", things["wrap-hood"])), "measure").Text, "1″ in length for what sticks out")
}

func TestLayeredRoundedAndPiecedPanelsHaveTheirOwnSteps(t *testing.T) {
	order := shell(t, "pad", things["pad"])
	order.Plan.Cover.Corners = plan.Corners{Kind: "round", Plate: 4 * in}
	top := &order.Panels[0]
	top.Rounded, top.Chain.Lining = true, "L"
	top.Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in, Angle: 45}}}
	top.Face = front.Face{Columns: 2, Rows: 2, Sewn: top.Face.Sewn, Parts: []front.Part{{Name: "patch.A", Role: front.Patch, Size: top.Face.Sewn}}}
	steps := work.ShellSteps(order)
	for _, id := range []string{"top.layout", "top.row.1", "top.row.2", "top.rows", "layers.top", "quilt.top", "trim.top", "round.top"} {
		find(t, steps, id)
	}
	assert.Contains(t, find(t, steps, "round.top").Text, "a plate of 4″")
}

func TestShellThreadIsItsSeams(t *testing.T) {
	thread := work.ShellThread(shell(t, "pad", things["pad"]))
	terms := map[string]sum.Term{}
	for _, term := range thread {
		terms[term.Name] = term
	}
	assert.Equal(t, 140*in, terms["round the pad"].Amount, "56 × 2.5")
	assert.Equal(t, 392*in, terms["zigzag, round the pad"].Amount, "56 × 7")
}
