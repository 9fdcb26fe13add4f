// Package machine knows how a sewing machine is set up for a step, and what is changed
// from one step to the next: every change costs time, so steps are gathered by it.
package machine

import (
	"strings"
	"unicode"
	"unicode/utf8"
)

// SetUp is foot, stitch, needle and thread. The zero one sews nothing.
type SetUp struct {
	// Foot, such as walking foot; the standard foot where it is empty.
	Foot string
	// Seam is the allowance the cloth is led along, as it is shown; empty where a mark or
	// a ditch leads.
	Seam string
	// Stitch with its sizes, such as straight stitch 2.5 mm.
	Stitch string
	// Needle by its sizes, metric/imperial, such as 90/14.
	Needle string
	// Thread is the cloth it matches; empty for the thread everything is pieced with.
	Thread string
	// Darker tells that it is two shades darker than its cloth.
	Darker bool
	// Hand tells that it is sewn by hand: the machine stays as it is.
	Hand bool
}

// standard is the foot of a machine as it is delivered.
const standard = "standard foot"

// None reports that nothing is sewn.
func (s SetUp) None() bool { return s == SetUp{} }

// ReadyFrom reports that a machine set up for from needs no change.
func (s SetUp) ReadyFrom(from SetUp) bool { return len(s.Changes(from)) == 0 }

// Text is the set-up as it is read out, its first letter a capital; empty where nothing
// is sewn.
func (s SetUp) Text() string {
	var parts []string
	if s.Hand {
		parts = append(parts, "by hand")
	}
	if s.Foot != "" {
		parts = append(parts, s.Foot)
	}
	if s.Seam != "" {
		parts = append(parts, s.Seam+" seam")
	}
	if s.Stitch != "" {
		parts = append(parts, s.Stitch)
	}
	if s.Needle != "" {
		parts = append(parts, "needle "+s.Needle)
	}
	if s.Thread != "" {
		parts = append(parts, s.thread())
	}
	text := strings.Join(parts, ", ")
	first, size := utf8.DecodeRuneInString(text)
	if size == 0 {
		return ""
	}
	return string(unicode.ToUpper(first)) + text[size:]
}

// thread names the colour.
func (s SetUp) thread() string {
	switch {
	case s.Thread == "":
		return "the thread you piece with"
	case s.Darker:
		return "thread two shades darker than " + s.Thread
	}
	return "thread to match " + s.Thread
}

// Changes name what is changed at a machine that was set up for from: foot, needle,
// thread, stitch and guide, in the order it is done. A machine nobody has used yet is set
// up with everything; what is sewn by hand changes nothing.
func (s SetUp) Changes(from SetUp) []string {
	if s.None() || s.Hand {
		return nil
	}
	fresh := from.None()
	var out []string
	for _, part := range []struct{ now, before, text string }{
		{foot(s.Foot), foot(from.Foot), foot(s.Foot)},
		{s.Needle, from.Needle, "needle " + s.Needle},
		{s.thread(), from.thread(), s.thread()},
		{s.Stitch, from.Stitch, s.Stitch},
		{s.Seam, from.Seam, s.Seam + " from the needle"},
	} {
		if strings.TrimSpace(part.now) != "" && (fresh || part.now != part.before) {
			out = append(out, part.text)
		}
	}
	return out
}

func foot(name string) string {
	if name == "" {
		return standard
	}
	return name
}
