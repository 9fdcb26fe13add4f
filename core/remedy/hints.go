package remedy

import (
	"fmt"
	"slices"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/panel"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// mostHints is how many changes are tried for all that is said of a plan that can be cut.
const mostHints = 12

// Hints are single changes that remove what is warned of or noted in a plan that can be cut, by the number of its
// finding: each tried, so that its finding is gone, nothing stops and nothing else is warned of. more are further
// changes to be tried for a finding.
func Hints(p plan.Plan, found []finding.Finding, w *reckon.Purse, more func(finding.Finding) []Try) map[int][]Offer {
	out := map[int][]Offer{}
	s := &sifter{found: found, purse: w, hinting: true, tries: mostHints}
	for i, f := range found {
		s.plan, s.spelled = spelled(p, f.About)
		s.about, s.offers = f, nil
		for _, t := range more(f) {
			s.offer(t.Text, t.Plan)
		}
		if hint := hints[f.Code]; hint != nil {
			hint(s)
		}
		if len(s.offers) > 0 {
			out[i] = s.offers
		}
	}
	return out
}

// settles reports whether a changed plan can be cut, says the finding no more and warns of nothing that was not
// warned of before.
func (s *sifter) settles(q plan.Plan) bool {
	if s.tries <= 0 {
		return false
	}
	s.tries--
	r, ok := s.purse.Make(q)
	if !ok {
		return false
	}
	for _, f := range r.Findings {
		known := slices.ContainsFunc(s.found, func(g finding.Finding) bool { return s.same(f, g) })
		if f.Level == finding.Stop || s.same(f, s.about) || f.Level == finding.Warn && !known {
			return false
		}
	}
	return true
}

// hints are the changes by the codes of what they are for.
var hints = map[string]func(*sifter){
	"cloth-short": short,
	"cloth-stretches": func(s *sifter) {
		for letter := range s.plan.Cloths {
			if s.about.About != finding.Path("cloths", letter, "stretch") {
				continue
			}
			s.change("Back it with light interfacing before it is cut", func(p *plan.Plan) {
				c := p.Cloths[letter]
				c.Backing = plan.IronedBacking
				p.Cloths[letter] = c
			})
		}
	},
	"felt-hem": func(s *sifter) {
		s.back("The edges left as they are cut", func(b *plan.Back) { b.Hem = []length.Length{} })
	},
	"piping-straight": func(s *sifter) {
		s.change("Piping on the bias", func(p *plan.Plan) { p.Edges.Piping.Grain = plan.OnTheBias })
	},
	"print-upside-down": func(s *sifter) {
		if s.about.About == "/cover/split_top" {
			s.change("The top split by a seam", func(p *plan.Plan) { p.Cover.SplitTop = true })
		}
	},
	"inside-open": func(s *sifter) {
		s.change("Raw edges inside zigzagged", func(p *plan.Plan) { p.Edges.Inside = "zigzag" })
	},
	"deeper-than-long": func(s *sifter) {
		s.change("Length and depth the other way round", func(p *plan.Plan) {
			p.Object.Length, p.Object.Depth = p.Object.Depth, p.Object.Length
		})
	},
	"cover-smaller": func(s *sifter) {
		s.absorbed("The outermost patches cut wider", plan.AbsorbOuter)
		s.absorbed("All patches cut larger", plan.AbsorbPatch)
	},
	"shape-over-border": bordersFirst,
	"borders-none": func(s *sifter) {
		s.quilting("Borders quilted as what lies inside them", func(q *plan.Quilting) { q.Borders = nil })
	},
	"borders-after": bordersFirst,
	"bulk":          bulk, "quilting-beside": shifted, "other-side": otherSide,
	"fitting-overlap": apart, "overlap-thin": usualOverlap, "overlap-deep": usualOverlap,
}

// apart takes fittings off each other, with few tries: where one lies on others of its own there is one of it, and any
// may lie in the middle or be left out.
func apart(s *sifter) {
	changeFitting(s, "One of it", func(f *plan.Fitting) { f.Count = 1 })
	changeFitting(s, "In the middle", func(f *plan.Fitting) { f.At = plan.At{Middle: true} })
	withoutFitting(s)
}

func usualOverlap(s *sifter) {
	s.change("The usual overlap, a quarter of the width", func(p *plan.Plan) {
		p.Back.Overlap, p.Back.Share, p.Back.Panels = nil, 0, plan.Panels{}
	})
}

// bulk takes the stack of a piece for what it takes from the inside.
func bulk(s *sifter) {
	settled := s.plan.Settle()
	c, _ := cover.Pieces(settled)
	for _, piece := range c.Pieces {
		if !finding.Within(s.about.About, panel.Path(settled, piece.Config)) {
			continue
		}
		made, _ := panel.Order{Plan: settled, Samples: s.samples()}.Of(piece)
		thick := made.Chain.Thick.Ceil(settled.Habits.Step)
		s.change(fmt.Sprintf("%s for the bulk of the layers", s.plan.Style().Text(thick)),
			func(p *plan.Plan) { p.Cover.Bulk = thick })
		return
	}
}

// shifted moves lines of quilting that run beside seams into them.
func shifted(s *sifter) {
	settled := s.plan.Settle()
	c, _ := cover.Pieces(settled)
	for _, piece := range c.Pieces {
		made, _ := panel.Order{Plan: settled, Samples: s.samples()}.Of(piece)
		for _, near := range made.Pattern.Near {
			if s.about.About != fmt.Sprintf("%s/quilting/lines/%d", made.Path, near.Family) {
				continue
			}
			s.change(fmt.Sprintf("Shifted by %s, into the seams", s.plan.Style().Text(near.Shift.Abs())),
				func(p *plan.Plan) {
					for name, q := range p.Pieces {
						if finding.Path("pieces", name) == made.Path && q.Quilting != nil {
							q.Quilting.Lines[near.Family].Shift += near.Shift
						}
					}
				})
			return
		}
	}
}

// otherSide reads a size off the other side of the tape.
func otherSide(s *sifter) {
	sizes := func(o *plan.Object) map[string]*length.Length {
		return map[string]*length.Length{"/object/width": &o.Width, "/object/height": &o.Height,
			"/object/length": &o.Length,
			"/object/depth":  &o.Depth, "/object/thickness": &o.Thickness, "/object/wrap": &o.Wrap}
	}
	now := sizes(&s.plan.Object)[s.about.About]
	if now == nil {
		return
	}
	read := length.FromFloat(now.Float() / length.Inch.Float() * length.Centimetre.Float())
	s.change(fmt.Sprintf("It was %s", length.Style{Unit: length.Centimetres}.Text(read)),
		func(p *plan.Plan) { *sizes(&p.Object)[s.about.About] = read })
}

// bordersFirst sews borders on before what lies inside them is quilted.
func bordersFirst(s *sifter) {
	s.quilting("The borders sewn on before it is quilted", func(q *plan.Quilting) {
		b := *q.Borders
		b.After = false
		q.Borders = &b
	})
}

// quilting changes the quilting that decides the piece a finding is about.
func (s *sifter) quilting(text string, do func(*plan.Quilting)) bool {
	return s.change(text, func(p *plan.Plan) {
		for name, q := range p.Pieces {
			if !finding.Within(s.about.About, finding.Path("pieces", name)) {
				continue
			}
			at := plan.Keeper(*p, name, func(q plan.Piece) bool { return q.Quilting != nil })
			if q = p.Pieces[at]; q.Quilting != nil {
				next := *q.Quilting
				do(&next)
				q.Quilting = &next
				p.Pieces[at] = q
			}
		}
	})
}

// absorbed lets something else of the piece a finding is about take up what it loses.
func (s *sifter) absorbed(text string, by plan.Absorb) bool {
	return s.change(text, func(p *plan.Plan) {
		for name, q := range p.Pieces {
			if finding.Within(s.about.About, finding.Path("pieces", name)) {
				at := plan.Keeper(*p, name, func(q plan.Piece) bool { return q.Absorb != "" })
				q = p.Pieces[at]
				q.Absorb = by
				p.Pieces[at] = q
			}
		}
	})
}
