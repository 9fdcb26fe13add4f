package work

import (
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/sum"
)

// Thread per length of seam: a lockstitch takes about two and a half times the
// seam, a satin stitch about seven times. From memory of sewing-thread
// handbooks, not checked against one.
const (
	lockstitch  = 2.5
	denseZigzag = 7.0
)

// seamNames are the seams of a face, in the order they are sewn.
var seamNames = []struct {
	kind front.SeamKind
	name string
}{{front.InBlock, "seams in the blocks"}, {front.InBand, "seams in the rows"}, {front.Between, "seams between rows"},
	{front.Pieced, "seams in the borders"}, {front.Round, "borders"}, {front.Stacked, "seams between parts"}}

// seams adds the seams of a face up by kind.
func seams(f front.Face, add func(name string, seam length.Length)) {
	for _, k := range seamNames {
		total := length.Length(0)
		for _, seam := range f.Seams {
			if seam.Kind == k.kind {
				total += seam.Sewn
			}
		}
		if total > 0 {
			add(k.name, total)
		}
	}
}

// Thread is the sewing thread a cover takes, top and bobbin together.
func Thread(o Order) sum.Sum {
	var s sum.Sum
	sewn := func(name string, seam length.Length, factor float64) {
		s = s.Plus(sum.Part, name, length.FromFloat(seam.Float()*factor))
	}
	f := o.Face
	seams(f, func(name string, seam length.Length) { sewn(name, seam, lockstitch) })
	sewn("quilting", o.Pattern.Seam, lockstitch)
	if o.Borders.Seam > 0 {
		sewn("quilting of the borders", o.Borders.Seam, lockstitch)
	}
	trimmed := o.Chain.Trimmed
	for _, t := range o.Back.Sewn {
		sewn(t.Name+", back", t.Amount, lockstitch)
	}
	round := 2 * (trimmed.Width.Total() + trimmed.Height.Total())
	sewn("round the cover", round, lockstitch)
	if o.Plan.Edges.Inside == "zigzag" {
		sewn("zigzag inside", round, denseZigzag)
	}
	return s
}
