package core_test

import (
	"go/ast"
	"go/token"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
)

// mostMethods is more than a type has that does one thing.
const mostMethods = 20

func TestNoTypeDoesEverything(t *testing.T) {
	methods := map[string]int{}
	declarations(t, func(path string, _ *token.FileSet, decl ast.Decl) {
		if f, ok := decl.(*ast.FuncDecl); ok && receiver(f) != nil {
			methods[filepath.Dir(path)+"."+receiver(f).Name]++
		}
	})
	for name, n := range methods {
		assert.LessOrEqual(t, n, mostMethods, name)
	}
	assert.Greater(t, len(methods), 100)
}
