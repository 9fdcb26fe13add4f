package stock

import (
	"fmt"
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
	return fmt.Sprintf("%s %d %d %d %q", u.Cells, u.Width/keyed, u.Height/keyed, u.Seam/keyed, u.Cloths)
}

// keyed is what sizes are rounded to in a key.
const keyed = length.Millimetre / 10
