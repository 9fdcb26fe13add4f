package show

import (
	"math"
	"slices"
	"strings"

	"umschlag/core/answer"
	"umschlag/core/panel"

	"umschlag/core/cover"
	"umschlag/core/fit"
	"umschlag/core/fold"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Folded is how a plan's cover folds, by its pieces as planned, a front and its back as that came out; without
// leaves where it cannot be reckoned.
func Folded(p plan.Plan) answer.FoldShown {
	out := answer.FoldShown{Leaves: []answer.FoldLeaf{}, Pieces: []answer.FoldPiece{}, Solids: []answer.FoldSolid{},
		Inside: []answer.FoldInside{}}
	p = p.Settle()
	if p.Validate().Stopped() {
		return out
	}
	c, found := cover.Pieces(p)
	if found.Stopped() {
		return out
	}
	differs := cameOut(p, c)
	f := fold.Of(p, c)
	for _, leaf := range f.Leaves {
		out.Leaves = append(out.Leaves, leafShown(leaf))
		out.Fills = out.Fills || len(leaf.Lifts) > 0
	}
	for _, piece := range c.Pieces {
		out.Pieces = append(out.Pieces, pieceFolded(p, c, piece))
	}
	for _, s := range f.Solids {
		out.Solids = append(out.Solids, answer.FoldSolid{Kind: s.Kind, Min: milli3(s.Min), Max: milli3(s.Max)})
	}
	for _, in := range f.Inside {
		if off := length.FromFloat(in.Room) - in.Wanted.Total(); differs && !in.Fits() {
			in.Wanted = in.Wanted.Plus(sum.Measured, "as the front comes out", off)
		}
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

// cameOut gives a front and the back that is cut to it the size at which the front comes out, measured or accepted,
// and tells whether that is another than planned.
func cameOut(p plan.Plan, c cover.Cover) bool {
	if !c.ByBack {
		return false
	}
	top, found := panel.Order{Plan: p}.Of(c.Pieces[0])
	if found.Stopped() {
		return false
	}
	measured, _ := fit.Front(fit.Order{Plan: p, Planned: top.Chain.Trimmed,
		SeamsAcross: top.Face.Crossed(true), SeamsDown: top.Face.Crossed(false)})
	is, planned := measured.Finished(top.Face.Finished), c.Pieces[0].Finished
	for i := range c.Pieces {
		c.Pieces[i].Finished = is
		c.Pieces[i].Radii = c.Pieces[i].Radii.AtMost(min(is.Width.Total(), is.Height.Total()) / 2)
	}
	return panel.Differs(is, planned)
}

// pieceFolded is what shows of a piece beside its face.
func pieceFolded(p plan.Plan, c cover.Cover, piece cover.Piece) answer.FoldPiece {
	out := answer.FoldPiece{Name: piece.Name, Edgings: []answer.FoldEdging{}}
	if l := p.Piece(piece.Config).Layers; l != nil {
		out.Lining = l.Lining
		if l.Batting != nil {
			out.Puff = milli(float64(l.Batting.Count) * l.Batting.Loft.Float())
		}
	}
	if piping := p.Edges.Piping; piping != nil {
		for _, run := range pipedRuns(c, piece.Name) {
			out.Edgings = append(out.Edgings,
				answer.FoldEdging{What: "piping", Cloth: firstOf(piping.Cloth, p),
					Path: pathVertices(piece.Seam(run).Path), Width: milli(piping.Cord.Float())})
		}
	}
	if binding := p.Edges.Binding; binding != nil {
		for _, run := range openRuns(piece) {
			out.Edgings = append(out.Edgings,
				answer.FoldEdging{What: "binding", Cloth: firstOf(binding.Cloth, p),
					Path: pathVertices(piece.Seam(run).Path), Width: 2 * milli(binding.Shows.Float())})
		}
	}
	return out
}

// firstOf is a letter, or that of the first cloth where none is given.
func firstOf(letter string, p plan.Plan) string {
	if letter == "" {
		return panel.FirstCloth(p)
	}
	return letter
}

// pipedRuns are the seams of a piece in which piping is caught.
func pipedRuns(c cover.Cover, name string) []cover.Run {
	var out []cover.Run
	for _, j := range c.Joins {
		for k, between := range j.Between {
			if j.Piped > 0 && (between == name || k == 0 && j.Also == name) {
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

func pathVertices(path outline.Path) []answer.Vertex { return answer.Vertices(outline.Outline(path)) }

func leafShown(leaf fold.Leaf) answer.FoldLeaf {
	h := leaf.Hinge
	out := answer.FoldLeaf{Piece: leaf.Piece, Copy: leaf.Copy, Parent: h.Parent, Own: axisShown(h.Own),
		On: axisShown(h.On), Turn: h.Turn, From: h.From, To: h.To,
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
func insideShown(in fold.Inside, style length.Style) answer.FoldInside {
	room := length.FromFloat(in.Room)
	if in.Fits() {
		room = in.Wanted.Total()
	}
	terms := answer.TermsOf(in.Wanted, style)
	return answer.FoldInside{Name: in.Name, Room: answer.Show(room, style), Sum: terms, Text: answer.WrittenSum(terms),
		Fits: in.Fits()}
}

func axisShown(a fold.Axis) [3]float64 { return [3]float64{milli(a.X), milli(a.Y), a.Angle} }

func milli3(v [3]float64) [3]float64 { return [3]float64{milli(v[0]), milli(v[1]), milli(v[2])} }

// milli is nanometres in millimetres, to the micrometre.
func milli(nm float64) float64 { return math.Round(nm/1e3) / 1e3 }
