// Package bench holds the devices that stand by the workshop: which are connected, what the
// gauges read, and the jobs of the makers. It knows them by their interfaces only.
package bench

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"sync"

	"umschlag/device"
)

// mostEvents and mostJobs are remembered.
const (
	mostEvents = 50
	mostJobs   = 20
)

// ErrUnknown is what a device or job gives that is not there.
var ErrUnknown = errors.New("there is no such device or job")

// Event is what came from a gauge.
type Event struct {
	// Number counts events from 1.
	Number int
	Device device.About
	// Reading that was sent; Gone tells that it answers no more instead.
	Reading device.Reading
	Gone    bool
}

// State is one device as it stands.
type State struct {
	Device    device.Device
	Connected bool
}

// Bench holds devices.
type Bench struct {
	mu      sync.Mutex
	places  []*place
	events  []Event
	counted int
	// news is closed when an event comes, and made anew.
	news    chan struct{}
	jobs    []*job
	started int
}

type place struct {
	device device.Device
	// stop ends listening to a gauge that is connected; nil while it is not.
	stop context.CancelFunc
	on   bool
}

// New holds some devices, none of them connected.
func New(devices ...device.Device) *Bench {
	b := &Bench{news: make(chan struct{})}
	for _, d := range devices {
		b.places = append(b.places, &place{device: d})
	}
	return b
}

// States are all devices in their order.
func (b *Bench) States() []State {
	b.mu.Lock()
	defer b.mu.Unlock()
	out := make([]State, len(b.places))
	for i, p := range b.places {
		out[i] = State{Device: p.device, Connected: p.on}
	}
	return out
}

// Device of an id.
func (b *Bench) Device(id string) (device.Device, error) {
	b.mu.Lock()
	defer b.mu.Unlock()
	p, err := b.find(id)
	if err != nil {
		return nil, err
	}
	return p.device, nil
}

func (b *Bench) find(id string) (*place, error) {
	i := slices.IndexFunc(b.places, func(p *place) bool { return p.device.About().ID == id })
	if i < 0 {
		return nil, ErrUnknown
	}
	return b.places[i], nil
}

// Connect begins or ends taking what a device sends.
func (b *Bench) Connect(id string, on bool) error {
	b.mu.Lock()
	defer b.mu.Unlock()
	p, err := b.find(id)
	if err != nil || p.on == on {
		return err
	}
	p.on = on
	if p.stop != nil {
		p.stop()
		p.stop = nil
	}
	if gauge, ok := p.device.(device.Gauge); ok && on {
		ctx, cancel := context.WithCancel(context.Background())
		p.stop = cancel
		go b.listen(ctx, p, gauge)
	}
	return nil
}

// listen takes readings until it is stopped or the gauge is gone.
func (b *Bench) listen(ctx context.Context, p *place, g device.Gauge) {
	for {
		r, err := g.Next(ctx)
		if !b.took(ctx, p, Event{Device: g.About(), Reading: r, Gone: err != nil}) {
			return
		}
	}
}

// took keeps what came of a gauge and tells whether more is listened for.
func (b *Bench) took(ctx context.Context, p *place, e Event) bool {
	b.mu.Lock()
	defer b.mu.Unlock()
	if ctx.Err() != nil { // it was disconnected meanwhile
		return false
	}
	if e.Gone {
		p.stop()
		p.on, p.stop = false, nil
	}
	b.add(e)
	return !e.Gone
}

// add counts an event and wakes who waits for one.
func (b *Bench) add(e Event) {
	b.counted++
	e.Number = b.counted
	b.events = append(b.events[max(0, len(b.events)+1-mostEvents):], e)
	close(b.news)
	b.news = make(chan struct{})
}

// Last is the number of the newest event.
func (b *Bench) Last() int {
	b.mu.Lock()
	defer b.mu.Unlock()
	return b.counted
}

// After are the events later than a number. It waits for one until the context ends, and
// gives none then.
func (b *Bench) After(ctx context.Context, number int) []Event {
	for {
		b.mu.Lock()
		i := slices.IndexFunc(b.events, func(e Event) bool { return e.Number > number })
		var out []Event
		if i >= 0 {
			out = slices.Clone(b.events[i:])
		}
		news := b.news
		b.mu.Unlock()
		if len(out) > 0 {
			return out
		}
		select {
		case <-news:
		case <-ctx.Done():
			return nil
		}
	}
}

// JobState is how far a job is.
type JobState struct {
	Number int
	Device device.About
	Name   string
	device.Progress
	// Ended tells that nothing more comes of it: it is done, or Why it is not.
	Ended bool
	Why   error
}

