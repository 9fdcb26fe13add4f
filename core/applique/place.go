// Package applique knows shapes laid on a face: where each lies and what is cut for it,
// which stretches of its edge show and are therefore sewn, what lies over and under it,
// and what cannot be sewn.
package applique

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/place"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/shape"
	"umschlag/core/sum"
)

// Tolerance is how far straight pieces lie off a curve, in nanometres: a two-hundredth
// of a millimetre.
const Tolerance = 5000

// spare is what a shape is first cut larger by all round: the web is ironed on before
// the line is cut. Common practice.
const spare = length.Inch / 4

// most is how many shapes a face takes.
const most = 500

// Placed is a shape in its place on a face.
type Placed struct {
	// Index in the list of the plan, and About its path there.
	Index int
	About string
	// Key of the shape.
	Key ref.Key
	// Title by which it is spoken of, and Form the name of its form, if it is one.
	Title string
	Form  string
	Shape plan.Shape
	// Twin tells that it is the second of two.
	Twin bool
	// Path in nanometres from the finished top left corner of the face.
	Path shape.Path
	// X, Y, Width and Height are the rectangle round it.
	X, Y, Width, Height length.Length
	// From are its distances from the finished edges of the face.
	From Distances
}

// Distances from the four edges of a face.
type Distances struct{ Left, Right, Top, Bottom length.Length }

// Line reports a drawn line, which is no patch.
func (p Placed) Line() bool { return p.Shape.Edge == plan.DrawnLine }

// Fused reports a patch that is held by fusible web.
func (p Placed) Fused() bool { return !p.Line() && p.Shape.Edge != plan.LooseEdge }

// Order is what shapes are placed on.
type Order struct {
	Shapes []plan.Shape
	// About is the path of the face in the plan.
	About string
	// Width and Height of the face as finished.
	Width, Height length.Length
	Step          length.Length
}

// frame is what a shape is placed from: the face, or another shape.
type frame struct{ x, y, width, height length.Length }

// placer places shapes, each after the one it is placed from.
type placer struct {
	Order
	paths  []shape.Path
	placed []Placed
	state  []int8 // 1 while it is being placed, 2 when it is
	found  finding.List
}

// Place puts every shape, and its twin right after it, in its place. Shapes that cannot
// be read or placed give none at all, and say why.
func Place(o Order) ([]Placed, finding.List) {
	p := &placer{Order: o, paths: make([]shape.Path, len(o.Shapes)), placed: make([]Placed, len(o.Shapes)),
		state: make([]int8, len(o.Shapes))}
	if len(o.Shapes) > most {
		p.found.Add(finding.Stop, "shape-many", o.About, fmt.Sprintf("There are %d shapes.", len(o.Shapes)),
			fmt.Sprintf("Keep up to %d on one front.", most))
		return nil, p.found
	}
	for i := range o.Shapes {
		p.read(i)
	}
	if p.found.Stopped() {
		return nil, p.found
	}
	for i := range o.Shapes {
		p.place(i)
	}
	if p.found.Stopped() {
		return nil, p.found
	}
	var out []Placed
	for i, one := range p.placed {
		out = append(out, one)
		if one.Shape.Twin != "" {
			out = append(out, p.twin(one, p.frameOf(i)))
		}
	}
	if n := sides(out); n > mostSides {
		p.found.Add(finding.Stop, "shape-many", o.About, fmt.Sprintf("The outlines have %d points in all.", n),
			fmt.Sprintf("Draw them simpler, with up to %d.", mostSides))
		return nil, p.found
	}
	return out, p.found
}

// mostSides of all shapes on a face, curves in straight pieces.
const mostSides = 150_000

func sides(list []Placed) int {
	n := 0
	for _, one := range list {
		for _, l := range one.Path.Flat(Tolerance) {
			n += l.Sides()
		}
	}
	return n
}

func (p *placer) about(i int) string { return fmt.Sprintf("%s/%d", p.About, i) }

