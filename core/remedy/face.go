package remedy

import (
	"cmp"
	"fmt"
	"maps"
	"slices"

	"umschlag/core/begin"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// place is a face of a plan: of an entry of its pieces, or of a part of a stack there, by the
// numbers of the parts from outside.
type place struct {
	entry string
	parts string
}

// faces visits every face of a plan with its path, those of an entry before the parts within them.
func faces(p plan.Plan, visit func(path string, at place, f *plan.Face)) {
	for _, name := range slices.Sorted(maps.Keys(p.Pieces)) {
		if f := p.Pieces[name].Face; f != nil {
			within("/pieces/"+name+"/face", place{entry: name}, f, visit)
		}
	}
}

func within(path string, at place, f *plan.Face, visit func(string, place, *plan.Face)) {
	visit(path, at, f)
	for i := range f.Parts {
		within(fmt.Sprintf("%s/parts/%d/face", path, i), place{at.entry, fmt.Sprintf("%s/parts/%d/face", at.parts, i)},
			&f.Parts[i].Face, visit)
	}
}

// placeOf is the innermost face that a path of a finding lies in.
func placeOf(p plan.Plan, about string) place {
	var out place
	faces(p, func(path string, at place, _ *plan.Face) {
		if finding.Within(about, path) {
			out = at
		}
	})
	return out
}

// face changes the face that the finding is about.
func (s *sifter) face(text string, do func(*plan.Face)) bool {
	return s.change(text, func(p *plan.Plan) { at(*p, placeOf(*p, s.about.About), do) })
}

func at(p plan.Plan, where place, do func(*plan.Face)) {
	faces(p, func(_ string, here place, f *plan.Face) {
		if here == where {
			do(f)
		}
	})
}

// now is the face that the finding is about.
func (s *sifter) now() plan.Face {
	var out plan.Face
	at(s.plan, placeOf(s.plan, s.about.About), func(f *plan.Face) { out = *f })
	return out
}

// settledFace is the same with every default.
func settledFace(s *sifter) plan.Face {
	var out plan.Face
	settled := s.plan.Settle()
	at(settled, placeOf(settled, s.about.About), func(f *plan.Face) { out = *f })
	return out
}

// room is the finished size that the face has to fill, as planned, and the name its piece is decided under.
func (s *sifter) room() (w, h length.Length, config string, ok bool) {
	where := placeOf(s.plan, s.about.About)
	c, _ := cover.Pieces(s.plan.Settle())
	for _, piece := range c.Pieces {
		if piece.Config == where.entry || where.entry == plan.Common {
			w, h = piece.Finished.Width.Total(), piece.Finished.Height.Total()
			f := s.plan.Settle().Piece(piece.Config).Face
			parts, _ := plan.PartsOf(where.parts)
			for _, i := range parts {
				filled := f.Filled(w, h)
				f, h = &filled.Parts[i].Face, filled.Parts[i].Height.Width
			}
			return w, h, piece.Config, h > 0
		}
	}
	return 0, 0, "", false
}

// fill offers what makes a grid fill its face: both ways at once.
func fill(s *sifter) {
	f := s.now()
	style := s.plan.Style()
	if f.Kind == plan.FoundFace { // it is as large as it is
		offerAsLarge(s, settledFace(s))
		return
	}
	s.face("Solve the patches, so that they fill it", func(f *plan.Face) { f.Patch = plan.Patch{Fit: true} })
	if len(f.Borders) == 0 {
		s.face("Put a border round it that takes the rest", func(f *plan.Face) {
			f.Borders = []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: first(f.Cloths, f.Cloth)}}
		})
	} else {
		s.face("Let the outermost border take the rest", func(f *plan.Face) {
			for i := range f.Borders {
				f.Borders[i].Width.Rest = i == len(f.Borders)-1
			}
		})
	}
	offerCounts(s, f)
	offerOuterSashes(s, f)
	offerFollowing(s, f)
	offerOverhang(s, f, style)
	offerSashes(s, f, style)
	offerPatches(s, f, style)
	if len(f.Borders) > 0 {
		s.face("Solve the patches and take the borders off",
			func(f *plan.Face) { f.Borders, f.Patch = nil, plan.Patch{Fit: true} })
	}
	if len(s.offers) == 0 {
		fewer(s)
		plainFace(s)
	}
}

