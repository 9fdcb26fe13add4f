package standin

import (
	"bytes"
	"context"
	"errors"
	"fmt"
	"math"
	"regexp"
	"strings"
	"sync"
	"time"

	"umschlag/core/shape"
	"umschlag/device"
	"umschlag/format/drawing"
	"umschlag/format/hpgl"
	"umschlag/format/svgfile"
)

// Pace is what can be set of a maker.
type Pace struct {
	// Speed in millimetres or pages a second.
	Speed float64 `json:"speed"`
	// JamAfter is the share of a job, in percent, after which it jams once; 0 for never.
	JamAfter float64 `json:"jam_after"`
	// Gone tells that it answers no more.
	Gone bool `json:"gone"`
}

// Maker is a stand-in for a cutter or a printer.
type Maker struct {
	about device.About
	takes []string
	unit  string
	jams  string
	// size is how much there is to do in a job.
	size func(device.Job) (float64, error)
	// pause waits; tests need not.
	pause func(context.Context, time.Duration) error

	mu     sync.Mutex
	pace   Pace
	resume chan struct{}
}

// NewCutter is a cutter that takes HP-GL and SVG.
func NewCutter() *Maker {
	return &Maker{about: device.About{ID: "cutter", Name: "Cutter", Kind: device.Cutter}, takes: []string{"plt", "svg"},
		unit: "mm",
		jams: "The fabric has slipped under the knife. Smooth it down where it lies, and go on.",
		size: func(j device.Job) (float64, error) {
			strokes, err := Strokes(j)
			return lengthOf(strokes), err
		},
		pause: wait, pace: Pace{Speed: 400}, resume: make(chan struct{}, 1)}
}

// NewPrinter is a printer of pages and labels that takes PDF.
func NewPrinter() *Maker {
	return &Maker{about: device.About{ID: "printer", Name: "Printer of pages and labels", Kind: device.Printer},
		takes: []string{"pdf"}, unit: "pages",
		jams: "A sheet is caught in the printer. Take it out, put paper in, and go on.",
		size: pages, pause: wait, pace: Pace{Speed: 1}, resume: make(chan struct{}, 1)}
}

// About says what it is.
func (m *Maker) About() device.About { return m.about }

// Takes names what it can read.
func (m *Maker) Takes() []string { return m.takes }

// Pace as it is set.
func (m *Maker) Pace() Pace {
	m.mu.Lock()
	defer m.mu.Unlock()
	return m.pace
}

// Set takes another pace, also in the middle of a job. It gives a *device.Refusal for what
// cannot be set.
func (m *Maker) Set(p Pace) error {
	if !(p.Speed > 0 && p.Speed <= 1e6) || !(p.JamAfter >= 0 && p.JamAfter <= 100) {
		return &device.Refusal{Reason: "That is no pace.",
			Remedy: "Type a speed over 0, and a share of 0 to 100 after which it jams."}
	}
	m.mu.Lock()
	defer m.mu.Unlock()
	m.pace = p
	return nil
}

// Resume goes on after a jam.
func (m *Maker) Resume() {
	select {
	case m.resume <- struct{}{}:
	default: // it was told already
	}
}

// tick is how often it tells how far it is.
const tick = 100 * time.Millisecond

// Work does a job at its pace.
func (m *Maker) Work(ctx context.Context, job device.Job, tell func(device.Progress)) error {
	total, err := m.size(job)
	if err != nil {
		return err
	}
	jammed := false
	for done := 0.0; ; {
		pace := m.Pace()
		if pace.Gone {
			return device.ErrGone
		}
		if stop := pace.JamAfter / 100 * total; pace.JamAfter > 0 && !jammed && done >= stop {
			jammed = true
			select {
			case <-m.resume: // said before there was anything to go on with
			default:
			}
			tell(device.Progress{Done: done, Of: total, Unit: m.unit, Jam: m.jams})
			select {
			case <-m.resume:
			case <-ctx.Done():
				return ctx.Err()
			}
		}
		tell(device.Progress{Done: done, Of: total, Unit: m.unit})
		if done >= total {
			return nil
		}
		if err := m.pause(ctx, tick); err != nil {
			return err
		}
		done = math.Min(total, done+math.Max(0, pace.Speed)*tick.Seconds())
	}
}

func wait(ctx context.Context, d time.Duration) error {
	timer := time.NewTimer(d)
	defer timer.Stop()
	select {
	case <-timer.C:
		return nil
	case <-ctx.Done():
		return ctx.Err()
	}
}

// Strokes are what a cutter would do for a job: what it draws and what it cuts, in order.
func Strokes(j device.Job) ([]hpgl.Stroke, error) {
	switch j.As {
	case "plt":
		strokes, err := hpgl.Read(j.Data)
		return strokes, asRefusal(err)
	case "svg":
		found, err := svgfile.Read(j.Data)
		if err != nil {
			return nil, asRefusal(err)
		}
		return outlined(found), nil
	}
	return nil, &device.Refusal{Reason: fmt.Sprintf("The cutter cannot read %s.", strings.ToUpper(j.As)),
		Remedy: "Send it as HP-GL or SVG."}
}

// outlined are the outlines of an SVG drawing as strokes; its y goes down.
func outlined(found drawing.Found) []hpgl.Stroke {
	var out []hpgl.Stroke
	for _, o := range found.Outlines {
		for _, line := range o.Path.Flat(drawing.Fine) {
			s := hpgl.Stroke{Pen: 1}
			for _, p := range line.Points {
				s.Points = append(s.Points, shape.Point{X: p.X, Y: -p.Y})
			}
			if line.Closed {
				s.Points = append(s.Points, s.Points[0])
			}
			out = append(out, s)
		}
	}
	return out
}

func asRefusal(err error) error {
	var r *drawing.Refusal
	if errors.As(err, &r) {
		return &device.Refusal{Reason: r.Reason, Remedy: r.Remedy}
	}
	return err
}

func lengthOf(strokes []hpgl.Stroke) float64 {
	total := 0.0
	for _, s := range strokes {
		total += s.Length()
	}
	return total
}

// page is where a page begins in a PDF whose objects are not packed.
var page = regexp.MustCompile(`/Type\s*/Page\b[^s]`)

// pages counts those of a PDF.
func pages(j device.Job) (float64, error) {
	if j.As != "pdf" || !bytes.HasPrefix(j.Data, []byte("%PDF-")) {
		return 0, &device.Refusal{Reason: fmt.Sprintf("The printer cannot read %s.", strings.ToUpper(j.As)),
			Remedy: "Send it as PDF."}
	}
	n := len(page.FindAll(j.Data, -1))
	if n == 0 {
		return 0, &device.Refusal{Reason: "There is no page in the file.",
			Remedy: "Make the PDF again and send it again."}
	}
	return float64(n), nil
}
