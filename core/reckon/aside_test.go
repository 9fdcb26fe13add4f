package reckon_test

import (
	"encoding/json"
	"regexp"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/begin"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// withFace is a plan with a face of its own on a piece.
func withFace(p plan.Plan, config string, f plan.Face) plan.Plan {
	q := p.Pieces[config]
	q.Face = &f
	pieces := map[string]plan.Piece{config: q}
	for name, other := range p.Pieces {
		if name != config {
			pieces[name] = other
		}
	}
	p.Pieces = pieces
	return p
}

// Whatever is decided of a face comes back after any way through the other kinds, as long as some
// kind of it is looked at; what was not decided is kept nowhere.
func TestLookingAroundLosesNothing(t *testing.T) {
	kept := 0
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		config := plan.PieceNames(p.Cover.Kind)[0]
		f := anyplan.Face(t, p, config)
		if !f.Kind.TakesShapes() {
			f.Applique = nil
		}
		f = f.Keyed(nil)
		begun, ok := begin.Face(withFace(p, config, plan.Face{Kind: plan.PlainFace, Cloth: "A"}), config, "", f.Kind)
		if !ok {
			t.Skip("no such size can be covered")
		}
		p = withFace(p, config, f)
		kinds := rapid.SliceOfN(rapid.SampledFrom([]plan.FaceKind{plan.PlainFace, plan.GridFace, plan.StripsFace,
			plan.CheckerFace, plan.StackFace, plan.FoundFace, plan.GatheredFace, plan.WindowsFace}), 1, 6).
			Draw(t, "kinds")
		for _, kind := range append(kinds, f.Kind) {
			if kind == p.Pieces[config].Face.Kind {
				continue
			}
			now, ok := begin.Face(p, config, "", kind)
			require.True(t, ok)
			assert.Equal(t, kind, now.Kind)
			assert.NotContains(t, now.Aside, string(kind))
			p = withFace(p, config, now)
			keysDiffer(t, p)
		}
		back := *p.Pieces[config].Face
		assert.Equal(t, f.Applique, back.Applique, "shapes are still there")
		back.Aside = nil
		// as it begins, whatever it is of
		if f.Applique, back.Applique = nil, nil; inCloths(t, p, f) == inCloths(t, p, begun) {
			assert.Equal(t, inCloths(t, p, f), inCloths(t, p, back))
			return
		}
		kept++
		assert.Equal(t, asText(t, f), asText(t, back))
	})
	assert.Positive(t, kept)
}

// asText is a face as a text.
func asText(t *rapid.T, f plan.Face) string {
	data, err := json.Marshal(f)
	require.NoError(t, err)
	return string(data)
}

var cloths = regexp.MustCompile(`"(key|cloth|ground|show)":"[^"]*",?|"kind":"plain",?|"cloths":\[[^]]*\],?`)

// inCloths is a face as a text with all it means, of whatever cloths it is.
func inCloths(t *rapid.T, p plan.Plan, f plan.Face) string {
	settled := withFace(p, "front", f).Settle().Pieces["front"].Face
	return cloths.ReplaceAllString(asText(t, *settled), "")
}

func keysDiffer(t *rapid.T, p plan.Plan) {
	p.Keys(func(path string, key ref.Key, first bool) {
		assert.True(t, first, "%s has the key of another part", path)
	})
}

// What is kept aside changes nothing of what is reckoned.
func TestWhatIsAsideIsNotReckoned(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		config := plan.PieceNames(p.Cover.Kind)[0]
		f := anyplan.Face(t, p, config).Keyed(nil)
		p = withFace(p, config, f)
		without := reckon.Reckon(p, nil)
		other := anyplan.Face(t, withFace(p, config, plan.Face{Kind: plan.PlainFace, Cloth: "A"}), config)
		f.Aside = map[string]*plan.Face{string(other.Kind): &other}
		p = withFace(p, config, f)
		if q := p.Pieces[config]; q.Quilting != nil {
			quilting := *q.Quilting
			quilting.Aside = map[string]plan.Quilting{"free": {Free: in}}
			q.Quilting = &quilting
			p.Pieces[config] = q
		}
		p.Back.Aside = map[string]plan.Back{"zip-flap": {Kind: plan.Zip, Flap: in}}
		p.Edges.Aside = &plan.Trimmings{Piping: &plan.Piping{Cord: in}, Binding: &plan.Binding{Shows: in}}
		p.Cover.Aside = map[string]map[string]plan.Piece{"skirt-hood": {"skirt": {Face: &other}}}
		with := reckon.Reckon(p, nil)
		with.Settled, without.Settled = nil, nil
		a, err := json.Marshal(without)
		require.NoError(t, err)
		b, err := json.Marshal(with)
		require.NoError(t, err)
		assert.JSONEq(t, string(a), string(b))
	})
}
