package web_test

import (
	"net/http"
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// asked are what a page names in its head to be asked for.
func asked(t *testing.T, h http.Handler, page string) []string {
	w, _ := fetched(t, h, page)
	if w.Code == http.StatusServiceUnavailable {
		t.Skip("the user interface is not built")
	}
	require.Equal(t, http.StatusOK, w.Code)
	var out []string
	for _, link := range w.Header().Values("Link") {
		found := regexp.MustCompile(`^<([^>]+)>; rel=preload; as=fetch; crossorigin$`).FindStringSubmatch(link)
		require.NotNil(t, found, link)
		out = append(out, found[1])
	}
	return out
}

// The page names what a place asks for first, in the unit of the plan or of the workshop, and all of it is there; it
// names nothing of a place that asks for something else, and nothing that is not there.
func TestThePageNamesWhatItAsksForFirst(t *testing.T) {
	h := app(t)
	shelf := []string{"/api/v1/habits", "/api/v1/starts?units=in", "/api/v1/plans"}
	assert.Equal(t, shelf, asked(t, h, "/"))
	opened := []string{reading, "/api/v1/starts?units=in"}
	for _, place := range []string{"", "/cut", "/sew"} {
		assert.Equal(t, opened, asked(t, h, strings.TrimPrefix(reading, "/api/v1")+place))
	}
	for _, path := range append(shelf, opened...) {
		w, _ := fetched(t, h, path)
		assert.Equal(t, http.StatusOK, w.Code, path)
	}
	assert.Empty(t, asked(t, h, "/cloth"))
	assert.Empty(t, asked(t, h, "/plans/no-such-plan"))

	var told struct{ Plan any }
	call(t, h, "GET", reading, nil, &told)
	var plan, made map[string]any
	call(t, h, "POST", "/api/v1/convert", map[string]any{"plan": told.Plan, "units": "cm"}, &plan)
	require.Equal(t, http.StatusCreated, call(t, h, "POST", "/api/v1/plans", map[string]any{"plan": plan}, &made).Code)
	id, _ := made["id"].(string)
	assert.Equal(t, []string{"/api/v1/plans/" + id, "/api/v1/starts?units=cm"}, asked(t, h, "/plans/"+id))
}
