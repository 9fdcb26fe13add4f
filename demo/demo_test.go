package demo_test

import (
	"maps"
	"slices"
	"testing"
	"time"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/finding"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/demo"
	"umschlag/format/planfile"
	"umschlag/store"
)

func reckoned(t *testing.T) map[string]answer.Reckoning {
	t.Helper()
	plans, err := demo.Plans()
	require.NoError(t, err)
	out := map[string]answer.Reckoning{}
	for name, data := range plans {
		r, err := planfile.Reckon(data, nil)
		require.NoError(t, err, name)
		out[name] = r
	}
	return out
}

func TestEveryDemoPlanCanBeCut(t *testing.T) {
	for name, r := range reckoned(t) {
		assert.False(t, finding.List(r.Findings).Stopped(), "%s: %v", name, r.Findings)
		assert.NotEmpty(t, r.Cuts, name)
	}
}

// Beside the sheet stands the whole of a reckoning, without what is told of steps and layouts, how seams are pressed,
// and sums that are not asked for.
func TestBesideTheSheetStandsTheSame(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	none := reckon.Reckon(plan.Plan{}, nil)
	for name, whole := range reckoned(t) {
		beside, err := planfile.OnSheet(plans[name], "", nil, []string{"front.finished.width"})
		require.NoError(t, err, name)
		require.NotEmpty(t, whole.Steps, name)
		whole.Steps, whole.Cloths, whole.Piles = none.Steps, none.Cloths, none.Piles
		whole.Left, whole.SetUps, whole.Trips = 0, 0, 0
		for i := range whole.Pieces {
			whole.Pieces[i].Press, whole.Pieces[i].Conflicts = []answer.PressSeam{}, []answer.Point{}
		}
		maps.DeleteFunc(whole.Sums, func(name string, _ []answer.Term) bool { return name != "front.finished.width" })
		assert.Equal(t, whole, beside, name)
	}
}

func TestTheDemoShowsCoversAtEveryStage(t *testing.T) {
	stages := map[string]bool{}
	disagree := 0
	for _, r := range reckoned(t) {
		done := 0
		for _, s := range r.Steps {
			if s.Done {
				done++
			}
		}
		stages[map[bool]string{true: "not begun",
			false: map[bool]string{true: "finished", false: "half sewn"}[done == len(r.Steps)]}[done == 0]] = true
		disagree += len(r.Remedies)
	}
	assert.Equal(t, map[string]bool{"not begun": true, "half sewn": true, "finished": true}, stages)
	assert.Positive(t, disagree, "one is half sewn with a measurement that disagrees")
}

func TestWhatIsTickedOffInTheDemoExists(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	for name, data := range plans {
		p, err := planfile.Read(data)
		require.NoError(t, err)
		r := reckon.Reckon(p, nil)
		ids := map[string]bool{}
		for _, c := range r.Cuts {
			ids[c.ID] = true
		}
		for _, s := range r.Steps {
			ids[s.ID] = true
		}
		for _, id := range slices.AppendSeq(slices.Clone(p.Progress.Done), maps.Keys(p.Progress.Cut)) {
			assert.True(t, ids[id], "%s ticks off %s", name, id)
		}
	}
}

func TestFillingPutsAllOfItIntoTheStore(t *testing.T) {
	s, err := store.Open(t.Context(), t.TempDir(), time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	require.NoError(t, demo.Fill(t.Context(), s))
	plans, err := s.Plans(t.Context())
	require.NoError(t, err)
	files, err := demo.Plans()
	require.NoError(t, err)
	assert.Len(t, plans, len(files), "every plan file is on the shelf")
	log, err := s.Log(t.Context())
	require.NoError(t, err)
	assert.Len(t, log, 3)
	cloths, err := s.Cloths(t.Context())
	require.NoError(t, err)
	assert.Greater(t, len(cloths), 5)
	assert.Error(t, demo.Fill(t.Context(), s), "only into an empty store")
}
