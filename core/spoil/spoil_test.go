package spoil_test

import (
	"maps"
	"slices"
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
	"umschlag/core/spoil"
)

const (
	in     = length.Inch
	patchA = "cut.piece:front.role:patch.cloth:A"
	border = "cut.piece:front.of:edge.role:border-first"
	row1   = "step.piece:front.role:row.no:1"
	cutOut = "step.piece:front.role:cut-outer"
)

// cushion is of 4 × 4 patches in a border, quilted, with an envelope.
func cushion() plan.Plan {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Title = "cushion"
	p.Object = plan.Object{Kind: plan.Form, Width: 20 * in, Height: 20 * in, Fill: "feather"}
	p.Cover.Kind = plan.Cushion
	p.Cloths = map[string]plan.Cloth{"A": {Name: "straw dot"}, "B": {Name: "moss leaf"}, "C": {Name: "slate"},
		"L": {Name: "calico"}}
	p.Pieces = map[string]plan.Piece{
		"front": {Face: &plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4,
			Patch: plan.Patch{Width: 4 * in, Height: 4 * in}, Cloths: []string{"A", "B"},
			Borders: []plan.Border{{Key: "edge", Width: plan.Extent{Rest: true}, Cloth: "C"}}},
			Layers:   &plan.Layers{Batting: &plan.Batting{Count: 1}, Lining: "L"},
			Quilting: &plan.Quilting{Lines: []plan.LineFamily{{Pitch: 2 * in}}}},
		"back": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "C"}},
	}
	return p
}

