package cupboardcsv

import (
	"fmt"
	"strconv"

	"umschlag/core/length"
	"umschlag/core/plan"
)

var notions = kind[plan.Notion]{"thing", "things", []column[plan.Notion]{
	textColumn("name", func(n *plan.Notion) *string { return &n.Name }),
	textColumn("for", func(n *plan.Notion) *string { return &n.For }),
	plainLength("have", func(n *plan.Notion) *length.Length { return &n.Have }),
	plainLength("pack", func(n *plan.Notion) *length.Length { return &n.Pack }),
	countColumn("count", func(n *plan.Notion) *int { return &n.Count }),
	plainLength("each", func(n *plan.Notion) *length.Length { return &n.Each }),
	countColumn("pack count", func(n *plan.Notion) *int { return &n.PackCount }),
	numberColumn("price", "price", func(n *plan.Notion) *float64 { return &n.Price }),
	{"per", func(n plan.Notion, _ length.Style) string { return string(n.Per) },
		func(n *plan.Notion, text string, _ length.Unit) error {
			n.Per = plan.Per(text)
			return word(text, plan.Per("").Values())
		}},
	colourColumn("colour", func(n *plan.Notion) *string { return &n.Colour }),
}, func(n plan.Notion) string { return n.Name }}

// WriteNotions is a table of notions, lengths in a unit.
func WriteNotions(list []plan.Notion, unit length.Unit) ([]byte, error) {
	return write(notions, list, unit)
}

// ReadNotions reads a table of notions, as Read does of cloths.
func ReadNotions(data []byte, unit length.Unit, judge func(plan.Notion) (column, text string)) ([]plan.Notion, error) {
	return read(notions, data, unit, judge)
}

// plainLength is a length that is 0 where nobody said.
func plainLength(name string, at func(*plan.Notion) *length.Length) column[plan.Notion] {
	return column[plan.Notion]{name,
		func(n plan.Notion, style length.Style) string {
			if l := *at(&n); l != 0 {
				return withUnit(l, style)
			}
			return ""
		},
		func(n *plan.Notion, text string, unit length.Unit) (err error) {
			if text != "" {
				*at(n), err = length.Parse(text, unit)
			}
			return err
		}}
}

// countColumn is a whole number.
func countColumn(name string, at func(*plan.Notion) *int) column[plan.Notion] {
	return column[plan.Notion]{name,
		func(n plan.Notion, _ length.Style) string {
			if v := *at(&n); v != 0 {
				return strconv.Itoa(v)
			}
			return ""
		},
		func(n *plan.Notion, text string, _ length.Unit) (err error) {
			if text == "" {
				return nil
			}
			if *at(n), err = strconv.Atoi(text); err != nil {
				return fmt.Errorf("%q is no whole number; type one such as 4", text)
			}
			return nil
		}}
}
