package plan

import (
	"maps"
	"reflect"
	"slices"

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

// Closed is the back of a cushion as one of another closure: as it was kept aside, or as that
// begins. The one there is is kept aside in its turn.
func (p Plan) Closed(c Closure) Back {
	settled, was, kept := p.Settle().Back, p.Back, maps.Clone(p.Back.Aside)
	if kept == nil {
		kept = map[string]Back{}
	}
	was.Kind, was.Aside = settled.Kind, nil
	kept[settled.Closure()] = was
	delete(kept, c.Key)
	next := c.On(p)
	next.Cloth = was.Cloth
	if len(kept) > 0 {
		next.Aside = kept
	}
	return next
}
