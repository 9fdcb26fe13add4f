package length

import (
	"fmt"
	"math/big"
	"strings"
	"unicode"
)

// SyntaxError says which character of a typed length cannot be read and what
// to type instead. Pos counts characters from 0.
type SyntaxError struct {
	Text   string
	Pos    int
	Reason string
}

func (e *SyntaxError) Error() string {
	return fmt.Sprintf("%q cannot be read as a length: %s (character %d)", shorten(e.Text), e.Reason, e.Pos+1)
}

// shorten keeps a pasted page out of a one-line message.
func shorten(text string) string {
	r := []rune(text)
	if len(r) <= 40 {
		return text
	}
	return string(r[:40]) + "…"
}

const (
	maxDigits = 18 // more digits than any tape shows; keeps the arithmetic small
	maxText   = 64
)

// Parse reads a length as makers write it: 16 1/2, 16½, 16-1/2, 16.5, 16.5",
// 16.5 in, 12 6/8, 1 1/4 yd, 2' 6", 41 cm, 41,5 cm, 410mm, with an optional
// minus sign in front. A bare number is in bare. The result is exact wherever
// the value is a whole number of nanometres and rounded to the nearest one
// otherwise (1/3 in). Errors are *SyntaxError.
func Parse(text string, bare Unit) (Length, error) {
	s := &scanner{text: text, in: []rune(text)}
	if len(s.in) > maxText {
		return 0, s.failAt(maxText, "type one length, such as 16 1/2")
	}
	s.space()
	negative := s.sign()
	total, err := s.parts(bare)
	if err != nil {
		return 0, err
	}
	if negative {
		total.Neg(total)
	}
	return s.whole(total)
}

type scanner struct {
	text string
	in   []rune
	pos  int
}

func (s *scanner) failAt(pos int, reason string) error {
	return &SyntaxError{Text: s.text, Pos: pos, Reason: reason}
}

func (s *scanner) end() bool { return s.pos >= len(s.in) }

// peek is the character at hand, or 0 at the end.
func (s *scanner) peek() rune {
	if s.end() {
		return 0
	}
	return s.in[s.pos]
}

func (s *scanner) space() (seen bool) {
	for !s.end() && (unicode.IsSpace(s.peek())) {
		s.pos++
		seen = true
	}
	return seen
}

func (s *scanner) sign() bool {
	if s.peek() != '-' && s.peek() != '−' {
		return false
	}
	s.pos++
	s.space()
	return true
}

// parts reads one number with its unit, or feet and inches (yards, feet and
// inches) in falling order.
func (s *scanner) parts(bare Unit) (*big.Rat, error) {
	total := new(big.Rat)
	last := Length(0)
	for first := true; ; first = false {
		s.space()
		if s.end() && !first {
			return total, nil
		}
		at := s.pos
		n, err := s.number()
		if err != nil {
			return nil, err
		}
		s.space()
		unitAt := s.pos
		unit, named, err := s.unit()
		if err != nil {
			return nil, err
		}
		if !named {
			if !first {
				return nil, s.failAt(at, `say what the second number is, such as 2' 6"`)
			}
			unit = bare.Size()
		}
		if !first && (unit >= last || !imperial(unit) || !imperial(last)) {
			return nil, s.failAt(unitAt, `only feet and inches can be joined, the larger first: 2' 6"`)
		}
		last = unit
		total.Add(total, n.Mul(n, new(big.Rat).SetInt64(int64(unit))))
		if !named && !s.end() {
			return nil, s.strange()
		}
	}
}

func imperial(u Length) bool { return u == Inch || u == Foot || u == Yard }

// number reads 16, 16.5, 16,5, 1/2, ½, 16 1/2, 16-1/2 or 16½.
func (s *scanner) number() (*big.Rat, error) {
	if f, ok := glyphs[s.peek()]; ok {
		s.pos++
		return new(big.Rat).SetFrac64(f[0], f[1]), nil
	}
	whole, err := s.digits("start with a number, such as 16 1/2")
	if err != nil {
		return nil, err
	}
	n := new(big.Rat).SetInt(whole)
	switch c := s.peek(); {
	case c == '.' || c == ',':
		return s.decimals(n)
	case isSlash(c):
		return s.over(whole)
	}
	return s.mixed(n)
}

// mixed adds the fraction behind a whole number, when there is one.
func (s *scanner) mixed(n *big.Rat) (*big.Rat, error) {
	back := s.pos
	joined := s.space()
	if s.peek() == '-' && !joined {
		s.pos++
		joined = true
	}
	if f, ok := glyphs[s.peek()]; ok {
		s.pos++
		return n.Add(n, new(big.Rat).SetFrac64(f[0], f[1])), nil
	}
	if !joined || !isDigit(s.peek()) {
		if s.pos > back && s.in[s.pos-1] == '-' {
			return nil, s.failAt(s.pos, "put a fraction behind the dash: 16-1/2")
		}
		s.pos = back
		return n, nil
	}
	at := s.pos
	top, err := s.digits("")
	if err != nil {
		return nil, err
	}
	if !isSlash(s.peek()) {
		return nil, s.failAt(at, "a second number must be a fraction: 16 1/2")
	}
	f, err := s.over(top)
	if err != nil {
		return nil, err
	}
	return n.Add(n, f), nil
}

