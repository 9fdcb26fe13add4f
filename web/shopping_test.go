package web_test

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/web"
)

func shoppingOf(t *testing.T, view web.ShoppingView, cloth string) web.ShoppingCloth {
	t.Helper()
	for _, c := range view.Cloths {
		if c.Name == cloth {
			return c
		}
	}
	require.Fail(t, "not on the list", cloth)
	return web.ShoppingCloth{}
}

func TestShoppingForOnePlan(t *testing.T) {
	h := app(t)
	var view web.ShoppingView
	call(t, h, "GET", "/api/v1/shopping?plan=reading-corner-cushion", nil, &view)
	stripe := shoppingOf(t, view, "madder stripe")
	assert.Equal(t, "½ yd", stripe.BuyText, "as the plan says itself")
	assert.Equal(t, []web.ShoppingShare{{Plan: "Reading-corner cushion", Need: stripe.Need, From: "shop"}},
		stripe.Shares)
	assert.Equal(t, stripe.Have.NM, stripe.Left.NM, "too short a piece stays in the cupboard")
	assert.Empty(t, shoppingOf(t, view, "ink leaf").BuyText)
	require.NotEmpty(t, view.Things)
	assert.Equal(t, []string{"Reading-corner cushion"}, view.Things[0].Plans)
	chosen := 0
	for _, p := range view.Plans {
		if p.Chosen {
			chosen++
		}
	}
	assert.Equal(t, 1, chosen)
}

func TestShoppingForTheShelf(t *testing.T) {
	h := app(t)
	var all, one web.ShoppingView
	call(t, h, "GET", "/api/v1/shopping", nil, &all)
	call(t, h, "GET", "/api/v1/shopping?plan=reading-corner-cushion", nil, &one)
	assert.Equal(t, len(one.Plans), len(all.Plans), "all stay there to be chosen")
	for _, c := range one.Cloths {
		assert.GreaterOrEqual(t, shoppingOf(t, all, c.Name).Need.NM, c.Need.NM)
	}
	var cloths []web.ClothView
	call(t, h, "GET", "/api/v1/cloths", nil, &cloths)
	for _, c := range cloths {
		if c.Wanted.NM > 0 {
			assert.Equal(t, c.Wanted.NM, shoppingOf(t, all, c.Name).Need.NM, "the cupboard tells the same of %s",
				c.Name)
		}
	}
	refused(t, h, "GET", "/api/v1/shopping?plan=nothing", nil, 404)
}

func TestWhatIsCutIsNotBought(t *testing.T) {
	h := app(t)
	var view web.PlanView
	call(t, h, "GET", reading, nil, &view)
	var doc map[string]any
	require.NoError(t, json.Unmarshal(view.Plan, &doc))
	cut := map[string]any{}
	for _, c := range view.Reckoning.Cuts {
		cut[c.ID] = map[string]any{}
	}
	doc["progress"] = map[string]any{"cut": cut}
	require.Equal(t, 200, call(t, h, "PUT", reading,
		map[string]any{"base": view.Revision, "plan": doc, "label": "all cut"}, nil).Code)
	var list web.ShoppingView
	call(t, h, "GET", "/api/v1/shopping", nil, &list)
	for _, p := range list.Plans {
		assert.NotEqual(t, "reading-corner-cushion", p.ID)
	}
	require.NotEmpty(t, list.Plans)
	refused(t, h, "GET", "/api/v1/shopping?plan=no-such-plan", nil, 404)
}
