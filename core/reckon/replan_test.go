package reckon_test

import (
	"testing"

	"umschlag/core/answer"
	"umschlag/core/compare"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/sample"
)

// The centre is planned 16½ raw edge to raw edge; the border makes up for what it lacks.
func TestTheBorderFollowsTheMeasuredCentre(t *testing.T) {
	p := worked()
	before := reckon.Reckon(p, nil)
	p.Measured = []plan.Measured{{Gate: "gate.piece:front.role:pieced", Width: 65 * in / 4, Height: 33 * in / 2}}
	after := reckon.Reckon(p, nil)
	assert.Equal(t, "2⅝″", cut(t, before, "cut.piece:front.of:1.role:border-first").Width.Text)
	assert.Equal(t, "2¾″", cut(t, after, "cut.piece:front.of:1.role:border-first").Width.Text,
		"an eighth wider a side for a quarter that is missing")
	assert.Equal(t, "16½″", cut(t, after, "cut.piece:front.of:1.role:border-first").Height.Text)
	assert.Equal(t, cut(t, before, "cut.piece:front.of:1.role:border-second").Height,
		cut(t, after, "cut.piece:front.of:1.role:border-second").Height)
	p.Measured[0].Height = 131 * in / 8
	after = reckon.Reckon(p, nil)
	assert.Equal(t, "16⅜″", cut(t, after, "cut.piece:front.of:1.role:border-first").Height.Text,
		"cut as long as the centre is")
	assert.Equal(t, before.Pieces[0].Finished, after.Pieces[0].Finished, "the front finishes as planned")
}

// What is ticked off as cut stays as it was, whatever is measured or changed; measuring
// what was planned changes nothing; and two measurements give the same in either order.
func TestReplanningKeepsItsPromises(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		near := func(name string, planned length.Length) length.Length {
			return planned + length.Length(rapid.Int64Range(-3, 3).Draw(t, name))*in/16
		}
		p := worked()
		base := reckon.Reckon(p, nil)
		p.Progress.Cut = map[string]plan.AsCut{}
		for _, c := range base.Cuts {
			if rapid.Bool().Draw(t, "cut "+c.ID) {
				p.Progress.Cut[c.ID] = plan.AsCut{Width: length.Length(c.Width.NM), Height: length.Length(c.Height.NM)}
			}
		}
		pieced := plan.Measured{Gate: "gate.piece:front.role:pieced", Width: near("centre across", 33*in/2),
			Height: near("centre up", 33*in/2)}
		quilted := plan.Measured{Gate: "gate.piece:front.role:quilted", Width: near("front across", 39*in/2),
			Height: near("front up", 39*in/2)}
		p.Measured = []plan.Measured{pieced, quilted}
		r := reckon.Reckon(p, nil)
		for id := range p.Progress.Cut {
			was, now := cut(t, base, id), cut(t, r, id)
			assert.Equal(t, was.Width, now.Width, id)
			assert.Equal(t, was.Height, now.Height, id)
		}
		p.Measured = []plan.Measured{quilted, pieced}
		again := reckon.Reckon(p, nil)
		assert.Equal(t, r.Cuts, again.Cuts)
		assert.Equal(t, r.Back, again.Back)
	})
}

func TestOtherGatesMeasuredAsPlannedChangeNothing(t *testing.T) {
	p := worked()
	base := reckon.Reckon(p, nil)
	p.Measured = []plan.Measured{{Gate: "gate.piece:front.role:pieced", Width: 33 * in / 2, Height: 33 * in / 2},
		{Gate: "gate.piece:front.role:row.no:1", Width: 33 * in / 2}}
	r := reckon.Reckon(p, nil)
	assert.Equal(t, base.Cuts, r.Cuts)
	assert.Equal(t, base.Findings, r.Findings)
}

func TestARowThatIsShortNamesItsSeams(t *testing.T) {
	p := worked()
	p.Measured = []plan.Measured{{Gate: "gate.piece:front.role:row.no:2", Width: 33*in/2 - 3*in/16}}
	f := reckon.Reckon(p, nil).Findings
	require.NotEmpty(t, f)
	assert.Equal(t, "row-short", f[0].Code)
	assert.Contains(t, f[0].Text, "3 seams make, each ¹⁄₃₂″ too wide")
}

func TestASeamThatTakesItUpIsSaidWhenItIsSewn(t *testing.T) {
	p := worked()
	p.Measured = []plan.Measured{{Gate: "gate.piece:front.role:quilted", Width: 155 * in / 8, Height: 39 * in / 2,
		Across: plan.OtherSeam}}
	r := reckon.Reckon(p, nil)
	assert.Equal(t, "19″", r.Pieces[0].Finished.Width.Text, "the cover finishes as planned")
	for _, s := range r.Steps {
		if s.ID == "step.role:close" {
			assert.Contains(t, s.Text, "Sew the seams at the left and the right ³⁄₁₆″ instead of ¼″")
		}
	}
}

