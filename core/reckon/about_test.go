package reckon_test

import (
	"strings"
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// bordered is a cushion of three rows of two patches with a butted border.
func bordered() plan.Plan {
	p := plan.Base("in", plan.DefaultHabits("in"))
	p.Title = "bordered"
	p.Object = plan.Object{Kind: plan.Form, Width: 12 * in, Height: 16 * in, Fill: "feather"}
	p.Cover.Kind = plan.Cushion
	p.Cloths = map[string]plan.Cloth{"A": {Name: "a"}, "B": {Name: "b"}}
	p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.GridFace, Columns: 2, Rows: 3,
		Patch: plan.Patch{Width: 4 * in, Height: 4 * in}, Cloths: []string{"A", "B"},
		Borders: []plan.Border{{Width: plan.Extent{Width: 2 * in}, Cloth: "A"}}}}}
	return p
}

func TestAStepIsAboutItsCells(t *testing.T) {
	r := reckon.Reckon(bordered(), nil)
	require.NotEmpty(t, r.Steps, "%v", r.Findings)
	var front answer.Piece
	for _, p := range r.Pieces {
		if p.Name == "front" {
			front = p
		}
	}
	words := func(s answer.Step) []string {
		var out []string
		for _, i := range s.Cells {
			c := front.Cells[i]
			out = append(out, strings.TrimPrefix(c.Cut, "front."))
		}
		return out
	}
	seen := map[string]bool{}
	for _, s := range r.Steps {
		if s.Piece != "front" {
			continue
		}
		switch {
		case s.Act == "row":
			seen["row"] = true
			require.Len(t, s.Cells, 2, s.ID)
			for _, i := range s.Cells {
				assert.Equal(t, s.Bands[0], front.Cells[i].Band, s.ID)
			}
		case s.Act == "rows":
			seen["rows"] = true
			assert.Len(t, s.Cells, 6, "all patches, and no border: %v", words(s))
		case s.Act == "border":
			seen["border"] = true
			require.Len(t, s.Cells, 2, s.ID)
			for _, w := range words(s) {
				assert.Contains(t, w, "of:1.role:border")
			}
		case s.ID == "step.role:measure":
			assert.True(t, s.Aside)
		}
	}
	assert.Equal(t, map[string]bool{"row": true, "rows": true, "border": true}, seen)
}

// Every pair of borders is sewn on once: the cells of the steps of a border are all its cells.
func TestBordersAreCoveredOnce(t *testing.T) {
	r := reckon.Reckon(bordered(), nil)
	count := map[int]int{}
	for _, s := range r.Steps {
		if s.Act == "border" {
			for _, i := range s.Cells {
				count[i]++
			}
		}
	}
	assert.Len(t, count, 4)
	for _, n := range count {
		assert.Equal(t, 1, n)
	}
}
