package cover_test

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/cover"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// cutOf is a piece on paper: how many, and how large it is cut, in inches, allowances and all.
type cutOf struct {
	count         int
	width, height float64
}

// joinOf is a seam on paper: which pieces, how often, and how long in inches; piped where piping is sewn into it.
type joinOf struct {
	between string
	count   int
	long    float64
	piped   bool
}

// sides draws sizes in inches on the ruler.
func sides(t *rapid.T) func(name string, lo, hi int) float64 {
	return func(name string, lo, hi int) float64 { return float64(rapid.IntRange(8*lo, 8*hi).Draw(t, name)) / 8 }
}

func inches(v float64) length.Length { return length.FromFloat(v * in.Float()) }

// onPaper compares a cover with what is worked out on paper.
func onPaper(t *rapid.T, p plan.Plan, cuts map[string]cutOf, joins []joinOf) {
	c, found := cover.Pieces(p.Settle())
	require.False(t, found.Stopped(), "%v", found)
	is := map[string]cutOf{}
	for _, q := range c.Pieces {
		size := q.Trimmed(q.Finished)
		is[q.Name] = cutOf{q.Count, size.Width.Total().Float() / in.Float(), size.Height.Total().Float() / in.Float()}
	}
	assert.Len(t, is, len(cuts))
	for name, want := range cuts {
		assert.Equal(t, want.count, is[name].count, name)
		assert.InDelta(t, want.width, is[name].width, 1e-5, "%s across", name)
		assert.InDelta(t, want.height, is[name].height, 1e-5, "%s up", name)
	}
	require.Len(t, c.Joins, len(joins))
	for i, want := range joins {
		j := c.Joins[i]
		assert.Equal(t, []any{want.between, want.count}, []any{fmt.Sprint(j.Between[0], "–", j.Between[1]), j.Count},
			j.Title)
		for _, side := range j.Lengths {
			assert.InDelta(t, want.long, side.Total().Float()/in.Float(), 1e-5, j.Title)
		}
		if want.piped {
			assert.InDelta(t, want.long, j.Piped.Float()/in.Float(), 1e-5, j.Title)
		} else {
			assert.Zero(t, j.Piped, j.Title)
		}
	}
	stands := map[string]int{}
	for _, row := range c.Net {
		for _, column := range row {
			for _, spot := range column {
				stands[spot.Piece]++
			}
		}
	}
	for name, want := range cuts {
		assert.Equal(t, want.count, stands[name], "%s stands in the net", name)
	}
}

// corner is what two rounded corners save on the way round: a quarter of a circle each instead of two radii.
func corner(r float64) float64 { return (4 - math.Pi) * r }

