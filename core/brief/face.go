package brief

import (
	"fmt"
	"maps"
	"slices"
	"strconv"

	"umschlag/core/begin"
	"umschlag/core/block"
	"umschlag/core/kind"
	"umschlag/core/plan"
)

// Face says what is decided of a kind of face.
type Face struct {
	// Says is the kind at the beginning of its sentence.
	Says string
	// Words follow it; nil where nothing does.
	Words func(*FaceTeller)
	// More are the paragraphs after it; nil where there are none.
	More func(*FaceTeller)
}

// Faces are the sentences of the kinds of faces, in the order in which they are offered.
var Faces kind.Set[Face]

func init() {
	Faces.Add("plain", Face{Says: "One piece of fabric", Words: plain, More: centredFaceWords})
	Faces.Add("grid", Face{Says: "Patches in a grid", Words: grid, More: func(f *FaceTeller) {
		borders(f)
		centredFaceWords(f)
	}})
	Faces.Add("strips", Face{Says: "Strips", Words: strips})
	Faces.Add("checker", Face{Says: "A checkerboard from strips", Words: grid, More: borders})
	Faces.Add("stack", Face{Says: "Sections, one above the other", More: parts})
	Faces.Add("found", Face{Says: "A panel that is there already", Words: found, More: func(f *FaceTeller) {
		borders(f)
		centredFaceWords(f)
	}})
	Faces.Add("gathered", Face{Says: "Gathered fabric", Words: gathered})
	Faces.Add("windows", Face{Says: "Folded windows", Words: windows})
}

// faceOptions are all kinds, those without sentences of their own by their name in the plan.
func faceOptions() []Option {
	var out []Option
	for _, key := range Faces.Names() {
		f, _ := Faces.Of(key)
		out = append(out, Option{Key: key, Says: f.Says})
	}
	for _, key := range plan.FaceKinds.Names() {
		if _, told := Faces.Of(key); !told {
			out = append(out, Option{Key: key, Says: key})
		}
	}
	return out
}

// FaceTeller tells of one face: where it stands, what it says, and how it is changed.
type FaceTeller struct {
	*Teller
	place Place
	face  plan.Face // settled
	// part is its number in a stack, 0 for that of a piece; name tells it from other faces, empty for the front of a
	// cushion.
	part int
	name string
}

// frontWords tells what the front of a cushion is made of.
func frontWords(t *Teller) { faceOf(t, "front", "front") }

// pieces tells what each piece of a shell is cut from.
func pieces(t *Teller) {
	var items []Block
	for _, c := range configs(t) {
		lead := "The " + c.title
		if c.count > 1 {
			lead = fmt.Sprintf("%d × %s", c.count, c.title)
		}
		t.Say(lead)
		apart(t, c)
		items = append(items, Block{Key: c.name, Words: t.taken(),
			Blocks: t.within(func() { faceOf(t, c.name, c.title) }), About: path("pieces", c.name, "face")})
	}
	t.blocks = append(t.blocks, Block{List: "Pieces", Widget: "pieces", Blocks: items})
}

// faceOf tells of the face of a piece.
func faceOf(t *Teller, config, title string) {
	base := path("pieces", plan.Keeper(t.plan, config, func(q plan.Piece) bool { return q.Face != nil }), "face")
	f := &FaceTeller{Teller: t, place: Place{Config: config, Title: title, The: "the " + title, Base: base},
		face: plan.Face{Kind: plan.PlainFace}}
	if face := t.plan.Piece(config).Face; face != nil {
		f.face = *face
	}
	if !t.plan.Cover.Rules().ByBack {
		f.name = title
	}
	f.tell()
}

// shared tells that all pieces have the face in common: a change gives this one a face of its own.
func (f *FaceTeller) shared() bool { return f.place.Base != path("pieces", f.place.Config, "face") }

// at is a path within the face, where it is read.
func (f *FaceTeller) at(parts ...any) string { return f.place.Base + f.place.Inner + path(parts...) }

// id is the same where it is decided.
func (f *FaceTeller) id(parts ...any) string {
	return path("pieces", f.place.Config, "face") + f.place.Inner + path(parts...)
}

