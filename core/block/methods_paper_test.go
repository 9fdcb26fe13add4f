package block_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/block"
	"umschlag/core/length"
)

// squares is so many squares of a side as they are cut for a method.
type squares struct {
	n    int
	side float64
}

// paper is a method as it is worked out on paper.
type paper struct {
	school       string
	cut          []squares
	seams, spare int
}

// up is a size up to the eighth.
func up(v float64) float64 { return math.Ceil(v*8-1e-9) / 8 }

// halvesOnPaper: two triangles of a square, cut to size (finished + ⅞ and a little, exactly 2 + √2 seams) or large and
// trimmed (finished + 1, four seams); eight of two squares twice as large (common practice, docs/arithmetic.md §8).
func halvesOnPaper(f, seam float64, need int) []paper {
	pairs := (need + 1) / 2
	out := []paper{
		{"exact", []squares{{2 * pairs, up(f + (2+math.Sqrt2)*seam)}}, need, 2*pairs - need},
		{"trim", []squares{{2 * pairs, up(f + 4*seam)}}, 2 * pairs, 2*pairs - need},
	}
	if eights := need / 8; eights > 0 {
		rest := (need%8 + 1) / 2
		cut := []squares{{2 * eights, up(2 * (f + 4*seam))}}
		if rest > 0 {
			cut = append(cut, squares{2 * rest, up(f + 4*seam)})
		}
		out = append(out, paper{"many", cut, 4*eights + 2*rest, 2*rest - need%8})
	}
	return out
}

// geeseOnPaper: large triangles four to a square (finished width + 2 + 2√2 seams, or five), small ones two.
func geeseOnPaper(w, seam float64, need int) []paper {
	fours := (need + 3) / 4
	exact := []squares{{fours, up(w + (2+2*math.Sqrt2)*seam)}, {need, up(w/2 + (2+math.Sqrt2)*seam)}}
	large := []squares{{fours, up(w + 6*seam)}, {need, up(w/2 + 4*seam)}}
	out := []paper{{"exact", exact, 2 * need, 0}, {"trim", large, 2 * need, 0}}
	if whole := need / 4; whole > 0 {
		out = append(out, paper{"many", large, 6*whole + 2*(need%4), 0})
	}
	return out
}

func TestMethodsOnPaper(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		side := float64(rapid.IntRange(8, 48).Draw(t, "eighths")) / 4
		seam := rapid.SampledFrom([]float64{0.25, 0.375, 0.5}).Draw(t, "seam")
		blocks := rapid.IntRange(1, 21).Draw(t, "blocks")
		signs := map[string][2]float64{"/": {side, side}, `\`: {side, side}, "^": {side, side / 2}, "v": {side,
			side / 2},
			"<": {side / 2, side}, ">": {side / 2, side}}
		sign := rapid.SampledFrom([]string{"/", `\`, "^", "v", "<", ">"}).Draw(t, "sign")
		n, err := block.Parse("A " + sign + " B")
		require.NoError(t, err)
		inch := func(v float64) length.Length { return length.FromFloat(v * length.Inch.Float()) }
		list := block.Compare(n, inch(signs[sign][0]), inch(signs[sign][1]), blocks, inch(seam), length.Inch/8,
			40*length.Inch, length.Style{})
		want := geeseOnPaper(side, seam, blocks)
		if sign == "/" || sign == `\` {
			want = halvesOnPaper(side, seam, blocks)
		}
		require.Len(t, list, 1)
		c := list[0]
		assert.Equal(t, blocks, c.Need)
		require.Len(t, c.Methods, len(want))
		least, quickest := math.Inf(1), math.MaxInt
		for i, m := range c.Methods {
			p := want[i]
			area, pieces, cuts := 0.0, 0, ""
			for k, s := range p.cut {
				area += float64(s.n) * s.side * s.side
				pieces += s.n
				if k > 0 {
					cuts += ", "
				}
				cuts += squaresOf(s.n) + length.Style{}.Text(inch(s.side))
			}
			assert.InDelta(t, area, m.Area, 1e-6, p.school)
			assert.Equal(t, []any{p.school, cuts, pieces, p.seams, p.spare, p.school != "exact"},
				[]any{m.School, m.Cuts, m.Pieces, m.Seams, m.Spare, m.Trim})
			least, quickest = min(least, m.Area), min(quickest, m.Seams)
		}
		assert.InDelta(t, least, c.Methods[c.Least].Area, 1e-9)
		assert.Equal(t, quickest, c.Methods[c.Quickest].Seams)
	})
}

func squaresOf(n int) string {
	return length.Style{Unit: length.Millimetres}.Plain(length.Millimetre.Times(n)) + " squares of "
}

// Rows of patches: cut one by one, or strips sewn together and cut across, as many of a strip as the cloth is wide.
func TestRowsOfPatchesOnPaper(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		a, b := rapid.IntRange(1, 3).Draw(t, "a"), rapid.IntRange(1, 3).Draw(t, "b")
		high, seam := float64(rapid.IntRange(4, 40).Draw(t, "eighths"))/4, 0.25
		blocks := rapid.IntRange(1, 40).Draw(t, "blocks")
		usable := float64(rapid.IntRange(10, 44).Draw(t, "usable"))
		wide := 6.0
		n, err := block.Parse(string(rune('0'+a)) + " A | " + string(rune('0'+b)) + " B")
		require.NoError(t, err)
		inch := func(v float64) length.Length { return length.FromFloat(v * length.Inch.Float()) }
		list := block.Compare(n, inch(wide), inch(high), blocks, inch(seam), length.Inch/8, inch(usable),
			length.Style{})
		require.Len(t, list, 1)
		c := list[0]
		each := wide + 4*seam // both widths with their seams
		segment := high + 2*seam
		assert.Equal(t, blocks, c.Need)
		single := c.Methods[0]
		assert.InDelta(t, float64(blocks)*each*segment, single.Area, 1e-4)
		assert.Equal(t, []int{2 * blocks, blocks}, []int{single.Pieces, single.Seams})
		most := int((usable - 0.5) / segment)
		require.Equal(t, most > 0, len(c.Methods) == 2)
		if most == 0 {
			return
		}
		sets := (blocks + most - 1) / most
		of := (blocks + sets - 1) / sets
		m := c.Methods[1]
		assert.InDelta(t, float64(sets)*each*(float64(of)*segment+0.5), m.Area, 1e-4)
		assert.Equal(t, []int{2 * sets, sets, sets*of - blocks}, []int{m.Pieces, m.Seams, m.Spare})
	})
}
