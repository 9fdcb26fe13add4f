package reckon

import (
	"fmt"
	"math"
	"slices"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/sum"
	"umschlag/core/work"
)

// joinEase is what a seam eases in. Common practice.
const joinEase = 0.01

// bindingOverlap is what a binding needs to be joined to itself. Common practice.
const bindingOverlap = length.Inch

// shell reckons a cover that is joined from its pieces: each piece, the seams
// between them, cloth and work.
func (r *run) shell(c cover.Cover) {
	panels := make([]panel, len(c.Pieces))
	for i, piece := range c.Pieces {
		panels[i] = r.shellPiece(piece)
		if r.stopped() {
			return
		}
	}
	r.fittings(c)
	r.seams(c)
	r.joins(c)
	r.cloths()
	if r.stopped() {
		return
	}
	r.shellWork(c, panels)
	r.out.Counts["pieces"] = 0
	for _, cut := range r.out.Cuts {
		r.out.Counts["pieces to cut"] += cut.Count
	}
	for _, p := range c.Pieces {
		r.out.Counts["pieces"] += p.Count
	}
}

// shellPiece reckons one piece and puts it and its cuts into the reckoning.
func (r *run) shellPiece(piece cover.Piece) panel {
	q := r.p.Piece(piece.Config)
	if face := r.faceOf(q); face.Kind != plan.PlainFace && !(piece.Even() && piece.Radii.Square()) {
		at := r.keeper(piece.Config, func(q plan.Piece) bool { return q.Face != nil })
		r.find(finding.List{{Level: finding.Stop, Code: "face-edge", About: finding.Path("pieces", at, "face", "kind"),
			Text:   fmt.Sprintf("The %s has an edge without a seam or a rounded corner; a %s face is not reckoned for it here.", piece.Name, face.Kind),
			Remedy: "Give it a plain face."}})
		return panel{}
	}
	p := r.front(piece)
	if r.stopped() {
		return panel{}
	}
	shape := ""
	if !piece.Radii.Square() {
		shape = "template"
	}
	out := Piece{Name: piece.Name, Config: piece.Config, Title: piece.Title, Count: piece.Count, Finished: r.size(p.face.Finished), Trimmed: r.size(p.chain.Trimmed),
		BeforeQuilting: r.size(p.chain.Top), TakeUp: percent(p.chain.TakeUp), Lines: linesOf(p.piece), Seams: []Seam{}}
	r.explain(piece.Name+".finished", p.face.Finished)
	r.explain(piece.Name, p.chain.Trimmed)
	r.explain(piece.Name+".before_quilting", p.chain.Top)
	r.outlines(&out, piece, p)
	ids := make([]string, len(p.face.Parts))
	for i, part := range p.face.Parts {
		title := part.Title
		if part.Role == front.Panel {
			title = piece.Title
		}
		ids[i] = r.cut(cutting{piece: piece.Name, part: part.Name, title: title, cloth: part.Cloth, size: part.Size, count: part.Count * piece.Count,
			mayTurn: part.Role != front.Panel || piece.Turns, about: p.path + "/face", shape: shape})
	}
	for _, cell := range p.face.Cells {
		out.Cells = append(out.Cells, Cell{Cut: ids[cell.Part], Cloth: p.face.Parts[cell.Part].Cloth, X: int64(cell.X), Y: int64(cell.Y),
			Width: int64(cell.Width), Height: int64(cell.Height), Row: cell.Row, Column: cell.Column})
	}
	r.under(piece.Name, piece.Name, p.chain, piece.Count, p.path, "")
	r.out.Pieces = append(r.out.Pieces, out)
	return p
}

// seams draws every join on its pieces.
func (r *run) seams(c cover.Cover) {
	pieces := map[string]cover.Piece{}
	for _, p := range c.Pieces {
		pieces[p.Name] = p
	}
	for i, j := range c.Joins {
		for side, name := range j.Between {
			if side == 1 && name == j.Between[0] && slices.EqualFunc(j.Runs[0], j.Runs[1], slices.Equal[cover.Run]) {
				continue // two alike pieces are drawn once
			}
			other := pieces[j.Between[1-side]].Seam(j.Runs[1-side][0])
			for _, run := range j.Runs[side] {
				r.seam(name, i+1, pieces[name].Seam(run), other)
			}
		}
	}
}

