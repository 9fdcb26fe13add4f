// Package listcsv writes the lists of a plan as tables: what is cut, what is done, what is
// bought. The format is CSV as RFC 4180 describes it, in UTF-8, with a header line; sizes are
// exact and carry their unit.
package listcsv

import (
	"bytes"
	"encoding/csv"
	"strconv"
	"strings"

	"umschlag/core/answer"

	"umschlag/core/length"
	"umschlag/format/cell"
)

// Table is a header and its rows.
type Table struct {
	Header []string
	Rows   [][]string
}

// Write writes a table.
func (t Table) Write() ([]byte, error) {
	var b bytes.Buffer
	w := csv.NewWriter(&b)
	w.UseCRLF = true
	if err := w.Write(t.Header); err != nil {
		return nil, err
	}
	for _, row := range t.Rows {
		safe := make([]string, len(row))
		for i, text := range row {
			safe[i] = cell.Safe(text)
		}
		if err := w.Write(safe); err != nil {
			return nil, err
		}
	}
	w.Flush()
	return b.Bytes(), w.Error()
}

// exact is a length with its unit, such as 16 1/2 in.
func exact(l answer.L, unit length.Unit) string {
	return length.Style{Unit: unit}.Plain(length.Length(l.NM)) + " " + string(unit)
}

// yes says so, and nothing otherwise.
func yes(is bool) string {
	if is {
		return "yes"
	}
	return ""
}

// Cuts are the pieces of a plan in the order of its list of cuts.
func Cuts(r answer.Reckoning, unit length.Unit) Table {
	names := cloths(r)
	t := Table{Header: []string{"number", "title", "piece", "cloth", "count", "in all", "width", "height", "shape",
		"waits for", "cut"}}
	waits := map[string]string{} // for the step at which it is measured
	for _, s := range r.Steps {
		if s.Gate != "" {
			waits[s.Gate] = s.Title
		}
	}
	for i, c := range r.Cuts {
		if c.Total == 0 {
			continue // all of it comes in units left from other covers
		}
		t.Rows = append(t.Rows,
			[]string{strconv.Itoa(i + 1), c.Title, c.Piece, names[c.Cloth], strconv.Itoa(c.Count),
				strconv.Itoa(c.Total),
				exact(c.Width, unit), exact(c.Height, unit), c.Shape, waits[c.Waits], yes(c.Done)})
	}
	return t
}

func cloths(r answer.Reckoning) map[string]string {
	out := map[string]string{}
	for _, n := range r.Cloths {
		out[n.Cloth] = n.Name
	}
	return out
}

// Steps are the steps of a plan in working order.
func Steps(r answer.Reckoning, unit length.Unit) Table {
	t := Table{Header: []string{"number", "title", "what is done", "machine", "press", "check", "caution", "minutes",
		"should measure across", "should measure up", "done"}}
	for i, s := range r.Steps {
		across, up := "", ""
		if s.Expect != nil {
			across = exact(s.Expect.Width, unit)
			if s.Expect.Height.NM > 0 {
				up = exact(s.Expect.Height, unit)
			}
		}
		t.Rows = append(t.Rows,
			[]string{strconv.Itoa(i + 1), s.Title, s.Text, s.Machine, s.Press, s.Check, s.Caution,
				strconv.Itoa(s.Minutes), across, up, yes(s.Done)})
	}
	return t
}

// Bought is one thing of a shopping list.
type Bought struct {
	What, Need, Have, Buy, Cost string
	Plans                       []string
}

// Shopping is a shopping list.
func Shopping(list []Bought) Table {
	t := Table{Header: []string{"what", "need", "have", "buy", "cost", "for"}}
	for _, b := range list {
		t.Rows = append(t.Rows, []string{b.What, b.Need, b.Have, b.Buy, b.Cost, strings.Join(b.Plans, ", ")})
	}
	return t
}
