package fit

import (
	"fmt"
	"math"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Guide says where to put the ruler on a quilted panel: how far inside each of its edges
// the cut lies, at both ends of the edge.
type Guide struct {
	// Top and Bottom at their left and right end, Left and Right at their upper and lower.
	Top, Right, Bottom, Left [2]length.Length
	// Fits tells that no cut lies outside the panel.
	Fits bool
	// Off is by how much the six measurements do not agree with each other.
	Off length.Length
	// Skew is how much the diagonals differ.
	Skew length.Length
}

// agreed is by how much six measurements of one panel may be off: a sixteenth of an inch
// at the tape, each. Common practice.
const agreed = length.Inch / 8

// Trim lays the planned size on a panel of four measured sides and two diagonals: its
// middle on the middle of the panel, its edges along the mean of the opposite edges.
//
// Source: geometry. The upper side and the diagonals fix the corners; the lower side is
// what the others are checked by.
func Trim(p plan.Plan, m plan.Measured, about string, planned sum.Size) (Guide, finding.List) {
	var found finding.List
	g := Guide{}
	s, d := m.Sides, m.Diagonals
	if s == nil || d == nil || s.Top == 0 || s.Right == 0 || s.Bottom == 0 || s.Left == 0 || d.Falling == 0 ||
		d.Rising == 0 {
		return g, found
	}
	a, b := point{0, 0}, point{s.Top.Float(), 0}
	low, ok1 := corner(s.Top.Float(), s.Left.Float(), d.Rising.Float())
	far, ok2 := corner(s.Top.Float(), s.Right.Float(), d.Falling.Float())
	if !ok1 || !ok2 {
		found.Add(finding.Warn, "trim-impossible", about, "No panel has these sides and these diagonals.",
			"Measure the diagonals again, from corner to corner.")
		return g, found
	}
	c := point{s.Top.Float() - far.x, far.y}
	bottom := math.Hypot(c.x-low.x, c.y-low.y)
	text := p.Style().Text
	g.Off, g.Skew = length.FromFloat(math.Abs(bottom-s.Bottom.Float())), (d.Falling - d.Rising).Abs()
	if g.Off > agreed {
		found.Add(finding.Warn, "trim-off", about+"/sides/bottom",
			fmt.Sprintf("The sides and diagonals do not agree: by the others the lower side would be %s.",
				text(length.FromFloat(bottom))),
			"Measure the one that looks wrong again; the panel lies flat, not stretched.")
	}
	g.lay([4]point{a, b, c, low}, planned.Width.Total().Float(), planned.Height.Total().Float())
	if !g.Fits {
		least := min(g.Top[0], g.Top[1], g.Right[0], g.Right[1], g.Bottom[0], g.Bottom[1], g.Left[0], g.Left[1])
		found.Add(finding.Warn, "trim-short", about,
			fmt.Sprintf("The planned size does not fit on the panel: %s are missing at one corner.", text(-least)),
			"Trim it smaller all round by that, and type what it measures then.")
	}
	return g, found
}

type point struct{ x, y float64 }

// corner is the point at a distance from the first and another from the second end of a
// side, below it.
func corner(side, near, far float64) (point, bool) {
	x := (near*near - far*far + side*side) / (2 * side)
	y := near*near - x*x
	return point{x, math.Sqrt(math.Max(y, 0))}, y > 0
}

// lay puts a rectangle on a quadrilateral, corners clockwise from the upper left.
func (g *Guide) lay(q [4]point, w, h float64) {
	mid := point{(q[0].x + q[1].x + q[2].x + q[3].x) / 4, (q[0].y + q[1].y + q[2].y + q[3].y) / 4}
	// The level direction is the mean of both level edges and of the upright ones turned.
	level := point{(q[1].x - q[0].x) + (q[2].x - q[3].x) + (q[3].y - q[0].y) + (q[2].y - q[1].y),
		(q[1].y - q[0].y) + (q[2].y - q[3].y) - (q[3].x - q[0].x) - (q[2].x - q[1].x)}
	long := math.Hypot(level.x, level.y)
	ux, uy := level.x/long, level.y/long
	// How far a corner lies beyond the cut: to the right and down, or to the left and up.
	beyond := func(p point) (left, right, up, down float64) {
		x, y := (p.x-mid.x)*ux+(p.y-mid.y)*uy, -(p.x-mid.x)*uy+(p.y-mid.y)*ux
		return -x - w/2, x - w/2, -y - h/2, y - h/2
	}
	l0, _, u0, _ := beyond(q[0])
	_, r1, u1, _ := beyond(q[1])
	_, r2, _, d2 := beyond(q[2])
	l3, _, _, d3 := beyond(q[3])
	f := length.FromFloat
	g.Top, g.Right, g.Bottom, g.Left = [2]length.Length{f(u0), f(u1)}, [2]length.Length{f(r1),
		f(r2)}, [2]length.Length{f(d3), f(d2)}, [2]length.Length{f(l0), f(l3)}
	g.Fits = math.Min(math.Min(math.Min(l0, u0), math.Min(r1, u1)), math.Min(math.Min(r2, d2), math.Min(l3, d3))) >= -1
}
