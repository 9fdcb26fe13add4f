package core_test

import (
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"
	"unicode/utf8"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// longest is where a line of Go ends, a tab counting as four.
const longest = 120

// sentence is a text that stays whole, so that it can be looked for as it is read: it may reach beyond.
var sentence = regexp.MustCompile("\"(?:[^\"\\\\]|\\\\.){40,}\"|`[^`]{40,}`?")

func TestLinesEnd(t *testing.T) {
	require.NoError(t, filepath.WalkDir("..", func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() && (d.Name() == "node_modules" || d.Name() == ".git") {
			if err == nil {
				err = fs.SkipDir
			}
			return err
		}
		if filepath.Ext(path) != ".go" {
			return nil
		}
		text, err := os.ReadFile(path)
		raw := false
		for i, line := range strings.Split(string(text), "\n") {
			within := raw
			raw = raw != (strings.Count(line, "`")%2 == 1)
			if within {
				continue
			}
			bare := sentence.ReplaceAllString(strings.ReplaceAll(line, "\t", "    "), "…")
			assert.LessOrEqual(t, utf8.RuneCountInString(bare), longest, "%s:%d", path, i+1)
		}
		return err
	}))
}