// label names a decision of the face; that of the front of a cushion needs no more.
func (f *FaceTeller) label(text string) string {
	if f.name == "" {
		return text
	}
	return text + ", " + f.name
}

// of is a label with what the face is called.
func (f *FaceTeller) of(text string) string { return text + " " + or(f.name, f.place.Title) }

// the is the same where the name of a piece takes an article.
func (f *FaceTeller) the(text string) string {
	if f.part > 0 {
		return f.of(text)
	}
	return text + " the " + f.place.Title
}

// choose adds a choice of the face.
func (f *FaceTeller) choose(key, label, now string, options []Option, do func(face *plan.Face, key string)) {
	f.chooseAlso(nil, key, label, now, options, do)
}

// chooseAlso adds one that decides further paths.
func (f *FaceTeller) chooseAlso(also []string, key, label, now string, options []Option,
	do func(face *plan.Face, key string)) {
	also = append(also, f.at()+"/"+key)
	f.Choose(Choice{ID: f.id() + "/" + key, Label: label, Now: now, Options: options, Also: also},
		func(m *Moving, key string) {
			f.change(m, func(face *plan.Face) { do(face, key) })
		})
}

// either adds a choice of no and yes.
func (f *FaceTeller) either(key, label string, now bool, no, yes string, do func(face *plan.Face, yes bool)) {
	f.choose(key, label, yesNo(now), []Option{{Key: "no", Says: no}, {Key: "yes", Says: yes}},
		func(face *plan.Face, key string) { do(face, key == "yes") })
}

// cloth adds a choice of one cloth of the face.
func (f *FaceTeller) cloth(key, label, now string, do func(face *plan.Face, letter string)) {
	f.choose(key, label, or(now, f.first()), faced(f.Teller), do)
}

// change changes the face where it stands in a plan; a piece that shares one gets one of its own.
func (f *FaceTeller) change(m *Moving, do func(*plan.Face)) {
	face := plan.Face{Kind: plan.PlainFace}
	if old := m.Plan.Piece(f.place.Config).Face; old != nil {
		face = old.Own()
	}
	at, ok := &face, true
	if f.place.Inner != "" {
		at, ok = face.At(f.place.Inner)
	}
	if !ok {
		return
	}
	do(at)
	m.piece(f.place.Config, func(p *plan.Piece) { p.Face = &face })
}

func (f *FaceTeller) tell() {
	from := len(f.blocks)
	kind := string(f.face.Kind)
	of, _ := Faces.Of(kind)
	f.kind(kind)
	if f.shared() && f.face.Kind != plan.PlainFace {
		f.Say(", as all pieces share it. ")
		f.Press(Press{ID: f.id() + "#own", Says: "Decide it for this piece alone"},
			func(m *Moving) { f.change(m, func(*plan.Face) {}) })
		f.End()
		placed(f, from)
		return
	}
	if of.Words != nil {
		of.Words(f)
	}
	f.End(f.aside()...)
	if of.More != nil {
		of.More(f)
	}
	if f.face.Kind.TakesShapes() {
		shapes(f)
	}
	whole := f.place.Inner == ""
	gridded := whole && f.face.Kind == plan.GridFace
	faceWidget(f, "methods", gridded)
	faceWidget(f, "outlook", whole)
	faceWidget(f, "layouts", gridded)
	faceWidget(f, "ways", gridded)
	placed(f, from)
}

func faceWidget(f *FaceTeller, name string, here bool) {
	if here {
		f.blocks = append(f.blocks, Block{Widget: name})
	}
}

// placed says of the blocks from one on which face they are about.
func placed(f *FaceTeller, from int) {
	for i := range f.blocks[from:] {
		if b := &f.blocks[from+i]; b.Face == nil {
			b.Face = &f.place
		}
	}
}

