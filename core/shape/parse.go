package shape

import (
	"errors"
	"fmt"
	"math"
	"strconv"
)

// MostSegments is how many a path may have, MostText how long its text may be.
const (
	MostSegments = 20_000
	MostText     = 1 << 20
)

// SyntaxError is path data that cannot be read.
type SyntaxError struct {
	// Position of the character that is wrong, from 1.
	Position int
	Reason   string
}

func (e *SyntaxError) Error() string {
	return fmt.Sprintf("character %d of the path: %s", e.Position, e.Reason)
}

// errMany is a path with too many segments.
var errMany = errors.New("the path is too long")

// Parse reads SVG path data. It fails with a SyntaxError that names the character, as
// SVG 2, 9.5 wants errors handled, except that nothing of a broken path is kept: half an
// outline would be cut.
func Parse(text string) (Path, error) {
	if len(text) > MostText {
		return nil, errMany
	}
	r := &reader{text: text}
	if err := r.all(); err != nil {
		return nil, err
	}
	if len(r.path) == 0 {
		return nil, r.fail("nothing is drawn; begin with M and a point")
	}
	return r.path, nil
}

type reader struct {
	text     string
	pos      int
	path     Path
	at       Point
	segments int
	// before is the command before and last its last control point, for the smooth ones.
	before byte
	last   Point
	// opened tells that a run has begun to which segments can be added.
	opened bool
}

func (r *reader) fail(reason string) error {
	return &SyntaxError{Position: len([]rune(r.text[:min(r.pos, len(r.text))])) + 1, Reason: reason}
}

func space(c byte) bool { return c == ' ' || c == '\t' || c == '\n' || c == '\r' || c == '\f' }

func (r *reader) spaces() {
	for r.pos < len(r.text) && space(r.text[r.pos]) {
		r.pos++
	}
}

// comma is what may stand between two numbers.
func (r *reader) comma() {
	r.spaces()
	if r.pos < len(r.text) && r.text[r.pos] == ',' {
		r.pos++
		r.spaces()
	}
}

// arguments is how many numbers each command takes.
var arguments = map[byte]int{'m': 2, 'l': 2, 'h': 1, 'v': 1, 'c': 6, 's': 4, 'q': 4, 't': 2, 'a': 7, 'z': 0}

func lower(c byte) byte { return c | 0x20 }

// all reads commands until the text ends.
func (r *reader) all() error {
	for {
		r.spaces()
		if r.pos >= len(r.text) {
			return nil
		}
		command := r.text[r.pos]
		n, known := arguments[lower(command)]
		if !known || command < 'A' {
			return r.fail("a command is expected, such as M, L, C or Z")
		}
		if len(r.path) == 0 && lower(command) != 'm' {
			return r.fail("a path begins with M")
		}
		r.pos++
		if n == 0 {
			r.close()
			continue
		}
		if err := r.repeated(command, n); err != nil {
			return err
		}
	}
}

// repeated reads a command and what follows it without being named again.
func (r *reader) repeated(command byte, n int) error {
	for first := true; ; first = false {
		r.spaces()
		if !first {
			r.comma()
			if !r.number() {
				return nil
			}
		}
		v, err := r.values(command, n)
		if err != nil {
			return err
		}
		if err := r.draw(command, v); err != nil {
			return err
		}
		switch command { // more points after a move are lines
		case 'M':
			command = 'L'
		case 'm':
			command = 'l'
		}
	}
}

// number reports whether one begins here.
func (r *reader) number() bool {
	if r.pos >= len(r.text) {
		return false
	}
	c := r.text[r.pos]
	return c == '+' || c == '-' || c == '.' || (c >= '0' && c <= '9')
}

func (r *reader) values(command byte, n int) ([]float64, error) {
	v := make([]float64, n)
	for i := range v {
		if i > 0 {
			r.comma()
		}
		var err error
		if lower(command) == 'a' && (i == 3 || i == 4) {
			v[i], err = r.flag()
		} else {
			v[i], err = r.value()
		}
		if err != nil {
			return nil, err
		}
	}
	return v, nil
}

// flag of an arc is one digit, with or without a space behind it.
func (r *reader) flag() (float64, error) {
	if r.pos < len(r.text) && (r.text[r.pos] == '0' || r.text[r.pos] == '1') {
		r.pos++
		return float64(r.text[r.pos-1] - '0'), nil
	}
	return 0, r.fail("0 or 1 is expected")
}

func (r *reader) value() (float64, error) {
	from := r.pos
	digits := func() (n int) {
		for r.pos < len(r.text) && r.text[r.pos] >= '0' && r.text[r.pos] <= '9' {
			r.pos++
			n++
		}
		return n
	}
	if r.pos < len(r.text) && (r.text[r.pos] == '+' || r.text[r.pos] == '-') {
		r.pos++
	}
	n := digits()
	if r.pos < len(r.text) && r.text[r.pos] == '.' {
		r.pos++
		n += digits()
	}
	if n == 0 {
		r.pos = from
		return 0, r.fail("a number is expected")
	}
	if r.pos < len(r.text) && lower(r.text[r.pos]) == 'e' {
		mark := r.pos
		r.pos++
		if r.pos < len(r.text) && (r.text[r.pos] == '+' || r.text[r.pos] == '-') {
			r.pos++
		}
		if digits() == 0 {
			r.pos = mark
		}
	}
	f, err := strconv.ParseFloat(r.text[from:r.pos], 64)
	if err != nil || math.Abs(f) > largest {
		r.pos = from
		return 0, r.fail("the number is too large")
	}
	return f, nil
}

