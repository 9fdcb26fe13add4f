package finding_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/finding"
)

func TestOnlyStopsStop(t *testing.T) {
	var l finding.List
	assert.False(t, l.Stopped())
	l.Add(finding.Note, "n", "/a", "A note.", "Nothing.")
	l.Add(finding.Warn, "w", "/b", "A warning.", "Something.")
	assert.False(t, l.Stopped())
	l.Add(finding.Stop, "s", "/c", "A stop.", "Type another.")
	l.Add(finding.Note, "n", "/d", "A note.", "")
	assert.True(t, l.Stopped())
	assert.Equal(t, finding.Finding{Level: finding.Warn, Code: "w", About: "/b", Text: "A warning.",
		Remedy: "Something."}, l[1])
	assert.Len(t, l, 4)
}

func TestPaths(t *testing.T) {
	assert.Equal(t, "/pieces/front/face/borders/0", finding.Path("pieces", "front", "face", "borders", 0))
	assert.Empty(t, finding.Path())
	for path, within := range map[string]bool{"/back": true, "/back/hem/0": true, "/backing": false, "/": false,
		"/cover/back": false} {
		assert.Equal(t, within, finding.Within(path, "/back"), path)
	}
}
