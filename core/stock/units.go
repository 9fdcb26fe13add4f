package stock

import (
	"fmt"
	"maps"
	"slices"
	"strings"

	"umschlag/core/block"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// Units are units of a block by the names of their fabrics, and the seam they are sewn with.
type Units struct {
	block.Alike
	Seam length.Length
}

// ReadUnits reads units of the cupboard; the error says what cannot be kept there.
func ReadUnits(u plan.MadeUnits) (Units, error) {
	a, err := block.ReadAlike(u.Cells, u.Fabrics, u.Width, u.Height)
	return Units{Alike: a, Seam: u.Seam}, err
}

// UnitsOf are units of a settled plan as the cupboard knows them: by the names of the fabrics, and the seam they are
// sewn with there.
func UnitsOf(p plan.Plan, m plan.Made) (Units, error) {
	names := make([]string, len(m.Cloths))
	for i, letter := range m.Cloths {
		c, _ := p.Cloth(letter)
		names[i] = c.Name
	}
	return ReadUnits(plan.MadeUnits{Cells: m.Cells, Fabrics: names, Width: m.Width, Height: m.Height,
		Seam: p.Cover.PiecingSeam})
}

// Is reports whether two units can stand for each other.
func (u Units) Is(v Units) bool {
	return u.Alike.Is(v.Alike) && (u.Seam-v.Seam).Abs() < length.Millimetre/100
}

// Held is how many like it are in the cupboard.
func (u Units) Held(list []plan.MadeUnits) int {
	n := 0
	for _, m := range list {
		if v, err := ReadUnits(m); err == nil && v.Is(u) {
			n += m.Count
		}
	}
	return n
}

// Says tells how large they are and what they are of.
func (u Units) Says(style length.Style) string {
	last := len(u.Cloths) - 1
	of := u.Cloths[last]
	if last > 0 {
		of = strings.Join(u.Cloths[:last], ", ") + " and " + of
	}
	return fmt.Sprintf("%s × %s as sewn, of %s", style.Text(u.Width), style.Text(u.Height), of)
}

// Doc is so many of them as the cupboard keeps them.
func (u Units) Doc(n int) plan.MadeUnits {
	return plan.MadeUnits{Cells: u.Cells, Fabrics: u.Cloths, Width: u.Width, Height: u.Height, Seam: u.Seam, Count: n}
}

// Key names units in the cupboard: alike ones have one key, whatever they are called and however they are written.
func (u Units) Key() string {
	return fmt.Sprintf("%s %d %d %d %q", u.Cells, keyed(u.Width), keyed(u.Height), keyed(u.Seam), u.Cloths)
}

// keyed is a size in tenths of a millimetre. One tenth ends where no size on a ruler lies, in inches or in millimetres:
// what rounding of outlines makes of such a size does not bring it into the next.
func keyed(l length.Length) length.Length { return (l + 1500) / (length.Millimetre / 10) }

// Moved is how many units of a kind go into the cupboard; below 0 they come out of it.
type Moved struct {
	Units
	By int
}

// Moves is what a change of a settled plan moves: what it has out of the cupboard no more goes back, and what is over
// and put there goes in. Fabrics and seam go by what the plan called them before: units are no others where only that
// is changed.
func Moves(before, after plan.Plan) []Moved {
	named := after
	named.Cover.PiecingSeam, named.Cloths = before.Cover.PiecingSeam, maps.Clone(after.Cloths)
	if named.Cloths == nil {
		named.Cloths = map[string]plan.Cloth{}
	}
	maps.Copy(named.Cloths, before.Cloths)
	var all []Moved
	add := func(list []plan.Made, by func(plan.Made) int) {
		for _, m := range list {
			u, err := UnitsOf(named, m)
			if n := by(m); err == nil && n != 0 {
				all = append(all, Moved{u, n})
			}
		}
	}
	add(before.Made, func(m plan.Made) int { return m.Cupboard })
	add(after.Made, func(m plan.Made) int { return -m.Cupboard })
	add(before.Progress.Over, func(m plan.Made) int { return -m.Count })
	add(after.Progress.Over, func(m plan.Made) int { return m.Count })
	var out []Moved
	for _, m := range all {
		if i := slices.IndexFunc(out, func(o Moved) bool { return o.Is(m.Units) }); i >= 0 {
			out[i].By += m.By
		} else {
			out = append(out, m)
		}
	}
	return slices.DeleteFunc(out, func(m Moved) bool { return m.By == 0 })
}
