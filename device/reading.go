package device

import (
	"fmt"
	"math"
	"slices"
	"strconv"

	"umschlag/core/length"
)

// Reading is what a gauge sends when its button is pressed.
type Reading struct {
	// Values it read one after the other while it was held, in Unit: mm, cm, in, g or oz, as
	// the gauge calls it; empty where it did not say.
	Values []float64
	Unit   string
	// Battery is how full it is, in percent; -1 where it has none.
	Battery int
}

// Limits of what is taken from a gauge. Common practice, and the length of a sewing tape.
const (
	// steady is how far the values of one reading may lie apart, in millimetres; steadyShare
	// and steadyGrams the same of a weight.
	steady      = 1.5
	steadyShare = 0.01
	steadyGrams = 1.0
	// longest a tape can read, and heaviest a kitchen scale.
	longest  = 3 * length.Metre
	heaviest = 20_000.0
	// weak is a battery at which a reading is taken with a word, empty one at which it is not.
	weak  = 20
	empty = 5
)

// grams in the units of a scale: the avoirdupois ounce of the international yard and pound
// agreement, 1959.
var grams = map[string]float64{"g": 1, "kg": 1000, "oz": 28.349523125}

// Taken is a reading that can be used.
type Taken struct {
	// Text as it would be typed.
	Text string
	// Says what there is to say of it; mostly nothing.
	Says string
	// Length of a tape; Grams of a scale.
	Length length.Length
	Grams  float64
}

// Length judges a reading of a tape. What cannot be trusted gives a *Refusal.
func (r Reading) Length() (Taken, error) {
	unit := length.Unit(r.Unit)
	if !slices.Contains(length.Units(), unit) {
		return Taken{}, &Refusal{fmt.Sprintf("The tape sent %s without a unit it can be read in.", r.said()),
			"Set the tape to inches or centimetres and measure again."}
	}
	mid, spread, err := r.settled("tape")
	if err != nil {
		return Taken{}, err
	}
	perMM := unit.Size().Float() / length.Millimetre.Float()
	if spread*perMM > steady {
		return Taken{}, &Refusal{fmt.Sprintf("The readings lie %s mm apart.", short(spread*perMM)),
			"Hold the tape still, flat along the edge, and measure again."}
	}
	l := ruled(mid*unit.Size().Float(), unit)
	if l <= 0 || l > longest {
		return Taken{}, &Refusal{fmt.Sprintf("The tape sent %s %s.", r.said(), r.Unit),
			"That is no length a tape can read: lay it on again from its beginning."}
	}
	return Taken{Text: length.Style{Unit: unit}.Plain(l) + " " + r.Unit, Says: r.weakness("tape"), Length: l}, nil
}

// ruled is nanometres as a tape shows it: to half a millimetre, or to the 32nd of an inch.
func ruled(nm float64, unit length.Unit) length.Length {
	step := length.Millimetre / 2
	if unit == length.Inches {
		step = length.Inch / 32
	}
	return length.FromFloat(math.Max(-1, math.Min(nm/step.Float(), 1e9))) * step
}

// Weight judges a reading of a scale. What cannot be trusted gives a *Refusal.
func (r Reading) Weight() (Taken, error) {
	each, ok := grams[r.Unit]
	if !ok {
		return Taken{}, &Refusal{fmt.Sprintf("The scale sent %s without a unit it can be read in.", r.said()),
			"Set the scale to grams or ounces and weigh again."}
	}
	mid, spread, err := r.settled("scale")
	if err != nil {
		return Taken{}, err
	}
	g := math.Round(mid*each*10) / 10
	if spread*each > math.Max(steadyGrams, steadyShare*math.Abs(g)) {
		return Taken{}, &Refusal{fmt.Sprintf("The readings lie %s g apart.", short(spread*each)),
			"Wait until the scale is at rest and weigh again."}
	}
	if g <= 0 || g > heaviest {
		return Taken{}, &Refusal{fmt.Sprintf("The scale sent %s %s.", r.said(), r.Unit),
			"Empty it, set it to zero and weigh again."}
	}
	return Taken{Text: short(g), Says: r.weakness("scale"), Grams: g}, nil
}

// settled is the value in the middle and how far the values lie apart.
func (r Reading) settled(what string) (mid, spread float64, err error) {
	for _, v := range r.Values {
		if math.IsNaN(v) || math.IsInf(v, 0) {
			return 0, 0, &Refusal{fmt.Sprintf("The %s sent something that is no number.", what), "Measure again."}
		}
	}
	if len(r.Values) == 0 {
		return 0, 0, &Refusal{fmt.Sprintf("The %s sent nothing.", what), "Measure again."}
	}
	if r.Battery >= 0 && r.Battery <= empty {
		return 0, 0, &Refusal{fmt.Sprintf("The battery of the %s is at %d%%: what it reads now is not to be trusted.",
			what, r.Battery), "Change the battery and measure again."}
	}
	sorted := slices.Sorted(slices.Values(r.Values))
	return sorted[len(sorted)/2], sorted[len(sorted)-1] - sorted[0], nil
}

func (r Reading) weakness(what string) string {
	if r.Battery < 0 || r.Battery > weak {
		return ""
	}
	return fmt.Sprintf("The battery of the %s is at %d%%: change it soon.", what, r.Battery)
}

func (r Reading) said() string {
	if len(r.Values) == 0 {
		return "nothing"
	}
	return short(r.Values[0])
}

func short(f float64) string { return strconv.FormatFloat(math.Round(f*100)/100, 'f', -1, 64) }
