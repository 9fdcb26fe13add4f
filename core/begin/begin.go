// Package begin knows what decisions begin with: faces of every kind on every piece, grids that fill one,
// parts halved so that one more fits in.
package begin

import (
	"fmt"
	"math"
	"slices"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/gridfit"
	"umschlag/core/kind"
	"umschlag/core/length"
	"umschlag/core/panel"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Face is the face of a piece as one of another kind, or that of a part of its stack by the
// path to it, such as /parts/1/face: as it was kept aside, or as one begins, with the cloths
// there were. What was decided of the face as it is is kept aside. It reports false where the
// piece cannot be reckoned or has no such part.
func Face(p plan.Plan, config, path string, kind plan.FaceKind) (plan.Face, bool) {
	at, ok := faceAt(p, config, path)
	if !ok {
		return plan.Face{}, false
	}
	face, size := at.face, at.size
	was := typed(p, config, path)
	if kind == face.Kind { // begun anew
		begun := at.begun(face, size, kind)
		begun.Aside = was.Aside
		return begun, true
	}
	asBegun := at.begun(plan.Face{Cloths: firstCloths(was)}, size, was.Kind)
	return was.Become(at.begun(face, size, kind), was.Decides(asBegun)), true
}

// firstCloths are the cloths a face of its kind would have begun with to be of those it is of.
func firstCloths(f plan.Face) []string {
	cloths := f.Cloths
	switch f.Kind {
	case plan.StripsFace:
		cloths = nil
		for _, strip := range f.Strips[:min(2, len(f.Strips))] {
			cloths = append(cloths, strip.Cloth)
		}
	case plan.StackFace:
		cloths = nil
		for _, part := range f.Parts {
			cloths = append(cloths, part.Face.Cloth)
		}
	case plan.FoundFace:
		cloths = []string{f.Cloth}
		for _, border := range f.Borders {
			cloths = append(cloths, border.Cloth)
		}
	case plan.GatheredFace:
		cloths = []string{f.Cloth}
	case plan.WindowsFace:
		cloths = []string{f.Ground, f.Show}
	}
	return cloths
}

// Unfit says why a face of a kind cannot begin on a piece, or on a part of its stack: only folded
// windows fill no other sizes than those their units make, whatever lies under them. ok is false where
// nothing speaks against it, and where there is one to come back.
func Unfit(p plan.Plan, config, path string, kind plan.FaceKind) (why finding.Finding, ok bool) {
	q := unlayered(p, config)
	at, found := faceAt(q, config, path)
	if !found || kind != plan.WindowsFace || at.face.Aside[string(kind)] != nil {
		return finding.Finding{}, false
	}
	own, whole := q.Pieces[config], typed(q, config, "").Keyed(nil) // with parts of its own
	on, there := whole.At(path)
	if !there {
		return finding.Finding{}, false
	}
	*on, own.Face = at.begun(at.face, at.size, kind), &whole
	if on.Columns > plan.MostUnits || on.Rows > plan.MostUnits {
		return finding.Finding{Text: fmt.Sprintf("%d by %d units would fill it, and %d lie side by side at most.",
			on.Columns,
			on.Rows, plan.MostUnits), Remedy: "A piece that is less long and narrow takes them."}, true
	}
	q.Pieces[config] = own
	var said finding.List
	for _, piece := range at.pieces {
		_, found := panel.Order{Plan: q.Settle()}.Of(piece)
		said = append(said, found...)
	}
	for _, f := range said {
		if (f.Code == "windows-do-not-fill" || f.Code == "windows-small") &&
			finding.Within(f.About, finding.Path("pieces", config, "face")+path) {
			return f, true
		}
	}
	return finding.Finding{}, false
}

// unlayered is the plan with a piece of one cloth thickness: no batting, no lining, no quilting, and
// so nothing to square up.
func unlayered(p plan.Plan, config string) plan.Plan {
	p = p.Unshared()
	if p.Pieces == nil {
		p.Pieces = map[string]plan.Piece{}
	}
	for _, name := range []string{"*", config} {
		q := p.Pieces[name]
		q.Layers, q.Quilting, q.Squaring = nil, nil, nil
		p.Pieces[name] = q
	}
	return p
}

// typed is a face of a piece without what follows from other decisions; the path leads to one.
func typed(p plan.Plan, config, path string) plan.Face {
	q := p.Keyed(nil).Piece(config)
	if q.Face == nil {
		return plan.Face{Kind: plan.PlainFace}
	}
	whole := *q.Face
	face := plan.Face{}
	if at, there := whole.At(path); there {
		face = *at
	}
	if face.Kind == "" {
		face.Kind = plan.PlainFace
	}
	return face
}

// Split is a face of strips or a stack with its last part halved, so that one more
// fits in.
func Split(p plan.Plan, config, path string) (plan.Face, bool) {
	at, ok := faceAt(p, config, path)
	if !ok {
		return plan.Face{}, false
	}
	face := at.face.Filled(at.size.Width.Total(), at.size.Height.Total())
	step := at.plan.Habits.Step
	letters := panel.Letters(at.plan)
	switch {
	case face.Kind == plan.StripsFace && len(face.Strips) > 0:
		last := &face.Strips[len(face.Strips)-1]
		next := plan.Strip{Width: plan.Extent{Width: (last.Width.Width / 2).Floor(step)},
			Cloth: letters[len(face.Strips)%len(letters)]}
		last.Width = plan.Extent{Width: last.Width.Width - next.Width.Width}
		face.Strips = append(face.Strips, next)
	case face.Kind == plan.StackFace && len(face.Parts) > 0:
		last := &face.Parts[len(face.Parts)-1]
		height := plan.Extent{Width: (last.Height.Width / 2).Floor(step)}
		last.Height = plan.Extent{Width: last.Height.Width - height.Width}
		face.Parts = append(face.Parts,
			plan.Part{Height: height,
				Face: plan.Face{Kind: plan.PlainFace, Cloth: letters[len(face.Parts)%len(letters)]}})
	default:
		return plan.Face{}, false
	}
	return face, true
}

// Filled is the face of a piece, or of a part of its stack, in which what takes the rest has its size. It reports
// false where the piece cannot be reckoned or has no such part.
func Filled(p plan.Plan, config, path string) (plan.Face, bool) {
	at, ok := faceAt(p, config, path)
	return at.face.Filled(at.size.Width.Total(), at.size.Height.Total()), ok
}

// place is a face of a piece, or of a part of its stack, and the size it fills.
type place struct {
	plan plan.Plan // settled
	// pieces that have the face.
	pieces  []cover.Piece
	face    plan.Face
	size    sum.Size
	quilted bool
	// several tells that pieces of other sizes have the same face, least and most what it fills of them.
	several     bool
	least, most [2]length.Length
}

// faceAt is the face of a piece at a path; ok is false where there is none.
func faceAt(p plan.Plan, config, path string) (at place, ok bool) {
	at.plan = p.Settle()
	c, found := cover.Pieces(at.plan)
	if found.Stopped() {
		return at, false
	}
	i := slices.IndexFunc(c.Pieces, func(piece cover.Piece) bool { return piece.Config == config })
	if i < 0 {
		return at, false
	}
	at.size = c.Pieces[i].Finished
	at.quilted = at.plan.Piece(config).Quilted()
	at.least = [2]length.Length{at.size.Width.Total(), at.size.Height.Total()}
	at.most = at.least
	for _, piece := range c.Pieces {
		if w, h := piece.Finished.Width.Total(), piece.Finished.Height.Total(); piece.Config == config {
			at.several = at.several || w != at.size.Width.Total() || h != at.size.Height.Total()
			at.least = [2]length.Length{min(at.least[0], w), min(at.least[1], h)}
			at.most = [2]length.Length{max(at.most[0], w), max(at.most[1], h)}
			at.pieces = append(at.pieces, piece)
		}
	}
	at.face = panel.Order{Plan: at.plan}.Face(at.plan.Piece(config))
	parts, ok := plan.PartsOf(path)
	for _, i := range parts {
		if i >= len(at.face.Parts) {
			return at, false
		}
		at.face = at.face.Filled(at.size.Width.Total(), at.size.Height.Total())
		at.size.Height = sum.Of(sum.Part, "height of the part", at.face.Parts[i].Height.Width)
		at.least[1], at.most[1] = at.size.Height.Total(), at.size.Height.Total()
		at.face = at.face.Parts[i].Face
	}
	return at, ok
}

// Beginning is what a face begins from.
type Beginning struct {
	// Plan is settled.
	Plan plan.Plan
	// Cloths it may be of, at least one, and the size it fills.
	Cloths []string
	Size   sum.Size
	// Quilted tells that lines of quilting hold it to what lies under it, so that something has to be trimmed off.
	Quilted bool
	// Several tells that pieces of other sizes have the same face, Least and Most what it fills of them.
	Several     bool
	Least, Most [2]length.Length
}

// First is the first of its cloths.
func (b Beginning) First() string { return b.Cloths[0] }

// Last is the last of its cloths.
func (b Beginning) Last() string { return b.Cloths[len(b.Cloths)-1] }

// Kinds are what the kinds of faces begin as, by their words in the plan; one that has nothing of its own is of its
// first cloth.
var Kinds kind.Set[func(Beginning) plan.Face]

func init() {
	Kinds.Add("grid", grid)
	Kinds.Add("checker", grid)
	Kinds.Add("windows", windowed)
	Kinds.Add("strips", func(b Beginning) plan.Face {
		h, least := b.Size.Height.Total(), plan.LeastStrip.Ceil(max(1, b.Plan.Habits.Step))
		if h < 3*least { // room for one
			return plan.Face{Direction: plan.AcrossWay,
				Strips: []plan.Strip{{Width: plan.Extent{Width: h}, Cloth: b.First()}}}
		}
		outer := max(least, h.Div(4).Floor(b.Plan.Habits.Step))
		return plan.Face{Direction: plan.AcrossWay,
			Strips: []plan.Strip{{Width: plan.Extent{Width: outer}, Cloth: b.First()},
				{Width: plan.Extent{Width: h - 2*outer}, Cloth: b.Last()},
				{Width: plan.Extent{Width: outer}, Cloth: b.First()}}}
	})
	Kinds.Add("stack", func(b Beginning) plan.Face {
		h := b.Size.Height.Total()
		upper := h.Div(2).Floor(b.Plan.Habits.Step)
		return plan.Face{Parts: []plan.Part{{Height: plan.Extent{Width: upper},
			Face: plan.Face{Kind: plan.PlainFace, Cloth: b.First()}},
			{Height: plan.Extent{Width: h - upper}, Face: plan.Face{Kind: plan.PlainFace, Cloth: b.Last()}}}}
	})
	Kinds.Add("found", func(b Beginning) plan.Face {
		half := func(size length.Length) length.Length {
			return min(size.Div(2), plan.Largest).Floor(b.Plan.Habits.Step)
		}
		return plan.Face{Cloth: b.First(), Patch: plan.Patch{Width: half(b.Least[0]), Height: half(b.Least[1])},
			Borders: []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: b.Last()}}}
	})
}

