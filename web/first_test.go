package web_test

import (
	"io"
	"log/slog"
	"net/http"
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/web"
)

// asked are what a page names in its head to be asked for, the scripts of its place apart.
func asked(t *testing.T, h http.Handler, page string) (asks, scripts []string) {
	w, _ := fetched(t, h, page)
	if w.Code == http.StatusServiceUnavailable {
		t.Skip("the user interface is not built")
	}
	require.Equal(t, http.StatusOK, w.Code)
	for _, link := range w.Header().Values("Link") {
		found := regexp.MustCompile(`^<(/[^>]+)>; (?:rel=(modulepreload)|rel=preload; as=fetch; crossorigin)$`).
			FindStringSubmatch(link)
		require.NotNil(t, found, link)
		if found[2] != "" {
			scripts = append(scripts, found[1])
		} else {
			asks = append(asks, found[1])
		}
	}
	return asks, scripts
}

// The page names what a place asks for first, in the unit of the plan or of the workshop, and its scripts, and all of
// it is there; it names nothing of a place that asks for something else, and nothing that is not there.
func TestThePageNamesWhatItAsksForFirst(t *testing.T) {
	h := app(t)
	shelf := []string{"/api/v1/habits", "/api/v1/starts?units=in", "/api/v1/plans"}
	opened := []string{reading, "/api/v1/starts?units=in"}
	plan := strings.TrimPrefix(reading, "/api/v1")
	for _, p := range []struct {
		at, view string
		asks     []string
	}{{"/", "Shelf", shelf}, {plan, "Draft", opened}, {plan + "/cut", "Cut", opened}, {plan + "/sew", "Sew", opened}} {
		asks, scripts := asked(t, h, p.at)
		assert.Equal(t, p.asks, asks)
		require.NotEmpty(t, scripts, p.at)
		assert.Regexp(t, "^/assets/"+p.view+"-.+[.]js$", scripts[0])
		for _, path := range append(scripts, asks...) {
			w, _ := fetched(t, h, path)
			assert.Equal(t, http.StatusOK, w.Code, path)
		}
	}
	asks, scripts := asked(t, h, "/cloth")
	assert.Empty(t, append(asks, scripts...))
	asks, _ = asked(t, h, "/plans/no-such-plan")
	assert.Empty(t, asks)

	var told struct{ Plan any }
	call(t, h, "GET", reading, nil, &told)
	var doc, made map[string]any
	call(t, h, "POST", "/api/v1/convert", map[string]any{"plan": told.Plan, "units": "cm"}, &doc)
	require.Equal(t, http.StatusCreated, call(t, h, "POST", "/api/v1/plans", map[string]any{"plan": doc}, &made).Code)
	id, _ := made["id"].(string)
	asks, _ = asked(t, h, "/plans/"+id)
	assert.Equal(t, []string{"/api/v1/plans/" + id, "/api/v1/starts?units=cm"}, asks)
}

// What was damaged is asked for as it is, in no unit of its own making.
func TestADamagedPlanNamesNoUnit(t *testing.T) {
	s := workshop(t)
	h := web.New(web.Config{Store: s, Log: slog.New(slog.NewTextHandler(io.Discard, nil))})
	for _, doc := range []string{`{"units": "ell>; rel=x"}`, `{"units": 3}`, `{`} {
		p, err := s.Create(t.Context(), "damaged", "cushion", doc)
		require.NoError(t, err)
		asks, _ := asked(t, h, "/plans/"+p.ID)
		assert.Equal(t, []string{"/api/v1/plans/" + p.ID}, asks, doc)
	}
}
