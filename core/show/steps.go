package show

import (
	"fmt"
	"math"
	"slices"

	"umschlag/core/answer"
	"umschlag/core/caution"
	"umschlag/core/length"
	"umschlag/core/machine"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/work"
)

// steps tells the steps in their order: what is changed at the machine for each, what of its piece it is
// about, how long it takes, and in how many parts it is done.
func steps(t *teller) {
	var set machine.SetUp
	var said []caution.Said
	for _, s := range t.Steps {
		said = append(said, s.Caution)
	}
	before := caution.Once(said)
	for i, s := range t.Steps {
		out := step(t, s)
		for k, c := range s.Caution {
			out.Cautions = append(out.Cautions, answer.Caution{Word: c.Word, Text: c.Text, Said: before[i][k]})
		}
		out.Changes = s.Machine.Changes(set)
		if len(out.Changes) > 0 {
			t.out.SetUps++
			set = s.Machine
		}
		t.out.Trips = max(t.out.Trips, s.Trip)
		t.out.Steps = append(t.out.Steps, out)
	}
	aboutCells(t)
	sewing(t)
	divided(t)
	left(t)
}

func step(t *teller, s work.Step) answer.Step {
	out := answer.Step{ID: s.ID, Ref: s.Ref(), About: stepOf(s), Join: s.Join, Edging: s.Edging, Fitting: s.Fitting,
		Reads: string(s.Reads), Stage: string(s.Stage), Title: s.Title, Text: s.Text, Piece: s.Piece,
		Act: string(s.Act), Seams: s.Seams, Turned: s.Turned, Needs: orEmpty(s.Needs), Cuts: orEmpty(s.Cuts),
		Row: s.Row, Bands: s.Bands,
		Press: s.Press, Side: string(s.Side), Machine: s.Machine.Text(), Trip: s.Trip, Rest: s.Rest, Check: s.Check,
		Tips:    s.Tips,
		Caution: s.Caution.Text(), Stack: s.Stack,
		Done: slices.Contains(t.Plan.Progress.Done, s.ID)}
	out.Edges, out.Lying = edgesOf(t, s), lying(t, s)
	if s.Gate != (ref.Ref{}) {
		out.Gate = s.Gate.String()
		expect := t.size(s.Expect)
		out.Expect = &expect
	}
	return out
}

func orEmpty(list []string) []string {
	if list == nil {
		return []string{}
	}
	return list
}

// stepOf is what a step is about.
func stepOf(s work.Step) ref.About {
	return ref.About{Piece: s.Piece, Of: s.Of, Role: s.Role, Edge: s.Edge, Cloth: s.Cloth, No: s.No, Late: s.Late,
		Pair: s.Pair, Level: s.Level, Thread: s.Thread}
}

// aboutCells says of every step which parts of its piece it is about, for the drawings of it:
// the rows, the border, the units.
func aboutCells(t *teller) {
	cuts := make(map[string]ref.About, len(t.out.Cuts))
	for _, c := range t.out.Cuts {
		cuts[c.ID] = c.About
	}
	for i := range t.out.Steps {
		s := &t.out.Steps[i]
		piece := pieceOf(t, s.Piece)
		if piece == nil || len(piece.Cells) == 0 {
			continue
		}
		about := cellsOf(*s, piece.Quilting != nil && piece.Quilting.After)
		if about == nil {
			continue // all of it
		}
		for k, c := range piece.Cells {
			if about(c, cuts[c.Cut]) {
				s.Cells = append(s.Cells, k)
			}
		}
		s.Aside = len(s.Cells) == 0
	}
}

// pieceOf is the piece of a name, or the first where there is none.
func pieceOf(t *teller, name string) *answer.Piece {
	for i := range t.out.Pieces {
		if name == "" || t.out.Pieces[i].Name == name {
			return &t.out.Pieces[i]
		}
	}
	return nil
}

// beforeBorders are what is done to the centre where borders are sewn on after.
var beforeBorders = []ref.Role{ref.DoLayShapes, ref.DoSewShapes, ref.DoLayers, ref.DoQuilt}

// cellsOf tells whether the step is about a cell, which is of a cut; nil where it is about all of
// them. Of a piece whose borders are sewn on after, what is layered and quilted first lies inside them.
func cellsOf(s answer.Step, after bool) func(answer.Cell, ref.About) bool {
	switch role := s.About.Role; {
	case after && slices.Contains(beforeBorders, role), role == ref.DoMeasureCentre:
		return func(_ answer.Cell, cut ref.About) bool { return cut.Ring == 0 }
	case role == ref.DoCutBorders, role == ref.DoQuiltBorders:
		return func(_ answer.Cell, cut ref.About) bool { return cut.Ring > 0 }
	case role == ref.DoJoinUnits: // nothing is laid over them yet
		return func(_ answer.Cell, cut ref.About) bool { return cut.Role != ref.Window && cut.Role != ref.HalfWindow }
	case len(s.Bands) > 0:
		return func(c answer.Cell, cut ref.About) bool { return inBands(s, c, cut) }
	case s.About.Role.Bordering():
		return func(_ answer.Cell, cut ref.About) bool {
			return cut.Of == s.About.Of && (s.About.Pair == 0 || cut.InPair() == s.About.Pair)
		}
	case s.About.Role == ref.DoUnit:
		return func(_ answer.Cell, cut ref.About) bool {
			return cut.Role == ref.BlockPatch || cut.Role == ref.BlockEights
		}
	case s.About.Role == ref.DoSet:
		return func(_ answer.Cell, cut ref.About) bool { return cut.Role == ref.SetStrip }
	case s.About.Role == ref.DoCutUnder, s.About.Role == ref.DoMeasure, s.About.Role == ref.DoBackCloth:
		return func(answer.Cell, ref.About) bool { return false }
	}
	return nil
}

