package workshopfile

import (
	"errors"
	"fmt"
	"regexp"
	"time"
)

// The bounds of what is kept: an id as this app makes them, and figures that a life of sewing does not reach.
const (
	mostID      = 1 << 31
	mostMinutes = 1_000_000
	mostTries   = 1_000_000
	mostLetters = 10_000
)

// Fault is what is wrong with what stands at a path of the file.
type Fault struct{ Path, Text string }

func (f *Fault) Error() string { return f.Path + ": " + f.Text }

// ids are those of plans and samples: they stand in addresses and names of files.
var ids = regexp.MustCompile(`^[a-z0-9][a-z0-9-]{0,79}$`)

// Moment is how a moment is stored.
const Moment = "2006-01-02T15:04:05.000000Z"

// judge tells what is wrong with what stands beside the documents: the first of each kind.
func (w Workshop) judge() error {
	return errors.Join(
		first("plans", w.Plans, func(p Plan) error { return errors.Join(id(p.ID), moment(p.Made), moment(p.Changed)) }),
		first("cloths", w.Cloths, named), first("notions", w.Notions, named),
		first("samples", w.Samples, func(s Sample) error { return id(s.ID) }),
		first("log", w.Log, judgeEntry),
		first("practice", w.Practice, func(p Practice) error {
			return errors.Join(within("tried", p.Tried, 0, mostTries), within("hit", p.Hit, 0, p.Tried),
				within("run", p.Run, -mostTries, mostTries))
		}))
}

// first is what is wrong with the first of a list that something is wrong with.
func first[T any](name string, list []T, judge func(T) error) error {
	for i, one := range list {
		if err := judge(one); err != nil {
			return &Fault{Path: fmt.Sprintf("%s/%d", name, i), Text: err.Error()}
		}
	}
	return nil
}

func named(n Named) error {
	if n.Name == "" || len(n.Name) > mostLetters {
		return errors.New("it needs a name")
	}
	return within("id", n.ID, 1, mostID)
}

func judgeEntry(e Entry) error {
	if len(e.Title)+len(e.Notes)+len(e.Next) > 3*mostLetters {
		return fmt.Errorf("its notes have more than %d letters", mostLetters)
	}
	return errors.Join(id(e.Plan), moment(e.Finished), within("minutes", e.Minutes, 0, mostMinutes))
}

func id(text string) error {
	if !ids.MatchString(text) {
		return fmt.Errorf("the id %q is none of this app; it has small letters, digits and hyphens, 80 at most", text)
	}
	return nil
}

func moment(text string) error {
	if _, err := time.Parse(Moment, text); err != nil {
		return fmt.Errorf("%q is not a moment; write it like 2026-03-09T17:30:00.000000Z", text)
	}
	return nil
}

func within(what string, n, least, most int) error {
	if n < least || n > most {
		return fmt.Errorf("%s is %d; it is between %d and %d", what, n, least, most)
	}
	return nil
}
