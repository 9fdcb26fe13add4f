// Package remedy knows what can be done where a plan cannot be cut: changes of the plan, each tried
// before it is offered. What is offered removes the stop it is offered for and brings no new one,
// so that remedies taken one after the other come to an end.
package remedy

import (
	"maps"
	"reflect"
	"slices"
	"strings"

	"umschlag/core/finding"
	"umschlag/core/panel"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/sample"
)

// Offer is a change of a plan that removes a stop.
type Offer struct {
	// Text says what is changed, and to what.
	Text string
	// Plan as it would be.
	Plan plan.Plan
}

// The most that is offered and tried for one stop, and tried for all of them.
const (
	mostOffers = 6
	mostTries  = 40
	mostInAll  = 120
)

// Try is a change to be tried.
type Try struct {
	Text string
	Plan plan.Plan
}

// For are the changes that remove each stop of a plan, by the number of its finding; a stop that is
// the same fault as one before has none of its own where that one has. more are further changes to be tried
// for a finding, before those that are known for its code.
func For(p plan.Plan, found []finding.Finding, w *reckon.Purse, more func(finding.Finding) []Try) map[int][]Offer {
	out := map[int][]Offer{}
	s := &sifter{found: found, purse: w, left: mostInAll}
	for i, f := range found {
		s.plan, s.spelled = spelled(p, f.About)
		if f.Level != finding.Stop {
			continue
		}
		if k := slices.IndexFunc(found[:i], func(g finding.Finding) bool { return s.same(g, f) }); k >= 0 &&
			len(out[k]) > 0 {
			out[i] = []Offer{}
			continue
		}
		s.about, s.offers, s.tries = f, nil, min(mostTries, s.left)
		if more != nil {
			for _, t := range more(f) {
				s.offer(t.Text, t.Plan)
			}
		}
		if known := known[f.Code]; known != nil {
			if known(s); len(s.offers) == 0 { // nothing helps by itself
				s.further, s.tries = true, min(mostTries, s.left)
				known(s)
				s.further = false
			}
		}
		s.left = max(0, s.left-(min(mostTries, s.left)-s.tries))
		if len(s.offers) > 0 {
			out[i] = s.offers
		}
	}
	return out
}

// sifter tries changes for one finding.
type sifter struct {
	plan plan.Plan
	// spelled is the piece whose design stands in the plan although nobody chose one; empty for none.
	spelled string
	found   []finding.Finding
	purse   *reckon.Purse
	about   finding.Finding
	offers  []Offer
	// tries and left are how many are still tried for the finding, and for the plan.
	tries, left int
	// further tells that what a change brings to light is changed with it, hinting that nothing stops and what is
	// said is to be settled.
	further, hinting bool
}

// spelled is a plan with the design that a finding is about spelled out, where it is as usual because nobody chose one:
// what is changed has to stand somewhere. piece is the one it is spelled out of; empty for none.
func spelled(p plan.Plan, about string) (out plan.Plan, piece string) {
	for _, name := range plan.PieceNames(p.Cover.Kind) {
		if !finding.Within(about, finding.Path("pieces", name, "face")) || p.Pieces[name].Face != nil {
			continue
		}
		q, settled := p.Pieces[name], p.Settle()
		face := panel.Order{Plan: settled}.Face(settled.Piece(name))
		q.Face = &face
		if p.Pieces = maps.Clone(p.Pieces); p.Pieces == nil {
			p.Pieces = map[string]plan.Piece{}
		}
		p.Pieces[name] = q
		return p, name
	}
	return p, ""
}

// chosen is a changed plan without the design that was only spelled out, where that is not what was changed.
func chosen(s *sifter, q plan.Plan) plan.Plan {
	one, there := q.Pieces[s.spelled]
	if !there || !reflect.DeepEqual(one.Face, s.plan.Pieces[s.spelled].Face) {
		return q
	}
	one.Face = nil
	if q.Pieces = maps.Clone(q.Pieces); reflect.DeepEqual(one, plan.Piece{}) {
		delete(q.Pieces, s.spelled)
	} else {
		q.Pieces[s.spelled] = one
	}
	return q
}

