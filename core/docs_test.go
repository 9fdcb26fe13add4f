package core_test

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"path/filepath"
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
