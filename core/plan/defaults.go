package plan

import (
	"slices"

	"umschlag/core/length"
	"umschlag/core/ref"
)

// What an absent key means, where it is not nothing. Widths are common practice.
const (
	defaultFraction = 8
	defaultLoft     = 3 * length.Millimetre
	defaultWidth    = 42 * length.Inch
	battingWidth    = 60 * length.Inch
	webWidth        = 17 * length.Inch
	gridWidth       = 45 * length.Inch
	selvedges       = 2 * length.Inch
	// BattingCloth is the letter battings are bought under when none is named.
	BattingCloth = "batting"
	// GridCloth is the letter fusible grid is bought under.
	GridCloth = "grid"
	// WebCloth is the letter fusible web is bought under.
	WebCloth = "web"
)

// usual are the sizes taken where nothing is decided: what rulers of either
// kind are marked with. Common practice.
type usual struct {
	seam, piecing, step, hem, squaring, overhang length.Length
	// taper of tapered corners; gap to turn through; slot for a pen; tape on a strap.
	taper, gap, slot, tape length.Length
	// band of a lap, narrow tape on it, a button and the band that takes it.
	band, narrow, button, buttonBand length.Length
}

var (
	imperial = usual{seam: length.Inch / 4, piecing: length.Inch / 4, step: length.Inch / 8, hem: length.Inch / 2,
		squaring: length.Inch / 2,
		overhang: length.Inch,
		taper:    length.Inch / 2, gap: 5 * length.Inch, slot: length.Inch, tape: 3 * length.Inch,
		band: length.Inch, narrow: 3 * length.Inch / 4, button: 3 * length.Inch / 4, buttonBand: 5 * length.Inch / 4}
	metric = usual{seam: 7 * length.Millimetre, piecing: 15 * length.Millimetre / 2, step: length.Millimetre,
		hem:      length.Centimetre,
		squaring: length.Centimetre, overhang: 25 * length.Millimetre,
		taper: length.Centimetre, gap: 12 * length.Centimetre, slot: 25 * length.Millimetre,
		tape: 8 * length.Centimetre,
		band: 25 * length.Millimetre, narrow: 2 * length.Centimetre, button: 2 * length.Centimetre,
		buttonBand: 35 * length.Millimetre}
)

func usualIn(unit length.Unit) usual {
	if unit == length.Centimetres || unit == length.Millimetres {
		return metric
	}
	return imperial
}

// DefaultHabits are the habits of a plan in a unit that names none.
func DefaultHabits(unit length.Unit) Habits {
	u := usualIn(unit)
	return Habits{
		Press: PressNest, Triangles: ExactTriangles, Strips: SinglePatches, Pins: PinsRemove, Step: u.step,
		Fraction: defaultFraction,
		Seam:     u.seam, Clip: ClipAcross, Round: RoundOneGo, Lay: RotaryLays,
		Hem: u.hem, Hold: HoldPins, Inside: "zigzag", Ends: EndsZigzag, Binding: EndsFolded,
	}
}

// Base is a plan in which every key is absent: what reading a file starts from,
// once its unit and its habits are known.
func Base(unit length.Unit, h Habits) Plan {
	return Plan{
		Format: Format, Units: unit, Copies: 1, Habits: h,
		Cover: Cover{Seam: h.Seam, Ease: Axes{Width: h.Ease, Height: h.Ease}, Corners: Corners{Kind: SquareCorners}},
		Back:  Back{Hem: []length.Length{h.Hem, h.Hem}},
	}
}

