package block_test

import (
	"errors"
	"math"
	"testing"

	"github.com/paulmach/orb"
	"github.com/paulmach/orb/planar"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/block"
	"umschlag/core/length"
	"umschlag/core/outline"
	_ "umschlag/seeded"
)

const in = length.Inch

var inches = length.Style{Unit: length.Inches}

func parsed(t require.TestingT, text string) block.Node {
	n, err := block.Parse(text)
	require.NoError(t, err, text)
	return n
}

func divided(t require.TestingT, text string, w, h length.Length) []block.Patch {
	patches, err := parsed(t, text).Divide(w, h)
	require.NoError(t, err, text)
	return patches
}

func ring(o outline.Outline) orb.Ring {
	var out orb.Ring
	for _, v := range o {
		out = append(out, orb.Point{v.X / 1e6, v.Y / 1e6})
	}
	return append(out, out[0])
}

func TestTheLibraryHoldsTheOldBlocks(t *testing.T) {
	assert.GreaterOrEqual(t, len(block.Library()), 24)
	seen := map[string]bool{}
	for _, n := range block.Library() {
		assert.False(t, seen[n.Name] || seen[n.Text], "%s stands twice", n.Name)
		seen[n.Name], seen[n.Text] = true, true
		assert.Equal(t, n.Text, parsed(t, n.Text).String(), "%s is written as it is read", n.Name)
	}
	_, ok := block.ByName("pinwheel")
	assert.True(t, ok)
	_, ok = block.ByName("catherine wheel")
	assert.False(t, ok)
}

// Every block of the library at any size: its patches fill it and do not lie on each
// other, and what each is cut from holds its template. Areas by orb, a general-purpose
// geometry library.
func TestEveryBlockIsAPartition(t *testing.T) {
	for _, n := range block.Library() {
		t.Run(n.Name, func(t *testing.T) {
			rapid.Check(t, func(t *rapid.T) {
				side := length.Length(rapid.Int64Range(int64(2*in), int64(16*in)).Draw(t, "side"))
				seam := length.Length(rapid.Int64Range(int64(in/8), int64(in/2)).Draw(t, "seam"))
				total := 0.0
				patches := divided(t, n.Text, side, side)
				for i, p := range patches {
					total += planar.Area(ring(p.Line))
					middle, _ := planar.CentroidArea(ring(p.Line))
					for _, other := range patches[:i] {
						assert.False(t, planar.RingContains(ring(other.Line), middle), "patches lie on each other")
					}
					r := block.RecipeOf(p.Line, seam, inches)
					cut := planar.Area(ring(p.Line.Offset(seam.Float())))
					piece := r.Size.Width.Total().Float() / 1e6 * r.Size.Height.Total().Float() / 1e6
					assert.GreaterOrEqual(t, piece*(1+1e-6), cut*float64(r.Gives),
						"what it is cut from holds its template")
					assert.NotEqual(t, block.Template, r.Kind, "old blocks are cut by the ruler")
				}
				assert.InEpsilon(t, side.Float()/1e6*side.Float()/1e6, total, 1e-9)
			})
		})
	}
}

// A template moved back in by its seam is the patch as it finishes.
func TestSewingBackGivesThePatch(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.SampledFrom(block.Library()).Draw(t, "block")
		w, h := length.Length(rapid.Int64Range(int64(4*in), int64(16*in)).
			Draw(t, "w")), length.Length(rapid.Int64Range(int64(4*in), int64(16*in)).Draw(t, "h"))
		for _, p := range divided(t, n.Text, w, h) {
			back := p.Line.Offset((in / 4).Float()).Offset(-(in / 4).Float())
			require.Len(t, back, len(p.Line))
			for i := range back {
				assert.InDelta(t, p.Line[i].X, back[i].X, 1e-3*1e6)
				assert.InDelta(t, p.Line[i].Y, back[i].Y, 1e-3*1e6)
			}
		}
	})
}

