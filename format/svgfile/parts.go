package svgfile

import (
	"encoding/xml"
	"fmt"
	"math"
	"strconv"
	"strings"

	"umschlag/core/shape"
	"umschlag/format/drawing"
)

// attribute is a presentation attribute; one in style= counts before it.
func attribute(e xml.StartElement, key string) string {
	value := ""
	for _, a := range e.Attr {
		if a.Name.Local == key {
			value = strings.TrimSpace(a.Value)
		}
	}
	for _, a := range e.Attr {
		if a.Name.Local != "style" {
			continue
		}
		for part := range strings.SplitSeq(a.Value, ";") {
			if k, v, ok := strings.Cut(part, ":"); ok && strings.TrimSpace(k) == key {
				value = strings.TrimSpace(v)
			}
		}
	}
	return value
}

// in is the style within an element.
func (s style) in(e xml.StartElement) (style, error) {
	if text := attribute(e, "transform"); text != "" {
		m, err := transform(text)
		if err != nil {
			return s, drawing.Refuse(another, "The transform %q of a <%s> cannot be read.", shorten(text), e.Name.Local)
		}
		s.matrix = m.Then(s.matrix)
	}
	if v := attribute(e, "fill"); v != "" && v != "inherit" {
		s.fill = v
	}
	if v := attribute(e, "stroke"); v != "" && v != "inherit" {
		s.stroke = v
	}
	if v := attribute(e, "fill-rule"); v != "" {
		s.evenOdd = v == "evenodd"
	}
	s.hidden = s.hidden || attribute(e, "display") == "none" || attribute(e, "visibility") == "hidden"
	return s, nil
}

func shorten(text string) string {
	if r := []rune(text); len(r) > 40 {
		return string(r[:40]) + "…"
	}
	return text
}

// millimetres in a unit; a pixel is a 96th of an inch (CSS Values and Units 4, 6.2).
var millimetres = map[string]float64{"mm": 1, "cm": 10, "in": 25.4, "pt": 25.4 / 72, "pc": 25.4 / 6, "px": 25.4 / 96,
	"": 25.4 / 96, "q": 0.25}

// sized is a length with a unit, in millimetres; ok is false for a share of the page.
func sized(text string) (mm float64, ok bool) {
	text = strings.ToLower(strings.TrimSpace(text))
	n := len(text)
	for n > 0 && (text[n-1] < '0' || text[n-1] > '9') && text[n-1] != '.' {
		n--
	}
	f, err := strconv.ParseFloat(text[:n], 64)
	unit, known := millimetres[strings.TrimSpace(text[n:])]
	if err != nil || !known || !(f > 0) || f > 1e6 {
		return 0, false
	}
	return f * unit, true
}

// scaleOf maps the coordinates of a file to millimetres: by its viewBox on its size, else
// by pixels.
func scaleOf(e xml.StartElement) (shape.Matrix, error) {
	pixel := millimetres["px"]
	box := attribute(e, "viewBox")
	if box == "" {
		return shape.Scale(pixel, pixel), nil
	}
	v, err := numbers(box)
	if err != nil || len(v) != 4 || !(v[2] > 0) || !(v[3] > 0) {
		return shape.Same, drawing.Refuse(another, "The viewBox %q of the file cannot be read.", shorten(box))
	}
	w, wide := sized(attribute(e, "width"))
	h, high := sized(attribute(e, "height"))
	scale := pixel
	switch {
	case wide && high:
		scale = math.Min(w/v[2], h/v[3])
	case wide:
		scale = w / v[2]
	case high:
		scale = h / v[3]
	}
	return shape.Move(-v[0], -v[1]).Then(shape.Scale(scale, scale)), nil
}

// numbers in a list.
func numbers(text string) ([]float64, error) {
	var out []float64
	for f := range strings.FieldsFuncSeq(text, func(c rune) bool { return c == ',' || c <= ' ' }) {
		n, err := strconv.ParseFloat(f, 64)
		if err != nil || math.IsNaN(n) || math.Abs(n) > 1e9 {
			return nil, fmt.Errorf("%q is no number", shorten(f))
		}
		if out = append(out, n); len(out) > 2*shape.MostSegments {
			return nil, fmt.Errorf("there are more than %d points", shape.MostSegments)
		}
	}
	return out, nil
}

// transform reads a list of transforms, the last one first on the shape.
func transform(text string) (shape.Matrix, error) {
	m := shape.Same
	for rest := strings.TrimLeft(text, " ,\t\r\n"); rest != ""; rest = strings.TrimLeft(rest, " ,\t\r\n") {
		name, after, open := strings.Cut(rest, "(")
		inside, behind, closed := strings.Cut(after, ")")
		v, err := numbers(inside)
		if !open || !closed || err != nil {
			return m, fmt.Errorf("not readable")
		}
		one, ok := transformOf(strings.TrimSpace(name), v)
		if !ok {
			return m, fmt.Errorf("not readable")
		}
		m, rest = one.Then(m), behind
	}
	return m, nil
}

func transformOf(name string, v []float64) (shape.Matrix, bool) {
	arg := func(i int, or float64) float64 {
		if i < len(v) {
			return v[i]
		}
		return or
	}
	skew := func(degrees float64) float64 { return math.Tan(degrees * math.Pi / 180) }
	switch n := len(v); {
	case name == "matrix" && n == 6:
		return shape.Matrix{A: v[0], B: v[1], C: v[2], D: v[3], E: v[4], F: v[5]}, true
	case name == "translate" && (n == 1 || n == 2):
		return shape.Move(v[0], arg(1, 0)), true
	case name == "scale" && (n == 1 || n == 2):
		return shape.Scale(v[0], arg(1, v[0])), true
	case name == "rotate" && (n == 1 || n == 3):
		x, y := arg(1, 0), arg(2, 0)
		return shape.Move(-x, -y).Then(shape.Turn(v[0])).Then(shape.Move(x, y)), true
	case name == "skewX" && n == 1:
		return shape.Matrix{A: 1, C: skew(v[0]), D: 1}, true
	case name == "skewY" && n == 1:
		return shape.Matrix{A: 1, B: skew(v[0]), D: 1}, true
	}
	return shape.Same, false
}