// Hoods over a box of any size, by the formulas of docs/arithmetic.md §2.2 (geometry).
func TestHoodsOnPaper(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		size := sides(t)
		l, d, h, s := size("length", 6, 40), size("depth", 6, 40), size("height", 6, 30), size("seam", 0, 1)+0.125
		sticks, ease, bulk := size("sticks out", 0, 2), size("ease", 0, 1), size("bulk", 0, 1)/4
		bottom, finish := 0.0, rapid.SampledFrom([]plan.BottomFinish{"bound", "hem"}).Draw(t, "bottom")
		p := hood(rapid.SampledFrom([]plan.CoverKind{"wrap-hood", "band-hood", "skirt-hood"}).Draw(t, "hood"),
			inches(l), inches(d), inches(h), inches(s))
		p.Object.SticksOut = plan.Axes{Depth: inches(sticks)}
		p.Cover.Ease, p.Cover.Bulk = plan.Axes{Length: inches(ease), Height: inches(ease / 2)}, inches(bulk)
		p.Cover.Bottom = plan.Bottom{Finish: finish, Width: in}
		if finish == "hem" {
			bottom = 1
		}
		l, d, h = l+ease+2*bulk, d+sticks+2*bulk, h+ease/2+2*bulk
		r := 0.0
		if rapid.Bool().Draw(t, "round") {
			r = size("radius", 0, 2) / 2
			if p.Cover.Corners = (plan.Corners{Kind: "round", Radius: inches(r + s)}); r == 0 {
				p.Cover.Corners = plan.Corners{Kind: "square"}
			}
		}
		switch p.Cover.Kind {
		case "wrap-hood":
			along := 2*h + d - corner(r)
			cuts := map[string]cutOf{"end": {2, d + 2*s, h + s + bottom}, "main": {1, l + 2*s, along + 2*bottom}}
			joins := []joinOf{{"main–end", 2, along, true}}
			if p.Cover.SplitTop = rapid.Bool().Draw(t, "split"); p.Cover.SplitTop {
				cuts["main"] = cutOf{2, l + 2*s, h + d/2 - corner(r)/2 + s + bottom}
				joins = append([]joinOf{{"main–main", 1, l, false}}, joins...)
			}
			onPaper(t, p, cuts, joins)
		case "band-hood":
			along := 2*h + l - corner(r)
			onPaper(t, p, map[string]cutOf{"face": {2, l + 2*s, h + s + bottom}, "band": {1, d + 2*s,
				along + 2*bottom}},
				[]joinOf{{"band–face", 2, along, true}})
		default:
			round := 2*l + 2*d - 2*corner(r)
			if r > 0 {
				onPaper(t, p, map[string]cutOf{"top": {1, l + 2*s, d + 2*s}, "wall": {1, round + 2*s, h + s + bottom}},
					[]joinOf{{"wall–wall", 1, h, false}, {"top–wall", 1, round, true}})
				return
			}
			onPaper(t, p, map[string]cutOf{"top": {1, l + 2*s, d + 2*s}, "wall": {2, l + 2*s, h + s + bottom},
				"wall.side": {2, d + 2*s, h + s + bottom}}, []joinOf{{"wall–wall.side", 4, h, false},
				{"top–wall", 2, l, true}, {"top–wall.side", 2, d, true}})
		}
	})
}

// Cushions, pads and boxed cushions of any size, washed or not, with a flange or none (§2.3).
func TestPadsOnPaper(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		size := sides(t)
		w, h, s, ease := size("width", 8, 40), size("height", 8, 40), size("seam", 0, 1)/2+0.125, size("ease", 0, 2)-1
		kinds := []plan.CoverKind{plan.Cushion, plan.Pad, plan.BoxedCushion}
		p := hood(rapid.SampledFrom(kinds).Draw(t, "kind"), 0, 0, 0, inches(s))
		object := map[plan.CoverKind]plan.ObjectKind{plan.Cushion: plan.Form, plan.Pad: plan.Flat,
			plan.BoxedCushion: plan.Form}
		p.Object = plan.Object{Kind: object[p.Cover.Kind], Width: inches(w), Height: inches(h)}
		p.Cover.Ease = plan.Axes{Width: inches(ease), Height: inches(ease / 2)}
		p.Cover.Wash = float64(rapid.IntRange(0, 8).Draw(t, "washing takes"))
		grown := 1 / (1 - p.Cover.Wash/100)
		w, h = (w+ease)*grown, (h+ease/2)*grown
		r := 0.0
		if rapid.Bool().Draw(t, "round") {
			r = size("radius", 1, 3) / 2
			p.Cover.Corners = plan.Corners{Kind: "round", Radius: inches(r + s)}
		}
		flange := 0.0
		if p.Cover.Kind == plan.Cushion && r == 0 {
			flange = size("flange", 0, 1)
			p.Cover.Flange = inches(flange)
		}
		w, h = w+2*flange, h+2*flange
		round := 2*w + 2*h - 2*corner(r)
		switch p.Cover.Kind {
		case plan.Cushion:
			onPaper(t, p, map[string]cutOf{"front": {1, w + 2*s, h + 2*s}, "back": {1, w + 2*s, h + 2*s}},
				[]joinOf{{"front–back", 1, round, true}})
		case plan.Pad:
			onPaper(t, p, map[string]cutOf{"top": {1, w + 2*s, h + 2*s}, "under": {1, w + 2*s, h + 2*s}},
				[]joinOf{{"top–under", 1, round, true}})
		default:
			thick := size("thickness", 2, 5)
			p.Object.Thickness = inches(thick)
			p.Back = plan.Back{Kind: plan.SewnShut}
			onPaper(t, p, map[string]cutOf{"face": {2, w + 2*s, h + 2*s}, "band": {1, round + 2*s, thick*grown + 2*s}},
				[]joinOf{{"band–band", 1, thick * grown, false}, {"band–face", 2, round, true}})
		}
	})
}

