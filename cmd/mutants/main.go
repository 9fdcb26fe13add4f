// Command mutants tells what the tests would notice: it changes the core in one small place at a time
// (a comparison turned round, + for −, a number off by one, a statement left out) and runs the tests
// that come by that place. A mutant nothing notices is a place where a wrong figure would pass.
//
// All mutants are built in at once and switched on one by one, so that a run compiles once. The
// working tree is only read.
package main

import (
	"flag"
	"fmt"
	"io"
	"math/rand/v2"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"sync"
	"time"
)

func main() {
	if err := command(os.Args[1:], os.Stdout); err != nil {
		fmt.Fprintln(os.Stderr, err)
		os.Exit(1)
	}
}

// settings are what a run is asked for.
type settings struct {
	most    int    // mutants of each package; 0 for all
	seed    uint64 // of the choice among them
	since   string // only lines changed since this revision; "" for all lines
	with    string // the packages whose tests judge, besides each package's own
	workers int
	of      []string
}

func command(args []string, out io.Writer) error {
	var s settings
	flags := flag.NewFlagSet("mutants", flag.ContinueOnError)
	flags.IntVar(&s.most, "n", 100, "mutants of each package, drawn at random; 0 for all")
	flags.Uint64Var(&s.seed, "seed", 1, "of what is drawn")
	flags.StringVar(&s.since, "since", "", "only lines changed since this `revision`")
	flags.StringVar(&s.with, "with", "umschlag/core/reckon umschlag/demo umschlag/format/planfile",
		"`packages` whose tests judge besides each package’s own")
	flags.IntVar(&s.workers, "workers", 2, "tests at a time")
	if err := flags.Parse(args); err != nil {
		return err
	}
	if s.of = flags.Args(); len(s.of) == 0 {
		s.of = []string{"./core/..."}
	}
	dir, err := os.MkdirTemp("", "mutants-")
	if err != nil {
		return err
	}
	defer func() { _ = os.RemoveAll(dir) }()
	return s.run(dir, out)
}

func (s settings) run(dir string, out io.Writer) error {
	all, files, err := s.choose()
	if err != nil {
		return err
	}
	list, err := overlay(dir, files)
	if err != nil {
		return err
	}
	binaries, err := compile(dir, list, slices.Concat(s.of, strings.Fields(s.with)))
	if err != nil {
		return err
	}
	tests, err := baseline(dir, binaries, s.workers)
	if err != nil {
		return err
	}
	var took time.Duration
	for _, t := range tests {
		took += t.took
	}
	fmt.Fprintf(os.Stderr, "%d mutants, %d tests that take %.0f s of a processor\n", len(all), len(tests), took.Seconds())
	with := map[string]bool{}
	for _, pkg := range strings.Fields(s.with) {
		with[pkg] = true
	}
	verdicts := map[string][]verdict{}
	var lock sync.Mutex
	each(s.workers, all, func(m mutant) {
		v := judge(m, tests, with)
		lock.Lock()
		defer lock.Unlock()
		verdicts[m.pkg] = append(verdicts[m.pkg], v)
	})
	return tell(out, verdicts)
}

// choose draws the mutants, and writes them into the files they are in.
func (s settings) choose() ([]mutant, map[string]string, error) {
	packages, err := load(s.of)
	if err != nil {
		return nil, nil, err
	}
	changed, err := changedSince(s.since)
	if err != nil {
		return nil, nil, err
	}
	var all []mutant
	files := map[string]string{}
	random := rand.New(rand.NewPCG(s.seed, 0))
	for _, pkg := range packages {
		read, err := sources(pkg)
		if err != nil {
			return nil, nil, err
		}
		drawn := s.draw(random, read, changed)
		id := 0
		for i, file := range read {
			var in []mutant
			for j, one := range file.found.sites {
				if drawn[[2]int{i, j}] {
					id = len(all) + 1
					in = append(in, mutant{site: one, id: id, pkg: pkg.PkgPath})
					all = append(all, in[len(in)-1])
				}
			}
			if len(in) > 0 {
				files[file.path] = rendered(file, in)
			}
		}
		if id > 0 {
			files[filepath.Join(filepath.Dir(read[0].path), "mutant_runtime.go")] = runtime(pkg.Name)
		}
	}
	return all, files, nil
}

// draw takes as many sites of a package as are asked for.
func (s settings) draw(random *rand.Rand, of []source, changed func(path string, line int) bool) map[[2]int]bool {
	var there [][2]int
	for i, file := range of {
		for j, one := range file.found.sites {
			if changed(file.path, one.at.Line) {
				there = append(there, [2]int{i, j})
			}
		}
	}
	random.Shuffle(len(there), func(i, j int) { there[i], there[j] = there[j], there[i] })
	if s.most > 0 && len(there) > s.most {
		there = there[:s.most]
	}
	drawn := map[[2]int]bool{}
	for _, one := range there {
		drawn[one] = true
	}
	return drawn
}