// pad is a pad with two pockets on it.
func pad() plan.Plan {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Title = "pad"
	p.Object = plan.Object{Kind: plan.Flat, Width: 16 * in, Height: 16 * in}
	p.Cover.Kind = plan.Pad
	p.Cloths = map[string]plan.Cloth{"A": {Name: "straw dot"}}
	p.Pieces = map[string]plan.Piece{"*": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"}}}
	p.Fittings = []plan.Fitting{pocket("left", in), pocket("right", 10*in)}
	return p
}

func pocket(key ref.Key, left length.Length) plan.Fitting {
	return plan.Fitting{Key: key, Kind: "pocket", On: "top", Width: 4 * in, Height: 4 * in,
		At: plan.At{Left: &left, Bottom: &left}}
}

// done is a plan of which everything is done that fits, as it is planned.
func done(t *testing.T, p plan.Plan, is func(answer.Step) bool) plan.Plan {
	t.Helper()
	r := reckon.Reckon(p, nil)
	require.NotEmpty(t, r.Cuts, "%v", r.Findings)
	p.Progress.Cut = map[string]plan.AsCut{}
	cut := map[string]bool{}
	for _, s := range r.Steps {
		if is(s) {
			p.Progress.Done = append(p.Progress.Done, s.ID)
			for _, id := range s.Cuts {
				cut[id] = true
			}
		}
	}
	for _, c := range r.Cuts {
		if cut[c.ID] {
			p.Progress.Cut[c.ID] = plan.AsCut{Width: length.Length(c.Width.NM), Height: length.Length(c.Height.NM),
				Count: c.Total}
		}
	}
	return p
}

func all(answer.Step) bool { return true }

// pieced is what is done until a front of patches is a grid.
func pieced(s answer.Step) bool {
	switch s.About.Role {
	case ref.DoMeasure, ref.DoCutOuter, ref.DoLayOut, ref.DoRow, ref.DoRows:
		return true
	}
	return false
}

func withFace(p plan.Plan, change func(*plan.Face)) plan.Plan {
	p.Pieces = maps.Clone(p.Pieces)
	front := p.Pieces["front"]
	face := *front.Face
	face.Borders = slices.Clone(face.Borders)
	change(&face)
	front.Face = &face
	p.Pieces["front"] = front
	return p
}

func whys(l spoil.List) map[string]spoil.Why {
	out := map[string]spoil.Why{}
	for _, s := range l.Spoils {
		out[s.Ref] = s.Why
	}
	return out
}

func TestAChangeSaysWhatItSpoils(t *testing.T) {
	p := done(t, cushion(), pieced)
	assert.Empty(t, spoil.Of(p, p, nil), "nothing is spoiled by nothing")
	titled := p
	titled.Title = "Another name"
	assert.Empty(t, spoil.Of(p, titled, nil))

	metric := p.Settle()
	metric.Units = length.Centimetres
	assert.Empty(t, spoil.Of(p, metric, nil))

	larger := p
	larger.Cover.PiecingSeam = p.Settle().Cover.PiecingSeam + in/8
	grown := whys(spoil.Of(p, larger, nil))
	assert.Equal(t, spoil.TooSmall, grown[patchA])
	assert.Equal(t, spoil.Resewn, grown[cutOut], "there is something to cut again")
	assert.Equal(t, spoil.Resewn, grown[row1])
	assert.NotContains(t, grown, "step.role:measure")
	assert.Equal(t, spoil.Resewn, grown["step.piece:front.role:rows"])

	smaller := p
	smaller.Cover.PiecingSeam = p.Settle().Cover.PiecingSeam - in/8
	i := slices.IndexFunc(spoil.Of(p, smaller, nil).Spoils, func(s spoil.Spoil) bool { return s.Ref == patchA })
	require.GreaterOrEqual(t, i, 0)
	cut := spoil.Of(p, smaller, nil).Spoils[i]
	assert.Equal(t, []any{spoil.Trimmed, false, "4¼″"}, []any{cut.Why, cut.Again, cut.Width.Text},
		"a piece that is too large is cut down")

	more := p
	more.Copies = 3
	assert.Equal(t, spoil.TooFew, whys(spoil.Of(p, more, nil))[patchA])
	other := p
	other.Cloths = maps.Clone(p.Cloths)
	other.Cloths["A"] = plan.Cloth{Name: "straw dot, the other roll"}
	assert.Equal(t, spoil.OtherCloth, whys(spoil.Of(p, other, nil))[patchA])
	recoloured := withFace(p, func(f *plan.Face) { f.Cloths = []string{"C", f.Cloths[1]} })
	assert.Equal(t, spoil.Gone, whys(spoil.Of(p, recoloured, nil))[patchA])
	plainly := withFace(p, func(f *plan.Face) {
		*f = plan.Face{Kind: plan.PlainFace, Cloth: "A"}
	})
	assert.Equal(t, spoil.Gone, whys(spoil.Of(p, plainly, nil))["step.piece:front.role:lay-out"],
		"what is not needed any more is listed")
}

// What is not touched by a change stays as it is done, whatever lies beside it.
func TestAChangeSpoilsNothingElse(t *testing.T) {
	p := done(t, cushion(), pieced)
	wider := withFace(p, func(f *plan.Face) { f.Borders[0].Corner = "mitred" })
	assert.Equal(t, map[string]spoil.Why{border: spoil.TooSmall,
		"cut.piece:front.of:edge.role:border-second": spoil.TooSmall, cutOut: spoil.Resewn},
		whys(spoil.Of(p, wider, nil)), "the strips of the border are cut, and nothing is sewn of them")
	closed := p
	closed.Back = plan.Back{Kind: "sewn"}
	assert.Empty(t, spoil.Of(p, closed, nil))
	ringed := withFace(p, func(f *plan.Face) {
		f.Borders = append([]plan.Border{{Key: "inner", Width: plan.Extent{Width: in / 2}, Cloth: "B"}},
			f.Borders...)
	})
	assert.NotContains(t, whys(spoil.Of(p, ringed, nil)), row1, "a border more inside leaves the rows as they are")
	sewn := cushion()
	front := sewn.Pieces["front"]
	front.TakeUp = &plan.TakeUp{From: plan.Given}
	sewn.Pieces["front"] = front
	quilted := done(t, sewn, func(s answer.Step) bool {
		return pieced(s) || s.About.Role == ref.DoQuilt || s.About.Role == ref.DoLayers
	})
	closer := quilted
	closer.Pieces = maps.Clone(quilted.Pieces)
	front.Quilting = &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in}}}
	closer.Pieces["front"] = front
	assert.Equal(t, map[string]spoil.Why{"step.piece:front.role:quilt": spoil.Resewn},
		whys(spoil.Of(quilted, closer, nil)))
}

