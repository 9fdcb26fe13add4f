package plan

import (
	"umschlag/core/kind"
	"umschlag/core/length"
)

// WeightRules is what follows from how heavy a cloth is. All of it is common practice; the manual of the machine has
// the last word.
type WeightRules struct {
	// Says is how it stands in a sentence.
	Says string
	// Thick is how thick one layer is.
	Thick length.Length
	// Needle is the metric size of the needle it is sewn with, and Ballpoint tells that its point is rounded.
	Needle    int
	Ballpoint bool
	// Piecing and Closing are the stitches of its seams.
	Piecing, Closing string
	// Even tells that its edges do not fray, and Backed that it is backed before it is cut, unless that is decided
	// otherwise.
	Even, Backed bool
}

// Weights are how heavy cloths are, the usual one first.
var Weights kind.Set[WeightRules]

func init() {
	const mm = length.Millimetre
	Weights.Add("medium", WeightRules{Says: "of medium weight", Thick: 4 * mm / 10, Needle: 80,
		Piecing: "straight stitch 2.2 mm", Closing: "straight stitch 2.5 mm"})
	Weights.Add("light", WeightRules{Says: "of light weight", Thick: 2 * mm / 10, Needle: 70,
		Piecing: "straight stitch 2 mm", Closing: "straight stitch 2.2 mm"})
	Weights.Add("heavy", WeightRules{Says: "heavy", Thick: 8 * mm / 10, Needle: 90,
		Piecing: "straight stitch 2.8 mm", Closing: "straight stitch 3 mm"})
	Weights.Add("felt", WeightRules{Says: "felt", Thick: 15 * mm / 10, Needle: 90, Even: true,
		Piecing: "straight stitch 3 mm", Closing: "straight stitch 3 mm"})
	Weights.Add("knit", WeightRules{Says: "a knit", Thick: 7 * mm / 10, Needle: 80, Ballpoint: true, Backed: true,
		Piecing: "narrow zigzag 0.5 × 2.5 mm", Closing: "narrow zigzag 0.5 × 2.5 mm"})
}

// Values are the words for weights.
func (ClothWeight) Values() []string { return Weights.Names() }

// Values are the words for backings.
func (ClothBacking) Values() []string { return []string{string(IronedBacking), string(NoBacking)} }

// Rules are those of the weight of a cloth; of the usual one where nobody said.
func (w ClothWeight) Rules() WeightRules {
	if rules, known := Weights.Of(string(w)); known {
		return rules
	}
	rules, _ := Weights.Of(Weights.Names()[0])
	return rules
}

// Sewn is how a cloth is sewn: a knit that is backed holds a straight stitch.
func (c Cloth) Sewn() WeightRules {
	rules := c.Weight.Rules()
	if rules.Backed && c.IsBacked() {
		usual := ClothWeight("").Rules()
		rules.Piecing, rules.Closing = usual.Piecing, usual.Closing
	}
	return rules
}

// IsBacked reports whether a light interfacing is ironed to its wrong side before it is cut: what is in one layer.
func (c Cloth) IsBacked() bool {
	if c.Kind != "" && c.Kind != FaceCloth {
		return false
	}
	return c.Backing == IronedBacking || c.Backing == "" && c.Weight.Rules().Backed
}

// SewnTogether is how cloths are sewn to each other: with the needle and the stitch of the heaviest, and a rounded
// point where any of them is a knit.
func SewnTogether(p Plan, letters []string) WeightRules {
	out := ClothWeight("").Rules()
	for i, letter := range letters {
		c, _ := p.Cloth(letter)
		is := c.Sewn()
		if i == 0 {
			out = is
			continue
		}
		if heavier := is.Needle > out.Needle || is.Needle == out.Needle && is.Ballpoint; heavier {
			out.Needle, out.Piecing, out.Closing = is.Needle, is.Piecing, is.Closing
		}
		out.Ballpoint = out.Ballpoint || is.Ballpoint
	}
	return out
}
