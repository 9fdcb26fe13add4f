package plan

import (
	"umschlag/core/kind"
	"umschlag/core/length"
)

// FittingRules is what the plan has to know of a kind of fitting.
type FittingRules struct {
	// Begins is one as it is put on first, in a unit; nil for a word that is read and not offered. Common
	// practice.
	Begins func(length.Unit) Fitting
	// Settle completes what is not said of one, with the step of the ruler; nil where nothing follows.
	Settle func(f *Fitting, step length.Length, unit length.Unit)
	// Reads are the keys that count for it, beside those that count for every fitting.
	Reads []string
	// Padded tells that something can lie inside it.
	Padded bool
}

// FittingKinds are the kinds of fittings. What one is cut from and how it is sewn on stands in core/fitting.
var FittingKinds kind.Set[FittingRules]

func init() {
	const mm = length.Millimetre
	begins := func(inches, metric Fitting) func(length.Unit) Fitting {
		return func(unit length.Unit) Fitting {
			if unit == length.Inches {
				return inches
			}
			return metric
		}
	}
	tapeOf := func(f *Fitting, unit length.Unit) {
		if f.Short > 0 && f.Tape == 0 {
			f.Tape = usualIn(unit).tape
		}
	}
	pair := func(f *Fitting, _ length.Length, unit length.Unit) { tapeOf(f, unit) }
	FittingKinds.Add("handle", FittingRules{Reads: []string{"length", "width"}, Padded: true,
		Begins: begins(Fitting{Length: 10 * in, Width: 2 * in, Spread: 4 * in},
			Fitting{Length: 25 * cm, Width: 5 * cm, Spread: 10 * cm})})
	FittingKinds.Add("pocket", FittingRules{Reads: []string{"width", "height", "style", "slots", "slot"}, Padded: true,
		Begins: begins(Fitting{Width: 5 * in, Height: 5 * in, Style: FlatPocket},
			Fitting{Width: 13 * cm, Height: 13 * cm, Style: FlatPocket}),
		Settle: func(f *Fitting, _ length.Length, unit length.Unit) {
			if f.Style == "" {
				f.Style = FlatPocket
			}
			if f.Slots > 0 && f.Slot == 0 {
				f.Slot = usualIn(unit).slot
			}
		}})
	FittingKinds.Add("strap", FittingRules{Reads: []string{"length", "width", "tape"}, Padded: true, Settle: pair,
		Begins: begins(Fitting{Length: 22 * in, Width: 2 * in, Count: 1},
			Fitting{Length: 55 * cm, Width: 5 * cm, Count: 1})})
	FittingKinds.Add("belt", FittingRules{Reads: []string{"length", "width", "tape"}, Padded: true,
		Begins: begins(Fitting{Length: 18 * in, Short: 6 * in, Width: 2 * in, Tape: imperial.tape},
			Fitting{Length: 45 * cm, Short: 15 * cm, Width: 5 * cm, Tape: metric.tape}),
		Settle: func(f *Fitting, step length.Length, unit length.Unit) {
			if f.Short == 0 && step > 0 { // belts come in pairs of which the short one is a third as long
				f.Short = (f.Length / 3).Ceil(step)
			}
			tapeOf(f, unit)
		}})
	FittingKinds.Add("slit", FittingRules{Reads: []string{"length"},
		Begins: begins(Fitting{Length: 4 * in}, Fitting{Length: 10 * cm})})
	FittingKinds.Add("loop", FittingRules{Reads: []string{"length", "width"},
		Begins: begins(Fitting{Length: 3 * in, Width: in, Count: 1},
			Fitting{Length: 8 * cm, Width: 25 * mm, Count: 1})})
	FittingKinds.Add("tape", FittingRules{Reads: []string{"length", "width"},
		Begins: begins(Fitting{Length: 4 * in, Width: 3 * in / 4, Count: 1},
			Fitting{Length: 10 * cm, Width: 2 * cm, Count: 1})})
	FittingKinds.Add("button",
		FittingRules{Reads: []string{"width"},
			Begins: begins(Fitting{Width: 3 * in / 4, Count: 1}, Fitting{Width: 2 * cm, Count: 1})})
	FittingKinds.Add("label", FittingRules{Reads: []string{"width", "height"},
		Begins: begins(Fitting{Width: 2 * in, Height: in},
			Fitting{Width: 5 * cm, Height: 25 * mm})})
	FittingKinds.Add("zip-pull", FittingRules{})
}

// Values are the words for kinds of fittings.
func (FittingKind) Values() []string { return FittingKinds.Names() }

// fittingsIn are fittings as they begin in a unit, one of each kind that is offered.
func fittingsIn(unit length.Unit) []Fitting {
	var out []Fitting
	for _, name := range FittingKinds.Names() {
		if k, _ := FittingKinds.Of(name); k.Begins != nil {
			f := k.Begins(unit)
			f.Kind = FittingKind(name)
			out = append(out, f)
		}
	}
	return out
}

// settle completes a fitting by its kind.
func (f Fitting) settle(step length.Length, unit length.Unit) Fitting {
	if k, known := FittingKinds.Of(string(f.Kind)); known && k.Settle != nil {
		k.Settle(&f, step, unit)
	}
	if f.Layers != nil {
		l := f.Layers.settle(false, usualIn(unit))
		f.Layers = &l
	}
	return f
}
