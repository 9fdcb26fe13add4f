package main

import (
	"fmt"
	"os/exec"
	"path/filepath"
	"strconv"
	"strings"
)

// changedSince tells which lines were changed since a revision; all of them where none is named.
func changedSince(revision string) (func(path string, line int) bool, error) {
	if revision == "" {
		return func(string, int) bool { return true }, nil
	}
	top, err := exec.Command("git", "rev-parse", "--show-toplevel").Output()
	if err != nil {
		return nil, fmt.Errorf("-since reads the history, and here is none: %w", err)
	}
	diff, err := exec.Command("git", "diff", "--unified=0", "--no-ext-diff", revision, "--", ":/*.go").Output()
	if err != nil {
		return nil, fmt.Errorf("-since %s: name a revision that `git log` knows: %w", revision, err)
	}
	lines := changedLines(string(diff))
	return func(path string, line int) bool {
		short, err := filepath.Rel(strings.TrimSpace(string(top)), path)
		return err == nil && lines[short][line]
	}, nil
}

// changedLines reads a diff without context: the lines of each file as it is now.
func changedLines(diff string) map[string]map[int]bool {
	lines := map[string]map[int]bool{}
	file := ""
	for line := range strings.Lines(diff) {
		if to, ok := strings.CutPrefix(line, "+++ b/"); ok {
			file = strings.TrimSpace(to)
			lines[file] = map[int]bool{}
		}
		if !strings.HasPrefix(line, "@@ ") || file == "" {
			continue
		}
		now := strings.TrimPrefix(strings.Fields(line)[2], "+")
		first, count, several := strings.Cut(now, ",")
		from, _ := strconv.Atoi(first)
		n := 1
		if several {
			n, _ = strconv.Atoi(count)
		}
		for i := range n {
			lines[file][from+i] = true
		}
	}
	return lines
}
