package planfile

import (
	"umschlag/core/brief"
	"umschlag/core/length"
)

// Shown is a brief in which lengths that were typed in a unit of their own are shown in the unit of the plan, rounded
// as everything that is shown; doc is the plan as it was typed. The values themselves stay as they were typed.
func Shown(b brief.Brief, doc []byte, style length.Style) brief.Brief {
	n, err := parse(doc)
	if err != nil {
		return b
	}
	for _, s := range b.Stages {
		shownIn(s.Blocks, n, style)
	}
	return b
}

func shownIn(blocks []brief.Block, n node, style length.Style) {
	for _, block := range blocks {
		shownIn(block.Blocks, n, style)
		for _, word := range block.Words {
			if f := word.Field; f != nil && f.Reads == brief.Length && f.Shown == "" {
				f.For, f.Shown = ownUnit(at(n, f.Path), style)
			}
		}
	}
}

// ownUnit is a typed length that names its unit, and how it is shown in another; nothing for any other value.
func ownUnit(n node, style length.Style) (typed, shown string) {
	typed, _ = n.(string)
	text, cut := cutText(n)
	if !cut {
		text = typed
	}
	l, err := length.Parse(text, length.Inches)
	if other, again := length.Parse(text, length.Centimetres); err != nil || again != nil || l != other || l == 0 {
		return "", ""
	}
	if shown = style.Text(l); cut {
		shown += " " + cutWord
	}
	return typed, shown
}
