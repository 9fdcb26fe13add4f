package ruler

import (
	"fmt"
	"strings"
	"unicode"
	"unicode/utf8"

	"umschlag/core/length"
)

// Speaker says moves to people.
type Speaker struct {
	Style length.Style
	Cuts  []Cut
	// Odd is how many odd pieces alike are cut; 0 for the length.
	Odd int
}

// Title is a move in large letters: what the ruler is set to, or what is done without it.
func (s Speaker) Title(m Move) string {
	switch m.Kind {
	case Square:
		if s.Odd > 0 {
			return "Square one edge"
		}
		return "Square the end"
	case Leave:
		return "Leave the rest whole"
	case Uncut:
		return "Leave the rest uncut"
	case Take:
		return fmt.Sprintf("Take %d as they are", s.Odd)
	case Round:
		return "Draw round " + pieces(m.Parts[0].Count)
	}
	return "Ruler to " + s.Style.Text(m.Ruler)
}

// Text is what is done then, in a sentence; empty where the title says all.
func (s Speaker) Text(m Move) string {
	switch m.Kind {
	case Find:
		return "Cut off up to that, just so much that the first motif lies in the middle of the next strip."
	case Across:
		if len(m.Strips) == 1 {
			return fmt.Sprintf("Cut strip %d all the way across.", m.Strips[0])
		}
		return fmt.Sprintf("Cut strips %s and lay them on each other with their edges even.", numbered(m.Strips))
	case Gap:
		return "Cut it off: the next motif lies in the middle of the next strip."
	case Leave:
		of := strips(m.Strips)
		if len(m.Strips) > 1 {
			of = "each of strips " + numbered(m.Strips)
		}
		return fmt.Sprintf("At least %s of %s for the %s, cut once %s is measured. Label it.",
			s.Style.Text(m.Ruler), of, s.titles(m), m.Waits)
	case Uncut:
		return fmt.Sprintf("At least %s of it for the %s, cut once %s is measured.", s.Style.Text(m.Ruler), s.titles(m),
			m.Waits)
	case Take:
		return fmt.Sprintf("They are for the %s: measure them, and square nothing off.", s.piece(m.Parts[0]))
	case Round:
		return fmt.Sprintf("Cut them out: %s.", s.piece(m.Parts[0]))
	case Out:
		return s.out(m)
	}
	return ""
}

// out says what is cut out of strips.
func (s Speaker) out(m Move) string {
	only := m.Parts[0]
	first := fmt.Sprintf("Cut %s off %s", pieces(m.Columns), strips(m.Strips))
	if motif := s.Cuts[only.Cut].Motif; motif != "" {
		first = fmt.Sprintf("Cut %s out of %s, %s %s", pieces(m.Columns), strips(m.Strips),
			either(m.Columns, "with", "each with"), motif)
	}
	if len(m.Parts) > 1 || only.Count > 1 {
		var into []string
		for _, p := range m.Parts {
			into = append(into,
				fmt.Sprintf("%d at %s (%s%s)", p.Count, s.Style.Text(p.Height), s.title(p), s.side(p)))
		}
		return fmt.Sprintf("%s and cut %s apart: %s.", first, either(m.Columns, "it", "each"), strings.Join(into, ", "))
	}
	if only.Trimmed {
		first += fmt.Sprintf(" and trim %s to %s", either(m.Columns, "it", "them"), s.Style.Text(only.Height))
	}
	if n := m.Pieces(only, max(1, s.Odd)); n != m.Columns {
		first += fmt.Sprintf(", %d in all", n)
	}
	return fmt.Sprintf("%s: %s.", first, s.piece(only))
}

func either(n int, one, more string) string {
	if n == 1 {
		return one
	}
	return more
}

// piece is a cut with its size.
func (s Speaker) piece(p Part) string {
	c := s.Cuts[p.Cut]
	return fmt.Sprintf("%s, %s × %s%s", s.title(p), s.Style.Text(c.Width), s.Style.Text(c.Height), s.side(p))
}

// side says of a piece that lies turned how it does; of a square nobody sees it.
func (s Speaker) side(p Part) string {
	if c := s.Cuts[p.Cut]; p.Turned && c.Width != c.Height {
		return ", on its side"
	}
	return ""
}

func (s Speaker) title(p Part) string { return lower(s.Cuts[p.Cut].Title) }

// titles names all that a move is about.
func (s Speaker) titles(m Move) string {
	var names []string
	for _, p := range m.Parts {
		names = append(names, s.title(p))
	}
	if last := len(names) - 1; last > 0 {
		return strings.Join(names[:last], ", the ") + " and the " + names[last]
	}
	return names[0]
}

// lower is a title within a sentence.
func lower(title string) string {
	first, size := utf8.DecodeRuneInString(title)
	return string(unicode.ToLower(first)) + title[size:]
}

// strips says of which strips something is cut.
func strips(numbers []int) string {
	if len(numbers) == 1 {
		return fmt.Sprintf("strip %d", numbers[0])
	}
	return fmt.Sprintf("strips %s at once", numbered(numbers))
}

// numbered are numbers that follow each other.
func numbered(numbers []int) string {
	first, last := numbers[0], numbers[len(numbers)-1]
	if last == first+1 {
		return fmt.Sprintf("%d and %d", first, last)
	}
	return fmt.Sprintf("%d to %d", first, last)
}

func pieces(n int) string {
	if n == 1 {
		return "one piece"
	}
	return fmt.Sprintf("%d pieces", n)
}