// read draws a shape at its size, its middle at the origin, flipped and turned.
func (p *placer) read(i int) {
	s := p.Shapes[i]
	path, form := shape.FormNamed(s.Shape)
	if !form {
		var err error
		if path, err = shape.Parse(s.Shape); err != nil {
			p.found.Add(finding.Stop, "shape-unknown", p.about(i)+"/shape",
				fmt.Sprintf("%s is no form of this name and no path: %s.", quoted(s.Shape), err),
				"Choose a form, or give an SVG path such as M0 0H10V10Z.")
			return
		}
	}
	box := path.Box()
	w, h, ok := p.size(s, box, form)
	if !ok {
		p.found.Add(finding.Stop, "shape-size", p.about(i)+"/width",
			fmt.Sprintf("%s comes out %.3g × %.3g mm.", quoted(s.Shape), w/1e6, h/1e6),
			"Type a width that makes it larger than 1 mm and smaller than 5 m.")
		return
	}
	grow := func(to, from float64) float64 {
		if from == 0 { // an upright or level line
			return 1
		}
		return to / from
	}
	flip := 1.0
	if s.Flip {
		flip = -1
	}
	m := shape.Move(-(box.X1+box.X2)/2, -(box.Y1+box.Y2)/2).
		Then(shape.Scale(flip*grow(w, box.Width()), grow(h, box.Height()))).Then(shape.Turn(-s.Turn))
	p.paths[i] = path.Mapped(m)
	if title, own := titles[s.Shape]; form && own {
		p.placed[i].Form, p.placed[i].Title = s.Shape, title
	}
}

// titles of the forms.
var titles = func() map[string]string {
	out := map[string]string{}
	for _, f := range shape.Forms {
		out[f.Name] = f.Title
	}
	return out
}()

// size a shape is drawn at, in nanometres; what is not given follows in proportion.
func (p *placer) size(s plan.Shape, box shape.Box, form bool) (w, h float64, ok bool) {
	w, h = s.Width.Float(), s.Height.Float()
	natural := length.Millimetre.Float()
	if form {
		natural = p.Width.Float() / 4 / box.Width()
	}
	switch {
	case w == 0 && h == 0:
		w, h = box.Width()*natural, box.Height()*natural
	case h == 0 && box.Width() > 0:
		h = box.Height() * w / box.Width()
	case w == 0 && box.Height() > 0:
		w = box.Width() * h / box.Height()
	}
	sound := func(f float64) bool { return f >= 0 && f <= 5e9 } // no NaN
	return w, h, sound(w) && sound(h) && math.Max(w, h) >= 1e6
}

func quoted(text string) string {
	if r := []rune(text); len(r) > 24 {
		text = string(r[:24]) + "…"
	}
	return fmt.Sprintf("%q", text)
}

// frameOf is what shape i is placed from.
func (p *placer) frameOf(i int) frame {
	from := p.Shapes[i].From
	for _, other := range p.placed {
		if from != "" && other.Shape.Key == from {
			return frame{other.X, other.Y, other.Width, other.Height}
		}
	}
	return frame{width: p.Width, height: p.Height}
}

// place puts shape i in its place, and the one it is placed from before it.
func (p *placer) place(i int) {
	if p.state[i] != 0 {
		return
	}
	p.state[i] = 1
	s := p.Shapes[i]
	if s.From != "" {
		k := p.keyed(s.From)
		switch {
		case k < 0:
			p.found.Add(finding.Stop, "shape-from", p.about(i)+"/from",
				"The shape that this one is placed from is not there.",
				"Choose another one, or place it from the edges.")
			return
		case p.state[k] == 1:
			p.found.Add(finding.Stop, "shape-from", p.about(i)+"/from",
				fmt.Sprintf("%s is placed from a shape that is placed from itself in the end.", p.title(k)),
				"Place one of them from the edges.")
			return
		}
		if p.place(k); p.found.Stopped() {
			return
		}
	}
	one := &p.placed[i]
	one.Index, one.About, one.Shape = i, p.about(i), s
	if one.Shape.Edge == "" {
		one.Shape.Edge = plan.ZigzagEdge
	}
	one.Title = p.title(i)
	box, f := p.paths[i].Box(), p.frameOf(i)
	one.Width, one.Height = length.FromFloat(box.Width()), length.FromFloat(box.Height())
	at := s.At.On()
	p.put(one, p.paths[i], f.x+place.Along(at.Left, at.Right, f.width, one.Width),
		f.y+place.Along(at.Top, at.Bottom, f.height, one.Height))
	p.state[i] = 2
}

func (p *placer) keyed(key ref.Key) int {
	return slices.IndexFunc(p.Shapes, func(s plan.Shape) bool { return s.Key == key })
}

func (p *placer) title(i int) string { return Title(p.Shapes, i) }

// Title is what the shape of a number is called among some: by its name, or its form, with its number where others
// have the same.
func Title(shapes []plan.Shape, i int) string {
	s := shapes[i]
	if s.Name != "" {
		first, rest := firstRune(s.Name)
		return strings.ToUpper(first) + rest
	}
	title, form := titles[s.Shape]
	if !form {
		return fmt.Sprintf("Shape %d", i+1)
	}
	for k, other := range shapes {
		if k != i && other.Name == "" && other.Shape == s.Shape {
			return fmt.Sprintf("%s %d", title, i+1)
		}
	}
	return title
}

func firstRune(text string) (first, rest string) {
	r := []rune(text)
	return string(r[:1]), string(r[1:])
}

