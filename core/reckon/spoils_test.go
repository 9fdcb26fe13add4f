package reckon_test

import (
	"maps"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// begun is a plan of which all is cut that does not wait, and its first row sewn.
func begun(t *testing.T) plan.Plan {
	t.Helper()
	p := worked()
	p.Progress.Sizes = map[string]plan.Sized{}
	for _, c := range reckon.Reckon(p, nil).Cuts {
		if c.Waits == "" {
			p.Progress.Cut = append(p.Progress.Cut, c.ID)
		}
	}
	require.NotEmpty(t, p.Progress.Cut)
	p.Progress.Done = []string{"measure", "cut.front", "row.1"}
	return p
}

func withFace(p plan.Plan, change func(*plan.Face)) plan.Plan {
	front := p.Pieces["front"]
	face := *front.Face
	change(&face)
	front.Face = &face
	p.Pieces = map[string]plan.Piece{"front": front, "back": p.Pieces["back"]}
	return p
}

func misfits(list []reckon.Spoil) map[string]reckon.Misfit {
	out := map[string]reckon.Misfit{}
	for _, s := range list {
		out[s.Cut] = s.Misfit
	}
	return out
}

func TestAChangeSaysWhatItSpoils(t *testing.T) {
	p := begun(t)
	assert.Empty(t, reckon.Spoils(p, p), "nothing is spoiled by nothing")
	titled := p
	titled.Title = "Another name"
	assert.Empty(t, reckon.Spoils(p, titled))

	larger := p
	larger.Cover.Seam = p.Settle().Cover.Seam + in/8
	grown := reckon.Spoils(p, larger)
	assert.Contains(t, misfits(grown), "front.patch.A")
	assert.Equal(t, reckon.TooSmall, misfits(grown)["front.patch.A"])
	i := slices.IndexFunc(grown, func(s reckon.Spoil) bool { return s.Cut == "front.patch.A" })
	assert.Contains(t, grown[i].Sewn, "Sew row 1", "what is done with it is told")
	assert.True(t, grown[i].Again)
	smaller := p
	smaller.Cover.Seam = p.Settle().Cover.Seam - in/8
	shrunk := reckon.Spoils(p, smaller)
	require.Contains(t, misfits(shrunk), "front.patch.A")
	i = slices.IndexFunc(shrunk, func(s reckon.Spoil) bool { return s.Cut == "front.patch.A" })
	assert.Equal(t, reckon.Trimmed, shrunk[i].Misfit)
	assert.False(t, shrunk[i].Again, "a piece that is too large is cut down")
	assert.Equal(t, cut(t, reckon.Reckon(plain(smaller), nil), "front.patch.A").Width, shrunk[i].Width)

	more := p
	more.Copies = 3
	assert.Equal(t, reckon.TooFew, misfits(reckon.Spoils(p, more))["front.patch.A"])
	finer := withFace(p, func(f *plan.Face) { f.Columns, f.Rows, f.Patch = 5, 5, plan.Patch{Width: 3 * in} })
	for _, s := range reckon.Spoils(p, finer) {
		if s.Cut == "front.patch.A" {
			assert.Equal(t, reckon.TooFew, s.Misfit, "smaller ones can be trimmed, but there are not enough of them")
			assert.True(t, s.Again)
			assert.Contains(t, s.Text, "13 of 3½″ × 3½″")
			assert.Equal(t, "cut.front", s.Step)
		}
	}
	assert.Contains(t, misfits(reckon.Spoils(p, finer)), "front.patch.A")
	other := p
	other.Cloths = maps.Clone(p.Cloths)
	a := other.Cloths["A"]
	a.Name = "straw dot, the other roll"
	other.Cloths["A"] = a
	assert.Equal(t, reckon.OtherCloth, misfits(reckon.Spoils(p, other))["front.patch.A"])
	recoloured := withFace(p, func(f *plan.Face) { f.Cloths = []string{"C", f.Cloths[1]} })
	assert.Equal(t, reckon.Gone, misfits(reckon.Spoils(p, recoloured))["front.patch.A"])
}

// plain is a plan of which nothing is cut.
func plain(p plan.Plan) plan.Plan {
	p.Progress = plan.Progress{}
	return p
}

func TestWhatIsNotCutOrOnlyMeasuredSpoilsNothing(t *testing.T) {
	p := begun(t)
	changed := p
	changed.Cover.Seam = p.Settle().Cover.Seam + in/8
	assert.Empty(t, reckon.Spoils(plain(p), plain(changed)))
	unticked := changed
	unticked.Progress.Cut = nil
	assert.Empty(t, reckon.Spoils(p, unticked), "what is unticked is cut again")
	measured := p
	measured.Measured = []plan.Measured{{What: "front.sewn", Width: 17 * in, Height: 17 * in}}
	measured.Progress.Cut = append(slices.Clone(p.Progress.Cut), "back.panel")
	assert.Empty(t, reckon.Spoils(p, measured))
	cannot := p
	cannot.Cover.Seam = 9 * in
	assert.Empty(t, reckon.Spoils(p, cannot), "what cannot be cut at all says so itself")
}

// What was cut to another size before is asked about only when its own size changes.
func TestACutThatStaysIsAskedAboutOnce(t *testing.T) {
	p := begun(t)
	p.Progress.Sizes["front.patch.A"] = plan.Sized{Width: 9 * in, Height: 9 * in}
	assert.Empty(t, reckon.Spoils(p, p))
	back := p
	back.Back.Kind = "sewn"
	assert.NotContains(t, misfits(reckon.Spoils(p, back)), "front.patch.A")
}
