// Package cupboardcsv reads and writes the cloths and the notions of a cupboard as tables. The format is
// CSV as RFC 4180 describes it, in UTF-8, with a header line; lengths are written with
// their unit.
package cupboardcsv

import (
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"slices"
	"strconv"
	"strings"
	"unicode/utf8"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/format/cell"
)

// The bounds of a table that is read.
const (
	MostBytes = 1 << 20
	MostRows  = 2000
)

// Fault is what is wrong with one place of a table.
type Fault struct {
	// Row from 1, the header being the first; Column by its name, empty where it is the row.
	Row    int    `json:"row"`
	Column string `json:"column,omitempty"`
	Text   string `json:"text"`
}

// Faults are all that is wrong with a table; none of it is taken in.
type Faults []Fault

// most is how many problems are named before the rest is counted.
const most = 20

func (p Faults) Error() string {
	var lines []string
	for _, one := range p[:min(len(p), most)] {
		where := fmt.Sprintf("row %d", one.Row)
		if one.Column != "" {
			where += ", column " + one.Column
		}
		lines = append(lines, where+": "+one.Text)
	}
	if len(p) > most {
		lines = append(lines, fmt.Sprintf("and %d more", len(p)-most))
	}
	return strings.Join(lines, "; ")
}

// column is one column: how it is written and how it is read.
type column[T any] struct {
	name  string
	write func(c T, style length.Style) string
	read  func(c *T, text string, unit length.Unit) error
}

// kind is a kind of table: what its rows are called, and their columns, of which name is
// one.
type kind[T any] struct {
	one, many string
	columns   []column[T]
	name      func(T) string
}

var cloths = kind[plan.Cloth]{"fabric", "fabrics", clothColumns, func(c plan.Cloth) string { return c.Name }}

func lengthColumn(name string, at func(*plan.Cloth) **length.Length) column[plan.Cloth] {
	return column[plan.Cloth]{name,
		func(c plan.Cloth, style length.Style) string {
			if l := *at(&c); l != nil {
				return withUnit(*l, style)
			}
			return ""
		},
		func(c *plan.Cloth, text string, unit length.Unit) error {
			if text == "" {
				return nil
			}
			l, err := length.Parse(text, unit)
			if err == nil {
				*at(c) = &l
			}
			return err
		}}
}

// withUnit is a length in keyboard notation that needs no unit from elsewhere.
func withUnit(l length.Length, style length.Style) string {
	text := style.Plain(l)
	if last := text[len(text)-1]; last >= '0' && last <= '9' {
		return text + " " + string(style.Unit)
	}
	return text
}

func textColumn[T any](name string, at func(*T) *string) column[T] {
	return column[T]{name,
		func(c T, _ length.Style) string { return *at(&c) },
		func(c *T, text string, _ length.Unit) error { *at(c) = text; return nil }}
}

// word reads one of a closed set.
func word(text string, values []string) error {
	if text == "" || slices.Contains(values, text) {
		return nil
	}
	return fmt.Errorf("%q is none of %s", text, strings.Join(values, ", "))
}

