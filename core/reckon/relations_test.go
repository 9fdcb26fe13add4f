package reckon_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/answer"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// both reckons a plan and the same plan otherwise; false where one of them cannot be cut.
func both(t *rapid.T, p plan.Plan, otherwise func(*plan.Plan)) (a, b answer.Reckoning, ok bool) {
	q := p
	otherwise(&q)
	a, b = reckon.Reckon(p, nil), reckon.Reckon(q, nil)
	return a, b, !finding.List(a.Findings).Stopped() && !finding.List(b.Findings).Stopped()
}

// sizesOf are the sizes of the cuts by their ids.
func sizesOf(r answer.Reckoning) map[string][2]int64 {
	out := map[string][2]int64{}
	for _, c := range r.Cuts {
		out[c.ID] = [2]int64{c.Width.NM, c.Height.NM}
	}
	return out
}

// A plan that is written in another unit is the same plan: what is decided stays, and every cut with it.
func TestTheUnitChangesNoCut(t *testing.T) {
	made := 0
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan").Settle()
		a, b, ok := both(t, p, func(q *plan.Plan) {
			q.Units = rapid.SampledFrom(length.Units()).Draw(t, "other")
		})
		if ok {
			made++
			assert.Equal(t, sizesOf(a), sizesOf(b))
			assert.Len(t, b.Steps, len(a.Steps))
		}
	})
	assert.Greater(t, made, 30)
}

// With a larger seam nothing is cut smaller that is cut at all, and what finishes stays as large.
func TestALargerSeamCutsNothingSmaller(t *testing.T) {
	made := 0
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan").Settle()
		more := rapid.SampledFrom([]length.Length{in / 16, in / 8}).Draw(t, "more")
		at := rapid.SampledFrom([]int{1, 3}).Draw(t, "which seams") // one alone, or both
		a, b, ok := both(t, p, func(q *plan.Plan) {
			if at&1 > 0 {
				q.Cover.Seam += more
			}
			if at&2 > 0 {
				q.Cover.PiecingSeam += more
			}
		})
		if !ok || anyplan.AsCut(p) {
			return
		}
		made++
		larger, count := sizesOf(b), map[string]int{}
		for _, c := range b.Cuts {
			count[c.ID] = c.Count
		}
		for _, c := range a.Cuts {
			is := larger[c.ID]
			// A stiffener keeps out of the seams; what becomes more may become shorter; patches of a border share what
			// rounding leaves them; and what is alike and numbered may be numbered otherwise.
			shared := c.About.Ring > 0 && c.About.Cloth != "" || c.About.No > 0
			if count[c.ID] == c.Count && c.About.Role != ref.Stiffener && !shared {
				assert.GreaterOrEqual(t, is[0]+5, c.Width.NM, c.ID)
				assert.GreaterOrEqual(t, is[1]+5, c.Height.NM, c.ID)
			}
		}
	})
	assert.Greater(t, made, 30)
}

// joinedBy cuts the straight strips of a plan by one rule.
func joinedBy(p *plan.Plan, rule plan.Joins) {
	if piping := p.Edges.Piping; piping != nil {
		q := *piping
		q.Joins = rule
		p.Edges.Piping = &q
	}
	if binding := p.Edges.Binding; binding != nil {
		q := *binding
		q.Joins = rule
		p.Edges.Binding = &q
	}
}

// As many strips as take least cloth take no more of it than the fewest do, for several covers too.
func TestStripsForLeastClothTakeNoMoreThanTheFewest(t *testing.T) {
	less := 0
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan").Settle()
		p.Copies = rapid.IntRange(1, 5).Draw(t, "covers")
		joinedBy(&p, plan.FewestJoins)
		a, b, ok := both(t, p, func(q *plan.Plan) { joinedBy(q, plan.LeastCloth) })
		if !ok {
			return
		}
		for i, c := range a.Cloths {
			assert.LessOrEqual(t, b.Cloths[i].Lay.Length.NM, c.Lay.Length.NM, c.Name)
			if b.Cloths[i].Lay.Length.NM < c.Lay.Length.NM {
				less++
			}
		}
	})
	assert.Positive(t, less)
}

// Several covers are that many times one: every cut, all the work and no other size.
func TestCopiesAreManyTimesOne(t *testing.T) {
	made := 0
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan").Settle()
		p.Copies = 1
		joinedBy(&p, plan.FewestJoins) // as many as take least cloth hang on all that is cut of it
		n := rapid.IntRange(2, 5).Draw(t, "covers")
		a, b, ok := both(t, p, func(q *plan.Plan) { q.Copies = n })
		if !ok {
			return
		}
		made++
		assert.Equal(t, sizesOf(a), sizesOf(b))
		for i, c := range a.Cuts {
			assert.Equal(t, c.Count, b.Cuts[i].Count, c.ID)
			assert.LessOrEqual(t, b.Cuts[i].Total, c.Total*n, c.ID)
			if over := c.Over * n; c.Gives < 2 || over < c.Gives { // nothing that is over makes up for one
				assert.Equal(t, c.Total*n, b.Cuts[i].Total, c.ID)
			}
		}
		alone := map[string]int{}
		for _, s := range a.Steps {
			alone[s.ID] = s.Minutes
		}
		for _, s := range b.Steps {
			if minutes, there := alone[s.ID]; there { // several are looked at each when they are done
				assert.Equal(t, minutes, s.Minutes, s.ID)
			}
		}
	})
	assert.Greater(t, made, 30)
}

// A cover of a pad that lies the other way has its front cut the other way.
func TestAPadTurnedRoundTurnsItsFront(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
		p.Title, p.Cover.Kind = "any", rapid.SampledFrom([]plan.CoverKind{plan.Cushion, plan.Pad}).Draw(t, "kind")
		p.Object = plan.Object{Kind: covers[p.Cover.Kind], Width: anyOf(t, "width", 6*in, 30*in),
			Height: anyOf(t, "height", 6*in, 30*in)}
		p.Cover.Ease = plan.Axes{Width: anyOf(t, "ease", -in, in), Height: anyOf(t, "ease up", -in, in)}
		quilted := plan.Piece{Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"},
			Layers: &plan.Layers{Batting: &plan.Batting{Count: 1, Loft: 3 * length.Millimetre}, Lining: "A"},
			Quilting: &plan.Quilting{Lines: []plan.LineFamily{{Pitch: 2 * in, Angle: 45},
				{Pitch: 2 * in, Angle: -45}}}}
		p.Pieces = map[string]plan.Piece{plan.Common: quilted}
		p.Cloths = map[string]plan.Cloth{"A": {Name: "a", Width: ptr(60 * in)},
			"batting": {Name: "b", Width: ptr(90 * in)}}
		a, b, ok := both(t, p, func(q *plan.Plan) {
			q.Object.Width, q.Object.Height = p.Object.Height, p.Object.Width
			q.Cover.Ease = plan.Axes{Width: p.Cover.Ease.Height, Height: p.Cover.Ease.Width}
		})
		if !ok {
			return
		}
		for i, q := range a.Pieces {
			if q.Name == "back" && p.Cover.Kind == plan.Cushion {
				continue // its panels lie across
			}
			turned := b.Pieces[i]
			finished, made := turned.Finished, turned.BeforeQuilting
			assert.Equal(t, q.Finished, answer.Size{Width: finished.Height, Height: finished.Width}, q.Name)
			assert.InDelta(t, float64(q.BeforeQuilting.Width.NM), float64(made.Height.NM), 2, q.Name)
			assert.InDelta(t, float64(q.BeforeQuilting.Height.NM), float64(made.Width.NM), 2, q.Name)
		}
	})
}