// samples are those of the workshop.
func (s *sifter) samples() sample.Shelf {
	if s.purse.Workshop == nil {
		return nil
	}
	return s.purse.Workshop.Samples
}

// change offers the plan with something changed, where that removes the stop; do gets a plan of its
// own. It reports whether it does.
func (s *sifter) change(text string, do func(*plan.Plan)) bool {
	return s.offer(text, s.with(do))
}

// with is the plan with something changed.
func (s *sifter) with(do func(*plan.Plan)) plan.Plan {
	q := s.plan.Unshared()
	do(&q)
	return q
}

func (s *sifter) offer(text string, q plan.Plan) bool {
	q = chosen(s, q)
	if len(s.offers) >= mostOffers || slices.ContainsFunc(s.offers,
		func(o Offer) bool { return o.Text == text || reflect.DeepEqual(o.Plan, q) }) {
		return false
	}
	if s.further {
		also, ok := s.andWhatItTakes(q)
		if !ok || len(s.offers) >= 2 {
			return false
		}
		text, q = text+also.Text, also.Plan
	} else if !s.does(q) {
		return false
	}
	s.offers = append(s.offers, Offer{Text: text, Plan: q})
	return true
}

// andWhatItTakes is a changed plan with what it takes besides: the stops that the change brings to light are
// removed one after the other.
func (s *sifter) andWhatItTakes(q plan.Plan) (Offer, bool) {
	out := Offer{Plan: q}
	for range 3 {
		r, ok := s.purse.Make(out.Plan)
		s.tries--
		if !ok {
			return out, false
		}
		i := slices.IndexFunc(r.Findings, func(f finding.Finding) bool { return f.Level == finding.Stop })
		if i < 0 {
			return out, out.Text != ""
		}
		if s.same(r.Findings[i], s.about) || s.tries <= 0 {
			return out, false
		}
		next := &sifter{found: r.Findings, purse: s.purse, about: r.Findings[i], tries: min(8, s.tries)}
		next.plan, next.spelled = spelled(out.Plan, next.about.About)
		if known := known[next.about.Code]; known != nil {
			known(next)
		}
		s.tries -= min(8, s.tries) - next.tries
		if len(next.offers) == 0 {
			return out, false
		}
		out.Text += "; " + lower(next.offers[0].Text)
		out.Plan = next.offers[0].Plan
	}
	return out, false
}

func lower(text string) string { return strings.ToLower(text[:1]) + text[1:] }

// does reports whether a changed plan is rid of the finding.
func (s *sifter) does(q plan.Plan) bool {
	if s.hinting {
		return s.settles(q)
	}
	return s.mends(q)
}

// mends reports whether a changed plan has the stop no more, nor another one of the same place and
// kind, and no new one.
func (s *sifter) mends(q plan.Plan) bool {
	if s.tries <= 0 {
		return false
	}
	s.tries--
	r, ok := s.purse.Make(q)
	if !ok {
		return false
	}
	for _, f := range r.Findings {
		if f.Level == finding.Stop &&
			(s.same(f, s.about) ||
				!slices.ContainsFunc(s.found, func(g finding.Finding) bool { return s.same(f, g) })) {
			return false
		}
	}
	return true
}

// same reports findings of one fault: across and down of a front that does not fill are one.
func (s *sifter) same(a, b finding.Finding) bool {
	if filling[a.Code] && filling[b.Code] {
		return placeOf(s.plan, a.About) == placeOf(s.plan, b.About)
	}
	return a.Code == b.Code && a.About == b.About
}

// filling are the ways in which a face misses its size.
var filling = map[string]bool{"front-does-not-fill": true, "front-too-large": true, "no-rest": true,
	"borders-too-wide": true, "patch-too-large": true}
