package planfile

import (
	"fmt"
	"maps"
	"reflect"
	"slices"
	"strconv"
	"strings"

	"umschlag/core/answer"
	"umschlag/core/brief"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/remedy"
)

// Remedied is Reckon with the changes that remove what it finds, as patches of the document.
func Remedied(data []byte, w *reckon.Workshop) (answer.Reckoning, error) {
	r, err := Reckon(data, w)
	if err != nil {
		return r, err
	}
	return Mended(data, r, w)
}

// Mended is the reckoning of a document with the changes that remove what it finds, as patches of the document:
// all that mends its stops, or what settles its warnings and notes where it has none.
func Mended(data []byte, r answer.Reckoning, w *reckon.Workshop) (answer.Reckoning, error) {
	if len(r.Findings) == 0 {
		return r, nil
	}
	file, err := document(data)
	if err != nil {
		return r, err
	}
	p, err := Read(data)
	if err != nil {
		return r, err
	}
	purse := reckon.NewPurse(w)
	if !finding.List(r.Findings).Stopped() {
		for i, offers := range remedy.Hints(p, r.Findings, purse,
			func(f finding.Finding) []remedy.Try { return unread(file, f) }) {
			for _, o := range offers {
				r.Findings[i].Remedies = append(r.Findings[i].Remedies,
					finding.Mend{Text: o.Text, Patch: diff(file, p, o.Plan)})
			}
		}
		return r, nil
	}
	offered := remedy.For(p, r.Findings, purse, func(f finding.Finding) []remedy.Try { return inRange(file, f) })
	for i, offers := range offered {
		r.Findings[i].Remedy = "" // it tells of one direction, or of what was not tried
		for _, o := range offers {
			r.Findings[i].Remedies = append(r.Findings[i].Remedies,
				finding.Mend{Text: o.Text, Patch: diff(file, p, o.Plan)})
		}
	}
	left := mostWithout
	for i, f := range r.Findings {
		if _, known := offered[i]; f.Level == finding.Stop && !known {
			without(file, r.Findings, &r.Findings[i], purse, &left)
		}
	}
	return r, nil
}

// unread is the plan without what its kinds do not read.
func unread(file *object, f finding.Finding) []remedy.Try {
	if f.Code != "unread" {
		return nil
	}
	p, ok := lacking(file, f.About)
	if !ok {
		return nil
	}
	return []remedy.Try{{Text: "Remove it", Plan: p}}
}

// inRange is the plan with the nearest end of its range for what is out of it.
func inRange(file *object, f finding.Finding) []remedy.Try {
	if f.Nearest == nil {
		return nil
	}
	changed, ok := tree(tidy(file)).(*object)
	if !ok || !put(changed, f.About, tree(f.Nearest)) {
		return nil
	}
	p, err := readTyped(changed)
	if err != nil {
		return nil
	}
	end := fmt.Sprint(f.Nearest)
	if typed, ok := f.Nearest.(string); ok {
		text, cut := cutText(typed)
		if !cut {
			text = typed
		}
		if l, err := length.Parse(text, p.Units); err == nil {
			if end = p.Style().Text(l); cut {
				end += " " + cutWord
			}
		}
	}
	return []remedy.Try{{Text: "Make it " + end, Plan: p.Keyed(nil)}}
}

// Chosen is what takes a decision of the brief of a document, as a patch of it: see brief.Choose. Problems tell why it
// cannot be.
func Chosen(data []byte, id, key string, w *reckon.Workshop) ([]finding.Change, error) {
	file, err := document(data)
	if err != nil {
		return nil, err
	}
	p, err := Read(data)
	if err != nil {
		return nil, err
	}
	q, err := chosen(p, id, key, w)
	if err != nil {
		return nil, err
	}
	return append([]finding.Change{}, diff(file, p, q)...), nil // none, where it is so already
}

func chosen(p plan.Plan, id, key string, w *reckon.Workshop) (plan.Plan, error) {
	q, refused, ok := brief.Choose(p, w, id, key)
	switch {
	case !ok:
		return p, Problems{{Path: id, Text: "The brief has no such decision any more: open the plan again."}}
	case refused != "":
		return p, Problems{{Path: id, Text: refused}}
	}
	return q, nil
}

// Followed reckons a document with what follows from the value at a path of it, where there is one; see Chosen.
func Followed(data []byte, path string, w *reckon.Workshop) (answer.Reckoning, error) {
	return reckoned(data, path, w, reckon.Reckon)
}

