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

// mostMethods is more than a type has that does one thing.
const mostMethods = 20

func TestNoTypeDoesEverything(t *testing.T) {
	methods := map[string]int{}
	require.NoError(t, filepath.WalkDir(".", func(path string, d fs.DirEntry, err error) error {
		if err != nil || filepath.Ext(path) != ".go" || strings.HasSuffix(path, "_test.go") {
			return err
		}
		file, err := parser.ParseFile(token.NewFileSet(), path, nil, 0)
		require.NoError(t, err)
		for _, decl := range file.Decls {
			if f, ok := decl.(*ast.FuncDecl); ok && f.Recv != nil {
				of := f.Recv.List[0].Type
				if star, ok := of.(*ast.StarExpr); ok {
					of = star.X
				}
				if name, ok := of.(*ast.Ident); ok {
					methods[filepath.Dir(path)+"."+name.Name]++
				}
			}
		}
		return nil
	}))
	for name, n := range methods {
		assert.LessOrEqual(t, n, mostMethods, name)
	}
	assert.Greater(t, len(methods), 100)
}
