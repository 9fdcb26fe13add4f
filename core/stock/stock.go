// Package stock knows what of a cloth in the cupboard a plan may take, how some of it is
// kept for a plan, and what goes back when the plan is cut.
package stock

import (
	"cmp"
	"errors"
	"fmt"
	"slices"

	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
)

// Least is how wide and long an offcut is at least to be worth keeping. Common practice.
const Least = 2 * length.Inch

// Used is how many odd pieces of a size are taken.
type Used struct {
	Width, Length length.Length
	Count         int
}

// Holder is who something is kept for: a cloth of a plan, by its id and the letter of the cloth; without a letter all
// cloths of the plan.
type Holder struct{ Plan, Cloth string }

// Holds reports whether what is kept for a plan and a letter is kept for the holder; what names no letter is kept for
// any.
func (h Holder) Holds(of, letter string) bool {
	return of == h.Plan && (letter == "" || h.Cloth == "" || letter == h.Cloth)
}

// Free is what a plan may take of a cloth: what is not kept for others. The length is
// nil where nobody said how much there is.
func Free(c plan.Cloth, h Holder) (have *length.Length, odd []lay.Odd) {
	if c.Have != nil {
		left := *c.Have
		for _, k := range c.Kept {
			if !h.Holds(k.For, k.Cloth) {
				left -= k.Length
			}
		}
		left = max(0, left)
		have = &left
	}
	for _, o := range c.Odd {
		if o.For == "" || h.Holds(o.For, o.Cloth) {
			odd = append(odd, lay.Odd{Width: o.Width, Length: o.Length, Count: max(1, o.Count)})
		}
	}
	return have, odd
}

// Holds is how much of the length is kept for a plan, and how many odd pieces.
func Holds(c plan.Cloth, h Holder) (kept length.Length, odd int) {
	for _, k := range c.Kept {
		if h.Holds(k.For, k.Cloth) {
			kept += k.Length
		}
	}
	for _, o := range c.Odd {
		if h.Holds(o.For, o.Cloth) {
			odd += max(1, o.Count)
		}
	}
	return kept, odd
}

// ErrNothing is returned where a plan takes nothing that could be kept.
var ErrNothing = errors.New("there is nothing of this fabric to keep for it; buy it first, and say how much there is")

// Keep keeps a length and odd pieces for a plan, in place of what was kept for it. What
// others hold is not touched: with too little left the error says so.
func Keep(c plan.Cloth, h Holder, need length.Length, used []Used) (plan.Cloth, error) {
	c = LetGo(c, h)
	have, _ := Free(c, h)
	if need > 0 && (have == nil || *have < need) {
		if len(used) == 0 {
			return c, ErrNothing
		}
		need = 0 // the rest is bought
	}
	if need > 0 {
		c.Kept = append(c.Kept, plan.Keeping{For: h.Plan, Cloth: h.Cloth, Length: need})
	}
	for _, u := range used {
		var err error
		if c.Odd, err = split(c.Odd, u, Holder{}, h); err != nil {
			return c, err
		}
	}
	return c, nil
}

// LetGo keeps nothing for a plan any more.
func LetGo(c plan.Cloth, h Holder) plan.Cloth {
	c.Kept = slices.DeleteFunc(slices.Clone(c.Kept), func(k plan.Keeping) bool { return h.Holds(k.For, k.Cloth) })
	c.Odd = slices.Clone(c.Odd)
	for i := range c.Odd {
		if h.Holds(c.Odd[i].For, c.Odd[i].Cloth) {
			c.Odd[i].For, c.Odd[i].Cloth = "", ""
		}
	}
	c.Odd = gathered(c.Odd)
	return c
}

// Take takes a length and odd pieces out for a plan, what is kept for it first. Without
// enough of the length it takes none: that is bought.
func Take(c plan.Cloth, h Holder, need length.Length, used []Used) plan.Cloth {
	if have, _ := Free(c, h); have != nil && *have >= need {
		left := *c.Have - need
		c.Have = &left
	}
	c.Kept = slices.DeleteFunc(slices.Clone(c.Kept), func(k plan.Keeping) bool { return h.Holds(k.For, k.Cloth) })
	c.Odd = slices.Clone(c.Odd)
	for _, u := range used {
		for range u.Count {
			for _, of := range []Holder{h, {}} {
				if odd, err := split(c.Odd, Used{u.Width, u.Length, 1}, of, gone); err == nil {
					c.Odd = odd
					break
				}
			}
		}
	}
	c.Odd = slices.DeleteFunc(c.Odd, func(o plan.OddPiece) bool { return o.For == gone.Plan })
	return LetGo(c, h)
}

// gone marks odd pieces on their way out; no plan has such an id.
var gone = Holder{Plan: "\x00"}

// IsBack tells whether what a plan left over of a cloth is back, which it is once.
func IsBack(c plan.Cloth, h Holder) bool { return slices.Contains(c.Back, plan.CutFor(h)) }

// Return takes out what a plan was cut from and puts what was left over of it back.
func Return(c plan.Cloth, h Holder, need length.Length, used []Used, left []lay.Odd) plan.Cloth {
	c = Take(c, h, need, used)
	for _, o := range left {
		c.Odd = append(c.Odd, plan.OddPiece{Width: o.Width, Length: o.Length, Count: o.Count})
	}
	c.Odd = gathered(c.Odd)
	c.Back = append(slices.Clone(c.Back), plan.CutFor(h))
	return c
}

// split marks so many pieces of a size that are of one for another.
func split(odd []plan.OddPiece, u Used, of, by Holder) ([]plan.OddPiece, error) {
	odd = slices.Clone(odd)
	for left := u.Count; left > 0; {
		i := slices.IndexFunc(odd,
			func(o plan.OddPiece) bool {
				return o.Width == u.Width && o.Length == u.Length && of.Holds(o.For, o.Cloth)
			})
		if i < 0 {
			return odd, fmt.Errorf("%d of the offcuts are not there any more, or are kept for another plan; let them go there first", left)
		}
		n := max(1, odd[i].Count)
		if n <= left {
			odd[i].For, odd[i].Cloth = by.Plan, by.Cloth
			left -= n
			continue
		}
		odd[i].Count = n - left
		odd = append(odd, plan.OddPiece{Width: u.Width, Length: u.Length, Count: left, For: by.Plan, Cloth: by.Cloth})
		left = 0
	}
	return odd, nil
}

// gathered puts alike pieces together, the largest first.
func gathered(odd []plan.OddPiece) []plan.OddPiece {
	var out []plan.OddPiece
	for _, o := range odd {
		o.Count = max(1, o.Count)
		i := slices.IndexFunc(out,
			func(p plan.OddPiece) bool {
				return p.Width == o.Width && p.Length == o.Length && p.For == o.For && p.Cloth == o.Cloth
			})
		if i < 0 {
			out = append(out, o)
			continue
		}
		out[i].Count += o.Count
	}
	slices.SortStableFunc(out, func(a, b plan.OddPiece) int {
		return cmp.Or(cmp.Compare(b.Width.Float()*b.Length.Float(), a.Width.Float()*a.Length.Float()),
			cmp.Compare(a.For, b.For), cmp.Compare(a.Cloth, b.Cloth))
	})
	return out
}