func (r *run) seam(piece string, join int, s, other cover.Seam) {
	out := Seam{Join: join, Path: vertices(outline.Outline(s.Path)), Marks: marks(s.Marks), Clips: []Mark{}}
	for _, stretch := range cover.Clips(s.Path, other.Path) {
		for _, at := range stretch {
			x, y, direction := s.Path.At(at)
			out.Clips = append(out.Clips, marks([]cover.Mark{{X: x, Y: y, Direction: direction}})...)
		}
	}
	for i := range r.out.Pieces {
		if r.out.Pieces[i].Name == piece {
			r.out.Pieces[i].Seams = append(r.out.Pieces[i].Seams, out)
		}
	}
}

func marks(list []cover.Mark) []Mark {
	out := make([]Mark, len(list))
	for i, m := range list {
		out[i] = Mark{X: int64(math.Round(m.X)), Y: int64(math.Round(m.Y)), Direction: m.Direction * 180 / math.Pi}
	}
	return out
}

// joins holds both sides of every seam against each other.
func (r *run) joins(c cover.Cover) {
	for i, j := range c.Joins {
		a, b := j.Lengths[0].Total(), j.Lengths[1].Total()
		r.explainSum(fmt.Sprintf("join.%d.first", i+1), j.Lengths[0])
		r.explainSum(fmt.Sprintf("join.%d.second", i+1), j.Lengths[1])
		r.out.Joins = append(r.out.Joins, Join{Title: j.Title, Count: j.Count, Between: j.Between, Lengths: [2]L{r.l(a), r.l(b)}, Off: r.l(a - b)})
		if (a - b).Abs().Float() > joinEase*a.Float() {
			r.find(finding.List{{Level: finding.Warn, Code: "join-off", About: "/cover",
				Text:   fmt.Sprintf("%s: %s is %s along the seam and %s is %s.", j.Title, j.Between[0], r.style.Text(a), j.Between[1], r.style.Text(b)),
				Remedy: "Over one percent does not ease in: change a corner or a size."}})
		}
	}
}

// shellWork adds steps, binding and thread.
func (r *run) shellWork(c cover.Cover, panels []panel) {
	o := work.ShellOrder{Plan: r.p, Cover: c, Cuts: r.cuts, Fittings: r.sewnOn}
	for i, p := range panels {
		panel := work.ShellPanel{Name: c.Pieces[i].Name, Title: c.Pieces[i].Title, Chain: p.chain, Face: p.face, Radii: c.Pieces[i].Radii}
		if p.piece.Quilted() {
			panel.Quilting = p.piece.Quilting
		}
		o.Panels = append(o.Panels, panel)
	}
	for _, s := range work.ShellSteps(o) {
		r.out.Steps = append(r.out.Steps, r.step(s))
	}
	notion := func(what string, s sum.Sum) {
		r.out.Lengths = append(r.out.Lengths, Notion{What: what, Length: r.l(s.Total())})
		r.explainSum(what, s)
	}
	if open := openEdge(c); len(open) > 0 && r.p.Cover.Bottom.Finish != "hem" && r.p.Cover.Bottom.Finish != "raw" {
		notion("binding", open.Plus(sum.Overlap, "overlap where it meets", bindingOverlap))
	}
	notion("thread", work.ShellThread(o))
}

// openEdge is the edge of a hood that is joined to nothing: the bottoms of all
// its pieces.
func openEdge(c cover.Cover) sum.Sum {
	var s sum.Sum
	for _, p := range c.Pieces {
		for _, e := range []struct {
			a    cover.Allowance
			size sum.Sum
		}{{p.Edges.Top, p.Finished.Width}, {p.Edges.Bottom, p.Finished.Width}} {
			if e.a.Kind == sum.Seam {
				continue
			}
			for range p.Count {
				s = s.Plus(sum.Part, p.Title+", open edge", e.size.Total())
			}
		}
	}
	return s
}
