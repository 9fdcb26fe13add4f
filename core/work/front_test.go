package work_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/press"
	"umschlag/core/sum"
	"umschlag/core/work"
)

// facing is a cushion front of a face that finishes w × h.
func facing(t *testing.T, f plan.Face, w, h length.Length, change ...func(*front.Order)) work.Order {
	t.Helper()
	with := func(more length.Length) sum.Size {
		return sum.Size{Width: sum.Of(sum.Part, "", w+more), Height: sum.Of(sum.Part, "", h+more)}
	}
	o := front.Order{Face: f.Keyed(nil), Finished: with(0), Trimmed: with(in / 2), Top: with(in / 2), Seam: in / 4,
		Left: in / 4, Above: in / 4, Step: in / 8,
		Style: length.Style{Unit: length.Inches}, Usable: func(string) length.Length { return 40 * in }}
	for _, c := range change {
		c(&o)
	}
	built, found := front.Build(o)
	require.False(t, found.Stopped(), "%v", found)
	out := order(2, 2, false)
	out.Face = built
	out.Plan.Habits.Triangles, out.Plan.Habits.Strips = o.Triangles, o.Strips
	out.Pressed = pressed(out)
	return out
}

func grid(columns, rows int) plan.Face {
	return plan.Face{Kind: plan.GridFace, Columns: columns, Rows: rows, Set: plan.Straight,
		Patch: plan.Patch{Width: 4 * in, Height: 4 * in}, Cloths: []string{"A", "B", "C"},
		Order: plan.Order{Kind: plan.Alternate}}
}

// ids are the piecing steps in order.
func ids(steps []work.Step) []string {
	var out []string
	for _, s := range steps {
		if s.Stage == work.Piecing {
			out = append(out, s.ID)
		}
	}
	return out
}

func TestBlocksAreSewnUnitByUnit(t *testing.T) {
	f := grid(4, 4)
	f.Block.Name = "pinwheel"
	o := facing(t, f, 16*in, 16*in)
	steps := work.Steps(o)
	assert.Equal(t, []string{"step.piece:front.role:unit.no:1", "step.piece:front.role:unit.no:2",
		"step.piece:front.role:unit.no:3", "step.piece:front.role:unit.no:4", "step.piece:front.role:lay-out",
		"step.piece:front.role:row.no:1", "step.piece:front.role:row.no:2", "step.piece:front.role:row.no:3",
		"step.piece:front.role:row.no:4", "step.piece:front.role:rows"}, ids(steps))
	units := find(t, steps, "step.piece:front.role:unit.no:1")
	assert.Equal(t, "Sew 64 half-square triangles", units.Title)
	assert.Contains(t, units.Text, "4 chains of up to 16")
	assert.Contains(t, units.Text, "A, B: along the long side")
	f.Order = plan.Order{Kind: plan.Scrap}
	assert.Contains(t, find(t, work.Steps(facing(t, f, 16*in, 16*in)), "step.piece:front.role:unit.no:1").Text,
		"The fabric of each block, B")
	assert.Equal(t, "Each is 2½″ × 2½″, raw edge to raw edge; trim what is beyond.", units.Check)
	assert.Contains(t, find(t, steps, "step.piece:front.role:unit.no:4").Press, "every second block",
		"so that blocks side by side nest")
	assert.Contains(t, find(t, steps, "step.piece:front.role:lay-out").Title, "blocks")
}

func TestSchoolsOfTrianglesSaySoInTheirSteps(t *testing.T) {
	f := grid(4, 4)
	f.Block.Name = "pinwheel"
	says := func(school plan.Triangles) string {
		return find(t, work.Steps(facing(t, f, 16*in, 16*in, func(o *front.Order) { o.Triangles = school })),
			"step.piece:front.role:unit.no:1").Text
	}
	assert.Contains(t, says(plan.ExactTriangles), "on the bias")
	assert.Contains(t, says(plan.TrimTriangles), "two units")
	assert.Contains(t, says(plan.ManyTriangles), "eight units")
	f.Block.Name = "flying-geese"
	geese := work.Steps(facing(t, f, 16*in, 16*in, func(o *front.Order) { o.Triangles = plan.ManyTriangles }))
	assert.Contains(t, find(t, geese, "step.piece:front.role:unit.no:1").Text, "four flying geese")
}