// Settle gives defaults that depend on other decisions: what a face, a stack
// and a cloth mean when they leave something out. It changes nothing that was
// decided, and settling twice is settling once.
func (p Plan) Settle() Plan {
	p = p.Keyed(nil)
	sizes := usualIn(p.Units)
	p.Object = p.Object.settle().following(p.Piece("front").Face)
	p.Cover = p.Cover.settle(sizes, p.Habits)
	p = bySize(p)
	p.Back = p.Back.settle(p)
	p.Edges = p.Edges.settle(p.Cover.Seam)
	if p.Object.Make != nil {
		m := *p.Object.Make
		if m.Gap == 0 && p.Habits.Step > 0 {
			m.Gap = min(sizes.gap, (min(p.Object.Width, p.Object.Height) / 2).Floor(p.Habits.Step))
		}
		p.Object.Make = &m
	}
	if p.Edges.Inside == "" {
		p.Edges.Inside = p.Habits.Inside
		if p.Cover.Rules().Enclosed {
			p.Edges.Inside = "enclosed"
		}
	}
	p.Fittings = slices.Clone(p.Fittings)
	for i, f := range p.Fittings {
		p.Fittings[i] = f.settle(p.Habits.Step, p.Units)
	}
	p.Pieces = settledPieces(p, sizes)
	p.Cloths = mapped(p.Cloths, Cloth.Settle)
	return p
}

// Round reports whether it is a circle as wide as it says; boxes and books are none, whatever is said.
func (o Object) Round() bool { return o.Shape == RoundShape && o.Kind != Box && o.Kind != Book }

func (o Object) settle() Object {
	if o.Kind == Form && o.Fill == "" {
		o.Fill = "polyester"
	}
	if o.Round() && o.Height == 0 {
		o.Height = o.Width
	}
	if o.Kind == Found && o.Edge == "" {
		o.Edge = SeamExcluded
	}
	return o
}

// following is a found panel as large as its counted squares make it, where no size is
// given: the cover follows the panel.
func (o Object) following(f *Face) Object {
	if o.Kind != Found || f == nil || f.Kind != FoundFace {
		return o
	}
	w, h, counted := f.Panel.Counted()
	if counted && o.Width == 0 {
		o.Width, o.Edge = w, SeamExcluded
	}
	if counted && o.Height == 0 {
		o.Height, o.Edge = h, SeamExcluded
	}
	return o
}

func (e Edges) settle(seam length.Length) Edges {
	if e.Piping != nil {
		piping := *e.Piping
		if piping.Grain == "" {
			piping.Grain = OnTheBias
		}
		e.Piping = &piping
	}
	if e.Binding != nil {
		binding := *e.Binding
		if binding.Style == "" {
			binding.Style = DoubleBinding
		}
		if binding.Grain == "" {
			binding.Grain = StraightGrain
		}
		e.Binding = &binding
	}
	if e.Topstitch == 0 {
		e.Topstitch = seam / 2
	}
	return e
}

func (c Cover) settle(sizes usual, h Habits) Cover {
	if c.PiecingSeam == 0 {
		c.PiecingSeam = h.piecing(c.Seam, sizes)
	}
	if c.Corners.Kind == TaperedCorners && c.Corners.Taper == 0 {
		c.Corners.Taper = sizes.taper
	}
	if c.Kind == Jacket && c.Flaps.Style == "" {
		c.Flaps.Style = Folded
	}
	if c.Flaps.Style == Flipped && c.Flaps.Hem == 0 {
		c.Flaps.Hem = 2 * sizes.hem
	}
	c.Flaps = c.Flaps.settled(c.Seam)
	return c
}

// piecing is the seam within fronts where nobody decided it. Nobody wants two seams that differ by half a millimetre:
// where a cover has the usual seam, fronts have it too.
func (h Habits) piecing(cover length.Length, sizes usual) length.Length {
	switch {
	case h.PiecingSeam != 0:
		return h.PiecingSeam
	case cover == sizes.seam:
		return cover
	}
	return sizes.piecing
}

// settle says how a cover is closed, by its kind.
func (b Back) settle(p Plan) Back {
	if b.DepthCut != 0 { // folded once
		b.Depth = b.DepthCut / 2
	}
	if rules := p.Cover.Rules(); rules.Close != nil {
		rules.Close(&b, p)
	}
	return b
}

