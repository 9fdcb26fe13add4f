package plan

import "umschlag/core/kind"

// CornerRules is what the plan has to know of a way in which the sides of a border meet.
type CornerRules struct {
	// Says follows the border in a sentence.
	Says string
	// Whole tells that its strips are in one piece: a border of patches does not meet so.
	Whole bool
	// Filled tells that its corners are patches with a cloth of their own.
	Filled bool
}

// CornerKinds are the ways in which the sides of a border meet, the usual one first. How they are cut and sewn stands
// in core/front.
var CornerKinds kind.Set[CornerRules]

func init() {
	CornerKinds.Add("butted", CornerRules{Says: "butted"})
	CornerKinds.Add("mitred", CornerRules{Says: "mitred", Whole: true})
	CornerKinds.Add("squares", CornerRules{Says: "with corner squares", Filled: true})
}

// Values are the words for corners of borders.
func (BorderCorner) Values() []string { return CornerKinds.Names() }

// Rules are those of a way to meet; of the usual one where there is none.
func (c BorderCorner) Rules() CornerRules {
	rules, _ := CornerKinds.Of(string(c))
	return rules
}
