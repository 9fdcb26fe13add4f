// Package length knows lengths: one exact integer unit, the notations makers
// write them in, and how a ruler or a tape shows them.
//
// A Length counts nanometres. The inch is 25.4 mm exactly (international yard
// and pound agreement, 1959), so 1/64 in is 396 875 nm and every millimetre is
// whole: sums and differences of anything on a ruler never round.
package length

import "math"

// Length is a distance in nanometres. It may be negative: an ease can be.
type Length int64

// The named lengths. Foot and Yard follow from the inch of 1959.
const (
	Nanometre  Length = 1
	Millimetre        = 1_000_000 * Nanometre
	Centimetre        = 10 * Millimetre
	Metre             = 1000 * Millimetre
	Inch              = 25_400_000 * Nanometre
	Foot              = 12 * Inch
	Yard              = 36 * Inch
)

// Limit is the largest magnitude that can be read: a kilometre, beyond
// which a number is a slip of the pen and no cover, nor a reel of thread.
const Limit = 1000 * Metre

// Unit is the unit a bare number is read in and a length is written in.
type Unit string

// The three units a plan can be kept in.
const (
	Inches      Unit = "in"
	Centimetres Unit = "cm"
	Millimetres Unit = "mm"
)

// Units lists the units in the order they are offered.
func Units() []Unit { return []Unit{Inches, Centimetres, Millimetres} }

// Close is how far parts may miss the whole they make up and still be meant to make it: 1/64 in,
// about 0.4 mm, less than cloth can be cut to. Common practice.
const Close = Inch / 64

// Hair is less than anybody can see: what is left when a length is divided. Two lengths that differ by less
// are one.
const Hair = Millimetre / 1000

// OnInches reports whether a ruler with such steps is marked in inches: what is usual goes by the ruler, so that
// a plan shown in another unit keeps its sizes.
func (l Length) OnInches() bool { return l > 0 && l%(Inch/64) == 0 }

// Size is the length of one unit; an unknown unit counts as inches.
func (u Unit) Size() Length {
	switch u {
	case Centimetres:
		return Centimetre
	case Millimetres:
		return Millimetre
	default:
		return Inch
	}
}

// Float is the length in nanometres for the geometry that needs real numbers.
func (l Length) Float() float64 { return float64(l) }

// FromFloat rounds nanometres to the nearest whole one, once, at the end of a
// computation that involved π, √2 or a ratio.
func FromFloat(nm float64) Length { return Length(math.Round(nm)) }

// Abs is the magnitude of l.
func (l Length) Abs() Length {
	if l < 0 {
		return -l
	}
	return l
}

// Div is l divided into n equal parts, rounded towards zero, so that n parts
// never exceed the whole. n must be positive; anything else gives zero.
func (l Length) Div(n int) Length {
	if n <= 0 {
		return 0
	}
	return l / Length(n)
}

// Times is n lengths end to end.
func (l Length) Times(n int) Length { return l * Length(n) }

// Ceil is the smallest multiple of step that is not below l: how a cut that is
// not on the ruler is enlarged. A step of zero or less leaves l as it is.
func (l Length) Ceil(step Length) Length {
	f := l.Floor(step)
	if step <= 0 || f == l {
		return l
	}
	return f + step
}

// Floor is the largest multiple of step that is not above l.
func (l Length) Floor(step Length) Length {
	if step <= 0 {
		return l
	}
	q := l / step
	if l%step != 0 && l < 0 {
		q--
	}
	return q * step
}

// OnStep reports whether l is a whole number of ruler steps.
func (l Length) OnStep(step Length) bool { return step <= 0 || l%step == 0 }

// Max is the longer of two lengths.
func Max(a, b Length) Length {
	if a > b {
		return a
	}
	return b
}
