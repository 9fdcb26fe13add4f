package spoil_test

import (
	"fmt"
	"maps"
	"slices"
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/brief"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
	"umschlag/core/spoil"
	_ "umschlag/seeded"
)

// worked is a plan of which the first steps are done, with what is cut and measured at them.
func worked(t *rapid.T, p plan.Plan) plan.Plan {
	r := reckon.Reckon(p, nil)
	if len(r.Steps) == 0 {
		return p
	}
	p.Progress.Cut = map[string]plan.AsCut{}
	for _, s := range r.Steps[:rapid.IntRange(0, len(r.Steps)).Draw(t, "done")] {
		p.Progress.Done = append(p.Progress.Done, s.ID)
		if s.Gate != "" && s.Expect != nil {
			p.Measured = append(p.Measured,
				plan.Measured{Gate: s.Gate, Width: length.Length(s.Expect.Width.NM),
					Height: length.Length(s.Expect.Height.NM)})
		}
		for _, c := range r.Cuts {
			if slices.Contains(s.Cuts, c.ID) {
				p.Progress.Cut[c.ID] = plan.AsCut{Width: length.Length(c.Width.NM), Height: length.Length(c.Height.NM),
					Count: c.Total}
			}
		}
	}
	return p
}

// edits are what a maker does to a plan, none of which says anything of its making.
var edits = map[string]func(*rapid.T, *plan.Plan){
	// more often than others
	"anything of its brief": decide, "whatever it offers": decide, "any other decision": decide,
	"take a fitting out": func(t *rapid.T, p *plan.Plan) {
		if n := len(p.Fittings); n > 0 {
			i := rapid.IntRange(0, n-1).Draw(t, "which")
			p.Fittings = slices.Delete(slices.Clone(p.Fittings), i, i+1)
		}
	},
	"add a fitting": func(t *rapid.T, p *plan.Plan) {
		on := plan.PieceNames(p.Cover.Kind)[0]
		one := plan.Fitting{Kind: "pocket", On: on, Width: 2 * in, Height: 2 * in, At: plan.At{Middle: true}}
		p.Fittings = append([]plan.Fitting{one}, p.Fittings...)
	},
	"turn the fittings round": func(_ *rapid.T, p *plan.Plan) {
		p.Fittings = slices.Clone(p.Fittings)
		slices.Reverse(p.Fittings)
	},
	"take a border off": func(_ *rapid.T, p *plan.Plan) {
		eachFace(p, func(f *plan.Face) {
			if len(f.Borders) > 0 {
				f.Borders = slices.Clone(f.Borders)[1:]
			}
		})
	},
	"put a border on": func(_ *rapid.T, p *plan.Plan) {
		eachFace(p, func(f *plan.Face) {
			f.Borders = append([]plan.Border{{Width: plan.Extent{Width: in / 2}, Cloth: "A"}}, f.Borders...)
		})
	},
	"turn the strips round": func(_ *rapid.T, p *plan.Plan) {
		eachFace(p, func(f *plan.Face) { f.Strips = slices.Clone(f.Strips); slices.Reverse(f.Strips) })
	},
	"turn the parts round": func(_ *rapid.T, p *plan.Plan) {
		eachFace(p, func(f *plan.Face) { f.Parts = slices.Clone(f.Parts); slices.Reverse(f.Parts) })
	},
	"one piece of fabric": func(_ *rapid.T, p *plan.Plan) {
		eachFace(p, func(f *plan.Face) { *f = plan.Face{Kind: plan.PlainFace, Cloth: "B"} })
	},
	"another unit": func(t *rapid.T, p *plan.Plan) {
		*p = p.Settle()
		p.Units = rapid.SampledFrom(length.Units()).Draw(t, "unit")
	},
	"another seam":    func(t *rapid.T, p *plan.Plan) { p.Cover.Seam = p.Settle().Cover.Seam + in/8 },
	"another piecing": func(t *rapid.T, p *plan.Plan) { p.Cover.PiecingSeam = p.Settle().Cover.PiecingSeam + in/8 },
	"another title":   func(_ *rapid.T, p *plan.Plan) { p.Title += "!" },
	"another closure": func(_ *rapid.T, p *plan.Plan) { p.Back = plan.Back{Kind: "sewn"} },
	"one cover more":  func(_ *rapid.T, p *plan.Plan) { p.Copies++ },
	"no quilting": func(_ *rapid.T, p *plan.Plan) {
		for name, q := range p.Pieces {
			q.Quilting = nil
			p.Pieces[name] = q
		}
	},
}

