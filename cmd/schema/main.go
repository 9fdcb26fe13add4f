// Command schema prints JSON Schemas made from the Go types: of the plan file,
// which is published with the docs, and of what the user interface exchanges
// with the server, from which its types are generated. It runs in the root of
// the source tree, whose comments become descriptions.
package main

import (
	"encoding/json"
	"fmt"
	"os"
	"reflect"

	"github.com/invopop/jsonschema"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/web"
)

func main() {
	if err := run(os.Args[1:]); err != nil {
		fmt.Fprintln(os.Stderr, "schema:", err)
		os.Exit(1)
	}
}

func run(args []string) error {
	if len(args) != 1 {
		return fmt.Errorf("say which: plan or api")
	}
	var r jsonschema.Reflector
	r.Mapper = mapped
	r.Anonymous = true
	for _, dir := range []string{"./core", "./format", "./device", "./web"} {
		if err := r.AddGoComments("umschlag", dir, jsonschema.WithFullComment()); err != nil {
			return fmt.Errorf("read the comments: %w", err)
		}
	}
	var s *jsonschema.Schema
	switch args[0] {
	case "plan":
		// In a plan only what is tagged so is required: the rest has defaults.
		r.RequiredFromJSONSchemaTags = true
		s = r.Reflect(&plan.Plan{})
		s.Title, s.Description = "Plan", "The plan file, "+plan.Format
		if format, ok := definition(s, "Plan", "format"); ok {
			format.Const = plan.Format
		}
		if band, ok := definition(s, "Cover", "band_length"); ok { // written as null in the published example
			band.AnyOf = append(band.AnyOf, &jsonschema.Schema{Type: "null"})
		}
	case "api":
		s = r.Reflect(&web.Types{})
		s.Title, s.Description = "Types", "What the user interface exchanges with the server"
	default:
		return fmt.Errorf("there is no schema %q", args[0])
	}
	out := json.NewEncoder(os.Stdout)
	out.SetIndent("", "  ")
	out.SetEscapeHTML(false)
	return out.Encode(s)
}

func definition(s *jsonschema.Schema, name, property string) (*jsonschema.Schema, bool) {
	d, ok := s.Definitions[name]
	if !ok {
		return nil, false
	}
	return d.Properties.Get(property)
}

// lengthText are the shapes a length is written in.
func lengthText() *jsonschema.Schema {
	return &jsonschema.Schema{AnyOf: []*jsonschema.Schema{{Type: "string"}, {Type: "number"}}}
}

// mapped gives the types that JSON writes otherwise than Go does.
func mapped(t reflect.Type) *jsonschema.Schema {
	switch reflect.New(t).Elem().Interface().(type) {
	case length.Length:
		return lengthText()
	case length.Unit:
		return words("in", "cm", "mm")
	case plan.Pair:
		return &jsonschema.Schema{AnyOf: append(lengthText().AnyOf, two())}
	case plan.Panels:
		return &jsonschema.Schema{AnyOf: []*jsonschema.Schema{{Const: "equal"}, two()}}
	case plan.Extent, plan.Size:
		return lengthText()
	case plan.Order:
		row := &jsonschema.Schema{Type: "array", Items: &jsonschema.Schema{Type: "string"}}
		kinds := words("alternate", "scrap", "on-ground")
		return &jsonschema.Schema{AnyOf: []*jsonschema.Schema{kinds, {Type: "array", Items: row}}}
	case plan.Block:
		cells := jsonschema.NewProperties()
		cells.Set("cells", jsonschema.TrueSchema)
		return &jsonschema.Schema{AnyOf: []*jsonschema.Schema{{Type: "string"},
			{Type: "object", Properties: cells, Required: []string{"cells"},
				AdditionalProperties: jsonschema.FalseSchema}}}
	case json.RawMessage:
		return &jsonschema.Schema{Type: "object"}
	case interface{ Values() []string }:
		set, _ := reflect.New(t).Elem().Interface().(interface{ Values() []string })
		return words(set.Values()...)
	}
	return nil
}

func two() *jsonschema.Schema {
	n := uint64(2)
	return &jsonschema.Schema{Type: "array", Items: lengthText(), MinItems: &n, MaxItems: &n}
}

func words(list ...string) *jsonschema.Schema {
	s := &jsonschema.Schema{Type: "string"}
	for _, w := range list {
		s.Enum = append(s.Enum, w)
	}
	return s
}
