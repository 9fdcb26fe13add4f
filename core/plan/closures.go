package plan

import (
	"cmp"

	"umschlag/core/kind"
	"umschlag/core/length"
)

// Closure is a way to close the back of a cushion, as it begins, with what makers say
// of it. Common practice.
type Closure struct {
	Key  string
	Name string
	// Back is what is decided for it; the rest follows from Settle.
	Back Back
	// Skill it asks for, how it is washed, and when it suits.
	Skill, Wash, Suits string
}

// ClosureRules is what the plan has to know of a closure: how it begins, and what makers say of it. Common
// practice.
type ClosureRules struct {
	Name string
	// Skill it asks for, how it is washed, and when it suits.
	Skill, Wash, Suits string
	// Begins is what is decided for it, in a unit; the rest follows from Settle.
	Begins func(length.Unit) Back
	// Of is the kind of back that it is one way to make; Is tells it from the others. Neither is said of the
	// plain way, which has the name of its kind.
	Of BackKind
	Is func(Back) bool
}

// BackRules is what the plan has to know of a kind of back.
type BackRules struct {
	// Reads are the keys that count for it.
	Reads []string
	// Settle completes what is not decided of it; nil where nothing follows.
	Settle func(*Back, Plan)
}

var (
	// BackKinds are the kinds of backs. How one is made stands in core/back.
	BackKinds kind.Set[BackRules]
	// ClosureKinds are the closures of a cushion by their keys, the usual one first: a kind of back, made in
	// one of the ways it can be.
	ClosureKinds kind.Set[ClosureRules]
)

func init() {
	BackKinds.Add("envelope", BackRules{Reads: []string{"overlap", "share", "hem", "panels", "outer"}})
	BackKinds.Add("folded", BackRules{Reads: []string{"depth", "overlap", "share", "lined", "gap", "outer"},
		Settle: func(b *Back, p Plan) {
			if b.Lined {
				b.Gap = cmp.Or(b.Gap, usualIn(p.Units).gap)
			}
		}})
	BackKinds.Add("lapped", BackRules{Reads: []string{"band", "tape", "outer"}, Settle: func(b *Back, p Plan) {
		b.Band, b.Tape = cmp.Or(b.Band, usualIn(p.Units).band), cmp.Or(b.Tape, usualIn(p.Units).narrow)
	}})
	BackKinds.Add("buttons", BackRules{Reads: []string{"band", "count", "button", "outer"}, Settle: buttoned})
	BackKinds.Add("ties", BackRules{Reads: []string{"band", "count", "outer"},
		Settle: func(b *Back, p Plan) { b.Band = cmp.Or(b.Band, usualIn(p.Units).band) }})
	BackKinds.Add("zip", BackRules{Reads: []string{"seam", "place", "flap", "gap"}, Settle: func(b *Back, p Plan) {
		b.Seam, b.Place = cmp.Or(b.Seam, p.Cover.Seam), cmp.Or(b.Place, Across)
	}})
	// two thirds of its side as it finishes
	BackKinds.Add("sewn", BackRules{Reads: []string{"gap", "tab"}, Settle: func(b *Back, p Plan) {
		if b.Gap == 0 && p.Habits.Step > 0 {
			b.Gap = max(0, 2*(p.Object.Width+p.Cover.Ease.Width)/3).Floor(p.Habits.Step)
		}
	}})
	ClosureKinds.Add("envelope", ClosureRules{Name: "an envelope", Skill: "a first cover",
		Wash:  "The cover comes off without a fastener and is washed by itself.",
		Suits: "Suits every soft insert; nothing to buy, nothing hard to lie on.",
		Begins: func(unit length.Unit) Back {
			return Back{Kind: Envelope, Hem: []length.Length{usualIn(unit).hem, usualIn(unit).hem}}
		}})
	ClosureKinds.Add("folded", ClosureRules{Name: "a folded envelope", Skill: "a first cover",
		Wash:   "Comes off and is washed by itself; double fabric dries slowly.",
		Suits:  "Suits thin fabric and small covers: no hem, but twice the fabric.",
		Begins: func(_ length.Unit) Back { return Back{Kind: FoldedBack} }})
	ClosureKinds.Add("folded-lined", ClosureRules{Name: "a folded envelope with a full lining", Skill: "some practice",
		Wash:   "Comes off; no raw edge frays in the wash.",
		Suits:  "Suits fabric that frays and covers that are turned inside out: no raw edge shows.",
		Begins: func(_ length.Unit) Back { return Back{Kind: FoldedBack, Lined: true} },
		Of:     FoldedBack, Is: func(b Back) bool { return b.Lined }})
	ClosureKinds.Add("lapped", ClosureRules{Name: "bands with hook-and-loop tape", Skill: "some practice",
		Wash:   "Close the tape before washing, or it catches lint and scratches.",
		Suits:  "Suits quick changes and hands that cannot manage buttons; the tape is stiff to lie on.",
		Begins: func(_ length.Unit) Back { return Back{Kind: Lapped} }})
	ClosureKinds.Add("buttons", ClosureRules{Name: "bands with buttons", Skill: "buttonholes",
		Wash: "Washed buttoned up, inside out.", Suits: "Suits a back that shows; not for babies and small children.",
		Begins: func(_ length.Unit) Back { return Back{Kind: Buttoned} }})
	ClosureKinds.Add("ties", ClosureRules{Name: "bands with ties", Skill: "patience",
		Wash:   "Tie loosely before washing.",
		Suits:  "Suits a soft look and inserts of uneven size; keep ties short where small children are.",
		Begins: func(_ length.Unit) Back { return Back{Kind: Tied} }})
	ClosureKinds.Add("zip", ClosureRules{Name: "a zip across the back", Skill: "a zipper foot",
		Wash:   "Washed closed, inside out.",
		Suits:  "Suits firm inserts and covers that are washed often; the zip is felt through thin fabric.",
		Begins: func(_ length.Unit) Back { return Back{Kind: Zip, Place: Across} }})
	ClosureKinds.Add("zip-flap", ClosureRules{Name: "a zip across, under a flap", Skill: "a zipper foot and care",
		Wash: "Washed closed, inside out.", Suits: "Suits a back that shows, and covers with a flange.",
		Begins: func(unit length.Unit) Back { return Back{Kind: Zip, Place: Across, Flap: usualIn(unit).band} },
		Of:     Zip, Is: func(b Back) bool { return b.Place != InTheSide && b.Flap > 0 }})
	ClosureKinds.Add("zip-side", ClosureRules{Name: "a zip in the bottom seam", Skill: "a zipper foot",
		Wash:   "Washed closed, inside out.",
		Suits:  "Suits cushions with two good sides; not with a flange, and with piping only with care.",
		Begins: func(_ length.Unit) Back { return Back{Kind: Zip, Place: InTheSide} },
		Of:     Zip, Is: func(b Back) bool { return b.Place == InTheSide }})
	ClosureKinds.Add("sewn", ClosureRules{Name: "a gap sewn shut by hand", Skill: "a first cover",
		Wash:   "The insert is washed with it, or the seam is opened each time.",
		Suits:  "Suits small things and inserts that may be washed themselves.",
		Begins: func(_ length.Unit) Back { return Back{Kind: SewnShut} }})
	ClosureKinds.Add("sewn-tab", ClosureRules{Name: "a gap with a tab, sewn shut", Skill: "a first cover",
		Wash:   "The insert is washed with it; one line of top-stitching opens it.",
		Suits:  "Suits inner inserts: one line of top-stitching closes and opens it.",
		Begins: func(unit length.Unit) Back { return Back{Kind: SewnShut, Tab: usualIn(unit).band} },
		Of:     SewnShut, Is: func(b Back) bool { return b.Tab > 0 }})
}

