package planfile

import (
	"fmt"
	"slices"
	"strconv"
	"strings"

	"umschlag/core/finding"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/show"
)

// mostWithout is how many decisions are left out by way of trial for all stops of a plan.
const mostWithout = 60

// without looks for what a stop hangs on where nothing that is known mends it: each decision of the document is
// left out by itself. Where that removes the stop and brings no new one it is offered; where it brings another, the
// two exclude each other, and that is said.
func without(file *object, found []finding.Finding, f *finding.Finding, purse *reckon.Purse, left *int) {
	var against []string
	for _, path := range decisions(file) {
		if *left <= 0 || len(f.Remedies) >= 2 {
			break
		}
		*left--
		p, ok := lacking(file, path)
		if !ok {
			continue
		}
		made, ok := purse.Make(p)
		if !ok {
			break
		}
		var stops []finding.Finding
		for _, g := range made.Findings {
			if g.Level == finding.Stop {
				stops = append(stops, g)
			}
		}
		if isAmong(stops, *f) || !judged(made, f.About) {
			continue
		}
		if !slices.ContainsFunc(stops, func(g finding.Finding) bool { return !isAmong(found, g) }) {
			f.Remedies = append(f.Remedies, finding.Mend{Text: "Without " + named(path),
				Patch: []finding.Change{{Op: "remove", Path: path}}})
			continue
		}
		if !finding.Within(f.About, path) { // the decision that it is about is no other one
			against = append(against, path)
		}
	}
	if len(f.Remedies) == 0 && len(against) > 0 {
		f.Remedy = fmt.Sprintf("%s and %s exclude each other: change one of the two.", named(f.About),
			named(against[0]))
	}
}

// judged reports whether a plan came far enough to be judged at a path: another stop before that says nothing of it.
func judged(made show.Result, about string) bool {
	switch {
	case !made.Findings.Stopped():
		return true
	case finding.Within(about, "/pieces"):
		return slices.ContainsFunc(made.Panels, func(p show.Panel) bool { return finding.Within(about, p.Path) })
	case finding.Within(about, "/back"):
		return made.Back != nil
	case finding.Within(about, "/edges"), finding.Within(about, "/fittings"):
		return len(made.Cloths) > 0
	}
	return len(made.Cover.Pieces) > 0
}

// isAmong reports whether a finding of the same kind about the same decision is in a list.
func isAmong(list []finding.Finding, f finding.Finding) bool {
	return slices.ContainsFunc(list, func(g finding.Finding) bool { return g.Code == f.Code && g.About == f.About })
}

// named is a path of the document as it is said: its last key, and what it is decided of.
func named(path string) string {
	keys := strings.Split(path, "/")[1:]
	of := "the " + keys[0]
	if keys[0] == "pieces" && len(keys) > 1 {
		of = "the " + keys[1]
		if keys[1] == plan.Common {
			of = "all pieces"
		}
	}
	for i, key := range keys[:len(keys)-1] {
		if n, err := strconv.Atoi(keys[i+1]); err == nil && key == "parts" {
			of += fmt.Sprintf(", part %d", n+1)
		}
	}
	return fmt.Sprintf("“%s” of %s", strings.ReplaceAll(keys[len(keys)-1], "_", " "), of)
}

// lacking is the plan without a decision; ok is false where it cannot be read so.
func lacking(file *object, path string) (plan.Plan, bool) {
	changed, ok := tree(tidy(file)).(*object)
	if !ok {
		return plan.Plan{}, false
	}
	keys := strings.Split(path, "/")[1:]
	at := changed
	for _, key := range keys[:len(keys)-1] {
		next, isObject := at.values[key].(*object)
		if !isObject {
			return plan.Plan{}, false
		}
		at = next
	}
	at.take(keys[len(keys)-1])
	p, err := readTyped(changed)
	return p.Keyed(nil), err == nil
}

// decisions are the paths of what is decided in a document: the keys of its parts but for their kinds, those of the
// edges, the closure and the cover before those of the pieces.
func decisions(file *object) []string {
	var out []string
	add := func(path string, o *object, but ...string) {
		for _, key := range o.keys {
			if key != "kind" && key != "aside" && !slices.Contains(but, key) && !strings.ContainsAny(key, "/~") {
				out = append(out, path+"/"+key)
			}
		}
	}
	for _, part := range []string{"edges", "back", "cover"} {
		if o, ok := file.values[part].(*object); ok {
			add("/"+part, o)
		}
	}
	pieces, _ := file.values["pieces"].(*object)
	if pieces == nil {
		return out
	}
	for _, name := range pieces.keys {
		piece, ok := pieces.values[name].(*object)
		if !ok || strings.ContainsAny(name, "/~") {
			continue
		}
		add("/pieces/"+name, piece, "face")
		if face, ok := piece.values["face"].(*object); ok {
			add("/pieces/"+name+"/face", face)
		}
	}
	return out
}
