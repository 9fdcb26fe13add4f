package front

import "umschlag/core/kind"

// End is how far a strip of a border goes at its ends.
type End int

// A strip ends where the side ends that it is sewn to, lies over the ends of those that were sewn on before it, or
// meets them in a mitre.
const (
	Flush End = iota
	Over
	Mitre
)

// BorderCorner is how the sides of a border meet: how the strips at the left and right end, which are sewn on first,
// and those above and below; and what is said when they are sewn.
type BorderCorner struct {
	Sides, Runs End
	// First and Second say how either pair is sewn on; First gets the seam allowance as text.
	First  func(seam string) string
	Second string
	// Last is sewn when both are on; nothing where its title is empty.
	Last Finish
}

// Finish is what is sewn last of a border.
type Finish struct{ Title, Text, Check string }

// BorderCorners are the ways in which the sides of a border meet.
var BorderCorners kind.Set[BorderCorner]

func init() {
	sewn := func(string) string { return "Sew one to the left and one to the right edge." }
	BorderCorners.Add("butted", BorderCorner{Sides: Flush, Runs: Over, First: sewn,
		Second: "Sew them across everything, over the ends of the sides."})
	BorderCorners.Add("squares", BorderCorner{Sides: Flush, Runs: Flush, First: sewn,
		Second: "Sew a corner square to each end of the top and bottom borders. Sew them on, nesting the seams at the corner squares."})
	BorderCorners.Add("mitred", BorderCorner{Sides: Mitre, Runs: Mitre,
		First: func(seam string) string {
			return "Middle to middle, to the left and the right edge: begin and end " + seam + " before the corners."
		},
		Second: "The same at the top and the bottom; the ends stay loose.",
		Last: Finish{Title: "Sew the mitres",
			Text:  "Fold the corner so that both strips lie on each other, draw the line from the inner corner at 45°, sew from the inner corner out, and trim to the seam.",
			Check: "The corner lies flat before it is trimmed."}})
}
