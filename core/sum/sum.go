// Package sum knows that a size is a list of named terms. Every size in a
// reckoning is one: the terms are the computation, so the explanation beside a
// number cannot drift from the number.
package sum

import (
	"slices"

	"umschlag/core/length"
)

// Kind says what a term is, so that a tape can be drawn from the sum.
type Kind string

// The kinds of term.
const (
	Object   Kind = "object"   // measured on the thing to be covered
	Ease     Kind = "ease"     // cover minus object
	Wash     Kind = "wash"     // added because washing takes it away
	Part     Kind = "part"     // cloth that shows: a patch, a panel
	Border   Kind = "border"   // a border that shows
	Seam     Kind = "seam"     // seam allowance
	Squaring Kind = "squaring" // margin trimmed off after quilting
	TakeUp   Kind = "take-up"  // what quilting pulls in
	Overhang Kind = "overhang" // batting and lining beyond the top
	Overlap  Kind = "overlap"  // backs lying on each other
	Hem      Kind = "hem"      // turned in and stitched
	Step     Kind = "step"     // up to the next ruler step
	Corner   Kind = "corner"   // what a rounded corner takes from the way round
	Measured Kind = "measured" // read off the tape; replaces the plan
	Rounding Kind = "rounding" // what parts miss the whole by, less than can be cut
)

// Term is one named part of a size. Amount may be negative.
type Term struct {
	Name   string
	Amount length.Length
	Kind   Kind
}

// Sum is a size as its terms, in the order they lie along the tape. It is never changed: what is added to it makes
// another, also of one that others share their beginning with.
type Sum []Term

// Of starts a sum with one term.
func Of(kind Kind, name string, amount length.Length) Sum {
	return Sum{{Name: name, Amount: amount, Kind: kind}}
}

// Total is the size.
func (s Sum) Total() length.Length {
	var total length.Length
	for _, t := range s {
		total += t.Amount
	}
	return total
}

// Plus is s with one more term at the end; a term of zero is left out.
func (s Sum) Plus(kind Kind, name string, amount length.Length) Sum {
	if amount == 0 {
		return s
	}
	return append(slices.Clip(s), Term{Name: name, Amount: amount, Kind: kind})
}

// Then is s followed by the terms of more.
func (s Sum) Then(more Sum) Sum { return append(slices.Clip(s), more...) }

// Taking is s with a term, counted from 0, that takes up so much more.
func (s Sum) Taking(i int, more length.Length) Sum {
	out := slices.Clone(s)
	out[i].Amount += more
	return out
}

// Between is s with one term at each end: an allowance or a margin. Zero
// amounts are left out.
func (s Sum) Between(kind Kind, name string, each length.Length) Sum {
	if each == 0 {
		return s
	}
	t := Sum{{Name: name, Amount: each, Kind: kind}}
	return slices.Concat(t, s, t)
}

// UpTo is s enlarged to the next ruler step, the surplus being a term of its
// own.
func (s Sum) UpTo(step length.Length) Sum {
	total := s.Total()
	return s.Plus(Step, "up to the ruler step", total.Ceil(step)-total)
}

// Size is a width and a height, each with its terms.
type Size struct{ Width, Height Sum }

// Each is the size with f applied to both directions.
func (s Size) Each(f func(Sum) Sum) Size { return Size{Width: f(s.Width), Height: f(s.Height)} }

// Between is the size with one term at each end of both directions.
func (s Size) Between(kind Kind, name string, each length.Length) Size {
	return s.Each(func(d Sum) Sum { return d.Between(kind, name, each) })
}

// UpTo is the size enlarged to the ruler step in both directions.
func (s Size) UpTo(step length.Length) Size {
	return s.Each(func(d Sum) Sum { return d.UpTo(step) })
}

// Repeat is n terms alike, side by side.
func Repeat(n int, kind Kind, name string, each length.Length) Sum {
	out := make(Sum, n)
	for i := range out {
		out[i] = Term{Name: name, Amount: each, Kind: kind}
	}
	return out
}

// Named is a sum of something, by what it is.
type Named struct {
	Name string
	Sum  Sum
}