func TestRowsFromStripsAreNotSewnAgain(t *testing.T) {
	f := grid(4, 3)
	f.Block.Name = "nine-patch"
	o := facing(t, f, 16*in, 12*in, func(o *front.Order) { o.Strips = plan.SewnSets })
	steps := work.Steps(o)
	assert.Equal(t, []string{"step.piece:front.role:set.no:1", "step.piece:front.role:set.no:2",
		"step.piece:front.role:unit.no:3", "step.piece:front.role:lay-out"}, ids(steps)[:4],
		"the two kinds of rows come out of their sets")
	set := find(t, steps, "step.piece:front.role:set.no:1")
	assert.Contains(t, set.Text, "A, B, A")
	assert.Contains(t, set.Text, "24 segments")
	assert.Contains(t, set.Caution.Text(), "rotary")
}

func TestSlantingRowsAreToldAsSuch(t *testing.T) {
	f := grid(2, 2)
	f.Set = plan.OnPoint
	steps := work.Steps(facing(t, f, 12*in, 12*in))
	assert.Equal(t, []string{"step.piece:front.role:lay-out", "step.piece:front.role:row.no:1",
		"step.piece:front.role:row.no:2", "step.piece:front.role:row.no:3", "step.piece:front.role:rows"}, ids(steps))
	assert.Contains(t, find(t, steps, "step.piece:front.role:lay-out").Text, "slanting rows")
	assert.Contains(t, find(t, steps, "step.piece:front.role:row.no:2").Text, "5 pieces",
		"three blocks and a triangle at each end")
	assert.Equal(t, []int{1, 2, 3}, find(t, steps, "step.piece:front.role:rows").Bands)
	assert.NotEqual(t, find(t, steps, "step.piece:front.role:row.no:1").Side,
		find(t, steps, "step.piece:front.role:row.no:2").Side)
}

func TestSashesAreJoinedWithTheRows(t *testing.T) {
	f := grid(3, 2)
	f.Sash = &plan.Sash{Width: in, Cloth: "S"}
	steps := work.Steps(facing(t, f, 14*in, 9*in))
	assert.Equal(t, press.ToSash, find(t, steps, "step.piece:front.role:row.no:1").Side)
	assert.Contains(t, find(t, steps, "step.piece:front.role:row.no:1").Text, "5 patches and sashing strips")
	assert.Contains(t, find(t, steps, "step.piece:front.role:rows").Title, "long sashing strips")
	f.Sash.Posts = true
	posts := work.Steps(facing(t, f, 14*in, 9*in))
	assert.Contains(t, find(t, posts, "step.piece:front.role:row.no:2").Text, "sashing strips and cornerstones")
	assert.Equal(t, "Join the rows", find(t, posts, "step.piece:front.role:rows").Title)
}

func TestBordersByTheirCorners(t *testing.T) {
	for corner, want := range map[plan.BorderCorner][]string{
		plan.Butted: {"step.piece:front.of:1.role:border.no:1", "step.piece:front.of:1.role:border.no:2"},
		"squares":   {"step.piece:front.of:1.role:border.no:1", "step.piece:front.of:1.role:border.no:2"},
		"mitred": {"step.piece:front.of:1.role:border.no:1", "step.piece:front.of:1.role:border.no:2",
			"step.piece:front.of:1.role:mitre"},
	} {
		f := grid(2, 2)
		f.Borders = []plan.Border{{Width: plan.Extent{Width: 2 * in}, Cloth: "C", Corner: corner}}
		steps := work.Steps(facing(t, f, 12*in, 12*in))
		assert.Equal(t, want, ids(slices.DeleteFunc(steps, func(s work.Step) bool { return !s.Role.Bordering() })),
			corner)
	}
	f := grid(2, 2)
	f.Borders = []plan.Border{{Width: plan.Extent{Width: 2 * in},
		Pieced: &plan.PiecedBorder{Cloths: []string{"A", "B"}}}}
	pieced := work.Steps(facing(t, f, 12*in, 12*in))
	assert.Contains(t, find(t, pieced, "step.piece:front.of:1.role:border-patches").Text, "strip")
	find(t, pieced, "step.piece:front.of:1.role:border")
}

