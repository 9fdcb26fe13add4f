// Package outline knows closed outlines of straight lines and true arcs: how
// long they are, what they enclose, and what they become when allowances are
// added. Lengths are nanometres in floating point; x goes right and y goes down,
// as pieces are drawn.
//
// A segment is kept the way pattern files keep it: by its bulge, the tangent of a
// quarter of the angle it turns through; 0 is a straight line, 1 half a circle.
// Outlines run clockwise as drawn, so that outside is on the left.
package outline

import (
	"math"

	"umschlag/core/length"
)

// Vertex is a corner and the segment that leaves it.
type Vertex struct {
	X, Y  float64
	Bulge float64
}

// Outline is a closed path. The last segment leads back to the first vertex.
type Outline []Vertex

// quarter is the bulge of a quarter of a circle, turning with the outline.
var quarter = math.Tan(math.Pi / 8)

// Radii are the corner radii from the top left, clockwise.
type Radii struct{ TopLeft, TopRight, BottomRight, BottomLeft length.Length }

// Square reports whether no corner is rounded.
func (r Radii) Square() bool { return r == Radii{} }

// AtMost is the radii, none of them larger than most.
func (r Radii) AtMost(most length.Length) Radii {
	return Radii{TopLeft: min(r.TopLeft, most), TopRight: min(r.TopRight, most), BottomRight: min(r.BottomRight, most),
		BottomLeft: min(r.BottomLeft, most)}
}

// Rounded is a rectangle with its top left corner at the origin and corners
// rounded. Radii that do not fit make a path that crosses itself; callers check
// them first.
func Rounded(width, height length.Length, r Radii) Outline {
	w, h := width.Float(), height.Float()
	var o Outline
	corner := func(x, y, dx1, dy1, dx2, dy2 float64, radius length.Length) {
		if radius <= 0 {
			o = append(o, Vertex{X: x, Y: y})
			return
		}
		f := radius.Float()
		o = append(o, Vertex{X: x + dx1*f, Y: y + dy1*f, Bulge: quarter}, Vertex{X: x + dx2*f, Y: y + dy2*f})
	}
	corner(0, 0, 0, 1, 1, 0, r.TopLeft)
	corner(w, 0, -1, 0, 0, 1, r.TopRight)
	corner(w, h, 0, -1, -1, 0, r.BottomRight)
	corner(0, h, 1, 0, 0, -1, r.BottomLeft)
	return o.tidy()
}

// tidy drops segments without length, as between two half circles.
func (o Outline) tidy() Outline {
	out := make(Outline, 0, len(o))
	for i, v := range o {
		next := o[(i+1)%len(o)]
		if v.Bulge == 0 && math.Hypot(next.X-v.X, next.Y-v.Y) < 0.5 {
			continue
		}
		out = append(out, v)
	}
	return out
}

// Tapered is a rectangle whose corners are drawn in by taper both ways; each side
// runs straight over its middle half and slants to the corners from there.
func Tapered(width, height, taper length.Length) Outline {
	w, h, t := width.Float(), height.Float(), taper.Float()
	return Outline{
		{X: t, Y: t}, {X: w / 4, Y: 0}, {X: 3 * w / 4, Y: 0},
		{X: w - t, Y: t}, {X: w, Y: h / 4}, {X: w, Y: 3 * h / 4},
		{X: w - t, Y: h - t}, {X: 3 * w / 4, Y: h}, {X: w / 4, Y: h},
		{X: t, Y: h - t}, {X: 0, Y: 3 * h / 4}, {X: 0, Y: h / 4},
	}
}

// Contains reports whether a point lies within or on an outline that is convex,
// as every piece without a notch is.
func (o Outline) Contains(x, y float64) bool {
	const rounding = 1.0 // a nanometre
	for i := range o {
		s := o.segment(i)
		if s.from.Bulge > 0 {
			if cx, cy := s.centre(); math.Hypot(x-cx, y-cy) <= s.radius+rounding {
				continue
			}
		}
		if s.chord > 0 && ((s.to.X-s.from.X)*(y-s.from.Y)-(s.to.Y-s.from.Y)*(x-s.from.X))/s.chord < -rounding {
			return false
		}
	}
	return true
}

// Circle has its bounding box at the origin.
func Circle(diameter length.Length) Outline {
	d := diameter.Float()
	return Outline{{X: 0, Y: d / 2, Bulge: 1}, {X: d, Y: d / 2, Bulge: 1}}
}

// segment is one side with what is derived from its bulge.
type segment struct {
	from, to      Vertex
	chord, angle  float64
	radius        float64 // infinite for a line
	length, sweep float64 // sweep is the area between chord and arc
}

