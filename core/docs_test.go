package core_test

import (
	"fmt"
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
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
	require.NoError(t, filepath.WalkDir(".", func(path string, d fs.DirEntry, err error) error {
		if err != nil || filepath.Ext(path) != ".go" || strings.HasSuffix(path, "_test.go") {
			return err
		}
		files := token.NewFileSet()
		file, err := parser.ParseFile(files, path, nil, parser.ParseComments)
		require.NoError(t, err)
		for _, decl := range file.Decls {
			for _, name := range undescribed(decl) {
				assert.Fail(t, "say what it means", "%s: %s", files.Position(name.Pos()), name.Name)
			}
		}
		return nil
	}))
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
	if d.Recv == nil {
		return true
	}
	of := d.Recv.List[0].Type
	if star, ok := of.(*ast.StarExpr); ok {
		of = star.X
	}
	if generic, ok := of.(*ast.IndexExpr); ok {
		of = generic.X
	}
	name, ok := of.(*ast.Ident)
	return ok && name.IsExported()
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
	require.NoError(t, filepath.WalkDir("..", func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() && (d.Name() == "node_modules" || d.Name() == ".git") {
			if err == nil {
				err = fs.SkipDir
			}
			return err
		}
		if filepath.Ext(path) != ".go" || strings.HasSuffix(path, "core/docs_test.go") {
			return nil
		}
		code, err := os.ReadFile(path)
		for _, after := range strings.Split(string(code), "docs/arithmetic.md")[1:] {
			names := section.FindStringSubmatch(strings.ReplaceAll(after, "\n// ", " "))
			if assert.NotNil(t, names, "%s names no section", path) {
				assert.Contains(t, sections, names[1], path)
				references++
			}
		}
		return err
	}))
	assert.Greater(t, references, 25)
}
