package plan

import (
	"maps"
	"reflect"
	"slices"
	"strconv"
	"strings"

	"umschlag/core/length"
	"umschlag/core/ref"
)

// What was decided of another kind is kept beside what is decided now, under the name of that
// kind, and comes back when it is chosen again. Nothing that is kept aside is read on the way to a
// reckoning.

// Become is a face of another kind in the place of this one: as it begins, or as it was kept
// aside. This one is kept aside in its turn where something is decided in it. Shapes stay on the
// face: those that a kind does not take wait for the next one that does.
func (f Face) Become(begun Face, decided bool) Face {
	kept := maps.Clone(f.Aside)
	f.Aside = nil
	next := begun
	if back := kept[string(begun.Kind)]; back != nil {
		next = *back
		delete(kept, string(begun.Kind))
	}
	if next.Kind.TakesShapes() {
		for _, kind := range slices.Sorted(maps.Keys(kept)) {
			waiting := *kept[kind]
			next.Applique, waiting.Applique = slices.Concat(next.Applique, waiting.Applique), nil
			kept[kind] = &waiting
		}
		next.Applique, f.Applique = slices.Concat(next.Applique, f.Applique), nil
	}
	if decided || len(f.Applique) > 0 {
		if kept == nil {
			kept = map[string]*Face{}
		}
		kept[string(f.Kind)] = &f
	}
	if len(kept) > 0 {
		next.Aside = kept
	}
	return next
}

// Decides reports whether a face says more than one of its kind as it begins. Which cloth
// a plain face is of is soon said again.
func (f Face) Decides(begun Face) bool {
	bare := func(f Face) Face {
		f = f.unshared().settle()
		f.eachKey("", func(_ string, key *ref.Key) { *key = "" })
		f.Aside = nil
		if f.Kind.TakesShapes() { // they go with the face
			f.Applique = nil
		}
		if f.Kind == PlainFace {
			f.Cloth = ""
		}
		return f
	}
	return !reflect.DeepEqual(bare(f), bare(begun))
}

// Closed is the back of a cushion as one of another closure: as it was kept aside, or as that begins. The one there is
// is kept aside in its turn, where something is decided of it.
func (p Plan) Closed(c Closure) Back {
	settled, was, kept := p.Settle().Back, p.Back, maps.Clone(p.Back.Aside)
	if kept == nil {
		kept = map[string]Back{}
	}
	was.Kind, was.Aside, was.Wait = settled.Kind, nil, ""
	now := settled.Closure()
	if delete(kept, now); decides(p, was, now) {
		kept[now] = was
	}
	delete(kept, c.Key)
	next := c.On(p)
	next.Cloth, next.Wait = was.Cloth, p.Back.Wait
	if len(kept) > 0 {
		next.Aside = kept
	}
	return next
}

// decides reports whether a back says more than its closure as it begins.
func decides(p Plan, b Back, closure string) bool {
	bare := func(b Back) Back {
		b = Plan{Units: p.Units, Habits: p.Habits, Back: b}.said(SewnShut) // no hem that every plan begins with
		b.Cloth, b.Aside, b.Wait = "", nil, ""
		return b
	}
	p.Back.Aside = nil
	for _, c := range Closures(p.Units) {
		if c.Key == closure && reflect.DeepEqual(bare(b), bare(c.On(p))) {
			return false
		}
	}
	return !reflect.DeepEqual(bare(b), Back{Kind: b.Kind})
}

// AsHood is a hood of another kind. Its pieces go by other names: what is decided for all of them stays, what is
// decided for one is kept aside and comes back with its kind. So is what was decided for all since, where that kind
// comes back with its own.
func AsHood(p Plan, next CoverKind) Plan {
	kept := maps.Clone(p.Cover.Aside)
	back, returns := kept[string(next)]
	delete(kept, string(next))
	one := commonOf(p.Pieces, p.Cover.Kind)
	alone := false
	for name := range p.Pieces {
		alone = alone || name != Common
	}
	if alone || returns && !reflect.DeepEqual(p.Pieces, commonOf(back, next)) {
		if kept == nil {
			kept = map[string]map[string]Piece{}
		}
		kept[string(p.Cover.Kind)] = p.Pieces
	}
	if p.Cover.Aside = nil; len(kept) > 0 {
		p.Cover.Aside = kept
	}
	if p.Cover.Kind, p.Pieces = next, one; returns {
		p.Pieces = back
	}
	return p
}

