package planfile_test

import (
	"encoding/json"
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"umschlag/core/begin"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/format/planfile"
)

// What every kind of face begins with on fronts of usual and unusual sizes, as somebody read it.
func TestWhatFacesBeginWith(t *testing.T) {
	var told strings.Builder
	for _, size := range []string{"16 × 16 in", "17 × 17 in", "18 × 18 in", "20 × 20 in", "24 × 24 in", "20 × 12 in",
		"17 × 11 3/8 in", "36 × 16 in", "8 × 30 in", "5 × 5 in", "2 × 2 in", "60 × 60 in", "40 × 40 cm", "45 × 45 cm",
		"50 × 50 cm", "60 × 40 cm", "33 × 21 cm", "7.5 × 7.5 cm"} {
		words := strings.Split(size, " ")
		unit := length.Unit(words[len(words)-1])
		w, h, _ := strings.Cut(strings.TrimSuffix(size, " "+string(unit)), " × ")
		for _, cloths := range []string{"A", "ABC"} {
			p, ok := plan.Begin("cushion", unit, plan.DefaultHabits(unit), plan.Cloth{Name: "moss"})
			require.True(t, ok)
			for _, letter := range cloths {
				p.Cloths[string(letter)] = plan.Cloth{Name: "fabric " + string(letter)}
			}
			var err error
			p.Object.Width, err = length.Parse(w, unit)
			require.NoError(t, err)
			p.Object.Height, err = length.Parse(h, unit)
			require.NoError(t, err)
			for _, kind := range plan.FaceKinds.Names() {
				face, fine := begin.Face(p, "front", "", plan.FaceKind(kind))
				with := p.Unshared()
				with.Pieces = map[string]plan.Piece{"front": {Face: &face}}
				doc, err := json.Marshal(planfile.Full(with))
				require.NoError(t, err)
				var read struct {
					Pieces map[string]struct {
						Face json.RawMessage `json:"face"`
					} `json:"pieces"`
				}
				require.NoError(t, json.Unmarshal(doc, &read))
				r, err := planfile.Reckon(doc, nil)
				require.NoError(t, err)
				fmt.Fprintf(&told, "%s of %s: %s %t %v\n", size, cloths, read.Pieces["front"].Face, fine,
					codes(r.Findings))
			}
		}
	}
	approved(t, "begun.txt", told.String())
}
