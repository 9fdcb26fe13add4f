package front_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/finding"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
)

func panel(p *plan.FoundPanel) plan.Face {
	return plan.Face{Kind: plan.FoundFace, Cloth: "A", Panel: p, Order: plan.Order{Kind: plan.Alternate}}
}

// 140 × 98 squares at 14 to the inch are 10 × 7 in, by the rule of counted work: squares
// divided by count (common practice). Four more all round show, and the seam of ¼ in takes
// four squares more: 3½ would lie in the middle of one.
func TestCountedClothIsCutByItsSquares(t *testing.T) {
	p := &plan.FoundPanel{Kind: plan.CountedPanel, Across: 140, Up: 98, Count: 14}
	w, h, ok := p.Counted()
	require.True(t, ok)
	assert.Equal(t, []length.Length{10 * in, 7 * in}, []length.Length{w, h})
	p.Margin = 4
	w, h, _ = p.Counted()
	f, found := front.Build(order(panel(p), w, h))
	require.Empty(t, found)
	require.Len(t, f.Found, 1)
	got := f.Found[0]
	assert.Equal(t, [2]int{8, 8}, got.Outside)
	assert.Equal(t, [2]int{156, 114}, got.Squares)
	assert.InDelta(t, 156.0/14, got.Size.Width.Total().Float()/in.Float(), 1e-7)
	assert.InDelta(t, 148.0/14, f.Finished.Width.Total().Float()/in.Float(), 1e-7)
}

func TestACountedPanelInABorder(t *testing.T) {
	face := panel(&plan.FoundPanel{Kind: plan.CountedPanel, Across: 126, Up: 126, Count: 18})
	face.Borders = []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: "B", Corner: plan.Butted}}
	f, found := front.Build(order(face, 12*in, 12*in))
	require.Empty(t, found)
	assert.Equal(t, [2]int{5, 5}, f.Found[0].Outside, "¼ in at 18 to the inch is 4½ squares")
	assert.Equal(t, 1, f.Rings)
}

// A print of 24 × 30 whose motif lies 10 from its left and 16 from its top.
func TestAPrintIsCutApartRoundItsMiddle(t *testing.T) {
	left, top := 10*in, 16*in
	p := &plan.FoundPanel{Kind: plan.PrintedPanel, Width: 24 * in, Height: 30 * in, Left: &left, Top: &top}
	f, found := front.Build(order(panel(p), 16*in, 16*in))
	require.Empty(t, found)
	half := 33 * in / 4 // 16 and two seams, halved
	assert.Equal(t, [4]length.Length{left - half, 14*in - half, top - half, 14*in - half}, f.Found[0].From)

	_, found = front.Build(order(panel(p), 20*in, 20*in))
	require.Len(t, found, 1)
	assert.Equal(t, []any{"panel-short", "/pieces/front/face/patch/width", finding.Stop},
		[]any{found[0].Code, found[0].About, found[0].Level})
	assert.Contains(t, found[0].Text, "¼″ too soon at the left")
	assert.Contains(t, found[0].Remedy, "19½″")

	p.Left, p.Top = nil, nil
	f, found = front.Build(order(panel(p), 20*in, 20*in))
	require.Empty(t, found, "its own middle leaves more room")
	assert.Equal(t, f.Found[0].From[0], f.Found[0].From[1])
}

func TestAWorkedPanelIsBackedFirst(t *testing.T) {
	face := panel(&plan.FoundPanel{Kind: plan.WorkedPanel})
	_, found := front.Build(order(face, 14*in, 14*in))
	require.Len(t, found, 1)
	assert.Equal(t, []any{"panel-gives", finding.Warn}, []any{found[0].Code, found[0].Level})
	face.Backed = "L"
	f, found := front.Build(order(face, 14*in, 14*in))
	require.Empty(t, found)
	assert.True(t, f.Found[0].Backed)
}
