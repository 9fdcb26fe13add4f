package planfile_test

import (
	"encoding/json"
	"fmt"
	"maps"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"umschlag/anyplan"
	"umschlag/core/answer"
	"umschlag/core/brief"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
	"umschlag/core/spoil"
	"umschlag/demo"
	"umschlag/format/planfile"
)

// finished is a plan of which everything is cut and sewn.
func finished(p plan.Plan, r answer.Reckoning) plan.Plan {
	p.Progress.Cut, p.Progress.Done = map[string]plan.AsCut{}, nil
	for _, c := range r.Cuts {
		p.Progress.Cut[c.ID] = plan.AsCut{}
	}
	for _, s := range r.Steps {
		p.Progress.Done = append(p.Progress.Done, s.ID)
	}
	return p
}

// grouped are steps by what becomes of them, and cuts with what is said of them.
func grouped(list []spoil.Spoil) string {
	var cuts strings.Builder
	steps := map[spoil.Why][]string{}
	for _, s := range list {
		if s.Kind == ref.Cut {
			fmt.Fprintf(&cuts, "  %s %s: %s %t\n", s.Why, s.Ref, s.Text, s.Again)
		} else {
			steps[s.Why] = append(steps[s.Why], strings.TrimPrefix(s.Ref, "step."))
		}
	}
	for _, why := range slices.Sorted(maps.Keys(steps)) {
		fmt.Fprintf(&cuts, "  %s: %s\n", why, strings.Join(steps[why], ", "))
	}
	return cuts.String()
}

// What each kind of decision spoils of a cover that is made already, as somebody read it: of the first of some demo
// plans that asks for it.
func TestWhatDecisionsSpoil(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	var told strings.Builder
	taken := map[string]bool{}
	for _, name := range []string{"loans-binder-jacket", "pinwheel-cushion", "scanner-hood", "van-cushion"} {
		p, err := planfile.Read(plans[name])
		require.NoError(t, err)
		made := finished(p, reckon.Reckon(p, nil))
		doc, err := json.Marshal(planfile.Full(made))
		require.NoError(t, err)
		for _, d := range anyplan.Decisions(brief.Of(p, nil)) {
			for _, key := range append(slices.Clone(d.Keys), "") {
				id := generic(d.ID) + " " + key
				if taken[id] || key == d.Now || key == "" && len(d.Keys) > 0 {
					continue
				}
				taken[id] = true
				patch, err := planfile.Chosen(doc, d.ID, key, nil)
				if err != nil {
					continue
				}
				after, err := planfile.Read(applied(t, doc, patch))
				require.NoError(t, err)
				list := spoil.Of(made, after, nil)
				fmt.Fprintf(&told, "%s: %s %s\n", name, d.ID, key)
				told.WriteString(grouped(list.Spoils))
				for _, c := range list.Carried {
					fmt.Fprintf(&told, "  %s is %s\n", c.From, c.To)
				}
			}
		}
	}
	approved(t, "spoils.txt", told.String())
}