// commonOf is what all the pieces of another cover begin as: what was decided for all, or for the first.
func commonOf(pieces map[string]Piece, kind CoverKind) map[string]Piece {
	for _, name := range append([]string{Common}, PieceNames(kind)...) {
		if one, there := pieces[name]; there {
			return map[string]Piece{Common: one}
		}
	}
	return map[string]Piece{}
}

// Own is a copy of a face that shares nothing with it.
func (f Face) Own() Face { return f.unshared() }

// At is the face at a path through the parts of stacks; ok is false where there is none.
func (f *Face) At(path string) (at *Face, ok bool) {
	parts, ok := PartsOf(path)
	for at = f; ok && len(parts) > 0; parts = parts[1:] {
		if parts[0] >= len(at.Parts) {
			return nil, false
		}
		at = &at.Parts[parts[0]].Face
	}
	return at, ok
}

// PartsOf are the numbers of the parts of stacks that a path such as /parts/1/face leads through; ok is false for any
// other.
func PartsOf(path string) (parts []int, ok bool) {
	for path != "" {
		rest, found := strings.CutPrefix(path, "/parts/")
		index, rest, cut := strings.Cut(rest, "/face")
		i, err := strconv.Atoi(index)
		if !found || !cut || err != nil || i < 0 {
			return nil, false
		}
		parts, path = append(parts, i), rest
	}
	return parts, true
}

// As is a grid set straight or on point: what only the other can have is taken out.
func (f Face) As(set Setting) Face {
	f.Set, f.Keep = set, nil
	if set == OnPoint {
		f.Sash, f.Patch = nil, Patch{Fit: true} // what fitted straight seldom does on point
	}
	return f.Refitted()
}

// Refitted fits what was decided patch by patch to the number of patches in a face: of rows that were laid by hand
// what is too much falls away, and what is missing repeats the pattern; kept patches that are no longer there are
// let go.
func (f Face) Refitted() Face {
	if f.Columns < 1 || f.Rows < 1 || f.Columns > MostGrid || f.Rows > MostGrid {
		return f
	}
	shape := f.Shape()
	given := slices.DeleteFunc(slices.Clone(f.Order.Rows), func(row []string) bool { return len(row) == 0 })
	if f.Order.Kind == Rows && len(given) > 0 {
		rows := make([][]string, len(shape))
		for r, columns := range shape {
			for c := range columns {
				row := given[r%len(given)]
				rows[r] = append(rows[r], row[c%len(row)])
			}
		}
		f.Order.Rows = rows
	}
	f.Keep = slices.DeleteFunc(slices.Clone(f.Keep), func(k Kept) bool {
		return k.Row < 1 || k.Row > len(shape) || k.Column > shape[k.Row-1]
	})
	if len(f.Keep) == 0 {
		f.Keep = nil
	}
	return f
}

// Filled is a face that fills a size: strips and parts of a stack that take the rest are as large as what is left for
// them, which may be nothing or less.
func (f Face) Filled(w, h length.Length) Face {
	side := h
	if f.Direction == AlongWay {
		side = w
	}
	f.Strips, f.Parts = slices.Clone(f.Strips), slices.Clone(f.Parts)
	strips, parts := make([]*Extent, len(f.Strips)), make([]*Extent, len(f.Parts))
	for i := range f.Strips {
		strips[i] = &f.Strips[i].Width
	}
	for i := range f.Parts {
		parts[i] = &f.Parts[i].Height
	}
	fill(strips, side)
	fill(parts, h)
	return f
}

// fill shares out what sizes leave of a whole among those that take the rest, the last one what dividing leaves over.
func fill(sizes []*Extent, whole length.Length) {
	left, n := whole, 0
	for _, s := range sizes {
		if s.Rest {
			n++
		} else {
			left -= s.Width
		}
	}
	for _, s := range sizes {
		if s.Rest {
			s.Width = left.Div(n)
			left, n = left-s.Width, n-1
		}
	}
}
