package panel_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/applique"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/panel"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sample"
	_ "umschlag/seeded"
)

// A letter is used wherever none is named, in every part of every face; what is named stays.
func TestEveryPartHasACloth(t *testing.T) {
	o := panel.Order{Plan: plan.Plan{Cloths: map[string]plan.Cloth{"B": {}, "C": {}, "D": {}}}}
	bare := plan.Face{Kind: plan.StackFace, Sash: &plan.Sash{}, Borders: []plan.Border{{}, {Cloth: "D"}},
		Strips: []plan.Strip{{}, {Cloth: "D"}}, Applique: []plan.Shape{{}, {Cloth: "D"}},
		Parts: []plan.Part{{Face: plan.Face{Kind: plan.WindowsFace}},
			{Face: plan.Face{Kind: plan.WindowsFace, Ground: "D", Show: "C"}}}}
	f := o.Face(plan.Piece{Face: &bare})
	assert.Equal(t, []string{"B", "B", "B", "D", "B", "D", "B", "D"}, []string{f.Cloth, f.Sash.Cloth,
		f.Borders[0].Cloth,
		f.Borders[1].Cloth, f.Strips[0].Cloth, f.Strips[1].Cloth, f.Applique[0].Cloth, f.Applique[1].Cloth})
	assert.Equal(t, []string{"B", "B", "D", "C"}, []string{f.Parts[0].Face.Ground, f.Parts[0].Face.Show,
		f.Parts[1].Face.Ground, f.Parts[1].Face.Show})
	assert.Empty(t, bare.Sash.Cloth+bare.Borders[0].Cloth+bare.Strips[0].Cloth+bare.Applique[0].Cloth,
		"the plan stays as it was typed")
	assert.Equal(t, plan.Face{Kind: plan.PlainFace, Cloth: "B"}, o.Face(plan.Piece{}))
	of := func(f plan.Face) string { return o.Face(plan.Piece{Face: &f}).Cloth }
	assert.Empty(t, of(plan.Face{Kind: plan.GridFace, Cloths: []string{"C"}}), "a grid of fabrics is of no single one")
	assert.Empty(t, of(plan.Face{Kind: plan.GridFace, Order: plan.Order{Kind: plan.Rows}}))
	assert.Equal(t, []string{"B", "C"}, panel.Letters(o.Plan))
	assert.Equal(t, []string{"A"}, panel.Letters(plan.Plan{}))
	assert.Equal(t, "B", panel.FirstCloth(o.Plan))
}

// The face of a piece is decided under its own name, or for all pieces where only that is.
func TestWhereAFaceIsDecided(t *testing.T) {
	own, common := map[string]plan.Piece{"front": {Face: &plan.Face{}}}, map[string]plan.Piece{plan.Common: {}}
	both := map[string]plan.Piece{"front": {Face: &plan.Face{}}, plan.Common: {}}
	beside := map[string]plan.Piece{"front": {}, plan.Common: {Face: &plan.Face{}}}
	for want, pieces := range map[string][]map[string]plan.Piece{"/pieces/front": {own, both, nil},
		"/pieces/*": {common, beside}} {
		for _, p := range pieces {
			assert.Equal(t, want, panel.Path(plan.Plan{Pieces: p}, "front"), "%v", p)
		}
	}
}

// A gathered face goes by the ratio of the sample that was sewn for it, unless it says which one it was planned with.
func TestASampleDecidesTheRatioOfGathers(t *testing.T) {
	sewn := plan.Sample{Kind: plan.GatherSample, Before: plan.Sized{Width: 14 * in},
		After: []plan.Sized{{Width: 7 * in}}}
	o := panel.Order{Samples: sample.Shelf{"s": sewn, "open": {Kind: plan.GatherSample}}}
	of := func(f plan.Face) float64 { return o.Face(plan.Piece{Face: &f}).Ratio }
	assert.InDelta(t, 2, of(plan.Face{Kind: plan.GatheredFace, Sample: "s", Ratio: 3}), 1e-9)
	assert.InDelta(t, 3, of(plan.Face{Kind: plan.GatheredFace, Sample: "open", Ratio: 3}), 1e-9)
	assert.InDelta(t, 3, of(plan.Face{Kind: plan.GatheredFace, Sample: "other", Ratio: 3}), 1e-9)
	assert.InDelta(t, 3, of(plan.Face{Kind: plan.PlainFace, Sample: "s", Ratio: 3}), 1e-9)
}