// offerOverhang offers to trim off what is too much: of the patches as they are, or of the next larger ones on the
// ruler.
func offerOverhang(s *sifter, f plan.Face, style length.Style) {
	w, h, _, ok := s.room()
	step := s.plan.Settle().Habits.Step
	if !ok || f.Columns < 1 || f.Rows < 1 || step <= 0 {
		return
	}
	s.face("Trim off what is too much, alike all round", func(f *plan.Face) { f.Overhang = true })
	if f.Sash == nil {
		pw, ph := w.Div(f.Columns).Ceil(step), h.Div(f.Rows).Ceil(step)
		s.face(fmt.Sprintf("Patches of %s × %s, and what is too much trimmed off all round", style.Text(pw),
			style.Text(ph)), func(f *plan.Face) { f.Patch, f.Overhang = plan.Patch{Width: pw, Height: ph}, true })
	}
}

// offerSashes offers sashes on the ruler that take up what patches and borders leave both ways: between the patches, or
// round them as well.
func offerSashes(s *sifter, f plan.Face, style length.Style) {
	w, h, _, ok := s.room()
	step := s.plan.Settle().Habits.Step
	if !ok || f.Sash == nil || f.Columns < 1 || f.Rows < 1 {
		return
	}
	set := settledFace(s)
	for _, b := range set.Borders {
		w, h = w-2*b.Width.Width, h-2*b.Width.Width
	}
	for _, outside := range []bool{f.Sash.Outside, !f.Sash.Outside} {
		gaps, say := -1, "Sashing of %s, between the patches alone"
		if outside {
			gaps, say = 1, "Sashing of %s, round the patches as well"
		}
		if f.Columns+gaps < 1 || f.Rows+gaps < 1 {
			continue
		}
		across := (w - set.Patch.Width.Times(f.Columns)).Div(f.Columns + gaps)
		down := (h - set.Patch.Height.Times(f.Rows)).Div(f.Rows + gaps)
		if across <= 0 || across != down || !across.OnStep(step) {
			continue
		}
		s.face(fmt.Sprintf(say, style.Text(across)), func(f *plan.Face) {
			sash := *f.Sash
			sash.Width, sash.WidthCut, sash.Outside = across, 0, outside
			f.Sash = &sash
		})
	}
}

// first is the first cloth there is.
func first(cloths []string, one string) string {
	if len(cloths) > 0 {
		return cloths[0]
	}
	return one
}

// offerPatches offers patches on the ruler, smaller than what would fill it, with a border that takes
// the rest.
func offerPatches(s *sifter, f plan.Face, style length.Style) {
	w, h, _, ok := s.room()
	step := s.plan.Settle().Habits.Step
	if !ok || f.Columns < 1 || f.Rows < 1 || step <= 0 {
		return
	}
	square := f.Patch.Width == f.Patch.Height || f.Patch.Height == 0
	for k := range length.Length(2) {
		pw, ph := w.Div(f.Columns).Floor(step)-k*step, h.Div(f.Rows).Floor(step)-k*step
		if square {
			pw = min(pw, ph)
			ph = pw
		}
		if pw <= 0 || ph <= 0 {
			continue
		}
		s.face(fmt.Sprintf("Patches of %s × %s, and a border that takes the rest", style.Text(pw), style.Text(ph)),
			func(f *plan.Face) {
				f.Patch = plan.Patch{Width: pw, Height: ph}
				if len(f.Borders) == 0 {
					f.Borders = []plan.Border{{Cloth: first(f.Cloths, f.Cloth)}}
				}
				f.Borders = f.Borders[len(f.Borders)-1:]
				f.Borders[0].Width = plan.Extent{Rest: true}
			})
	}
}

