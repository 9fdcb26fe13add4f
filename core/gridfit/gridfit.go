// Package gridfit finds grids that fill a size: how many patches of which size, with
// sashes and a border or without, ranked with the reasons.
package gridfit

import (
	"cmp"
	"fmt"
	"slices"

	"umschlag/core/length"
)

// Borders is whether a border is wanted.
type Borders string

// The wishes.
const (
	AnyBorder Borders = "any"
	NoBorder  Borders = "none"
	Bordered  Borders = "yes"
)

// Order is what has to be filled, and the limits.
type Order struct {
	// Width and Height as finished.
	Width, Height length.Length
	// Seam allowance, and the ruler step that cut patches have to be on.
	Seam, Step length.Length
	// Least and Most a patch finishes, both ways.
	Least, Most length.Length
	// Ready is the cut size of ready-cut squares, or the width of ready-cut strips; 0
	// for patches of any size.
	Ready  length.Length
	Border Borders
	// Sashes to be tried between the patches, finished; none for patches alone.
	Sashes []length.Length
	Style  length.Style
}

// Layout is one grid that fills the size.
type Layout struct {
	Columns, Rows int
	// Patch as it finishes.
	PatchWidth, PatchHeight length.Length
	// Sash between the patches, and Border round them; 0 for none.
	Sash, Border length.Length
	// BorderDown is the border above and below, where it differs. Rest marks borders that
	// take what is left, since they are not all of one size to the nanometre.
	BorderDown length.Length
	Rest       bool
	// Cloth that is cut, as a share of what finishes.
	Cloth   float64
	Reasons []string
	rank    [5]float64
}

const (
	leastBorder = length.Inch / 2 // worth sewing; common practice
	mostPatches = 60              // along one side
	// mostBordered is the share of a side that borders take before they outweigh the
	// patches. Common practice.
	mostBordered = 1.0 / 3
	// Most is how many are shown.
	Most = 12
)

// Best are the dozen best layouts, best first. All that fill the size are tried: square
// patches in both directions with a border or without, and patches that are not square
// where nothing else is left over.
//
// Ranked by square patches, borders alike, few odd fractions, cloth used, in that order
// (docs/arithmetic.md §6.8); of layouts with the same patch, or the same number of patches, only the best is kept.
func Best(o Order) []Layout {
	f := &fitter{Order: o}
	for _, sash := range append([]length.Length{0}, o.Sashes...) {
		f.squares(sash)
		f.oblongs(sash)
	}
	return f.best()
}

type fitter struct {
	Order
	found []Layout
}

// sides are the patches that are tried: finished sizes whose cuts are on the ruler.
func (f *fitter) sides() (from, to, step length.Length) {
	if f.Ready > 0 {
		return f.Ready - 2*f.Seam, f.Ready - 2*f.Seam, length.Inch
	}
	return max((f.Least+2*f.Seam).Ceil(f.Step)-2*f.Seam, f.Step), f.Most, f.Step
}

// squares tries every square patch with every number of columns and rows.
func (f *fitter) squares(sash length.Length) {
	from, to, step := f.sides()
	for p := from; p <= to && p > 0; p += step {
		for c := 1; c <= mostPatches; c++ {
			left := rest(f.Width, p, sash, c)
			if left < 0 {
				break
			}
			if !f.allowed(left) {
				continue
			}
			x := left / 2
			// Rows whose border comes nearest to the one at the sides, from both sides.
			r := int((f.Height - 2*x + sash) / (p + sash))
			for _, rows := range []int{r, r + 1} {
				if over := rest(f.Height, p, sash, rows); rows > 0 && f.allowed(over) && (left == 0) == (over == 0) {
					f.add(Layout{Columns: c, Rows: rows, PatchWidth: p, PatchHeight: p, Sash: sash, Border: x,
						BorderDown: over / 2, Rest: left != over || left%2 != 0})
				}
			}
		}
	}
}

// oblongs tries patches that fill without a border and are not square.
func (f *fitter) oblongs(sash length.Length) {
	if f.Ready > 0 || f.Border == Bordered {
		return
	}
	across, down := f.whole(f.Width, sash), f.whole(f.Height, sash)
	for c, w := range across {
		for r, h := range down {
			if long, short := max(w, h), min(w, h); w != h && long <= 2*short {
				f.add(Layout{Columns: c, Rows: r, PatchWidth: w, PatchHeight: h, Sash: sash})
			}
		}
	}
}

// whole are the patches that fill a direction, by their number.
func (f *fitter) whole(size, sash length.Length) map[int]length.Length {
	out := map[int]length.Length{}
	for n := 1; n <= mostPatches; n++ {
		room := size - sash.Times(n-1)
		p := room.Div(n)
		if p >= f.Least && p <= f.Most && p.Times(n) == room && (p + 2*f.Seam).OnStep(f.Step) {
			out[n] = p
		}
	}
	return out
}

