package plan

import (
	"fmt"
	"reflect"
	"slices"
	"strings"

	"umschlag/core/finding"
)

// What each kind of a part of a plan reads besides its kind, by the keys of the plan file. What a
// part says beyond that changes nothing, and is told.
var (
	// ofEvery kind are read, or make no difference that is worth a word.
	ofEvery = []string{"kind", "aside", "applique", "colourways", "cloth", "cloths", "centred",
		"triangles_centred", "lined", "ease", "size", "bulk", "seam", "piecing_seam", "corners", "wash", "wait"}
	objectReads = map[ObjectKind][]string{
		Form:  {"shape", "width", "height", "thickness", "fill", "make", "sticks_out"},
		Box:   {"length", "depth", "height", "sticks_out"},
		Book:  {"wrap", "board", "spine", "height", "thickness", "sticks_out"},
		Flat:  {"shape", "width", "height", "thickness", "sticks_out"},
		Found: {"shape", "width", "height", "thickness", "edge", "sticks_out", "fill"},
	}
	// ofEveryFitting are read of a fitting of whatever kind.
	ofEveryFitting = []string{"key", "on", "at", "count", "spread", "short", "layers"}
)

// Unread notes what a plan says that its kinds do not read, with the keys that they do.
func (p Plan) Unread() finding.List {
	u, back := &unread{}, p.Back.settle(p)
	u.part("/cover", p.Cover, "a cover", string(p.Cover.Kind), p.Cover.Rules().Reads)
	u.sizes(p)
	rules, _ := BackKinds.Of(string(back.Kind))
	u.part("/back", p.said(back.Kind), "a closure", back.Closure(), rules.Reads)
	u.part("/object", p.Object, "what is covered", string(p.Object.Kind),
		slices.Concat(objectReads[p.Object.Kind], []string{"edge"}))
	if p.Object.Make != nil && p.Cover.Rules().Thick {
		u.found.Add(finding.Note, "unread", "/object/make",
			"“make” changes nothing: an insert that is made here is flat, and this one is thick.", "Remove it.")
	}
	for i, f := range p.Fittings {
		if k, known := FittingKinds.Of(string(f.Kind)); known && k.Begins != nil {
			u.part(at("/fittings", i), f, "a fitting", string(f.Kind), slices.Concat(ofEveryFitting, k.Reads))
		}
	}
	for name, q := range p.Pieces {
		if l := q.Layers; l != nil && l.Stiffener != "" && l.Lining == "" {
			u.found.Add(finding.Note, "unread", finding.Path("pieces", name, "layers", "stiffener"),
				"A stiffener is ironed to the lining, and there is none: it changes nothing.", "Choose a lining, or remove it.")
		}
		if q.Face != nil {
			u.face(finding.Path("pieces", name, "face"), *q.Face)
		}
	}
	slices.SortFunc(u.found, func(a, b finding.Finding) int { return strings.Compare(a.About, b.About) })
	return u.found
}

// said is what is decided of a back of a kind: the hem that every plan begins with is not.
func (p Plan) said(kind BackKind) Back {
	b := p.Back
	if kind != Envelope && slices.Equal(b.Hem, Base(p.Units, p.Habits).Back.Hem) {
		b.Hem = nil
	}
	return b
}

type unread struct{ found finding.List }

func (u *unread) face(path string, f Face) {
	if f.Kind == "" {
		f.Kind = PlainFace
	}
	rules, _ := FaceKinds.Of(string(f.Kind))
	u.part(path, f, "a face", string(f.Kind), rules.Reads)
	for i, part := range f.Parts {
		u.face(at(path+"/parts", i)+"/face", part.Face)
	}
}

// sizes notes sizes of a cover along axes that it has not.
func (u *unread) sizes(p Plan) {
	reads := CoverAxes(p)
	for _, a := range sizedAxes(&p) {
		if a.size.Given() && !slices.Contains(reads, a.key) {
			u.found.Add(finding.Note, "unread", "/cover/size/"+a.key,
				fmt.Sprintf("“%s” changes nothing: the sizes of this cover are %s.", a.key, strings.Join(reads, ", ")),
				"Remove it.")
		}
	}
}

// part notes the keys of a part that say something and are not read.
func (u *unread) part(path string, part any, what, kind string, reads []string) {
	v := reflect.ValueOf(part)
	for i := range v.NumField() {
		tag := v.Type().Field(i).Tag
		key, _, _ := strings.Cut(tag.Get("json"), ",")
		if cut := tag.Get("cut"); cut != "" { // the same key, given as it is cut
			key = cut
		}
		if slices.Contains(ofEvery, key) || slices.Contains(reads, key) || !says(v.Field(i)) {
			continue
		}
		also := "nothing of its own"
		if len(reads) > 0 {
			also = strings.Join(reads, ", ")
		}
		u.found.Add(finding.Note, "unread", path+"/"+key,
			fmt.Sprintf("“%s” changes nothing: %s of the kind “%s” reads %s.", key, what, kind, also),
			"Remove it, or choose a kind that reads it.")
	}
}

// says reports whether a value is other than absent.
func says(v reflect.Value) bool {
	if v.Kind() == reflect.Slice || v.Kind() == reflect.Map {
		return v.Len() > 0
	}
	return !v.IsZero()
}
