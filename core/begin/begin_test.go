package begin_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/begin"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/gridfit"
	"umschlag/core/length"
	"umschlag/core/plan"
	_ "umschlag/seeded"
)

const in = length.Inch

// cushion is a cover that finishes w × h, in three cloths.
func cushion(w, h length.Length) plan.Plan {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Title, p.Cover.Kind = "any", plan.Cushion
	p.Object = plan.Object{Kind: plan.Form, Width: w, Height: h}
	p.Cloths = map[string]plan.Cloth{"A": {Name: "a"}, "B": {Name: "b"}, "C": {Name: "c"}}
	p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"}}}
	return p
}

// side draws a side in eighths.
func side(t *rapid.T, name string) length.Length {
	return (in / 8).Times(rapid.IntRange(24, 320).Draw(t, name))
}

func begun(t require.TestingT, p plan.Plan, kind plan.FaceKind) plan.Face {
	f, ok := begin.Face(p, "front", "", kind)
	require.True(t, ok)
	require.Equal(t, kind, f.Kind)
	return f
}

// What begins fills its piece to the nanometre: strips of a quarter, what is left and a quarter, or one where three
// are too narrow; two halves of a stack; half a piece for a panel that is found.
func TestWhatBeginsFillsItsPiece(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		w, h := side(t, "width"), side(t, "height")
		p := cushion(w, h)
		strips := begun(t, p, plan.StripsFace)
		assert.Equal(t, plan.AcrossWay, strips.Direction)
		quarter := max(h.Div(4).Floor(in/8), plan.LeastStrip.Ceil(in/8))
		if h < 3*plan.LeastStrip.Ceil(in/8) {
			assert.Equal(t, []plan.Strip{{Width: plan.Extent{Width: h}, Cloth: "A"}}, strips.Strips)
		} else {
			assert.Equal(t, []plan.Strip{{Width: plan.Extent{Width: quarter}, Cloth: "A"},
				{Width: plan.Extent{Width: h - 2*quarter}, Cloth: "B"}, {Width: plan.Extent{Width: quarter}, Cloth: "A"}},
				strips.Strips)
		}
		stack := begun(t, p, plan.StackFace)
		require.Len(t, stack.Parts, 2)
		upper := stack.Parts[0].Height.Width
		assert.Equal(t, h, upper+stack.Parts[1].Height.Width)
		assert.True(t, upper.OnStep(in/8) && upper <= h/2 && upper > h/2-in/8)
		assert.Equal(t, [2]string{"A", "B"}, [2]string{stack.Parts[0].Face.Cloth, stack.Parts[1].Face.Cloth})
		found := begun(t, p, plan.FoundFace)
		assert.Equal(t, plan.Patch{Width: w.Div(2).Floor(in / 8), Height: h.Div(2).Floor(in / 8)}, found.Patch)
		assert.True(t, found.Borders[0].Width.Rest)
		assert.Equal(t, "B", found.Borders[0].Cloth)
	})
}

// Folded windows: against every count there is, none comes nearer to a square unit, and of those none to 3 in.
func TestWindowsComeOutNearest(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := cushion(side(t, "width"), side(t, "height"))
		f := begun(t, p, plan.WindowsFace)
		w, h := (p.Object.Width + in/2).Float(), (p.Object.Height + in/2).Float()
		miss := func(c, r int) float64 { return math.Abs(w*float64(r) - h*float64(c)) }
		for c := 1; c <= 12; c++ {
			if w/float64(c) < 1.5*in.Float() && c > 1 {
				break
			}
			r := max(1, int(math.Round(h*float64(c)/w)))
			assert.LessOrEqual(t, miss(f.Columns, f.Rows), miss(c, r))
			if miss(f.Columns, f.Rows) == miss(c, r) {
				off := func(n int) float64 { return math.Abs(w/float64(n) - 3*in.Float()) }
				assert.LessOrEqual(t, off(f.Columns), off(c)+1)
			}
		}
		assert.Equal(t, [2]string{"A", "B"}, [2]string{f.Ground, f.Show})
	})
}

