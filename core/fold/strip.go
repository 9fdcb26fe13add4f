package fold

import (
	"math"
	"slices"

	"umschlag/core/cover"
	"umschlag/core/outline"
)

// bend is a stretch along a strip over which it turns to the inside; a sharp one has no
// length.
type bend struct{ at, long, turn float64 }

// along is the way a strip runs on its piece.
type along int

const (
	across along = iota // from left to right
	down                // from top to bottom
)

// span is one leaf of a strip and the stretch it has of it, with what it turns by against
// the one before.
type span struct {
	leaf             int
	from, to, before float64
}

// strip is a piece that is cut into leaves across its way.
type strip struct {
	piece cover.Piece
	spans []span
}

// leafAt is the leaf at a distance along the strip; where two meet, the one whose middle is
// nearest.
func (s strip) leafAt(at float64) int { return s.spans[nearest(s.spans, at)].leaf }

// nearest is the stretch a distance lies in; where several do, the one whose middle is
// nearest.
func nearest(spans []span, at float64) int {
	best, least := 0, math.Inf(1)
	for i, one := range spans {
		off := math.Abs((one.from+one.to)/2 - at)
		if at >= one.from-rounding && at <= one.to+rounding && off < least {
			best, least = i, off
		}
	}
	return best
}

// builder puts the leaves of a cover together.
type builder struct{ leaves []Leaf }

// bent adds a piece that bends along its way, when it is said; the leaf at the distance root
// is the one that hangs on another, as given.
func (b *builder) bent(p cover.Piece, copied int, way along, bends []bend, root float64, hinge Hinge,
	when share) strip {
	out := strip{piece: p, spans: cutting(p, way, bends)}
	whole := polygon(p.Line())
	add := func(i int, h Hinge) {
		one := &out.spans[i]
		one.leaf = len(b.leaves)
		leaf := Leaf{Piece: p.Name, Copy: copied, Hinge: h, Points: between(whole, way, one.from, one.to)}
		leaf.Triangles = fan(len(leaf.Points))
		b.leaves = append(b.leaves, leaf)
	}
	first := nearest(out.spans, root)
	add(first, hinge)
	for i := first + 1; i < len(out.spans); i++ {
		add(i, out.crease(i-1, way.ahead(out.spans[i].from), out.spans[i].before, when))
	}
	for i := first - 1; i >= 0; i-- {
		add(i, out.crease(i+1, way.ahead(out.spans[i].to).reversed(), out.spans[i+1].before, when))
	}
	return out
}

// crease is a hinge within a piece on span i.
func (s strip) crease(i int, axis Axis, turn float64, when share) Hinge {
	return Hinge{Parent: s.spans[i].leaf, Own: axis, On: axis, Turn: turn, From: when.from, To: when.to}
}

// share is a part of the folding, from 0 to 1.
type share struct{ from, to float64 }

// always is all of it.
var always = share{0, 1}

// ahead is the axis across a strip about which what lies further along it turns.
func (way along) ahead(at float64) Axis {
	if way == across {
		return Axis{X: at, Angle: -math.Pi / 2}
	}
	return Axis{Y: at}
}

// cutting divides a strip at its bends. What a curve turns by is shared out over its
// leaves, half a share at either end, so that the leaves touch it in their middles.
func cutting(p cover.Piece, way along, bends []bend) []span {
	end := p.Finished.Width.Total().Float()
	if way == down {
		end = p.Finished.Height.Total().Float()
	}
	bends = slices.Clone(bends)
	slices.SortFunc(bends, func(a, b bend) int { return int(math.Copysign(1, a.at-b.at)) })
	out := []span{{}}
	for _, one := range bends {
		out[len(out)-1].to = one.at
		if one.long == 0 {
			out = append(out, span{from: one.at, before: one.turn})
			continue
		}
		n := parts(one.long, one.turn)
		each := one.turn / float64(n)
		for i := range n {
			step := span{from: one.at + one.long*float64(i)/float64(n), to: one.at + one.long*float64(i+1)/float64(n),
				before: each}
			if i == 0 {
				step.before = each / 2
			}
			out = append(out, step)
		}
		out = append(out, span{from: one.at + one.long, before: each / 2})
	}
	out[len(out)-1].to = end
	return out
}

// bends are the turns of a path between two distances along it, at distances from the first;
// of an arc that goes beyond them what lies between.
func bends(path outline.Path, from, to float64) []bend {
	var out []bend
	for _, t := range path.Turns() {
		begin, end := math.Max(t.At, from), math.Min(t.At+t.Long, to)
		switch {
		case t.Long == 0 && t.At > from+rounding && t.At < to-rounding:
			out = append(out, bend{at: t.At - from, turn: t.Angle})
		case t.Long > 0 && end-begin > rounding:
			out = append(out, bend{at: begin - from, long: end - begin, turn: t.Angle * (end - begin) / t.Long})
		}
	}
	return out
}

// rounding is more, in nanometres, than two ways of working out one length differ by.
const rounding = 100

// between is the part of a polygon without notches that lies between two distances.
func between(whole [][2]float64, way along, from, to float64) [][2]float64 {
	k := 0
	if way == down {
		k = 1
	}
	return clipped(clipped(whole, k, from, 1), k, to, -1)
}

// clipped is the part of a polygon on one side of a line across coordinate k.
func clipped(whole [][2]float64, k int, at, side float64) [][2]float64 {
	var out [][2]float64
	for i, p := range whole {
		q := whole[(i+1)%len(whole)]
		inside, next := (p[k]-at)*side >= 0, (q[k]-at)*side >= 0
		if inside {
			out = append(out, p)
		}
		if inside != next {
			share := (at - p[k]) / (q[k] - p[k])
			out = append(out, [2]float64{p[0] + share*(q[0]-p[0]), p[1] + share*(q[1]-p[1])})
		}
	}
	return out
}

// fan is a polygon without notches in triangles.
func fan(n int) [][3]int {
	var out [][3]int
	for i := 2; i < n; i++ {
		out = append(out, [3]int{0, i - 1, i})
	}
	return out
}
