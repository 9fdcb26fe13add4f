package work

import (
	"fmt"
	"strings"

	"umschlag/core/block"
	"umschlag/core/front"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// unitText says how a unit is sewn, by its sign.
var unitText = map[block.Sign]string{
	block.Columns: "side by side from left to right", block.Rows: "one below the other",
	block.Rising:  "along the long side, which is on the bias: do not pull",
	block.Falling: "along the long side, which is on the bias: do not pull",
	block.Cross:   "two and two along their short sides, then both pairs along the middle",
	block.Up:      "one small triangle to each side of the large one",
	block.Down:    "one small triangle to each side of the large one",
	block.Left:    "one small triangle to each side of the large one",
	block.Right:   "one small triangle to each side of the large one",
	block.Diamond: "opposite corners first, press, then the other two", block.Halved: "along their short side",
}

// howUnit says how triangles are sewn before they are cut apart, by the school.
func howUnit(b *builder, u front.Unit, n int) string {
	if !u.Triangles || !b.Plan.Habits.Triangles.Large() {
		return ""
	}
	s := b.text(b.Plan.Cover.PiecingSeam)
	many := b.Plan.Habits.Triangles == plan.ManyTriangles
	switch u.Sign {
	case block.Rising, block.Falling:
		if !u.Pairs(b.Plan.Habits.Triangles) {
			return ""
		}
		if many && n >= block.Eight {
			return fmt.Sprintf("Place two large squares right sides together, draw both diagonals, sew %s to each side of both lines, cut along the lines and along both middles: eight units. What is left over is sewn from the smaller squares, two at a time. Press, and trim.", s)
		}
		return fmt.Sprintf("Place a square of each fabric right sides together, draw a diagonal, sew %s to each side of it and cut along it: two units. Press, and trim.", s)
	case block.Up, block.Down, block.Left, block.Right:
		if many && n >= 4 {
			return fmt.Sprintf("Lay two small squares in opposite corners of a large one, draw one line through both diagonals, sew %s to each side of it and cut along it. Press them out, lay one more small square in the corner of each half, draw, sew and cut the same way: four flying geese. What is left over is sewn one by one, from squares cut on their diagonals. Press, and trim.", s)
		}
	}
	return ""
}

// seamsOf is how many seams one unit has.
func seamsOf(b *builder, u front.Unit) int {
	switch u.Sign {
	case block.Cross:
		return 3
	case block.Up, block.Down, block.Left, block.Right:
		return 2
	case block.Diamond:
		return 4
	}
	return max(1, len(u.Cloths)-1)
}

// makeUnits sews what the blocks are made of, one kind after the other, each in a chain.
func makeUnits(b *builder) {
	alike := map[string]int{}
	for _, u := range b.Face.Units {
		if u.Set {
			continue // cut across its strip set
		}
		n := u.Count
		if u.Faces == 1 {
			n = max(0, n-u.Have)
		}
		title := fmt.Sprintf("Sew %d %s", n, u.Named(n))
		switch {
		case n == 0:
			title = fmt.Sprintf("Take the %d %s left from other covers", u.Count, u.Named(u.Count))
		case u.Block && n < u.Count:
			title = fmt.Sprintf("Sew %d of the %d blocks", n, u.Count)
		case u.Block:
			title = fmt.Sprintf("Sew the %d blocks", u.Count)
		}
		alike[title]++
		if n := alike[title]; n > 1 { // two of one title could not be told apart in the list
			title = fmt.Sprintf("%s (%d)", title, n)
		}
		s := Step{Of: u.In, No: u.No, Role: ref.DoUnit, Stage: Piecing, Act: UnitSewn, Title: title,
			Text: clothsText(b, u.Cloths) + ": they are left from other covers.",
			Check: fmt.Sprintf("Each is %s × %s, raw edge to raw edge; trim what is beyond.", b.text(u.Width),
				b.text(u.Height))}
		if n > 0 {
			sewUnits(b, &s, u, n)
		}
		b.add(s)
	}
}

// forFaces says of units that are cut together for several faces alike that it is so of all of them.
func forFaces(u front.Unit, text string) string {
	switch {
	case u.Faces == 2:
		return " For both together, " + strings.ToLower(text[:1]) + text[1:]
	case u.Faces > 2:
		return fmt.Sprintf(" For all %d together, %s", u.Faces, strings.ToLower(text[:1])+text[1:])
	}
	return " " + text
}

// oddText says what becomes of the last of an odd number that is sewn two at a time.
func oddText(u front.Unit) string {
	text := ""
	halves := "cut a square of each of the two fabrics in two on its diagonal, and sew a half of each together " +
		"along it. The other halves go into other units, or are over."
	if len(u.Cloths) == 1 && u.Cloths[0] != "" {
		halves = "cut a square in two on its diagonal, and sew its halves together along it."
	}
	switch {
	case u.Single == 1:
		text = forFaces(u, "The last one is sewn by itself: "+halves)
	case u.Single > 1:
		text = forFaces(u, fmt.Sprintf("The last one of each of %d pairs of fabrics is sewn by itself: %s", u.Single,
			halves))
	}
	switch {
	case u.Spare == 1:
		text += forFaces(u, "One more comes out than is needed.")
	case u.Spare > 1:
		text += forFaces(u, fmt.Sprintf("%d more come out than are needed.", u.Spare))
	}
	return text
}

// sewUnits says how so many units are sewn.
func sewUnits(b *builder, s *Step, u front.Unit, n int) {
	s.Press = "Press each seam before the next one crosses it."
	if u.Block && b.Pressed.Alternate {
		s.Press = "In every second block press the seams the other way, as the pressing plan shows: blocks side by side nest."
	}
	s.Text = fmt.Sprintf("%s: %s.", clothsText(b, u.Cloths), unitText[u.Sign])
	if how := howUnit(b, u, n); how != "" {
		s.Text = clothsText(b, u.Cloths) + ": " + how + oddText(u)
	}
	s.Seams = n * seamsOf(b, u)
	s.Stack = facing(sheetOf(b, "one piece", u.Cloths, 0), sheetOf(b, "the other", u.Cloths, 1))
	s.Machine, s.Within, s.Caution = b.piecing(), true, pinsText(b)
	s.Text += chainText(b, n)
	switch {
	case u.Have == 0:
	case u.Faces > 1:
		s.Text += forFaces(u, fmt.Sprintf("%d fewer are sewn: so many are left from other covers.", u.Have))
	case u.Have == 1:
		s.Text += " The one that is missing is left from another cover."
	default:
		s.Text += fmt.Sprintf(" The other %d are left from other covers.", u.Have)
	}
}

// clothsText names cloths by their names.
func clothsText(b *builder, letters []string) string {
	names := make([]string, len(letters))
	for i, letter := range letters {
		if c, _ := b.Plan.Cloth(letter); letter != "" {
			names[i] = c.Name
		} else {
			names[i] = "the fabric of each block"
		}
	}
	return upper(strings.Join(names, ", "))
}

// batch is how many are fed in one chain before it is cut and pressed. Common practice.
const batch = 16

// chainText says in which batches units are fed one after the other.
func chainText(b *builder, n int) string {
	switch {
	case n < 2:
		return ""
	case n <= batch:
		return fmt.Sprintf(" Chain piece all %d, and cut the chain apart after.", n)
	}
	return fmt.Sprintf(" Chain piece them in %d chains of up to %d; cut apart and press each chain before the next, and sew one of them to the end first as a trial.", (n+batch-1)/batch, batch)
}