// begun is a face of a kind as it begins.
func (at place) begun(old plan.Face, size sum.Size, kind plan.FaceKind) plan.Face {
	b := Beginning{Plan: at.plan, Cloths: old.Cloths, Size: size, Quilted: at.quilted, Several: at.several,
		Least: at.least,
		Most:  at.most}
	if len(b.Cloths) == 0 {
		b.Cloths = panel.Letters(at.plan)
	}
	if _, known := plan.FaceKinds.Of(string(kind)); !known {
		kind = plan.PlainFace
	}
	face := plan.Face{Cloth: b.First()}
	if begin, own := Kinds.Of(string(kind)); own {
		face = begin(b)
	}
	face.Kind = kind
	return face
}

// leastUnit of folded windows that are offered: in smaller ones little of a window is left beside
// its folds. Common practice.
const leastUnit = 3 * length.Inch / 2

// windowed is folded units of about 3 in or 8 cm that fit both ways: as many as make the
// sides come out nearest.
func windowed(b Beginning) plan.Face {
	seam := b.Plan.Cover.Seam
	w, h := b.Size.Width.Total()+2*seam, b.Size.Height.Total()+2*seam
	best := plan.Face{Ground: b.First(), Show: b.Last(), Columns: 1, Rows: 1}
	off := length.Length(0)
	for c := 1; c <= 12 && (c == 1 || w.Div(c) >= leastUnit); c++ {
		n := max(1, int((h.Float()*float64(c)/w.Float())+0.5))
		miss := (w.Times(n) - h.Times(c)).Abs() // 0 where the units are square
		unit := (w.Div(c) - 3*length.Inch).Abs()
		if c == 1 || miss < off || (miss == off && unit < (w.Div(best.Columns)-3*length.Inch).Abs()) {
			off, best.Columns, best.Rows = miss, c, n
		}
	}
	return best
}