func TestStacksCheckerboardsStripsAndGathers(t *testing.T) {
	stack := plan.Face{Kind: plan.StackFace, Parts: []plan.Part{
		{Height: plan.Extent{Width: 2 * in}, Face: plan.Face{Kind: plan.CheckerFace, Columns: 12, Rows: 2,
			Patch: plan.Patch{Width: in, Height: in}, Cloths: []string{"A", "B"}}},
		{Height: plan.Extent{Width: 8 * in}, Face: grid(3, 2)},
		{Height: plan.Extent{Width: 2 * in}, Face: plan.Face{Kind: plan.StripsFace, Direction: plan.AcrossWay,
			Strips: []plan.Strip{{Width: plan.Extent{Width: in}, Cloth: "A"},
				{Width: plan.Extent{Width: in}, Cloth: "B"}}}},
	}}
	steps := work.Steps(facing(t, stack, 12*in, 12*in))
	assert.Equal(t, []string{"step.piece:front.of:1.role:set.no:1", "step.piece:front.of:1.role:rows",
		"step.piece:front.of:3.role:row.no:1", "step.piece:front.of:2.role:lay-out",
		"step.piece:front.of:2.role:row.no:1", "step.piece:front.of:2.role:row.no:2", "step.piece:front.of:2.role:rows",
		"step.piece:front.role:join-parts"}, ids(steps))
	assert.Contains(t, find(t, steps, "step.piece:front.of:1.role:rows").Text, "turned end for end")
	assert.Contains(t, find(t, steps, "step.piece:front.of:3.role:row.no:1").Text, "side by side, starting from alternate ends")
	gathered := work.Steps(facing(t, plan.Face{Kind: plan.GatheredFace, Cloth: "A", Ratio: 2.5}, 10*in, 8*in))
	assert.Equal(t, []string{"step.piece:front.role:gather"}, ids(gathered))
	at := func(id string) int { return slices.IndexFunc(gathered, func(s work.Step) bool { return s.ID == id }) }
	assert.True(t, at("step.role:measure") < at("step.piece:front.role:sample") &&
		at("step.piece:front.role:sample") < at("step.piece:front.role:cut-outer"), "the sample decides what is cut")
	assert.Contains(t, find(t, gathered, "step.piece:front.role:gather").Text, "until 25″ measures 10″")
	windows := work.Steps(facing(t,
		plan.Face{Kind: plan.WindowsFace, Columns: 2, Rows: 2, Unit: 3 * in, Ground: "A", Show: "B", Buttons: true},
		11*in/2, 11*in/2))
	assert.Equal(t, []string{"step.piece:front.role:fold-units", "step.piece:front.role:join-units",
		"step.piece:front.role:windows", "step.piece:front.role:points"}, ids(windows))
	assert.Contains(t, find(t, windows, "step.piece:front.role:points").Caution.Text(), "swallowed")
}

// A gathered part of a stack has its sample and its gathering, folded windows their
// folding, as they have by themselves.
func TestWorkedPartsOfAStackHaveTheirSteps(t *testing.T) {
	stack := plan.Face{Kind: plan.StackFace, Parts: []plan.Part{
		{Height: plan.Extent{Width: 4 * in}, Face: plan.Face{Kind: plan.GatheredFace, Cloth: "A", Ratio: 2.5}},
		{Height: plan.Extent{Width: 4 * in}, Face: plan.Face{Kind: plan.PlainFace, Cloth: "B", Pocket: "folded"}},
		{Height: plan.Extent{Width: 11 * in / 2},
			Face: plan.Face{Kind: plan.WindowsFace, Columns: 2, Rows: 1, Unit: 6 * in, Ground: "A",
				Show: "B"}},
	}}
	steps := work.Steps(facing(t, stack, 23*in/2, 27*in/2))
	assert.Equal(t, []string{"step.piece:front.of:1.role:gather", "step.piece:front.of:3.role:fold-units",
		"step.piece:front.of:2.role:lay-pocket", "step.piece:front.of:3.role:join-units",
		"step.piece:front.of:3.role:windows", "step.piece:front.role:join-parts"}, ids(steps))
	find(t, steps, "step.piece:front.of:1.role:sample")
	assert.Contains(t, find(t, steps, "step.piece:front.of:1.role:gather").Text, "measures 11½″")
}