// put moves a path so that the rectangle round it begins at x and y.
func (p *placer) put(one *Placed, path shape.Path, x, y length.Length) {
	box := path.Box()
	one.Path = path.Mapped(shape.Move(x.Float()-box.X1, y.Float()-box.Y1))
	one.X, one.Y = x, y
	one.From = Distances{Left: x, Right: p.Width - x - one.Width, Top: y, Bottom: p.Height - y - one.Height}
}

// twin is the second of two, at the place mirrored at the upright middle of what the
// first is placed from.
func (p *placer) twin(one Placed, f frame) Placed {
	path := one.Path
	if one.Shape.Twin == plan.MirrorTwin {
		path = path.Mapped(shape.Scale(-1, 1))
	}
	one.Twin, one.Title = true, one.Title+" (twin)"
	p.put(&one, path, 2*f.x+f.width-one.X-one.Width, one.Y)
	return one
}

// Moved is the place of shape i of the order with the corner of the rectangle round it
// brought to x and y, counted from the edges it was counted from and on the ruler step.
// ok is false where the shapes cannot be placed.
func (o Order) Moved(i int, x, y length.Length) (at plan.At, ok bool) {
	if i < 0 || i >= len(o.Shapes) {
		return plan.At{}, false
	}
	p := &placer{Order: o, paths: make([]shape.Path, len(o.Shapes)), placed: make([]Placed, len(o.Shapes)),
		state: make([]int8, len(o.Shapes))}
	for k := range o.Shapes {
		p.read(k)
	}
	if p.found.Stopped() {
		return plan.At{}, false
	}
	if p.place(i); p.found.Stopped() {
		return plan.At{}, false
	}
	f, one := p.frameOf(i), p.placed[i]
	was := one.Shape.At.On()
	at.Left, at.Right = place.Ray{Whole: f.width, Size: one.Width, Step: o.Step, Free: true}.Place(x-f.x, was.Left,
		was.Right)
	at.Top, at.Bottom = place.Ray{Whole: f.height, Size: one.Height, Step: o.Step, Free: true}.Place(y-f.y, was.Top,
		was.Bottom)
	at.Middle = (at.Left == nil && at.Right == nil) || (at.Top == nil && at.Bottom == nil)
	return at, true
}

// Lower is the shape on a face of some height of which its own is a part that begins at
// a height.
func (p Placed) Lower(at, whole length.Length) Placed {
	p.Path = p.Path.Mapped(shape.Move(0, at.Float()))
	p.Y += at
	p.From.Top, p.From.Bottom = p.Y, whole-p.Y-p.Height
	return p
}

// Aside is the shape on a face of some width of which its own is a part that begins so far from the left.
func (p Placed) Aside(at, whole length.Length) Placed {
	p.Path = p.Path.Mapped(shape.Move(at.Float(), 0))
	p.X += at
	p.From.Left, p.From.Right = p.X, whole-p.X-p.Width
	return p
}

// Template is what is drawn to cut a shape: mirrored where it is ironed on from behind,
// from its own top left corner, in nanometres.
func (p Placed) Template() shape.Path {
	m := shape.Move(-p.X.Float(), -p.Y.Float())
	if p.Fused() {
		m = m.Then(shape.Scale(-1, 1)).Then(shape.Move(p.Width.Float(), 0))
	}
	return p.Path.Mapped(m)
}

// SameTemplate reports whether two shapes are cut by one template: as long round, as
// large, and every corner of one on the other's outline.
func (p Placed) SameTemplate(q Placed) bool {
	if p.Fused() != q.Fused() || (p.Width-q.Width).Abs() > Tolerance || (p.Height-q.Height).Abs() > Tolerance {
		return false
	}
	a, b := p.Template().Flat(Tolerance), shape.NewRegion(q.Template().Flat(Tolerance))
	for _, l := range a {
		for _, point := range l.Points {
			if !b.On(point, 4*Tolerance) {
				return false
			}
		}
	}
	return math.Abs(shape.NewRegion(a).Area()-b.Area()) < 1e-3*b.Area()
}

// Inset is how far within the piece of cloth a shape lies that it is first cut from.
func (p Placed) Inset() length.Length {
	if p.Fused() {
		return spare
	}
	return 0
}

// Cut is the piece of cloth a shape is first cut from.
func (p Placed) Cut() sum.Size {
	one := func(name string, l length.Length) sum.Sum {
		s := sum.Of(sum.Part, name, l)
		if p.Fused() {
			s = s.Plus(sum.Squaring, "round the line, cut off after the web is on", 2*spare)
		}
		return s
	}
	return sum.Size{Width: one("shape, across", p.Width), Height: one("shape, up", p.Height)}
}
