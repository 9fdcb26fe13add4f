package work

import (
	"slices"

	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Thread per length of seam: a lockstitch takes about two and a half times the
// seam, a dense zigzag about seven times. From memory of sewing-thread
// handbooks, not checked against one.
const (
	lockstitch  = 2.5
	denseZigzag = 7.0
)

// Thread is the sewing thread a cover takes, top and bobbin together.
func Thread(o Order) sum.Sum {
	var s sum.Sum
	sewn := func(name string, seam length.Length, factor float64) {
		s = s.Plus(sum.Part, name, length.FromFloat(seam.Float()*factor))
	}
	f := o.Face
	width, height := f.Sewn.Width.Total(), f.Sewn.Height.Total()
	if i := slices.IndexFunc(f.Parts, func(p front.Part) bool { return p.Role == front.Patch }); i >= 0 {
		patch := f.Parts[i].Size // all patches of a grid are alike
		sewn("seams in the rows", patch.Height.Total().Times(f.Rows*(f.Columns-1)), lockstitch)
		sewn("seams between rows", patch.Width.Total().Times(f.Columns*(f.Rows-1)), lockstitch)
	}
	for _, p := range f.Parts {
		switch p.Role {
		case front.BorderEnd:
			sewn("border sides", p.Size.Height.Total().Times(p.Count), lockstitch)
		case front.BorderRun:
			sewn("border top and bottom", p.Size.Width.Total().Times(p.Count), lockstitch)
		}
	}
	sewn("quilting", quilted(o.Plan.Piece("front"), width, height), lockstitch)
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

// quilted is the length of all quilting lines: area over pitch, for each family.
func quilted(q plan.Piece, width, height length.Length) length.Length {
	if !q.Quilted() {
		return 0
	}
	var total float64
	for _, f := range q.Quilting.Lines {
		each := width.Float() * height.Float() / f.Pitch.Float()
		if q.Quilting.Pair > 0 {
			each *= 2
		}
		total += each
	}
	return length.FromFloat(total)
}
