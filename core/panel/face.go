package panel

import (
	"maps"
	"slices"

	"umschlag/core/finding"
	"umschlag/core/plan"
	"umschlag/core/sample"
)

// Path is where the plan decides about the face of a piece: under its own name, or for several pieces.
func Path(p plan.Plan, name string) string {
	at := plan.Keeper(p, name, func(q plan.Piece) bool { return q.Face != nil })
	if _, common := p.Pieces[plan.Common]; common && p.Pieces[at].Face == nil {
		at = plan.Common
	}
	return finding.Path("pieces", at)
}

// FirstCloth is the first letter the plan describes, or A.
func FirstCloth(p plan.Plan) string { return Letters(p)[0] }

// Letters are the cloths a new face begins with: the first two of the plan.
func Letters(p plan.Plan) []string {
	out := slices.Sorted(maps.Keys(p.Cloths))
	if len(out) == 0 {
		return []string{"A"}
	}
	return out[:min(2, len(out))]
}

// Face is the face decided, or a plain one, with the first cloth wherever none is named.
func (o Order) Face(q plan.Piece) plan.Face {
	face := plan.Face{Kind: plan.PlainFace}
	if q.Face != nil {
		face = *q.Face
	}
	return o.clothed(face)
}

// clothed is a face with the first cloth wherever none is named.
func (o Order) clothed(face plan.Face) plan.Face {
	first := FirstCloth(o.Plan)
	or := func(cloth string) string {
		if cloth == "" {
			return first
		}
		return cloth
	}
	if len(face.Cloths) == 0 && face.Order.Kind != plan.Rows {
		face.Cloth = or(face.Cloth)
	}
	if s, ok := o.Samples[face.Sample]; ok && face.Kind == plan.GatheredFace && face.Sampled == nil {
		if ratio, known := sample.Gathered(s); known {
			face.Ratio = ratio.Mean
		}
	}
	if face.Kind == plan.WindowsFace {
		face.Ground, face.Show = or(face.Ground), or(face.Show)
	}
	if face.Sash != nil {
		sash := *face.Sash
		sash.Cloth = or(sash.Cloth)
		face.Sash = &sash
	}
	face.Borders = slices.Clone(face.Borders)
	for i, b := range face.Borders {
		face.Borders[i].Cloth = or(b.Cloth)
	}
	face.Strips = slices.Clone(face.Strips)
	for i, s := range face.Strips {
		face.Strips[i].Cloth = or(s.Cloth)
	}
	face.Applique = slices.Clone(face.Applique)
	for i, s := range face.Applique {
		face.Applique[i].Cloth = or(s.Cloth)
	}
	face.Parts = slices.Clone(face.Parts)
	for i, p := range face.Parts {
		face.Parts[i].Face = o.clothed(p.Face)
	}
	return face
}
