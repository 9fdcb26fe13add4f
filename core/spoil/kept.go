package spoil

import (
	"maps"
	"slices"

	"umschlag/core/length"
	"umschlag/core/plan"
)

// Choice is what becomes of what a change spoils, where the change is kept.
type Choice string

// The choices: what is spoiled is done again, or stays as it is done. What there is nothing like
// any more is gone either way.
const (
	Again Choice = "again"
	Stays Choice = "stays"
)

// Values are the choices.
func (Choice) Values() []string { return []string{string(Again), string(Stays)} }

// Recorded is what a plan records of its making.
type Recorded struct {
	Progress plan.Progress
	Measured []plan.Measured
}

// Kept is what is recorded of a plan when the change is kept: what is spoiled leaves or stays,
// and what goes by another name now goes by it.
func (l List) Kept(p plan.Plan, how Choice) Recorded {
	leaves, trimmed := map[string]bool{}, map[string]Spoil{}
	for _, s := range l.Spoils {
		switch {
		case s.Why == Trimmed:
			trimmed[s.Ref] = s
		case s.Why == Gone, how == Again:
			leaves[s.Ref] = true
		}
	}
	to := map[string]string{}
	for _, c := range l.Carried {
		to[c.From] = c.To
		leaves[c.From] = c.To == ""
	}
	name := func(id string) (string, bool) {
		if next, moved := to[id]; moved && next != "" {
			return next, true
		}
		return id, !leaves[id]
	}
	pr := p.Progress
	pr.Cut = renamed(pr.Cut, name)
	if how == Again {
		for id, s := range trimmed {
			if cut, ticked := pr.Cut[id]; ticked {
				cut.Width, cut.Height = length.Length(s.Width.NM), length.Length(s.Height.NM)
				pr.Cut[id] = cut
			}
		}
	}
	pr.Spoiled = renamed(pr.Spoiled, name)
	gone := func(id string) (string, bool) { // the time it took is spent, and what was said stays said
		next, stays := name(id)
		return next, stays || slices.ContainsFunc(l.Spoils, func(s Spoil) bool { return s.Ref == id && s.Why != Gone })
	}
	pr.Done = relisted(pr.Done, name)
	pr.Made, pr.Early = renamed(pr.Made, name), renamed(pr.Early, name)
	pr.Times, pr.Skipped, pr.Parts = renamed(pr.Times, gone), renamed(pr.Skipped, gone), renamed(pr.Parts, gone)
	if pr.Running != nil {
		running := *pr.Running
		stays := false
		if running.Step, stays = gone(running.Step); stays {
			pr.Running = &running
		} else {
			pr.Running = nil
		}
	}
	measured := slices.DeleteFunc(slices.Clone(p.Measured), func(m plan.Measured) bool { return leaves[m.Gate] })
	return Recorded{Progress: pr, Measured: measured}
}

// renamed is a record by the names that hold now, without what leaves.
func renamed[V any](of map[string]V, name func(string) (string, bool)) map[string]V {
	var out map[string]V
	for id, v := range of {
		if next, stays := name(id); stays {
			if out == nil {
				out = make(map[string]V, len(of))
			}
			out[next] = v
		}
	}
	return out
}

func relisted(of []string, name func(string) (string, bool)) []string {
	var out []string
	for _, id := range of {
		if next, stays := name(id); stays {
			out = append(out, next)
		}
	}
	return out
}

// recorded are the steps of which something is recorded.
func recorded(pr plan.Progress) []string {
	out := slices.Clone(pr.Done)
	for _, list := range []map[string]bool{keysOf(pr.Made), keysOf(pr.Early), keysOf(pr.Times), keysOf(pr.Skipped),
		keysOf(pr.Parts)} {
		out = slices.AppendSeq(out, maps.Keys(list))
	}
	slices.Sort(out)
	return slices.Compact(out)
}

func keysOf[V any](of map[string]V) map[string]bool {
	out := make(map[string]bool, len(of))
	for id := range of {
		out[id] = true
	}
	return out
}