// A quilted panel of any size: the top is what the chain says, the pattern lies on all of it, and the face is trimmed
// to the piece with its seams.
func TestAPanelIsItsChain(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		w, h := in.Times(rapid.IntRange(8, 30).Draw(t, "w")), in.Times(rapid.IntRange(8, 30).Draw(t, "h"))
		p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
		p.Object, p.Cover.Kind = plan.Object{Kind: plan.Form, Width: w, Height: h}, plan.Cushion
		face := plan.Face{Kind: plan.PlainFace, Cloth: "A"}
		if rapid.Bool().Draw(t, "pieced") {
			face = plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4, Patch: plan.Patch{Fit: true},
				Cloths: []string{"A", "B"}}
		}
		q := plan.Piece{Face: &face, Layers: &plan.Layers{Batting: &plan.Batting{Count: 1,
			Loft: 3 * length.Millimetre}},
			Quilting: &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in, Angle: 45}}}}
		p.Pieces = map[string]plan.Piece{plan.Common: q}
		p.Cloths = map[string]plan.Cloth{"A": {Name: "a"}, "B": {Name: "b"}}
		p = p.Settle()
		c, _ := cover.Pieces(p)
		made, found := panel.Order{Plan: p}.Of(c.Pieces[0])
		require.False(t, found.Stopped(), "%v", found)
		seam := p.Cover.Seam
		trimmed := made.Chain.Trimmed
		assert.Equal(t, [2]length.Length{w + 2*seam, h + 2*seam}, [2]length.Length{trimmed.Width.Total(),
			trimmed.Height.Total()})
		chain, _ := layers.Of(layers.Order{Piece: p.Piece("front"), Trimmed: trimmed, Step: p.Habits.Step})
		assert.InDelta(t, chain.Top.Width.Total().Float(), made.Chain.Top.Width.Total().Float(), 2)
		assert.InDelta(t, chain.Top.Height.Total().Float(), made.Chain.Top.Height.Total().Float(), 2)
		assert.InDelta(t, (chain.Top.Width.Total()-trimmed.Width.Total()).Float()/2, made.Across.Float(), 2)
		assert.InDelta(t, (chain.Top.Height.Total()-trimmed.Height.Total()).Float()/2, made.Up.Float(), 2)
		left, top := math.Inf(1), math.Inf(1)
		for _, l := range made.Pattern.Lines {
			for _, at := range l.Points {
				left, top = math.Min(left, at.X), math.Min(top, at.Y)
			}
		}
		assert.InDelta(t, -(seam + made.Across).Float(), left, 5, "to the edge of the top")
		assert.InDelta(t, -(seam + made.Up).Float(), top, 5)
		assert.Len(t, made.Pressed.Sides, len(made.Face.Seams))
	})
}

// A hood whose stack takes more of its inside than its ease gives is told so, with the bulk that would mend it.
func TestAThickStackIsNoted(t *testing.T) {
	thick := func(loft, ease, bulk length.Length, object plan.ObjectKind) []finding.Finding {
		p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
		p.Object = plan.Object{Kind: object, Length: 16 * in, Depth: 12 * in, Height: 10 * in, Width: 16 * in,
			Board: 6 * in, Spine: in}
		p.Cover.Kind = map[plan.ObjectKind]plan.CoverKind{plan.Box: "wrap-hood", plan.Book: plan.Jacket,
			plan.Form: plan.Cushion}[object]
		p.Cover.Ease, p.Cover.Bulk = plan.Axes{Length: ease, Depth: ease, Wrap: ease}, bulk
		p.Pieces = map[string]plan.Piece{plan.Common: {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"},
			Layers: &plan.Layers{Batting: &plan.Batting{Count: 1, Loft: loft}}}}
		p.Cloths = map[string]plan.Cloth{"A": {Name: "a"}}
		p.Cover.Flaps = plan.Flaps{Style: plan.Folded, Depth: plan.Pair{Front: 3 * in, Back: 3 * in}}
		p = p.Settle()
		c, found := cover.Pieces(p)
		require.False(t, found.Stopped(), "%v", found)
		_, said := panel.Order{Plan: p}.Of(c.Pieces[0])
		return said
	}
	mm := length.Millimetre
	said := thick(6*mm, in/4, 0, plan.Box)
	require.Len(t, said, 1)
	assert.Equal(t, []string{"bulk", "/pieces/*/layers"}, []string{said[0].Code, said[0].About})
	assert.Equal(t, "Type ⅜″ as the bulk of the layers, or give more ease.", said[0].Remedy, "6.4 mm, up to the ruler")
	assert.Len(t, thick(6*mm, 12*mm, 0, plan.Book), 1)
	assert.Empty(t, thick(6*mm, 13*mm, 0, plan.Box), "twice 6.4 goes into 13")
	assert.Empty(t, thick(6*mm, 0, in/8, plan.Box), "it is given room")
	assert.Empty(t, thick(mm/2, 0, 0, plan.Box), "one fabric is no bulk")
	assert.Empty(t, thick(6*mm, 0, 0, plan.Form), "a cushion gives")
}

