package main

import (
	"strings"

	"umschlag/format/planfile"
)

// renamed is the reckoning of a plan of the format before, by the names that its cuts, steps and
// gates have now.
func renamed(before any, names *planfile.Names) any {
	root, ok := before.(map[string]any)
	if !ok {
		return before
	}
	to := map[string]string{}
	each := func(list, key string, read func(string) (string, bool)) {
		items, _ := root[list].([]any)
		for _, item := range items {
			one, _ := item.(map[string]any)
			if name, isText := one[key].(string); isText {
				if id, known := read(name); known {
					to[name] = id
				}
			}
		}
	}
	each("cuts", "id", names.Cut)
	each("steps", "gate", names.Gate)
	each("cuts", "waits", names.Gate)
	cuts := to
	to = map[string]string{}
	each("steps", "id", func(name string) (string, bool) { return names.Step(name, nil) })
	steps := to
	return rename(root, "", cuts, steps)
}

// byStep are the fields that name steps; other fields that name something name cuts and gates.
var byStep = map[string]bool{"/steps/-/id": true, "/steps/-/needs/-": true, "/steps/-/of": true,
	"/steps/-/again/-": true, "/piles/-/step": true}

// named are the fields that name cuts and gates.
var byCut = map[string]bool{"/cuts/-/id": true, "/cuts/-/waits": true, "/pieces/-/cells/-/cut": true,
	"/steps/-/cuts/-": true, "/steps/-/gate": true, "/edge_strips/-/cut": true, "/back/lies/-/cut": true}

func rename(v any, place string, cuts, steps map[string]string) any {
	switch t := v.(type) {
	case map[string]any:
		out := make(map[string]any, len(t))
		for key, one := range t {
			name := key
			if place == "/sums" {
				name = renamedSum(key, cuts)
			}
			out[name] = rename(one, place+"/"+key, cuts, steps)
		}
		return out
	case []any:
		for i := range t {
			t[i] = rename(t[i], place+"/-", cuts, steps)
		}
		return t
	case string:
		of := map[bool]map[string]string{true: cuts}[byCut[place]]
		if byStep[place] {
			of = steps
		}
		if id, known := of[t]; known {
			return id
		}
	}
	return v
}

// renamedSum is the name of the sum of a cut.
func renamedSum(name string, cuts map[string]string) string {
	for _, way := range []string{".width", ".height"} {
		if of, is := strings.CutSuffix(name, way); is {
			if id, known := cuts[of]; known {
				return id + way
			}
		}
	}
	return name
}
