package planfile

import (
	"fmt"
	"maps"
	"slices"
	"strings"

	"umschlag/core/plan"
)

// keptAside names what is kept aside under a word that it would not come back by.
func keptAside(p plan.Plan) Problems {
	out := aside{}
	out.pieces("/pieces", p.Pieces)
	for kind, pieces := range each(p.Cover.Aside) {
		path := "/cover/aside/" + kind
		out.word(path, kind, plan.CoverKind("").Values())
		out.pieces(path, pieces)
	}
	closures := plan.Closures(p.Units)
	for key, back := range each(p.Back.Aside) {
		path := "/back/aside/" + key
		i := slices.IndexFunc(closures, func(c plan.Closure) bool { return c.Key == key })
		switch {
		case i < 0:
			keys := make([]string, len(closures))
			for i, c := range closures {
				keys[i] = c.Key
			}
			out.word(path, key, keys)
		case back.Closure() != key:
			out.add(path, "it closes as %q, and is kept aside under that word", back.Closure())
		}
		out.once(path, len(back.Aside))
	}
	return out.problems
}

type aside struct{ problems Problems }

func (a *aside) add(path, text string, args ...any) {
	a.problems = append(a.problems, Problem{Path: path, Text: fmt.Sprintf(text, args...)})
}

func (a *aside) word(path, word string, known []string) {
	if !slices.Contains(known, word) {
		a.add(path, "%q is not known here; type one of %s", word, strings.Join(known, ", "))
	}
}

// once refuses what would be kept aside of something that is kept aside itself.
func (a *aside) once(path string, within int) {
	if within > 0 {
		a.add(path+"/aside", "remove this: what is kept aside keeps nothing aside")
	}
}

func (a *aside) pieces(path string, pieces map[string]plan.Piece) {
	for name, q := range each(pieces) {
		if q.Face != nil {
			a.face(path+"/"+name+"/face", *q.Face)
		}
		if q.Quilting != nil {
			for pattern, kept := range each(q.Quilting.Aside) {
				a.once(path+"/"+name+"/quilting/aside/"+pattern, len(kept.Aside))
			}
		}
	}
}

func (a *aside) face(path string, f plan.Face) {
	for kind, kept := range each(f.Aside) {
		path := path + "/aside/" + kind
		switch {
		case kept == nil:
			a.add(path, "a design belongs here, or remove it")
			continue
		case kind == string(f.Kind):
			a.add(path, "the design is of this kind now, so remove this")
		case string(kept.Kind) != kind:
			a.add(path+"/kind", "it is kept aside as %q, so type that", kind)
		}
		a.once(path, len(kept.Aside))
		a.face(path, *kept)
	}
	for i, part := range f.Parts {
		a.face(fmt.Sprintf("%s/parts/%d/face", path, i), part.Face)
	}
}

// each goes through a map by its words.
func each[V any](m map[string]V) func(func(string, V) bool) {
	return func(yield func(string, V) bool) {
		for _, key := range slices.Sorted(maps.Keys(m)) {
			if !yield(key, m[key]) {
				return
			}
		}
	}
}
