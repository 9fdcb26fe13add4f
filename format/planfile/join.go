package planfile

import (
	"fmt"
	"reflect"
	"slices"
	"strings"

	"umschlag/core/length"
)

// Side is one of two that changed a document.
type Side string

// The sides.
const (
	NoSide Side = ""
	Mine   Side = "mine"
	Theirs Side = "theirs"
)

// Joined is a document with what two sides changed of it, each by itself. What both changed otherwise is told by its
// paths, and nothing is joined then. Parts that have keys are told apart by them, whatever their order; a side that
// shows the plan in another unit changes nothing else by that. Where one side is preferred it is as that side has it.
func Joined(base, mine, theirs []byte, prefer Side) (joined []byte, apart []string, err error) {
	base, mine, theirs, err = inOneUnit(base, mine, theirs)
	if err != nil {
		return nil, nil, err
	}
	var docs [3]*object
	for i, data := range [][]byte{base, mine, theirs} {
		if docs[i], err = document(data); err != nil {
			return nil, nil, err
		}
	}
	j := joiner{prefer: prefer}
	out := j.node("", docs[0], docs[1], docs[2])
	if len(j.apart) > 0 && prefer == NoSide {
		return nil, j.apart, nil
	}
	file, _ := out.(*object) // all three are objects
	joined = print(file)
	if _, err := Read(joined); err != nil { // each can be read, both together cannot
		return nil, []string{""}, nil
	}
	return joined, j.apart, nil
}

// inOneUnit are the three in the unit that one of the sides changed to.
func inOneUnit(base, mine, theirs []byte) ([]byte, []byte, []byte, error) {
	var units [3]length.Unit
	for i, data := range [][]byte{base, mine, theirs} {
		file, err := document(data)
		if err != nil {
			return nil, nil, nil, err
		}
		units[i] = (&reader{}).unitOf(file)
	}
	var err error
	in := func(data []byte, unit length.Unit) []byte {
		out, problem := Converted(data, unit)
		if problem != nil {
			err = problem
		}
		return out
	}
	switch {
	case units[0] == units[1] && units[1] == units[2]:
	case units[2] != units[0]: // theirs is there already
		base, mine = in(base, units[2]), in(mine, units[2])
	default:
		base, theirs = in(base, units[1]), in(theirs, units[1])
	}
	return base, mine, theirs, err
}

// joiner joins values that stand at one path of three documents; nil is none.
type joiner struct {
	prefer Side
	apart  []string
}

func (j *joiner) node(path string, base, mine, theirs node) node {
	switch {
	case same(mine, theirs), same(base, theirs):
		return mine
	case same(base, mine):
		return theirs
	}
	a, isA := mine.(*object)
	b, isB := theirs.(*object)
	if was, is := base.(*object); isA && isB && (is || base == nil) {
		if !is {
			was = &object{}
		}
		return j.object(path, was, a, b)
	}
	x, isX := mine.([]node)
	y, isY := theirs.([]node)
	if was, is := base.([]node); isX && isY && (is || base == nil) {
		if out, ok := j.list(path, was, x, y); ok {
			return out
		}
	}
	j.apart = append(j.apart, path)
	if j.prefer == Mine {
		return mine
	}
	return theirs
}

func same(a, b node) bool { return reflect.DeepEqual(plainOf(a), plainOf(b)) }

// plainOf is a value without the order of its keys.
func plainOf(n node) any {
	switch v := n.(type) {
	case *object:
		out := map[string]any{}
		for k, m := range v.values {
			out[k] = plainOf(m)
		}
		return out
	case []node:
		out := make([]any, len(v))
		for i, m := range v {
			out[i] = plainOf(m)
		}
		return out
	}
	return n
}

// object joins key by key, in the order of theirs and then of mine.
func (j *joiner) object(path string, base, mine, theirs *object) *object {
	out := &object{values: map[string]node{}}
	for _, key := range append(slices.Clone(theirs.keys), mine.keys...) {
		if _, done := out.values[key]; done {
			continue
		}
		if v := j.node(path+"/"+key, base.values[key], mine.values[key], theirs.values[key]); v != nil {
			out.keys = append(out.keys, key)
			out.values[key] = v
		}
	}
	return out
}

// list joins lists of parts that have keys, and lists that are sets; ok is false of others, which are one value.
func (j *joiner) list(path string, base, mine, theirs []node) (out []node, ok bool) {
	name := identity
	if strings.HasPrefix(path, "/progress/") {
		name = written
	}
	was, ok1 := called(base, name)
	a, ok2 := called(mine, name)
	b, ok3 := called(theirs, name)
	if !ok1 || !ok2 || !ok3 {
		return nil, false
	}
	order, ok := ordered(was.keys, a.keys, b.keys)
	if !ok {
		return nil, false
	}
	for _, key := range order {
		at := fmt.Sprintf("%s/%s", path, key)
		if v := j.node(at, was.values[key], a.values[key], b.values[key]); v != nil {
			out = append(out, v)
		}
	}
	if out == nil {
		out = []node{}
	}
	return out, true
}

// identity is the key of a part, or the gate of a measurement.
func identity(n node) (string, bool) {
	o, is := n.(*object)
	if !is {
		return "", false
	}
	for _, key := range []string{"key", "gate"} {
		if text, is := o.values[key].(string); is {
			return text, true
		}
	}
	return "", false
}

// written is a text itself.
func written(n node) (string, bool) {
	text, is := n.(string)
	return text, is
}

// called are the parts of a list by what they are told apart by; ok is false where one has no name, or two the same.
func called(list []node, name func(node) (string, bool)) (*object, bool) {
	out := &object{values: map[string]node{}}
	for _, n := range list {
		key, has := name(n)
		if _, twice := out.values[key]; !has || twice {
			return nil, false
		}
		out.keys = append(out.keys, key)
		out.values[key] = n
	}
	return out, true
}

// ordered is the order of what both sides have, where only one of them changed that of what was there: what is new
// stands behind what it stood behind.
func ordered(base, mine, theirs []string) ([]string, bool) {
	common := func(list []string) []string {
		return slices.DeleteFunc(slices.Clone(list), func(key string) bool {
			return !slices.Contains(base, key) || !slices.Contains(mine, key) || !slices.Contains(theirs, key)
		})
	}
	was, a, b := common(base), common(mine), common(theirs)
	first, second := theirs, mine
	switch {
	case slices.Equal(was, a), slices.Equal(a, b):
	case slices.Equal(was, b):
		first, second = mine, theirs
	default:
		return nil, false
	}
	out := slices.Clone(first)
	for i, key := range second {
		if slices.Contains(out, key) {
			continue
		}
		at := 0
		if i > 0 {
			at = slices.Index(out, second[i-1]) + 1
		}
		out = slices.Insert(out, at, key)
	}
	return out, true
}
