package plan

import (
	"fmt"
	"maps"
	"slices"
	"strconv"

	"umschlag/core/ref"
)

// A part of a plan that a maker added has a key: it is made with the part and stays with it.
// Keys are unique among the fittings, and within each entry of the pieces; a piece that gets a
// face of its own keeps the keys of the face it had. A colourway is the same parts in other
// cloths: its face repeats the keys of its face.

// Keyed is the plan with a key for every part that has none of its own: what fresh makes, or,
// where it is nil, the next number that is free, so that the same plan always gets the same
// keys. A key that stands where it stood before already is no key of its own.
func (p Plan) Keyed(fresh func() ref.Key) Plan {
	if p.keyed() {
		return p
	}
	p = p.Unshared()
	list := keying{fresh: fresh}
	for i := range p.Fittings {
		list.see(p.Fittings[i].Key)
	}
	for i := range p.Fittings {
		list.give(&p.Fittings[i].Key)
	}
	p.entries(func(_ string, f *Face) { f.giveKeys(fresh) })
	for id, parts := range p.Progress.Parts {
		list := keying{fresh: fresh}
		for _, part := range parts {
			list.see(part.Key)
		}
		for i := range parts {
			list.give(&p.Progress.Parts[id][i].Key)
		}
	}
	return p
}

// keyed reports whether every part has a key of its own.
func (p Plan) keyed() bool {
	complete := true
	p.Keys(func(_ string, key ref.Key, first bool) { complete = complete && key != "" && first })
	return complete
}

// Keys visits every part that takes a key, by its path in the plan; first is false where
// another part that it must not share it with has the same one.
func (p Plan) Keys(visit func(path string, key ref.Key, first bool)) {
	seen := map[ref.Key]bool{}
	see := func(path string, key ref.Key) {
		visit(path, key, key == "" || !seen[key])
		seen[key] = true
	}
	for i, f := range p.Fittings {
		see(at("/fittings", i), f.Key)
	}
	p.entries(func(path string, f *Face) {
		clear(seen)
		f.keys(path, see)
		f.ways(path, func(path string, way *Face) {
			clear(seen)
			way.keys(path, see)
		})
	})
	for id, parts := range p.Progress.Parts {
		clear(seen)
		for i, part := range parts {
			see(fmt.Sprintf("/progress/parts/%s/%d", id, i), part.Key)
		}
	}
}

// entries visits the faces of the pieces and of those set aside, each with keys of its own.
func (p Plan) entries(visit func(path string, f *Face)) {
	faces := func(path string, pieces map[string]Piece) {
		for name, q := range pieces {
			if q.Face != nil {
				visit(path+"/"+name+"/face", q.Face)
			}
		}
	}
	faces("/pieces", p.Pieces)
	for kind, pieces := range p.Cover.Aside {
		faces("/cover/aside/"+kind, pieces)
	}
}

func at(list string, i int) string { return list + "/" + strconv.Itoa(i) }

// keys visits the keys of a face and of those within it.
func (f *Face) keys(path string, visit func(path string, key ref.Key)) {
	f.eachKey(path, func(path string, key *ref.Key) { visit(path, *key) })
}

// eachKey visits the keys of a face and of those within it, where they stand.
func (f *Face) eachKey(path string, visit func(path string, key *ref.Key)) {
	for i := range f.Strips {
		visit(at(path+"/strips", i), &f.Strips[i].Key)
	}
	for i := range f.Borders {
		visit(at(path+"/borders", i), &f.Borders[i].Key)
	}
	for i := range f.Applique {
		visit(at(path+"/applique", i), &f.Applique[i].Key)
	}
	for i := range f.Colourways {
		visit(at(path+"/colourways", i), &f.Colourways[i].Key)
	}
	for i := range f.Parts {
		visit(at(path+"/parts", i), &f.Parts[i].Key)
		f.Parts[i].Face.eachKey(at(path+"/parts", i)+"/face", visit)
	}
	f.setAside(path, func(path string, kept *Face) { kept.eachKey(path, visit) })
}

// setAside visits the faces of other kinds that are kept with a face.
func (f *Face) setAside(path string, visit func(path string, kept *Face)) {
	for _, kind := range slices.Sorted(maps.Keys(f.Aside)) {
		if kept := f.Aside[kind]; kept != nil {
			visit(path+"/aside/"+kind, kept)
		}
	}
}

// ways visits the faces of all colourways of a face and of those within it.
func (f *Face) ways(path string, visit func(path string, way *Face)) {
	for i := range f.Colourways {
		visit(at(path+"/colourways", i)+"/face", &f.Colourways[i].Face)
	}
	for i := range f.Parts {
		f.Parts[i].Face.ways(at(path+"/parts", i)+"/face", visit)
	}
	f.setAside(path, func(path string, kept *Face) { kept.ways(path, visit) })
}

