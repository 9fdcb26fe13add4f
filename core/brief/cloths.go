package brief

import (
	"cmp"
	"maps"
	"slices"

	"umschlag/core/length"
	"umschlag/core/plan"
)

var prints = []Option{{Key: "plain", Says: "unprinted"}, {Key: "all-over", Says: "printed all over"},
	{Key: "two-way", Says: "printed two ways"}, {Key: "one-way", Says: "printed one way"}}

var motifs = []Option{{Key: "plain", Says: "plain"}, {Key: "stripe", Says: "striped"}, {Key: "dot", Says: "dotted"},
	{Key: "check", Says: "checked"}, {Key: "leaf", Says: "leafy"}}

// cloths tells which cloths it takes, each with where it comes from.
func cloths(t *Teller) {
	var shelf []Option
	if t.workshop != nil {
		for _, name := range slices.Sorted(maps.Keys(t.workshop.Cloths)) {
			shelf = append(shelf, Option{Key: name, Says: name})
		}
	}
	all := t.cloths()
	for _, c := range all[:min(len(all), plan.MostCloths)] { // of more than may be there the first
		cloth(t, c.Key, c.Says, shelf)
	}
	if len(shelf) > 0 {
		next := plan.FreeLetter(t.plan.Cloths)
		t.Choose(Choice{ID: "/cloths#add", Label: "Take another fabric from the cupboard",
			Options: with(Option{Says: "Take another fabric"}, shelf)},
			func(m *Moving, name string) { m.take(next, name) })
		t.End()
	}
}

// grounds are the colours that cloths begin with, told apart at a glance whoever looks: light and dark in turn.
var grounds = []string{"#d9cfba", "#7f93a8", "#e3b98f", "#6f8a6d", "#e8dfe6", "#8c6a63"}

// anotherCloth describes a cloth that the plan has not yet, as plain as it can be, and tells its letter.
func (m *Moving) anotherCloth(kind plan.ClothKind) string {
	letter := plan.FreeLetter(m.Plan.Cloths)
	name, ground := "fabric "+letter, grounds[int(letter[0]-'A')%len(grounds)]
	c := plan.Cloth{Name: name, Swatch: plan.Swatch{Motif: "plain", Ground: ground, Ink: ground}}
	if kind != plan.FaceCloth {
		c.Kind, c.Name = kind, string(kind)+" "+letter
	}
	m.cloth(letter, c.Unmeasured(m.Plan.Units))
	return letter
}

// take takes a cloth of the cupboard under a letter.
func (m *Moving) take(letter, name string) {
	if m.workshop == nil {
		return
	}
	if c, there := m.workshop.Cloths[name]; there {
		m.cloth(letter, c.Taken())
	}
}

