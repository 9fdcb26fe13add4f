package reckon_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/brief"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// anyBeginning draws a plan as it begins, with no more decided than kinds: of whatever is covered,
// from 3 in or 8 cm to 3 m, in cloth as wide as it is; or up to 90 cm, in cloth that is wide enough.
func anyBeginning(t *rapid.T) (p plan.Plan, wide bool) {
	unit := rapid.SampledFrom(length.Units()).Draw(t, "unit")
	thing := rapid.SampledFrom(plan.Things()).Draw(t, "thing")
	wide = rapid.Bool().Draw(t, "wide")
	cloth := plan.Cloth{Name: "cloth"}
	if wide {
		cloth.Width, cloth.Usable = ptr(120*in), ptr(120*in)
	}
	p, ok := plan.Begin(thing.Key, unit, plan.DefaultHabits(unit), cloth)
	require.True(t, ok)
	p.Title = "any"
	o := &p.Object
	for _, m := range thing.Measures {
		at := map[string]*length.Length{"width": &o.Width, "height": &o.Height, "length": &o.Length, "depth": &o.Depth,
			"wrap": &o.Wrap, "board": &o.Board, "spine": &o.Spine, "thickness": &o.Thickness}[m.Key]
		if *at = m.Usual(unit); m.Key != "spine" && m.Key != "thickness" {
			*at = sized(t, unit, wide, m.Key)
		}
	}
	p = p.Sized()
	if o.Kind == plan.Box {
		p.Cover.Kind = rapid.SampledFrom([]plan.CoverKind{"wrap-hood", "band-hood", "skirt-hood"}).Draw(t, "hood")
	}
	return p, wide
}

// sized draws a size on the ruler from 3 in or 8 cm to 3 m, small ones as often as large ones.
func sized(t *rapid.T, unit length.Unit, wide bool, name string) length.Length {
	most := rapid.SampledFrom([]int{5, 20, 120}).Draw(t, name+" up to")
	if wide {
		most = min(most, 35)
	}
	if unit == length.Inches {
		return in / 4 * length.Length(rapid.IntRange(12, 4*min(most, 118)).Draw(t, name))
	}
	return length.Centimetre / 2 * length.Length(rapid.IntRange(16, 5*most).Draw(t, name))
}

// Whatever is begun on its defaults alone can be cut: whatever its brief offers of cover, closure, corners, faces and
// edges, taken once, or once after another kind of face. What cannot be says why; what is wider than its cloth stops,
// since that is the cloth's size.
func TestWhatBeginsCanBeCut(t *testing.T) {
	taken := map[string]bool{}
	rapid.Check(t, func(t *rapid.T) {
		p, wide := anyBeginning(t)
		face := func(id string) bool { return strings.Contains(id, "/face/") && strings.HasSuffix(id, "/kind") }
		among := face
		if rapid.Bool().Draw(t, "another face") {
			p = chosen(t, p, taken, face)
		} else {
			// the shape of a pad, fittings and what lies in a face have sizes of their own
			among = func(id string) bool {
				return face(id) || !strings.Contains(id, "/face/") && !strings.HasPrefix(id, "/fittings") &&
					!strings.HasPrefix(id, "/cloths") && id != "/object/shape"
			}
		}
		p = chosen(t, p, taken, among)
		for _, f := range reckon.Reckon(p, nil).Findings {
			if f.Level == finding.Stop && (wide || f.Code != "piece-too-wide") {
				t.Errorf("%s at %s: %s", f.Code, f.About, f.Text)
			}
		}
	})
	assert.Greater(t, len(taken), 20)
}

// chosen is a plan with one choice of its brief taken, among those of some ids; itself where that is refused with the
// reason.
func chosen(t *rapid.T, p plan.Plan, taken map[string]bool, among func(id string) bool) plan.Plan {
	choices := slices.DeleteFunc(anyplan.Decisions(brief.Of(p, nil)),
		func(d anyplan.Decision) bool { return len(d.Keys) == 0 || !among(d.ID) })
	if len(choices) == 0 {
		return p
	}
	c := rapid.SampledFrom(choices).Draw(t, "choice")
	key := rapid.SampledFrom(c.Keys).Draw(t, "option")
	if key == c.Now {
		return p
	}
	q, refused, ok := brief.Choose(p, nil, c.ID, key)
	require.True(t, ok)
	taken[c.ID] = true
	if refused != "" {
		return p
	}
	return q
}
