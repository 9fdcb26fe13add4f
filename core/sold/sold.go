// Package sold knows how cloth is bought: off the bolt by a length, in whole bolts, in printed panels, in quarters.
package sold

import (
	"cmp"
	"fmt"
	"slices"

	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// As is how a cloth is sold; the same thing is said of a cloth that is only named.
type As struct {
	By plan.SoldBy
	// Each is the length of one step, bolt, panel or quarter; Wide is how wide a quarter is, 0 where it is as wide
	// as the cloth.
	Each, Wide length.Length
}

// How tells how a cloth is sold: by eighths of a yard or by 10 cm where nobody said.
func How(s *plan.Sold, unit length.Unit) As {
	if s == nil || s.By == plan.ByLength && s.Length == 0 {
		return As{By: plan.ByLength, Each: step(unit)}
	}
	if s.By == plan.ByQuarter {
		q := Quarter(unit)
		return As{By: plan.ByQuarter, Each: q.Length, Wide: q.Width}
	}
	return As{By: s.By, Each: s.Length}
}

// step is the length cloth is sold by. Common practice.
func step(unit length.Unit) length.Length {
	if unit == length.Inches {
		return length.Yard / 8
	}
	return 10 * length.Centimetre
}

// Quarter is a quarter of a yard or a metre that is cut half as wide and twice as long. Common practice.
func Quarter(unit length.Unit) lay.Odd {
	if unit == length.Inches {
		return lay.Odd{Width: 22 * length.Inch, Length: 18 * length.Inch}
	}
	return lay.Odd{Width: 55 * length.Centimetre, Length: 50 * length.Centimetre}
}

// Apart tells that it comes in pieces that are cut apart, so that a length of it is not enough to know.
func (a As) Apart() bool { return a.By == plan.ByPanel || a.By == plan.ByQuarter }

// Count is how many of what is sold a length takes.
func (a As) Count(need length.Length) int { return int((need + a.Each - 1) / a.Each) }

// Bolts is how many bolts give lengths, each in one piece: the longest first, each off the first bolt that has as much
// left. A length that is longer than a bolt takes bolts of its own. Common practice; never fewer than do.
func (a As) Bolts(lengths []length.Length) int {
	sorted := slices.Clone(lengths)
	slices.SortFunc(sorted, func(x, y length.Length) int { return cmp.Compare(y, x) })
	var left []length.Length
	n := 0
	for _, l := range sorted {
		if l > a.Each {
			n += a.Count(l)
			continue
		}
		i := slices.IndexFunc(left, func(rest length.Length) bool { return rest >= l })
		if i < 0 {
			i = len(left)
			left = append(left, a.Each)
		}
		left[i] -= l
	}
	return n + len(left)
}

// Billed is the length that so many are paid for: quarters are half as wide.
func (a As) Billed(n int) length.Length {
	if a.By == plan.ByQuarter {
		return a.Each.Times(n) / 2
	}
	return a.Each.Times(n)
}

// most is the most pieces that are asked for in the place of a length.
const most = 60

// Pieces is how many panels or quarters all that is cut of a cloth comes out of, the fewest; false where something is
// too large for them, or they are too many.
func (a As) Pieces(items []lay.Item, on lay.Cloth) (int, bool) {
	one := lay.Odd{Width: a.Wide, Length: a.Each}
	if one.Width == 0 {
		one.Width = on.Usable
	}
	for n := 1; n <= most; n++ {
		one.Count = n
		if _, rest := lay.FromOdd(items, on, []lay.Odd{one}); none(rest) {
			return n, true
		}
	}
	return 0, false
}

func none(items []lay.Item) bool {
	for _, it := range items {
		if it.Count > 0 {
			return false
		}
	}
	return true
}

// Says is so many of it as one asks for them; empty for none.
func (a As) Says(n int, style length.Style) string {
	if n == 0 {
		return ""
	}
	name, each := a.name(style)
	switch {
	case name == "":
		return style.Yards(a.Each.Times(n))
	case n > 1:
		name += "s"
	}
	return fmt.Sprintf("%d %s of %s", n, name, each)
}

// In is what it is sold in, where that is not by a length.
func (a As) In(style length.Style) string {
	name, each := a.name(style)
	return fmt.Sprintf("%ss of %s", name, each)
}

// name is what one is called, and its size.
func (a As) name(style length.Style) (name, each string) {
	switch a.By {
	case plan.ByBolt:
		return "bolt", style.Yards(a.Each)
	case plan.ByPanel:
		return "panel", style.Text(a.Each)
	case plan.ByQuarter:
		return "quarter", style.Text(a.Wide) + " × " + style.Text(a.Each)
	}
	return "", ""
}
