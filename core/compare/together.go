package compare

import (
	"slices"

	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/stock"
	"umschlag/core/supply"
)

// Needs are the pieces that are cut from the length of one cloth, after what odd pieces
// give.
type Needs struct {
	Items []lay.Item
	On    lay.Cloth
	// Titles name the cuts by their index, Shrink is a share of 1.
	Titles map[int]string
	Shrink float64
}

// NeedsOf are those of a plan for the cloth of a letter; ok is false where it takes none,
// or cannot be cut.
func NeedsOf(p plan.Plan, w *reckon.Workshop, letter string) (Needs, bool) {
	if w == nil {
		w = &reckon.Workshop{}
	}
	r := reckon.Make(p, w)
	if r.Findings.Stopped() {
		return Needs{}, false
	}
	c, _ := r.Plan.Cloth(letter)
	out := Needs{On: supply.On(c), Items: r.List.Of(letter), Titles: map[int]string{}, Shrink: c.Shrink / 100}
	for _, item := range out.Items {
		out.Titles[item.Cut] = r.List.Cuts[item.Cut].Title
	}
	_, odd := supply.Stock(c, w.Cloths, stock.Holder{Plan: w.ID, Cloth: letter})
	_, out.Items = lay.FromOdd(out.Items, out.On, odd)
	return out, len(out.Items) > 0
}

// Named are the needs of a plan for the cloth of a name.
func Named(p plan.Plan, w *reckon.Workshop, name string) (Needs, bool) {
	settled := p.Settle()
	var letters []string
	for letter := range settled.Cloths {
		letters = append(letters, letter)
	}
	slices.Sort(letters)
	for _, letter := range letters {
		if c, _ := settled.Cloth(letter); c.Name == name {
			return NeedsOf(p, w, letter)
		}
	}
	return Needs{}, false
}

// Together is the needs of several plans on one cloth: as wide as the narrowest of them
// says, shrinking as the one that shrinks most. Cuts are numbered anew, plan by plan;
// whose they are, Owner tells.
type Together struct {
	Needs
	// Owner is the plan of every cut, by its place in the list.
	Owner map[int]int
	// Apart is the length of all of them laid by themselves, each with its end squared.
	Apart length.Length
}

// Takes is what a lay of them takes with its end squared, and how much less that is than
// they take apart.
func (t Together) Takes(l lay.Lay) (need, saves length.Length) {
	need = lay.Need(l, t.Shrink)
	return need, max(0, t.Apart-need)
}

// Joined puts needs together.
func Joined(all []Needs) Together {
	out := Together{Needs: Needs{Titles: map[int]string{}}, Owner: map[int]int{}}
	for i, n := range all {
		if out.On.Usable == 0 || n.On.Usable < out.On.Usable {
			out.On.Usable = n.On.Usable
		}
		if n.On.Across > 0 {
			out.On.Across, out.On.Along = n.On.Across, n.On.Along
		}
		out.Shrink = max(out.Shrink, n.Shrink)
		for _, it := range n.Items {
			title := n.Titles[it.Cut]
			it.Cut = len(out.Items)
			out.Items = append(out.Items, it)
			out.Titles[it.Cut], out.Owner[it.Cut] = title, i
		}
		l, _ := lay.Of(n.Items, n.On)
		out.Apart += lay.Need(l, n.Shrink)
	}
	return out
}
