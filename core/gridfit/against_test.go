package gridfit_test

import (
	"fmt"
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/gridfit"
	"umschlag/core/length"
)

// any draws an order of whole eighths with everything that can be wished for.
func anyOrder(t *rapid.T) gridfit.Order {
	eighths := rapid.IntRange(40, 200)
	o := order((in / 8).Times(eighths.Draw(t, "w")), (in / 8).Times(eighths.Draw(t, "h")))
	wishes := []gridfit.Borders{gridfit.AnyBorder, gridfit.NoBorder, gridfit.Bordered}
	o.Border = rapid.SampledFrom(wishes).Draw(t, "border")
	if rapid.Bool().Draw(t, "sash") {
		o.Sashes = []length.Length{in / 2, in}
	}
	return o
}

// pieces are all the pieces of a layout as they finish, one by one: patches, sashes between them in every row, long
// sashes between the rows, two borders beside it and two over its whole width.
func pieces(o gridfit.Order, l gridfit.Layout) (out [][2]float64) {
	for range l.Rows {
		for c := range l.Columns {
			out = append(out, [2]float64{l.PatchWidth.Float(), l.PatchHeight.Float()})
			if c > 0 && l.Sash > 0 {
				out = append(out, [2]float64{l.Sash.Float(), l.PatchHeight.Float()})
			}
		}
	}
	inner := (o.Width - 2*l.Border).Float()
	for range l.Rows - 1 {
		if l.Sash > 0 {
			out = append(out, [2]float64{inner, l.Sash.Float()})
		}
	}
	if l.Border > 0 {
		for range 2 {
			out = append(out, [2]float64{l.Border.Float(), (o.Height - 2*l.BorderDown).Float()},
				[2]float64{o.Width.Float(), l.BorderDown.Float()})
		}
	}
	return out
}

// Piece by piece: what finishes covers the size, and what is cut, a seam round each, is the cloth that is told.
func TestTheClothPieceByPiece(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		o := anyOrder(t)
		for _, l := range gridfit.Best(o) {
			shows, cut := 0.0, 0.0
			for _, p := range pieces(o, l) {
				shows += p[0] * p[1]
				cut += (p[0] + 2*o.Seam.Float()) * (p[1] + 2*o.Seam.Float())
			}
			whole := o.Width.Float() * o.Height.Float()
			assert.InEpsilon(t, whole, shows, 1e-9)
			assert.InEpsilon(t, cut/whole, l.Cloth, 1e-9)
			assert.Equal(t, fmt.Sprintf("%.2f times the fabric that shows", l.Cloth), l.Reasons[len(l.Reasons)-1])
		}
	})
}

// fineness is how many times an inch is halved until a size is a whole number of what is left, four at most.
func fineness(l length.Length) int {
	inches := l.Float() / in.Float()
	for n := range 4 {
		if _, part := math.Modf(inches * math.Exp2(float64(n))); part == 0 {
			return n
		}
	}
	return 4
}

// ranked is what layouts stand by, in words of docs/arithmetic.md §6.8.
func ranked(o gridfit.Order, l gridfit.Layout) []float64 {
	oblong, uneven := 0.0, (l.Border-l.BorderDown).Abs().Float()/in.Float()
	if l.PatchWidth != l.PatchHeight {
		oblong = 1
	}
	if uneven > 0 {
		uneven++
	}
	wide := max(0, 2*l.Border.Float()/o.Width.Float()-1.0/3, 2*l.BorderDown.Float()/o.Height.Float()-1.0/3)
	if max(l.Border, l.BorderDown) > min(l.PatchWidth, l.PatchHeight) {
		wide++
	}
	odd := fineness(l.PatchWidth) + fineness(l.PatchHeight) + fineness(l.Border) + fineness(l.BorderDown)
	return []float64{oblong, uneven, wide, float64(odd), l.Cloth}
}