type job struct {
	state  JobState
	data   device.Job
	maker  device.Maker
	cancel context.CancelFunc
}

// Send gives a maker a job. It gives a *device.Refusal where it is not connected, works
// already, or cannot read the data.
func (b *Bench) Send(id string, data device.Job) (JobState, error) {
	j, begun, err := b.begin(id, data)
	if err != nil {
		return JobState{}, err
	}
	if err := <-begun; err != nil {
		return JobState{}, err
	}
	return b.Job(j.state.Number)
}

// begin starts a job. What it sends first is what was wrong with the data, or nil.
func (b *Bench) begin(id string, data device.Job) (*job, <-chan error, error) {
	b.mu.Lock()
	defer b.mu.Unlock()
	p, err := b.find(id)
	if err != nil {
		return nil, nil, err
	}
	about := p.device.About()
	maker, ok := p.device.(device.Maker)
	if !ok || !slices.Contains(maker.Takes(), data.As) {
		return nil, nil, &device.Refusal{Reason: fmt.Sprintf("The %s takes no such thing.", about.Kind),
			Remedy: "Send drawings to a cutter and pages to a printer."}
	}
	if !p.on {
		return nil, nil, &device.Refusal{Reason: fmt.Sprintf("The %s is not connected.", about.Kind),
			Remedy: "Connect it among the devices and send it again."}
	}
	if i := slices.IndexFunc(b.jobs, func(j *job) bool { return !j.state.Ended && j.state.Device.ID == id }); i >= 0 {
		return nil, nil, &device.Refusal{Reason: fmt.Sprintf("The %s is still at %s.", about.Kind,
			b.jobs[i].state.Name), Remedy: "Wait until it is done, or cancel that first."}
	}
	ctx, cancel := context.WithCancel(context.Background())
	b.started++
	j := &job{state: JobState{Number: b.started, Device: about, Name: data.Name}, data: data, maker: maker,
		cancel: cancel}
	b.jobs = append(b.jobs[max(0, len(b.jobs)+1-mostJobs):], j)
	begun := make(chan error, 1)
	go b.work(ctx, j, p, begun)
	return j, begun, nil
}

func (b *Bench) work(ctx context.Context, j *job, p *place, begun chan<- error) {
	defer j.cancel()
	first := true
	err := j.maker.Work(ctx, j.data, func(now device.Progress) {
		b.mu.Lock()
		j.state.Progress = now
		b.mu.Unlock()
		if first {
			first = false
			begun <- nil
		}
	})
	b.mu.Lock()
	defer b.mu.Unlock()
	j.state.Ended, j.state.Why, j.state.Jam = true, err, ""
	if errors.Is(err, device.ErrGone) {
		p.on = false
	}
	if first { // it never was begun
		b.forget(j)
		begun <- err
	}
}

// Jobs are those remembered, the newest first.
func (b *Bench) Jobs() []JobState {
	b.mu.Lock()
	defer b.mu.Unlock()
	out := make([]JobState, 0, len(b.jobs))
	for _, j := range slices.Backward(b.jobs) {
		out = append(out, j.state)
	}
	return out
}

// Job of a number.
func (b *Bench) Job(number int) (JobState, error) {
	j, err := b.job(number)
	if err != nil {
		return JobState{}, err
	}
	b.mu.Lock()
	defer b.mu.Unlock()
	return j.state, nil
}

// Data is what a job was sent with.
func (b *Bench) Data(number int) (device.Job, error) {
	j, err := b.job(number)
	if err != nil {
		return device.Job{}, err
	}
	return j.data, nil
}

// Resume goes on with a job that jammed; of one that works it does nothing.
func (b *Bench) Resume(number int) error {
	state, err := b.Job(number)
	if err != nil || state.Jam == "" {
		return err
	}
	j, err := b.job(number)
	if err != nil {
		return err
	}
	j.maker.Resume()
	return nil
}

// Cancel ends a job where it is; one that has ended is forgotten.
func (b *Bench) Cancel(number int) error {
	j, err := b.job(number)
	if err != nil {
		return err
	}
	j.cancel()
	b.mu.Lock()
	defer b.mu.Unlock()
	if j.state.Ended {
		b.forget(j)
	}
	return nil
}

func (b *Bench) forget(j *job) {
	b.jobs = slices.DeleteFunc(b.jobs, func(other *job) bool { return other == j })
}

func (b *Bench) job(number int) (*job, error) {
	b.mu.Lock()
	defer b.mu.Unlock()
	i := slices.IndexFunc(b.jobs, func(j *job) bool { return j.state.Number == number })
	if i < 0 {
		return nil, ErrUnknown
	}
	return b.jobs[i], nil
}
