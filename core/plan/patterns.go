package plan

import (
	"maps"
	"reflect"
	"slices"

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

// OwnPattern is the name of a quilting that is none of the patterns that go by one.
const OwnPattern = "own"

// Pattern is the name of the pattern a quilting is of; OwnPattern for what has none.
func (q Quilting) Pattern() string {
	for _, key := range Patterns.Names() {
		if pattern, _ := Patterns.Of(key); reflect.DeepEqual(pattern.Make(in).traits(), q.traits()) {
			return key
		}
	}
	return OwnPattern
}

// traits are what tells one pattern from another, whatever its sizes: what is sewn with lines goes by the lines.
type traits struct {
	free, wave, echo, ditch bool
	angles                  []float64
}

func (q Quilting) traits() traits {
	switch {
	case q.Free > 0:
		return traits{free: true}
	case slices.ContainsFunc(q.Lines, func(l LineFamily) bool { return l.Wave > 0 }):
		return traits{wave: true}
	case len(q.Lines) > 0:
		var angles []float64
		for _, l := range q.Lines {
			angles = append(angles, l.Angle)
		}
		return traits{angles: angles}
	}
	return traits{echo: q.Echo > 0, ditch: q.Ditch && q.Echo == 0}
}

// apart is how far apart its lines are, or as is usual where it has none.
func (q Quilting) apart(usual length.Length) length.Length {
	switch {
	case len(q.Lines) > 0 && q.Lines[0].Pitch > 0:
		return q.Lines[0].Pitch
	case q.Echo > 0:
		return q.Echo
	case q.Free > 0:
		return q.Free
	}
	return usual
}

// As is a quilting in another pattern: as it was kept aside, or as that begins, its lines as far apart, or as is
// usual. What was decided of this one is kept aside in its turn.
func (q Quilting) As(key string, usual length.Length) Quilting {
	kept, now := maps.Clone(q.Aside), q.Pattern()
	q.Aside = nil
	next, back := kept[key]
	if delete(kept, key); !back {
		if pattern, known := Patterns.Of(key); known {
			next = pattern.Make(q.apart(usual))
		}
	}
	plain, _ := Patterns.Of(now)
	if q.Any() && (now == OwnPattern || !reflect.DeepEqual(q, plain.Make(q.apart(usual)))) {
		if kept == nil {
			kept = map[string]Quilting{}
		}
		kept[now] = q
	}
	if next.Aside = nil; len(kept) > 0 {
		next.Aside = kept
	}
	return next
}
