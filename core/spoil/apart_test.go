package spoil_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/brief"
	"umschlag/core/cover"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/spoil"
)

// What is cut and sewn of two pieces alike is cut and sewn of each of them when they are told apart.
func TestNothingIsSpoiledByTellingTwoApart(t *testing.T) {
	told := 0
	rapid.Check(t, func(t *rapid.T) {
		p := worked(t, anyplan.Plans().Draw(t, "plan"))
		p.Measured = nil
		for _, s := range cover.Slots(p.Settle()) {
			if s.Twins == nil || !spoil.Comparable(p, nil) {
				continue
			}
			told++
			apart, refused, ok := brief.Choose(p, nil, "/pieces/"+s.Name+"#apart", "")
			require.True(t, ok, s.Name)
			require.Empty(t, refused)
			assert.Empty(t, spoil.Of(p, apart, nil).Spoils, s.Name)
			was, is := reckon.Reckon(p, nil), reckon.Reckon(apart, nil)
			done, cut := 0, 0
			for _, c := range was.Cuts {
				if c.Done {
					cut += c.Total*max(1, c.Gives) - c.Over
				}
			}
			for _, c := range is.Cuts {
				if c.Done {
					cut -= c.Total*max(1, c.Gives) - c.Over
				}
			}
			assert.Zero(t, cut, "as many pieces are cut, or come of what is cut for several")
			for _, step := range is.Steps {
				if step.Done {
					done++
				}
			}
			assert.GreaterOrEqual(t, done, len(p.Progress.Done), "steps of both are steps of each")
			assert.NotContains(t, apart.Progress.Cut, "cut.piece:"+s.Name+".role:panel")
			// whatever is decided of the other one now is of that alone
			first := plan.TwinNames(s.Name)[0]
			assert.Equal(t, p.Piece(s.Config), apart.Piece(first))
		}
	})
	assert.Positive(t, told)
}