func (o Outline) segment(i int) segment {
	s := segment{from: o[i], to: o[(i+1)%len(o)]}
	s.chord = math.Hypot(s.to.X-s.from.X, s.to.Y-s.from.Y)
	if s.from.Bulge == 0 {
		s.length, s.radius = s.chord, math.Inf(1)
		return s
	}
	s.angle = 4 * math.Atan(s.from.Bulge)
	s.radius = s.chord / 2 / math.Sin(s.angle/2)
	s.length = math.Abs(s.radius * s.angle)
	s.sweep = s.radius * s.radius / 2 * (s.angle - math.Sin(s.angle))
	return s
}

// Length is the way round.
func (o Outline) Length() float64 {
	total := 0.0
	for i := range o {
		total += o.segment(i).length
	}
	return total
}

// Area enclosed; negative for an outline that runs the other way round.
func (o Outline) Area() float64 {
	total := 0.0
	for i := range o {
		s := o.segment(i)
		total += (s.from.X*s.to.Y-s.to.X*s.from.Y)/2 + s.sweep
	}
	return total
}

// Offset is the outline with every side moved outwards by d, its corners kept
// sharp and its arcs kept round: what adding an allowance makes of it. A negative
// d moves inwards.
func (o Outline) Offset(d float64) Outline {
	each := make([]float64, len(o))
	for i := range each {
		each[i] = d
	}
	return o.OffsetEach(each)
}

// OffsetEach moves side i outwards by d[i]. Sides that meet in an arc are to be
// moved alike; an arc that would vanish becomes a corner.
func (o Outline) OffsetEach(d []float64) Outline {
	moved := make([]line, len(o))
	for i := range o {
		moved[i] = o.segment(i).moved(d[i])
	}
	out := make(Outline, 0, len(o))
	for i := range o {
		before := moved[(i+len(o)-1)%len(o)]
		x, y := meet(before, moved[i])
		out = append(out, Vertex{X: x, Y: y, Bulge: moved[i].bulge})
	}
	return out.tidy()
}

// line is a moved side: its new ends, before they are fitted to their
// neighbours.
type line struct{ x1, y1, x2, y2, bulge float64 }

func (s segment) moved(d float64) line {
	// The normal on the left of the direction of travel points outwards.
	if s.from.Bulge == 0 {
		nx, ny := (s.to.Y-s.from.Y)/s.chord*d, -(s.to.X-s.from.X)/s.chord*d
		return line{s.from.X + nx, s.from.Y + ny, s.to.X + nx, s.to.Y + ny, 0}
	}
	cx, cy := s.centre()
	grow := math.Max(0, (s.radius+d)/s.radius)
	if grow == 0 {
		return line{cx, cy, cx, cy, 0}
	}
	return line{cx + (s.from.X-cx)*grow, cy + (s.from.Y-cy)*grow, cx + (s.to.X-cx)*grow, cy + (s.to.Y-cy)*grow,
		s.from.Bulge}
}

func (s segment) centre() (x, y float64) {
	mx, my := (s.from.X+s.to.X)/2, (s.from.Y+s.to.Y)/2
	h := s.radius * math.Cos(s.angle/2)
	return mx - (s.to.Y-s.from.Y)/s.chord*h, my + (s.to.X-s.from.X)/s.chord*h
}

// meet is where a side goes over into the next: where two lines cross, or the
// shared end of sides that touch.
func meet(a, b line) (x, y float64) {
	if a.bulge == 0 && b.bulge == 0 {
		dx1, dy1, dx2, dy2 := a.x2-a.x1, a.y2-a.y1, b.x2-b.x1, b.y2-b.y1
		if det := dx1*dy2 - dy1*dx2; math.Abs(det) > 1e-9 {
			t := ((b.x1-a.x1)*dy2 - (b.y1-a.y1)*dx2) / det
			return a.x1 + t*dx1, a.y1 + t*dy1
		}
	}
	return (a.x2 + b.x1) / 2, (a.y2 + b.y1) / 2
}

// Path is a stretch of an outline: its vertices in order, the last one only
// ending the side before it.
type Path []Vertex

// Stretch is the part of the outline over n sides from side i on, which may lead
// past the first vertex.
func (o Outline) Stretch(i, n int) Path {
	out := make(Path, 0, n+1)
	for k := range n + 1 {
		out = append(out, o[(i+k)%len(o)])
	}
	out[n].Bulge = 0
	return out
}

// segment is side i of a path.
func (p Path) segment(i int) segment { return Outline{p[i], p[i+1]}.segment(0) }

// Length is the way along.
func (p Path) Length() float64 {
	total := 0.0
	for i := range len(p) - 1 {
		total += p.segment(i).length
	}
	return total
}