// A grid begins with whole patches that fill the front by themselves: nearly square, on the ruler where squares can be.
func TestAGridBegins(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		square := in / 8 * length.Length(rapid.IntRange(24, 40).Draw(t, "eighths of a square"))
		c, r := rapid.IntRange(3, 6).Draw(t, "columns"), rapid.IntRange(3, 6).Draw(t, "rows")
		f := begun(t, cushion(square.Times(c), square.Times(r)), plan.GridFace)
		assert.Equal(t, []string{"A", "B"}, f.Cloths, "the first two")
		assert.Empty(t, f.Borders)
		assert.True(t, f.Patch.Fit)
		pw, ph := square.Times(c).Div(f.Columns), square.Times(r).Div(f.Rows)
		assert.Equal(t, pw, ph, "squares fill it")
		assert.True(t, pw.OnStep(in/8), "on the ruler")
	})
	rapid.Check(t, func(t *rapid.T) {
		w, h := side(t, "width"), side(t, "height")
		f := begun(t, cushion(w, h), plan.GridFace)
		assert.Empty(t, f.Borders)
		if long, short := max(w, h), min(w, h); short >= 4*in && long <= 3*short {
			ratio := (w.Float() / float64(f.Columns)) / (h.Float() / float64(f.Rows))
			assert.InDelta(t, 1, ratio, 0.27)
			patch := math.Sqrt(w.Float() / float64(f.Columns) * h.Float() / float64(f.Rows))
			assert.Greater(t, patch, in.Float())
			assert.Less(t, patch, 12*in.Float())
		}
	})
	quilted := cushion(16*in, 16*in)
	front := quilted.Pieces["front"]
	front.Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in}}}
	quilted.Pieces["front"] = front
	assert.Len(t, begun(t, quilted, plan.GridFace).Borders, 1, "what is quilted has something to trim off")
	narrow := cushion(40*in, 40*in)
	narrow.Cloths["B"] = plan.Cloth{Name: "b", Usable: ptr(8 * in)}
	f := begun(t, narrow, plan.GridFace)
	assert.LessOrEqual(t, (40 * in).Div(f.Columns), 8*in-in/2-in/8, "patches of 10 in do not come out of 8")
}

func ptr[T any](v T) *T { return &v }

// One more strip or part: half of the last, on the ruler; all others stay, and together they are what they were.
func TestOneMoreIsHalfOfTheLast(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		h := side(t, "height")
		for _, kind := range []plan.FaceKind{plan.StripsFace, plan.StackFace} {
			p := cushion(16*in, h)
			face := begun(t, p, kind)
			if rapid.Bool().Draw(t, "rest") && len(face.Strips) > 0 {
				face.Strips[len(face.Strips)-1].Width = plan.Extent{Rest: true}
			}
			p.Pieces["front"] = plan.Piece{Face: &face}
			before, ok := begin.Filled(p, "front", "")
			require.True(t, ok)
			after, ok := begin.Split(p, "front", "")
			require.True(t, ok)
			sizes := func(f plan.Face) (out []length.Length) {
				for _, s := range f.Strips {
					out = append(out, s.Width.Width)
				}
				for _, q := range f.Parts {
					out = append(out, q.Height.Width)
				}
				return out
			}
			was, is := sizes(before), sizes(after)
			require.Len(t, is, len(was)+1)
			last := was[len(was)-1]
			assert.Equal(t, was[:len(was)-1], is[:len(was)-1])
			assert.Equal(t, last, is[len(was)-1]+is[len(was)])
			assert.Equal(t, (last / 2).Floor(in/8), is[len(was)])
			cloth := []string{"A", "B"}[len(was)%2]
			if kind == plan.StripsFace {
				assert.False(t, after.Strips[len(was)-1].Width.Rest)
				assert.Equal(t, cloth, after.Strips[len(was)].Cloth)
			} else {
				assert.Equal(t, plan.Face{Kind: plan.PlainFace, Cloth: cloth}, after.Parts[len(was)].Face)
			}
		}
	})
	_, ok := begin.Split(cushion(16*in, 16*in), "front", "")
	assert.False(t, ok, "one piece of fabric has no parts")
	_, ok = begin.Split(cushion(16*in, 16*in), "lid", "")
	assert.False(t, ok)
	_, ok = begin.Filled(cushion(16*in, 16*in), "front", "/parts/3/face")
	assert.False(t, ok)
}

// A part of a stack begins in its own height.
func TestAPartBeginsInItsHeight(t *testing.T) {
	p := cushion(16*in, 20*in)
	stack := begun(t, p, plan.StackFace)
	stack.Parts[1].Height = plan.Extent{Width: 12 * in}
	stack.Parts[0].Height = plan.Extent{Rest: true}
	p.Pieces["front"] = plan.Piece{Face: &stack}
	for i, high := range []length.Length{8 * in, 12 * in} {
		f, ok := begin.Face(p, "front", "/parts/"+string(rune('0'+i))+"/face", plan.StripsFace)
		require.True(t, ok)
		total := length.Length(0)
		for _, s := range f.Strips {
			total += s.Width.Width
		}
		assert.Equal(t, high, total)
		assert.Equal(t, high.Div(4), f.Strips[0].Width.Width)
	}
	_, ok := begin.Face(p, "front", "/parts/2/face", plan.StripsFace)
	assert.False(t, ok)
}

