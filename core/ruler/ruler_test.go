package ruler_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/ruler"
	_ "umschlag/seeded"
)

const in = length.Inch

// told is how a lay is cut, in sentences.
func told(l lay.Lay, odd *lay.Odd, cuts ...ruler.Cut) []string {
	moves := ruler.Order(l, odd, cuts)
	all := [][]ruler.Move{moves}
	ruler.Settle(all, cuts)
	s := ruler.Speaker{Style: length.Style{Unit: length.Inches, Denominator: 8}, Cuts: cuts}
	if odd != nil {
		s.Odd = odd.Count
	}
	var out []string
	for _, m := range moves {
		text := strings.TrimSuffix(s.Title(m)+". "+s.Text(m), " ")
		if m.Done {
			text = "✓ " + text
		}
		for _, e := range m.Ends {
			text += fmt.Sprintf(" !%d", e)
		}
		out = append(out, text)
	}
	return out
}

func square(title string, side length.Length) ruler.Cut {
	return ruler.Cut{Title: title, Width: side, Height: side}
}

func laid(on lay.Cloth, items ...lay.Item) lay.Lay {
	for i := range items {
		items[i].Cut = i
	}
	l, _ := lay.Of(items, on)
	return l
}

var forty = lay.Cloth{Usable: 40 * in}

func TestTheRestOfAStripIsLeftForWhatWaits(t *testing.T) {
	front := lay.Item{Width: 16 * in, Height: 16 * in, Count: 1}
	back := lay.Item{Width: 10 * in, Height: 16 * in, Count: 2, Late: 1, Keep: lay.Size{Width: 10*in + in/8,
		Height: 16*in + in/4}}
	cuts := []ruler.Cut{square("Front", 16*in), {Title: "Back piece", Width: 10 * in, Height: 16 * in, Waits: "the front"}}
	assert.Equal(t, []string{
		"Square the end.",
		"Ruler to 16¼″. Cut strip 1 all the way across.",
		"Ruler to 16″. Cut one piece off strip 1 and trim it to 16″: front, 16″ × 16″. !0",
		"Leave the rest whole. At least 20¼″ of strip 1 for the back piece, cut once the front is measured. Label it.",
	}, told(laid(forty, front, back), nil, cuts...))

	cuts[0].Done, cuts[1].Waits, back.Known, back.Height = true, "", true, 15*in+in/2
	assert.Equal(t, []string{
		"✓ Square the end.",
		"✓ Ruler to 16¼″. Cut strip 1 all the way across.",
		"✓ Ruler to 16″. Cut one piece off strip 1 and trim it to 16″: front, 16″ × 16″.",
		"Ruler to 10″. Cut 2 pieces off strip 1 and trim them to 15½″: back piece, 10″ × 16″. !1",
	}, told(laid(forty, front, back), nil, cuts...), "the strip is cut already")
}

func TestWhatOnlyWaitsStaysOnTheLength(t *testing.T) {
	wide := lay.Item{Width: 37 * in, Height: 8 * in, Count: 3, Late: 1}
	cuts := []ruler.Cut{{Title: "Border", Width: 37 * in, Height: 8 * in, Waits: "the quilted centre"}, square("Patch", 4*in)}
	assert.Equal(t, []string{
		"Square the end.",
		"Ruler to 4″. Cut strip 1 all the way across.",
		"Ruler to 4″. Cut 10 pieces off strip 1: patch, 4″ × 4″. !1",
		"Leave the rest uncut. At least 24″ of it for the border, cut once the quilted centre is measured.",
	}, told(laid(forty, wide, lay.Item{Width: 4 * in, Height: 4 * in, Count: 10}), nil, cuts...))
	assert.Equal(t, []string{
		"Leave the rest uncut. At least 24″ of it for the border, cut once the quilted centre is measured.",
	}, told(laid(forty, wide), nil, cuts...), "nothing is done yet")
}

// What waits for one measurement and what waits for another stay uncut one after the other.
func TestWhatStaysUncutIsToldByWhatItWaitsFor(t *testing.T) {
	border := lay.Item{Width: 37 * in, Height: 3 * in, Count: 2, Late: 1}
	back := lay.Item{Width: 37 * in, Height: 8 * in, Count: 1, Late: 2}
	cuts := []ruler.Cut{{Title: "Border", Width: 37 * in, Height: 3 * in, Waits: "the quilted centre"},
		{Title: "Back", Width: 37 * in, Height: 8 * in, Waits: "the front"}}
	assert.Equal(t, []string{
		"Leave the rest uncut. At least 6″ of it for the border, cut once the quilted centre is measured.",
		"Leave the rest uncut. At least 8″ of it for the back, cut once the front is measured.",
	}, told(laid(forty, border, back), nil, cuts...))
}

