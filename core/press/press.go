// Package press knows where seam allowances lie: for every seam of a face a side, or
// open, such that seams which meet across another lie to opposite sides and lock.
package press

import (
	"math"

	"umschlag/core/front"
	"umschlag/core/plan"
)

// Side is where a seam allowance lies after pressing, seen from the front.
type Side string

// The sides.
const (
	Left  Side = "left"
	Right Side = "right"
	Up    Side = "up"
	Down  Side = "down"
	// UpRight and its like are the sides of slanting seams.
	UpRight   Side = "up-right"
	DownRight Side = "down-right"
	UpLeft    Side = "up-left"
	DownLeft  Side = "down-left"
	Open      Side = "open"
	Dark      Side = "dark"
	// ToSash is said of a whole row.
	ToSash Side = "sash"
)

// Plan is how a face is pressed.
type Plan struct {
	// Sides of the seams, in the order of the face's.
	Sides []Side
	// Rows is the side of each sewn row, by its number; Between that of the seam under
	// it.
	Rows, Between map[int]Side
	// Alternate reports blocks that are pressed the other way in every second place.
	Alternate bool
	// Conflicts are where two seams meet that lie to the same side.
	Conflicts []Conflict
}

// Conflict is a point where seams do not lock.
type Conflict struct {
	X, Y float64
	// Seams that meet there, by their index.
	Seams [2]int
}

// Order is what a plan is made from.
type Order struct {
	Face front.Face
	// School for all seams, and for some kinds of them where they are pressed otherwise.
	School plan.Press
	At     map[front.SeamKind]plan.Press
	// Quilted faces have lines of stitching across their seams.
	Quilted bool
	// Tone is how light a cloth is, from 0 to 1, where that is known.
	Tone func(cloth string) (float64, bool)
}

// Schools are how seams are pressed by habits: for all of them, and by their kinds.
func Schools(h plan.Habits) (all plan.Press, at map[front.SeamKind]plan.Press) {
	at = map[front.SeamKind]plan.Press{}
	for press, kinds := range map[*plan.Press][]front.SeamKind{&h.PressBlocks: {front.InBlock},
		&h.PressRows: {front.InBand}, &h.PressJoins: {front.Between, front.Stacked},
		&h.PressBorders: {front.Round, front.Pieced}} {
		for _, kind := range kinds {
			if *press != "" {
				at[kind] = *press
			}
		}
	}
	return h.Press, at
}

// Of is the pressing plan of a face by a school, with others for some kinds of its seams.
func Of(o Order) Plan {
	p := o.bySchool()
	others := map[plan.Press]Plan{}
	for i, s := range o.Face.Seams {
		school, other := o.At[s.Kind]
		switch {
		case !other:
		case school == plan.PressOpen: // a border too, where that is asked for
			p.Sides[i] = Open
		default:
			if _, made := others[school]; !made {
				others[school] = Order{Face: o.Face, School: school, Quilted: o.Quilted, Tone: o.Tone}.bySchool()
			}
			p.Sides[i] = others[school].Sides[i]
		}
	}
	if len(o.At) > 0 {
		p.Conflicts = nil
		p.conflicts(o.Face.Seams, meetings(o.Face.Seams).all)
	}
	o.summed(&p)
	return p
}

// bySchool presses all seams by one school.
func (o Order) bySchool() Plan {
	p := Plan{Sides: make([]Side, len(o.Face.Seams)), Rows: map[int]Side{}, Between: map[int]Side{}}
	switch {
	case o.School == plan.PressOpen, o.School == plan.PressCrossed && o.Quilted:
		for i, s := range o.Face.Seams {
			p.Sides[i] = Open
			if s.Kind == front.Round || s.Kind == front.Stacked { // always to the border, and down
				p.Sides[i] = sideOf(s, 1)
			}
		}
	case o.School == plan.PressDark:
		o.dark(&p)
	default:
		o.nested(&p)
	}
	return p
}

// nested gives every group of seams that are pressed together a side of its own, so
// that groups which meet lie to opposite sides: two colours on a graph.
func (o Order) nested(p *Plan) {
	meets := meetings(o.Face.Seams)
	sign := map[front.Group]int{}
	for _, s := range o.Face.Seams {
		if _, done := sign[s.Group]; done {
			continue
		}
		sign[s.Group] = 1
		queue := []front.Group{s.Group}
		for len(queue) > 0 {
			group := queue[0]
			queue = queue[1:]
			for _, m := range meets.of[group] {
				other := m.other(o.Face.Seams, group)
				if _, done := sign[other]; !done {
					sign[other] = -m.turn * sign[group]
					queue = append(queue, other)
				}
			}
		}
	}
	for i, s := range o.Face.Seams {
		p.Sides[i] = sideOf(s, sign[s.Group])
	}
	p.conflicts(o.Face.Seams, meets.all)
	p.Alternate = alternates(sign)
}

// alternates reports whether any division is pressed the other way in every second
// block.
func alternates(sign map[front.Group]int) bool {
	for group, s := range sign {
		other := group
		other.Turn = 1
		if group.Kind == front.InBlock && group.In == "" && group.Turn == 0 && sign[other] == -s {
			return true
		}
	}
	return false
}

