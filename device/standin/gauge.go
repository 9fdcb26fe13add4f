// Package standin has small stand-ins for devices, to try the app without any: they send what
// they are told to, draw what they would cut, take their time, and can be made to fail.
package standin

import (
	"context"
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"strings"
	"sync"

	"umschlag/device"
)

// Faults are what can be set of a gauge.
type Faults struct {
	// Noise is how far a single value may be off either way, in millimetres or grams.
	Noise float64 `json:"noise"`
	// Unit it sends: mm, cm, in, g or oz; none for no unit; cm-as-in for the number of
	// centimetres with the sign of inches.
	Unit string `json:"unit"`
	// Battery in percent. Under 20 it reads a little long.
	Battery int `json:"battery"`
	// Gone tells that it answers no more.
	Gone bool `json:"gone"`
}

// Gauge is a stand-in for a tape measure or a scale.
type Gauge struct {
	about device.About

	mu      sync.Mutex
	faults  Faults
	random  *rand.Rand
	presses chan device.Reading
	gone    chan struct{}
}

// NewTape is a tape that is set to a unit.
func NewTape(unit string) *Gauge {
	return newGauge(device.About{ID: "tape", Name: "Bending tape", Kind: device.Tape}, unit)
}

// NewScale is a kitchen scale.
func NewScale() *Gauge {
	return newGauge(device.About{ID: "scale", Name: "Scale", Kind: device.Scale}, "g")
}

func newGauge(about device.About, unit string) *Gauge {
	// Its noise is the same at every start, so that what was seen can be seen again.
	return &Gauge{about: about, faults: Faults{Unit: unit, Battery: 100, Noise: 0.2},
		random:  rand.New(rand.NewPCG(1, 2)),
		presses: make(chan device.Reading, 8), gone: make(chan struct{})}
}

// About says what it is.
func (g *Gauge) About() device.About { return g.about }

// Faults as they are set.
func (g *Gauge) Faults() Faults {
	g.mu.Lock()
	defer g.mu.Unlock()
	return g.faults
}

// Set takes other faults; one that was gone answers again. It gives a *device.Refusal for
// what cannot be set.
func (g *Gauge) Set(f Faults) error {
	switch {
	case !slices.Contains(Units(g.about.Kind), f.Unit):
		return &device.Refusal{Reason: fmt.Sprintf("%q is no unit of a %s.", f.Unit, g.about.Kind),
			Remedy: "Choose " + strings.Join(Units(g.about.Kind), ", ") + "."}
	case f.Battery < 0 || f.Battery > 100:
		return &device.Refusal{Reason: fmt.Sprintf("A battery is not at %d%%.", f.Battery), Remedy: "Type 0 to 100."}
	case !(f.Noise >= 0 && f.Noise <= 100):
		return &device.Refusal{Reason: "That is no noise.", Remedy: "Type 0 to 100."}
	}
	g.mu.Lock()
	defer g.mu.Unlock()
	switch {
	case f.Gone && !g.faults.Gone:
		close(g.gone)
	case !f.Gone && g.faults.Gone:
		g.gone = make(chan struct{})
	}
	g.faults = f
	return nil
}

// repeats is how many values one press of the button sends.
const repeats = 5

// Press measures a size in millimetres or grams and sends what is read of it. It reports
// whether it was sent: a gauge that is gone sends nothing, nor one whose readings nobody
// takes.
func (g *Gauge) Press(size float64) bool {
	g.mu.Lock()
	defer g.mu.Unlock()
	if g.faults.Gone {
		return false
	}
	each, unit := unitOf(g.faults.Unit)
	r := device.Reading{Unit: unit, Battery: g.faults.Battery}
	drift := 1 + 0.01*math.Max(0, float64(20-g.faults.Battery))/20
	for range repeats {
		r.Values = append(r.Values, (size*drift+g.faults.Noise*(2*g.random.Float64()-1))/each)
	}
	select {
	case g.presses <- r:
		return true
	default:
		return false
	}
}

// unitOf is how much one of a unit is, in millimetres or grams, and what it is called.
func unitOf(unit string) (each float64, called string) {
	switch unit {
	case "cm-as-in":
		return 10, "in"
	case "none":
		return 10, ""
	}
	sizes := map[string]float64{"mm": 1, "cm": 10, "in": 25.4, "g": 1, "oz": 28.349523125}
	return sizes[unit], unit
}

// Units a gauge of a kind can be set to.
func Units(kind device.Kind) []string {
	if kind == device.Scale {
		return []string{"g", "oz", "none"}
	}
	return []string{"in", "cm", "mm", "none", "cm-as-in"}
}

// Next waits for the button.
func (g *Gauge) Next(ctx context.Context) (device.Reading, error) {
	g.mu.Lock()
	gone := g.gone
	g.mu.Unlock()
	select {
	case r := <-g.presses:
		return r, nil
	case <-gone:
		return device.Reading{}, device.ErrGone
	case <-ctx.Done():
		return device.Reading{}, ctx.Err()
	}
}
