package core_test

import (
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What a thing is stands in its fields; it is not read out of what it is called. These are the
// places that take strings apart, each with how often and why: a new one says here what it reads.
var takenApart = map[string]struct {
	times int
	why   string
}{
	"core/block/edit.go":      {3, "the path of a patch within a block, which this package writes"},
	"core/plan/reads.go":      {1, "the name of a key in the plan file"},
	"core/plan/validate.go":   {2, "what a person wrote: a day, a colour"},
	"core/plan/swatch.go":     {1, "a colour, #rrggbb"},
	"core/shopping/things.go": {2, "what is bought, by its name"},
	"core/work/front.go":      {2, "words for people"},
	"core/plan/aside.go":      {2, "the path of a face, until it is asked for by its key"},
	"core/finding/finding.go": {1, "a path, held against another one"},

	"ui/src/brief/face/BlockEditor.tsx": {1, "the path of a patch within a block"},
	"ui/src/views/Samples.tsx":          {1, "the paths of problems"},
	"ui/src/samples/Uses.tsx":           {2, "the path of the place that goes by a sample"},
	"ui/src/brief/Value.tsx":            {1, "the path of a problem"},
	"ui/src/brief/face/Layouts.tsx":     {1, "the path of a problem"},
	"ui/src/shell/Conflict.tsx":         {1, "a path, said to people"},
}

var (
	partsIn = regexp.MustCompile(`\.(id|cut|part|gate|what|about|path)\??\.(startsWith|endsWith|match|split|replace|slice|includes|indexOf)\(|\.(test|exec)\([^)]*\.(id|cut|part|gate|what)\b`)
	apart   = map[string]*regexp.Regexp{".ts": partsIn, ".tsx": partsIn,
		".go": regexp.MustCompile(`strings\.(HasPrefix|HasSuffix|Contains|Cut|CutPrefix|CutSuffix|Index|Split|SplitN|TrimPrefix|TrimSuffix|LastIndex|ReplaceAll)\(|Sscanf\(`)}
)

// sources are the files of the core and of the user interface that are no tests and not generated.
func sources(t *testing.T) map[string]string {
	t.Helper()
	out := map[string]string{}
	for _, root := range []string{"core", "ui/src"} {
		require.NoError(t, filepath.WalkDir(filepath.Join("..", root),
			func(path string, d fs.DirEntry, err error) error {
				ending := filepath.Ext(path)
				if _, read := apart[ending]; err != nil || d.IsDir() || !read || strings.Contains(path, "_test.") ||
					strings.Contains(path, ".test.") || strings.Contains(path, ".gen.") {
					return err
				}
				text, err := os.ReadFile(path)
				out[strings.TrimPrefix(filepath.ToSlash(path), "../")] = string(text)
				return err
			}))
	}
	return out
}

func TestNothingIsToldByWhatItIsCalled(t *testing.T) {
	found := map[string]int{}
	for path, text := range sources(t) {
		if n := len(apart[filepath.Ext(path)].FindAllString(text, -1)); n > 0 {
			found[path] = n
		}
	}
	listed := map[string]int{}
	for path, known := range takenApart {
		listed[path] = known.times
		assert.NotEmpty(t, known.why, path)
	}
	assert.Equal(t, listed, found, "where strings are taken apart: give the thing a field, or say here what is read")
}
