package reckon

import (
	"fmt"
	"strings"

	"umschlag/core/length"
)

// WrittenSum writes a sum out, alike terms that follow each other as one.
func WrittenSum(terms []Term) string {
	var words []string
	for i := 0; i < len(terms); {
		t, n := terms[i], 1
		for i+n < len(terms) && alike(t, terms[i+n]) {
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

// alike reports whether two terms are one thing twice: what dividing leaves over, which the last
// of several parts takes, makes no difference.
func alike(a, b Term) bool {
	off := a.Amount.NM - b.Amount.NM
	return a.Term == b.Term && a.Amount.Text == b.Amount.Text && max(off, -off) <= int64(length.Millimetre/1000)
}