// Lines beside the seams of patches are noted where they are decided, with the shift that brings them in.
func TestLinesBesideSeamsAreNoted(t *testing.T) {
	q := plan.Piece{Quilting: &plan.Quilting{Lines: []plan.LineFamily{{Pitch: 4 * in, Angle: 45},
		{Pitch: 4 * in, Angle: 90, Shift: in / 16}}}, Squaring: ptr(length.Length(0))}
	o, front := cushion(t, plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4, Patch: plan.Patch{Fit: true},
		Cloths: []string{"B"}}, q)
	_, said := o.Of(front)
	var found []finding.Finding
	for _, f := range said {
		if f.Code == "quilting-beside" {
			found = append(found, f)
		}
	}
	require.Len(t, found, 1)
	assert.Equal(t, "/pieces/*/quilting/lines/1", found[0].About)
	assert.Equal(t, "Lines run ¹⁄₁₆″ beside seams, on the ridge of the allowances.", found[0].Text)
	assert.Contains(t, found[0].Remedy, "Shift them by ¹⁄₁₆″")
}

// A centre that was measured is what the border of the front is made for, and of no other piece.
func TestTheMeasuredCentreIsTheFronts(t *testing.T) {
	grid := plan.Face{Kind: plan.GridFace, Columns: 3, Rows: 3, Patch: plan.Patch{Width: 4 * in, Height: 4 * in},
		Cloths: []string{"B"}, Borders: []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: "C"}}}
	o, front := cushion(t, grid, plan.Piece{})
	planned, found := o.Of(front)
	require.False(t, found.Stopped())
	o.Plan.Measured = []plan.Measured{{Gate: ref.FrontPieced.String(), Width: 25 * in / 2, Height: 13 * in}}
	after, found := o.Of(front)
	require.False(t, found.Stopped())
	other := front
	other.Name = "back"
	back, _ := o.Of(other)
	wide := func(p panel.Panel) length.Length {
		for _, part := range p.Face.Parts {
			if part.Ring == 1 {
				return part.Size.Width.Total()
			}
		}
		return 0
	}
	assert.Equal(t, wide(planned), wide(back))
	assert.Greater(t, wide(after), wide(planned), "a centre half an inch narrower wants a wider border")
}

// What lies to the same side at a crossing is counted once for each place, and told with how many there are.
func TestAllowancesThatDoNotLockAreCounted(t *testing.T) {
	o, front := cushion(t, plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4, Patch: plan.Patch{Fit: true},
		Cloths: []string{"B"}}, plan.Piece{})
	o.Plan.Habits.Press = plan.Press("dark")
	p, found := o.Of(front)
	require.False(t, found.Stopped())
	at := map[[2]int64]bool{}
	for _, c := range p.Pressed.Conflicts {
		at[[2]int64{int64(math.Round(c.X)), int64(math.Round(c.Y))}] = true
	}
	assert.Len(t, p.Conflicts(), len(at))
	said := p.Unlocked()
	if len(at) == 0 {
		assert.Empty(t, said)
		return
	}
	require.Len(t, said, 1)
	assert.Equal(t, "/pieces/*/face", said[0].About)
}

func ptr[T any](v T) *T { return &v }

// Shapes are laid level by level as they lie on each other.
func TestShapesAreLaid(t *testing.T) {
	o, front := cushion(t, plan.Face{Kind: plan.PlainFace, Cloth: "B", Applique: []plan.Shape{
		{Key: "s", Shape: "circle", At: plan.At{Left: ptr(2 * in), Top: ptr(2 * in)}, Cloth: "C"}}}, plan.Piece{})
	p, found := o.Of(front)
	require.False(t, found.Stopped())
	laid, followed := applique.Lay(p.Face.Applied)
	assert.True(t, followed)
	assert.Equal(t, laid, p.Applied)
	assert.NotEmpty(t, p.Applied)
}
