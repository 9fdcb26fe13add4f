package sample

import (
	"fmt"
	"strings"

	"umschlag/core/length"
	"umschlag/core/plan"
)

// Told is one figure a sample gives, in words.
type Told struct {
	Name string `json:"name"`
	Text string `json:"text"`
	// Spread over repeats, in the same unit; empty with one.
	Spread string `json:"spread,omitempty"`
}

// Tell says what a sample gives; nothing before it is measured.
func Tell(s plan.Sample, style length.Style) []Told {
	out := []Told{}
	percent := func(name string, f Figure, factor float64) {
		out = append(out, told(name, f,
			func(v float64) string { return strings.Replace(fmt.Sprintf("%.2f%%", factor*v), "-", "−", 1) }))
	}
	switch s.Kind {
	case plan.QuiltingSample:
		if q, ok := Quilted(s); ok {
			percent("taken across", q.Across, 100)
			percent("taken up", q.Along, 100)
			out = append(out, Told{Name: "loft of each side", Text: fmt.Sprintf("%.2f mm", q.Bulge.Float()/1e6)})
		}
	case plan.GatherSample:
		if f, ok := Gathered(s); ok {
			out = append(out, told("before ÷ after", f, func(v float64) string { return fmt.Sprintf("%.3f", v) }))
		}
	case plan.StripSample:
		if f, ok := Seams(s); ok {
			name := "each seam is fat by"
			if f.Mean < 0 {
				name, f.Mean = "each seam is narrow by", -f.Mean
			}
			out = append(out, told(name, f, func(v float64) string { return style.Text(length.FromFloat(v)) }))
		}
	case plan.WashSample:
		if w, h, ok := Washed(s); ok {
			percent("change across", w, 1)
			percent("change up", h, 1)
		}
	}
	return out
}

func told(name string, f Figure, text func(float64) string) Told {
	t := Told{Name: name, Text: text(f.Mean)}
	if f.N > 1 {
		t.Spread = text(f.SD)
	}
	return t
}

// Instructions say how a sample is sewn and measured.
func Instructions(s plan.Sample, style length.Style) []string {
	text := style.Text
	switch s.Kind {
	case plan.QuiltingSample:
		return []string{
			fmt.Sprintf("Cut the same outer fabric, batting and lining as in the cover, %s × %s, the grain running the same way.", text(s.Before.Width), text(s.Before.Height)),
			"Draw a square a hand inside the edge and measure it, across and up: what lies outside its lines is not quilted as the rest.",
			"Quilt it as the cover will be, in the same order, with the same foot and tension.",
			"Let it lie for an hour, do not press it, and measure the drawn square again.",
		}
	case plan.GatherSample:
		return []string{
			fmt.Sprintf("Cut a strip of the same fabric, %s × %s.", text(s.Before.Width), text(s.Before.Height)),
			"Sew the same rows as in the cover, and draw them in as you like it.",
			"Measure it without pulling.",
		}
	case plan.StripSample:
		return []string{
			fmt.Sprintf("Cut three strips, each %s wide and about a hand long.", text(s.Cut)),
			fmt.Sprintf("Sew them side by side with your seam of %s, press as you always do.", text(s.Seam)),
			fmt.Sprintf("Measure what the middle strip shows between its seams: %s would be true.",
				text(s.Cut-2*s.Seam)),
		}
	}
	return []string{
		fmt.Sprintf("Cut a square of %s × %s, finish its edges, and mark it a hand inside.", text(s.Before.Width),
			text(s.Before.Height)),
		"Measure between the marks, across and along the grain.",
		"Wash and dry it as the cover will be, press it, and measure again.",
	}
}
