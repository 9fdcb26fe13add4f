package brief

import (
	"cmp"
	"maps"
	"math"
	"slices"
	"strconv"

	"umschlag/core/cover"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sample"
)

// config is a name under which a plan decides pieces, with how they are read.
type config struct {
	name, title string
	count       int
	// slots are the pieces it decides.
	slots []cover.Slot
}

// configs are those of a plan: also where its cover cannot be built.
func configs(t *Teller) []config {
	var out []config
	for _, s := range cover.Slots(t.plan) {
		i := slices.IndexFunc(out, func(c config) bool { return c.name == s.Config })
		if i < 0 {
			out = append(out, config{s.Config, lower(s.Title), s.Count, []cover.Slot{s}})
			continue
		}
		out[i].count += s.Count
		out[i].title = s.Config // front flap and back flap are both flaps
		out[i].slots = append(out[i].slots, s)
	}
	return out
}

// layers tells what lies under each piece, and how it is held.
func layers(t *Teller) {
	if t.plan.Cover.Rules().ByBack {
		layersOf(t, config{name: "front", title: "front"}, "Over ")
		layersOf(t, config{name: "back", title: "back"}, "The back: over ")
		return
	}
	for _, c := range configs(t) {
		layersOf(t, c, "The "+c.title+": over ")
	}
}

// stack is what lies under a piece, on its way to be told.
type stack struct {
	*Teller
	// name under which it is decided, and called what its labels say.
	name, called string
	piece        plan.Piece // settled
}

// of is a label of the piece; the front of a cushion needs no name.
func (s stack) of(label string) string {
	if s.name == "front" {
		return label
	}
	return label + ", " + s.called
}

// keeper is where a decision of the piece stands: with its own, or with those for several pieces.
func (s stack) keeper(has func(plan.Piece) bool) string {
	return path("pieces", plan.Keeper(s.plan, s.name, has))
}

func (s stack) layersAt() string {
	return s.keeper(func(q plan.Piece) bool { return q.Layers != nil }) + "/layers"
}

func (s stack) quiltingAt() string {
	return s.keeper(func(q plan.Piece) bool { return q.Quilting != nil }) + "/quilting"
}

func layersOf(t *Teller, c config, lead string) {
	name, called := c.name, c.name
	if len(c.slots) == 1 && c.slots[0].Of != "" {
		called = c.title
	}
	s := stack{t, name, called, t.plan.Piece(name)}
	var l plan.Layers
	if s.piece.Layers != nil {
		l = *s.piece.Layers
	}
	t.Say(lead)
	s.batting(l)
	t.Say(" and ")
	s.choose("lining", "Lining", l.Lining, with(Option{Says: "no lining"}, faced(t)),
		func(l *plan.Layers, key string) { l.Lining = key })
	s.under(l)
	t.Say(", ")
	s.quilting()
	t.Say(".")
	if l.Lining != "" || l.Batting != nil && l.Batting.Count > 0 {
		t.Widget("thick", name)
	}
	var kept []SetAside
	if q := s.piece.Quilting; q != nil {
		kept = aside(t, q.Aside, path("pieces", name, "quilting"), s.of("quilting"), patternSays,
			func(m *Moving, key string) {
				q := *m.Plan.Piece(name).Quilting
				q.Aside = without(q.Aside, key)
				m.piece(name, func(p *plan.Piece) { p.Quilting = &q })
			})
	}
	t.End(kept...)
	if s.piece.Quilted() {
		s.takeUp()
	}
}

// piece changes what is decided of a piece.
func (m *Moving) piece(name string, do func(*plan.Piece)) {
	pieces := maps.Clone(m.Plan.Pieces)
	if pieces == nil {
		pieces = map[string]plan.Piece{}
	}
	p := pieces[name]
	do(&p)
	pieces[name] = p
	m.Plan.Pieces = pieces
}

// choose adds a choice of the layers of the piece: it takes over what was decided for all before one part changes.
func (s stack) choose(key, label, now string, options []Option, do func(l *plan.Layers, key string)) {
	s.Choose(Choice{ID: path("pieces", s.name, "layers", key), Label: s.of(label), Now: now, Options: options,
		Also: []string{s.layersAt() + "/" + key}}, func(m *Moving, key string) {
		var l plan.Layers
		if old := m.Plan.Piece(s.name).Layers; old != nil {
			l = *old
		}
		if l.Batting != nil {
			batting := *l.Batting
			l.Batting = &batting
		}
		do(&l, key)
		m.piece(s.name, func(p *plan.Piece) { p.Layers = &l })
	})
}

