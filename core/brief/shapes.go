package brief

import (
	"fmt"
	"unicode"
	"unicode/utf8"

	"umschlag/core/applique"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/shape"
)

var (
	shapeEdges = []Option{{Key: "zigzag", Says: "sewn in satin stitch"},
		{Key: "blanket", Says: "sewn in blanket stitch"},
		{Key: "hand", Says: "sewn in blanket stitch by hand"}, {Key: "straight", Says: "sewn straight, just inside"},
		{Key: "none", Says: "left as it is, as of felt"}, {Key: "loose", Says: "left loose, held by shapes on it"},
		{Key: "line", Says: "no edge but a drawn line"}}
	twins = []Option{{Says: "alone"}, {Key: "mirror", Says: "with a mirrored twin"},
		{Key: "same", Says: "with a twin the same way round"}}
)

// shapes tells what is laid on a face: a block for each shape, the lowest first.
func shapes(f *FaceTeller) {
	var items []Block
	shown := f.face.Applique[:min(len(f.face.Applique), plan.MostShapes)] // of more than may be there the first
	titles := make([]string, len(shown))
	for i := range shown {
		titles[i] = applique.Title(shown, i)
	}
	for i, s := range shown {
		shapeWords(f, i, s, titles)
		items = append(items, Block{Key: string(s.Key), Words: f.taken()})
	}
	f.blocks = append(f.blocks, Block{Widget: "shapes", Blocks: items})
}

func shapeWords(f *FaceTeller, i int, s plan.Shape, titles []string) {
	of, at := titles[i], f.at("applique", i)
	id := fmt.Sprintf("applique/%d", i)
	choose := func(key, label, now string, options []Option, do func(s *plan.Shape, key string)) {
		f.choose(id+"/"+key, f.label(label), now, options,
			func(face *plan.Face, key string) { do(&face.Applique[i], key) })
	}
	name := Field{Path: at + "/name", Label: f.label("Name of " + of), Reads: Text}
	if s.Name == "" {
		name.Shown = "nothing"
	}
	f.Say("Called ")
	f.Field(name)
	f.Say(", a ")
	shapeForm(f, s, of, choose)
	if s.Edge == plan.DrawnLine {
		f.Say(" in a thread darker than ")
	} else {
		f.Say(" of ")
	}
	choose("cloth", "Fabric of "+of, or(s.Cloth, f.first()), faced(f.Teller),
		func(s *plan.Shape, key string) { s.Cloth = key })
	shapeSize(f, i, s, of)
	f.Say(" and ")
	choose("flip", "Mirroring of "+of, yesNo(s.Flip), []Option{{Key: "no", Says: "not mirrored"},
		{Key: "yes", Says: "mirrored left to right"}}, func(s *plan.Shape, key string) { s.Flip = key == "yes" })
	f.Say("; ")
	shapePlace(f, i, s, titles)
	f.Say(". Its edge is ")
	choose("edge", "Edge of "+of, or(string(s.Edge), "zigzag"), shapeEdges,
		func(s *plan.Shape, key string) { s.Edge = plan.ShapeEdge(key) })
	f.Say("; it lies ")
	choose("twin", "Twin of "+of, string(s.Twin), twins, func(s *plan.Shape, key string) { s.Twin = plan.Twin(key) })
	f.Say(", fused ")
	choose("late", "When "+of+" is fused", yesNo(s.Late), []Option{{Key: "no", Says: "in its turn"},
		{Key: "yes", Says: "late, when the others are sewn"}},
		func(s *plan.Shape, key string) { s.Late = key == "yes" })
	f.Say(".")
}

// form is the form of a shape; an outline of one's own is no form.
func shapeForm(f *FaceTeller, s plan.Shape, of string,
	choose func(key, label, now string, options []Option, do func(s *plan.Shape, key string))) {
	const own = "own"
	now, options := own, []Option(nil)
	for _, form := range shape.Forms {
		if options = append(options, Option{Key: form.Name, Says: lower(form.Title)}); form.Name == s.Shape {
			now = form.Name
		}
	}
	if now == own {
		options = with(Option{Key: own, Says: "drawn outline"}, options)
	}
	choose("shape", "Form of "+of, now, options, func(s *plan.Shape, key string) {
		if key != own {
			s.Shape = key
		}
	})
}

func shapeSize(f *FaceTeller, i int, s plan.Shape, of string) {
	at := f.at("applique", i)
	width, height := Field{Path: at + "/width", Label: f.label("Width of " + of), Reads: Length},
		Field{Path: at + "/height", Label: f.label("Height of " + of), Reads: Length}
	if s.Width == 0 {
		width.Shown, width.Told = "0", "shape-width"
	}
	if s.Height == 0 {
		height.Shown, height.Told = "0 (in proportion)", "shape-height"
	}
	turn := Field{Path: at + "/turn", Label: f.label("Turn of " + of), Reads: Count, Shown: fmt.Sprintf("%v°", s.Turn)}
	f.Say(", ")
	f.Field(width)
	f.Say(" wide and ")
	f.Field(height)
	f.Say(" high, turned by ")
	f.Field(turn)
}

// shapePlace tells where a shape lies, from the face or from another shape.
func shapePlace(f *FaceTeller, i int, s plan.Shape, titles []string) {
	of := titles[i]
	move := func(do func(*plan.At)) func(m *Moving) {
		return func(m *Moving) { f.change(m, func(face *plan.Face) { do(&face.Applique[i].At) }) }
	}
	at := f.at("applique", i, "at")
	across(f.Teller, at, f.label(of), s.At, move)
	f.Say(" and ")
	up(f.Teller, at, f.label(of), s.At, false, move)
	f.Say(" of ")
	options := []Option{{Says: f.place.The}}
	for k, title := range titles {
		if key := f.face.Applique[k].Key; k != i && key != "" {
			options = append(options, Option{Key: string(key), Says: lower(title)})
		}
	}
	f.choose(fmt.Sprintf("applique/%d/from", i), f.label("What "+of+" is placed from"), string(s.From), options,
		func(face *plan.Face, key string) {
			face.Applique[i].From, face.Applique[i].At = ref.Key(key), plan.At{Middle: true}
		})
}

// lower is a text that begins with a small letter.
func lower(text string) string {
	first, size := utf8.DecodeRuneInString(text)
	if size == 0 {
		return text
	}
	return string(unicode.ToLower(first)) + text[size:]
}