// largest is far beyond any cloth in any unit, and small enough to be squared.
const largest = 1e9

func (r *reader) run() *Run { return &r.path[len(r.path)-1] }

// begin opens a run at the current point, where a command follows a closed one.
func (r *reader) begin() {
	if !r.opened {
		r.path = append(r.path, Run{Start: r.at})
		r.opened = true
	}
}

func (r *reader) add(s Segment) error {
	if r.segments++; r.segments > MostSegments {
		return errMany
	}
	r.begin()
	r.run().Segments = append(r.run().Segments, s)
	r.at = s.To
	return nil
}

func (r *reader) line(to Point) error { return r.add(Segment{To: to}) }

func (r *reader) close() {
	r.begin()
	r.run().Closed = true
	r.at = r.run().Start
	r.before, r.opened = 'z', false
}

// draw carries a command out.
func (r *reader) draw(command byte, v []float64) error {
	from := Point{} // of absolute ones
	if command == lower(command) {
		from = r.at
	}
	point := func(i int) Point { return Point{v[i], v[i+1]}.plus(from) }
	kind := lower(command)
	before := r.before
	r.before = kind
	switch kind {
	case 'm':
		r.at = point(0)
		r.path = append(r.path, Run{Start: r.at})
		r.opened = true
		return r.counted()
	case 'l':
		return r.line(point(0))
	case 'h':
		return r.line(Point{v[0] + from.X, r.at.Y})
	case 'v':
		return r.line(Point{r.at.X, v[0] + from.Y})
	case 'c':
		return r.cubic(point(0), point(2), point(4))
	case 's':
		return r.cubic(r.smooth(before == 'c' || before == 's'), point(0), point(2))
	case 'q':
		return r.quadratic(point(0), point(2))
	case 't':
		return r.quadratic(r.smooth(before == 'q' || before == 't'), point(0))
	default:
		return r.arc(v, point(5))
	}
}

// counted keeps the number of runs within bounds too.
func (r *reader) counted() error {
	if r.segments++; r.segments > MostSegments {
		return errMany
	}
	return nil
}

// smooth is the last control point mirrored at the current point.
func (r *reader) smooth(follows bool) Point {
	if !follows {
		return r.at
	}
	return r.last.mirroredAt(r.at)
}

func (r *reader) cubic(c1, c2, to Point) error {
	r.last = c2
	return r.add(Segment{Curve: true, C1: c1, C2: c2, To: to})
}

// quadratic raises a curve with one control point to one with two.
func (r *reader) quadratic(c, to Point) error {
	r.last = c
	return r.add(Segment{Curve: true, C1: r.at.to(c, 2.0/3), C2: to.to(c, 2.0/3), To: to})
}

// arc of an ellipse, from its end points: SVG 2, B.2.4 and B.2.5. Pieces of at most an
// eighth of a circle are off the true arc by less than a 200 000th of the radius.
func (r *reader) arc(v []float64, to Point) error {
	rx, ry := math.Abs(v[0]), math.Abs(v[1])
	from := r.at
	if from == to {
		return nil
	}
	if rx == 0 || ry == 0 {
		return r.line(to)
	}
	turn := Turn(v[2])
	half := Turn(-v[2]).Of(from.minus(to).times(0.5))
	if over := half.X*half.X/(rx*rx) + half.Y*half.Y/(ry*ry); over > 1 {
		rx, ry = rx*math.Sqrt(over), ry*math.Sqrt(over)
	}
	a, b, c := rx*rx*ry*ry, rx*rx*half.Y*half.Y, ry*ry*half.X*half.X
	f := math.Sqrt(math.Max(0, (a-b-c)/(b+c)))
	if v[3] == v[4] {
		f = -f
	}
	centre := Point{f * rx * half.Y / ry, -f * ry * half.X / rx}
	start := math.Atan2((half.Y-centre.Y)/ry, (half.X-centre.X)/rx)
	sweep := math.Atan2((-half.Y-centre.Y)/ry, (-half.X-centre.X)/rx) - start
	switch {
	case v[4] == 0 && sweep > 0:
		sweep -= 2 * math.Pi
	case v[4] == 1 && sweep < 0:
		sweep += 2 * math.Pi
	}
	place := Scale(rx, ry).Then(Move(centre.X, centre.Y)).Then(turn).Then(Move((from.X+to.X)/2, (from.Y+to.Y)/2))
	n := int(math.Max(1, math.Ceil(math.Abs(sweep)/(math.Pi/4)-1e-9)))
	for i := range n {
		s := onCircle(start+sweep*float64(i)/float64(n), start+sweep*float64(i+1)/float64(n), place)
		if i == n-1 {
			s.To = to
		}
		if err := r.add(s); err != nil {
			return err
		}
	}
	return nil
}

// onCircle is a piece of the unit circle as a curve, under a map.
func onCircle(from, to float64, m Matrix) Segment {
	k := 4.0 / 3 * math.Tan((to-from)/4)
	s1, c1 := math.Sincos(from)
	s2, c2 := math.Sincos(to)
	return Segment{Curve: true, C1: m.Of(Point{c1 - k*s1, s1 + k*c1}), C2: m.Of(Point{c2 + k*s2, s2 - k*c2}),
		To: m.Of(Point{c2, s2})}
}
