package answer

import (
	"umschlag/core/length"
	"umschlag/core/sum"
)

// FoldShown is a cover between flat and closed, in millimetres and radians: x right and y
// down on every piece with its right side up, z to the inside.
type FoldShown struct {
	// Leaves are flat parts of pieces, each after the one it hangs on.
	Leaves []FoldLeaf `json:"leaves"`
	// Pieces say what shows of each beside its face.
	Pieces []FoldPiece `json:"pieces"`
	Solids []FoldSolid `json:"solids"`
	// Inside is what the closed cover leaves room for, an axis each.
	Inside []FoldInside `json:"inside"`
	// Size is the longest side of the box round it, closed or flat.
	Size float64 `json:"size"`
	// Fills tells that it has something soft inside.
	Fills bool `json:"fills"`
}

// FoldPiece is what shows of a piece when it is folded, beside its face.
type FoldPiece struct {
	Name string `json:"name"`
	// Lining is the letter of the cloth on its inside, empty where its face is seen from
	// behind.
	Lining string `json:"lining"`
	// Puff is how far its layers stand up between lines of quilting, in millimetres.
	Puff float64 `json:"puff"`
	// Edgings are piping and binding along its edges.
	Edgings []FoldEdging `json:"edgings"`
}

// FoldEdging is a strip of another cloth along an edge.
type FoldEdging struct {
	What  string `json:"what"`
	Cloth string `json:"cloth"`
	// Path along the edge, and Width of what shows on the piece, in millimetres.
	Path  []Vertex `json:"path"`
	Width float64  `json:"width"`
}

// FoldLeaf is a part of a piece that stays flat, and how it hangs on another.
type FoldLeaf struct {
	Piece string `json:"piece"`
	Copy  int    `json:"copy"`
	// Parent it hangs on, by its number; -1 for the one that everything hangs on.
	Parent int `json:"parent"`
	// Own is the axis on its own piece and On the same axis on its parent's: a point and a
	// direction. It turns by Turn between From and To of the folding, what lies right of the
	// axis going to the inside.
	Own  [3]float64 `json:"own"`
	On   [3]float64 `json:"on"`
	Turn float64    `json:"turn"`
	From float64    `json:"from"`
	To   float64    `json:"to"`
	// Points on the piece, Lifts what filling moves each by, and Triangles over them.
	Points    [][2]float64 `json:"points"`
	Lifts     [][3]float64 `json:"lifts"`
	Triangles [][3]int     `json:"triangles"`
}

// FoldSolid is a box inside the closed cover: box, out for what sticks out of it, board or
// pages.
type FoldSolid struct {
	Kind string     `json:"kind"`
	Min  [3]float64 `json:"min"`
	Max  [3]float64 `json:"max"`
}

// FoldInside is the room of the closed cover along one axis.
type FoldInside struct {
	Name string `json:"name"`
	// Room the closed cover leaves, and the sum it should come to.
	Room L      `json:"room"`
	Sum  []Term `json:"sum"`
	Text string `json:"text"`
	// Fits tells that they agree.
	Fits bool `json:"fits"`
}

// TermsOf are the terms of a sum as a style writes them.
func TermsOf(s sum.Sum, style length.Style) []Term {
	terms := make([]Term, len(s))
	for i, t := range s {
		terms[i] = Term{Term: t.Name, Amount: Show(t.Amount, style), Kind: string(t.Kind)}
		terms[i].Again = i > 0 && alike(terms[i-1], terms[i])
	}
	return terms
}
