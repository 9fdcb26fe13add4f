// Package finding knows what can be said about a plan: how serious it is, what
// it is about, and what to do instead.
package finding

import "fmt"

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

// Path joins a path into a plan from its parts.
func Path(parts ...any) string {
	path := ""
	for _, p := range parts {
		path += fmt.Sprintf("/%v", p)
	}
	return path
}
