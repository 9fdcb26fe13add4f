package reckon_test

import (
	"slices"
	"testing"

	"umschlag/core/answer"
	"umschlag/core/begin"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/block"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// faced is the worked cushion with another front.
func faced(f plan.Face) plan.Plan {
	p := worked()
	front := p.Pieces["front"]
	front.Face = &f
	p.Pieces = map[string]plan.Piece{"front": front, "back": p.Pieces["back"]}
	return p
}

// Whatever a face begins as, on any piece, it can be cut, and so can one more part of it.
func TestEveryFaceThatBeginsCanBeCut(t *testing.T) {
	kinds := []plan.FaceKind{plan.PlainFace, plan.GridFace, plan.StripsFace, plan.CheckerFace, plan.StackFace,
		plan.FoundFace, plan.GatheredFace}
	rapid.Check(t, func(t *rapid.T) {
		p := worked()
		p.Object.Width = length.Inch / 2 * length.Length(rapid.IntRange(16, 70).Draw(t, "w"))
		p.Object.Height = length.Inch / 2 * length.Length(rapid.IntRange(16, 70).Draw(t, "h"))
		kind := rapid.SampledFrom(kinds).Draw(t, "kind")
		face, ok := begin.Face(p, "front", "", kind)
		require.True(t, ok)
		assert.Equal(t, kind, face.Kind)
		q := p
		front := p.Pieces["front"]
		front.Face = &face
		q.Pieces = map[string]plan.Piece{"front": front}
		r := reckon.Reckon(q, nil)
		assert.NotEmpty(t, r.Cuts, "%v", r.Findings)
		more, ok := begin.Split(q, "front", "")
		assert.Equal(t, kind == plan.StripsFace || kind == plan.StackFace, ok)
		if ok {
			front.Face = &more
			q.Pieces = map[string]plan.Piece{"front": front}
			assert.NotEmpty(t, reckon.Reckon(q, nil).Cuts)
		}
	})
}

func TestAPartOfAStackBeginsToo(t *testing.T) {
	p := worked()
	stack, _ := begin.Face(p, "front", "", plan.StackFace)
	p = faced(stack)
	inner, ok := begin.Face(p, "front", "/parts/1/face", plan.GridFace)
	require.True(t, ok)
	stack.Parts[1].Face = inner
	r := reckon.Reckon(faced(stack), nil)
	require.NotEmpty(t, r.Cuts, "%v", r.Findings)
	for _, path := range []string{"/parts/7/face", "/parts/x/face", "/elsewhere"} {
		_, ok := begin.Face(p, "front", path, plan.GridFace)
		assert.False(t, ok, path)
	}
	_, ok = begin.Face(p, "flap", "", plan.GridFace)
	assert.False(t, ok, "a cushion has none")
}

// Every layout that is offered fills the piece it is offered for.
func TestLayoutsFillTheirPiece(t *testing.T) {
	p := worked()
	list, ok := begin.Layouts(p, "front", begin.Limits{Border: "any", Sash: length.Inch / 2})
	require.True(t, ok)
	require.NotEmpty(t, list)
	for _, l := range list {
		r := reckon.Reckon(faced(l.Face), nil)
		assert.NotEmpty(t, r.Cuts, "%d × %d: %v", l.Columns, l.Rows, r.Findings)
		assert.Equal(t, "19″", piece(t, r, "front").Finished.Width.Text)
	}
	_, ok = begin.Layouts(p, "wall", begin.Limits{Border: "any"})
	assert.False(t, ok)
}

// A front of blocks: what is cut, counted, compared and laid in other colours.
func TestAFrontOfBlocks(t *testing.T) {
	f := plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4,
		Patch: plan.Patch{Width: 4 * length.Inch, Height: 4 * length.Inch}, Block: plan.Block{Name: "pinwheel"},
		Cloths: []string{"A", "B"}, Borders: []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: "C"}}}
	other := f
	other.Cloths = []string{"C", "A"}
	f.Colourways = []plan.Colourway{{Name: "by lamp", Face: other}}
	r := reckon.Reckon(faced(f), nil)
	triangles := cut(t, r, "cut.piece:front.role:block-patch.cloth:A.no:1")
	assert.Equal(t, []any{"half-square", 32, 2, 64, "2⅞″"},
		[]any{triangles.Shape, triangles.Count, triangles.Gives, triangles.Patches, triangles.Width.Text})
	assert.Equal(t, []int{128, 16}, []int{r.Counts["patches"], r.Counts["blocks"]})
	front := piece(t, r, "front")
	require.Len(t, front.Methods, 1)
	assert.True(t, front.Methods[0].Methods[0].Chosen)
	require.Len(t, front.Ways, 1)
	require.Len(t, front.Ways[0].Cells, len(front.Cells))
	for i, c := range front.Cells {
		assert.Equal(t, map[string]string{"A": "C", "B": "A", "C": "C"}[c.Cloth], front.Ways[0].Cells[i].Cloth)
	}
	require.NotNil(t, front.Patch)
	assert.Equal(t, "4″", front.Patch.Width.Text)
	assert.Len(t, front.Press, 16*7+4*3+3+4,
		"seven seams in each block, three in each row, between them, and the border")
}

