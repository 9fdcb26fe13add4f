package plan

import (
	"fmt"

	"umschlag/core/finding"
	"umschlag/core/length"
)

// SampleKind is what a sample is to tell.
type SampleKind string

// The kinds of samples.
const (
	QuiltingSample SampleKind = "quilting"
	GatherSample   SampleKind = "gather"
	StripSample    SampleKind = "strips"
	WashSample     SampleKind = "wash"
)

// Values lists the kinds, the usual one first.
func (SampleKind) Values() []string { return []string{"quilting", "gather", "strips", "wash"} }

// Sample is a small piece that is sewn, gathered or washed and measured before and after.
type Sample struct {
	Title string     `json:"title" jsonschema:"required"`
	Kind  SampleKind `json:"kind" jsonschema:"required"`
	// Units of bare lengths in it.
	Units length.Unit `json:"units,omitempty"`
	// Cloth it is of, by its name.
	Cloth string `json:"cloth,omitempty"`
	// Layers and Quilting of a test square.
	Layers   *Layers   `json:"layers,omitempty"`
	Quilting *Quilting `json:"quilting,omitempty"`
	// Before are its sizes before: of a gathered one the width alone.
	Before Sized `json:"before,omitempty"`
	// After is what it measures after, once for every repeat.
	After []Sized `json:"after,omitempty"`
	// Cut and Seam of three strips: how wide each is cut, and the seam that is wanted.
	Cut  length.Length `json:"cut,omitempty"`
	Seam length.Length `json:"seam,omitempty"`
	// Notes of the maker.
	Notes string `json:"notes,omitempty"`
}

// Sized is a width and a height as measured.
type Sized struct {
	Width  length.Length `json:"width,omitempty"`
	Height length.Length `json:"height,omitempty"`
}

// Samples are samples of every kind as they begin, in a unit. The sizes are common
// practice.
func Samples(unit length.Unit) []Sample {
	side, strip, cut, seam, pitch, long := 10*in, 2*in, 3*in/2, in/4, in, 14*in
	if unit != length.Inches {
		side, strip, cut, seam, pitch, long = 25*cm, 5*cm, 4*cm, 7*length.Millimetre, 25*length.Millimetre, 35*cm
	}
	batting := &Layers{Batting: &Batting{Count: 1, Loft: defaultLoft}}
	return []Sample{
		{Title: "Test square", Kind: QuiltingSample, Layers: batting,
			Quilting: &Quilting{Lines: []LineFamily{{Pitch: pitch, Angle: 45}, {Pitch: pitch, Angle: -45}}},
			Before:   Sized{Width: side, Height: side}},
		{Title: "Gathered strip", Kind: GatherSample, Before: Sized{Width: long, Height: strip}},
		{Title: "Three strips", Kind: StripSample, Cut: cut, Seam: seam, Before: Sized{Width: side}},
		{Title: "Washed square", Kind: WashSample, Before: Sized{Width: side, Height: side}},
	}
}

// ValidateSample finds what is missing or senseless in a sample.
func (p Plan) ValidateSample(s Sample) finding.List {
	v := &Judge{style: p.Style()}
	v.text("/title", "A sample needs a name", s.Title)
	if s.Kind == StripSample {
		v.Between("/cut", "The width of a strip", s.Cut, length.Inch/2, 12*length.Inch)
		v.Between("/seam", "The seam that is wanted", s.Seam, leastSeam, mostSeam)
	} else {
		v.Size("/before/width", "The width before", s.Before.Width)
	}
	if s.Kind == QuiltingSample || s.Kind == WashSample {
		v.Size("/before/height", "The height before", s.Before.Height)
	}
	if s.Kind == QuiltingSample && !s.Quilting.Any() {
		v.Stop("/quilting", "A test square without quilting tells nothing.", "Choose how it is quilted.")
	}
	if s.Quilting != nil {
		judgeQuilting(v, "/quilting", *s.Quilting)
	}
	if s.Layers != nil {
		judgeLayers(v, "/layers", *s.Layers)
	}
	if len(s.After) > mostRepeats {
		v.Stop("/after", fmt.Sprintf("%d repeats are more than tell anything.", len(s.After)),
			fmt.Sprintf("Keep up to %d.", mostRepeats))
	}
	for i, a := range s.After {
		v.after(fmt.Sprintf("/after/%d", i), s, a)
	}
	return v.found
}

// mostRepeats of one sample.
const mostRepeats = 20

// after finds a measurement that is a slip: gathered cloth is shorter than before, and no
// square changes by half.
func (v *Judge) after(path string, s Sample, a Sized) {
	for _, d := range []struct {
		key, what   string
		now, before length.Length
	}{{"width", "The width", a.Width, s.Before.Width}, {"height", "The height", a.Height, s.Before.Height}} {
		if d.now == 0 {
			continue
		}
		v.Size(path+"/"+d.key, d.what+" after", d.now)
		switch {
		case s.Kind == GatherSample && d.key == "width" && d.now >= d.before:
			v.Stop(path+"/"+d.key,
				fmt.Sprintf("Gathered, it cannot be %s: it was %s before.", v.style.Text(d.now),
					v.style.Text(d.before)), "Type what it measures drawn in.")
		case (s.Kind == QuiltingSample || s.Kind == WashSample) && (d.now < d.before*2/3 || d.now > d.before*11/10):
			v.Stop(path+"/"+d.key,
				fmt.Sprintf("%s was %s before, and is %s now?", d.what, v.style.Text(d.before), v.style.Text(d.now)),
				"Measure once more: a square loses less than a third.")
		case s.Kind == StripSample && d.key == "width" && d.now >= s.Cut:
			v.Stop(path+"/"+d.key,
				fmt.Sprintf("The middle strip was cut %s wide and cannot show %s.", v.style.Text(s.Cut),
					v.style.Text(d.now)), "Type what the middle strip shows between its seams.")
		}
	}
}
