package supply_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/cutting"
	"umschlag/core/finding"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/stock"
	"umschlag/core/sum"
	"umschlag/core/supply"
	_ "umschlag/seeded"
)

func codes(l *cutting.List) (out []string) {
	for _, f := range *l.Found {
		out = append(out, f.Code+" "+f.About)
	}
	return out
}

// What is needed, there, short and bought on paper: n squares of 10 in lie four to a strip; the end is squared and
// what shrinks is added (docs/arithmetic.md §7); odd pieces give what fits in them first; what is cut is not bought.
func TestAmountsOnPaper(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(1, 30).Draw(t, "squares")
		shrink := float64(rapid.IntRange(0, 6).Draw(t, "shrinks"))
		from := rapid.SampledFrom([]string{"nobody", "plan", "cupboard"}).Draw(t, "has")
		have := in.Times(rapid.IntRange(0, 90).Draw(t, "have"))
		odds := rapid.IntRange(0, 3).Draw(t, "offcuts")
		cutAll := rapid.Bool().Draw(t, "all cut")
		says := rapid.SampledFrom([]string{"nobody", "plan", "cupboard"}).Draw(t, "says that it is back")
		cloth := plan.Cloth{Name: "leaf", Usable: ptr(40 * in), Shrink: shrink}
		odd := []plan.OddPiece{{Width: 21 * in, Length: 11 * in, Count: odds}}
		if odds == 0 {
			odd = nil
		}
		cupboard := supply.Cupboard{"other": {Name: "other"}}
		switch from {
		case "plan":
			cloth.Have, cloth.Odd = &have, odd
		case "cupboard":
			held := plan.Cloth{Name: "leaf", Have: &have, Odd: odd}
			if says == "cupboard" {
				held.Back = []plan.CutFor{{Plan: "pad", Cloth: "A"}}
			}
			cupboard["leaf"] = held
		}
		returned := says == "plan" || says == "cupboard" && from == says
		l := squares(n, cloth, func(p *plan.Plan) {
			if says == "plan" {
				p.Progress.Returned = []string{"A"}
			}
			if cutAll {
				p.Progress.Cut = map[string]plan.AsCut{"cut.piece:front.role:patch": {}}
			}
		})
		made := supply.Of(l, cupboard, "pad")
		require.Len(t, made, 1)
		c := made[0]
		left, used := n, 0
		if from != "nobody" && !returned { // two of 10 × 10 come out of 21 × 11, taken where a strip is saved by it
			k := min(odds, (n+1)/2)
			if after := max(0, n-2*k); (after+3)/4 < (n+3)/4 {
				left, used = after, k
			}
		}
		long := (10 * in).Times((left + 3) / 4)
		assert.Equal(t, long, c.Lay.Length)
		assert.Equal(t, lay.Need(c.Lay, shrink/100), c.Wanted)
		got := 0
		for _, o := range c.Odd {
			got += o.Count
			assert.Equal(t, [2]length.Length{21 * in, 11 * in}, [2]length.Length{o.Size.Width, o.Size.Length})
		}
		assert.Equal(t, used, got)
		known := from != "nobody" && !returned
		require.Equal(t, known, c.Have != nil)
		short := length.Length(0)
		if known && have < c.Wanted && !cutAll {
			short = c.Wanted - have
		}
		assert.Equal(t, short, c.Short)
		want := []string(nil)
		if short > 0 {
			want = []string{"cloth-short /cloths/A/have"}
		}
		assert.Equal(t, want, codes(l))
		buy := int((c.Wanted + length.Yard/8 - 1) / (length.Yard / 8)) // eighths of a yard
		if cutAll || known && have >= c.Wanted {
			buy = 0
		}
		assert.Equal(t, buy, c.Buy)
		assert.Equal(t, []any{cutAll, returned, from == "cupboard", false}, []any{c.Done, c.Returned, c.InCupboard,
			c.Sought})
	})
}

