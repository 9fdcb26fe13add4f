// Package sharepage writes a plan as one page that opens without the app: a file of HTML
// with its drawings in it, to be read and not changed. It runs no script and asks for
// nothing.
package sharepage

import (
	"bytes"
	_ "embed"
	"fmt"
	"html/template"

	"umschlag/core/answer"

	"umschlag/core/plan"
	"umschlag/format/drawing"
	"umschlag/format/svgfile"
)

//go:embed page.html
var page string

var layout = template.Must(template.New("page").Parse(page))

// Order is what is shared.
type Order struct {
	Title     string
	Reckoning answer.Reckoning
	// Cloths of the plan, by their letters.
	Cloths map[string]plan.Cloth
}

// shown is the page as its layout sees it.
type shown struct {
	Title  string
	Pieces []piece
	Cloths []cloth
	Steps  []answer.Step
}

type piece struct {
	answer.Piece
	Drawn template.HTML
	Sums  []sum
}

type sum struct {
	Name  string
	Terms []answer.Term
	Total string
}

// Written is the sum as it is read.
func (s sum) Written() string { return answer.WrittenSum(s.Terms) }

type cloth struct {
	answer.ClothNeed
	Cuts []numbered
	Lays []laid
}

// laid is a piece of cloth as it is cut.
type laid struct {
	Title string
	Drawn template.HTML
	Moves []answer.Move
}

type numbered struct {
	answer.Cut
	Number int
}

// Write makes the page. It fails on a plan that cannot be cut.
func Write(o Order) ([]byte, error) {
	r := o.Reckoning
	if len(r.Pieces) == 0 {
		return nil, fmt.Errorf("%s cannot be cut as it stands: its brief says why", o.Title)
	}
	s := shown{Title: o.Title, Steps: r.Steps}
	swatches := map[string]plan.Swatch{}
	for letter, c := range o.Cloths {
		swatches[letter] = c.Swatch
	}
	for _, p := range r.Pieces {
		d, err := drawing.Piece(r, p, swatches)
		if err != nil {
			return nil, fmt.Errorf("share %s: %w", o.Title, err)
		}
		s.Pieces = append(s.Pieces, piece{Piece: p, Drawn: inline(d), Sums: sums(r, p)})
	}
	listed := map[string]bool{}
	for _, n := range r.Cloths {
		listed[n.Cloth] = true
		c := cloth{ClothNeed: n, Cuts: cutsOf(r, func(letter string) bool { return letter == n.Cloth })}
		for _, odd := range n.Odd {
			c.Lays = append(c.Lays, laid{"From " + odd.Said(), inline(drawing.Lay(n.Name, odd.Lay)), odd.Moves})
		}
		if len(n.Lay.Placed) > 0 {
			c.Lays = append(c.Lays, laid{"", inline(drawing.Lay(n.Name, n.Lay)), n.Moves})
		}
		s.Cloths = append(s.Cloths, c)
	}
	if had := cutsOf(r, func(letter string) bool { return !listed[letter] }); len(had) > 0 {
		s.Cloths = append(s.Cloths, cloth{ClothNeed: answer.ClothNeed{Name: "Cut already"}, Cuts: had})
	}
	var out bytes.Buffer
	if err := layout.Execute(&out, s); err != nil {
		return nil, fmt.Errorf("share %s: %w", o.Title, err)
	}
	return out.Bytes(), nil
}

// cutsOf are the cuts of some cloths, by their numbers in the list of all.
func cutsOf(r answer.Reckoning, of func(letter string) bool) []numbered {
	var out []numbered
	for i, cut := range r.Cuts {
		if of(cut.Cloth) && cut.Total > 0 {
			out = append(out, numbered{cut, i + 1})
		}
	}
	return out
}

// inline is a drawing as it stands in the page: the writer escapes every word in it.
func inline(d drawing.Drawing) template.HTML { return template.HTML(svgfile.Inline(d)) } //nolint:gosec // written by us

// sums are those of a piece as it is cut.
func sums(r answer.Reckoning, p answer.Piece) []sum {
	var out []sum
	for _, d := range []struct {
		key, word string
		before, l answer.L
	}{{"width", "across", p.BeforeQuilting.Width, p.Trimmed.Width},
		{"height", "up", p.BeforeQuilting.Height, p.Trimmed.Height}} {
		key, total := p.Name+"."+d.key, d.l
		if p.Quilting != nil {
			key, total = p.Name+".before_quilting."+d.key, d.before
		}
		if terms := r.Sums[key]; len(terms) > 0 {
			out = append(out, sum{d.word, terms, total.Text})
		}
	}
	return out
}