// At is the point at a distance along the path, and the direction of travel
// there, in radians. Distances beyond the ends give the ends.
func (p Path) At(distance float64) (x, y, direction float64) {
	for i := range len(p) - 1 {
		s := p.segment(i)
		if distance > s.length && i < len(p)-2 {
			distance -= s.length
			continue
		}
		return s.at(math.Max(0, math.Min(1, distance/s.length)))
	}
	return 0, 0, 0
}

// at is the point at a share of the side.
func (s segment) at(share float64) (x, y, direction float64) {
	along := math.Atan2(s.to.Y-s.from.Y, s.to.X-s.from.X)
	if s.from.Bulge == 0 {
		return s.from.X + share*(s.to.X-s.from.X), s.from.Y + share*(s.to.Y-s.from.Y), along
	}
	cx, cy := s.centre()
	start := math.Atan2(s.from.Y-cy, s.from.X-cx)
	turn := s.angle * share
	return cx + s.radius*math.Cos(start+turn), cy + s.radius*math.Sin(start+turn), along - s.angle/2 + turn
}

// Arcs are the stretches along the path that are curved, as distances from its
// beginning.
func (p Path) Arcs() [][2]float64 {
	var out [][2]float64
	at := 0.0
	for i := range len(p) - 1 {
		s := p.segment(i)
		if s.from.Bulge != 0 {
			out = append(out, [2]float64{at, at + s.length})
		}
		at += s.length
	}
	return out
}

// Corners are the distances along the path at which it turns sharply; where a closed
// path begins is none of them.
func (p Path) Corners() []float64 {
	const sharp = 0.05 // radians
	var out []float64
	at := 0.0
	for i := range len(p) - 2 {
		s, next := p.segment(i), p.segment(i+1)
		at += s.length
		_, _, before := s.at(1)
		_, _, after := next.at(0)
		if turn := math.Abs(math.Remainder(after-before, 2*math.Pi)); turn > sharp {
			out = append(out, at)
		}
	}
	return out
}

// Turn is where a path turns: over a length, or at a point, by an angle in radians, clockwise.
type Turn struct{ At, Long, Angle float64 }

// Turns are all arcs and corners of a path, in order; where a closed path begins is none of
// them.
func (p Path) Turns() []Turn {
	const straight = 1e-6 // radians
	var out []Turn
	at := 0.0
	for i := range len(p) - 1 {
		s := p.segment(i)
		if i > 0 {
			_, _, before := p.segment(i - 1).at(1)
			_, _, after := s.at(0)
			if angle := math.Remainder(after-before, 2*math.Pi); math.Abs(angle) > straight {
				out = append(out, Turn{At: at, Angle: angle})
			}
		}
		if s.from.Bulge != 0 {
			out = append(out, Turn{At: at, Long: s.length, Angle: s.angle})
		}
		at += s.length
	}
	return out
}

// Bounds are the lowest and highest coordinates.
func (o Outline) Bounds() (x1, y1, x2, y2 float64) {
	x1, y1, x2, y2 = math.Inf(1), math.Inf(1), math.Inf(-1), math.Inf(-1)
	for _, p := range o.Points(64) {
		x1, y1, x2, y2 = math.Min(x1, p[0]), math.Min(y1, p[1]), math.Max(x2, p[0]), math.Max(y2, p[1])
	}
	return x1, y1, x2, y2
}

// Middle is the centre of gravity of what it encloses, every arc taken by 64 chords.
func (o Outline) Middle() (x, y float64) {
	points := o.Points(64)
	var area float64
	from := points[len(points)-1]
	for _, to := range points {
		part := from[0]*to[1] - to[0]*from[1]
		area += part
		x += (from[0] + to[0]) * part
		y += (from[1] + to[1]) * part
		from = to
	}
	return x / (3 * area), y / (3 * area)
}

// Points is the outline as a polygon, every arc cut into n chords.
func (o Outline) Points(n int) [][2]float64 {
	var out [][2]float64
	for i := range o {
		s := o.segment(i)
		out = append(out, [2]float64{s.from.X, s.from.Y})
		if s.from.Bulge == 0 {
			continue
		}
		cx, cy := s.centre()
		start := math.Atan2(s.from.Y-cy, s.from.X-cx)
		for k := 1; k < n; k++ {
			a := start + s.angle*float64(k)/float64(n)
			out = append(out, [2]float64{cx + s.radius*math.Cos(a), cy + s.radius*math.Sin(a)})
		}
	}
	return out
}

// CornerShort is how much shorter the way round a rounded corner of radius r is
// than round a square one: (2 − π/2)·r. Source: geometry.
func CornerShort(r length.Length) length.Length {
	return length.FromFloat((2 - math.Pi/2) * r.Float())
}
