package reckon

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"umschlag/core/answer"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/fitting"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/core/work"
)

// joinEase is what a seam eases in. Common practice.
const joinEase = 0.01

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
	r.prints(c)
	r.fittings(c)
	r.judgeShapes()
	r.joined(c)
	r.piping(c)
	r.binding(c)
	r.insideTape(c)
	r.enclosed()
	r.form()
	r.cloths()
	if r.stopped() {
		return
	}
	r.shellWork(c, panels)
	r.out.Counts["pieces"] = 0
	for _, cut := range r.out.Cuts {
		r.out.Counts["pieces to cut"] += cut.Count
	}
	for i, p := range c.Pieces {
		r.out.Counts["pieces"] += p.Count
		r.countFace(panels[i].face, p.Count)
	}
}

// shellPiece reckons one piece and puts it and its cuts into the reckoning.
func (r *run) shellPiece(piece cover.Piece) panel {
	p := r.front(piece)
	if r.stopped() {
		return panel{}
	}
	out := answer.Piece{Name: piece.Name, Config: piece.Config, Title: piece.Title, Count: piece.Count, Finished: r.size(p.face.Finished), Trimmed: r.size(p.chain.Trimmed),
		BeforeQuilting: r.size(p.chain.Top), TakeUp: percent(p.chain.TakeUp), TakeUpFrom: string(p.chain.TakeUp.From), TakeUpRange: ranges(p.chain.TakeUp), Quilting: r.quilting(p), Seams: []answer.Seam{}}
	r.explain(piece.Name+".finished", p.face.Finished)
	r.explain(piece.Name, p.chain.Trimmed)
	r.explain(piece.Name+".before_quilting", p.chain.Top)
	r.outlines(&out, piece, p)
	ids := make([]string, len(p.face.Parts))
	for i, part := range p.face.Parts {
		panel := part.Role == front.Panel
		c := cutting{is: partOf(piece.Name, part), piece: piece.Name, part: part.Name, title: part.Title, cloth: part.Cloth, size: part.Size, count: part.Count * piece.Count,
			mayTurn: !panel || piece.Strip, about: p.path + "/face", shape: shapeOf(piece, part), gives: part.Gives, patches: part.Patches * piece.Count, finished: part.Finished, had: part.Had, line: part.Line, centred: r.centred(piece.Name, part)}
		if part.Ref.Role == ref.Panel && part.In == "" && !part.Had {
			c.title = piece.Title
			if c.had = piece.Had; c.had {
				c.title += ", cut already"
			}
		}
		if panel {
			ids[i], p.strips = r.strips(piece.Strip, r.p.Cover.Seam, c)
		} else {
			ids[i] = r.facePart(&p.face.Parts[i], c)
		}
	}
	out.Cells = split(cells(p.face, ids), p.strips)
	for i := 1; i < p.strips; i++ {
		at := p.face.Finished.Width.Total().Times(i).Div(p.strips) - r.p.Cover.Seam
		r.zones = append(r.zones, fitting.Zone{On: piece.Name, Name: fitting.Seam, Box: fitting.Box{X: at, Width: 2 * r.p.Cover.Seam, Height: p.face.Finished.Height.Total()}})
	}
	r.pressing(&out, p)
	r.shapes(&out, piece, p)
	r.under(underneath{piece: piece.Name, name: piece.Name, chain: p.chain, count: piece.Count, about: p.path, strip: piece.Strip})
	r.out.Pieces = append(r.out.Pieces, out)
	return p
}

// prints finds a print with a direction on a piece that goes up one side and down
// the other.
func (r *run) prints(c cover.Cover) {
	for _, piece := range c.Pieces {
		if !piece.Over {
			continue
		}
		for _, cell := range r.out.Pieces[r.index(piece.Name)].Cells {
			cloth, _ := r.p.Cloth(cell.Cloth)
			if cloth.Print != plan.OneWay {
				continue
			}
			f := finding.Finding{Level: finding.Warn, Code: "print-upside-down", About: finding.Path("cloths", cell.Cloth, "print"),
				Text:   fmt.Sprintf("%s is printed one way: on the %s it stands upright on one side and hangs upside down on the other.", cloth.Name, strings.ToLower(piece.Title)),
				Remedy: "Choose a cloth without a direction for it."}
			if r.p.Cover.Kind == "wrap-hood" {
				f.About, f.Remedy = "/cover/split_top", "Split the top by a seam, or choose a cloth without a direction."
			}
			r.find(finding.List{f})
			break
		}
	}
}

func (r *run) index(piece string) int {
	return slices.IndexFunc(r.out.Pieces, func(p answer.Piece) bool { return p.Name == piece })
}

