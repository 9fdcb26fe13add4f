// Package caution holds what is said where work can hurt someone: each in full, and by the word it goes by where it was
// said before.
package caution

import "strings"

// Caution is one of them. All are common practice; manuals and local rules have the last word.
type Caution struct {
	// Word it goes by, such as Iron.
	Word string
	Text string
}

// Said are the cautions of a step, in the order they are said.
type Said []Caution

// Of is one caution by itself.
func Of(word, text string) Said { return Said{{word, text}} }

// Text is all of them in full.
func (s Said) Text() string {
	texts := make([]string, len(s))
	for i, c := range s {
		texts[i] = c.Text
	}
	return strings.Join(texts, " ")
}

// Once are the cautions of step after step, with what of each was said before.
func Once(steps []Said) [][]bool {
	said := map[string]bool{}
	out := make([][]bool, len(steps))
	for i, s := range steps {
		out[i] = make([]bool, len(s))
		for k, c := range s {
			out[i][k], said[c.Text] = said[c.Text], true
		}
	}
	return out
}
