// Package svgfile reads drawn outlines from SVG files and writes them. Reading takes paths
// and basic shapes with their groups, transforms and units; what cannot become an outline
// is named. A file that could do anything but draw is refused.
//
// Source of the format: W3C, Scalable Vector Graphics 2.
package svgfile

import (
	"bytes"
	"encoding/xml"
	"errors"
	"fmt"
	"io"
	"math"
	"slices"
	"strings"
	"unicode/utf8"

	"umschlag/core/shape"
	"umschlag/format/drawing"
)

// The bounds of a file that is read.
const (
	MostBytes    = 1 << 20
	MostNodes    = 20_000
	MostDepth    = 100
	MostOutlines = 200
	// mostSegments of all outlines together.
	mostSegments = 10_000
)

const another = "Save it as a plain SVG drawing and try again."

// Read reads a file. It fails with a drawing.Refusal.
func Read(data []byte) (drawing.Found, error) {
	if len(data) > MostBytes {
		return drawing.Found{}, drawing.Refuse("Remove pictures and what is not needed.",
			"The file has %d kB; up to %d are read.", len(data)>>10, MostBytes>>10)
	}
	if !utf8.Valid(data) {
		return drawing.Found{}, drawing.Refuse("Save it as UTF-8.", "The file is no UTF-8 text.")
	}
	r := &reader{dec: xml.NewDecoder(bytes.NewReader(data)), data: data, omitted: drawing.Omitted{}}
	if err := r.all(); err != nil {
		return drawing.Found{}, err
	}
	if len(r.out) == 0 {
		return drawing.Found{}, drawing.Refuse("Turn texts and pictures into paths in the drawing program first.",
			"Nothing in the file can be cut out%s.", r.omitted.Because())
	}
	return drawing.Found{Outlines: r.out, Omitted: r.omitted.List()}, nil
}

type reader struct {
	dec      *xml.Decoder
	data     []byte
	nodes    int
	segments int
	omitted  drawing.Omitted
	out      []drawing.Outline
	seen     bool
}

// style is what a shape takes over from the groups round it.
type style struct {
	matrix       shape.Matrix
	fill, stroke string
	evenOdd      bool
	hidden       bool
}

func (r *reader) omit(kind string) { r.omitted[kind]++ }

// token is the next one that matters; what no drawing needs is refused.
func (r *reader) token() (xml.Token, error) {
	for {
		t, err := r.dec.Token()
		var syntax *xml.SyntaxError
		switch {
		case errors.Is(err, io.EOF):
			return nil, io.EOF
		case errors.As(err, &syntax):
			return nil, drawing.Refuse(another, "Line %d of the file: %s.", syntax.Line, syntax.Msg)
		case err != nil:
			return nil, drawing.Refuse(another, "The file cannot be read: %s.", err)
		}
		switch t := t.(type) {
		case xml.Directive:
			if !plainDoctype(string(t)) {
				return nil, drawing.Refuse(another, "The file defines entities of its own.")
			}
		case xml.StartElement:
			if r.nodes++; r.nodes > MostNodes {
				return nil, drawing.Refuse("Draw it simpler, or in several files.",
					"The file has more than %d elements.", MostNodes)
			}
			return t, safe(t)
		case xml.EndElement:
			return t, nil
		}
	}
}

// plainDoctype is one without definitions.
func plainDoctype(text string) bool {
	return strings.HasPrefix(strings.ToUpper(text), "DOCTYPE") && !strings.ContainsAny(text, "[%")
}

// safe refuses what does more than draw.
func safe(e xml.StartElement) error {
	name := strings.ToLower(e.Name.Local)
	if name == "script" || name == "foreignobject" || name == "iframe" || name == "handler" {
		return drawing.Refuse(another, "The file has a <%s>: it does more than draw.", e.Name.Local)
	}
	for _, a := range e.Attr {
		key, value := strings.ToLower(a.Name.Local), strings.ToLower(strings.TrimSpace(a.Value))
		switch {
		case strings.HasPrefix(key, "on"):
			return drawing.Refuse(another, "A <%s> in the file has a script (%s).", e.Name.Local, a.Name.Local)
		case (key == "href" || key == "src") && strings.HasPrefix(value, "javascript:"):
			return drawing.Refuse(another, "A <%s> in the file has a script (%s).", e.Name.Local, a.Name.Local)
		case (key == "href" || key == "src") && name != "a" && !strings.HasPrefix(value, "#") &&
			!strings.HasPrefix(value, "data:"),
			outside(value), key == "base" && value != "":
			return drawing.Refuse("Save it with everything it needs inside.", "A <%s> in the file points outside it.",
				e.Name.Local)
		}
	}
	return nil
}

// outside reports a style that fetches something.
func outside(value string) bool {
	if strings.Contains(value, "@import") {
		return true
	}
	for rest := value; ; {
		i := strings.Index(rest, "url(")
		if i < 0 {
			return false
		}
		rest = strings.TrimLeft(rest[i+4:], " '\"\t")
		if !strings.HasPrefix(rest, "#") {
			return true
		}
	}
}

func (r *reader) all() error {
	for {
		t, err := r.token()
		if err == io.EOF {
			if !r.seen {
				return drawing.Refuse("Choose an SVG file.", "This is no SVG file.")
			}
			return nil
		}
		if err != nil {
			return err
		}
		e, start := t.(xml.StartElement)
		if !start {
			continue
		}
		if r.seen || strings.ToLower(e.Name.Local) != "svg" {
			return drawing.Refuse("Choose an SVG file.", "This is no SVG file: it begins with <%s>.", e.Name.Local)
		}
		r.seen = true
		m, err := scaleOf(e)
		if err != nil {
			return err
		}
		s, err := style{matrix: m, fill: "#000000"}.in(e)
		if err != nil {
			return err
		}
		if err := r.children(s, 1); err != nil {
			return err
		}
	}
}

