package show

import (
	"fmt"
	"math"
	"slices"

	"umschlag/core/answer"
	"umschlag/core/cover"
	"umschlag/core/fit"
	"umschlag/core/outline"
)

// joined lays the pieces out as they join, draws the seams on them and tells both sides of each.
func joined(t *teller) {
	seams(t)
	for i, j := range t.Cover.Joins {
		a, b := j.Lengths[0].Total(), j.Lengths[1].Total()
		t.explainSum(fmt.Sprintf("join.%d.first", i+1), j.Lengths[0])
		t.explainSum(fmt.Sprintf("join.%d.second", i+1), j.Lengths[1])
		t.out.Joins = append(t.out.Joins,
			answer.Join{Title: j.Title, Count: j.Count, Between: j.Between, Lengths: [2]answer.L{t.l(a), t.l(b)},
				Off: t.l(a - b), Fit: fit.Of(a, b)})
	}
	for _, row := range t.Cover.Net {
		columns := make([][]answer.Spot, len(row))
		for i, column := range row {
			for _, s := range column {
				columns[i] = append(columns[i], answer.Spot{Piece: s.Piece, Quarters: s.Quarters})
			}
		}
		t.out.Net = append(t.out.Net, columns)
	}
}

// seams draws every join on its pieces.
func seams(t *teller) {
	pieces := map[string]cover.Piece{}
	for _, p := range t.Cover.Pieces {
		pieces[p.Name] = p
	}
	for i, j := range t.Cover.Joins {
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
				piped := t.Plan.Edges.Piping != nil && j.Piped > 0 && len(own.Path.Arcs())+len(own.Path.Corners()) > 0
				stretches := cover.Clips(own.Path, other.Path, start)
				if piped {
					stretches = cover.PipingClips(own.Path, t.Plan.Cover.Seam)
				}
				seam(t, name, i+1, own, stretches)
				if side == 0 && j.Also != "" {
					seam(t, j.Also, i+1, own, stretches)
				}
			}
		}
	}
}

func seam(t *teller, piece string, join int, s cover.Seam, stretches [][2]float64) {
	out := answer.Seam{Join: join, Path: answer.Vertices(outline.Outline(s.Path)), Marks: marks(s.Marks),
		Clips: []answer.Mark{}}
	for _, stretch := range stretches {
		for _, at := range stretch {
			x, y, direction := s.Path.At(at)
			out.Clips = append(out.Clips, marks([]cover.Mark{{X: x, Y: y, Direction: direction}})...)
		}
	}
	if piece == "front" {
		t.shifted(out.Path)
		for _, marks := range [][]answer.Mark{out.Marks, out.Clips} {
			for i := range marks {
				marks[i].X, marks[i].Y = marks[i].X+t.shift[0], marks[i].Y+t.shift[1]
			}
		}
	}
	for i := range t.out.Pieces {
		if t.out.Pieces[i].Name == piece {
			t.out.Pieces[i].Seams = append(t.out.Pieces[i].Seams, out)
		}
	}
}

func marks(list []cover.Mark) []answer.Mark {
	out := make([]answer.Mark, len(list))
	for i, m := range list {
		out[i] = answer.Mark{X: int64(math.Round(m.X)), Y: int64(math.Round(m.Y)),
			Direction: m.Direction * 180 / math.Pi}
	}
	return out
}
