// Package begin knows what decisions begin with: faces of every kind on every piece, grids that fill one,
// parts halved so that one more fits in.
package begin

import (
	"slices"
	"strconv"
	"strings"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/gridfit"
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
	on := &whole
	for rest := path; rest != ""; {
		var index string
		rest, index, _ = cutPart(rest)
		i, _ := strconv.Atoi(index)
		on = &on.Parts[i].Face
	}
	*on, own.Face = at.begun(at.face, at.size, kind), &whole
	q.Pieces[config] = own
	_, said := panel.Order{Plan: q.Settle()}.Of(at.piece)
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
	face := *q.Face
	for rest := path; rest != ""; {
		var index string
		rest, index, _ = cutPart(rest)
		i, _ := strconv.Atoi(index)
		face = face.Parts[i].Face
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
	face := at.face
	step := at.plan.Habits.Step
	letters := panel.Letters(at.plan)
	switch {
	case face.Kind == plan.StripsFace && len(face.Strips) > 0:
		last := &face.Strips[len(face.Strips)-1]
		next := *last
		next.Width, next.Cloth = (last.Width / 2).Floor(step), letters[len(face.Strips)%len(letters)]
		last.Width -= next.Width
		face.Strips = append(face.Strips, next)
	case face.Kind == plan.StackFace && len(face.Parts) > 0:
		last := &face.Parts[len(face.Parts)-1]
		height := (last.Height / 2).Floor(step)
		last.Height -= height
		face.Parts = append(face.Parts,
			plan.Part{Height: height,
				Face: plan.Face{Kind: plan.PlainFace, Cloth: letters[len(face.Parts)%len(letters)]}})
	default:
		return plan.Face{}, false
	}
	return face, true
}

// place is a face of a piece, or of a part of its stack, and the size it fills.
type place struct {
	plan  plan.Plan // settled
	piece cover.Piece
	face  plan.Face
	size  sum.Size
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
	at.piece, at.size = c.Pieces[i], c.Pieces[i].Finished
	at.face = panel.Order{Plan: at.plan}.Face(at.plan.Piece(config))
	for rest := path; rest != ""; {
		var index string
		if rest, index, _ = cutPart(rest); index == "" {
			return at, false
		}
		i, err := strconv.Atoi(index)
		if err != nil || i < 0 || i >= len(at.face.Parts) {
			return at, false
		}
		at.size.Height = sum.Of(sum.Part, "height of the part", at.face.Parts[i].Height)
		at.face = at.face.Parts[i].Face
	}
	return at, true
}

// cutPart takes the first /parts/N/face off a path.
func cutPart(path string) (rest, index string, ok bool) {
	after, ok := strings.CutPrefix(path, "/parts/")
	if !ok {
		return "", "", false
	}
	index, rest, ok = strings.Cut(after, "/face")
	return rest, index, ok
}

// begun is a face of a kind as it begins.
func (at place) begun(old plan.Face, size sum.Size, kind plan.FaceKind) plan.Face {
	letters := old.Cloths
	if len(letters) == 0 {
		letters = panel.Letters(at.plan)
	}
	first, last := letters[0], letters[len(letters)-1]
	step := at.plan.Habits.Step
	w, h := size.Width.Total(), size.Height.Total()
	switch kind {
	case plan.GridFace:
		return at.grid(letters, w, h)
	case plan.StripsFace:
		outer := h.Div(4).Floor(step)
		return plan.Face{Kind: kind, Direction: plan.AcrossWay,
			Strips: []plan.Strip{{Width: outer, Cloth: first}, {Width: h - 2*outer, Cloth: last},
				{Width: outer, Cloth: first}}}
	case plan.CheckerFace:
		f := at.grid(letters, w, h)
		f.Kind = kind
		return f
	case plan.StackFace:
		upper := h.Div(2).Floor(step)
		return plan.Face{Kind: kind,
			Parts: []plan.Part{{Height: upper, Face: plan.Face{Kind: plan.PlainFace, Cloth: first}},
				{Height: h - upper, Face: plan.Face{Kind: plan.PlainFace, Cloth: last}}}}
	case plan.FoundFace:
		return plan.Face{Kind: kind, Cloth: first,
			Patch:   plan.Patch{Width: w.Div(2).Floor(step), Height: h.Div(2).Floor(step)},
			Borders: []plan.Border{{Width: plan.BorderWidth{Rest: true}, Cloth: last}}}
	}
	if kind == plan.WindowsFace {
		return at.windowed(first, last, size)
	}
	if kind != plan.GatheredFace {
		kind = plan.PlainFace
	}
	return plan.Face{Kind: kind, Cloth: first}
}

// leastUnit of folded windows that are offered: in smaller ones little of a window is left beside
// its folds. Common practice.
const leastUnit = 3 * length.Inch / 2

// windowed is folded units of about 3 in or 8 cm that fit both ways: as many as make the
// sides come out nearest.
func (at place) windowed(ground, show string, size sum.Size) plan.Face {
	w, h := size.Width.Total()+2*at.plan.Cover.Seam, size.Height.Total()+2*at.plan.Cover.Seam
	best := plan.Face{Kind: plan.WindowsFace, Ground: ground, Show: show, Columns: 1, Rows: 1}
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

// cuttable is how large a patch may be to come out of every cloth, at most a size.
func (at place) cuttable(most length.Length) length.Length {
	for _, cloth := range at.plan.Cloths {
		if cloth.Usable != nil {
			most = min(most, *cloth.Usable-2*at.plan.Cover.Seam-at.plan.Habits.Step)
		}
	}
	return max(most, at.plan.Habits.Step)
}

// grid is the best grid of four or so across, or one that is fitted.
func (at place) grid(letters []string, w, h length.Length) plan.Face {
	f := plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4, Patch: plan.Patch{Fit: true}, Cloths: letters,
		Order:   plan.Order{Kind: plan.Alternate},
		Borders: []plan.Border{{Width: plan.BorderWidth{Rest: true}, Cloth: letters[0]}}}
	long, short := max(w, h), min(w, h)
	// near to a square, four by four and a border is a good start
	if 4*long <= 5*short && short.Div(f.Columns) <= at.cuttable(short) {
		return f
	}
	best := gridfit.Best(gridfit.Order{Width: w, Height: h, Seam: at.plan.Cover.Seam, Step: at.plan.Habits.Step,
		Least: min(short/4, length.Inch), Most: at.cuttable(short), Border: gridfit.Bordered, Style: at.plan.Style()})
	if len(best) == 0 {
		f.Columns, f.Rows = max(1, int(w/short)), max(1, int(h/short))
		return f
	}
	return at.faceWith(plan.Face{Cloths: letters}, best[0])
}
