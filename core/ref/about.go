package ref

// About is what a cut or a step is about.
type About struct {
	// Piece of the cover; absent for what belongs to none or to several.
	Piece string `json:"piece,omitempty"`
	// Of is the innermost part of the plan it belongs to: a border, a strip, a shape, a
	// fitting, or the part of a stack; absent where it belongs to the piece as a whole.
	Of Key `json:"of,omitempty"`
	// Twin is the second of two shapes.
	Twin bool `json:"twin,omitempty"`
	// Role is what it is, or what is done.
	Role Role `json:"role"`
	// Edge where the strips of a border differ, Cloth where there is one for each cloth,
	// Layer of what lies under or inside something.
	Edge  string `json:"edge,omitempty"`
	Cloth string `json:"cloth,omitempty"`
	Layer string `json:"layer,omitempty"`
	// No tells alike things without a key apart, from 1.
	No int `json:"no,omitempty"`
	// Late is what is done to shapes that are laid on late.
	Late bool `json:"late,omitempty"`
	// Part of a stack it lies in, Ring the number of its border, from 1 inside, and Paints
	// where in the face of its piece its cloth is decided, as a JSON pointer; of cuts.
	Part   Key    `json:"part,omitempty"`
	Ring   int    `json:"ring,omitempty"`
	Paints string `json:"paints,omitempty"`
	// Pair of strips of a border, 1 those that are sewn on first, 2 those over them; Level of
	// shapes that are laid on, and Thread the number of the one that sews them, from 1; of
	// steps.
	Pair   int `json:"pair,omitempty"`
	Level  int `json:"level,omitempty"`
	Thread int `json:"thread,omitempty"`
}

// Ref is the name of a thing of a kind that is about this.
func (a About) Ref(kind Kind) Ref {
	return Ref{Kind: kind, Piece: a.Piece, Of: a.Of, Twin: a.Twin, Role: a.Role, Edge: a.Edge, Cloth: a.Cloth,
		Layer: a.Layer, No: a.No, Late: a.Late}
}

// AboutOf is what a ref names.
func AboutOf(r Ref) About {
	return About{Piece: r.Piece, Of: r.Of, Twin: r.Twin, Role: r.Role, Edge: r.Edge, Cloth: r.Cloth, Layer: r.Layer,
		No: r.No, Late: r.Late}
}

// InPair is the pair of strips of a border that a cut is sewn on with.
func (a About) InPair() int {
	switch a.Role {
	case BorderFirst:
		return 1
	case BorderSecond, BorderCorner:
		return 2
	}
	return 0
}
