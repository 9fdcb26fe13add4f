package drawing

import (
	"fmt"
	"maps"
	"slices"
	"strings"

	"umschlag/core/shape"
)

// Refusal is a file that is not read, and why.
type Refusal struct {
	Reason string
	// Remedy says what to do instead.
	Remedy string
}

func (r *Refusal) Error() string { return r.Reason + " " + r.Remedy }

// Refuse is a refusal for a reason, with what to do instead.
func Refuse(remedy, reason string, args ...any) error {
	return &Refusal{Reason: fmt.Sprintf(reason, args...), Remedy: remedy}
}

// Outline is one shape found in a file, in millimetres.
type Outline struct {
	// Name is its id in the file; empty without one.
	Name string
	Path shape.Path
	// Fill is its colour as #rrggbb; empty where none is named.
	Fill string
	// Line tells that it has a stroke and no fill: it is stitching, no patch.
	Line bool
}

// Omitted counts what a reader leaves out, by its kind.
type Omitted map[string]int

// List names each kind with how many: "1 text", "2 × image".
func (o Omitted) List() []string {
	var out []string
	for _, kind := range slices.Sorted(maps.Keys(o)) {
		if n := o[kind]; n > 1 {
			out = append(out, fmt.Sprintf("%d × %s", n, kind))
		} else {
			out = append(out, "1 "+kind)
		}
	}
	return out
}

// Because ends a sentence that nothing was found with what there was instead.
func (o Omitted) Because() string {
	if len(o) == 0 {
		return ""
	}
	return ": it has " + strings.Join(o.List(), ", ")
}

// Found is what was read of a file.
type Found struct {
	Outlines []Outline
	// Omitted, each kind with how many: "2 × text".
	Omitted []string
}