var clothColumns = []column[plan.Cloth]{
	textColumn("name", func(c *plan.Cloth) *string { return &c.Name }),
	lengthColumn("width", func(c *plan.Cloth) **length.Length { return &c.Width }),
	lengthColumn("usable", func(c *plan.Cloth) **length.Length { return &c.Usable }),
	{"print", func(c plan.Cloth, _ length.Style) string { return string(c.Print) },
		func(c *plan.Cloth, text string, _ length.Unit) error {
			c.Print = plan.Print(text)
			return word(text, plan.Print("").Values())
		}},
	lengthColumn("have", func(c *plan.Cloth) **length.Length { return &c.Have }),
	{"kind", func(c plan.Cloth, _ length.Style) string { return string(c.Kind) },
		func(c *plan.Cloth, text string, _ length.Unit) error {
			c.Kind = plan.ClothKind(text)
			return word(text, plan.ClothKind("").Values())
		}},
	{"odd", writeOdd, readOdd},
	numberColumn("shrink", "percentage", func(c *plan.Cloth) *float64 { return &c.Shrink }),
	numberColumn("stretch", "percentage", func(c *plan.Cloth) *float64 { return &c.Stretch }),
	yesColumn("prewashed", func(c *plan.Cloth) *bool { return &c.Prewashed }),
	yesColumn("match", func(c *plan.Cloth) *bool { return &c.Match }),
	yesColumn("upright", func(c *plan.Cloth) *bool { return &c.Upright }),
	numberColumn("price", "price", func(c *plan.Cloth) *float64 { return &c.Price }),
	{"per", func(c plan.Cloth, _ length.Style) string { return string(c.Per) },
		func(c *plan.Cloth, text string, _ length.Unit) error {
			c.Per = plan.Per(text)
			return word(text, plan.Per("").Values())
		}},
	{"sold", writeSold, readSold},
	repeatColumn("repeat across", func(r *plan.Repeat) *length.Length { return &r.Across }),
	repeatColumn("repeat along", func(r *plan.Repeat) *length.Length { return &r.Along }),
	{"motif", func(c plan.Cloth, _ length.Style) string { return string(c.Swatch.Motif) },
		func(c *plan.Cloth, text string, _ length.Unit) error {
			c.Swatch.Motif = plan.Motif(text)
			return word(text, plan.Motif("").Values())
		}},
	colourColumn("ground", func(c *plan.Cloth) *string { return &c.Swatch.Ground }),
	colourColumn("ink", func(c *plan.Cloth) *string { return &c.Swatch.Ink }),
	{"weight", func(c plan.Cloth, _ length.Style) string { return string(c.Weight) },
		func(c *plan.Cloth, text string, _ length.Unit) error {
			c.Weight = plan.ClothWeight(text)
			return word(text, plan.ClothWeight("").Values())
		}},
	{"backing", func(c plan.Cloth, _ length.Style) string { return string(c.Backing) },
		func(c *plan.Cloth, text string, _ length.Unit) error {
			c.Backing = plan.ClothBacking(text)
			return word(text, plan.ClothBacking("").Values())
		}},
}

// numberColumn is a number, with or without the sign of what it counts.
// yesColumn is what is so or is not.
func yesColumn(name string, at func(*plan.Cloth) *bool) column[plan.Cloth] {
	return column[plan.Cloth]{name,
		func(c plan.Cloth, _ length.Style) string {
			if *at(&c) {
				return "yes"
			}
			return ""
		},
		func(c *plan.Cloth, text string, _ length.Unit) error {
			*at(c) = text == "yes"
			return word(text, []string{"yes", "no"})
		}}
}

func numberColumn[T any](name, what string, at func(*T) *float64) column[T] {
	return column[T]{name,
		func(c T, _ length.Style) string {
			if v := *at(&c); v != 0 {
				return strconv.FormatFloat(v, 'f', -1, 64)
			}
			return ""
		},
		func(c *T, text string, _ length.Unit) (err error) {
			if text = strings.TrimSpace(strings.TrimSuffix(text, "%")); text == "" {
				return nil
			}
			if *at(c), err = strconv.ParseFloat(strings.Replace(text, ",", ".", 1), 64); err != nil {
				return fmt.Errorf("%q is no %s; type a number such as 3", text, what)
			}
			return nil
		}}
}

// repeatColumn is one direction of the repeat of a print.
func repeatColumn(name string, at func(*plan.Repeat) *length.Length) column[plan.Cloth] {
	return column[plan.Cloth]{name,
		func(c plan.Cloth, style length.Style) string {
			if c.Repeat == nil {
				return ""
			}
			return withUnit(*at(c.Repeat), style)
		},
		func(c *plan.Cloth, text string, unit length.Unit) error {
			if text == "" {
				return nil
			}
			l, err := length.Parse(text, unit)
			if err != nil {
				return err
			}
			if c.Repeat == nil {
				c.Repeat = &plan.Repeat{Across: l, Along: l}
			}
			*at(c.Repeat) = l
			return nil
		}}
}

// writeSold writes how a cloth is sold, as bolt 360 in; quarter.
func writeSold(c plan.Cloth, style length.Style) string {
	if c.Sold == nil {
		return ""
	}
	if c.Sold.Length == 0 {
		return string(c.Sold.By)
	}
	return string(c.Sold.By) + " " + withUnit(c.Sold.Length, style)
}

