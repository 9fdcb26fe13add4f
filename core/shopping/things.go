package shopping

import (
	"cmp"
	"math"
	"slices"
	"strings"

	"umschlag/core/length"
	"umschlag/core/plan"
)

// Buttons is what buttons are wanted as.
const Buttons = "buttons"

// ThingWant is what a plan takes beside cloth, for all its covers.
type ThingWant struct {
	Plan, What string
	// Length of one piece, and how many; for buttons only how many.
	Length length.Length
	Count  int
}

// Thing is what all plans together take of something that is not cloth.
type Thing struct {
	What string
	// Notion of the cupboard it is taken from; empty where there is none.
	Notion string
	// Need, Have and Missing are lengths; for what is bought by the piece, they are 0.
	Need, Have, Missing length.Length
	// Pieces are how many are needed of what is bought by the piece, Each the length of
	// one (0 for buttons), There how many the cupboard holds.
	Pieces, There int
	Each          length.Length
	// Packs is how many are bought of what is sold in packs, reels or cards; 0 where it is
	// cut to length, or nothing is bought.
	Packs int
	Cost  float64
	Plans []string
}

// byThePiece tells what cannot be put together from lengths.
func byThePiece(what string) bool { return what == Buttons || strings.HasPrefix(what, "zip") }

// Things puts together what plans want beside cloth and sets the cupboard's notions
// beside it: what is short, how many packs that is, and what they cost. They are in the
// order of their names.
func Things(wants []ThingWant, notions []plan.Notion, unit length.Unit) []Thing {
	var out []Thing
	for _, w := range wants {
		each := length.Length(0)
		if byThePiece(w.What) {
			each = w.Length
		}
		i := slices.IndexFunc(out, func(t Thing) bool { return t.What == w.What && t.Each == each })
		if i < 0 {
			out = append(out, Thing{What: w.What, Each: each})
			i = len(out) - 1
		}
		t := &out[i]
		if byThePiece(w.What) {
			t.Pieces += w.Count
		} else {
			t.Need += w.Length.Times(w.Count)
		}
		if !slices.Contains(t.Plans, w.Plan) {
			t.Plans = append(t.Plans, w.Plan)
		}
	}
	for i := range out {
		out[i].from(notions, unit)
	}
	slices.SortStableFunc(out,
		func(a, b Thing) int { return cmp.Or(cmp.Compare(a.What, b.What), cmp.Compare(a.Each, b.Each)) })
	return out
}

// from sets what the cupboard holds beside what is needed.
func (t *Thing) from(notions []plan.Notion, unit length.Unit) {
	n, _ := t.Of(notions)
	t.Notion = n.Name
	if byThePiece(t.What) {
		t.There = n.Count
		short := max(0, t.Pieces-n.Count)
		t.Packs = (short + max(1, n.PackCount) - 1) / max(1, n.PackCount)
		t.Cost = n.Price * float64(t.Packs)
		return
	}
	t.Have = n.Have
	t.Missing = max(0, t.Need-n.Have)
	if n.Pack > 0 {
		t.Packs = int(math.Ceil(t.Missing.Float() / n.Pack.Float()))
		t.Cost = n.Price * float64(t.Packs)
		return
	}
	t.Cost = CostOf(plan.Cloth{Price: n.Price}, t.Missing, unit)
}

// Bought tells whether any of it has to be bought.
func (t *Thing) Bought() bool { return t.Packs > 0 || t.Missing > 0 }

// Of is the notion that serves, the first of them.
func (t *Thing) Of(notions []plan.Notion) (plan.Notion, bool) {
	i := slices.IndexFunc(notions, t.is)
	if i < 0 {
		return plan.Notion{}, false
	}
	return notions[i], true
}

// is tells whether a notion is what is wanted: by what it is for, and by its length
// where it is bought by the piece.
func (t *Thing) is(n plan.Notion) bool {
	if !Serves(n.For, t.What) {
		return false
	}
	return t.Each == 0 || n.Each >= t.Each
}

// Serves tells whether what a notion is for is what is wanted: the same word, or its
// first part before a comma.
func Serves(purpose, what string) bool {
	purpose = strings.ToLower(strings.TrimSpace(purpose))
	first, _, _ := strings.Cut(what, ",")
	return purpose != "" && (purpose == strings.ToLower(what) || purpose == strings.ToLower(first))
}
