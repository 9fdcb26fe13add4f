// Package become finds what cloth that is there can become: fronts of a cushion, by search over grids, blocks and
// strips, each of them cut out of what there is before it is shown.
package become

import (
	"cmp"
	"maps"
	"slices"

	"umschlag/core/cover"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/pads"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ruler"
	"umschlag/core/show"
	"umschlag/core/stock"
	"umschlag/core/supply"
)

// Limits of what is looked at.
const (
	// MostCloths is how many cloths there may be, one letter each.
	MostCloths = 16
	// shown is how many fronts are shown, and sizes how many sizes that work are looked at.
	shown = 12
	sizes = 2
)

// Cloth is a cloth there is: its length in Have and its odd pieces in Odd, all of them free. Known tells that the
// cupboard has it under its name.
type Cloth struct {
	plan.Cloth
	Known bool
}

// Order is what something is to become of.
type Order struct {
	// Plan is the cushion whose front is sought; what lies behind it is of its own cloths.
	Plan   plan.Plan
	Cloths []Cloth
	// Largest tries the pads that are sold, the largest first, in the place of the plan's own.
	Largest bool
}

// Progress is how far the search is.
type Progress struct {
	Tried, Of int
	// Found is how many fronts there are so far.
	Found int
}

// Front is something the cloth can become.
type Front struct {
	// Title says what it is, Why what speaks for it.
	Title string
	Why   []string
	// Plan with it; what the cupboard knows is taken from there.
	Plan plan.Plan
	// Made is how it comes out.
	Made show.Result
	// Width and Height of the pad it is for.
	Width, Height length.Length
	// Waste is the share of the cloth that is cut into that is left in pieces too small to keep; Cuts is how
	// often the ruler is laid, Fabrics how many cloths it is of.
	Waste   float64
	Cuts    int
	Fabrics int
	// Gone is the area of what is cut into less what is left of it, and InPieces that of its pieces, in square
	// nanometres: Waste is what the one is more than the other.
	Gone, InPieces float64
	// Left is what is left of each cloth.
	Left []Left
	sort string
}

// Left is what is left of a cloth.
type Left struct {
	Name   string
	Pieces []lay.Odd
}

// Find looks for fronts. It tells how far it is, and ends early where tell says false; what it found so far is
// returned, the best first.
func Find(o Order, tell func(Progress) bool) []Front {
	s := &search{Order: o, tell: tell, known: map[string]bool{}}
	s.base()
	var tries [][]candidate
	for _, size := range s.sizes() {
		p := s.sized(size)
		list := s.candidates(p)
		tries = append(tries, list)
		s.progress.Of += len(list)
	}
	worked := 0
	for _, list := range tries {
		before := len(s.found)
		for _, c := range list {
			if !s.try(c) {
				return s.best()
			}
		}
		if len(s.found) > before {
			worked++
		}
		if worked == sizes {
			break
		}
	}
	return s.best()
}

// search is one under way.
type search struct {
	Order
	tell     func(Progress) bool
	progress Progress
	// plan is the cushion with the cloths, letters are theirs.
	plan    plan.Plan
	letters []string
	found   []Front
	// known are those of which only one is shown.
	known map[string]bool
}

// base puts the cloths into the plan, and gives the back a face of its own.
func (s *search) base() {
	p := s.Order.Plan.Unshared()
	back := p.Settle().Piece("back").Face
	if p.Pieces == nil {
		p.Pieces = map[string]plan.Piece{}
	}
	if p.Cloths = maps.Clone(p.Cloths); p.Cloths == nil {
		p.Cloths = map[string]plan.Cloth{}
	}
	behind := p.Pieces["back"]
	behind.Face = back
	p.Pieces["back"] = behind
	for _, c := range s.Cloths {
		letter := c.letter(p)
		described := c.Cloth
		if described.Have == nil {
			described.Have = new(length.Length)
		}
		described.Kept = nil
		p.Cloths[letter] = described
		s.letters = append(s.letters, letter)
	}
	p.Back.Cloth = behindCloth(&p, s.letters)
	p.Copies, p.Measured, p.Progress, p.Lays = 1, nil, plan.Progress{}, nil
	s.plan = p
}

