package standin

import (
	"context"
	"fmt"
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/device"
	"umschlag/format/hpgl"
)

var (
	_ device.Gauge = (*Gauge)(nil)
	_ device.Maker = (*Maker)(nil)
)

// read presses the button over a size and takes what comes.
func read(t *testing.T, g *Gauge, size float64) device.Reading {
	t.Helper()
	require.True(t, g.Press(size))
	r, err := g.Next(t.Context())
	require.NoError(t, err)
	return r
}

func TestATapeReadsWhatItLiesOn(t *testing.T) {
	for _, unit := range []string{"mm", "cm", "in"} {
		tape := NewTape(unit)
		taken, err := read(t, tape, 413).Length()
		require.NoError(t, err)
		assert.InDelta(t, 413, taken.Length.Float()/1e6, 0.5, unit)
	}
	taken, err := read(t, NewScale(), 412).Weight()
	require.NoError(t, err)
	assert.InDelta(t, 412, taken.Grams, 0.5)
}

func TestAGaugeCanBeMadeToFail(t *testing.T) {
	tape := NewTape("cm")
	set := func(f Faults) { require.NoError(t, tape.Set(f)) }

	set(Faults{Unit: "cm", Battery: 100, Noise: 5})
	_, err := read(t, tape, 413).Length()
	require.ErrorContains(t, err, "Hold the tape still")

	set(Faults{Unit: "none", Battery: 100})
	_, err = read(t, tape, 413).Length()
	require.ErrorContains(t, err, "without a unit")

	// The number of centimetres with the sign of inches is a length like any other: it is
	// found by who knows what should come.
	set(Faults{Unit: "cm-as-in", Battery: 100})
	taken, err := read(t, tape, 413).Length()
	require.NoError(t, err)
	assert.InDelta(t, 41.3*25.4, taken.Length.Float()/1e6, 0.5)

	set(Faults{Unit: "cm", Battery: 10})
	taken, err = read(t, tape, 413).Length()
	require.NoError(t, err)
	assert.Greater(t, taken.Length.Float()/1e6, 414.0, "it reads long")
	assert.Contains(t, taken.Says, "10%")

	set(Faults{Unit: "cm", Battery: 3})
	_, err = read(t, tape, 413).Length()
	require.ErrorContains(t, err, "Change the battery")
}

func TestAGaugeThatIsGone(t *testing.T) {
	tape := NewTape("cm")
	require.NoError(t, tape.Set(Faults{Unit: "cm", Battery: 100, Gone: true}))
	assert.False(t, tape.Press(413))
	_, err := tape.Next(t.Context())
	require.ErrorIs(t, err, device.ErrGone)
	require.NoError(t, tape.Set(Faults{Unit: "cm", Battery: 100}))
	assert.Len(t, read(t, tape, 413).Values, repeats)
	ended, end := context.WithCancel(t.Context())
	end()
	_, err = tape.Next(ended)
	require.ErrorIs(t, err, context.Canceled)
}

func TestWhatCannotBeSetIsRefused(t *testing.T) {
	for _, f := range []Faults{{Unit: "ell", Battery: 50}, {Unit: "cm", Battery: 101},
		{Unit: "cm", Battery: 50, Noise: math.NaN()}} {
		require.Error(t, NewTape("cm").Set(f))
	}
	for _, p := range []Pace{{Speed: 0}, {Speed: -1}, {Speed: 1, JamAfter: 101}, {Speed: math.Inf(1)},
		{Speed: 1, JamAfter: math.NaN()}} {
		require.Error(t, NewCutter().Set(p))
	}
	assert.Equal(t, Faults{Unit: "cm", Battery: 100, Noise: 0.2}, NewTape("cm").Faults())
}

// hurried is a cutter whose time does not pass, and how often it waited.
func hurried() (*Maker, *int) {
	waits := 0
	m := NewCutter()
	m.pause = func(ctx context.Context, _ time.Duration) error {
		waits++
		return ctx.Err()
	}
	return m, &waits
}

// square is 100 mm a side, cut by pen 1.
var square = device.Job{Name: "square", As: "plt", Data: []byte("IN;SP1;PU0,0;PD4000,0,4000,4000,0,4000,0,0;PU;SP0;")}

func TestACutterTakesItsTime(t *testing.T) {
	m, waits := hurried()
	var told []device.Progress
	require.NoError(t, m.Work(t.Context(), square, func(p device.Progress) { told = append(told, p) }))
	assert.Equal(t, device.Progress{Of: 400, Unit: "mm"}, told[0])
	assert.Equal(t, device.Progress{Done: 400, Of: 400, Unit: "mm"}, told[len(told)-1])
	assert.Equal(t, 10, *waits, "400 mm at 400 mm a second, told ten times a second")
	for i := 1; i < len(told); i++ {
		assert.Greater(t, told[i].Done, told[i-1].Done)
	}
}

