package web_test

import (
	"cmp"
	"net/http"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/answer"
	"umschlag/core/back"
	"umschlag/core/compare"
	"umschlag/core/finding"
	"umschlag/core/fitting"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/web"
)

// A kind is one value: what is made up here is known to nothing but this file, and is planned with from
// the brief to the steps.

func TestAMadeUpFitting(t *testing.T) {
	t.Cleanup(plan.FittingKinds.Add("tassel", plan.FittingRules{Padded: true,
		Begins: func(length.Unit) plan.Fitting { return plan.Fitting{Length: 4 * length.Inch} },
		Settle: func(f *plan.Fitting, _ length.Length, _ length.Unit) { f.Width = length.Inch }}))
	t.Cleanup(fitting.Kinds.Add("tassel", fitting.Kind{Title: "Tassel", Needs: []string{"length"}, Hand: true,
		Foot: func(m fitting.Made) (length.Length, length.Length) { return m.Width, m.Width },
		Parts: func(m fitting.Made) []fitting.Part {
			return []fitting.Part{{Title: "fringe", Adds: ", fringe", Count: 1, Size: sum.Size{Width: sum.Of(sum.Part, "round it", 6*length.Inch), Height: sum.Of(sum.Part, "length", m.Length)}}}
		},
		Fixing: func(m fitting.Made) string { return "Cut a fringe " + m.Text(m.Length) + " deep and roll it up." }, Caution: "Not where it can be chewed."}))
	h := app(t)

	var starts web.StartsView
	require.Equal(t, http.StatusOK, call(t, h, "GET", "/api/v1/starts?units=in", nil, &starts).Code)
	assert.Contains(t, string(starts.Fittings[len(starts.Fittings)-1]), `"tassel"`)
	assert.Contains(t, starts.Padded, "tassel")

	doc := `{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "width": "16", "height": "16"}, "cover": {"kind": "cushion"}, "cloths": {"A": {}},
		"fittings": [{"key": "q", "kind": "tassel", "on": "front", "length": "4", "at": {"middle": true}}]}`
	var r answer.Reckoning
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/reckon", doc, &r).Code)
	i := slices.IndexFunc(r.Cuts, func(c answer.Cut) bool { return c.Title == "Tassel, fringe" })
	require.GreaterOrEqual(t, i, 0)
	assert.Equal(t, "4″", r.Cuts[i].Height.Text)
	i = slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.Title == "Sew the tassel on the front" })
	require.GreaterOrEqual(t, i, 0)
	assert.Equal(t, "Cut a fringe 4″ deep and roll it up.", r.Steps[i].Text)
	assert.Equal(t, "Not where it can be chewed.", r.Steps[i].Caution)
	assert.Len(t, r.Fittings[0].Boxes, 1)
}

func TestAMadeUpClosure(t *testing.T) {
	t.Cleanup(plan.BackKinds.Add("snaps", plan.BackRules{Reads: []string{"count"}, Settle: func(b *plan.Back, _ plan.Plan) { b.Count = cmp.Or(b.Count, 3) }}))
	t.Cleanup(plan.ClosureKinds.Add("snaps", plan.ClosureRules{Name: "snap fasteners", Skill: "a hammer", Wash: "Closed.", Suits: "Suits bags.",
		Begins: func(length.Unit) plan.Back { return plan.Back{Kind: "snaps"} }}))
	t.Cleanup(back.Kinds.Add("snaps", func(o back.Order) (back.Back, finding.List) {
		whole := sum.Size{Width: o.Front.Width, Height: o.Front.Height}
		return back.Back{Panels: []back.Panel{{Role: ref.ClosurePanel, Name: "back.panel", Title: "Back", Size: whole, Count: 1}},
			Lies: []back.Lie{{Box: back.Box{Width: o.Front.Width.Total(), Height: o.Front.Height.Total()}}}, Opening: sum.Of(sum.Part, "one side", o.Finished), Buttons: o.Plan.Count,
			Making: []back.Making{{Role: "snaps", Title: "Set the snaps", Text: "With the ring outside.", Caution: "Mind your fingers.", Stack: []back.Sheet{{What: "back piece", Lies: back.RightUp, Of: back.BackCloth}}}}}, nil
	}))
	h := app(t)

	doc := `{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "width": "16", "height": "16"}, "cover": {"kind": "cushion"}, "cloths": {"A": {}}, "back": {"kind": "snaps", "overlap": "3"}}`
	var r answer.Reckoning
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/reckon", doc, &r).Code)
	assert.Equal(t, "snaps", r.Closure)
	assert.Equal(t, 3, r.Back.Buttons, "settled by its kind")
	i := slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.Title == "Set the snaps" })
	require.GreaterOrEqual(t, i, 0)
	assert.Equal(t, "Mind your fingers.", r.Steps[i].Caution)
	assert.True(t, slices.ContainsFunc(r.Findings, func(f finding.Finding) bool {
		return f.Code == "unread" && f.About == "/back/overlap" && strings.Contains(f.Text, "reads count")
	}), "what it does not read is told")
	var choices []compare.Choice
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/closures", doc, &choices).Code)
	last := choices[len(choices)-1]
	assert.Equal(t, "snap fasteners", last.Name)
	assert.True(t, last.Chosen)
	assert.Positive(t, last.Steps)
}