// offerCounts offers other numbers of patches of the same size.
func offerCounts(s *sifter, f plan.Face) {
	for _, d := range [][2]int{{-1, 0}, {0, -1}, {-1, -1}, {1, 0}, {0, 1}, {1, 1}, {-1, 1}, {1, -1}} {
		c, r := f.Columns+d[0], f.Rows+d[1]
		if c > 0 && r > 0 {
			s.face(fmt.Sprintf("%d patches across and %d down", c, r), func(f *plan.Face) { f.Columns, f.Rows = c, r })
		}
	}
}

// offerAsLarge offers a cover as large as a found panel, without borders where they leave no room.
func offerAsLarge(s *sifter, f plan.Face) {
	for _, bare := range []bool{false, true} {
		across, down := f.Patch.Width, cmp.Or(f.Patch.Height, f.Patch.Width)
		and, says := nothing, ""
		if bare {
			says = ", without borders"
			and = func(p *plan.Plan) {
				at(*p, placeOf(*p, s.about.About), func(f *plan.Face) { f.Borders = nil })
			}
		} else {
			for _, b := range f.Borders {
				across, down = across+2*b.Width.Width, down+2*b.Width.Width
			}
		}
		follow(s, across, down, and, says)
	}
}

// offerOuterSashes offers a border of the cloth of the sashes instead of those round the patches, which takes the rest.
func offerOuterSashes(s *sifter, f plan.Face) {
	if f.Sash == nil || !f.Sash.Outside || len(f.Borders) > 0 {
		return
	}
	s.face("The sashing round the patches takes the rest, as a border of their fabric", func(f *plan.Face) {
		sash := *f.Sash
		sash.Outside = false
		f.Sash, f.Borders = &sash, []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: sash.Cloth}}
	})
}

// stacked offers what makes the parts of a stack fill it.
func stacked(s *sifter) {
	f := settledFace(s)
	_, whole, _, ok := s.room()
	if !ok {
		return
	}
	heights := make([]length.Length, len(f.Parts))
	for i, part := range f.Parts {
		heights[i] = part.Height.Width
	}
	off := s.filling(heights, whole, "Section %d: %s high", "Section %d takes the rest", "All sections in proportion",
		func(f *plan.Face, i int, e plan.Extent) { f.Parts[i].Height = e })
	if off > 0 || len(f.Parts) == 0 {
		s.face(fmt.Sprintf("One section more, %s high", s.plan.Style().Text(off)), func(f *plan.Face) {
			f.Parts = append(f.Parts,
				plan.Part{Height: plan.Extent{Width: off}, Face: plan.Face{Kind: plan.PlainFace, Cloth: s.cloth()}})
		})
	}
}

// filling offers what makes sizes side by side fill a whole: one of them takes what is missing or
// too much, the last first, or all of them do in proportion. It tells what is missing.
func (s *sifter) filling(sizes []length.Length, whole length.Length, one, rest, all string,
	set func(f *plan.Face, i int, e plan.Extent)) length.Length {
	sum, step := length.Length(0), max(s.plan.Settle().Habits.Step, 1)
	for _, l := range sizes {
		sum += l
	}
	off := whole - sum
	for i := len(sizes) - 1; i >= 0; i-- {
		if size := sizes[i] + off; size > 0 {
			s.face(fmt.Sprintf(one, i+1, s.plan.Style().Text(size)),
				func(f *plan.Face) { set(f, i, plan.Extent{Width: size}) })
			if i == len(sizes)-1 {
				s.face(fmt.Sprintf(rest, i+1), func(f *plan.Face) { set(f, i, plan.Extent{Rest: true}) })
			}
		}
	}
	if len(sizes) > 1 && sum > 0 {
		s.face(all, func(f *plan.Face) {
			left := whole
			for i, l := range sizes[:len(sizes)-1] {
				share := length.FromFloat(l.Float() * whole.Float() / sum.Float()).Floor(step)
				set(f, i, plan.Extent{Width: share})
				left -= share
			}
			set(f, len(sizes)-1, plan.Extent{Width: left})
		})
	}
	return off
}

