package block

import (
	"fmt"
	"math"

	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/sum"
)

// Kind is how a patch is cut with the ruler.
type Kind string

// The kinds, by the words of the cutting list.
const (
	Square   Kind = "square"
	Rect     Kind = "rectangle"
	Half     Kind = "half-square"    // squares cut once on the diagonal
	Quarter  Kind = "quarter-square" // squares cut twice
	Slanted  Kind = "strip"          // a strip cut across at an angle
	Template Kind = "template"
)

// Eight is how many half-square triangles two large squares give.
const Eight = 8

// What is added for trimming instead of the exact amounts of 2 + √2 and 2 + 2√2 seams.
// Common practice: at ¼ in they are the finished size + 1 and + 1½ in.
const (
	trimHalf    = 4
	trimQuarter = 6
)

// Recipe is what a patch is cut from.
type Recipe struct {
	Kind Kind
	// Size of the piece that is cut: to the exact size its outline asks for, before it
	// goes up to a ruler step.
	Size sum.Size
	// Gives is how many patches one piece gives.
	Gives int
	// Finished names what it finishes as.
	Finished string
	// Share marks an upright patch: its sides are shares of the block's own, so that
	// they are on the ruler where the block is a handy one.
	Share bool
}

// near is what two ways of working out one length may differ by, in nanometres.
const near = 200.0

// RecipeOf is how a patch is cut: its finished outline moved out by the seam, and the
// square or rectangle that gives it. Both come from the same outline. Source: geometry;
// at a seam of ¼ in they are the add-ons of ⅞ and 1¼ in that makers know by heart (from
// memory).
func RecipeOf(line outline.Outline, seam length.Length, style length.Style) Recipe {
	cut := line.Offset(seam.Float())
	text := func(f float64) string { return style.Text(length.FromFloat(f)) }
	switch {
	case len(line) == 4 && upright(line):
		w, h := sides(line)
		size := sum.Size{Width: grown("width, finished", w, sideOf(cut, 0), seam),
			Height: grown("height, finished", h, sideOf(cut, 1), seam)}
		kind := Rect
		if math.Abs(w-h) < near {
			kind = Square
		}
		return Recipe{Kind: kind, Size: size, Gives: 1, Finished: text(w) + " × " + text(h), Share: true}
	case len(line) == 4 && square(line):
		w, _ := sides(line)
		each := grown("side, finished", w, sideOf(cut, 0), seam)
		return Recipe{Kind: Square, Size: sum.Size{Width: each, Height: each}, Gives: 1,
			Finished: text(w) + " square, on its point"}
	case len(line) == 3 && right(line):
		leg, level := legOf(line)
		if level {
			each := sum.Of(sum.Part, "leg, finished", length.FromFloat(leg)).
				Plus(sum.Seam, "seams, and the point at both ends", length.FromFloat(legs(cut)-leg))
			return Recipe{Kind: Half, Size: sum.Size{Width: each, Height: each}, Gives: 2,
				Finished: text(leg) + " on its short sides"}
		}
		base := leg * math.Sqrt2
		if flat(line) {
			each := sum.Of(sum.Part, "base, finished", length.FromFloat(base)).
				Plus(sum.Seam, "seams, and the point at both ends", length.FromFloat(legs(cut)*math.Sqrt2-base))
			return Recipe{Kind: Quarter, Size: sum.Size{Width: each, Height: each}, Gives: 4,
				Finished: text(base) + " on its long side"}
		}
	}
	x1, y1, x2, y2 := cut.Bounds()
	if high, slanted := slanted(line); slanted {
		across := sum.Of(sum.Part, "height, finished", length.FromFloat(high)).
			Plus(sum.Seam, "seams, and the point", length.FromFloat(y2-y1-high))
		return Recipe{Kind: Slanted,
			Size: sum.Size{Width: sum.Of(sum.Part, "along the strip, with seams", length.FromFloat(x2-x1)),
				Height: across}, Gives: 1,
			Finished: fmt.Sprintf("%s high, cut from its strip at %.0f°", text(high), angle(line))}
	}
	return byTemplate(cut, style)
}

// RoundAMotif is how a patch is cut that has the middle of a motif in its own: a rectangle as it is, all else one by
// one by its template.
func RoundAMotif(line outline.Outline, seam length.Length, style length.Style) Recipe {
	if r := RecipeOf(line, seam, style); r.Kind == Square || r.Kind == Rect {
		return r
	}
	return byTemplate(line.Offset(seam.Float()), style)
}

// byTemplate cuts a patch by an outline with its seams.
func byTemplate(cut outline.Outline, style length.Style) Recipe {
	x1, y1, x2, y2 := cut.Bounds()
	wide, high := length.FromFloat(x2-x1), length.FromFloat(y2-y1)
	size := sum.Size{Width: sum.Of(sum.Part, "template with seams", wide),
		Height: sum.Of(sum.Part, "template with seams", high)}
	return Recipe{Kind: Template, Size: size, Gives: 1,
		Finished: fmt.Sprintf("by template, %s × %s over all", style.Text(wide), style.Text(high))}
}

