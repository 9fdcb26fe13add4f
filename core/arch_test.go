package core_test

import (
	"go/parser"
	"go/token"
	"io/fs"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// rooms lists the packages from the bottom up: each may import those above it
// in this list and no other.
var rooms = []string{
	"seeded", "core/ref", "core/kind", "core/length", "core/outline", "core/sum", "core/finding",
	"core/machine", "core/caution",
	"core/plan", "core/place", "core/shape", "core/applique", "core/cover", "core/fold", "core/block", "core/gridfit",
	"core/front", "core/press", "core/quilt", "core/takeup", "core/pads",
	"core/sample", "core/layers", "core/back", "core/edge",
	"core/fitting", "core/lay", "core/ruler", "core/sold", "core/stock", "core/shopping", "core/costing",
	"core/schedule", "core/practice",
	"core/outlook", "core/panel", "core/begin", "core/move", "core/cutting", "core/work", "core/fit", "core/edging",
	"core/supply", "core/answer", "core/show", "core/reckon", "core/divide",
	"core/brief", "core/compare", "core/spoil", "core/remedy", "core/become",
	"anyplan", "atbench",
	"format/cell", "format/planfile", "format/drawing", "format/svgfile", "format/dxf", "format/hpgl",
	"format/printpack", "format/sharepage", "format/workshopfile", "format/cupboardcsv", "format/listcsv",
	"format/photo", "format/ics",
	"device", "device/standin", "device/bench", "store", "demo", "web", "cmd/schema",
	"cmd/load", "cmd/lays", "cmd/same",
	"cmd/mutants", "cmd/umschlag",
}

// plainLibrary is all that the rules of the trade need of the standard library:
// no files, no clock, no network, no database, no JSON.
var plainLibrary = []string{"cmp", "errors", "fmt", "maps", "math", "math/big", "math/bits", "math/rand/v2", "reflect",
	"slices", "sort", "strconv", "strings", "unicode", "unicode/utf8"}

// imports maps each package below the root to what its files import.
func imports(t *testing.T) map[string][]string {
	t.Helper()
	found := map[string][]string{}
	require.NoError(t, filepath.WalkDir("..", func(path string, d fs.DirEntry, err error) error {
		if err != nil {
			return err
		}
		if d.IsDir() && (d.Name() == "node_modules" || d.Name() == ".git") {
			return fs.SkipDir
		}
		if !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") {
			return nil
		}
		file, err := parser.ParseFile(token.NewFileSet(), path, nil, parser.ImportsOnly)
		if err != nil {
			return err
		}
		room := filepath.ToSlash(strings.TrimPrefix(filepath.Dir(path), "../"))
		for _, i := range file.Imports {
			name, err := strconv.Unquote(i.Path.Value)
			if err != nil {
				return err
			}
			found[room] = append(found[room], name)
		}
		return nil
	}))
	return found
}

func TestArrowsPointDown(t *testing.T) {
	found := imports(t)
	for room, list := range found {
		at := slices.Index(rooms, room)
		if !assert.GreaterOrEqual(t, at, 0, "%s stands in no list of rooms: say where it belongs", room) {
			continue
		}
		for _, name := range list {
			if inner, own := strings.CutPrefix(name, "umschlag/"); own {
				assert.Less(t, slices.Index(rooms, inner), at, "%s must not import %s", room, inner)
			}
		}
	}
	for _, room := range rooms {
		assert.Contains(t, found, room, "a room of the list is gone")
	}
}

func TestTheCoreKnowsNothingOfTheWorld(t *testing.T) {
	for room, list := range imports(t) {
		if !strings.HasPrefix(room, "core/") {
			continue
		}
		for _, name := range list {
			if !strings.HasPrefix(name, "umschlag/core/") {
				assert.Contains(t, plainLibrary, name, "%s imports it", room)
			}
		}
	}
}
