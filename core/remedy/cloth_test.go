package remedy_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/remedy"
	"umschlag/core/stock"
	"umschlag/core/supply"
)

// cushion is one of 16 in with cloth A of which there is so much.
func cushion(t require.TestingT, have length.Length, change func(*plan.Plan)) plan.Plan {
	p, ok := plan.Begin("cushion", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "moss"})
	require.True(t, ok)
	p.Title, p.Object.Width, p.Object.Height = "t", 16*in, 16*in
	p.Cloths = map[string]plan.Cloth{"A": {Name: "moss", Have: &have}}
	if change != nil {
		change(&p)
	}
	return p
}

// mended are the changes that are offered where moss is short, in their order; each is tried once more: there is
// enough of everything then, and nothing stops.
func mended(t *testing.T, p plan.Plan, w *reckon.Workshop) []string {
	t.Helper()
	r := reckon.Reckon(p, w)
	i := slices.IndexFunc(r.Findings, func(f finding.Finding) bool { return f.Code == "cloth-short" })
	require.GreaterOrEqual(t, i, 0, "there is enough: %v", r.Findings)
	var out []string
	none := func(finding.Finding) []remedy.Try { return nil }
	for _, o := range remedy.Hints(p, r.Findings, reckon.NewPurse(w), none)[i] {
		out = append(out, o.Text)
		after := reckon.Reckon(o.Plan, w)
		for _, f := range after.Findings {
			assert.NotEqual(t, finding.Stop, f.Level, "%s: %s", o.Text, f.Text)
			assert.NotEqual(t, "cloth-short", f.Code, "%s: %s", o.Text, f.Text)
		}
		for _, n := range after.Cloths {
			if n.Have != nil {
				assert.LessOrEqual(t, n.Need.NM, n.Have.NM, "%s: %s", o.Text, n.Name)
			}
		}
	}
	return out
}

func TestWhatIsShortIsMendedByTheSmallestChange(t *testing.T) {
	grid := func(p *plan.Plan) {
		p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.GridFace, Columns: 9, Rows: 9,
			Cloths: []string{"A"}, Patch: plan.Patch{Fit: true}}},
			"back": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"}}}
	}
	assert.Contains(t, mended(t, cushion(t, 45*in/2, grid), nil), "A grid of 8 × 8 larger patches",
		"22 in instead of 23⅜")
	lots := 3 * length.Yard
	w := &reckon.Workshop{Cloths: supply.Cupboard{"calico": {Name: "calico", Have: &lots}}}
	offers := mended(t, cushion(t, 20*in, grid), w)
	assert.Contains(t, offers, "The back, which is out of sight, from calico")

	few := mended(t, cushion(t, 2*length.Yard, func(p *plan.Plan) { p.Copies = 7 }), nil)
	assert.Contains(t, few, "4 covers at once")

	plainIn := func(p *plan.Plan, front, back string) {
		p.Cloths["B"] = plan.Cloth{Name: "dot"}
		p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: front}},
			"back": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: back}}}
	}
	low := mended(t, cushion(t, 25*in, func(p *plan.Plan) { // 24½ wide: one beside the other; 12¾: three
		p.Object.Width, p.Object.Height, p.Copies = 24*in, 10*in, 3
		plainIn(p, "A", "B")
		c := p.Cloths["A"]
		c.Upright = true
		p.Cloths["A"] = c
	}), nil)
	assert.Contains(t, low, "The front of two strips side by side")
	high := mended(t, cushion(t, 25*in, func(p *plan.Plan) { // 42½ high: 21½ twice, side by side
		p.Object.Width, p.Object.Height = 19*in, 42*in
		plainIn(p, "A", "B")
	}), nil)
	assert.Contains(t, high, "The front of two strips, one above the other")
	lined := mended(t, cushion(t, 20*in, func(p *plan.Plan) {
		plainIn(p, "A", "B")
		p.Object.Width = 30 * in
		front := p.Pieces["front"]
		front.Layers = &plan.Layers{Lining: "A"}
		p.Pieces["front"] = front
	}), nil)
	assert.Contains(t, lined, "The lining from dot")

	napped := mended(t, cushion(t, 28*in, func(p *plan.Plan) { // backs 30½ high, or two of 11¼ lying
		c := p.Cloths["A"]
		c.Upright = true
		p.Cloths["A"], p.Cloths["B"] = c, plan.Cloth{Name: "dot"}
		p.Object.Height = 30 * in
		p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "B"}},
			"back": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"}}}
	}), nil)
	assert.Contains(t, napped, "Its pieces turned where that saves some")
}

// Narrower borders take less, and the patches fill what is left.
func TestBordersBecomeNarrower(t *testing.T) {
	p := cushion(t, 7*in, func(p *plan.Plan) {
		p.Cloths["B"] = plan.Cloth{Name: "dot"}
		p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4,
			Cloths: []string{"B"}, Patch: plan.Patch{Fit: true},
			Borders: []plan.Border{{Width: plan.Extent{Width: 3 * in}, Cloth: "A"}}}},
			"back": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "B"}}}
	})
	offers := mended(t, p, nil)
	require.NotEmpty(t, offers)
	assert.Regexp(t, `^Borders of 2¼″, and patches as they fit$`, offers[0])
	assert.Contains(t, offers, "The borders of dot")
}

// What is kept in the cupboard for another plan is not offered.
func TestWhatIsKeptForOthersIsNotOffered(t *testing.T) {
	lots := 3 * length.Yard
	kept := plan.Cloth{Name: "calico", Have: &lots, Kept: []plan.Keeping{{For: "another", Length: lots}}}
	have, _ := stock.Free(kept, stock.Holder{})
	require.Zero(t, *have)
	w := &reckon.Workshop{Cloths: supply.Cupboard{"calico": kept}}
	p := cushion(t, 12*in, nil)
	for _, text := range mended(t, p, w) {
		assert.NotContains(t, text, "calico")
	}
}
