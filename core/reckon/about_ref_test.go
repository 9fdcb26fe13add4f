package reckon_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// What a cut is about names it: no two cuts of a plan are about the same, whatever its cloths and
// pieces are called.
func TestNoTwoCutsAreAboutTheSame(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		ids := map[ref.Ref]string{}
		for _, c := range reckon.Reckon(anyplan.Plans().Draw(t, "plan"), nil).Cuts {
			is := c.About.Ref(ref.Cut)
			assert.NotEmpty(t, is.Role, c.ID)
			assert.Empty(t, ids[is], "%s and %s are both %s", ids[is], c.ID, is)
			ids[is] = c.ID
		}
	})
}

// Every step says what is done, and to what.
func TestStepsSayWhatIsDone(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		r := reckon.Reckon(anyplan.Plans().Draw(t, "plan"), nil)
		for _, s := range r.Steps {
			assert.NotEmpty(t, s.About.Role, s.ID)
			assert.Equal(t, s.Gate != "", s.Reads != "", s.ID)
			if s.Join > 0 {
				assert.LessOrEqual(t, s.Join, len(r.Joins))
			}
			if s.About.Role.Bordering() {
				assert.NotEmpty(t, s.About.Of, s.ID)
				assert.NotEmpty(t, s.Cells, s.ID)
			}
		}
	})
}
