package shape

import (
	"math"
	"slices"
)

// Region is what closed lines enclose, ready to be asked many times. Its sides are kept
// by the level strips they pass through, so that a question looks at few of them.
type Region struct {
	Box   Box
	Lines []Line
	sides []side
	// strips hold the numbers of the sides that pass through each.
	strips [][]int32
	height float64
	// sign is 1 where the outer lines run clockwise as drawn, else -1.
	sign float64
	area float64
}

type side struct{ from, to Point }

// mostStrips bounds the memory of a region: a side lies in several strips.
const mostStrips = 256

// NewRegion is what the lines enclose, by the non-zero rule; open ones are led back to
// where they begin.
func NewRegion(lines []Line) *Region {
	r := &Region{Box: nothing, sign: 1}
	for _, l := range lines {
		l.Closed = true
		r.Lines = append(r.Lines, l)
		r.area += l.Area()
		for i := range l.Sides() {
			a, b := l.Side(i)
			r.sides = append(r.sides, side{a, b})
			r.Box = r.Box.with(a)
		}
	}
	if r.area < 0 {
		r.sign, r.area = -1, -r.area
	}
	r.index()
	return r
}

func (r *Region) index() {
	n := min(max(len(r.sides)/2, 1), mostStrips)
	r.height = r.Box.Height() / float64(n)
	if !(r.height > 0) {
		n, r.height = 1, 1
	}
	r.strips = make([][]int32, n)
	for i, s := range r.sides {
		lo, hi := r.span(min(s.from.Y, s.to.Y), max(s.from.Y, s.to.Y))
		for k := lo; k <= hi; k++ {
			r.strips[k] = append(r.strips[k], int32(i))
		}
	}
}

// span is the strips between two heights.
func (r *Region) span(y1, y2 float64) (lo, hi int) {
	strip := func(y float64) int {
		return int(min(max((y-r.Box.Y1)/r.height, 0), float64(len(r.strips)-1)))
	}
	return strip(y1), strip(y2)
}

// Beside is how many sides are looked at for what lies between two heights: what an answer costs.
func (r *Region) Beside(y1, y2 float64) int {
	if y1 > r.Box.Y2 || y2 < r.Box.Y1 {
		return 0
	}
	lo, hi := r.span(y1, y2)
	n := 0
	for k := lo; k <= hi; k++ {
		n += len(r.strips[k])
	}
	return n
}

// Area of its lines, holes taken off. Lines that cross themselves count what they wind
// round twice.
func (r *Region) Area() float64 { return r.area }

// Holds reports whether a point lies inside.
func (r *Region) Holds(p Point) bool {
	if !r.Box.holds(p) {
		return false
	}
	k, _ := r.span(p.Y, p.Y)
	winding := 0
	for _, i := range r.strips[k] {
		s := r.sides[i]
		if up := s.from.Y <= p.Y; up != (s.to.Y <= p.Y) {
			if left := s.to.minus(s.from).cross(p.minus(s.from)) > 0; left == up {
				if up {
					winding++
				} else {
					winding--
				}
			}
		}
	}
	return winding != 0
}

// On reports whether a point lies on a side, or nearer to one than near.
func (r *Region) On(p Point, near float64) bool {
	if p.X < r.Box.X1-near || p.X > r.Box.X2+near || p.Y < r.Box.Y1-near || p.Y > r.Box.Y2+near {
		return false
	}
	lo, hi := r.span(p.Y-near, p.Y+near)
	for k := lo; k <= hi; k++ {
		for _, i := range r.strips[k] {
			if r.sides[i].gap(p) <= near {
				return true
			}
		}
	}
	return false
}

// Gap is the distance from a point to the nearest side.
func (r *Region) Gap(p Point) float64 {
	least := math.Inf(1)
	for _, s := range r.sides {
		least = min(least, s.gap(p))
	}
	return least
}

func (s side) gap(p Point) float64 {
	along := s.to.minus(s.from)
	t := 0.0
	if long := along.dot(along); long > 0 {
		t = min(max(p.minus(s.from).dot(along)/long, 0), 1)
	}
	return p.minus(s.from.to(s.to, t)).size()
}

