package reckon

import (
	"fmt"
	"maps"
	"slices"

	"umschlag/core/answer"

	"umschlag/core/finding"
	"umschlag/core/front"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/stock"
)

// centred tells whether a part of a face has its middle on a motif of its cloth.
func (r *run) centred(piece string, part front.Part) bool {
	face := r.p.Piece(piece).Face
	if face == nil || !face.Centred || part.Had || part.Role != front.Panel && part.Role != front.Patch {
		return false
	}
	c, _ := r.p.Cloth(part.Cloth)
	return c.Repeat != nil
}

// judgeCentred says where a face is to be centred on motifs nobody measured.
func (r *run) judgeCentred() {
	for _, name := range slices.Sorted(maps.Keys(r.p.Pieces)) {
		face := r.p.Piece(name).Face
		if face == nil || !face.Centred {
			continue
		}
		var letters []string
		for _, letter := range append([]string{face.Cloth}, face.Cloths...) {
			if letter != "" {
				letters = append(letters, letter)
			}
		}
		if len(letters) == 0 || slices.ContainsFunc(letters, func(letter string) bool { c, _ := r.p.Cloth(letter); return c.Repeat != nil }) {
			continue
		}
		c, _ := r.p.Cloth(letters[0])
		r.find(finding.List{{Level: finding.Warn, Code: "repeat-unknown", About: finding.Path("cloths", letters[0], "repeat"),
			Text:   fmt.Sprintf("Pieces of %s are to be centred on its motif, and nobody said how far it is from one to the next.", c.Name),
			Remedy: "Measure from the middle of a motif to the middle of the next, across and along, and say it with the cloth."}})
	}
}

// cloth lays one cloth out: what odd pieces give first, the rest on the length.
func (r *run) cloth(letter string, items []lay.Item) {
	c, described := r.p.Cloth(letter)
	if !described {
		r.find(finding.List{{Level: finding.Note, Code: "cloth-undescribed", About: finding.Path("cloths", letter),
			Text:   fmt.Sprintf("Cloth %s is not described; it is taken as plain, with %s between the selvedges.", letter, r.style.Text(*c.Usable)),
			Remedy: "Say how wide it is and how it is printed."}})
	}
	on := lay.Cloth{Usable: *c.Usable}
	if c.Repeat != nil {
		on.Across, on.Along = c.Repeat.Across, c.Repeat.Along
	}
	have, odd := r.stock(c)
	returned := slices.Contains(r.p.Progress.Returned, letter)
	if returned { // it was cut from what the cupboard held then
		have, odd = nil, nil
	}
	fromOdd, rest := lay.FromOdd(items, on, odd)
	laid, over := r.laid(letter, rest, on)
	for _, n := range r.needs {
		if slices.Contains(over, n.item.Cut) {
			r.find(finding.List{lay.TooWide(n.about, n.title, c.Name, n.item.Width, *c.Usable, r.style)})
		}
	}
	r.stretches(letter, c)
	wanted := lay.Need(laid, c.Shrink/100)
	out := answer.ClothNeed{Cloth: letter, Name: c.Name, Length: r.l(laid.Length), Need: r.l(wanted), Short: r.l(0), Lay: r.lay(laid), Odd: r.oddLays(fromOdd, odd),
		Done: r.allCutOf(letter), Sought: len(r.p.Lays[letter].Way) > 0, Returned: returned}
	held, there := r.cupboard[c.Name]
	out.InCupboard = there && c.Have == nil && len(c.Odd) == 0
	kept, keptOdd := stock.Holds(held, r.id)
	if r.id != "" && (kept > 0 || keptOdd > 0) {
		out.Kept = &answer.Kept{Length: r.l(kept), Odd: keptOdd}
	}
	r.amounts(&out, letter, c, have, wanted)
	r.out.Cloths = append(r.out.Cloths, out)
}