func readSold(c *plan.Cloth, text string, unit length.Unit) error {
	if text = strings.TrimSpace(text); text == "" {
		return nil
	}
	by, of, sized := strings.Cut(text, " ")
	c.Sold = &plan.Sold{By: plan.SoldBy(by)}
	if err := word(by, plan.SoldBy("").Values()); err != nil || !sized {
		return err
	}
	l, err := length.Parse(of, unit)
	c.Sold.Length = l
	return err
}

// writeOdd writes odd pieces as 20 x 5 in x 5 in; 26 in x 25 in.
func writeOdd(c plan.Cloth, style length.Style) string {
	var parts []string
	for _, o := range c.Odd {
		text := withUnit(o.Width, style) + " x " + withUnit(o.Length, style)
		if o.Count > 1 {
			text = strconv.Itoa(o.Count) + " x " + text
		}
		parts = append(parts, text)
	}
	return strings.Join(parts, "; ")
}

func readOdd(c *plan.Cloth, text string, unit length.Unit) error {
	if text == "" {
		return nil
	}
	for _, one := range strings.Split(text, ";") {
		parts := strings.Split(strings.ReplaceAll(one, "×", "x"), "x")
		o := plan.OddPiece{Count: 1}
		var err error
		if len(parts) == 3 {
			if o.Count, err = strconv.Atoi(strings.TrimSpace(parts[0])); err != nil || o.Count < 1 {
				return fmt.Errorf("%q is no number of pieces; type one such as 20 x 5 in x 5 in",
					strings.TrimSpace(parts[0]))
			}
			parts = parts[1:]
		}
		if len(parts) != 2 {
			return fmt.Errorf("%q is not an offcut; type its width and length such as 26 in x 25 in, more of them after a semicolon", strings.TrimSpace(one))
		}
		for i, to := range []*length.Length{&o.Width, &o.Length} {
			if *to, err = length.Parse(strings.TrimSpace(parts[i]), unit); err != nil {
				return err
			}
		}
		c.Odd = append(c.Odd, o)
	}
	return nil
}

func colourColumn[T any](name string, at func(*T) *string) column[T] {
	c := textColumn(name, at)
	c.read = func(cloth *T, text string, _ length.Unit) error {
		if text != "" && !colour(text) {
			return fmt.Errorf("%q is no colour; type one such as #27345f", text)
		}
		*at(cloth) = text
		return nil
	}
	return c
}

func colour(text string) bool {
	if len(text) != 7 || text[0] != '#' {
		return false
	}
	_, err := strconv.ParseUint(text[1:], 16, 32)
	return err == nil
}

// Write is a table of cloths, lengths in a unit.
func Write(list []plan.Cloth, unit length.Unit) ([]byte, error) { return write(cloths, list, unit) }

// Read reads a table of cloths; bare lengths are in unit. judge says what is wrong with a
// cloth that reads, and in which column. The error is of type Faults and names all places.
func Read(data []byte, unit length.Unit, judge func(plan.Cloth) (column, text string)) ([]plan.Cloth, error) {
	return read(cloths, data, unit, judge)
}

func write[T any](k kind[T], list []T, unit length.Unit) ([]byte, error) {
	var b bytes.Buffer
	w := csv.NewWriter(&b)
	w.UseCRLF = true
	header := make([]string, len(k.columns))
	for i, c := range k.columns {
		header[i] = c.name
	}
	if err := w.Write(header); err != nil {
		return nil, err
	}
	for _, one := range list {
		row := make([]string, len(k.columns))
		for i, c := range k.columns {
			row[i] = cell.Safe(c.write(one, length.Style{Unit: unit}))
		}
		if err := w.Write(row); err != nil {
			return nil, err
		}
	}
	w.Flush()
	return b.Bytes(), w.Error()
}

