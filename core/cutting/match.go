package cutting

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"umschlag/core/back"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/fitting"
	"umschlag/core/front"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// matched tells whether pieces of a cloth that meet are cut so that its print goes on over their seam. A motif lies
// in the middle of each side of the cover then, whatever that is cut from: sides that are sewn to each other are as
// long where they meet, so that their middles do, and the print with them. A print that is no mirror image of itself
// goes on from a front to its back only up its sides. Common practice.
func matched(p plan.Plan, letter string) bool {
	c, _ := p.Cloth(letter)
	return c.Match && c.Repeat != nil
}

// centred tells whether a part of a face has its middle on a motif of its cloth.
func (l *List) centred(piece string, part front.Part) bool {
	if part.Had {
		return false
	}
	if part.Role == front.Panel && matched(l.Plan, part.Cloth) {
		return true
	}
	face := cover.Decided(l.Plan, piece).Face
	if face == nil || !face.Centred || !oneMotif(part, face.TrianglesCentred) {
		return false
	}
	c, _ := l.Plan.Cloth(part.Cloth)
	return c.Repeat != nil
}

// oneMotif tells that a part may be cut round a motif: a panel, a patch, or a patch of a block that is cut by itself.
func oneMotif(part front.Part, byTemplate bool) bool {
	switch part.Role {
	case front.Panel, front.Patch:
		return true
	case front.BlockPatch:
		return straight(part) || byTemplate && len(part.Line) > 0
	}
	return false
}

// middleOf is where the middle of a part lies, from the middle of the rectangle it is cut from, by the ruler.
func middleOf(p plan.Plan, part front.Part) (off lay.Offset) {
	c, _ := p.Cloth(part.Cloth)
	if len(part.Line) == 0 || c.Repeat == nil {
		return off
	}
	x, y := part.Line.Middle()
	step := p.Habits.Step
	from := func(at float64, whole length.Length) length.Length {
		return (length.FromFloat(at) - whole/2 + step/2).Floor(step)
	}
	if c.Repeat.Across > 0 {
		off.X = from(x, part.Size.Width.Total())
	}
	if c.Repeat.Along > 0 {
		off.Y = from(y, part.Size.Height.Total())
	}
	return off
}

// onMotif puts the middle of the side that a cut is a part of, so far from its own, on a motif of its cloth, where
// that is matched and no edge lies on a selvedge.
func (l *List) onMotif(c *Cut, off lay.Offset, opposite bool) {
	if c.Had || !matched(l.Plan, c.Cloth) {
		return
	}
	if c.Selvedge {
		unmatched(l, *c, "has an edge on a selvedge", "Hem it instead, and it is cut where the print matches.")
		return
	}
	described, _ := l.Plan.Cloth(c.Cloth)
	on := lay.Cloth{Across: described.Repeat.Across, Along: described.Repeat.Along}
	c.Centred, c.Off = true, on.Nearest(off)
	c.Opposite = opposite && c.Off != lay.Offset{}
}

// unmatched finds a cut of a matched cloth that cannot be cut where its print would go on.
func unmatched(l *List, c Cut, why, remedy string) {
	described, _ := l.Plan.Cloth(c.Cloth)
	l.Found.Add(finding.Note, "print-unmatched", c.At,
		fmt.Sprintf("%s %s: the print of %s does not go on over its seams.", c.Title, why, described.Name), remedy)
}

// sideOf is where the middle of a back lies on its panel, from the middle of what is cut: that meets the edges of the
// back the panel reaches. The right one of two alike lies the other way round.
func sideOf(b back.Back, panel int, width, whole length.Length) (off lay.Offset, opposite bool) {
	var lies []back.Lie
	for _, lie := range b.Lies {
		if lie.Panel == panel {
			lies = append(lies, lie)
		}
	}
	if len(lies) == 0 {
		return off, false
	}
	slices.SortFunc(lies, func(a, b back.Lie) int { return cmp.Compare(a.Box.X, b.Box.X) })
	first := lies[0].Box
	switch left, right := first.X <= 0, first.X+first.Width >= whole; {
	case left && !right:
		off.X = whole/2 - width/2
	case right && !left:
		off.X = width/2 - whole/2
	}
	return off, len(lies) > 1
}

// onPanel puts a flat part of a fitting where its print goes on with that of the piece under it.
func (l *List) onPanel(c *Cut, f fitting.Fitted, part fitting.Part) {
	if !part.Flat || part.Count != 1 {
		return
	}
	for _, under := range l.Cuts {
		whole := under.About.Role == ref.Panel || under.About.Role.Closes()
		if whole && under.Piece == f.On && under.Layer == Outer && under.Centred && under.Cloth == c.Cloth {
			l.onMotif(c, lay.Offset{X: (f.From.Right - f.From.Left) / 2,
				Y: (f.From.Bottom-f.From.Top)/2 + part.Below}, false)
			return
		}
	}
}

// Motif says where on a cut a motif of the print lies; empty where it may lie anywhere.
func Motif(p plan.Plan, c Cut) string {
	if !c.Centred {
		return ""
	}
	described, _ := p.Cloth(c.Cloth)
	across, along := described.Repeat.Across > 0, described.Repeat.Along > 0
	text := p.Style().Text
	var beside []string
	add := func(off length.Length, more, less string) {
		switch {
		case off > 0:
			beside = append(beside, text(off)+" "+more)
		case off < 0:
			beside = append(beside, text(-off)+" "+less)
		}
	}
	add(c.Off.X, "right of", "left of")
	add(c.Off.Y, "below", "above")
	whose := "its"
	if len(c.Line) > 0 { // a template lies on the rectangle it is cut from
		whose = "the rectangle’s"
	}
	of := map[[2]bool]string{{true, true}: whose + " middle", {true, false}: "the middle of " + whose + " width",
		{false, true}: "the middle of " + whose + " height"}[[2]bool{across, along}]
	if len(beside) == 0 {
		return "a motif in " + of
	}
	says := fmt.Sprintf("a motif %s %s", strings.Join(beside, " and "), of)
	if c.Opposite {
		says += " on the left piece, as far on its other side on the right piece"
	}
	return says
}
