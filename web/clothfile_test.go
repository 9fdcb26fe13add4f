package web_test

import (
	"net/http/httptest"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/web"
)

func TestTheCupboardGoesOutAndInAsATable(t *testing.T) {
	h := app(t)
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost/api/v1/cloths.csv", nil))
	require.Equal(t, 200, w.Code)
	table := w.Body.String()
	assert.True(t, strings.HasPrefix(table,
		"name,width,usable,print,have,kind,odd,shrink,stretch,prewashed,match,upright,price,per,sold,repeat across,repeat along,"+
			"motif,ground,ink,weight,backing\r\n"))
	var view web.ClothFileView
	call(t, h, "POST", "/api/v1/cloths/table?take=yes", table, &view)
	assert.Empty(t, view.Added)
	assert.Empty(t, view.Changed)
	assert.Equal(t, strings.Count(table, "\r\n")-1, view.Same, "out and in again changes nothing")
}

func TestATableIsLookedAtBeforeItIsTakenIn(t *testing.T) {
	h := app(t)
	table := "name,have,print\nmadder stripe,2 yd,\nsea linen,1 1/2 yd,plain\ncalico,,\n"
	cloth := func(name string) (web.ClothView, bool) {
		var list []web.ClothView
		call(t, h, "GET", "/api/v1/cloths", nil, &list)
		for _, c := range list {
			if c.Name == name {
				return c, true
			}
		}
		return web.ClothView{}, false
	}
	var view web.ClothFileView
	call(t, h, "POST", "/api/v1/cloths/table", table, &view)
	assert.Equal(t, []string{"sea linen"}, view.Added)
	require.Len(t, view.Changed, 1)
	assert.Equal(t, "madder stripe", view.Changed[0].Name)
	assert.Equal(t, []string{"have ⅜ yd → 2 yd"}, view.Changed[0].What)
	assert.Equal(t, 1, view.Same, "empty fields change nothing")
	assert.False(t, view.Taken)
	_, there := cloth("sea linen")
	assert.False(t, there, "a look changes nothing")

	call(t, h, "POST", "/api/v1/cloths/table?take=yes", table, &view)
	assert.True(t, view.Taken)
	stripe, _ := cloth("madder stripe")
	assert.Equal(t, "2 yd", stripe.HaveText)
	assert.Equal(t, "stripe", string(stripe.Swatch.Motif), "what the table does not say stays")
	_, there = cloth("sea linen")
	assert.True(t, there)

	call(t, h, "POST", "/api/v1/cloths/table?take=yes", "name,width,have\nnew one,42,1 yd\nbad one,0,1 yd\n", &view)
	require.Len(t, view.Problems, 1)
	assert.Equal(t, []any{3, "width", false}, []any{view.Problems[0].Row, view.Problems[0].Column, view.Taken})
	_, there = cloth("new one")
	assert.False(t, there, "all or nothing")
}

func TestNotionsAsATable(t *testing.T) {
	h := app(t)
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost/api/v1/notions.csv", nil))
	require.Equal(t, 200, w.Code)
	var view web.ClothFileView
	call(t, h, "POST", "/api/v1/notions/table?take=yes", w.Body.String(), &view)
	assert.Equal(t, []any{[]string{}, []web.ClothChange{}, 5}, []any{view.Added, view.Changed, view.Same},
		"out and in again changes nothing")
	call(t, h, "POST", "/api/v1/notions/table", "name,for,count\nzips,zip,-3\n", &view)
	require.Len(t, view.Problems, 1)
	assert.Equal(t, []any{2, "count"}, []any{view.Problems[0].Row, view.Problems[0].Column})
	view = web.ClothFileView{}
	call(t, h, "POST", "/api/v1/notions/table?take=yes",
		"name,for,have\nelastic,elastic,3 yd\ngrey thread,thread,20 m\n", &view)
	assert.True(t, view.Taken)
	assert.Equal(t, []string{"elastic"}, view.Added)
	assert.Equal(t, "grey thread", view.Changed[0].Name)
}
