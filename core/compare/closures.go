// Package compare reckons a plan several ways, or several plans together: closures side by side, samples
// that could be used, what to buy instead, cloths laid together, what finished covers tell.
package compare

import (
	"umschlag/core/answer"
	"umschlag/core/finding"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// Closing is one closure as it would come out on a plan.
type Closing struct {
	Key  string `json:"key"`
	Name string `json:"name"`
	// Chosen is the one the plan has.
	Chosen bool   `json:"chosen"`
	Skill  string `json:"skill"`
	Wash   string `json:"wash"`
	Suits  string `json:"suits"`
	// Back as it comes out; absent where it cannot be made.
	Back *answer.BackShown `json:"back,omitempty"`
	// Cuts of the back.
	Cuts []answer.Cut `json:"cuts"`
	// Steps from cutting the back to the end.
	Steps int `json:"steps"`
	// Findings about the back.
	Findings []finding.Finding `json:"findings"`
}

// Closures reckons the plan with each closure a cushion can have; a cover without a
// back of its own has none. The closure chosen is reckoned as it is decided, the
// others as they were kept or as they begin, as long as the purse goes.
func Closures(p plan.Plan, purse *reckon.Purse) []Closing {
	out := []Closing{}
	if !p.Cover.Rules().ByBack {
		return out
	}
	now := p.Settle().Back.Closure()
	asIs, there := purse.Reckon(p) // first: it is what the others are held against
	for _, kind := range plan.Closures(p.Units) {
		r, tried := asIs, there
		if kind.Key != now {
			q := p
			q.Back = kind.On(p)
			q.Back.Cloth = p.Back.Cloth
			r, tried = purse.Reckon(q)
		}
		choice := Closing{Key: kind.Key, Name: kind.Name, Chosen: kind.Key == now, Skill: kind.Skill, Wash: kind.Wash,
			Suits: kind.Suits,
			Back:  r.Back, Cuts: []answer.Cut{}, Findings: []finding.Finding{}}
		if !tried {
			choice.Findings = append(choice.Findings, finding.Finding{Level: finding.Note, Code: "closure-untried",
				About: "/back/kind", Text: "This plan is too large to try every closure at once.",
				Remedy: "Take it to see its figures; undo brings the one before back."})
		}
		for _, cut := range r.Cuts {
			if ofBack(cut) {
				choice.Cuts = append(choice.Cuts, cut)
			}
		}
		for _, f := range r.Findings {
			if finding.Within(f.About, "/back") || f.Level == finding.Stop {
				choice.Findings = append(choice.Findings, f)
			}
		}
		choice.Steps = len(r.Steps) - r.StepsBefore(ref.DoCutBack)
		out = append(out, choice)
	}
	return out
}

// ofBack tells the cuts of a back from those of what is sewn onto it.
func ofBack(c answer.Cut) bool { return c.About.Piece == "back" }
