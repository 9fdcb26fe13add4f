package plan

import (
	"reflect"
	"slices"
)

// KindOf is what sort of cloth a letter stands for: as it is described, or by the letter that battings, webs and grids
// are bought under.
func KindOf(letter string, c Cloth) ClothKind {
	switch {
	case c.Kind != "" && c.Kind != FaceCloth:
		return c.Kind
	case letter == BattingCloth:
		return BattingKind
	case letter == WebCloth || letter == GridCloth:
		return WebKind
	}
	return FaceCloth
}

// RoundMotifs are the cloths of a face in whose blocks triangles and curved patches are cut round a motif each, one by
// one by their template: those whose motifs somebody measured.
func RoundMotifs(p Plan, f Face) map[string]bool {
	out := map[string]bool{}
	if !f.Centred || !f.TrianglesCentred || !f.Block.Set() {
		return out
	}
	letters := slices.Concat(append(slices.Clone(f.Order.Rows), f.Cloths)...)
	if len(f.Cloths) == 0 {
		letters = append(letters, f.Cloth)
	}
	for _, letter := range letters {
		if c, _ := p.Cloth(letter); c.Repeat != nil {
			out[letter] = true
		}
	}
	return out
}

// naming are the fields of a plan that name a cloth by its letter, or several.
var naming = []string{"Cloth", "Cloths", "PostCloth", "CornerCloth", "Ground", "Show", "Backed", "Lining", "Stiffener",
	"Rows"}

// Used are the letters of cloths that anything in a settled plan is cut from: those it names, and the first one, which
// stands wherever none is named. What is bought under a letter of its own is used where there are layers.
func Used(p Plan) map[string]bool {
	used := map[string]bool{BattingCloth: true, WebCloth: true, GridCloth: true}
	first := ""
	for letter := range p.Cloths {
		if first == "" || letter < first {
			first = letter
		}
	}
	used[first] = true
	layered := false
	for _, q := range p.Pieces {
		layered = layered || q.Layers != nil && q.Layers.Batting != nil
	}
	if !layered && !slices.ContainsFunc(p.Fittings, func(f Fitting) bool { return f.Layers != nil }) {
		delete(used, BattingCloth)
	}
	for _, part := range []any{p.Object, p.Cover, p.Pieces, p.Back, p.Edges, p.Fittings, p.Made} {
		usedIn(reflect.ValueOf(part), used)
	}
	return used
}

// usedIn notes the letters that a part of a plan names, what is kept aside among them: it may come back.
func usedIn(v reflect.Value, used map[string]bool) {
	switch v.Kind() {
	case reflect.Pointer:
		if !v.IsNil() {
			usedIn(v.Elem(), used)
		}
	case reflect.Slice:
		for i := range v.Len() {
			usedIn(v.Index(i), used)
		}
	case reflect.Map:
		for _, key := range v.MapKeys() {
			usedIn(v.MapIndex(key), used)
		}
	case reflect.Struct:
		for i := range v.NumField() {
			if slices.Contains(naming, v.Type().Field(i).Name) {
				letters(v.Field(i), used)
			}
			usedIn(v.Field(i), used)
		}
	}
}

// letters notes the letters of a field that names cloths.
func letters(v reflect.Value, used map[string]bool) {
	switch v.Kind() {
	case reflect.String:
		used[v.String()] = true
	case reflect.Slice:
		for i := range v.Len() {
			letters(v.Index(i), used)
		}
	}
}

// FreeLetter is a letter that no cloth has.
func FreeLetter(cloths map[string]Cloth) string {
	for letter := 'A'; letter <= 'Z'; letter++ {
		if _, taken := cloths[string(letter)]; !taken {
			return string(letter)
		}
	}
	return "Z2"
}
