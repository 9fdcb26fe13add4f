// Command same tells whether plans come out as they did before: it reckons the same plans by
// another build of the app and by this one, and compares all they say, to the nanometre.
//
//	same write DIR --with BINARY [-n 3000]   plans drawn by chance and the demos, reckoned by BINARY
//	same compare DIR                         what comes out otherwise now
package main

import (
	"bytes"
	"encoding/json"
	"errors"
	"flag"
	"fmt"
	"io"
	"os"
	"os/exec"
	"path/filepath"
	"strings"

	"umschlag/anyplan"
	"umschlag/format/planfile"
)

func main() {
	if err := run(os.Args[1:], os.Stdout); err != nil {
		fmt.Fprintln(os.Stderr, "same:", err)
		os.Exit(1)
	}
}

const usage = "type: same write DIR --with BINARY [-n 3000], or: same compare DIR"

func run(args []string, out io.Writer) error {
	if len(args) < 2 {
		return errors.New(usage)
	}
	do, dir := args[0], args[1]
	flags := flag.NewFlagSet("same", flag.ContinueOnError)
	n := flags.Int("n", 3000, "how many plans are drawn")
	with := flags.String("with", "bin/umschlag", "the build that reckons them")
	if err := flags.Parse(args[2:]); err != nil {
		return err
	}
	switch do {
	case "write":
		return write(dir, *n, *with)
	case "compare":
		return compare(dir, out)
	}
	return errors.New(usage)
}

// write puts plans into a directory, each with its reckoning by a build of the app.
func write(dir string, n int, binary string) error {
	if err := os.MkdirAll(dir, 0o750); err != nil {
		return err
	}
	demos, err := filepath.Glob("demo/*.json")
	if err != nil {
		return err
	}
	for _, path := range demos {
		data, err := os.ReadFile(path)
		if err != nil {
			return err
		}
		if err := reckoned(dir, strings.TrimSuffix(filepath.Base(path), ".json"), data, binary); err != nil {
			return err
		}
	}
	plans := anyplan.Plans()
	for i := range n {
		data, err := json.MarshalIndent(planfile.Full(plans.Example(i)), "", " ")
		if err != nil {
			return err
		}
		if err := reckoned(dir, fmt.Sprintf("any-%04d", i), data, binary); err != nil {
			return err
		}
	}
	return nil
}

// reckoned keeps a plan and what a build of the app makes of it.
func reckoned(dir, name string, data []byte, binary string) error {
	var said, wrong bytes.Buffer
	cmd := exec.Command(binary, "reckon", "-")
	cmd.Stdin, cmd.Stdout, cmd.Stderr = bytes.NewReader(data), &said, &wrong
	var failed *exec.ExitError
	// 2: it cannot be cut, and says why
	if err := cmd.Run(); err != nil && !(errors.As(err, &failed) && failed.ExitCode() == 2) {
		return fmt.Errorf("%s reckons %s: %w\n%s", binary, name, err, wrong.String())
	}
	if err := os.WriteFile(filepath.Join(dir, name+".plan.json"), data, 0o600); err != nil {
		return err
	}
	return os.WriteFile(filepath.Join(dir, name+".reckoning.json"), said.Bytes(), 0o600)
}

// compare reckons the plans of a directory again and tells what differs, alike differences
// together.
func compare(dir string, out io.Writer) error {
	plans, err := filepath.Glob(filepath.Join(dir, "*.plan.json"))
	if err != nil {
		return err
	}
	if len(plans) == 0 {
		return fmt.Errorf("there are no plans in %s: write some first", dir)
	}
	found := differences{}
	for _, path := range plans {
		name := strings.TrimSuffix(filepath.Base(path), ".plan.json")
		before, now, err := both(dir, name)
		if err != nil {
			return err
		}
		found.compare(name, "", before, now)
	}
	found.tell(out)
	if found.count() > 0 {
		return fmt.Errorf("of %d plans, some come out otherwise", len(plans))
	}
	_, err = fmt.Fprintf(out, "%d plans come out as they did.\n", len(plans))
	return err
}

// both are the reckonings of a plan as kept and as made now.
func both(dir, name string) (before, now any, err error) {
	kept, err := os.ReadFile(filepath.Join(dir, name+".reckoning.json"))
	if err != nil {
		return nil, nil, err
	}
	data, err := os.ReadFile(filepath.Join(dir, name+".plan.json"))
	if err != nil {
		return nil, nil, err
	}
	r, err := planfile.Remedied(data, nil)
	if err != nil {
		return nil, nil, fmt.Errorf("reckon %s: %w", name, err)
	}
	made, err := json.Marshal(r)
	if err != nil {
		return nil, nil, err
	}
	before = decode(kept)
	if names, err := planfile.NamesOfOne(data); err == nil {
		before = renamed(before, names)
	}
	return before, decode(made), nil
}

// decode reads JSON with its numbers as they are written; what is no JSON reads as nothing.
func decode(data []byte) (v any) {
	d := json.NewDecoder(bytes.NewReader(data))
	d.UseNumber()
	_ = d.Decode(&v) // an empty reckoning differs from every other
	return v
}
