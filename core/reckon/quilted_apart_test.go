package reckon_test

import (
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

// borderedApart is a cushion with a front of patches in a border, quilted inside it and in the border as it says.
func borderedApart(q *plan.Quilting, corner plan.BorderCorner, size, patch length.Length, n int) plan.Plan {
	in := length.Inch
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Title = "Reading corner"
	p.Object = plan.Object{Kind: plan.Form, Width: size, Height: size}
	p.Cover = plan.Cover{Kind: plan.Cushion, Seam: in / 2, PiecingSeam: in / 4}
	p.Cloths = map[string]plan.Cloth{"A": {Name: "ink"}, "B": {Name: "chalk"}, "C": {Name: "moss"}}
	face := plan.Face{Kind: plan.GridFace, Columns: n, Rows: n, Patch: plan.Patch{Width: patch},
		Cloths: []string{"A", "B"},
		Borders: []plan.Border{{Key: "b1", Width: plan.Extent{Width: in}, Cloth: "B", Corner: corner},
			{Key: "b2", Width: plan.Extent{Rest: true}, Cloth: "C", Corner: corner}}}
	p.Pieces = map[string]plan.Piece{
		"front": {Face: &face, Layers: &plan.Layers{Batting: &plan.Batting{Count: 2, Loft: 4 * length.Millimetre}},
			Quilting: q},
		"back": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"}}}
	return p
}

// cutOf is a cut of a reckoning by what it is.
func cutOf(t require.TestingT, r answer.Reckoning, of ref.Key, role ref.Role) answer.Cut {
	for _, c := range r.Cuts {
		if c.About.Of == of && c.About.Role == role && c.Piece == "front" && c.Layer == "outer" {
			return c
		}
	}
	require.Failf(t, "no such cut", "%s %s", of, role)
	return answer.Cut{}
}

// The front sewn and quilted as the steps say, in figures of its own: the centre is sewn, quilting takes its share of
// it, both borders are sewn on and turned back, and what is trimmed off is the squaring margin, up to the ruler.
func TestBordersSewnOnAfterMakeUpForWhatQuiltingTook(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := length.Inch
		n := rapid.IntRange(2, 5).Draw(t, "patches")
		patch := (in / 4).Times(rapid.IntRange(8, 16).Draw(t, "patch"))
		size := patch.Times(n) + 2*in + (in / 2).Times(rapid.IntRange(2, 8).Draw(t, "rest"))
		q := &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in / 2, Angle: 90}, {Pitch: in, Angle: 0}},
			Borders: &plan.BorderQuilting{After: true}}
		along := rapid.Bool().Draw(t, "borders quilted along")
		if along {
			q.Borders.Along = in / 2
		}
		corner := rapid.SampledFrom([]plan.BorderCorner{plan.Butted, "squares"}).Draw(t, "corner")
		p := borderedApart(q, corner, size, patch, n)
		r := reckon.Reckon(p, nil)
		require.False(t, finding.List(r.Findings).Stopped(), "%v", r.Findings)
		front := r.Pieces[0]
		seam, margin := (in / 4).Float(), (in / 2).Float()
		centre := (patch.Times(n).Float() + 2*seam) * (1 - front.TakeUp[0]/100)
		first, second := cutOf(t, r, "b1", ref.BorderFirst), cutOf(t, r, "b1", ref.BorderSecond)
		outer := cutOf(t, r, "b2", ref.BorderFirst)
		step := (in / 8).Float()
		high := (patch.Times(n).Float() + 2*seam) * (1 - front.TakeUp[1]/100)
		between := func(what string, least, is float64) {
			assert.GreaterOrEqual(t, is, least-5, what)
			assert.Less(t, is, least+step+5, what)
		}
		between("the sides are as long as the centre is high", high, float64(first.Height.NM))
		whole := centre
		if corner == plan.Butted {
			whole += 2 * (float64(first.Width.NM) - 2*seam)
		}
		between("those over them as long as the whole is wide", whole, float64(second.Width.NM))
		sewn := centre + 2*(float64(first.Width.NM)-2*seam) + 2*(float64(outer.Width.NM)-2*seam)
		if along { // lines half an inch apart take what those inside take across themselves
			one := front.TakeUp[0] / 100
			sewn -= (sewn - centre) * one
		}
		trimmed := size.Float() + in.Float()
		less := (sewn - trimmed - 2*margin) / 2
		assert.GreaterOrEqual(t, less, -5e4, "no less than the margin is left to trim")
		assert.Less(t, less, step+5e4)
	})
}

// stepIDs are those of a piece in their order, of some roles.
func stepIDs(r answer.Reckoning, roles ...ref.Role) []string {
	var out []string
	for _, s := range r.Steps {
		for _, role := range roles {
			if s.About.Role == role {
				out = append(out, string(role)+" "+string(s.About.Of))
			}
		}
	}
	return out
}