// Keyed is a face by itself with a key for every part that has none, as of a plan.
func (f Face) Keyed(fresh func() ref.Key) Face {
	f = f.unshared()
	f.giveKeys(fresh)
	return f
}

// giveKeys gives keys to what has none; colourways take those of their face first.
func (f *Face) giveKeys(fresh func() ref.Key) {
	list := keying{fresh: fresh}
	f.keys("", func(_ string, key ref.Key) { list.see(key) })
	f.eachKey("", func(_ string, key *ref.Key) { list.give(key) })
	f.follow(fresh)
}

// follow gives the faces of colourways the keys of the parts they stand for.
func (f *Face) follow(fresh func() ref.Key) {
	for i := range f.Colourways {
		way := &f.Colourways[i].Face
		way.like(*f)
		way.giveKeys(fresh)
	}
	for i := range f.Parts {
		f.Parts[i].Face.follow(fresh)
	}
	f.setAside("", func(_ string, kept *Face) { kept.follow(fresh) })
}

// like takes the keys of another face, part by part, where it has none.
func (f *Face) like(o Face) {
	take := func(key *ref.Key, from ref.Key) {
		if *key == "" {
			*key = from
		}
	}
	for i := range min(len(f.Strips), len(o.Strips)) {
		take(&f.Strips[i].Key, o.Strips[i].Key)
	}
	for i := range min(len(f.Borders), len(o.Borders)) {
		take(&f.Borders[i].Key, o.Borders[i].Key)
	}
	for i := range min(len(f.Applique), len(o.Applique)) {
		take(&f.Applique[i].Key, o.Applique[i].Key)
	}
	for i := range min(len(f.Parts), len(o.Parts)) {
		take(&f.Parts[i].Key, o.Parts[i].Key)
		f.Parts[i].Face.like(o.Parts[i].Face)
	}
}

// Unshared is the plan with fabrics, fittings, edges, pieces, faces, quilting and measurements of its own: what is
// changed in them is not changed in the plan it was made from.
func (p Plan) Unshared() Plan {
	p.Cloths, p.Measured = maps.Clone(p.Cloths), slices.Clone(p.Measured)
	p.Fittings = slices.Clone(p.Fittings)
	p.Edges.Piping, p.Edges.Binding = own(p.Edges.Piping), own(p.Edges.Binding)
	p.Pieces = unshared(p.Pieces)
	p.Cover.Aside = mapped(p.Cover.Aside, unshared)
	p.Progress.Parts = mapped(p.Progress.Parts, func(parts []StepPart) []StepPart { return slices.Clone(parts) })
	return p
}

func unshared(pieces map[string]Piece) map[string]Piece {
	return mapped(pieces, func(q Piece) Piece {
		if q.Face != nil {
			face := q.Face.unshared()
			q.Face = &face
		}
		if q.Quilting = own(q.Quilting); q.Quilting != nil {
			q.Quilting.Lines, q.Quilting.Borders = slices.Clone(q.Quilting.Lines), own(q.Quilting.Borders)
		}
		q.Layers = own(q.Layers)
		return q
	})
}

// own is a copy of what a pointer points to; nil where that is nothing.
func own[T any](v *T) *T {
	if v == nil {
		return nil
	}
	copied := *v
	return &copied
}

func (f Face) unshared() Face {
	f.Strips, f.Borders, f.Applique = slices.Clone(f.Strips), slices.Clone(f.Borders), slices.Clone(f.Applique)
	f.Parts = slices.Clone(f.Parts)
	for i, part := range f.Parts {
		f.Parts[i].Face = part.Face.unshared()
	}
	f.Colourways = slices.Clone(f.Colourways)
	for i, way := range f.Colourways {
		f.Colourways[i].Face = way.Face.unshared()
	}
	f.Aside = mapped(f.Aside, func(kept *Face) *Face {
		if kept == nil {
			return nil
		}
		own := kept.unshared()
		return &own
	})
	return f
}

// keying gives keys where they have to differ.
type keying struct {
	fresh func() ref.Key
	// there are keys that are given already, taken those of the parts that were passed.
	there, taken map[ref.Key]bool
	next         int
}

func (k *keying) see(key ref.Key) {
	if k.there == nil {
		k.there, k.taken = map[ref.Key]bool{}, map[ref.Key]bool{}
	}
	k.there[key] = true
}

// give gives a part a key where it has none, or one that another part has.
func (k *keying) give(key *ref.Key) {
	if *key == "" || k.taken[*key] {
		*key = k.another()
	}
	k.taken[*key] = true
}

func (k *keying) another() ref.Key {
	for {
		key := ref.Key("")
		if k.fresh != nil {
			key = k.fresh()
		} else {
			k.next++
			key = ref.Key(strconv.Itoa(k.next))
		}
		if !k.there[key] {
			k.there[key] = true
			return key
		}
	}
}
