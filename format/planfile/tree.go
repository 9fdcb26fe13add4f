package planfile

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"strings"
)

// maxDepth is deeper than any plan nests; it keeps a hostile file off the stack.
const maxDepth = 32

// node is one JSON value: nil, bool, json.Number, string, []node or *object.
type node any

// object keeps its keys in the order of the file.
type object struct {
	keys   []string
	values map[string]node
}

// parse reads one JSON value and nothing behind it.
func parse(data []byte) (node, error) {
	dec := json.NewDecoder(bytes.NewReader(data))
	dec.UseNumber()
	n, err := value(dec, "", 0)
	if err != nil {
		return nil, located(data, dec, err)
	}
	if _, err := dec.Token(); !errors.Is(err, io.EOF) {
		return nil, located(data, dec, errors.New("the file goes on after the plan has ended"))
	}
	return n, nil
}

// located adds line and column to what the JSON reader complains of.
func located(data []byte, dec *json.Decoder, err error) error {
	var own Problems
	if errors.As(err, &own) {
		return own
	}
	at := dec.InputOffset()
	var syntax *json.SyntaxError
	if errors.As(err, &syntax) {
		at = syntax.Offset
	}
	before := data[:min(int(at), len(data))]
	line := 1 + bytes.Count(before, []byte("\n"))
	column := len(before) - bytes.LastIndexByte(before, '\n')
	text := strings.TrimPrefix(err.Error(), "json: ")
	if errors.Is(err, io.EOF) || errors.Is(err, io.ErrUnexpectedEOF) {
		text = "the file ends in the middle"
	}
	return Problems{{Text: fmt.Sprintf("this is not a plan file: %s (line %d, column %d)", text, line, column)}}
}

func value(dec *json.Decoder, path string, depth int) (node, error) {
	if depth > maxDepth {
		return nil, Problems{{Path: path, Text: "nested too deeply; a plan has at most a dozen levels"}}
	}
	tok, err := dec.Token()
	if err != nil {
		return nil, err
	}
	switch tok {
	case json.Delim('{'):
		return members(dec, path, depth)
	case json.Delim('['):
		return elements(dec, path, depth)
	}
	return tok, nil
}

func members(dec *json.Decoder, path string, depth int) (node, error) {
	o := &object{values: map[string]node{}}
	for dec.More() {
		tok, err := dec.Token()
		if err != nil {
			return nil, err
		}
		key, _ := tok.(string) // inside an object the reader yields nothing else
		at := path + "/" + key
		if _, twice := o.values[key]; twice {
			return nil, Problems{{Path: at, Text: "the key stands here twice; keep one"}}
		}
		v, err := value(dec, at, depth+1)
		if err != nil {
			return nil, err
		}
		o.keys = append(o.keys, key)
		o.values[key] = v
	}
	_, err := dec.Token()
	return o, err
}

func elements(dec *json.Decoder, path string, depth int) (node, error) {
	list := []node{}
	for dec.More() {
		v, err := value(dec, fmt.Sprintf("%s/%d", path, len(list)), depth+1)
		if err != nil {
			return nil, err
		}
		list = append(list, v)
	}
	_, err := dec.Token()
	return list, err
}