// dark lays every seam to its darker cloth, where both are known.
func (o Order) dark(p *Plan) {
	tone := func(cell int) (float64, bool) {
		if cell < 0 || o.Tone == nil {
			return 0, false
		}
		return o.Tone(o.Face.Parts[o.Face.Cells[cell].Part].Cloth)
	}
	for i, s := range o.Face.Seams {
		left, known := tone(s.Left)
		right, also := tone(s.Right)
		switch {
		case s.Kind == front.Between || s.Kind == front.Stacked || s.Kind == front.Round:
			p.Sides[i] = sideOf(s, 1)
		case !known || !also || left == right:
			p.Sides[i] = Dark
		case left < right:
			p.Sides[i] = sideOf(s, 1)
		default:
			p.Sides[i] = sideOf(s, -1)
		}
	}
	p.conflicts(o.Face.Seams, meetings(o.Face.Seams).all)
}

// conflicts are the meetings whose seams lie to the same side.
func (p *Plan) conflicts(seams []front.Seam, meets []meeting) {
	for _, m := range meets {
		a, b := p.Sides[m.a], p.Sides[m.b]
		if a == b && a != Open && a != Dark {
			p.Conflicts = append(p.Conflicts, Conflict{X: m.x, Y: m.y, Seams: [2]int{m.a, m.b}})
		}
	}
}

// summed says what a whole row has in common.
func (o Order) summed(p *Plan) {
	sashes := map[int]front.Band{}
	for _, b := range o.Face.Bands {
		sashes[b.Number] = b
	}
	for i, s := range o.Face.Seams {
		switch s.Kind {
		case front.InBand:
			p.Rows[s.Band] = row(p.Rows[s.Band], p.Sides[i], sashes[s.Band])
		case front.Between:
			if _, said := p.Between[s.Band]; !said {
				p.Between[s.Band] = p.Sides[i]
			}
		}
	}
}

// row is what the sides of a row have in common with one more: one side, or, between
// patches and sashes, the sashes.
func row(before, side Side, b front.Band) Side {
	if b.Sashes && side != Open && side != Dark {
		return ToSash
	}
	if before != "" && before != side {
		return Dark // seam by seam
	}
	return side
}

// meeting is two seams that meet end to end across another one.
type meeting struct {
	a, b int
	x, y float64
	// turn is 1 where both are drawn the same way, -1 where one runs back.
	turn int
}

func (m meeting) other(seams []front.Seam, group front.Group) front.Group {
	if seams[m.a].Group == group {
		return seams[m.b].Group
	}
	return seams[m.a].Group
}

type meetingList struct {
	all []meeting
	of  map[front.Group][]meeting
}

// end is one end of a seam and the direction in which the seam leaves it.
type end struct {
	seam   int
	dx, dy float64
}

// spot is a point, to a micrometre.
type spot struct{ x, y int64 }

// meetings finds where two seams meet end to end in one line.
func meetings(seams []front.Seam) meetingList {
	out := meetingList{of: map[front.Group][]meeting{}}
	ends := map[spot][]end{}
	for i, s := range seams {
		if s.Kind == front.Between || s.Kind == front.Round || s.Kind == front.Stacked {
			continue // sewn last, across the others
		}
		long := math.Hypot(s.X2-s.X1, s.Y2-s.Y1)
		if long == 0 {
			continue
		}
		dx, dy := (s.X2-s.X1)/long, (s.Y2-s.Y1)/long
		for _, e := range []struct{ x, y, sign float64 }{{s.X1, s.Y1, 1}, {s.X2, s.Y2, -1}} {
			at := spot{int64(math.Round(e.x / 1000)), int64(math.Round(e.y / 1000))}
			for _, other := range ends[at] {
				if other.dx*e.sign*dx+other.dy*e.sign*dy > -0.9999 || seams[other.seam].Group == s.Group &&
					seams[other.seam].Kind == s.Kind && s.Kind == front.InBand {
					continue
				}
				m := meeting{a: other.seam, b: i, x: e.x, y: e.y, turn: turnOf(seams[other.seam], s)}
				out.all = append(out.all, m)
				out.of[seams[m.a].Group] = append(out.of[seams[m.a].Group], m)
				if seams[m.a].Group != s.Group {
					out.of[s.Group] = append(out.of[s.Group], m)
				}
			}
			ends[at] = append(ends[at], end{seam: i, dx: e.sign * dx, dy: e.sign * dy})
		}
	}
	return out
}

// turnOf is 1 where two seams in one line are drawn the same way.
func turnOf(a, b front.Seam) int {
	if (a.X2-a.X1)*(b.X2-b.X1)+(a.Y2-a.Y1)*(b.Y2-b.Y1) > 0 {
		return 1
	}
	return -1
}

// sideOf is the side to the left of a seam, seen along it, or for -1 to its right.
func sideOf(s front.Seam, sign int) Side {
	x, y := (s.Y2-s.Y1)*float64(sign), (s.X1-s.X2)*float64(sign)
	const flat = 1e-6
	long := math.Hypot(x, y)
	switch {
	case math.Abs(x) < flat*long && y < 0:
		return Up
	case math.Abs(x) < flat*long:
		return Down
	case math.Abs(y) < flat*long && x < 0:
		return Left
	case math.Abs(y) < flat*long:
		return Right
	case x > 0 && y < 0:
		return UpRight
	case x > 0:
		return DownRight
	case y < 0:
		return UpLeft
	}
	return DownLeft
}
