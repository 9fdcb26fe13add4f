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

// Free is what a plan may take of a cloth: what is not kept for others. The length is
// nil where nobody said how much there is.
func Free(c plan.Cloth, id string) (have *length.Length, odd []lay.Odd) {
	if c.Have != nil {
		left := *c.Have
		for _, k := range c.Kept {
			if k.For != id {
				left -= k.Length
			}
		}
		left = max(0, left)
		have = &left
	}
	for _, o := range c.Odd {
		if o.For == "" || o.For == id {
			odd = append(odd, lay.Odd{Width: o.Width, Length: o.Length, Count: max(1, o.Count)})
		}
	}
	return have, odd
}

// Holds is how much of the length is kept for a plan, and how many odd pieces.
func Holds(c plan.Cloth, id string) (kept length.Length, odd int) {
	for _, k := range c.Kept {
		if k.For == id {
			kept += k.Length
		}
	}
	for _, o := range c.Odd {
		if o.For == id {
			odd += max(1, o.Count)
		}
	}
	return kept, odd
}

// ErrNothing is returned where a plan takes nothing that could be kept.
var ErrNothing = errors.New("there is nothing of this cloth to keep for it; buy it first, and say how much there is")

// Keep keeps a length and odd pieces for a plan, in place of what was kept for it. What
// others hold is not touched: with too little left the error says so.
func Keep(c plan.Cloth, id string, need length.Length, used []Used) (plan.Cloth, error) {
	c = LetGo(c, id)
	have, _ := Free(c, id)
	if need > 0 && (have == nil || *have < need) {
		if len(used) == 0 {
			return c, ErrNothing
		}
		need = 0 // the rest is bought
	}
	if need > 0 {
		c.Kept = append(c.Kept, plan.Keeping{For: id, Length: need})
	}
	for _, u := range used {
		var err error
		if c.Odd, err = split(c.Odd, u, "", id); err != nil {
			return c, err
		}
	}
	return c, nil
}

// LetGo keeps nothing for a plan any more.
func LetGo(c plan.Cloth, id string) plan.Cloth {
	c.Kept = slices.DeleteFunc(slices.Clone(c.Kept), func(k plan.Keeping) bool { return k.For == id })
	c.Odd = slices.Clone(c.Odd)
	for i := range c.Odd {
		if c.Odd[i].For == id {
			c.Odd[i].For = ""
		}
	}
	c.Odd = gathered(c.Odd)
	return c
}

// Take takes a length and odd pieces out for a plan, what is kept for it first. Without
// enough of the length it takes none: that is bought.
func Take(c plan.Cloth, id string, need length.Length, used []Used) plan.Cloth {
	if have, _ := Free(c, id); have != nil && *have >= need {
		left := *c.Have - need
		c.Have = &left
	}
	c.Kept = slices.DeleteFunc(slices.Clone(c.Kept), func(k plan.Keeping) bool { return k.For == id })
	c.Odd = slices.Clone(c.Odd)
	for _, u := range used {
		for range u.Count {
			for _, of := range []string{id, ""} {
				if odd, err := split(c.Odd, Used{u.Width, u.Length, 1}, of, gone); err == nil {
					c.Odd = odd
					break
				}
			}
		}
	}
	c.Odd = slices.DeleteFunc(c.Odd, func(o plan.OddPiece) bool { return o.For == gone })
	return LetGo(c, id)
}

// gone marks odd pieces on their way out; no plan has such an id.
const gone = "\x00"

// Return takes out what a plan was cut from and puts what was left over of it back.
func Return(c plan.Cloth, id string, need length.Length, used []Used, left []lay.Odd) plan.Cloth {
	c = Take(c, id, need, used)
	for _, o := range left {
		c.Odd = append(c.Odd, plan.OddPiece{Width: o.Width, Length: o.Length, Count: o.Count})
	}
	c.Odd = gathered(c.Odd)
	return c
}

// split marks so many pieces of a size that are of one for another.
func split(odd []plan.OddPiece, u Used, of, by string) ([]plan.OddPiece, error) {
	odd = slices.Clone(odd)
	for left := u.Count; left > 0; {
		i := slices.IndexFunc(odd,
			func(o plan.OddPiece) bool { return o.Width == u.Width && o.Length == u.Length && o.For == of })
		if i < 0 {
			return odd, fmt.Errorf("%d of the odd pieces are not there any more, or are kept for another plan; let them go there first", left)
		}
		n := max(1, odd[i].Count)
		if n <= left {
			odd[i].For = by
			left -= n
			continue
		}
		odd[i].Count = n - left
		odd = append(odd, plan.OddPiece{Width: u.Width, Length: u.Length, Count: left, For: by})
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
			func(p plan.OddPiece) bool { return p.Width == o.Width && p.Length == o.Length && p.For == o.For })
		if i < 0 {
			out = append(out, o)
			continue
		}
		out[i].Count += o.Count
	}
	slices.SortStableFunc(out, func(a, b plan.OddPiece) int {
		return cmp.Or(cmp.Compare(b.Width.Float()*b.Length.Float(), a.Width.Float()*a.Length.Float()),
			cmp.Compare(a.For, b.For))
	})
	return out
}