// kind adds the choice of the kind of face.
func (f *FaceTeller) kind(now string) {
	place, title := f.place, f.place.Title
	f.Choose(Choice{ID: f.id("kind"), Label: f.of("Kind of"), Now: now, Options: faceOptions()},
		func(m *Moving, key string) {
			p := *m.Plan
			if why, unfit := begin.Unfit(p, place.Config, place.Inner, plan.FaceKind(key)); unfit {
				m.Refuse(fmt.Sprintf("%s do not fit: %s %s", said(faceOptions(), key), why.Text, why.Remedy))
				return
			}
			face, ok := begin.Face(p, place.Config, place.Inner, plan.FaceKind(key))
			begunFace(f, m, face, ok, title)
		})
}

// begun puts a face in the place of the one there is.
func begunFace(f *FaceTeller, m *Moving, face plan.Face, ok bool, title string) {
	if !ok {
		m.Refuse("The " + title + " cannot be worked out yet: put right first what is said above.")
		return
	}
	f.change(m, func(now *plan.Face) { *now = face })
}

func (f *FaceTeller) aside() []SetAside {
	of := f.place.Title
	return aside(f.Teller, f.face.Aside, f.id("kind"), of,
		func(key string) string { return lower(said(faceOptions(), key)) },
		func(m *Moving, key string) {
			f.change(m, func(face *plan.Face) { face.Aside = without(face.Aside, key) })
		})
}

func plain(f *FaceTeller) {
	f.Say(": ")
	f.cloth("cloth", f.the("Fabric of"), f.face.Cloth, func(face *plan.Face, letter string) { face.Cloth = letter })
	f.Say(", ")
	f.choose("pocket", f.the("Pocket on"), string(f.face.Pocket), []Option{{Says: "no pocket over it"},
		{Key: "folded", Says: "with a folded pocket over its lower half"}},
		func(face *plan.Face, key string) { face.Pocket = plan.PocketFront(key) })
	f.Say(".")
}

// centredFaceWords tells whether pieces are cut with a motif of the print in their middle; of blocks the squares and
// rectangles, and what else there is in them by itself.
func centredFaceWords(f *FaceTeller) {
	switch {
	case f.face.Block.Set():
		f.Say("The squares and rectangles of its blocks are cut ")
	case f.face.Kind == plan.GridFace:
		f.Say("Its patches are cut ")
	default:
		f.Say("It is cut ")
	}
	f.either("centred", f.the("Print on"), f.face.Centred, "as the print comes", "with a motif in the middle",
		func(face *plan.Face, yes bool) { face.Centred = yes })
	if f.face.Centred && !uprightBlock(f.face.Block) {
		f.Say(", its triangles and curved patches ")
		f.either("triangles_centred", f.the("Print on the triangles of"), f.face.TrianglesCentred, "as the print comes",
			"each round a motif, by template",
			func(face *plan.Face, yes bool) { face.TrianglesCentred = yes })
	}
	f.Say(".")
	f.End()
}

// uprightBlock tells that a block has nothing but squares and rectangles, or is none.
func uprightBlock(b plan.Block) bool {
	text, _ := b.Cells.(string)
	if named, known := block.ByName(b.Name); known {
		text = named.Text
	}
	n, err := block.Parse(text)
	return err != nil || n.Upright()
}

func strips(f *FaceTeller) {
	f.Say(" that run ")
	f.choose("direction", f.label("Direction of the strips"), string(f.face.Direction), []Option{
		{Key: "across", Says: "across"}, {Key: "along", Says: "up and down"}},
		func(face *plan.Face, key string) { face.Direction = plan.Direction(key) })
	f.Say(": ")
	widths := make([]plan.Extent, len(f.face.Strips))
	for i, strip := range f.face.Strips {
		f.join(i, len(f.face.Strips))
		f.extent(path("strips", i, "width"), "Finished width of strip "+strconv.Itoa(i+1), "",
			"the rest of the width", strip.Width)
		widths[i] = strip.Width
		f.Say(" of ")
		f.listed(fmt.Sprintf("strips/%d/cloth", i), f.label("Fabric of strip "+strconv.Itoa(i+1)), strip.Cloth,
			len(f.face.Strips), func(face *plan.Face, letter string) {
				if letter == "" {
					face.Strips = slices.Delete(face.Strips, i, i+1)
				} else {
					face.Strips[i].Cloth = letter
				}
			})
	}
	f.Say(". ")
	f.resting("strip", widths, func(face *plan.Face, i int) *plan.Extent { return &face.Strips[i].Width })
	f.Say(" ")
	f.split("Halve the last strip")
}

