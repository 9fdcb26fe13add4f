package reckon

import (
	"fmt"
	"strings"

	"umschlag/core/answer"

	"umschlag/core/applique"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/shape"
	"umschlag/core/sum"
)

// ground is a piece with shapes on it.
type ground struct {
	piece  string
	layers []applique.Layer
	on     applique.Ground
}

// shapes shows what is laid on a face, cuts it, and keeps it to be judged.
func (r *run) shapes(out *answer.Piece, piece cover.Piece, p panel) {
	out.Shapes, out.Threads = []answer.Shape{}, []answer.Thread{}
	if len(p.applied) == 0 {
		return
	}
	r.grounds = append(r.grounds, ground{piece: piece.Name, layers: p.applied, on: applique.Ground{Piece: strings.ToLower(piece.Title), Style: r.style,
		Width: p.face.Finished.Width.Total(), Height: p.face.Finished.Height.Total(), Outline: piece.Line(), Shaped: piece.Shaped()}})
	for _, l := range p.applied {
		out.Shapes = append(out.Shapes, r.shapeOn(l))
	}
	r.cutShapes(piece, p.applied)
	for i, t := range applique.Threads(p.applied) {
		out.Threads = append(out.Threads, answer.Thread{Cloth: t.Cloth, Stitch: applique.StitchOf(t.Edge).Title, Darker: t.Edge == plan.DrawnLine, Late: t.Late, Shapes: t.Layers, Seam: r.l(t.Seam.Total()), Length: r.l(t.Length)})
		r.explainSum(fmt.Sprintf("%s.thread.%d", piece.Name, i+1), t.Seam)
		cloth, _ := r.p.Cloth(t.Cloth)
		name := fmt.Sprintf("thread for %s, %s", cloth.Name, applique.StitchOf(t.Edge).Title)
		if t.Edge == plan.DrawnLine {
			name = fmt.Sprintf("darker thread for %s, %s", cloth.Name, applique.StitchOf(t.Edge).Title)
		}
		r.threadNotion(name, t.Length.Times(piece.Count))
	}
	r.out.Counts["shapes"] += len(p.applied) * piece.Count
}

// threadNotion adds to a thread that may be needed on several pieces or late as well.
func (r *run) threadNotion(name string, l length.Length) {
	for i, n := range r.out.Lengths {
		if n.What == name {
			s := sum.Of(sum.Part, "before", length.Length(n.Length.NM)).Plus(sum.Part, "more of it", l)
			r.out.Lengths[i].Length = r.l(s.Total())
			r.explainSum(name, s)
			return
		}
	}
	r.notion(name, sum.Of(sum.Part, "what shows, by the thread its stitch takes", l))
}

// shapeOn is a shape as it is shown.
func (r *run) shapeOn(l applique.Layer) answer.Shape {
	out := answer.Shape{Index: l.Index, About: l.About, Title: l.Title, Twin: l.Twin, Cloth: l.Shape.Cloth, Stitch: applique.StitchOf(l.Shape.Edge).Title, Line: l.Line(), Late: l.Late, Level: l.Level,
		Path: inMillimetres(l.Path).Text(), Sewn: stretches(l.Edge, true), Covered: stretches(l.Edge, false),
		Box:  answer.Box{X: int64(l.X), Y: int64(l.Y), Width: int64(l.Width), Height: int64(l.Height)},
		From: answer.Distances{Left: r.l(l.From.Left), Right: r.l(l.From.Right), Top: r.l(l.From.Top), Bottom: r.l(l.From.Bottom)},
		Size: answer.Size{Width: r.l(l.Width), Height: r.l(l.Height)}, Shows: r.l(l.Shows), Round: r.l(l.Round)}
	if l.Lapped {
		lap := r.l(l.Lap)
		out.Lap = &lap
	}
	return out
}

func inMillimetres(p shape.Path) shape.Path { return p.Mapped(shape.Scale(1e-6, 1e-6)) }

// drawn is how far a drawn edge may lie off its curve, in nanometres.
const drawn = 50_000

