package plan

import "umschlag/core/kind"

// FaceRules is what the plan has to know of a kind of face.
type FaceRules struct {
	// Reads are the keys that count for it, beside those that count for every face.
	Reads []string
	// Shapes tells that shapes can be laid on it: not on what is gathered or folded.
	Shapes bool
	// Unsure is the word for why one may come out otherwise than it is cut; empty for one piece of cloth.
	Unsure string
	// Judge finds what is out of its range in one; nil where nothing is.
	Judge func(v *Judge, path string, f Face)
}

// FaceKinds are the kinds of faces, one piece of cloth first. How one is made stands in core/front, what it begins
// as in core/begin.
var FaceKinds kind.Set[FaceRules]

func init() {
	FaceKinds.Add("plain", FaceRules{Shapes: true, Reads: []string{"cloth", "centred", "pocket", "applique"}})
	FaceKinds.Add("grid", FaceRules{Shapes: true, Unsure: "pieced", Judge: judgeGrid,
		Reads: []string{"cloth", "centred", "triangles_centred", "columns", "rows", "patch", "overhang", "set",
			"block", "cloths", "order", "seed", "keep", "sash", "borders", "applique"}})
	FaceKinds.Add("strips", FaceRules{Shapes: true, Unsure: "pieced", Judge: judgeStrips,
		Reads: []string{"strips", "cloth", "direction", "applique"}})
	FaceKinds.Add("checker", FaceRules{Shapes: true, Unsure: "pieced", Judge: judgeGrid,
		Reads: []string{"columns", "rows", "patch", "overhang", "cloths", "order",
			"borders", "applique"}})
	FaceKinds.Add("stack", FaceRules{Shapes: true, Unsure: "pieced", Judge: judgeStack,
		Reads: []string{"parts", "applique"}})
	FaceKinds.Add("windows", FaceRules{Unsure: "worked", Judge: judgeWindows,
		Reads: []string{"columns", "rows", "unit", "ground", "show", "buttons"}})
	FaceKinds.Add("gathered", FaceRules{Unsure: "worked", Judge: judgeGathers,
		Reads: []string{"cloth", "direction", "ratio", "sample", "sampled"}})
	FaceKinds.Add("found", FaceRules{Shapes: true, Unsure: "found", Judge: judgeFound,
		Reads: []string{"cloth", "centred", "patch", "borders", "panel",
			"backed", "applique"}})
}

// Values are the words for kinds of faces.
func (FaceKind) Values() []string { return FaceKinds.Names() }

// TakesShapes reports whether shapes can be appliquéd to a face of the kind; to one piece of cloth where none is
// named.
func (k FaceKind) TakesShapes() bool {
	rules, known := FaceKinds.Of(string(k))
	return !known || rules.Shapes
}