// striped offers what makes strips fill their face.
func striped(s *sifter) {
	f := settledFace(s)
	w, h, _, ok := s.room()
	if !ok {
		return
	}
	whole := h
	if f.Direction == plan.AlongWay {
		whole = w
	}
	widths := make([]length.Length, len(f.Strips))
	for i, strip := range f.Strips {
		widths[i] = strip.Width.Width
	}
	off := s.filling(widths, whole, "Strip %d: %s wide", "Strip %d takes the rest", "All strips in proportion",
		func(f *plan.Face, i int, e plan.Extent) { f.Strips[i].Width = e })
	for i := range f.Strips {
		s.face(fmt.Sprintf("Without strip %d", i+1), func(f *plan.Face) { f.Strips = slices.Delete(f.Strips, i, i+1) })
	}
	if off > 0 {
		s.face(fmt.Sprintf("One strip more, %s wide", s.plan.Style().Text(off)),
			func(f *plan.Face) {
				f.Strips = append(f.Strips, plan.Strip{Width: plan.Extent{Width: off}, Cloth: s.cloth()})
			})
	}
}

// windowed offers folded windows that fit both ways.
func windowed(s *sifter) {
	entry := placeOf(s.plan, s.about.About).entry
	s.face("Units as large as fit", func(f *plan.Face) { f.Unit = 0 })
	s.change("No batting, lining or quilting behind the windows", func(p *plan.Plan) {
		q := p.Pieces[entry]
		q.Quilting, q.Layers, q.Squaring = nil, &plan.Layers{}, new(length.Length)
		p.Pieces[entry] = q
	})
	if w, h, config, ok := s.room(); ok {
		if begun, fine := begin.Face(s.plain(), config, "", plan.WindowsFace); fine {
			s.face(fmt.Sprintf("%d × %d windows", begun.Columns, begun.Rows),
				func(f *plan.Face) { f.Columns, f.Rows, f.Unit = begun.Columns, begun.Rows, 0 })
		}
		seam, style := s.plan.Settle().Cover.Seam, s.plan.Style()
		if unit := s.now().Unit; unit > 0 && (config == "front" || config == "face" || config == "top") {
			c, r := max(1, (w+2*seam+unit/2)/unit), max(1, (h+2*seam+unit/2)/unit)
			across, down := unit*c-2*seam, unit*r-2*seam
			ease := s.plan.Settle().Cover.Ease
			s.change(fmt.Sprintf("%d × %d units of %s: it finishes %s × %s", c, r, style.Text(unit), style.Text(across),
				style.Text(down)), func(p *plan.Plan) {
				p.Cover.Ease.Width, p.Cover.Ease.Height = ease.Width+across-w, ease.Height+down-h
				at(*p, placeOf(*p, s.about.About), func(f *plan.Face) { f.Columns, f.Rows = int(c), int(r) })
			})
		}
		counts := []int{1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12}
		typed := s.now().Columns
		slices.SortStableFunc(counts, func(a, b int) int { return max(a-typed, typed-a) - max(b-typed, typed-b) })
		for _, c := range counts {
			unit := (w + 2*seam).Div(c)
			if r := int((h + 2*seam) / unit); r > 0 && unit.Times(r) == h+2*seam {
				s.face(fmt.Sprintf("%d × %d windows", c, r), func(f *plan.Face) { f.Columns, f.Rows, f.Unit = c, r, 0 })
			}
		}
	}
	plainFace(s)
}

