package drawing

import (
	"fmt"
	"math"
	"strings"
)

// Agrees is how far, in millimetres, a pattern may be off and still be the same: less than a
// pencil line.
const Agrees = 0.1

// Compared is a piece of a plan beside what a pattern has of that name.
type Compared struct {
	// Title as the plan has it, or the pattern where the plan has none of that name.
	Title string
	// Missing tells that the pattern has no such piece, Unknown that the plan has none.
	Missing, Unknown bool
	// Off is what differs, each in a sentence; none where they agree.
	Off []string
}

// key is a title as patterns can write it: capitals and figures.
func key(title string) string {
	return strings.Map(func(r rune) rune {
		switch {
		case r >= 'a' && r <= 'z':
			return r - 'a' + 'A'
		case r >= 'A' && r <= 'Z' || r >= '0' && r <= '9':
			return r
		}
		return -1
	}, title)
}

// Compare holds the pieces of a pattern against those of a plan, by their titles: a number in
// front, as files have it, does not count. Lengths are written by the plan's own style.
func Compare(plan, pattern []Drawing, write func(mm float64) string) []Compared {
	var out []Compared
	used := map[int]bool{}
	for _, own := range plan {
		found := -1
		for i, other := range pattern {
			if !used[i] && strings.TrimLeft(key(other.Title), "0123456789") == strings.TrimLeft(key(own.Title),
				"0123456789") {
				found = i
				break
			}
		}
		if found < 0 {
			out = append(out, Compared{Title: own.Title, Missing: true})
			continue
		}
		used[found] = true
		out = append(out, Compared{Title: own.Title, Off: differences(own, pattern[found], write)})
	}
	for i, other := range pattern {
		if !used[i] {
			out = append(out, Compared{Title: other.Title, Unknown: true})
		}
	}
	return out
}

// compared are the layers whose lengths have to be the same, and what they are called.
var compared = []struct {
	layer Layer
	name  string
}{{Cut, "cut line"}, {Sew, "sewn line"}, {Internal, "inner lines"}, {Grain, "grain arrow"},
	{Notch, "marks at the edges"}}

func differences(own, other Drawing, write func(mm float64) string) []string {
	var out []string
	for _, c := range compared {
		a, b := own.Length(c.layer), other.Length(c.layer)
		switch {
		case b == 0 && a > 0:
			out = append(out, fmt.Sprintf("The pattern lacks the %s.", c.name))
		case a == 0 && b > 0:
			out = append(out, fmt.Sprintf("The plan lacks the %s that the pattern has.", c.name))
		case math.Abs(a-b) > Agrees:
			out = append(out, fmt.Sprintf("Length of the %s: %s in the pattern, %s in the plan.", c.name, write(b),
				write(a)))
		}
	}
	for _, side := range []struct {
		name string
		a, b float64
	}{{"across", span(own, true), span(other, true)}, {"up", span(own, false), span(other, false)}} {
		if math.Abs(side.a-side.b) > Agrees {
			out = append(out, fmt.Sprintf("Cut %s: %s in the pattern, %s in the plan.", side.name, write(side.b),
				write(side.a)))
		}
	}
	return out
}

// span is how far the cut line of a drawing reaches.
func span(d Drawing, across bool) float64 {
	least, most := math.Inf(1), math.Inf(-1)
	for _, l := range d.Lines {
		if l.Layer != Cut {
			continue
		}
		for _, flat := range l.Path.Flat(Fine) {
			for _, p := range flat.Points {
				v := p.Y
				if across {
					v = p.X
				}
				least, most = math.Min(least, v), math.Max(most, v)
			}
		}
	}
	return math.Max(0, most-least)
}
