package lay_test

import (
	"cmp"
	"math/rand/v2"
	"slices"
	"testing"

	"github.com/crillab/gophersat/solver"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/lay"
)

// standing is a piece as it may stand, in whole inches.
type standing struct{ piece, w, h int }

// optimum is the shortest lay in strips as a general-purpose solver finds it: a strip
// is begun by the tallest piece in it, every piece lies in one strip, one way, and a
// strip holds what is as wide as the cloth together. Source of the model: Lodi,
// Martello and Vigo, Models and Bounds for Two-Dimensional Level Packing Problems,
// Journal of Combinatorial Optimization 8 (2004); from memory, with turning added.
func optimum(t *testing.T, items []lay.Item, usable int) int {
	t.Helper()
	stands, pieces := standings(items, usable)
	vars := 0
	in := make([][]int, len(stands))
	lies := make([][]int, pieces)
	var rules []solver.PBConstr
	for j, begins := range stands {
		in[j] = make([]int, len(stands))
		var beside, widths []int
		for e := j; e < len(stands); e++ {
			if e > j && stands[e].piece == begins.piece {
				continue
			}
			vars++
			in[j][e] = vars
			lies[stands[e].piece] = append(lies[stands[e].piece], vars)
			if e > j {
				beside, widths = append(beside, vars), append(widths, stands[e].w)
			}
		}
		if room := usable - begins.w; len(beside) > 0 && room > 0 {
			rules = append(rules, solver.LtEq(append(slices.Clone(beside), -in[j][j]), append(widths, room), room))
		}
		for _, v := range beside {
			rules = append(rules, solver.PropClause(-v, in[j][j]))
			if usable == begins.w {
				rules = append(rules, solver.PropClause(-v))
			}
		}
	}
	for _, vs := range lies {
		// The solver keeps its arguments and turns the signs of some about.
		rules = append(rules, solver.PropClause(slices.Clone(vs)...), solver.AtMost(slices.Clone(vs), 1))
	}
	problem := solver.ParsePBConstrs(rules)
	var begun []solver.Lit
	var heights []int
	for j, s := range stands {
		begun, heights = append(begun, solver.IntToLit(int32(in[j][j]))), append(heights, s.h)
	}
	problem.SetCostFunc(begun, heights)
	cost := solver.New(problem).Minimize()
	require.GreaterOrEqual(t, cost, 0, "the model has a solution")
	return cost
}

// standings lists every way every piece may stand, the tallest first.
func standings(items []lay.Item, usable int) (stands []standing, pieces int) {
	for _, it := range items {
		w, h := int(it.Width/in), int(it.Height/in)
		for range it.Count {
			if w <= usable {
				stands = append(stands, standing{pieces, w, h})
			}
			if it.MayTurn && w != h && h <= usable {
				stands = append(stands, standing{pieces, h, w})
			}
			pieces++
		}
	}
	slices.SortStableFunc(stands, func(a, b standing) int { return cmp.Compare(b.h, a.h) })
	return stands, pieces
}

func TestUpToTenPiecesLieAsASolverLaysThem(t *testing.T) {
	random := rand.New(rand.NewPCG(8, 1))
	better := 0
	for range 60 {
		usable := 20 + random.IntN(25)
		var items []lay.Item
		for left := 2 + random.IntN(9); left > 0; {
			n := 1 + random.IntN(min(left, 3))
			items = append(items, lay.Item{Cut: len(items), Width: in.Times(2 + random.IntN(usable-2)), Height: in.Times(2 + random.IntN(20)), Count: n, MayTurn: random.IntN(3) > 0})
			left -= n
		}
		l, out := lay.Of(items, in.Times(usable))
		require.Empty(t, out)
		require.NoError(t, check(items, out, l))
		assert.Equal(t, in.Times(optimum(t, items, usable)), l.Length, "%v on %d", items, usable)
		if l.Length > l.Bound {
			better++
		}
	}
	assert.Positive(t, better, "some lays are the shortest though the bound is below them")
}
