package front

import (
	"fmt"
	"slices"
	"strings"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// stack is faces above each other, each with a height of its own, sewn together from
// the top. The first and the last take up what quilting and trimming need.
func stack(o Order) (Face, finding.List) {
	var found finding.List
	text := o.Style.Text
	if len(o.Face.Parts) == 0 {
		found.Add(finding.Stop, "stack-empty", o.Path+"/parts", "No sections are there yet.",
			fmt.Sprintf("Add sections whose heights make %s.", text(o.Finished.Height.Total())))
		return Face{}, found
	}
	want := o.Finished.Height.Total()
	above, below := grow(o.Top.Height, o.Trimmed.Height, o.Held.Top, o.Held.Bottom)
	o.Face.Parts = slices.Clone(o.Face.Parts)
	for i := range o.Face.Parts { // given as they are cut, those at the rim lose what is trimmed off and taken
		h := &o.Face.Parts[i].Height
		if h.Cut != 0 && i == 0 {
			h.Width -= above
		}
		if h.Cut != 0 && i == len(o.Face.Parts)-1 {
			h.Width -= below
		}
		if said := allSeams(o, fmt.Sprintf("/parts/%d/height", i), *h, h.Width); said != nil {
			return Face{}, said
		}
	}
	o.Face = o.Face.Filled(o.Finished.Width.Total(), want)
	whole, least := length.Length(0), length.Length(1)
	for _, p := range o.Face.Parts {
		whole, least = whole+p.Height.Width, min(least, p.Height.Width)
	}
	if least <= 0 {
		found.Add(finding.Stop, "stack-does-not-fill", o.Path+"/parts",
			fmt.Sprintf("The front finishes %s high, and nothing is left for a section that takes the rest.", text(want)),
			"Remove a section, or make the others lower.")
		return Face{}, found
	}
	off := want - whole
	if off.Abs() > length.Close {
		last := o.Face.Parts[len(o.Face.Parts)-1].Height.Width + off
		remedy := "Remove a section, or make them lower."
		if last > 0 {
			remedy = fmt.Sprintf("A last section of %s fills it.", text(last))
		}
		found.Add(finding.Stop, "stack-does-not-fill", o.Path+"/parts",
			fmt.Sprintf("The sections make %s; the front finishes %s high.", text(whole), text(want)), remedy)
		return Face{}, found
	}
	f := Face{}
	at := length.Length(0)
	var shows, sewn, wide sum.Sum
	for i, p := range o.Face.Parts {
		shows = shows.Plus(sum.Part, fmt.Sprintf("section %d", i+1), p.Height.Width)
		if i == len(o.Face.Parts)-1 {
			shows = closed(shows, off)
			p.Height.Width += off
		}
		if p.Overhang >= o.Finished.Width.Total() {
			found.Add(finding.Stop, "out-of-range", fmt.Sprintf("%s/parts/%d/overhang", o.Path, i),
				fmt.Sprintf("Section %d is longer than its place by %s in all, as much as the %s it has to cover.", i+1,
					text(p.Overhang),
					text(o.Finished.Width.Total())), "Type what is trimmed off at both ends together, an inch or so.")
			found[len(found)-1].Nearest = o.Style.Plain((o.Finished.Width.Total() / 8).Ceil(o.Step))
			return Face{}, found
		}
		sub := o.partOf(i, p, above, below)
		built, said := Build(sub)
		if found = append(found, said...); said.Stopped() {
			return Face{}, found
		}
		built.stand(p.Overhang, o.Finished.Width.Total())
		f.stands(i, p.Overhang, built.Standing)
		f.add(built, i, sub.In, at)
		for _, p := range built.Applied {
			f.Applied = append(f.Applied, p.Lower(at, o.Finished.Height.Total()))
		}
		f.worked(built, sub.In)
		sewn = sewn.Plus(sum.Part, fmt.Sprintf("section %d as sewn, less its seams", i+1),
			built.Sewn.Height.Total()-2*o.Seam)
		if is := squaredUp(built.Sewn.Width, p.Overhang); len(wide) == 0 || is.Total() < wide.Total() {
			wide = is // wider ones are centred and squared up
		}
		at += p.Height.Width
		if i > 0 {
			y := (at - p.Height.Width).Float()
			f.seam(Seam{Kind: Stacked, Group: Group{In: o.In, Kind: Stacked, No: i}, X1: o.Finished.Width.Total().
				Float(), Y1: y, Y2: y, Sewn: built.Sewn.Width.Total(), Left: -1, Right: -1})
		}
	}
	f.Finished = sum.Size{Width: o.Finished.Width, Height: shows}
	f.Sewn = sum.Size{Width: wide, Height: sewn.Between(sum.Seam, "seam allowance", o.Seam)}
	return f, found
}

// partOf is the order of one part of a stack.
func (o Order) partOf(i int, p plan.Part, above, below length.Length) Order {
	sub := o
	sub.Face, sub.Path, sub.In = p.Face, fmt.Sprintf("%s/parts/%d/face", o.Path, i), p.Key
	sub.Centre = plan.Sized{} // measured of a face that is alone
	sub.AsCut = p.Height.Cut != 0
	stands := func(s sum.Sum) sum.Sum { return s.Between(sum.Squaring, "stands out, squared up later", p.Overhang/2) }
	if p.Overhang > 0 {
		sub.Finished.Width, sub.Trimmed.Width = stands(sub.Finished.Width), stands(sub.Trimmed.Width)
		sub.Top.Width = stands(sub.Top.Width)
	}
	sub.Held.Top, sub.Held.Bottom = o.Held.Top || i > 0, o.Held.Bottom || i < len(o.Face.Parts)-1
	sub.Finished.Height = sum.Of(sum.Part, "height of the section", p.Height.Width)
	sub.Trimmed.Height = sum.Of(sum.Seam, "seam allowance", o.edge(sub.Held.Top)).Then(sub.Finished.Height).
		Plus(sum.Seam, "seam allowance", o.edge(sub.Held.Bottom))
	top := sub.Trimmed.Height
	for _, g := range []struct {
		held bool
		by   length.Length
	}{{sub.Held.Top, above}, {sub.Held.Bottom, below}} {
		if !g.held && g.by > 0 {
			margin := min(o.Margin, g.by)
			top = top.Plus(sum.Squaring, "trimmed off after quilting", margin).
				Plus(sum.TakeUp, "what quilting takes at this edge", g.by-margin)
		}
	}
	sub.Top.Height = top
	if sub.Held.Top && !o.Held.Top {
		sub.Above = o.Seam
	}
	return sub
}

// squaredUp is a width of a part without what it stands out.
func squaredUp(s sum.Sum, by length.Length) sum.Sum {
	if by == 0 {
		return s
	}
	return s.Plus(sum.Squaring, "squared up", -by/2*2)
}

// stands keeps that a part stands out, and those of a stack within it that do.
func (f *Face) stands(i int, by length.Length, within []Standing) {
	name := fmt.Sprintf("section %d", i+1)
	if by > 0 {
		f.Standing = append(f.Standing, Standing{Name: name, By: by})
	}
	for _, s := range within {
		f.Standing = append(f.Standing, Standing{Name: s.Name + " of " + name, By: s.By})
	}
}

// stand centres a part that is longer than its place on a face so wide.
func (f *Face) stand(by, whole length.Length) {
	if by == 0 {
		return
	}
	x := -(by / 2).Float()
	for i, c := range f.Cells {
		c.X -= by / 2
		if c.Line != nil {
			c = polygon(c, moved(x, 0), c.Line)
		}
		f.Cells[i] = c
	}
	for i := range f.Seams {
		f.Seams[i].X1, f.Seams[i].X2 = f.Seams[i].X1+x, f.Seams[i].X2+x
	}
	for i := range f.Corners {
		for k := range f.Corners[i] {
			f.Corners[i][k].X += x
		}
	}
	for i, p := range f.Applied {
		f.Applied[i] = p.Aside(-by/2, whole)
	}
}

// worked keeps a part, or the parts of a stack within it, that has steps of its own.
func (f *Face) worked(g Face, in ref.Key) {
	if g.Gather != nil || g.Windows != nil {
		f.Worked = append(f.Worked, Worked{In: in, Face: g})
	}
	f.Worked = append(f.Worked, g.Worked...)
}

// add is a part of a stack that begins at a height.
func (f *Face) add(g Face, i int, in ref.Key, at length.Length) {
	parts, bands, cells, rows := len(f.Parts), len(f.Bands), len(f.Cells), f.Rows
	grids, deepest := len(f.Grids), 1 // a part without rows counts as one
	for _, p := range g.Parts {
		p.Name, p.Paints = fmt.Sprintf("part.%d.%s", i+1, p.Name), fmt.Sprintf("/parts/%d/face%s", i, p.Paints)
		if p.In == "" {
			p.In = in
		}
		p.Title = fmt.Sprintf("Section %d: %s", i+1, lower(p.Title))
		f.Parts = append(f.Parts, p)
	}
	for _, c := range g.Cells {
		c.Part += parts
		c.Y += at
		if c.Row > 0 {
			deepest = max(deepest, c.Row)
			c.Row += rows
		}
		if c.Band > 0 {
			c.Band += bands
		}
		if c.Line != nil {
			c = polygon(c, moved(0, at.Float()), c.Line)
		}
		f.Cells = append(f.Cells, c)
	}
	for _, c := range g.Corners {
		for i := range c {
			c[i].Y += at.Float()
		}
		f.Corners = append(f.Corners, c)
	}
	for _, b := range g.Bands {
		b.Number += bands
		b.Group += grids
		f.Bands = append(f.Bands, b)
	}
	for _, s := range g.Seams {
		s.Y1 += at.Float()
		s.Y2 += at.Float()
		if s.Band > 0 || s.Kind == InBand {
			s.Band += bands
		}
		if s.Left >= 0 {
			s.Left += cells
		}
		if s.Right >= 0 {
			s.Right += cells
		}
		f.Seams = append(f.Seams, s)
	}
	f.Grids = append(f.Grids, g.Grids...)
	for _, a := range g.Kinds {
		f.Kinds = append(f.Kinds, a.moved(len(f.Units), parts))
	}
	f.Units = append(f.Units, g.Units...)
	f.Sets = append(f.Sets, g.Sets...)
	f.Found = append(f.Found, g.Found...)
	f.Rings = max(f.Rings, g.Rings)
	f.Rows += deepest
	f.Columns = max(f.Columns, g.Columns)
}

func lower(title string) string {
	if title == "" {
		return title
	}
	return strings.ToLower(title[:1]) + title[1:]
}
