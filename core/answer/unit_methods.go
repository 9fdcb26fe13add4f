package answer

// UnitMethods is what the units of a block can be made from, side by side.
type UnitMethods struct {
	Name    string       `json:"name"`
	Need    int          `json:"need"`
	Methods []UnitMethod `json:"methods"`
}

// UnitMethod is one way of making units.
type UnitMethod struct {
	// School of triangles that does so.
	School string `json:"school"`
	Name   string `json:"name"`
	Cuts   string `json:"cuts"`
	Pieces int    `json:"pieces"`
	Spare  int    `json:"spare"`
	// Cloth of the pieces in square inches or centimetres, and seams that are sewn.
	Cloth string `json:"cloth"`
	Seams int    `json:"seams"`
	// Chosen is the school of the plan; Least takes the least cloth, Quickest the fewest
	// seams.
	Chosen   bool `json:"chosen"`
	Least    bool `json:"least"`
	Quickest bool `json:"quickest"`
}
