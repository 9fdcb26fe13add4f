package main

import (
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

const small = `package small

type Nanometres int64

const least = 2

// Cut is a seam at both ends.
func Cut(finished, seam Nanometres) Nanometres {
	if finished <= 0 && seam > 1000 {
		return -seam
	}
	cut := finished + 2*seam
	if cut > least {
		cut += 1
	}
	return cut
}
`

const itsTest = `package small

import "testing"

func TestCut(t *testing.T) {
	if Cut(100, 5) != 111 {
		t.Fatal(Cut(100, 5))
	}
}
`

// module is a module of its own with one small package, which the test stands in.
func module(t *testing.T) {
	dir := t.TempDir()
	for name, text := range map[string]string{"go.mod": "module small\n\ngo 1.26\n", "small.go": small,
		"small_test.go": itsTest} {
		require.NoError(t, os.WriteFile(filepath.Join(dir, name), []byte(text), 0o600))
	}
	t.Chdir(dir)
}

func TestSitesAreWhatTheIndexSays(t *testing.T) {
	module(t)
	packages, err := load([]string{"."})
	require.NoError(t, err)
	read, err := sources(packages[0])
	require.NoError(t, err)
	var told []string
	for _, s := range read[0].found.sites {
		told = append(told, oneLine(s.told))
	}
	assert.Equal(t, []string{
		"&& → || in finished <= 0 && seam > 1000", "<= → > in finished <= 0", "> → <= in seam > 1000",
		"an eighth more for 1000", "without − in -seam", "+ → - in finished + 2*seam", "* → / in 2*seam",
		"one more for 2", "> → <= in cut > least", "without cut += 1", "+= → -= in cut += 1", "one more for 1"}, told,
		"in the order of the source; 0 stays, a nanometre more is nothing")
}

// Every mutant is built in at once: the tests pass with none of them on, and fail with those that matter to them.
func TestAPackageIsJudged(t *testing.T) {
	module(t)
	var out strings.Builder
	require.NoError(t, command([]string{"-n", "0", "-with", "", "."}, &out))
	assert.Equal(t, `small.go:9: not noticed: && → || in finished <= 0 && seam > 1000
small.go:9: not noticed: <= → > in finished <= 0
small.go:9: no test comes by: > → <= in seam > 1000
small.go:9: no test comes by: an eighth more for 1000
small.go:10: no test comes by: without − in -seam
small: 7 of 12 killed, 58%

7 of 12 killed, 58%
`, out.String())
	left, err := os.ReadDir(".")
	require.NoError(t, err)
	assert.Len(t, left, 3, "the working tree is only read")
}

func TestOnlyChangedLinesAreJudged(t *testing.T) {
	lines := changedLines(`--- a/core/a.go
+++ b/core/a.go
@@ -3 +3 @@ func A() {
-	one
+	two
@@ -9,0 +10,2 @@
+	three
+	four
@@ -20,2 +22,0 @@
-	five
--- a/core/b.go
+++ /dev/null
@@ -1 +0,0 @@
-gone
`)
	assert.Equal(t, map[string]map[int]bool{"core/a.go": {3: true, 10: true, 11: true}}, lines)
}

func TestWhatIsAskedForIsRead(t *testing.T) {
	module(t)
	assert.ErrorContains(t, command([]string{"-since", "yesterday", "."}, &strings.Builder{}), "here is none")
	assert.ErrorContains(t, command([]string{"./nowhere"}, &strings.Builder{}), "compile first")
}
