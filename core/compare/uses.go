package compare

import (
	"maps"
	"math"
	"slices"

	"umschlag/core/finding"
	"umschlag/core/plan"
	"umschlag/core/sample"
)

// Use is a place in a plan that a sample tells something of.
type Use struct {
	// Path of the key that would name it.
	Path string
	// Used tells that it does.
	Used bool
	// Other says in what the stack there is another one; empty where it is not.
	Other string
	// Takes is what washing takes, in percent; of a washed sample.
	Takes float64
	// With is the plan with the sample used there.
	With plan.Plan
}

// Uses are the places in a plan where a sample is used or could be: pieces that are
// quilted, gathered faces, and what washing takes.
func Uses(p plan.Plan, id string, s plan.Sample) []Use {
	var out []Use
	settled := p.Settle()
	switch s.Kind {
	case plan.QuiltingSample:
		for _, name := range slices.Sorted(maps.Keys(p.Pieces)) {
			q := p.Pieces[name]
			if !q.Quilted() {
				continue
			}
			use := Use{Path: finding.Path("pieces", name, "take_up"), Other: sample.Other(s, settled.Piece(name)),
				With: p}
			use.Used = q.TakeUp != nil && q.TakeUp.From == plan.FromSample && q.TakeUp.ID == id
			q.TakeUp = &plan.TakeUp{From: plan.FromSample, ID: id}
			use.With.Pieces = maps.Clone(p.Pieces)
			use.With.Pieces[name] = q
			out = append(out, use)
		}
	case plan.GatherSample:
		for _, name := range slices.Sorted(maps.Keys(p.Pieces)) {
			q := p.Pieces[name]
			if q.Face == nil || q.Face.Kind != plan.GatheredFace {
				continue
			}
			face := *q.Face
			use := Use{Path: finding.Path("pieces", name, "face", "sample"), Used: face.Sample == id, With: p}
			face.Ratio, face.Sampled, face.Sample = 0, nil, id
			q.Face = &face
			use.With.Pieces = maps.Clone(p.Pieces)
			use.With.Pieces[name] = q
			out = append(out, use)
		}
	case plan.WashSample:
		w, h, ok := sample.Washed(s)
		if !ok {
			break
		}
		// What shrinks more decides; a hundredth of a percent is enough.
		takes := math.Round(-100*min(w.Mean, h.Mean, 0)) / 100
		use := Use{Path: "/cover/wash", Used: takes > 0 && p.Cover.Wash == takes, Takes: takes, With: p}
		use.With.Cover.Wash = takes
		out = append(out, use)
	}
	return out
}