// The rotary rules of docs/arithmetic.md §8, at several seams: geometry. At ¼ in they
// are the finished size + ½, + ⅞ and + 1¼ that handbooks give (from memory).
func TestTheRotaryTable(t *testing.T) {
	for _, seam := range []length.Length{in / 4, 6 * length.Millimetre, 3 * in / 8, in / 2} {
		s := seam.Float()
		recipe := func(text string, w, h length.Length, i int) block.Recipe {
			return block.RecipeOf(divided(t, text, w, h)[i].Line, seam, inches)
		}
		square := recipe("A", 3*in, 3*in, 0)
		assert.Equal(t, block.Square, square.Kind)
		assert.Equal(t, 3*in+2*seam, square.Size.Width.Total())
		rect := recipe("A | B", 6*in, 4*in, 1)
		assert.Equal(t, []length.Length{3*in + 2*seam, 4*in + 2*seam},
			[]length.Length{rect.Size.Width.Total(), rect.Size.Height.Total()})
		half := recipe("A / B", 3*in, 3*in, 0)
		assert.Equal(t, []any{block.Half, 2}, []any{half.Kind, half.Gives})
		assert.InDelta(t, (3*in).Float()+s*(2+math.Sqrt2), half.Size.Width.Total().Float(), 5)
		quarter := recipe("A x B x A x B", 3*in, 3*in, 0)
		assert.Equal(t, []any{block.Quarter, 4}, []any{quarter.Kind, quarter.Gives})
		assert.InDelta(t, (3*in).Float()+s*(2+2*math.Sqrt2), quarter.Size.Width.Total().Float(), 5)
		goose, corner := recipe("A ^ B", 6*in, 3*in, 0), recipe("A ^ B", 6*in, 3*in, 1)
		assert.InDelta(t, (6*in).Float()+s*(2+2*math.Sqrt2), goose.Size.Width.Total().Float(), 5,
			"the base of a goose is quarter-square")
		assert.InDelta(t, (3*in).Float()+s*(2+math.Sqrt2), corner.Size.Width.Total().Float(), 5,
			"its sides are half-square")
		middle := recipe("A o B", 6*in, 6*in, 0)
		assert.InDelta(t, (6*in).Float()/math.Sqrt2+2*s, middle.Size.Width.Total().Float(), 5)
	}
	h := 3 * in.Float()
	for _, s := range []float64{(in / 4).Float(), 6e6, (3 * in / 8).Float(), (in / 2).Float()} {
		side := h * 2 / math.Sqrt(3)
		triangle := block.RecipeOf(outline.Outline{{X: side / 2}, {X: side, Y: h}, {X: 0, Y: h}}, length.FromFloat(s),
			inches)
		assert.Equal(t, block.Slanted, triangle.Kind)
		assert.InDelta(t, h+3*s, triangle.Size.Height.Total().Float(), 5,
			"an equilateral triangle comes from a strip of h + 3 s")
		slab := block.RecipeOf(outline.Outline{{X: h}, {X: 3 * h}, {X: 2 * h, Y: h}, {X: 0, Y: h}}, length.FromFloat(s),
			inches)
		assert.Equal(t, block.Slanted, slab.Kind)
		assert.InDelta(t, h+2*s, slab.Size.Height.Total().Float(), 5, "a parallelogram from one of h + 2 s")
		assert.Contains(t, slab.Finished, "45°")
	}
	cabin, _ := block.ByName("log-cabin") // logs of 1 round a middle of 1, as far as 5
	logs := map[[2]length.Length]bool{}
	for _, p := range divided(t, cabin.Text, 5*in, 5*in) {
		r := block.RecipeOf(p.Line, in/4, inches)
		w, h := r.Size.Width.Total()-in/2, r.Size.Height.Total()-in/2
		logs[[2]length.Length{min(w, h), max(w, h)}] = true
	}
	assert.Equal(t, map[[2]length.Length]bool{{in, in}: true, {in, 2 * in}: true, {in, 3 * in}: true,
		{in, 4 * in}: true, {in, 5 * in}: true}, logs, "each as long as the side so far")
	seam := in / 4
	assert.Equal(t, 31*in/8, block.RecipeOf(divided(t, "A / B", 3*in, 3*in)[0].Line, seam, inches).Size.Width.Total().
		Ceil(in/8), "3 + ⅞")
	assert.Equal(t, 17*in/4, block.RecipeOf(divided(t, "A x B x A x B", 3*in, 3*in)[0].Line, seam,
		inches).Size.Width.Total().Ceil(in/8), "3 + 1¼")
}

