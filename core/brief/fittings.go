package brief

import (
	"fmt"
	"slices"
	"strconv"

	"umschlag/core/cover"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// sizes of a fitting in the order in which they are said, with what each is called and what follows it.
var sizes = []struct {
	key, label, says string
	of               func(plan.Fitting) length.Length
}{
	{"length", "Length", "long", func(f plan.Fitting) length.Length { return f.Length }},
	{"short", "Length of the short one", "for the short one", func(f plan.Fitting) length.Length { return f.Short }},
	{"width", "Width", "wide", func(f plan.Fitting) length.Length { return f.Width }},
	{"height", "Height", "high", func(f plan.Fitting) length.Length { return f.Height }},
	{"spread", "Distance of the ends", "between its ends", func(f plan.Fitting) length.Length { return f.Spread }},
	{"tape", "Tape", "of hook-and-loop tape", func(f plan.Fitting) length.Length { return f.Tape }},
}

// fittings tells what is sewn onto the pieces, each in its place.
func fittings(t *Teller) {
	for i, f := range t.plan.Fittings {
		fitting(t, i, f)
	}
	options := []Option{{Says: "Add a fitting"}}
	for _, f := range t.Usual().Fittings {
		says := "a " + string(f.Kind)
		if f.Short > 0 {
			says = "a pair of " + string(f.Kind) + "s"
		}
		options = append(options, Option{Key: string(f.Kind), Says: says})
	}
	if len(t.plan.Fittings) == 0 {
		t.Say("None. ")
	}
	t.Choose(Choice{ID: "/fittings#add", Label: "Add a fitting", Options: options}, func(m *Moving, key string) {
		usual := plan.StartsIn(m.Plan.Units)
		i := slices.IndexFunc(usual.Fittings, func(f plan.Fitting) bool { return string(f.Kind) == key })
		if i < 0 {
			return
		}
		next := usual.Fittings[i]
		next.On, next.At.Middle = "front", true
		if slots := cover.Slots(t.plan); len(slots) > 0 {
			next.On = slots[0].Name
		}
		if next.Short > 0 { // the two of a pair stand at mirrored places, which the middle is not
			next.At.Left = new(usual.Away)
		}
		m.Plan.Fittings = append(m.Plan.Fittings, next)
	})
	t.End()
}

// begun is a fitting of a kind as it is put on first; one with nothing where the kind is not offered.
func begunFitting(t *Teller, kind plan.FittingKind) plan.Fitting {
	for _, f := range t.Usual().Fittings {
		if f.Kind == kind {
			return f
		}
	}
	return plan.Fitting{}
}

func fitting(t *Teller, i int, f plan.Fitting) {
	at := path("fittings", i)
	kind := string(f.Kind)
	of := fmt.Sprintf("%s %d", kind, i+1)
	rules, _ := plan.FittingKinds.Of(kind)
	start := begunFitting(t, f.Kind)
	var on []Option
	for _, s := range cover.Slots(t.plan) {
		on = append(on, Option{Key: s.Name, Says: lower(s.Title)})
	}
	t.Say("A " + kind + " on the ")
	t.Set(at+"/on", "Piece of the "+of, f.On, on...)
	for _, size := range sizes {
		read := slices.Contains(rules.Reads, size.key)
		if size.of(start) > 0 || size.of(t.typed.Fittings[i]) > 0 || read && size.of(f) > 0 {
			t.Say(", ")
			t.Length(at+"/"+size.key, size.label+" of the "+of)
			t.Say(" " + size.says)
		}
	}
	if start.Count > 0 || f.Count > 1 {
		t.Say(", ")
		t.Field(Field{Path: at + "/count", Label: "How many of the " + of, Reads: Count,
			Shown: strconv.Itoa(max(1, f.Count))})
		t.Say(" of it")
	}
	if start.Style != "" {
		pocket(t, at, of, f)
	}
	if rules.Padded {
		padding(t, i, at, of, f)
	}
	t.Say(", of ")
	t.Choose(Choice{ID: at + "/cloth", Label: "Fabric of the " + of, Now: f.Cloth,
		Options: with(Option{Says: "the fabric of its piece"}, faced(t))},
		func(m *Moving, letter string) { m.Plan.Fittings[i].Cloth = letter })
	t.Say(": ")
	move := func(do func(*plan.At)) func(m *Moving) {
		return func(m *Moving) { do(&m.Plan.Fittings[i].At) }
	}
	across(t, at+"/at", "the "+of, f.At, move)
	t.Say(" and ")
	up(t, at+"/at", "the "+of, f.At, true, move)
	t.Say(". ")
	t.Widget("fitting", strconv.Itoa(i))
	t.Press(Press{ID: at + "#off", Says: "Take the " + kind + " off"}, func(m *Moving) {
		m.Plan.Fittings = slices.Delete(m.Plan.Fittings, i, i+1)
	})
	t.blocks = append(t.blocks, Block{Key: string(f.Key), Words: t.taken()})
}

// padding tells what lies inside a fitting.
func padding(t *Teller, i int, at, of string, f plan.Fitting) {
	count := 0
	if f.Layers != nil && f.Layers.Batting != nil {
		count = f.Layers.Batting.Count
	}
	t.Say(", ")
	t.Choose(Choice{ID: at + "/layers/batting/count", Label: "Padding of the " + of, Now: strconv.Itoa(count),
		Options: []Option{{Key: "0", Says: "not padded"}, {Key: "1", Says: "padded with one batting"},
			{Key: "2", Says: "padded with two battings"}}},
		func(m *Moving, key string) {
			n, _ := strconv.Atoi(key)
			var l plan.Layers
			if old := m.Plan.Fittings[i].Layers; old != nil {
				l = *old
			}
			var b plan.Batting
			if l.Batting != nil {
				b = *l.Batting
			}
			if b.Count, l.Batting = n, &b; n == 0 {
				l.Batting = nil
			}
			if m.Plan.Fittings[i].Layers = &l; l == (plan.Layers{}) {
				m.Plan.Fittings[i].Layers = nil
			}
		})
}

// pocket tells how a pocket is made, and the pens it holds.
func pocket(t *Teller, at, of string, f plan.Fitting) {
	t.Say(", ")
	t.Set(at+"/style", "Style of the "+of, string(f.Style), Option{Key: "flat", Says: "hemmed at the top"},
		Option{Key: "folded", Says: "folded double"})
	t.Say(", with ")
	shown := ""
	if f.Slots == 0 {
		shown = "no"
	}
	t.Field(Field{Path: at + "/slots", Label: "Pen slots of the " + of, Reads: Count, Shown: shown})
	t.Say(" pen slots")
	if f.Slots > 0 {
		t.Say(" of ")
		t.Length(at+"/slot", "Width of a pen slot of the "+of)
	}
}

// across is where something stands from the left or the right, or in the middle; change makes a move of what is done
// to its place.
func across(t *Teller, at, of string, place plan.At, change func(func(*plan.At)) func(*Moving)) {
	away := t.Usual().Away
	now := "middle"
	switch {
	case place.Left != nil:
		now = "left"
	case place.Right != nil:
		now = "right"
	}
	distance(t, at, of, now)
	t.Choose(Choice{ID: at + "#across", Label: "Place of " + of + " across", Now: now,
		Options: []Option{{Key: "middle", Says: "in the middle across"}, {Key: "left", Says: "from the left"},
			{Key: "right", Says: "from the right"}}},
		func(m *Moving, key string) {
			change(func(a *plan.At) {
				a.Left, a.Right = nil, nil
				switch key {
				case "left":
					a.Left = &away
				case "right":
					a.Right = &away
				default:
					a.Middle = true
				}
			})(m)
		})
}

// up is the same from the top or the bottom; some things lie at an edge as well, sewn in with its seam.
func up(t *Teller, at, of string, place plan.At, edges bool, change func(func(*plan.At)) func(*Moving)) {
	away := t.Usual().Away
	now := "middle"
	switch {
	case edges && (place.Edge == "top" || place.Edge == "bottom"):
		now = "edge-" + string(place.Edge)
	case place.Top != nil:
		now = "top"
	case place.Bottom != nil:
		now = "bottom"
	}
	options := []Option{{Key: "middle", Says: "in the middle up"}, {Key: "top", Says: "from the top"},
		{Key: "bottom", Says: "from the bottom"}}
	if edges {
		options = append(options, Option{Key: "edge-top", Says: "at the top edge"},
			Option{Key: "edge-bottom", Says: "at the bottom edge"})
	}
	distance(t, at, of, now)
	t.Choose(Choice{ID: at + "#up", Label: "Place of " + of + " up", Now: now, Options: options},
		func(m *Moving, key string) {
			change(func(a *plan.At) {
				a.Top, a.Bottom, a.Edge = nil, nil, ""
				switch key {
				case "top":
					a.Top = &away
				case "bottom":
					a.Bottom = &away
				case "edge-top":
					a.Edge = "top"
				case "edge-bottom":
					a.Edge = "bottom"
				default:
					a.Middle = true
				}
			})(m)
		})
}

// distance from an edge, where it is told by one.
func distance(t *Teller, at, of, edge string) {
	switch edge {
	case "left", "right", "top", "bottom":
		t.Length(at+"/"+edge, "Distance of "+of+" from the "+edge)
		t.Say(" ")
	}
}
