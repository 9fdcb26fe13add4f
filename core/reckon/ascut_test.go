package reckon_test

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/answer"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// sewnTogether is a cushion with seams of two kinds, quilted or not.
func sewnTogether(t *rapid.T) plan.Plan {
	p, _ := plan.Begin("cushion", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "linen"})
	p.Title, p.Object.Width, p.Object.Height = "t", 18*in, 14*in
	p.Cover.Seam = pickOf(t, "closing seam", in/4, in/2)
	p.Cover.PiecingSeam = pickOf(t, "piecing seam", in/4, 3*in/8)
	q := p.Pieces["front"]
	if rapid.Bool().Draw(t, "quilted") {
		q.Layers = &plan.Layers{Batting: &plan.Batting{Count: 1, Loft: 3 * length.Millimetre}}
		q.Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: 2 * in, Angle: 45}}}
		q.TakeUp = &plan.TakeUp{From: plan.Given, Across: 2, Along: 3}
	}
	p.Pieces["front"] = q
	return p
}

func pickOf[V any](t *rapid.T, name string, from ...V) V {
	return rapid.SampledFrom(from).Draw(t, name)
}

// fronted is the plan with a face on its front.
func fronted(p plan.Plan, f plan.Face) plan.Plan {
	q := p.Pieces["front"]
	q.Face = &f
	p.Pieces["front"] = q
	return p
}

// cutsAs are the sizes of the cuts of a role, narrow side first.
func cutsAs(t *rapid.T, p plan.Plan, role ref.Role) [][2]length.Length {
	r := reckon.Reckon(p, nil)
	require.False(t, finding.List(r.Findings).Stopped(), "%v", r.Findings)
	var out [][2]length.Length
	for _, c := range r.Cuts {
		if c.About.Role == role && c.Layer == "outer" {
			w, h := length.Length(c.Width.NM), length.Length(c.Height.NM)
			out = append(out, [2]length.Length{min(w, h), max(w, h)})
		}
	}
	require.NotEmpty(t, out)
	return out
}

// What is given as it is cut is cut so, whatever is quilted, trimmed or sewn with other seams round it.
func TestACutSizeIsKept(t *testing.T) {
	alpha := []string{"A"}
	rapid.Check(t, func(t *rapid.T) {
		p := sewnTogether(t)
		cut := length.Length(rapid.IntRange(40, 60).Draw(t, "sixteenths")) * in / 16
		rest := plan.Extent{Rest: true}
		switch rapid.IntRange(0, 5).Draw(t, "what") {
		case 0:
			p = fronted(p, plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 3, Cloths: alpha,
				Patch:   plan.Patch{WidthCut: cut, HeightCut: cut + in/16},
				Borders: []plan.Border{{Width: rest, Cloth: "A"}}})
			assert.Equal(t, [][2]length.Length{{cut, cut + in/16}}, cutsAs(t, p, ref.Patch))
		case 1:
			p = fronted(p, plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 3, Cloths: alpha,
				Patch:   plan.Patch{Fit: true},
				Borders: []plan.Border{{Width: plan.Extent{Cut: cut}, Cloth: "A"}}})
			for _, role := range []ref.Role{ref.BorderFirst, ref.BorderSecond} {
				for _, size := range cutsAs(t, p, role) {
					assert.Equal(t, cut, size[0], "a border round the patches is %v", role)
				}
			}
		case 2:
			p = fronted(p, plan.Face{Kind: plan.StripsFace, Strips: []plan.Strip{
				{Width: plan.Extent{Cut: cut}, Cloth: "A"}, {Width: rest, Cloth: "A"},
				{Width: plan.Extent{Cut: cut}, Cloth: "A"}}})
			sizes := cutsAs(t, p, ref.Strip)
			assert.Equal(t, []length.Length{cut, cut}, []length.Length{sizes[0][0], sizes[2][0]})
		case 3:
			p = fronted(p, plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 3, Cloths: alpha,
				Patch: plan.Patch{Width: 2 * in}, Sash: &plan.Sash{WidthCut: cut, Cloth: "A"},
				Borders: []plan.Border{{Width: rest, Cloth: "A"}}})
			assert.Contains(t, cutsAs(t, p, ref.ShortSash)[0], cut)
		case 4:
			p = fronted(p, plan.Face{Kind: plan.StackFace, Parts: []plan.Part{
				{Height: plan.Extent{Cut: cut}, Face: plan.Face{Kind: plan.PlainFace, Cloth: "A"}},
				{Height: rest, Face: plan.Face{Kind: plan.PlainFace, Cloth: "A"}}}})
			r := reckon.Reckon(p, nil)
			require.False(t, finding.List(r.Findings).Stopped(), "%v", r.Findings)
			i := slices.IndexFunc(r.Cuts,
				func(c answer.Cut) bool { return c.About.Piece == "front" && c.Layer == "outer" })
			assert.EqualValues(t, cut, r.Cuts[i].Height.NM, "a part in one piece")
		case 5:
			p.Cover.Size.Width, p.Cover.Size.Height = plan.Size{Cut: 16 * in}, plan.Size{Finished: 13 * in}
			p.Cover.Wash = float64(rapid.IntRange(0, 5).Draw(t, "wash"))
			r := reckon.Reckon(p, nil)
			require.False(t, finding.List(r.Findings).Stopped(), "%v", r.Findings)
			front := r.Pieces[0]
			assert.EqualValues(t, 16*in, front.Trimmed.Width.NM)
			assert.EqualValues(t, 13*in, front.Finished.Height.NM)
		}
	})
}

