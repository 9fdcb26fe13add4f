package reckon

import (
	"math"

	"umschlag/core/answer"

	"umschlag/core/length"
	"umschlag/core/ref"
	"umschlag/core/work"
)

// sewing says of every step how long it takes.
func (r *run) sewing() {
	for i := range r.out.Steps {
		s := &r.out.Steps[i]
		s.Minutes = work.Minutes(work.Step{Stage: work.Stage(s.Stage), Cuts: s.Cuts}, s.Gate != "", r.effort(*s))
		if pace := r.p.Habits.Pace; pace > 0 {
			s.Minutes = max(1, int(math.Round(pace*float64(s.Minutes))))
		}
		if took, known := r.p.Progress.Times[s.ID]; known {
			s.Took = &took
		}
	}
}

// effort is what there is to do in a step, for one cover.
func (r *run) effort(s answer.Step) work.Effort {
	var e work.Effort
	for _, id := range s.Cuts {
		for _, c := range r.out.Cuts {
			if c.ID == id {
				e.Sizes++
				e.Pieces += c.Count
			}
		}
	}
	if s.Join > 0 {
		e.Sewn = length.Length(r.out.Joins[s.Join-1].Lengths[0].NM)
	}
	for _, p := range r.out.Pieces {
		switch {
		case s.About.Role == ref.DoQuilt && p.Name == s.Piece:
			if p.Quilting != nil {
				e.Known = p.Quilting.Minutes * max(1, p.Count)
			}
		case s.About.Role == ref.DoClose && p.Name == "front":
			e.Sewn = 2 * length.Length(p.Finished.Width.NM+p.Finished.Height.NM)
		case p.Name == s.Piece:
			e.Seams = s.Seams * max(1, p.Count)
		}
	}
	return e
}