// join parts the things of a list.
func (t *Teller) join(i, n int) {
	switch {
	case i == 0:
	case i == n-1:
		t.Say(" and ")
	default:
		t.Say(", ")
	}
}

// extent adds a size among others: one that is typed, with what follows it, or what they leave over.
func (f *FaceTeller) extent(at, label, says, rest string, e plan.Extent) {
	if e.Rest {
		f.Say(rest)
		return
	}
	f.Length(f.at()+at, f.label(label))
	f.Say(says)
}

// resting adds the choice of which of several sizes takes the rest; of leads to them.
func (f *FaceTeller) resting(what string, sizes []plan.Extent, of func(face *plan.Face, i int) *plan.Extent) {
	if len(sizes) < 2 {
		return
	}
	now, options := "", []Option{{Says: "Each " + what + " is as it says"}}
	for i, e := range sizes {
		if e.Rest && now != "" {
			now = "several"
		} else if e.Rest {
			now = strconv.Itoa(i)
		}
		options = append(options,
			Option{Key: strconv.Itoa(i), Says: fmt.Sprintf("The rest goes to %s %d", what, i+1)})
	}
	if now == "several" {
		options = append(options, Option{Key: now, Says: "Several share what is left"})
	}
	place := f.place
	f.Choose(Choice{ID: f.id() + "/" + what + "#rest", Label: f.label("Which " + what + " takes the rest"), Now: now,
		Options: options}, func(m *Moving, key string) {
		filled, ok := begin.Filled(*m.Plan, place.Config, place.Inner)
		if !ok {
			m.Refuse("How large the others are follows from the cover: put right first what is said of it.")
			return
		}
		f.change(m, func(face *plan.Face) {
			for i := range sizes {
				if e := of(face, i); strconv.Itoa(i) == key {
					*e = plan.Extent{Rest: true}
				} else if e.Rest && key != "several" {
					*e = plan.Extent{Width: of(&filled, i).Width}
				}
			}
		})
	})
	f.Say(".")
}

// listed adds a choice of a cloth among others: one of several can be taken out.
func (f *FaceTeller) listed(key, label, now string, n int, do func(face *plan.Face, letter string)) {
	options := faced(f.Teller)
	if n > 1 {
		options = append(options, Option{Says: "remove it"})
	}
	f.choose(key, label, or(now, f.first()), options, do)
}

// split adds the press that halves the last part, so that one more fits in.
func (f *FaceTeller) split(says string) {
	place := f.place
	f.Press(Press{ID: f.id() + "#split", Says: says}, func(m *Moving) {
		face, ok := begin.Split(*m.Plan, place.Config, place.Inner)
		begunFace(f, m, face, ok, place.Title)
	})
}

// parts tells of faces above each other, each with a height of its own, and told as any face is.
func parts(f *FaceTeller) {
	var items []Block
	var heights []plan.Extent
	for i, part := range f.face.Parts {
		f.extent(path("parts", i, "height"), "Finished height of section "+strconv.Itoa(i+1), " high",
			"The rest of the height", part.Height)
		heights = append(heights, part.Height)
		f.Say(", ")
		f.Length(f.at()+path("parts", i, "overhang"),
			f.label("How much longer section "+strconv.Itoa(i+1)+" is than its place"))
		f.Say(" longer than its place")
		if len(f.face.Parts) > 1 {
			f.Say(" ")
			f.Press(Press{ID: f.id("parts", i) + "#out", Says: "remove it",
				Label: f.label(fmt.Sprintf("Remove section %d", i+1))},
				func(m *Moving) {
					f.change(m, func(face *plan.Face) { face.Parts = slices.Delete(face.Parts, i, i+1) })
				})
		}
		f.Say(":")
		inner := &FaceTeller{Teller: f.Teller, face: part.Face, part: i + 1, place: Place{Config: f.place.Config,
			Title: fmt.Sprintf("section %d", i+1), The: fmt.Sprintf("section %d", i+1), Base: f.place.Base,
			Inner: f.place.Inner + path("parts", i, "face")}}
		if inner.name = inner.place.Title; f.name != "" {
			inner.name += " of the " + f.name
		}
		words := f.taken()
		items = append(items, Block{Key: string(part.Key), Words: words, Blocks: f.within(inner.tell)})
	}
	f.blocks = append(f.blocks, Block{List: "Sections from the top", Widget: "parts", Blocks: items})
	f.resting("section", heights, func(face *plan.Face, i int) *plan.Extent { return &face.Parts[i].Height })
	f.Say(" ")
	f.split("Halve the last section")
	f.End()
}