// A cloth that a plan was cut from is its cloth in the cupboard, whatever it is called there since.
func TestWhatAPlanWasCutFromIsFoundUnderAnotherName(t *testing.T) {
	cupboard := supply.Cupboard{"sea": {Name: "sea", Back: []plan.CutFor{{Plan: "pad", Cloth: "A"}}}}
	for letter, want := range map[string]string{"A": "sea", "B": "leaf"} {
		known, there := cupboard.Of("leaf", stock.Holder{Plan: "pad", Cloth: letter})
		assert.Equal(t, []any{want, letter == "A"}, []any{known, there})
	}
}

// What the cupboard keeps of a cloth for this plan is told with it, and what it keeps for others is not there.
func TestWhatIsKeptIsTold(t *testing.T) {
	cloth, err := stock.Keep(plan.Cloth{Name: "leaf", Have: ptr(60 * in), Odd: []plan.OddPiece{{Width: 5 * in,
		Length: 5 * in, Count: 3}}}, stock.Holder{Plan: "pad", Cloth: "A"}, 12*in, []stock.Used{{Width: 5 * in,
		Length: 5 * in, Count: 2}})
	require.NoError(t, err)
	cloth, err = stock.Keep(cloth, stock.Holder{Plan: "hood", Cloth: "A"}, 20*in, nil)
	require.NoError(t, err)
	cupboard := supply.Cupboard{"leaf": cloth}
	c := supply.Of(squares(4, plan.Cloth{Name: "leaf", Usable: ptr(40 * in)}, nil), cupboard, "pad")[0]
	assert.Equal(t, []any{12 * in, 2, 40 * in}, []any{c.Kept, c.KeptOdd, *c.Have})
	c = supply.Of(squares(4, plan.Cloth{Name: "leaf", Usable: ptr(40 * in)}, nil), cupboard, "")[0]
	assert.Equal(t, []any{length.Length(0), 0}, []any{c.Kept, c.KeptOdd})
}

// A cloth nobody described is noted, once; a described one is not.
func TestAClothNobodyDescribed(t *testing.T) {
	l := squares(4, plan.Cloth{Name: "leaf"}, func(p *plan.Plan) { p.Cloths = nil })
	supply.Of(l, nil, "")
	assert.Equal(t, []string{"cloth-undescribed /cloths/A"}, codes(l))
	assert.Contains(t, (*l.Found)[0].Text, "it is taken as plain, with 40″ between the selvedges")
}

// A face that is to be centred on motifs wants to know how far they are apart; one cloth of it that says so is enough.
func TestAFaceCentredOnMotifs(t *testing.T) {
	of := func(f plan.Face, repeat string) []string {
		l := squares(4, plan.Cloth{Name: "leaf"}, func(p *plan.Plan) {
			f.Centred = true
			p.Pieces = map[string]plan.Piece{"front": {Face: &f}, "back": {}}
			p.Cloths["B"] = plan.Cloth{Name: "dot"}
			if repeat != "" {
				c := p.Cloths[repeat]
				c.Repeat = &plan.Repeat{Across: 6 * in, Along: 6 * in}
				p.Cloths[repeat] = c
			}
		})
		supply.Of(l, nil, "")
		return codes(l)
	}
	plain, grid := plan.Face{Kind: plan.PlainFace, Cloth: "A"}, plan.Face{Kind: plan.GridFace, Cloths: []string{"B", "A"}}
	assert.Equal(t, []string{"repeat-unknown /cloths/A/repeat"}, of(plain, ""))
	assert.Equal(t, []string{"repeat-unknown /cloths/B/repeat"}, of(grid, ""))
	assert.Empty(t, of(plain, "A"))
	assert.Empty(t, of(grid, "A"))
	assert.Equal(t, []string{"repeat-unknown /cloths/A/repeat"}, of(plain, "B"))
	assert.Empty(t, of(plan.Face{Kind: plan.PlainFace}, ""), "of no fabric that is named")
	on := supply.On(plan.Cloth{Usable: ptr(40 * in), Repeat: &plan.Repeat{Across: 6 * in, Along: 8 * in}})
	assert.Equal(t, lay.Cloth{Usable: 40 * in, Across: 6 * in, Along: 8 * in}, on)
}

