package reckon_test

import (
	"math"
	"slices"
	"strings"
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// anyOf draws a length.
func anyOf(t *rapid.T, name string, lo, hi length.Length) length.Length {
	return length.Length(rapid.Int64Range(int64(lo), int64(hi)).Draw(t, name))
}

var covers = map[plan.CoverKind]plan.ObjectKind{plan.Cushion: plan.Form, plan.BoxedCushion: plan.Form,
	plan.Pad: plan.Flat, plan.Jacket: plan.Book,
	"wrap-hood": plan.Box, "band-hood": plan.Box, "skirt-hood": plan.Box}

// anyCover draws a plan of any kind of cover, some of which cannot be made.
func anyCover(t *rapid.T) plan.Plan {
	unit := rapid.SampledFrom(length.Units()).Draw(t, "unit")
	p := plan.Base(unit, plan.DefaultHabits(unit))
	p.Title = "any"
	p.Cover.Kind = rapid.SampledFrom([]plan.CoverKind{plan.Cushion, plan.BoxedCushion, plan.Pad, plan.Jacket,
		"wrap-hood", "band-hood", "skirt-hood"}).Draw(t, "kind")
	p.Object = plan.Object{Kind: covers[p.Cover.Kind],
		Shape: rapid.SampledFrom([]plan.ObjectShape{"", "rectangle", "round"}).Draw(t, "shape"),
		Width: anyOf(t, "width", 3*in, 40*in), Length: anyOf(t, "length", 4*in, 40*in),
		Depth: anyOf(t, "depth", 3*in, 30*in), Height: anyOf(t, "height", 3*in, 30*in),
		Thickness: anyOf(t, "thickness", in/2, 6*in), Wrap: anyOf(t, "wrap", 6*in, 30*in)}
	if p.Object.Round() {
		p.Object.Height = 0
	}
	p.Cover.Seam = anyOf(t, "seam", in/8, in)
	ease := anyOf(t, "ease", -in, in)
	p.Cover.Ease = plan.Axes{Width: ease, Height: ease, Length: ease, Depth: ease, Wrap: in}
	p.Cover.Corners = plan.Corners{Kind: rapid.SampledFrom([]plan.CornerKind{"", "square", "round", "tapered"}).
		Draw(t, "corners"), Radius: anyOf(t, "radius", 0, 5*in)}
	p.Cover.SplitTop = rapid.Bool().Draw(t, "split")
	p.Cover.Bottom = plan.Bottom{Finish: rapid.SampledFrom([]plan.BottomFinish{"", "bound", "hem", "raw"}).
		Draw(t, "bottom"), Width: in}
	p.Cover.Flaps = plan.Flaps{Style: rapid.SampledFrom([]plan.FlapStyle{"", "folded", "turned-in", "flip"}).
		Draw(t, "flaps"),
		Depth: plan.Pair{Front: anyOf(t, "front flap", in, 6*in), Back: anyOf(t, "back flap", in, 6*in)}}
	if p.Cover.Kind == plan.BoxedCushion {
		p.Back = plan.Back{Kind: rapid.SampledFrom([]plan.BackKind{"", "sewn", "zip"}).Draw(t, "closure"),
			Gap: anyOf(t, "gap", 0, 40*in)}
	}
	if p.Cover.Kind == plan.Cushion {
		p.Back = rapid.SampledFrom(plan.Closures(unit)).Draw(t, "closure").Back
		p.Cover.Flange = anyOf(t, "flange", 0, 2*in)
	}
	if rapid.Bool().Draw(t, "piped") {
		p.Edges.Piping = &plan.Piping{Cord: anyOf(t, "cord", in/8, in/2),
			Grain:  rapid.SampledFrom([]plan.Grain{"", "bias", "straight"}).Draw(t, "grain"),
			Bought: rapid.Bool().Draw(t, "bought")}
	}
	if p.Object.Kind == plan.Box && rapid.Bool().Draw(t, "bound with strips") {
		p.Edges.Binding = &plan.Binding{Shows: in / 2,
			Style: rapid.SampledFrom([]plan.BindingStyle{"", "double", "tape", "bought"}).Draw(t, "binding")}
	}
	if p.Object.Kind == plan.Form && rapid.Bool().Draw(t, "made at home") {
		p.Object.Make = &plan.MakeForm{Fold: rapid.Bool().Draw(t, "fold"), Tab: anyOf(t, "tab", 0, in)}
	}
	p.Edges.Inside = rapid.SampledFrom([]plan.InsideFinish{"", "zigzag", "bound"}).Draw(t, "inside")
	quilted := plan.Piece{Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"}}
	if rapid.Bool().Draw(t, "quilted") {
		quilted.Layers = &plan.Layers{Batting: &plan.Batting{Count: rapid.IntRange(0, 2).Draw(t, "battings")},
			Lining: "L"}
		quilted.Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: 2 * in, Angle: 45}}}
	}
	p.Pieces = map[string]plan.Piece{plan.Common: quilted}
	p.Cloths = map[string]plan.Cloth{"A": {Name: "a", Width: ptr(60 * in)}, "L": {Name: "l", Width: ptr(60 * in)},
		"batting": {Name: "b", Width: ptr(90 * in)}}
	p.Copies = rapid.IntRange(1, 3).Draw(t, "copies")
	return p
}

// fitted puts a fitting on the first piece.
func fitted(t *rapid.T, p plan.Plan) plan.Plan {
	f := rapid.SampledFrom(plan.StartsIn(p.Units).Fittings).Draw(t, "fitting")
	f.On = plan.PieceNames(p.Cover.Kind)[0]
	f.At.Left = ptr(anyOf(t, "left", in/2, 8*in))
	p.Fittings = []plan.Fitting{f}
	return p
}

