package main

import (
	"errors"
	"fmt"
	"math"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"sync"
	"time"
)

// oneTest is a test that passes without mutants: how long it takes, and which mutants it comes by.
type oneTest struct {
	binary  testBinary
	name    string
	took    time.Duration
	reached map[int]bool
}

// each does a thing with all, as many at a time as there are workers.
func each[T any](workers int, all []T, do func(T)) {
	var wait sync.WaitGroup
	next := make(chan T)
	for range workers {
		wait.Go(func() {
			for one := range next {
				do(one)
			}
		})
	}
	for _, one := range all {
		next <- one
	}
	close(next)
	wait.Wait()
}

// baseline runs every test alone, with no mutant on.
func baseline(dir string, binaries []testBinary, workers int) ([]oneTest, error) {
	var tests []oneTest
	for _, b := range binaries {
		list := exec.Command(b.path, "-test.list", "^(Test|Fuzz|Example)")
		list.Dir = b.dir
		out, err := list.Output()
		if err != nil {
			return nil, fmt.Errorf("tests of %s: %w", b.pkg, err)
		}
		for name := range strings.FieldsSeq(string(out)) {
			tests = append(tests, oneTest{binary: b, name: name})
		}
	}
	places := make([]int, len(tests))
	for i := range places {
		places[i] = i
	}
	failed := make([]error, len(tests))
	each(workers, places, func(i int) { failed[i] = tests[i].measure(filepath.Join(dir, strconv.Itoa(i)+".reached")) })
	return tests, errors.Join(failed...)
}

func (t *oneTest) measure(list string) error {
	out, took, err := run(t.binary, []string{t.name}, time.Hour, "UMSCHLAG_MUTANTS_REACHED="+list)
	if err != nil {
		return fmt.Errorf("%s of %s fails without a mutant: %w\n%s", t.name, t.binary.pkg, err, out)
	}
	t.took = took
	t.reached = map[int]bool{}
	text, err := os.ReadFile(list)
	if errors.Is(err, os.ErrNotExist) {
		return nil
	}
	for line := range strings.FieldsSeq(string(text)) {
		if id, err := strconv.Atoi(line); err == nil {
			t.reached[id] = true
		}
	}
	return err
}

// run runs some tests of a package. What runs wild is stopped by the memory and by the processor time
// it takes, which do not hang on what else the machine is doing.
func run(b testBinary, names []string, most time.Duration, env string) (out []byte, took time.Duration, err error) {
	script := fmt.Sprintf(`ulimit -v 8000000; ulimit -t %d; exec "$@"`, int(math.Ceil(most.Seconds())))
	tests := exec.Command("sh", "-c", script, "sh", b.path, "-test.failfast", "-test.timeout=5m",
		"-test.run", "^("+strings.Join(names, "|")+")$")
	tests.Dir = b.dir
	tests.Env = append(os.Environ(), env, "GOMAXPROCS=1")
	if out, err = tests.CombinedOutput(); tests.ProcessState == nil {
		return out, 0, err
	}
	return out, tests.ProcessState.UserTime() + tests.ProcessState.SystemTime(), err
}

// verdict is what became of a mutant.
type verdict struct {
	mutant
	killed  string // by the tests of which package; "" where nothing noticed
	reached bool
}

// judge runs the tests that come by a mutant: those of its own package, then those of the packages it
// is judged with, the quick ones first.
func judge(m mutant, tests []oneTest, with map[string]bool) verdict {
	v := verdict{mutant: m}
	names := map[testBinary][]string{}
	took := map[testBinary]time.Duration{}
	for _, t := range tests {
		if t.reached[m.id] && (t.binary.pkg == m.pkg || with[t.binary.pkg]) {
			names[t.binary] = append(names[t.binary], t.name)
			took[t.binary] += t.took
		}
	}
	binaries := make([]testBinary, 0, len(names))
	for b := range names {
		binaries = append(binaries, b)
	}
	slices.SortFunc(binaries, func(a, b testBinary) int {
		if (a.pkg == m.pkg) != (b.pkg == m.pkg) {
			if a.pkg == m.pkg {
				return -1
			}
			return 1
		}
		return int(took[a] - took[b])
	})
	v.reached = len(binaries) > 0
	for _, b := range binaries {
		if fails(m, b, names[b], took[b]) {
			v.killed = b.pkg
			break
		}
	}
	return v
}

// fails: the tests fail with the mutant on, or do not end in five times what they take.
func fails(m mutant, b testBinary, names []string, took time.Duration) bool {
	_, _, err := run(b, names, 5*took+2*time.Second, "UMSCHLAG_MUTANT="+strconv.Itoa(m.id))
	return err != nil
}
