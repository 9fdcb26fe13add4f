package brief

import (
	"umschlag/core/kind"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// Closures are the sentences of what is decided for a closure, by its key; one without has nothing to decide.
var Closures kind.Set[func(*Teller)]

func init() {
	Closures.Add("envelope", envelope)
	Closures.Add("folded", folded)
	Closures.Add("folded-lined", folded)
	Closures.Add("lapped", func(t *Teller) {
		bands(t)
		t.Say(", the tape ")
		t.Length("/back/tape", "Width of the tape")
	})
	Closures.Add("buttons", func(t *Teller) {
		bands(t)
		t.Say(", with ")
		howMany(t, "How many buttons")
		t.Say(" of ")
		t.Length("/back/button", "Width of a button")
	})
	Closures.Add("ties", func(t *Teller) {
		bands(t)
		t.Say(", with ")
		howMany(t, "How many pairs of ties")
		t.Say(" pairs")
	})
	Closures.Add("zip", turnedUnder)
	Closures.Add("zip-flap", func(t *Teller) {
		turnedUnder(t)
		t.Say(" and a flap of ")
		t.Length("/back/flap", "Width of the flap")
		t.Say(" over it")
	})
	Closures.Add("zip-side", func(t *Teller) {
		shown := ""
		if t.plan.Back.Gap == 0 {
			shown = "the whole side"
		}
		t.Say(", open over ")
		t.Field(Field{Path: "/back/gap", Label: "Opening of the zip", Reads: Length, Shown: shown})
		t.Say(", ")
		t.Length("/back/seam", "Turned under at the zip")
		t.Say(" turned under at it")
	})
	Closures.Add("sewn", gap)
	Closures.Add("sewn-tab", func(t *Teller) {
		gap(t)
		t.Say(", the tab standing out ")
		t.Length("/back/tab", "Width of the tab")
	})
}

func gap(t *Teller) {
	t.Say(", the gap ")
	t.Length("/back/gap", "Gap to be sewn shut")
}

func bands(t *Teller) {
	t.Say(", its bands ")
	t.Length("/back/band", "Width of the bands")
	t.Say(" wide")
	outside(t)
}

func turnedUnder(t *Teller) {
	t.Say(", ")
	t.Length("/back/seam", "Turned under at the zip")
	t.Say(" turned under at the zip")
}

// howMany is a number of buttons or ties, or as many as are usual.
func howMany(t *Teller, label string) {
	f := Field{Path: "/back/count", Label: label, Reads: Count}
	if t.plan.Back.Count == 0 {
		f.Shown, f.Told = "the usual number of", "buttons"
	}
	t.Field(f)
}

// back tells how a cover closes that has a back of its own.
func back(t *Teller) {
	now := t.plan.Back.Closure()
	var options []Option
	for _, c := range plan.Closures(t.plan.Units) {
		options = append(options, Option{Key: c.Key, Says: c.Name})
	}
	t.Say("It closes with ")
	t.Choose(Choice{ID: "/back/kind", Label: "Closure of the back", Now: now, Options: options,
		Also: []string{"/back/place", "/back/lined"}}, func(m *Moving, key string) {
		for _, c := range plan.Closures(m.Plan.Units) {
			if c.Key == key {
				m.Plan.Back = m.Plan.Closed(c)
			}
		}
	})
	t.Say(" of ")
	cloth := t.plan.Back.Cloth
	if f := t.plan.Piece("back").Face; f != nil && f.Cloth != "" {
		cloth = f.Cloth
	}
	t.Choose(Choice{ID: "/pieces/back/face/cloth", Label: "Fabric of the back", Now: cloth, Options: faced(t),
		Also: []string{"/pieces/back/face/kind", "/back/cloth"}}, func(m *Moving, key string) {
		m.piece("back", func(p *plan.Piece) { p.Face = &plan.Face{Kind: plan.PlainFace, Cloth: key} })
	})
	if words, known := Closures.Of(now); known {
		words(t)
	}
	t.Say(". ")
	t.Widget("opens", "")
	if i, _, measured := t.plan.MeasuredAt(ref.FrontQuilted, ref.FrontSewn); measured {
		t.Say(" The front measured ")
		t.Length(path("measured", i, "width"), "Front as measured, across")
		t.Say(" across and ")
		t.Length(path("measured", i, "height"), "Front as measured, up")
		t.Say(" up: it can be cut.")
	} else {
		cutWhen(t)
	}
	t.End(aside(t, t.plan.Back.Aside, "/back/kind", "closure of the back", func(key string) string {
		return said(options, key)
	}, func(m *Moving, key string) { m.Plan.Back.Aside = without(m.Plan.Back.Aside, key) })...)
	t.blocks = append(t.blocks, Block{Widget: "compare-closures"})
}

// unsure are the reasons for which a front may come out otherwise than it is cut.
var unsure = map[string]string{
	"pieced":   "since a pieced front comes out as its seams are sewn",
	"quilted":  "since quilting draws the front in",
	"layered":  "since the layers of the front are trimmed together",
	"worked":   "since what is worked on the front draws it in",
	"found":    "since the panel is as large as it is",
	"":         "since one piece of fabric is as large as it is cut",
	"measured": "as you chose", "planned": "as you chose: the front has to come out as planned",
}

// cutWhen tells when the back is cut, and why.
func cutWhen(t *Teller) {
	why := plan.Unsure(t.plan)
	usual := "with the front"
	if why != "" {
		usual = "after the front is measured"
	}
	now := t.plan.Back.Wait
	switch now {
	case plan.WaitYes:
		why = "measured"
	case plan.WaitNo:
		why = "planned"
	default:
		now = plan.WaitAuto
	}
	t.Say(" It is cut ")
	t.Choose(Choice{ID: "/back/wait", Label: "When the back is cut", Now: string(now), Options: []Option{
		{Key: "auto", Says: "as is usual: " + usual, Shown: usual},
		{Key: "yes", Says: "after the front is measured, always", Shown: "after the front is measured"},
		{Key: "no", Says: "with the front, always", Shown: "with the front"}}},
		func(m *Moving, key string) {
			if m.Plan.Back.Wait = plan.Wait(key); m.Plan.Back.Wait == plan.WaitAuto {
				m.Plan.Back.Wait = ""
			}
		})
	t.Say(", " + unsure[why] + ".")
}

func folded(t *Teller) {
	b := t.plan.Back
	if b.Depth > 0 {
		t.Say(", each piece folded to ")
		t.Length("/back/depth", "Depth of the folded pieces")
	} else {
		t.Say(", ")
		overlap(t)
	}
	outside(t)
	if b.Lined {
		t.Say(", a gap of ")
		t.Length("/back/gap", "Gap in the lining")
		t.Say(" in the lining")
	}
}

// overlap is decided by its size, or by its share of the width.
func overlap(t *Teller) {
	b, now := t.plan.Back, "size"
	if b.Share > 0 {
		now = "share"
	}
	t.Say("overlapping by ")
	t.Choose(Choice{ID: "/back/overlap#how", Label: "How the overlap is decided", Now: now,
		Options: []Option{{Key: "size", Says: "a size,"}, {Key: "share", Says: "a share of the width,"}}},
		func(m *Moving, key string) {
			if m.Plan.Back.Overlap, m.Plan.Back.Share = nil, 25; key == "size" {
				m.Plan.Back.Share = 0
				if r := m.Reckoned().Back; r != nil {
					m.Plan.Back.Overlap = new(length.Length(r.Overlap.NM))
				}
			}
		})
	t.Say(" ")
	if b.Share > 0 {
		t.Field(Field{Path: "/back/share", Label: "Share of the overlap", Reads: Percent})
		return
	}
	shown := ""
	if b.Overlap == nil {
		shown = "a quarter"
	}
	t.Field(Field{Path: "/back/overlap", Label: "Overlap of the back", Reads: Length, Shown: shown})
}

func envelope(t *Teller) {
	b := t.plan.Back
	given := b.Panels.Widths != nil
	t.Say(", in ")
	t.Either("/back/panels", "Pieces of the back", given, "two equal pieces", "two pieces of my widths",
		func(m *Moving, yes bool) {
			if m.Plan.Back.Panels.Widths = nil; yes {
				wide := m.backPiece()
				m.Plan.Back.Panels.Widths = []length.Length{wide, wide}
			}
		})
	if given {
		t.Say(", ")
		t.Length("/back/panels/0", "Cut width of the left back piece")
		t.Say(" and ")
		t.Length("/back/panels/1", "Cut width of the right back piece")
	}
	hem := plan.Base(t.plan.Units, t.plan.Habits).Back.Hem
	t.Say(", ")
	t.Either("/back/hem", "Hem of the back pieces", len(b.Hem) == 0, "hemmed", "selvedges unhemmed",
		func(m *Moving, none bool) {
			if m.Plan.Back.Hem = hem; none {
				m.Plan.Back.Hem = []length.Length{}
			}
		})
	labels := []string{"First fold of the hem", "Second fold of the hem"}
	for i := range b.Hem {
		if i == 0 {
			t.Say(" ")
		} else {
			t.Say(" and ")
		}
		t.Length(path("back", "hem", i), labels[min(i, 1)])
	}
	if !given {
		t.Say(", ")
		overlap(t)
	}
	outside(t)
}

// backPiece is how wide a piece of the back is cut; where that is not known, as wide as two that overlap by a quarter.
func (m *Moving) backPiece() length.Length {
	for _, c := range m.Reckoned().Cuts {
		if c.Piece == "back" && c.Layer == "outer" {
			return length.Length(c.Width.NM)
		}
	}
	p := m.Settled()
	return max(p.Habits.Step, (5 * (p.Object.Width + p.Cover.Ease.Width) / 8).Floor(p.Habits.Step))
}

// outside tells which of two pieces that overlap lies outside.
func outside(t *Teller) {
	t.Say(", ")
	t.Either("/back/outer", "Which piece of the back lies outside", t.plan.Back.Outer == plan.LeftSide,
		"the right one outside", "the left one outside", func(m *Moving, yes bool) {
			if m.Plan.Back.Outer = ""; yes {
				m.Plan.Back.Outer = plan.LeftSide
			}
		})
}