func gathered(f *FaceTeller) {
	f.Say(" of ")
	f.cloth("cloth", f.label("Fabric of the gathers"), f.face.Cloth,
		func(face *plan.Face, letter string) { face.Cloth = letter })
	f.Say(", drawn in ")
	f.choose("direction", f.label("Direction of the gathers"), string(f.face.Direction), []Option{
		{Key: "across", Says: "from side to side"}, {Key: "along", Says: "from top to bottom"},
		{Key: "diagonal", Says: "along the diagonal"}},
		func(face *plan.Face, key string) { face.Direction = plan.Direction(key) })
	f.Say(" by ")
	sampled, usual, ratio := f.face.Sampled != nil, f.Usual().Sample, f.face.Ratio
	f.either("ratio#from", f.label("Where the ratio comes from"), sampled, "a ratio of", "a sample that went from",
		func(face *plan.Face, yes bool) {
			if face.Sampled, face.Ratio = nil, ratio; yes {
				face.Sampled, face.Ratio = &usual, 0
			}
		})
	f.Say(" ")
	if sampled {
		f.Length(f.at("sampled/before"), f.label("The sample before"))
		f.Say(" to ")
		f.Length(f.at("sampled/after"), f.label("The sample after"))
	} else {
		f.Count(f.at("ratio"), f.label("Ratio of the gathers"))
	}
	f.whole("gathers")
	f.Say(".")
}

// whole adds what a reckoning tells of the face of a piece; it tells nothing of the parts of a stack.
func (f *FaceTeller) whole(widget string) {
	if f.part == 0 {
		f.Widget(widget, f.place.Config)
	}
}

func windows(f *FaceTeller) {
	f.Say(", ")
	f.Count(f.at("columns"), f.label("Units across"))
	f.Say(" across and ")
	f.Count(f.at("rows"), f.label("Units down"))
	f.Say(" down, ")
	given := f.face.Unit > 0
	f.Either(f.id("unit#is"), f.label("Size of the units"), given, "each as large as fits", "each finished",
		func(m *Moving, yes bool) {
			unit := m.unit(f.place.Config)
			f.change(m, func(face *plan.Face) {
				if face.Unit = 0; yes {
					face.Unit = unit
				}
			})
		})
	if f.Say(" "); given {
		f.Length(f.at("unit"), f.label("Finished unit"))
	} else {
		f.whole("unit")
	}
	f.Say(", folded of ")
	f.cloth("ground", f.label("Ground fabric"), f.face.Ground,
		func(face *plan.Face, letter string) { face.Ground = letter })
	f.Say(", showing ")
	f.cloth("show", f.label("Fabric in the windows"), f.face.Show,
		func(face *plan.Face, letter string) { face.Show = letter })
	f.Say(", ")
	f.either("buttons", f.label("Buttons on the points"), f.face.Buttons, "without buttons",
		"with a button on every point", func(face *plan.Face, yes bool) { face.Buttons = yes })
	f.whole("windows")
	f.Say(".")
}

// said is what an option says; its key where there is none.
func said(options []Option, key string) string {
	i := slices.IndexFunc(options, func(o Option) bool { return o.Key == key })
	if i < 0 {
		return key
	}
	return options[i].Says
}

// without is a map without one of its keys; nil where nothing is left.
func without[V any](m map[string]V, key string) map[string]V {
	out := maps.Clone(m)
	if delete(out, key); len(out) == 0 {
		return nil
	}
	return out
}
