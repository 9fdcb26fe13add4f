package work_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/back"
	"umschlag/core/front"
	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/press"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/core/work"
	_ "umschlag/seeded"
)

const in = length.Inch

func size(side length.Length) sum.Size {
	return sum.Size{Width: sum.Of(sum.Part, "w", side), Height: sum.Of(sum.Part, "h", side)}
}

// envelope is a back of two hemmed pieces.
func envelope() back.Back {
	return back.Back{Overlap: sum.Of(sum.Overlap, "overlap", 5*in), Lies: make([]back.Lie, 2),
		Sewn: sum.Repeat(2, sum.Part, "step.piece:back.role:hem", 39*in/2),
		Making: []back.Making{{Role: ref.DoHem, Title: "Hem the back pieces", Press: "Press the hem flat.",
			Text: "Turn one long edge of each to the wrong side ½″ and again ½″."}}}
}

// order is the work of a grid of columns × rows with one border.
// face is a grid of patches that finish 4 in with a border of 1 in.
func face(columns, rows int) front.Face {
	w, h := (4*in).Times(columns)+2*in, (4*in).Times(rows)+2*in
	with := func(more length.Length) sum.Size {
		return sum.Size{Width: sum.Of(sum.Part, "", w+more), Height: sum.Of(sum.Part, "", h+more)}
	}
	f, _ := front.Build(front.Order{Finished: with(0), Trimmed: with(in / 2), Top: with(in / 2), Seam: in / 4,
		Step: in / 8, Style: length.Style{Unit: length.Inches},
		Face: plan.Face{Kind: plan.GridFace, Columns: columns, Rows: rows,
			Patch: plan.Patch{Width: 4 * in, Height: 4 * in}, Cloths: []string{"A", "B"}, Set: plan.Straight,
			Order:   plan.Order{Kind: plan.Alternate},
			Borders: []plan.Border{{Width: plan.Extent{Width: in}, Cloth: "C"}}}})
	return f
}

func order(columns, rows int, quilted bool) work.Order {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object = plan.Object{Kind: plan.Form, Width: 20 * in, Height: 20 * in}
	o := work.Order{Plan: p.Settle(), Quilted: quilted, Finished: size(19 * in), Back: envelope(),
		Face:  face(columns, rows),
		Chain: layers.Chain{Trimmed: size(39 * in / 2)},
		Cuts: []work.Cut{{ID: "front.patch.A", Piece: "front"},
			{ID: "step.piece:back.role:trim-panel", Piece: "back"}}}
	o.Pressed = pressed(o)
	patches := &plan.Face{Kind: plan.GridFace, Columns: columns, Rows: rows}
	o.Plan.Pieces = map[string]plan.Piece{"front": {Face: patches}}
	if quilted {
		o.Plan.Pieces = map[string]plan.Piece{"front": {Face: patches,
			Quilting: &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in,
				Angle: -45}}, Pair: in / 4}}}
		o.Chain.Lining, o.Chain.Batting, o.Chain.Under = "L", &plan.Batting{Count: 1}, size(22*in)
		o.Cuts = append(o.Cuts, work.Cut{ID: "front.lining", Piece: "front", Under: true})
	}
	return o
}

// pressed is the face pressed by the habits of the plan.
func pressed(o work.Order) press.Plan {
	return press.Of(press.Order{Face: o.Face, School: o.Plan.Habits.Press})
}

func find(t *testing.T, steps []work.Step, id string) work.Step {
	t.Helper()
	i := slices.IndexFunc(steps, func(s work.Step) bool { return s.ID == id })
	require.GreaterOrEqual(t, i, 0, "no step %s", id)
	return steps[i]
}