// over reads the slash and what stands under the line.
func (s *scanner) over(top *big.Int) (*big.Rat, error) {
	s.pos++
	at := s.pos
	under, err := s.digits("put a number under the line: 1/2")
	if err != nil {
		return nil, err
	}
	if under.Sign() == 0 {
		return nil, s.failAt(at, "nothing can be divided by 0; type a fraction such as 1/2")
	}
	if isSlash(s.peek()) {
		return nil, s.failAt(s.pos, "one line a fraction; type it as 2/3")
	}
	if c := s.peek(); c == '.' || c == ',' {
		return nil, s.failAt(s.pos, "a fraction takes whole numbers: 1/2")
	}
	return new(big.Rat).SetFrac(top, under), nil
}

func (s *scanner) decimals(n *big.Rat) (*big.Rat, error) {
	s.pos++
	at := s.pos
	part, err := s.digits("put digits behind the point: 16.5")
	if err != nil {
		return nil, err
	}
	scale := new(big.Int).Exp(big.NewInt(10), big.NewInt(int64(s.pos-at)), nil)
	if c := s.peek(); c == '.' || c == ',' {
		return nil, s.failAt(s.pos, "one decimal point a number: 16.5")
	}
	if isSlash(s.peek()) {
		return nil, s.failAt(s.pos, "a decimal takes no fraction; type 16.5 or 16 1/2")
	}
	return n.Add(n, new(big.Rat).SetFrac(part, scale)), nil
}

func (s *scanner) digits(reason string) (*big.Int, error) {
	at := s.pos
	for isDigit(s.peek()) {
		s.pos++
	}
	if s.pos == at {
		return nil, s.failAt(at, reason)
	}
	if s.pos-at > maxDigits {
		return nil, s.failAt(at+maxDigits, "fewer digits are enough: 16.5")
	}
	n, _ := new(big.Int).SetString(string(s.in[at:s.pos]), 10)
	return n, nil
}

// unit reads a unit when one follows; named is false at the end of the text.
func (s *scanner) unit() (size Length, named bool, err error) {
	if s.end() {
		return 0, false, nil
	}
	at := s.pos
	switch s.peek() {
	case '"', '″', '”':
		s.pos++
		return Inch, true, nil
	case '\'', '′', '’':
		s.pos++
		if s.peek() == '\'' { // two single marks are how some keyboards write inches
			s.pos++
			return Inch, true, nil
		}
		return Foot, true, nil
	}
	for unicode.IsLetter(s.peek()) {
		s.pos++
	}
	word := strings.ToLower(string(s.in[at:s.pos]))
	if word == "" {
		return 0, false, nil
	}
	size, ok := words[word]
	if !ok {
		return 0, false, s.failAt(at, fmt.Sprintf("%q is not a unit here; use in, ft, yd, mm, cm or m", shorten(word)))
	}
	if s.peek() == '.' { // "16 in." is common
		s.pos++
	}
	return size, true, nil
}

var words = map[string]Length{
	"in": Inch, "inch": Inch, "inches": Inch,
	"ft": Foot, "foot": Foot, "feet": Foot,
	"yd": Yard, "yds": Yard, "yard": Yard, "yards": Yard,
	"mm": Millimetre, "cm": Centimetre, "m": Metre,
}

func (s *scanner) strange() error {
	return s.failAt(s.pos, fmt.Sprintf("%q does not belong here; type a length such as 16 1/2 or 41 cm",
		string(s.peek())))
}

// whole rounds to the nearest nanometre and refuses what no cover can be.
func (s *scanner) whole(r *big.Rat) (Length, error) {
	limit := new(big.Rat).SetInt64(int64(Limit))
	if new(big.Rat).Abs(r).Cmp(limit) > 0 {
		return 0, s.failAt(0, "that is over 100 metres; check the number and its unit")
	}
	num, den := new(big.Int).Set(r.Num()), r.Denom()
	half := new(big.Int).Rsh(den, 1)
	if num.Sign() < 0 {
		num.Sub(num, half)
	} else {
		num.Add(num, half)
	}
	return Length(num.Quo(num, den).Int64()), nil
}

func isDigit(c rune) bool { return c >= '0' && c <= '9' }

func isSlash(c rune) bool { return c == '/' || c == '⁄' || c == '∕' }
