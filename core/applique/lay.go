package applique

import (
	"math"
	"slices"

	"umschlag/core/length"
	"umschlag/core/shape"
)

const (
	// near is how close, in nanometres, counts as the same place.
	near = 200
	// sliver is a piece of an edge too short to be told apart: it goes with the one
	// before it.
	sliver = 2_000
	// Lap is how far a shape should reach under one that covers its edge. Common practice.
	Lap = length.Inch / 4
)

// Stretch is a piece of an edge that shows or is covered as a whole.
type Stretch struct {
	Points []shape.Point
	Shows  bool
	// Closed leads back to its first point.
	Closed bool
	Length float64
	// lap is how deep a covered one lies under what covers it.
	lap float64
}

// Layer is a shape among the others.
type Layer struct {
	Placed
	// Edge is its edge all the way round, in stretches.
	Edge []Stretch
	// Shows is how much of the edge is seen, and Round all of it.
	Shows, Round length.Length
	// Area enclosed, in square nanometres; 0 of a line.
	Area float64
	// On are the layers it lies on, and Over those that lie on it, by their numbers.
	On, Over []int
	// Lap is how deep it reaches under what covers its edge, where it is least; Lapped
	// tells that something does.
	Lap    length.Length
	Lapped bool
	// Level is 1 on the ground, and one more than the highest it lies on.
	Level int
	// Late is fused and sewn after those that are not: as the plan says, or since it
	// lies on one that is.
	Late bool
	// Held is how much stitching of the layers above runs across it.
	Held length.Length
	// Needle is how many shapes the needle goes through along its edge, itself counted.
	Needle int

	region *shape.Region
	lines  []shape.Line
	// thin is where it is narrower than its stitch over a stretch, if it is.
	thin *shape.Point
}

// Lay finds what shows of each shape, the lowest first. An edge is split wherever it
// meets another shape; a piece is covered when its middle lies in a patch above it or on
// that patch's edge. What is left is the edge less the patches above: a boolean
// difference. ok is false where the outlines meet in more places than are followed; then nothing is known of them.
func Lay(placed []Placed) (found []Layer, ok bool) {
	layers := make([]Layer, len(placed))
	for i, p := range placed {
		l := Layer{Placed: p, lines: p.Path.Flat(Tolerance)}
		if !p.Line() {
			l.region = shape.NewRegion(l.lines)
			l.lines, l.Area = l.region.Lines, l.region.Area()
		}
		layers[i] = l
	}
	c := arrangement{layers: layers, on: make([][]bool, len(layers)), left: mostCompared}
	for i := range layers {
		c.on[i] = make([]bool, len(layers))
	}
	for i := range layers {
		c.edge(i)
	}
	c.order()
	for i := range layers {
		c.laps(i)
		c.thin(i)
	}
	return layers, c.left >= 0
}

// mostCompared is how many sides of outlines are looked at for one face: two hundred motifs lying on each other stay
// within it, outlines that cross each other and themselves everywhere would take hours.
const mostCompared = 60_000_000

// arrangement is all layers with what is known of how they lie on each other.
type arrangement struct {
	layers []Layer
	// on[i][k] tells that layer i and a lower layer k overlap.
	on [][]bool
	// left of the sides that may be looked at; below 0 nothing more is.
	left int
}

// around are the patches whose boxes meet that of layer i.
func (c *arrangement) around(i int) []int {
	box := c.box(i)
	var out []int
	for k := range c.layers {
		if r := c.layers[k].region; k != i && r != nil && r.Box.Meets(box) {
			out = append(out, k)
		}
	}
	return out
}

func (c *arrangement) box(i int) shape.Box {
	if r := c.layers[i].region; r != nil {
		return r.Box
	}
	return c.layers[i].Path.Box()
}