// OnSheet is as much of it as is seen beside the sheet while the value is typed, with the sums of these names.
func OnSheet(data []byte, path string, w *reckon.Workshop, sums []string) (answer.Reckoning, error) {
	return reckoned(data, path, w, func(p plan.Plan, w *reckon.Workshop) answer.Reckoning {
		return reckon.OnSheet(p, w, sums)
	})
}

func reckoned(data []byte, path string, w *reckon.Workshop,
	how func(plan.Plan, *reckon.Workshop) answer.Reckoning) (answer.Reckoning, error) {
	p, err := Read(data)
	if err != nil {
		return answer.Reckoning{}, err
	}
	if path != "" {
		if p, err = chosen(p, path, "", w); err != nil {
			return answer.Reckoning{}, err
		}
	}
	r := how(p, w)
	r.Settled = Full(w.Settle(p))
	return r, nil
}

// tidy is a tree in the shapes that JSON writes.
func tidy(n node) any { return plainValue(n) }

// put sets the value at a path, making the way there; false where the way goes through a value.
func put(n node, path string, v node) bool {
	keys := strings.Split(path, "/")[1:]
	for i, key := range keys {
		last := i == len(keys)-1
		switch at := n.(type) {
		case *object:
			if last {
				at.set(key, v)
				return true
			}
			if at.values[key] == nil {
				at.set(key, &object{values: map[string]node{}})
			}
			n = at.values[key]
		case []node:
			k, err := strconv.Atoi(key)
			if err != nil || k < 0 || k >= len(at) {
				return false
			}
			if last {
				at[k] = v
				return true
			}
			n = at[k]
		default:
			return false
		}
	}
	return false
}

// diff is what makes one plan of a document into another: what is not typed there and stays as it
// is meant is not written.
func diff(file *object, before, after plan.Plan) []finding.Change {
	a, b := Full(before), Full(after)
	d := differ{}
	d.object("", file, a, b)
	return d.changes
}

type differ struct{ changes []finding.Change }

func (d *differ) add(op, path string, v any) {
	d.changes = append(d.changes, finding.Change{Op: op, Path: path, Value: v})
}

func (d *differ) object(path string, doc *object, a, b map[string]any) {
	keys := slices.Collect(maps.Keys(a))
	for k := range b {
		if _, there := a[k]; !there {
			keys = append(keys, k)
		}
	}
	slices.Sort(keys)
	for _, k := range keys {
		was, is := a[k], b[k]
		if reflect.DeepEqual(was, is) {
			continue
		}
		typed, there := doc.values[k]
		d.value(path+"/"+escaped(k), typed, there, was, is)
	}
}

// value says what changes at a path, where something may be typed.
func (d *differ) value(path string, typed node, there bool, was, is any) {
	if is == nil {
		if there {
			d.add("remove", path, nil)
		}
		return
	}
	if typed == nil {
		d.add("add", path, is)
		return
	}
	switch now := is.(type) {
	case map[string]any:
		doc, isObject := typed.(*object)
		old, wasObject := was.(map[string]any)
		if isObject && wasObject {
			d.object(path, doc, old, now)
			return
		}
	case []any:
		doc, isList := typed.([]node)
		old, wasList := was.([]any)
		if isList && wasList && len(doc) == len(now) && len(old) == len(now) {
			for i := range now {
				if !reflect.DeepEqual(old[i], now[i]) {
					d.value(fmt.Sprintf("%s/%d", path, i), doc[i], true, old[i], now[i])
				}
			}
			return
		}
		if isList && wasList && len(doc) == len(old) {
			d.list(path, old, now)
			return
		}
	}
	d.add("replace", path, is)
}

// list says what is taken out of a list and put into it; what is as before at its beginning and its end stays as it
// was typed.
func (d *differ) list(path string, old, now []any) {
	first := 0
	for first < min(len(old), len(now)) && reflect.DeepEqual(old[first], now[first]) {
		first++
	}
	last := 0
	for last < min(len(old), len(now))-first &&
		reflect.DeepEqual(old[len(old)-1-last], now[len(now)-1-last]) {
		last++
	}
	for i := len(old) - last - 1; i >= first; i-- {
		d.add("remove", fmt.Sprintf("%s/%d", path, i), nil)
	}
	for i := first; i < len(now)-last; i++ {
		d.add("add", fmt.Sprintf("%s/%d", path, i), now[i])
	}
}

// escaped is a key in a JSON pointer. Source: RFC 6901.
func escaped(key string) string {
	return strings.ReplaceAll(strings.ReplaceAll(key, "~", "~0"), "/", "~1")
}