func TestTheOrderIsOneThatCanBeFollowed(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		o := order(rapid.IntRange(1, 8).Draw(t, "c"), rapid.IntRange(1, 8).Draw(t, "r"), rapid.Bool().
			Draw(t, "quilted"))
		done := map[string]bool{}
		gate, back := -1, -1
		for i, s := range work.Steps(o) {
			for _, need := range s.Needs {
				assert.True(t, done[need], "%s comes before what it needs: %s", s.ID, need)
			}
			assert.False(t, done[s.ID], "%s stands twice", s.ID)
			done[s.ID] = true
			if s.Gate == o.FrontGate() {
				gate = i
			}
			if slices.Contains(s.Cuts, "step.piece:back.role:trim-panel") {
				back = i
			}
		}
		assert.True(t, gate >= 0 && gate < back, "the back is cut after its gate")
	})
}

func TestRowsNest(t *testing.T) {
	steps := work.Steps(order(4, 4, false))
	assert.Equal(t, "Press all seams to the left, seen from the front.", find(t, steps, "step.piece:front.role:row.no:1").Press)
	assert.Equal(t, "Press all seams to the right, seen from the front.", find(t, steps, "step.piece:front.role:row.no:2").Press)
	assert.Equal(t, press.Down, find(t, steps, "step.piece:front.role:rows").Side)
}

func TestHabitsChangeTheirStepsAndNoOthers(t *testing.T) {
	base := work.Steps(order(3, 2, true))
	for name, c := range map[string]struct {
		change func(*plan.Habits)
		steps  []string
	}{
		"press": {func(h *plan.Habits) { h.Press = plan.PressOpen },
			[]string{"step.piece:front.role:row.no:1", "step.piece:front.role:row.no:2", "step.piece:front.role:rows"}},
		"step.role:clip": {func(h *plan.Habits) { h.Clip = plan.ClipThree }, []string{"step.role:clip"}},
		"round":          {func(h *plan.Habits) { h.Round = plan.RoundRuns }, []string{"step.role:close"}},
		"pins": {func(h *plan.Habits) { h.Pins = "over" },
			[]string{"step.piece:front.role:row.no:1", "step.piece:front.role:row.no:2",
				"step.piece:front.role:border.no:1", "step.piece:front.role:border.no:2",
				"step.piece:front.role:layers", "step.role:close"}},
		"hold": {func(h *plan.Habits) { h.Hold = plan.HoldSpray }, []string{"step.piece:front.role:layers"}},
	} {
		t.Run(name, func(t *testing.T) {
			o := order(3, 2, true)
			c.change(&o.Plan.Habits)
			o.Pressed = pressed(o)
			var changed []string
			for i, s := range work.Steps(o) {
				if !assert.ObjectsAreEqual(base[i], s) {
					changed = append(changed, s.ID)
				}
			}
			assert.Equal(t, c.steps, changed)
		})
	}
}

func TestCautionsStandWhereTheyMatter(t *testing.T) {
	steps := work.Steps(order(2, 2, true))
	assert.Contains(t, find(t, steps, "step.piece:front.role:cut-outer").Caution.Text(), "rotary cutter")
	assert.Contains(t, find(t, steps, "step.piece:front.role:cut-under").Caution.Text(), "rotary cutter")
	assert.Contains(t, find(t, steps, "step.piece:front.role:row.no:1").Caution.Text(), "pin")
	assert.Contains(t, find(t, steps, "step.piece:front.role:layers").Caution.Text(), "pin")
	sprayed := order(2, 2, true)
	sprayed.Plan.Habits.Hold = plan.HoldSpray
	assert.Contains(t, find(t, work.Steps(sprayed), "step.piece:front.role:layers").Caution.Text(), "window open")
	assert.Contains(t, find(t, steps, "step.piece:front.role:quilt").Caution.Text(), "manual")
	assert.Contains(t, find(t, steps, "step.role:turn").Caution.Text(), "iron")
}