// Whatever is planned: nothing falls over, what cannot be made is said and leaves no
// pieces, and what can be made is whole.
func TestAnyCoverIsWholeOrSaysWhyNot(t *testing.T) {
	made := 0
	rapid.Check(t, func(t *rapid.T) {
		p := fitted(t, anyCover(t))
		r := reckon.Reckon(p, nil)
		if finding.List(r.Findings).Stopped() {
			assert.Empty(t, r.Cuts)
			for _, f := range r.Findings {
				assert.NotEmpty(t, f.Text)
				assert.True(t, strings.HasPrefix(f.About, "/"), f.About)
			}
			return
		}
		made++
		cutOnce(t, r)
		inOrder(t, r)
		everyPieceIsDrawn(t, r)
		seamsMeet(t, r)
		allIsLaid(t, r, p.Copies)
	})
	assert.Greater(t, made, 10, "most of what is drawn can be made")
}

// inOrder reads the steps: nothing needs what comes later or is not there, no id stands
// twice, and nothing that waits for a gate is cut before it.
func inOrder(t *rapid.T, r answer.Reckoning) {
	at := map[string]int{}
	gates := map[string]int{}
	for i, s := range r.Steps {
		_, twice := at[s.ID]
		assert.False(t, twice, s.ID)
		for _, id := range s.Needs {
			_, before := at[id]
			assert.True(t, before, "%s needs %s, which does not come before it", s.ID, id)
		}
		at[s.ID] = i
		if s.Gate != "" {
			gates[s.Gate] = i
		}
		assert.Positive(t, s.Minutes, s.ID)
	}
	for _, c := range r.Cuts {
		if c.Waits == "" {
			continue
		}
		gate, there := gates[c.Waits]
		assert.True(t, there, "%s waits for %s, which nobody measures", c.ID, c.Waits)
		i := slices.IndexFunc(r.Steps, func(s answer.Step) bool { return slices.Contains(s.Cuts, c.ID) })
		assert.Greater(t, i, gate, "%s is cut before its gate", c.ID)
	}
}

func cutOnce(t *rapid.T, r answer.Reckoning) {
	used := map[string]int{}
	for _, s := range r.Steps {
		for _, id := range s.Cuts {
			used[id]++
		}
	}
	for _, c := range r.Cuts {
		assert.Equal(t, 1, used[c.ID], c.ID)
		assert.Equal(t, c.Width.NM, total(r.Sums[c.ID+".width"]), c.ID)
		assert.Equal(t, c.Height.NM, total(r.Sums[c.ID+".height"]), c.ID)
	}
}

// bounds is how wide and high an outline is; arcs of pieces end at its extremes.
func bounds(o []answer.Vertex) (w, h float64) {
	xs, ys := make([]float64, len(o)), make([]float64, len(o))
	for i, v := range o {
		xs[i], ys[i] = float64(v.X), float64(v.Y)
	}
	return slices.Max(xs) - slices.Min(xs), slices.Max(ys) - slices.Min(ys)
}

func everyPieceIsDrawn(t *rapid.T, r answer.Reckoning) {
	stands := map[string]int{}
	for _, row := range r.Net {
		for _, column := range row {
			for _, spot := range column {
				stands[spot.Piece]++
			}
		}
	}
	for _, p := range r.Pieces {
		assert.Equal(t, p.Count, stands[p.Name], p.Name)
		for _, each := range []struct {
			outline []answer.Vertex
			size    answer.Size
		}{{p.Outline, p.Finished}, {p.TrimmedOutline, p.Trimmed}, {p.CutOutline, p.BeforeQuilting}} {
			w, h := bounds(each.outline)
			assert.InDelta(t, float64(each.size.Width.NM), w, 20, p.Name)
			assert.InDelta(t, float64(each.size.Height.NM), h, 20, p.Name)
		}
	}
}

func seamsMeet(t *rapid.T, r answer.Reckoning) {
	for i, j := range r.Joins {
		assert.InDelta(t, 0, float64(j.Off.NM), 20, j.Title)
		drawn := 0
		for _, p := range r.Pieces {
			for _, s := range p.Seams {
				if s.Join == i+1 {
					drawn++
				}
			}
		}
		assert.Positive(t, drawn, "%s is drawn", j.Title)
	}
}

func allIsLaid(t *rapid.T, r answer.Reckoning, copies int) {
	laid := map[int]int{}
	for _, c := range r.Cloths {
		for _, p := range c.Lay.Placed {
			laid[p.Cut]++
		}
	}
	for i, c := range r.Cuts {
		assert.Equal(t, c.Count*copies, laid[i], c.ID)
	}
}

// A cover is the same from left and from right: fittings placed from the other edge
// are cut alike and lie mirrored.
func TestMirroredFittingsGiveMirroredCuts(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := fitted(t, anyCover(t))
		mirrored := p
		f := p.Fittings[0]
		f.At.Left, f.At.Right = f.At.Right, f.At.Left
		mirrored.Fittings = []plan.Fitting{f}
		a, b := reckon.Reckon(p, nil), reckon.Reckon(mirrored, nil)
		require.Equal(t, finding.List(a.Findings).Stopped(), finding.List(b.Findings).Stopped())
		require.Equal(t, a.Cuts, b.Cuts)
		if len(a.Fittings) == 0 {
			return
		}
		wide := piece(t, a, f.On).Finished.Width.NM
		boxes := b.Fittings[0].Boxes
		for i, box := range a.Fittings[0].Boxes {
			twin := slices.IndexFunc(boxes, func(other answer.Box) bool {
				return math.Abs(float64(wide-box.X-box.Width-other.X)) <= 2 && box.Y == other.Y
			})
			assert.GreaterOrEqual(t, twin, 0, "box %d has a twin", i)
		}
	})
}
