package block

// Named is an old block under its common name.
type Named struct{ Name, Title, Text string }

// Library lists the blocks that go by a name, the simplest first. Names and patterns
// are traditional, from memory; how they are written is ours.
func Library() []Named {
	return []Named{
		{"four-patch", "Four patch", `(A | B) - (B | A)`},
		{"nine-patch", "Nine patch", `(A | B | A) - (B | A | B) - (A | B | A)`},
		{"sixteen-patch", "Sixteen patch", `(A | B | A | B) - (B | A | B | A) - (A | B | A | B) - (B | A | B | A)`},
		{"rail-fence", "Rail fence", `A - B - C`},
		{"basket-weave", "Basket weave", `((A - B - A) | (A | B | A)) - ((A | B | A) | (A - B - A))`},
		{"london-stairs", "London stairs", `((A - B) | (A | B)) - ((A | B) | (A - B))`},
		{"double-four-patch", "Double four patch", `(((A | B) - (B | A)) | C) - (C | ((A | B) - (B | A)))`},
		{"double-nine-patch", "Double nine patch",
			`(((A | B | A) - (B | A | B) - (A | B | A)) | C | ((A | B | A) - (B | A | B) - (A | B | A))) - (C | ((A | B | A) - (B | A | B) - (A | B | A)) | C) - (((A | B | A) - (B | A | B) - (A | B | A)) | C | ((A | B | A) - (B | A | B) - (A | B | A)))`},
		{"puss-in-the-corner", "Puss in the corner", `(A | 2 B | A) - 2 (B | 2 A | B) - (A | 2 B | A)`},
		{"half-square", "Half-square triangles", `A / B`},
		{"pinwheel", "Pinwheel", `((A \ B) | (B / A)) - ((A / B) | (B \ A))`},
		{"broken-dishes", "Broken dishes", `((A \ B) | (A / B)) - ((B / A) | (B \ A))`},
		{"hourglass", "Hourglass", `A x B x A x B`},
		{"big-dipper", "Big dipper", `((A x B x A x B) | (B x A x B x A)) - ((B x A x B x A) | (A x B x A x B))`},
		{"flying-geese", "Flying geese", `(A ^ B) - (A ^ B)`},
		{"dutchmans-puzzle", "Dutchman’s puzzle",
			`(((A ^ B) - (A ^ B)) | ((A > B) | (A > B))) - (((A < B) | (A < B)) | ((A v B) - (A v B)))`},
		{"square-in-a-square", "Square in a square", `A o B`},
		{"economy-patch", "Economy patch", `(A o B) o C`},
		{"shoofly", "Shoo fly", `((B / A) | A | (B \ A)) - (A | B | A) - ((A \ B) | A | (A / B))`},
		{"churn-dash", "Churn dash",
			`((B / A) | (B - A) | (B \ A)) - ((B | A) | B | (A | B)) - ((A \ B) | (A - B) | (A / B))`},
		{"greek-cross", "Greek cross", `((A / B) | B | (A \ B)) - (B | B | B) - ((B \ A) | B | (B / A))`},
		{"friendship-star", "Friendship star", `(B | (B \ A) | B) - ((B / A) | A | (A / B)) - (B | (A \ B) | B)`},
		{"ohio-star", "Ohio star",
			`(B | (B x A x B x A) | B) - ((A x B x A x B) | A | (A x B x A x B)) - (B | (B x A x B x A) | B)`},
		{"birds-in-the-air", "Birds in the air",
			`((B / A) | (B / A) | (B / A)) - (B | (B / A) | (B / A)) - (B | B | (B / A))`},
		{"sawtooth-star", "Sawtooth star", `(B | 2 (B v A) | B) - 2 ((B > A) | 2 A | (B < A)) - (B | 2 (B ^ A) | B)`},
		{"evening-star", "Evening star",
			`(B | 2 (B v A) | B) - 2 ((B > A) | 2 (C o A) | (B < A)) - (B | 2 (B ^ A) | B)`},
		{"kings-crown", "King’s crown", `(B | 2 (A ^ B) | B) - 2 ((A < B) | 2 A | (A > B)) - (B | 2 (A v B) | B)`},
		{"jacobs-ladder", "Jacob’s ladder",
			`(((A | B) - (B | A)) | (C / B) | ((A | B) - (B | A))) - ((C / B) | ((A | B) - (B | A)) | (B / C)) - (((A | B) - (B | A)) | (B / C) | ((A | B) - (B | A)))`},
		{"crosses-and-losses", "Crosses and losses",
			`((A / B) | ((B | (A / B)) - ((A / B) | B))) - (((B | (A / B)) - ((A / B) | B)) | (A / B))`},
		{"bears-paw", "Bear’s paw",
			`3 (3 ((B | (B / A) | (B / A)) - 2 (((B / A) - (B / A)) | 2 A)) | B | 3 (((B \ A) | (B \ A) | B) - 2 (2 A | ((B \ A) - (B \ A))))) - (3 B | A | 3 B) - 3 (3 (2 (((A \ B) - (A \ B)) | 2 A) - (B | (A \ B) | (A \ B))) | B | 3 (2 (2 A | ((A / B) - (A / B))) - ((A / B) | (A / B) | B)))`},
		{"log-cabin", "Log cabin", `E - 4 (E | 4 (3 (3 (C - 2 (C | 2 ((A | B) - B))) | D) - D))`},
		{"courthouse-steps", "Courthouse steps", `B - 3 (C | 3 (B - (C | A | C) - B) | C) - B`},
	}
}

// ByName is a block of the library.
func ByName(name string) (Named, bool) {
	for _, n := range Library() {
		if n.Name == name {
			return n, true
		}
	}
	return Named{}, false
}