// plain is the plan with the face that the finding is about of one piece of cloth.
func (s *sifter) plain() plan.Plan {
	return s.with(func(p *plan.Plan) {
		at(*p, placeOf(*p, s.about.About),
			func(f *plan.Face) { *f = plan.Face{Kind: plan.PlainFace, Cloth: s.cloth()} })
	})
}

// cloth is the first cloth of the plan.
func (s *sifter) cloth() string {
	letters := slices.Sorted(maps.Keys(s.plan.Cloths))
	if len(letters) == 0 {
		return "A"
	}
	return letters[0]
}

// facePart offers a face without what its kind does not have.
func facePart(s *sifter) {
	without := "Without it"
	switch f := s.now(); {
	case (f.Kind == plan.GatheredFace || f.Kind == plan.WindowsFace) && len(f.Applique) > 0:
		without = "Without the shapes"
	case f.Pocket != "":
		without = "Without the pocket"
	}
	s.face(without, func(f *plan.Face) {
		switch f.Kind {
		case plan.GridFace:
			f.Pocket = ""
		case plan.GatheredFace, plan.WindowsFace:
			f.Applique = nil
			fallthrough
		default:
			f.Block, f.Sash, f.Set = plan.Block{}, nil, ""
			if f.Kind != plan.CheckerFace && f.Kind != plan.FoundFace {
				f.Borders = nil
			}
			if f.Kind != plan.PlainFace {
				f.Pocket = ""
			}
		}
	})
}

// blocks offers a grid without the block, the sash or the setting that do not go.
func blocks(s *sifter) {
	s.face("Without sashing", func(f *plan.Face) { f.Sash = nil })
	s.face("Set straight", func(f *plan.Face) { f.Set = plan.Straight })
	s.face("Square blocks, as large as fit", func(f *plan.Face) { f.Patch = plan.Patch{Fit: true} })
	s.face("Plain patches, without the block", func(f *plan.Face) { f.Block = plan.Block{} })
}

// plainFace offers one piece of cloth.
func plainFace(s *sifter) {
	s.face("One piece of fabric", func(f *plan.Face) {
		*f = f.Become(plan.Face{Kind: plan.PlainFace, Cloth: first(f.Cloths, f.Cloth)}, true)
	})
}

// gathers offers a ratio that gathers.
func gathers(s *sifter) {
	s.face("A ratio of 2", func(f *plan.Face) { f.Ratio, f.Sample, f.Sampled = 2, "", nil })
}

// shapes offers a place for a shape that has none.
func shapes(s *sifter) {
	var i int
	for i = range s.now().Applique {
		if finding.Within(s.about.About, fmt.Sprintf("%s/applique/%d", pathOf(s.plan, s.about.About), i)) {
			break
		}
	}
	one := func(do func(*plan.Shape)) func(*plan.Face) {
		return func(f *plan.Face) {
			if i < len(f.Applique) {
				do(&f.Applique[i])
			}
		}
	}
	s.face("Placed from the panel, in its middle", one(func(x *plan.Shape) { x.From, x.At = "", plan.At{Middle: true} }))
	s.face("In the middle", one(func(x *plan.Shape) { x.At = plan.At{Middle: true} }))
	s.face("As large as it begins", one(func(x *plan.Shape) { x.Width, x.Height = 0, 0 }))
	s.face("A square in its place", one(func(x *plan.Shape) { x.Shape, x.Width, x.Height = "square", 0, 0 }))
	s.face("Without it", func(f *plan.Face) {
		if i < len(f.Applique) {
			f.Applique = slices.Delete(f.Applique, i, i+1)
		}
	})
}

// pathOf is the path of the innermost face that a path lies in.
func pathOf(p plan.Plan, about string) string {
	out := ""
	where := placeOf(p, about)
	faces(p, func(path string, at place, _ *plan.Face) {
		if at == where {
			out = path
		}
	})
	return out
}