// amounts sets what there is beside what is needed. What is cut already is not short.
func (r *run) amounts(out *answer.ClothNeed, letter string, c plan.Cloth, have *length.Length, wanted length.Length) {
	buy := lay.Buy(wanted, r.p.Units)
	if have != nil {
		shown := r.l(*have)
		out.Have = &shown
	}
	switch {
	case out.Done || have != nil && *have >= wanted:
		buy = 0
	case have != nil:
		out.Short = r.l(wanted - *have)
		r.find(finding.List{{Level: finding.Warn, Code: "cloth-short", About: finding.Path("cloths", letter, "have"),
			Text:   fmt.Sprintf("There are %s of %s, and %s are needed: %s short.", r.style.Text(*have), c.Name, r.style.Text(wanted), r.style.Text(wanted-*have)),
			Remedy: fmt.Sprintf("Buy %s in one piece, or use another cloth where it does not show.", r.style.Yards(buy))}})
	}
	out.Buy, out.BuyText = r.l(buy), r.style.Yards(buy)
}

// laid is the lay of what is cut from the length, of the plan's school; a lay that was
// sought and found stays the shortest.
func (r *run) laid(letter string, items []lay.Item, on lay.Cloth) (lay.Lay, []int) {
	if r.p.Habits.Lay == plan.TemplateLays {
		return lay.Freely(items, on)
	}
	laid, over := lay.Of(items, on)
	if way := r.p.Lays[letter].Way; len(way) > 0 {
		if sought := lay.Along(items, on, way); sought.Better(laid) {
			laid = sought
		}
	}
	return laid, over
}

// stock is what there is of a cloth: as the plan says, or as the cupboard does.
func (r *run) stock(c plan.Cloth) (*length.Length, []lay.Odd) {
	if c.Have != nil || len(c.Odd) > 0 {
		return stock.Free(c, "")
	}
	return stock.Free(r.cupboard[c.Name], r.id)
}

// stretches says that a cloth that can be pulled wants something firm behind it.
func (r *run) stretches(letter string, c plan.Cloth) {
	if held, known := r.cupboard[c.Name]; known && c.Stretch == 0 {
		c.Stretch = held.Stretch
	}
	if c.Stretch < firm {
		return
	}
	for _, cut := range r.out.Cuts {
		q := r.p.Piece(cut.Piece)
		if cut.Cloth != letter || cut.Layer != "outer" || q.Layers != nil && (q.Layers.Lining != "" || q.Layers.Stiffener != "") {
			continue
		}
		r.find(finding.List{{Level: finding.Warn, Code: "cloth-stretches", About: finding.Path("cloths", letter, "stretch"),
			Text:   fmt.Sprintf("%s can be pulled %g %% longer, and nothing firm lies behind it: pieces come out of shape.", c.Name, c.Stretch),
			Remedy: "Line it with a firm cloth, or iron a stiffener behind it, before it is cut."}})
		return
	}
}

// firm is how little a cloth gives, in percent, that needs nothing behind it. Common
// practice.
const firm = 5

// allCutOf reports whether everything that is cut from a cloth is cut.
func (r *run) allCutOf(letter string) bool {
	return !slices.ContainsFunc(r.out.Cuts, func(c answer.Cut) bool { return c.Cloth == letter && !c.Done })
}

// oddLays are the lays of the odd pieces that are cut, alike ones together.
func (r *run) oddLays(laid []lay.OnOdd, odd []lay.Odd) []answer.OddLay {
	out := []answer.OddLay{}
	var last lay.Lay
	for i, one := range laid {
		o := odd[one.Odd]
		if i > 0 && laid[i-1].Odd == one.Odd && slices.Equal(last.Placed, one.Lay.Placed) {
			out[len(out)-1].Count++
			continue
		}
		last = one.Lay
		out = append(out, answer.OddLay{Width: r.l(o.Width), Length: r.l(o.Length), Count: 1, Lay: r.lay(one.Lay)})
	}
	return out
}

func (r *run) lay(l lay.Lay) answer.Lay { return answer.ShowLay(l, r.style) }
