package answer

import (
	"fmt"
	"slices"
	"strconv"
	"strings"

	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/shopping"
	"umschlag/core/stock"
)

// Takes is what is needed of a cloth in a sentence: of its length, and of offcuts.
func (n ClothNeed) Takes() string {
	var odd []string
	for _, o := range n.Odd {
		odd = append(odd, o.Said())
	}
	switch {
	case n.Need.NM == 0 && len(odd) == 0:
		return "takes nothing more"
	case n.Need.NM == 0:
		return "comes from " + strings.Join(odd, " and ")
	case len(odd) > 0:
		return fmt.Sprintf("takes %s, and %s", n.Need.Text, strings.Join(odd, " and "))
	}
	return "takes " + n.Need.Text
}

// Sentence is a move as it is read.
func (m Move) Sentence() string {
	if m.Text == "" {
		return m.Title + "."
	}
	return m.Title + ". " + m.Text
}

// Numbered is a move as it is read beside a drawing that has the numbers of the list of cuts.
func (m Move) Numbered() string {
	var numbers []string
	for _, p := range m.Parts {
		if n := strconv.Itoa(p.Cut + 1); !slices.Contains(numbers, n) {
			numbers = append(numbers, n)
		}
	}
	if len(numbers) == 0 {
		return m.Sentence()
	}
	return fmt.Sprintf("%s (%s)", m.Sentence(), strings.Join(numbers, ", "))
}

// Said is odd pieces with their size.
func (o OddLay) Said() string {
	if o.Count == 1 {
		return fmt.Sprintf("an offcut, %s × %s", o.Width.Text, o.Length.Text)
	}
	return fmt.Sprintf("%d offcuts, %s × %s each", o.Count, o.Width.Text, o.Length.Text)
}

// Used are the odd pieces that are cut for it.
func (n ClothNeed) Used() []stock.Used {
	var used []stock.Used
	for _, o := range n.Odd {
		used = append(used, stock.Used{Width: length.Length(o.Width.NM), Length: length.Length(o.Length.NM),
			Count: o.Count})
	}
	return used
}

// Left is what is left over when it is cut: of the length that it takes, with the
// shrinkage that was reckoned with, and of its odd pieces. A free lay leaves only odd
// bits.
func (n ClothNeed) Left() []lay.Odd {
	var out []lay.Odd
	if len(n.Lay.Strips) > 0 {
		out = append(out, asLay(n.Lay).Left(length.Length(n.Length.NM), stock.Least)...)
	}
	for _, o := range n.Odd {
		for _, left := range asLay(o.Lay).Left(length.Length(o.Length.NM), stock.Least) {
			left.Count *= o.Count
			out = append(out, left)
		}
	}
	return out
}

// asLay is a lay that was reckoned, as it was before it was written down.
func asLay(l Lay) lay.Lay {
	out := lay.Lay{Width: length.Length(l.Width.NM), Length: length.Length(l.Length.NM)}
	for _, s := range l.Strips {
		out.Strips = append(out.Strips, lay.Strip{Y: length.Length(s.Y.NM), Height: length.Length(s.Height.NM)})
	}
	for _, p := range l.Placed {
		one := lay.Placed{Cut: p.Cut, X: length.Length(p.X.NM), Y: length.Length(p.Y.NM),
			Width: length.Length(p.Width.NM), Height: length.Length(p.Height.NM), Strip: p.Strip, Column: p.Column}
		one.Room = lay.Rect{X: one.X, Y: one.Y, Width: one.Width, Height: one.Height} // what was kept for more is left
		out.Placed = append(out.Placed, one)
		if s := &out.Strips[p.Strip-1]; one.X+one.Width > s.Used {
			s.Used = one.X + one.Width
		}
	}
	return out
}

// Wants are what a plan still takes of its cloths: none of those whose cuts are all made.
func (r Reckoning) Wants(p plan.Plan, title string) []shopping.Want {
	p = p.Settle()
	var wants []shopping.Want
	for _, n := range r.Cloths {
		if n.Done {
			continue
		}
		c, _ := p.Cloth(n.Cloth)
		w := shopping.Want{Plan: title, Cloth: n.Name, Need: length.Length(n.Need.NM), From: shopping.Shop,
			Price: c.Price, Per: c.Per, Sold: c.Sold, Pieces: n.Pieces}
		for _, o := range n.Odd {
			w.Odd += o.Count
		}
		switch {
		case w.Need == 0 && w.Odd == 0:
			continue
		case w.Need == 0:
			w.From = shopping.Cupboard // odd pieces are all it takes
		case n.Have == nil || n.Short.NM > 0:
		case c.Have != nil:
			w.From = shopping.Own
		default:
			w.From = shopping.Cupboard
		}
		wants = append(wants, w)
	}
	return wants
}

// Things are what a plan takes beside cloth, for all its covers.
func (r Reckoning) Things(p plan.Plan, title string) []shopping.ThingWant {
	covers := p.Settle().Copies
	var out []shopping.ThingWant
	for _, n := range r.Lengths {
		out = append(out, shopping.ThingWant{Plan: title, What: n.What, Length: length.Length(n.Length.NM),
			Count: covers})
	}
	if n := r.Counts[shopping.Buttons]; n > 0 {
		out = append(out, shopping.ThingWant{Plan: title, What: shopping.Buttons, Count: n * covers})
	}
	return out
}