// The grids of a piece keep what was decided of the face: cloths, an order by chance, its block on square patches, the
// cloth of sashes, the corners of its border.
func TestLayoutsKeepWhatWasDecided(t *testing.T) {
	p := cushion(19*in, 15*in)
	p.Pieces["front"] = plan.Piece{Face: &plan.Face{Kind: plan.GridFace, Cloths: []string{"B", "C"}, Columns: 2,
		Patch: plan.Patch{Fit: true},
		Rows:  2,
		Order: plan.Order{Kind: plan.Scrap}, Seed: 5, Block: plan.Block{Name: "pinwheel"},
		Sash: &plan.Sash{Width: in, Cloth: "C", Posts: true, PostCloth: "B"},
		Borders: []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: "B",
			Corner: plan.BorderCorner("mitred"), CornerCloth: "C"}}}}
	require.Empty(t, p.Settle().Validate())
	for _, sash := range []length.Length{0, in} {
		list, ok := begin.Layouts(p, "front", begin.Limits{Sash: sash})
		require.True(t, ok)
		require.NotEmpty(t, list)
		usual := plan.StartsIn(length.Inches)
		o := gridfit.Order{Width: 19 * in, Height: 15 * in, Seam: in / 4, Step: in / 8, Least: usual.Least,
			Most: usual.Most, Style: p.Style()}
		if sash > 0 {
			o.Sashes = []length.Length{sash}
		}
		best := gridfit.Best(o)
		require.Len(t, list, len(best))
		for i, l := range list {
			assert.Equal(t, best[i], l.Layout)
			f := l.Face
			assert.Equal(t, [2]int{l.Columns, l.Rows}, [2]int{f.Columns, f.Rows})
			assert.Equal(t, plan.Patch{Width: l.PatchWidth, Height: l.PatchHeight}, f.Patch)
			assert.Equal(t, []any{[]string{"B", "C"}, plan.Scrap, 5}, []any{f.Cloths, f.Order.Kind, f.Seed})
			assert.Equal(t, l.PatchWidth == l.PatchHeight, f.Block.Name == "pinwheel")
			assert.Equal(t, l.Sash > 0, f.Sash != nil)
			if f.Sash != nil {
				assert.Equal(t, plan.Sash{Width: l.Sash, Cloth: "C", Posts: true, PostCloth: "B"}, *f.Sash)
			}
			require.Equal(t, l.Border > 0, len(f.Borders) == 1)
			if l.Border > 0 {
				b := f.Borders[0]
				assert.Equal(t, []any{"B", plan.BorderCorner("mitred"), "C"}, []any{b.Cloth, b.Corner, b.CornerCloth})
				want := plan.Extent{Width: l.Border}
				if l.Rest {
					want = plan.Extent{Rest: true}
				}
				assert.Equal(t, want, b.Width)
			}
		}
	}
	plain, ok := begin.Layouts(cushion(19*in, 15*in), "front", begin.Limits{Sash: in, Border: gridfit.Bordered})
	require.True(t, ok)
	for _, l := range plain {
		assert.Equal(t, []any{[]string{"A", "B"}, plan.Alternate, "A"},
			[]any{l.Face.Cloths, l.Face.Order.Kind, l.Face.Borders[0].Cloth})
	}
	_, ok = begin.Layouts(cushion(0, 0), "front", begin.Limits{})
	assert.False(t, ok)
	_, ok = begin.Layouts(cushion(19*in, 15*in), "lid", begin.Limits{})
	assert.False(t, ok)
}

// Limits are sizes up to 100 in, each found where it stands.
func TestLimitsOfAGrid(t *testing.T) {
	assert.Empty(t, begin.Limits{Least: 100 * in, Most: 100 * in, Ready: 100 * in, Sash: 100 * in}.Validate())
	for about, l := range map[string]begin.Limits{"/least": {Least: 100*in + 1}, "/most": {Most: -1},
		"/ready": {Ready: 101 * in}, "/sash": {Sash: -in}} {
		found := l.Validate()
		require.Len(t, found, 1)
		assert.Equal(t, about, found[0].About)
	}
}

// Corners begin with the usual sizes, halved on the ruler until the cover can have them: what is twice as large
// could not.
func TestCornersBeginAsLargeAsTheySuit(t *testing.T) {
	usual := plan.StartsIn(length.Inches)
	assert.Equal(t, begin.Corners{Radius: usual.Radius, Plate: usual.Plate, Taper: usual.Taper},
		begin.Sizes(cushion(30*in, 30*in).Settle()))
	rapid.Check(t, func(t *rapid.T) {
		p := cushion(side(t, "width")/8, side(t, "height")/8).Settle()
		fits := func(c plan.Corners) bool {
			q := p
			q.Cover.Corners = c
			return !q.Settle().Validate().Stopped() && corners(q)
		}
		s := begin.Sizes(p)
		for _, c := range []struct {
			usual, is length.Length
			as        func(length.Length) plan.Corners
		}{{usual.Radius, s.Radius, func(l length.Length) plan.Corners {
			return plan.Corners{Kind: plan.RoundCorners,
				Radius: l}
		}},
			{usual.Taper, s.Taper, func(l length.Length) plan.Corners {
				return plan.Corners{Kind: plan.TaperedCorners,
					Taper: l}
			}}} {
			larger := c.usual
			for larger > c.is && (larger/2).Floor(in/8) > c.is {
				larger = (larger / 2).Floor(in / 8)
			}
			if c.is < c.usual {
				assert.True(t, fits(c.as(c.is)))
				assert.False(t, fits(c.as(larger)), "%v would do", larger)
			}
		}
	})
}

// corners tells whether a cover can have its corners.
func corners(p plan.Plan) bool {
	_, found := cover.Pieces(p)
	for _, f := range found {
		if finding.Within(f.About, "/cover/corners") {
			return false
		}
	}
	return true
}
