package reckon

import (
	"math"
	"slices"
	"strings"

	"umschlag/core/cover"
	"umschlag/core/fold"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
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

// Folded is how a plan's cover folds, by its pieces as planned; without leaves where it
// cannot be reckoned.
func Folded(p plan.Plan) FoldShown {
	out := FoldShown{Leaves: []FoldLeaf{}, Pieces: []FoldPiece{}, Solids: []FoldSolid{}, Inside: []FoldInside{}}
	p = p.Settle()
	if p.Validate().Stopped() {
		return out
	}
	c, found := cover.Pieces(p)
	if found.Stopped() {
		return out
	}
	f := fold.Of(p, c)
	for _, leaf := range f.Leaves {
		out.Leaves = append(out.Leaves, leafShown(leaf))
		out.Fills = out.Fills || len(leaf.Lifts) > 0
	}
	for _, piece := range c.Pieces {
		out.Pieces = append(out.Pieces, pieceFolded(p, c, piece))
	}
	for _, s := range f.Solids {
		out.Solids = append(out.Solids, FoldSolid{Kind: s.Kind, Min: milli3(s.Min), Max: milli3(s.Max)})
	}
	for _, in := range f.Inside {
		out.Inside = append(out.Inside, insideShown(in, p.Style()))
	}
	for _, share := range []float64{0, 1} {
		least, most := f.Reach(share)
		for k := range 3 {
			out.Size = math.Max(out.Size, milli(most[k]-least[k]))
		}
	}
	return out
}

// pieceFolded is what shows of a piece beside its face.
func pieceFolded(p plan.Plan, c cover.Cover, piece cover.Piece) FoldPiece {
	out := FoldPiece{Name: piece.Name, Edgings: []FoldEdging{}}
	if l := p.Piece(piece.Config).Layers; l != nil {
		out.Lining = l.Lining
		if l.Batting != nil {
			out.Puff = milli(float64(l.Batting.Count) * l.Batting.Loft.Float())
		}
	}
	if piping := p.Edges.Piping; piping != nil {
		for _, run := range pipedRuns(c, piece.Name) {
			out.Edgings = append(out.Edgings, FoldEdging{What: "piping", Cloth: firstOf(piping.Cloth, p), Path: pathVertices(piece.Seam(run).Path), Width: milli(piping.Cord.Float())})
		}
	}
	if binding := p.Edges.Binding; binding != nil {
		for _, run := range openRuns(piece) {
			out.Edgings = append(out.Edgings, FoldEdging{What: "binding", Cloth: firstOf(binding.Cloth, p), Path: pathVertices(piece.Seam(run).Path), Width: 2 * milli(binding.Shows.Float())})
		}
	}
	return out
}

// firstOf is a letter, or that of the first cloth where none is given.
func firstOf(letter string, p plan.Plan) string {
	if letter == "" {
		return firstCloth(p)
	}
	return letter
}

// pipedRuns are the seams of a piece in which piping is caught.
func pipedRuns(c cover.Cover, name string) []cover.Run {
	var out []cover.Run
	for _, j := range c.Joins {
		for k, between := range j.Between {
			if j.Piped > 0 && between == name {
				out = append(out, j.Runs[k]...)
			}
		}
	}
	return out
}

// openRuns are the edges of a piece that nothing is sewn to and nothing is turned up at.
func openRuns(piece cover.Piece) []cover.Run {
	var out []cover.Run
	for edge, a := range map[cover.Edge]cover.Allowance{cover.Top: piece.Edges.Top, cover.Bottom: piece.Edges.Bottom} {
		if a.Width == 0 {
			out = append(out, cover.Run{edge})
		}
	}
	slices.SortFunc(out, func(a, b cover.Run) int { return strings.Compare(string(a[0]), string(b[0])) })
	return out
}

func pathVertices(path outline.Path) []Vertex { return vertices(outline.Outline(path)) }

func leafShown(leaf fold.Leaf) FoldLeaf {
	h := leaf.Hinge
	out := FoldLeaf{Piece: leaf.Piece, Copy: leaf.Copy, Parent: h.Parent, Own: axisShown(h.Own), On: axisShown(h.On), Turn: h.Turn, From: h.From, To: h.To,
		Points: [][2]float64{}, Lifts: [][3]float64{}, Triangles: leaf.Triangles}
	if out.Triangles == nil {
		out.Triangles = [][3]int{}
	}
	for _, p := range leaf.Points {
		out.Points = append(out.Points, [2]float64{milli(p[0]), milli(p[1])})
	}
	for _, l := range leaf.Lifts {
		out.Lifts = append(out.Lifts, milli3(l))
	}
	return out
}

// insideShown says the room by the sum it agrees with; where it does not, as it is.
func insideShown(in fold.Inside, style length.Style) FoldInside {
	room := length.FromFloat(in.Room)
	if in.Fits() {
		room = in.Wanted.Total()
	}
	terms := termsOf(in.Wanted, style)
	return FoldInside{Name: in.Name, Room: Show(room, style), Sum: terms, Text: WrittenSum(terms), Fits: in.Fits()}
}

// termsOf are the terms of a sum as a style writes them.
func termsOf(s sum.Sum, style length.Style) []Term {
	terms := make([]Term, len(s))
	for i, t := range s {
		terms[i] = Term{Term: t.Name, Amount: Show(t.Amount, style), Kind: string(t.Kind)}
	}
	return terms
}

func axisShown(a fold.Axis) [3]float64 { return [3]float64{milli(a.X), milli(a.Y), a.Angle} }

func milli3(v [3]float64) [3]float64 { return [3]float64{milli(v[0]), milli(v[1]), milli(v[2])} }

// milli is nanometres in millimetres, to the micrometre.
func milli(nm float64) float64 { return math.Round(nm/1e3) / 1e3 }
