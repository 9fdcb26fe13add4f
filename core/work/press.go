package work

import (
	"fmt"

	"umschlag/core/plan"
)

// Side is where a seam allowance lies after pressing, seen from the front.
type Side string

// The sides.
const (
	Left  Side = "left"
	Right Side = "right"
	Down  Side = "down"
	Open  Side = "open"
	Dark  Side = "dark"
)

// RowPress is where the seams within a row lie. Nesting rows alternate, so that
// where two rows meet the allowances lie on opposite sides and lock.
func RowPress(school plan.Press, row int) Side {
	switch school {
	case plan.PressOpen:
		return Open
	case plan.PressDark:
		return Dark
	}
	if row%2 == 1 {
		return Left
	}
	return Right
}

// JoinPress is where the seams between rows lie.
func JoinPress(school plan.Press) Side {
	if school == plan.PressOpen {
		return Open
	}
	return Down
}

// pressText says it as an instruction.
func pressText(s Side) string {
	switch s {
	case Open:
		return "Press the seams open."
	case Dark:
		return "Press each seam to its darker side."
	case Down:
		return "Press all seams down, towards the bottom edge."
	default:
		return fmt.Sprintf("Press all seams to the %s.", s)
	}
}
