package block_test

import (
	"errors"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/block"
)

func TestABlockIsDividedPatchByPatch(t *testing.T) {
	n := parsed(t, "A")
	steps := []struct {
		change func(block.Node) (block.Node, error)
		want   string
	}{
		{func(n block.Node) (block.Node, error) { return n.Divided("", block.Rows, 2, "B") }, "A - B"},
		{func(n block.Node) (block.Node, error) { return n.Divided("0", block.Columns, 3, "C") }, "(A | C | A) - B"},
		{func(n block.Node) (block.Node, error) { return n.Divided("0.1", block.Cross, 0, "B") },
			"(A | (C x B x C x B) | A) - B"},
		{func(n block.Node) (block.Node, error) { return n.Divided("0.1.0", block.Halved, 0, "D") },
			"(A | ((C : D) x B x C x B) | A) - B"},
		{func(n block.Node) (block.Node, error) { return n.Lettered("1", "E") }, "(A | ((C : D) x B x C x B) | A) - E"},
		{func(n block.Node) (block.Node, error) { return n.Weighted("1", 2) }, "(A | ((C : D) x B x C x B) | A) - 2 E"},
		{func(n block.Node) (block.Node, error) { return n.Joined("0.1.0.1") }, "(A | (C x B x C x B) | A) - 2 E"},
		{func(n block.Node) (block.Node, error) { return n.Joined("0") }, "A"},
	}
	for _, s := range steps {
		next, err := s.change(n)
		require.NoError(t, err)
		assert.Equal(t, s.want, next.String())
		n = next
	}
}

func TestWhatCannotBeDividedSaysWhy(t *testing.T) {
	n := parsed(t, "(A / B) | C")
	for says, change := range map[string]func() (block.Node, error){
		"divided already":      func() (block.Node, error) { return n.Divided("0", block.Rows, 2, "B") },
		"no such part":         func() (block.Node, error) { return n.Divided("7", block.Rows, 2, "B") },
		"divides nothing":      func() (block.Node, error) { return n.Divided("1", 'q', 2, "B") },
		"2 to 24 parts":        func() (block.Node, error) { return n.Divided("1", block.Rows, 99, "B") },
		"one patch already":    func() (block.Node, error) { return n.Joined("") },
		"one capital letter":   func() (block.Node, error) { return n.Lettered("1", "ab") },
		"columns and rows":     func() (block.Node, error) { return n.Weighted("0.0", 2) },
		"from 1 to 60":         func() (block.Node, error) { return n.Weighted("1", 0) },
		"whole block has no":   func() (block.Node, error) { return n.Weighted("", 2) },
		"give its patches the": func() (block.Node, error) { return n.Lettered("0", "B") },
	} {
		_, err := change()
		var syntax *block.SyntaxError
		assert.True(t, errors.As(err, &syntax), says)
		assert.ErrorContains(t, err, says)
	}
}

// However a block is divided: it is read as it is written, and its leaves are its patches.
func TestAnyDivisionCanBeReadAgain(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := parsed(t, "A")
		for range rapid.IntRange(1, 8).Draw(t, "divisions") {
			leaves, err := n.LeavesAt(1)
			require.NoError(t, err)
			leaf := leaves[rapid.IntRange(0, len(leaves)-1).Draw(t, "leaf")]
			sign := block.Halved
			if !leaf.Triangle {
				sign = rapid.SampledFrom([]block.Sign{block.Columns, block.Rows, block.Rising, block.Falling,
					block.Cross, block.Up, block.Down, block.Left, block.Right, block.Diamond}).Draw(t, "sign")
			}
			// What stands for several corners may be triangles and rectangles at once.
			if next, err := n.Divided(leaf.Path, sign, rapid.IntRange(2, 4).Draw(t, "count"), "B"); err == nil {
				n = next
			}
		}
		again, err := block.Parse(n.String())
		if err != nil {
			assert.ErrorContains(t, err, "at most 12 times")
			return
		}
		assert.Equal(t, n.String(), again.String())
	})
}

// Methods side by side at ¼ in: 64 half-squares of 2, and 8 geese of 4 × 2. Squares and
// counts by hand.
func TestMethodsSideBySide(t *testing.T) {
	pinwheel, _ := block.ByName("pinwheel")
	list := block.Compare(parsed(t, pinwheel.Text), 4*in, 4*in, 16, in/4, in/8, 40*in, inches)
	require.Len(t, list, 1)
	halves := list[0]
	assert.Equal(t, 64, halves.Need)
	var cuts []string
	for _, m := range halves.Methods {
		cuts = append(cuts, m.Cuts)
	}
	assert.Equal(t, []string{"64 squares of 2⅞″", "64 squares of 3″", "16 squares of 6″"}, cuts)
	assert.Equal(t, []int{0, 2}, []int{halves.Least, halves.Quickest})
	assert.InDelta(t, 64*2.875*2.875, halves.Methods[0].Area, 1e-9)
	geese, _ := block.ByName("flying-geese")
	list = block.Compare(parsed(t, geese.Text), 4*in, 4*in, 4, in/4, in/8, 40*in, inches)
	require.Len(t, list, 1)
	assert.Equal(t, "2 squares of 5½″, 8 squares of 3″", list[0].Methods[2].Cuts, "4 + 1½ and 2 + 1")
	assert.Equal(t, []int{16, 16, 12},
		[]int{list[0].Methods[0].Seams, list[0].Methods[1].Seams, list[0].Methods[2].Seams})
	rail, _ := block.ByName("rail-fence")
	list = block.Compare(parsed(t, rail.Text), 6*in, 6*in, 12, in/4, in/8, 40*in, inches)
	require.Len(t, list, 1)
	assert.Equal(t, []string{"36 patches", "6 strips of 39½″"},
		[]string{list[0].Methods[0].Cuts, list[0].Methods[1].Cuts},
		"six segments of 6½ come out of 40 − ½: two sets of three strips")
	assert.Equal(t, 1, list[0].Quickest)
}
