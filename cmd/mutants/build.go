package main

import (
	"encoding/json"
	"fmt"
	"go/ast"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strings"

	"golang.org/x/tools/go/packages"
)

// mutant is a site that was taken, by the number it is switched on with.
type mutant struct {
	site
	id  int
	pkg string // the import path
}

// source is one file with the sites found in it.
type source struct {
	path  string
	text  []byte
	found *finder
}

// load reads the packages and finds the sites in them.
func load(patterns []string) ([]*packages.Package, error) {
	mode := packages.NeedName | packages.NeedFiles | packages.NeedSyntax | packages.NeedTypes | packages.NeedTypesInfo |
		packages.NeedImports | packages.NeedDeps
	loaded, err := packages.Load(&packages.Config{Mode: mode}, patterns...)
	if err != nil {
		return nil, err
	}
	if packages.PrintErrors(loaded) > 0 {
		return nil, fmt.Errorf("make %s compile first", strings.Join(patterns, " "))
	}
	return loaded, nil
}

// sources reads the files of a package with their sites.
func sources(pkg *packages.Package) ([]source, error) {
	var all []source
	for i, path := range pkg.GoFiles {
		text, err := os.ReadFile(path)
		if err != nil {
			return nil, err
		}
		f := &finder{fset: pkg.Fset, info: pkg.TypesInfo, file: pkg.Syntax[i], pkg: pkg.Types, src: text}
		f.find()
		slices.SortStableFunc(f.sites, func(a, b site) int {
			if a.lo != b.lo {
				return a.lo - b.lo
			}
			return b.hi - a.hi
		})
		all = append(all, source{path: path, text: text, found: f})
	}
	return all, nil
}

// rendered is the text of a file with all its mutants in it, none of them on.
func rendered(s source, in []mutant) string {
	var part func(lo, hi, next int) string
	part = func(lo, hi, next int) string {
		var b strings.Builder
		at := lo
		for i := next; i < len(in) && in[i].lo < hi; i++ {
			if m := in[i]; m.lo >= at && m.hi <= hi {
				b.Write(s.text[at:m.lo])
				b.WriteString(m.write(m.id, func(n ast.Node) string {
					return part(s.found.offset(n.Pos()), s.found.offset(n.End()), i+1)
				}))
				at = m.hi
			}
		}
		b.Write(s.text[at:hi])
		return b.String()
	}
	return part(0, len(s.text), 0)
}

// overlay writes the files with their mutants into a directory, and tells the compiler to read them
// instead of those of the working tree, which stays as it is.
func overlay(dir string, files map[string]string) (string, error) {
	replace := map[string]string{}
	for path, text := range files {
		to := filepath.Join(dir, fmt.Sprintf("%d.go", len(replace)))
		if err := os.WriteFile(to, []byte(text), 0o600); err != nil {
			return "", err
		}
		replace[path] = to
	}
	list, err := json.Marshal(map[string]any{"Replace": replace})
	if err != nil {
		return "", err
	}
	at := filepath.Join(dir, "overlay.json")
	return at, os.WriteFile(at, list, 0o600)
}

// runtime is what switches a mutant on, in each package that has some.
func runtime(pkg string) string { return "package " + pkg + runtimeText }

const runtimeText = `

import (
	"os"
	"strconv"
	"sync"
)

var (
	mutant_active, _ = strconv.Atoi(os.Getenv("UMSCHLAG_MUTANT"))
	mutant_reached   = mutant_open(os.Getenv("UMSCHLAG_MUTANTS_REACHED"))
	mutant_seen      sync.Map
)

func mutant_open(path string) *os.File {
	if path == "" {
		return nil
	}
	file, err := os.OpenFile(path, os.O_APPEND|os.O_CREATE|os.O_WRONLY, 0o600)
	if err != nil {
		panic(err)
	}
	return file
}

func mutant_on(id int) bool {
	if mutant_reached != nil {
		mutant_reach(id)
	}
	return id == mutant_active
}

func mutant_reach(id int) {
	if _, seen := mutant_seen.LoadOrStore(id, true); !seen {
		_, _ = mutant_reached.WriteString(strconv.Itoa(id) + "\n")
	}
}

type mutant_number interface {
	~int | ~int8 | ~int16 | ~int32 | ~int64 | ~uint | ~uint8 | ~uint16 | ~uint32 | ~uint64 | ~float32 | ~float64
}

func mutant_add[T mutant_number](id int, a, b T) T {
	if mutant_on(id) {
		return a - b
	}
	return a + b
}

func mutant_sub[T mutant_number](id int, a, b T) T {
	if mutant_on(id) {
		return a + b
	}
	return a - b
}

func mutant_mul[T mutant_number](id int, a, b T) T {
	if mutant_on(id) {
		return a / b
	}
	return a * b
}

func mutant_quo[T mutant_number](id int, a, b T) T {
	if mutant_on(id) {
		return a * b
	}
	return a / b
}

func mutant_neg[T mutant_number](id int, a T) T {
	if mutant_on(id) {
		return a
	}
	return -a
}

func mutant_more[T mutant_number](id int, a T) T {
	if mutant_on(id) {
		return a + 1
	}
	return a
}

func mutant_eighth[T mutant_number](id int, a T) T {
	if mutant_on(id) {
		return a + a/8
	}
	return a
}
`

// testBinary is the compiled tests of a package.
type testBinary struct {
	pkg, path, dir string
}

// compile builds the tests of the packages with the overlay.
func compile(dir, list string, patterns []string) ([]testBinary, error) {
	args := append([]string{"list", "-f", "{{if or .TestGoFiles .XTestGoFiles}}{{.ImportPath}} {{.Dir}}{{end}}"}, patterns...)
	out, err := exec.Command("go", args...).Output()
	if err != nil {
		return nil, err
	}
	var all []testBinary
	for line := range strings.Lines(string(out)) {
		pkg, at, ok := strings.Cut(strings.TrimSpace(line), " ")
		if !ok {
			continue
		}
		to := filepath.Join(dir, strings.ReplaceAll(pkg, "/", "_")+".test")
		build := exec.Command("go", "test", "-c", "-vet=off", "-ldflags=-w", "-overlay", list, "-o", to, pkg)
		build.Stderr = os.Stderr
		if err := build.Run(); err != nil {
			return nil, fmt.Errorf("tests of %s with the mutants: %w", pkg, err)
		}
		all = append(all, testBinary{pkg: pkg, path: to, dir: at})
	}
	return all, nil
}
