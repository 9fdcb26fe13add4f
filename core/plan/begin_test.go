package plan_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// measured puts the sizes a thing begins with into its object.
func measured(p *plan.Plan, m plan.Measure, size length.Length) {
	o := &p.Object
	*map[string]*length.Length{"width": &o.Width, "height": &o.Height, "length": &o.Length, "depth": &o.Depth,
		"thickness": &o.Thickness, "wrap": &o.Wrap, "board": &o.Board, "spine": &o.Spine}[m.Key] = size
}

func TestEveryThingBeginsWithAPlanThatCanBeCut(t *testing.T) {
	for _, unit := range length.Units() {
		for _, thing := range plan.Things() {
			p, ok := plan.Begin(thing.Key, unit, plan.DefaultHabits(unit), plan.Cloth{Name: "calico"})
			require.True(t, ok)
			p.Title = thing.Name
			for _, m := range thing.Measures {
				measured(&p, m, m.Usual(unit))
			}
			r := reckon.Reckon(p, nil)
			assert.NotEmpty(t, r.Cuts, "%s in %s: %v", thing.Key, unit, r.Findings)
			for _, f := range r.Findings {
				assert.Equal(t, "strip-joined", f.Code, "%s in %s", thing.Key, unit)
			}
		}
	}
	_, ok := plan.Begin("a tent", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{})
	assert.False(t, ok)
}

func TestEveryFittingBeginsWithSizesThatGoTogether(t *testing.T) {
	for _, unit := range length.Units() {
		for _, f := range plan.StartsIn(unit).Fittings {
			p, _ := plan.Begin("flat", unit, plan.DefaultHabits(unit),
				plan.Cloth{Name: "calico", Width: ptr(120 * length.Inch)})
			p.Title, p.Object.Width, p.Object.Height = "fitted", 40*length.Inch, 40*length.Inch
			f.On = "top"
			if f.Short > 0 {
				f.At.Left = ptr(2 * length.Inch)
			}
			p.Fittings = []plan.Fitting{f}
			r := reckon.Reckon(p, nil)
			assert.Empty(t, r.Findings, "%s in %s", f.Kind, unit)
			assert.Len(t, r.Fittings, 1)
		}
	}
}
