package length

import (
	"fmt"
	"strconv"
	"strings"
	"unicode/utf8"
)

// glyphs are the fractions that exist as one character.
var glyphs = map[rune][2]int64{
	'½': {1, 2}, '¼': {1, 4}, '¾': {3, 4},
	'⅛': {1, 8}, '⅜': {3, 8}, '⅝': {5, 8}, '⅞': {7, 8},
	'⅓': {1, 3}, '⅔': {2, 3}, '⅕': {1, 5}, '⅖': {2, 5}, '⅗': {3, 5}, '⅘': {4, 5},
	'⅙': {1, 6}, '⅚': {5, 6}, '⅐': {1, 7}, '⅑': {1, 9}, '⅒': {1, 10},
}

var glyphOf = func() map[[2]int64]rune {
	m := make(map[[2]int64]rune, len(glyphs))
	for g, f := range glyphs {
		m[f] = g
	}
	return m
}()

// finest is the smallest division found on an inch tape.
const finest = 64

// Style says how lengths are written. The zero Style writes inches to 1/8.
type Style struct {
	Unit Unit
	// Denominator is the inch fraction that a value off the tape is rounded
	// to: 8 when zero; 16 or 32 by choice.
	Denominator int64
}

// Text writes l with real fraction glyphs: 19½″, 2¹¹⁄₁₆″, 41.5 cm, 410 mm.
// What is on the tape (a whole 1/64 in, or 1 mm) is written exactly; anything
// else is rounded to the style's fraction, or to 1/32 below an inch, and marked
// with ≈. What would be rounded to nothing is said to be less than the smallest
// that is written: <1 mm, −<¹⁄₃₂″ below 0.
func (s Style) Text(l Length) string {
	text, exact := s.write(l)
	if exact {
		return text
	}
	switch nothing, _ := s.write(0); {
	case text == nothing:
		return "<" + s.smallest()
	case text == "−"+nothing:
		return "−<" + s.smallest()
	}
	return "≈" + text
}

// smallest is the smallest length that Text writes where nothing is exact.
func (s Style) smallest() string {
	switch s.Unit {
	case Millimetres, Centimetres:
		text, _ := s.write(Millimetre)
		return text
	}
	text, _ := s.write(Inch / 32)
	return text
}

// Exact reports whether Text shows the very value of l.
func (s Style) Exact(l Length) bool {
	_, exact := s.write(l)
	return exact
}

func (s Style) write(l Length) (text string, exact bool) {
	sign := ""
	if l < 0 {
		sign, l = "−", -l
	}
	switch s.Unit {
	case Millimetres:
		mm, exact := nearest(l, Millimetre)
		return fmt.Sprintf("%s%d mm", sign, mm), exact
	case Centimetres:
		mm, exact := nearest(l, Millimetre)
		if mm%10 == 0 {
			return fmt.Sprintf("%s%d cm", sign, mm/10), exact
		}
		return fmt.Sprintf("%s%d.%d cm", sign, mm/10, mm%10), exact
	default:
		text, exact = s.inches(l)
		return sign + text, exact
	}
}

func (s Style) inches(l Length) (string, bool) {
	den := s.Denominator
	if den <= 0 {
		den = 8
	}
	switch {
	case l%(Inch/finest) == 0:
		den = finest
	case l < Inch: // a step is too coarse for so little
		den = 32
	}
	n, exact := nearest(l, Inch/Length(den))
	var room [24]byte
	return string(append(appendMixed(room[:0], n, den, ""), "″"...)), exact
}

// nearest counts steps in l, rounding halves up; l is not negative.
func nearest(l, step Length) (int64, bool) {
	return int64((l + step/2) / step), l%step == 0
}

// appendMixed writes n/den as whole number and fraction, in keyboard characters where a gap stands between them.
// Lengths are written by the hundred at every key: they are put together in one piece.
func appendMixed(to []byte, n, den int64, gap string) []byte {
	whole, num := n/den, n%den
	for num > 0 && num%2 == 0 {
		num, den = num/2, den/2
	}
	if whole > 0 || num == 0 {
		to = strconv.AppendInt(to, whole, 10)
	}
	if num == 0 {
		return to
	}
	if whole > 0 {
		to = append(to, gap...)
	}
	if gap != "" {
		return strconv.AppendInt(append(strconv.AppendInt(to, num, 10), '/'), den, 10)
	}
	if g, ok := glyphOf[[2]int64{num, den}]; ok {
		return utf8.AppendRune(to, g)
	}
	return appendSmall(append(appendSmall(to, num, raised), "⁄"...), den, lowered)
}

var raised, lowered = []rune("⁰¹²³⁴⁵⁶⁷⁸⁹"), []rune("₀₁₂₃₄₅₆₇₈₉")

func appendSmall(to []byte, n int64, digits []rune) []byte {
	for _, c := range strconv.FormatInt(n, 10) {
		to = utf8.AppendRune(to, digits[c-'0'])
	}
	return to
}

// Plain writes l in keyboard characters, such that Parse with the same unit
// gives back exactly l: "19 1/2", "41.5", or "8.466667 mm" for a length that
// is on no tape. It is how a plan file is written.
func (s Style) Plain(l Length) string {
	sign := ""
	if l < 0 {
		sign, l = "-", -l
	}
	switch {
	case s.Unit == Millimetres:
		return sign + decimal(l, Millimetre)
	case s.Unit == Centimetres:
		return sign + decimal(l, Centimetre)
	case l%(Inch/finest) == 0:
		var room [24]byte
		return string(appendMixed(append(room[:0], sign...), int64(l/(Inch/finest)), finest, " "))
	default:
		return sign + decimal(l, Millimetre) + " mm"
	}
}

// decimal writes l in units of a power of ten nanometres, exactly.
func decimal(l, unit Length) string {
	text := strconv.FormatInt(int64(l/unit), 10)
	rest := l % unit
	if rest == 0 {
		return text
	}
	width := len(strconv.FormatInt(int64(unit), 10)) - 1
	return text + "." + strings.TrimRight(fmt.Sprintf("%0*d", width, int64(rest)), "0")
}

// Running writes l as a sentence says it: as Text, a part of a centimetre in whole or half millimetres.
func (s Style) Running(l Length) string {
	const half = Millimetre / 2
	if s.Unit != Centimetres || l <= 0 || l >= Centimetre || l%half != 0 {
		return s.Text(l)
	}
	return strconv.FormatFloat(float64(l/half)/2, 'f', -1, 64) + " mm"
}

// Long writes a length of thread or tape as it is asked for in a shop: in whole yards or
// metres, rounded up, once it is more than one.
func (s Style) Long(l Length) string {
	one, name := Metre, "m"
	if s.Unit == Inches {
		one, name = Yard, "yd"
	}
	if l <= one {
		return s.Text(l)
	}
	return fmt.Sprintf("%d %s", int64(l.Ceil(one)/one), name)
}

// Yards writes a cloth length as it is asked for in a shop: yards in eighths
// for inch plans, metres otherwise.
func (s Style) Yards(l Length) string {
	if s.Unit == Millimetres || s.Unit == Centimetres {
		cm, exact := nearest(l, Centimetre)
		return mark(exact) + fmt.Sprintf("%d.%02d m", cm/100, cm%100)
	}
	n, exact := nearest(l, Yard/8)
	return mark(exact) + string(appendMixed(nil, n, 8, "")) + " yd"
}

func mark(exact bool) string {
	if exact {
		return ""
	}
	return "≈"
}
