// Package quilt lays quilting on a piece: where each line begins and ends, in which order
// they are sewn, how long they are together, how far they keep from seams, and the thread
// and time they take.
package quilt

import (
	"math"
	"slices"

	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/shape"
)

// Line is one stitched line, from where it begins to where it ends, in nanometres from the
// finished top left corner.
type Line struct {
	Points []shape.Point
	Length length.Length
	// Family it belongs to, by its number in the plan; -1 for echoes, ditches and
	// free-motion.
	Family int
	Kind   Kind
	// Closed lines end where they began.
	Closed bool
	// Border tells that it lies in borders that are quilted by themselves.
	Border bool
}

// Kind is what a line follows.
type Kind string

// The kinds of lines.
const (
	Straight Kind = "line"
	Wave     Kind = "wave"
	Echo     Kind = "echo"
	Ditch    Kind = "ditch"
	Diagonal Kind = "diagonal"
	Beside   Kind = "beside"
	Around   Kind = "around"
	Across   Kind = "across"
	Free     Kind = "free"
)

// Order is what is quilted: a top of some size that reaches beyond the finished piece.
type Order struct {
	Quilting *plan.Quilting
	// Width and Height as finished; Left and Above are what the top has beyond the
	// finished line at its left and top, Wide and High its whole size.
	Width, Height, Left, Above, Wide, High length.Length
	// Face is what lies on it: its seams, patches, borders and shapes.
	Face front.Face
	// Apart tells that its borders are quilted by themselves. Seam is how far what lies inside them is quilted beyond
	// its finished line: up to its raw edge where they are sewn on after.
	Apart bool
	Seam  length.Length
}

// Pattern is the quilting of a piece.
type Pattern struct {
	// Lines in the order they are sewn.
	Lines []Line
	// Seam is how much is stitched, and Thread what it takes, top and bobbin.
	Seam, Thread length.Length
	Bobbins      int
	Minutes      int
	// Near are lines that run along a seam, beside it.
	Near []Close
}

// Close is a line that runs beside a seam, and how far from it.
type Close struct {
	Family int
	// Off is the distance between both.
	Off length.Length
	// Shift of the whole family that brings its nearest line into the seam, 0 where it
	// is there.
	Shift length.Length
}

const (
	// mostLines of one family.
	mostLines = 2000
	// beside is how near a seam a line runs on its ridge. Common practice.
	beside = length.Inch / 8
	// lockstitch thread per length of seam. From memory of sewing-thread handbooks.
	lockstitch = 2.5
	// bobbin holds about 45 m, and takes a little less than half of the thread. From
	// memory.
	bobbin = 45 * 1000 * length.Millimetre
	// pace is how much a careful hand quilts in a minute: 300 stitches of 3 mm. Common
	// practice.
	pace = 900 * length.Millimetre
	// settle is how long beginning and ending a line takes, in minutes. Common practice.
	settle = 1.0 / 3
)

// Of lays a pattern, inside the borders where those are quilted by themselves. Echoes, and what follows seams, come
// first, since they hold the layers; then each family from the middle outwards, every other line from the other end.
func Of(o Order) Pattern {
	q := o.Quilting
	if q == nil {
		return Pattern{}
	}
	var p Pattern
	if q.Ditch {
		p.Lines = append(p.Lines, o.ditches()...)
	}
	if q.Beside > 0 {
		p.Lines = append(p.Lines, o.beside(q.Beside)...)
	}
	if q.Corners {
		p.Lines = append(p.Lines, o.diagonals()...)
	}
	if q.Around > 0 {
		p.Lines = append(p.Lines, o.around(q.Around)...)
	}
	if q.Echo > 0 {
		p.Lines = append(p.Lines, o.echoes(q.Echo)...)
	}
	for i, f := range q.Lines {
		lines := o.family(i, f, q.Pair)
		p.Near = append(p.Near, o.near(i, f, q.Pair)...)
		p.Lines = append(p.Lines, lines...)
	}
	if q.Free > 0 {
		p.Lines = append(p.Lines, free(o.top(), q.Free))
	}
	return p.measured()
}

// measured is a pattern with how long its lines are, and what they take.
func (p Pattern) measured() Pattern {
	total := 0.0
	for i := range p.Lines {
		l := &p.Lines[i]
		if l.Kind != Free {
			l.Length = length.FromFloat(run(*l))
		}
		total += l.Length.Float()
	}
	p.Seam = length.FromFloat(total)
	p.Thread = length.FromFloat(total * lockstitch)
	p.Bobbins = int(math.Ceil(total * (lockstitch - 1) / 1.25 / bobbin.Float()))
	p.Minutes = int(math.Ceil(total/pace.Float() + settle*float64(len(p.Lines))))
	return p
}

func run(l Line) float64 {
	return shape.Line{Points: l.Points, Closed: l.Closed}.Length()
}

// top is the rectangle that is quilted.
func (o Order) top() shape.Box {
	if o.Apart {
		return wider(o.inside(), o.Seam.Float(), o.Seam.Float())
	}
	return o.whole()
}

