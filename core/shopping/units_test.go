package shopping_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/shopping"
	"umschlag/core/stock"
)

func TestUnitsThatAreOverAreLeftToOthers(t *testing.T) {
	of := func(fabric string) stock.Units {
		u, err := stock.ReadUnits(plan.MadeUnits{Cells: "A / B", Fabrics: []string{fabric, "linen"},
			Width: 4 * length.Inch, Height: 4 * length.Inch, Seam: length.Inch / 4, Count: 1})
		require.NoError(t, err)
		return u
	}
	want := func(name, fabric string, missing, over int) shopping.UnitWant {
		return shopping.UnitWant{Plan: name, Of: of(fabric), Missing: missing, Over: over}
	}
	type passed struct {
		from, to string
		n        int
	}
	for _, c := range []struct {
		says  string
		wants []shopping.UnitWant
		want  []passed
	}{
		{"nine and nine, two at a time", []shopping.UnitWant{want("a", "dot", 9, 1), want("b", "dot", 9, 1)},
			[]passed{{"a", "b", 1}}},
		{"three of nine", []shopping.UnitWant{want("a", "dot", 9, 1), want("b", "dot", 9, 1), want("c", "dot", 9, 1)},
			[]passed{{"a", "b", 1}}},
		{"four of nine", []shopping.UnitWant{want("a", "dot", 9, 1), want("b", "dot", 9, 1), want("c", "dot", 9, 1),
			want("d", "dot", 9, 1)}, []passed{{"a", "b", 1}, {"c", "d", 1}}},
		{"one to an even number spares nothing",
			[]shopping.UnitWant{want("a", "dot", 9, 1), want("b", "dot", 8, 0)}, nil},
		{"two to an even number", []shopping.UnitWant{want("a", "dot", 6, 2), want("b", "dot", 8, 0)},
			[]passed{{"a", "b", 2}}},
		{"of another fabric", []shopping.UnitWant{want("a", "dot", 9, 1), want("b", "leaf", 9, 1)}, nil},
		{"of one plan", []shopping.UnitWant{want("a", "dot", 9, 1), want("a", "dot", 9, 1)}, nil},
		{"none is missing", []shopping.UnitWant{want("a", "dot", 9, 1), want("b", "dot", 0, 0)}, nil},
	} {
		var got []passed
		for _, p := range shopping.Pass(c.wants) {
			got = append(got, passed{p.From, p.To, p.Count})
		}
		assert.Equal(t, c.want, got, c.says)
	}
	style := length.Style{Unit: length.Inches, Denominator: 8}
	one := shopping.Passed{From: "Stool", To: "Bench", Of: of("dot"), Count: 1}
	assert.Equal(t, "1 half-square triangle, 4″ × 4″ as sewn, of dot and linen, is over in Stool. Sew that first, put it "+
		"into the cupboard, and take it from there for Bench before that is cut.", one.Says(style))
	one.Count = 2
	assert.Contains(t, one.Says(style), "are over in Stool. Sew that first, put them")
}
