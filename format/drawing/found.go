package drawing

import "umschlag/core/shape"

// Refusal is a file that is not read, and why.
type Refusal struct {
	Reason string
	// Remedy says what to do instead.
	Remedy string
}

func (r *Refusal) Error() string { return r.Reason + " " + r.Remedy }

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

// Found is what was read of a file.
type Found struct {
	Outlines []Outline
	// Omitted, each kind with how many: "2 × text".
	Omitted []string
}