// read reads a table of a kind.
func read[T any](k kind[T], data []byte, unit length.Unit, judge func(T) (column, text string)) ([]T, error) {
	if len(data) > MostBytes {
		return nil, Faults{{Row: 1,
			Text: fmt.Sprintf("the file has %d kB; up to %d are read", len(data)>>10, MostBytes>>10)}}
	}
	data = bytes.TrimPrefix(data, []byte("\xef\xbb\xbf"))
	if !utf8.Valid(data) {
		return nil, Faults{{Row: line(data), Text: "the file is not in UTF-8; save it as CSV in UTF-8"}}
	}
	r := csv.NewReader(bytes.NewReader(data))
	r.FieldsPerRecord = -1
	header, err := r.Read()
	if errors.Is(err, io.EOF) {
		return nil, Faults{{Row: 1,
			Text: "the file is empty; its first line names the columns, such as name,width,have"}}
	}
	if err != nil {
		return nil, malformed(err)
	}
	order, problems := k.ordered(header)
	if len(problems) > 0 {
		return nil, problems
	}
	t := table[T]{kind: k, order: order, unit: unit, judge: judge, rows: map[string]int{}}
	for number := 2; ; number++ {
		record, err := r.Read()
		switch {
		case errors.Is(err, io.EOF):
			if len(t.problems) > 0 {
				return nil, t.problems
			}
			return t.list, nil
		case err != nil:
			return nil, malformed(err)
		case len(t.list) >= MostRows:
			return nil, Faults{{Row: number,
				Text: fmt.Sprintf("there are more than %d %s; split the file", MostRows, k.many)}}
		}
		t.row(number, record)
	}
}

// line is the row of the first byte that is no UTF-8.
func line(data []byte) int {
	n := 1
	for len(data) > 0 {
		c, size := utf8.DecodeRune(data)
		if c == utf8.RuneError && size == 1 {
			break
		}
		if c == '\n' {
			n++
		}
		data = data[size:]
	}
	return n
}

// malformed names what is no CSV.
func malformed(err error) Faults {
	var parse *csv.ParseError
	if errors.As(err, &parse) {
		return Faults{{Row: parse.StartLine,
			Text: fmt.Sprintf("%s; put a text with commas, quotes or line breaks in quotes, and double the quotes in it", parse.Err)}}
	}
	return Faults{{Row: 1, Text: err.Error()}}
}

// ordered are the columns of a header.
func (k kind[T]) ordered(header []string) ([]column[T], Faults) {
	var out []column[T]
	var problems Faults
	var names []string
	for _, c := range k.columns {
		names = append(names, c.name)
	}
	for i, name := range header {
		name = strings.ToLower(strings.TrimSpace(name))
		at := slices.Index(names, name)
		switch {
		case at < 0:
			problems = append(problems,
				Fault{Row: 1, Column: header[i], Text: "there is no such column; use " + strings.Join(names, ", ")})
			continue
		case slices.ContainsFunc(out, func(c column[T]) bool { return c.name == name }):
			problems = append(problems, Fault{Row: 1, Column: name, Text: "it stands there twice"})
		}
		out = append(out, k.columns[at])
	}
	if !slices.ContainsFunc(out, func(c column[T]) bool { return c.name == "name" }) && len(problems) == 0 {
		problems = append(problems, Fault{Row: 1, Text: "a column called name is missing"})
	}
	return out, problems
}

// table is a file on its way.
type table[T any] struct {
	kind     kind[T]
	order    []column[T]
	unit     length.Unit
	judge    func(T) (column, text string)
	list     []T
	rows     map[string]int
	problems Faults
}

func (t *table[T]) fail(row int, column, text string) {
	t.problems = append(t.problems, Fault{Row: row, Column: column, Text: text})
}

func (t *table[T]) row(number int, record []string) {
	if len(record) != len(t.order) {
		t.fail(number, "", fmt.Sprintf("it has %d fields, and the header names %d", len(record), len(t.order)))
		return
	}
	var one T
	before := len(t.problems)
	for i, c := range t.order {
		if err := c.read(&one, cell.Plain(strings.TrimSpace(record[i])), t.unit); err != nil {
			t.fail(number, c.name, err.Error())
		}
	}
	if len(t.problems) > before {
		return
	}
	name := t.kind.name(one)
	key := strings.ToLower(name)
	if name == "" {
		t.fail(number, "name", fmt.Sprintf("a %s needs a name", t.kind.one))
		return
	}
	if first, twice := t.rows[key]; twice {
		t.fail(number, "name", fmt.Sprintf("%q stands in row %d already", name, first))
		return
	}
	if column, text := t.judge(one); text != "" {
		t.fail(number, column, text)
		return
	}
	t.rows[key] = number
	t.list = append(t.list, one)
}
