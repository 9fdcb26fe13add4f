package compare_test

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/stat"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/answer"
	"umschlag/core/compare"
	"umschlag/core/finding"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/supply"
	_ "umschlag/seeded"
)

const in = length.Inch

func ptr[T any](v T) *T { return &v }

// cushion is 16 × 16 with a grid of 4 × 4 in two cloths and a back of a third.
func cushion() plan.Plan {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Title, p.Cover.Kind, p.Object = "pad", plan.Cushion, plan.Object{Kind: plan.Form, Width: 16 * in, Height: 16 * in}
	p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4,
		Patch: plan.Patch{Fit: true}, Cloths: []string{"A", "B"}}}, "back": {Face: &plan.Face{Kind: plan.PlainFace,
		Cloth: "D"}}}
	p.Cloths = map[string]plan.Cloth{"A": {Name: "moss"}, "B": {Name: "ink"}, "D": {Name: "dot"}, "L": {Name: "lining"}}
	return p
}

// Each closure side by side is what the plan would be with it: its back, its cuts, its steps to the end and what is
// found of it; the one it has is reckoned as it was decided.
func TestEachClosureIsReckonedByItself(t *testing.T) {
	cushions := 0
	for seed := range 40 {
		p := anyplan.Plans().Example(seed)
		if p.Cover.Kind != plan.Cushion {
			continue
		}
		cushions++
		now := p.Settle().Back.Closure()
		chosen := 0
		kinds := plan.Closures(p.Units)
		list := compare.Closures(p, reckon.NewPurse(nil))
		require.Len(t, list, len(kinds))
		for i, c := range list {
			assert.Equal(t, []string{kinds[i].Key, kinds[i].Name, kinds[i].Skill, kinds[i].Wash, kinds[i].Suits},
				[]string{c.Key, c.Name, c.Skill, c.Wash, c.Suits})
			q := p
			if c.Key != now {
				q.Back = kinds[i].On(p)
				q.Back.Cloth = p.Back.Cloth
			} else {
				chosen++
			}
			assert.Equal(t, c.Key == now, c.Chosen)
			r := reckon.Reckon(q, nil)
			assert.Equal(t, r.Back, c.Back)
			var cuts []answer.Cut
			for _, cut := range r.Cuts {
				if cut.About.Piece == "back" {
					cuts = append(cuts, cut)
				}
			}
			assert.ElementsMatch(t, cuts, c.Cuts)
			for _, f := range c.Findings {
				assert.Contains(t, r.Findings, f)
				assert.True(t, f.Level == finding.Stop || finding.Within(f.About, "/back"))
			}
			assert.LessOrEqual(t, c.Steps, len(r.Steps))
			if len(r.Cuts) > 0 {
				assert.Positive(t, c.Steps)
			}
		}
		assert.LessOrEqual(t, chosen, 1)
	}
	assert.Greater(t, cushions, 3)
	hood := cushion()
	hood.Cover.Kind = "wrap-hood"
	assert.Empty(t, compare.Closures(hood, reckon.NewPurse(nil)))
}