// inBands tells whether a cell lies in the rows of the step; corners, which lie in none, go on
// when rows are joined.
func inBands(s answer.Step, c answer.Cell, cut ref.About) bool {
	if c.Band == 0 {
		return len(s.Bands) > 1 && cut.Ring == 0
	}
	return slices.Contains(s.Bands, c.Band)
}

// sewing says of every step how long it takes.
func sewing(t *teller) {
	for i := range t.out.Steps {
		s := &t.out.Steps[i]
		s.Minutes = work.Minutes(t.Steps[i], s.Gate != "", effort(t, *s, t.Steps[i]))
		if pace := t.Plan.Habits.Pace; pace > 0 {
			s.Minutes = max(1, int(math.Round(pace*float64(s.Minutes))))
		}
		if took, known := t.Plan.Progress.Times[s.ID]; known {
			s.Took = &took
		}
	}
}

// effort is what there is to do in a step, for one cover.
func effort(t *teller, s answer.Step, made work.Step) work.Effort {
	e := work.Effort{Things: made.Things, Sewn: made.Sewn}
	for _, id := range s.Cuts {
		for _, c := range t.out.Cuts {
			if c.ID == id {
				e.Sizes++
				e.Pieces += c.Count
			}
		}
	}
	if s.Join > 0 {
		e.Sewn = length.Length(t.out.Joins[s.Join-1].Lengths[0].NM)
	}
	for _, p := range t.out.Pieces {
		switch {
		case s.About.Role == ref.DoQuilt && p.Name == s.Piece:
			if q := p.Quilting; q != nil {
				e.Known = q.Minutes * max(1, p.Count)
				if q.After {
					e.Known = max(1, q.Minutes-q.Borders) * max(1, p.Count)
				}
			}
		case s.About.Role == ref.DoQuiltBorders && p.Name == s.Piece:
			e.Known = p.Quilting.Borders * max(1, p.Count)
		case s.About.Role == ref.DoClose && p.Name == "front":
			e.Sewn = 2 * length.Length(p.Finished.Width.NM+p.Finished.Height.NM)
		case p.Name == s.Piece:
			e.Seams = s.Seams * max(1, p.Count)
			e.Things, e.Sewn = e.Things*max(1, p.Count), e.Sewn.Times(max(1, p.Count))
		}
	}
	return e
}

// divided makes several steps of those that the maker divided. The last part keeps the id,
// with what is measured and pressed at the end, so that what needs the step needs its last
// part; the parts before it have ids by their keys and follow each other.
func divided(t *teller) {
	pr := t.Plan.Progress
	var out []answer.Step
	for _, s := range t.out.Steps {
		out = append(out, parts(s, pr.Parts[s.ID], pr)...)
	}
	t.out.Steps = out
	for i, s := range t.out.Steps {
		if !s.Done {
			continue
		}
		for _, next := range t.out.Following(s.ID) {
			if next.Done {
				t.out.Steps[i].Again = append(t.out.Steps[i].Again, next.ID)
			}
		}
	}
}

// parts are the parts of one step; itself where it has none.
func parts(s answer.Step, divided []plan.StepPart, pr plan.Progress) []answer.Step {
	if len(divided) < 2 {
		return []answer.Step{s}
	}
	out := make([]answer.Step, len(divided))
	share := (s.Minutes + len(divided) - 1) / len(divided)
	for i, one := range divided {
		part := s
		part.Of, part.Minutes = s.ID, max(1, share)
		part.Title = fmt.Sprintf("%s: %s", s.Title, one.Name)
		if i > 0 {
			part.Needs, part.Cuts, part.Changes = []string{out[i-1].ID}, []string{}, nil
		}
		if i < len(divided)-1 {
			part.ID = s.Ref.InPart(one.Key).String()
			part.Gate, part.Expect, part.Press, part.Side, part.Trip, part.Act, part.Rest = "", nil, "", "", 0, "", 0
			part.Done, part.Took = slices.Contains(pr.Done, part.ID), nil
			if took, known := pr.Times[part.ID]; known {
				part.Took = &took
			}
		}
		out[i] = part
	}
	return out
}

// left says how long the rest takes, and where each of several covers is.
func left(t *teller) {
	for _, task := range t.out.Tasks(t.Plan) {
		t.out.Left += task.Minutes
	}
	t.out.Piles = piles(t)
}

// piles are so many covers at every step that is begun and not done; no more are through
// a step than came to it.
func piles(t *teller) []answer.Pile {
	out := []answer.Pile{}
	before := t.Plan.Copies
	for _, s := range t.out.Steps {
		through := min(before, t.Plan.Progress.Made[s.ID])
		if _, skipped := t.Plan.Progress.Skipped[s.ID]; s.Done || skipped {
			through = before
		}
		if before > through {
			out = append(out, answer.Pile{Step: s.Title, Count: before - through})
		}
		before = through
	}
	if before > 0 {
		out = append(out, answer.Pile{Count: before})
	}
	return out
}
