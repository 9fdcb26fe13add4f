package bench_test

import (
	"context"
	"errors"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/device"
	"umschlag/device/bench"
)

// gauge sends what it is given.
type gauge struct {
	sends chan device.Reading
	gone  chan struct{}
}

func (g *gauge) About() device.About {
	return device.About{ID: "tape", Name: "a tape", Kind: device.Tape}
}

func (g *gauge) Next(ctx context.Context) (device.Reading, error) {
	select {
	case r := <-g.sends:
		return r, nil
	case <-g.gone:
		return device.Reading{}, device.ErrGone
	case <-ctx.Done():
		return device.Reading{}, ctx.Err()
	}
}

// maker works as it is told, step by step.
type maker struct {
	steps  chan device.Progress
	ends   chan error
	goesOn chan struct{}
}

func (m *maker) About() device.About { return device.About{ID: "cutter", Kind: device.Cutter} }
func (m *maker) Takes() []string     { return []string{"plt"} }
func (m *maker) Resume()             { m.goesOn <- struct{}{} }
func (m *maker) Work(ctx context.Context, job device.Job, tell func(device.Progress)) error {
	for {
		select {
		case p := <-m.steps:
			tell(p)
		case err := <-m.ends:
			return err
		case <-ctx.Done():
			return ctx.Err()
		}
	}
}

func set() (*bench.Bench, *gauge, *maker) {
	g := &gauge{sends: make(chan device.Reading), gone: make(chan struct{})}
	m := &maker{steps: make(chan device.Progress, 9), ends: make(chan error, 1), goesOn: make(chan struct{}, 1)}
	return bench.New(g, m), g, m
}

func TestReadingsComeInTheirOrderWhileConnected(t *testing.T) {
	b, g, _ := set()
	require.NoError(t, b.Connect("tape", true))
	require.NoError(t, b.Connect("tape", true), "twice is once")
	for _, v := range []float64{1, 2, 3} {
		g.sends <- device.Reading{Values: []float64{v}}
	}
	events := b.After(t.Context(), 0)
	for len(events) < 3 {
		events = append(events, b.After(t.Context(), events[len(events)-1].Number)...)
	}
	for i, e := range events {
		assert.Equal(t, i+1, e.Number)
		assert.InDelta(t, float64(i+1), e.Reading.Values[0], 0)
	}
	assert.Equal(t, 3, b.Last())
	require.NoError(t, b.Connect("tape", false))
	ended, end := context.WithCancel(t.Context())
	end()
	assert.Empty(t, b.After(ended, 3))
	select {
	case g.sends <- device.Reading{}:
		t.Error("nobody listens any more")
	default:
	}
}

func TestAGaugeThatVanishesIsToldAndDisconnected(t *testing.T) {
	b, g, _ := set()
	require.NoError(t, b.Connect("tape", true))
	close(g.gone)
	events := b.After(t.Context(), 0)
	require.Len(t, events, 1)
	assert.True(t, events[0].Gone)
	assert.False(t, b.States()[0].Connected)
}

func TestAJobFromItsBeginningToItsEnd(t *testing.T) {
	b, _, m := set()
	_, err := b.Send("cutter", device.Job{Name: "front", As: "plt"})
	var refusal *device.Refusal
	require.ErrorAs(t, err, &refusal)
	assert.Contains(t, refusal.Remedy, "Connect it")
	require.NoError(t, b.Connect("cutter", true))
	m.steps <- device.Progress{Of: 400, Unit: "mm"}
	state, err := b.Send("cutter", device.Job{Name: "front", As: "plt", Data: []byte("x")})
	require.NoError(t, err)
	assert.Equal(t, bench.JobState{Number: 1, Device: m.About(), Name: "front",
		Progress: device.Progress{Of: 400, Unit: "mm"}}, state)

	_, err = b.Send("cutter", device.Job{Name: "back", As: "plt"})
	require.ErrorAs(t, err, &refusal)
	assert.Contains(t, refusal.Reason, "still at front")
	_, err = b.Send("cutter", device.Job{Name: "front", As: "pdf"})
	require.ErrorAs(t, err, &refusal)

	require.NoError(t, b.Resume(1))
	assert.Empty(t, m.goesOn, "it did not jam")
	m.steps <- device.Progress{Done: 200, Of: 400, Unit: "mm", Jam: "slipped"}
	require.Eventually(t, func() bool { return b.Jobs()[0].Jam != "" }, tooLong, each)
	require.NoError(t, b.Resume(1))
	<-m.goesOn
	m.ends <- nil
	ended(t, b, 1)
	state, err = b.Job(1)
	require.NoError(t, err)
	assert.NoError(t, state.Why)
	data, err := b.Data(1)
	require.NoError(t, err)
	assert.Equal(t, "x", string(data.Data))
	require.NoError(t, b.Cancel(1))
	assert.Empty(t, b.Jobs(), "what has ended is put away")
}

// tooLong is when waiting is given up, and each how often is looked.
const (
	tooLong = time.Minute
	each    = time.Millisecond
)

// ended waits for the end of a job.
func ended(t *testing.T, b *bench.Bench, number int) {
	t.Helper()
	require.Eventually(t, func() bool {
		state, err := b.Job(number)
		return err == nil && state.Ended
	}, tooLong, each)
}

func TestAJobIsCancelledOrItsDeviceVanishes(t *testing.T) {
	b, _, m := set()
	require.NoError(t, b.Connect("cutter", true))
	m.steps <- device.Progress{Of: 400}
	_, err := b.Send("cutter", device.Job{As: "plt"})
	require.NoError(t, err)
	require.NoError(t, b.Cancel(1))
	ended(t, b, 1)
	assert.ErrorIs(t, b.Jobs()[0].Why, context.Canceled)
	assert.True(t, b.States()[1].Connected)

	m.steps <- device.Progress{Done: 1, Of: 400}
	_, err = b.Send("cutter", device.Job{As: "plt"})
	require.NoError(t, err)
	m.ends <- device.ErrGone
	ended(t, b, 2)
	assert.ErrorIs(t, b.Jobs()[0].Why, device.ErrGone)
	assert.False(t, b.States()[1].Connected)
}

func TestWhatCannotBeReadIsNoJob(t *testing.T) {
	b, _, m := set()
	require.NoError(t, b.Connect("cutter", true))
	m.ends <- errors.New("no drawing")
	_, err := b.Send("cutter", device.Job{As: "plt"})
	require.EqualError(t, err, "no drawing")
	assert.Empty(t, b.Jobs())
}

func TestWhatIsNotThere(t *testing.T) {
	b, _, _ := set()
	for _, err := range []error{b.Connect("loom", true), b.Resume(7), b.Cancel(7)} {
		require.ErrorIs(t, err, bench.ErrUnknown)
	}
	for _, ask := range []func() error{
		func() error { _, err := b.Device("loom"); return err },
		func() error { _, err := b.Send("loom", device.Job{}); return err },
		func() error { _, err := b.Job(7); return err },
		func() error { _, err := b.Data(7); return err },
	} {
		require.ErrorIs(t, ask(), bench.ErrUnknown)
	}
}
