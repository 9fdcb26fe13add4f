package shopping_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/shopping"
)

func TestThreadOfAllPlansIsBoughtByTheReel(t *testing.T) {
	m := length.Metre
	things := shopping.Things([]shopping.ThingWant{
		{Plan: "pad", What: "thread", Length: 90 * m, Count: 2},
		{Plan: "hood", What: "thread", Length: 70 * m, Count: 1},
	}, []plan.Notion{{Name: "grey", For: "Thread", Have: 40 * m, Pack: 100 * m, Price: 3}}, length.Centimetres)
	require.Len(t, things, 1)
	thread := things[0]
	assert.Equal(t, []any{"grey", 250 * m, 210 * m, 3}, []any{thread.Notion, thread.Need, thread.Missing, thread.Packs})
	assert.InDelta(t, 9, thread.Cost, 1e-9, "two reels are not enough")
	assert.Equal(t, []string{"pad", "hood"}, thread.Plans)
}

func TestWhatIsCutToLengthCostsByTheYard(t *testing.T) {
	things := shopping.Things([]shopping.ThingWant{{Plan: "pad", What: "piping cord", Length: 60 * in, Count: 1}},
		[]plan.Notion{{Name: "cord", For: "piping cord", Have: 24 * in, Price: 2}}, length.Inches)
	assert.Equal(t, 36*in, things[0].Missing)
	assert.Zero(t, things[0].Packs)
	assert.InDelta(t, 2, things[0].Cost, 1e-9)
}

func TestZipsAndButtonsAreCounted(t *testing.T) {
	things := shopping.Things([]shopping.ThingWant{
		{Plan: "pad", What: "zip", Length: 14 * in, Count: 3},
		{Plan: "bench", What: "zip", Length: 40 * in, Count: 1},
		{Plan: "pad", What: shopping.Buttons, Count: 9},
	}, []plan.Notion{
		{Name: "short zips", For: "zip", Count: 1, Each: 16 * in, Price: 2},
		{Name: "card", For: "buttons", Count: 4, PackCount: 6, Price: 2.5},
	}, length.Inches)
	require.Len(t, things, 3, "a zip of another length is another thing")
	buttons, short, long := things[0], things[1], things[2]
	assert.Equal(t, []any{9, 4, 1}, []any{buttons.Pieces, buttons.There, buttons.Packs}, "five more are a card")
	assert.InDelta(t, 2.5, buttons.Cost, 1e-9)
	assert.Equal(t, []any{"short zips", 3, 1, 2}, []any{short.Notion, short.Pieces, short.There, short.Packs})
	assert.InDelta(t, 4, short.Cost, 1e-9)
	assert.Equal(t, []any{"", 1, 0, 1}, []any{long.Notion, long.Pieces, long.There, long.Packs},
		"16 in are too short for 40")
}

func TestWhatANotionServesAs(t *testing.T) {
	for _, c := range []struct {
		purpose, what string
		serves        bool
	}{
		{"thread", "thread", true}, {" Thread ", "thread", true},
		{"hook-and-loop tape", "hook-and-loop tape, strap 2", true},
		{"tape", "tape for the seams inside", false}, {"", "thread", false}, {"thread, quilting", "thread", false},
	} {
		assert.Equal(t, c.serves, shopping.Serves(c.purpose, c.what), "%q for %q", c.purpose, c.what)
	}
}
