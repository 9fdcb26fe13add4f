package web_test

import (
	"fmt"
	"net/http"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// under asks all of an app under an id of the asker's own.
func under(id string, h http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		r.Header.Set("Idempotency-Key", id)
		h.ServeHTTP(w, r)
	})
}

// What is asked for again, because the answer was lost, is made once; asked for anew it is made anew, or refused.
func TestWhatIsAskedForAgainIsMadeOnce(t *testing.T) {
	plain := app(t)
	_, doc := open(t, plain)
	for path, made := range map[string]struct {
		body map[string]any
		anew int // what asking for the same anew is answered
	}{
		"plans": {map[string]any{"plan": doc}, http.StatusCreated},
		"samples": {map[string]any{"sample": map[string]any{"title": "Twice", "kind": "wash",
			"before": map[string]any{"width": "10", "height": "10"}}}, http.StatusCreated},
		"cloths":  {map[string]any{"cloth": map[string]any{"name": "heather", "usable": "42"}}, http.StatusConflict},
		"notions": {map[string]any{"notion": map[string]any{"name": "ribbon", "for": "tape"}}, http.StatusConflict},
	} {
		t.Run(path, func(t *testing.T) {
			at := "/api/v1/" + path
			count := func() int {
				var list []any
				call(t, plain, "GET", at, nil, &list)
				return len(list)
			}
			before := count()
			first := call(t, under("mine", plain), "POST", at, made.body, nil)
			require.Equal(t, http.StatusCreated, first.Code, first.Body.String())
			again := call(t, under("mine", plain), "POST", at, made.body, nil)
			assert.Equal(t, http.StatusCreated, again.Code)
			assert.JSONEq(t, first.Body.String(), again.Body.String())
			assert.Equal(t, before+1, count())

			assert.Equal(t, made.anew, call(t, under("another", plain), "POST", at, made.body, nil).Code)
			assert.Equal(t, made.anew, call(t, plain, "POST", at, made.body, nil).Code)
			refused(t, under(strings.Repeat("x", 65), plain), "POST", at, made.body, http.StatusBadRequest)
		})
	}
}

// What was refused was not made: asked for as it should be under the same id, it is.
func TestWhatWasRefusedIsNotMade(t *testing.T) {
	h := under("mine", app(t))
	cloth := func(usable string) map[string]any {
		return map[string]any{"cloth": map[string]any{"name": "heather", "usable": usable}}
	}
	refused(t, h, "POST", "/api/v1/cloths", cloth("none"), http.StatusBadRequest)
	var made struct{ ID int }
	w := call(t, h, "POST", "/api/v1/cloths", cloth("42"), &made)
	require.Equal(t, http.StatusCreated, w.Code)

	at := fmt.Sprintf("/api/v1/cloths/%d", made.ID)
	require.Less(t, call(t, h, "DELETE", at, nil, nil).Code, 300)
	refused(t, h, "POST", "/api/v1/cloths", cloth("42"), http.StatusNotFound) // it was made, and is gone
}

func TestUnitsThatArePutBackTwiceAreThereOnce(t *testing.T) {
	h := app(t)
	units := map[string]any{"units": map[string]any{"cells": "A / B", "fabrics": []string{"linen", "dot"},
		"width": "4.5", "height": "4.5", "seam": "0.25", "count": 2}}
	for range 2 {
		require.Equal(t, http.StatusNoContent, call(t, under("mine", h), "POST", "/api/v1/units", units, nil).Code)
	}
	counts := 0
	for _, u := range cupboardUnits(t, h) {
		if strings.Contains(string(u.Units), `"dot"`) {
			counts += u.Count
		}
	}
	assert.Equal(t, 2, counts)
}
