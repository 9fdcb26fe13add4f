package remedy

import (
	"cmp"
	"fmt"
	"maps"
	"slices"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/stock"
)

// mostShort is how many changes are tried for a cloth of which there is not enough, and mostOthers how many
// other cloths among them.
const (
	mostShort  = 24
	mostOthers = 2
)

// short offers the smallest changes for which the cloth there is does: what lies under or behind it first, then
// what is seen of it, then fewer covers.
func short(s *sifter) {
	i := slices.IndexFunc(slices.Sorted(maps.Keys(s.plan.Cloths)), func(letter string) bool {
		return s.about.About == finding.Path("cloths", letter, "have")
	})
	if i < 0 {
		return
	}
	letter := slices.Sorted(maps.Keys(s.plan.Cloths))[i]
	tries := s.tries
	s.tries = mostShort
	defer func() { s.tries = tries }()
	turned(s, letter)
	lessOverlap(s)
	hidden(s, letter)
	narrowerBorders(s, letter)
	largerPatches(s, letter)
	otherBorders(s, letter)
	inStrips(s, letter)
	if s.plan.Settle().Copies > 1 {
		fewerCopies(s)
	}
}

// turned lets pieces of a cloth lie turned.
func turned(s *sifter, letter string) {
	c := s.plan.Cloths[letter]
	if !c.Upright {
		return
	}
	s.change("Its pieces turned where that saves some", func(p *plan.Plan) {
		c.Upright = false
		p.Cloths[letter] = c
	})
}

// lessOverlap lets the pieces of an envelope lie less over each other.
func lessOverlap(s *sifter) {
	rules, _ := plan.BackKinds.Of(string(s.plan.Settle().Back.Kind))
	if !slices.Contains(rules.Reads, "overlap") || len(s.plan.Back.Panels.Widths) > 0 {
		return
	}
	most := s.plan.Object.Width / 4 // what it is where nobody says
	if s.plan.Back.Overlap != nil {
		most = *s.plan.Back.Overlap
	}
	s.largest("An overlap of %s", most, func(p *plan.Plan, l length.Length) {
		p.Back.Overlap, p.Back.Share = &l, 0
	})
}

// hidden cuts linings, and the back of a cushion, from another cloth of the plan or of the cupboard.
func hidden(s *sifter, letter string) {
	settled := s.plan.Settle()
	lined := false
	for _, q := range s.plan.Pieces {
		lined = lined || q.Layers != nil && q.Layers.Lining == letter
	}
	back := settled.Cover.Rules().ByBack && backCloth(settled) == letter
	if !lined && !back {
		return
	}
	for _, o := range others(s, letter) {
		if lined {
			s.change("The lining from "+o.name, func(p *plan.Plan) {
				to := o.in(p)
				for name, q := range p.Pieces {
					if q.Layers != nil && q.Layers.Lining == letter {
						layers := *q.Layers
						layers.Lining = to
						q.Layers = &layers
						p.Pieces[name] = q
					}
				}
			})
		}
		if back {
			s.change("The back, which is out of sight, from "+o.name, func(p *plan.Plan) { p.Back.Cloth = o.in(p) })
		}
	}
}

// backCloth is what the back of a cushion is cut from.
func backCloth(p plan.Plan) string {
	f := p.Piece("back").Face
	if f == nil {
		return p.Back.Cloth
	}
	return cmp.Or(p.Back.Cloth, f.Cloth)
}

// other is another cloth: of the plan by its letter, or of the cupboard.
type other struct {
	letter, name string
	cloth        plan.Cloth
}

// in is its letter in a plan, which takes it where it has not.
func (o other) in(p *plan.Plan) string {
	if o.letter != "" {
		return o.letter
	}
	letter := plan.FreeLetter(p.Cloths)
	p.Cloths[letter] = o.cloth.Taken()
	return letter
}