// drawers make an outline of an element from its attributes.
var drawers = map[string]func(get func(string) string) (shape.Path, error){
	"path": func(get func(string) string) (shape.Path, error) { return shape.Parse(get("d")) },
	"rect": rect,
	"circle": func(get func(string) string) (shape.Path, error) {
		return ellipse(get, "r", "r")
	},
	"ellipse": func(get func(string) string) (shape.Path, error) {
		return ellipse(get, "rx", "ry")
	},
	"line": func(get func(string) string) (shape.Path, error) {
		v, err := values(get, "x1", "y1", "x2", "y2")
		if err != nil {
			return nil, err
		}
		return shape.Parse(fmt.Sprintf("M%g %gL%g %g", v[0], v[1], v[2], v[3]))
	},
	"polyline": func(get func(string) string) (shape.Path, error) { return poly(get, "") },
	"polygon":  func(get func(string) string) (shape.Path, error) { return poly(get, "Z") },
}

// values of attributes in the units of the drawing, 0 where absent.
func values(get func(string) string, keys ...string) ([]float64, error) {
	out := make([]float64, len(keys))
	for i, k := range keys {
		text := strings.TrimSuffix(strings.TrimSpace(get(k)), "px")
		if text == "" {
			continue
		}
		v, err := numbers(text)
		if err != nil || len(v) != 1 {
			return nil, fmt.Errorf("%s is %q", k, shorten(text))
		}
		out[i] = v[0]
	}
	return out, nil
}

// rect with corners rounded as SVG 2, 10.2 says: a missing radius is the other one, and
// none is larger than half its side.
func rect(get func(string) string) (shape.Path, error) {
	v, err := values(get, "x", "y", "width", "height", "rx", "ry")
	if err != nil {
		return nil, err
	}
	x, y, w, h, rx, ry := v[0], v[1], v[2], v[3], v[4], v[5]
	if !(w > 0 && h > 0) {
		return nil, fmt.Errorf("it has no size")
	}
	if get("rx") == "" {
		rx = ry
	}
	if get("ry") == "" {
		ry = rx
	}
	rx, ry = math.Min(rx, w/2), math.Min(ry, h/2)
	if !(rx > 0 && ry > 0) {
		return shape.Parse(fmt.Sprintf("M%g %gh%gv%gh%gZ", x, y, w, h, -w))
	}
	arc := func(x, y float64) string { return fmt.Sprintf("A%g %g 0 0 1 %g %g", rx, ry, x, y) }
	return shape.Parse(fmt.Sprintf("M%g %gH%g%sV%g%sH%g%sV%g%sZ", x+rx, y, x+w-rx, arc(x+w, y+ry), y+h-ry,
		arc(x+w-rx, y+h), x+rx, arc(x, y+h-ry), y+ry, arc(x+rx, y)))
}

func ellipse(get func(string) string, across, up string) (shape.Path, error) {
	v, err := values(get, "cx", "cy", across, up)
	if err != nil {
		return nil, err
	}
	x, y, rx, ry := v[0], v[1], v[2], v[3]
	if !(rx > 0 && ry > 0) {
		return nil, fmt.Errorf("it has no size")
	}
	return shape.Parse(fmt.Sprintf("M%g %gA%g %g 0 1 1 %g %gA%g %g 0 1 1 %g %gZ", x+rx, y, rx, ry, x-rx, y, rx, ry,
		x+rx, y))
}

func poly(get func(string) string, end string) (shape.Path, error) {
	v, err := numbers(get("points"))
	if err != nil {
		return nil, err
	}
	if len(v) < 4 {
		return nil, fmt.Errorf("it has no points")
	}
	var b strings.Builder
	for i := 0; i+1 < len(v); i += 2 {
		fmt.Fprintf(&b, "%c%g %g", "ML"[min(i, 1)], v[i], v[i+1])
	}
	return shape.Parse(b.String() + end)
}

// named are the basic colour names (CSS Color 4, 6.1, the sixteen of HTML 4).
var named = map[string]string{
	"black": "#000000", "silver": "#c0c0c0", "gray": "#808080", "grey": "#808080", "white": "#ffffff",
	"maroon": "#800000", "red": "#ff0000", "purple": "#800080", "fuchsia": "#ff00ff",
	"green": "#008000", "lime": "#00ff00", "olive": "#808000", "yellow": "#ffff00", "navy": "#000080",
	"blue": "#0000ff", "teal": "#008080", "aqua": "#00ffff",
}

// colour as #rrggbb.
func colour(text string) (string, bool) {
	text = strings.ToLower(strings.TrimSpace(text))
	if c, ok := named[text]; ok {
		return c, true
	}
	hex := strings.TrimPrefix(text, "#")
	if _, err := strconv.ParseUint(hex, 16, 32); err != nil || hex == text {
		return "", false
	}
	switch len(hex) {
	case 6:
		return text, true
	case 3:
		return "#" + string([]byte{hex[0], hex[0], hex[1], hex[1], hex[2], hex[2]}), true
	}
	return "", false
}