// letter is that of a cloth in a plan: its own where the plan has it from the cupboard too, one that is free otherwise.
func (c Cloth) letter(p plan.Plan) string {
	for _, letter := range slices.Sorted(maps.Keys(p.Cloths)) {
		if c.Known && p.Cloths[letter].Name == c.Name {
			return letter
		}
	}
	return plan.FreeLetter(p.Cloths)
}

// behindCloth is what the back is cut from: never of what there is.
func behindCloth(p *plan.Plan, letters []string) string {
	now := cmp.Or(p.Back.Cloth, p.Settle().Piece("back").Face.Cloth)
	if !slices.Contains(letters, now) {
		return p.Back.Cloth
	}
	letter := plan.FreeLetter(p.Cloths)
	p.Cloths[letter] = plan.Cloth{Name: "fabric for the back"}
	return letter
}

// sizes are the pads that are tried.
func (s *search) sizes() [][2]length.Length {
	if !s.Largest {
		return [][2]length.Length{{s.plan.Object.Width, s.plan.Object.Height}}
	}
	var out [][2]length.Length
	for _, side := range slices.Backward(pads.Squares(s.plan.Units)) {
		if side.Float()*side.Float() <= s.area() {
			out = append(out, [2]length.Length{side, side})
		}
	}
	return out
}

// area is that of all cloth there is.
func (s *search) area() float64 {
	all := 0.0
	for _, letter := range s.letters {
		all += areaOf(s.plan.Cloths[letter])
	}
	return all
}

func areaOf(c plan.Cloth) float64 {
	c = c.Settle()
	all := c.Have.Float() * c.Usable.Float()
	for _, o := range c.Odd {
		all += o.Width.Float() * o.Length.Float() * float64(o.Count)
	}
	return all
}

// sized is the plan for a pad.
func (s *search) sized(size [2]length.Length) plan.Plan {
	p := s.plan.Unshared()
	p.Object.Width, p.Object.Height = size[0], size[1]
	return p
}

// try cuts a candidate out of what there is; false where the search is to end.
func (s *search) try(c candidate) bool {
	s.progress.Tried++
	if s.known[c.alike] {
		return s.tell(s.progress)
	}
	made := reckon.Make(c.plan, nil)
	if !made.Findings.Stopped() && s.enough(made) {
		s.found = append(s.found, s.front(c, made))
		s.known[c.alike] = true
	}
	s.progress.Found = len(s.found)
	return s.tell(s.progress)
}

// enough tells that nothing is short of what there is.
func (s *search) enough(made show.Result) bool {
	return !slices.ContainsFunc(made.Cloths, func(c supply.Cloth) bool {
		return slices.Contains(s.letters, c.Letter) && c.Short > 0
	})
}

// front is a candidate with its figures.
func (s *search) front(c candidate, made show.Result) Front {
	f := Front{Title: c.title, sort: c.sort, Made: made, Width: c.plan.Object.Width, Height: c.plan.Object.Height,
		Plan: s.taken(c.plan)}
	cut, into := 0.0, 0.0
	for _, n := range made.Cloths {
		if !slices.Contains(s.letters, n.Letter) {
			continue
		}
		f.Fabrics++
		pieces, kept := leftOf(n, c.plan.Cloths[n.Letter])
		into += kept
		f.Cuts += cutsOf(n, made)
		f.Left = append(f.Left, Left{Name: n.Name, Pieces: pieces})
	}
	for _, one := range made.List.Cuts {
		if slices.Contains(s.letters, one.Cloth) && !one.Had {
			cut += one.Size.Width.Total().Float() * one.Size.Height.Total().Float() * float64(one.Total)
		}
	}
	if f.Gone, f.InPieces = into, cut; into > 0 {
		f.Waste = max(0, 1-cut/into)
	}
	return f
}

// taken is a plan that takes from the cupboard what is there.
func (s *search) taken(p plan.Plan) plan.Plan {
	p.Cloths = maps.Clone(p.Cloths)
	for i, letter := range s.letters {
		c := p.Cloths[letter]
		if s.Cloths[i].Known {
			c = c.Taken()
		} else if c.Have != nil && *c.Have == 0 {
			c.Have = nil
		}
		p.Cloths[letter] = c
	}
	return p
}

