package planfile

import (
	"bytes"
	"encoding/json"
	"fmt"
	"reflect"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// Keyed is a document with keys for its parts that have none, made by fresh; nothing else of it
// changes. A document of umschlag/plan/1 becomes one of umschlag/plan/2.
func Keyed(data []byte, fresh func() ref.Key) ([]byte, error) {
	file, err := document(data)
	if err != nil {
		return nil, err
	}
	p, err := readTyped(file)
	if err != nil {
		return nil, err
	}
	writeKeys(file, p.Keyed(fresh))
	return print(file), nil
}

// WithRecord is a document with another record of its making.
func WithRecord(data []byte, progress plan.Progress, measured []plan.Measured) ([]byte, error) {
	return with(data, map[string]reflect.Value{"progress": reflect.ValueOf(progress),
		"measured": reflect.ValueOf(measured)})
}

// WithMade is a document with other units left from other covers.
func WithMade(data []byte, made []plan.Made) ([]byte, error) {
	return with(data, map[string]reflect.Value{"made": reflect.ValueOf(made)})
}

// with is a document with other values under some of its keys; empty ones are taken out.
func with(data []byte, values map[string]reflect.Value) ([]byte, error) {
	file, err := document(data)
	if err != nil {
		return nil, err
	}
	style := length.Style{Unit: (&reader{}).unitOf(file)}
	for key, v := range values {
		if v.IsZero() || v.Kind() == reflect.Slice && v.Len() == 0 {
			file.take(key)
			continue
		}
		file.set(key, tree(writer{style: style}.value(v)))
	}
	return print(file), nil
}

// tree is a value of the writer as a tree that was read.
func tree(v any) node {
	data, err := json.Marshal(v)
	if err != nil {
		return nil // what the writer makes is JSON
	}
	n, err := parse(data)
	if err != nil {
		return nil
	}
	return n
}

// writeKeys writes the keys of a plan's parts into the document it was read from.
func writeKeys(n node, p plan.Plan) { keysInto(n, reflect.ValueOf(p)) }

var keyType = reflect.TypeFor[ref.Key]()

func keysInto(n node, v reflect.Value) {
	switch v.Kind() {
	case reflect.Pointer:
		if !v.IsNil() {
			keysInto(n, v.Elem())
		}
	case reflect.Slice:
		if list, ok := n.([]node); ok && len(list) == v.Len() {
			for i := range list {
				keysInto(list[i], v.Index(i))
			}
		}
	case reflect.Map:
		if o, ok := n.(*object); ok {
			for _, key := range v.MapKeys() {
				keysInto(o.values[key.String()], v.MapIndex(key))
			}
		}
	case reflect.Struct:
		o, ok := n.(*object)
		if !ok {
			return
		}
		for _, f := range keysOf(v.Type()).ordered {
			field := v.Field(f.field)
			if field.Type() == keyType && f.key == "key" && o.values["key"] == nil && field.String() != "" {
				o.first("key", field.String())
				continue
			}
			if within, there := o.values[f.key]; there {
				keysInto(within, field)
			}
		}
	}
}

// take takes a member out of an object; nil where there is none.
func (o *object) take(key string) node {
	v, there := o.values[key]
	if !there {
		return nil
	}
	delete(o.values, key)
	for i, k := range o.keys {
		if k == key {
			o.keys = append(o.keys[:i:i], o.keys[i+1:]...)
		}
	}
	return v
}

// set puts a member into an object, at its end where it is new.
func (o *object) set(key string, v node) {
	if _, there := o.values[key]; !there {
		o.keys = append(o.keys, key)
	}
	o.values[key] = v
}

// first puts a new member at the beginning of an object.
func (o *object) first(key string, v node) {
	o.take(key)
	o.keys = append([]string{key}, o.keys...)
	o.values[key] = v
}

// print is a tree as JSON, its keys in their order.
func print(n node) []byte {
	var b bytes.Buffer
	printInto(&b, n)
	return b.Bytes()
}

func printInto(b *bytes.Buffer, n node) {
	switch t := n.(type) {
	case *object:
		b.WriteByte('{')
		for i, key := range t.keys {
			if i > 0 {
				b.WriteByte(',')
			}
			printInto(b, key)
			b.WriteByte(':')
			printInto(b, t.values[key])
		}
		b.WriteByte('}')
	case []node:
		b.WriteByte('[')
		for i, one := range t {
			if i > 0 {
				b.WriteByte(',')
			}
			printInto(b, one)
		}
		b.WriteByte(']')
	case json.Number:
		b.WriteString(t.String())
	default:
		data, err := json.Marshal(t)
		if err != nil {
			data = []byte("null") // texts, truths and nothing are all that is left
		}
		b.Write(data)
	}
}

// twice names keys that two parts share that must not.
func twice(p plan.Plan) Problems {
	var out Problems
	p.Keys(func(path string, key ref.Key, first bool) {
		if !first {
			out = append(out, Problem{Path: path + "/key",
				Text: fmt.Sprintf("another part has the key %q; leave it out, and this one gets a key of its own",
					key)})
		}
	})
	return out
}
