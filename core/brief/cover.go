package brief

import (
	"cmp"

	"umschlag/core/begin"
	"umschlag/core/kind"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// Covers are the sentences of how a cover relates to what it covers, by its kind.
var Covers kind.Set[func(*Teller)]

func init() {
	Covers.Add("cushion", flatCover)
	Covers.Add("boxed-cushion", flatCover)
	Covers.Add("pad", flatCover)
	for _, hood := range hoods {
		Covers.Add(hood.Key, hoodCover)
	}
	Covers.Add("jacket", jacket)
}

var hoods = []Option{{Key: "wrap-hood", Says: "A wrapped hood"}, {Key: "band-hood", Says: "A banded hood"},
	{Key: "skirt-hood", Says: "A skirted hood"}}

func coverWords(t *Teller) {
	if words, known := Covers.Of(string(t.plan.Cover.Kind)); known {
		words(t)
	}
	if t.words != nil {
		t.End()
	}
}

// flatCover tells of cushions and pads: eased across and up.
func flatCover(t *Teller) {
	p := t.plan
	round := p.Object.Round()
	eased := "eased"
	switch {
	case p.Cover.Kind == plan.Pad:
		t.Say("A seat pad, ")
		eased = "larger by"
	case p.Object.Kind == plan.Found:
		t.Say("It is ")
		eased = "larger than the panel by"
	default:
		t.Say("Against the insert it is ")
	}
	axes := []axis{{"width", "across"}}
	if !round {
		axes = append(axes, axis{"height", "up"})
	}
	if thick(p) {
		axes = append(axes, axis{"depth", "in thickness"})
	}
	howLarge(t, eased, "of a size of its own,", axes)
	t.Widget("finishes", "")
	t.Say(". ")
	seam(t)
	if !round {
		t.Say(", ")
		corners(t, !thick(p))
	}
	if p.Cover.Rules().ByBack {
		t.Say(", a flange of ")
		t.Length("/cover/flange", "Flange")
		t.Say(" round it")
	}
	t.Say("; ")
	wash(t)
	closed(t)
}

// axis is a direction of a cover: its key in the plan, and how it is said.
type axis struct{ key, says string }

// How the size of a cover is decided.
const (
	byEase = "ease"
	bySize = "size"
)

// howLarge tells how large a cover is: by its ease, or by a size of its own along every axis.
func howLarge(t *Teller, eased, sized string, axes []axis) {
	how := byEase
	if t.plan.Cover.Size != (plan.Sizes{}) {
		how = bySize
	}
	t.Choose(Choice{ID: "/cover/size", Label: "How the size of the cover is decided", Now: how,
		Options: []Option{{Key: byEase, Says: eased}, {Key: bySize, Says: sized}}},
		func(m *Moving, key string) {
			if settled := m.Settled(); key == byEase {
				m.Plan.Cover.Ease, m.Plan.Cover.Size = settled.Cover.Ease, plan.Sizes{}
			} else {
				m.Plan.Cover.Size = plan.SizesOf(settled)
			}
		})
	for i, a := range axes {
		if i > 0 {
			t.join(i, len(axes))
		} else {
			t.Say(" ")
		}
		if how == byEase {
			t.Length("/cover/ease/"+a.key, "Ease "+a.says)
		} else {
			shown := ""
			if _, given := plan.SizeOf(t.plan, a.key); !given {
				is, _ := plan.Finishes(t.plan, a.key)
				shown = t.plan.Style().Text(is)
			}
			t.Field(Field{Path: "/cover/size/" + a.key, Label: "Size of the cover " + a.says, Reads: Length,
				Shown: shown})
		}
		t.Say(" " + a.says)
	}
}

func seam(t *Teller) {
	t.Say("Seams are ")
	t.Length("/cover/seam", "Seam allowance")
	if fromParts(t.plan) || t.typed.Cover.PiecingSeam != 0 {
		t.Say(", piecing seams ")
		t.Length("/cover/piecing_seam", "Piecing seam")
	}
}

// fromParts reports whether any face is sewn from parts.
func fromParts(p plan.Plan) bool {
	for _, q := range p.Pieces {
		if f := q.Face; f != nil && f.Kind != plan.PlainFace {
			return true
		}
	}
	return false
}

func wash(t *Teller) {
	t.Say("washing will take ")
	t.Field(Field{Path: "/cover/wash", Label: "Shrinkage planned for", Reads: Percent})
	t.Say(".")
}

// closed tells how a cover is closed that has no back of its own.
func closed(t *Teller) {
	switch t.plan.Cover.Kind {
	case plan.BoxedCushion:
		t.Say(" It closes ")
		t.Set("/back/kind", "Closure of the band", string(t.plan.Back.Kind),
			Option{Key: "sewn", Says: "by hand, over a gap"},
			Option{Key: "zip", Says: "with a zip in the band, over a gap"})
		t.Say(" of ")
		t.Length("/back/gap", "Gap in the band")
		if t.plan.Back.Kind == plan.Zip {
			t.Say(", ")
			t.Length("/back/seam", "Turned under at the zip")
			t.Say(" turned under at it")
		}
		t.Say(".")
	case plan.Pad, plan.Jacket:
		if t.plan.Cover.Flaps.Style != plan.TurnedIn {
			t.Say(" It is turned through a gap of ")
			t.Length("/back/gap", "Gap to turn it through")
			t.Say(".")
		}
	}
}

// corners tells of corners: square, round by a radius or a plate, or tapered.
func corners(t *Teller, tapered bool) {
	c := t.plan.Cover.Corners
	now := or(string(c.Kind), "square")
	if c.Kind == plan.RoundCorners {
		if now = "radius"; c.Plate > 0 {
			now = "plate"
		}
	}
	options := []Option{{Key: "square", Says: "square"}, {Key: "radius", Says: "cut to a radius of"},
		{Key: "plate", Says: "drawn round a plate of"}}
	if tapered {
		options = append(options, Option{Key: "tapered", Says: "drawn in by"})
	}
	t.Say("corners ")
	t.Choose(Choice{ID: "/cover/corners/kind", Label: "Corners", Now: now, Options: options}, cornered)
	switch now {
	case "radius":
		t.Say(" ")
		t.Length("/cover/corners/radius", "Radius of the cut corner")
	case "plate":
		t.Say(" ")
		t.Length("/cover/corners/plate", "Diameter of the plate")
	case "tapered":
		t.Say(" ")
		t.Length("/cover/corners/taper", "Taper of the corners")
	}
}

// cornered is a plan with other corners: what was decided of others stays there, and is not read.
func cornered(m *Moving, key string) {
	c, usual := &m.Plan.Cover.Corners, begin.Sizes(m.Settled())
	switch key {
	case "radius":
		c.Kind, c.Radius, c.Plate = plan.RoundCorners, cmp.Or(c.Radius, usual.Radius), 0
	case "plate":
		c.Kind, c.Plate = plan.RoundCorners, cmp.Or(c.Plate, usual.Plate)
	case "tapered":
		c.Kind, c.Taper = plan.TaperedCorners, cmp.Or(c.Taper, usual.Taper)
	default:
		c.Kind = plan.SquareCorners
	}
}

func hoodCover(t *Teller) {
	c := t.plan.Cover
	t.Choose(Choice{ID: "/cover/kind", Label: "Kind of hood", Now: string(c.Kind), Options: hoods},
		func(m *Moving, key string) { *m.Plan = plan.AsHood(*m.Plan, plan.CoverKind(key)) })
	t.Say(", ")
	howLarge(t, "loose by", "finishing",
		[]axis{{"length", "in length"}, {"depth", "in depth"}, {"height", "in height"}})
	t.Say(". ")
	seam(t)
	t.Say(", ")
	corners(t, false)
	t.Say("; the layers are ")
	t.Length("/cover/bulk", "Bulk of the layers")
	t.Say(" thick inside; ")
	wash(t)
	t.Say(" The bottom is ")
	bottom(t)
	t.Say(".")
	switch c.Kind {
	case "wrap-hood":
		t.Say(" The top is ")
		t.Either("/cover/split_top", "Top of the hood", c.SplitTop, "in one piece",
			"split by a seam, for a one-way print", func(m *Moving, yes bool) { m.Plan.Cover.SplitTop = yes })
		t.Say(".")
	case "band-hood":
		bandCut(t)
	}
	t.End(aside(t, c.Aside, "/cover/kind", "the hood", func(key string) string {
		return "what its pieces were as " + lower(said(hoods, key))
	}, func(m *Moving, key string) { m.Plan.Cover.Aside = without(m.Plan.Cover.Aside, key) })...)
}

func bottom(t *Teller) {
	c := t.plan.Cover
	now := or(string(c.Bottom.Finish), "bound")
	hem := t.Usual().Hem
	t.Choose(Choice{ID: "/cover/bottom/finish", Label: "Bottom edge", Now: now,
		Options: []Option{{Key: "bound", Says: "bound"}, {Key: "hem", Says: "hemmed"}, {Key: "raw", Says: "left raw"}}},
		func(m *Moving, key string) {
			b := &m.Plan.Cover.Bottom
			if b.Finish = plan.BottomFinish(key); key == "hem" {
				b.Width = cmp.Or(b.Width, hem)
			}
		})
	if now == "hem" {
		t.Say(" ")
		t.Length("/cover/bottom/width", "Width of the hem")
	}
}

// bandCut tells of a band that may be cut already.
func bandCut(t *Teller) {
	t.Say(" A band is ")
	cut := t.plan.Cover.BandLength != nil
	t.Either("/cover/band_length#is", "A band already cut", cut, "still to be cut", "already cut",
		func(m *Moving, yes bool) {
			if !yes {
				m.Plan.Cover.BandLength = nil
				return
			}
			round := m.wayRound()
			if round == 0 {
				m.Refuse("How long the band is follows from the hood: put right first what is said of it.")
			}
			m.Plan.Cover.BandLength = &round
		})
	if cut {
		t.Say(", ")
		t.Length("/cover/band_length", "Length of the band")
		t.Say(" long")
	}
	t.Say(".")
}

// wayRound is how long the band of a hood is cut, up to the ruler; 0 where that is not known.
func (m *Moving) wayRound() length.Length {
	for _, p := range m.Reckoned().Pieces {
		if p.Name == "band" {
			return length.Length(p.Trimmed.Height.NM).Ceil(m.Settled().Habits.Step)
		}
	}
	return 0
}

func jacket(t *Teller) {
	c := t.plan.Cover
	t.Say("A jacket, ")
	howLarge(t, "looser by", "finishing", []axis{{"wrap", "round the book"}, {"height", "up"}})
	t.Say(". ")
	seam(t)
	t.Say("; the layers are ")
	t.Length("/cover/bulk", "Bulk of the layers")
	t.Say(" thick; ")
	wash(t)
	t.Say(" Its flaps are ")
	t.Set("/cover/flaps/style", "Style of the flaps", string(c.Flaps.Style),
		Option{Key: "folded", Says: "folded double"}, Option{Key: "flip", Says: "hemmed and flipped round"},
		Option{Key: "turned-in", Says: "turned in from the outside"})
	if c.Flaps.Style == plan.Flipped {
		t.Say(" with a hem of ")
		t.Length("/cover/flaps/hem", "Hem of the flaps")
	}
	t.Say(", ")
	t.Either("/cover/flaps/depth#two", "Depths of the flaps", c.Flaps.Depth.Two(), "both", "each of its own depth:",
		func(m *Moving, yes bool) {
			d := &m.Plan.Cover.Flaps.Depth
			if d.Apart = yes; !yes {
				d.Back, d.BackCut = d.Front, d.FrontCut
			}
		})
	t.Say(" ")
	if c.Flaps.Depth.Two() {
		t.Length("/cover/flaps/depth/0", "Depth of the front flap")
		t.Say(" in front and ")
		t.Length("/cover/flaps/depth/1", "Depth of the back flap")
		t.Say(" at the back.")
		if c.Flaps.Depth.Front == c.Flaps.Depth.Back {
			t.Say(" They are still alike.")
		}
	} else {
		t.Length("/cover/flaps/depth", "Depth of the flaps")
		t.Say(" deep.")
	}
	closed(t)
}
