package planfile

import (
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"math"
	"reflect"
	"slices"
	"strings"
	"sync"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// reader fills plan values from JSON and collects what it cannot read.
type reader struct {
	unit     length.Unit
	problems Problems
	// bare are the paths of lengths without a unit of their own.
	bare []string
}

// worded is a closed set of words.
type worded interface{ Values() []string }

// special reads the types that JSON writes in more than one shape.
var special map[reflect.Type]func(*reader, reflect.Value, node, string)

// fresh gives the values that list elements and optional parts start from,
// where an absent key does not mean nothing.
var fresh = map[reflect.Type]func() any{
	reflect.TypeFor[plan.Batting](): func() any { return plan.Batting{Count: 1} },
	reflect.TypeFor[plan.Border]():  func() any { return plan.Border{Width: plan.Extent{Rest: true}} },
}

func init() {
	special = map[reflect.Type]func(*reader, reflect.Value, node, string){
		reflect.TypeFor[length.Length](): (*reader).length,
		reflect.TypeFor[length.Unit]():   (*reader).units,
		reflect.TypeFor[ref.Key]():       (*reader).key,
		reflect.TypeFor[plan.Pair]():     (*reader).pair,
		reflect.TypeFor[plan.Block]():    (*reader).block,
		reflect.TypeFor[plan.Order]():    (*reader).order,
		reflect.TypeFor[plan.Extent]():   (*reader).extent,
		reflect.TypeFor[plan.Size]():     (*reader).size,
		reflect.TypeFor[plan.Panels]():   (*reader).panels,
	}
}

func (r *reader) fail(path, format string, args ...any) {
	r.problems = append(r.problems, Problem{Path: path, Text: fmt.Sprintf(format, args...)})
}

// unitOf is the plan's unit, needed before any length can be read.
func (r *reader) unitOf(file *object) length.Unit {
	if u, ok := file.values["units"].(string); ok && slices.Contains(length.Units(), length.Unit(u)) {
		return length.Unit(u)
	}
	return length.Inches
}

// into reads n into v; null leaves v as it is, like an absent key.
func (r *reader) into(v reflect.Value, n node, path string) {
	if n == nil {
		return
	}
	if read, ok := special[v.Type()]; ok {
		read(r, v, n, path)
		return
	}
	switch v.Kind() {
	case reflect.Pointer:
		fill := start(v.Type().Elem())
		r.into(fill.Elem(), n, path)
		v.Set(fill)
	case reflect.Struct:
		r.object(v, n, path)
	case reflect.Slice:
		r.list(v, n, path)
	case reflect.Map:
		r.mapping(v, n, path)
	case reflect.String:
		r.word(v, n, path)
	case reflect.Bool:
		if b, ok := n.(bool); ok {
			v.SetBool(b)
			return
		}
		r.fail(path, "type true or false here, not %s", shown(n))
	case reflect.Int:
		r.count(v, n, path)
	case reflect.Float64:
		r.number(v, n, path)
	}
}

// start is a pointer to a new value of type t with its defaults.
func start(t reflect.Type) reflect.Value {
	p := reflect.New(t)
	if f, ok := fresh[t]; ok {
		p.Elem().Set(reflect.ValueOf(f()))
	}
	return p
}

func (r *reader) object(v reflect.Value, n node, path string) {
	o, ok := n.(*object)
	if !ok {
		r.fail(path, "an object in braces belongs here, not %s", shown(n))
		return
	}
	keys := keysOf(v.Type())
	for _, key := range o.keys {
		i, known := keys.fields[key]
		if !known {
			r.fail(path+"/"+key, "unknown key; the keys here are %s", strings.Join(slices.Sorted(maps.Keys(keys.fields)), ", "))
			continue
		}
		value := o.values[key]
		if at, may := keys.cuts[key]; may {
			if text, cut := cutText(value); cut {
				value, i = text, at
			}
		}
		r.into(v.Field(i), value, path+"/"+key)
	}
	for _, key := range keys.required {
		if _, there := o.values[key]; !there {
			r.fail(path+"/"+key, "missing: every plan says this")
		}
	}
}

// keys are those of the objects that a type is written as.
type keys struct {
	// fields has the field of each key, cuts the one that takes what is said of a key as it is cut.
	fields, cuts map[string]int
	required     []string
	// ordered are the fields in their order, with the key of each.
	ordered []member
}

// member is a field as it is written: optional ones are left out where they say nothing.
type member struct {
	field    int
	key      string
	optional bool
}

// keysKnown has the keys of the types met so far: tags are read again for each object otherwise.
var keysKnown sync.Map

func keysOf(t reflect.Type) keys {
	if known, ok := keysKnown.Load(t); ok {
		return known.(keys)
	}
	k := keys{fields: map[string]int{}, cuts: map[string]int{}}
	for i := range t.NumField() {
		f := t.Field(i)
		if key := keyOf(f); key != "-" {
			k.fields[key] = i
			k.ordered = append(k.ordered, member{field: i, key: key, optional: optional(f)})
		}
		if key := f.Tag.Get("cut"); key != "" {
			k.cuts[key] = i
		}
		if required(f) {
			k.required = append(k.required, keyOf(f))
		}
	}
	keysKnown.Store(t, k)
	return k
}

// cutWord stands behind a length that is given as it is cut.
const cutWord = "cut"

// cutText is the length in a text that says that it is cut so; cut is false for any other.
func cutText(n node) (length string, cut bool) {
	text, isText := n.(string)
	rest, cut := strings.CutSuffix(strings.TrimSpace(text), cutWord)
	if !isText || !cut || rest != "" && !strings.HasSuffix(rest, " ") && !strings.HasSuffix(rest, "\"") &&
		!strings.HasSuffix(rest, "″") {
		return "", false
	}
	return strings.TrimSpace(rest), true
}

func keyOf(f reflect.StructField) string {
	key, _, _ := strings.Cut(f.Tag.Get("json"), ",")
	return key
}

func required(f reflect.StructField) bool {
	return slices.Contains(strings.Split(f.Tag.Get("jsonschema"), ","), "required")
}

func (r *reader) list(v reflect.Value, n node, path string) {
	items, ok := n.([]node)
	if !ok {
		r.fail(path, "a list in brackets belongs here, not %s", shown(n))
		return
	}
	out := reflect.MakeSlice(v.Type(), 0, len(items))
	for i, item := range items {
		element := start(v.Type().Elem()).Elem()
		r.into(element, item, fmt.Sprintf("%s/%d", path, i))
		out = reflect.Append(out, element)
	}
	v.Set(out)
}

func (r *reader) mapping(v reflect.Value, n node, path string) {
	o, ok := n.(*object)
	if !ok {
		r.fail(path, "an object in braces belongs here, not %s", shown(n))
		return
	}
	out := reflect.MakeMap(v.Type())
	for _, key := range o.keys {
		element := start(v.Type().Elem()).Elem()
		r.into(element, o.values[key], path+"/"+key)
		out.SetMapIndex(reflect.ValueOf(key), element)
	}
	v.Set(out)
}

func (r *reader) word(v reflect.Value, n node, path string) {
	s, ok := n.(string)
	if !ok {
		r.fail(path, "a text in quotes belongs here, not %s", shown(n))
		return
	}
	if set, closed := v.Interface().(worded); closed && !slices.Contains(set.Values(), s) {
		r.fail(path, "%s is not known here; type one of %s", shown(s), strings.Join(set.Values(), ", "))
		return
	}
	v.SetString(s)
}

func (r *reader) count(v reflect.Value, n node, path string) {
	num, ok := n.(json.Number)
	if ok {
		if i, err := num.Int64(); err == nil && i >= math.MinInt32 && i <= math.MaxInt32 {
			v.SetInt(i)
			return
		}
	}
	r.fail(path, "a whole number belongs here, not %s", shown(n))
}

func (r *reader) number(v reflect.Value, n node, path string) {
	num, ok := n.(json.Number)
	if ok {
		if f, err := num.Float64(); err == nil {
			v.SetFloat(f)
			return
		}
	}
	r.fail(path, "a number belongs here, not %s", shown(n))
}

func (r *reader) length(v reflect.Value, n node, path string) {
	text := ""
	switch t := n.(type) {
	case string:
		text = t
	case json.Number:
		text = t.String()
	default:
		r.fail(path, `a length belongs here, such as "16 1/2", not %s`, shown(n))
		return
	}
	l, err := length.Parse(text, r.unit)
	if _, cut := cutText(n); cut && err != nil {
		r.fail(path, "%s is not cut by itself: type it without the word %s", shown(n), cutWord)
		return
	}
	if err != nil {
		p := Problem{Path: path, Text: err.Error()}
		var syntax *length.SyntaxError
		if errors.As(err, &syntax) {
			p.Position = &syntax.Pos
		}
		r.problems = append(r.problems, p)
		return
	}
	if other := map[bool]length.Unit{true: length.Centimetres, false: length.Inches}[r.unit == length.Inches]; l != 0 {
		if again, err := length.Parse(text, other); err == nil && again != l {
			r.bare = append(r.bare, path)
		}
	}
	v.SetInt(int64(l))
}

func (r *reader) units(v reflect.Value, n node, path string) {
	if s, ok := n.(string); ok && slices.Contains(length.Units(), length.Unit(s)) {
		v.SetString(s)
		return
	}
	r.fail(path, "%s is no unit of a plan; type one of in, cm, mm", shown(n))
}

func (r *reader) key(v reflect.Value, n node, path string) {
	if s, ok := n.(string); ok && ref.Key(s).Valid() {
		v.SetString(s)
		return
	}
	r.fail(path, "a key is 1 to %d small letters and digits, not %s", ref.MaxKey, shown(n))
}

// two reads a list of exactly two lengths.
func (r *reader) two(items []node, path string) (two [2]length.Length, ok bool) {
	if len(items) != 2 {
		r.fail(path, "two lengths belong here, not %d", len(items))
		return two, false
	}
	before := len(r.problems)
	for i := range two {
		r.length(reflect.ValueOf(&two[i]).Elem(), items[i], fmt.Sprintf("%s/%d", path, i))
	}
	return two, len(r.problems) == before
}

func (r *reader) pair(v reflect.Value, n node, path string) {
	front, back, apart := n, n, false
	at := [2]string{path, path}
	if items, ok := n.([]node); ok {
		if len(items) != 2 {
			r.fail(path, "two lengths belong here, not %d", len(items))
			return
		}
		front, back, apart, at = items[0], items[1], true, [2]string{path + "/0", path + "/1"}
	}
	out := plan.Pair{Apart: apart}
	before := len(r.problems)
	out.Front, out.FrontCut = r.sized(front, at[0])
	if out.Back, out.BackCut = out.Front, out.FrontCut; apart {
		out.Back, out.BackCut = r.sized(back, at[1])
	}
	if len(r.problems) == before || !apart {
		v.Set(reflect.ValueOf(out))
	}
}

// sized is a length as it finishes, or as it is cut.
func (r *reader) sized(n node, path string) (finished, cut length.Length) {
	into := &finished
	if text, is := cutText(n); is {
		n, into = text, &cut
	}
	r.length(reflect.ValueOf(into).Elem(), n, path)
	return finished, cut
}

func (r *reader) size(v reflect.Value, n node, path string) {
	var s plan.Size
	s.Finished, s.Cut = r.sized(n, path)
	v.Set(reflect.ValueOf(s))
}

func (r *reader) panels(v reflect.Value, n node, path string) {
	switch t := n.(type) {
	case []node:
		if two, ok := r.two(t, path); ok {
			v.Set(reflect.ValueOf(plan.Panels{Widths: two[:]}))
		}
	case string:
		if t != "equal" {
			r.fail(path, `type "equal" or the two cut widths, not %s`, shown(t))
		}
		v.Set(reflect.ValueOf(plan.Panels{}))
	default:
		r.fail(path, `type "equal" or the two cut widths, not %s`, shown(n))
	}
}

func (r *reader) extent(v reflect.Value, n node, path string) {
	if n == "rest" {
		v.Set(reflect.ValueOf(plan.Extent{Rest: true}))
		return
	}
	var e plan.Extent
	before := len(r.problems)
	e.Width, e.Cut = r.sized(n, path)
	for i := range r.problems[before:] {
		r.problems[before+i].Text += ", or rest for what is left over"
	}
	v.Set(reflect.ValueOf(e))
}

func (r *reader) order(v reflect.Value, n node, path string) {
	if _, ok := n.([]node); ok {
		o := plan.Order{Kind: plan.Rows}
		r.list(reflect.ValueOf(&o.Rows).Elem(), n, path)
		v.Set(reflect.ValueOf(o))
		return
	}
	var kind plan.OrderKind
	r.word(reflect.ValueOf(&kind).Elem(), n, path)
	if kind == plan.Rows {
		r.fail(path, `write the rows out: [["A", "B"], ["B", "A"]]`)
		return
	}
	v.Set(reflect.ValueOf(plan.Order{Kind: kind}))
}

func (r *reader) block(v reflect.Value, n node, path string) {
	switch t := n.(type) {
	case string:
		v.Set(reflect.ValueOf(plan.Block{Name: t}))
	case *object:
		cells, ok := t.values["cells"]
		if !ok || len(t.keys) != 1 {
			r.fail(path, `a block is a name or {"cells": …}`)
			return
		}
		v.Set(reflect.ValueOf(plan.Block{Cells: plainValue(cells)}))
	default:
		r.fail(path, `a block is a name or {"cells": …}, not %s`, shown(n))
	}
}

// plainValue is n in the shapes encoding/json writes back.
func plainValue(n node) any {
	switch t := n.(type) {
	case *object:
		m := make(map[string]any, len(t.keys))
		for k, v := range t.values {
			m[k] = plainValue(v)
		}
		return m
	case []node:
		list := make([]any, len(t))
		for i, v := range t {
			list[i] = plainValue(v)
		}
		return list
	default:
		return n
	}
}

// shown names a value in a message without repeating a page of it.
func shown(n node) string {
	switch t := n.(type) {
	case *object:
		return "an object"
	case []node:
		return "a list"
	case string:
		if len([]rune(t)) > 40 {
			t = string([]rune(t)[:40]) + "…"
		}
		return fmt.Sprintf("%q", t)
	default:
		return fmt.Sprint(t)
	}
}