// Cuts adds to a list the places, as shares from 0 to 1, at which the way from a to b
// crosses a side or runs onto or off one; near is how close counts as there. touched tells
// that a side is met anywhere, the ends of the way included: where none is, what holds
// for one end holds for the other.
func (r *Region) Cuts(list []float64, a, b Point, near float64) (cuts []float64, touched bool) {
	x1, x2, y1, y2 := min(a.X, b.X)-near, max(a.X, b.X)+near, min(a.Y, b.Y)-near, max(a.Y, b.Y)+near
	if x1 > r.Box.X2 || x2 < r.Box.X1 || y1 > r.Box.Y2 || y2 < r.Box.Y1 {
		return list, false
	}
	lo, hi := r.span(y1, y2)
	for k := lo; k <= hi; k++ {
		for _, i := range r.strips[k] {
			s := &r.sides[i]
			if max(s.from.X, s.to.X) < x1 || min(s.from.X, s.to.X) > x2 || max(s.from.Y, s.to.Y) < y1 ||
				min(s.from.Y, s.to.Y) > y2 {
				continue
			}
			var met bool
			list, met = s.cuts(list, a, b, near)
			touched = touched || met
		}
	}
	return list, touched
}

func (s side) cuts(list []float64, a, b Point, near float64) ([]float64, bool) {
	way, along := b.minus(a), s.to.minus(s.from)
	det, off := way.cross(along), s.from.minus(a)
	inside := func(t float64) {
		if t > 0 && t < 1 {
			list = append(list, t)
		}
	}
	long, wide := way.size(), along.size()
	if long*wide == 0 {
		return list, false
	}
	if math.Abs(det) < 1e-9*long*wide { // alongside each other
		if math.Abs(off.cross(way)) > near*long {
			return list, false
		}
		inside(off.dot(way) / (long * long))
		inside(s.to.minus(a).dot(way) / (long * long))
		return list, true
	}
	u := off.cross(way) / det
	if slack := near / wide; u < -slack || u > 1+slack {
		return list, false
	}
	t := off.cross(along) / det
	inside(t)
	return list, t*long >= -near && (t-1)*long <= near
}

// Inward is the direction into the region from a side that leads from a to b.
func (r *Region) Inward(a, b Point) Point {
	d := b.minus(a)
	n := Point{-d.Y, d.X}.times(r.sign)
	if long := n.size(); long > 0 {
		return n.times(1 / long)
	}
	return n
}

// Crossed reports whether its lines cross themselves or each other, so that they are no
// outline that can be cut.
func (r *Region) Crossed(near float64) bool {
	for _, list := range r.strips {
		for k, i := range list {
			for _, j := range list[:k] {
				if r.sides[i].crosses(r.sides[j], near) {
					return true
				}
			}
		}
	}
	return false
}

// crosses reports whether two sides cross within both of them, farther than near from
// the ends of either.
func (s side) crosses(o side, near float64) bool {
	way, along := s.to.minus(s.from), o.to.minus(o.from)
	det := way.cross(along)
	if math.Abs(det) < 1e-9*way.size()*along.size() {
		return false
	}
	off := o.from.minus(s.from)
	t, u := off.cross(along)/det, off.cross(way)/det
	return inner(t, way.size(), near) && inner(u, along.size(), near)
}

func inner(share, long, near float64) bool { return share*long > near && (1-share)*long > near }

// Nested turns the runs of a path so that, by the non-zero rule, it encloses what it
// does by the even-odd rule, where its runs do not cross each other: each runs against
// those round it.
func Nested(p Path) Path {
	lines := p.Flat(p.Box().Width() / 1000)
	regions := make([]*Region, len(lines))
	for i, l := range lines {
		regions[i] = NewRegion([]Line{l})
	}
	out := slices.Clone(p)
	for i, r := range p {
		depth := 0
		for k, other := range regions {
			if k != i && other.area > regions[i].area && other.Holds(r.Start) {
				depth++
			}
		}
		l := lines[i]
		l.Closed = true
		if clockwise := l.Area() >= 0; clockwise == (depth%2 == 1) {
			out[i] = r.Reversed()
		}
	}
	return out
}
