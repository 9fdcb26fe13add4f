package plan

import (
	"math"
	"slices"

	"umschlag/core/length"
)

// A size that is decided as it is cut is kept as it was given; what it finishes follows from the seams at its sides,
// and nothing that is trimmed or taken up later makes it larger.

// seams are what a face has at its sides: within it, round it, and where it is held by its neighbours in a stack.
type seams struct {
	piecing, round length.Length
	above, below   bool
}

// level is the seam at the upper and the lower side of a face.
func (s seams) level() (top, bottom length.Length) {
	top, bottom = s.round, s.round
	if s.above {
		top = s.piecing
	}
	if s.below {
		bottom = s.piecing
	}
	return top, bottom
}

// finished is a face with what its parts finish that are decided as they are cut. What a quilted outermost part loses
// to quilting is known only where it is made.
func (f Face) finished(s seams) Face {
	two := 2 * s.piecing
	if f.Patch.WidthCut != 0 {
		f.Patch.Width = f.Patch.WidthCut - two
	}
	if f.Patch.HeightCut != 0 {
		f.Patch.Height = f.Patch.HeightCut - two
	}
	if f.Sash != nil && f.Sash.WidthCut != 0 {
		sash := *f.Sash
		sash.Width = sash.WidthCut - two
		f.Sash = &sash
	}
	f.Borders = slices.Clone(f.Borders)
	for i := range f.Borders {
		outer := s.piecing
		if i == len(f.Borders)-1 {
			outer = s.round // where a part of a stack is held its strips are cut narrower
		}
		f.Borders[i].Width = f.Borders[i].Width.less(s.piecing + outer)
	}
	f.Strips = slices.Clone(f.Strips)
	first, last := s.level()
	if f.Direction == AlongWay {
		first, last = s.round, s.round
	}
	for i := range f.Strips {
		f.Strips[i].Width = f.Strips[i].Width.less(s.sides(i, len(f.Strips), first, last))
	}
	f.Parts = slices.Clone(f.Parts)
	first, last = s.level()
	for i, part := range f.Parts {
		f.Parts[i].Height = part.Height.less(s.sides(i, len(f.Parts), first, last))
		f.Parts[i].Face = part.Face.finished(seams{piecing: s.piecing, round: s.round, above: s.above || i > 0,
			below: s.below || i < len(f.Parts)-1})
	}
	f.Colourways = slices.Clone(f.Colourways)
	for i := range f.Colourways {
		f.Colourways[i].Face = f.Colourways[i].Face.finished(s)
	}
	return f
}

// sides are the two seams of the i-th of n parts, of which the first and the last lie at the rim.
func (s seams) sides(i, n int, first, last length.Length) length.Length {
	before, after := s.piecing, s.piecing
	if i == 0 {
		before = first
	}
	if i == n-1 {
		after = last
	}
	return before + after
}

// AsCut is a patch of the same size given as it is cut.
func (p Patch) AsCut(piecing length.Length) Patch {
	out := Patch{WidthCut: p.Width + 2*piecing}
	if p.Height != 0 {
		out.HeightCut = p.Height + 2*piecing
	}
	return out
}

// less is what an extent finishes that is given as it is cut.
func (e Extent) less(seams length.Length) Extent {
	if e.Cut != 0 {
		e.Width = e.Cut - seams
	}
	return e
}

// settled are flaps with the depth they finish: cut double where they are folded, with a hem where they are flipped.
// Those that are turned in are not cut by themselves.
func (f Flaps) settled(seam length.Length) Flaps {
	of := func(cut, depth length.Length) length.Length {
		switch {
		case cut == 0 || f.Style == TurnedIn:
			return depth
		case f.Style == Flipped:
			return cut - seam - f.Hem
		}
		return (cut - 2*seam) / 2
	}
	f.Depth.Front, f.Depth.Back = of(f.Depth.FrontCut, f.Depth.Front), of(f.Depth.BackCut, f.Depth.Back)
	return f
}

// Turn is the way round a fore-edge of a book: a quarter of a circle round board and layers.
func Turn(p Plan) length.Length {
	return length.FromFloat(math.Pi / 2 * (p.Object.Thickness + p.Cover.Bulk).Float())
}

// sizedAxis is one direction of a cover that may be decided by its size.
type sizedAxis struct {
	key  string
	size *Size
	ease *length.Length
	// measured is the object with all that is added to it beside the ease, before washing; seams what a cut has beyond
	// the finished size, and beyond what is finished beside it after washing.
	measured, seams, beyond length.Length
}

