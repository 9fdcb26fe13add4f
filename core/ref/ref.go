// Package ref names what a plan and its reckoning are about. A Ref is a value: two are the same
// thing when they are equal. Its printed form is for files, addresses and keys of objects: it is
// compared and never taken apart.
package ref

import (
	"cmp"
	"strconv"
	"strings"
)

// Key names one part that a maker added to a plan: a fitting, a shape, a border, a strip, a part
// of a stack, a colourway. 1 to 12 of a to z and 0 to 9. It is made with the part, moves with it
// and is never given again.
type Key string

// MaxKey is how long a key is at most.
const MaxKey = 12

// Valid reports whether a key can be one.
func (k Key) Valid() bool {
	if len(k) == 0 || len(k) > MaxKey {
		return false
	}
	for _, c := range []byte(k) {
		if !(c >= 'a' && c <= 'z' || c >= '0' && c <= '9') {
			return false
		}
	}
	return true
}

// Kind is what sort of thing a ref names.
type Kind string

// The kinds.
const (
	Cut  Kind = "cut"
	Step Kind = "step"
	Gate Kind = "gate"
	// Press is a group of seams that are pressed alike.
	Press Kind = "press"
)

// Seat is where a seam lies on a piece: the piece, and its edges in the order left, top, right,
// bottom, the runs parted by a stroke.
type Seat struct{ Piece, Edges string }

func (s Seat) empty() bool { return s == Seat{} }

// Ref names one thing. Fields that are empty mean "of all", or that there is none.
type Ref struct {
	Kind Kind
	// Piece of the cover; empty for what keeps its identity on another one, such as a fitting,
	// and for the whole cover.
	Piece string
	// Of is the innermost part of the plan it belongs to; of a grid in a stack the stack's part.
	Of Key
	// Twin is the second of two shapes.
	Twin bool
	Role Role
	// Edge where the strips of a border differ: left, right, top, bottom; where patches at the rim are cut otherwise
	// than those within: corner, side, end.
	Edge string
	// Cloth is its letter, where one is made for each cloth.
	Cloth string
	// Layer it belongs to: empty for the outer one, batting, lining, interfacing, web.
	Layer string
	// No tells things apart that are alike and have no key, from 1.
	No int
	// Late is what is done to shapes that are laid on late.
	Late bool
	// Join is the two seats of the seam it is about.
	Join [2]Seat
	// Part is one part of a divided step; empty for the whole, or its last part.
	Part Key
}

// InPart is one part of a divided step.
func (r Ref) InPart(p Key) Ref {
	r.Part = p
	return r
}

// Family is what a thing is alike with: without what tells derived things apart. It is tried
// where a thing that has no key is looked for again.
func (r Ref) Family() Ref {
	r.No, r.Cloth, r.Edge = 0, "", ""
	return r
}

// Compare orders refs field by field, for lists that need an order and have none of their own.
func (r Ref) Compare(o Ref) int {
	return cmp.Or(strings.Compare(string(r.Kind), string(o.Kind)), strings.Compare(r.Piece, o.Piece),
		strings.Compare(string(r.Of), string(o.Of)),
		compareBool(r.Twin, o.Twin), strings.Compare(string(r.Role), string(o.Role)), strings.Compare(r.Edge, o.Edge),
		strings.Compare(r.Cloth, o.Cloth),
		strings.Compare(r.Layer, o.Layer), cmp.Compare(r.No, o.No), compareBool(r.Late, o.Late),
		strings.Compare(r.Join[0].Piece, o.Join[0].Piece), strings.Compare(r.Join[0].Edges, o.Join[0].Edges),
		strings.Compare(r.Join[1].Piece, o.Join[1].Piece), strings.Compare(r.Join[1].Edges, o.Join[1].Edges),
		strings.Compare(string(r.Part), string(o.Part)))
}

func compareBool(a, b bool) int {
	switch {
	case a == b:
		return 0
	case b:
		return -1
	}
	return 1
}

// String is the printed form: the kind, then a name and a value for each field that is set. No
// value can look like another field: what is not a letter, a digit or a hyphen is written as _
// and its two hexadecimal digits, byte by byte. So it needs no escaping in a JSON pointer or an
// address, and two refs that print alike are the same.
func (r Ref) String() string {
	var b strings.Builder
	b.WriteString(string(r.Kind))
	field := func(name, value string) {
		if value != "" {
			b.WriteByte('.')
			b.WriteString(name)
			b.WriteByte(':')
			escape(&b, value)
		}
	}
	flag := func(name string, set bool) {
		if set {
			field(name, "1")
		}
	}
	field("piece", r.Piece)
	field("of", string(r.Of))
	flag("twin", r.Twin)
	field("role", string(r.Role))
	field("edge", r.Edge)
	field("cloth", r.Cloth)
	field("layer", r.Layer)
	if r.No != 0 {
		field("no", strconv.Itoa(r.No))
	}
	flag("late", r.Late)
	if !r.Join[0].empty() || !r.Join[1].empty() {
		field("a", r.Join[0].Piece)
		field("at", r.Join[0].Edges)
		field("b", r.Join[1].Piece)
		field("bt", r.Join[1].Edges)
	}
	field("part", string(r.Part))
	return b.String()
}

const hex = "0123456789abcdef"

func escape(b *strings.Builder, value string) {
	for _, c := range []byte(value) {
		if c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || c >= '0' && c <= '9' || c == '-' {
			b.WriteByte(c)
			continue
		}
		b.WriteByte('_')
		b.WriteByte(hex[c>>4])
		b.WriteByte(hex[c&15])
	}
}
