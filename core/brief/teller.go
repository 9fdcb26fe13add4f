package brief

import (
	"maps"
	"slices"

	"umschlag/core/finding"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// Teller puts sentences together: the kinds say with it what is decided of them.
type Teller struct {
	typed, plan plan.Plan
	workshop    *reckon.Workshop
	brief       *Brief
	words       []Word
	blocks      []Block
}

// Plan is the plan that is told, with every default.
func (t *Teller) Plan() plan.Plan { return t.plan }

// Usual are the sizes that decisions begin with in the plan's unit.
func (t *Teller) Usual() plan.Starts { return plan.StartsIn(t.plan.Units) }

func (t *Teller) stage(name string, tell func(*Teller), about ...string) {
	t.blocks = []Block{}
	tell(t)
	t.brief.Stages = append(t.brief.Stages, Section{Name: name, About: about, Blocks: t.blocks})
}

// Say adds text as it stands.
func (t *Teller) Say(text string) { t.words = append(t.words, Word{Text: text}) }

// Length adds a length that is typed at a path.
func (t *Teller) Length(path, label string) { t.Field(Field{Path: path, Label: label, Reads: Length}) }

// Count adds a number that is typed at a path.
func (t *Teller) Count(path, label string) { t.Field(Field{Path: path, Label: label, Reads: Count}) }

// Field adds a value that is typed.
func (t *Teller) Field(f Field) { t.words = append(t.words, Word{Field: &f}) }

// Follow adds a value that something has to follow.
func (t *Teller) Follow(f Field, follow func(*Moving)) {
	f.Follows = true
	t.brief.moves[f.Path] = func(m *Moving, _ string) { follow(m) }
	t.Field(f)
}

// Set adds a choice whose word stands in the plan at the path of its id.
func (t *Teller) Set(id, label, now string, options ...Option) {
	t.words = append(t.words, Word{Choice: &Choice{ID: id, Label: label, Now: now, Options: options, Sets: true}})
}

// Choose adds a choice, and what it does to the plan; also are further paths that it decides.
func (t *Teller) Choose(c Choice, do func(m *Moving, key string)) {
	t.brief.moves[c.ID] = func(m *Moving, key string) {
		for _, o := range c.Options {
			if o.Key == key && o.describes != "" {
				key = m.anotherCloth(o.describes)
			}
		}
		do(m, key)
	}
	t.words = append(t.words, Word{Choice: &c})
}

// Either adds a choice of two words that mean no and yes.
func (t *Teller) Either(id, label string, now bool, no, yes string, do func(m *Moving, yes bool)) {
	t.Choose(Choice{ID: id, Label: label, Now: yesNo(now), Options: []Option{{Key: "no", Says: no},
		{Key: "yes", Says: yes}}}, func(m *Moving, key string) { do(m, key == "yes") })
}

func yesNo(yes bool) string {
	if yes {
		return "yes"
	}
	return "no"
}

// Press adds something to be done.
func (t *Teller) Press(p Press, do func(m *Moving)) {
	t.brief.moves[p.ID] = func(m *Moving, _ string) { do(m) }
	t.words = append(t.words, Word{Press: &p})
}

// Widget adds what is drawn in the sentence.
func (t *Teller) Widget(name, of string) { t.words = append(t.words, Word{Widget: name, Of: of}) }

// Shows adds a length of the plan that is not changed here.
func (t *Teller) Shows(path string) { t.words = append(t.words, Word{Shows: path}) }

// End ends a paragraph.
func (t *Teller) End(aside ...SetAside) {
	t.blocks = append(t.blocks, Block{Words: t.taken(), Aside: aside})
}

// taken are the words since the last paragraph.
func (t *Teller) taken() []Word {
	words := t.words
	t.words = nil
	return words
}

// within are the blocks that something tells, apart from those before.
func (t *Teller) within(tell func()) []Block {
	before := t.blocks
	t.blocks = nil
	tell()
	inner := t.blocks
	t.blocks = before
	return inner
}

// aside are the decisions of other kinds that are kept beside one, brought back by its choice; forget takes one out.
func aside[V any](t *Teller, kept map[string]V, choice, of string, says func(key string) string,
	forget func(m *Moving, key string)) []SetAside {
	var out []SetAside
	for _, key := range slices.Sorted(maps.Keys(kept)) {
		id := choice + "/aside/" + key
		t.brief.moves[id] = func(m *Moving, _ string) { forget(m, key) }
		out = append(out, SetAside{Says: says(key), Of: of, Choice: choice, Key: key, Forget: id})
	}
	return out
}

// cloths are those of the plan by their letters, as options.
func (t *Teller) cloths() []Option {
	out := []Option{}
	for _, letter := range slices.Sorted(maps.Keys(t.plan.Cloths)) {
		name := t.plan.Cloths[letter].Name
		if name == "" {
			name = letter
		}
		out = append(out, Option{Key: letter, Says: name})
	}
	return out
}

// suiting are the cloths of some kinds, and one more that is described where it is chosen.
func suiting(t *Teller, kinds ...plan.ClothKind) []Option {
	var out []Option
	for _, o := range t.cloths() {
		if slices.Contains(kinds, plan.KindOf(o.Key, t.plan.Cloths[o.Key])) {
			out = append(out, o)
		}
	}
	says := "another fabric"
	if kinds[0] != plan.FaceCloth { // a batting, an interlining
		says = "another " + string(kinds[0])
	}
	return append(out, Option{Key: Another, Says: says, describes: kinds[0]})
}

// faced are the cloths that covers are cut from, and another one.
func faced(t *Teller) []Option { return suiting(t, plan.FaceCloth, plan.QuiltedCloth) }

// Another is the key of an option that is a cloth the plan has not yet.
const Another = "another"

// first is the letter of the first cloth, A where there is none.
func (t *Teller) first() string {
	if all := t.cloths(); len(all) > 0 {
		return all[0].Key
	}
	return "A"
}

// with are options after one that comes first.
func with(first Option, others []Option) []Option { return append([]Option{first}, others...) }

// each are the options with other words for each.
func each(options []Option, says func(Option) string) []Option {
	out := slices.Clone(options)
	for i, o := range out {
		out[i].Says = says(o)
	}
	return out
}

// or is a word, or another where there is none.
func or(word, other string) string {
	if word == "" {
		return other
	}
	return word
}

// path joins names to a path of the plan.
func path(parts ...any) string { return finding.Path(parts...) }
