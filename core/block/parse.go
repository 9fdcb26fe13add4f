// Package block knows pieced blocks: a rectangle divided into polygons by a small
// language, what each patch of it is cut from, and the old blocks written in it.
//
// A block is a letter, or a division in brackets whose parts are joined by one sign:
//
//	A | B | C      columns, 2 A | B twice as wide as B
//	A - B - C      rows, from the top
//	A / B          a diagonal that rises: A above, B below
//	A \ B          a diagonal that falls: A above, B below
//	A x B x C x D  both diagonals: top, right, bottom, left
//	A ^ B          a goose: A stands on the lower side with its point at the top, B in
//	               both corners; v, < and > point down, left and right
//	A o B          a square on its point, B in the four corners
//	A : B          a triangle halved from its longest side, the left or upper part first
//
// Every part is again a letter or a division. Letters stand for cloths.
package block

import (
	"fmt"
	"slices"
	"strconv"
	"strings"
	"unicode"
)

// Sign is how the parts of a division lie.
type Sign rune

// The signs.
const (
	Leaf    Sign = 0
	Columns Sign = '|'
	Rows    Sign = '-'
	Rising  Sign = '/'
	Falling Sign = '\\'
	Cross   Sign = 'x'
	Up      Sign = '^'
	Down    Sign = 'v'
	Left    Sign = '<'
	Right   Sign = '>'
	Diamond Sign = 'o'
	Halved  Sign = ':'
)

// parts is how many parts a sign takes; 0 for any number from two.
var parts = map[Sign]int{Columns: 0, Rows: 0, Rising: 2, Falling: 2, Cross: 4, Up: 2, Down: 2, Left: 2, Right: 2,
	Diamond: 2, Halved: 2}

// Node is a letter or a division.
type Node struct {
	Sign   Sign
	Letter string
	Parts  []Node
	// Weights are the shares of columns and rows.
	Weights []int
}

// SyntaxError says where a block cannot be read, and what belongs there.
type SyntaxError struct {
	// Pos is the offset in runes.
	Pos  int
	Text string
}

func (e *SyntaxError) Error() string { return fmt.Sprintf("%s (at character %d)", e.Text, e.Pos+1) }

const (
	mostDepth  = 12
	mostParts  = 24
	mostWeight = 60
	mostRunes  = 4000
)

// Parse reads a block. The error is of type *SyntaxError.
func Parse(text string) (Node, error) {
	p := &parser{text: []rune(text)}
	if len(p.text) > mostRunes {
		return Node{}, &SyntaxError{Pos: mostRunes, Text: "this is too long for a block"}
	}
	n, err := p.division(0)
	if err != nil {
		return Node{}, err
	}
	if p.skip(); p.pos < len(p.text) {
		return Node{}, p.fail("the block has ended before this; put brackets round each division")
	}
	return n, nil
}

type parser struct {
	text []rune
	pos  int
}

func (p *parser) fail(format string, args ...any) error {
	return &SyntaxError{Pos: p.pos, Text: fmt.Sprintf(format, args...)}
}

func (p *parser) skip() {
	for p.pos < len(p.text) && unicode.IsSpace(p.text[p.pos]) {
		p.pos++
	}
}

func (p *parser) peek() rune {
	if p.skip(); p.pos < len(p.text) {
		return p.text[p.pos]
	}
	return 0
}

// division is parts joined by one sign, or a single part.
func (p *parser) division(depth int) (Node, error) {
	if depth > mostDepth {
		return Node{}, p.fail("a block is divided at most %d times", mostDepth)
	}
	first, weight, err := p.part(depth)
	if err != nil {
		return Node{}, err
	}
	sign := Sign(p.peek())
	want, known := parts[sign]
	if !known {
		if weight != 1 {
			return Node{}, p.fail("a share belongs to columns or rows: type | or -")
		}
		return first, nil
	}
	n := Node{Sign: sign, Parts: []Node{first}, Weights: []int{weight}}
	for Sign(p.peek()) == sign {
		p.pos++
		part, weight, err := p.part(depth)
		if err != nil {
			return Node{}, err
		}
		n.Parts, n.Weights = append(n.Parts, part), append(n.Weights, weight)
	}
	switch _, other := parts[Sign(p.peek())]; {
	case other:
		return Node{}, p.fail("%q and %q stand side by side; put brackets round one of them", string(rune(sign)),
			string(p.peek()))
	case want > 0 && len(n.Parts) != want:
		return Node{}, p.fail("%q divides into %d parts, not %d", string(rune(sign)), want, len(n.Parts))
	case len(n.Parts) > mostParts:
		return Node{}, p.fail("a division has at most %d parts", mostParts)
	case want > 0 && !even(n.Weights):
		return Node{}, p.fail("shares belong to columns and rows only")
	}
	return n, nil
}

func even(weights []int) bool {
	for _, w := range weights {
		if w != 1 {
			return false
		}
	}
	return true
}

// part is an optional share and a letter or a division in brackets.
func (p *parser) part(depth int) (Node, int, error) {
	weight := 1
	if c := p.peek(); unicode.IsDigit(c) {
		from := p.pos
		for p.pos < len(p.text) && unicode.IsDigit(p.text[p.pos]) {
			p.pos++
		}
		n, err := strconv.Atoi(string(p.text[from:p.pos]))
		if err != nil || n < 1 || n > mostWeight {
			p.pos = from
			return Node{}, 0, p.fail("a share is a number from 1 to %d", mostWeight)
		}
		weight = n
	}
	switch c := p.peek(); {
	case c >= 'A' && c <= 'Z':
		p.pos++
		return Node{Letter: string(c)}, weight, nil
	case c == '(':
		p.pos++
		n, err := p.division(depth + 1)
		if err != nil {
			return Node{}, 0, err
		}
		if p.peek() != ')' {
			return Node{}, 0, p.fail("a bracket is not closed: type )")
		}
		p.pos++
		return n, weight, nil
	case c == 0:
		return Node{}, 0, p.fail("a part is missing: type a letter or a division in brackets")
	default:
		return Node{}, 0, p.fail("%q is no part: type a capital letter or a division in brackets", string(c))
	}
}

// String writes a block as it is read.
func (n Node) String() string {
	if n.Sign == Leaf {
		return n.Letter
	}
	var out strings.Builder
	for i, part := range n.Parts {
		if i > 0 {
			out.WriteString(" " + string(rune(n.Sign)) + " ")
		}
		if n.Weights[i] != 1 {
			fmt.Fprintf(&out, "%d ", n.Weights[i])
		}
		if part.Sign == Leaf {
			out.WriteString(part.Letter)
		} else {
			out.WriteString("(" + part.String() + ")")
		}
	}
	return out.String()
}

// Letters are the letters of a block, as first met.
func (n Node) Letters() []string {
	var out []string
	seen := map[string]bool{}
	n.walk(func(leaf Node) {
		if !seen[leaf.Letter] {
			seen[leaf.Letter] = true
			out = append(out, leaf.Letter)
		}
	})
	return out
}

// Upright tells that a block is divided into squares and rectangles alone.
func (n Node) Upright() bool {
	straight := n.Sign == Leaf || n.Sign == Columns || n.Sign == Rows
	return straight && !slices.ContainsFunc(n.Parts, func(p Node) bool { return !p.Upright() })
}

func (n Node) walk(visit func(Node)) {
	if n.Sign == Leaf {
		visit(n)
		return
	}
	for _, p := range n.Parts {
		p.walk(visit)
	}
}