// Every block of the library on a quilted cushion is reckoned without a stop.
func TestEveryBlockIsReckoned(t *testing.T) {
	for _, n := range block.Library() {
		f := plan.Face{Kind: plan.GridFace, Columns: 3, Rows: 3, Patch: plan.Patch{Fit: true},
			Block: plan.Block{Name: n.Name}, Cloths: []string{"A", "B", "C"},
			Borders: []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: "C"}}}
		for _, set := range []plan.Setting{plan.Straight, plan.OnPoint} {
			f.Set = set
			r := reckon.Reckon(faced(f), nil)
			assert.NotEmpty(t, r.Cuts, "%s %s: %v", n.Name, set, r.Findings)
			for _, c := range r.Cuts {
				assert.Equal(t, c.Width.NM, total(r.Sums[c.ID+".width"]), c.ID)
			}
		}
	}
}

func BenchmarkFourHundredPatches(b *testing.B) {
	f := plan.Face{Kind: plan.GridFace, Columns: 20, Rows: 20, Patch: plan.Patch{Fit: true},
		Cloths: []string{"A", "B", "C"}, Order: plan.Order{Kind: plan.Scrap},
		Borders: []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: "C"}}}
	p := faced(f)
	for b.Loop() {
		reckon.Reckon(p, nil)
	}
	b.ReportMetric(float64(b.Elapsed().Nanoseconds())/float64(b.N)/400, "ns/patch")
}

func everyCellHasItsCut(t require.TestingT, _ plan.Plan, r answer.Reckoning) {
	ids := map[string]bool{}
	for _, c := range r.Cuts {
		assert.False(t, ids[c.ID], "%s stands twice", c.ID)
		ids[c.ID] = true
		assert.Positive(t, c.Width.NM, c.ID)
		assert.Positive(t, c.Height.NM, c.ID)
		assert.Positive(t, c.Count, c.ID)
	}
	for _, p := range r.Pieces {
		for _, c := range p.Cells {
			assert.True(t, ids[c.Cut], "%s is cut", c.Cut)
			assert.Positive(t, c.Width, c.Cut)
			assert.Positive(t, c.Height, c.Cut)
		}
		for _, s := range p.Press {
			assert.NotEmpty(t, s.Side)
		}
	}
}

// A border of 45 in of a cloth with 40 between its selvedges: two strips, each half of it
// with half a join; a join takes two seams (docs/arithmetic.md §6.4).
func TestLongBordersAreJoined(t *testing.T) {
	f := plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 2,
		Patch: plan.Patch{Width: 10 * length.Inch, Height: 10 * length.Inch}, Cloths: []string{"A", "B"},
		Borders: []plan.Border{{Width: plan.Extent{Width: 5 * length.Inch / 2}, Cloth: "C"}}}
	p := faced(f)
	front := p.Pieces["front"]
	front.Quilting, front.Layers, front.Squaring = nil, nil, nil
	p.Pieces["front"] = front
	p.Object.Width, p.Object.Height, p.Cover.Ease = 45*length.Inch, 25*length.Inch, plan.Axes{}
	p.Cloths["C"] = plan.Cloth{Name: "c", Width: ptr(42 * length.Inch), Usable: ptr(40 * length.Inch)}
	p.Cloths["D"] = plan.Cloth{Name: "d", Width: ptr(60 * length.Inch), Usable: ptr(58 * length.Inch)}
	r := reckon.Reckon(p, nil)
	run := cut(t, r, "cut.piece:front.of:1.role:border-second")
	assert.Equal(t, []any{4, "23″"}, []any{run.Count, run.Width.Text}, "45½ and one join of ½, halved")
	i := slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.ID == "step.piece:front.of:1.role:border.no:2" })
	require.Positive(t, i)
	assert.Contains(t, r.Steps[i].Text, "Join 2 strips")
}