// What is hidden is named with the first other cloth that has enough and costs no more: the back of a cushion, and
// linings; two thirds of a cloth can be used for large pieces.
func TestWhatIsHiddenComesFromAnotherCloth(t *testing.T) {
	p := cushion()
	says := func(cloth string, other plan.Cloth, price float64) []string {
		cupboard := supply.Cupboard{"calico": other, "dot": {Name: "dot", Have: ptr(in), Price: price}}
		r := reckon.Reckon(p, &reckon.Workshop{Cloths: cupboard})
		return compare.Instead(cloth, []compare.Buyer{{Title: "pad", Plan: p, Reckoning: r}}, cupboard,
			reckon.NewPurse(nil))
	}
	calico := func(have, usable length.Length) plan.Cloth {
		return plan.Cloth{Name: "calico", Have: &have, Usable: &usable}
	}
	// The back takes two pieces; the cloth that just does is their area over two thirds of its width.
	area := 0.0
	for _, c := range reckon.Reckon(p, nil).Cuts {
		if c.Cloth == "D" {
			area += float64(c.Total) * float64(c.Width.NM) * float64(c.Height.NM)
		}
	}
	need := length.FromFloat(area / (40 * in).Float() * 3 / 2)
	hint := "pad: cut the back, which is out of sight, from calico, of which there are "
	text := func(have length.Length) string { return p.Style().Yards(have) }
	assert.Equal(t, []string{hint + text(need+1000) + "."}, says("dot", calico(need+1000, 40*in), 0))
	assert.Empty(t, says("dot", calico(need-in, 40*in), 0), "a little less is not enough")
	dear, cheap := calico(need+in, 40*in), calico(need+in, 40*in)
	dear.Price, cheap.Price = 11, 10
	assert.Empty(t, says("dot", dear, 10))
	assert.Len(t, says("dot", cheap, 10), 1)
	assert.Len(t, says("dot", dear, 0), 1, "where no price is known none is too dear")
	batting := calico(need+in, 40*in)
	batting.Kind = "batting"
	assert.Empty(t, says("dot", batting, 0), "batting is no fabric")
	assert.Empty(t, says("moss", calico(3*length.Yard, 40*in), 0), "the front is seen")
}

// A grid one smaller each way, of larger patches, is named where the cloth there is does for it.
func TestAGridThatTakesLess(t *testing.T) {
	p := cushion()
	needs := func(p plan.Plan) length.Length {
		for _, c := range reckon.Reckon(p, nil).Cloths {
			if c.Cloth == "A" {
				return length.Length(c.Need.NM)
			}
		}
		return 0
	}
	squares := func(n int) plan.Plan {
		q := p
		face := *p.Pieces["front"].Face
		face.Columns, face.Rows = n, n
		q.Pieces = map[string]plan.Piece{"front": {Face: &face}, "back": p.Pieces["back"]}
		return q
	}
	says := func(p plan.Plan, have length.Length) string {
		p.Cloths = map[string]plan.Cloth{"A": {Name: "moss", Have: &have}, "B": {Name: "ink"}, "D": {Name: "dot"}}
		r := reckon.Reckon(p, nil)
		return strings.Join(compare.Instead("moss", []compare.Buyer{{Title: "pad", Plan: p, Reckoning: r}}, nil,
			reckon.NewPurse(nil)), "\n")
	}
	lesser := 0
	for n := 4; n < 14; n++ {
		more, less := needs(squares(n)), needs(squares(n-1))
		hint := fmt.Sprintf("pad: a grid of %d × %d takes %s of it.", n-1, n-1, p.Style().Text(less))
		assert.NotContains(t, says(squares(n), min(more, less)-in/8), "grid of", "not where that is not enough either")
		if less < more {
			lesser++
			assert.Contains(t, says(squares(n), less), hint)
			other := squares(n)
			other.Pieces["front"].Face.Kind = "checker"
			assert.NotContains(t, says(other, less), "grid of", "a checkerboard is cut from strips")
		}
	}
	assert.Positive(t, lesser)
	sashed := *p.Pieces["front"].Face
	sashed.Sash = &plan.Sash{Width: in, Cloth: "B"}
	p.Pieces["front"] = plan.Piece{Face: &sashed}
	assert.NotContains(t, says(p, in), "grid of")
}