// Large is a triangle cut larger than it needs, so that the unit it is sewn into can be
// trimmed; whatever is no triangle stays as it is.
func (r Recipe) Large(seam length.Length) Recipe {
	times := map[Kind]int{Half: trimHalf, Quarter: trimQuarter}[r.Kind]
	if times == 0 {
		return r
	}
	each := sum.Of(sum.Part, r.Size.Width[0].Name, r.Size.Width[0].Amount).
		Plus(sum.Seam, "seams, and the point at both ends", r.Size.Width[1].Amount).
		Plus(sum.Squaring, "to be trimmed", seam.Times(times)-r.Size.Width[1].Amount)
	r.Size = sum.Size{Width: each, Height: each}
	return r
}

// EightFrom is the square of which two give eight units: twice as wide as the one for
// two, each trimmed.
func EightFrom(r Recipe, seam length.Length) sum.Size {
	leg := r.Size.Width[0].Amount
	each := sum.Repeat(2, sum.Part, "leg, finished", leg).
		Plus(sum.Seam, "seams, and the points at both ends", 2*r.Size.Width[1].Amount).
		Plus(sum.Squaring, "to be trimmed", 2*(seam.Times(trimHalf)-r.Size.Width[1].Amount))
	return sum.Size{Width: each, Height: each}
}

// slanted reports whether a patch comes out of a strip by cuts at an angle: a triangle
// with three sides alike, one of them level, or a parallelogram with two level sides. It
// gives the height of the strip without seams; an equilateral triangle takes h + 3 s, a
// parallelogram h + 2 s. Source: geometry.
func slanted(o outline.Outline) (height float64, ok bool) {
	level := 0
	for i := range o {
		if _, y := vector(o, i); math.Abs(y) < near {
			level++
		}
	}
	_, y1, _, y2 := o.Bounds()
	switch {
	case len(o) == 3 && level == 1:
		return y2 - y1, math.Abs(sideOf(o, 0)-sideOf(o, 1)) < near && math.Abs(sideOf(o, 1)-sideOf(o, 2)) < near
	case len(o) == 4 && level == 2:
		return y2 - y1, math.Abs(sideOf(o, 0)-sideOf(o, 2)) < near && math.Abs(sideOf(o, 1)-sideOf(o, 3)) < near
	}
	return 0, false
}

// angle is that of the first side which is not level, in degrees up to 90.
func angle(o outline.Outline) float64 {
	for i := range o {
		if x, y := vector(o, i); math.Abs(y) > near {
			return math.Atan2(math.Abs(y), math.Abs(x)) * 180 / math.Pi
		}
	}
	return 0
}

// grown is a side and what the seam adds at both its ends.
func grown(name string, finished, cut float64, seam length.Length) sum.Sum {
	s := sum.Of(sum.Part, name, length.FromFloat(finished)).Between(sum.Seam, "seam allowance", seam)
	if off := length.FromFloat(cut) - s.Total(); off != 0 { // rounding of the outline
		return s.Taking(1, off)
	}
	return s
}

func vector(o outline.Outline, i int) (x, y float64) {
	a, b := o[i], o[(i+1)%len(o)]
	return b.X - a.X, b.Y - a.Y
}

func sideOf(o outline.Outline, i int) float64 { return math.Hypot(vector(o, i)) }

func sides(o outline.Outline) (w, h float64) { return sideOf(o, 0), sideOf(o, 1) }

// upright reports whether a quadrilateral is a rectangle that stands level.
func upright(o outline.Outline) bool {
	for i := range o {
		if x, y := vector(o, i); math.Abs(x) > near && math.Abs(y) > near {
			return false
		}
	}
	return true
}

// square reports whether a quadrilateral has equal sides and right angles.
func square(o outline.Outline) bool {
	for i := range o {
		x1, y1 := vector(o, i)
		x2, y2 := vector(o, (i+1)%4)
		if math.Abs(math.Hypot(x1, y1)-math.Hypot(x2, y2)) > near || math.Abs(x1*x2+y1*y2) > near*math.Hypot(x1, y1) {
			return false
		}
	}
	return true
}

// right reports whether a triangle has a right angle between two sides alike.
func right(o outline.Outline) bool {
	for i := range o {
		x1, y1 := vector(o, i)
		x2, y2 := vector(o, (i+1)%3)
		if math.Abs(x1*x2+y1*y2) < near*math.Hypot(x1, y1) && math.Abs(math.Hypot(x1, y1)-math.Hypot(x2, y2)) < near {
			return true
		}
	}
	return false
}

// legOf is the short side of a right triangle, and whether it lies level or upright:
// then its long side is on the bias, and the triangle is half a square.
func legOf(o outline.Outline) (leg float64, level bool) {
	at := 0
	for i := range o {
		if sideOf(o, i) < sideOf(o, at)-near {
			at = i
		}
	}
	x, y := vector(o, at)
	return math.Hypot(x, y), math.Abs(x) < near || math.Abs(y) < near
}

// legs is the short side of a right triangle.
func legs(o outline.Outline) float64 {
	leg, _ := legOf(o)
	return leg
}

// flat reports whether the long side of a triangle lies level or upright.
func flat(o outline.Outline) bool {
	at := 0
	for i := range o {
		if sideOf(o, i) > sideOf(o, at) {
			at = i
		}
	}
	x, y := vector(o, at)
	return math.Abs(x) < near || math.Abs(y) < near
}
