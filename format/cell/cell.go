// Package cell keeps the texts of a table from being taken for formulas where it is opened.
package cell

import "strings"

// formula are the signs that a program of tables begins a formula with, and what it passes over before one.
// Source: OWASP, "CSV Injection".
const formula = "=+-@\t\r\n"

// Safe is a text as it stands in a table: one that begins like a formula gets an apostrophe in front. Plain undoes it.
func Safe(text string) string {
	if begins(text) {
		return "'" + text
	}
	return text
}

// Plain is the text that Safe made a cell of; what was typed without an apostrophe stays as it is.
func Plain(text string) string {
	if rest, held := strings.CutPrefix(text, "'"); held && begins(rest) {
		return rest
	}
	return text
}

// begins reports whether a text begins like a formula, behind any apostrophes.
func begins(text string) bool {
	text = strings.TrimLeft(text, "'")
	return text != "" && strings.ContainsRune(formula, rune(text[0]))
}