// Needs of several plans on one cloth: as wide as the narrowest says, shrinking as the worst, numbered anew, each with
// its owner; apart is what each lay takes by itself.
func TestNeedsTogether(t *testing.T) {
	one := compare.Needs{Items: []lay.Item{{Cut: 3, Width: 5 * in, Height: 4 * in, Count: 2},
		{Cut: 7, Width: 8 * in, Height: 6 * in, Count: 1}}, On: lay.Cloth{Usable: 40 * in}, Shrink: 0.03,
		Titles: map[int]string{3: "patch", 7: "back"}}
	two := compare.Needs{Items: []lay.Item{{Cut: 3, Width: 9 * in, Height: 9 * in, Count: 4}},
		On: lay.Cloth{Usable: 36 * in, Across: 6 * in, Along: 8 * in}, Titles: map[int]string{3: "face"}}
	all := compare.Joined([]compare.Needs{one, two})
	assert.Equal(t, lay.Cloth{Usable: 36 * in, Across: 6 * in, Along: 8 * in}, all.On)
	assert.InDelta(t, 0.03, all.Shrink, 0)
	assert.Equal(t, map[int]string{0: "patch", 1: "back", 2: "face"}, all.Titles)
	assert.Equal(t, map[int]int{0: 0, 1: 0, 2: 1}, all.Owner)
	for i, it := range all.Items {
		assert.Equal(t, i, it.Cut)
	}
	apart := length.Length(0)
	for _, n := range []compare.Needs{one, two} {
		l, _ := lay.Of(n.Items, n.On)
		apart += lay.Need(l, n.Shrink)
	}
	assert.Equal(t, apart, all.Apart)
	l, _ := lay.Of(all.Items, all.On)
	need, saves := all.Takes(l)
	assert.Equal(t, lay.Need(l, 0.03), need)
	assert.Equal(t, max(0, apart-need), saves)
	l.Length = 100 * in
	_, saves = all.Takes(l)
	assert.Zero(t, saves, "more than apart saves nothing")
}

// Where a sample is used, or could be: each use is the plan with just that changed.
func TestUsesOfASample(t *testing.T) {
	p := cushion()
	front, gathered := p.Pieces["front"], plan.Face{Kind: plan.GatheredFace, Cloth: "A", Ratio: 2, Sample: "g"}
	front.Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in}}}
	front.TakeUp = &plan.TakeUp{From: plan.FromSample, ID: "q"}
	p.Pieces["front"], p.Pieces["lid"] = front, plan.Piece{Face: &gathered}
	p.Cover.Wash = 4
	one := func(list []compare.Use) compare.Use { require.Len(t, list, 1); return list[0] }

	quilted := plan.Sample{Kind: plan.QuiltingSample, Layers: &plan.Layers{Lining: "L"}}
	u := one(compare.Uses(p, "q", quilted))
	assert.Equal(t, []any{"/pieces/front/take_up", true, "one has a lining and the other none"},
		[]any{u.Path, u.Used, u.Other})
	u = one(compare.Uses(p, "other", quilted))
	assert.False(t, u.Used)
	assert.Equal(t, plan.TakeUp{From: plan.FromSample, ID: "other"}, *u.With.Pieces["front"].TakeUp)
	assert.Equal(t, "q", p.Pieces["front"].TakeUp.ID, "the plan itself stays")

	u = one(compare.Uses(p, "g", plan.Sample{Kind: plan.GatherSample}))
	assert.Equal(t, []any{"/pieces/lid/face/sample", true}, []any{u.Path, u.Used})
	assert.Equal(t, "g", u.With.Pieces["lid"].Face.Sample)
	assert.Zero(t, u.With.Pieces["lid"].Face.Ratio)
	assert.False(t, one(compare.Uses(p, "h", plan.Sample{Kind: plan.GatherSample})).Used)

	washed := func(w, h length.Length) plan.Sample {
		return plan.Sample{Kind: plan.WashSample, Before: plan.Sized{Width: 100 * in, Height: 100 * in},
			After: []plan.Sized{{Width: w, Height: h}}}
	}
	u = one(compare.Uses(p, "w", washed(98*in, 96*in)))
	assert.Equal(t, []any{"/cover/wash", true, 4.0, 4.0}, []any{u.Path, u.Used, u.Takes, u.With.Cover.Wash})
	u = one(compare.Uses(p, "w", washed(97*in, 99*in)))
	assert.Equal(t, []any{false, 3.0}, []any{u.Used, u.Takes})
	u = one(compare.Uses(p, "w", washed(101*in, 102*in)))
	assert.Equal(t, []any{false, 0.0}, []any{u.Used, u.Takes}, "what grows takes nothing")
	assert.Empty(t, compare.Uses(p, "w", plan.Sample{Kind: plan.WashSample}))
	assert.Empty(t, compare.Uses(p, "s", plan.Sample{Kind: plan.StripSample}))
}

