package work

import "umschlag/core/layers"

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
func (b *builder) closingStack() []Sheet {
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
	face := b.Plan.Piece(piece).Face
	switch {
	case face == nil:
		return ""
	case len(face.Cloths) > 0:
		return face.Cloths[0]
	}
	return face.Cloth
}

func (b *builder) lining(piece string) string {
	if l := b.Plan.Piece(piece).Layers; l != nil {
		return l.Lining
	}
	return ""
}
