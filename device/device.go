// Package device is how the app speaks with things outside it: gauges that send readings,
// and makers that take a job and work at it. A real thing is put in the place of a stand-in
// by a type that has these methods.
package device

import (
	"context"
	"errors"
)

// Kind of a device.
type Kind string

// The kinds of device.
const (
	Tape    Kind = "tape"
	Scale   Kind = "scale"
	Cutter  Kind = "cutter"
	Printer Kind = "printer"
)

// About is what a device says of itself.
type About struct {
	// ID tells it from others.
	ID   string
	Name string
	Kind Kind
}

// Device is a thing outside the app.
type Device interface{ About() About }

// Gauge is a device that sends readings when a maker presses its button.
type Gauge interface {
	Device
	// Next waits for the next reading. It gives ErrGone when the gauge does not answer any
	// more, and the context's error when that ends.
	Next(ctx context.Context) (Reading, error)
}

// Maker is a device that works at a job: a cutter or a printer.
type Maker interface {
	Device
	// Takes are the kinds of data it can read: plt, svg, pdf.
	Takes() []string
	// Work does a job to its end and tells how far it is. It gives a *Refusal for data it
	// cannot read, before it has begun; ErrGone when the device does not answer any more; and
	// the context's error when that ends. A jam is told, and waited out until Resume.
	Work(ctx context.Context, job Job, tell func(Progress)) error
	// Resume goes on after a jam; without one it does nothing.
	Resume()
}

// Job is what a maker is to do.
type Job struct {
	// Name as the person who sends it reads it.
	Name string
	// As is the kind of data: plt, svg or pdf.
	As   string
	Data []byte
}

// Progress is how far a maker is.
type Progress struct {
	// Done of Of, in Unit: millimetres or pages.
	Done, Of float64
	Unit     string
	// Jam says what stopped it and what to do; empty while it works.
	Jam string
}

// ErrGone is what a device gives that does not answer any more.
var ErrGone = errors.New("the device does not answer any more")

// Refusal says what a device or the app cannot take, and what to do instead.
type Refusal struct{ Reason, Remedy string }

func (r *Refusal) Error() string { return r.Reason + " " + r.Remedy }
