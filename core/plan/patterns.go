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
	// Follows is what of a face its lines go by: seams, patches, shapes; empty where it is quilted whatever lies there.
	Follows Followed
	// Make is the pattern with a distance between its lines, or from what it follows.
	Make func(apart length.Length) Quilting
}

// Followed is what of a face quilting may go by.
type Followed string

// What quilting may go by.
const (
	FollowsSeams   Followed = "seams"
	FollowsPatches Followed = "patches"
	FollowsShapes  Followed = "shapes"
)

// Patterns are the quilting patterns that go by a name, no quilting first. Lines, take-up, thread and steps follow
// from what one makes.
var Patterns kind.Set[PatternRules]

// beside is how far from a seam or a shape is usually stitched, where lines are as far apart. Common practice.
func beside(apart length.Length) length.Length {
	if apart.OnInches() {
		return in / 4
	}
	return 6 * length.Millimetre
}

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
	Patterns.Add("none", PatternRules{Says: "not quilted", Make: lines()})
	Patterns.Add("cross", PatternRules{Says: "quilted in a cross-hatch", Make: lines(45, -45)})
	Patterns.Add("squares", PatternRules{Says: "quilted in squares", Make: lines(0, 90)})
	Patterns.Add("diagonal", PatternRules{Says: "quilted in diagonals", Make: lines(45)})
	Patterns.Add("upright", PatternRules{Says: "quilted in upright lines", Make: lines(90)})
	Patterns.Add("level", PatternRules{Says: "quilted in level lines", Make: lines(0)})
	Patterns.Add("wave", PatternRules{Says: "quilted in serpentines", Make: func(apart length.Length) Quilting {
		return Quilting{Lines: []LineFamily{{Pitch: apart, Wave: in / 4}}}
	}})
	Patterns.Add("echo", PatternRules{Says: "quilted in rounds along the edge",
		Make: func(apart length.Length) Quilting { return Quilting{Echo: apart} }})
	Patterns.Add("corners", PatternRules{Says: "quilted corner to corner", Follows: FollowsPatches,
		Make: func(length.Length) Quilting { return Quilting{Corners: true} }})
	Patterns.Add("ditch", PatternRules{Says: "quilted in the ditch", Follows: FollowsSeams,
		Make: func(length.Length) Quilting { return Quilting{Ditch: true} }})
	Patterns.Add("beside", PatternRules{Says: "quilted beside the seams", Follows: FollowsSeams,
		Make: func(apart length.Length) Quilting { return Quilting{Beside: beside(apart)} }})
	Patterns.Add("around", PatternRules{Says: "quilted around the shapes", Follows: FollowsShapes,
		Make: func(apart length.Length) Quilting { return Quilting{Around: beside(apart)} }})
	Patterns.Add("free", PatternRules{Says: "quilted in free motion",
		Make: func(apart length.Length) Quilting { return Quilting{Free: apart} }})
}

// OwnPattern is the name of a quilting that is none of the patterns that go by one.
const OwnPattern = "own"

// Pattern is the name of the pattern a quilting is of; OwnPattern for what has none. Whether seams are stitched in the
// ditch beside it, and how borders are quilted by themselves, makes no other of it.
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
	free, wave, echo, ditch, corners, beside, around bool
	angles                                           []float64
}

func (q Quilting) traits() traits {
	t := traits{corners: q.Corners, beside: q.Beside > 0, around: q.Around > 0}
	switch {
	case q.Free > 0:
		t.free = true
	case slices.ContainsFunc(q.Lines, func(l LineFamily) bool { return l.Wave > 0 }):
		t.wave = true
	case len(q.Lines) > 0:
		for _, l := range q.Lines {
			t.angles = append(t.angles, l.Angle)
		}
	case q.Echo > 0:
		t.echo = true
	default:
		t.ditch = q.Ditch && !t.corners && !t.beside && !t.around
	}
	return t
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
// usual, and its borders as they are. What was decided of this one is kept aside in its turn.
func (q Quilting) As(key string, usual length.Length) Quilting {
	kept, now := maps.Clone(q.Aside), q.Pattern()
	q.Aside = nil
	next, back := kept[key]
	if delete(kept, key); !back {
		if pattern, known := Patterns.Of(key); known {
			next = pattern.Make(q.apart(usual))
		}
		if next.Any() {
			next.Borders = q.Borders
		}
	}
	plain, _ := Patterns.Of(now)
	if q.Any() && (now == OwnPattern || !reflect.DeepEqual(q, q.begun(plain, usual))) {
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

// begun is a pattern as it begins in the place of a quilting.
func (q Quilting) begun(p PatternRules, usual length.Length) Quilting {
	begun := p.Make(q.apart(usual))
	begun.Borders = q.Borders
	return begun
}

// In is a quilting of which the borders are quilted so; nil as what lies inside them.
func (q Quilting) In(borders *BorderQuilting) Quilting {
	q.Borders = borders
	return q
}

// On reports whether quilting finds it on a face; nothing is found on every one.
func (what Followed) On(f *Face) bool {
	if what == "" || f == nil {
		return what == ""
	}
	if slices.ContainsFunc(f.Parts, func(p Part) bool { return what.On(&p.Face) }) {
		return true
	}
	switch what {
	case FollowsPatches:
		return f.Kind == GridFace || f.Kind == CheckerFace
	case FollowsShapes:
		return slices.ContainsFunc(f.Applique, func(s Shape) bool { return s.Edge != DrawnLine })
	}
	return slices.Contains([]FaceKind{GridFace, CheckerFace, StripsFace, StackFace}, f.Kind) || len(f.Borders) > 0
}
