// Package brief tells a plan as sentences in which every decision can be changed where it stands. It follows from
// the plan alone and needs no reckoning: what it tells can be read and changed under any number of stops.
package brief

import (
	"umschlag/core/answer"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// Brief is a plan told in the order in which a maker decides.
type Brief struct {
	Stages []Section `json:"stages"`
	moves  map[string]move
}

// Section is what is decided together.
type Section struct {
	Name string `json:"name"`
	// About are the paths of what is found that stands here: the longest path of all stages that leads to a
	// finding decides; * stands for any one name.
	About  []string `json:"about"`
	Blocks []Block  `json:"blocks"`
}

// Block is a paragraph, or what stands among paragraphs.
type Block struct {
	// Key tells it from its neighbours, whatever is added or taken away; empty where its place does.
	Key string `json:"key,omitempty"`
	// List names a list of blocks; it is a paragraph otherwise.
	List  string `json:"list,omitempty"`
	Words []Word `json:"words,omitempty"`
	// Widget is drawn instead of words, with the blocks in it.
	Widget string `json:"widget,omitempty"`
	// Of is what the widget is about.
	Of     string     `json:"of,omitempty"`
	Blocks []Block    `json:"blocks,omitempty"`
	Aside  []SetAside `json:"aside,omitempty"`
	// Face is the face that the block is about.
	Face *Place `json:"face,omitempty"`
	// About is the path of what is found that stands here instead of with its stage.
	About string `json:"about,omitempty"`
}

// Place is a face in the plan.
type Place struct {
	// Config is the name under which the plan decides the piece, Title what it is called, The the same in a sentence.
	Config string `json:"config"`
	Title  string `json:"title"`
	The    string `json:"the"`
	// Base is where the face of the piece stands: its own, or the one all pieces share. Inner is the way to the
	// face within that, through the parts of stacks.
	Base  string `json:"base"`
	Inner string `json:"inner"`
}

// Word is a part of a sentence: one of these.
type Word struct {
	// Text as it stands.
	Text   string  `json:"text,omitempty"`
	Field  *Field  `json:"field,omitempty"`
	Choice *Choice `json:"choice,omitempty"`
	Press  *Press  `json:"press,omitempty"`
	// Shows is the path of a length of the settled plan that is shown and not changed here.
	Shows string `json:"shows,omitempty"`
	// Widget is drawn in the sentence: what waits for a reckoning, or a picture. Of is what it is about.
	Widget string `json:"widget,omitempty"`
	Of     string `json:"of,omitempty"`
}

// Field is a value that is typed.
type Field struct {
	// Path of the value in the plan, and what it is for those who do not see the sentence.
	Path  string `json:"path"`
	Label string `json:"label"`
	// Reads is length, count, percent or text.
	Reads Reads `json:"reads"`
	// Shown stands in the sentence where nobody decided the value; the settled one when absent.
	Shown string `json:"shown,omitempty"`
	// For is the typed text that Shown stands for; absent where it stands for a value that nobody decided.
	For string `json:"for,omitempty"`
	// Told names what a reckoning tells of the value that nobody decided.
	Told string `json:"told,omitempty"`
	// Also are the paths of values that are the same.
	Also []string `json:"also,omitempty"`
	// Follows tells that something has to follow a change of the value, which is asked for.
	Follows bool `json:"follows,omitempty"`
}

// Reads is how a typed value is read.
type Reads string

// What is typed: a length with its unit, a number, a share, words.
const (
	Length  Reads = "length"
	Count   Reads = "count"
	Percent Reads = "percent"
	Text    Reads = "text"
)

// Choice is one of some words.
type Choice struct {
	// ID is what it is asked for by, and the path of what it decides.
	ID      string   `json:"id"`
	Label   string   `json:"label"`
	Now     string   `json:"now"`
	Options []Option `json:"options"`
	// Sets tells that the word itself stands at the path, and nothing else changes with it; the rest is asked for.
	Sets bool `json:"sets,omitempty"`
	// Also are further paths that it decides.
	Also []string `json:"also,omitempty"`
}

// Option is one word of a choice.
type Option struct {
	Key  string `json:"key"`
	Says string `json:"says"`
	// Shown stands in the sentence, where that is shorter.
	Shown string `json:"shown,omitempty"`
	// describes is the kind of a cloth that the plan has not yet.
	describes plan.ClothKind
}

// Press is something to be done.
type Press struct {
	ID   string `json:"id"`
	Says string `json:"says"`
	// Label is what it does for those who do not see the sentence; what it says when absent.
	Label string `json:"label,omitempty"`
}

// SetAside is a decision of another kind that is kept aside.
type SetAside struct {
	// Says what it is, and Of what it is a kind of.
	Says string `json:"says"`
	Of   string `json:"of"`
	// Choice and Key bring it back; pressed by Forget it is gone.
	Choice string `json:"choice"`
	Key    string `json:"key"`
	Forget string `json:"forget"`
}

// Of is the brief of a plan as it was typed, in a workshop.
func Of(p plan.Plan, w *reckon.Workshop) Brief {
	t := &Teller{typed: p, plan: w.Settle(p), workshop: w, brief: &Brief{moves: map[string]move{}}}
	t.stage("Measure", measure, "/object", "/title", "/copies")
	byBack := t.plan.Cover.Rules().ByBack
	if byBack {
		t.stage("Cover", coverWords, "/cover")
		t.stage("Front", frontWords, "/pieces")
	} else {
		t.stage("Cover", coverWords, "/cover", "/back", "/measured")
		t.stage("Pieces", pieces, "/pieces")
	}
	t.stage("Layers", layers, "/pieces/*/layers", "/pieces/*/quilting", "/pieces/*/squaring", "/pieces/*/take_up",
		"/pieces/*/absorb")
	if byBack {
		t.stage("Back", back, "/back", "/measured", "/pieces/back")
	}
	t.stage("Edges", edges, "/edges", "/habits")
	t.stage("Fittings", fittings, "/fittings")
	t.stage("Fabric", cloths, "/cloths")
	return *t.brief
}

// Choose is a plan with one decision of its brief taken: the option of a choice, what is pressed, or what follows
// from a value that was typed, each by its id. It is refused with a reason where it cannot be; ok is false where the
// brief has no such decision.
func Choose(p plan.Plan, w *reckon.Workshop, id, key string) (q plan.Plan, refused string, ok bool) {
	do, ok := Of(p, w).moves[id]
	if !ok {
		return p, "", false
	}
	q = p.Unshared()
	m := &Moving{Plan: &q, before: p, workshop: w}
	do(m, key)
	if m.refused != "" {
		return p, m.refused, true
	}
	m.keepSize()
	return q, "", true
}

// keepSize keeps how large a found panel is, where that followed from its squares and there are none any more.
func (m *Moving) keepSize() {
	was, is := m.Settled().Object, m.workshop.Settle(*m.Plan).Object
	if o := &m.Plan.Object; was.Kind == plan.Found && is.Kind == plan.Found {
		if is.Width == 0 {
			o.Width = was.Width
		}
		if is.Height == 0 {
			o.Height = was.Height
		}
	}
}

type move func(m *Moving, key string)

// Moving is a plan on its way to another decision.
type Moving struct {
	// Plan as it was typed, to be changed.
	Plan     *plan.Plan
	before   plan.Plan
	workshop *reckon.Workshop
	reckoned *answer.Reckoning
	refused  string
}

// Refuse leaves the plan as it is, with the reason.
func (m *Moving) Refuse(why string) { m.refused = why }

// Settled is the plan before the decision, with every default.
func (m *Moving) Settled() plan.Plan { return m.workshop.Settle(m.before) }

// Reckoned is the reckoning of the plan before the decision.
func (m *Moving) Reckoned() answer.Reckoning {
	if m.reckoned == nil {
		r := reckon.Reckon(m.before, m.workshop)
		m.reckoned = &r
	}
	return *m.reckoned
}
