// Package layers knows what lies under a face and what quilting does to it: the
// oversize a panel is cut with, so that it can be trimmed square to its size
// after quilting has pulled it in.
package layers

import (
	"slices"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sample"
	"umschlag/core/sum"
)

// Chain is one panel from its trimmed size outwards.
type Chain struct {
	// Trimmed size, with seam allowances: what is joined to other pieces.
	Trimmed sum.Size
	// Top before quilting: trimmed, plus the margin, over what quilting leaves.
	Top sum.Size
	// Under is the size of batting and lining; empty without either. Padding is that of the
	// batting, where it stands out by another measure.
	Under, Padding sum.Size
	// Margin on each side, trimmed after quilting.
	Margin length.Length
	// TakeUp planned with.
	TakeUp TakeUp
	// Batting, nil without; Lining and Stiffener, empty without; Grid, a fusible grid behind the batting, or behind
	// the top where there is none.
	Batting           *plan.Batting
	Lining, Stiffener string
	Grid, Web         bool
	// Thick is how thick the stack is with its face.
	Thick length.Length
	// Apart is nil where what is quilted is quilted over all of it alike.
	Apart *Apart
}

// Thicknesses of what is not batting, in nanometres. Common practice, of quilting cotton.
const (
	outerThick     length.Length = 400_000
	liningThick    length.Length = 300_000
	stiffenerThick length.Length = 500_000
	gridThick      length.Length = 100_000
)

// Thick is how thick a stack is with a face of one cloth.
func Thick(l *plan.Layers) length.Length {
	t := outerThick
	if l == nil {
		return t
	}
	if l.Batting != nil {
		t += l.Batting.Loft.Times(l.Batting.Count)
	}
	if l.Lining != "" {
		t += liningThick
	}
	if l.Stiffener != "" {
		t += stiffenerThick
	}
	if l.Grid {
		t += gridThick
	}
	return t
}

// Beyond is how much thicker something is than of ordinary cloth: by the thickest of the cloths it is cut from.
func Beyond(p plan.Plan, letters ...string) length.Length {
	most := length.Length(0)
	for _, letter := range letters {
		c, described := p.Cloths[letter]
		switch {
		case described && c.Kind == plan.QuiltedCloth:
			most = max(most, c.Settle().Loft-outerThick)
		case described:
			most = max(most, c.Weight.Rules().Thick-outerThick)
		}
	}
	return most
}

// QuiltedAlready reports whether any of the cloths is quilted already.
func QuiltedAlready(p plan.Plan, letters ...string) bool {
	return slices.ContainsFunc(letters, func(letter string) bool { return p.Cloths[letter].Kind == plan.QuiltedCloth })
}

// Order is what a chain is made for.
type Order struct {
	// Path is where the piece stands in the plan.
	Path string
	// Piece as it is settled, and the size its panel is trimmed to.
	Piece   plan.Piece
	Trimmed sum.Size
	// Inside is what finishes inside borders, across and up, Seam what they are sewn on with; 0 where there are none.
	Inside  [2]length.Length
	Seam    length.Length
	Step    length.Length
	Samples sample.Shelf
}

// Of is the chain of a piece.
func Of(o Order) (Chain, finding.List) {
	q := o.Piece
	c := Chain{Trimmed: o.Trimmed, Margin: q.Margin(), Apart: o.apart()}
	t, found := takeUp(o)
	if !q.Quilted() {
		t = TakeUp{}
	}
	c.TakeUp = t
	c.Top = c.flat()
	if q.Quilted() && (q.Layers == nil || q.Layers.Batting == nil || q.Layers.Batting.Count == 0) {
		found.Add(finding.Note, "no-batting", o.Path+"/layers",
			"Lines of quilting without batting hold the layers, but puff nothing and pull in nothing.", "")
	}
	c.under(q.Layers, o.Step)
	if c.Grid && !c.Guided() {
		found.Add(finding.Warn, "grid-hidden", o.Path+"/layers/grid",
			"The lining hides the grid: its lines cannot be followed from the back.",
			"Quilt along drawn lines, or leave the lining out.")
	}
	return c, found
}

// SewnAs is the chain of a top that came out otherwise than planned and was
// accepted: trimmed to what it allows.
func (c Chain) SewnAs(trimmed, top sum.Size, l *plan.Layers, step length.Length) Chain {
	c.Trimmed, c.Top, c.Under, c.Padding = trimmed, top, sum.Size{}, sum.Size{}
	c.under(l, step)
	return c
}

// under sizes batting and lining; a settled stack says how far they stand out.
func (c *Chain) under(l *plan.Layers, step length.Length) {
	c.Thick = Thick(l)
	if l == nil {
		return
	}
	c.Stiffener, c.Grid, c.Web = l.Stiffener, l.Grid, l.Web
	if l.Batting != nil && l.Batting.Count > 0 {
		c.Batting = l.Batting
	}
	c.Lining = l.Lining
	if (c.Batting != nil || c.Lining != "") && l.Overhang != nil {
		c.Under = c.Top.Between(sum.Overhang, "overhang", *l.Overhang).UpTo(step)
		c.Padding = c.Under
		if c.Batting != nil && c.Batting.Overhang != nil {
			c.Padding = c.Top.Between(sum.Overhang, "overhang of the batting", *c.Batting.Overhang).UpTo(step)
		}
	}
}

// Guided reports whether the lines of a grid guide the quilting: they are seen from the back, where no lining hides
// them.
func (c Chain) Guided() bool { return c.Grid && c.Lining == "" }

// StandsOut reports whether batting or lining is larger than the top.
func (c Chain) StandsOut() bool {
	larger := func(s sum.Size) bool { return len(s.Width) > 0 && s.Width.Total() > c.Top.Width.Total() }
	return larger(c.Under) || larger(c.Padding)
}
