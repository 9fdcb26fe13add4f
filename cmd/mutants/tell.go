package main

import (
	"fmt"
	"io"
	"maps"
	"os"
	"path/filepath"
	"slices"
	"strings"
)

// tell lists what nothing noticed, and how many were noticed in each package.
func tell(out io.Writer, verdicts map[string][]verdict) error {
	var b strings.Builder
	var killed, all int
	for _, pkg := range slices.Sorted(maps.Keys(verdicts)) {
		of := verdicts[pkg]
		slices.SortFunc(of, func(a, b verdict) int { return a.id - b.id })
		here := 0
		for _, v := range of {
			if v.killed != "" {
				here++
				continue
			}
			why := "not noticed"
			if !v.reached {
				why = "no test comes by"
			}
			fmt.Fprintf(&b, "%s:%d: %s: %s\n", relative(v.at.Filename), v.at.Line, why, oneLine(v.told))
		}
		fmt.Fprintf(&b, "%s: %d of %d killed, %d%%\n\n", pkg, here, len(of), here*100/len(of))
		killed, all = killed+here, all+len(of)
	}
	if all == 0 {
		b.WriteString("nothing there that can be changed\n")
	} else {
		fmt.Fprintf(&b, "%d of %d killed, %d%%\n", killed, all, killed*100/all)
	}
	_, err := io.WriteString(out, b.String())
	return err
}

func relative(path string) string {
	here, err := os.Getwd()
	if err != nil {
		return path
	}
	short, err := filepath.Rel(here, path)
	if err != nil {
		return path
	}
	return short
}

// oneLine is a piece of source, short enough to be read in a list.
func oneLine(text string) string {
	line := []rune(strings.Join(strings.Fields(text), " "))
	if len(line) > 100 {
		line = append(line[:99], '…')
	}
	return string(line)
}