func TestColumnsAreCutApart(t *testing.T) {
	border := lay.Item{Width: 20 * in, Height: 16 * in, Count: 1}
	post := lay.Item{Width: 2 * in, Height: 4 * in, Count: 8}
	cuts := []ruler.Cut{{Title: "Panel", Width: 20 * in, Height: 16 * in}, {Title: "“Owl”", Width: 2 * in, Height: 4 * in}}
	assert.Equal(t, []string{
		"Square the end.",
		"Ruler to 16″. Cut strip 1 all the way across.",
		"Ruler to 20″. Cut one piece off strip 1: panel, 20″ × 16″. !0",
		"Ruler to 2″. Cut 2 pieces off strip 1 and cut each apart: 4 at 4″ (“Owl”). !1",
	}, told(laid(forty, border, post), nil, cuts...))
}

// At the table is told what is cut now, and beside it what stays whole; nothing that is done, nothing of what only
// waits, and nothing of a cloth of which nothing is cut now.
func TestWhatIsToBeDoneNow(t *testing.T) {
	front := lay.Item{Cut: 0, Width: 16 * in, Height: 16 * in, Count: 1}
	post := lay.Item{Cut: 1, Width: 2 * in, Height: 16 * in, Count: 1}
	back := lay.Item{Cut: 2, Width: 10 * in, Height: 16 * in, Count: 3, Late: 1}
	cuts := []ruler.Cut{square("Front", 16*in), {Title: "Post", Width: 2 * in, Height: 16 * in},
		{Title: "Back", Width: 10 * in, Height: 16 * in, Waits: "the front"}}
	now := func() (out []ruler.Kind) {
		moves := ruler.Order(laid(forty, front, post, back), nil, cuts)
		ruler.Settle([][]ruler.Move{moves}, cuts)
		for _, m := range moves {
			if m.Now {
				out = append(out, m.Kind)
			}
		}
		return out
	}
	assert.Equal(t, []ruler.Kind{ruler.Square, ruler.Across, ruler.Out, ruler.Out, ruler.Leave}, now())
	cuts[0].Done = true
	assert.Equal(t, []ruler.Kind{ruler.Out, ruler.Leave}, now(), "the strip is cut")
	cuts[1].Done = true
	assert.Empty(t, now())
}

func TestStripsAlikeLieOnEachOther(t *testing.T) {
	cuts := []ruler.Cut{square("Patch", 5*in)}
	assert.Equal(t, []string{
		"Square the end.",
		"Ruler to 5″. Cut strips 1 to 3 and lay them on each other with their edges even.",
		"Ruler to 5″. Cut 8 pieces off strips 1 to 3 at once, 24 in all: patch, 5″ × 5″. !0",
	}, told(laid(forty, lay.Item{Width: 5 * in, Height: 5 * in, Count: 24}), nil, cuts...))
}

// A piece that lies turned is said to; a square that does is not.
func TestATurnedPieceIsSaidTo(t *testing.T) {
	wide := lay.Item{Cut: 0, Width: 50 * in, Height: 6 * in, Count: 1, MayTurn: true} // wider than its cloth
	cuts := []ruler.Cut{{Title: "Border", Width: 50 * in, Height: 6 * in}}
	assert.Contains(t, strings.Join(told(laid(forty, wide), nil, cuts...), " "), "border, 50″ × 6″, on its side.")
	upright := lay.Item{Cut: 0, Width: 6 * in, Height: 20 * in, Count: 1}
	assert.NotContains(t, strings.Join(told(laid(forty, upright), nil, ruler.Cut{Title: "Border", Width: 6 * in,
		Height: 20 * in}), " "), "on its side")
}

