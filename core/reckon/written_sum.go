package reckon

import (
	"fmt"
	"strings"
)

// WrittenSum writes a sum out, alike terms that follow each other as one.
func WrittenSum(terms []Term) string {
	var words []string
	for i := 0; i < len(terms); {
		t, n := terms[i], 1
		for i+n < len(terms) && terms[i+n].Term == t.Term && terms[i+n].Amount.Text == t.Amount.Text {
			n++
		}
		text := strings.TrimPrefix(t.Amount.Text, "−")
		if n > 1 {
			text = fmt.Sprintf("%d × %s", n, text)
		}
		switch {
		case t.Amount.NM < 0:
			text = "− " + text
		case i > 0:
			text = "+ " + text
		}
		words = append(words, text+" "+t.Term)
		i += n
	}
	return strings.Join(words, " ")
}
