package plan

import (
	"slices"

	"umschlag/core/length"
)

// Measure is one size that is asked for before a plan begins.
type Measure struct {
	// Key in the object.
	Key string `json:"key"`
	// Label names the size, and Says is the word that follows it in a sentence.
	Label string `json:"label"`
	Says  string `json:"says"`
	// Inches and Centimetres are what it begins with.
	Inches      length.Length `json:"-"`
	Centimetres length.Length `json:"-"`
}

// Usual is what a measure begins with in a unit.
func (m Measure) Usual(unit length.Unit) length.Length {
	if unit == length.Inches {
		return m.Inches
	}
	return m.Centimetres
}

// Thing is something a plan can begin with: what is measured of it, and the cover
// it gets first.
type Thing struct {
	Key      string
	Name     string
	Object   ObjectKind
	Shape    ObjectShape
	Cover    CoverKind
	Measures []Measure
	// Filled things say what with.
	Filled bool
}

const in, cm = length.Inch, length.Centimetre

// Things lists what a plan can begin with, the usual one first. The sizes are
// examples to type over.
func Things() []Thing {
	return []Thing{
		{Key: "cushion", Name: "a cushion insert", Object: Form, Cover: Cushion, Filled: true, Measures: []Measure{
			{"width", "Width of the insert", "across", 20 * in, 50 * cm},
			{"height", "Height of the insert", "up", 20 * in, 50 * cm}}},
		{Key: "round", Name: "a round cushion insert", Object: Form, Shape: RoundShape, Cover: Cushion, Filled: true,
			Measures: []Measure{
				{"width", "Diameter of the insert", "across", 16 * in, 40 * cm}}},
		{Key: "boxed", Name: "a thick insert", Object: Form, Cover: BoxedCushion, Filled: true, Measures: []Measure{
			{"width", "Width of the insert", "across", 36 * in, 90 * cm},
			{"height", "Height of the insert", "up", 16 * in, 40 * cm},
			{"thickness", "Thickness of the insert", "thick", 3 * in, 8 * cm}}},
		{Key: "stool", Name: "a thick round insert", Object: Form, Shape: RoundShape, Cover: BoxedCushion, Filled: true,
			Measures: []Measure{
				{"width", "Diameter of the insert", "across", 14 * in, 36 * cm},
				{"thickness", "Thickness of the insert", "thick", 2 * in, 5 * cm}}},
		{Key: "appliance", Name: "an appliance", Object: Box, Cover: "wrap-hood", Measures: []Measure{
			{"length", "Length of the box", "long", 17 * in, 43 * cm},
			{"depth", "Depth of the box", "deep", 14 * in, 36 * cm},
			{"height", "Height of the box", "high", 6 * in, 15 * cm}}},
		{Key: "book", Name: "a book", Object: Book, Cover: Jacket, Measures: []Measure{
			{"wrap", "Round the book", "round from fore-edge to fore-edge", 13 * in, 33 * cm},
			{"height", "Height of the book", "high", 8 * in, 21 * cm}}},
		{Key: "binder", Name: "a ring binder", Object: Book, Cover: Jacket, Measures: []Measure{
			{"board", "Width of a board", "across each board", 10 * in, 25 * cm},
			{"spine", "Width of the spine", "across the spine", 2 * in, 5 * cm},
			{"height", "Height of the binder", "high", 12 * in, 31 * cm}}},
		{Key: "panel", Name: "a panel that is there already", Object: Found, Cover: Cushion, Measures: []Measure{
			{"width", "Width of the panel as it shows", "across", 12 * in, 30 * cm},
			{"height", "Height of the panel as it shows", "up", 12 * in, 30 * cm}}},
		{Key: "flat", Name: "a seat, a rail or a mat", Object: Flat, Cover: Pad, Measures: []Measure{
			{"width", "Width to be covered", "across", 16 * in, 40 * cm},
			{"height", "Height to be covered", "up", 12 * in, 30 * cm}}},
		{Key: "seat", Name: "a round seat", Object: Flat, Shape: RoundShape, Cover: Pad, Measures: []Measure{
			{"width", "Diameter of the seat", "across", 14 * in, 36 * cm}}},
	}
}

// Example is what is covered as a thing begins, in a unit: sizes to type over; nothing for a thing that is not
// listed.
func Example(thing string, unit length.Unit) (o Object) {
	sizes := map[string]*length.Length{"width": &o.Width, "height": &o.Height, "thickness": &o.Thickness,
		"length": &o.Length, "depth": &o.Depth, "wrap": &o.Wrap, "board": &o.Board, "spine": &o.Spine}
	for _, t := range Things() {
		if t.Key == thing {
			for _, m := range t.Measures {
				*sizes[m.Key] = m.Usual(unit)
			}
		}
	}
	return o
}