// OffCorners is how far a gap in a side stays off its corners, so that they are sewn through: an
// inch, or an eighth of a short side. Common practice.
func OffCorners(side length.Length) length.Length { return min(length.Inch, side/8) }

// closure completes the back of a cushion by its kind.
func (b Back) closure(p Plan) Back {
	if k, known := BackKinds.Of(string(b.Kind)); known && k.Settle != nil {
		k.Settle(&b, p)
	}
	return b
}

// mapped is a copy of m with every value changed by f.
func mapped[V any](m map[string]V, f func(V) V) map[string]V {
	if m == nil {
		return nil
	}
	out := make(map[string]V, len(m))
	for k, v := range m {
		out[k] = f(v)
	}
	return out
}

// settledPieces are the pieces with what follows from their own decisions and from those for several of them.
func settledPieces(p Plan, sizes usual) map[string]Piece {
	if p.Pieces == nil {
		return nil
	}
	out := make(map[string]Piece, len(p.Pieces))
	for name, q := range p.Pieces {
		q = q.settle(p.Piece(name).Squaring != nil, quiltedOn(p, name), sizes)
		if q.Face != nil {
			f := q.Face.finished(seams{piecing: p.Cover.PiecingSeam, round: p.Cover.Seam})
			q.Face = &f
		}
		out[name] = q
	}
	return out
}

// quiltedOn reports whether any piece is quilted on the layers that are decided under a name.
func quiltedOn(p Plan, name string) bool {
	layered := func(q Piece) bool { return q.Layers != nil }
	names := slices.Concat(PieceNames(p.Cover.Kind), twinsOf(p.Cover.Kind), []string{name})
	return slices.ContainsFunc(names, func(piece string) bool {
		return Keeper(p, piece, layered) == name && p.Piece(piece).Quilted()
	})
}

func (q Piece) settle(squared, quilted bool, sizes usual) Piece {
	if !squared && q.Quilted() {
		q.Squaring = ptr(sizes.squaring)
	}
	if q.Face != nil {
		f := q.Face.settle()
		q.Face = &f
	}
	if q.Layers != nil {
		l := q.Layers.settle(quilted, sizes)
		q.Layers = &l
	}
	return q
}

// usualRatio of gathers, before ÷ after. Common practice.
const usualRatio = 2.5

func (f Face) settle() Face {
	if f.Kind == "" {
		f.Kind = PlainFace
	}
	f.Parts = slices.Clone(f.Parts)
	for i := range f.Parts {
		f.Parts[i].Face = f.Parts[i].Face.settle()
	}
	f.Colourways = slices.Clone(f.Colourways)
	for i := range f.Colourways {
		f.Colourways[i].Face = f.Colourways[i].Face.settle()
	}
	if s := f.Sampled; f.Kind == GatheredFace && s != nil && s.Before > 0 && s.After > 0 {
		f.Ratio = s.Before.Float() / s.After.Float()
	}
	if f.Kind == GatheredFace && f.Ratio == 0 && f.Sample == "" {
		f.Ratio = usualRatio
	}
	if f.Panel != nil {
		panel := *f.Panel
		if panel.Kind == "" {
			panel.Kind = ClothPanel
		}
		f.Panel = &panel
	}
	if (f.Kind == StripsFace || f.Kind == GatheredFace) && f.Direction == "" {
		f.Direction = AcrossWay
	}
	if f.Kind != GridFace && f.Kind != CheckerFace && f.Kind != FoundFace {
		return f
	}
	if f.Set == "" {
		f.Set = Straight
	}
	if f.Order.Kind == "" {
		f.Order.Kind = Alternate
	}
	if f.Patch.Height == 0 && f.Patch.HeightCut == 0 {
		f.Patch.Height, f.Patch.HeightCut = f.Patch.Width, f.Patch.WidthCut
	}
	f.Borders = slices.Clone(f.Borders)
	for i := range f.Borders {
		if f.Borders[i].Corner == "" {
			f.Borders[i].Corner = Butted
		}
	}
	return f
}

