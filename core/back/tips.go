package back

import (
	"umschlag/core/length"
	"umschlag/core/plan"
)

// Tips are what makers say of a closure at the steps that follow it: when the cover is closed, when it is turned
// through it, and when the insert goes in; empty where nothing is said. Common practice.
type Tips struct{ Closing, Turning, Filling string }

const halfByHalf = "Push the insert into one half of the cover, draw the other over it, and work it out into the edges " +
	"with a hand."

var tips = map[plan.BackKind]Tips{
	plan.Envelope:   {Filling: halfByHalf},
	plan.FoldedBack: {Filling: halfByHalf},
	plan.Lapped:     {Closing: "Close the back first: from here on it is one piece."},
	plan.SewnShut: {Turning: "Fold the allowances of the gap in along the seam line and press them before it is " +
		"closed."},
}

// TipsOf are what makers say of a closure of a kind, in a cover with a flange or none, with corners or
// round.
func TipsOf(kind plan.BackKind, flange length.Length, round bool) Tips {
	said := tips[kind]
	if kind == plan.Zip && flange > 0 {
		said.Closing = "The line of the flange crosses the ends of the zip: slowly, by the hand wheel."
	}
	if said.Filling == "" && round {
		said.Filling = "Fold the insert in half, push it in, and let it open."
	}
	if said.Filling == "" {
		said.Filling = "Fold the insert, push its corners into the corners of the cover, and let it open."
	}
	return said
}
