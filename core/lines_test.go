package core_test

import (
	"regexp"
	"strings"
	"testing"
	"unicode/utf8"

	"github.com/stretchr/testify/assert"
)

// longest is where a line of Go ends, a tab counting as four.
const longest = 120

// sentence is a text that stays whole, so that it can be looked for as it is read: it may reach beyond.
var sentence = regexp.MustCompile("\"(?:[^\"\\\\]|\\\\.){40,}\"|`[^`]{40,}`?")

func TestLinesEnd(t *testing.T) {
	for path, text := range goFiles(t, "..") {
		raw := false
		for i, line := range strings.Split(text, "\n") {
			within := raw
			raw = raw != (strings.Count(line, "`")%2 == 1)
			if within {
				continue
			}
			bare := sentence.ReplaceAllString(strings.ReplaceAll(line, "\t", "    "), "…")
			assert.LessOrEqual(t, utf8.RuneCountInString(bare), longest, "%s:%d", path, i+1)
		}
	}
}
