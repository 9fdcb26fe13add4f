package compare

import (
	"fmt"
	"maps"
	"slices"

	"umschlag/core/answer"
	"umschlag/core/cutting"
	"umschlag/core/reckon"
	"umschlag/core/supply"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/stock"
)

// Buyer is a plan that has to buy a cloth.
type Buyer struct {
	Title     string
	Plan      plan.Plan
	Reckoning answer.Reckoning
}

// Instead says what could be changed so that less of a cloth is bought: a shorter lay
// that is still to be looked for, the hidden side from another cloth of the cupboard
// that has enough, a grid that takes less, which is tried as long as the purse goes.
func Instead(cloth string, buyers []Buyer, cupboard supply.Cupboard, purse *reckon.Purse) []string {
	out := []string{}
	for _, b := range buyers {
		for _, n := range b.Reckoning.Cloths {
			if n.Name != cloth || n.Short.NM <= 0 && n.Have != nil {
				continue
			}
			out = append(out, b.shorterLay(n)...)
			out = append(out, b.hidden(n, cupboard)...)
			out = append(out, b.otherGrid(n, purse)...)
		}
	}
	return out
}

// shorterLay tells that the lay could still become short enough.
func (b Buyer) shorterLay(n answer.ClothNeed) []string {
	if n.Have == nil || n.Sought || n.Lay.Length.NM-n.Lay.Bound.NM < n.Short.NM || n.Lay.Length.NM == n.Lay.Bound.NM {
		return nil
	}
	return []string{fmt.Sprintf("%s: look for a shorter cutting layout on Cut; %s less would do.", b.Title, n.Short.Text)}
}

// hidden are the pieces nobody sees, which another cloth would do for: linings, and the
// back of a cushion. A cloth that is known to cost more is not named.
func (b Buyer) hidden(n answer.ClothNeed, cupboard supply.Cupboard) []string {
	var area float64
	what := ""
	for _, c := range b.Reckoning.Cuts {
		if c.Cloth != n.Cloth || c.Done || c.Layer != cutting.Lining &&
			(c.Layer != cutting.Outer || c.Piece != "back") {
			continue
		}
		area += float64(c.Total) * float64(c.Width.NM) * float64(c.Height.NM)
		if what == "" {
			what = c.Layer
		}
	}
	if what == "" {
		return nil
	}
	if what == cutting.Outer {
		what = "back"
	}
	price := cupboard[n.Name].Price
	for _, name := range slices.Sorted(maps.Keys(cupboard)) {
		other := cupboard[name].Settle()
		have, _ := stock.Free(cupboard[name], stock.Holder{})
		// Two thirds of a cloth can be used when few large pieces are laid on it.
		if name == n.Name || have == nil || other.Kind != plan.FaceCloth ||
			have.Float()*other.Usable.Float()*2/3 < area || price > 0 && other.Price > price {
			continue
		}
		return []string{fmt.Sprintf("%s: cut the %s, which is out of sight, from %s, of which there are %s.", b.Title,
			what, name, b.Plan.Settle().Style().Yards(*have))}
	}
	return nil
}

// otherGrid tells of a grid of the same size that takes less cloth.
func (b Buyer) otherGrid(n answer.ClothNeed, purse *reckon.Purse) []string {
	settled := b.Plan.Settle()
	for _, name := range slices.Sorted(maps.Keys(settled.Pieces)) {
		face := settled.Piece(name).Face
		if face == nil || face.Kind != plan.GridFace || !slices.Contains(face.Cloths, n.Cloth) || n.Have == nil {
			continue
		}
		better, need, ok := fewerPatches(b.Plan, name, n, purse)
		if ok {
			return []string{fmt.Sprintf("%s: a grid of %d × %d takes %s of it.", b.Title, better.Columns, better.Rows,
				need.Text)}
		}
	}
	return nil
}

// fewerPatches is the grid one column and one row smaller, of larger patches, where the
// cloth there is does for it.
func fewerPatches(p plan.Plan, name string, n answer.ClothNeed, purse *reckon.Purse) (plan.Face, answer.L, bool) {
	q := p.Pieces[name]
	if q.Face == nil || q.Face.Columns < 3 || q.Face.Rows < 3 || q.Face.Sash != nil || q.Face.Order.Rows != nil {
		return plan.Face{}, answer.L{}, false
	}
	face := *q.Face
	grow := func(l length.Length, from int) length.Length { return l.Times(from).Div(from - 1) }
	if !face.Patch.Fit {
		face.Patch = plan.Patch{Width: grow(face.Patch.Width, face.Columns), Height: grow(face.Patch.Height, face.Rows)}
	}
	face.Columns--
	face.Rows--
	q.Face = &face
	p.Pieces = maps.Clone(p.Pieces)
	p.Pieces[name] = q
	r, _ := purse.Reckon(p) // of one that is not tried nothing is told
	for _, other := range r.Cloths {
		if other.Name == n.Name && other.Need.NM <= n.Have.NM {
			return face, other.Need, true
		}
	}
	return plan.Face{}, answer.L{}, false
}