// They stand by square patches, borders alike, borders that are not too wide, few odd fractions, and cloth, each only
// where all before it are alike; and say which.
func TestTheyStandInOrderAndSayWhy(t *testing.T) {
	fine := 0
	rapid.Check(t, func(t *rapid.T) {
		o := anyOrder(t)
		list := gridfit.Best(o)
		for i, l := range list {
			rank := ranked(o, l)
			if i > 0 {
				assert.LessOrEqual(t, slices.Compare(ranked(o, list[i-1]), rank), 0)
			}
			patches := map[bool]string{true: "square patches",
				false: "patches of " + o.Style.Text(l.PatchWidth) + " × " +
					o.Style.Text(l.PatchHeight)}[rank[0] == 0]
			border := "borders of " + o.Style.Text(l.Border) + " and " + o.Style.Text(l.BorderDown)
			if l.Border == l.BorderDown {
				border = map[bool]string{true: "nothing left over", false: "borders alike"}[l.Border == 0]
			}
			want := []string{patches, border}
			if rank[3] == 0 {
				want = append(want, "whole sizes")
			}
			if rank[3] >= 6 {
				fine++
				want = append(want, "fine fractions")
			}
			assert.Equal(t, want, l.Reasons[:len(l.Reasons)-1])
		}
	})
	assert.Positive(t, fine)
}

// everything is every grid of whole half inches there is, with its cloth: square ones with borders worth sewing, and
// those that fill alone, no side of a patch more than twice the other.
func everything(o gridfit.Order) (all []gridfit.Layout) {
	for w := o.Least; w <= o.Most; w += in / 2 {
		for h := o.Least; h <= o.Most; h += in / 2 {
			for c := 1; w.Times(c) <= o.Width; c++ {
				for r := 1; h.Times(r) <= o.Height; r++ {
					across, down := o.Width-w.Times(c), o.Height-h.Times(r)
					alone, round := across == 0 && down == 0, w == h && across >= in && down >= in
					if c*r < 2 || !alone && !round || max(w, h) > 2*min(w, h) {
						continue
					}
					l := gridfit.Layout{Columns: c, Rows: r, PatchWidth: w, PatchHeight: h, Border: across / 2,
						BorderDown: down / 2}
					for _, p := range pieces(o, l) {
						l.Cloth += (p[0] + 2*o.Seam.Float()) * (p[1] + 2*o.Seam.Float())
					}
					l.Cloth /= o.Width.Float() * o.Height.Float()
					all = append(all, l)
				}
			}
		}
	}
	return all
}

// Against every grid there is: of the same patch, or as many columns and rows, only the best is offered, a dozen at
// most; of those that differ by their cloth alone any.
func TestTheBestOfEverything(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		o := order(in.Times(rapid.IntRange(8, 16).Draw(t, "w")), in.Times(rapid.IntRange(8, 16).Draw(t, "h")))
		o.Step, o.Most, o.Seam = in/2, 4*in, in/2
		all := everything(o)
		slices.SortStableFunc(all, func(a, b gridfit.Layout) int { return slices.Compare(ranked(o, a), ranked(o, b)) })
		patches, counts := map[[2]length.Length]bool{}, map[[2]int]bool{}
		var want [][]float64
		for _, l := range all {
			patch, count := [2]length.Length{l.PatchWidth, l.PatchHeight}, [2]int{l.Columns, l.Rows}
			if patches[patch] || counts[count] || len(want) == gridfit.Most {
				continue
			}
			patches[patch], counts[count] = true, true
			want = append(want, ranked(o, l))
		}
		list := gridfit.Best(o)
		require.NotEmpty(t, list)
		for i, l := range list {
			if ranked(o, l)[2] >= 1 {
				break // borders wider than their patches: what is left when all else is offered
			}
			assert.InDeltaSlice(t, want[i][:4], ranked(o, l)[:4], 1e-9, "%d: %v", i, l)
		}
	})
}

// Ready-cut squares say what they are, and only their own size is offered, with or without sashes.
func TestReadyCutIsSaid(t *testing.T) {
	o := order(39*in/2, 39*in/2)
	o.Ready, o.Sashes = 5*in, []length.Length{in / 2}
	for _, l := range gridfit.Best(o) {
		assert.Equal(t, 9*in/2, l.PatchHeight)
		assert.Contains(t, l.Reasons, "from ready-cut 5″")
	}
	o.Border = gridfit.NoBorder
	list := gridfit.Best(o)
	require.Len(t, list, 1, "four of 4½ and three sashing of ½")
	assert.Equal(t, [3]length.Length{4, 4, in / 2}, [3]length.Length{length.Length(list[0].Columns),
		length.Length(list[0].Rows), list[0].Sash})
}