func TestACutterJamsOnceAndGoesOn(t *testing.T) {
	m, _ := hurried()
	require.NoError(t, m.Set(Pace{Speed: 400, JamAfter: 50}))
	jams, after := 0, false
	require.NoError(t, m.Work(t.Context(), square, func(p device.Progress) {
		if p.Jam == "" && p.Done < 200 {
			m.Resume() // before there is anything to go on with: it must wait all the same
			after = true
		}
		if p.Jam != "" {
			assert.True(t, after)
			assert.Empty(t, m.resume, "nothing goes on by what was said before")
			jams++
			assert.InDelta(t, 200, p.Done, 41)
			m.Resume()
			m.Resume() // once more does no harm
		}
	}))
	assert.Equal(t, 1, jams)
}

func TestACutterThatIsStoppedOrGone(t *testing.T) {
	m, _ := hurried()
	ctx, stop := context.WithCancel(t.Context())
	err := m.Work(ctx, square, func(p device.Progress) {
		if p.Done > 100 {
			stop()
		}
	})
	require.ErrorIs(t, err, context.Canceled)

	require.NoError(t, m.Set(Pace{Speed: 400, JamAfter: 10}))
	ctx, stop = context.WithCancel(t.Context())
	err = m.Work(ctx, square, func(p device.Progress) {
		if p.Jam != "" {
			stop()
		}
	})
	require.ErrorIs(t, err, context.Canceled, "also while it waits")

	require.NoError(t, m.Set(Pace{Speed: 400}))
	err = m.Work(t.Context(), square, func(p device.Progress) {
		if p.Done > 100 {
			require.NoError(t, m.Set(Pace{Speed: 400, Gone: true}))
		}
	})
	require.ErrorIs(t, err, device.ErrGone)
}

func TestACutterReadsSVGToo(t *testing.T) {
	svg := `<svg xmlns="http://www.w3.org/2000/svg" width="120mm" height="120mm" viewBox="0 0 120 120"><path fill="none" stroke="black" d="M10 10H110V110H10Z"/></svg>`
	strokes, err := Strokes(device.Job{As: "svg", Data: []byte(svg)})
	require.NoError(t, err)
	require.Len(t, strokes, 1)
	assert.InDelta(t, 400, strokes[0].Length(), 1e-6)
	assert.Equal(t, 1, strokes[0].Pen)
	assert.InDelta(t, -10, strokes[0].Points[0].Y, 1e-9, "up is up")
}

func TestAMakerRefusesWhatItCannotRead(t *testing.T) {
	for name, j := range map[string]device.Job{
		"no drawing":     {As: "plt", Data: []byte("hello")},
		"an empty plot":  {As: "plt"},
		"a broken svg":   {As: "svg", Data: []byte("<svg")},
		"another format": {As: "gcode", Data: []byte("G1")},
	} {
		t.Run(name, func(t *testing.T) {
			m, waits := hurried()
			var refusal *device.Refusal
			require.ErrorAs(t, m.Work(t.Context(), j, func(device.Progress) { t.Error("it must not begin") }), &refusal)
			assert.NotEmpty(t, refusal.Remedy)
			assert.Zero(t, *waits)
		})
	}
	for _, data := range []string{"", "hello", "%PDF-1.4 and no page"} {
		require.Error(t, NewPrinter().
			Work(t.Context(), device.Job{As: "pdf", Data: []byte(data)}, func(device.Progress) {}))
	}
}

func TestAPrinterCountsPages(t *testing.T) {
	m := NewPrinter()
	m.pause = func(ctx context.Context, _ time.Duration) error { return ctx.Err() }
	var last device.Progress
	data := "%PDF-1.3\n<</Type /Pages /Count 2>>\n<</Type /Page /Parent 1 0 R>>\n<</Type /Page\n/Parent 1 0 R>>"
	require.NoError(t, m.Work(t.Context(), device.Job{As: "pdf", Data: []byte(data)},
		func(p device.Progress) { last = p }))
	assert.Equal(t, device.Progress{Done: 2, Of: 2, Unit: "pages"}, last)
}

func ExampleStrokes() {
	strokes, _ := Strokes(square)
	fmt.Println(len(strokes), strokes[0].Length(), hpgl.Units)
	// Output: 1 400 40
}