// edge splits the edge of layer i into stretches.
func (c *arrangement) edge(i int) {
	l := &c.layers[i]
	var near []neighbour
	for _, k := range c.around(i) {
		near = append(near, neighbour{number: k, region: c.layers[k].region})
	}
	for _, line := range l.lines {
		w := walk{}
		for n := range near {
			near[n].touched = true // nothing is known of a new line
		}
		for k := range line.Sides() {
			if a, b := line.Side(k); c.left >= 0 {
				c.side(i, near, a, b, &w)
			}
		}
		l.Edge = append(l.Edge, w.done(line.Closed)...)
	}
	shows, round := 0.0, 0.0
	for _, s := range l.Edge {
		round += s.Length
		if s.Shows {
			shows += s.Length
		}
	}
	l.Shows, l.Round = length.FromFloat(shows), length.FromFloat(round)
}

// neighbour is a patch beside the layer whose edge is walked.
type neighbour struct {
	number int
	region *shape.Region
	// touched tells that this side of the edge meets it; ask, that it has to be asked
	// again where the walk stands; inside and on are its last answers.
	touched, ask, inside, on bool
}

// side walks one side of layer i, piece by piece.
func (c *arrangement) side(i int, others []neighbour, a, b shape.Point, w *walk) {
	cuts := append(w.cuts[:0], 0, 1)
	for n := range others {
		o, before := &others[n], others[n].touched
		c.left -= 1 + o.region.Beside(min(a.Y, b.Y), max(a.Y, b.Y))
		cuts, o.touched = o.region.Cuts(cuts, a, b, near)
		o.ask = before || o.touched
	}
	w.cuts = cuts
	slices.Sort(cuts)
	long := math.Hypot(b.X-a.X, b.Y-a.Y)
	at := func(t float64) shape.Point { return shape.Point{X: a.X + (b.X-a.X)*t, Y: a.Y + (b.Y-a.Y)*t} }
	for n := 1; n < len(cuts) && c.left >= 0; n++ {
		from, to := cuts[n-1], cuts[n]
		if (to-from)*long < sliver && to < 1 {
			cuts[n] = from // it goes with the next
			continue
		}
		shows := w.last
		if (to-from)*long >= sliver || !w.begun {
			shows = c.judge(i, others, at((from+to)/2), (to-from)*long)
		} else {
			for n := range others {
				others[n].touched = true // not asked here
			}
		}
		w.add(at(from), at(to), shows)
	}
}

// judge tells whether a piece of the edge of layer i shows, by its middle, and keeps
// what lies over and under it.
func (c *arrangement) judge(i int, others []neighbour, mid shape.Point, long float64) bool {
	l, shows, below := &c.layers[i], true, 1
	for n := range others {
		o := &others[n]
		k := o.number
		if o.ask {
			c.left -= 2 * o.region.Beside(mid.Y, mid.Y)
			o.inside, o.on = o.region.Holds(mid), o.touched && o.region.On(mid, near)
		}
		if o.inside {
			c.on[max(i, k)][min(i, k)] = true
		}
		switch {
		case k > i && (o.inside || o.on):
			shows = false
		case k < i && o.inside:
			below++
		}
	}
	if !shows {
		return false
	}
	l.Needle = max(l.Needle, below)
	for _, o := range others {
		if o.number < i && o.inside {
			c.layers[o.number].Held += length.FromFloat(long)
		}
	}
	return true
}

// walk gathers the pieces of one line into stretches.
type walk struct {
	stretches   []Stretch
	begun, last bool
	cuts        []float64 // of the side before, to be used again
}

func (w *walk) add(from, to shape.Point, shows bool) {
	if !w.begun || shows != w.last {
		w.stretches = append(w.stretches, Stretch{Points: []shape.Point{from}, Shows: shows})
	}
	w.begun, w.last = true, shows
	s := &w.stretches[len(w.stretches)-1]
	s.Points = append(s.Points, to)
	s.Length += math.Hypot(to.X-from.X, to.Y-from.Y)
}

// done are the stretches; the last of a closed line goes on in the first.
func (w *walk) done(closed bool) []Stretch {
	n := len(w.stretches)
	if !closed || n == 0 {
		return w.stretches
	}
	first, last := &w.stretches[0], w.stretches[n-1]
	if n == 1 {
		first.Closed, first.Points = true, first.Points[:len(first.Points)-1]
		return w.stretches
	}
	if first.Shows == last.Shows {
		first.Points = append(last.Points, first.Points[1:]...)
		first.Length += last.Length
		return w.stretches[:n-1]
	}
	return w.stretches
}

