// Package kind holds the kinds of a thing by their names: one value for each says all that is particular
// to it, and nothing outside asks which it is.
package kind

import (
	"fmt"
	"slices"
)

// Set is the kinds of a thing in the order they were added. The zero value is empty and ready. Kinds are
// added before the first plan is read; a set is not changed while others look into it.
type Set[V any] struct {
	names  []string
	values map[string]V
}

// Add adds a kind by a name that none has yet; a second one of a name is a slip of the programmer, and
// panics. remove takes it out again, for tests.
func (s *Set[V]) Add(name string, v V) (remove func()) {
	if _, there := s.values[name]; there {
		panic(fmt.Sprintf("there is a kind %q already", name))
	}
	if s.values == nil {
		s.values = map[string]V{}
	}
	s.names = append(s.names, name)
	s.values[name] = v
	return func() {
		s.names = slices.DeleteFunc(s.names, func(other string) bool { return other == name })
		delete(s.values, name)
	}
}

// Of is the kind of a name; ok is false where there is none.
func (s *Set[V]) Of(name string) (v V, ok bool) {
	v, ok = s.values[name]
	return v, ok
}

// Names are those of all kinds, in the order they were added.
func (s *Set[V]) Names() []string { return slices.Clone(s.names) }
