package demo_test

import (
	"encoding/json"
	"fmt"
	"maps"
	"os"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/compare"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/supply"
	"umschlag/demo"
	"umschlag/format/planfile"
)

// told is any value in words.
func told(t *testing.T, v any) string {
	data, err := json.Marshal(v)
	require.NoError(t, err)
	var out any
	require.NoError(t, json.Unmarshal(data, &out))
	var b strings.Builder
	said(&b, out, "\n  ")
	return b.String() + "\n"
}

// The demo plans held against each other, as somebody read it: closures of a cushion, what finished covers tell, and
// what could be changed where cloth has to be bought.
func TestTheDemoPlansHeldAgainstEachOther(t *testing.T) {
	data, err := demo.Plans()
	require.NoError(t, err)
	var text strings.Builder
	var plans []plan.Plan
	var buyers []compare.Buyer
	wide := 60 * length.Inch
	for _, name := range slices.Sorted(maps.Keys(data)) {
		p, err := planfile.Read(data[name])
		require.NoError(t, err)
		plans = append(plans, p)
		buyers = append(buyers, compare.Buyer{Title: p.Title, Plan: p, Reckoning: reckon.Reckon(p, nil)})
		if slices.Contains([]string{"patchwork-cushion", "lavender-mini"}, name) {
			fmt.Fprintf(&text, "closures of %s:%s", name, told(t, compare.Closures(p, reckon.NewPurse(nil))))
		}
	}
	fmt.Fprintf(&text, "figures:%soffers:%s", told(t, compare.FiguresOf(plans)), told(t, compare.Offers(plans)))
	cupboard := supply.Cupboard{"spare calico": {Name: "spare calico", Kind: plan.FaceCloth,
		Have: new(2 * wide), Width: new(wide)}}
	names := map[string]bool{}
	for _, b := range buyers {
		for _, n := range b.Reckoning.Cloths {
			names[n.Name] = true
		}
	}
	for _, cloth := range slices.Sorted(maps.Keys(names)) {
		fmt.Fprintf(&text, "instead of %s: %s\n", cloth,
			strings.Join(compare.Instead(cloth, buyers, cupboard, reckon.NewPurse(nil)), "\n  "))
	}
	if *update {
		require.NoError(t, os.WriteFile("testdata/compared.txt", []byte(text.String()), 0o644))
	}
	want, err := os.ReadFile("testdata/compared.txt")
	require.NoError(t, err)
	assert.Equal(t, string(want), text.String(), "read what has changed; go test -update writes it")
}
