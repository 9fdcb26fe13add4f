package machine_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	_ "umschlag/seeded"

	"umschlag/core/machine"
)

var (
	piecing  = machine.SetUp{Seam: "¼″", Stitch: "straight stitch 2.2 mm", Needle: "80/12"}
	quilting = machine.SetUp{Foot: "walking foot", Stitch: "straight stitch 3 mm", Needle: "90/14"}
	edge     = machine.SetUp{Foot: "open-toe foot", Stitch: "zigzag", Needle: "80/12", Thread: "moss leaf"}
	hand     = machine.SetUp{Hand: true, Stitch: "two strands"}
)

func TestASetUpIsReadOut(t *testing.T) {
	assert.Equal(t, "¼″ seam, straight stitch 2.2 mm, needle 80/12", piecing.Text())
	assert.Equal(t, "Walking foot, straight stitch 3 mm, needle 90/14", quilting.Text())
	assert.Equal(t, "Open-toe foot, zigzag, needle 80/12, thread to match moss leaf", edge.Text())
	assert.Equal(t, "By hand, two strands", hand.Text())
	assert.Empty(t, machine.SetUp{}.Text())
	edge := edge
	edge.Darker = true
	assert.Contains(t, edge.Text(), "thread two shades darker than moss leaf")
}

func TestOnlyWhatDiffersIsChanged(t *testing.T) {
	assert.Equal(t, []string{"walking foot", "needle 90/14", "straight stitch 3 mm"}, quilting.Changes(piecing),
		"the guide is not used then")
	assert.Equal(t, []string{"standard foot", "needle 80/12", "straight stitch 2.2 mm", "¼″ from the needle"},
		piecing.Changes(quilting))
	assert.Equal(t, []string{"open-toe foot", "thread to match moss leaf", "zigzag"}, edge.Changes(piecing))
	assert.Contains(t, piecing.Changes(edge), "the thread you piece with")
	assert.Len(t, piecing.Changes(machine.SetUp{}), 5, "everything, the first time")
	assert.Empty(t, hand.Changes(quilting))
	assert.Empty(t, machine.SetUp{}.Changes(quilting))
}

func TestAMachineIsReadyForWhatItIsSetUpFor(t *testing.T) {
	assert.True(t, hand.ReadyFrom(piecing), "what is sewn by hand needs no machine")
	assert.False(t, piecing.ReadyFrom(machine.SetUp{}))
	rapid.Check(t, func(t *rapid.T) {
		one := rapid.SampledFrom([]machine.SetUp{piecing, quilting, edge, hand, {}})
		s, from := one.Draw(t, "s"), one.Draw(t, "from")
		assert.True(t, s.ReadyFrom(s))
		assert.Equal(t, len(s.Changes(from)) == 0, s.ReadyFrom(from))
	})
}
