// Package finding knows what can be said about a plan: how serious it is, what
// it is about, and what to do instead.
package finding

import (
	"fmt"
	"strings"
)

// Level is how serious a finding is.
type Level string

// The levels. Stop means cloth would be spoiled, or that nothing can be cut.
const (
	Stop Level = "stop"
	Warn Level = "warn"
	Note Level = "note"
)

// Finding is one thing to know about a plan.
type Finding struct {
	Level Level `json:"level"`
	// Code names the kind of finding for programs.
	Code string `json:"code"`
	// About is a path into the plan, such as /back/overlap.
	About string `json:"about"`
	// Text says what is so, with the figures.
	Text string `json:"text"`
	// Remedy says what to do or to type instead.
	Remedy string `json:"remedy,omitempty"`
	// Remedies are changes of the plan that remove it and bring no stop, each tried: of stops, and where the plan
	// can be cut of warnings and notes that have one plain answer; only where somebody asked.
	Remedies []Mend `json:"remedies,omitempty"`
	// Nearest is the end of its range that is nearest to what was typed, where it is out of it: a
	// text in the notation of the plan, or a number.
	Nearest any `json:"-"`
}

// Says reports whether a finding says the same as another one, of the same place.
func (f Finding) Says(g Finding) bool {
	return f.Level == g.Level && f.Code == g.Code && f.About == g.About && f.Text == g.Text
}

// Mend is a change of a plan that removes a finding.
type Mend struct {
	// Text says what is changed, and to what.
	Text string `json:"text"`
	// Patch of the plan file as it was typed.
	Patch []Change `json:"patch"`
}

// Change is one operation of a JSON patch. Source: RFC 6902.
type Change struct {
	Op    string `json:"op"`
	Path  string `json:"path"`
	Value any    `json:"value,omitempty"`
}

// List collects findings in the order they were made.
type List []Finding

// Add appends a finding; text and remedy are complete sentences.
func (l *List) Add(level Level, code, about, text, remedy string) {
	*l = append(*l, Finding{Level: level, Code: code, About: about, Text: text, Remedy: remedy})
}

// Stopped reports whether anything found forbids cutting.
func (l List) Stopped() bool {
	for _, f := range l {
		if f.Level == Stop {
			return true
		}
	}
	return false
}

// Within reports whether a path is another one, or lies below it.
func Within(path, whole string) bool { return path == whole || strings.HasPrefix(path, whole+"/") }

// Path joins a path into a plan from its parts.
func Path(parts ...any) string {
	path := ""
	for _, p := range parts {
		path += fmt.Sprintf("/%v", p)
	}
	return path
}
