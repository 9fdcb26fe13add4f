package front

import (
	"slices"

	"umschlag/core/block"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// UnitKind is units of a face that are the same whichever way they are turned, of the same cloths.
type UnitKind struct {
	// Alike is what they are known by: their cloths by their letters, and their size as sewn, raw edge to raw edge.
	block.Alike
	// Unit is the place among the units of the face of those they are sewn with.
	Unit int
	// Count is how many the face has.
	Count int
	// Takes is what one of them is sewn from.
	Takes []Take
}

// Take is how many patches of a kind a unit is sewn from, by the places of their parts in the face: what is cut for it
// comes from the first before it comes from the next.
type Take struct {
	Parts   []int
	Patches int
}

// Made is so many units that are there already, left from other covers.
type Made struct {
	block.Alike
	Count int
}

// MadeOf are the units that a plan has already; those that cannot be read as units are none.
func MadeOf(p plan.Plan) []Made {
	var out []Made
	for _, m := range p.Made {
		if a, err := block.ReadAlike(m.Cells, m.Cloths, m.Width, m.Height); err == nil {
			out = append(out, Made{Alike: a, Count: m.Count})
		}
	}
	return out
}

// there is how many patches of each group come in units that are there already.
func there(g *gridder) map[*group]int {
	out := map[*group]int{}
	if len(g.Made) == 0 || !g.blocks {
		return out
	}
	list, _ := g.node.Units(g.sewnW, g.sewnH)
	left := map[int]int{}
	for i, m := range g.Made {
		left[i] = m.Count / max(1, g.Copies)
	}
	for _, u := range list {
		for _, own := range owns(g) {
			a, ok := kindOf(g, u, own.cloth)
			i := slices.IndexFunc(g.Made, func(m Made) bool { return m.Is(a) })
			if !ok || i < 0 {
				continue
			}
			n := min(left[i], u.Count*own.count)
			left[i] -= n
			patches, _ := u.Node.Divide(u.Width, u.Height)
			for _, p := range patches {
				key, _ := keyOf(g, ofBlock(g, p, own.cloth))
				out[g.groups[key]] += n
			}
		}
	}
	return out
}

// kindOf is what a unit is known by where blocks have a cloth of their own, as it is sewn.
func kindOf(g *gridder, u block.Unit, own string) (block.Alike, bool) {
	a, ok := u.Alike(func(letter string) string { return g.clothOf(letter, own) })
	a.Width, a.Height = a.Width+2*g.Seam, a.Height+2*g.Seam
	return a, ok
}

// addKinds tells what the units of a place in the list are known by, and what each is sewn from: those of every block
// by themselves where blocks have a cloth of their own.
func addKinds(g *gridder, at int, u block.Unit) {
	for _, own := range owns(g) {
		a, _ := kindOf(g, u, own.cloth)
		takes, ok := takesOf(g, u, own.cloth)
		if !ok {
			continue
		}
		i := slices.IndexFunc(g.Kinds, func(b UnitKind) bool {
			return b.Unit == at && b.Is(a) && slices.EqualFunc(b.Takes, takes, Take.same)
		})
		if i < 0 {
			i = len(g.Kinds)
			g.Kinds = append(g.Kinds, UnitKind{Alike: a, Unit: at, Takes: takes})
		}
		g.Kinds[i].Count += u.Count * own.count
	}
}

func (t Take) same(o Take) bool { return t.Patches == o.Patches && slices.Equal(t.Parts, o.Parts) }

// own is a cloth that so many blocks have for their own.
type own struct {
	cloth string
	count int
}

// owns are the cloths that blocks have for their own, as first met.
func owns(g *gridder) []own {
	var out []own
	for _, row := range g.cloths {
		for _, cloth := range row {
			i := slices.IndexFunc(out, func(o own) bool { return o.cloth == cloth })
			if i < 0 {
				i = len(out)
				out = append(out, own{cloth: cloth})
			}
			out[i].count++
		}
	}
	return out
}

// takesOf is what a unit is sewn from; ok is false where some of it is cut across strips.
func takesOf(g *gridder, u block.Unit, own string) (takes []Take, ok bool) {
	patches, err := u.Node.Divide(u.Width, u.Height)
	if err != nil {
		return nil, false // said already where the block was divided
	}
	for _, p := range patches {
		key, _ := keyOf(g, ofBlock(g, p, own))
		grp := g.groups[key]
		if grp == nil || g.Parts[grp.part].Role == SetStrip {
			return nil, false
		}
		parts := []int{grp.part}
		if i := slices.IndexFunc(g.Parts, func(q Part) bool {
			return q.Ref.Role == ref.BlockEights && q.Ref.No == grp.named.No && q.Ref.Cloth == grp.cloth
		}); i >= 0 && i != grp.part {
			parts = append(parts, i)
		}
		i := slices.IndexFunc(takes, func(t Take) bool { return t.Parts[0] == grp.part })
		if i < 0 {
			i = len(takes)
			takes = append(takes, Take{Parts: parts})
		}
		takes[i].Patches++
	}
	return takes, true
}

// moved is the same in a face that has so many units and parts before it.
func (a UnitKind) moved(units, parts int) UnitKind {
	a.Unit += units
	takes := make([]Take, len(a.Takes))
	for i, t := range a.Takes {
		takes[i] = Take{Patches: t.Patches}
		for _, p := range t.Parts {
			takes[i].Parts = append(takes[i].Parts, p+parts)
		}
	}
	a.Takes = takes
	return a
}