// A cloth that can be pulled by five percent or more wants a lining or a stiffener behind every outer piece of it, also
// where only the cupboard knows that it gives.
func TestAClothThatCanBePulled(t *testing.T) {
	of := func(own, held float64, layers *plan.Layers) []string {
		l := squares(4, plan.Cloth{Name: "leaf", Stretch: own}, func(p *plan.Plan) {
			p.Pieces = map[string]plan.Piece{"front": {Layers: layers}}
		})
		l.Cuts[0].Layer = cutting.Outer
		supply.Of(l, supply.Cupboard{"leaf": {Name: "leaf", Stretch: held}}, "")
		return codes(l)
	}
	said := []string{"cloth-stretches /cloths/A/stretch"}
	assert.Empty(t, of(4, 0, nil))
	assert.Equal(t, said, of(5, 0, nil))
	assert.Equal(t, said, of(0, 5, nil), "the cupboard knows")
	assert.Empty(t, of(1, 5, nil), "the plan knows better")
	assert.Empty(t, of(5, 0, &plan.Layers{Lining: "L"}))
	assert.Empty(t, of(5, 0, &plan.Layers{Lining: "L", Stiffener: "S"}))
	assert.Equal(t, said, of(5, 0, &plan.Layers{Stiffener: "S"}), "it is ironed to a lining")
	assert.Equal(t, said, of(5, 0, &plan.Layers{}))
}

// By templates pieces lie freely; a lay that was looked for is taken where it is shorter, and told.
func TestWhichLayIsTaken(t *testing.T) {
	l := squares(8, plan.Cloth{Name: "leaf", Usable: ptr(40 * in)},
		func(p *plan.Plan) { p.Habits.Lay = plan.TemplateLays })
	free, _ := lay.Freely(l.Of("A"), lay.Cloth{Usable: 40 * in})
	assert.Equal(t, free, supply.Of(l, nil, "")[0].Lay)
	l = squares(8, plan.Cloth{Name: "leaf", Usable: ptr(40 * in)}, func(p *plan.Plan) {
		p.Lays = map[string]plan.Sought{"A": {Way: []int{0}}}
	})
	made := supply.Of(l, nil, "")[0]
	assert.True(t, made.Sought)
	assert.Equal(t, 20*in, made.Lay.Length)
}

// By itself the back of one cover takes its own strips.
func TestWhatAPartTakesAlone(t *testing.T) {
	l := squares(8, plan.Cloth{Name: "leaf", Usable: ptr(40 * in)}, func(p *plan.Plan) { p.Copies = 3 })
	side := sum.Of(sum.Part, "side", 15*in)
	l.Add(cutting.Cut{About: ref.About{Piece: "back", Role: ref.Panel}, Piece: "back", Cloth: "A", Count: 3,
		Size: sum.Size{Width: side, Height: side}})
	alone := func(piece string) length.Length {
		return supply.Alone(l, "A", func(c cutting.Cut) bool { return c.Piece == piece })
	}
	assert.Equal(t, 20*in, alone("front"), "of one cover, not of three")
	assert.Equal(t, 30*in, alone("back"), "two beside each other, and one")
}

// Twenty thousand pieces are laid out, one more is a slip; what is there already is not counted.
func TestTheMostPieces(t *testing.T) {
	l := squares(20_000, plan.Cloth{Name: "leaf", Usable: ptr(40 * in)}, nil)
	l.Cuts[0].Size = sum.Size{Width: sum.Of(sum.Part, "", 20*in), Height: sum.Of(sum.Part, "", in)}
	l.Add(cutting.Cut{About: ref.About{Piece: "lid", Role: ref.Panel}, Piece: "lid", Cloth: "A", Count: 5, Had: true,
		Size: l.Cuts[0].Size})
	assert.Len(t, supply.Of(l, nil, ""), 1)
	assert.False(t, finding.List(*l.Found).Stopped())
}