func TestMotifsAreFoundFirst(t *testing.T) {
	on := lay.Cloth{Usable: 42 * in, Across: 4 * in, Along: 4 * in}
	cuts := []ruler.Cut{{Title: "Patch", Width: 9 * in / 2, Height: 9 * in / 2, Motif: "a motif in its middle"}}
	row := "Ruler to 4½″. Cut %d pieces out of strip %d, each with a motif in its middle: patch, 4½″ × 4½″."
	assert.Equal(t, []string{
		"Square the end.",
		"Ruler to 4″. Cut off up to that, just so much that the first motif lies in the middle of the next strip.",
		"Ruler to 4½″. Cut strip 2 all the way across.",
		fmt.Sprintf(row, 5, 2),
		"Ruler to 3½″. Cut it off: the next motif lies in the middle of the next strip.",
		"Ruler to 4½″. Cut strip 4 all the way across.",
		fmt.Sprintf(row, 4, 4) + " !0",
	}, told(laid(on, lay.Item{Width: 9 * in / 2, Height: 9 * in / 2, Count: 9, Centred: true}), nil, cuts...))
}

func TestOddPiecesAreTakenAsTheyAre(t *testing.T) {
	patch := lay.Item{Width: 4 * in, Height: 4 * in, Count: 1}
	cuts := []ruler.Cut{square("Patch", 4*in)}
	assert.Equal(t, []string{"Take 3 as they are. They are for the patch, 4″ × 4″: measure them, and square nothing off. !0"},
		told(laid(lay.Cloth{Usable: 4 * in}, patch), &lay.Odd{Width: 4 * in, Length: 4 * in, Count: 3}, cuts...))
	assert.Equal(t, []string{"Square one edge.", "Ruler to 4″. Cut strip 1 all the way across.",
		"Ruler to 4″. Cut one piece off strip 1, 3 in all: patch, 4″ × 4″. !0"},
		told(laid(lay.Cloth{Usable: 6 * in}, patch), &lay.Odd{Width: 6 * in, Length: 5 * in, Count: 3}, cuts...))
	patch.Count = 2
	assert.Equal(t, []string{"Ruler to 4″. Cut 2 pieces off strip 1: patch, 4″ × 4″. !0"},
		told(laid(lay.Cloth{Usable: 8 * in}, patch), &lay.Odd{Width: 8 * in, Length: 4 * in, Count: 1}, cuts...),
		"an offcut that is one strip is not squared")
	free, _ := lay.Freely([]lay.Item{patch}, forty)
	assert.Equal(t, []string{"Draw round 2 pieces. Cut them out: patch, 4″ × 4″. !0"}, told(free, nil, cuts...))
}

// Whatever lies there: every piece that can be cut is given by one move, what waits is left by one, and each cut
// ends once.
func TestEveryPieceIsGivenOnce(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		items := make([]lay.Item, rapid.IntRange(1, 6).Draw(t, "items"))
		cuts := make([]ruler.Cut, len(items))
		for i := range items {
			items[i] = lay.Item{Cut: i, Count: rapid.IntRange(1, 5).Draw(t, "count"),
				MayTurn: rapid.Bool().Draw(t, "turn"), Width: in.Times(rapid.IntRange(1, 20).Draw(t, "w")), Height: in.Times(rapid.IntRange(1, 20).Draw(t, "h")),
				Late: max(0, rapid.IntRange(-2, 2).Draw(t, "late"))}
			cuts[i] = ruler.Cut{Title: fmt.Sprint("Cut ", i), Width: items[i].Width, Height: items[i].Height}
			if items[i].Late > 0 {
				cuts[i].Waits = "the front"
			}
		}
		l, _ := lay.Of(items, forty)
		moves := ruler.Order(l, nil, cuts)
		ruler.Settle([][]ruler.Move{moves}, cuts)
		given, ends := make([]int, len(items)), make([]int, len(items))
		places := make([]int, len(l.Placed))
		for _, m := range moves {
			for _, p := range m.Parts {
				given[p.Cut] += m.Pieces(p, 1)
				if m.Kind == ruler.Out {
					assert.Empty(t, cuts[p.Cut].Waits)
				}
			}
			if m.Kind != ruler.Across {
				for _, i := range m.Places {
					places[i]++
				}
			}
			for _, e := range m.Ends {
				ends[e]++
			}
		}
		for i, it := range items {
			assert.Equal(t, it.Count, given[i], "cut %d", i)
			assert.Equal(t, map[bool]int{true: 1, false: 0}[it.Late == 0], ends[i], "cut %d ends", i)
		}
		for i, n := range places {
			assert.Equal(t, 1, n, "piece %d", i)
		}
	})
}
