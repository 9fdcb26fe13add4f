// Package anyplan draws plans for property tests: of every kind of cover, front, closure, edge
// and fitting, in every unit and by every school, from tiny to large. Most of them can be made.
package anyplan

import (
	"maps"
	"math"
	"slices"

	"pgregory.net/rapid"

	"umschlag/core/begin"
	"umschlag/core/block"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// Plans draws plans.
func Plans() *rapid.Generator[plan.Plan] { return rapid.Custom(draw) }

// maker draws the decisions of one plan.
type maker struct {
	*rapid.T
	unit length.Unit
	// step is what sizes are whole multiples of: as on a ruler, or anything.
	step length.Length
}

func draw(t *rapid.T) plan.Plan {
	m := maker{T: t, unit: rapid.SampledFrom(length.Units()).Draw(t, "unit"), step: length.Inch / 8}
	if m.unit != length.Inches {
		m.step = length.Millimetre
	}
	if m.oneIn(6, "off the ruler") {
		m.step = 1
	}
	habits := m.habits()
	p, _ := plan.Begin(m.thing(), m.unit, habits, plan.Cloth{})
	p.Title, p.Copies = "Any cover", rapid.IntRange(1, 3).Draw(t, "copies")
	p.Cloths = m.cloths()
	m.object(&p)
	m.cover(&p)
	m.closing(&p)
	for _, name := range plan.PieceNames(p.Cover.Kind) {
		if m.oneIn(3, "own "+name) || name == "front" {
			p.Pieces[name] = m.piece(p, name)
		}
	}
	for _, twins := range p.Cover.Rules().Twice {
		if m.oneIn(5, "told apart "+twins.Name) {
			p = plan.TellApart(p, twins.Name)
			second := plan.TwinNames(twins.Name)[1]
			p.Pieces[second] = m.piece(p, second)
		}
	}
	m.asCut(p)
	if m.oneIn(6, "a size of its own") {
		p.Cover.Size = plan.SizesOf(p.Settle())
	}
	for range rapid.IntRange(-2, 2).Draw(t, "fittings") {
		p.Fittings = append(p.Fittings, m.fitting(p))
	}
	return p
}

// asCut gives some sizes of faces as they are cut, as large as they are.
func (m maker) asCut(p plan.Plan) {
	c := p.Settle().Cover
	for _, name := range slices.Sorted(maps.Keys(p.Pieces)) {
		f := p.Pieces[name].Face
		if f == nil || !m.oneIn(5, "as cut "+name) {
			continue
		}
		if !f.Patch.Fit && f.Patch.Width > 0 && m.oneIn(2, "patches as cut "+name) {
			f.Patch = f.Patch.AsCut(c.PiecingSeam)
		}
		if last := len(f.Borders) - 1; last >= 0 && !f.Borders[last].Width.Rest {
			f.Borders[last].Width.Cut = f.Borders[last].Width.Width + c.PiecingSeam + c.Seam
		}
		if s := f.Sash; s != nil {
			s.WidthCut = s.Width + 2*c.PiecingSeam
		}
		if last := len(f.Strips) - 1; last > 0 && !f.Strips[last].Width.Rest {
			f.Strips[last].Width.Cut = f.Strips[last].Width.Width + c.PiecingSeam + c.Seam
		}
	}
}

// AsCut reports whether a plan gives any size of a face as it is cut, which then stays whatever its seams are.
func AsCut(p plan.Plan) bool {
	for _, q := range p.Pieces {
		f := q.Face
		if f != nil && (f.Patch.WidthCut != 0 || f.Sash != nil && f.Sash.WidthCut != 0 ||
			slices.ContainsFunc(f.Borders, func(b plan.Border) bool { return b.Width.Cut != 0 }) ||
			slices.ContainsFunc(f.Strips, func(s plan.Strip) bool { return s.Width.Cut != 0 })) {
			return true
		}
	}
	return false
}

func pick[V any](m maker, name string, from []V) V { return rapid.SampledFrom(from).Draw(m.T, name) }

// word draws one of a closed set of words.
func word[W interface {
	~string
	Values() []string
}](m maker, name string) W {
	return W(pick(m, name, W("").Values()))
}

func (m maker) oneIn(n int, name string) bool { return rapid.IntRange(1, n).Draw(m.T, name) == 1 }

// between draws a size on the ruler.
func (m maker) between(name string, least, most length.Length) length.Length {
	return length.Length(rapid.Int64Range(int64(least/m.step), int64(most/m.step)).Draw(m.T, name)) * m.step
}

// thing draws what is covered; an appliance more often, since there are three covers of it.
func (m maker) thing() string {
	var keys []string
	for _, t := range plan.Things() {
		keys = append(keys, t.Key)
		if t.Object == plan.Box {
			keys = append(keys, t.Key, t.Key)
		}
	}
	return pick(m, "thing", keys)
}

// about draws a size around a usual one: from a third of it to three times as much.
func (m maker) about(name string, usual length.Length) length.Length {
	times := math.Exp2(rapid.Float64Range(-1.6, 1.6).Draw(m.T, name))
	return max(m.step, length.FromFloat(usual.Float()*times).Floor(m.step))
}

func (m maker) habits() plan.Habits {
	h := plan.DefaultHabits(m.unit)
	h.Press, h.Pins, h.Triangles, h.Strips = word[plan.Press](m, "press"), word[plan.Pins](m,
		"pins"), word[plan.Triangles](m, "triangles"), word[plan.StripSets](m, "strips")
	h.Hold, h.Ends, h.Binding, h.Clip, h.Round = word[plan.Hold](m, "hold"), word[plan.StrapEnds](m,
		"ends"), word[plan.BindingEnds](m, "binding"), word[plan.Clip](m, "clip"), word[plan.Round](m, "round")
	if m.oneIn(4, "pressed apart") {
		h.PressRows, h.PressJoins = word[plan.Press](m, "press rows"), word[plan.Press](m, "press joins")
		h.PressBlocks, h.PressBorders = word[plan.Press](m, "press blocks"), word[plan.Press](m, "press borders")
	}
	h.Lay = pick(m, "lay", []plan.Lays{plan.RotaryLays, plan.RotaryLays, plan.TemplateLays})
	return h
}

// letters of the cloths there are for faces.
var letters = []string{"A", "B", "C"}

// weights are those of cloths, the usual one most often.
var weights = append([]plan.ClothWeight{"", "", "", ""}, weightWords()...)

func weightWords() []plan.ClothWeight {
	var out []plan.ClothWeight
	for _, w := range plan.ClothWeight("").Values() {
		out = append(out, plan.ClothWeight(w))
	}
	return out
}

func (m maker) cloths() map[string]plan.Cloth {
	names := []string{"moss leaf", "ink check", "border.1.side"} // a cloth may be called anything
	out := map[string]plan.Cloth{}
	for i, letter := range letters {
		c := plan.Cloth{Name: names[i], Weight: pick(m, "weight of "+letter, weights),
			Print:     word[plan.Print](m, "print of "+letter),
			Prewashed: m.oneIn(2, "washed "+letter), Upright: m.oneIn(4, "upright "+letter)}
		if m.oneIn(3, "wide "+letter) {
			wide := 150 * length.Centimetre
			c.Width = &wide
		}
		if m.oneIn(8, "repeats "+letter) {
			c.Repeat = &plan.Repeat{Along: m.between("along "+letter, 2*length.Inch, 12*length.Inch),
				Across: m.between("across "+letter, 2*length.Inch, 12*length.Inch)}
			c.Match = m.oneIn(2, "matched "+letter)
		}
		out[letter] = c
	}
	out["L"] = plan.Cloth{Name: "lining", Kind: plan.ClothKind("cloth")}
	wide := 90 * length.Inch
	out["batting"] = plan.Cloth{Name: "batting", Kind: "batting", Width: &wide}
	return out
}

func (m maker) object(p *plan.Plan) {
	o := &p.Object
	at := map[string]*length.Length{"width": &o.Width, "height": &o.Height, "length": &o.Length, "depth": &o.Depth,
		"wrap": &o.Wrap, "board": &o.Board, "spine": &o.Spine, "thickness": &o.Thickness}
	thing := plan.Things()[slices.IndexFunc(plan.Things(),
		func(t plan.Thing) bool { return t.Object == o.Kind && t.Shape == o.Shape && t.Cover == p.Cover.Kind })]
	if o.Kind == plan.Book && m.oneIn(2, "of boards") {
		thing = plan.Things()[slices.IndexFunc(plan.Things(), func(t plan.Thing) bool { return t.Key == "binder" })]
	}
	for _, size := range thing.Measures {
		*at[size.Key] = m.about(size.Key, size.Usual(m.unit))
	}
	if o.Kind == plan.Form {
		o.Fill = word[plan.Fill](m, "fill")
		if m.oneIn(4, "made at home") {
			o.Make = &plan.MakeForm{Fold: m.oneIn(2, "folded"), Tab: m.between("tab", 0, length.Inch)}
		}
	}
	if o.Kind == plan.Box && m.oneIn(4, "sticks out") {
		o.SticksOut = plan.Axes{Depth: m.between("knob", 0, 2*length.Inch)}
	}
}

// hoods are the covers of a box.
var hoods = []plan.CoverKind{"wrap-hood", "band-hood", "skirt-hood"}

func (m maker) cover(p *plan.Plan) {
	c := &p.Cover
	starts := plan.StartsIn(m.unit)
	if p.Object.Kind == plan.Box {
		c.Kind = pick(m, "hood", hoods)
		c.Bottom = plan.Bottom{Finish: word[plan.BottomFinish](m, "bottom"), Width: starts.Hem}
		c.SplitTop = c.Kind == "wrap-hood" && m.oneIn(3, "split top")
	}
	if m.oneIn(2, "another seam") {
		c.Seam = m.between("seam", length.Inch/8, length.Inch/2)
	}
	if m.oneIn(3, "another piecing seam") {
		c.PiecingSeam = m.between("piecing seam", length.Inch/8, length.Inch/2)
	}
	if m.oneIn(3, "corners") {
		c.Corners = plan.Corners{Kind: word[plan.CornerKind](m, "corner"), Radius: starts.Radius}
	}
	if p.Object.Kind == plan.Form {
		ease := m.between("ease", -length.Inch, length.Inch/2)
		c.Ease = plan.Axes{Width: ease, Height: ease}
	}
	if p.Object.Kind == plan.Book {
		depth := m.about("flap", starts.Flap)
		c.Flaps = plan.Flaps{Style: word[plan.FlapStyle](m, "flaps"), Depth: plan.Pair{Front: depth, Back: depth}}
	}
	if m.oneIn(4, "washed") {
		c.Wash = float64(rapid.IntRange(0, 8).Draw(m.T, "wash"))
	}
}

func (m maker) closing(p *plan.Plan) {
	starts := plan.StartsIn(m.unit)
	switch p.Cover.Kind {
	case plan.Cushion:
		p.Back = pick(m, "closure", plan.Closures(m.unit)).Back
		if m.oneIn(4, "the left piece outside") {
			p.Back.Outer = plan.LeftSide
		}
		if m.oneIn(6, "flange") {
			p.Cover.Flange = m.between("flange width", length.Inch/2, 2*length.Inch)
		}
	case plan.BoxedCushion:
		p.Back = plan.Back{Kind: pick(m, "closed", []plan.BackKind{plan.Zip, plan.SewnShut})}
	}
	if m.oneIn(3, "piped") {
		p.Edges.Piping = &plan.Piping{Cord: starts.Cord, Grain: word[plan.Grain](m, "grain of the piping"),
			Joins:  word[plan.Joins](m, "joins, grain of the piping"),
			Bought: m.oneIn(3, "bought piping"), Cloth: "B"}
	}
	if p.Object.Kind == plan.Box && m.oneIn(2, "bound with strips") {
		p.Edges.Binding = &plan.Binding{Shows: starts.Shows, Style: word[plan.BindingStyle](m, "binding style"),
			Grain: word[plan.Grain](m, "grain of the binding"),
			Joins: word[plan.Joins](m, "joins, grain of the binding"), Cloth: "C"}
	}
	if m.oneIn(3, "finished inside") {
		p.Edges.Inside = word[plan.InsideFinish](m, "inside")
	}
}

func (m maker) piece(p plan.Plan, name string) plan.Piece {
	q := plan.Piece{Face: &plan.Face{Kind: plan.PlainFace, Cloth: pick(m, "cloth of "+name, letters)}}
	if name != "back" {
		face := m.face(p, name, "")
		q.Face = &face
	}
	if m.oneIn(2, "padded "+name) {
		q.Layers = &plan.Layers{Batting: &plan.Batting{Count: rapid.IntRange(1, 2).Draw(m.T, "battings")}, Lining: "L"}
		if m.oneIn(4, "stiff "+name) {
			q.Layers.Stiffener = "L"
		}
		if !m.oneIn(3, "unquilted "+name) {
			q.Quilting = m.quilting()
		}
	}
	return q
}

func (m maker) quilting() *plan.Quilting {
	q := &plan.Quilting{Ditch: m.oneIn(3, "ditch")}
	pitch := m.between("pitch", length.Inch, 3*length.Inch)
	near := m.between("near", length.Inch/8, length.Inch/2)
	switch rapid.IntRange(0, 6).Draw(m.T, "pattern") {
	case 0:
		q.Lines = []plan.LineFamily{{Pitch: pitch, Angle: 45}, {Pitch: pitch, Angle: -45}}
	case 1:
		q.Lines = []plan.LineFamily{{Pitch: pitch, Angle: pick(m, "angle", []float64{0, 30, 90})}}
	case 2:
		q.Echo = pitch
	case 3:
		q.Corners = true
	case 4:
		q.Beside = near
	case 5:
		q.Around = near
	default:
		q.Free = pitch
	}
	if m.oneIn(3, "borders quilted apart") {
		q.Borders = m.inBorders(pitch)
	}
	return q
}

func (m maker) inBorders(pitch length.Length) *plan.BorderQuilting {
	b := &plan.BorderQuilting{After: m.oneIn(2, "sewn on after"), Ditch: m.oneIn(4, "ditch of the borders")}
	switch rapid.IntRange(0, 3).Draw(m.T, "pattern of the borders") {
	case 0:
		b.Along = pitch
	case 1:
		b.Across = pitch
	case 2:
		b.Free = pitch
	}
	return b
}

// Face draws a face for a piece of a plan, which is plain where no other can be begun.
func Face(t *rapid.T, p plan.Plan, name string) plan.Face {
	f := maker{T: t, unit: p.Units, step: length.Inch / 8}.face(p, name, "")
	f.Aside = nil // what the piece was made of before
	return f
}

// face draws what a piece, or a part of its stack by the path to it, is made of.
func (m maker) face(p plan.Plan, name, path string) plan.Face {
	kind := word[plan.FaceKind](m, "face"+path)
	if path != "" && kind == plan.StackFace { // one in another is enough
		kind = plan.GridFace
	}
	f, ok := begin.Face(p, name, path, kind)
	if !ok {
		return plan.Face{Kind: plan.PlainFace, Cloth: "A"}
	}
	switch f.Kind {
	case plan.PlainFace:
		if m.oneIn(5, "pocket front"+path) {
			f.Pocket = "folded"
		}
		f.Centred = m.oneIn(4, "centred"+path)
	case plan.GridFace:
		m.grid(&f, path)
	case plan.GatheredFace:
		f.Ratio, f.Direction = pick(m, "ratio"+path, []float64{1.5, 2, 2.5}), word[plan.Direction](m, "gathered"+path)
	case plan.FoundFace:
		if m.oneIn(2, "backed"+path) {
			f.Backed = "B"
		}
	case plan.WindowsFace:
		f.Buttons = m.oneIn(2, "buttons"+path)
	case plan.StackFace:
		with := p
		with.Pieces = map[string]plan.Piece{plan.Common: p.Pieces[plan.Common], name: {Face: &f}}
		for i := range f.Parts {
			f.Parts[i].Face = m.face(with, name, "/parts/"+string(rune('0'+i))+"/face")
		}
		if m.oneIn(3, "a part that takes the rest"+path) {
			f.Parts[0].Height = plan.Extent{Rest: true}
			f.Parts[0].Overhang = m.between("overhang", 0, length.Inch)
		}
	case plan.StripsFace:
		if m.oneIn(3, "a strip that takes the rest"+path) {
			f.Strips[len(f.Strips)-1].Width = plan.Extent{Rest: true}
		}
	}
	if slices.Contains([]plan.FaceKind{plan.GridFace, plan.CheckerFace, plan.FoundFace}, f.Kind) {
		m.borders(&f, path)
	}
	for range rapid.IntRange(-4, 2).Draw(m.T, "shapes"+path) {
		f.Applique = append(f.Applique, m.shape(path))
	}
	return f
}

func (m maker) grid(f *plan.Face, path string) {
	f.Cloths = letters[:rapid.IntRange(1, len(letters)).Draw(m.T, "cloths"+path)]
	f.Order = plan.Order{Kind: pick(m, "order"+path, []plan.OrderKind{plan.Alternate, plan.Scrap, plan.OnGround})}
	f.Seed = rapid.IntRange(0, 9).Draw(m.T, "seed"+path)
	f.Overhang = m.oneIn(6, "overhang"+path)
	f.Centred = m.oneIn(4, "centred"+path)
	f.Columns, f.Rows = rapid.IntRange(1, 6).Draw(m.T, "columns"+path), rapid.IntRange(1, 6).Draw(m.T, "rows"+path)
	f.Patch = plan.Patch{Fit: true}
	if m.oneIn(4, "on point"+path) {
		f.Set = plan.OnPoint
	}
	if m.oneIn(3, "sash"+path) {
		f.Sash = &plan.Sash{Width: plan.StartsIn(m.unit).Sash, Outside: m.oneIn(2, "outside"+path),
			Posts: m.oneIn(2, "posts"+path), Cloth: "C"}
	}
	if m.oneIn(3, "block"+path) {
		f.Block = plan.Block{Name: pick(m, "which block"+path, block.Library()).Name}
		f.TrianglesCentred = f.Centred && m.oneIn(2, "triangles centred"+path)
	}
}

func (m maker) borders(f *plan.Face, path string) {
	f.Borders = nil
	for i := range pick(m, "borders"+path, []int{0, 1, 1, 2}) {
		b := plan.Border{Width: plan.Extent{Width: plan.StartsIn(m.unit).Sash * 2},
			Cloth:  pick(m, "cloth of a border"+path, letters),
			Corner: word[plan.BorderCorner](m, "corner of a border"+path)}
		if i == 0 {
			b.Width = plan.Extent{Rest: !m.oneIn(4, "no rest"+path), Width: b.Width.Width}
			if b.Width.Rest {
				b.Width.Width = 0
			}
		}
		if !b.Corner.Rules().Whole && m.oneIn(4, "pieced border"+path) {
			b.Pieced = &plan.PiecedBorder{Cloths: letters[:2]}
		}
		f.Borders = append(f.Borders, b)
	}
}

func (m maker) shape(path string) plan.Shape {
	s := plan.Shape{Shape: pick(m, "shape"+path, []string{"circle", "leaf", "heart", "star"}),
		Cloth: pick(m, "cloth of a shape"+path, letters), Edge: word[plan.ShapeEdge](m, "edge of a shape"+path),
		Turn: float64(rapid.IntRange(0, 3).Draw(m.T, "turn"+path)) * 30, Late: m.oneIn(4, "late"+path)}
	left, top := m.between("from the left"+path, length.Inch, 5*length.Inch), m.between("from the top"+path,
		length.Inch, 5*length.Inch)
	s.At = plan.At{Left: &left, Top: &top}
	if m.oneIn(4, "twin"+path) {
		s.Twin = word[plan.Twin](m, "which twin"+path)
	}
	return s
}

func (m maker) fitting(p plan.Plan) plan.Fitting {
	f := pick(m, "fitting", plan.StartsIn(m.unit).Fittings)
	f.On, f.Cloth = pick(m, "fitted on", plan.PieceNames(p.Cover.Kind)), pick(m, "cloth of a fitting", letters)
	left, top := m.between("fitting from the left", length.Inch, 4*length.Inch), m.between("fitting from the top",
		length.Inch, 4*length.Inch)
	f.At = plan.At{Left: &left, Top: &top}
	if m.oneIn(4, "in an edge") {
		f.At = plan.At{Edge: word[plan.EdgeName](m, "edge of a fitting"), Middle: true}
	}
	return f
}
