package outlook

import (
	"fmt"
	"maps"
	"math"
	"slices"

	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sample"
)

// tape is the error of reading it: half of a 32nd of an inch. Common practice.
const tape = float64(length.Inch) / 64

// Order is what the outlook of a face is reckoned from: a settled plan, the samples of the workshop, and
// the errors of seams that gates of other plans showed, by the title of the plan.
type Order struct {
	Plan    plan.Plan
	Samples sample.Shelf
	Past    map[string][]float64
}

// Direction is how true one direction of a face is likely to come out.
type Direction struct {
	// Name is across or up.
	Name string
	// Seams and cut parts that lie side by side in it.
	Seams, Cuts int
	Fit         Fit
	// From says whose seams it is reckoned by.
	From string
	// Buys are what would help so that it shows, with the chance then.
	Buys []Buy
}

// Buy is something that makes a panel truer, and the chance then, 0 to 1.
type Buy struct {
	What   string
	Chance float64
}

// Of is both directions of a pieced face; none for one piece of cloth.
func (o Order) Of(f front.Face) []Direction {
	if len(f.Seams) == 0 {
		return nil
	}
	var out []Direction
	s, from := o.spread(f)
	for _, d := range []struct {
		name  string
		level bool
	}{{"across", true}, {"up", false}} {
		seams := f.Crossed(d.level)
		if seams+f.Rings == 0 {
			continue
		}
		p := Panel{Patches: seams + 1, Seams: seams, Borders: f.Rings}
		out = append(out, Direction{Name: d.name, Seams: seams + 2*f.Rings, Cuts: seams + 1 + 2*f.Rings,
			Fit: Closed(p, s), From: from, Buys: buys(p, s)})
	}
	return out
}

// What helps is told where it shows: where it makes it half of a hundredth more likely, and it is not all but sure
// already.
const (
	leastGain = 0.005
	sure      = 0.99
)

// buys are what would help a panel.
func buys(p Panel, s Spread) []Buy {
	even := s
	even.Seam = 0
	closer := s
	closer.SeamSD /= 2
	bordered, what := p, "with its border cut to the measured centre"
	if p.Borders == 0 {
		bordered.Borders, what = 1, "with a border, cut to the measured centre"
	}
	all := []Buy{{"with seams that are true on average", Closed(p, even).Chance},
		{"with seams half as uneven", Closed(p, closer).Chance}, {what, Recut(bordered, s, tape).Chance}}
	now := Closed(p, s).Chance
	return slices.DeleteFunc(all, func(b Buy) bool { return now > sure || b.Chance < now+leastGain })
}

// Reserve is how much larger than planned a face may come out with nothing wrong: twice the
// standard deviation of seams as they usually are, across or up, whichever is more; at least what
// is eased in without a trace. It hangs on the face alone, so that what is kept for a piece stays
// as it is when seams are measured. Twice the standard deviation holds 19 of 20: statistics.
func Reserve(f front.Face) length.Length {
	most := Tolerance
	for _, level := range []bool{true, false} {
		seams := f.Crossed(level)
		if fit := Closed(Panel{Patches: seams + 1, Seams: seams, Borders: f.Rings}, Usual()); seams+f.Rings > 0 {
			most = max(most, length.FromFloat(2*fit.SD))
		}
	}
	return most
}

// spread is the error of the maker's seams: from three strips, and from the rows of this
// face that were measured; what is usual where there are none.
func (o Order) spread(f front.Face) (Spread, string) {
	errors := o.strips()
	strips := len(errors)
	for _, title := range slices.Sorted(maps.Keys(o.Past)) {
		if title != o.Plan.Title { // its own rows follow
			errors = append(errors, o.Past[title]...)
		}
	}
	errors = append(errors, SeamErrors(o.Plan, f)...)
	s := Usual()
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
		s.SeamSD = math.Max(math.Sqrt(v/float64(len(errors)-1)), Usual().SeamSD/4)
	}
	rows := count(len(errors)-strips, "measurement") + " at your measuring steps"
	from := "by " + count(strips, "strip") + " of yours"
	switch {
	case strips == 0:
		from = "by " + rows
	case len(errors) > strips:
		from += " and " + rows
	}
	return s, from
}

// count is so many of them.
func count(n int, of string) string {
	if n == 1 {
		return "1 " + of
	}
	return fmt.Sprintf("%d %ss", n, of)
}

// strips are the errors of the seams of three strips that were sewn as samples.
func (o Order) strips() []float64 {
	var errors []float64
	for _, id := range slices.Sorted(maps.Keys(o.Samples)) {
		s := o.Samples[id]
		if s.Kind != plan.StripSample || s.Cut == 0 {
			continue
		}
		for _, a := range s.After {
			if a.Width > 0 {
				errors = append(errors, (s.Cut-2*s.Seam-a.Width).Float()/2)
			}
		}
	}
	return errors
}

// SeamErrors are how much wider than meant a seam of a face was sewn, in nanometres, by every row that was
// measured and by the whole front where no row was.
func SeamErrors(p plan.Plan, f front.Face) []float64 {
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
