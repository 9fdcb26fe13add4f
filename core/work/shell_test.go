package work_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/cover"
	"umschlag/core/front"
	"umschlag/core/layers"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/core/work"
)

func shell(t *testing.T, kind plan.CoverKind, o plan.Object) work.ShellOrder {
	t.Helper()
	p := plan.Base("in", plan.DefaultHabits("in"))
	p.Object, p.Cover.Kind = o, kind
	p.Cover.Ease = plan.Axes{Wrap: in}
	p.Cover.Flaps.Depth = plan.Pair{Front: 2 * in, Back: 2 * in}
	c, found := cover.Pieces(p.Settle())
	require.False(t, found.Stopped(), "%v", found)
	order := work.ShellOrder{Plan: p.Settle(), Cover: c}
	for _, piece := range c.Pieces {
		order.Panels = append(order.Panels,
			work.ShellPanel{Piece: piece, Chain: layers.Chain{Trimmed: piece.Finished},
				Face: front.Face{Sewn: piece.Finished}})
		order.Cuts = append(order.Cuts, work.Cut{ID: piece.Name, Piece: piece.Name})
	}
	return order
}

var things = map[plan.CoverKind]plan.Object{
	"wrap-hood": {Kind: plan.Box, Length: 17 * in, Depth: 14 * in, Height: 6 * in,
		SticksOut: plan.Axes{Length: in}},
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
			assert.Equal(t, "step.role:measure", steps[0].ID)
			for _, s := range steps {
				for _, need := range s.Needs {
					assert.True(t, done[need], "%s before %s", s.ID, need)
				}
				assert.False(t, done[s.ID], "%s stands twice", s.ID)
				done[s.ID] = true
				cuts = append(cuts, s.Cuts...)
			}
			assert.Len(t, cuts, len(order.Cuts), "every cut is made in exactly one step")
			for _, j := range order.Cover.Joins {
				assert.Positive(t,
					slices.IndexFunc(steps,
						func(s work.Step) bool { return s.Role == ref.DoJoin && s.Seats == j.Seats() }))
			}
		})
	}
}

func TestHoodsAreTriedOnColdAndUnplugged(t *testing.T) {
	for _, kind := range []plan.CoverKind{"wrap-hood", "band-hood", "skirt-hood"} {
		steps := work.ShellSteps(shell(t, kind, things[kind]))
		for _, id := range []string{"step.role:measure", "step.role:try"} {
			s := find(t, steps, id)
			assert.Contains(t, s.Caution.Text(), "cold")
			assert.Contains(t, s.Caution.Text(), "vents")
		}
	}
	assert.Contains(t, find(t, work.ShellSteps(shell(t, "wrap-hood", things["wrap-hood"])), "step.role:measure").Text,
		"(17″ + 1″ for what sticks out)")
}

func TestLayeredRoundedAndPiecedPanelsHaveTheirOwnSteps(t *testing.T) {
	order := shell(t, "pad", things["pad"])
	top := &order.Panels[0]
	top.Piece.Radii, top.Chain.Lining = outline.Radii{TopLeft: in, TopRight: in, BottomRight: in, BottomLeft: in}, "L"
	top.Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in, Angle: 45}}}
	top.Face = face(2, 2)
	steps := work.ShellSteps(order)
	for _, id := range []string{"step.piece:top.role:lay-out", "step.piece:top.role:row.no:1",
		"step.piece:top.role:row.no:2", "step.piece:top.role:rows", "step.piece:top.role:layers",
		"step.piece:top.role:quilt", "step.piece:top.role:trim", "step.piece:top.role:shape-corners"} {
		find(t, steps, id)
	}
	assert.Contains(t, find(t, steps, "step.piece:top.role:shape-corners").Text, "a plate 2½″ across",
		"a radius of 1 and a seam of ¼, twice")
}

func TestShellThreadIsItsSeams(t *testing.T) {
	order := shell(t, "pad", things["pad"])
	assert.Len(t, work.ShellThread(order), 1, "turned, its seams need no finish")
	order.Plan.Edges.Inside = "zigzag" // asked for all the same
	thread := work.ShellThread(order)
	terms := map[string]sum.Term{}
	for _, term := range thread {
		terms[term.Name] = term
	}
	assert.Equal(t, 140*in, terms["round the seat pad"].Amount, "56 × 2.5")
	assert.Equal(t, 392*in, terms["zigzag, round the seat pad"].Amount, "56 × 7")
}

