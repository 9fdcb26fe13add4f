package planfile

import (
	"reflect"
	"strings"

	"umschlag/core/length"
	"umschlag/core/plan"
)

// Full is the plan as a JSON document with every decision written out, the
// defaults too: what a reader of the plan sees, and what Read gives back
// unchanged. Lengths are written in the plan's unit.
func Full(p plan.Plan) map[string]any {
	w := writer{style: length.Style{Unit: p.Units}}
	doc, _ := w.value(reflect.ValueOf(p)).(map[string]any)
	return doc
}

type writer struct{ style length.Style }

func (w writer) value(v reflect.Value) any {
	switch t := v.Interface().(type) {
	case length.Length:
		return w.style.Plain(t)
	case plan.Pair:
		front, back := w.sized(t.Front, t.FrontCut), w.sized(t.Back, t.BackCut)
		if !t.Two() {
			return front
		}
		return []any{front, back}
	case plan.Panels:
		return w.panels(t)
	case plan.Extent:
		if t.Rest {
			return "rest"
		}
		return w.sized(t.Width, t.Cut)
	case plan.Size:
		return w.sized(t.Finished, t.Cut)
	case plan.Order:
		if t.Kind == plan.Rows {
			return w.list(reflect.ValueOf(t.Rows))
		}
		return string(t.Kind)
	case plan.Block:
		if t.Cells != nil {
			return map[string]any{"cells": t.Cells}
		}
		return t.Name
	}
	switch v.Kind() {
	case reflect.Pointer:
		return w.value(v.Elem())
	case reflect.Struct:
		return w.object(v)
	case reflect.Slice:
		return w.list(v)
	case reflect.Map:
		m := make(map[string]any, v.Len())
		for _, k := range v.MapKeys() {
			m[k.String()] = w.value(v.MapIndex(k))
		}
		return m
	default:
		return v.Interface()
	}
}

// sized is a length as it finishes, or as it is cut where it is given so.
func (w writer) sized(finished, cut length.Length) string {
	if cut != 0 {
		return w.style.Plain(cut) + " " + cutWord
	}
	return w.style.Plain(finished)
}

func (w writer) panels(p plan.Panels) any {
	if p.Widths == nil {
		return "equal"
	}
	return w.list(reflect.ValueOf(p.Widths))
}

func (w writer) list(v reflect.Value) []any {
	list := make([]any, v.Len())
	for i := range list {
		list[i] = w.value(v.Index(i))
	}
	return list
}

func (w writer) object(v reflect.Value) map[string]any {
	m := map[string]any{}
	keys := keysOf(v.Type())
	for _, f := range keys.ordered {
		if field := v.Field(f.field); !f.optional || !nothing(field) {
			m[f.key] = w.value(field)
		}
	}
	for key, i := range keys.cuts {
		if cut := length.Length(v.Field(i).Int()); cut != 0 {
			m[key] = w.sized(0, cut)
		}
	}
	return m
}

func optional(f reflect.StructField) bool {
	return strings.HasSuffix(f.Tag.Get("json"), ",omitempty")
}

// nothing reports whether an absent key means the same: an empty list does
// not, since it says that there is none.
func nothing(v reflect.Value) bool {
	switch v.Kind() {
	case reflect.Slice, reflect.Map, reflect.Pointer:
		return v.IsNil()
	default:
		return v.IsZero()
	}
}