func (s stack) batting(l plan.Layers) {
	count := 0
	if l.Batting != nil {
		count = l.Batting.Count
	}
	s.Choose(Choice{ID: path("pieces", s.name, "layers/batting/count"), Label: s.of("Layers of batting"),
		Now: strconv.Itoa(count), Also: []string{s.layersAt() + "/batting/count"},
		Options: []Option{{Key: "0", Says: "no batting"}, {Key: "1", Says: "one batting"},
			{Key: "2", Says: "two battings"}}},
		s.batted)
	if count > 0 {
		s.Say(" ")
		s.Length(s.layersAt()+"/batting/loft", s.of("Loft of one batting"))
		s.Say(" thick, of ")
		s.choose("batting/cloth", "Fabric of the batting", l.Batting.Cloth, suiting(s.Teller, plan.BattingKind),
			func(l *plan.Layers, key string) { l.Batting.Cloth = key })
	}
}

// batted is a piece with so many battings; a plan that has no batting yet takes one of cotton.
func (s stack) batted(m *Moving, key string) {
	var l plan.Layers
	if old := m.Plan.Piece(s.name).Layers; old != nil {
		l = *old
	}
	count, _ := strconv.Atoi(key)
	switch {
	case count == 0:
		l.Batting = nil
	case l.Batting == nil:
		l.Batting = &plan.Batting{Count: count}
	default:
		b := *l.Batting
		b.Count = count
		l.Batting = &b
	}
	m.piece(s.name, func(p *plan.Piece) { p.Layers = &l })
	if _, there := m.Plan.Cloths[plan.BattingCloth]; there || count == 0 {
		return
	}
	width := cottonWidth
	m.cloth(plan.BattingCloth, plan.Cloth{Name: "cotton batting", Kind: plan.BattingKind, Width: &width, Usable: &width,
		Swatch: plan.Swatch{Motif: "plain", Ground: "#f6f1e4", Ink: "#f6f1e4"}})
}

// cloth describes a cloth by its letter.
func (m *Moving) cloth(letter string, c plan.Cloth) {
	all := maps.Clone(m.Plan.Cloths)
	if all == nil {
		all = map[string]plan.Cloth{}
	}
	all[letter] = c
	m.Plan.Cloths = all
}

// under tells of what else lies in the stack.
func (s stack) under(l plan.Layers) {
	batted := l.Batting != nil && l.Batting.Count > 0
	if batted {
		s.Say(", ")
		s.choose("batting/offcuts", "Where the batting comes from", yesNo(l.Batting.Offcuts),
			[]Option{{Key: "no", Says: "the batting in one"}, {Key: "yes", Says: "the batting butted from offcuts"}},
			func(l *plan.Layers, key string) { l.Batting.Offcuts = key == "yes" })
	}
	if l.Lining != "" {
		s.Say(", ")
		s.choose("stiffener", "Stiffener", l.Stiffener, with(Option{Says: "not stiffened"},
			each(suiting(s.Teller, plan.Interlining, plan.FaceCloth, plan.QuiltedCloth),
				func(o Option) string { return "stiffened with " + o.Says })),
			func(l *plan.Layers, key string) { l.Stiffener = key })
	}
	if !batted && l.Lining == "" {
		return
	}
	s.Say(", ")
	s.Length(s.layersAt()+"/overhang", s.of("Overhang of batting and lining"))
	s.Say(" larger all round")
	if batted && l.Lining != "" {
		s.Say(" (the batting ")
		shown := ""
		if l.Batting.Overhang == nil {
			shown = "as much"
		}
		s.Field(Field{Path: s.layersAt() + "/batting/overhang", Label: s.of("Overhang of the batting alone"),
			Reads: Length, Shown: shown})
		s.Say(")")
	}
	s.Say(", ")
	s.choose("web", "Fusible web between the layers", yesNo(l.Web), []Option{{Key: "no", Says: "laid together"},
		{Key: "yes", Says: "bonded with fusible web"}}, func(l *plan.Layers, key string) { l.Web = key == "yes" })
}

