package brief

import (
	"umschlag/core/kind"
	"umschlag/core/plan"
)

// Object says how something to be covered is measured, and names the drawing that shows where the tape is held.
type Object struct {
	Words  func(*Teller)
	Figure func(plan.Plan) string
}

// Objects are the sentences of what gets covered, by its kind.
var Objects kind.Set[Object]

func init() {
	Objects.Add("form", Object{Words: pad, Figure: func(p plan.Plan) string {
		return figure(p, "form")
	}})
	Objects.Add("flat", Object{Words: flat, Figure: func(p plan.Plan) string { return figure(p, "flat") }})
	Objects.Add("found", Object{Words: foundPanel, Figure: func(p plan.Plan) string { return figure(p, "found") }})
	Objects.Add("box", Object{Words: box, Figure: func(plan.Plan) string { return "box" }})
	Objects.Add("book", Object{Words: book, Figure: func(p plan.Plan) string {
		if byBoards(p) {
			return "binder"
		}
		return "book"
	}})
}

// thick tells whether it is measured through as well.
func thick(p plan.Plan) bool { return p.Cover.Rules().Thick }

func figure(p plan.Plan, kind string) string {
	if p.Object.Round() {
		kind = "round"
	}
	if thick(p) && (kind == "form" || kind == "round") {
		return kind + "-thick"
	}
	return kind
}

// measure tells what is to be covered, as measured.
func measure(t *Teller) {
	object, known := Objects.Of(string(t.plan.Object.Kind))
	if known {
		object.Words(t)
	}
	t.Say(" It is made ")
	t.Count("/copies", "How many are made")
	if t.plan.Copies == 1 {
		t.Say(" time.")
	} else {
		t.Say(" times.")
	}
	t.End()
	if known {
		t.blocks = append(t.blocks, Block{Widget: "figure", Of: object.Figure(t.plan)})
	}
	if t.plan.Cover.Rules().ByBack && t.plan.Object.Make == nil {
		t.blocks = append(t.blocks, Block{Widget: "pads"})
	}
}

func pad(t *Teller) {
	shaped(t, "A cushion insert", "A round cushion insert", "of the insert")
	t.Say(", filled with ")
	t.Set("/object/fill", "Filling of the insert", string(t.plan.Object.Fill), Option{Key: "feather", Says: "feather"},
		Option{Key: "polyester", Says: "polyester"}, Option{Key: "foam", Says: "foam"})
	t.Say(".")
	if !thick(t.plan) {
		made(t)
	}
}

func flat(t *Teller) {
	shaped(t, "Something flat", "Something flat and round", "to be covered")
	t.Say(".")
}

// shaped tells of a pad or a seat: a rectangle, or round and measured once.
func shaped(t *Teller, rectangle, round, of string) {
	o := t.plan.Object
	t.Choose(Choice{ID: "/object/shape", Label: "Shape of what is covered", Now: or(string(o.Shape), "rectangle"),
		Options: []Option{{Key: "rectangle", Says: rectangle}, {Key: "round", Says: round}}},
		func(m *Moving, key string) {
			m.Plan.Object.Shape, m.Plan.Object.Height = plan.ObjectShape(key), m.Settled().Object.Width
			if m.Plan.Object.Round() {
				m.Plan.Object.Height = 0
			}
		})
	t.Say(", ")
	if o.Round() {
		t.Length("/object/width", "Diameter "+of)
		t.Say(" across")
	} else {
		t.Length("/object/width", "Width "+of)
		t.Say(" across by ")
		t.Length("/object/height", "Height "+of)
		t.Say(" up")
	}
	if thick(t.plan) {
		t.Say(" and ")
		t.Length("/object/thickness", "Thickness of the insert")
		t.Say(" thick")
	}
}