// order finds what lies on what, and how high.
func (c *arrangement) order() {
	for i := range c.layers {
		l := &c.layers[i]
		l.Level, l.Late = 1, l.Shape.Late
		for k := range i {
			if !c.on[i][k] {
				continue
			}
			l.On = append(l.On, k)
			c.layers[k].Over = append(c.layers[k].Over, i)
			l.Level = max(l.Level, c.layers[k].Level+1)
			l.Late = l.Late || c.layers[k].Late
		}
	}
}

// asked is how many points of a covered stretch are asked how deep they lie.
const asked = 8

// laps finds how deep the covered stretches of layer i lie under what covers them. One
// that is short is a crossing of two edges and never deep; where there are long ones,
// they count.
func (c *arrangement) laps(i int) {
	l := &c.layers[i]
	long, short := math.Inf(1), 0.0
	for n := range l.Edge {
		s := &l.Edge[n]
		if s.Shows {
			continue
		}
		l.Lapped = true
		for k := range asked {
			p := s.Points[min(k*len(s.Points)/asked+len(s.Points)/(2*asked), len(s.Points)-1)]
			s.lap = math.Max(s.lap, c.depth(l.Over, p))
		}
		if s.Length >= 4*Lap.Float() {
			long = math.Min(long, s.lap)
		} else {
			short = math.Max(short, s.lap)
		}
	}
	if math.IsInf(long, 1) {
		long = short
	}
	l.Lap = length.FromFloat(long)
}

// depth is how far inside the deepest of some layers a point lies.
func (c *arrangement) depth(over []int, p shape.Point) float64 {
	deep := 0.0
	for _, k := range over {
		if r := c.layers[k].region; c.left >= 0 && r != nil && r.Holds(p) {
			c.left -= r.Beside(r.Box.Y1, r.Box.Y2)
			deep = math.Max(deep, r.Gap(p))
		}
	}
	return deep
}

// thin finds a stretch along which what shows of layer i is narrower than its stitch.
// The tip of a sharp corner always is, over a few stitches; more than that comes loose.
func (c *arrangement) thin(i int) {
	l := &c.layers[i]
	wide := stitches[l.Shape.Edge].needs.Float()
	if wide == 0 || l.region == nil {
		return
	}
	over := []*shape.Region{l.region}
	for _, k := range l.Over {
		if r := c.layers[k].region; r != nil {
			over = append(over, r)
		}
	}
	for _, s := range l.Edge {
		if !s.Shows {
			continue
		}
		run := 0.0
		n := len(s.Points)
		if !s.Closed {
			n--
		}
		for k := range n {
			a, b := s.Points[k], s.Points[(k+1)%len(s.Points)]
			long := math.Hypot(b.X-a.X, b.Y-a.Y)
			steps := int(math.Ceil(long / (wide / 2)))
			in := l.region.Inward(a, b)
			for j := range steps {
				t := (float64(j) + 0.5) / float64(steps)
				p := shape.Point{X: a.X + (b.X-a.X)*t, Y: a.Y + (b.Y-a.Y)*t}
				if c.left < 0 {
					return
				}
				for _, r := range over {
					c.left -= 1 + r.Beside(p.Y-wide, p.Y+wide)
				}
				if run = narrow(over, p, in, wide, run, long/float64(steps)); run > tips*wide {
					l.thin = &p
					return
				}
			}
		}
	}
}

// tips is how many widths of its stitch the two sides of a sharp corner may be closer
// together than that, which a corner of 18° just keeps to.
const tips = 6

// narrow adds a step to a run that is narrower than wide, or ends it.
func narrow(over []*shape.Region, p, in shape.Point, wide, run, step float64) float64 {
	from := shape.Point{X: p.X + in.X*20*sliver, Y: p.Y + in.Y*20*sliver}
	to := shape.Point{X: p.X + in.X*wide, Y: p.Y + in.Y*wide}
	for _, r := range over {
		if _, touched := r.Cuts(nil, from, to, 0); touched {
			return run + step
		}
	}
	return 0
}
