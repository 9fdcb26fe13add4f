package web_test

import (
	"encoding/json"
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/web"
)

// Whatever the unit of the workshop, what it holds stays as long and as dear as it is.
func TestSwitchingTheUnitChangesNothingThatIsThere(t *testing.T) {
	h := emptyApp(t)
	var cloth web.ClothView
	require.Equal(t, http.StatusCreated, call(t, h, "POST", "/api/v1/cloths", map[string]any{"cloth": map[string]any{
		"name": "moss", "width": "44", "have": "2 yd", "price": 12,
		"repeat": map[string]any{"across": 4, "along": "4 cm"},
		"odd":    []any{map[string]any{"width": "10", "length": "12 1/2"}}}}, &cloth).Code)
	require.Equal(t, http.StatusCreated, call(t, h, "POST", "/api/v1/notions", map[string]any{"notion": map[string]any{
		"name": "cord", "for": "piping cord", "have": "20", "price": 9.144}}, nil).Code)
	var habits web.HabitsView
	require.Equal(t, http.StatusOK, call(t, h, "GET", "/api/v1/habits", nil, &habits).Code)
	var own map[string]any
	require.NoError(t, json.Unmarshal(habits.Habits, &own))
	for _, key := range []string{"seam", "step", "hem"} { // as the page sends them
		own[key] = own[key].(string) + " in"
	}
	own["ease"] = "-1 in"
	require.Equal(t, http.StatusOK, call(t, h, "PUT", "/api/v1/habits",
		map[string]any{"base": habits.Revision, "units": "cm", "habits": own}, &habits).Code)
	require.NoError(t, json.Unmarshal(habits.Habits, &own))
	assert.Equal(t, []any{"0.7", "0.1", "1", "-2.54"}, []any{own["seam"], own["step"], own["hem"], own["ease"]},
		"what was usual is usual, what was decided stays")

	var cloths []web.ClothView
	require.Equal(t, http.StatusOK, call(t, h, "GET", "/api/v1/cloths", nil, &cloths).Code)
	now := cloths[0]
	assert.Equal(t, cloth.Width.NM, now.Width.NM)
	assert.Equal(t, cloth.Have.NM, now.Have.NM)
	assert.Equal(t, cloth.Odd[0].Width.NM, now.Odd[0].Width.NM)
	assert.Equal(t, "111.8 cm", now.Width.Text[len(now.Width.Text)-len("111.8 cm"):])
	assert.JSONEq(t, `{"name":"moss","width":"44 in","have":"2 yd","price":12,"per":"yd",
		"repeat":{"across":"4 in","along":"4 cm"},"odd":[{"width":"10 in","length":"12 1/2 in"}]}`, string(now.Cloth))
	assert.Equal(t, http.StatusConflict, call(t, h, "PUT", "/api/v1/cloths/1", map[string]any{"base": cloth.Revision,
		"cloth": map[string]any{"name": "moss", "width": "45"}}, nil).Code, "a form that was open meanwhile")
	var notions []map[string]any
	require.Equal(t, http.StatusOK, call(t, h, "GET", "/api/v1/notions", nil, &notions).Code)
	cord := notions[0]["notion"].(map[string]any)
	assert.Equal(t, "20 in", cord["have"])
	assert.Equal(t, []any{9.144, "yd"}, []any{cord["price"], cord["per"]}, "of a yard, as it was")
}