// rest is what a number of patches leaves over for both borders.
func rest(size, patch, sash length.Length, n int) length.Length {
	return size - patch.Times(n) - sash.Times(n-1)
}

// allowed reports whether what is left over for both borders is wanted and worth sewing.
func (f *fitter) allowed(left length.Length) bool {
	if left == 0 {
		return f.Border != Bordered
	}
	return f.Border != NoBorder && left/2 >= leastBorder
}

// add ranks a layout.
func (f *fitter) add(l Layout) {
	if l.Columns*l.Rows < 2 {
		return
	}
	s := f.Seam
	cut := func(w, h length.Length) float64 { return (w + 2*s).Float() * (h + 2*s).Float() }
	area := float64(l.Columns*l.Rows) * cut(l.PatchWidth, l.PatchHeight)
	if l.Sash > 0 {
		area += float64(l.Rows*(l.Columns-1))*cut(l.Sash, l.PatchHeight) + float64(l.Rows-1)*cut(f.Width-2*l.Border,
			l.Sash)
	}
	if l.Border > 0 {
		area += 2*cut(l.Border, f.Height-2*l.BorderDown) + 2*cut(f.Width, l.BorderDown)
	}
	l.Cloth = area / (f.Width.Float() * f.Height.Float())
	odd := f.odd(l.PatchWidth) + f.odd(l.PatchHeight) + f.odd(l.Border) + f.odd(l.BorderDown)
	uneven := (l.Border - l.BorderDown).Abs().Float() / length.Inch.Float()
	wide := max(0, 2*l.Border.Float()/f.Width.Float()-mostBordered,
		2*l.BorderDown.Float()/f.Height.Float()-mostBordered)
	if side := min(l.PatchWidth, l.PatchHeight); max(l.Border, l.BorderDown) > side {
		wide++ // a border wider than its patches looks like a mistake
	}
	l.rank = [5]float64{flag(l.PatchWidth != l.PatchHeight), flag(uneven > 0) + uneven, wide, float64(odd), l.Cloth}
	f.found = append(f.found, l)
}

func flag(b bool) float64 {
	if b {
		return 1
	}
	return 0
}

// odd is how fine a fraction a size has: 0 for whole inches or centimetres, 1 for
// halves, 2 for quarters, 3 for eighths, 4 for finer ones.
func (f *fitter) odd(l length.Length) int {
	unit := f.Style.Unit.Size()
	for i := range 4 {
		if l%(unit>>i) == 0 {
			return i
		}
	}
	return 4
}

// reasons say why a layout stands where it does.
func (f *fitter) reasons(l Layout) []string {
	text := f.Style.Text
	var out []string
	if l.PatchWidth == l.PatchHeight {
		out = append(out, "square patches")
	} else {
		out = append(out, fmt.Sprintf("patches of %s × %s", text(l.PatchWidth), text(l.PatchHeight)))
	}
	switch {
	case l.Border == 0:
		out = append(out, "nothing left over")
	case l.Border == l.BorderDown:
		out = append(out, "borders alike")
	default:
		out = append(out, fmt.Sprintf("borders of %s and %s", text(l.Border), text(l.BorderDown)))
	}
	switch odd := l.rank[3]; {
	case f.Ready > 0:
		out = append(out, "from ready-cut "+text(f.Ready))
	case odd == 0:
		out = append(out, "whole sizes")
	case odd >= 6:
		out = append(out, "fine fractions")
	}
	return append(out, fmt.Sprintf("%.2f times the fabric that shows", l.Cloth))
}

// best sorts and keeps the best of every patch, a dozen of them.
func (f *fitter) best() []Layout {
	slices.SortStableFunc(f.found, func(a, b Layout) int {
		return cmp.Or(slices.Compare(a.rank[:], b.rank[:]), cmp.Compare(a.Columns, b.Columns),
			cmp.Compare(a.Rows, b.Rows), cmp.Compare(a.Sash, b.Sash))
	})
	type patch struct{ w, h, sash length.Length }
	type count struct {
		c, r int
		sash length.Length
	}
	patches, counts := map[patch]bool{}, map[count]bool{}
	out := []Layout{}
	for _, l := range f.found {
		p, n := patch{l.PatchWidth, l.PatchHeight, l.Sash}, count{l.Columns, l.Rows, l.Sash}
		if (patches[p] && f.Ready == 0) || counts[n] {
			continue
		}
		patches[p], counts[n] = true, true
		l.Reasons = f.reasons(l)
		if out = append(out, l); len(out) == Most {
			break
		}
	}
	return out
}