// others are cloths that something else could be cut from, those of the plan first, then those there is most of.
func others(s *sifter, letter string) []other {
	var out []other
	named := map[string]bool{}
	for _, l := range slices.Sorted(maps.Keys(s.plan.Cloths)) {
		c := s.plan.Cloths[l]
		named[c.Name] = true
		if l != letter && plan.KindOf(l, c) == plan.FaceCloth && len(out) < mostOthers {
			out = append(out, other{letter: l, name: cmp.Or(c.Name, "fabric "+l)})
		}
	}
	if s.purse.Workshop == nil {
		return out
	}
	long := map[string]length.Length{}
	for name, c := range s.purse.Workshop.Cloths {
		have, _ := stock.Free(c, stock.Holder{})
		if have != nil && !named[name] && plan.KindOf("", c) == plan.FaceCloth {
			long[name] = *have
		}
	}
	names := slices.SortedFunc(maps.Keys(long), func(a, b string) int {
		return cmp.Or(cmp.Compare(long[b], long[a]), cmp.Compare(a, b))
	})
	for _, name := range names[:min(len(names), mostOthers)] {
		out = append(out, other{name: name, cloth: s.purse.Workshop.Cloths[name]})
	}
	return out
}

// narrowerBorders makes borders of a cloth narrower, the patches within them as they fit.
func narrowerBorders(s *sifter, letter string) {
	most := length.Length(0)
	settled := s.plan.Settle()
	faces(settled, func(_ string, _ place, f *plan.Face) {
		for _, b := range f.Borders {
			if b.Cloth == letter && !b.Width.Rest {
				most = max(most, b.Width.Width)
			}
		}
	})
	if most == 0 {
		return
	}
	s.largest("Borders of %s, and patches as they fit", most, func(p *plan.Plan, l length.Length) {
		faces(*p, func(_ string, _ place, f *plan.Face) {
			for i, b := range f.Borders {
				if b.Cloth == letter && !b.Width.Rest {
					f.Borders[i].Width = plan.Extent{Width: min(l, b.Width.Width)}
					if f.Kind == plan.GridFace {
						f.Patch = plan.Patch{Fit: true}
					}
				}
			}
		})
	})
}

// otherBorders cuts borders from another cloth.
func otherBorders(s *sifter, letter string) {
	bordered := false
	faces(s.plan, func(_ string, _ place, f *plan.Face) {
		bordered = bordered || slices.ContainsFunc(f.Borders, func(b plan.Border) bool { return b.Cloth == letter })
	})
	if !bordered {
		return
	}
	for _, o := range others(s, letter) {
		s.change("The borders of "+o.name, func(p *plan.Plan) {
			to := o.in(p)
			faces(*p, func(_ string, _ place, f *plan.Face) {
				for i, b := range f.Borders {
					if b.Cloth == letter {
						f.Borders[i].Cloth = to
					}
				}
			})
		})
	}
}

// largerPatches are grids of fewer and larger patches: fewer seams take less cloth.
func largerPatches(s *sifter, letter string) {
	for fewer := 1; fewer <= 2; fewer++ {
		columns, rows := 0, 0
		change := func(p *plan.Plan) {
			faces(*p, func(_ string, _ place, f *plan.Face) {
				if f.Kind != plan.GridFace || f.Order.Rows != nil || !slices.Contains(f.Cloths, letter) ||
					f.Columns <= fewer+1 || f.Rows <= fewer+1 {
					return
				}
				f.Columns, f.Rows, f.Patch = f.Columns-fewer, f.Rows-fewer, plan.Patch{Fit: true}
				columns, rows = f.Columns, f.Rows
			})
		}
		q := s.with(change)
		if columns > 0 {
			s.offer(fmt.Sprintf("A grid of %d × %d larger patches", columns, rows), q)
		}
	}
}

// inStrips pieces a front that is one piece of a cloth from two strips.
func inStrips(s *sifter, letter string) {
	settled := s.plan.Settle()
	front := settled.Piece("front").Face
	c, _ := cover.Pieces(settled)
	if !settled.Cover.Rules().ByBack || len(c.Pieces) == 0 || front == nil || front.Kind != plan.PlainFace ||
		front.Cloth != letter {
		return
	}
	size := c.Pieces[0].Finished
	strips := func(text string, runs plan.Direction, side length.Length) {
		s.change(text, func(p *plan.Plan) {
			q := p.Pieces["front"]
			q.Face = &plan.Face{Kind: plan.StripsFace, Direction: runs, Applique: front.Applique,
				Strips: halves(side, letter)}
			if p.Pieces == nil {
				p.Pieces = map[string]plan.Piece{}
			}
			p.Pieces["front"] = q
		})
	}
	strips("The front of two strips side by side", plan.AlongWay, size.Width.Total())
	strips("The front of two strips, one above the other", plan.AcrossWay, size.Height.Total())
}
