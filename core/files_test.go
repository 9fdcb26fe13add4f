package core_test

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// goFiles are the texts of all files of Go below a directory, by their paths.
func goFiles(t *testing.T, root string) map[string]string {
	t.Helper()
	out := map[string]string{}
	require.NoError(t, filepath.WalkDir(root, func(path string, d fs.DirEntry, err error) error {
		if err != nil {
			return err
		}
		if d.IsDir() && (d.Name() == "node_modules" || d.Name() == ".git") {
			return fs.SkipDir
		}
		if filepath.Ext(path) != ".go" {
			return nil
		}
		text, err := os.ReadFile(path)
		out[path] = string(text)
		return err
	}))
	return out
}

// declarations visits what the files of the core declare, their tests left out.
func declarations(t *testing.T, visit func(path string, files *token.FileSet, decl ast.Decl)) {
	t.Helper()
	for path, text := range goFiles(t, ".") {
		if strings.HasSuffix(path, "_test.go") {
			continue
		}
		files := token.NewFileSet()
		file, err := parser.ParseFile(files, path, text, parser.ParseComments)
		require.NoError(t, err)
		for _, decl := range file.Decls {
			visit(path, files, decl)
		}
	}
}

// receiver is the type that a function is a method of; nil where it is none.
func receiver(f *ast.FuncDecl) *ast.Ident {
	if f.Recv == nil {
		return nil
	}
	of := f.Recv.List[0].Type
	if star, ok := of.(*ast.StarExpr); ok {
		of = star.X
	}
	if generic, ok := of.(*ast.IndexExpr); ok {
		of = generic.X
	}
	name, _ := of.(*ast.Ident)
	return name
}