// names of what is left out, as it is called in the list.
var names = map[string]string{
	"text": "text", "image": "picture", "use": "repeated drawing", "svg": "drawing within the drawing",
	"switch": "choice", "video": "film", "audio": "sound",
}

// quiet elements draw nothing themselves.
var quiet = map[string]bool{
	"defs": true, "symbol": true, "clippath": true, "mask": true, "pattern": true, "marker": true,
	"lineargradient": true, "radialgradient": true, "filter": true,
	"metadata": true, "title": true, "desc": true, "namedview": true, "style": true,
}

// children reads what stands within an element until it ends.
func (r *reader) children(s style, depth int) error {
	if depth > MostDepth {
		return drawing.Refuse("Ungroup it in the drawing program.", "Groups in the file lie more than %d deep.",
			MostDepth)
	}
	for {
		t, err := r.token()
		if err == io.EOF {
			return drawing.Refuse(another, "The file ends in the middle.")
		}
		if err != nil {
			return err
		}
		e, start := t.(xml.StartElement)
		if !start {
			return nil
		}
		if err := r.element(e, s, depth); err != nil {
			return err
		}
	}
}

func (r *reader) element(e xml.StartElement, s style, depth int) error {
	name := strings.ToLower(e.Name.Local)
	switch {
	case name == "g" || name == "a":
		inner, err := s.in(e)
		if err != nil {
			return err
		}
		return r.children(inner, depth+1)
	case quiet[name]:
		return r.skip(name, depth)
	case drawers[name] != nil:
		if err := r.draw(e, s, name); err != nil {
			return err
		}
		return r.skip("", depth)
	default:
		kind := names[name]
		if kind == "" {
			kind = "<" + e.Name.Local + ">"
		}
		r.omit(kind)
		return r.skip(name, depth)
	}
}

// skip reads over what stands within an element. It still refuses what does more than
// draw, style sheets that fetch included.
func (r *reader) skip(name string, depth int) error {
	from := r.dec.InputOffset()
	for at := 1; at > 0; {
		t, err := r.token()
		if err == io.EOF {
			return drawing.Refuse(another, "The file ends in the middle.")
		}
		if err != nil {
			return err
		}
		if _, start := t.(xml.StartElement); start {
			at++
		} else {
			at--
		}
		if at+depth > MostDepth {
			return drawing.Refuse("Ungroup it in the drawing program.", "Groups in the file lie more than %d deep.",
				MostDepth)
		}
	}
	if name == "style" {
		if outside(strings.ToLower(string(r.data[from:r.dec.InputOffset()]))) {
			return drawing.Refuse("Save it with everything it needs inside.",
				"A style sheet in the file points outside it.")
		}
		r.omit("style sheet (colours in it are not read)")
	}
	return nil
}

// draw keeps one shape.
func (r *reader) draw(e xml.StartElement, s style, name string) error {
	s, err := s.in(e)
	if err != nil {
		return err
	}
	if s.hidden {
		r.omit("hidden shape")
		return nil
	}
	if s.fill == "none" && (s.stroke == "" || s.stroke == "none") {
		r.omit("shape without colour")
		return nil
	}
	get := func(key string) string { return attribute(e, key) }
	if get("clip-path") != "" || get("mask") != "" {
		r.omit("clipping (the shape is read whole)")
	}
	path, err := drawers[name](get)
	if err != nil {
		r.omit(fmt.Sprintf("%s that cannot be read (%s)", name, err))
		return nil
	}
	path = drawn(path)
	if len(path) == 0 {
		r.omit("shape without extent")
		return nil
	}
	if s.evenOdd {
		path = shape.Nested(path)
	}
	path = path.Mapped(s.matrix)
	box := path.Box()
	if !(math.Abs(box.X1) < 1e7 && math.Abs(box.X2) < 1e7 && math.Abs(box.Y1) < 1e7 && math.Abs(box.Y2) < 1e7) ||
		math.Max(box.Width(), box.Height()) < 0.01 {
		r.omit("shape far too large or too small")
		return nil
	}
	for _, run := range path {
		r.segments += len(run.Segments)
	}
	if r.segments > mostSegments {
		return drawing.Refuse("Draw it simpler, or in several files.",
			"The outlines in the file have more than %d points.", mostSegments)
	}
	if len(r.out) == MostOutlines {
		return drawing.Refuse("Keep what is to be cut out, in several files if need be.",
			"The file has more than %d shapes.", MostOutlines)
	}
	out := drawing.Outline{Name: plainName(get("id")), Path: path, Line: s.fill == "none"}
	out.Fill, _ = colour(s.fill)
	if out.Line {
		out.Fill, _ = colour(s.stroke)
	}
	r.out = append(r.out, out)
	return nil
}

// drawn is a path without runs that draw nothing.
func drawn(p shape.Path) shape.Path {
	return slices.DeleteFunc(p, func(r shape.Run) bool { return len(r.Segments) == 0 })
}

// plainName is an id as a name on a drawing.
func plainName(id string) string {
	name := strings.Join(strings.FieldsFunc(id, func(c rune) bool { return c == '_' || c == '-' || c <= ' ' }), " ")
	if r := []rune(name); len(r) > 40 {
		name = string(r[:40])
	}
	return name
}
