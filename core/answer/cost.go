package answer

import (
	"math"
	"strconv"
	"strings"
	"unicode"
	"unicode/utf8"

	"umschlag/core/costing"
)

// Cost is what a plan costs with all its covers, and what to ask for them.
type Cost struct {
	// Lines are cloths and notions, each with how its cost comes about.
	Lines []CostLine `json:"lines"`
	// Materials, Work, Other, Cost, Margin, Total and Each as they are written.
	Materials string `json:"materials"`
	Work      string `json:"work"`
	Other     string `json:"other"`
	Cost      string `json:"cost"`
	Margin    string `json:"margin"`
	Total     string `json:"total"`
	Each      string `json:"each"`
	Covers    int    `json:"covers"`
	// Unpriced names what nobody put a price to, LeftOut what is never counted.
	Unpriced []string `json:"unpriced"`
	LeftOut  []string `json:"left_out"`
	// Batch it is the cost of, and Currency it is written in.
	Batch    costing.Batch `json:"-"`
	Currency string        `json:"-"`
}

// Taking is the cost, without a margin, where the whole batch takes so many minutes; empty where nobody put a price to
// anything.
func (c Cost) Taking(minutes int) string {
	b := c.Batch
	b.Wage, b.Minutes = b.Wage*float64(minutes)/float64(max(1, b.Covers)), 1
	cost := costing.Of(b).Cost
	if cost == 0 {
		return ""
	}
	return Money(cost, c.Currency)
}

// CostLine is one material; its cost is empty where it has no price.
type CostLine struct {
	Name string `json:"name"`
	How  string `json:"how"`
	Cost string `json:"cost"`
}

// Money is an amount as it is written, with what the maker calls it: a sign such as € before it, a word behind it.
func Money(amount float64, currency string) string {
	text, minus := strconv.FormatFloat(math.Abs(math.Round(amount*100)/100), 'f', 2, 64), ""
	if amount < 0 {
		minus = "−"
	}
	if sign, _ := utf8.DecodeRuneInString(currency); unicode.Is(unicode.Sc, sign) {
		return minus + currency + text
	}
	return strings.TrimSpace(minus + text + " " + currency)
}
