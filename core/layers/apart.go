package layers

import (
	"fmt"

	"umschlag/core/length"
	"umschlag/core/sum"
	"umschlag/core/takeup"
)

// Apart is a panel of which the borders are quilted by themselves, or left unquilted.
type Apart struct {
	// After tells that they are sewn on when what lies inside them is quilted.
	After bool
	// Inside is what lies inside them as it is sewn: with its seams where it is quilted up to its raw edges.
	Inside sum.Size
	// Wide and Long are what their own quilting takes of their width and of their length, as shares of 1.
	Wide, Long float64
}

// apart is how the borders of the panel are quilted by themselves; nil where they are not.
func (o Order) apart() *Apart {
	q := o.Piece.Quilting
	if q == nil || q.Borders == nil || !q.Any() || o.Inside[0] <= 0 || o.Inside[1] <= 0 {
		return nil
	}
	a := &Apart{After: q.Borders.After && q.Inside()}
	a.Wide, a.Long = takeup.Borders(takeup.Bulge(o.Piece.Layers), q.Borders)
	inside := func(finished length.Length) sum.Sum {
		in := sum.Of(sum.Part, "inside the borders, finished", finished)
		if a.After {
			in = in.Between(sum.Seam, "seam allowance", o.Seam)
		}
		return in
	}
	a.Inside = sum.Size{Width: inside(o.Inside[0]), Height: inside(o.Inside[1])}
	return a
}

func taken(t float64) string { return fmt.Sprintf("quilting takes %.2f%%", 100*t) }

// flat is the size of the top before it is quilted.
func (c Chain) flat() sum.Size {
	wide := c.Trimmed.Between(sum.Squaring, "trimmed off after quilting", c.Margin)
	if c.Apart == nil {
		return sum.Size{Width: beforeQuilting(wide.Width, c.TakeUp.Across),
			Height: beforeQuilting(wide.Height, c.TakeUp.Along)}
	}
	a := c.Apart
	return sum.Size{Width: a.flat(wide.Width, a.Inside.Width.Total(), c.TakeUp.Across),
		Height: a.flat(wide.Height, a.Inside.Height.Total(), c.TakeUp.Along)}
}

// beforeQuilting adds what quilting will take, half at each end: the size over (1 − t).
func beforeQuilting(s sum.Sum, t float64) sum.Sum {
	total := s.Total()
	return s.Between(sum.TakeUp, taken(t), half(total.Float()/(1-t)-total.Float()))
}

// half of an amount that is rounded to an even number of nanometres, so that the halves are equal.
func half(amount float64) length.Length {
	takes := length.FromFloat(amount)
	return (takes + takes%2) / 2
}

// flat is one direction before it is quilted: through the middle, where what lies inside the borders loses its share
// and both borders that of their width, or along a border, whichever takes more; what the other loses less is trimmed
// off. Source: geometry.
func (a Apart) flat(s sum.Sum, inside length.Length, t float64) sum.Sum {
	total, lost := s.Total().Float(), t*inside.Float()
	beside := total - inside.Float() + lost // the borders as they are before their own quilting, nearly
	wide := beside/(1-a.Wide) - beside
	long := total/(1-a.Long) - total
	if long > lost+wide {
		return s.Between(sum.TakeUp, fmt.Sprintf("quilting takes %.2f%% of the length of the borders", 100*a.Long),
			half(long))
	}
	s = s.Between(sum.TakeUp, taken(t)+" inside the borders", half(lost))
	if wide > 0 {
		s = s.Between(sum.TakeUp, fmt.Sprintf("quilting takes %.2f%% of the width of the borders", 100*a.Wide),
			half(wide))
	}
	return s
}

// Ground is what is laid on the layers first: what lies inside the borders where those are sewn on after, else the top.
func (c Chain) Ground() sum.Size {
	if c.Apart != nil && c.Apart.After {
		return c.Apart.Inside
	}
	return c.Top
}

// BordersAfter reports whether borders are sewn on when what lies inside them is quilted.
func (c Chain) BordersAfter() bool { return c.Apart != nil && c.Apart.After }

// quilted is what the pattern inside the borders is quilted on.
func (o Order) quilted() sum.Size {
	return Chain{Trimmed: o.Trimmed, Apart: o.apart()}.Quilted()
}

// Quilted is what the pattern is quilted on: what lies inside borders that are quilted by themselves, or all of it.
func (c Chain) Quilted() sum.Size {
	if c.Apart != nil {
		return c.Apart.Inside
	}
	return c.Trimmed
}