func (s stack) guided() {
	l := s.piece.Layers
	s.Say(", ")
	s.choose("grid", "Guide for quilting", yesNo(l != nil && l.Grid), []Option{{Key: "no", Says: "along drawn lines"},
		{Key: "yes", Says: "along a fusible grid behind the batting"}},
		func(l *plan.Layers, key string) { l.Grid = key == "yes" })
	s.Say(", then trimmed from ")
	at := s.keeper(func(q plan.Piece) bool { return q.Squaring != nil })
	s.Length(at+"/squaring", s.of("Squaring margin each side"))
	s.Say(" spare all round")
}

// takeUp tells where the figure for take-up comes from.
func (s stack) takeUp() {
	var u plan.TakeUp
	if s.piece.TakeUp != nil {
		u = *s.piece.TakeUp
	}
	from := cmp.Or(u.From, plan.Estimate)
	now := string(from)
	if from == plan.FromSample {
		now = u.ID
	}
	options := []Option{{Key: "estimate", Says: "by an estimate"}}
	var shelf sample.Shelf
	if s.workshop != nil {
		shelf = s.workshop.Samples
	}
	for _, id := range slices.SortedFunc(maps.Keys(shelf),
		func(a, b string) int { return cmp.Or(cmp.Compare(shelf[a].Title, shelf[b].Title), cmp.Compare(a, b)) }) {
		if _, told := sample.Quilted(shelf[id]); told && shelf[id].Kind == plan.QuiltingSample {
			options = append(options, Option{Key: id, Says: "as “" + shelf[id].Title + "” did"})
		}
	}
	options = append(options, Option{Key: "given", Says: "as I measured"})
	s.Say("Quilting pulls it in ")
	s.Choose(Choice{ID: path("pieces", s.name, "take_up/from"), Label: s.of("Where the take-up comes from"), Now: now,
		Options: options, Also: []string{path("pieces", s.name, "take_up/id")}},
		func(m *Moving, key string) {
			next := plan.TakeUp{From: plan.FromSample, ID: key}
			switch plan.TakeUpFrom(key) {
			case plan.Estimate:
				next = plan.TakeUp{From: plan.Estimate}
			case plan.Given:
				across, along := m.takeUp(s.name)
				next = plan.TakeUp{From: plan.Given, Across: across, Along: along}
			}
			m.piece(s.name, func(p *plan.Piece) { p.TakeUp = &next })
		})
	if from == plan.Given {
		at := s.keeper(func(q plan.Piece) bool { return q.TakeUp != nil })
		s.Say(": ")
		s.Field(Field{Path: at + "/take_up/across", Label: s.of("Take-up across"), Reads: Percent})
		s.Say(" across and ")
		s.Field(Field{Path: at + "/take_up/along", Label: s.of("Take-up up"), Reads: Percent})
		s.Say(" up.")
	} else {
		s.Widget("take-up", s.name)
	}
	if f := s.piece.Face; f != nil && f.Kind == plan.GridFace && len(f.Borders) == 0 {
		s.Say(" The loss is taken by ")
		s.Choose(Choice{ID: path("pieces", s.name, "absorb"), Label: s.of("What takes the loss"),
			Now:     or(string(s.piece.Absorb), "patch"),
			Options: []Option{{Key: "patch", Says: "larger patches"}, {Key: "accept", Says: "a smaller cover"}}},
			func(m *Moving, key string) {
				m.piece(s.name, func(p *plan.Piece) { p.Absorb = plan.Absorb(key) })
			})
		s.Say(".")
	}
	s.End()
}

// cottonWidth is how wide cotton batting is sold. Common practice.
const cottonWidth = 90 * length.Inch

func hundredth(percent float64) float64 { return math.Round(percent*100) / 100 }

// takeUp is that of a piece as it is reckoned, in percent to two places.
func (m *Moving) takeUp(config string) (across, along float64) {
	for _, p := range m.Reckoned().Pieces {
		if p.Config == config {
			return hundredth(p.TakeUp[0]), hundredth(p.TakeUp[1])
		}
	}
	return 0, 0
}
