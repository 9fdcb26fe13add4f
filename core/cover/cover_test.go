package cover_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/cover"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

const in = length.Inch

func cushion() plan.Plan {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object = plan.Object{Kind: plan.Form, Width: 20 * in, Height: 16 * in}
	p.Cover.Kind = plan.Cushion
	p.Cover.Ease = plan.Axes{Width: -in, Height: in / 2}
	return p
}

func TestACushionIsPadAndEase(t *testing.T) {
	c, found := cover.Pieces(cushion())
	assert.Empty(t, found)
	pieces := c.Pieces
	require.Len(t, pieces, 2)
	for _, p := range pieces {
		assert.Equal(t, 19*in, p.Finished.Width.Total())
		assert.Equal(t, 33*in/2, p.Finished.Height.Total())
		assert.Equal(t, 39*in/2, p.Trimmed(p.Finished).Width.Total())
	}
	assert.Equal(t, sum.Sum{{Name: "insert across", Amount: 20 * in, Kind: sum.Object},
		{Name: "ease, cover smaller", Amount: -in, Kind: sum.Ease}}, pieces[0].Finished.Width)
}

func TestWashingIsAddedFirst(t *testing.T) {
	p := cushion()
	p.Cover.Wash = 5
	c, _ := cover.Pieces(p)
	assert.Equal(t, 20*in, c.Pieces[0].Finished.Width.Total(), "19 ÷ 0.95")
}

func TestWhatMakesNoCushionIsNamed(t *testing.T) {
	for about, change := range map[string]func(*plan.Plan){
		"/cover/kind":           func(p *plan.Plan) { p.Cover.Kind = "" },
		"/object/kind":          func(p *plan.Plan) { p.Object.Kind = plan.Box },
		"/cover/corners/radius": func(p *plan.Plan) { p.Cover.Corners.Kind = "round" },
		"/cover/corners/taper":  func(p *plan.Plan) { p.Cover.Corners = plan.Corners{Kind: "tapered", Taper: 3 * in} },
		"/cover/flange":         func(p *plan.Plan) { p.Cover.Flange = 20 * in },
		"/edges/binding":        func(p *plan.Plan) { p.Edges.Binding = &plan.Binding{} },
		"/cover/ease/width":     func(p *plan.Plan) { p.Cover.Ease.Width = -20 * in },
		"/cover/ease/height":    func(p *plan.Plan) { p.Cover.Ease.Height = -16 * in },
	} {
		p := cushion()
		change(&p)
		c, found := cover.Pieces(p)
		assert.Empty(t, c.Pieces, about)
		if assert.Len(t, found, 1, about) {
			assert.Equal(t, about, found[0].About)
			assert.NotEmpty(t, found[0].Remedy)
		}
	}
}
