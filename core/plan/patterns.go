package plan

import (
	"umschlag/core/kind"
	"umschlag/core/length"
)

// PatternRules is a quilting pattern that goes by a name.
type PatternRules struct {
	// Says follows the layers in a sentence.
	Says string
	// Make is the pattern with a distance between its lines.
	Make func(apart length.Length) Quilting
}

// Patterns are the quilting patterns that go by a name, no quilting first. Lines, take-up, thread and steps follow
// from what one makes.
var Patterns kind.Set[PatternRules]

func init() {
	lines := func(angles ...float64) func(length.Length) Quilting {
		return func(apart length.Length) Quilting {
			var q Quilting
			for _, angle := range angles {
				q.Lines = append(q.Lines, LineFamily{Pitch: apart, Angle: angle})
			}
			return q
		}
	}
	Patterns.Add("none", PatternRules{"not quilted", lines()})
	Patterns.Add("cross", PatternRules{"quilted in a cross-hatch", lines(45, -45)})
	Patterns.Add("squares", PatternRules{"quilted in squares", lines(0, 90)})
	Patterns.Add("diagonal", PatternRules{"quilted in diagonals", lines(45)})
	Patterns.Add("upright", PatternRules{"quilted in upright lines", lines(90)})
	Patterns.Add("level", PatternRules{"quilted in level lines", lines(0)})
	Patterns.Add("wave", PatternRules{"quilted in serpentines", func(apart length.Length) Quilting {
		return Quilting{Lines: []LineFamily{{Pitch: apart, Wave: in / 4}}}
	}})
	Patterns.Add("echo", PatternRules{"quilted in rounds along the edge",
		func(apart length.Length) Quilting { return Quilting{Echo: apart} }})
	Patterns.Add("ditch", PatternRules{"quilted in the ditch",
		func(length.Length) Quilting { return Quilting{Ditch: true} }})
	Patterns.Add("free", PatternRules{"quilted in free motion",
		func(apart length.Length) Quilting { return Quilting{Free: apart} }})
}