// Two pockets, the first of them sewn on: taken off, the second is not done for it.
func TestTheTwoPockets(t *testing.T) {
	p := done(t, pad(), func(s answer.Step) bool {
		return s.ID == "step.of:left.role:fit" ||
			s.About.Role == ref.DoCutOuter
	})
	without := p
	without.Fittings = p.Fittings[1:]
	list := spoil.Of(p, without, nil)
	assert.Equal(t, map[string]spoil.Why{"cut.of:left.role:fitting-part.no:1": spoil.Gone,
		"step.of:left.role:fit": spoil.Gone}, whys(list))
	left := list.Kept(without, spoil.Stays)
	assert.Equal(t, []string{"step.role:cut-outer"}, left.Progress.Done, "what is gone leaves, whatever is chosen")
	for _, s := range reckon.Reckon(without, nil).Steps {
		assert.False(t, s.About.Role == ref.DoFitting && s.Done, "the other one is not sewn on")
	}
	swapped := p
	swapped.Fittings = []plan.Fitting{p.Fittings[1], p.Fittings[0]}
	assert.Empty(t, spoil.Of(p, swapped, nil), "their order is nothing to the fabric")
	moved := p
	moved.Fittings = []plan.Fitting{pocket("left", 2*in), p.Fittings[1]}
	assert.Equal(t, map[string]spoil.Why{"step.of:left.role:fit": spoil.Resewn}, whys(spoil.Of(p, moved, nil)))
	joined := done(t, pad(), all)
	assert.Contains(t, whys(spoil.Of(joined, withPocket(joined), nil)), "step.role:turn",
		"a pocket more has to be sewn on before the insert is closed")
	assert.Equal(t, spoil.Follows, whys(spoil.Of(joined, withPocket(joined), nil))["step.role:turn"])
}

func withPocket(p plan.Plan) plan.Plan {
	p.Fittings = append(slices.Clone(p.Fittings), pocket("third", 5*in))
	return p
}

// What was measured goes with what it was measured on.
func TestAMeasurementGoesWithWhatWasMeasured(t *testing.T) {
	p := done(t, cushion(), pieced)
	p.Measured = []plan.Measured{{Gate: ref.Row("", 1).String(), Width: 33 * in / 2},
		{Gate: ref.FrontPieced.String(), Width: 33 * in / 2, Height: 33 * in / 2}}
	fewer := withFace(p, func(f *plan.Face) { f.Columns = 3 })
	list := spoil.Of(p, fewer, nil)
	assert.Equal(t, spoil.Unmeasured, whys(list)[ref.Row("", 1).String()])
	assert.Empty(t, list.Kept(fewer, spoil.Again).Measured)
	assert.Len(t, list.Kept(fewer, spoil.Stays).Measured, 2)
	closed := p
	closed.Back = plan.Back{Kind: "sewn"}
	assert.Empty(t, spoil.Of(p, closed, nil))
	plainly := withFace(p, func(f *plan.Face) { *f = plan.Face{Kind: plan.PlainFace, Cloth: "A"} })
	assert.Equal(t, spoil.Gone, whys(spoil.Of(p, plainly, nil))[ref.FrontPieced.String()])
}