// counts are how many patches across and down fill a size by themselves: as nearly square as can be, on the ruler where
// that can be, and about a quarter of the short side, or what a patch usually finishes, large.
func (b Beginning) counts(w, h length.Length) (columns, rows int) {
	starts, step := plan.StartsIn(b.Plan.Units), b.Plan.Habits.Step
	short := min(w, h)
	usual := min(max(short/4, min(starts.Least, short)), starts.Most, b.cuttable(short))
	best := math.Inf(1)
	columns, rows = 1, 1
	for c := 1; c <= plan.MostGrid && w.Div(c) >= usual/3; c++ {
		for r := 1; r <= plan.MostGrid && h.Div(r) >= usual/3; r++ {
			pw, ph := w.Div(c), h.Div(r)
			worse := 6*math.Abs(math.Log(pw.Float()/ph.Float())) +
				1.5*math.Abs(math.Log(math.Sqrt(pw.Float()*ph.Float())/usual.Float()))
			if pw.Times(c) != w || !pw.OnStep(step) {
				worse += offRuler
			}
			if ph.Times(r) != h || !ph.OnStep(step) {
				worse += offRuler
			}
			if pw != ph {
				worse += notSquare
			}
			if max(pw, ph) > b.cuttable(max(pw, ph)) {
				worse += beyondCloth
			}
			if worse < best {
				best, columns, rows = worse, c, r
			}
		}
	}
	return columns, rows
}

