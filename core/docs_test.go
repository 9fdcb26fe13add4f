package core_test

import (
	"encoding/json"
	"fmt"
	"go/ast"
	"go/token"
	"os"
	"path/filepath"
	"regexp"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// TestWhatIsExportedIsDescribed holds that every exported name of the core says what it means. A
// declaration of several names may say it once for all of them; Values, which lists the words of a set, and
// Error, which says one, need none.
func TestWhatIsExportedIsDescribed(t *testing.T) {
	declarations(t, func(_ string, files *token.FileSet, decl ast.Decl) {
		for _, name := range undescribed(decl) {
			assert.Fail(t, "say what it means", "%s: %s", files.Position(name.Pos()), name.Name)
		}
	})
}

// undescribed are the exported names of a declaration without words.
func undescribed(decl ast.Decl) []*ast.Ident {
	switch d := decl.(type) {
	case *ast.FuncDecl:
		if d.Doc == nil && d.Name.IsExported() && d.Name.Name != "Values" && d.Name.Name != "Error" && ofExported(d) {
			return []*ast.Ident{d.Name}
		}
	case *ast.GenDecl:
		var out []*ast.Ident
		for _, spec := range d.Specs {
			switch s := spec.(type) {
			case *ast.TypeSpec:
				if d.Doc == nil && s.Doc == nil && s.Name.IsExported() {
					out = append(out, s.Name)
				}
			case *ast.ValueSpec:
				for _, name := range s.Names {
					if d.Doc == nil && s.Doc == nil && s.Comment == nil && name.IsExported() {
						out = append(out, name)
					}
				}
			}
		}
		return out
	}
	return nil
}

// ofExported tells a function, or a method of an exported type, from a method that nobody else calls.
func ofExported(d *ast.FuncDecl) bool {
	return d.Recv == nil || receiver(d) != nil && receiver(d).IsExported()
}

// TestReferencesExist holds that every reference to the arithmetic names a section that is there, and that
// the sections are numbered in their order.
func TestReferencesExist(t *testing.T) {
	text, err := os.ReadFile("../docs/arithmetic.md")
	require.NoError(t, err)
	sections := map[string]bool{}
	chapter, part := 0, 0
	for _, found := range regexp.MustCompile(`(?m)^(##|###) ([\d.]*)\. `).FindAllStringSubmatch(string(text), -1) {
		want := ""
		if found[1] == "##" {
			chapter, part = chapter+1, 0
			want = strconv.Itoa(chapter)
		} else {
			part++
			want = fmt.Sprintf("%d.%d", chapter, part)
		}
		assert.Equal(t, want, found[2])
		sections[found[2]] = true
	}
	assert.Len(t, sections, strings.Count(string(text), "\n## ")+strings.Count(string(text), "\n### "),
		"a heading has no number")
	references := 0
	section := regexp.MustCompile(`^ §(\d+(?:\.\d+)?)`)
	for path, code := range goFiles(t, "..") {
		if filepath.Base(path) == "docs_test.go" {
			continue
		}
		for _, after := range strings.Split(code, "docs/arithmetic.md")[1:] {
			names := section.FindStringSubmatch(strings.ReplaceAll(after, "\n// ", " "))
			if assert.NotNil(t, names, "%s names no section", path) {
				assert.Contains(t, sections, names[1], path)
				references++
			}
		}
	}
	assert.Greater(t, references, 25)
}

// listed are the names in the first column of the tables of a page.
func listed(t *testing.T, page string) map[string]bool {
	data, err := os.ReadFile(page)
	require.NoError(t, err)
	out := map[string]bool{}
	for _, line := range strings.Split(string(data), "\n") {
		if cells := strings.Split(line, "|"); len(cells) > 2 {
			for _, name := range strings.Split(cells[1], ",") {
				out[strings.TrimSpace(name)] = true
			}
		}
	}
	return out
}

var direct = regexp.MustCompile(`(?m)^\t(\S+) v\S+$`)

// TestWhatTheAppIsBuiltOnIsListed holds that every module and package the app names itself stands in the page of them.
func TestWhatTheAppIsBuiltOnIsListed(t *testing.T) {
	known := listed(t, "../docs/promises.md")
	modules, err := os.ReadFile("../go.mod")
	require.NoError(t, err)
	names := direct.FindAllStringSubmatch(string(modules), -1)
	require.NotEmpty(t, names)
	for _, name := range names {
		assert.True(t, known[name[1]], name[1])
	}
	for _, file := range []string{"../package.json", "../ui/package.json", "../e2e/package.json"} {
		data, err := os.ReadFile(file)
		require.NoError(t, err)
		var packages struct {
			Dependencies    map[string]string `json:"dependencies"`
			DevDependencies map[string]string `json:"devDependencies"`
		}
		require.NoError(t, json.Unmarshal(data, &packages))
		for _, list := range []map[string]string{packages.Dependencies, packages.DevDependencies} {
			for name := range list {
				assert.True(t, known[name], "%s: %s", file, name)
			}
		}
	}
}

// TestWhatIsPromisedIsHeld holds that every test the page of promises names is there.
func TestWhatIsPromisedIsHeld(t *testing.T) {
	data, err := os.ReadFile("../docs/promises.md")
	require.NoError(t, err)
	var tests strings.Builder
	require.NoError(t, filepath.WalkDir("..", func(path string, d os.DirEntry, err error) error {
		if err == nil && d.IsDir() && d.Name() == "node_modules" {
			return filepath.SkipDir
		}
		if err != nil || !strings.HasSuffix(path, "_test.go") {
			return err
		}
		text, err := os.ReadFile(path)
		tests.Write(text)
		return err
	}))
	named := regexp.MustCompile("`(Test[A-Za-z]+)`").FindAllStringSubmatch(string(data), -1)
	require.NotEmpty(t, named)
	for _, name := range named {
		assert.Contains(t, tests.String(), "func "+name[1]+"(t *testing.T)")
	}
}