// Jackets of any book and any flaps (§2.3): the way from fore-edge to fore-edge takes a quarter of a circle round both
// boards and layers.
func TestJacketsOnPaper(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		size := sides(t)
		board, spine, high := size("board", 5, 9), size("spine", 1, 2), size("height", 6, 15)
		s := size("seam", 0, 1)/2 + 0.125
		p := hood(plan.Jacket, 0, 0, 0, inches(s))
		p.Object = plan.Object{Kind: plan.Book, Board: inches(board), Spine: inches(spine), Height: inches(high)}
		wrap := 2*board + spine
		if rapid.Bool().Draw(t, "by the tape") {
			p.Object.Wrap = inches(wrap)
		}
		ease := size("ease", 1, 2)
		p.Cover.Ease = plan.Axes{Wrap: inches(ease), Height: inches(0.25)}
		wrap, high = wrap+ease, high+0.25
		if thick := size("thick boards", 0, 1) / 4; thick > 0 {
			p.Object.Thickness = inches(thick)
			wrap += math.Pi * thick
		}
		front, back := size("front flap", 2, 3), size("back flap", 2, 3)
		if rapid.Bool().Draw(t, "alike") {
			back = front
		}
		style := rapid.SampledFrom([]plan.FlapStyle{plan.Folded, plan.Flipped, plan.TurnedIn}).Draw(t, "style")
		p.Cover.Flaps = plan.Flaps{Style: style, Depth: plan.Pair{Front: inches(front), Back: inches(back),
			Apart: front != back}, Hem: in / 2}
		whole := cutOf{1, wrap + 2*s, high + 2*s}
		if style == plan.TurnedIn {
			onPaper(t, p, map[string]cutOf{"outside": {1, wrap + front + back + 2*s, high + 2*s}, "inside": whole},
				[]joinOf{{"outside–inside", 2, wrap, false}})
			return
		}
		wide := func(depth float64) float64 {
			if style == plan.Flipped {
				return depth + s + 0.5
			}
			return 2 * (depth + s)
		}
		cuts := map[string]cutOf{"outside": whole, "inside": whole, "flap": {2, wide(front), high + 2*s}}
		joins := []joinOf{{"flap–outside", 2, high, false}}
		if front != back {
			cuts["flap"], cuts["flap.back"] = cutOf{1, wide(front), high + 2*s}, cutOf{1, wide(back), high + 2*s}
			joins = []joinOf{{"flap–outside", 1, high, false}, {"flap.back–outside", 1, high, false}}
		}
		onPaper(t, p, cuts, append(joins, joinOf{"outside–inside", 1, 2*wrap + 2*high, true}))
	})
}

