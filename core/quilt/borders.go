package quilt

import (
	"math"

	"umschlag/core/length"
	"umschlag/core/shape"
)

// Borders lays the pattern of borders that are quilted by themselves, from the inside outwards.
func Borders(o Order) Pattern {
	var p Pattern
	if o.Quilting == nil || o.Quilting.Borders == nil || !o.Apart {
		return p
	}
	b := o.Quilting.Borders
	if b.Ditch {
		for _, s := range o.Face.Seams {
			if ofBorder(s) {
				p.Lines = chained(p.Lines, Line{Kind: Ditch, Family: -1, Points: ends(s)})
			}
		}
	}
	if b.Along > 0 {
		p.Lines = append(p.Lines, o.along(b.Along)...)
	}
	if b.Across > 0 {
		p.Lines = append(p.Lines, o.across(b.Across)...)
	}
	if b.Free > 0 {
		for _, side := range o.sides() {
			p.Lines = append(p.Lines, free(side, b.Free))
		}
	}
	for i := range p.Lines {
		p.Lines[i].Border = true
	}
	return p.measured()
}

// along are rounds outside the seam of the borders, up to half their distance from the edge.
func (o Order) along(pitch length.Length) []Line {
	var out []Line
	p, deep := pitch.Float(), min(o.Face.Border[0], o.Face.Border[1]).Float()
	for d := p; d < deep-p/2+1 && len(out) < mostLines; d += p {
		out = append(out, round(wider(o.inside(), d, d)))
	}
	return out
}

// sides are the four borders up to their raw edges: above and below across the whole, left and right between them.
func (o Order) sides() [4]shape.Box {
	in, top := o.inside(), o.whole()
	return [4]shape.Box{{X1: top.X1, Y1: top.Y1, X2: top.X2, Y2: in.Y1}, {X1: in.X2, Y1: in.Y1, X2: top.X2, Y2: in.Y2},
		{X1: top.X1, Y1: in.Y2, X2: top.X2, Y2: top.Y2}, {X1: top.X1, Y1: in.Y1, X2: in.X1, Y2: in.Y2}}
}

// across are lines from the seam of the borders to their edge, the middle one in the middle of each side.
func (o Order) across(pitch length.Length) []Line {
	var out []Line
	p := pitch.Float()
	for i, s := range o.sides() {
		long := s.Width()
		if i%2 == 1 {
			long = s.Height()
		}
		n := int(math.Min(math.Floor(long/2/p), mostLines/2))
		for k := -n; k <= n; k++ {
			at := float64(k) * p
			a, b := shape.Point{X: (s.X1+s.X2)/2 + at, Y: s.Y1}, shape.Point{X: (s.X1+s.X2)/2 + at, Y: s.Y2}
			if i%2 == 1 {
				a, b = shape.Point{X: s.X1, Y: (s.Y1+s.Y2)/2 + at}, shape.Point{X: s.X2, Y: (s.Y1+s.Y2)/2 + at}
			}
			if len(out)%2 == 1 {
				a, b = b, a
			}
			out = append(out, Line{Kind: Across, Family: -1, Points: []shape.Point{a, b}})
		}
	}
	return out
}