func testSquare() sample.Shelf {
	cross := &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in, Angle: 45}, {Pitch: in, Angle: -45}}}
	return sample.Shelf{"square": {Title: "Square", Kind: plan.QuiltingSample, Quilting: cross,
		Layers: &plan.Layers{Batting: &plan.Batting{Count: 1, Loft: 3 * length.Millimetre}, Lining: "L"},
		Before: plan.Sized{Width: 10 * in, Height: 10 * in},
		After:  []plan.Sized{{Width: 39 * in / 4, Height: 79 * in / 8}}}}
}

func TestASampleDecidesTheTakeUp(t *testing.T) {
	p := worked()
	q := p.Pieces["front"]
	q.TakeUp = &plan.TakeUp{From: plan.FromSample, ID: "square"}
	p.Pieces["front"] = q
	r := reckon.Reckon(p, &reckon.Workshop{Samples: testSquare()})
	require.NotEmpty(t, r.Pieces, "%v", r.Findings)
	front := r.Pieces[0]
	assert.InDelta(t, 2.5, front.TakeUp[0], 1e-9)
	assert.InDelta(t, 1.25, front.TakeUp[1], 1e-9)
	assert.Equal(t, "sample", front.TakeUpFrom)
	assert.InDelta(t, 20.5/0.975, float64(front.BeforeQuilting.Width.NM)/float64(in), 1e-6,
		"a term of the sum: 20½ ÷ (1 − t)")
	q.Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: 2 * in, Angle: 45}, {Pitch: 2 * in, Angle: -45}}}
	p.Pieces["front"] = q
	r = reckon.Reckon(p, &reckon.Workshop{Samples: testSquare()})
	assert.InDelta(t, (2.5+1.25)/2/4, r.Pieces[0].TakeUp[0], 0.001, "twice as far apart, a quarter as much")
	assert.Equal(t, "sample-carried", r.Findings[0].Code)
	q.Layers = &plan.Layers{Batting: &plan.Batting{Count: 2, Loft: 3 * length.Millimetre}, Lining: "L"}
	p.Pieces["front"] = q
	r = reckon.Reckon(p, &reckon.Workshop{Samples: testSquare()})
	assert.Equal(t, "sample-other", r.Findings[0].Code)
	assert.Equal(t, "sample-unknown", reckon.Reckon(p, nil).Findings[0].Code)
}

func TestWhereASampleCouldBeUsed(t *testing.T) {
	s := testSquare()["square"]
	uses := compare.Uses(worked(), "square", s)
	require.Len(t, uses, 1)
	assert.Equal(t, []any{"/pieces/front/take_up", false, ""}, []any{uses[0].Path, uses[0].Used, uses[0].Other})
	again := compare.Uses(uses[0].With, "square", s)
	assert.True(t, again[0].Used)
	wash := plan.Sample{Kind: plan.WashSample, Before: plan.Sized{Width: 10 * in, Height: 10 * in},
		After: []plan.Sized{{Width: 39 * in / 4, Height: 77 * in / 8}}}
	uses = compare.Uses(worked(), "wash", wash)
	assert.InDelta(t, 3.75, uses[0].With.Cover.Wash, 1e-9, "the direction that shrinks more")
	assert.Empty(t, compare.Uses(worked(), "g", plan.Sample{Kind: plan.GatherSample}))
}

func TestWhatIsSpoiledIsCutOnceMore(t *testing.T) {
	p := worked()
	placed := func(r answer.Reckoning) (n int) {
		for _, c := range r.Cloths {
			for _, at := range c.Lay.Placed {
				if r.Cuts[at.Cut].ID == "cut.piece:front.role:patch.cloth:A" {
					n++
				}
			}
		}
		return n
	}
	before := reckon.Reckon(p, nil)
	p.Progress.Spoiled = map[string]int{"cut.piece:front.role:patch.cloth:A": 2}
	after := reckon.Reckon(p, nil)
	assert.Equal(t, placed(before)+2, placed(after), "the cutting layout has room for them")
	assert.Equal(t, 2, cut(t, after, "cut.piece:front.role:patch.cloth:A").Spoiled)
	assert.Equal(t, cut(t, before, "cut.piece:front.role:patch.cloth:A").Count,
		cut(t, after, "cut.piece:front.role:patch.cloth:A").Count, "a cover still takes as many")
	p.Copies = 3
	of := cut(t, reckon.Reckon(p, nil), "cut.piece:front.role:patch.cloth:A")
	assert.Equal(t, 3*of.Count+2, of.Total, "three covers, and two once more")
	p.Progress.Spoiled = map[string]int{"cut.piece:front.role:patch.cloth:A": 0}
	assert.Equal(t, "/progress/spoiled/cut.piece:front.role:patch.cloth:A", reckon.Reckon(p, nil).Findings[0].About)
}
