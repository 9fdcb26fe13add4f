package anyplan

import "umschlag/core/brief"

// Decision is what can be decided in a brief by its id: a choice with what is chosen and the keys of what can be, or
// a press, which has none.
type Decision struct {
	ID, Now string
	Keys    []string
}

// Decisions are all that a brief asks to be taken; what is typed, and choices that set a word of the plan, are none.
func Decisions(b brief.Brief) []Decision {
	var out []Decision
	var blocks func([]brief.Block)
	blocks = func(list []brief.Block) {
		for _, block := range list {
			for _, w := range block.Words {
				if p := w.Press; p != nil {
					out = append(out, Decision{ID: p.ID})
				}
				if c := w.Choice; c != nil && !c.Sets {
					d := Decision{ID: c.ID, Now: c.Now}
					for _, o := range c.Options {
						d.Keys = append(d.Keys, o.Key)
					}
					out = append(out, d)
				}
			}
			blocks(block.Blocks)
		}
	}
	for _, s := range b.Stages {
		blocks(s.Blocks)
	}
	return out
}