// A finished size says each of its terms, in order, whatever of them there is: measured, what sticks out, allowances
// of a panel that is there already, ease by its sign, the stack on both sides, washing.
func TestASizeSaysItsTerms(t *testing.T) {
	p := hood("wrap-hood", 16*in, 12*in, 8*in, in/2)
	p.Object.SticksOut.Length, p.Cover.Bulk, p.Cover.Wash = in, in/8, 4
	p.Cover.Ease = plan.Axes{Length: -in / 2, Depth: in / 2}
	c := built(t, p)
	terms := named(t, c, "main").Finished.Width
	want := sum.Sum{{Name: "length", Amount: 16 * in, Kind: sum.Object}, {Name: "what sticks out", Amount: in,
		Kind: sum.Object},
		{Name: "ease, cover smaller", Amount: -in / 2, Kind: sum.Ease},
		{Name: "bulk of the layers, both sides", Amount: in / 4, Kind: sum.Ease}}
	want = want.Plus(sum.Wash, "washing takes 4%", length.FromFloat(want.Total().Float()/0.96)-want.Total())
	assert.Equal(t, want, terms)
	assert.Equal(t, "ease, cover larger", named(t, c, "end").Finished.Width[1].Name)

	panel := hood(plan.Cushion, 0, 0, 0, in/4)
	panel.Object = plan.Object{Kind: plan.Found, Width: 17 * in, Height: 15 * in, Edge: plan.SeamIncluded}
	front := named(t, built(t, panel), "front").Finished.Width
	assert.Equal(t, sum.Sum{{Name: "panel across", Amount: 17 * in, Kind: sum.Object},
		{Name: "its own seam allowances", Amount: -in / 2, Kind: sum.Seam}}, front)
}

// The limits of what a cover can have, on both their sides.
func TestLimitsOfCovers(t *testing.T) {
	pad := func(w, h length.Length) plan.Plan {
		p := hood(plan.Cushion, 0, 0, 0, in/2)
		p.Object = plan.Object{Kind: plan.Form, Width: w, Height: h}
		return p
	}
	for name, c := range map[string]struct {
		plan  plan.Plan
		about string // of the stop, empty where it can be made
	}{
		"a flange of a third":         {with(pad(12*in, 15*in), func(p *plan.Plan) { p.Cover.Flange = 4 * in }), ""},
		"a flange of more":            {with(pad(12*in, 15*in), func(p *plan.Plan) { p.Cover.Flange = 33 * in / 8 }), "/cover/flange"},
		"drawn in by an eighth":       {with(pad(16*in, 20*in), tapered(2*in)), ""},
		"drawn in by more":            {with(pad(16*in, 20*in), tapered(17*in/8)), "/cover/corners/taper"},
		"drawn in by nothing":         {with(pad(16*in, 20*in), tapered(-in)), "/cover/corners/taper"},
		"a corner of half the side":   {with(pad(8*in, 20*in), rounded(9*in/2)), ""},
		"a corner of more":            {with(pad(8*in, 20*in), rounded(37*in/8)), "/cover/corners/radius"},
		"a corner within the seam":    {with(pad(8*in, 20*in), rounded(in/2)), "/cover/corners/radius"},
		"as large as its seams":       {with(pad(2*in, 20*in), func(p *plan.Plan) { p.Cover.Ease.Width = -in }), "/cover/ease/width"},
		"a little larger":             {with(pad(2*in, 20*in), func(p *plan.Plan) { p.Cover.Ease.Width = -7 * in / 8 }), ""},
		"a box under a cushion cover": {with(pad(8*in, 8*in), func(p *plan.Plan) { p.Object.Kind = plan.Box }), "/object/kind"},
	} {
		t.Run(name, func(t *testing.T) {
			_, found := cover.Pieces(c.plan.Settle())
			var stops []string
			for _, f := range found {
				if f.Level == "stop" {
					stops = append(stops, f.About)
				}
			}
			if c.about == "" {
				assert.Empty(t, stops)
			} else {
				assert.Equal(t, []string{c.about}, stops)
			}
		})
	}
}

func with(p plan.Plan, change func(*plan.Plan)) plan.Plan {
	change(&p)
	return p
}

func tapered(l length.Length) func(*plan.Plan) {
	return func(p *plan.Plan) { p.Cover.Corners = plan.Corners{Kind: plan.TaperedCorners, Taper: l} }
}

func rounded(l length.Length) func(*plan.Plan) {
	return func(p *plan.Plan) { p.Cover.Corners = plan.Corners{Kind: plan.RoundCorners, Radius: l} }
}