// What has no key and gets another number is found again by what it is.
func TestWhatIsAlikeKeepsItsRecord(t *testing.T) {
	p := done(t, withFace(cushion(), func(f *plan.Face) {
		f.Cloths, f.Order = nil, plan.Order{Kind: plan.Rows,
			Rows: [][]string{{"A", "A", "A", "A"}, {"B", "B", "B", "B"}, {"C", "C", "C", "C"}, {"A", "B", "A", "B"}}}
	}), func(s answer.Step) bool { return s.ID == row1 })
	p.Progress.Times = map[string]float64{row1: 4}
	turned := withFace(p, func(f *plan.Face) {
		f.Order = plan.Order{Kind: plan.Rows,
			Rows: [][]string{{"B", "B", "B", "B"}, {"A", "A", "A", "A"}, {"C", "C", "C", "C"}, {"A", "B", "A", "B"}}}
	})
	list := spoil.Of(p, turned, nil)
	assert.Empty(t, list.Spoils)
	assert.Equal(t, []spoil.Carried{{From: row1, To: "step.piece:front.role:row.no:2"}}, list.Carried)
	left := list.Kept(turned, spoil.Stays).Progress
	assert.Contains(t, left.Done, "step.piece:front.role:row.no:2")
	assert.NotContains(t, left.Done, row1)
	assert.InDelta(t, 4, left.Times["step.piece:front.role:row.no:2"], 0)
}

// Ticks that nothing answers to do not wait for a part of the same name.
func TestWhatNothingAnswersToLeaves(t *testing.T) {
	p := done(t, pad(), func(s answer.Step) bool { return s.About.Role == ref.DoMeasure })
	p.Progress.Cut["cut.of:third.role:fitting-part.no:1"] = plan.AsCut{}
	p.Progress.Done = append(p.Progress.Done, "step.of:third.role:fit")
	now := withPocket(p)
	list := spoil.Of(p, now, nil)
	assert.Empty(t, list.Spoils)
	left := list.Kept(now, spoil.Stays).Progress
	assert.Empty(t, left.Cut)
	assert.Equal(t, []string{"step.role:measure"}, left.Done)
}

func TestWhatCannotBeComparedSaysNothing(t *testing.T) {
	p := done(t, cushion(), pieced)
	stopped := p
	stopped.Cover.Seam = 9 * in
	assert.Empty(t, spoil.Of(p, stopped, nil), "it says itself that it cannot be cut")
	assert.Empty(t, spoil.Of(stopped, p, nil))
	assert.False(t, spoil.Comparable(stopped, nil))
	assert.True(t, spoil.Comparable(p, nil))
	assert.True(t, spoil.Nothing(cushion()))
	assert.False(t, spoil.Nothing(p))
	unticked := p
	unticked.Progress = plan.Progress{}
	unticked.Cover.PiecingSeam = p.Settle().Cover.PiecingSeam + in/8
	assert.Empty(t, spoil.Of(p, unticked, nil), "what is not ticked any more is not asked about")
}

// What is kept is what was chosen.
func TestKept(t *testing.T) {
	p := done(t, cushion(), pieced)
	p.Progress.Made, p.Progress.Skipped, p.Progress.Early = map[string]int{row1: 1}, map[string]string{row1: "why"},
		map[string]string{row1: "so"}
	p.Progress.Running = &plan.Running{Step: row1}
	larger := p
	larger.Cover.PiecingSeam = p.Settle().Cover.PiecingSeam + in/8
	list := spoil.Of(p, larger, nil)
	again := list.Kept(larger, spoil.Again).Progress
	assert.NotContains(t, again.Cut, patchA)
	assert.Equal(t, []string{"step.role:measure"}, again.Done)
	assert.Empty(t, again.Made)
	assert.Equal(t, row1, again.Running.Step, "the clock goes on")
	stays := list.Kept(larger, spoil.Stays).Progress
	assert.Equal(t, p.Progress, stays)
	smaller := p
	smaller.Cover.PiecingSeam = p.Settle().Cover.PiecingSeam - in/8
	trimmed := spoil.Of(p, smaller, nil).Kept(smaller, spoil.Again).Progress
	assert.Equal(t, 17*in/4, trimmed.Cut[patchA].Width)
	assert.Equal(t, 9*in/2, p.Progress.Cut[patchA].Width, "the plan itself stays as it was")
}
