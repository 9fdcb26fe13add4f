package edging_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/edge"
	"umschlag/core/edging"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	_ "umschlag/seeded"
)

func codes(found finding.List) (out []string) {
	for _, f := range found {
		out = append(out, f.Code+" "+f.About)
	}
	return out
}

// straight is how many strips of a width across a cloth are joined, by docs/arithmetic.md §11: as few as do, each join
// losing a width, and how long each is.
func straight(need, w, usable length.Length) (n int, each length.Length) {
	for n = 1; ; n++ {
		if each = (need + w.Times(n-1)).Div(n); each <= usable {
			return n, each
		}
	}
}

// Piping and binding of hoods on paper: piping along every long seam with an inch at either end, binding 2 (L + D) and
// an inch to overlap, tape inside along every seam.
func TestEdgingsOfHoodsOnPaper(t *testing.T) {
	rapid.Check(t, func(rt *rapid.T) {
		size := func(name string) length.Length { return in.Times(rapid.IntRange(6, 30).Draw(rt, name)) }
		l, d, h, seam := size("length"), size("depth"), size("height"), in/4
		kind := rapid.SampledFrom([]plan.CoverKind{"wrap-hood", "band-hood", "skirt-hood"}).Draw(rt, "hood")
		style := rapid.SampledFrom([]plan.BindingStyle{plan.DoubleBinding, plan.TapeBinding, plan.BoughtBinding}).
			Draw(rt, "style")
		bottom := rapid.SampledFrom([]plan.BottomFinish{"bound", "hem", "raw"}).Draw(rt, "bottom")
		bias, bulk := rapid.Bool().Draw(rt, "bias"), (in / 8).Times(rapid.IntRange(0, 1).Draw(rt, "bulk"))
		grain := map[bool]plan.Grain{true: plan.OnTheBias, false: plan.StraightGrain}[bias]
		inside := rapid.SampledFrom([]plan.InsideFinish{"zigzag", "bound", "enclosed"}).Draw(rt, "inside")
		c, cuts := made(t, func(p *plan.Plan) {
			p.Object = plan.Object{Kind: plan.Box, Length: l, Depth: d, Height: h}
			p.Cover = plan.Cover{Kind: kind, Seam: seam, Bulk: bulk, Bottom: plan.Bottom{Finish: bottom, Width: in}}
			p.Edges = plan.Edges{Piping: &plan.Piping{Cord: in / 4, Grain: grain},
				Binding: &plan.Binding{Shows: in / 2, Style: style, Grain: plan.StraightGrain}, Inside: inside}
		})
		l, d, h = l+2*bulk, d+2*bulk, h+2*bulk
		e := edging.Of(c, cuts)
		way := map[plan.CoverKind][]length.Length{"wrap-hood": {2*h + d, 2*h + d}, "band-hood": {2*h + l, 2*h + l},
			"skirt-hood": {l, l, d, d}}[kind]
		piped := length.Length(0)
		for _, along := range way {
			piped += along + 2*in
		}
		want := map[string]length.Length{"piping cord": piped}
		if bottom == "bound" {
			want["binding"] = 2*(l+d) + in
		}
		if inside == "bound" {
			for _, along := range way {
				want["tape for the seams inside"] += along
			}
			if kind == "skirt-hood" {
				want["tape for the seams inside"] += 4 * h
			}
		}
		is := map[string]length.Length{}
		for _, thing := range e.Things {
			is[thing.Name] = thing.Sum.Total()
		}
		assert.Equal(t, want, is)
		assert.Equal(t, inside == "enclosed", len(*cuts.Found) == 1, "%v", codes(*cuts.Found))

		strips := map[string]edging.Strips{}
		for _, s := range e.Strips {
			strips[s.What] = s
		}
		wide := edge.PipingWidth(in/4, seam, in/8).Total()
		assert.Equal(t, wide, strips["piping"].Width.Total())
		assert.Equal(t, piped, strips["piping"].Need.Total())
		assert.Equal(t, bias, strips["piping"].Bias)
		cut := cuts.Cuts[0]
		assert.Equal(t, []any{"A", "/edges/piping", "piping"}, []any{cut.Cloth, cut.At, cut.Piece})
		if bias {
			y, ok := edge.BiasFor(piped, wide, 40*in, in/8, 3*length.Metre)
			require.True(t, ok)
			assert.Equal(t, []any{y.Width, y.Height, 1, false, "bias"}, []any{cut.Size.Width.Total(),
				cut.Size.Height.Total(),
				cut.Count, cut.MayTurn, cut.Part})
		} else {
			n, each := straight(piped, wide, 40*in)
			assert.Equal(t, []any{each.Ceil(in / 8), wide, n, true, "strip", "strip"}, []any{cut.Size.Width.Total(),
				cut.Size.Height.Total(), cut.Count, cut.MayTurn, cut.Part, cut.Shape})
		}
		if bottom != "bound" || style == plan.BoughtBinding {
			assert.Len(t, cuts.Cuts, 1)
			assert.NotContains(t, strips, "binding")
			return
		}
		require.Len(t, cuts.Cuts, 2)
		shown := 2 * in
		if style == plan.DoubleBinding {
			thick := bulk
			if bulk == 0 {
				thick = in / 16
			}
			shown = (3*in + 2*thick + in/8).Ceil(in / 8)
		}
		n, each := straight(2*(l+d)+in, shown, 40*in)
		bound := cuts.Cuts[1]
		assert.Equal(t, []any{each.Ceil(in / 8), shown, n}, []any{bound.Size.Width.Total(), bound.Size.Height.Total(),
			bound.Count})
		assert.Equal(t, ref.Binding, bound.About.Role)
		for i, made := range e.Edgings {
			s := e.Strips[i]
			assert.Equal(t, []any{s.What, s.Cut, s.Width.Total(), s.Need.Total(), len(s.Yield.Strips), s.Bias},
				[]any{made.What, made.Cut, made.Width, made.Length, made.Strips, made.Bias})
		}
	})
}

