package store_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/store"
)

func TestSamplesAreKeptChangedAndPutAway(t *testing.T) {
	s := open(t, t.TempDir())
	first, err := s.AddSample(t.Context(), "Test square", `{"n": 1}`)
	require.NoError(t, err)
	second, err := s.AddSample(t.Context(), "Test square", `{"n": 2}`)
	require.NoError(t, err)
	assert.Equal(t, []string{"test-square", "test-square-2"}, []string{first.ID, second.ID}, "two may have one name")
	ids := func() []string {
		list, err := s.Samples(t.Context())
		require.NoError(t, err)
		var out []string
		for _, one := range list {
			out = append(out, one.ID)
		}
		return out
	}
	assert.Equal(t, []string{"test-square-2", "test-square"}, ids(), "the newest first")

	saved, err := s.SaveSample(t.Context(), first.ID, 1, `{"n": 3}`)
	require.NoError(t, err)
	assert.Equal(t, 2, saved.Revision)
	_, err = s.SaveSample(t.Context(), first.ID, 1, `{"n": 4}`)
	require.ErrorIs(t, err, store.ErrStale, "it was changed since it was read")
	_, err = s.SaveSample(t.Context(), "nothing", 1, `{}`)
	require.ErrorIs(t, err, store.ErrNotFound)

	require.NoError(t, s.PutSampleAway(t.Context(), first.ID, true))
	assert.Equal(t, []string{"test-square-2"}, ids())
	require.NoError(t, s.PutSampleAway(t.Context(), first.ID, false))
	assert.Len(t, ids(), 2)
	require.ErrorIs(t, s.PutSampleAway(t.Context(), "nothing", true), store.ErrNotFound)
}

func TestSamplesAreThereAfterARestart(t *testing.T) {
	dir := t.TempDir()
	s := open(t, dir)
	_, err := s.AddSample(t.Context(), "Three strips", `{"kind": "strips"}`)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	list, err := open(t, dir).Samples(t.Context())
	require.NoError(t, err)
	require.Len(t, list, 1)
	assert.JSONEq(t, `{"kind": "strips"}`, list[0].Doc)
}
