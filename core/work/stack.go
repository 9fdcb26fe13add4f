package work

import (
	"strings"
	"umschlag/core/back"
	"umschlag/core/cover"
	"umschlag/core/layers"
	"umschlag/core/ref"
)

// Up is which side of a sheet lies up; empty for what has no sides.
type Up string

// The sides of a cloth.
const (
	RightUp Up = "right"
	WrongUp Up = "wrong"
)

// Sheet is one layer on the table.
type Sheet struct {
	What string `json:"what"`
	Up   Up     `json:"up,omitempty"`
	// Cloth is the letter of its cloth, where it is of one.
	Cloth string `json:"cloth,omitempty"`
}

// layeredStack is what lies on what when layers are put together, from below.
func layeredStack(c layers.Chain, top, cloth string) []Sheet {
	var out []Sheet
	if c.Lining != "" {
		out = append(out, Sheet{What: "lining", Up: WrongUp, Cloth: c.Lining})
	}
	if c.Batting != nil {
		for range max(1, c.Batting.Count) {
			out = append(out, Sheet{What: "batting", Cloth: c.Batting.Cloth})
		}
	}
	return append(out, Sheet{What: top, Up: RightUp, Cloth: cloth})
}

// facing is two pieces right sides together, the first one below.
func facing(below, above Sheet) []Sheet {
	below.Up, above.Up = RightUp, WrongUp
	return []Sheet{below, above}
}

// closingStack is a front and a back as they are sewn together, with the lining over
// them that a folded back may have.
func closingStack(b *builder) []Sheet {
	out := facing(Sheet{What: "front", Cloth: b.faceCloth("front")}, Sheet{What: "back", Cloth: b.faceCloth("back")})
	for _, p := range b.Order.Back.Panels {
		if p.Lining {
			return append(out, Sheet{What: "lining", Up: WrongUp, Cloth: b.lining("back")})
		}
	}
	return out
}

// faceCloth is the cloth of a piece, the first where it has several.
func (b *builder) faceCloth(piece string) string {
	face := cover.Decided(b.Plan, piece).Face
	switch {
	case face == nil:
		return ""
	case len(face.Cloths) > 0:
		return face.Cloths[0]
	}
	return face.Cloth
}

func (b *builder) lining(piece string) string {
	if l := cover.Decided(b.Plan, piece).Layers; l != nil {
		return l.Lining
	}
	return ""
}

// faceUp is a piece by itself, its right side up.
func (b *builder) faceUp(piece string) []Sheet {
	return []Sheet{{What: b.called(piece), Up: RightUp, Cloth: b.faceCloth(piece)}}
}

// called is what a piece is called in a sentence.
func (b *builder) called(piece string) string {
	for _, s := range cover.Slots(b.Plan) {
		if s.Name == piece {
			return strings.ToLower(s.Title)
		}
	}
	return piece
}

// sheetOf is what is made of one of several cloths, by its place among them.
func sheetOf(b *builder, what string, cloths []string, at int) Sheet {
	if at < len(cloths) {
		return Sheet{What: what, Cloth: cloths[at]}
	}
	return Sheet{What: what}
}

// rightOut is a cover turned: its wrong sides together.
func rightOut(b *builder) []Sheet {
	return []Sheet{{What: "back", Up: WrongUp, Cloth: b.faceCloth("back")},
		{What: "front", Up: RightUp, Cloth: b.faceCloth("front")}}
}

// backedBy is the cloth behind a found panel.
func backedBy(b *builder) string {
	if face := cover.Decided(b.Plan, b.on).Face; face != nil {
		return face.Backed
	}
	return ""
}

// borderStack is how the parts of a border are laid on each other.
func borderStack(b *builder, role ref.Role) []Sheet {
	switch role {
	case ref.DoBorderPatches:
		return facing(Sheet{What: "patches so far"}, Sheet{What: "next patch"})
	case ref.DoMitre:
		return facing(Sheet{What: "strip at the side"}, Sheet{What: "strip at the top or the bottom"})
	}
	return facing(Sheet{What: b.on}, Sheet{What: "strip of the border"})
}

// makingStack is how a back is laid for one of the things that are done to it.
func makingStack(b *builder, m back.Making) []Sheet {
	var out []Sheet
	cloths := map[back.Cloth]string{back.BackCloth: b.faceCloth("back"), back.LiningCloth: b.lining("back")}
	for _, s := range m.Stack {
		out = append(out, Sheet{What: s.What, Up: Up(s.Lies), Cloth: cloths[s.Of]})
	}
	return out
}

// joinStack is how two pieces are laid for their seam.
func joinStack(b *builder, j cover.Join) []Sheet {
	first := Sheet{What: b.called(j.Between[0]), Up: RightUp, Cloth: b.faceCloth(j.Between[0])}
	second := Sheet{What: b.called(j.Between[1]), Up: RightUp, Cloth: b.faceCloth(j.Between[1])}
	switch {
	case j.Folded && j.Between[0] == j.Between[1]:
		first.What = "folds of both halves"
		return []Sheet{{What: "zip", Up: RightUp}, first}
	case j.Folded:
		first.What += ", folded"
		return []Sheet{second, first}
	case j.Between == [2]string{"outside", "inside"}:
		second.Up = WrongUp
		return []Sheet{first, {What: "flaps", Up: RightUp}, second}
	}
	return facing(first, second)
}