// What is sewn on after comes after: layered, quilted, measured, cut, sewn on from inside to outside, quilted, trimmed.
func TestTheOrderOfQuiltingBeforeBorders(t *testing.T) {
	roles := []ref.Role{ref.DoRows, ref.DoLayers, ref.DoQuilt, ref.DoMeasureCentre, ref.DoCutBorders, ref.DoBorder,
		ref.DoQuiltBorders, ref.DoTrim, ref.DoMeasureFront, ref.DoCutBack}
	in := length.Inch
	q := &plan.Quilting{Corners: true, Borders: &plan.BorderQuilting{After: true, Across: in}}
	p := borderedApart(q, plan.Butted, 20*in, 4*in, 4)
	r := reckon.Reckon(p, nil)
	assert.Equal(t, []string{"rows ", "layers ", "quilt ", "measure-centre ", "cut-borders ", "border b1", "border b1",
		"border b2", "border b2", "quilt-borders ", "trim ", "measure-front ", "cut-back "}, stepIDs(r, roles...))
	for _, c := range r.Cuts {
		want := map[bool]string{true: ref.FrontCentre.String()}[c.About.Ring > 0]
		if c.Piece == "front" {
			assert.Equal(t, want, c.Waits, c.Title)
		}
	}
	before := *q
	before.Borders = &plan.BorderQuilting{Across: in}
	r = reckon.Reckon(borderedApart(&before, plan.Butted, 20*in, 4*in, 4), nil)
	assert.Equal(t, []string{"rows ", "border b1", "border b1", "border b2", "border b2", "layers ", "quilt ", "trim ",
		"measure-front ", "cut-back "}, stepIDs(r, roles...))
}

// A centre that measures half an inch less than planned makes the first border a quarter wider a side, and its strips
// half an inch shorter; what is measured of rows or before quilting does not.
func TestBordersFollowTheQuiltedCentre(t *testing.T) {
	in := length.Inch
	q := &plan.Quilting{Corners: true, Borders: &plan.BorderQuilting{After: true}}
	p := borderedApart(q, plan.Butted, 20*in, 4*in, 4)
	planned := reckon.Reckon(p, nil)
	p.Measured = []plan.Measured{{Gate: ref.FrontCentre.String(), Width: 16 * in, Height: 16 * in}}
	after := reckon.Reckon(p, nil)
	require.False(t, finding.List(after.Findings).Stopped())
	was, is := cutOf(t, planned, "b1", ref.BorderFirst), cutOf(t, after, "b1", ref.BorderFirst)
	assert.Equal(t, int64(16*in), is.Height.NM, "as long as it measured")
	assert.InDelta(t, (in / 4).Float(), float64(is.Width.NM-was.Width.NM), (in / 8).Float())
	assert.Greater(t, is.Width.NM, was.Width.NM)
	assert.Empty(t, is.Waits)
	p.Measured[0].Height = 16*in + in/32
	assert.Equal(t, int64(16*in+in/32), cutOf(t, reckon.Reckon(p, nil), "b1", ref.BorderFirst).Height.NM,
		"also between two steps of the ruler")
	p.Measured[0].Gate = ref.FrontPieced.String()
	other := reckon.Reckon(p, nil)
	assert.Equal(t, was.Width, cutOf(t, other, "b1", ref.BorderFirst).Width)
	unknown := func(f finding.Finding) bool { return f.About == "/measured/0/gate" }
	assert.True(t, slices.ContainsFunc(other.Findings, unknown),
		"no gate of that name is passed now")
}

// Quilted inside its borders only, a front loses what the centre loses of itself, and not more; and borders quilted
// across lose along their length.
func TestWhatIsLeftUnquiltedLosesNothing(t *testing.T) {
	in := length.Inch
	lines := []plan.LineFamily{{Pitch: in / 2, Angle: 90}, {Pitch: in / 2, Angle: 0}}
	flat := func(b *plan.BorderQuilting) (top, take float64) {
		q := &plan.Quilting{Lines: lines, Borders: b}
		r := reckon.Reckon(borderedApart(q, "mitred", 24*in, 4*in, 4), nil)
		require.False(t, finding.List(r.Findings).Stopped())
		p := r.Pieces[0]
		return float64(p.BeforeQuilting.Width.NM), p.TakeUp[0] / 100
	}
	whole := 24*in.Float() + 2*(in/2).Float() + 2*(in/2).Float()
	top, take := flat(nil)
	assert.InDelta(t, whole/(1-take), top, 10)
	top, take = flat(&plan.BorderQuilting{})
	assert.InDelta(t, whole+16*in.Float()*take, top, 10)
	top, _ = flat(&plan.BorderQuilting{Across: in / 2})
	assert.InDelta(t, whole/(1-take), top, 10, "the length of a border governs")
}
