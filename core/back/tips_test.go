package back_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/back"
	"umschlag/core/length"
	"umschlag/core/plan"
)

func TestWhatIsSaidOfAClosureBelongsToIt(t *testing.T) {
	for _, one := range []struct {
		kind                      plan.BackKind
		flange                    length.Length
		closing, turning, filling string
	}{
		{plan.Envelope, 0, "", "", "one half"},
		{plan.FoldedBack, 0, "", "", "one half"},
		{plan.Lapped, 0, "Close the back first", "", "Fold the insert"},
		{plan.SewnShut, 0, "", "allowances of the gap", "Fold the insert"},
		{plan.Zip, 0, "", "", "Fold the insert"},
		{plan.Zip, length.Inch, "crosses the ends of the zip", "", "Fold the insert"},
		{plan.Lapped, length.Inch, "Close the back first", "", "Fold the insert"},
	} {
		said := back.TipsOf(one.kind, one.flange, false)
		is := [][2]string{{one.closing, said.Closing}, {one.turning, said.Turning}, {one.filling, said.Filling}}
		for _, is := range is {
			assert.Contains(t, is[1], is[0], one.kind)
			assert.Equal(t, is[0] == "", is[1] == "", "%s: nothing is said that belongs to another", one.kind)
		}
	}
}