// made tells whether a pad is bought, or made at home.
func made(t *Teller) {
	now, form := "bought", t.plan.Object.Make
	if form != nil {
		now = "two"
		if form.Fold {
			now = "fold"
		}
	}
	t.Say(" It is ")
	first := t.first()
	options := []Option{{Key: "bought", Says: "bought"}, {Key: "two", Says: "made of two pieces"}}
	if !t.plan.Object.Round() { // a circle has no side to lie on the fold
		options = append(options, Option{Key: "fold", Says: "made of one piece on the fold"})
	}
	t.Choose(Choice{ID: "/object/make", Label: "Where the insert comes from", Now: now,
		Also:    []string{"/object/make/fold"},
		Options: options},
		func(m *Moving, key string) {
			if key == "bought" {
				m.Plan.Object.Make = nil
				return
			}
			next := plan.MakeForm{}
			if old := m.Plan.Object.Make; old != nil {
				next = *old
			}
			next.Cloth, next.Fold = or(next.Cloth, first), key == "fold"
			m.Plan.Object.Make = &next
		})
	if form != nil {
		t.Say(" of ")
		t.Choose(Choice{ID: "/object/make/cloth", Label: "Fabric of the insert", Now: or(form.Cloth, first),
			Options: faced(t)}, func(m *Moving, letter string) {
			next := *m.Plan.Object.Make
			next.Cloth = letter
			m.Plan.Object.Make = &next
		})
		t.Say(", filled through a gap of ")
		t.Length("/object/make/gap", "Gap of the insert")
		t.Say(" ")
		usual := t.Usual().Tab
		t.Either("/object/make/tab#is", "Tab at the gap of the insert", form.Tab > 0, "without a tab", "with a tab of",
			func(m *Moving, yes bool) {
				next := *m.Plan.Object.Make
				if next.Tab = 0; yes {
					next.Tab = usual
				}
				m.Plan.Object.Make = &next
			})
		if form.Tab > 0 {
			t.Say(" ")
			t.Length("/object/make/tab", "Width of the tab of the insert")
		}
		t.Widget("fibre", "")
	}
	t.Say(".")
}

// foundPanel tells of a panel that is there already: the cover follows it.
func foundPanel(t *Teller) {
	t.Say("A panel that is there already, ")
	face := t.plan.Piece("front").Face
	counted := face != nil && face.Panel != nil && face.Panel.Kind == plan.CountedPanel
	if counted && t.typed.Object.Width == 0 {
		t.Say("as large as its squares make it, ")
		t.Shows("/object/width")
		t.Say(" across by ")
		t.Shows("/object/height")
		t.Say(" up.")
		return
	}
	t.Length("/object/width", "Width of the panel")
	t.Say(" across by ")
	t.Length("/object/height", "Height of the panel")
	t.Say(" up, ")
	t.Set("/object/edge", "Seam allowances of the panel", string(t.plan.Object.Edge),
		Option{Key: "excluded", Says: "as it is to show"}, Option{Key: "included", Says: "its seam allowances in it"})
	t.Say(".")
}

func box(t *Teller) {
	t.Say("An appliance, ")
	t.Length("/object/length", "Length of the box")
	t.Say(" long, ")
	t.Length("/object/depth", "Depth of the box")
	t.Say(" deep and ")
	t.Length("/object/height", "Height of the box")
	t.Say(" high. What sticks out adds ")
	t.Length("/object/sticks_out/length", "What sticks out in length")
	t.Say(" in length, ")
	t.Length("/object/sticks_out/depth", "What sticks out in depth")
	t.Say(" in depth and ")
	t.Length("/object/sticks_out/height", "What sticks out in height")
	t.Say(" in height.")
}

// byBoards tells that a book is measured by its boards and its spine.
func byBoards(p plan.Plan) bool { return p.Object.Wrap == 0 && p.Object.Board > 0 }

// book tells of a book, round by the tape, or by its boards and its spine.
func book(t *Teller) {
	boards, now := byBoards(t.plan), "tape"
	if boards {
		now = "boards"
	}
	t.Say("A book, closed, measured ")
	t.Choose(Choice{ID: "/object/wrap#how", Label: "How the book is measured", Now: now,
		Options: []Option{{Key: "tape", Says: "round with a tape measure"},
			{Key: "boards", Says: "by its boards and its spine"}}},
		func(m *Moving, key string) {
			usual := func(thing string) plan.Object { return plan.Example(thing, m.Plan.Units) }
			if o := &m.Plan.Object; key == "boards" {
				o.Wrap, o.Board, o.Spine = 0, usual("binder").Board, usual("binder").Spine
			} else {
				o.Board, o.Wrap = 0, usual("book").Wrap
			}
		})
	t.Say(": ")
	if boards {
		t.Say("each board ")
		t.Length("/object/board", "Width of a board")
		t.Say(" across, the spine ")
		t.Length("/object/spine", "Width of the spine")
		t.Say(", ")
	} else {
		t.Length("/object/wrap", "Round the book")
		t.Say(" from one fore-edge round the spine to the other, ")
	}
	t.Length("/object/height", "Height of the book")
	t.Say(" high.")
	if !boards {
		t.Say(" Its spine is ")
		t.Length("/object/spine", "Width of the spine")
		t.Say(".")
	}
	t.Say(" A board is ")
	t.Length("/object/thickness", "Thickness of a board")
	t.Say(" thick.")
}
