// Package planfile reads plan files, umschlag/plan/1 and 2, and writes umschlag/plan/2: JSON in UTF-8
// whose lengths are texts in the maker's notation. Every problem is named with
// its path into the file; unknown keys are problems, so that a typo cannot
// vanish.
package planfile

import (
	"fmt"
	"reflect"
	"strconv"
	"strings"

	"umschlag/core/answer"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// MaxSize is the largest plan file read, in bytes. The largest plan that makes
// sense, a thousand patches written out row by row, is a tenth of it.
const MaxSize = 1 << 20

// Problem is one thing in a file that cannot be read.
type Problem struct {
	// Path into the file, such as /cover/seam; empty for the file as a whole.
	Path string `json:"path"`
	// Position of the offending character in the value, from 0; nil when the
	// whole value is meant.
	Position *int `json:"position,omitempty"`
	// Text says what is wrong and what to type instead.
	Text string `json:"text"`
}

// Problems are all that is wrong with a file; it is the error of Read.
type Problems []Problem

// Error is one line: the first problem, and how many more there are.
func (p Problems) Error() string {
	if len(p) == 0 {
		return "no problem"
	}
	line := p[0].Text
	if p[0].Path != "" {
		line = p[0].Path + ": " + line
	}
	if len(p) > 1 {
		line += fmt.Sprintf(" (and %d more)", len(p)-1)
	}
	return strings.ReplaceAll(line, "\n", " ")
}

// Read reads a plan, of this format or the one before. Absent keys take the defaults of the
// plan's own habits, and parts without keys of their own get numbers by their places. The error
// is of type Problems and names all that is wrong.
func Read(data []byte) (plan.Plan, error) {
	file, err := document(data)
	if err != nil {
		return plan.Plan{}, err
	}
	p, err := readTyped(file)
	if err != nil {
		return plan.Plan{}, err
	}
	return p.Keyed(nil), nil
}

// Upgraded is a document in the present format: itself where it is.
func Upgraded(data []byte) ([]byte, error) {
	root, err := parse(data)
	if err != nil {
		return nil, err
	}
	if file, ok := root.(*object); !ok || file.values["format"] != formatOne {
		return data, nil
	}
	file, err := document(data)
	if err != nil {
		return nil, err
	}
	return print(file), nil
}

// document is a plan file as a tree, in the present format.
func document(data []byte) (*object, error) {
	if len(data) > MaxSize {
		return nil, Problems{{Text: fmt.Sprintf("the file is too large for a plan: over %d kB", MaxSize/1024)}}
	}
	root, err := parse(data)
	if err != nil {
		return nil, err
	}
	file, ok := root.(*object)
	if !ok {
		return nil, Problems{{Text: `a plan file holds one JSON object: {"format": "` + plan.Format + `", …}`}}
	}
	if err := checkFormat(file); err != nil {
		return nil, err
	}
	if file.values["format"] == formatOne {
		return file, upgrade(file)
	}
	return file, nil
}

// readTyped reads a tree of the present format.
func readTyped(file *object) (plan.Plan, error) {
	r := &reader{}
	r.unit = r.unitOf(file)
	habits := plan.DefaultHabits(r.unit)
	if h, ok := file.values["habits"]; ok {
		r.into(reflect.ValueOf(&habits).Elem(), h, "/habits")
		r.problems = nil // found again, with everything else, below
	}
	p := plan.Base(r.unit, habits)
	if covered(file) == string(plan.Found) {
		p.Cover.Ease = plan.Axes{} // the cover follows the panel: the habit is for pads
	}
	r.into(reflect.ValueOf(&p).Elem(), file, "")
	if r.problems = append(append(r.problems, twice(p)...), keptAside(p)...); len(r.problems) > 0 {
		return plan.Plan{}, r.problems
	}
	return p, nil
}

// covered is the kind of what is covered.
func covered(file *object) string {
	thing, _ := file.values["object"].(*object)
	if thing == nil {
		return ""
	}
	kind, _ := thing.values["kind"].(string)
	return kind
}

// Reckon reads a plan file and reckons it; the reckoning carries the plan with
// every default written out. The error is of type Problems.
func Reckon(data []byte, w *reckon.Workshop) (answer.Reckoning, error) { return Followed(data, "", w) }

// ReadPart reads one part of a plan, such as a cloth or the habits, into into,
// which holds its defaults. Bare numbers are in unit; the error is of type
// Problems.
func ReadPart[T any](data []byte, unit length.Unit, into *T) error {
	n, err := parse(data)
	if err != nil {
		return err
	}
	r := &reader{unit: unit}
	r.into(reflect.ValueOf(into).Elem(), n, "")
	if len(r.problems) > 0 {
		return r.problems
	}
	return nil
}

// Exactly is a part of a plan as it was typed, with the unit written to every length that has none: what it is does not
// hang on the unit it is read in any more. into is what it is read into; the error is of type Problems.
func Exactly[T any](data []byte, unit length.Unit, into *T) ([]byte, error) {
	n, err := parse(data)
	if err != nil {
		return nil, err
	}
	r := &reader{unit: unit}
	r.into(reflect.ValueOf(into).Elem(), n, "")
	if len(r.problems) > 0 {
		return nil, r.problems
	}
	for _, path := range r.bare {
		typed, cut := cutText(at(n, path))
		if cut {
			put(n, path, fmt.Sprintf("%s %s %s", typed, unit, cutWord))
			continue
		}
		put(n, path, fmt.Sprintf("%v %s", at(n, path), unit))
	}
	return print(n), nil
}

// at is the node at a path.
func at(n node, path string) node {
	for _, key := range strings.Split(path, "/")[1:] {
		switch in := n.(type) {
		case *object:
			n = in.values[key]
		case []node:
			i, err := strconv.Atoi(key)
			if err != nil || i < 0 || i >= len(in) {
				return nil
			}
			n = in[i]
		}
	}
	return n
}

// Part is one part of a plan as a JSON document, lengths in unit.
func Part(v any, unit length.Unit) any {
	return writer{style: length.Style{Unit: unit}}.value(reflect.ValueOf(v))
}

func checkFormat(file *object) error {
	switch f := file.values["format"].(type) {
	case string:
		if f == plan.Format || f == formatOne {
			return nil
		}
		return Problems{{Path: "/format", Text: fmt.Sprintf("this reads %q, not %q", plan.Format, f)}}
	default:
		return Problems{{Path: "/format", Text: fmt.Sprintf("a plan file begins with \"format\": %q", plan.Format)}}
	}
}
