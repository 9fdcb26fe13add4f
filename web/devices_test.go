package web_test

import (
	"fmt"
	"net/http"
	"testing"
	"time"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/device/standin"
	"umschlag/web"
)

func on(connected bool) web.SetDevice { return web.SetDevice{Connected: &connected} }

func TestAReadingIsSentOnceAndJudged(t *testing.T) {
	h := app(t)
	var devices web.DevicesView
	call(t, h, "PUT", "/api/v1/devices/tape", on(true), &devices)
	require.Equal(t, "tape", devices.Devices[0].Kind)
	assert.True(t, devices.Devices[0].Connected)
	assert.Equal(t, http.StatusNoContent,
		call(t, h, "POST", "/api/v1/devices/tape/press", web.PressGauge{Size: "41.3 cm"}, nil).Code)
	var list []web.ReadingView
	call(t, h, "GET", "/api/v1/readings?after=0", nil, &list)
	require.Len(t, list, 1)
	assert.Equal(t, []any{1, "tape", "41.3 cm", "", false},
		[]any{list[0].Number, list[0].Kind, list[0].Text, list[0].Says, list[0].Refused})
	call(t, h, "GET", "/api/v1/devices", nil, &devices)
	assert.Equal(t, 1, devices.Last)

	call(t, h, "PUT", "/api/v1/devices/tape", web.SetDevice{Faults: &standin.Faults{Unit: "none", Battery: 100}}, nil)
	call(t, h, "POST", "/api/v1/devices/tape/press", web.PressGauge{Size: "41.3 cm"}, nil)
	call(t, h, "GET", "/api/v1/readings?after=1", nil, &list)
	require.Len(t, list, 1)
	assert.True(t, list[0].Refused)
	assert.Empty(t, list[0].Text)
	assert.Contains(t, list[0].Says, "without a unit")
}

func TestAJobIsSentWatchedAndPutAway(t *testing.T) {
	h := app(t)
	const hood = "/api/v1/plans/turntable-hood-listening-corner"
	send := web.SendJob{Device: "cutter", Sort: "piece", Of: "end", As: "plt"}
	p := refused(t, h, "POST", hood+"/send", send, http.StatusConflict)
	assert.Contains(t, p.Detail, "Connect it among the devices")
	fast := standin.Pace{Speed: 1e6}
	call(t, h, "PUT", "/api/v1/devices/cutter", web.SetDevice{Connected: on(true).Connected, Pace: &fast}, nil)
	var job web.JobView
	call(t, h, "POST", hood+"/send", send, &job)
	assert.Equal(t, []any{1, "cutter", "mm"}, []any{job.Number, job.Device, job.Unit})
	require.Eventually(t, func() bool {
		call(t, h, "GET", "/api/v1/jobs/1", nil, &job)
		return job.State == "done"
	}, time.Minute, 10*time.Millisecond)
	assert.InDelta(t, job.Of, job.Done, 0)
	var strokes web.StrokesView
	call(t, h, "GET", "/api/v1/jobs/1/strokes", nil, &strokes)
	require.NotEmpty(t, strokes.Strokes)
	assert.InDelta(t, job.Of, strokes.Strokes[len(strokes.Strokes)-1].To, 1e-6, "its strokes are the job")
	refused(t, h, "GET", "/api/v1/jobs/1/pages.pdf", nil, http.StatusBadRequest)
	assert.Equal(t, http.StatusNoContent, call(t, h, "DELETE", "/api/v1/jobs/1", nil, nil).Code)
	refused(t, h, "GET", "/api/v1/jobs/1", nil, http.StatusNotFound)

	send.As, send.Of = "svg", "nothing"
	refused(t, h, "POST", hood+"/send", send, http.StatusBadRequest)
	send.As, send.Of = "gcode", "end"
	refused(t, h, "POST", hood+"/send", send, http.StatusBadRequest)
}

func TestClothIsWeighedInTheUnitOfTheCupboard(t *testing.T) {
	h := app(t)
	var out web.WeighedCloth
	call(t, h, "POST", "/api/v1/cloths/weigh",
		web.WeighCloth{Side: "10 cm", Square: "1,5 g", Piece: "150", Width: "1 m"}, &out)
	assert.Equal(t, "39 1/4", out.Text)
	assert.Contains(t, out.Says, "100.0 squares")
	for _, in := range []web.WeighCloth{{}, {Side: "10 cm", Square: "heavy", Piece: "150", Width: "1 m"},
		{Side: "10 cm", Square: "1", Piece: "1", Width: "wide"}} {
		p := refused(t, h, "POST", "/api/v1/cloths/weigh", in, http.StatusBadRequest)
		assert.NotEmpty(t, p.Errors)
	}
}

func TestDevicesThatAreNotThereAndSettingsThatCannotBeAreNamed(t *testing.T) {
	h := app(t)
	refused(t, h, "PUT", "/api/v1/devices/loom", on(true), http.StatusNotFound)
	refused(t, h, "GET", "/api/v1/jobs/9", nil, http.StatusNotFound)
	p := refused(t, h, "PUT", "/api/v1/devices/tape", web.SetDevice{Faults: &standin.Faults{Unit: "ell", Battery: 50}},
		http.StatusConflict)
	assert.Equal(t, `"ell" is no unit of a tape. Choose in, cm, mm, none, cm-as-in.`, p.Detail)
	refused(t, h, "PUT", "/api/v1/devices/cutter", web.SetDevice{Pace: &standin.Pace{}}, http.StatusConflict)
	refused(t, h, "POST", "/api/v1/devices/tape/press", web.PressGauge{Size: "long"}, http.StatusBadRequest)
	send := web.SendJob{Device: "printer", Sort: "piece", Of: "end", As: "plt"}
	refused(t, h, "POST", "/api/v1/plans/turntable-hood-listening-corner/send", send, http.StatusConflict)
}

func TestWhatIsCutIsAsLongInEveryFormat(t *testing.T) {
	h := app(t)
	fast := standin.Pace{Speed: 1e6}
	call(t, h, "PUT", "/api/v1/devices/cutter", web.SetDevice{Connected: on(true).Connected, Pace: &fast}, nil)
	cut := func(as string) (length float64) {
		var job web.JobView
		call(t, h, "POST", "/api/v1/plans/turntable-hood-listening-corner/send",
			web.SendJob{Device: "cutter", Sort: "piece", Of: "end", As: as}, &job)
		at := fmt.Sprintf("/api/v1/jobs/%d", job.Number)
		require.Eventually(t, func() bool {
			call(t, h, "GET", at, nil, &job)
			return job.State == "done"
		}, time.Minute, 10*time.Millisecond)
		var strokes web.StrokesView
		call(t, h, "GET", at+"/strokes", nil, &strokes)
		for _, s := range strokes.Strokes {
			if s.Cuts {
				length += s.To - s.From
			}
		}
		return length
	}
	plt := cut("plt")
	assert.Greater(t, plt, 500.0)
	assert.InDelta(t, plt, cut("svg"), 0.05)
}

func TestAPlanThatCannotBeCutFoldsToNothing(t *testing.T) {
	h := app(t)
	var fold answer.FoldShown
	call(t, h, "POST", "/api/v1/fold",
		`{"format": "umschlag/plan/1", "title": "Nothing", "object": {"kind": "form", "width": 0, "height": 0},
		"cover": {"kind": "cushion", "ease": {"width": 0, "height": 0}}}`, &fold)
	assert.NotNil(t, fold.Leaves)
	assert.Empty(t, fold.Leaves)
	refused(t, h, "POST", "/api/v1/fold", "{", http.StatusBadRequest)
}