func cloth(t *Teller, letter, name string, shelf []Option) {
	at, c, called := path("cloths", letter), t.plan.Cloths[letter], name
	for other, o := range t.plan.Cloths {
		if other != letter && or(o.Name, other) == name {
			called = name + " (" + letter + ")"
		}
	}
	t.Field(Field{Path: at + "/name", Label: "Name of fabric " + letter, Reads: Text, Shown: name})
	if len(shelf) > 0 {
		now := ""
		if t.workshop.Cloths[name].Name != "" {
			now = name
		}
		t.Say(", ")
		t.Choose(Choice{ID: at + "#from", Label: "Fabric " + letter + ", from the cupboard", Now: now,
			Options: with(Option{Says: "as described here"}, each(shelf, func(o Option) string {
				return "from the cupboard: " + o.Says
			}))},
			func(m *Moving, name string) {
				if name != "" {
					m.take(letter, name)
				}
			})
	}
	t.Say(", ")
	if kind := plan.KindOf(letter, c); kind == plan.FaceCloth || kind == plan.QuiltedCloth {
		t.Set(at+"/kind", "Layers of "+called, string(kind), Option{Key: "cloth", Says: "one layer"},
			Option{Key: "quilted", Says: "quilted already"})
		if t.Say(", "); kind == plan.QuiltedCloth {
			t.Length(at+"/loft", "Thickness of "+called)
			t.Say(" thick, ")
		} else {
			weight(t, at, called, c)
		}
	}
	t.Length(at+"/width", "Width of "+called)
	t.Say(" wide and ")
	t.Length(at+"/usable", "Usable width of "+called)
	t.Say(" of it usable, ")
	t.Set(at+"/print", "Print of "+called, string(c.Print), prints...)
	if kind := plan.KindOf(letter, c); c.Print.TurnsBy() && (kind == plan.FaceCloth || kind == plan.QuiltedCloth) {
		t.Say(", pieces of it ")
		t.Either(at+"/upright", "How pieces of "+called+" lie", c.Upright, "turned where that saves some",
			"never turned, for its nap", func(m *Moving, yes bool) {
				c := m.Plan.Cloths[letter]
				c.Upright = yes
				m.cloth(letter, c)
			})
	}
	if c.Swatch.Photo == 0 {
		t.Say(", drawn ")
		t.Set(at+"/swatch/motif", "How "+called+" is drawn", or(string(c.Swatch.Motif), "plain"), motifs...)
		t.Widget("colours", letter)
	}
	printing(t, letter, called)
	selling(t, letter, called)
	t.Widget("used", letter)
	if !plan.Used(t.plan)[letter] {
		t.Press(Press{ID: at + "#off", Says: "Remove it", Label: "Remove " + called},
			func(m *Moving) {
				all := maps.Clone(m.Plan.Cloths)
				delete(all, letter)
				m.Plan.Cloths = all
			})
	}
	t.blocks = append(t.blocks, Block{Key: letter, Widget: "cloth", Of: letter, Words: t.taken()})
}

// printing tells how its print lies on pieces that meet, and how far its motifs are apart.
func printing(t *Teller, letter, called string) {
	at, c := path("cloths", letter), t.plan.Cloths[letter]
	if c.Print != "" && !c.Print.TurnsBy() || c.Repeat != nil || c.Match {
		t.Say(", its print ")
		t.Either(at+"/match", "The print of "+called+" over seams", c.Match, "as it comes", "matched",
			func(m *Moving, yes bool) {
				c := m.Plan.Cloths[letter]
				c.Match = yes
				m.cloth(letter, c)
			})
		t.Say(" where pieces meet")
	}
	if c.Repeat != nil || c.Match || centred(t) {
		t.Say(", motifs ")
		motif(t, letter, "across", "Motif to motif across, "+called)
		t.Say(" apart across and ")
		motif(t, letter, "along", "Motif to motif along, "+called)
		t.Say(" along")
	}
}

// steps are the lengths that cloth is sold by beside the usual one, by the keys of their choice.
func steps(unit length.Unit) (usual string, keys []string, lengths map[string]length.Length, says map[string]string) {
	if unit == length.Inches {
		return "by the ⅛ yard", []string{"quarters", "halves", "wholes"},
			map[string]length.Length{"quarters": 9 * length.Inch, "halves": 18 * length.Inch, "wholes": length.Yard},
			map[string]string{"quarters": "by the ¼ yard", "halves": "by the ½ yard", "wholes": "by the yard"}
	}
	return "by 10 cm", []string{"quarters", "halves", "wholes"},
		map[string]length.Length{"quarters": 25 * length.Centimetre, "halves": 50 * length.Centimetre,
			"wholes": length.Metre},
		map[string]string{"quarters": "by 25 cm", "halves": "by the half metre", "wholes": "by the metre"}
}

// begunAt is what a bolt or a panel measures until it is said.
func begunAt(by plan.SoldBy, unit length.Unit) length.Length {
	inches := unit == length.Inches
	switch {
	case by == plan.ByBolt && inches:
		return 10 * length.Yard
	case by == plan.ByBolt:
		return 10 * length.Metre
	case inches:
		return 24 * length.Inch
	}
	return 60 * length.Centimetre
}

