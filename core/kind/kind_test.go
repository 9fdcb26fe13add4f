package kind_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/kind"
)

func TestKindsAreFoundByName(t *testing.T) {
	var s kind.Set[int]
	s.Add("pocket", 1)
	remove := s.Add("tassel", 2)
	v, ok := s.Of("tassel")
	assert.True(t, ok)
	assert.Equal(t, 2, v)
	assert.Equal(t, []string{"pocket", "tassel"}, s.Names())
	assert.Panics(t, func() { s.Add("pocket", 3) })
	remove()
	_, ok = s.Of("tassel")
	assert.False(t, ok)
	assert.Equal(t, []string{"pocket"}, s.Names())
	remove()
	assert.Equal(t, []string{"pocket"}, s.Names(), "what is gone is gone")
}
