package become

import (
	"cmp"
	"fmt"
	"maps"
	"math"
	"slices"

	"umschlag/core/begin"
	"umschlag/core/block"
	"umschlag/core/gridfit"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/supply"
)

// candidate is a front to be tried: its sort, and what it is alike to that need not be found twice.
type candidate struct {
	title, sort, alike string
	plan               plan.Plan
}

// Limits of blocks that are tried.
const (
	leastBlock = 3 * length.Inch
	mostBlocks = 36
)

// blocks are those of the library that are tried: of two cloths, one of them the ground.
var blocks = []string{"half-square", "pinwheel", "hourglass", "nine-patch", "shoofly", "friendship-star"}

// candidates are all fronts of a size that are tried.
func (s *search) candidates(p plan.Plan) []candidate {
	w, h, ok := frontSize(p)
	if !ok {
		return nil
	}
	out := s.plain(p)
	out = append(out, s.strips(p, w, h)...)
	for _, limits := range s.limits() {
		layouts, _ := begin.Layouts(s.with(p, plan.Face{Kind: plan.PlainFace, Cloth: s.letters[0]}), "front", limits)
		for _, l := range layouts {
			out = append(out, s.grids(p, l, limits.Ready)...)
		}
	}
	return out
}

// limits are what grids are sought by: any, and those of squares and strips that are cut already.
func (s *search) limits() []begin.Limits {
	out := []begin.Limits{{Border: gridfit.AnyBorder}}
	ready := map[length.Length]bool{}
	for _, letter := range s.letters {
		for _, o := range s.plan.Cloths[letter].Odd {
			side := min(o.Width, o.Length)
			if o.Width == o.Length || side <= 3*length.Inch {
				ready[side] = true
			}
		}
	}
	for _, side := range slices.Sorted(maps.Keys(ready)) {
		out = append(out, begin.Limits{Border: gridfit.AnyBorder, Ready: side})
	}
	return out
}

// with is a plan with a face on its front.
func (s *search) with(p plan.Plan, f plan.Face) plan.Plan {
	p = p.Unshared()
	q := p.Pieces["front"]
	q.Face = &f
	p.Pieces["front"] = q
	return p
}

// plain is the front of one piece of each cloth.
func (s *search) plain(p plan.Plan) []candidate {
	var out []candidate
	for _, letter := range s.letters {
		out = append(out, candidate{title: "One piece of " + s.plan.Cloths[letter].Name, sort: "piece",
			alike: fmt.Sprint("piece ", p.Object.Width),
			plan:  s.with(p, plan.Face{Kind: plan.PlainFace, Cloth: letter})})
	}
	return out
}

// strips are one strip of each cloth, and two, side by side and one above the other.
func (s *search) strips(p plan.Plan, w, h length.Length) []candidate {
	var out []candidate
	step := p.Settle().Habits.Step
	for _, way := range []struct {
		runs plan.Direction
		side length.Length
		says string
	}{{plan.AlongWay, w, "side by side"}, {plan.AcrossWay, h, "one above the other"}} {
		for _, times := range []int{1, 2} {
			n := len(s.letters) * times
			each := way.side.Div(n).Floor(step)
			if n < 2 || each < length.Inch {
				continue
			}
			f := plan.Face{Kind: plan.StripsFace, Direction: way.runs}
			for i := range n {
				strip := plan.Strip{Width: plan.Extent{Width: each}, Cloth: s.letters[i%len(s.letters)]}
				if i == n-1 {
					strip.Width = plan.Extent{Rest: true}
				}
				f.Strips = append(f.Strips, strip)
			}
			title := fmt.Sprintf("%d strips of %s, %s", n, written(p, each), way.says)
			out = append(out, candidate{title: title, sort: "strips", alike: fmt.Sprint(title, p.Object.Width),
				plan: s.with(p, f)})
		}
	}
	return out
}

// grids are a layout in the cloths there are: its patches of all of them, or of all but that of its border, and in
// blocks where its patches are large enough.
func (s *search) grids(p plan.Plan, l begin.Layout, ready length.Length) []candidate {
	title := fmt.Sprintf("%d × %d patches of %s", l.Columns, l.Rows, written(p, l.PatchWidth))
	if l.PatchWidth != l.PatchHeight {
		title += " × " + written(p, l.PatchHeight)
	}
	if ready > 0 {
		title += ", cut already"
	}
	var out []candidate
	if len(l.Face.Borders) == 0 {
		as := candidate{title: title, sort: "patches", alike: fmt.Sprint(title, p.Object.Width)}
		out = append(out, s.mixed(p, l, as, s.letters)...)
		if ready == 0 {
			out = append(out, s.blocks(p, l)...)
		}
		return out
	}
	if max(l.Border, l.BorderDown) > min(l.PatchWidth, l.PatchHeight) { // it looks like a mistake
		return nil
	}
	for _, letter := range s.byArea()[:min(2, len(s.letters))] {
		bordered := l
		bordered.Face.Borders = slices.Clone(l.Face.Borders)
		for i := range bordered.Face.Borders {
			bordered.Face.Borders[i].Cloth = letter
		}
		others := slices.DeleteFunc(slices.Clone(s.letters), func(other string) bool { return other == letter })
		if len(others) == 0 {
			others = s.letters
		}
		with := candidate{title: fmt.Sprintf("%s, a border of %s of %s", title, written(p, l.Border),
			s.plan.Cloths[letter].Name), sort: "bordered", alike: fmt.Sprint(title, l.Border, p.Object.Width)}
		out = append(out, s.mixed(p, bordered, with, others)...)
	}
	return out
}