// leftOf is what is left of a cloth that is cut into, and the area of it that is not left.
func leftOf(n supply.Cloth, c plan.Cloth) (left []lay.Odd, gone float64) {
	have, odd := stock.Free(c, stock.Holder{})
	count := slices.Clone(odd)
	for _, o := range n.Odd {
		for i, size := range odd {
			if size.Width == o.Size.Width && size.Length == o.Size.Length {
				count[i].Count -= o.Count
				break
			}
		}
		gone += o.Size.Width.Float() * o.Size.Length.Float() * float64(o.Count)
		for _, rest := range o.Lay.Left(o.Size.Length, stock.Least) {
			rest.Count *= o.Count
			left = append(left, rest)
		}
	}
	for _, o := range count {
		if o.Count > 0 {
			left = append(left, o)
		}
	}
	if n.Wanted > 0 {
		gone += n.Wanted.Float() * n.Lay.Width.Float()
		left = append(left, n.Lay.Left(n.Wanted, stock.Least)...)
	}
	for _, o := range left {
		if !slices.Contains(count, o) {
			gone -= o.Width.Float() * o.Length.Float() * float64(o.Count)
		}
	}
	if have != nil && *have-n.Wanted >= stock.Least {
		left = append(left, lay.Odd{Width: *c.Settle().Usable, Length: *have - n.Wanted, Count: 1})
	}
	return left, gone
}

// cutsOf is how often the ruler is laid on a cloth.
func cutsOf(n supply.Cloth, made show.Result) int {
	cuts := make([]ruler.Cut, len(made.List.Cuts))
	count := func(l lay.Lay, odd *lay.Odd, times int) (all int) {
		for _, m := range ruler.Order(l, odd, cuts) {
			if m.Kind != ruler.Take {
				all += m.Columns * times
			}
		}
		return all
	}
	all := count(n.Lay, nil, 1)
	for _, o := range n.Odd {
		all += count(o.Lay, &o.Size, o.Count)
	}
	return all
}

// best are the fronts to be shown: what speaks for one above all others first, then by size and waste.
func (s *search) best() []Front {
	all := slices.Clone(s.found)
	slices.SortStableFunc(all, func(a, b Front) int {
		return cmp.Or(cmp.Compare(b.Width, a.Width), cmp.Compare(a.Waste, b.Waste), cmp.Compare(a.Cuts, b.Cuts))
	})
	for _, reason := range reasons {
		if s.Largest == reason.sized || !reason.sized {
			if i := least(all, reason.by); i >= 0 {
				all[i].Why = append(all[i].Why, reason.says)
			}
		}
	}
	return varied(all)
}

// varied are as many as are shown: those that something speaks for, then of every sort the first, the second and on.
func varied(all []Front) []Front {
	turn, seen := make([]int, len(all)), map[string]int{}
	order := make([]int, len(all))
	for i, f := range all {
		order[i] = i
		if len(f.Why) == 0 {
			seen[f.sort]++
			turn[i] = seen[f.sort]
		}
	}
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(turn[a], turn[b]) })
	var out []Front
	for _, i := range order[:min(len(order), shown)] {
		out = append(out, all[i])
	}
	return out
}

// reasons are what speaks for a front, by what is least of it; sized those that only hold where sizes are tried.
var reasons = []struct {
	says  string
	sized bool
	by    func(Front) float64
}{
	{"the largest", true, func(f Front) float64 { return -f.Width.Float() * f.Height.Float() }},
	{"least waste", false, func(f Front) float64 { return f.Waste }},
	{"fewest cuts", false, func(f Front) float64 { return float64(f.Cuts) }},
	{"most fabrics", false, func(f Front) float64 { return -float64(f.Fabrics) }},
}

// least is the first of which something is least; -1 where there is none.
func least(all []Front, by func(Front) float64) int {
	at := -1
	for i, f := range all {
		if at < 0 || by(f) < by(all[at]) {
			at = i
		}
	}
	return at
}

// frontSize is what the front of a plan finishes; false where it has none yet.
func frontSize(p plan.Plan) (w, h length.Length, ok bool) {
	c, found := cover.Pieces(p.Settle())
	if found.Stopped() || len(c.Pieces) == 0 {
		return 0, 0, false
	}
	size := c.Pieces[0].Finished
	return size.Width.Total(), size.Height.Total(), true
}

// written is a size in the words of a plan.
func written(p plan.Plan, l length.Length) string { return p.Style().Text(l) }
