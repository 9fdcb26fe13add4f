package web_test

import (
	"encoding/json"
	"net/http/httptest"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/web"
)

// planned saves a schedule with a plan and answers what follows.
func planned(t *testing.T, schedule map[string]any) (web.ScheduleView, string) {
	t.Helper()
	h := app(t)
	const at = "/api/v1/plans/turntable-hood-listening-corner"
	var view web.PlanView
	call(t, h, "GET", at, nil, &view)
	var doc map[string]any
	require.NoError(t, json.Unmarshal(view.Plan, &doc))
	doc["schedule"] = schedule
	require.Equal(t, 200, call(t, h, "PUT", at, map[string]any{"base": view.Revision, "plan": doc, "label": "evenings"},
		&view).Code)
	var s web.ScheduleView
	call(t, h, "GET", at+"/schedule", nil, &s)
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost"+at+"/schedule.ics", nil))
	assert.Equal(t, "text/calendar; charset=utf-8", w.Header().Get("Content-Type"))
	return s, w.Body.String()
}

func TestWhenACoverIsDone(t *testing.T) {
	// 1 June 2099 is a Monday: an hour on Tuesdays, two on Saturdays.
	s, file := planned(t, map[string]any{"from": "2099-06-01", "due": "2099-06-13",
		"minutes": []int{0, 60, 0, 0, 0, 120, 0}, "wash": true})
	require.NotEmpty(t, s.Days)
	assert.Equal(t, "2099-06-01", s.From)
	total := 0
	for i, d := range s.Days {
		assert.Contains(t, []string{"2099-06-02", "2099-06-06", "2099-06-09", "2099-06-13", "2099-06-16", "2099-06-20",
			"2099-06-23"}, d.Day)
		for _, sit := range d.Sittings {
			total += sit.Minutes
			if i == 0 && sit.Step == "wash" {
				assert.Equal(t, 30, sit.Minutes)
			}
		}
	}
	assert.Equal(t, s.Total, total)
	assert.Equal(t, s.Days[len(s.Days)-1].Day, s.Ends)
	assert.NotEmpty(t, s.Slips)
	assert.Equal(t, "wash", s.Days[0].Sittings[0].Step)
	assert.Equal(t, len(s.Days)+1, strings.Count(file, "BEGIN:VEVENT"), "every day, and when it is due")
	assert.Contains(t, file, "DTSTART;VALUE=DATE:20990613")
	assert.Contains(t, file, "must be ready")
}

func TestALostEveningMovesTheRest(t *testing.T) {
	week := []int{0, 60, 0, 0, 0, 120, 0}
	before, _ := planned(t, map[string]any{"from": "2099-06-01", "due": "2099-06-02", "minutes": week})
	after, _ := planned(t, map[string]any{"from": "2099-06-01", "due": "2099-06-02", "minutes": week,
		"lost": []string{before.Days[0].Day}})
	assert.NotEqual(t, before.Days[0].Day, after.Days[0].Day)
	assert.Equal(t, before.Slips[0].Later, after.Late-before.Late, "as was said")
	none, _ := planned(t, map[string]any{"minutes": []int{0, 0, 0, 0, 0, 0, 0}})
	assert.Empty(t, none.Ends)
	assert.Positive(t, none.Total)
}

func TestADayThatIsNone(t *testing.T) {
	h := app(t)
	var view web.PlanView
	call(t, h, "GET", "/api/v1/plans/turntable-hood-listening-corner", nil, &view)
	var doc map[string]any
	require.NoError(t, json.Unmarshal(view.Plan, &doc))
	doc["schedule"] = map[string]any{"due": "2099-02-29", "minutes": []int{1, 2}}
	call(t, h, "PUT", "/api/v1/plans/turntable-hood-listening-corner",
		map[string]any{"base": view.Revision, "plan": doc, "label": "x"}, &view)
	abouts := map[string]bool{}
	for _, f := range view.Reckoning.Findings {
		abouts[f.About] = true
	}
	assert.True(t, abouts["/schedule/due"] && abouts["/schedule/minutes"])
}
