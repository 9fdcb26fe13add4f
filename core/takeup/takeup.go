// Package takeup knows how much quilting shortens a panel: an estimate from geometry, by
// the lines, how far apart they are and how far the stack between them puffs.
package takeup

import (
	"math"
	"slices"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// TakeUp is what quilting takes from each direction, as a share of 1.
type TakeUp struct {
	Across, Along float64
	// Low and High are what it lies between, across and along, where it is estimated.
	Low, High [2]float64
	// From says where it comes from.
	From plan.TakeUpFrom
}

// Unsure is how far the bulge of a stack may be off: quilted tighter or looser it shows
// less or more of its loft. Common practice.
const Unsure = 0.25

// Doubtful is the estimate above which the derivation is no longer to be
// relied on: its shallow curve stands for less than a tenth.
const Doubtful = 0.10

// share is the shortening of cloth between two lines of quilting p apart when
// each face bulges by a: a raised cosine of height a over p is longer than p by
// (πa/p)²/4. Close lines cannot puff: a is at most p/6.
//
// Source: geometry; an estimate, not a published standard.
func share(a, p float64) float64 {
	if p <= 0 {
		return 0
	}
	a = math.Min(a, p/6)
	x := math.Pi * a / p
	return x * x / 4
}

// family is the shortening across one family of lines; in pairs, the mean over
// both gaps weighted by their lengths.
func family(bulge length.Length, f plan.LineFamily, pair length.Length) float64 {
	a := bulge.Float()
	if pair <= 0 || pair >= f.Pitch {
		return share(a, f.Pitch.Float())
	}
	near, far := pair.Float(), (f.Pitch - pair).Float()
	return (near*share(a, near) + far*share(a, far)) / (near + far)
}

// Bulge is how far each face of the stack can puff: half its loft.
func Bulge(l *plan.Layers) length.Length {
	if l == nil || l.Batting == nil {
		return 0
	}
	return l.Batting.Loft.Times(l.Batting.Count) / 2
}

// Pattern is quilting with what its estimate depends on besides.
type Pattern struct {
	*plan.Quilting
	// Width and Height of what is quilted, for echoes; PatchWidth and PatchHeight are how far
	// apart the seams are that it goes by, 0 where there are none.
	Width, Height, PatchWidth, PatchHeight length.Length
	// Shapes are the sizes of those that are stitched round.
	Shapes [][2]length.Length
}

// set is a family of lines, each in a pair where the distance in it is given.
type set struct {
	plan.LineFamily
	pair length.Length
}

// followed are the families of lines that what goes by the seams of patches is the same as: seams a patch apart in both
// directions; a line at both sides of each; and both diagonals of every patch, w·h/√(w² + h²) apart. Source: geometry.
func (p Pattern) followed() []set {
	var out []set
	w, h := p.PatchWidth, p.PatchHeight
	both := func(pair length.Length) {
		for _, f := range []plan.LineFamily{{Pitch: w, Angle: 90}, {Pitch: h}} {
			if f.Pitch > 0 {
				out = append(out, set{f, pair})
			}
		}
	}
	if p.Ditch {
		both(0)
	}
	if p.Beside > 0 {
		both(2 * p.Beside)
	}
	if p.Corners && w > 0 && h > 0 {
		angle := math.Atan2(h.Float(), w.Float()) * 180 / math.Pi
		pitch := length.FromFloat(w.Float() * h.Float() / math.Hypot(w.Float(), h.Float()))
		out = append(out, set{plan.LineFamily{Pitch: pitch, Angle: angle}, 0},
			set{plan.LineFamily{Pitch: pitch, Angle: -angle}, 0})
	}
	return out
}

// AsLines is the pattern as a test square is quilted, which has neither seams nor shapes; ok is false where it is
// nothing but what goes by those and there are none.
func (p Pattern) AsLines() (q plan.Quilting, ok bool) {
	if p.Quilting == nil {
		return plan.Quilting{}, false
	}
	q = *p.Quilting
	q.Ditch, q.Beside, q.Corners, q.Around, q.Borders, q.Aside = false, 0, false, 0, nil, nil
	q.Lines = slices.Clone(q.Lines)
	for _, s := range p.followed() {
		if len(p.Lines) == 0 {
			q.Pair = max(q.Pair, s.pair)
		}
		q.Lines = append(q.Lines, s.LineFamily)
	}
	return q, q.Any()
}

// Estimate is the take-up of a pattern over a stack whose faces bulge by bulge. Families
// add as a tensor: stitched lines at an angle θ to the width take t·sin²θ from the width
// and t·cos²θ from the height. Source: geometry.
func Estimate(bulge length.Length, p Pattern) TakeUp {
	var t TakeUp
	q := p.Quilting
	if q == nil {
		return t
	}
	add := func(across, along float64) { t.Across, t.Along = t.Across+across, t.Along+along }
	sets := p.followed()
	for _, f := range q.Lines {
		sets = append(sets, set{f, q.Pair})
	}
	for _, f := range sets {
		each := family(bulge, f.LineFamily, f.pair)
		sin, cos := math.Sincos(f.Angle * math.Pi / 180)
		if f.Wave > 0 { // a serpentine runs partly across itself
			add(each*(straight*sin*sin+(1-straight)*cos*cos), each*(straight*cos*cos+(1-straight)*sin*sin))
			continue
		}
		add(each*sin*sin, each*cos*cos)
	}
	if q.Echo > 0 && p.Width > 0 && p.Height > 0 {
		upright := p.upright()
		each := share(bulge.Float(), q.Echo.Float())
		add(each*upright, each*(1-upright))
	}
	if q.Free > 0 { // in all directions alike
		each := share(bulge.Float(), q.Free.Float())
		add(each/2, each/2)
	}
	if q.Around > 0 && p.Width > 0 && p.Height > 0 {
		for _, s := range p.Shapes {
			add(p.round(bulge, s))
		}
	}
	return t
}

// round is what a round outside a shape takes: a line across the shape meets the gap between its edge, which is sewn
// down, and the round twice, on as much of the piece as the shape is high. Source: geometry.
func (p Pattern) round(bulge length.Length, s [2]length.Length) (across, along float64) {
	each := 2 * share(bulge.Float(), p.Around.Float()) * p.Around.Float()
	area := p.Width.Float() * p.Height.Float()
	return each * s[1].Float() / area, each * s[0].Float() / area
}

// Borders is what the quilting of borders by themselves takes of their width and of their length: lines along them of
// the width, lines across them of the length, free motion half of each.
func Borders(bulge length.Length, b *plan.BorderQuilting) (wide, long float64) {
	if b == nil {
		return 0, 0
	}
	free := share(bulge.Float(), b.Free.Float()) / 2
	return share(bulge.Float(), b.Along.Float()) + free, share(bulge.Float(), b.Across.Float()) + free
}

// straight is the part of a serpentine that runs along its direction: the mean of cos² of
// its slope, whose steepest is π/2 where it is four swings long.
var straight = 1 / math.Sqrt(1+math.Pi*math.Pi/4)

// upright is the part of a rectangle's area that lies nearest to its left or right edge,
// where echoes run upright.
func (p Pattern) upright() float64 {
	w, h := p.Width.Float(), p.Height.Float()
	if w <= h {
		return 1 - w/(2*h)
	}
	return h / (2 * w)
}

// PatternOf is the quilting of something of a size, of a settled piece.
func PatternOf(q plan.Piece, size sum.Size) Pattern {
	p := Pattern{Quilting: q.Quilting, Width: size.Width.Total(), Height: size.Height.Total()}
	if q.Face != nil {
		for _, s := range q.Face.Applique {
			p.Shapes = append(p.Shapes, sized(s, p.Width)...)
		}
	}
	if f := q.Face; f != nil && (f.Kind == plan.GridFace || f.Kind == plan.CheckerFace) {
		p.PatchWidth, p.PatchHeight = f.Patch.Width, f.Patch.Height
		if p.PatchWidth == 0 && f.Columns > 0 && f.Rows > 0 { // solved later; nearly this
			p.PatchWidth, p.PatchHeight = p.Width.Div(f.Columns), p.Height.Div(f.Rows)
		}
	}
	return p
}

// sized is how large a shape is, and its twin, nearly: one without a size takes a quarter of the width.
func sized(s plan.Shape, width length.Length) [][2]length.Length {
	w, h := s.Width, s.Height
	if w == 0 && h == 0 {
		w = width / 4
	}
	one := [2]length.Length{max(w, h), max(w, h)}
	if w > 0 && h > 0 {
		one = [2]length.Length{w, h}
	}
	if s.Twin != "" {
		return [][2]length.Length{one, one}
	}
	return [][2]length.Length{one}
}
