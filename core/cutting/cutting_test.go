package cutting_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/cutting"
	"umschlag/core/finding"
	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

const in = length.Inch

func list(change func(*plan.Plan)) *cutting.List {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object = plan.Object{Kind: plan.Form, Width: 16 * in, Height: 16 * in}
	p.Cover = plan.Cover{Kind: plan.Cushion, Seam: in / 4}
	p.Cloths = map[string]plan.Cloth{"A": {Name: "leaf", Usable: ptr(40 * in)}}
	if change != nil {
		change(&p)
	}
	return &cutting.List{Plan: p.Settle(), Found: &finding.List{}}
}

func rectangle(w, h length.Length) sum.Size {
	return sum.Size{Width: sum.Of(sum.Part, "wide", w), Height: sum.Of(sum.Part, "high", h)}
}

func panelCut(size sum.Size) cutting.Cut {
	return cutting.Cut{About: ref.About{Piece: "front", Role: ref.Panel}, Piece: "front", Title: "Front", Cloth: "A",
		Size: size, Count: 1}
}

func TestCutsAreCountedForAllCopiesAndWhatWasSpoiled(t *testing.T) {
	id := ref.About{Piece: "front", Role: ref.Panel}.Ref(ref.Cut).String()
	l := list(func(p *plan.Plan) {
		p.Copies = 3
		p.Progress.Spoiled = map[string]int{id: 2}
	})
	assert.Equal(t, id, l.Add(panelCut(rectangle(9*in, 9*in))))
	assert.Equal(t, 5, l.Cuts[0].Total)
	assert.Equal(t, "square", l.Cuts[0].Shape)
	assert.Equal(t, cutting.Outer, l.Cuts[0].Layer)
	assert.Equal(t, 5, l.Of("A")[0].Count)
}

func TestWhatIsTickedStaysAsItWasCut(t *testing.T) {
	id := ref.About{Piece: "front", Role: ref.Panel}.Ref(ref.Cut).String()
	l := list(func(p *plan.Plan) { p.Progress.Cut = map[string]plan.AsCut{id: {Width: 9 * in, Height: 8 * in}} })
	l.Add(panelCut(rectangle(10*in, 8*in)))
	assert.Equal(t, 9*in, l.Cuts[0].Size.Width.Total())
	assert.True(t, l.Cuts[0].Done)
	assert.Equal(t, "cut-stays", (*l.Found)[0].Code)
	assert.Contains(t, (*l.Found)[0].Text, "9″ × 8″; as things are it would be 10″ × 8″")
}

// A strip of 100 in from cloth with 40 in between its selvedges: three strips share two joins of two seams each,
// (100 + 2 × ½) ÷ 3 = 33⅔, up to the ruler 33¾. Geometry.
func TestALongStripIsJoinedFromEqualOnes(t *testing.T) {
	l := list(nil)
	_, n := l.Strips(true, in/4, panelCut(rectangle(100*in, 3*in)))
	assert.Equal(t, 3, n)
	assert.Equal(t, 3, l.Cuts[0].Count)
	assert.Equal(t, 33*in+3*in/4, l.Cuts[0].Size.Width.Total())
	assert.Equal(t, "strip-joined", (*l.Found)[0].Code)
	l = list(nil)
	_, n = l.Strips(false, in/4, panelCut(rectangle(100*in, 3*in)))
	assert.Equal(t, 1, n, "what may not be joined is cut in one")
}

func TestWhatLiesUnderAPanel(t *testing.T) {
	l := list(nil)
	q := plan.Piece{Layers: &plan.Layers{Batting: &plan.Batting{Count: 2, Cloth: "batting", Offcuts: true},
		Lining: "A"},
		Quilting: &plan.Quilting{Ditch: true}}
	chain, _ := layers.Of(layers.Order{Path: "/pieces/front",
		Piece:   plan.Plan{Pieces: map[string]plan.Piece{"front": q}}.Settle().Piece("front"),
		Trimmed: rectangle(16*in, 16*in), Step: in / 8})
	l.Under(cutting.Stack{Piece: "front", Chain: chain, Count: 1, At: "/pieces/front"})
	assert.Equal(t, []string{cutting.Batting, cutting.Lining}, []string{l.Cuts[0].Layer, l.Cuts[1].Layer})
	assert.Equal(t, 2, l.Cuts[0].Count)
	assert.True(t, l.Cuts[0].Had, "offcuts are there already")
	assert.Empty(t, l.Of("batting"), "and take no fabric")
	assert.Equal(t, "/pieces/front/layers/lining", l.Cuts[1].At)
}

func ptr[T any](v T) *T { return &v }

// Two covers of nine half-squares each: eighteen come from nine squares, where five and five would be ten.
func TestPatchesOfAllCopiesAreCutTogether(t *testing.T) {
	half := func(copies int) cutting.Cut {
		l := list(func(p *plan.Plan) { p.Copies = copies })
		c := panelCut(rectangle(3*in, 3*in))
		c.Count, c.Gives, c.Patches = 5, 2, 9
		l.Add(c)
		return l.Cuts[0]
	}
	one, two := half(1), half(2)
	assert.Equal(t, []int{5, 5, 1}, []int{one.Count, one.Total, one.Over})
	assert.Equal(t, []int{5, 9, 0}, []int{two.Count, two.Total, two.Over})
}