// Figures of finished covers: paces are times taken over times that are usual, by stage and in all; seams the mean of
// what gates showed.
func TestFiguresOfFinishedCovers(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var plans []plan.Plan
		took, usual, n := 0.0, 0.0, 0
		type pace struct {
			took, usual float64
			n           int
		}
		stages := map[string]pace{}
		var errors []float64
		for range rapid.IntRange(1, 3).Draw(t, "covers") {
			p := cushion()
			p.Copies = rapid.IntRange(1, 2).Draw(t, "copies")
			p.Progress.Times = map[string]float64{}
			for _, s := range reckon.Reckon(p, nil).Steps {
				if !rapid.Bool().Draw(t, "timed") {
					continue
				}
				minutes := float64(rapid.IntRange(0, 60).Draw(t, "minutes"))
				p.Progress.Times[s.ID] = minutes
				if minutes > 0 {
					is := stages[s.Stage]
					stages[s.Stage] = pace{is.took + minutes, is.usual + float64(s.Minutes*p.Copies), is.n + 1}
					took, usual, n = took+minutes, usual+float64(s.Minutes*p.Copies), n+1
				}
			}
			if rapid.Bool().Draw(t, "measured") {
				short := (in / 64).Times(rapid.IntRange(-12, 12).Draw(t, "short"))
				p.Measured = []plan.Measured{{Gate: "gate.piece:front.role:sewn", Width: 33*in/2 - short}}
				errors = append(errors, short.Float()/6)
			}
			plans = append(plans, p)
		}
		f := compare.FiguresOf(plans)
		assert.Equal(t, []int{len(plans), n, len(errors)}, []int{f.Covers, f.Timed, f.Measured})
		if n >= 5 {
			assert.InDelta(t, took/usual, f.Pace, 0.0051)
		} else {
			assert.Zero(t, f.Pace)
		}
		told := 0
		for _, s := range f.Stages {
			is := stages[s.Stage]
			assert.Equal(t, is.n, s.Timed)
			assert.InDelta(t, is.took/is.usual, s.Pace, 0.0051)
		}
		for _, is := range stages {
			if is.n >= 5 {
				told++
			}
		}
		assert.Len(t, f.Stages, told)
		if len(errors) > 0 {
			assert.InDelta(t, stat.Mean(errors, nil), f.Seams, 1)
		}
	})
}

// Of a plan that is too large to be tried in all ways the closure it has is told, and of the others that they were not
// tried; where nobody waits nothing is.
func TestALargePlanIsTriedAsFarAsThePurseGoes(t *testing.T) {
	p := cushion()
	p.Pieces["front"].Face.Columns, p.Pieces["front"].Face.Rows = 100, 100
	untried := func(all []compare.Closing) (n int, chosen bool) {
		for _, c := range all {
			if slices.ContainsFunc(c.Findings, func(f finding.Finding) bool { return f.Code == "closure-untried" }) {
				n++
				chosen = chosen || c.Chosen
			}
		}
		return n, chosen
	}
	all := compare.Closures(p, reckon.NewPurse(nil))
	n, chosen := untried(all)
	assert.False(t, chosen)
	assert.Equal(t, len(all)-4, n)
	gone := &reckon.Workshop{On: func() bool { return false }}
	n, _ = untried(compare.Closures(p, reckon.NewPurse(gone)))
	assert.Equal(t, len(all), n)
}