func lastJoin(t *testing.T, steps []work.Step) (join int, text string) {
	t.Helper()
	join = -1
	for i, s := range steps {
		if s.Role == ref.DoJoin {
			join, text = i, s.Text
		}
	}
	require.GreaterOrEqual(t, join, 0)
	return join, text
}

// What is said after the seam is sewn comes too late.
func TestTheGapIsSaidBeforeTheSeamIsSewn(t *testing.T) {
	for kind, says := range map[plan.CoverKind]string{"pad": "Leave a gap of 5″ away from a corner",
		"jacket": "Leave a gap of 5″ in the middle", "boxed-cushion": "Leave a gap of 40″ at the back"} {
		steps := work.ShellSteps(shell(t, kind, things[kind]))
		at, text := lastJoin(t, steps)
		assert.Contains(t, text, says, kind)
		assert.Less(t, at, slices.IndexFunc(steps, func(s work.Step) bool { return s.ID == "step.role:turn" }))
		for _, s := range steps[at+1:] {
			assert.NotContains(t, strings.ToLower(s.Text+s.Check), "leave", "%s: %s", kind, s.ID)
		}
	}
	_, text := lastJoin(t, work.ShellSteps(shell(t, "wrap-hood", things["wrap-hood"])))
	assert.NotContains(t, text, "gap", "a hood is open at the bottom")
}

func TestOnlyTheTopCornersOfAHoodAreRounded(t *testing.T) {
	order := shell(t, "band-hood", things["band-hood"])
	order.Panels[0].Piece.Radii = outline.Radii{TopLeft: in, TopRight: in}
	order.Panels[1].Piece.Radii = outline.Radii{TopLeft: in, TopRight: in, BottomRight: in, BottomLeft: in}
	steps := work.ShellSteps(order)
	assert.Equal(t, "Round the two top corners only of the panel",
		find(t, steps, "step.piece:face.role:shape-corners").Title)
	assert.Equal(t, "Round all four corners of the band", find(t, steps, "step.piece:band.role:shape-corners").Title)
	assert.Contains(t, find(t, steps, "step.piece:face.role:shape-corners").Text, "a plate 2½″ across")
}

func TestAStackSaysWhatLiesInItAndHowItIsTrimmed(t *testing.T) {
	order := shell(t, "pad", things["pad"])
	order.Panels[0].Chain.Batting = &plan.Batting{Count: 2}
	text := find(t, work.ShellSteps(order), "step.piece:top.role:layers").Text
	assert.Contains(t, text, "The batting, the top right side up.")
	assert.NotContains(t, text, "lining", "there is none")
	assert.NotContains(t, text, "trim what lies under it", "it lies edge to edge")
	top := order.Panels[0].Chain.Top
	order.Panels[0].Chain.Under = top.Between(sum.Overhang, "overhang", in)
	assert.Contains(t, find(t, work.ShellSteps(order), "step.piece:top.role:layers").Text,
		"trim batting and lining level with the top", "no trimming follows without quilting")
	order.Panels[0].Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in}}}
	assert.NotContains(t, find(t, work.ShellSteps(order), "step.piece:top.role:layers").Text, "even with the top")
}

func TestFoldedFlapsLieBetweenOutsideAndInside(t *testing.T) {
	steps := work.ShellSteps(shell(t, "jacket", things["jacket"]))
	assert.Contains(t, find(t, steps, "step.role:join.a:flap.at:left_7cright.b:outside.bt:left_7cright").Text,
		"wrong sides together, press, and top-stitch the fold")
	assert.Contains(t, find(t, steps,
		"step.role:join.a:outside.at:left_2btop_2bright_2bbottom.b:inside.bt:left_2btop_2bright_2bbottom").Text,
		"the flaps between them")
}

// The zipper foot runs beside piping, and nowhere else but at a zip.
func TestOnlyPipedSeamsTakeTheZipFoot(t *testing.T) {
	for kind, o := range things {
		order := shell(t, kind, o)
		for _, s := range work.ShellSteps(order) {
			assert.NotEqual(t, "zipper foot", s.Machine.Foot, "%s: %s", kind, s.ID)
		}
	}
	piped := shell(t, "boxed-cushion", things["boxed-cushion"])
	piped.Plan.Edges.Piping = &plan.Piping{Cord: in / 4}
	seen := 0
	for _, s := range work.ShellSteps(piped) {
		if s.Role == ref.DoJoin && s.Machine.Foot == "zipper foot" {
			seen++
		}
	}
	assert.Positive(t, seen)
}
