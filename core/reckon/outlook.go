package reckon

import (
	"fmt"
	"maps"
	"math"
	"slices"

	"umschlag/core/answer"

	"umschlag/core/cover"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/outlook"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// tape is the error of reading it: half of a 32nd of an inch. Common practice.
const tape = float64(length.Inch) / 64

// sewn is how often a panel is sewn in the simulation.
const sewn = 1000

// outlooks are both directions of a pieced face; none for one piece of cloth.
func (r *run) outlooks(f front.Face) []answer.Outlook {
	out := []answer.Outlook{}
	if len(f.Seams) == 0 {
		return out
	}
	s, from := r.spread(f)
	for _, d := range []struct {
		name  string
		level bool
	}{{"across", true}, {"up", false}} {
		seams := f.Crossed(d.level)
		if seams+f.Rings == 0 {
			continue
		}
		p := outlook.Panel{Patches: seams + 1, Seams: seams, Borders: f.Rings}
		fit := outlook.Closed(p, s)
		o := answer.Outlook{Direction: d.name, Seams: seams + 2*f.Rings, Cuts: seams + 1 + 2*f.Rings, Mean: r.l(length.FromFloat(fit.Mean)), SD: r.l(length.FromFloat(fit.SD)), Tolerance: r.l(outlook.Tolerance),
			Chance: 100 * fit.Chance, FromSeams: 100 * fit.Seams, From: from, Buys: []answer.Buy{}}
		buy := func(what string, chance float64) {
			o.Buys = append(o.Buys, answer.Buy{What: what, Chance: 100 * chance})
		}
		if s.Seam != 0 {
			even := s
			even.Seam = 0
			buy("with seams that are true on the mean", outlook.Closed(p, even).Chance)
		}
		closer := s
		closer.SeamSD /= 2
		buy("with seams half as uneven", outlook.Closed(p, closer).Chance)
		bordered, what := p, "with its border cut to the measured centre"
		if p.Borders == 0 {
			bordered.Borders, what = 1, "with a border, cut to the measured centre"
		}
		buy(what, outlook.Simulated(bordered, s, true, tape, sewn, r.seed(d.name)).Chance)
		out = append(out, o)
	}
	return out
}

// seed is the same for the same plan.
func (r *run) seed(direction string) uint64 {
	h := uint64(14695981039346656037) // FNV-1a
	for _, c := range []byte(r.p.Title + "/" + direction) {
		h = (h ^ uint64(c)) * 1099511628211
	}
	return h
}

// spread is the error of the maker's seams: from three strips, and from the rows of this
// face that were measured; what is usual where there are none.
func (r *run) spread(f front.Face) (outlook.Spread, string) {
	var errors []float64
	for _, id := range slices.Sorted(maps.Keys(r.samples)) {
		s := r.samples[id]
		if s.Kind != plan.StripSample || s.Cut == 0 {
			continue
		}
		for _, a := range s.After {
			if a.Width > 0 {
				errors = append(errors, (s.Cut-2*s.Seam-a.Width).Float()/2)
			}
		}
	}
	strips := len(errors)
	for _, title := range slices.Sorted(maps.Keys(r.past)) {
		if title != r.p.Title { // its own rows follow
			errors = append(errors, r.past[title]...)
		}
	}
	errors = append(errors, seamErrors(r.p, f)...)
	s := outlook.Usual()
	if len(errors) == 0 {
		return s, "by what is usual: no three strips are sewn yet"
	}
	for _, e := range errors {
		s.Seam += e / float64(len(errors))
	}
	s.Known = len(errors)
	if len(errors) > 2 {
		v := 0.0
		for _, e := range errors {
			v += (e - s.Seam) * (e - s.Seam)
		}
		s.SeamSD = math.Max(math.Sqrt(v/float64(len(errors)-1)), outlook.Usual().SeamSD/4)
	}
	from := fmt.Sprintf("by %d strips of yours", strips)
	switch rows := len(errors) - strips; {
	case strips == 0:
		from = fmt.Sprintf("by %d measurements at your gates", rows)
	case rows > 0:
		from += fmt.Sprintf(" and %d measurements at your gates", rows)
	}
	return s, from
}

// seamErrors are how much wider than meant a seam of a face was sewn, by every row that was
// measured and by the whole front where no row was.
func seamErrors(p plan.Plan, f front.Face) []float64 {
	var out []float64
	for _, b := range f.Bands {
		_, m, ok := p.MeasuredAt(ref.Row(b.In, b.No))
		if ok && m.Width > 0 && b.Length > 0 && b.Pieces > 1 {
			out = append(out, (b.Length-m.Width).Float()/float64(2*(b.Pieces-1)))
		}
	}
	if len(out) > 0 {
		return out
	}
	// A quilted front has what quilting took in it as well, and tells nothing of seams.
	if _, m, ok := p.MeasuredAt(ref.FrontSewn, ref.FrontPieced); ok && f.Rings == 0 {
		for _, d := range []struct {
			planned, measured length.Length
			seams             int
		}{{f.Sewn.Width.Total(), m.Width, f.Crossed(true)}, {f.Sewn.Height.Total(), m.Height, f.Crossed(false)}} {
			if d.measured > 0 && d.seams > 0 {
				out = append(out, (d.planned-d.measured).Float()/float64(2*d.seams))
			}
		}
	}
	return out
}

// PastSeams are the errors of seams that the gates of a plan show.
func PastSeams(p plan.Plan) []float64 {
	if len(p.Measured) == 0 {
		return nil
	}
	settled := p.Settle()
	r := &run{p: settled, style: settled.Style(), out: empty(settled)}
	c, found := cover.Pieces(settled)
	if found.Stopped() || settled.Cover.Kind != plan.Cushion {
		return nil
	}
	face := r.front(c.Pieces[0]).face
	if r.stopped() {
		return nil
	}
	return seamErrors(settled, face)
}