// Begin is the plan a thing begins with: a plain cover of one cloth by the maker's
// own habits. ok is false for a thing that is not listed.
func Begin(thing string, unit length.Unit, h Habits, cloth Cloth) (p Plan, ok bool) {
	i := slices.IndexFunc(Things(), func(t Thing) bool { return t.Key == thing })
	if i < 0 {
		return Plan{}, false
	}
	t := Things()[i]
	p = Base(unit, h)
	p.Object = Object{Kind: t.Object, Shape: t.Shape}
	p.Cover.Kind = t.Cover
	face := &Face{Kind: PlainFace, Cloth: "A"}
	p.Pieces = map[string]Piece{Common: {Face: face}}
	if t.Cover == Cushion { // front and back are decided apart from the first
		p.Pieces = map[string]Piece{"front": {Face: face}, "back": {Face: face}}
	}
	if t.Object == Found {
		p.Pieces["front"] = Piece{Face: &Face{Kind: FoundFace, Cloth: "A"}}
	}
	p.Cloths = map[string]Cloth{"A": cloth.Unmeasured(unit)}
	s := StartsIn(unit)
	switch t.Object {
	case Box:
		p.Cover.Ease = Axes{Length: s.HoodEase, Depth: s.HoodEase, Height: s.HoodEase}
	case Book:
		p.Cover.Ease = Axes{Wrap: s.WrapEase, Height: s.BookEase}
		p.Cover.Flaps = Flaps{Style: Folded, Depth: Pair{Front: s.Flap, Back: s.Flap}}
	case Flat, Found:
		p.Cover.Ease = Axes{}
	}
	return p, true
}

// Sized is a plan that begins, once its object is measured: the flaps of a jacket are as deep as
// usual, or a quarter of the way round a small book, so that there is room between them.
func (p Plan) Sized() Plan {
	round := max(p.Object.Wrap, 2*p.Object.Board+p.Object.Spine)
	if p.Cover.Kind == Jacket && round > 0 && p.Habits.Step > 0 {
		flap := min(StartsIn(p.Units).Flap, (round / 4).Floor(p.Habits.Step))
		p.Cover.Flaps.Depth = Pair{Front: flap, Back: flap}
	}
	return p
}

// Starts are the sizes that decisions begin with when they are first taken.
// Common practice.
type Starts struct {
	HoodEase, WrapEase, BookEase, Flap length.Length
	// Radius and Plate of round corners, Taper of tapered ones.
	Radius, Plate, Taper length.Length
	// Hem at the bottom of a hood; Away is a distance from an edge.
	Hem, Away length.Length
	// Cord of a piping, what Shows of a binding, and a Tab along a gap.
	Cord, Shows, Tab length.Length
	// Sash between patches, and the least and the most a patch usually finishes: smaller
	// ones are work, larger ones panels. Common practice.
	Sash, Least, Most length.Length
	// Apart is how far apart lines of quilting are.
	Apart length.Length
	// Width of a fabric nobody has measured yet, and how much of it is Usable; 0 where that is what a fabric without a
	// width is taken for. Common practice.
	Width, Usable length.Length
	// Fittings, one of each kind.
	Fittings []Fitting
	// Panels that are there already, one of each kind, and a Sample of gathers.
	Panels []FoundPanel
	Sample Sampled
}

// StartsIn are the starts in a unit.
func StartsIn(unit length.Unit) Starts {
	if unit == length.Inches {
		return Starts{HoodEase: in / 2, WrapEase: 3 * in / 4, BookEase: in / 4, Flap: 3 * in, Radius: 2 * in,
			Plate: 6 * in, Taper: imperial.taper, Hem: in, Away: 2 * in, Cord: 3 * in / 16, Shows: in / 2, Tab: in,
			Sash: in / 2, Least: 2 * in, Most: 8 * in,
			Apart: in, Fittings: fittingsIn(unit),
			Panels: panels(24*in, 30*in), Sample: Sampled{Before: 10 * in, After: 4 * in}}
	}
	const mm = length.Millimetre
	return Starts{HoodEase: cm, WrapEase: 2 * cm, BookEase: 6 * mm, Flap: 8 * cm, Radius: 5 * cm, Plate: 15 * cm,
		Taper: metric.taper, Hem: 25 * mm, Away: 5 * cm, Cord: 5 * mm, Shows: cm, Tab: 25 * mm, Sash: cm, Least: 5 * cm,
		Most:  20 * cm,
		Apart: 25 * mm, Width: 110 * cm, Usable: 105 * cm, Fittings: fittingsIn(unit),
		Panels: panels(60*cm, 75*cm), Sample: Sampled{Before: 25 * cm, After: 10 * cm}}
}

// panels are found panels as they begin, a printed one of a size.
func panels(width, height length.Length) []FoundPanel {
	return []FoundPanel{{Kind: ClothPanel}, {Kind: CountedPanel, Across: 140, Up: 98, Count: 14, Margin: 4},
		{Kind: WorkedPanel}, {Kind: PrintedPanel, Width: width, Height: height}}
}
