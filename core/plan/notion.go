package plan

import (
	"strings"

	"umschlag/core/finding"
	"umschlag/core/length"
)

// Notion is a thing in the cupboard that is not cloth: thread, a zip, tape, cord, buttons.
type Notion struct {
	// Name as the maker calls it.
	Name string `json:"name" jsonschema:"required"`
	// For is what it is used as, by the word the plans use: thread, zip, piping cord,
	// buttons.
	For string `json:"for" jsonschema:"required"`
	// Have is the length there is of what is cut to length, and Pack how much is sold in
	// one, such as a reel; 0 where it is cut to length in the shop.
	Have length.Length `json:"have,omitempty"`
	Pack length.Length `json:"pack,omitempty"`
	// Count is how many there are of what is used by the piece, Each the length of one, and
	// PackCount how many are sold together.
	Count     int           `json:"count,omitempty"`
	Each      length.Length `json:"each,omitempty"`
	PackCount int           `json:"pack_count,omitempty"`
	// Price of a pack or a piece, or of a yard or metre of what is cut to length; 0 when
	// nobody said.
	Price float64 `json:"price,omitempty"`
	// Per is whether the price of what is cut to length is that of a yard or a metre; by the unit of the workshop when
	// absent.
	Per Per `json:"per,omitempty"`
	// Colour, #rrggbb, of thread and tape.
	Colour string `json:"colour,omitempty"`
}

// ByLength tells that it is cut to length in the shop, so that its price is that of a yard or a metre.
func (n Notion) ByLength() bool {
	return n.Pack == 0 && n.Each == 0 && n.Count == 0 && n.PackCount == 0
}

// mostNotions is more than anyone has of one thing.
const mostNotions = 100_000

// ValidateNotion says what cannot be right about a thing in the cupboard.
func (p Plan) ValidateNotion(n Notion) finding.List {
	v := &Judge{style: p.Style()}
	if strings.TrimSpace(n.Name) == "" {
		v.Stop("/name", "A thing needs a name.", "Type what you call it, such as grey thread.")
	}
	if strings.TrimSpace(n.For) == "" {
		v.Stop("/for", "Nobody said what it is for.", "Type what plans use it as: thread, zip, piping cord, buttons.")
	}
	v.Between("/have", "What there is of it", n.Have, 0, length.Limit)
	v.Between("/pack", "What is sold in one", n.Pack, 0, length.Limit)
	v.Between("/each", "The length of one", n.Each, 0, length.Limit)
	v.Count("/count", "How many there are", n.Count, 0, mostNotions)
	v.Count("/pack_count", "How many are sold together", n.PackCount, 0, mostNotions)
	judgeMoney(v, "/price", "The price", n.Price)
	return v.found
}
