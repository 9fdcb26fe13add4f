package reckon_test

import (
	"slices"
	"strings"
	"testing"

	"umschlag/core/answer"
	"umschlag/core/compare"
	"umschlag/core/supply"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

func clothOf(t *testing.T, r answer.Reckoning, letter string) answer.ClothNeed {
	t.Helper()
	i := slices.IndexFunc(r.Cloths, func(n answer.ClothNeed) bool { return n.Cloth == letter })
	require.GreaterOrEqual(t, i, 0, letter)
	return r.Cloths[i]
}

func TestAPanelCentredOnAMotifHasARepeatToFindIt(t *testing.T) {
	p := worked()
	p.Pieces["front"] = plan.Piece{Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A", Centred: true}}
	unsaid := reckon.Reckon(p, nil)
	assert.Contains(t, codes(unsaid), "repeat-unknown")
	a := p.Cloths["A"]
	a.Repeat = &plan.Repeat{Across: 6 * in, Along: 7 * in}
	p.Cloths["A"] = a
	r := reckon.Reckon(p, nil)
	assert.NotContains(t, codes(r), "repeat-unknown")
	panel := cut(t, r, "cut.piece:front.role:panel")
	assert.Equal(t, "a motif in its middle", panel.Motif)
	n := clothOf(t, r, "A")
	first, second := n.Lay.Strips[0].Height.NM, n.Lay.Strips[1].Height.NM
	assert.Equal(t, []int64{int64(7 * in), panel.Height.NM}, []int64{first, second},
		"a repeat to find the first motif, and the panel")
	assert.Greater(t, n.Lay.Length.NM, clothOf(t, unsaid, "A").Lay.Length.NM)
}

func TestABackOnTheSelvedgeLiesThere(t *testing.T) {
	p := worked()
	p.Back.Hem = []length.Length{}
	r := reckon.Reckon(p, nil)
	back := cut(t, r, "cut.piece:back.role:closure-panel")
	require.True(t, back.Selvedge)
	n := clothOf(t, r, back.Cloth)
	for _, at := range n.Lay.Placed {
		if r.Cuts[at.Cut].ID == back.ID {
			assert.True(t, at.X.NM == 0 || at.X.NM+at.Width.NM == n.Lay.Width.NM, "at %d", at.X.NM)
		}
	}
}

func TestTemplatesLieFreely(t *testing.T) {
	p := worked()
	ruler := reckon.Reckon(p, nil)
	p.Habits.Lay = plan.TemplateLays
	free := reckon.Reckon(p, nil)
	for i, n := range free.Cloths {
		assert.Empty(t, n.Lay.Strips, n.Name)
		assert.Len(t, n.Lay.Placed, len(ruler.Cloths[i].Lay.Placed), n.Name)
		assert.GreaterOrEqual(t, n.Lay.Length.NM, n.Lay.Bound.NM-1)
	}
}

func TestALayThatWasFoundIsKept(t *testing.T) {
	p := worked()
	p.Copies = 5
	plain := clothOf(t, reckon.Reckon(p, nil), "A")
	n, ok := compare.NeedsOf(p, nil, "A")
	require.True(t, ok)
	found := lay.Search(n.Items, n.On, func(f lay.Found) bool { return f.Round < 2 })
	p.Lays = map[string]plan.Sought{"A": {Way: found.Way}}
	kept := clothOf(t, reckon.Reckon(p, nil), "A")
	assert.Equal(t, int64(found.Lay.Length), kept.Lay.Length.NM)
	assert.LessOrEqual(t, kept.Lay.Length.NM, plain.Lay.Length.NM)
	p.Lays["A"] = plan.Sought{Way: []int{-1}}
	assert.Contains(t, codes(reckon.Reckon(p, nil)), "out-of-range")
	_, ok = compare.NeedsOf(p, nil, "A")
	assert.False(t, ok, "a plan that cannot be right has no needs")
	_, ok = compare.NeedsOf(worked(), nil, "Q")
	assert.False(t, ok)
}

func TestPlansTogetherTakeNoMoreThanApart(t *testing.T) {
	p := worked()
	n, ok := compare.Named(p, nil, clothOf(t, reckon.Reckon(p, nil), "A").Name)
	require.True(t, ok)
	all := compare.Joined([]compare.Needs{n, n, n})
	assert.Len(t, all.Items, 3*len(n.Items))
	assert.Equal(t, 2, all.Owner[len(all.Items)-1])
	l, over := lay.Of(all.Items, all.On)
	assert.Empty(t, over)
	assert.LessOrEqual(t, lay.Need(l, all.Shrink), all.Apart)
	_, ok = compare.Named(p, nil, "velvet")
	assert.False(t, ok)
}

func TestAStretchyClothWantsSomethingFirm(t *testing.T) {
	p := worked()
	p.Pieces["back"] = plan.Piece{Face: &plan.Face{Kind: plan.PlainFace, Cloth: "D"}}
	d, _ := p.Cloth("D")
	w := &reckon.Workshop{Cloths: supply.Cupboard{d.Name: {Name: d.Name, Stretch: 30}}}
	p.Pieces["*"] = plan.Piece{Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"}}
	assert.Contains(t, codes(reckon.Reckon(p, w)), "cloth-stretches", "as the cupboard knows")
	lined := p
	lined.Pieces = map[string]plan.Piece{"*": p.Pieces["*"], "front": p.Pieces["front"],
		"back": {Face: p.Pieces["back"].Face, Layers: &plan.Layers{Lining: "L"}}}
	assert.NotContains(t, codes(reckon.Reckon(lined, w)), "cloth-stretches")
}

func TestWhatAPlanCosts(t *testing.T) {
	p := worked()
	p.Copies = 2
	a := p.Cloths["A"]
	a.Price, a.Per = 18, plan.PerYard
	p.Cloths["A"] = a
	p.Costs = plan.Costs{Minutes: 90, Other: 2}
	wage, margin := 20.0, 50.0
	r := reckon.Reckon(p, &reckon.Workshop{Habits: plan.Habits{Wage: &wage, Margin: &margin, Currency: "cr"}})
	require.NotNil(t, r.Cost)
	n := clothOf(t, r, "A")
	i := slices.IndexFunc(r.Cost.Lines, func(l answer.CostLine) bool { return l.Name == n.Name })
	assert.Equal(t, n.Need.Text+" at 18.00 cr a yard", r.Cost.Lines[i].How)
	material := 18 * float64(n.Need.NM) / float64(length.Yard)
	assert.Equal(t, answer.Money(material, "cr"), r.Cost.Materials)
	assert.Equal(t, "60.00 cr", r.Cost.Work, "twice an hour and a half at 20")
	assert.Contains(t, r.Cost.Unpriced, "thread")
	assert.Equal(t, r.Cost.Cost, r.Cost.Taking(180), "three hours in all")
	assert.Equal(t, answer.Money(material+2+50, "cr"), r.Cost.Taking(150))
	none := 0.0
	p.Habits.Margin = &none
	r = reckon.Reckon(p, &reckon.Workshop{Habits: plan.Habits{Wage: &wage, Margin: &margin}})
	assert.Equal(t, "0.00", r.Cost.Margin, "a plan may take no margin where the workshop does")
	assert.Nil(t, reckon.Reckon(plan.Plan{}, nil).Cost, "what cannot be cut costs nothing that is known")
}

func TestWhatCouldBeChangedToBuyLess(t *testing.T) {
	p := worked()
	have := 10 * in
	d, _ := p.Cloth("D")
	enough := 3 * length.Yard
	w := &reckon.Workshop{Cloths: supply.Cupboard{d.Name: {Name: d.Name, Have: &have, Price: 10},
		"calico": {Name: "calico", Have: &enough, Price: 4}, "silk": {Name: "silk", Have: &enough, Price: 40}}}
	r := reckon.Reckon(p, w)
	pad := []compare.Buyer{{Title: "pad", Plan: p, Reckoning: r}}
	says := compare.Instead(d.Name, pad, w.Cloths, reckon.NewPurse(nil))
	require.NotEmpty(t, says)
	assert.Equal(t, "pad: cut the back, which is out of sight, from calico, of which there are 3 yd.", says[0],
		"and not from silk")
	assert.Empty(t, compare.Instead("velvet", pad, w.Cloths, reckon.NewPurse(nil)))
}

func TestALayThatCouldBeShortEnoughIsToBeLookedFor(t *testing.T) {
	n := answer.ClothNeed{Name: "dot", Have: &answer.L{NM: 90}, Short: answer.L{NM: 10, Text: "10"},
		Lay: answer.Lay{Length: answer.L{NM: 100}, Bound: answer.L{NM: 80}}}
	buyer := compare.Buyer{Title: "pad", Plan: worked(), Reckoning: answer.Reckoning{Cloths: []answer.ClothNeed{n}}}
	says := strings.Join(compare.Instead("dot", []compare.Buyer{buyer}, nil, reckon.NewPurse(nil)), "\n")
	assert.Contains(t, says, "look for a shorter cutting layout on Cut; 10 less would do")
	n.Sought = true
	buyer.Reckoning.Cloths[0] = n
	assert.Empty(t, compare.Instead("dot", []compare.Buyer{buyer}, nil, reckon.NewPurse(nil)), "it was looked for")
}

// A way is numbers from 0 on; what they lay is asked where they are laid.
func TestAWayOfAPlanIsNumbers(t *testing.T) {
	for number, ok := range map[int]bool{-1: false, 0: true, 128: true, 1 << 20: true, 1<<20 + 1: false} {
		p := worked()
		p.Lays = map[string]plan.Sought{"A": {Way: []int{number}}}
		assert.Equal(t, ok, !slices.Contains(codes(reckon.Reckon(p, nil)), "out-of-range"), number)
	}
}

// 16½ and twice 11¼ on 40 in lie in one strip. Where the back waits, an eighth more is kept for it either way: what a
// front of one piece of cloth may come out larger.
func TestABackSharesTheStripOfItsFront(t *testing.T) {
	p, ok := plan.Begin("cushion", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "moss"})
	require.True(t, ok)
	p.Title, p.Object.Width, p.Object.Height = "t", 16*in, 16*in
	together := reckon.Reckon(p, nil)
	assert.Equal(t, "16½″", together.Cloths[0].Length.Text)
	p.Back.Wait = plan.WaitYes
	waits := reckon.Reckon(p, nil)
	assert.Equal(t, "16⅝″", waits.Cloths[0].Length.Text)
	assert.Len(t, waits.Cloths[0].Lay.Strips, 1)
}

// A motif in the middle of the squares of a block: the corners and the middle of a shoo fly, not its triangles.
func TestSquaresOfBlocksAreCentredOnTheirMotif(t *testing.T) {
	p := worked()
	p.Pieces["front"] = plan.Piece{Face: &plan.Face{Kind: plan.GridFace, Columns: 2, Rows: 2, Cloths: []string{"A", "B"},
		Patch: plan.Patch{Fit: true}, Block: plan.Block{Name: "shoofly"}, Centred: true}}
	a := p.Cloths["A"]
	a.Repeat, a.Print = &plan.Repeat{Across: 4 * in, Along: 4 * in}, plan.OneWay
	p.Cloths["A"] = a
	r := reckon.Reckon(p, nil)
	centred := map[string]bool{}
	for _, c := range r.Cuts {
		if c.Cloth == "A" && c.Piece == "front" && c.Layer == "outer" {
			centred[c.Shape] = centred[c.Shape] || c.Motif != ""
		}
	}
	assert.Equal(t, map[string]bool{"square": true, "half-square": false}, centred)
	assert.NotContains(t, codes(r), "print-slanted")

	p.Pieces["front"].Face.Set, p.Pieces["front"].Face.Block = plan.OnPoint, plan.Block{}
	assert.Contains(t, codes(reckon.Reckon(p, nil)), "print-slanted", "squares on their points are cut with the grain")
	a.Print, a.Repeat = plan.AllOver, nil
	p.Cloths["A"] = a
	assert.NotContains(t, codes(reckon.Reckon(p, nil)), "print-slanted")
}

// Two strips as wide as they are from a cloth of 42 in: along it each comes in one piece, and joined from two below
// each other it would take nearly as much of the length. A narrow one is joined: along the cloth it would take all
// its length.
func TestWideStripsLieAlongTheirCloth(t *testing.T) {
	front := func(width length.Length, strips ...plan.Strip) answer.Reckoning {
		p := faced(plan.Face{Kind: plan.StripsFace, Direction: plan.AlongWay, Strips: strips})
		p.Cover.Ease = plan.Axes{}
		p.Object.Width, p.Object.Height = width, 61*in
		p.Pieces["front"] = plan.Piece{Face: p.Pieces["front"].Face}
		return reckon.Reckon(p, nil)
	}
	wide := front(60*in, plan.Strip{Width: plan.Extent{Width: 30 * in}, Cloth: "A"},
		plan.Strip{Width: plan.Extent{Width: 30 * in}, Cloth: "B"})
	require.NotEmpty(t, wide.Cuts, "%v", wide.Findings)
	for _, c := range wide.Cuts[:2] {
		assert.Equal(t, 1, c.Total, c.Title)
		assert.ElementsMatch(t, []string{"30½″", "61½″"}, []string{c.Width.Text, c.Height.Text})
		assert.NotContains(t, c.Title, "joined")
	}
	narrow := front(5*in, plan.Strip{Width: plan.Extent{Width: 5 * in / 2}, Cloth: "A"},
		plan.Strip{Width: plan.Extent{Width: 5 * in / 2}, Cloth: "B"})
	require.NotEmpty(t, narrow.Cuts, "%v", narrow.Findings)
	assert.Contains(t, narrow.Cuts[0].Title, "joined from 2")
}