// buttoned completes a back with buttons: a third of a small cover is all its bands may take, and its
// buttons have to fit them.
func buttoned(b *Back, p Plan) {
	sizes := usualIn(p.Units)
	if b.Band == 0 && p.Habits.Step > 0 {
		b.Band = min(sizes.buttonBand, ((p.Object.Width + p.Cover.Ease.Width) / 3).Floor(p.Habits.Step))
	}
	b.Band = cmp.Or(b.Band, sizes.buttonBand)
	if fits := b.Band - (sizes.buttonBand - sizes.button); fits > 0 {
		b.Button = cmp.Or(b.Button, min(sizes.button, fits))
	}
	b.Button = cmp.Or(b.Button, sizes.button)
}

// Values are the words for kinds of backs.
func (BackKind) Values() []string { return BackKinds.Names() }

// Closures lists the closures of a cushion, the usual one first, begun in a unit.
func Closures(unit length.Unit) []Closure {
	var out []Closure
	for _, key := range ClosureKinds.Names() {
		k, _ := ClosureKinds.Of(key)
		out = append(out, Closure{Key: key, Name: k.Name, Back: k.Begins(unit), Skill: k.Skill, Wash: k.Wash,
			Suits: k.Suits})
	}
	return out
}

// On is what is decided for the closure on a cushion where nothing is kept of it: what it begins
// with, the flap over a zip no wider than a quarter of a small cover.
func (c Closure) On(p Plan) Back {
	if kept, ok := p.Back.Aside[c.Key]; ok {
		return kept
	}
	b := c.Back
	if most := (p.Object.Width + p.Cover.Ease.Width) / 4; b.Flap > 0 && most > 0 && p.Cover.Kind == Cushion &&
		p.Habits.Step > 0 {
		b.Flap = min(b.Flap, most.Floor(p.Habits.Step))
	}
	return b
}

// InSeam is the gap that the closing seam of a settled back leaves, 0 where it is sewn all round: the gap of a zip is
// its opening, that of a lined envelope lies in its lining, and other closures read none.
func (b Back) InSeam() length.Length {
	if b.Kind != SewnShut {
		return 0
	}
	return b.Gap
}

// Closure is the key of the closure a settled back is made as.
func (b Back) Closure() string {
	plain := string(b.Kind)
	for _, key := range ClosureKinds.Names() {
		k, _ := ClosureKinds.Of(key)
		if k.Of == b.Kind && k.Is != nil && k.Is(b) {
			return key
		}
	}
	return plain
}