func TestWhatIsNoSquareHasATemplate(t *testing.T) {
	assert.Equal(t, block.Template, block.RecipeOf(divided(t, "A / B", 4*in, 3*in)[0].Line, in/4, inches).Kind)
	assert.Equal(t, block.Template, block.RecipeOf(divided(t, "A ^ B", 4*in, 4*in)[0].Line, in/4, inches).Kind)
	assert.Equal(t, block.Half,
		block.RecipeOf(divided(t, "A x (B : C) x A x B", 4*in, 4*in)[1].Line, in/4, inches).Kind,
		"half of a quarter is a half-square again")
}

func TestUnitsAreSewnBeforeTheirBlock(t *testing.T) {
	pinwheel, _ := block.ByName("pinwheel")
	units, err := parsed(t, pinwheel.Text).Units(4*in, 4*in)
	require.NoError(t, err)
	var texts []string
	for _, u := range units {
		texts = append(texts, u.Node.String())
	}
	assert.Equal(t, []string{`A \ B`, "B / A", `(A \ B) | (B / A)`, "A / B", `B \ A`, `(A / B) | (B \ A)`,
		pinwheel.Text}, texts)
	assert.Equal(t, []length.Length{2 * in, 2 * in}, []length.Length{units[0].Width, units[0].Height})
	nine, _ := block.ByName("double-nine-patch")
	units, err = parsed(t, nine.Text).Units(9*in, 9*in)
	require.NoError(t, err)
	assert.Equal(t, 10, units[0].Count, "two outer rows in each of five")
	for _, n := range block.Library() {
		units, err := parsed(t, n.Text).Units(6*in, 6*in)
		require.NoError(t, err)
		last := units[len(units)-1]
		assert.Equal(t, []any{n.Text, 1}, []any{last.Node.String(), last.Count})
	}
}

func TestErrorsSayWhereAndWhat(t *testing.T) {
	for text, c := range map[string]struct {
		pos  int
		says string
	}{
		"":                {0, "a part is missing"},
		"A |":             {3, "a part is missing"},
		"A | B - C":       {6, "put brackets round one of them"},
		"(A | B":          {6, "type )"},
		"a | B":           {0, "capital letter"},
		"A / B / C":       {9, "divides into 2 parts, not 3"},
		"A x B":           {5, "divides into 4 parts"},
		"2 A / B":         {7, "columns and rows only"},
		"2 A":             {3, "a share belongs to columns or rows"},
		"0 A | B":         {0, "from 1 to 60"},
		"A B":             {2, "ended before this"},
		"99999 A | B":     {0, "from 1 to 60"},
		"((((((((((((((A": {13, "at most 12 times"},
	} {
		_, err := block.Parse(text)
		var syntax *block.SyntaxError
		if assert.True(t, errors.As(err, &syntax), text) {
			assert.Contains(t, syntax.Text, c.says, text)
			assert.Equal(t, c.pos, syntax.Pos, text)
		}
	}
	for _, text := range []string{"A : B", "(A | B) / C"} {
		n := parsed(t, text)
		_, err := n.Divide(3*in, 3*in)
		var division *block.DivisionError
		assert.True(t, errors.As(err, &division), text)
	}
}

func FuzzParse(f *testing.F) {
	for _, n := range block.Library() {
		f.Add(n.Text)
	}
	f.Fuzz(func(t *testing.T, text string) {
		n, err := block.Parse(text)
		if err != nil {
			return
		}
		again, err := block.Parse(n.String())
		require.NoError(t, err)
		assert.Equal(t, n.String(), again.String())
		if patches, err := n.Divide(6*in, 6*in); err == nil {
			assert.NotEmpty(t, patches)
		}
	})
}

// Of the library those are upright whose patches are squares and rectangles when it is divided.
func TestUprightBlocksHaveNoSlantedSide(t *testing.T) {
	upright := 0
	for _, named := range block.Library() {
		n, err := block.Parse(named.Text)
		require.NoError(t, err)
		patches, err := n.Divide(12*length.Inch, 12*length.Inch)
		require.NoError(t, err)
		straight := true
		for _, p := range patches {
			for i, v := range p.Line {
				next := p.Line[(i+1)%len(p.Line)]
				straight = straight && v.Bulge == 0 && (math.Abs(v.X-next.X) < 1 || math.Abs(v.Y-next.Y) < 1)
			}
		}
		assert.Equal(t, straight, n.Upright(), named.Name)
		if straight {
			upright++
		}
	}
	assert.Greater(t, upright, 5)
}
