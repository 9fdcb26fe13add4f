package work

import (
	"fmt"

	"umschlag/core/block"
)

// unitNames are what units are called, by the sign that divides them.
var unitNames = map[block.Sign]string{
	block.Columns: "pairs and rows", block.Rows: "columns", block.Rising: "half-square units", block.Falling: "half-square units", block.Cross: "quarter-square units",
	block.Up: "geese", block.Down: "geese", block.Left: "geese", block.Right: "geese", block.Diamond: "square-in-a-square units", block.Halved: "split triangles",
}

// unitText says how a unit is sewn, by its sign.
var unitText = map[block.Sign]string{
	block.Columns: "side by side from left to right", block.Rows: "one below the other", block.Rising: "along the long side, which is on the bias: do not pull", block.Falling: "along the long side, which is on the bias: do not pull",
	block.Cross: "two and two along their short sides, then both pairs along the middle", block.Up: "one small triangle to each side of the large one", block.Down: "one small triangle to each side of the large one",
	block.Left: "one small triangle to each side of the large one", block.Right: "one small triangle to each side of the large one", block.Diamond: "opposite corners first, press, then the other two", block.Halved: "along their short side",
}

// units sews what the blocks are made of, one kind after the other, each in a chain.
func (b *builder) units() {
	for i, u := range b.Face.Units {
		title := fmt.Sprintf("Sew %d %s", u.Count, unitNames[u.Sign])
		if u.Block {
			title = fmt.Sprintf("Sew the %d blocks", u.Count)
		}
		press := "Press each seam before the next one crosses it."
		if u.Block && b.pressed.Alternate {
			press = "In every second place of the layout press the block's seams the other way, as the pressing plan shows: blocks side by side lock."
		}
		step := Step{ID: fmt.Sprintf("%sunit.%d", b.prefix, i+1), Stage: Piecing, Title: title, Machine: b.seamText(), Press: press, Caution: b.pins(),
			Text:  fmt.Sprintf("%s: %s. Feed them one after the other and cut the chain after.", u.Text, unitText[u.Sign]),
			Check: fmt.Sprintf("Each is %s × %s, raw edge to raw edge; trim what is beyond.", b.text(u.Width), b.text(u.Height))}
		b.add(step)
	}
}
