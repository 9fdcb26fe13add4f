// Package edge knows piping and binding: how wide their strips are cut, how long they
// have to be, how many strips of a cloth that takes, and what a rectangle of cloth
// yields on the bias.
package edge

import (
	"math"

	"umschlag/core/length"
	"umschlag/core/sum"
)

// Sizes of making up. Common practice.
const (
	overlap  = 2 * length.Inch // piping laid over itself where it meets
	tail     = 2 * length.Inch // left free at the beginning, to join it by
	openTail = length.Inch     // at each end of a seam that is open
	meeting  = length.Inch     // binding laid over itself where it meets
	foldRoom = length.Inch / 8 // what folding takes of a doubled binding
)

// PipingWidth is how wide a strip is cut to hold a cord: once round it, and two seams,
// up to the ruler step. Source: geometry.
func PipingWidth(cord, seam, step length.Length) sum.Sum {
	return sum.Of(sum.Part, "round the cord", length.FromFloat(math.Pi*cord.Float())).
		Plus(sum.Seam, "seam allowance", seam).Plus(sum.Seam, "seam allowance", seam).UpTo(step)
}

// BindingWidth is how wide a strip is cut that is folded double over an edge and shows
// on both sides of it: six times what shows, the edge twice, and an eighth for the
// folds. Common practice.
func BindingWidth(shows, thick, step length.Length) sum.Sum {
	return sum.Repeat(6, sum.Part, "shows", shows).Plus(sum.Part, "thickness of the edge", thick).
		Plus(sum.Part, "thickness of the edge", thick).
		Plus(sum.Hem, "taken by the folds", foldRoom).UpTo(step)
}

// TapeWidth is how wide a strip is cut that is folded into a tape, both its edges to
// the middle: four times what shows. Source: geometry.
func TapeWidth(shows, step length.Length) sum.Sum {
	return sum.Repeat(4, sum.Part, "shows", shows).UpTo(step)
}

// PipingLength is what piping along a seam takes: the way along it, and what it is
// joined by.
func PipingLength(along length.Length, closed bool) sum.Sum {
	s := sum.Of(sum.Part, "along the seam", along)
	if closed {
		return s.Plus(sum.Overlap, "laid over itself", overlap).Plus(sum.Overlap, "tail", tail)
	}
	return s.Plus(sum.Overlap, "tail", openTail).Plus(sum.Overlap, "tail", openTail)
}

// BindingLength is what binding round an open edge takes.
func BindingLength(along sum.Sum) sum.Sum {
	return along.Plus(sum.Overlap, "overlap where it meets", meeting)
}

// Point is on a rectangle of cloth, from its top left corner, right and down.
type Point struct{ X, Y float64 }

// Strip is one strip as it lies on its cloth.
type Strip struct {
	// Corners of the strip, in order.
	Corners []Point
	// Length that it gives, along its shorter edge.
	Length length.Length
}

// Yield is what strips of one width give.
type Yield struct {
	// Width and Height of the cloth they are cut from.
	Width, Height length.Length
	Strips        []Strip
	// Joined is how long they are end to end, each join losing the width of a strip.
	Joined length.Length
	// Area is the yield by the area, before joins and ends.
	Area length.Length
}

// shortest is the shortest strip worth joining, in widths of a strip. Common practice.
const shortest = 4

// Bias are the strips at 45° that a rectangle yields, cut from one of its corners to
// the other.
func Bias(width, height, strip length.Length) Yield {
	y := Yield{Width: width, Height: height}
	if strip <= 0 || width <= 0 || height <= 0 {
		return y
	}
	a, b, w := width.Float(), height.Float(), strip.Float()
	y.Area = length.FromFloat(a * b / w)
	step := w * math.Sqrt2 // from one cut to the next, along the edge
	for c := -b; c+step <= a+1; c += step {
		s := between(c, c+step, a, b)
		if s.Length >= shortest*strip {
			y.Strips = append(y.Strips, s)
		}
	}
	y.join(strip)
	return y
}

// between is the strip between two cuts x − y = c, its ends cut along the cloth.
func between(c1, c2, a, b float64) Strip {
	x1, x2 := math.Max(0, c1), math.Max(0, c2) // where the cuts enter at the top or the left
	e1, e2 := math.Min(a, b+c1), math.Min(a, b+c2)
	corners := []Point{{x1, x1 - c1}, {x2, x2 - c2}, {e2, e2 - c2}, {e1, e1 - c1}}
	if c1 < 0 && c2 > 0 {
		corners = []Point{{x1, x1 - c1}, {0, 0}, {x2, x2 - c2}, {e2, e2 - c2}, {e1, e1 - c1}}
	}
	if e1 < a && e2 >= a && b+c2 > a { // round the far corner
		corners = append(corners[:len(corners)-1], Point{a, b}, corners[len(corners)-1])
	}
	return Strip{Corners: corners, Length: length.FromFloat(math.Sqrt2 * math.Max(0, math.Min(e1-x1, e2-x2)))}
}

// Straight are strips across a cloth, all the way or as far as they are needed: the fewest.
func Straight(usable, strip, need length.Length) Yield {
	if strip <= 0 || usable <= strip {
		return Yield{Width: usable}
	}
	for n := 1; ; n++ {
		if y, ok := StraightIn(usable, strip, need, n); ok {
			return y
		}
	}
}

// StraightIn are so many strips across a cloth, alike, each join on the slant taking the width of one; false where
// they are longer than the cloth is wide.
func StraightIn(usable, strip, need length.Length, n int) (Yield, bool) {
	each := (need + strip.Times(n-1) + length.Length(n-1)).Div(n) // none shorter than its share, by not a nanometre
	if strip <= 0 || each > usable {
		return Yield{Width: usable}, false
	}
	y := Yield{Width: each, Height: strip.Times(n), Area: each.Times(n)}
	for i := range n {
		top, bottom := strip.Times(i).Float(), strip.Times(i+1).Float()
		y.Strips = append(y.Strips,
			Strip{Length: each,
				Corners: []Point{{0, top}, {each.Float(), top}, {each.Float(), bottom}, {0, bottom}}})
	}
	y.join(strip)
	return y, true
}

func (y *Yield) join(strip length.Length) {
	y.Joined = 0
	for _, s := range y.Strips {
		y.Joined += s.Length
	}
	if n := len(y.Strips); n > 1 {
		y.Joined -= strip.Times(n - 1)
	}
}

// handy is how high a piece is cut for bias strips where a smaller square does not
// give enough: strips of some 25 in, with a join not too often. Common practice.
const handy = length.Yard / 2

// BiasFor is the piece of a cloth of the usable width that is cut up for bias strips
// which are long enough: the smallest square, or half a yard by as much of the width
// as it takes, or more. ok is false where more than most would be needed.
func BiasFor(need, strip, usable, step, most length.Length) (Yield, bool) {
	for side := (2 * strip).Ceil(step); side <= min(handy, usable); side += step {
		if y := Bias(side, side, strip); y.Joined >= need {
			return y, true
		}
	}
	for height := handy; height <= most; height += step {
		if y := Bias(usable, height, strip); y.Joined < need {
			continue
		}
		for width := height.Floor(step); ; width += step {
			if y := Bias(min(width, usable), height, strip); y.Joined >= need || width >= usable {
				return y, true
			}
		}
	}
	return Yield{}, false
}