// A cushion is closed all round: its piping laps over itself, nothing of it is bound, and the seam round its back is
// what tape would bind. Straight strips do not go round curves.
func TestEdgingsOfACushion(t *testing.T) {
	c, cuts := made(t, func(p *plan.Plan) {
		p.Edges = plan.Edges{Piping: &plan.Piping{Cord: in / 4, Bought: true}, Inside: "bound"}
	})
	e := edging.Of(c, cuts)
	require.Equal(t, []string{"piping, bought", "tape for the seams inside"}, names(e))
	assert.Equal(t, []length.Length{68 * in, 64 * in}, []length.Length{e.Things[0].Sum.Total(),
		e.Things[1].Sum.Total()})
	require.Len(t, e.Edgings, 1)
	assert.Equal(t, []any{"piping", true, 68 * in}, []any{e.Edgings[0].What, e.Edgings[0].Bought, e.Edgings[0].Length})

	for grain, said := range map[plan.Grain][]string{plan.StraightGrain: {"piping-straight /edges/piping/grain"},
		plan.OnTheBias: nil} {
		c, cuts = made(t, func(p *plan.Plan) {
			p.Cover.Corners = plan.Corners{Kind: plan.RoundCorners, Radius: 3 * in}
			p.Edges.Piping = &plan.Piping{Cord: in / 4, Grain: grain}
		})
		edging.Of(c, cuts)
		assert.Equal(t, said, codes(*cuts.Found), grain)
	}
	c, cuts = made(t, func(p *plan.Plan) { p.Edges.Piping = &plan.Piping{Cord: in / 4, Grain: plan.StraightGrain} })
	edging.Of(c, cuts)
	assert.Empty(t, *cuts.Found, "square corners are clipped into")
	for lined, n := range map[bool]int{true: 0, false: 1} {
		c, cuts = made(t, func(p *plan.Plan) {
			p.Edges.Inside, p.Back = "enclosed", plan.Back{Kind: plan.FoldedBack, Lined: lined}
		})
		edging.Of(c, cuts)
		assert.Len(t, *cuts.Found, n)
	}
}

// Pads made at home on paper: two sides or one folded, with seams, up to the ruler; fibre by area to the power of one
// and a half, a round one by its circle (common practice).
func TestPadsMadeAtHomeOnPaper(t *testing.T) {
	rapid.Check(t, func(rt *rapid.T) {
		w := (in / 2).Times(rapid.IntRange(16, 60).Draw(rt, "width"))
		h, round, fold := w, rapid.Bool().Draw(rt, "round"), rapid.Bool().Draw(rt, "fold")
		tab := (in / 8).Times(rapid.IntRange(0, 8).Draw(rt, "tab"))
		weight := float64(rapid.IntRange(0, 900).Draw(rt, "weighed"))
		if !round {
			h = (in / 2).Times(rapid.IntRange(16, 60).Draw(rt, "height"))
		}
		_, cuts := made(t, func(p *plan.Plan) {
			p.Object.Width, p.Object.Height = w, h
			if round {
				p.Object.Shape, p.Object.Height = "round", 0
				fold = false
			}
			p.Cover.Seam = 3 * in / 16
			p.Object.Make = &plan.MakeForm{Tab: tab, Fold: fold, Gap: 5 * in}
			p.Measured = []plan.Measured{{Gate: ref.PadFilled.String(), Weight: weight}}
		})
		pad := edging.PadOf(cuts)
		require.NotNil(t, pad)
		area := w.Float() * h.Float() / in.Float() / in.Float()
		if round {
			area *= math.Pi / 4
		}
		assert.InDelta(t, 0.051*math.Pow(area, 1.5), pad.Least, 0.51)
		assert.InDelta(t, 0.086*math.Pow(area, 1.5), pad.Most, 0.51)
		side, up, count := (w + 3*in/8).Ceil(in/8), (h + 3*in/8).Ceil(in/8), 2
		if fold {
			up, count = (2*h + 3*in/8).Ceil(in/8), 1
		}
		c := cuts.Cuts[0]
		assert.Equal(t, []any{side, up, count, "A", round}, []any{c.Size.Width.Total(), c.Size.Height.Total(), c.Count,
			c.Cloth, c.Shape == "template"})
		if tab > 0 {
			c := cuts.Cuts[1]
			assert.Equal(t, []any{(5*in + 3*in/8).Ceil(in / 8), (tab + 3*in/8).Ceil(in / 8), 2},
				[]any{c.Size.Width.Total(), c.Size.Height.Total(), c.Count})
		}
		assert.Len(t, cuts.Cuts, map[bool]int{true: 2, false: 1}[tab > 0])
		var want []string
		switch {
		case weight == 0:
		case weight < pad.Least:
			want = []string{"fibre-little /measured/0"}
		case weight > pad.Most:
			want = []string{"fibre-much /measured/0"}
		}
		assert.Equal(t, want, codes(*cuts.Found))
		assert.Equal(t, weight > 0, pad.Weighed != nil)
	})
}
