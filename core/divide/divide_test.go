package divide_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/answer"
	"umschlag/core/divide"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

const in = length.Inch

// boxed is a boxed cushion whose two faces are quilted alike.
func boxed(t *testing.T) plan.Plan {
	p, ok := plan.Begin("boxed", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "moss"})
	require.True(t, ok)
	p.Edges.Inside = "zigzag"
	p.Title, p.Object.Width, p.Object.Height, p.Object.Thickness = "t", 16*in, 12*in, 3*in
	p.Cloths["batting"] = plan.Cloth{Name: "batting", Kind: plan.BattingKind}
	p.Pieces = map[string]plan.Piece{"face": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"},
		Layers:   &plan.Layers{Batting: &plan.Batting{Count: 1}},
		Quilting: &plan.Quilting{Lines: []plan.LineFamily{{Pitch: 2 * in}}}}}
	return p
}

// of are the steps about a piece or about a seam it lies at, its finishing among them.
func of(r answer.Reckoning, piece string) []string {
	var out, seams []string
	for _, s := range r.Steps {
		at := s.About.Piece == piece
		if s.Join > 0 && slices.Contains(r.Joins[s.Join-1].Between[:], piece) {
			at, seams = true, append(seams, s.ID)
		}
		if s.About.Role == ref.DoFinish {
			at = at || slices.ContainsFunc(s.Needs, func(id string) bool { return slices.Contains(seams, id) })
		}
		if at {
			out = append(out, s.ID)
		}
	}
	return out
}

// What was done of both is done of each: a piece each of two that were cut, half the minutes each, what was left out
// left out of both; a piece that was spoiled was one of them, and one of them is being sewn.
func TestWhatIsRecordedOfBothIsRecordedOfEach(t *testing.T) {
	p := boxed(t)
	was := reckon.Reckon(p, nil)
	both := of(was, "face")
	require.Greater(t, len(both), 2, "%v", was.Findings)
	panel := "cut.piece:face.role:panel"
	const since = "2026-03-01T10:00:00Z"
	p.Progress = plan.Progress{Cut: map[string]plan.AsCut{panel: {Count: 2}, "cut.piece:band.role:panel": {Count: 1}},
		Spoiled: map[string]int{panel: 1}, Done: both[:1], Times: map[string]float64{"step.role:finish": 3},
		Skipped: map[string]string{both[1]: "not needed"}, Running: &plan.Running{Step: both[2], Since: since}}
	for _, id := range both {
		p.Progress.Times[id] = 8
	}
	before := p.Progress
	apart := divide.Apart(p, "face", nil)
	assert.Equal(t, 2, before.Cut[panel].Count, "the plan at hand stays as it is")
	assert.Len(t, before.Times, len(both)+1)

	now := reckon.Reckon(apart, nil)
	first, second := of(now, "face.1"), of(now, "face.2")
	require.Equal(t, len(both), len(first), "%v\n%v", both, first)
	require.Equal(t, len(both), len(second))
	got := apart.Progress
	assert.Equal(t, map[string]plan.AsCut{"cut.piece:face_2e1.role:panel": {Count: 1},
		"cut.piece:face_2e2.role:panel": {Count: 1}, "cut.piece:band.role:panel": {Count: 1}}, got.Cut)
	assert.Equal(t, map[string]int{"cut.piece:face_2e1.role:panel": 1}, got.Spoiled)
	assert.ElementsMatch(t, []string{first[0], second[0]}, got.Done)
	assert.Equal(t, map[string]string{first[1]: "not needed", second[1]: "not needed"}, got.Skipped)
	assert.Equal(t, plan.Running{Step: first[2], Since: since}, *got.Running)
	want := map[string]float64{"step.role:finish": 3}
	for i := range both {
		want[first[i]], want[second[i]] = 4, 4
	}
	assert.Equal(t, want, got.Times)
}

// What is fitted to both, nobody knowing to which, is on the first; what is on another piece stays there.
func TestWhatIsFittedToOneOfTwoIsOnTheFirst(t *testing.T) {
	p := boxed(t)
	on := func(piece string) plan.Fitting {
		return plan.Fitting{Kind: "label", On: piece, Width: 2 * in, Height: in, At: plan.At{Middle: true}}
	}
	p.Fittings = []plan.Fitting{on("face"), on("band")}
	apart := divide.Apart(p, "face", nil)
	assert.Equal(t, []string{"face.1", "band"}, []string{apart.Fittings[0].On, apart.Fittings[1].On})
}

// Two flaps of a jacket, one deeper, are decided together and cut apart already: what is done of one
// of them stays done of that one alone, and what is fitted to it stays on it.
func TestTwoThatDifferInSizeAreToldApartAsTheyAre(t *testing.T) {
	p, ok := plan.Begin("binder", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "moss"})
	require.True(t, ok)
	p.Title, p.Object.Height, p.Object.Board, p.Object.Spine = "t", 11*in, 9*in, 2*in
	p.Cover.Flaps.Depth = plan.Pair{Front: 3 * in, Back: 4 * in}
	p.Fittings = []plan.Fitting{{Kind: "label", On: "flap.back", Width: 2 * in, Height: in,
		At: plan.At{Middle: true}}}
	was := reckon.Reckon(p, nil)
	back := slices.IndexFunc(was.Cuts, func(c answer.Cut) bool { return c.About.Piece == "flap.back" })
	require.GreaterOrEqual(t, back, 0, "%v", was.Findings)
	p.Progress = plan.Progress{Cut: map[string]plan.AsCut{was.Cuts[back].ID: {Count: 1}}}

	apart := divide.Apart(p, "flap", nil)
	assert.Equal(t, "flap.2", apart.Fittings[0].On)
	now := reckon.Reckon(apart, nil)
	for _, c := range now.Cuts {
		if c.Done {
			assert.Equal(t, "flap.2", c.About.Piece)
			assert.Equal(t, was.Cuts[back].Width.NM, c.Width.NM, "the deeper one")
		}
	}
	assert.Len(t, apart.Progress.Cut, 1)
	assert.True(t, slices.ContainsFunc(now.Cuts, func(c answer.Cut) bool { return c.Done }))
}
