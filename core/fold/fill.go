package fold

import (
	"math"

	"umschlag/core/cover"
)

// How full things are drawn, as shares of their shorter side where no thickness is known.
// They are for the picture and cut nothing.
const (
	plumpness = 1.0 / 3
	crown     = 1.0 / 16
	softness  = 1.0 / 60
)

// How finely a filled piece is drawn: in so many rings, fewer where its rim has many points,
// and so many points on a side.
const (
	fewRings, manyRings = 6, 10
	manyPoints          = 160
	sides               = 12
)

// bulge is how a piece looks when it is filled.
type bulge struct {
	// inner is the outline that is filled: all of it, less a flange.
	inner [][2]float64
	// high is how far its middle rises, and pulls whether its edges come in for that, so
	// that the way over it stays as long as the cloth is.
	high  float64
	pulls bool
}

// plump is a cushion's face, filled by its pad.
func (f *Folder) plump(p cover.Piece) bulge {
	inner := polygon(p.Line().Offset(-f.plan.Cover.Flange.Float()))
	thick := f.plan.Object.Thickness.Float()
	if thick == 0 {
		thick = plumpness * shorter(inner)
	}
	return bulge{inner: inner, high: math.Min(thick, shorter(inner)/2) / 2, pulls: true}
}

// padded is a face over batting alone.
func (f *Folder) padded(p cover.Piece) bulge {
	inner := polygon(p.Line())
	return bulge{inner: inner, high: softness * shorter(inner)}
}

// crowned is a face that a band holds at its edges.
func crowned(p cover.Piece) bulge {
	inner := polygon(p.Line())
	return bulge{inner: inner, high: crown * shorter(inner)}
}

// shorter is the shorter side of the rectangle round a polygon.
func shorter(p [][2]float64) float64 {
	x1, x2 := reach(p, 0)
	y1, y2 := reach(p, 1)
	return math.Min(x2-x1, y2-y1)
}

// reach is how far a polygon goes along a coordinate.
func reach(p [][2]float64, k int) (least, most float64) {
	least, most = math.Inf(1), math.Inf(-1)
	for _, v := range p {
		least, most = math.Min(least, v[k]), math.Max(most, v[k])
	}
	return least, most
}

// fill gives a flat leaf the points it needs to bulge, and what filling moves each by.
func (f *Folder) fill(leaf int, p cover.Piece, b bulge) {
	one := &f.leaves[leaf]
	rim := divided(polygon(p.Line()))
	x1, x2 := reach(b.inner, 0)
	y1, y2 := reach(b.inner, 1)
	middle := [2]float64{(x1 + x2) / 2, (y1 + y2) / 2}
	one.Points, one.Lifts, one.Triangles = [][2]float64{middle}, nil, nil
	n, rings := len(rim), manyRings
	if n > manyPoints {
		rings = fewRings
	}
	for r := 1; r <= rings+1; r++ {
		for _, at := range rim {
			share := within(b.inner, middle, at) * float64(r) / float64(rings)
			if r > rings { // the flange
				share = 1
			}
			one.Points = append(one.Points,
				[2]float64{middle[0] + share*(at[0]-middle[0]), middle[1] + share*(at[1]-middle[1])})
		}
	}
	for i := range n {
		one.Triangles = append(one.Triangles, [3]int{0, 1 + i, 1 + (i+1)%n})
	}
	for r := range rings {
		for i := range n {
			a, c := 1+r*n+i, 1+r*n+(i+1)%n
			one.Triangles = append(one.Triangles, [3]int{a, a + n, c + n}, [3]int{a, c + n, c})
		}
	}
	for i, at := range one.Points {
		if i > rings*n { // a flange goes where the edge of the filling goes
			one.Lifts = append(one.Lifts, one.Lifts[i-n])
			continue
		}
		one.Lifts = append(one.Lifts, b.lift(at))
	}
}