// Four patches of 4½ in as cut, sewn with a quarter and closed with half an inch, are trimmed 16½ and finish 15½: the
// cover is as large as it becomes, and the object is told.
func TestPatchesAsCutMakeTheCover(t *testing.T) {
	p, _ := plan.Begin("cushion", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "linen"})
	p.Title, p.Object.Width, p.Object.Height, p.Cover.Seam = "t", 16*in, 16*in, in/2
	p = fronted(p, plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4, Cloths: []string{"A"},
		Patch: plan.Patch{WidthCut: 9 * in / 2}})
	r := reckon.Reckon(p, nil)
	front := r.Pieces[0]
	assert.EqualValues(t, 33*in/2, front.Trimmed.Width.NM)
	assert.EqualValues(t, 31*in/2, front.Finished.Width.NM)
	assert.EqualValues(t, 9*in/2, r.Cuts[0].Width.NM)
	assert.True(t, slices.ContainsFunc(r.Findings, func(f finding.Finding) bool { return f.Code == "cover-smaller" }))
}

// Sizes are given as they are cut along every axis of every kind of cover, and leave the ease.
func TestACoverIsAsLargeAsItIsDecided(t *testing.T) {
	type is struct{ piece, axis string }
	for thing, axes := range map[string]map[string]is{
		"cushion":   {"width": {"front", "width"}, "height": {"front", "height"}},
		"boxed":     {"width": {"face", "width"}, "height": {"face", "height"}, "depth": {"band", "height"}},
		"appliance": {"length": {"main", "width"}, "depth": {"end", "width"}, "height": {"end", "height"}},
		"book":      {"wrap": {"outside", "width"}, "height": {"outside", "height"}},
		"flat":      {"width": {"top", "width"}, "height": {"top", "height"}},
	} {
		for axis, of := range axes {
			for _, bottom := range []plan.BottomFinish{"", "hem"} {
				p, _ := plan.Begin(thing, length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "linen"})
				p.Title, p.Object.Width, p.Object.Height, p.Object.Length = "t", 16*in, 10*in, 17*in
				p.Object.Depth, p.Object.Thickness, p.Object.Wrap = 12*in, 2*in, 19*in
				p.Cover.Bottom, p.Cover.Bulk, p.Cover.Wash = plan.Bottom{Finish: bottom, Width: in}, in/8, 3
				if thing != "appliance" {
					p.Cover.Bottom = plan.Bottom{}
				}
				sized := map[string]*plan.Size{"width": &p.Cover.Size.Width, "height": &p.Cover.Size.Height,
					"length": &p.Cover.Size.Length, "depth": &p.Cover.Size.Depth, "wrap": &p.Cover.Size.Wrap}[axis]
				for _, size := range []plan.Size{{Cut: 15 * in}, {Finished: 15 * in}} {
					*sized = size
					r := reckon.Reckon(p, nil)
					what := fmt.Sprint(thing, " ", axis, " ", bottom, " ", size)
					require.False(t, finding.List(r.Findings).Stopped(), "%s: %v", what, r.Findings)
					i := slices.IndexFunc(r.Pieces, func(q answer.Piece) bool { return q.Name == of.piece })
					shown := r.Pieces[i].Finished
					if size.Cut != 0 {
						shown = r.Pieces[i].Trimmed
					}
					got := map[string]answer.L{"width": shown.Width, "height": shown.Height}[of.axis]
					assert.EqualValues(t, 15*in, got.NM, what)
				}
			}
		}
	}
}