// byArea are the letters, that of which there is most first.
func (s *search) byArea() []string {
	return slices.SortedStableFunc(slices.Values(s.letters), func(a, b string) int {
		return cmp.Compare(areaOf(s.plan.Cloths[b]), areaOf(s.plan.Cloths[a]))
	})
}

// mixed is a layout whose patches are of cloths in proportion to what there is of each, written out so that no two
// alike lie side by side where that can be; none where there is too little.
func (s *search) mixed(p plan.Plan, l begin.Layout, as candidate, letters []string) []candidate {
	settled := p.Settle()
	cut := func(finished length.Length) length.Length {
		return (finished + 2*settled.Cover.PiecingSeam).Ceil(settled.Habits.Step)
	}
	gives := make([]int, len(letters))
	for i, letter := range letters {
		gives[i] = patchesOf(settled, letter, cut(l.PatchWidth), cut(l.PatchHeight), l.Columns*l.Rows)
	}
	rows, ok := spread(letters, gives, l.Columns, l.Rows)
	if !ok {
		return nil
	}
	f := l.Face
	f.Cloths, f.Order, f.Block = letters, plan.Order{Kind: plan.Rows, Rows: rows}, plan.Block{}
	as.plan = s.with(p, f)
	return []candidate{as}
}

// patchesOf is how many patches a cloth gives at least, up to as many as are wanted.
func patchesOf(p plan.Plan, letter string, w, h length.Length, most int) int {
	c, _ := p.Cloth(letter)
	on := supply.On(c)
	_, odd := supply.Stock(c, nil, holder)
	one := lay.Item{Width: w, Height: h, Count: most, MayTurn: c.Turns()}
	_, rest := lay.FromOdd([]lay.Item{one}, lay.Cloth{Usable: on.Usable}, odd)
	got := most - rest[0].Count
	if long := *c.Have - lay.EndSquaring; long > 0 && h > 0 && w > 0 {
		got += int(long/h) * int(*c.Usable/w)
	}
	return min(got, most)
}

// leastContrast is how much lighter or darker than its ground a patch is, of 1. Common practice.
const leastContrast = 0.12

// against are the cloths that stand out from a ground; all others where none does.
func (s *search) against(ground string) []string {
	others := slices.DeleteFunc(slices.Clone(s.letters), func(letter string) bool { return letter == ground })
	behind, known := s.plan.Cloths[ground].Swatch.Tone()
	clear := slices.DeleteFunc(slices.Clone(others), func(letter string) bool {
		tone, told := s.plan.Cloths[letter].Swatch.Tone()
		return known && told && math.Abs(tone-behind) < leastContrast
	})
	if len(clear) == 0 {
		return others
	}
	return clear
}

// blocks are a layout of blocks, its ground of the cloth of which there is most.
func (s *search) blocks(p plan.Plan, l begin.Layout) []candidate {
	if l.PatchWidth != l.PatchHeight || l.PatchWidth < leastBlock || l.Columns*l.Rows > mostBlocks ||
		len(s.letters) < 2 {
		return nil
	}
	ground := s.byArea()[0]
	others := s.against(ground)
	gives := make([]int, len(others))
	for i, letter := range others {
		gives[i] = int(areaOf(s.plan.Cloths[letter]) / (l.PatchWidth.Float() * l.PatchWidth.Float()) * 2)
	}
	rows, ok := spread(others, gives, l.Columns, l.Rows)
	if !ok {
		return nil
	}
	var out []candidate
	for _, name := range blocks {
		named, _ := block.ByName(name)
		f := l.Face
		f.Block = plan.Block{Name: name}
		f.Cloths, f.Order = []string{others[0], ground}, plan.Order{Kind: plan.Rows, Rows: rows}
		title := fmt.Sprintf("%d × %d blocks of %s, %s", l.Columns, l.Rows, written(p, l.PatchWidth),
			lowerFirst(named.Title))
		out = append(out, candidate{title: title, sort: "blocks", alike: fmt.Sprint(title, p.Object.Width),
			plan: s.with(p, f)})
	}
	return out
}