// whole is the top.
func (o Order) whole() shape.Box {
	return shape.Box{X1: -o.Left.Float(), Y1: -o.Above.Float(), X2: (o.Wide - o.Left).Float(), Y2: (o.High - o.Above).
		Float()}
}

// inside is what lies inside the borders as it finishes.
func (o Order) inside() shape.Box {
	return wider(shape.Box{X2: o.Width.Float(), Y2: o.Height.Float()}, -o.Face.Border[0].Float(),
		-o.Face.Border[1].Float())
}

// finished is what a pattern lies on as it finishes.
func (o Order) finished() shape.Box {
	if o.Apart {
		return o.inside()
	}
	return shape.Box{X2: o.Width.Float(), Y2: o.Height.Float()}
}

// wider is a box that reaches further at all its sides.
func wider(b shape.Box, x, y float64) shape.Box {
	return shape.Box{X1: b.X1 - x, Y1: b.Y1 - y, X2: b.X2 + x, Y2: b.Y2 + y}
}

// middle is what a pattern is centred on.
func (o Order) middle() shape.Point {
	return shape.Point{X: o.Width.Float() / 2, Y: o.Height.Float() / 2}
}

// family is parallel lines, those nearest the middle first.
func (o Order) family(n int, f plan.LineFamily, pair length.Length) []Line {
	sin, cos := math.Sincos(f.Angle * math.Pi / 180)
	along, across := shape.Point{X: cos, Y: -sin}, shape.Point{X: sin, Y: cos} // y goes down
	box, mid := o.top(), o.middle()
	var out []Line
	add := func(off float64) bool {
		a, b, ok := clip(box, shape.Point{X: mid.X + across.X*off, Y: mid.Y + across.Y*off}, along)
		if !ok {
			return false
		}
		line := Line{Points: []shape.Point{a, b}, Family: n, Kind: Straight}
		if f.Wave > 0 {
			line.Kind, line.Points = Wave, wave(a, b, across, f.Wave.Float())
		}
		if len(out)%2 == 1 {
			slices.Reverse(line.Points)
		}
		out = append(out, line)
		return true
	}
	pitch := f.Pitch.Float()
	both := func(off float64) bool {
		if pair <= 0 || pair >= f.Pitch {
			return add(off)
		}
		first := add(off - pair.Float()/2)
		return add(off+pair.Float()/2) || first
	}
	start := f.Shift.Float()
	both(start)
	for k := 1; k < mostLines; k++ {
		right, left := both(start+float64(k)*pitch), both(start-float64(k)*pitch)
		if !right && !left {
			break
		}
	}
	return out
}

// clip is the part of an endless line within a box.
func clip(box shape.Box, at, along shape.Point) (a, b shape.Point, ok bool) {
	lo, hi := math.Inf(-1), math.Inf(1)
	for _, d := range [2][4]float64{{at.X, along.X, box.X1, box.X2}, {at.Y, along.Y, box.Y1, box.Y2}} {
		if math.Abs(d[1]) < 1e-12 {
			if d[0] < d[2] || d[0] > d[3] {
				return a, b, false
			}
			continue
		}
		t1, t2 := (d[2]-d[0])/d[1], (d[3]-d[0])/d[1]
		lo, hi = math.Max(lo, math.Min(t1, t2)), math.Min(hi, math.Max(t1, t2))
	}
	if hi-lo < 1e6 { // a corner of a millimetre
		return a, b, false
	}
	point := func(t float64) shape.Point { return shape.Point{X: at.X + along.X*t, Y: at.Y + along.Y*t} }
	return point(lo), point(hi), true
}

// wave is a serpentine line that swings out by a height to both sides, four heights long.
func wave(a, b, across shape.Point, height float64) []shape.Point {
	long := math.Hypot(b.X-a.X, b.Y-a.Y)
	n := int(math.Min(math.Max(math.Ceil(long/(height/2)), 8), 4000))
	out := make([]shape.Point, 0, n+1)
	for i := range n + 1 {
		t := float64(i) / float64(n)
		s := math.Sin(2*math.Pi*t*long/(4*height)) * height
		out = append(out, shape.Point{X: a.X + (b.X-a.X)*t + across.X*s, Y: a.Y + (b.Y-a.Y)*t + across.Y*s})
	}
	return out
}

// echoes are rounds within the finished line, the outermost first.
func (o Order) echoes(pitch length.Length) []Line {
	var out []Line
	box, p := o.finished(), pitch.Float()
	for d := p; 2*d < math.Min(box.Width(), box.Height())-p/2 && len(out) < mostLines; d += p {
		out = append(out, round(wider(box, -d, -d)))
	}
	return out
}

// round is a line round a box.
func round(b shape.Box) Line {
	return Line{Kind: Echo, Family: -1, Closed: true,
		Points: []shape.Point{{X: b.X1, Y: b.Y1}, {X: b.X2, Y: b.Y1}, {X: b.X2, Y: b.Y2}, {X: b.X1, Y: b.Y2}}}
}

