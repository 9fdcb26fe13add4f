package plan

import "umschlag/core/length"

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

// Closures lists the closures of a cushion, the usual one first, begun in a unit.
func Closures(unit length.Unit) []Closure {
	sizes := usualIn(unit)
	hem := []length.Length{sizes.hem, sizes.hem}
	return []Closure{
		{"envelope", "an envelope", Back{Kind: Envelope, Hem: hem}, "a first cover", "The cover comes off without a fastener and is washed by itself.", "Suits every soft pad; nothing to buy, nothing hard to lie on."},
		{"folded", "a folded envelope", Back{Kind: FoldedBack}, "a first cover", "Comes off and is washed by itself; double cloth dries slowly.", "Suits thin cloth and small covers: no hem, but twice the cloth."},
		{"folded-lined", "a folded envelope with a full lining", Back{Kind: FoldedBack, Lined: true}, "some practice", "Comes off; no raw edge frays in the wash.", "Suits cloth that frays and covers that are turned inside out: no raw edge shows."},
		{"lapped", "bands with hook-and-loop tape", Back{Kind: Lapped}, "some practice", "Close the tape before washing, or it catches lint and scratches.", "Suits quick changes and hands that cannot manage buttons; the tape is stiff to lie on."},
		{"buttons", "bands with buttons", Back{Kind: Buttoned}, "buttonholes", "Washed buttoned up, inside out.", "Suits a back that shows; not for babies and small children."},
		{"ties", "bands with ties", Back{Kind: Tied}, "patience", "Tie loosely before washing.", "Suits a soft look and pads of uneven size; keep ties short where small children are."},
		{"zip", "a zip across the back", Back{Kind: Zip, Place: Across}, "a zip foot", "Washed closed, inside out.", "Suits firm pads and covers that are washed often; the zip is felt through thin cloth."},
		{"zip-flap", "a zip across, under a flap", Back{Kind: Zip, Place: Across, Flap: sizes.band}, "a zip foot and care", "Washed closed, inside out.", "Suits a back that shows, and covers with a flange."},
		{"zip-side", "a zip in the bottom seam", Back{Kind: Zip, Place: InTheSide}, "a zip foot", "Washed closed, inside out.", "Suits cushions with two good sides; not with a flange, and with piping only with care."},
		{"sewn", "a gap sewn shut by hand", Back{Kind: SewnShut}, "a first cover", "The pad is washed with it, or the seam is opened each time.", "Suits small things and pads that may be washed themselves."},
		{"sewn-tab", "a gap with a tab, sewn shut", Back{Kind: SewnShut, Tab: sizes.band}, "a first cover", "The pad is washed with it; one line of top-stitching opens it.", "Suits inner pads: one line of top-stitching closes and opens it."},
	}
}

// On is what is decided for the closure on a cushion where nothing is kept of it: what it begins
// with, the flap over a zip no wider than a quarter of a small cover.
func (c Closure) On(p Plan) Back {
	if kept, ok := p.Back.Aside[c.Key]; ok {
		return kept
	}
	b := c.Back
	if most := (p.Object.Width + p.Cover.Ease.Width) / 4; b.Flap > 0 && most > 0 && p.Cover.Kind == Cushion && p.Habits.Step > 0 {
		b.Flap = min(b.Flap, most.Floor(p.Habits.Step))
	}
	return b
}

// Closure is the key of the closure a settled back is made as.
func (b Back) Closure() string {
	switch {
	case b.Kind == FoldedBack && b.Lined:
		return "folded-lined"
	case b.Kind == Zip && b.Place == InTheSide:
		return "zip-side"
	case b.Kind == Zip && b.Flap > 0:
		return "zip-flap"
	case b.Kind == SewnShut && b.Tab > 0:
		return "sewn-tab"
	default:
		return string(b.Kind)
	}
}