func TestFoldedWindowsAreCounted(t *testing.T) {
	f := plan.Face{Kind: plan.WindowsFace, Columns: 4, Rows: 4, Ground: "A", Show: "B", Buttons: true}
	p := faced(f)
	front := p.Pieces["front"]
	front.Quilting, front.Layers, front.Squaring = nil, nil, nil
	p.Pieces["front"] = front
	r := reckon.Reckon(p, nil)
	require.NotEmpty(t, r.Cuts, "%v", r.Findings)
	for name, n := range map[string]int{"ground squares": 16, "whole windows": 24, "half windows": 16,
		"window patches": 32, "points": 25, "buttons": 25} {
		assert.Equal(t, n, r.Counts[name], name)
	}
	shown := piece(t, r, "front")
	require.NotNil(t, shown.Windows)
	assert.Equal(t, "19″", shown.Finished.Width.Text, "units of a quarter of 19½, less two seams")
	for _, s := range r.Steps {
		assert.NotEqual(t, ref.DoRow, s.About.Role, "units are joined in one step")
	}
}

func TestLimitsThatNoPatchHas(t *testing.T) {
	assert.Empty(t, begin.Limits{Least: 2 * length.Inch, Most: 8 * length.Inch}.Validate())
	for about, l := range map[string]begin.Limits{"/least": {Least: -1}, "/most": {Most: 101 * length.Inch},
		"/ready": {Ready: -length.Inch}, "/sash": {Sash: 2 * length.Metre * 2}} {
		found := l.Validate()
		require.Len(t, found, 1, about)
		assert.Equal(t, about, found[0].About)
		assert.NotEmpty(t, found[0].Remedy)
	}
}

// A layout keeps what the maker had decided: cloths, block, border cloth and corners, the
// posts of the sashes.
func TestALayoutKeepsWhatWasDecided(t *testing.T) {
	f := plan.Face{Kind: plan.GridFace, Columns: 2, Rows: 2, Patch: plan.Patch{Fit: true}, Cloths: []string{"B", "C"},
		Block: plan.Block{Name: "pinwheel"}, Order: plan.Order{Kind: plan.Scrap}, Seed: 4,
		Sash: &plan.Sash{Width: length.Inch, Cloth: "D", Posts: true, PostCloth: "A"},
		Borders: []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: "D", Corner: "squares",
			CornerCloth: "A"}}}
	list, ok := begin.Layouts(faced(f), "front", begin.Limits{Border: "yes", Sash: length.Inch / 2})
	require.True(t, ok)
	sashed := 0
	for _, l := range list {
		assert.Equal(t, []any{f.Cloths, f.Block, f.Order, 4},
			[]any{l.Face.Cloths, l.Face.Block, l.Face.Order, l.Face.Seed})
		require.Len(t, l.Face.Borders, 1)
		assert.Equal(t, []any{"D", plan.BorderCorner("squares"), "A"},
			[]any{l.Face.Borders[0].Cloth, l.Face.Borders[0].Corner, l.Face.Borders[0].CornerCloth})
		if l.Face.Sash != nil {
			sashed++
			assert.Equal(t, plan.Sash{Width: length.Inch / 2, Cloth: "D", Posts: true, PostCloth: "A"}, *l.Face.Sash)
		}
	}
	assert.Positive(t, sashed)
}