// stretches are the stretches of an edge that show, or those that do not, drawn with as
// few points as do.
func stretches(edge []applique.Stretch, shows bool) string {
	var p shape.Path
	for _, s := range edge {
		if s.Shows != shows || len(s.Points) == 0 {
			continue
		}
		points := shape.Thinned(s.Points, drawn)
		run := shape.Run{Start: points[0], Closed: s.Closed}
		for _, q := range points[1:] {
			run.Segments = append(run.Segments, shape.Segment{To: q})
		}
		p = append(p, run)
	}
	return inMillimetres(p).Text()
}

// cutShapes adds what shapes are cut from, twins that are alike together, and their web.
func (r *run) cutShapes(piece cover.Piece, layers []applique.Layer) {
	for i, l := range layers {
		if l.Line() {
			continue
		}
		if i > 0 && l.Twin && l.SameTemplate(layers[i-1].Placed) {
			continue // cut with the first of the two
		}
		count := piece.Count
		if i+1 < len(layers) && layers[i+1].Twin && !l.Twin && l.SameTemplate(layers[i+1].Placed) {
			count *= 2
		}
		described, _ := r.p.Cloth(l.Shape.Cloth)
		c := cutting{is: ref.About{Piece: piece.Name, Of: l.Key, Twin: l.Twin, Role: ref.Shape}, piece: piece.Name, part: "shape", title: l.Title, cloth: l.Shape.Cloth, size: l.Cut().UpTo(r.p.Habits.Step), count: count, about: l.About, shape: "template",
			mayTurn: described.Print != plan.OneWay, laidOn: true, path: inMillimetres(l.Template()).Text(), inset: l.Inset()}
		r.cut(c)
		if l.Fused() {
			c.is.Role = ref.WebOfShape
			c.part, c.layer, c.cloth, c.title, c.shape, c.path, c.mayTurn = "web", "web", plan.WebCloth, "Web for “"+l.Title+"”", "", "", true
			r.cut(c)
		}
	}
}

// judgeShapes finds what cannot be sewn as it lies, when the fittings have their places.
func (r *run) judgeShapes() {
	for _, g := range r.grounds {
		for _, f := range r.out.Fittings {
			if f.On != g.piece {
				continue
			}
			for _, b := range f.Boxes {
				g.on.Fittings = append(g.on.Fittings, applique.Fitting{Title: strings.ToLower(f.Title), X: length.Length(b.X), Y: length.Length(b.Y), Width: length.Length(b.Width), Height: length.Length(b.Height)})
			}
		}
		r.find(applique.Judge(g.layers, g.on))
	}
}

// MoveShape is the place of a shape of the plan, by the path of its face and its number
// there, with the corner of the rectangle round it brought to x and y, in nanometres on
// its piece. ok is false where it cannot be reckoned.
func MoveShape(p plan.Plan, about string, x, y length.Length) (at plan.At, ok bool) {
	settled := p.Settle()
	if settled.Validate().Stopped() {
		return plan.At{}, false
	}
	c, found := cover.Pieces(settled)
	if found.Stopped() {
		return plan.At{}, false
	}
	r := &run{p: settled, style: settled.Style(), out: empty(settled)}
	for _, piece := range c.Pieces {
		at := r.keeper(piece.Config, func(q plan.Piece) bool { return q.Face != nil })
		f := placedFace{face: r.faceOf(settled.Piece(piece.Config)), path: finding.Path("pieces", at) + "/face", size: piece.Finished}
		if where, index, is := f.find(about); is {
			order := front.AppliqueOf(where.face, where.path, where.size, settled.Habits.Step)
			return order.Moved(index, x, y-where.top)
		}
	}
	return plan.At{}, false
}

// placedFace is a face, or a part of a stack, where it begins on its piece.
type placedFace struct {
	face plan.Face
	path string
	size sum.Size
	top  length.Length
}

// find is the face that has a shape, and the shape's number there.
func (f placedFace) find(about string) (placedFace, int, bool) {
	for i := range f.face.Applique {
		if about == fmt.Sprintf("%s/applique/%d", f.path, i) {
			return f, i, true
		}
	}
	top := f.top
	for i, part := range f.face.Parts {
		sub := placedFace{face: part.Face, path: fmt.Sprintf("%s/parts/%d/face", f.path, i), top: top,
			size: sum.Size{Width: f.size.Width, Height: sum.Of(sum.Part, "height of the part", part.Height)}}
		if where, index, is := sub.find(about); is {
			return where, index, true
		}
		top += part.Height
	}
	return placedFace{}, 0, false
}