// What is worse than a grid of squares of the usual size: patches off the ruler and oblong ones by as much as some
// sizes more or less, patches that come out of no cloth by whatever helps.
const (
	offRuler    = 0.4
	notSquare   = 0.3
	beyondCloth = 100.0
)

// cuttable is how large a patch may be to come out of every cloth, at most a size.
func (b Beginning) cuttable(most length.Length) length.Length {
	for _, cloth := range b.Plan.Cloths {
		if cloth.Usable != nil {
			most = min(most, *cloth.Usable-2*b.Plan.Cover.PiecingSeam-b.Plan.Habits.Step)
		}
	}
	return max(most, b.Plan.Habits.Step)
}

// grid is whole patches that fill the face. Where lines of quilting take something of it they have a border that gives
// it: four by four where it is nearly square, else the best there is.
func grid(b Beginning) plan.Face {
	letters, w, h := b.Cloths, b.Most[0], b.Most[1]
	f := plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4, Patch: plan.Patch{Fit: true}, Cloths: letters,
		Order: plan.Order{Kind: plan.Alternate}}
	if !b.Quilted {
		f.Columns, f.Rows = b.counts(w, h)
		return f
	}
	f.Borders = []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: letters[0]}}
	long, short := max(w, h), min(w, h)
	if 4*long <= 5*short && short.Div(f.Columns) <= b.cuttable(short) {
		return f
	}
	best := gridfit.Best(gridfit.Order{Width: w, Height: h, Seam: b.Plan.Cover.PiecingSeam, Step: b.Plan.Habits.Step,
		Least: min(short/4, length.Inch), Most: b.cuttable(short), Border: gridfit.Bordered, Style: b.Plan.Style()})
	best = slices.DeleteFunc(best, func(l gridfit.Layout) bool { return max(l.Columns, l.Rows) > plan.MostGrid })
	if len(best) == 0 {
		f.Columns, f.Rows, f.Borders = min(max(1, int(w/short)), plan.MostGrid), min(max(1, int(h/short)),
			plan.MostGrid), nil
		return f
	}
	if b.Several { // as many patches, on each piece as large as fit it
		f.Columns, f.Rows, f.Borders = best[0].Columns, best[0].Rows, nil
		return f
	}
	return faceWith(b.Plan, plan.Face{Cloths: letters}, best[0])
}
