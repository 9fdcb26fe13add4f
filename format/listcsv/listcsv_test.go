package listcsv_test

import (
	"bytes"
	"encoding/csv"
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	_ "umschlag/seeded"

	"umschlag/core/length"
	"umschlag/format/listcsv"
)

func rows(t require.TestingT, table listcsv.Table) [][]string {
	data, err := table.Write()
	require.NoError(t, err)
	out, err := csv.NewReader(bytes.NewReader(data)).ReadAll()
	require.NoError(t, err)
	return out
}

func TestCutsAndSteps(t *testing.T) {
	l := func(n length.Length) answer.L { return answer.L{NM: int64(n)} }
	r := answer.Reckoning{Cloths: []answer.ClothNeed{{Cloth: "A", Name: "moss, \"leaf\""}},
		Cuts: []answer.Cut{{Title: "front", Piece: "front", Cloth: "A", Count: 1, Total: 3,
			Width: l(33 * length.Inch / 2), Height: l(19 * length.Inch), Shape: "rectangle", Done: true}},
		Steps: []answer.Step{{Title: "Measure", Text: "one\ntwo", Minutes: 5,
			Expect: &answer.Size{Width: l(19 * length.Inch)}}}}
	got := rows(t, listcsv.Cuts(r, length.Inches))
	require.Len(t, got, 2)
	assert.Equal(t, []string{"1", "front", "front", `moss, "leaf"`, "1", "3", "16 1/2 in", "19 in", "rectangle", "",
		"yes"}, got[1])
	got = rows(t, listcsv.Steps(r, length.Centimetres))
	assert.Equal(t, []string{"1", "Measure", "one\ntwo", "", "", "", "", "5", "48.26 cm", "", ""}, got[1])
	got = rows(t, listcsv.Shopping([]listcsv.Bought{{What: "=1+1", Need: "-", Plans: []string{"a", "b"}}}))
	assert.Equal(t, []string{"'=1+1", "'-", "", "", "", "a, b"}, got[1], "no cell is a formula")
}

// What is written is read back cell by cell, whatever is in it.
func TestAnyTableIsReadBack(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		cell := rapid.StringMatching(`[a-z ,;"\n½″]{0,12}`)
		table := listcsv.Table{Header: []string{"a", "b"}}
		for range rapid.IntRange(0, 5).Draw(t, "rows") {
			table.Rows = append(table.Rows, []string{"x" + cell.Draw(t, "one"), "y" + cell.Draw(t, "two")})
		}
		got := rows(t, table)
		assert.Equal(t, table.Header, got[0])
		assert.Len(t, got, len(table.Rows)+1)
		for i, row := range table.Rows {
			assert.Equal(t, row, got[i+1])
		}
	})
}