// split draws a part that is joined from n strips as n cells.
func split(list []answer.Cell, n int) []answer.Cell {
	if n < 2 || len(list) != 1 {
		return list
	}
	out := make([]answer.Cell, n)
	for i := range out {
		out[i] = list[0]
		from, to := list[0].Width*int64(i)/int64(n), list[0].Width*int64(i+1)/int64(n)
		out[i].X, out[i].Width = list[0].X+from, to-from
	}
	return out
}

// joined lays the pieces out as they join, draws the seams on them and holds both
// sides of each against each other.
func (r *run) joined(c cover.Cover) {
	r.seams(c)
	r.joins(c)
	for _, row := range c.Net {
		columns := make([][]answer.Spot, len(row))
		for i, column := range row {
			for _, s := range column {
				columns[i] = append(columns[i], answer.Spot{Piece: s.Piece, Quarters: s.Quarters})
			}
		}
		r.out.Net = append(r.out.Net, columns)
	}
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
			for k, run := range j.Runs[side] {
				start := j.Start(k)
				if side == 1 {
					start = -j.Start(0)
				}
				own := pieces[name].Seam(run)
				// Piping is basted to the piece whose seam goes round corners.
				piped := j.Piped > 0 && len(own.Path.Arcs())+len(own.Path.Corners()) > 0
				r.seam(name, i+1, own, other, start, piped)
			}
		}
	}
}

func (r *run) seam(piece string, join int, s, other cover.Seam, start length.Length, piped bool) {
	out := answer.Seam{Join: join, Path: answer.Vertices(outline.Outline(s.Path)), Marks: marks(s.Marks), Clips: []answer.Mark{}}
	stretches := cover.Clips(s.Path, other.Path, start)
	if r.p.Edges.Piping != nil && piped {
		stretches = cover.PipingClips(s.Path, r.p.Cover.Seam)
	}
	for _, stretch := range stretches {
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

func marks(list []cover.Mark) []answer.Mark {
	out := make([]answer.Mark, len(list))
	for i, m := range list {
		out[i] = answer.Mark{X: int64(math.Round(m.X)), Y: int64(math.Round(m.Y)), Direction: m.Direction * 180 / math.Pi}
	}
	return out
}

// joins holds both sides of every seam against each other.
func (r *run) joins(c cover.Cover) {
	for i, j := range c.Joins {
		a, b := j.Lengths[0].Total(), j.Lengths[1].Total()
		r.explainSum(fmt.Sprintf("join.%d.first", i+1), j.Lengths[0])
		r.explainSum(fmt.Sprintf("join.%d.second", i+1), j.Lengths[1])
		fit := fitOf(a, b)
		r.out.Joins = append(r.out.Joins, answer.Join{Title: j.Title, Count: j.Count, Between: j.Between, Lengths: [2]answer.L{r.l(a), r.l(b)}, Off: r.l(a - b), Fit: fit})
		if !j.Judged && fit == "off" {
			r.find(finding.List{{Level: finding.Warn, Code: "join-off", About: "/cover",
				Text:   fmt.Sprintf("%s: %s is %s along the seam and %s is %s.", j.Title, j.Between[0], r.style.Text(a), j.Between[1], r.style.Text(b)),
				Remedy: "Over one percent does not ease in: change a corner or a size."}})
		}
	}
}

// rounding is more, in nanometres, than two ways of working out one seam differ by.
const rounding = 100

// fitOf says how both sides of a seam fit each other.
func fitOf(a, b length.Length) string {
	switch off := (a - b).Abs(); {
	case off <= rounding:
		return "alike"
	case off.Float() <= joinEase*a.Float():
		return "eases"
	default:
		return "off"
	}
}

// shellWork adds steps, binding and thread.
func (r *run) shellWork(c cover.Cover, panels []panel) {
	o := work.ShellOrder{Plan: r.p, Cover: c, Cuts: r.cuts, Fittings: r.sewnOn, Edges: r.edges, Made: r.madeForm}
	for i, p := range panels {
		panel := work.ShellPanel{Piece: c.Pieces[i], Chain: p.chain, Face: p.face, Applied: p.applied, Pressed: p.pressed, Pattern: p.pattern, Strips: p.strips, Surplus: surplus(c.Pieces[i], p.body)}
		if p.piece.Quilted() {
			panel.Quilting = p.piece.Quilting
		}
		o.Panels = append(o.Panels, panel)
	}
	r.steps(work.ShellSteps(o))
	if len(c.Zip) > 0 {
		r.notion("zip", c.Zip)
	}
	r.notion("thread", work.ShellThread(o))
}

// surplus is what the face of a piece has beyond an open edge, to be trimmed off.
func surplus(piece, body cover.Piece) length.Length {
	return max(body.Edges.Bottom.Width-piece.Edges.Bottom.Width, body.Edges.Top.Width-piece.Edges.Top.Width)
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
