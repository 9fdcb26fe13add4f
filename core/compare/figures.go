package compare

import (
	"math"
	"slices"

	"umschlag/core/cover"
	"umschlag/core/outlook"
	"umschlag/core/panel"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// Figures are what finished covers tell of the way they are made.
type Figures struct {
	// Covers is how many were finished, Timed how many steps were timed, and Pace how long
	// those took for each minute that is usual; 0 where fewer than leastTimed were.
	Covers int     `json:"covers"`
	Timed  int     `json:"timed"`
	Pace   float64 `json:"pace"`
	// Stages are the same by the stage of the work, those with enough steps.
	Stages []StagePace `json:"stages"`
	// Seams is the mean error of a seam in nanometres, from Measured gates; more than 0
	// takes more than planned.
	Seams    float64 `json:"seams"`
	Measured int     `json:"measured"`
	// Troubles are how often what went wrong, the most frequent first.
	Troubles []TroubleCount `json:"troubles"`
}

// StagePace is the pace of a stage.
type StagePace struct {
	Stage string  `json:"stage"`
	Timed int     `json:"timed"`
	Pace  float64 `json:"pace"`
}

// TroubleCount is how often something went wrong.
type TroubleCount struct {
	Kind  string `json:"kind"`
	Count int    `json:"count"`
}

// leastTimed is from how many timed steps on a pace is told.
const leastTimed = 5

// FiguresOf looks finished covers through.
func FiguresOf(plans []plan.Plan) Figures {
	f := Figures{Covers: len(plans), Stages: []StagePace{}, Troubles: []TroubleCount{}}
	type time struct{ took, usual float64 }
	stages, counts := map[string]time{}, map[string]int{}
	timed := map[string]int{}
	var all time
	var order []string
	for _, p := range plans {
		for _, s := range reckon.Reckon(p, nil).Steps {
			if s.Took == nil || *s.Took <= 0 {
				continue
			}
			usual := float64(s.Minutes * p.Settle().Copies)
			if timed[s.Stage] == 0 {
				order = append(order, s.Stage)
			}
			t := stages[s.Stage]
			stages[s.Stage] = time{t.took + *s.Took, t.usual + usual}
			timed[s.Stage]++
			all = time{all.took + *s.Took, all.usual + usual}
			f.Timed++
		}
		for _, e := range PastSeams(p) {
			f.Seams += e
			f.Measured++
		}
		for _, t := range p.Progress.Troubles {
			counts[t.Kind]++
		}
	}
	pace := func(t time) float64 { return math.Round(100*t.took/t.usual) / 100 }
	if f.Timed >= leastTimed {
		f.Pace = pace(all)
	}
	for _, stage := range order {
		if timed[stage] >= leastTimed {
			f.Stages = append(f.Stages, StagePace{Stage: stage, Timed: timed[stage], Pace: pace(stages[stage])})
		}
	}
	if f.Measured > 0 {
		f.Seams /= float64(f.Measured)
	}
	for kind, n := range counts {
		f.Troubles = append(f.Troubles, TroubleCount{kind, n})
	}
	slices.SortFunc(f.Troubles, func(a, b TroubleCount) int {
		if a.Count != b.Count {
			return b.Count - a.Count
		}
		if a.Kind < b.Kind {
			return -1
		}
		return 1
	})
	return f
}

// PastSeams are the errors of seams that the gates of a plan show, in nanometres.
func PastSeams(p plan.Plan) []float64 {
	if len(p.Measured) == 0 {
		return nil
	}
	settled := p.Settle()
	c, found := cover.Pieces(settled)
	if found.Stopped() || !settled.Cover.Rules().ByBack {
		return nil
	}
	front, found := panel.Order{Plan: settled}.Of(c.Pieces[0])
	if found.Stopped() {
		return nil
	}
	return outlook.SeamErrors(settled, front.Face)
}