// decide takes any decision of the brief, where it is not refused.
func decide(t *rapid.T, p *plan.Plan) {
	all := anyplan.Decisions(brief.Of(*p, nil))
	if len(all) == 0 {
		return
	}
	d, key := rapid.SampledFrom(all).Draw(t, "decision"), ""
	if len(d.Keys) > 0 {
		key = rapid.SampledFrom(d.Keys).Draw(t, "option")
	}
	*p, _, _ = brief.Choose(*p, nil, d.ID, key)
}

func eachFace(p *plan.Plan, change func(*plan.Face)) {
	for name, q := range p.Pieces {
		if q.Face != nil {
			face := *q.Face
			change(&face)
			q.Face = &face
			p.Pieces[name] = q
		}
	}
}

// After every change of a plan, whatever was done of it before: what counts as done is what was
// done, or it is listed.
func TestWhatIsDoneIsWhatWasDone(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		keys := 0
		fresh := func() ref.Key { keys++; return ref.Key(fmt.Sprintf("new%d", keys)) }
		good := worked(t, anyplan.Plans().Draw(t, "plan").Keyed(fresh)) // the last that could be cut
		p := good
		var before []plan.Plan
		for range rapid.IntRange(1, 6).Draw(t, "changes") {
			if len(before) > 0 && rapid.IntRange(0, 4).Draw(t, "undo") == 0 {
				p, before = before[len(before)-1], before[:len(before)-1]
				if spoil.Comparable(p, nil) {
					good = p
				}
				isWhole(t, p)
				continue
			}
			now := p
			now.Pieces = maps.Clone(p.Pieces)
			edits[rapid.SampledFrom(slices.Sorted(maps.Keys(edits))).Draw(t, "edit")](t, &now)
			now = now.Keyed(fresh)
			list := spoil.Of(good, now, nil)
			if spoil.Comparable(now, nil) {
				left := list.Kept(now, spoil.Again)
				listed(t, now, left, list)
				now.Progress, now.Measured = left.Progress, left.Measured
				good = now
				isWhole(t, now)
			}
			before, p = append(before, p), now
		}
	})
}

// listed holds what left the record against what was listed.
func listed(t *rapid.T, was plan.Plan, left spoil.Recorded, list spoil.List) {
	told := map[string]bool{}
	for _, s := range list.Spoils {
		assert.NotEmpty(t, s.Text)
		told[s.Ref] = true
	}
	for _, c := range list.Carried {
		told[c.From] = true
	}
	for id := range was.Progress.Cut {
		_, still := left.Progress.Cut[id]
		assert.True(t, still || told[id], "%s is not cut any more, and nobody said so", id)
	}
	for _, id := range was.Progress.Done {
		assert.True(t, told[id] || slices.Contains(left.Progress.Done, id),
			"%s is not done any more, and nobody said so", id)
	}
	assert.True(t, len(left.Measured) == len(was.Measured) ||
		slices.ContainsFunc(list.Spoils, func(s spoil.Spoil) bool { return s.Kind == ref.Gate }))
}

// isWhole finds nothing in a plan that counts as done and cannot be: what is ticked off is of the
// size and the number the plan wants, what a done step needs is done, and nothing is recorded of
// what is not there.
func isWhole(t *rapid.T, p plan.Plan) {
	if !spoil.Comparable(p, nil) {
		return
	}
	bare := p
	bare.Progress = plan.Progress{}
	r := reckon.Reckon(bare, nil)
	cuts := map[string]answer.Cut{}
	for _, c := range r.Cuts {
		cuts[c.ID] = c
	}
	for id, was := range p.Progress.Cut {
		c, there := cuts[id]
		if !assert.True(t, there, "%s is cut, and not of the plan", id) {
			continue
		}
		assert.Equal(t, [2]int64{c.Width.NM, c.Height.NM}, [2]int64{int64(was.Width), int64(was.Height)}, "%s", id)
		assert.LessOrEqual(t, c.Total, was.Count, "%s", id)
	}
	done := map[string]bool{}
	for _, id := range p.Progress.Done {
		done[id] = true
	}
	for _, s := range r.Steps {
		if !done[s.ID] {
			continue
		}
		delete(done, s.ID)
		for _, id := range s.Cuts {
			_, ticked := p.Progress.Cut[id]
			assert.True(t, ticked || cuts[id].Done, "%s is done and %s is not cut", s.ID, id)
		}
	}
	assert.Empty(t, done, "done, and not of the plan")
}