// sizedAxes are those of a settled cover.
func sizedAxes(p *Plan) []sizedAxis {
	o, c := p.Object, &p.Cover
	seams := 2 * c.Seam
	own := length.Length(0)
	if o.Edge == SeamIncluded {
		own = seams
	}
	high, foot := o.Height, seams
	if o.Kind == Box { // open at the bottom
		if foot = c.Seam; c.Bottom.Finish == "hem" {
			foot += c.Bottom.Width
		}
	}
	wrap := o.Wrap
	if wrap == 0 {
		wrap = 2*o.Board + o.Spine
	}
	deep := o.Depth
	if o.Kind != Box {
		deep = o.Thickness
	}
	bulk, out := 2*c.Bulk, o.SticksOut
	return []sizedAxis{
		{"width", &c.Size.Width, &c.Ease.Width, o.Width + out.Width - own + bulk, seams, 2 * c.Flange},
		{"height", &c.Size.Height, &c.Ease.Height, high + out.Height - own + bulk, foot, 2 * c.Flange},
		{"length", &c.Size.Length, &c.Ease.Length, o.Length + out.Length + bulk, seams, 0},
		{"depth", &c.Size.Depth, &c.Ease.Depth, deep + out.Depth + bulk, seams, 0},
		{"wrap", &c.Size.Wrap, &c.Ease.Wrap, wrap + out.Wrap + 2*Turn(*p), seams, 0},
	}
}

// bySize gives a cover the ease that its sizes leave.
func bySize(p Plan) Plan {
	for _, a := range sizedAxes(&p) {
		if is, given := a.finished(); given {
			before := length.FromFloat((is - a.beyond).Float() * (1 - p.Cover.Wash/100))
			*a.ease = before - a.measured
		}
	}
	return p
}

// finished is the size that an axis is decided to finish; given is false where it follows from its ease.
func (a sizedAxis) finished() (is length.Length, given bool) {
	if a.size.Cut != 0 {
		return a.size.Cut - a.seams, true
	}
	return a.size.Finished, a.size.Finished != 0
}

// Finishes is what a settled cover finishes along an axis, flange and all; ok is false where it has none of the name.
func Finishes(p Plan, axis string) (is length.Length, ok bool) {
	for _, a := range sizedAxes(&p) {
		if a.key == axis {
			return length.FromFloat((a.measured+*a.ease).Float()/(1-p.Cover.Wash/100)) + a.beyond, true
		}
	}
	return 0, false
}

// SizesOf are the sizes that a settled cover finishes along its axes, as if they were decided.
func SizesOf(p Plan) Sizes {
	var out Plan
	reads := CoverAxes(p)
	for i, a := range sizedAxes(&p) {
		if slices.Contains(reads, a.key) {
			is, _ := Finishes(p, a.key)
			sizedAxes(&out)[i].size.Finished = is
		}
	}
	return out.Cover.Size
}

// On is the length along an axis, to be changed; nil along one of another name.
func (a *Axes) On(axis string) *length.Length {
	return map[string]*length.Length{"width": &a.Width, "height": &a.Height, "length": &a.Length, "depth": &a.Depth,
		"wrap": &a.Wrap}[axis]
}

// On is the size along an axis, to be changed; nil along one of another name.
func (s *Sizes) On(axis string) *Size {
	return map[string]*Size{"width": &s.Width, "height": &s.Height, "length": &s.Length, "depth": &s.Depth,
		"wrap": &s.Wrap}[axis]
}

// CoverAxes are the axes along which a cover has a size.
func CoverAxes(p Plan) []string {
	switch {
	case p.Object.Kind == Box:
		return []string{"length", "depth", "height"}
	case p.Object.Kind == Book:
		return []string{"wrap", "height"}
	}
	out := []string{"width"}
	if !p.Object.Round() {
		out = append(out, "height")
	}
	if p.Cover.Rules().Thick {
		out = append(out, "depth")
	}
	return out
}

// SizeOf is the finished size that a settled plan decides of its cover along an axis, flange and all; given is false
// where it follows from the object and its ease.
func SizeOf(p Plan, axis string) (is length.Length, given bool) {
	for _, a := range sizedAxes(&p) {
		if a.key == axis {
			return a.finished()
		}
	}
	return 0, false
}