// ditches follow the seams of the face: those in one line are sewn in one. Where borders are quilted by themselves
// theirs are not among them.
func (o Order) ditches() []Line {
	var out []Line
	for _, s := range o.Face.Seams {
		if s.Kind == front.InBlock || o.Apart && ofBorder(s) {
			continue
		}
		out = chained(out, Line{Kind: Ditch, Family: -1, Points: ends(s)})
	}
	return out
}

// ofBorder reports the seams of borders.
func ofBorder(s front.Seam) bool { return s.Kind == front.Round || s.Kind == front.Pieced }

func ends(s front.Seam) []shape.Point { return []shape.Point{{X: s.X1, Y: s.Y1}, {X: s.X2, Y: s.Y2}} }

// chained are lines with one more, which goes on where one of them ends.
func chained(lines []Line, l Line) []Line {
	a, b := l.Points[0], l.Points[1]
	if i := slices.IndexFunc(lines, func(k Line) bool { return joins(k, a, b) }); i >= 0 {
		lines[i].Points = stretched(lines[i].Points, a, b)
		return lines
	}
	return append(lines, l)
}

// together is how close, in nanometres, ends have to be to be one.
const together = 20_000

// joins reports whether a stretch goes on where a line ends, in its direction.
func joins(l Line, a, b shape.Point) bool {
	p, q := l.Points[0], l.Points[len(l.Points)-1]
	cross := (q.X-p.X)*(b.Y-a.Y) - (q.Y-p.Y)*(b.X-a.X)
	if math.Abs(cross) > 1e-6*math.Hypot(q.X-p.X, q.Y-p.Y)*math.Hypot(b.X-a.X, b.Y-a.Y) {
		return false
	}
	for _, e := range []shape.Point{p, q} {
		for _, f := range []shape.Point{a, b} {
			if math.Hypot(e.X-f.X, e.Y-f.Y) < together {
				return true
			}
		}
	}
	return false
}

// stretched is a line from the farther of its ends to the farther end of a stretch.
func stretched(line []shape.Point, a, b shape.Point) []shape.Point {
	p, q := line[0], line[1]
	best, from, to := -1.0, p, q
	for _, e := range []shape.Point{p, q} {
		for _, f := range []shape.Point{a, b} {
			if d := math.Hypot(e.X-f.X, e.Y-f.Y); d > best {
				best, from, to = d, e, f
			}
		}
	}
	return []shape.Point{from, to}
}

// free is a meander that keeps a distance on average, so that it is as long as its area
// over the distance. How it is drawn shows the distance, not each turn.
func free(box shape.Box, pitch length.Length) Line {
	p := pitch.Float()
	rows := int(math.Min(math.Max(math.Round(box.Height()/(2*p)), 1), 200))
	high := box.Height() / float64(rows)
	steps := int(math.Min(math.Max(math.Ceil(box.Width()/p)*8, 12), 2000))
	var out []shape.Point
	for r := range rows {
		y := box.Y1 + high*(float64(r)+0.5)
		row := make([]shape.Point, 0, steps+1)
		for i := range steps + 1 {
			along := box.Width() * float64(i) / float64(steps)
			a := math.Pi * along / p
			row = append(row, shape.Point{X: box.X1 + along + math.Sin(2*a)*p/3, Y: y + math.Sin(a)*high*0.38})
		}
		if r%2 == 1 {
			slices.Reverse(row)
		}
		out = append(out, row...)
	}
	return Line{Points: out, Kind: Free, Family: -1, Length: length.FromFloat(box.Width() * box.Height() / p)}
}

// near finds seams of the face that a family of straight lines runs along: in the ditch is
// fine, beside it the lines ride on the allowance.
func (o Order) near(n int, f plan.LineFamily, pair length.Length) []Close {
	if f.Wave > 0 {
		return nil
	}
	sin, cos := math.Sincos(f.Angle * math.Pi / 180)
	across, mid, pitch := shape.Point{X: sin, Y: cos}, o.middle(), f.Pitch.Float()
	lines := []float64{f.Shift.Float()}
	if pair > 0 && pair < f.Pitch {
		lines = []float64{f.Shift.Float() - pair.Float()/2, f.Shift.Float() + pair.Float()/2}
	}
	for _, s := range o.Face.Seams {
		dx, dy := s.X2-s.X1, s.Y2-s.Y1
		if long := math.Hypot(dx, dy); long == 0 || math.Abs(dx*across.X+dy*across.Y) > 0.01*long {
			continue // not along it
		}
		at := (s.X1-mid.X)*across.X + (s.Y1-mid.Y)*across.Y
		for _, l := range lines {
			off := math.Remainder(at-l, pitch)
			if d := length.FromFloat(math.Abs(off)); d > length.Millimetre && d < beside {
				return []Close{{Family: n, Off: d, Shift: length.FromFloat(off)}}
			}
		}
	}
	return nil
}