// The methods of a front and its cutting list agree: what the school of the plan is said
// to cut is what is cut.
func TestMethodsAgreeWithTheCuts(t *testing.T) {
	f := plan.Face{Kind: plan.GridFace, Columns: 3, Rows: 3,
		Patch: plan.Patch{Width: 4 * length.Inch, Height: 4 * length.Inch}, Block: plan.Block{Name: "pinwheel"},
		Cloths:  []string{"A", "B"},
		Borders: []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: "C"}}}
	for _, school := range []plan.Triangles{plan.ExactTriangles, plan.TrimTriangles, plan.ManyTriangles} {
		p := faced(f)
		p.Habits.Triangles = school
		r := reckon.Reckon(p, nil)
		pieces := 0
		for _, c := range r.Cuts {
			if c.Patches > 0 {
				pieces += c.Count
			}
		}
		for _, m := range piece(t, r, "front").Methods[0].Methods {
			if m.Chosen {
				assert.Equal(t, m.Pieces, pieces, string(school))
			}
		}
	}
	f.Block.Name = "flying-geese"
	for _, school := range []plan.Triangles{plan.ExactTriangles, plan.TrimTriangles, plan.ManyTriangles} {
		p := faced(f)
		p.Habits.Triangles = school
		r := reckon.Reckon(p, nil)
		pieces := cut(t, r, "cut.piece:front.role:block-patch.cloth:A.no:1").Count + cut(t, r,
			"cut.piece:front.role:block-patch.cloth:B.no:2").Count
		for _, m := range piece(t, r, "front").Methods[0].Methods {
			if m.Chosen {
				assert.Equal(t, m.Pieces, pieces, "18 geese, %s", school)
			}
		}
	}
}

// Blocks in centimetres and in inches are the same block: every cut within the two ruler
// steps of the other.
func TestMetricBlocksAgree(t *testing.T) {
	for _, name := range []string{"pinwheel", "sawtooth-star", "square-in-a-square", "log-cabin"} {
		f := plan.Face{Kind: plan.GridFace, Columns: 2, Rows: 2,
			Patch: plan.Patch{Width: 8 * length.Inch, Height: 8 * length.Inch}, Block: plan.Block{Name: name},
			Cloths:  []string{"A", "B", "C"},
			Borders: []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: "C"}}}
		inches := faced(f)
		metric := inches
		metric.Units, metric.Habits.Step = length.Centimetres, length.Millimetre
		a, b := reckon.Reckon(inches, nil), reckon.Reckon(metric, nil)
		require.Equal(t, len(a.Cuts), len(b.Cuts), name)
		for i := range a.Cuts {
			assert.Equal(t, a.Cuts[i].ID, b.Cuts[i].ID)
			assert.Equal(t, a.Cuts[i].Count, b.Cuts[i].Count)
			assert.InDelta(t, float64(a.Cuts[i].Width.NM), float64(b.Cuts[i].Width.NM), float64(length.Inch/4),
				a.Cuts[i].ID)
		}
	}
}

// On the main panel of a hood with round corners, whose way round is no even size, every
// grid that is offered can be cut.
func TestLayoutsOfARoundedHood(t *testing.T) {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Title, p.Object = "hood", plan.Object{Kind: plan.Box, Length: 17 * length.Inch, Depth: 14 * length.Inch,
		Height: 6 * length.Inch}
	p.Cover = plan.Cover{Kind: "wrap-hood", Seam: length.Inch / 2,
		Corners: plan.Corners{Kind: plan.RoundCorners, Radius: 2 * length.Inch}, Bottom: plan.Bottom{Finish: "bound"}}
	p.Cloths = map[string]plan.Cloth{"A": {Name: "a", Width: ptr(60 * length.Inch)},
		"B": {Name: "b", Width: ptr(60 * length.Inch)}}
	list, ok := begin.Layouts(p, "main", begin.Limits{Border: "any"})
	require.True(t, ok)
	require.NotEmpty(t, list)
	for _, l := range list {
		p.Pieces = map[string]plan.Piece{"main": {Face: &l.Face}}
		assert.NotEmpty(t, reckon.Reckon(p, nil).Cuts, "%d × %d: %v", l.Columns, l.Rows, reckon.Reckon(p, nil).Findings)
	}
}