func TestAPlainFrontNeedsNoPiecing(t *testing.T) {
	o := order(1, 1, false)
	o.Face = front.Face{Parts: []front.Part{{Name: "step.piece:front.role:trim-panel", Role: front.Panel,
		Size: size(20 * in), Count: 1}}, Sewn: size(20 * in)}
	o.Plan.Pieces, o.Back.Making = nil, nil
	const measured, cut = "step.piece:front.role:measure-front", "step.piece:back.role:cut-back"
	for wait, between := range map[plan.Wait][]string{
		plan.WaitAuto: {cut}, plan.WaitNo: {cut}, plan.WaitYes: {measured, cut},
	} {
		o.Plan.Back.Wait = wait
		var ids []string
		steps := work.Steps(o)
		for _, s := range steps {
			ids = append(ids, s.ID)
		}
		assert.Equal(t, slices.Concat([]string{"step.role:measure", "step.piece:front.role:cut-outer"}, between,
			[]string{"step.role:close", "step.role:finish-seam", "step.role:clip", "step.role:turn",
				"step.role:measure-cover"}), ids, wait)
		assert.Equal(t, wait == plan.WaitYes, strings.Contains(steps[1].Text, "Do not cut the back yet"))
		assert.Subset(t, find(t, steps, "step.role:close").Needs, []string{cut})
	}
	assert.Equal(t, ref.FrontSewn, o.FrontGate())
}

// A back that does not wait for a pieced front is cut from the first, and both are there when they are sewn together;
// the front is measured all the same.
func TestABackNeedNotWait(t *testing.T) {
	o := order(2, 2, true)
	o.Plan.Back.Wait = plan.WaitNo
	steps := work.Steps(o)
	back := find(t, steps, "step.piece:back.role:cut-back")
	assert.Equal(t, []string{"step.role:measure"}, back.Needs)
	assert.Equal(t, work.Cutting, back.Stage)
	assert.Subset(t, find(t, steps, "step.role:close").Needs,
		[]string{"step.piece:front.role:measure-front", "step.piece:back.role:hem"})
	assert.Contains(t, find(t, steps, "step.piece:front.role:measure-front").Text, "has to come out as planned")
}

func TestThreadIsCountedBySeams(t *testing.T) {
	o := order(4, 4, true)
	o.Pattern.Seam = 600 * in
	thread := work.Thread(o)
	terms := map[string]length.Length{}
	for _, term := range thread {
		terms[term.Name] = term.Amount
	}
	seam := (9 * in / 2).Times(12).Float() * 2.5
	assert.Equal(t, length.FromFloat(seam), terms["seams in the rows"], "3 seams in each of 4 rows")
	assert.Equal(t, 1500*in, terms["quilting"])
	assert.Equal(t, length.FromFloat((2*33*in/2+2*37*in/2).Float()*2.5), terms["borders"], "two of 16½ and two of 18½")
	assert.Equal(t, length.FromFloat((78*in).Float()*7), terms["zigzag inside"])
}

// What has more of it takes longer: 10 × 10 folded windows longer than 2 × 2, a metre of hem longer than one of a plain
// seam; what is known is taken as it is.
func TestMinutesFollowWhatThereIsToDo(t *testing.T) {
	of := func(role ref.Role, e work.Effort) int { return work.Minutes(work.Step{Role: role}, false, e) }
	for _, role := range []ref.Role{ref.DoFoldUnits, ref.DoWindows, ref.DoPoints, ref.DoLayOut, ref.DoLayShapes} {
		few, many := of(role, work.Effort{Things: 4}), of(role, work.Effort{Things: 100})
		assert.Greater(t, many, 5*few, "%s: 25 times as much, but for setting up", role)
	}
	metre := work.Effort{Sewn: length.Metre}
	assert.Greater(t, of(ref.DoHem, metre), of(ref.DoFinish, metre))
	assert.Equal(t, of(ref.DoHem, metre)+6, of(ref.DoHem, work.Effort{Sewn: 2 * length.Metre}))
	assert.Equal(t, 42, of(ref.DoHem, work.Effort{Known: 40, Sewn: length.Metre}))
	assert.Equal(t, 5, of(ref.DoFinish, work.Effort{}), "something ordinary")
	cuts := work.Step{Role: ref.DoCutShapes, Cuts: []string{"a"}}
	assert.Equal(t, 16, work.Minutes(cuts, false, work.Effort{Sizes: 1, Pieces: 2, Things: 3}), "2 + 1½ + ½ + 3 × 4")
	assert.Equal(t, 3, work.Minutes(work.Step{}, true, work.Effort{}), "a measuring step")
}