// selling tells how the shop sells it.
func selling(t *Teller, letter, called string) {
	at, c := path("cloths", letter), t.plan.Cloths[letter]
	usual, keys, lengths, says := steps(t.plan.Units)
	options, now := []Option{{Says: usual}}, ""
	for _, key := range keys {
		options = append(options, Option{Key: key, Says: says[key]})
		if s := c.Sold; s != nil && s.By == plan.ByLength && s.Length == lengths[key] {
			now = key
		}
	}
	options = append(options, Option{Key: string(plan.ByBolt), Says: "in whole bolts"},
		Option{Key: string(plan.ByPanel), Says: "in panels"}, Option{Key: string(plan.ByQuarter), Says: "in quarters"})
	if s := c.Sold; s != nil && now == "" {
		if now = string(s.By); s.By == plan.ByLength {
			options = append(options, Option{Key: now, Says: "by " + t.plan.Style().Text(s.Length)})
		}
	}
	t.Say(", sold ")
	t.Choose(Choice{ID: at + "/sold", Label: "How " + called + " is sold", Now: now, Options: options},
		func(m *Moving, key string) {
			c := m.Plan.Cloths[letter]
			switch by := plan.SoldBy(key); {
			case key == "":
				c.Sold = nil
			case lengths[key] > 0:
				c.Sold = &plan.Sold{By: plan.ByLength, Length: lengths[key]}
			case by == plan.ByQuarter:
				c.Sold = &plan.Sold{By: by}
			case by != plan.ByLength:
				c.Sold = &plan.Sold{By: by, Length: begunAt(by, m.Plan.Units)}
			}
			m.cloth(letter, c)
		})
	if s := c.Sold; s != nil && (s.By == plan.ByBolt || s.By == plan.ByPanel) {
		t.Say(" of ")
		t.Length(at+"/sold/length", "Length of one, "+called)
	}
}

// weight tells how heavy a cloth is, and whether it is backed.
func weight(t *Teller, at, called string, c plan.Cloth) {
	var options []Option
	for _, key := range plan.Weights.Names() {
		options = append(options, Option{Key: key, Says: plan.ClothWeight(key).Rules().Says})
	}
	t.Set(at+"/weight", "Weight of "+called, or(string(c.Weight), options[0].Key), options...)
	t.Say(", ")
	if backed := c.IsBacked(); backed || c.Weight.Rules().Backed {
		now := plan.NoBacking
		if backed {
			now = plan.IronedBacking
		}
		t.Set(at+"/backing", "Backing of "+called, string(now),
			Option{Key: string(plan.IronedBacking), Says: "backed with light interfacing before it is cut",
				Shown: "backed first"},
			Option{Key: string(plan.NoBacking), Says: "not backed"})
		t.Say(", ")
	}
}

// motif is a distance of motifs; they lie as far apart one way as the other until both are said.
func motif(t *Teller, letter, way, label string) {
	said := t.plan.Cloths[letter].Repeat != nil
	t.Follow(Field{Path: path("cloths", letter, "repeat", way), Label: label, Reads: Length}, func(m *Moving) {
		c := m.Plan.Cloths[letter]
		if c.Repeat == nil || said {
			return
		}
		r := *c.Repeat
		r.Across, r.Along = cmp.Or(r.Across, r.Along), cmp.Or(r.Along, r.Across)
		c.Repeat = &r
		m.cloth(letter, c)
	})
}

// centred tells whether anything is cut with a motif in its middle.
func centred(t *Teller) bool {
	for _, q := range t.plan.Pieces {
		if q.Face != nil && centredFace(*q.Face) {
			return true
		}
	}
	return false
}

func centredFace(f plan.Face) bool {
	return f.Centred || slices.ContainsFunc(f.Parts, func(p plan.Part) bool { return centredFace(p.Face) })
}