// settle completes a stack. What is quilted shifts, and its layers stand out; what is only sewn round lies edge to
// edge.
func (l Layers) settle(quilted bool, sizes usual) Layers {
	if l.Overhang == nil {
		l.Overhang = new(length.Length)
		if quilted {
			*l.Overhang = sizes.overhang
		}
	}
	if l.Lining == "" { // it is ironed to the lining
		l.Stiffener = ""
	}
	if l.Batting == nil {
		return l
	}
	b := *l.Batting
	if b.Loft == 0 {
		b.Loft = defaultLoft
	}
	if b.Cloth == "" {
		b.Cloth = BattingCloth
	}
	l.Batting = &b
	return l
}

// Unmeasured gives a cloth whose width nobody said one that is usual in a unit.
func (c Cloth) Unmeasured(unit length.Unit) Cloth {
	if s := StartsIn(unit); c.Width == nil && s.Width > 0 {
		c.Width, c.Usable = ptr(s.Width), ptr(s.Usable)
	}
	return c
}

// Settle gives the cloth its defaults.
func (c Cloth) Settle() Cloth {
	if c.Width == nil {
		c.Width = ptr(defaultWidth)
	}
	if c.Usable == nil {
		c.Usable = ptr(length.Max(*c.Width-selvedges, 0))
	}
	if c.Kind == "" {
		c.Kind = FaceCloth
	}
	if c.Kind == QuiltedCloth && c.Loft == 0 {
		c.Loft = defaultLoft
	}
	if c.Print == "" {
		c.Print = PlainPrint
	}
	if c.Prewashed {
		c.Shrink = 0
	}
	c.Odd = slices.Clone(c.Odd)
	for i, o := range c.Odd {
		if o.Count == 0 { // one where nobody said; what cannot be is found
			c.Odd[i].Count = 1
		}
	}
	if c.Swatch.Motif == "" {
		c.Swatch.Motif = "plain"
	}
	return c
}

// FirmStretch is how far a cloth can be pulled, in percent, that counts as firm. Common practice.
const FirmStretch = 5

// TurnsBy tells whether a print looks the same after a quarter turn.
func (p Print) TurnsBy() bool { return p == PlainPrint || p == AllOver }

// Turns tells whether pieces may lie on a cloth turned by a quarter: its print looks the same then, and it
// neither has a nap nor can be pulled more one way than the other, as a knit can.
func (c Cloth) Turns() bool {
	c = c.Settle()
	return c.Print.TurnsBy() && !c.Upright && c.Stretch < FirmStretch && !c.Weight.Rules().Backed
}

// Taken is a cloth of the cupboard as a plan takes it: what there is of it, what is kept for whom, and what is back of
// whom, only the cupboard knows.
func (c Cloth) Taken() Cloth {
	c.Have, c.Odd, c.Kept, c.Back = nil, nil, nil, nil
	return c
}

func ptr[T any](v T) *T { return &v }

// Piece is what the named piece is made of: its own keys, and those of "*" for
// what it leaves out.
func (p Plan) Piece(name string) Piece {
	var out Piece
	for _, at := range deciding(p.Cover.Kind, name) {
		out = out.over(p.Pieces[at])
	}
	return out
}

// over is what is decided of a piece, and where that says nothing what is decided of more.
func (q Piece) over(more Piece) Piece {
	q.Face = either(q.Face, more.Face)
	q.Layers = either(q.Layers, more.Layers)
	q.Quilting = either(q.Quilting, more.Quilting)
	q.Squaring = either(q.Squaring, more.Squaring)
	q.TakeUp = either(q.TakeUp, more.TakeUp)
	if q.Absorb == "" {
		q.Absorb = more.Absorb
	}
	return q
}

func either[T any](own, common *T) *T {
	if own != nil {
		return own
	}
	return common
}

