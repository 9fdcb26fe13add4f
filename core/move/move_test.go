package move_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/cover"
	"umschlag/core/length"
	"umschlag/core/move"
	"umschlag/core/panel"
	"umschlag/core/plan"
	_ "umschlag/seeded"
)

const in = length.Inch

func ptr[T any](v T) *T { return &v }

// stacked is a cushion of 16 × 20 whose front is a stack of a band of 8 in and what is left, a shape on either, and
// one on a stack within the lower one.
func stacked() plan.Plan {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Title, p.Cover.Kind = "any", plan.Cushion
	p.Object = plan.Object{Kind: plan.Form, Width: 16 * in, Height: 20 * in}
	p.Cloths = map[string]plan.Cloth{"A": {Name: "a"}}
	shape := func() []plan.Shape {
		return []plan.Shape{{Shape: "circle", Width: 2 * in, Cloth: "A", At: plan.At{Left: ptr(in), Top: ptr(in)}}}
	}
	plain := func(shapes []plan.Shape) plan.Face {
		return plan.Face{Kind: plan.PlainFace, Cloth: "A", Applique: shapes}
	}
	inner := plan.Face{Kind: plan.StackFace, Parts: []plan.Part{{Height: plan.Extent{Width: 5 * in}, Face: plain(nil)},
		{Height: plan.Extent{Rest: true}, Face: plain(shape())}}}
	p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.StackFace, Parts: []plan.Part{
		{Height: plan.Extent{Width: 8 * in}, Face: plain(shape())}, {Height: plan.Extent{Rest: true}, Face: inner}}}}}
	all := plan.StartsIn(length.Inches).Fittings
	p.Fittings = []plan.Fitting{all[slices.IndexFunc(all, func(f plan.Fitting) bool { return f.Kind == "pocket" })]}
	p.Fittings[0].On, p.Fittings[0].At = "front", plan.At{Left: ptr(2 * in), Top: ptr(2 * in)}
	return p.Keyed(nil)
}

// drawn is where the corner of the shape on a part is drawn, on its whole piece.
func drawn(t require.TestingT, p plan.Plan, cloths int) (x, y length.Length) {
	s := p.Settle()
	c, found := cover.Pieces(s)
	require.False(t, found.Stopped())
	made, found := panel.Order{Plan: s}.Of(c.Pieces[0])
	require.False(t, found.Stopped(), "%v", found)
	require.Greater(t, len(made.Applied), cloths)
	return made.Applied[cloths].X, made.Applied[cloths].Y
}

// A shape that is brought somewhere by hand lies there when its plan is drawn again, to half a ruler step, on whatever
// part of a stack it lies.
func TestAShapeLiesWhereItIsBrought(t *testing.T) {
	for i, c := range []struct {
		about string
		top   length.Length // of its part
		at    func(*plan.Plan) *plan.At
	}{
		{"/pieces/front/face/parts/0/face/applique/0", 0,
			func(p *plan.Plan) *plan.At { return &p.Pieces["front"].Face.Parts[0].Face.Applique[0].At }},
		{"/pieces/front/face/parts/1/face/parts/1/face/applique/0", 13 * in,
			func(p *plan.Plan) *plan.At { return &p.Pieces["front"].Face.Parts[1].Face.Parts[1].Face.Applique[0].At }},
	} {
		rapid.Check(t, func(t *rapid.T) {
			p := stacked()
			x, y := in.Times(rapid.IntRange(1, 12).Draw(t, "x")), c.top+in.Times(rapid.IntRange(1, 4).Draw(t, "y"))
			x += length.Length(rapid.Int64Range(0, int64(in/2)).Draw(t, "a little further"))
			at, ok := move.Shape(p, c.about, x, y)
			require.True(t, ok)
			*c.at(&p) = at
			gotX, gotY := drawn(t, p, i)
			assert.InDelta(t, x.Float(), gotX.Float(), (in / 8).Float())
			assert.InDelta(t, y.Float(), gotY.Float(), (in / 8).Float())
		})
	}
}

// What is not there, or lies on a cover that cannot be made, is moved nowhere.
func TestWhatIsNotThereIsNotMoved(t *testing.T) {
	for _, about := range []string{"", "/pieces/front/face/applique/0", "/pieces/front/face/parts/0/face/applique/1",
		"/pieces/back/face/parts/0/face/applique/0"} {
		_, ok := move.Shape(stacked(), about, in, in)
		assert.False(t, ok, about)
	}
	_, ok := move.Fitting(stacked(), 1, in, in)
	assert.False(t, ok)
	p := stacked() // moved to where it stands it stays, and an inch on it is an inch on
	at, ok := move.Fitting(p, 0, 2*in, 2*in)
	require.True(t, ok)
	assert.Equal(t, p.Fittings[0].At, at)
	at, ok = move.Fitting(p, 0, 2*in, 3*in)
	require.True(t, ok)
	assert.Equal(t, plan.At{Left: ptr(2 * in), Top: ptr(3 * in)}, at)
	for name, spoil := range map[string]func(*plan.Plan){
		"no size":       func(p *plan.Plan) { p.Object.Width = 0 },
		"a wide flange": func(p *plan.Plan) { p.Cover.Flange = 8 * in },
	} {
		p := stacked()
		spoil(&p)
		_, ok := move.Shape(p, "/pieces/front/face/parts/0/face/applique/0", in, in)
		assert.False(t, ok, name)
		_, ok = move.Fitting(p, 0, in, in)
		assert.False(t, ok, name)
	}
}
