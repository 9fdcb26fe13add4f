package main

import (
	"fmt"
	"io"
	"maps"
	"slices"
)

// differences are what differs, by the place in a reckoning, whatever numbers and names stand
// in the path to it.
type differences map[string]*difference

// difference is one kind of difference: how often it is there, and where first.
type difference struct {
	times int
	first string
	// new marks what was not said before, which is no difference.
	new bool
}

func (d differences) add(kind, text string, isNew bool) {
	if d[kind] == nil {
		d[kind] = &difference{first: text, new: isNew}
	}
	d[kind].times++
}

// count is how many things come out otherwise.
func (d differences) count() int {
	n := 0
	for _, one := range d {
		if !one.new {
			n += one.times
		}
	}
	return n
}

func (d differences) tell(out io.Writer) {
	for _, kind := range slices.Sorted(maps.Keys(d)) {
		what := "otherwise"
		if d[kind].new {
			what = "new"
		}
		_, _ = fmt.Fprintf(out, "%6d × %s, %s: %s\n", d[kind].times, kind, what, d[kind].first)
	}
}

// named are the objects whose keys are names, not fields.
var named = []string{"/sums", "/counts", "/settled/cloths", "/settled/pieces"}

// compare collects what differs between two values at a place of a plan's reckoning.
func (d differences) compare(plan, place string, before, now any) {
	switch was := before.(type) {
	case map[string]any:
		if is, ok := now.(map[string]any); ok {
			d.objects(plan, place, was, is)
			return
		}
	case []any:
		if is, ok := now.([]any); ok && len(is) == len(was) {
			for i := range was {
				d.compare(plan, place+"/-", was[i], is[i])
			}
			return
		}
	}
	if fmt.Sprint(before) != fmt.Sprint(now) {
		d.add(place, fmt.Sprintf("%s: %.200v → %.200v", plan, before, now), false)
	}
}

func (d differences) objects(plan, place string, was, is map[string]any) {
	for _, key := range slices.Sorted(maps.Keys(was)) {
		next := place + "/" + key
		if slices.Contains(named, place) {
			next = place + "/*"
		}
		if _, there := is[key]; !there {
			d.add(next, fmt.Sprintf("%s: %s with %.200v → nothing", plan, key, was[key]), false)
			continue
		}
		d.compare(plan, next, was[key], is[key])
	}
	for _, key := range slices.Sorted(maps.Keys(is)) {
		if _, there := was[key]; !there {
			d.add(place+"/"+key, fmt.Sprintf("%s: %.200v", plan, is[key]), !slices.Contains(named, place))
		}
	}
}