// Quilted reports whether lines of quilting hold the piece's layers together.
func (q Piece) Quilted() bool { return q.Quilting.Any() }

// Any reports whether anything is quilted.
func (q *Quilting) Any() bool {
	return q.Inside() || q != nil && q.Borders.Any()
}

// Inside reports whether anything is quilted but what is quilted in borders by themselves.
func (q *Quilting) Inside() bool {
	return q != nil &&
		(len(q.Lines) > 0 || q.Ditch || q.Corners || max(q.Echo, q.Free, q.Beside, q.Around) > 0)
}

// Margin is the squaring margin each side of a settled piece: as decided, or as
// usual on a quilted piece and nothing on any other.
func (q Piece) Margin() length.Length {
	if q.Squaring == nil {
		return 0
	}
	return *q.Squaring
}

// Cloth is the cloth behind a letter, with its defaults; described is false
// when the plan does not say what it is.
func (p Plan) Cloth(letter string) (c Cloth, described bool) {
	c, described = p.Cloths[letter]
	if !described && letter == BattingCloth {
		return Cloth{Name: "batting", Width: ptr(battingWidth), Usable: ptr(battingWidth)}.Settle(), false
	}
	if !described && letter == WebCloth {
		return Cloth{Name: "fusible web", Width: ptr(webWidth), Usable: ptr(webWidth)}.Settle(), false
	}
	if !described && letter == GridCloth {
		return Cloth{Name: "fusible grid", Width: ptr(gridWidth), Usable: ptr(gridWidth)}.Settle(), false
	}
	if c.Name == "" {
		c.Name = letter
	}
	return c.Settle(), described
}

// Style is how this plan's sizes are written.
func (p Plan) Style() length.Style {
	return length.Style{Unit: p.Units, Denominator: int64(p.Habits.Fraction)}
}

// MeasuredAt is the last measurement at one of the gates; ok is false when
// there is none.
func (p Plan) MeasuredAt(gates ...ref.Ref) (index int, m Measured, ok bool) {
	if len(p.Measured) == 0 {
		return 0, Measured{}, false
	}
	ids := make([]string, len(gates))
	for i, g := range gates {
		ids[i] = g.String()
	}
	return p.MeasuredAs(ids...)
}

// Unsure is what of the front may make it come out otherwise than it is cut, as a word of the work: pieced, quilted,
// layered, worked, found; empty where it is one piece of cloth.
func Unsure(p Plan) string {
	q := p.Piece("front")
	f := Face{Kind: PlainFace}
	if q.Face != nil {
		f = *q.Face
	}
	rules, _ := FaceKinds.Of(string(f.Kind))
	switch {
	case len(f.Applique) > 0:
		return "worked"
	case rules.Unsure != "":
		return rules.Unsure
	case q.Quilted():
		return "quilted"
	case q.Layers != nil && (q.Layers.Lining != "" || q.Layers.Batting != nil && q.Layers.Batting.Count > 0):
		return "layered"
	}
	return ""
}

// BackWaits tells whether the back is cut after the front is measured.
func BackWaits(p Plan) bool {
	switch p.Back.Wait {
	case WaitYes:
		return true
	case WaitNo:
		return false
	}
	return Unsure(p) != ""
}

// FrontMeasured tells whether the front is measured at all: where it may come out otherwise, where its back waits for
// it, and where it was.
func FrontMeasured(p Plan) bool {
	_, _, was := p.MeasuredAt(ref.FrontQuilted, ref.FrontSewn)
	return Unsure(p) != "" || BackWaits(p) || was
}

// MeasuredAs is the same for gates by their refs as they are printed.
func (p Plan) MeasuredAs(gates ...string) (index int, m Measured, ok bool) {
	for i, got := range slices.Backward(p.Measured) {
		if slices.Contains(gates, got.Gate) {
			return i, got, true
		}
	}
	return 0, Measured{}, false
}