// divided is a polygon with its long sides in several.
func divided(p [][2]float64) [][2]float64 {
	most := shorter(p) / sides
	var out [][2]float64
	for i, a := range p {
		b := p[(i+1)%len(p)]
		n := math.Max(1, math.Ceil(math.Hypot(b[0]-a[0], b[1]-a[1])/most))
		for k := range int(n) {
			share := float64(k) / n
			out = append(out, [2]float64{a[0] + share*(b[0]-a[0]), a[1] + share*(b[1]-a[1])})
		}
	}
	return out
}

// within is the share of the way from a middle to a point that lies inside a polygon
// without notches round that middle, clockwise; at most all of it.
func within(inner [][2]float64, middle, at [2]float64) float64 {
	share := 1.0
	for i, a := range inner {
		b := inner[(i+1)%len(inner)]
		nx, ny := b[1]-a[1], a[0]-b[0] // outwards
		if toward := nx*(at[0]-middle[0]) + ny*(at[1]-middle[1]); toward > 0 {
			share = math.Min(share, (nx*(a[0]-middle[0])+ny*(a[1]-middle[1]))/toward)
		}
	}
	return math.Max(0, share)
}

// lift is what filling moves a point by. It rises as a cosine of its row and of its column;
// where its edges come in, each row and each column keeps its own length.
func (b bulge) lift(at [2]float64) [3]float64 {
	x1, x2 := chord(b.inner, 1, at[1])
	y1, y2 := chord(b.inner, 0, at[0])
	u, v := from(at[0], x1, x2), from(at[1], y1, y2)
	rise := [2]float64{b.high * math.Cos(quarter*v), b.high * math.Cos(quarter*u)}
	out := [3]float64{2: -rise[0] * math.Cos(quarter*u)}
	if b.pulls {
		out[0] = u * ((x2-x1)/2*spanned(rise[0]/((x2-x1)/2)) - (x2-x1)/2)
		out[1] = v * ((y2-y1)/2*spanned(rise[1]/((y2-y1)/2)) - (y2-y1)/2)
	}
	return out
}

// chord is where a line along the other coordinate cuts a polygon without notches.
func chord(p [][2]float64, k int, at float64) (least, most float64) {
	least, most = math.Inf(1), math.Inf(-1)
	for i, a := range p {
		b := p[(i+1)%len(p)]
		if math.Min(a[k], b[k]) > at+rounding || math.Max(a[k], b[k]) < at-rounding {
			continue
		}
		for _, end := range [][2]float64{a, b} {
			x := end[1-k]
			if a[k] != b[k] {
				share := math.Max(0, math.Min(1, (at-a[k])/(b[k]-a[k])))
				x = a[1-k] + share*(b[1-k]-a[1-k])
			}
			least, most = math.Min(least, x), math.Max(most, x)
		}
	}
	return least, most
}

// from is how far a coordinate lies from the middle between two others, -1 to 1.
func from(at, least, most float64) float64 {
	if most-least < rounding {
		return 0
	}
	return math.Max(-1, math.Min(1, (2*at-least-most)/(most-least)))
}

// spanned is the share of its length that half an arch of a cosine spans, for a rise given as
// a share of that length.
func spanned(rise float64) float64 {
	low, high := 0.0, 1.0
	for range 40 {
		base := (low + high) / 2
		if arch(base, rise) > 1 {
			high = base
		} else {
			low = base
		}
	}
	return (low + high) / 2
}

// steepness is how steep an arch of a cosine is where Simpson's rule looks at it, for a rise of 1.
var steepness = func() (at [17]float64) {
	for i := range at {
		at[i] = quarter * math.Sin(quarter*float64(i)/float64(len(at)-1))
	}
	return at
}()

// arch is the length of half an arch of a cosine over a base, by Simpson's rule.
func arch(base, rise float64) float64 {
	const n = len(steepness) - 1
	total := 0.0
	for i, steep := range steepness {
		weight := 2.0 + 2*float64(i%2)
		if i == 0 || i == n {
			weight = 1
		}
		total += weight * math.Sqrt(base*base+rise*steep*rise*steep)
	}
	return total / float64(3*n)
}
